#pragma once
/// How the light of the sky falls on a tilted plane, and how much of the whole is diffuse.

#include <venture/climate/sun.hpp>

namespace venture::climate {

/// Angle between the normal of a plane and the projection of the sun onto the plane that holds the normal and the line
/// up the slope; decides on overhangs. Degrees, -180..180.
[[nodiscard]] double profile_angle_deg(const SunPosition& sun, Angle tilt, Angle azimuth);

/// Angle between the normal and the projection of the sun onto the horizontal line across the plane; decides on fins.
/// Positive to the right, as seen by one who stands outside and looks at the plane. Degrees, -180..180.
[[nodiscard]] double horizontal_shadow_angle_deg(const SunPosition& sun, Angle tilt, Angle azimuth);

/// Share of the horizontal diffuse that a tilted plane gets from a sky of one brightness: (1 + cos tilt)/2.
[[nodiscard]] double isotropic_sky_share(Angle tilt);
/// Share of what the ground gets that a tilted plane sees reflected: (1 - cos tilt)/2, reflectance apart.
[[nodiscard]] double ground_share(Angle tilt);

/// Brightening of the sky around the sun and at the horizon.
struct SkyBrightness {
    double clearness = 1.0;                  ///< epsilon
    double brightness = 0.0;                 ///< Delta
    double circumsolar = 0.0, horizon = 0.0; ///< F1 (not negative) and F2
};

/// Source    Perez, Ineichen, Seals, Michalsky and Stewart 1990, Solar Energy 44(5), composite of all sites
/// Valid     a sun above the horizon; nothing brightens under a sky without diffuse light
/// @throws   quantity::RangeError for a sun below the horizon or negative irradiance
[[nodiscard]] SkyBrightness perez_1990(const ClearSky& sky, Angle elevation, double extraterrestrial_W_per_m2);

/// Diffuse from the sky on a tilted plane with given brightenings, W/m2:
/// Ed [(1 - F1)(1 + cos tilt)/2 + F1 a/b + F2 sin tilt], a = max(0, cos incidence), b = max(cos 85 deg, sin elevation).
[[nodiscard]] double sky_diffuse_on_plane(double diffuse_horizontal_W_per_m2, const SkyBrightness& brightness,
                                          double cos_incidence, Angle elevation, Angle tilt);

/// What a plane gets under a sky of one brightness.
/// @param ground_reflectance  0..1
[[nodiscard]] PlaneIrradiance isotropic_on_plane(const ClearSky& sky, const SunPosition& sun, Angle tilt, Angle azimuth,
                                                 double ground_reflectance);

/// What a plane gets under a sky of given brightenings: work these out once for all planes of an hour.
[[nodiscard]] PlaneIrradiance on_plane(const ClearSky& sky, const SunPosition& sun, const SkyBrightness& brightness,
                                       Angle tilt, Angle azimuth, double ground_reflectance);

/// What a plane gets under the sky of perez_1990(): the model of hourly weather. A sun below the horizon leaves the
/// diffuse isotropic.
[[nodiscard]] PlaneIrradiance perez_on_plane(const ClearSky& sky, const SunPosition& sun, Angle tilt, Angle azimuth,
                                             double ground_reflectance, double extraterrestrial_W_per_m2);

/// Beam and diffuse from the global irradiance alone, by the hourly clearness index.
/// Source    Erbs, Klein and Duffie 1982, Solar Energy 28(4).
/// Valid     elevations above 0; a sun within 3 degrees of the horizon sends everything as diffuse light
/// @throws   quantity::RangeError for negative irradiance
[[nodiscard]] ClearSky split_global(double global_horizontal_W_per_m2, Angle elevation,
                                    double extraterrestrial_W_per_m2);

/// Temperature of a black sky that sends as much long wave as the real one.
/// Source    clear sky: Berdahl and Martin 1984, Solar Energy 32(5), emissivity by dew point (daily mean);
///           clouds: Walton 1983, NBSIR 83-2655, 1 + 0.0224 N - 0.0035 N^2 + 0.00028 N^3 with N in tenths
/// Valid     dew points -40..40 degC, cloud cover 0..1
/// @throws   quantity::RangeError outside the valid range
[[nodiscard]] quantity::Temperature sky_temperature(quantity::Temperature dry_bulb, quantity::Temperature dew_point,
                                                    double cloud_cover);

} // namespace venture::climate
