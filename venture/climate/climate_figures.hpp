#pragma once
/// Columns of a site, its design conditions and days, and a weather year.

#include <optional>
#include <string>
#include <vector>

#include <venture/climate/derived_conditions.hpp>
#include <venture/climate/design_day.hpp>
#include <venture/climate/year_summary.hpp>
#include <venture/figure/tables_of.hpp>

namespace venture::climate {

/// A weather year with what was counted from it.
struct WeatherFigures {
    WeatherYear year{};
    YearSummary summary{};
    DerivedConditions derived{};
};

/// A design day at a glance.
struct DayGlance {
    CoolingMonth month{};
    DesignDay day{};
    std::string sun_up{}; ///< "04:31-20:12", by the clock
};
/// An hour of a day, and what falls on walls then.
struct DayHour {
    const DesignDay* day = nullptr;
    std::size_t hour = 0;
    double north_W_per_m2 = 0.0, east_W_per_m2 = 0.0, south_W_per_m2 = 0.0, west_W_per_m2 = 0.0;
};

[[nodiscard]] const figure::TableOf<WinterDesign>& winter_design_columns();
[[nodiscard]] const figure::TableOf<CoolingMonth>& cooling_month_columns();
[[nodiscard]] const figure::TableOf<DayHour>& day_hour_columns();

/// All tables of a site and its design conditions but the hours of its days.
[[nodiscard]] const figure::TablesOf<Site>& site_tables();
/// All tables of a weather year.
[[nodiscard]] const figure::TablesOf<WeatherFigures>& weather_tables();

/// Of the months' highest dry bulbs.
[[nodiscard]] std::vector<DayGlance> design_days(const Site& site);
/// @param hours  24, or 25 with the one that the next day begins with
[[nodiscard]] std::vector<DayHour> hours_of(const DesignDay& day, std::size_t hours);

/// "08:14".
[[nodiscard]] std::string clock_in_words(double hour);

} // namespace venture::climate
