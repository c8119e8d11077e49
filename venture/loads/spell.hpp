#pragma once
/// Weather over a span of whole days as a building is compiled for it: a design day, a week, or part of a year.

#include <functional>
#include <string>
#include <vector>

#include <venture/climate/design_day.hpp>

namespace venture::loads {

/// Samples are values at equal intervals with one more at the end, or (sun and irradiances of a weather year) means over
/// the intervals; linear in between.
struct Spell {
    std::string name{};
    bool winter_design = false; ///< dark, without gains, air by plan at full
    bool for_design = false;    ///< of design days: coils hold an assumed humidity where no limit was typed
    std::size_t hours = 24;
    std::size_t samples_per_hour = 1;
    bool sun_is_mean = false;
    quantity::Pressure pressure = quantity::Pressure::pascal(101325.0);
    // hours * samples_per_hour + 1 each
    std::vector<double> dry_bulb_C{}, humidity_ratio{};
    std::vector<double> sky_C{};             ///< what a black sky would be like
    std::vector<climate::SunPosition> sun{}; ///< in the middle of intervals, if means
    // one an hour
    std::vector<double> clock_h{};               ///< clock time at its beginning, 0..24
    std::vector<int> month{};                    ///< 1..12; 0 in winter design
    std::vector<climate::MonthDay> clock_date{}; ///< of the clock at its beginning; empty on design days
    std::vector<double> site_ground_C{};         ///< where a floor has no ground of its own
    std::vector<double> wind_m_per_s{};
    /// What falls on a plane, per sample.
    std::function<std::vector<climate::PlaneIrradiance>(climate::Angle tilt, climate::Angle azimuth)> irradiance{};
};

/// Wind of design days whose site states none: that of the outside film of ISO 6946.
inline constexpr double usual_wind_m_per_s = 4.0;

/// Clear sky, wind of the site's conditions or the usual one. The day is kept alive by what is returned.
[[nodiscard]] Spell spell_of(const climate::Site& site, const climate::DesignDay& day);
/// Days in a row, with one pressure.
[[nodiscard]] Spell spell_of(const climate::Site& site, const climate::Week& week);
/// Days of a weather year, which must outlive what is returned. Ground: the site's where it states the month, else the
/// damped yearly wave of the air. Wind and clouds where the year has them, else the usual wind and a half-clouded sky.
/// @param first_day  from 1   @throws quantity::RangeError if the year does not have these days
[[nodiscard]] Spell spell_of(const climate::Site& site, const climate::WeatherYear& year, int first_day, int days);

} // namespace venture::loads
