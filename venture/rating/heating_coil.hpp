#pragma once
/// A coil that heats air with water, known by one heating rating.

#include <variant>

#include <venture/rating/coil_conductance.hpp>
#include <venture/rating/product.hpp>

namespace venture::rating {

/// One conductance, of which the air has a stated share of the resistance (heats_by_one_conductance()); with as much water as
/// comes back at a temperature asked for.
class HeatingCoil {
public:
    /// @param heating_W  with air of sea level entering and water as stated
    /// @throws quantity::Error  water that does not fall, or is no warmer than the air; more than any coil could give
    HeatingCoil(double heating_W, double dry_air_kg_per_s, double air_in_C, double supply_C, double return_C);

    /// @param dry_air_kg_per_s  through it now
    /// @returns a refusal where no flow from a fiftieth to fifty times the rated one would bring the water back so warm
    [[nodiscard]] std::variant<CoilOutput, Refusal> heats_to(double air_C, double dry_air_kg_per_s, double supply_C,
                                                             double return_C) const;

    static constexpr double air_share = 0.7; ///< of the resistance; our assumption

private:
    [[nodiscard]] CoilOutput heats(CoilFlows flows, double water_kg_per_s) const;

    HeatingRating rated_;
};

/// What a coil and its fan give together: the heat of the fan helps, and is all of its electricity.
/// @param fan_W  0: none   @param at  tells glycol: what a mixture carries is not known here
[[nodiscard]] Output with_fan(const CoilOutput& coil, double coil_W, double fan_W, double sound_dBA,
                              const Conditions& at);

} // namespace venture::rating
