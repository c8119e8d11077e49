#pragma once
/// Where the sun stands, and what a clear sky sends.

#include <optional>

#include <venture/quantity/ledger.hpp>
#include <venture/quantity/types.hpp>

namespace venture::climate {

using quantity::Angle;

/// An instant in universal time, proleptic Gregorian calendar. Hours may run past 24 or below 0.
struct UtcInstant {
    int year = 2022;
    int month = 1; ///< 1..12
    int day = 1;   ///< 1..31
    double hour = 0.0;
};

/// Direction to the centre of the sun, without refraction.
struct SunPosition {
    double zenith_deg = 0.0;
    double azimuth_deg = 0.0; ///< clockwise from north, 0..360
    double declination_deg = 0.0;
    double equation_of_time_min = 0.0; ///< apparent minus mean solar time
    [[nodiscard]] double elevation_deg() const { return 90.0 - zenith_deg; }
};

/// The same as a unit vector.
struct SkyDirection {
    double east = 0.0, north = 0.0, up = 1.0;
};
[[nodiscard]] SkyDirection direction_of(const SunPosition& sun);

/// Source    Meeus, Astronomical Algorithms, 2nd edition, chapters 12, 13, 25 and 28, low-accuracy theory.
/// Accuracy  0.01 degrees between 1950 and 2050 (sun_test.cpp against an ephemeris: within 0.05 degrees)
/// Valid     latitude -90..90, longitude -180..180 (east positive), years 1900..2100
/// @throws   quantity::RangeError outside the valid range
[[nodiscard]] SunPosition sun_position(const UtcInstant& when, Angle latitude, Angle longitude);

/// The same for a declination and an hour angle (0 at noon, positive after it, 15 degrees an hour); no equation of
/// time.
[[nodiscard]] SunPosition sun_at(Angle declination, Angle hour_angle, Angle latitude);

/// The sun over some time at a place.
struct SunSpan {
    SunPosition middle{};   ///< in the middle of that part of the time in which it is up; of all of it while it is down
    double mean_sine = 0.0; ///< mean over the time of the sine of its elevation, nil while it is down
    bool up = false;        ///< whether it is up in any part
};

/// Exact but for the drift of declination and equation of time within the hours, which are those of their middle.
/// Valid     up to 6 hours
/// @throws   quantity::RangeError outside the range of sun_position()
[[nodiscard]] SunSpan sun_over(const UtcInstant& start, double hours, Angle latitude, Angle longitude);

/// The sun's day at a place: when it stands highest, rises and sets.
struct SunDay {
    double noon_utc_h = 12.0;        ///< may lie outside 0..24: the day is that of local mean solar time
    double noon_elevation_deg = 0.0; ///< of the centre, without refraction
    std::optional<double> rise_utc_h{}, set_utc_h{}; ///< nothing if it stays up or down
};

/// @param date    of local mean solar time; its hour is not looked at
/// @param centre  elevation of the sun's centre at which it counts as risen: 0, or -0.833
///                degrees for the upper limb with
///                the usual refraction
/// Accuracy  noon within 20 s, rise and set within 60 s (reference table of events)
/// @throws   quantity::RangeError outside the range of sun_position()
[[nodiscard]] SunDay sun_day(const UtcInstant& date, Angle latitude, Angle longitude,
                             Angle centre = Angle::degrees(0.0));

/// Cosine of the angle between the sun and the normal of a plane; negative when the sun is behind it.
/// @param tilt     0 for facing up, 90 for a wall, 180 for facing down
/// @param azimuth  of the normal, clockwise from north
[[nodiscard]] double cos_incidence(const SunPosition& sun, Angle tilt, Angle azimuth);

/// Irradiance on a plane normal to the sun outside the atmosphere, W/m2.
/// @param told  the arithmetic is written there, if given; angles in degrees
/// Source    E0 = Esc (1 + 0.033 cos(360 (n - 3)/365)), ASHRAE Handbook - Fundamentals, climatic design chapter.
[[nodiscard]] double extraterrestrial_W_per_m2(int day_of_year, double solar_constant_W_per_m2 = 1367.0,
                                               const quantity::LedgerOf* told = nullptr);

/// Relative optical air mass. Source: Kasten and Young 1989. Valid for a sun above the horizon.
[[nodiscard]] double relative_air_mass(Angle elevation, const quantity::LedgerOf* told = nullptr);

/// Beam on a plane normal to the sun, and diffuse on the horizontal, W/m2.
struct ClearSky {
    double beam_normal_W_per_m2 = 0.0;
    double diffuse_horizontal_W_per_m2 = 0.0;
};

/// Whose air-mass exponents a clear sky takes: optical depths belong to the edition they are printed in.
enum class ClearSkyEdition { of_2009, of_2013 };

/// Two-parameter clear sky; nil when the sun is down.
/// Source    ASHRAE Handbook - Fundamentals, climatic design chapter, editions of 2009, and of 2013 and later.
/// @param beam_depth, diffuse_depth  pseudo optical depths of the month, above 0 and at most 3 (5 for diffuse)
/// @throws   quantity::RangeError for depths outside that range
[[nodiscard]] ClearSky clear_sky(Angle elevation, double extraterrestrial_W_per_m2, double beam_depth,
                                 double diffuse_depth, ClearSkyEdition edition = ClearSkyEdition::of_2013,
                                 const quantity::LedgerOf* told = nullptr);

/// What falls on a plane, by origin, W/m2.
struct PlaneIrradiance {
    double beam_W_per_m2 = 0.0;
    double sky_diffuse_W_per_m2 = 0.0;
    double ground_reflected_W_per_m2 = 0.0;
    [[nodiscard]] double total_W_per_m2() const
    {
        return beam_W_per_m2 + sky_diffuse_W_per_m2 + ground_reflected_W_per_m2;
    }
};

/// Clear-sky irradiance on a tilted plane, the diffuse part by the ratio of vertical to horizontal diffuse.
/// Source    ASHRAE Handbook - Fundamentals, climatic design chapter: Y = max(0.45, 0.55 + 0.437 cos + 0.313 cos^2).
/// @param ground_reflectance  0..1
[[nodiscard]] PlaneIrradiance clear_sky_on_plane(const ClearSky& sky, const SunPosition& sun, Angle tilt, Angle azimuth,
                                                 double ground_reflectance, const quantity::LedgerOf* told = nullptr);

} // namespace venture::climate
