#pragma once
/// A product at a duty, and what was chosen for it. Numbers while choosing, words on demand.

#include <optional>
#include <string>
#include <string_view>
#include <vector>

#include <venture/rating/product.hpp>
#include <venture/rating/wish.hpp>

namespace venture::rating {

/// What is asked of one place.
struct Duty {
    Service service = Service::heating;
    double W = 0.0;                     ///< of cooling: sensible and latent together
    std::optional<double> sensible_W{}; ///< of cooling, where it counts by itself
    std::optional<double> latent_W{};   ///< the same: of a room whose humidity is limited
    [[nodiscard]] Duty times(double factor) const;
};

/// A duty and what products are rated at for it.
struct Asked {
    Conditions at{};
    Duty duty{};
};

/// One part of a duty and what a product does towards it.
struct Share {
    std::string_view what{}; ///< "heating", "total", "sensible", "latent"
    double duty_W = 0.0;
    double capacity_W = 0.0; ///< of all units together
};

/// Some of one product.
struct Units {
    const Product* product = nullptr;
    int count = 1;
    Output one{}; ///< of one, to the full
};

/// Products at a duty: some of one, or of a row several of one family.
struct Rated {
    std::vector<Units> units{}; ///< never empty
    Duty duty{};
    std::optional<Refusal> refused{}; ///< outside its range: outputs say nothing then
    [[nodiscard]] const Product& product() const { return *units.front().product; }
    [[nodiscard]] int count() const;
    /// Of all of them: powers, flows and condensate add up, sound by energy, of pressure drops the largest. What one maker
    /// does not say is unknown of all.
    [[nodiscard]] Output all() const;
    /// Largest duty over capacity; above 1 it is short. A product that is refused counts as infinitely full.
    [[nodiscard]] double fullness() const;
    [[nodiscard]] bool suffices() const;
    [[nodiscard]] std::vector<Share> shares() const;
    /// "6.2 % short (sensible)", "runs 84 % full", or why it is refused.
    [[nodiscard]] std::string in_words() const;
    /// "2 x Foxmill Lean 600/1400"; a row: "Foxmill Lean 600/1400 + 2 x 600/1000".
    [[nodiscard]] std::string called() const;
};

/// What was chosen, and why not the next.
struct Choice {
    std::optional<Rated> chosen{};
    std::optional<Rated> runner_up{}; ///< the next best that suffices
    std::optional<Rated> next_down{}; ///< of as many units as chosen (or as may be), the largest that does not suffice
    std::optional<Rated> refused{};   ///< where nothing suffices, one that cannot be rated here, the first by name
    std::size_t candidates = 0;
    std::optional<Aim> decided_by{}; ///< aim in which the runner-up lost; nothing: the name, or all aims by weight
    double chosen_worth = 0.0, runner_up_worth = 0.0; ///< by that aim, less is better
    [[nodiscard]] std::string why_runner_up_lost() const;
};

[[nodiscard]] Rated rated_at(const Product& product, int count, const Conditions& at, const Duty& duty);

inline constexpr double capacity_rounding = 1e-9; ///< of duty over capacity, that no one is short for
/// Duty over capacity of one unit, of the hardest part; infinite where it has nothing to give.
[[nodiscard]] double fullness_of(const Duty& duty, const Output& one);
/// The same of its parts. @param total_W  of the duty's service
[[nodiscard]] double fullness_of(const Duty& duty, double total_W, double sensible_W, double latent_W);
/// Whether that is enough, but for rounding.
[[nodiscard]] bool is_enough(double fullness);

} // namespace venture::rating
