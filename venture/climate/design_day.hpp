#pragma once
/// Days and weeks hour by hour: made from design conditions, or taken from a weather year.

#include <array>
#include <optional>
#include <string>
#include <string_view>
#include <vector>

#include <venture/climate/design_conditions.hpp>
#include <venture/climate/sun.hpp>
#include <venture/quantity/types.hpp>

namespace venture::climate {

/// How the light of the sky falls on tilted planes.
enum class TiltedSky {
    clear_day, ///< clear_sky_on_plane(), for design days
    measured,  ///< perez_on_plane(), for hours of a weather year
};

/// Which of a month's peaks a day is made for.
enum class DesignFor { dry_bulb, wet_bulb, dew_point };

/// Weather of one day at the hours 0..24 of local standard time, linear in between.
struct DesignDay {
    static constexpr std::size_t points = 25;
    std::string name{}; ///< "January", "July wet bulb", "winter design", "14 July"
    int month = 0;      ///< 0 for the winter design
    DesignFor made_for = DesignFor::dry_bulb;
    double clock_ahead_h = 0.0;
    double ground_C = 0.0;
    quantity::Pressure pressure = quantity::Pressure::pascal(101325.0);
    std::array<double, points> dry_bulb_C{};
    std::array<double, points> humidity_ratio{}; ///< kg/kg dry air
    std::array<SunPosition, points> sun{};
    std::array<ClearSky, points> sky{};
    std::array<double, points> beyond_W_per_m2{}; ///< normal to the sun, outside the atmosphere
    TiltedSky tilted_sky = TiltedSky::clear_day;
    double ground_reflectance = 0.2;
    bool humidity_capped_at_saturation = false; ///< some night hours would be more than saturated; told, not hidden
};

/// Dry bulb falls from its maximum by the fraction of the daily range usual on clear days. Humidity: with a range of
/// the wet bulb given, this falls by the same fractions; else (and for the dew point always) the humidity ratio is that
/// of the peak all day; at most saturation.
/// Source    ASHRAE Handbook - Fundamentals, climatic design chapter, fractions of the daily range by hour.
/// @throws   quantity::RangeError for conditions outside the physics (wet bulb above dry bulb, latitude beyond a pole)
/// @throws   quantity::Error if the month does not have the peak asked for
[[nodiscard]] DesignDay cooling_design_day(const Site& site, const CoolingMonth& month,
                                           DesignFor peak = DesignFor::dry_bulb);

/// The days that cooling is designed for, month by month: that of the highest dry bulb ("July"), and those of the highest wet
/// bulb ("July wet bulb") and dew point ("July dew point") where the site states them. A day that is at no hour warmer or wetter than
/// its month's first, under the same sun, cannot ask for more of any room, and is left out.
[[nodiscard]] std::vector<DesignDay> cooling_design_days(const Site& site);
/// A design day by its name, "winter" and "July dry bulb" too, in letters of any case; nothing if none is called so.
[[nodiscard]] std::optional<DesignDay> design_day_called(const Site& site, std::string_view name);
/// Whether a month has the peak that a day is to be made for.
[[nodiscard]] bool has_peak(const CoolingMonth& month, DesignFor peak);

/// Constant dry bulb, no sun; humidity by the winter dew point, or 80 % relative humidity where none is given.
[[nodiscard]] DesignDay winter_design_day(const Site& site);

/// Seven days in a row; the last hour of one is the first of the next.
using Week = std::array<DesignDay, 7>;

/// A design day that comes seven times, as a spell of weather; what differs between its days is the building's
/// calendar.
[[nodiscard]] Week design_week(const DesignDay& day);

/// A day of a weather year as it was. Hour means of the sun become values at the hours by averaging neighbours.
/// @param day       from 1
/// @param site     whose clock, ground and ground reflectance hold; its months' ground temperatures where it has them
[[nodiscard]] DesignDay weather_day(const WeatherYear& year, int day, const Site& site);

enum class Extreme { hottest, coldest };

/// The seven days of a weather year with the highest (lowest) mean dry bulb.
struct ExtremeWeek {
    int first_day = 1; ///< of the year
    double mean_C = 0.0;
    Week days{};
};
[[nodiscard]] ExtremeWeek extreme_week(const WeatherYear& year, const Site& site, Extreme which);

/// Irradiance on a plane at the 25 hourly points of a day.
[[nodiscard]] std::array<PlaneIrradiance, DesignDay::points> irradiance_on_plane(const DesignDay& day, Angle tilt,
                                                                                 Angle azimuth);

} // namespace venture::climate
