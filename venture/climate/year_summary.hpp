#pragma once
/// What a weather year was like, month by month.

#include <array>
#include <optional>

#include <venture/climate/weather_year.hpp>

namespace venture::climate {

/// Daily means below (above) these count as degree-days. Defaults are the bases in use where degrees are Celsius;
/// 65 degF is 18.33 degC.
struct DegreeDayBases {
    double heating_C = 15.5, cooling_C = 18.0;
};

struct PeriodSummary {
    double mean_C = 0.0;
    double mean_highest_C = 0.0, mean_lowest_C = 0.0; ///< of the days' highest and lowest
    double highest_C = 0.0, lowest_C = 0.0;
    double relative_humidity = 0.0;                                            ///< mean, 0..1
    double humidity_ratio = 0.0;                                               ///< mean, kg/kg
    double global_J_per_m2 = 0.0, beam_J_per_m2 = 0.0, diffuse_J_per_m2 = 0.0; ///< mean day; beam facing the sun
    std::optional<double> wind_m_per_s{}, cloud_cover{};
    double heating_degree_days_K = 0.0, cooling_degree_days_K = 0.0; ///< sum over the period
    /// Mean of the days' highest less lowest.
    [[nodiscard]] double daily_range_K() const { return mean_highest_C - mean_lowest_C; }
};

struct YearSummary {
    DegreeDayBases bases{};
    std::array<PeriodSummary, 12> months{};
    PeriodSummary year{};
};

[[nodiscard]] YearSummary summarise(const WeatherYear& year, const DegreeDayBases& bases = {});

} // namespace venture::climate
