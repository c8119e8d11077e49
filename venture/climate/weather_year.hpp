#pragma once
/// A year of weather as plain data, complete and checked: no gaps, no impossible states.

#include <optional>
#include <string>
#include <vector>

#include <venture/climate/date.hpp>
#include <venture/climate/sun.hpp>

namespace venture::climate {

/// Where on earth.
struct Place {
    double latitude_deg = 0.0;
    double longitude_deg = 0.0; ///< east positive
    double time_zone_h = 0.0;   ///< local standard time minus universal time
    double height_m = 0.0;      ///< above sea level
};

/// A year in equal steps of local standard time from 1 January, 0 h. States are values at the beginning of each step,
/// linear in between and running on from the last to the first; irradiances are means over the step.
/// Made by complete_year() from what was read, or by synthetic_year().
struct WeatherYear {
    std::string name{};
    std::string source{};   ///< where it comes from, in words
    bool synthetic = false; ///< made up by a generator: never to be shown without saying so
    bool leap = false;      ///< 8,784 hours instead of 8,760
    int calendar_year = 0;  ///< 0: a typical year, put together from several
    int steps_per_hour = 1; ///< divides 60
    Place place{};
    std::vector<double> dry_bulb_C{};
    std::vector<double> humidity_ratio{}; ///< kg/kg dry air, at most saturation
    std::vector<double> pressure_Pa{};
    std::vector<double> wind_m_per_s{};  ///< empty if not known
    std::vector<double> wind_from_deg{}; ///< clockwise from north; empty if not known
    std::vector<double> cloud_cover{};   ///< 0..1; empty if not known
    std::vector<double> beam_normal_W_per_m2{};
    std::vector<double> diffuse_horizontal_W_per_m2{};

    [[nodiscard]] std::size_t size() const { return dry_bulb_C.size(); }
    [[nodiscard]] int days() const { return leap ? 366 : 365; }
    [[nodiscard]] double step_h() const { return 1.0 / steps_per_hour; }
    [[nodiscard]] std::size_t steps_per_day() const { return 24U * static_cast<std::size_t>(steps_per_hour); }
    /// Month 1..12 that a step lies in.
    [[nodiscard]] int month_of(std::size_t step) const;
};

/// Of all that a year holds.
[[nodiscard]] std::uint64_t fingerprint_of(const WeatherYear& year);

/// Number of steps that a year has.
[[nodiscard]] std::size_t steps_in_year(bool leap, int steps_per_hour);

/// The sun at an hour of the year, counted from 1 January, 0 h, local standard time.
/// A typical year takes the sun of 2022 (2024 if it is a leap year): other years move it by at most 0.15 degrees.
[[nodiscard]] SunPosition sun_in_year(const Place& place, double hour_of_year, bool leap = false,
                                      int calendar_year = 0);

/// The sun over one step.
struct StepSun : SunSpan {
    double beyond_W_per_m2 = 0.0; ///< normal to the sun, outside the atmosphere
    /// Sine of the elevation in the middle; nil if it is not up.
    [[nodiscard]] double sine() const;
};

/// The sun over every step of a year.
[[nodiscard]] std::vector<StepSun> suns_of_year(const Place& place, bool leap, int steps_per_hour,
                                                int calendar_year = 0);

/// A plane that the sun falls on.
struct Plane {
    Angle tilt = Angle::degrees(90.0);   ///< 0 for facing up
    Angle azimuth = Angle::degrees(0.0); ///< of the normal, clockwise from north
};

/// Mean irradiance on planes in every step, by the model of hourly weather (Perez 1990).
/// @param suns                of this year
/// @param ground_reflectance  0..1
/// @returns a series for each plane
[[nodiscard]] std::vector<std::vector<PlaneIrradiance>> irradiance_of_year(const WeatherYear& year,
                                                                           const std::vector<StepSun>& suns,
                                                                           const std::vector<Plane>& planes,
                                                                           double ground_reflectance = 0.2);

/// Mean global irradiance on the horizontal in every step, W/m2: beam and diffuse together.
[[nodiscard]] std::vector<double> global_horizontal_W_per_m2(const WeatherYear& year, const std::vector<StepSun>& suns);

} // namespace venture::climate
