#pragma once
/// Materials, layers and build-ups, and their steady U-value.

#include <string>
#include <vector>

namespace venture::fabric {

/// What a layer is made of.
struct Material {
    std::string name{};
    double conductivity_W_per_mK = 0.0;   ///< above 0
    double density_kg_per_m3 = 0.0;       ///< above 0
    double specific_heat_J_per_kgK = 0.0; ///< above 0
};

/// A slab of material, or a resistance without capacity (an air gap, a membrane).
struct Layer {
    Material material{};
    double thickness_m = 0.0;          ///< 0 for a bare resistance
    double resistance_m2K_per_W = 0.0; ///< of a bare resistance; else 0
    double gap_m = 0.0;                ///< how wide a bare resistance is, if it is a gap; for drawings alone
    [[nodiscard]] bool has_capacity() const { return thickness_m > 0.0; }
    /// Resistance of the layer, m2K/W.
    [[nodiscard]] double resistance() const
    {
        return has_capacity() ? thickness_m / material.conductivity_W_per_mK : resistance_m2K_per_W;
    }
};

/// What a surface is made of, outside to inside.
struct Buildup {
    std::string name{};
    std::vector<Layer> layers{};
};

/// Where heat goes as it leaves the room.
enum class HeatFlow { upwards, horizontal, downwards };

/// Inside surface coefficients with a room at about 20 degC and a surface emissivity of 0.9.
/// Source    ISO 6946:2017, annex C: h_ci 5.0, 2.5, 0.7 W/m2K; h_ri = 0.9 * 5.7 W/m2K
struct InsideFilm {
    double convective_W_per_m2K;
    double radiative_W_per_m2K;
};
[[nodiscard]] InsideFilm inside_film(HeatFlow direction);

/// Outside surface coefficient, convection and radiation together: 25 W/m2K (R_se 0.04), ISO 6946:2017, 6.8.
inline constexpr double outside_film_W_per_m2K = 25.0;

/// Standard inside surface resistance, m2K/W: 0.10, 0.13, 0.17 (ISO 6946:2017, table 7).
[[nodiscard]] double standard_inside_resistance(HeatFlow direction);

/// Sum of the layers' resistances, face to face, m2K/W.
[[nodiscard]] double resistance(const Buildup& buildup);

/// U-value air to air with the standard surface resistances, W/m2K.
/// @param outside_resistance  0.04 to outdoors; the inside resistance again towards another room; 0 on the ground
[[nodiscard]] double u_value(const Buildup& buildup, HeatFlow direction, double outside_resistance = 0.04);

/// The same layers as seen from the other side.
[[nodiscard]] Buildup turned_round(Buildup buildup);
/// Whether that makes no difference.
[[nodiscard]] bool is_symmetric(const Buildup& buildup);
/// What lies inside of the plane at half the thickness: between two rooms that are alike nothing flows through that plane
/// of a symmetric wall. Gaps count with their width; a bare resistance there is halved.
[[nodiscard]] Buildup inner_half(const Buildup& buildup);

/// @throws quantity::RangeError naming the layer, if a thickness, conductivity, density or specific heat is not
///         above 0 and plausible, or a resistance is negative
void check(const Buildup& buildup);

} // namespace venture::fabric
