#include <algorithm>
#include <cmath>
#include <random>

#include <gtest/gtest.h>

#include <venture/plan/shadows.hpp>

namespace venture::plan {
namespace {

using climate::Angle;
using climate::SunPosition;

Polygons window(double width_m, double height_m) { return {rectangle(0, 0, to_grid(width_m), to_grid(height_m))}; }
SunPosition sun(double elevation_deg, double azimuth_deg) { return {90.0 - elevation_deg, azimuth_deg, 0.0, 0.0}; }

DirectionBefore towards(const SunPosition& sun, double tilt_deg, double azimuth_deg)
{
    return Facing{Angle::degrees(tilt_deg), Angle::degrees(azimuth_deg)}.towards(climate::direction_of(sun));
}

DirectionBefore on_south_wall(double elevation_deg, double azimuth_deg)
{
    return towards(sun(elevation_deg, azimuth_deg), 90.0, 180.0);
}

TEST(Towards, SeesTheSunFromOutside)
{
    const DirectionBefore west = on_south_wall(30.0, 240.0); // of a south wall: on the left of who looks at it
    EXPECT_NEAR(west.right, -std::cos(M_PI / 6.0) * std::sin(M_PI / 3.0), 1e-12);
    EXPECT_NEAR(west.up, 0.5, 1e-12);
    EXPECT_NEAR(west.out, std::cos(M_PI / 6.0) * 0.5, 1e-12);
    EXPECT_LT(on_south_wall(30.0, 20.0).out, 0.0);
    const DirectionBefore roof = towards(sun(40.0, 123.0), 0.0, 180.0);
    EXPECT_NEAR(roof.out, std::sin(40.0 * M_PI / 180.0), 1e-12);
}

TEST(Shadow, OfALongOverhangIsItsDepthTimesTheProfileAngle)
{
    const Plates plates{.overhang = {.depth_m = 0.6, .beyond_left_m = 100.0, .beyond_right_m = 100.0}};
    const auto casters = casters_of(plates, 2.0, 1.5);
    EXPECT_NEAR((Shadows{window(2.0, 1.5), casters}.share(on_south_wall(45.0, 180.0))), 0.6 / 1.5, 1e-9);
    const double steep = std::tan(50.0 * M_PI / 180.0) / std::cos(30.0 * M_PI / 180.0);
    EXPECT_NEAR((Shadows{window(2.0, 1.5), casters}.share(on_south_wall(50.0, 210.0))), 0.6 * steep / 1.5,
                1e-5);                                                                      // the grid
    EXPECT_EQ((Shadows{window(2.0, 1.5), casters}.share(on_south_wall(80.0, 180.0))), 1.0); // 0.6 * 5.7 > 1.5
}

TEST(Shadow, OfAFinFallsAwayFromTheSun)
{
    const Plates left{.left = {.depth_m = 0.5, .above_m = 10.0, .below_m = 10.0}};
    const auto casters = casters_of(left, 2.0, 1.0);
    const double from_west = Shadows{window(2.0, 1.0), casters}.share(on_south_wall(20.0, 225.0)),
                 from_east = Shadows{window(2.0, 1.0), casters}.share(on_south_wall(20.0, 135.0));
    EXPECT_NEAR(from_west, 0.5 * std::tan(M_PI / 4.0) / 2.0, 1e-7);
    EXPECT_EQ(from_east, 0.0);
}

TEST(Shadow, OfTwoThatOverlapCountsOnce)
{
    const Caster plate{{0.0, 1.0, 0.5}, {1.0, 1.0, 0.5}, {1.0, 2.0, 0.5}, {0.0, 2.0, 0.5}};
    const std::vector<Caster> once{plate}, twice{plate, Caster{plate.rbegin(), plate.rend()}};
    const DirectionBefore light = on_south_wall(50.0, 190.0);
    const double share = Shadows{window(1.0, 2.0), once}.share(light);
    EXPECT_GT(share, 0.2);
    EXPECT_DOUBLE_EQ((Shadows{window(1.0, 2.0), twice}.share(light)), share);
}

TEST(Shadow, IsNotCastByWhatLiesBehind)
{
    const std::vector<Caster> behind{{{-5.0, -5.0, -1.0}, {5.0, -5.0, -1.0}, {5.0, 5.0, -1.0}, {-5.0, 5.0, -1.0}}};
    EXPECT_EQ((Shadows{window(1.0, 1.0), behind}.share(on_south_wall(40.0, 170.0))), 0.0);
    EXPECT_EQ((Shadows{window(1.0, 1.0), {}}.share(on_south_wall(40.0, 10.0))), 1.0); // sun behind the wall
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
            return Shadows{window(1.5, 1.2), std::vector<Caster>{plate}}.share(
                towards(sun(35.0, azimuth + 25.0 + turned), 90.0, azimuth + turned));
        };
        EXPECT_NEAR(share(0.0), share(by), 2e-5);
    }
}

