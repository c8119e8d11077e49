#pragma once
/// Design conditions counted out of a weather year.

#include <array>
#include <optional>
#include <vector>

#include <venture/climate/design_conditions.hpp>
#include <venture/climate/ground_temperature.hpp>
#include <venture/climate/weather_year.hpp>

namespace venture::climate {

/// Value that a share of all values exceeds: 0.004 for what is hotter for 35 hours of a year. Straight lines between
/// the values in order.
/// Valid     0..1, at least one value
/// @throws   quantity::RangeError outside the valid range
[[nodiscard]] double exceeded_by(std::vector<double> values, double share);

/// How rare design conditions are.
struct Rarity {
    double winter = 0.996; ///< share of the year's hours that are warmer than the heating design
    double summer = 0.004; ///< share of a month's hours that are hotter than its cooling design
};

/// Conditions for a share of a year's (or month's) hours, each with the mean of what came with it in the hours within
/// half a kelvin (or the nearest ten hours, if these are fewer).
struct DryBulbExtreme {
    double dry_bulb_C = 0.0, wet_bulb_C = 0.0;
    std::optional<double> wind_m_per_s{};
};
struct YearExtremes {
    double share = 0.004;
    DryBulbExtreme dry_bulb{};
    PeakWithDryBulb wet_bulb{}, dew_point{};
};

struct DerivedConditions {
    WinterDesign winter{};
    std::array<CoolingMonth, 12> months{};
    std::array<bool, 12> depths_fitted{}; ///< false: too little sun in the month; depths of a usual clear sky stand
    std::vector<YearExtremes> of_year{};  ///< 99.6 %, 99 %, 2 %, 1 %, 0.4 % of the year's hours
};

/// Daily ranges: means over the days whose highest dry bulb is among the highest fifth of its month. Optical depths:
/// least squares over the month's three clearest steps at each time of day. Ground: ground_temperature_C() on the
/// design day; in winter the lowest of the year.
/// Source    percentiles with coincident means after ASHRAE Handbook - Fundamentals, climatic design chapter, which
///           takes many years: one year tells what was, not how rare it is
/// @throws   quantity::RangeError for shares outside 0..1
[[nodiscard]] DerivedConditions derive_conditions(const WeatherYear& year, const Rarity& rarity = {},
                                                  const Soil& soil = {});

} // namespace venture::climate
