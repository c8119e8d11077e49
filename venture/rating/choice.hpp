#pragma once
/// Choosing among rated products: the same rule for terminal units and plant.

#include <functional>
#include <optional>
#include <string>
#include <vector>

namespace venture::rating {

/// One part of a duty and what a product does towards it, W.
struct Share {
    std::string what{}; ///< "heating", "total", "sensible"
    double duty_W = 0.0;
    double capacity_W = 0.0; ///< of all units together
};

/// A product at a duty.
struct Rated {
    std::string product{};
    int count = 1;
    std::vector<Share> shares{};
    std::string refused{}; ///< why it cannot be rated here (outside its range); empty if it can
    /// Largest duty over capacity; above 1 it is short. A product that is refused counts as infinitely full.
    [[nodiscard]] double fullness() const;
    [[nodiscard]] bool suffices() const;
    /// "6.2 % short (sensible)", "runs 84 % full", or why it is refused.
    [[nodiscard]] std::string in_words() const;
};

/// What was chosen, and why not the next.
struct Choice {
    std::optional<Rated> chosen{};
    std::optional<Rated> runner_up{}; ///< the next best that suffices
    std::string why_runner_up_lost{};
    std::optional<Rated> next_down{}; ///< of as many units as chosen (or as may be), the largest that does not suffice
    std::vector<Rated> all{};         ///< every candidate, best first
};

/// How many of one product may be taken.
struct Counts {
    int fewest = 1, most = 1;
};

/// The product that runs fullest without being short, of each as few as suffice. Each further unit counts as a tenth
/// more capacity: two units must run at least a tenth fuller than one to be preferred. Ties go to the name.
/// @param rate  rates `count` of product `index` (0 .. products-1) at the duty
[[nodiscard]] Choice choose(std::size_t products, Counts counts,
                            const std::function<Rated(std::size_t index, int count)>& rate);

} // namespace venture::rating
