#pragma once
/// Choosing among rated products: the same rule for terminal units and plant. Numbers while choosing, words on demand.

#include <memory>
#include <optional>
#include <span>
#include <string>
#include <vector>

#include <venture/rating/product.hpp>

namespace venture::rating {

/// What is asked of one place.
struct Duty {
    Service service = Service::heating;
    double W = 0.0;                     ///< of cooling: sensible and latent together
    std::optional<double> sensible_W{}; ///< of cooling, where it counts by itself
    std::optional<double> latent_W{};   ///< the same: of a room whose humidity is limited
};

/// One part of a duty and what a product does towards it.
struct Share {
    std::string_view what{}; ///< "heating", "total", "sensible", "latent"
    double duty_W = 0.0;
    double capacity_W = 0.0; ///< of all units together
};

/// A product at a duty.
struct Rated {
    const Product* product = nullptr;
    int count = 1;
    Duty duty{};
    Output one{};                     ///< of one unit, to the full
    std::optional<Refusal> refused{}; ///< outside its range: `one` says nothing then
    /// Largest duty over capacity; above 1 it is short. A product that is refused counts as infinitely full.
    [[nodiscard]] double fullness() const;
    [[nodiscard]] bool suffices() const;
    [[nodiscard]] std::vector<Share> shares() const;
    /// "6.2 % short (sensible)", "runs 84 % full", or why it is refused.
    [[nodiscard]] std::string in_words() const;
    /// "2 x Foxmill Lean 600/1400".
    [[nodiscard]] std::string called() const;
};

/// What was chosen, and why not the next.
struct Choice {
    std::optional<Rated> chosen{};
    std::optional<Rated> runner_up{}; ///< the next best that suffices
    std::optional<Rated> next_down{}; ///< of as many units as chosen (or as may be), the largest that does not suffice
    std::optional<Rated> refused{};   ///< one that cannot be rated here, the first by name; as an example
    std::size_t candidates = 0;
    [[nodiscard]] std::string why_runner_up_lost() const;
};

/// How many of one product may be taken.
struct Counts {
    int fewest = 1, most = 1;
};

[[nodiscard]] Rated rated_at(const Product& product, int count, const Conditions& at, const Duty& duty);

/// A duty and what products are rated at for it.
struct Asked {
    Conditions at{};
    Duty duty{};
};

/// The product that runs fullest without being short, of each as few as suffice. Each further unit counts as a tenth
/// more capacity: two units must run at least a tenth fuller than one to be preferred. Ties go to the name.
/// @param also  what the same units must do besides, with other water: they count as full as in the harder of both
[[nodiscard]] Choice choose(std::span<const std::shared_ptr<const Product>> products, Counts counts, const Asked& asked,
                            const std::optional<Asked>& also = {});

} // namespace venture::rating
