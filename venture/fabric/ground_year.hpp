#pragma once
/// A floor on the ground through the year, and the layers that stand for it in a heat balance.

#include <array>

#include <venture/fabric/buildup.hpp>
#include <venture/fabric/ground.hpp>

namespace venture::fabric {

/// Temperatures outdoors and indoors over a year, monthly means as a mean and one cosine.
struct YearlyTemperatures {
    double outdoor_mean_C = 10.0, outdoor_amplitude_K = 8.0;
    double coldest_month = 1.0; ///< 1 to 12, may lie between months; January in the north, July in the south
    double indoor_C = 20.0;     ///< held all year
};

/// What the ground does with a floor.
struct GroundYear {
    double steady_W_per_K = 0.0;               ///< U A, with edge insulation
    double periodic_W_per_K = 0.0;             ///< for a yearly wave outdoors
    std::array<double, 12> heat_flow_W{};      ///< from the room, mean of each month, January first
    std::array<double, 12> virtual_ground_C{}; ///< what must lie under the layers to give it
    double design_heat_flow_W = 0.0;           ///< in the coldest month of the ground
    double design_ground_C = 0.0;              ///< the lowest of the virtual temperatures
    /// The floor's layers, half a metre of soil, and a resistance without mass: outside first. With the floor's inside
    /// film it has the floor's U-value on this ground.
    Buildup layers{};
    static constexpr std::size_t layers_of_ground = 2; ///< before the floor's own
};

/// Depth that a yearly wave reaches in the ground, m: 2.2 for clay, 3.2 for sand, 4.2 for rock.
/// Source    ISO 13370:2017, annex H; volumetric heat 3.0, 2.0 and 2.0 MJ/m3K after the kind of soil
[[nodiscard]] double yearly_depth_m(double ground_conductivity_W_per_mK);

/// Slab on the ground, with edge insulation if there is any.
///     flow of a month = U A (indoor - outdoor mean) + Hpe amplitude cos(2 pi (month - coldest - 1)/12)
/// the ground answering a month late. The virtual temperature follows from it; the layers after ISO 52016-1.
/// Source    ISO 13370:2017, 7.1 and annexes D, F and H (formulas of the edition of 2007); ISO 52016-1:2017, 6.5.7.3
/// @param floor_layers  outside to inside, as they lie on the ground; their resistance replaces that of `floor`
/// @param edge          nothing if its width is 0
/// @throws   quantity::RangeError for a floor or layers that are none, or a ground that leaves no resistance
[[nodiscard]] GroundYear ground_year(const GroundFloor& floor, const Buildup& floor_layers,
                                     const YearlyTemperatures& year, const EdgeInsulation& edge = {});

} // namespace venture::fabric
