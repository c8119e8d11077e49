#pragma once
/// Between which values the ratings of products lie, from ratings kept for a grid of room air: so that of thousands of costly
/// products only those are rated that may matter.

#include <map>
#include <memory>
#include <span>
#include <vector>

#include <venture/rating/product.hpp>

namespace venture::rating {

/// Bounds of a product's output in a box of room air.
struct Bracket {
    bool known = false; ///< all corners of the box were rated
    PerService<double> least_W{}, most_W{};
    double least_sensible_W = 0.0, most_sensible_W = 0.0, least_latent_W = 0.0, most_latent_W = 0.0;
    double least_water_kg_per_s = 0.0;
};

/// For products whose outputs rise or fall with each of the room's dry and wet bulb, whichever way, the other held: their
/// extremes in a box lie at its corners. Corners are rated when first asked for, all products at once.
class Brackets {
public:
    explicit Brackets(std::span<const std::shared_ptr<const Product>> products) : products_{products} {}
    /// Of all products at these conditions.
    /// @returns nothing where the conditions have no wet bulb: the grid is of dry and wet bulb
    [[nodiscard]] const std::vector<Bracket>* at(const Conditions& asked);

private:
    struct Corner {
        bool rated = false;
        PerService<double> gives_W{};
        double sensible_W = 0.0, water_kg_per_s = 0.0;
    };
    using Key = std::vector<double>; ///< of conditions
    const std::vector<Corner>& corner(const Conditions& at);
    std::span<const std::shared_ptr<const Product>> products_;
    std::map<Key, std::vector<Corner>> corners_{};
    std::map<Key, std::vector<Bracket>> boxes_{};
};

} // namespace venture::rating
