#include <venture/climate/sky.hpp>

#include <cmath>
#include <numbers>

#include <gtest/gtest.h>

#include <venture/quantity/error.hpp>

namespace venture::climate {
namespace {

using quantity::Temperature;

SunPosition standing(double elevation_deg, double azimuth_deg) { return {90.0 - elevation_deg, azimuth_deg, 0.0, 0.0}; }
Angle degrees(double d) { return Angle::degrees(d); }
constexpr double e0 = 1367.0;
const ClearSky bright{700.0, 120.0}, overcast{0.0, 180.0};

// The reference tables of the sky are met in `verify`; here are the laws.

TEST(TiltedPlanes, LyingFlatGetTheHorizontalIrradianceUnderEverySky)
{
    for (const double elevation : {10.0, 35.0, 70.0}) {
        const SunPosition sun = standing(elevation, 140.0);
        const double global = 700.0 * std::sin(elevation * std::numbers::pi / 180.0) + 120.0;
        for (const PlaneIrradiance& on : {isotropic_on_plane(bright, sun, degrees(0), degrees(30), 0.2),
                                          perez_on_plane(bright, sun, degrees(0), degrees(30), 0.2, e0),
                                          clear_sky_on_plane(bright, sun, degrees(0), degrees(30), 0.2)})
            EXPECT_NEAR(on.total_W_per_m2(), global, 1e-9);
    }
}

TEST(TiltedPlanes, SeeSkyAndGroundThatAddUpToTheWhole)
{
    for (double tilt = 0.0; tilt <= 180.0; tilt += 15.0)
        EXPECT_NEAR(isotropic_sky_share(degrees(tilt)) + ground_share(degrees(tilt)), 1.0, 1e-12);
}

TEST(TiltedPlanes, OppositeWallsShareTheIsotropicSkyEvenly)
{
    const SunPosition sun = standing(40.0, 200.0);
    const auto south = isotropic_on_plane(bright, sun, degrees(90), degrees(180), 0.0);
    const auto north = isotropic_on_plane(bright, sun, degrees(90), degrees(0), 0.0);
    EXPECT_NEAR(south.sky_diffuse_W_per_m2 + north.sky_diffuse_W_per_m2, 120.0, 1e-9);
    EXPECT_GT(south.beam_W_per_m2, 0.0);
    EXPECT_EQ(north.beam_W_per_m2, 0.0);
}

TEST(Perez, BrightensTheSkyAroundTheSun)
{
    const SunPosition sun = standing(35.0, 180.0);
    const auto towards = perez_on_plane(bright, sun, degrees(90), degrees(180), 0.0, e0);
    const auto away = perez_on_plane(bright, sun, degrees(90), degrees(0), 0.0, e0);
    EXPECT_GT(towards.sky_diffuse_W_per_m2, 60.0); // more than the isotropic half
    EXPECT_LT(away.sky_diffuse_W_per_m2, towards.sky_diffuse_W_per_m2);
}

TEST(Perez, GivesTheSameWithItsBrightnessWorkedOutOnce)
{
    const SunPosition sun = standing(35.0, 150.0);
    const SkyBrightness b = perez_1990(bright, degrees(35.0), e0);
    for (double azimuth = 0.0; azimuth < 360.0; azimuth += 45.0)
        EXPECT_EQ(on_plane(bright, sun, b, degrees(60), degrees(azimuth), 0.3).total_W_per_m2(),
                  perez_on_plane(bright, sun, degrees(60), degrees(azimuth), 0.3, e0).total_W_per_m2());
}

TEST(Perez, IsNearlyIsotropicUnderAnOvercastSkyAndExactlySoAtNight)
{
    const SkyBrightness b = perez_1990(overcast, degrees(35.0), e0);
    EXPECT_NEAR(b.clearness, 1.0, 1e-12);
    EXPECT_LT(b.circumsolar, 0.1);
    const auto night = perez_on_plane({0.0, 5.0}, standing(-5.0, 300.0), degrees(90), degrees(0), 0.0, e0);
    EXPECT_NEAR(night.sky_diffuse_W_per_m2, 2.5, 1e-12);
    EXPECT_EQ(perez_1990({500.0, 0.0}, degrees(30.0), e0).circumsolar, 0.0);
    EXPECT_THROW((void)perez_1990({-1.0, 10.0}, degrees(30.0), e0), quantity::RangeError);
}

TEST(ShadowAngles, AreThoseOfAnElevationAndATurn)
{
    // A vertical wall: tan(profile) = tan(elevation)/cos(turn).
    const SunPosition sun = standing(40.0, 200.0);
    const double turn = 20.0 * std::numbers::pi / 180.0;
    EXPECT_NEAR(profile_angle_deg(sun, degrees(90), degrees(180)),
                std::atan(std::tan(40.0 * std::numbers::pi / 180.0) / std::cos(turn)) * 180.0 / std::numbers::pi, 1e-9);
    EXPECT_NEAR(horizontal_shadow_angle_deg(sun, degrees(90), degrees(180)), -20.0, 1e-9); // west: left from outside
}

TEST(SplitGlobal, KeepsTheWhole)
{
    for (const double elevation : {5.0, 30.0, 80.0})
        for (const double global : {0.0, 20.0, 200.0, 600.0}) {
            const ClearSky s = split_global(global, degrees(elevation), e0);
            EXPECT_NEAR(s.beam_normal_W_per_m2 * std::sin(elevation * std::numbers::pi / 180.0) +
                            s.diffuse_horizontal_W_per_m2,
                        global, 1e-9);
            EXPECT_GE(s.beam_normal_W_per_m2, 0.0);
        }
    EXPECT_EQ(split_global(8.0, degrees(1.0), e0).beam_normal_W_per_m2, 0.0);
    EXPECT_THROW((void)split_global(-1.0, degrees(30.0), e0), quantity::RangeError);
}

TEST(SplitGlobal, TakesDullHoursAsDiffuseAndClearOnesAsBeam)
{
    const double horizontal = e0 * 0.5;
    EXPECT_GT(split_global(0.1 * horizontal, degrees(30.0), e0).diffuse_horizontal_W_per_m2, 0.98 * 0.1 * horizontal);
    EXPECT_NEAR(split_global(0.85 * horizontal, degrees(30.0), e0).diffuse_horizontal_W_per_m2,
                0.165 * 0.85 * horizontal, 1e-9);
}

TEST(SkyTemperature, LiesBelowTheAirAndRisesWithCloudsAndMoisture)
{
    const auto air = Temperature::celsius(10.0);
    const double clear = sky_temperature(air, Temperature::celsius(2.0), 0.0).celsius();
    EXPECT_LT(clear, -5.0);
    EXPECT_GT(clear, -20.0);
    EXPECT_GT(sky_temperature(air, Temperature::celsius(2.0), 1.0).celsius(), clear);
    EXPECT_GT(sky_temperature(air, Temperature::celsius(8.0), 0.0).celsius(), clear);
    EXPECT_LE(sky_temperature(air, Temperature::celsius(10.0), 1.0).celsius(), 10.0 + 1e-9);
    EXPECT_THROW((void)sky_temperature(air, Temperature::celsius(2.0), 1.5), quantity::RangeError);
}

TEST(SunDay, LastsTwelveHoursAtTheEquinoxAndAllDayInTheNorth)
{
    const SunDay equinox = sun_day({2023, 3, 20, 0.0}, degrees(45.0), degrees(0.0));
    ASSERT_TRUE(equinox.rise_utc_h && equinox.set_utc_h);
    EXPECT_NEAR(*equinox.set_utc_h - *equinox.rise_utc_h, 12.0, 0.1);
    EXPECT_NEAR(0.5 * (*equinox.set_utc_h + *equinox.rise_utc_h), equinox.noon_utc_h, 0.02);
    const SunDay polar = sun_day({2023, 6, 21, 0.0}, degrees(70.0), degrees(20.0));
    EXPECT_FALSE(polar.rise_utc_h);
    EXPECT_GT(polar.noon_elevation_deg, 40.0);
}

TEST(SunPositionAt, MirrorsBetweenTheHemispheresWithTheDeclinationHeld)
{
    // The same declination seen from +40 and -40 degrees: elevations at noon add up to 2 (90 - 40) = 100 degrees.
    const double north = sun_day({2023, 5, 1, 0.0}, degrees(40.0), degrees(0.0)).noon_elevation_deg;
    const double south = sun_day({2023, 5, 1, 0.0}, degrees(-40.0), degrees(0.0)).noon_elevation_deg;
    EXPECT_NEAR(north + south, 100.0, 0.02);
}

} // namespace
} // namespace venture::climate
