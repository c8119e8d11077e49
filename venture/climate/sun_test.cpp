#include <venture/climate/sun.hpp>

#include <algorithm>
#include <cmath>
#include <numbers>

#include <gtest/gtest.h>

#include <reference_table.hpp>
#include <venture/quantity/error.hpp>

namespace venture::climate {
namespace {

using nlohmann::json;

std::vector<json> rows(const char* table, const char* group)
{
    const json t = reference::table(table);
    return {t.at(group).begin(), t.at(group).end()};
}

UtcInstant instant_of(const std::string& utc)
{
    UtcInstant t;
    int minute = 0, second = 0, hour = 0;
    EXPECT_EQ(std::sscanf(utc.c_str(), "%d-%d-%dT%d:%d:%dZ", &t.year, &t.month, &t.day, &hour, &minute, &second), 6);
    t.hour = hour + minute / 60.0 + second / 3600.0;
    return t;
}

class Positions : public testing::TestWithParam<json> {};

TEST_P(Positions, AgreeWithTheEphemeris)
{
    const json& c = GetParam();
    const SunPosition sun = sun_position(instant_of(c.at("utc")), Angle::degrees(c.at("latitude_deg")),
                                         Angle::degrees(c.at("longitude_deg_east")));
    const double zenith = c.at("zenith_deg");
    EXPECT_NEAR(sun.zenith_deg, zenith, 0.05);
    const double turn = std::remainder(sun.azimuth_deg - c.at("azimuth_deg_from_north_clockwise").get<double>(), 360.0);
    EXPECT_LE(std::abs(turn) * std::sin(zenith * std::numbers::pi / 180.0), 0.05);
    EXPECT_NEAR(sun.declination_deg, c.at("declination_deg").get<double>(), 0.02);
    EXPECT_NEAR(sun.equation_of_time_min, c.at("equation_of_time_min").get<double>(), 0.1);
}

INSTANTIATE_TEST_SUITE_P(Table, Positions, testing::ValuesIn(rows("solar_position", "points")));

TEST(SunPositionReference, IsThereInFull) { EXPECT_EQ(rows("solar_position", "points").size(), 40u); }

TEST(SunPosition, StandsDueSouthAndHighestAtSolarNoon)
{
    // Longitude 0 at 12:00 UTC plus the equation of time.
    const auto at = [](double hour) {
        return sun_position({2022, 4, 15, hour}, Angle::degrees(50.0), Angle::degrees(0.0));
    };
    const double noon = 12.0 - at(12.0).equation_of_time_min / 60.0;
    EXPECT_NEAR(at(noon).azimuth_deg, 180.0, 0.05);
    EXPECT_GT(at(noon).elevation_deg(), at(noon - 1.0).elevation_deg());
    EXPECT_GT(at(noon).elevation_deg(), at(noon + 1.0).elevation_deg());
}

TEST(SunPosition, RefusesPlacesThatAreNotOnEarth)
{
    EXPECT_THROW((void)sun_position({}, Angle::degrees(95.0), Angle::degrees(0.0)), quantity::RangeError);
    EXPECT_THROW((void)sun_position({}, Angle::degrees(0.0), Angle::degrees(200.0)), quantity::RangeError);
    EXPECT_THROW((void)sun_position({2022, 13, 1, 0.0}, Angle::degrees(0.0), Angle::degrees(0.0)),
                 quantity::RangeError);
}

TEST(SunAt, IsSymmetricAboutNoonWithTheDeclinationHeld)
{
    for (double latitude = -85.0; latitude <= 85.0; latitude += 8.5)
        for (double declination = -23.4; declination <= 23.4; declination += 3.9)
            for (double angle = 2.5; angle < 180.0; angle += 12.5) {
                const auto at = [&](double hour_angle) {
                    return sun_at(Angle::degrees(declination), Angle::degrees(hour_angle), Angle::degrees(latitude));
                };
                const SunPosition before = at(-angle), after = at(angle);
                EXPECT_NEAR(before.zenith_deg, after.zenith_deg, 1e-9);
                EXPECT_NEAR(before.azimuth_deg + after.azimuth_deg, 360.0, 1e-9);
            }
}

TEST(SunAt, IsMirroredBetweenTheHemispheres)
{
    for (double latitude = 0.0; latitude <= 85.0; latitude += 8.5)
        for (double declination = -23.4; declination <= 23.4; declination += 3.9)
            for (double angle = -177.5; angle < 180.0; angle += 12.5) {
                const SunPosition north =
                    sun_at(Angle::degrees(declination), Angle::degrees(angle), Angle::degrees(latitude));
                const SunPosition south =
                    sun_at(Angle::degrees(-declination), Angle::degrees(angle), Angle::degrees(-latitude));
                EXPECT_NEAR(north.zenith_deg, south.zenith_deg, 1e-9);
                EXPECT_NEAR(std::remainder(180.0 - north.azimuth_deg - south.azimuth_deg, 360.0), 0.0, 1e-7);
                // What falls on a wall is mirrored with it: north walls there are south walls here.
                const double here = cos_incidence(north, Angle::degrees(90.0), Angle::degrees(150.0));
                const double there = cos_incidence(south, Angle::degrees(90.0), Angle::degrees(30.0));
                EXPECT_NEAR(here, there, 1e-9);
            }
}

TEST(SunOver, IsTheMeanOfItsInstants)
{
    const Angle latitude = Angle::degrees(68.0), longitude = Angle::degrees(14.0);
    for (const int month : {1, 3, 5, 6, 9, 12})
        for (int hour = 0; hour < 24; ++hour) {
            const UtcInstant start{2022, month, 21, static_cast<double>(hour)};
            const SunSpan span = sun_over(start, 1.0, latitude, longitude);
            double mean = 0.0;
            constexpr int parts = 400;
            for (int i = 0; i < parts; ++i) {
                const SunPosition sun = sun_position({2022, month, 21, hour + (i + 0.5) / parts}, latitude, longitude);
                mean += std::max(0.0, std::sin(Angle::degrees(sun.elevation_deg()).radians())) / parts;
            }
            // In half an hour the declination drifts by 0.008 degrees, 1.4e-4 of the sine, in a part of an hour.
            EXPECT_NEAR(span.mean_sine, mean, 5e-5) << month << " " << hour;
            EXPECT_EQ(span.up, mean > 1e-5) << month << " " << hour;
            EXPECT_TRUE(!span.up || span.middle.elevation_deg() > 0.0);
        }
}

TEST(RelativeAirMass, AgreesWithTheTable)
{
    for (const json& c : rows("clear_sky", "air_mass")) {
        const double expected = c.at("air_mass");
        EXPECT_NEAR(relative_air_mass(Angle::degrees(c.at("elevation_deg"))), expected, 1e-6 * expected);
    }
}

TEST(Extraterrestrial, AgreesWithTheTable)
{
    for (const json& c : rows("clear_sky", "extraterrestrial")) {
        const double expected = c.at("E0_W_m2");
        EXPECT_NEAR(extraterrestrial_W_per_m2(c.at("day_of_year"), c.at("solar_constant_W_m2")), expected,
                    1e-6 * expected);
    }
}

TEST(ClearSky, AgreesWithTheTableForThe2013Exponents)
{
    const auto cases = rows("clear_sky", "clear_sky");
    ASSERT_EQ(cases.size(), 12u);
    for (const json& c : cases) {
        const ClearSky sky =
            clear_sky(Angle::degrees(c.at("elevation_deg")), c.at("E0_W_m2"), c.at("tau_b"), c.at("tau_d"));
        const double beam = c.at("beam_normal_W_m2_2013"), diffuse = c.at("diffuse_horizontal_W_m2_2013");
        EXPECT_NEAR(sky.beam_normal_W_per_m2, beam, std::max(0.01, 1e-5 * beam));
        EXPECT_NEAR(sky.diffuse_horizontal_W_per_m2, diffuse, std::max(0.01, 1e-5 * diffuse));
    }
}

TEST(ClearSkyOnPlane, AgreesWithTheTable)
{
    for (const json& c : rows("clear_sky", "tilted")) {
        const SunPosition sun{.zenith_deg = 90.0 - c.at("elevation_deg").get<double>(),
                              .azimuth_deg = 180.0 + c.at("surface_solar_azimuth_deg").get<double>()};
        const ClearSky sky{c.at("beam_normal_W_m2"), c.at("diffuse_horizontal_W_m2")};
        const auto tilt = Angle::degrees(c.at("tilt_deg")), azimuth = Angle::degrees(180.0);
        const PlaneIrradiance on = clear_sky_on_plane(sky, sun, tilt, azimuth, c.at("ground_reflectance"));
        const auto near = [&](double got, const char* key) {
            EXPECT_NEAR(got, c.at(key).get<double>(), std::max(0.01, 1e-5 * c.at(key).get<double>())) << key << c;
        };
        EXPECT_NEAR(cos_incidence(sun, tilt, azimuth), c.at("cos_incidence").get<double>(), 1e-6);
        near(on.beam_W_per_m2, "beam_on_surface_W_m2");
        near(on.ground_reflected_W_per_m2, "ground_reflected_W_m2");
        near(on.sky_diffuse_W_per_m2, "diffuse_handbook_Y_W_m2");
    }
}

TEST(ClearSky, IsDarkAtNight)
{
    const ClearSky sky = clear_sky(Angle::degrees(-5.0), 1367.0, 0.4, 2.4);
    EXPECT_EQ(sky.beam_normal_W_per_m2, 0.0);
    EXPECT_EQ(sky.diffuse_horizontal_W_per_m2, 0.0);
}

TEST(ClearSky, RefusesDepthsThatAreNone)
{
    EXPECT_THROW((void)clear_sky(Angle::degrees(30.0), 1367.0, 0.0, 2.4), quantity::RangeError);
    EXPECT_THROW((void)clear_sky(Angle::degrees(30.0), 1367.0, 0.4, 9.0), quantity::RangeError);
}

} // namespace
} // namespace venture::climate
