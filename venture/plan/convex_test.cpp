#include <cmath>
#include <numbers>

#include <gtest/gtest.h>

#include <venture/plan/convex.hpp>

namespace venture::plan {
namespace {

PlanePolygon box(double x0, double y0, double x1, double y1) { return {{x0, y0}, {x1, y0}, {x1, y1}, {x0, y1}}; }

PlanePolygon round(double x, double y, double radius, int corners)
{
    PlanePolygon out;
    for (int i = 0; i < corners; ++i) {
        const double turn = 2.0 * std::numbers::pi * i / corners;
        out.push_back({x + radius * std::cos(turn), y + radius * std::sin(turn)});
    }
    return out;
}

TEST(Convex, IsWhatTurnsOneWay)
{
    EXPECT_TRUE(is_convex(box(0, 0, 2, 1)));
    EXPECT_TRUE(is_convex({{0, 0}, {1, 0}, {2, 0}, {2, 1}})); // a point on its edge
    EXPECT_TRUE(is_convex({{0, 0}, {0, 1}, {1, 1}, {1, 0}})); // clockwise
    EXPECT_FALSE(is_convex({{0, 0}, {2, 0}, {2, 2}, {1, 0.5}}));
}

TEST(Clip, LeavesWhatLiesInTheWindow)
{
    PlanePolygon out;
    clip(box(-1, -1, 1, 1), box(0, 0, 5, 5), out);
    EXPECT_DOUBLE_EQ(area_m2(out), 1.0);
    clip(box(1, 1, 2, 2), box(0, 0, 5, 5), out);
    EXPECT_DOUBLE_EQ(area_m2(out), 1.0);
    clip(box(-9, -9, 9, 9), box(0, 0, 5, 5), out);
    EXPECT_DOUBLE_EQ(area_m2(out), 25.0);
    clip(box(6, 0, 7, 5), box(0, 0, 5, 5), out);
    EXPECT_TRUE(out.empty());
    clip(round(0, 0, 2.0, 400), box(0, 0, 5, 5), out);
    EXPECT_NEAR(area_m2(out), 0.25 * area_m2(round(0, 0, 2.0, 400)), 1e-12);
    const PlanePolygon u{{0, 0}, {3, 0}, {3, 3}, {2, 3}, {2, 1}, {1, 1}, {1, 3}, {0, 3}};
    clip(u, box(-1, 2, 9, 9), out);
    EXPECT_NEAR(area_m2(out), 2.0, 1e-12); // its two ends
}

double united_area_m2(const std::vector<PlanePolygon>& polygons)
{
    Patches patches;
    for (const PlanePolygon& p : polygons) patches.add(p);
    return patches.area_m2();
}

TEST(Patches, LeaveOutWhatLiesWithinAnother)
{
    Patches patches;
    for (const PlanePolygon& p : {box(1, 1, 2, 2), box(4, 0, 5, 1), box(0, 0, 3, 3), box(0, 0, 1, 1), PlanePolygon{}})
        patches.add(p);
    EXPECT_EQ(patches.size(), 2U);
    EXPECT_DOUBLE_EQ(patches.area_m2(), 10.0);
    patches.clear();
    patches.add(box(0, 0, 1, 1));
    EXPECT_EQ(patches.size(), 1U);
    EXPECT_DOUBLE_EQ(patches.area_m2(), 1.0);
}

TEST(Patches, CountEachPartOnce)
{
    EXPECT_EQ(united_area_m2({}), 0.0);
    EXPECT_DOUBLE_EQ(united_area_m2({box(0, 0, 2, 2), box(2, 0, 4, 2)}), 8.0); // side by side
    EXPECT_DOUBLE_EQ(united_area_m2({box(0, 0, 2, 2), box(1, 1, 3, 3)}), 7.0);
    EXPECT_DOUBLE_EQ(united_area_m2({box(0, 0, 3, 3), box(1, 1, 2, 2), box(0, 0, 3, 3)}), 9.0); // one in another, twice
    EXPECT_DOUBLE_EQ(united_area_m2({box(0, 0, 3, 1), box(0, 0, 1, 3), box(2, 0, 3, 3), box(0, 2, 3, 3)}), 8.0);
    EXPECT_NEAR(united_area_m2({round(0, 0, 1, 100), round(0.3, 0, 1, 100), round(0, 0.3, 1, 100)}),
                united_area_m2({round(0, 0.3, 1, 100), round(0, 0, 1, 100), round(0.3, 0, 1, 100)}), 1e-12);
}

} // namespace
} // namespace venture::plan
