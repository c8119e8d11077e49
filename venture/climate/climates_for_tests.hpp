#pragma once
/// Invented climates that the tests of this module share.

#include <cmath>
#include <numbers>

#include <venture/climate/synthetic_year.hpp>

namespace venture::climate {

/// Means that swing through the year; the warmest month of the north is July.
inline SyntheticRequest invented_climate(const char* name, Place place, double mean_C, double swing_K, double range_K,
                                         double humidity, double sun_J_per_m2, double sun_swing_J_per_m2, double wind)
{
    SyntheticRequest out{.name = name, .place = place};
    for (std::size_t m = 0; m < 12; ++m) {
        const double from_january = 2.0 * std::numbers::pi * (static_cast<double>(m) - 0.3) / 12.0;
        const double summer = (place.latitude_deg < 0.0 ? 1.0 : -1.0) * std::cos(from_january);
        const double sun = (place.latitude_deg < 0.0 ? 1.0 : -1.0) * std::cos(from_january + 0.35);
        out.months[m] = {mean_C + swing_K * summer, range_K * (1.0 + 0.25 * summer), humidity - 0.08 * summer,
                         sun_J_per_m2 + sun_swing_J_per_m2 * sun, wind * (1.0 - 0.15 * summer)};
    }
    return out;
}

inline SyntheticRequest temperate_climate(std::uint64_t seed = 1)
{
    SyntheticRequest out =
        invented_climate("Middling", {51.0, 8.0, 1.0, 120.0}, 9.5, 8.5, 8.0, 0.78, 9.5e6, 7.2e6, 3.6);
    out.seed = seed;
    return out;
}
inline SyntheticRequest southern_climate()
{
    return invented_climate("Downunder", {-35.0, 149.0, 10.0, 600.0}, 13.0, 7.5, 12.0, 0.65, 17e6, 7.5e6, 3.0);
}
inline SyntheticRequest tropical_climate()
{
    return invented_climate("Steamy", {2.0, 103.0, 7.0, 15.0}, 27.5, 0.8, 7.0, 0.84, 17e6, 1.0e6, 2.0);
}
inline SyntheticRequest polar_climate()
{
    SyntheticRequest out =
        invented_climate("Frosty", {72.0, 25.0, 1.0, 10.0}, -5.0, 10.0, 5.0, 0.78, 7.5e6, 7.5e6, 5.0);
    // The sun stays away for weeks: what little a clear sky would give bounds what can be asked.
    const std::array<double, 12> sun = {0.01, 0.75, 4.0, 10.0, 15.0, 17.0, 15.0, 9.5, 4.6, 1.3, 0.05, 0.0};
    for (std::size_t m = 0; m < 12; ++m) out.months[m].global_J_per_m2 = sun[m] * 1e6;
    return out;
}

} // namespace venture::climate
