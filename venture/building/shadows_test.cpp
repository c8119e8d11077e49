#include <cmath>
#include <random>

#include <gtest/gtest.h>

#include <venture/building/shadows.hpp>

namespace venture::building {
namespace {

using climate::Angle;
using climate::SunPosition;

Polygons window(double width_m, double height_m) { return {rectangle(0, 0, to_grid(width_m), to_grid(height_m))}; }
SunPosition sun(double elevation_deg, double azimuth_deg) { return {90.0 - elevation_deg, azimuth_deg, 0.0, 0.0}; }

DirectionBefore on_south_wall(double elevation_deg, double azimuth_deg)
{
    return towards(sun(elevation_deg, azimuth_deg), Angle::degrees(90.0), Angle::degrees(180.0));
}

TEST(Towards, SeesTheSunFromOutside)
{
    const DirectionBefore west = on_south_wall(30.0, 240.0); // of a south wall: on the left of who looks at it
    EXPECT_NEAR(west.right, -std::cos(M_PI / 6.0) * std::sin(M_PI / 3.0), 1e-12);
    EXPECT_NEAR(west.up, 0.5, 1e-12);
    EXPECT_NEAR(west.out, std::cos(M_PI / 6.0) * 0.5, 1e-12);
    EXPECT_LT(on_south_wall(30.0, 20.0).out, 0.0);
    const DirectionBefore roof = towards(sun(40.0, 123.0), Angle::degrees(0.0), Angle::degrees(180.0));
    EXPECT_NEAR(roof.out, std::sin(40.0 * M_PI / 180.0), 1e-12);
}

TEST(Shadow, OfALongOverhangIsItsDepthTimesTheProfileAngle)
{
    const Plates plates{.overhang = {.depth_m = 0.6, .beyond_left_m = 100.0, .beyond_right_m = 100.0}};
    const auto casters = casters_of(plates, 2.0, 1.5);
    EXPECT_NEAR(shaded_share(window(2.0, 1.5), casters, on_south_wall(45.0, 180.0)), 0.6 / 1.5, 1e-9);
    const double steep = std::tan(50.0 * M_PI / 180.0) / std::cos(30.0 * M_PI / 180.0);
    EXPECT_NEAR(shaded_share(window(2.0, 1.5), casters, on_south_wall(50.0, 210.0)), 0.6 * steep / 1.5,
                1e-5);                                                                   // the grid
    EXPECT_EQ(shaded_share(window(2.0, 1.5), casters, on_south_wall(80.0, 180.0)), 1.0); // 0.6 * 5.7 > 1.5
}

TEST(Shadow, OfAFinFallsAwayFromTheSun)
{
    const Plates left{.left = {.depth_m = 0.5, .above_m = 10.0, .below_m = 10.0}};
    const auto casters = casters_of(left, 2.0, 1.0);
    const double from_west = shaded_share(window(2.0, 1.0), casters, on_south_wall(20.0, 225.0)),
                 from_east = shaded_share(window(2.0, 1.0), casters, on_south_wall(20.0, 135.0));
    EXPECT_NEAR(from_west, 0.5 * std::tan(M_PI / 4.0) / 2.0, 1e-7);
    EXPECT_EQ(from_east, 0.0);
}

TEST(Shadow, OfTwoThatOverlapCountsOnce)
{
    const Caster plate{{0.0, 1.0, 0.5}, {1.0, 1.0, 0.5}, {1.0, 2.0, 0.5}, {0.0, 2.0, 0.5}};
    const std::vector<Caster> once{plate}, twice{plate, Caster{plate.rbegin(), plate.rend()}};
    const DirectionBefore light = on_south_wall(50.0, 190.0);
    const double share = shaded_share(window(1.0, 2.0), once, light);
    EXPECT_GT(share, 0.2);
    EXPECT_DOUBLE_EQ(shaded_share(window(1.0, 2.0), twice, light), share);
}

TEST(Shadow, IsNotCastByWhatLiesBehind)
{
    const std::vector<Caster> behind{{{-5.0, -5.0, -1.0}, {5.0, -5.0, -1.0}, {5.0, 5.0, -1.0}, {-5.0, 5.0, -1.0}}};
    EXPECT_EQ(shaded_share(window(1.0, 1.0), behind, on_south_wall(40.0, 170.0)), 0.0);
    EXPECT_EQ(shaded_share(window(1.0, 1.0), {}, on_south_wall(40.0, 10.0)), 1.0); // sun behind the wall
}

/// A turned and moved scene gives the same shares: nothing depends on the axes.
TEST(Shadow, TurnsWithTheScene)
{
    std::mt19937 random{3};
    std::uniform_real_distribution<double> any{-2.0, 2.0}, turn{0.0, 360.0};
    for (int i = 0; i < 200; ++i) {
        const Caster plate{{any(random), any(random), 1.0}, {3.0, any(random), 1.5}, {any(random), 3.0, 1.2}};
        const double azimuth = turn(random), by = turn(random);
        const auto share = [&](double turned) {
            return shaded_share(
                window(1.5, 1.2), std::vector<Caster>{plate},
                towards(sun(35.0, azimuth + 25.0 + turned), Angle::degrees(90.0), Angle::degrees(azimuth + turned)));
        };
        EXPECT_NEAR(share(0.0), share(by), 2e-5);
    }
}

/// Source    long strips: view factor by crossed strings (Hottel)
TEST(DiffuseLight, PastALongOverhangFollowsTheCrossedStrings)
{
    for (const double depth : {0.3, 0.8, 2.0}) {
        constexpr double height = 1.5;
        const Plates plates{.overhang = {.depth_m = depth, .beyond_left_m = 500.0, .beyond_right_m = 500.0}};
        const double to_overhang = (height + depth - std::hypot(height, depth)) / (2.0 * height);
        const DiffuseLeft left =
            diffuse_left(window(2.0, height), casters_of(plates, 2.0, height), Angle::degrees(90.0));
        EXPECT_NEAR(left.sky, (0.5 - to_overhang) / 0.5, 0.005);
        EXPECT_NEAR(left.ground, 1.0, 1e-12);
    }
}

TEST(DiffuseLight, IsWholeWhereNothingStands)
{
    const DiffuseLeft roof = diffuse_left(window(1.0, 1.0), {}, Angle::degrees(0.0));
    EXPECT_EQ(roof.sky, 1.0);
    EXPECT_EQ(roof.ground, 1.0); // sees none of it
}

} // namespace
} // namespace venture::building
