#pragma once
/// Weather of a station moved to another height.

#include <venture/climate/design_conditions.hpp>
#include <venture/climate/weather_year.hpp>

namespace venture::climate {

/// Of the standard atmosphere, ISO 2533:1975.
inline constexpr double lapse_K_per_m = 0.0065;

/// Conditions of a station moved to another height: temperatures fall by 6.5 K for each kilometre up, relative
/// humidities (also the coincident ones) stay, daily ranges, ground and sun stay.
/// Source    lapse of the standard atmosphere, ISO 2533:1975; constant relative humidity is our assumption
/// Valid     heights that differ by at most 1500 m
/// @throws   quantity::RangeError outside the valid range
[[nodiscard]] CoolingMonth at_height(const CoolingMonth& month, double station_m, double site_m);
[[nodiscard]] WinterDesign at_height(const WinterDesign& winter, double station_m, double site_m);
/// The same of a year, from the height of its place: pressures in the ratio of the standard atmosphere; wind, clouds and
/// sun stay.
[[nodiscard]] WeatherYear at_height(WeatherYear year, double site_m);

} // namespace venture::climate