/// The share of a square raster of points that rays towards the light find something before.
double share_by_rays(double width_m, double height_m, const std::vector<Caster>& boxes, const DirectionBefore& light)
{
    constexpr int across = 120;
    int dark = 0;
    for (int i = 0; i < across; ++i)
        for (int j = 0; j < across; ++j) {
            const double x = (i + 0.5) * width_m / across, y = (j + 0.5) * height_m / across;
            const auto meets =
                [&](const Caster& c) { // faces of boxes along the axes: level, or with one of x and z held
                    const auto [x_low, x_high] = std::ranges::minmax(c, {}, &PointBefore::right_m);
                    const auto [y_low, y_high] = std::ranges::minmax(c, {}, &PointBefore::up_m);
                    const auto [z_low, z_high] = std::ranges::minmax(c, {}, &PointBefore::out_m);
                    double from = 0.0, to = 1e9; // along the ray
                    const auto keep = [&](double at, double per, double low, double high) {
                        const double a = (low - at) / per, b = (high - at) / per;
                        from = std::max(from, std::min(a, b));
                        to = std::min(to, std::max(a, b));
                    };
                    keep(x, light.right, x_low.right_m, x_high.right_m);
                    keep(y, light.up, y_low.up_m, y_high.up_m);
                    keep(0.0, light.out, z_low.out_m, z_high.out_m);
                    return to >= from;
                };
            dark += std::ranges::any_of(boxes, meets);
        }
    return static_cast<double>(dark) / (across * across);
}

/// Boxes anywhere, some of them behind one another or reaching behind the surface: as rays find it.
TEST(Shadow, OfManyFacesIsWhatRaysMeet)
{
    std::mt19937 random{11};
    std::uniform_real_distribution<double> any{0.0, 1.0};
    for (int n = 0; n < 60; ++n) {
        std::vector<Caster> faces;
        for (int i = 0, boxes = 1 + n % 4; i < boxes; ++i) {
            const double x = -6.0 + 10.0 * any(random), y = -4.0 + 6.0 * any(random), z = -1.0 + 9.0 * any(random),
                         a = x + 0.5 + 3.0 * any(random), b = y + 0.5 + 4.0 * any(random), c = z + 1.5;
            faces.push_back({{x, y, z}, {a, y, z}, {a, b, z}, {x, b, z}});
            faces.push_back({{x, y, c}, {a, y, c}, {a, b, c}, {x, b, c}});
            faces.push_back({{x, y, z}, {x, y, c}, {x, b, c}, {x, b, z}});
            faces.push_back({{a, y, z}, {a, y, c}, {a, b, c}, {a, b, z}});
            faces.push_back({{x, y, z}, {a, y, z}, {a, y, c}, {x, y, c}});
            faces.push_back({{x, b, z}, {a, b, z}, {a, b, c}, {x, b, c}});
        }
        const DirectionBefore light = on_south_wall(5.0 + 60.0 * any(random), 110.0 + 140.0 * any(random));
        EXPECT_NEAR((Shadows{window(2.0, 1.5), faces}.share(light)), share_by_rays(2.0, 1.5, faces, light), 0.02) << n;
    }
}

