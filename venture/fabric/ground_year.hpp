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

/// What the ground does with a floor, or with the walls of a basement.
struct GroundYear {
    enum class Part { slab, basement_floor, basement_walls, floor_over_void };
    Part part = Part::slab;
    double area_m2 = 0.0;
    double steady_W_per_K = 0.0;               ///< U A, with edge insulation
    double periodic_W_per_K = 0.0;             ///< for a yearly wave outdoors
    std::array<double, 12> heat_flow_W{};      ///< from the room, mean of each month, January first
    std::array<double, 12> virtual_ground_C{}; ///< what must lie under the layers to give it
    double design_heat_flow_W = 0.0;           ///< in the coldest month of the ground
    double design_ground_C = 0.0;              ///< the lowest of the virtual temperatures
    /// What stands for the ground, outside first, then the floor's or wall's own layers; with the inside film it has
    /// the U-value on this ground.
    Buildup layers{};
    std::size_t layers_of_ground = 0; ///< before its own
    [[nodiscard]] double u_value_W_per_m2K() const { return steady_W_per_K / area_m2; }
};

/// Depth that a yearly wave reaches in the ground, m: 2.2 for clay, 3.2 for sand, 4.2 for rock.
/// Source    ISO 13370:2017, annex H; volumetric heat 3.0, 2.0 and 2.0 MJ/m3K after the kind of soil
[[nodiscard]] double yearly_depth_m(double ground_conductivity_W_per_mK);

/// Slab on the ground, with edge insulation if there is any.
///     flow of a month = U A (indoor - outdoor mean) + Hpe amplitude cos(2 pi (month - coldest - 1)/12)
/// the ground answering a month late. The virtual temperature follows from it. The layers after ISO 52016-1: half a
/// metre of soil below the floor (less where the ground leaves less resistance than two of it), below that a
/// resistance without mass.
/// Source    ISO 13370:2017, 7.1 and annexes D, F and H (formulas of the edition of 2007); ISO 52016-1:2017, 6.5.7.3
/// @param floor_layers  outside to inside, as they lie on the ground; their resistance replaces that of `floor`
/// @param edge          nothing if its width is 0
/// @throws   quantity::RangeError for a floor or layers that are none, or a ground that leaves no resistance
[[nodiscard]] GroundYear ground_year(const GroundFloor& floor, const Buildup& floor_layers,
                                     const YearlyTemperatures& year, const EdgeInsulation& edge = {});

/// Floor of a heated basement, its walls apart.
/// Source    ISO 13370:2017, 7.3 and annex H (formulas of the edition of 2007)
/// @param basement  its `wall_m2K_per_W` stands for the walls beside this floor; its floor's resistance is replaced
[[nodiscard]] GroundYear basement_floor_year(const Basement& basement, const Buildup& floor_layers,
                                             const YearlyTemperatures& year);
/// Walls of a heated basement, as high as it is deep all along the exposed perimeter.
/// @param basement  its floor's resistance stands for the floor beside these walls; `wall_m2K_per_W` is replaced
[[nodiscard]] GroundYear basement_wall_year(const Basement& basement, const Buildup& wall_layers,
                                            const YearlyTemperatures& year);

/// Floor over a ventilated void: it answers at once, and no mass lies under it.
/// Source    ISO 13370:2017, 7.2 and annex H (formulas of the edition of 2007)
/// @param floor  its `u_value_W_per_m2K` is replaced by that of the layers between still air above and below
[[nodiscard]] GroundYear suspended_floor_year(const SuspendedFloor& floor, const Buildup& floor_layers,
                                              const YearlyTemperatures& year);

} // namespace venture::fabric
