#include <venture/plan/convex.hpp>
#include <venture/plan/polygon.hpp>

#include <cmath>
#include <random>

#include <gtest/gtest.h>

#include <venture/quantity/error.hpp>

namespace venture::plan {
namespace {

Polygon metres(double x0, double y0, double x1, double y1)
{
    return rectangle(to_grid(x0), to_grid(y0), to_grid(x1), to_grid(y1));
}

TEST(Grid, RoundTripsToAHundredthOfAMillimetre)
{
    for (const double x : {0.0, 1.0, -3.14159, 123.456781}) EXPECT_NEAR(to_metres(to_grid(x)), x, 0.5e-5);
    EXPECT_THROW((void)to_grid(1e300), quantity::RangeError);
    EXPECT_THROW((void)to_grid(std::nan("")), quantity::RangeError);
}

TEST(Area, IsExactForHandWorkedShapes)
{
    EXPECT_NEAR(area_m2(metres(0, 0, 5, 4)), 20.0, 1e-9);
    Ring l_shape;
    for (const auto& [x, y] : {std::pair{0, 0}, {6, 0}, {6, 2}, {2, 2}, {2, 5}, {0, 5}})
        l_shape.push_back({to_grid(x), to_grid(y)});
    EXPECT_NEAR(area_m2(l_shape), 6.0 * 2.0 + 2.0 * 3.0, 1e-9);
}

TEST(Difference, LeavesAHoleWhereOneLiesInsideTheOther)
{
    const Polygons ring = difference({metres(0, 0, 10, 10)}, {metres(4, 4, 6, 6)});
    ASSERT_EQ(ring.size(), 1u);
    EXPECT_EQ(ring[0].holes.size(), 1u);
    EXPECT_NEAR(area_m2(ring), 96.0, 1e-9);
}

TEST(Difference, LeavesTwoPiecesWhereOneIsCutThrough)
{
    const Polygons pieces = difference({metres(0, 0, 10, 2)}, {metres(4, -1, 6, 3)});
    EXPECT_EQ(pieces.size(), 2u);
    EXPECT_NEAR(area_m2(pieces), 16.0, 1e-9);
}

TEST(SetOperations, ShareOutTheWhole)
{
    std::mt19937 random{7};
    std::uniform_real_distribution<double> coordinate{-20.0, 20.0}, size{0.5, 15.0};
    for (int i = 0; i < 300; ++i) {
        const double x = coordinate(random), y = coordinate(random), u = coordinate(random), v = coordinate(random);
        const Polygon a = metres(x, y, x + size(random), y + size(random)),
                      b = metres(u, v, u + size(random), v + size(random));
        EXPECT_NEAR(area_m2(intersection({a}, {b})) + area_m2(difference({a}, {b})), area_m2(a), 1e-6) << "trial " << i;
        EXPECT_NEAR(area_m2(intersection({a}, {b})), area_m2(intersection({b}, {a})), 1e-9);
    }
}

TEST(IsSimple, TellsProperOutlinesFromOthers)
{
    EXPECT_TRUE(is_simple({{0, 0}, {100000, 0}, {100000, 100000}}));
    EXPECT_FALSE(is_simple({{0, 0}, {100000, 0}}));
    EXPECT_FALSE(is_simple({{0, 0}, {100000, 100000}, {100000, 0}, {0, 100000}})); // crosses itself
    EXPECT_FALSE(is_simple({{0, 0}, {100000, 0}, {200000, 0}}));                   // encloses nothing
    EXPECT_FALSE(is_simple({{0, 0}, {100000, 0}, {100000, 100000}, {100000, 0}})); // a point twice
}

TEST(Side, IsExactForLargeCoordinates)
{
    const std::int64_t far = 1000000000000; // 10,000 km
    EXPECT_EQ(side({-far, -far}, {far, far}, {1, 0}), -1);
    EXPECT_EQ(side({-far, -far}, {far, far}, {0, 1}), 1);
    EXPECT_EQ(side({-far, -far}, {far, far}, {5, 5}), 0);
}

TEST(LabelPoint, LiesInsideAnLShape)
{
    const Polygon l{{{0, 0}, {600000, 0}, {600000, 200000}, {200000, 200000}, {200000, 500000}, {0, 500000}}, {}};
    const GridPoint p = label_point(l);
    EXPECT_TRUE((p.x < 600000 && p.y < 200000) || (p.x < 200000 && p.y < 500000));
    EXPECT_GT(p.x, 0);
    EXPECT_GT(p.y, 0);
}

TEST(ConvexParts, AreOneOfAnotherAndMissNothing)
{
    const auto corner = [](double x, double y) { return GridPoint{to_grid(x), to_grid(y)}; };
    const Ring l{corner(0, 0), corner(4, 0), corner(4, 1), corner(1, 1), corner(1, 3), corner(0, 3)},
        star{corner(0, 0), corner(2, 0.5), corner(4, 0), corner(3.5, 2),
             corner(4, 4), corner(2, 3.4), corner(0, 4), corner(0.5, 2)},
        hole{corner(1, 1), corner(1, 2), corner(3, 2.5), corner(3, 1)};
    for (const Polygon& whole :
         {Polygon{l, {}}, Polygon{star, {}}, Polygon{star, {hole}}, rectangle(0, 0, to_grid(5.0), to_grid(7.0))}) {
        const Polygons parts = convex_parts(whole);
        EXPECT_NEAR(area_m2(parts), area_m2(whole), 1e-5);
        EXPECT_NEAR(area_m2(united(parts)), area_m2(parts), 1e-5); // none over another
        EXPECT_NEAR(area_m2(intersection(parts, {whole})), area_m2(parts), 1e-5);
        for (const Polygon& part : parts) {
            EXPECT_TRUE(part.holes.empty());
            PlanePolygon spots;
            for (const GridPoint p : part.outline) spots.push_back({to_metres(p.x), to_metres(p.y)});
            EXPECT_TRUE(is_convex(spots));
        }
    }
    EXPECT_EQ(convex_parts(rectangle(0, 0, 5'000'000, 7'000'000)).size(), 1U);
    EXPECT_EQ(convex_parts({l, {}}).size(), 2U);
}

} // namespace
} // namespace venture::plan