/// An L, as a surface and as what stands before it: the same as of the two rectangles that it is made of.
TEST(Shadow, OfVeryManyIsNoLessThanOfEachAndNoMoreThanOfAll)
{
    std::mt19937 random{5};
    std::uniform_real_distribution<double> aside{-60.0, 60.0}, out{0.5, 80.0}, wide{0.2, 3.0}, light{-1.0, 1.0};
    std::vector<Caster> all;
    std::vector<Shadows> each;
    for (int i = 0; i < 200; ++i) {
        const double x = aside(random), y = aside(random), z = out(random), w = wide(random), h = wide(random);
        all.push_back({{x, y, z}, {x + w, y, z}, {x + w, y + h, z}, {x, y + h, z}});
        each.emplace_back(window(2.0, 1.5), std::vector<Caster>{all.back()});
    }
    const Shadows together{window(2.0, 1.5), all};
    int shaded = 0, by_one = 0;
    for (int k = 0; k < 6000; ++k) {
        const DirectionBefore from{light(random), light(random), 1.0};
        double most = 0.0, sum = 0.0;
        for (const Shadows& one : each) {
            const double share = one.share(from);
            most = std::max(most, share);
            sum += share;
        }
        const double share = together.share(from);
        EXPECT_GE(share, most - 1e-9);
        EXPECT_LE(share, sum + 1e-9);
        shaded += share > 0.0 ? 1 : 0;
        by_one += most > 0.0 && sum == most ? 1 : 0;
    }
    EXPECT_GT(shaded, 300);
    EXPECT_GT(by_one, 300); // where both bounds are one
}

TEST(Shadow, OnAndOfWhatIsNotConvex)
{
    const auto corner = [](double x, double y) { return GridPoint{to_grid(x), to_grid(y)}; };
    const Polygons l{{{corner(0, 0), corner(4, 0), corner(4, 1), corner(1, 1), corner(1, 3), corner(0, 3)}, {}}};
    const Polygons two{rectangle(0, 0, to_grid(4.0), to_grid(1.0)),
                       rectangle(0, to_grid(1.0), to_grid(1.0), to_grid(3.0))};
    const Caster l_before{{0, 0, 1}, {4, 0, 1}, {4, 1, 1}, {1, 1, 1}, {1, 3, 1}, {0, 3, 1}};
    const std::vector<Caster> two_before{{{0, 0, 1}, {4, 0, 1}, {4, 1, 1}, {0, 1, 1}},
                                         {{0, 1, 1}, {1, 1, 1}, {1, 3, 1}, {0, 3, 1}}};
    for (const double azimuth : {140.0, 180.0, 215.0}) {
        const DirectionBefore light = on_south_wall(25.0, azimuth);
        const double share = Shadows{two, two_before}.share(light);
        EXPECT_GT(share, 0.1);
        EXPECT_NEAR((Shadows{l, two_before}.share(light)), share, 1e-6);
        EXPECT_NEAR((Shadows{two, std::vector<Caster>{l_before}}.share(light)), share, 1e-6);
        EXPECT_NEAR((Shadows{l, std::vector<Caster>{l_before}}.share(light)), share, 1e-6);
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
            diffuse_left(Shadows{window(2.0, height), casters_of(plates, 2.0, height)}, Angle::degrees(90.0));
        EXPECT_NEAR(left.sky, (0.5 - to_overhang) / 0.5, 0.005);
        EXPECT_NEAR(left.ground, 1.0, 1e-12);
    }
}

TEST(DiffuseLight, IsWholeWhereNothingStands)
{
    const DiffuseLeft roof = diffuse_left(Shadows{window(1.0, 1.0), {}}, Angle::degrees(0.0));
    EXPECT_EQ(roof.sky, 1.0);
    EXPECT_EQ(roof.ground, 1.0); // sees none of it
}

} // namespace
} // namespace venture::plan
