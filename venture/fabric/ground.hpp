#pragma once
/// Steady heat flow between a building and the ground under it.

namespace venture::fabric {

/// A floor on or in the ground.
struct GroundFloor {
    double area_m2 = 0.0;
    double exposed_perimeter_m = 0.0;          ///< of walls to outdoors or to unheated spaces
    double wall_thickness_m = 0.3;             ///< of those walls, full
    double ground_conductivity_W_per_mK = 2.0; ///< clay and silt 1.5, sand and gravel 2.0, rock 3.5
    double floor_m2K_per_W = 0.0;              ///< resistance of the floor's own layers
    double inside_film_m2K_per_W = 0.17, outside_film_m2K_per_W = 0.04;
};

/// Area over half the exposed perimeter, m.
/// @throws quantity::RangeError for a floor that is none (also from all functions below)
[[nodiscard]] double characteristic_dimension_m(const GroundFloor& floor);
/// Thickness of soil with the resistance of floor and films, and the wall's thickness, m.
[[nodiscard]] double equivalent_thickness_m(const GroundFloor& floor);

/// U-value of a slab on ground, W/m2K.
/// Source    ISO 13370:2017, 7.1 (formulas of the edition of 2007)
[[nodiscard]] double slab_u_value(const GroundFloor& floor);

/// Insulation along a slab's edge.
struct EdgeInsulation {
    bool vertical = false; ///< down the foundation instead of in under the slab
    double width_or_depth_m = 0.0;
    double thickness_m = 0.0;
    double conductivity_W_per_mK = 0.035;
};

/// Linear transmittance that edge insulation takes off, W/mK; not positive. The slab's U-value becomes
/// slab_u_value() + 2 psi/characteristic dimension.
/// Source    ISO 13370:2017, annex D
[[nodiscard]] double edge_insulation_psi(const GroundFloor& floor, const EdgeInsulation& edge);

/// A heated basement: its floor is GroundFloor, at a depth, with walls against the soil.
struct Basement {
    GroundFloor floor{};
    double depth_m = 0.0; ///< of the floor below the ground
    double wall_m2K_per_W = 0.0;
    double wall_inside_film_m2K_per_W = 0.13;
};

struct BasementUValues {
    double floor_W_per_m2K = 0.0, walls_W_per_m2K = 0.0;
    double all_W_per_m2K = 0.0; ///< mean over floor and walls below ground
};

/// Source    ISO 13370:2017, 7.3 (formulas of the edition of 2007)
[[nodiscard]] BasementUValues basement_u_values(const Basement& basement);

/// A floor over a ventilated void.
struct SuspendedFloor {
    GroundFloor ground{};             ///< its floor resistance is that of insulation on the ground, if any
    double u_value_W_per_m2K = 0.0;   ///< of the suspended floor itself, room to void
    double height_m = 0.0;            ///< of the floor's upper side above the ground outside
    double void_wall_W_per_m2K = 1.7; ///< U-value of the void's walls above ground
    double vents_m2_per_m = 0.0015;   ///< vent openings for the perimeter
    double wind_m_per_s = 4.0;        ///< at 10 m, mean
    double wind_shielding = 0.05;     ///< sheltered 0.02, average 0.05, exposed 0.10
};

/// From the void to outdoors through its walls and vents, for the floor's area, W/m2K.
/// Source    ISO 13370:2017, 7.2 (formulas of the edition of 2007)
[[nodiscard]] double void_to_outdoors_W_per_m2K(const SuspendedFloor& floor);
/// U-value from room to outdoors, W/m2K.
/// Source    ISO 13370:2017, 7.2 (formulas of the edition of 2007)
[[nodiscard]] double suspended_floor_u_value(const SuspendedFloor& floor);

} // namespace venture::fabric
