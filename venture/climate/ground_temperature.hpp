#pragma once
/// Temperature of undisturbed soil, from that of the air.

#include <venture/climate/weather_year.hpp>

namespace venture::climate {

/// The yearly wave of the air's temperature: mean, half the swing, and the day it is lowest.
struct YearlyWave {
    double mean_C = 0.0, amplitude_K = 0.0;
    double coldest_day = 1.0; ///< of the year, 0..365
};

/// First harmonic of the dry bulb.
[[nodiscard]] YearlyWave yearly_wave(const WeatherYear& year);

/// What soil is taken to be where nothing is known of it: moist loam, at the depth whose temperature a slab feels.
/// Our assumption.
struct Soil {
    double diffusivity_m2_per_day = 0.06;
    double depth_m = 2.0;
};

/// T = mean - amplitude exp(-d) cos(2 pi (day - coldest)/365 - d), d = depth sqrt(pi/(365 diffusivity)).
/// Source    Carslaw and Jaeger, Conduction of Heat in Solids, 2nd edition, 2.6 (a half-space with a periodic surface)
/// @throws   quantity::RangeError for a diffusivity outside 0.01..0.3 m2/day or a depth outside 0..50 m
[[nodiscard]] double ground_temperature_C(const YearlyWave& wave, const Soil& soil, double day);

} // namespace venture::climate
