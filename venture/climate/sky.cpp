#include <venture/climate/sky.hpp>

#include <algorithm>
#include <array>
#include <cmath>
#include <numbers>

#include <venture/climate/degree.hpp>
#include <venture/quantity/error.hpp>

namespace venture::climate {

using quantity::check_range;

namespace {

constexpr double brightest_W_per_m2 = 1e4; ///< of any irradiance, W/m2

/// The sun's direction along the plane's normal, up its slope, and to the right as seen from outside.
struct OnPlane {
    double normal, up, right;
};

OnPlane direction_on(const SunPosition& sun, Angle tilt, Angle azimuth)
{
    const double zenith = sun.zenith_deg * deg, turn = (sun.azimuth_deg - azimuth.degrees()) * deg;
    const double level = std::sin(zenith) * std::cos(turn); // towards where the plane faces
    const double s = std::sin(tilt.radians()), c = std::cos(tilt.radians());
    return {std::cos(zenith) * c + level * s, std::cos(zenith) * s - level * c, -std::sin(zenith) * std::sin(turn)};
}

/// One bin of clearness.
struct Bin {
    double clearness_below, f11, f12, f13, f21, f22, f23;
};
constexpr std::array bins = {
    Bin{1.065, -0.008, 0.588, -0.062, -0.060, 0.072, -0.022}, Bin{1.230, 0.130, 0.683, -0.151, -0.019, 0.066, -0.029},
    Bin{1.500, 0.330, 0.487, -0.221, 0.055, -0.064, -0.026},  Bin{1.950, 0.568, 0.187, -0.295, 0.109, -0.152, -0.014},
    Bin{2.800, 0.873, -0.392, -0.362, 0.226, -0.462, 0.001},  Bin{4.500, 1.132, -1.237, -0.412, 0.288, -0.823, 0.056},
    Bin{6.200, 1.060, -1.600, -0.359, 0.264, -1.127, 0.131},  Bin{1e300, 0.678, -0.327, -0.250, 0.156, -1.377, 0.251}};

void check_plane(const char* where, Angle tilt, double ground_reflectance)
{
    check_range(where, "ground reflectance", ground_reflectance, {0.0, 1.0}, "");
    check_range(where, "tilt", tilt.degrees(), {0.0, 180.0}, "deg");
}

PlaneIrradiance with_ground(const ClearSky& sky, const SunPosition& sun, Angle tilt, double cos_incidence,
                            double ground_reflectance, double sky_diffuse)
{
    const double horizontal =
        sky.beam_normal_W_per_m2 * std::max(0.0, std::cos(sun.zenith_deg * deg)) + sky.diffuse_horizontal_W_per_m2;
    return {sky.beam_normal_W_per_m2 * std::max(0.0, cos_incidence), sky_diffuse,
            horizontal * ground_reflectance * ground_share(tilt)};
}

} // namespace

double profile_angle_deg(const SunPosition& sun, Angle tilt, Angle azimuth)
{
    const OnPlane s = direction_on(sun, tilt, azimuth);
    return std::atan2(s.up, s.normal) / deg;
}

double horizontal_shadow_angle_deg(const SunPosition& sun, Angle tilt, Angle azimuth)
{
    const OnPlane s = direction_on(sun, tilt, azimuth);
    return std::atan2(s.right, s.normal) / deg;
}

double isotropic_sky_share(Angle tilt) { return 0.5 * (1.0 + std::cos(tilt.radians())); }
double ground_share(Angle tilt) { return 0.5 * (1.0 - std::cos(tilt.radians())); }

SkyBrightness perez_1990(const ClearSky& sky, Angle elevation, double extraterrestrial_W_per_m2)
{
    const double beam = sky.beam_normal_W_per_m2, diffuse = sky.diffuse_horizontal_W_per_m2;
    check_range("perez_1990", "beam", beam, {0.0, brightest_W_per_m2}, "W/m2");
    check_range("perez_1990", "diffuse", diffuse, {0.0, brightest_W_per_m2}, "W/m2");
    check_range("perez_1990", "elevation", elevation.degrees(), {0.0, 90.0}, "deg");
    if (diffuse <= 0.0) return {};
    const double zenith = std::numbers::pi / 2.0 - elevation.radians(), z3 = 1.041 * zenith * zenith * zenith;
    SkyBrightness out;
    out.clearness = ((diffuse + beam) / diffuse + z3) / (1.0 + z3);
    out.brightness = relative_air_mass(elevation) * diffuse / extraterrestrial_W_per_m2;
    const Bin& b = *std::ranges::find_if(bins, [&](const Bin& bin) { return out.clearness < bin.clearness_below; });
    out.circumsolar = std::max(0.0, b.f11 + b.f12 * out.brightness + b.f13 * zenith);
    out.horizon = b.f21 + b.f22 * out.brightness + b.f23 * zenith;
    return out;
}

double sky_diffuse_on_plane(double diffuse_horizontal_W_per_m2, const SkyBrightness& brightness, double cos_incidence,
                            Angle elevation, Angle tilt)
{
    constexpr double lowest_sine = 0.08715574274765817; // of 5 degrees
    const double a = std::max(0.0, cos_incidence), b = std::max(lowest_sine, std::sin(elevation.radians()));
    return diffuse_horizontal_W_per_m2 *
           ((1.0 - brightness.circumsolar) * isotropic_sky_share(tilt) + brightness.circumsolar * a / b +
            brightness.horizon * std::sin(tilt.radians()));
}

PlaneIrradiance isotropic_on_plane(const ClearSky& sky, const SunPosition& sun, Angle tilt, Angle azimuth,
                                   double ground_reflectance)
{
    check_plane("isotropic_on_plane", tilt, ground_reflectance);
    return with_ground(sky, sun, tilt, cos_incidence(sun, tilt, azimuth), ground_reflectance,
                       sky.diffuse_horizontal_W_per_m2 * isotropic_sky_share(tilt));
}

PlaneIrradiance on_plane(const ClearSky& sky, const SunPosition& sun, const SkyBrightness& brightness, Angle tilt,
                         Angle azimuth, double ground_reflectance)
{
    check_plane("on_plane", tilt, ground_reflectance);
    const Angle elevation = Angle::degrees(std::clamp(sun.elevation_deg(), 0.0, 90.0));
    const double cosine = cos_incidence(sun, tilt, azimuth);
    const double diffuse = sky_diffuse_on_plane(sky.diffuse_horizontal_W_per_m2, brightness, cosine, elevation, tilt);
    return with_ground(sky, sun, tilt, cosine, ground_reflectance, std::max(0.0, diffuse));
}

PlaneIrradiance perez_on_plane(const ClearSky& sky, const SunPosition& sun, Angle tilt, Angle azimuth,
                               double ground_reflectance, double extraterrestrial_W_per_m2)
{
    const bool up = sun.elevation_deg() > 0.0;
    const SkyBrightness brightness =
        up ? perez_1990(sky, Angle::degrees(std::min(90.0, sun.elevation_deg())), extraterrestrial_W_per_m2)
           : SkyBrightness{};
    return on_plane(sky, sun, brightness, tilt, azimuth, ground_reflectance);
}

ClearSky split_global(double global_horizontal_W_per_m2, Angle elevation, double extraterrestrial_W_per_m2)
{
    check_range("split_global", "global irradiance", global_horizontal_W_per_m2, {0.0, brightest_W_per_m2}, "W/m2");
    constexpr double lowest_beam_deg = 3.0;
    if (elevation.degrees() < lowest_beam_deg) return {0.0, global_horizontal_W_per_m2};
    const double on_horizontal = extraterrestrial_W_per_m2 * std::sin(elevation.radians());
    const double k = std::min(1.0, global_horizontal_W_per_m2 / on_horizontal);
    const double share = k <= 0.22  ? 1.0 - 0.09 * k
                         : k <= 0.8 ? 0.9511 + k * (-0.1604 + k * (4.388 + k * (-16.638 + k * 12.336)))
                                    : 0.165;
    const double diffuse = share * global_horizontal_W_per_m2;
    return {(global_horizontal_W_per_m2 - diffuse) / std::sin(elevation.radians()), diffuse};
}

quantity::Temperature sky_temperature(quantity::Temperature dry_bulb, quantity::Temperature dew_point,
                                      double cloud_cover)
{
    check_range("sky_temperature", "dew point", dew_point.celsius(), {-40.0, 40.0}, "degC");
    check_range("sky_temperature", "cloud cover", cloud_cover, {0.0, 1.0}, "");
    const double x = dew_point.celsius() / 100.0, n = 10.0 * cloud_cover;
    const double clear = 0.711 + 0.56 * x + 0.73 * x * x;
    const double emissivity = std::min(1.0, clear * (1.0 + n * (0.0224 + n * (-0.0035 + n * 0.00028))));
    return quantity::Temperature::celsius(dry_bulb.kelvin() * std::pow(emissivity, 0.25) - 273.15);
}

} // namespace venture::climate
