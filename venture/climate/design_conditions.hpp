#pragma once
/// A site, and what heating and cooling are designed for there.

#include <optional>
#include <string>
#include <vector>

#include <venture/climate/date.hpp>
#include <venture/climate/weather_year.hpp>

namespace venture::climate {

/// The highest value of one temperature of the air, and the dry bulb that came with it.
struct PeakWithDryBulb {
    double peak_C = 0.0;
    double dry_bulb_C = 0.0; ///< mean of the hours of that peak
    friend bool operator==(const PeakWithDryBulb&, const PeakWithDryBulb&) = default;
};

/// What cooling is designed for in one month.
struct CoolingMonth {
    int month = 7;                                   ///< 1..12; the day is the 21st
    double dry_bulb_C = 0.0;                         ///< daily maximum
    double wet_bulb_C = 0.0;                         ///< coincident with the daily maximum
    double daily_range_K = 0.0;                      ///< maximum minus minimum of the dry bulb
    double beam_depth = 0.0;                         ///< optical depth for beam
    double diffuse_depth = 0.0;                      ///< optical depth for diffuse
    double ground_C = 10.0;                          ///< temperature of the ground under the building
    std::optional<double> wet_bulb_range_K{};        ///< of the same days; nothing: humidity ratio constant
    std::optional<PeakWithDryBulb> peak_wet_bulb{};  ///< what evaporation and cooling towers are designed for
    std::optional<PeakWithDryBulb> peak_dew_point{}; ///< what drying of outdoor air is designed for
    std::optional<double> wind_m_per_s{};            ///< mean, with the highest dry bulb
};

/// What heating is designed for: steady, dark, empty.
struct WinterDesign {
    double dry_bulb_C = 0.0;
    double ground_C = 0.0;
    std::optional<double> dew_point_C{};  ///< what humidifiers are designed for; nothing: 80 % relative humidity
    std::optional<double> wind_m_per_s{}; ///< mean, with the dry bulb
};

/// When clocks are ahead of local standard time: from a first to a last day, both included.
struct SummerTime {
    MonthDay first{}, last{};
    double ahead_h = 1.0;
};

/// A place on earth with its design conditions.
struct Site {
    std::string name{};
    Place place{};
    double ground_reflectance = 0.2;
    std::optional<SummerTime> summer_time{};
    WinterDesign winter{};
    std::vector<CoolingMonth> months{};
};

/// The day of a month that stands for it.
inline constexpr int design_day_of_month = 21;

/// By how much clocks are ahead of local standard time on a day.
[[nodiscard]] double clock_ahead_h(const Site& site, MonthDay date);

} // namespace venture::climate
