#pragma once
/// Temperature and moisture of air as two plain numbers: what balances of streams reckon with. A point may hold more
/// water than air can, where a balance is told as if nothing condensed; a MoistAir may not.

#include <venture/air/moist_air.hpp>

namespace venture::air {

inline constexpr double specific_heat_of_vapour_J_per_kgK = 1860.0;

struct Point {
    double dry_bulb_C = 20.0;
    double humidity_ratio = 0.007; ///< kg/kg dry air
    friend bool operator==(const Point&, const Point&) = default;
};

[[nodiscard]] inline Point point_of(const MoistAir& air) { return {air.dry_bulb().celsius(), air.humidity_ratio()}; }

/// Heat capacity of moist air per kg dry air.
[[nodiscard]] inline double heat_capacity_J_per_kgK(double humidity_ratio)
{
    return specific_heat_of_dry_air_J_per_kgK + specific_heat_of_vapour_J_per_kgK * humidity_ratio;
}
/// Per kg dry air, zero at 0 degC.
[[nodiscard]] inline double enthalpy_J_per_kg(const Point& p)
{
    return heat_capacity_J_per_kgK(p.humidity_ratio) * p.dry_bulb_C +
           p.humidity_ratio * latent_heat_of_vaporisation_J_per_kg;
}
[[nodiscard]] inline Point with_enthalpy(double enthalpy_J_per_kg, double humidity_ratio)
{
    return {(enthalpy_J_per_kg - humidity_ratio * latent_heat_of_vaporisation_J_per_kg) /
                heat_capacity_J_per_kgK(humidity_ratio),
            humidity_ratio};
}
/// Water and enthalpy are kept; nothing condenses. @param share  of the second, by dry air, 0..1
[[nodiscard]] inline Point mixed(const Point& first, const Point& second, double share)
{
    const double w = first.humidity_ratio + share * (second.humidity_ratio - first.humidity_ratio),
                 h = enthalpy_J_per_kg(first) + share * (enthalpy_J_per_kg(second) - enthalpy_J_per_kg(first));
    return with_enthalpy(h, w);
}

} // namespace venture::air
