#include <venture/climate/sun.hpp>

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

TEST(DayOfYear, CountsWithoutALeapDay)
{
    EXPECT_EQ(day_of_year(1, 1), 1);
    EXPECT_EQ(day_of_year(3, 1), 60);
    EXPECT_EQ(day_of_year(12, 31), 365);
    EXPECT_THROW((void)day_of_year(13, 1), quantity::RangeError);
}

} // namespace
} // namespace venture::climate
