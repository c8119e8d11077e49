#pragma once
/// A plausible year of weather made up from twelve monthly means, for anyone without a file.

#include <array>
#include <cstdint>
#include <string>

#include <venture/climate/weather_year.hpp>

namespace venture::climate {

/// What a month is like in the mean.
struct MonthMeans {
    double dry_bulb_C = 0.0;
    double daily_range_K = 0.0;     ///< mean of the days' highest less lowest
    double relative_humidity = 0.0; ///< 0..1
    double global_J_per_m2 = 0.0;   ///< sun on the horizontal, mean day
    double wind_m_per_s = 0.0;
};

struct SyntheticRequest {
    std::string name{};
    Place place{};
    std::array<MonthMeans, 12> months{};
    std::uint64_t seed = 1;
    double day_to_day_K = 2.8;    ///< standard deviation of the days' means about the season
    double wind_from_deg = 240.0; ///< where most of the wind comes from
};

/// 8,760 hours. The monthly means are those asked for: temperature within 0.05 K, daily range within 0.1 K, relative
/// humidity within 0.005, sun and wind within 0.1 % (in polar night, under 0.1 MJ/m2 a day, the sun is what there is).
/// Days follow each other with persistence (first-order autoregression: 0.75 for temperature, 0.45 for clouds), clear
/// days are warm in summer, cold in winter and have the larger range, humidity follows temperature and clouds, clouds
/// come and go within the day, wind speeds are Rayleigh distributed and stronger after noon.
/// What it cannot do: heat waves and cold spells are those of a normal distribution; extremes derived from it are no
/// more than plausible. The same request gives the same year on every machine of one kind.
/// Source    our own construction; clear sky: Haurwitz 1945, by height after FAO Irrigation and Drainage Paper 56;
///           clouds: Kasten and Czeplak 1980; diffuse: split_global()
/// @throws   quantity::RangeError for means outside the possible, among them more sun than a clear sky gives
[[nodiscard]] WeatherYear synthetic_year(const SyntheticRequest& request);

} // namespace venture::climate
