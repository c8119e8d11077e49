#include <venture/fabric/ground_year.hpp>

#include <cmath>
#include <numeric>

#include <gtest/gtest.h>

#include <venture/fabric/walls_for_tests.hpp>
#include <venture/quantity/error.hpp>

namespace venture::fabric {
namespace {

using namespace walls_for_tests; // NOLINT(google-build-using-namespace)

const GroundFloor slab{.area_m2 = 120.0, .exposed_perimeter_m = 44.0};
Buildup floor_layers() { return {"floor", {{wool, 0.1}, {concrete, 0.15}, {screed, 0.06}}}; }

TEST(GroundYear, HasLayersOfTheFloorsUValue)
{
    GroundFloor with_layers = slab;
    with_layers.floor_m2K_per_W = resistance(floor_layers());
    const GroundYear year = ground_year(slab, floor_layers(), {});
    EXPECT_NEAR(year.steady_W_per_K, slab_u_value(with_layers) * 120.0, 1e-9);
    EXPECT_NEAR(1.0 / (0.17 + resistance(year.layers)), slab_u_value(with_layers), 1e-12);
    EXPECT_EQ(year.layers.layers.size(), 5u);
}

TEST(GroundYear, LosesTheSteadyFlowInTheMeanAndMostAMonthAfterTheColdest)
{
    const YearlyTemperatures climate{.outdoor_mean_C = 9.0, .outdoor_amplitude_K = 7.5, .coldest_month = 1.0};
    const GroundYear year = ground_year(slab, floor_layers(), climate);
    const double mean = std::accumulate(year.heat_flow_W.begin(), year.heat_flow_W.end(), 0.0) / 12.0;
    EXPECT_NEAR(mean, year.steady_W_per_K * 11.0, 1e-9);
    EXPECT_EQ(std::ranges::max_element(year.heat_flow_W) - year.heat_flow_W.begin(), 1); // February
    EXPECT_NEAR(year.design_heat_flow_W, year.heat_flow_W[1], 1e-9);
    EXPECT_NEAR(year.design_ground_C, year.virtual_ground_C[1], 1e-9);
    for (std::size_t m = 0; m < 12; ++m)
        EXPECT_NEAR(year.steady_W_per_K * (20.0 - year.virtual_ground_C[m]), year.heat_flow_W[m], 1e-9);
}

TEST(GroundYear, IsTurnedBySixMonthsInTheSouth)
{
    const GroundYear north = ground_year(slab, floor_layers(), {.coldest_month = 1.0}),
                     south = ground_year(slab, floor_layers(), {.coldest_month = 7.0});
    for (std::size_t m = 0; m < 12; ++m) EXPECT_NEAR(north.heat_flow_W[m], south.heat_flow_W[(m + 6) % 12], 1e-9);
}

TEST(GroundYear, LosesLessWithInsulatedEdges)
{
    const GroundYear plain = ground_year(slab, floor_layers(), {});
    double before = plain.design_heat_flow_W;
    for (const double width : {0.3, 0.6, 1.2}) {
        for (const bool vertical : {false, true}) {
            const GroundYear y = ground_year(slab, floor_layers(), {}, {vertical, width, 0.08, 0.035});
            EXPECT_LT(y.design_heat_flow_W, before) << width << vertical;
            EXPECT_LT(y.periodic_W_per_K, plain.periodic_W_per_K);
            before = y.design_heat_flow_W;
        }
        before = plain.design_heat_flow_W;
    }
}

// --- basements

const Basement cellar{.floor = {.area_m2 = 80.0, .exposed_perimeter_m = 36.0, .floor_m2K_per_W = 1.0},
                      .depth_m = 2.4,
                      .wall_m2K_per_W = 1.5};

TEST(GroundYear, OfABasementHasTheUValuesOfTheStandard)
{
    Basement with_floor = cellar, with_wall = cellar;
    with_floor.floor.floor_m2K_per_W = resistance(floor_layers());
    with_wall.wall_m2K_per_W = resistance(floor_layers());
    const GroundYear floor = basement_floor_year(cellar, floor_layers(), {}),
                     walls = basement_wall_year(cellar, floor_layers(), {});
    EXPECT_NEAR(floor.steady_W_per_K, 80.0 * basement_u_values(with_floor).floor_W_per_m2K, 1e-9);
    EXPECT_NEAR(walls.steady_W_per_K, 36.0 * 2.4 * basement_u_values(with_wall).walls_W_per_m2K, 1e-9);
    EXPECT_NEAR(1.0 / (0.17 + resistance(floor.layers)), floor.u_value_W_per_m2K(), 1e-12);
    EXPECT_NEAR(1.0 / (0.13 + resistance(walls.layers)), walls.u_value_W_per_m2K(), 1e-12);
}

TEST(GroundYear, OfABasementFeelsTheYearLessTheDeeperItLies)
{
    Basement b = cellar;
    double floor = 1e9, by_wall_m2 = 1e9;
    for (const double depth : {0.5, 1.0, 2.0, 4.0}) {
        b.depth_m = depth;
        const GroundYear f = basement_floor_year(b, floor_layers(), {}), w = basement_wall_year(b, floor_layers(), {});
        EXPECT_LT(f.periodic_W_per_K, floor);
        EXPECT_LT(w.periodic_W_per_K / w.area_m2, by_wall_m2);
        floor = f.periodic_W_per_K;
        by_wall_m2 = w.periodic_W_per_K / w.area_m2;
    }
    b.depth_m = 1e-2; // a floor at the ground's level is a slab
    EXPECT_NEAR(basement_floor_year(b, floor_layers(), {}).periodic_W_per_K,
                ground_year(b.floor, floor_layers(), {}).periodic_W_per_K, 0.1);
}

TEST(GroundYear, OfAShallowWallHasLessSoilThanHalfAMetre)
{
    Basement b = cellar;
    b.depth_m = 0.3;
    const Buildup thin{"thin", {{concrete, 0.1}}};
    const GroundYear walls = basement_wall_year(b, thin, {});
    EXPECT_LT(walls.layers.layers[1].thickness_m, 0.5);
    EXPECT_GT(walls.layers.layers[0].resistance(), 0.0);
    EXPECT_NEAR(1.0 / (0.13 + resistance(walls.layers)), walls.u_value_W_per_m2K(), 1e-12);
}

// --- voids

TEST(GroundYear, OverAVoidHasTheUValueOfTheStandardAndAnswersAtOnce)
{
    SuspendedFloor floor{.ground = {.area_m2 = 60.0, .exposed_perimeter_m = 32.0}, .height_m = 0.4};
    const GroundYear year = suspended_floor_year(floor, floor_layers(), {.coldest_month = 1.0});
    floor.u_value_W_per_m2K = 1.0 / (0.34 + resistance(floor_layers()));
    EXPECT_NEAR(year.u_value_W_per_m2K(), suspended_floor_u_value(floor), 1e-12);
    EXPECT_NEAR(1.0 / (0.17 + resistance(year.layers)), year.u_value_W_per_m2K(), 1e-12);
    EXPECT_EQ(std::ranges::max_element(year.heat_flow_W) - year.heat_flow_W.begin(), 0); // January
    EXPECT_EQ(year.layers_of_ground, 1u);
}

TEST(GroundYear, OverAVoidAsOpenAsOutdoorsIsAFloorOverAir)
{
    const SuspendedFloor open{.ground = {.area_m2 = 60.0, .exposed_perimeter_m = 32.0},
                              .height_m = 0.4,
                              .vents_m2_per_m = 1.0,
                              .wind_m_per_s = 30.0,
                              .wind_shielding = 1.0};
    const GroundYear year = suspended_floor_year(open, floor_layers(), {});
    const double over_air = 60.0 / (0.34 + resistance(floor_layers()));
    EXPECT_NEAR(year.steady_W_per_K, over_air, 1e-3 * over_air);
    EXPECT_NEAR(year.periodic_W_per_K, over_air, 1e-3 * over_air);
}

TEST(YearlyDepth, IsThatOfTheStandardForItsKindsOfGround)
{
    EXPECT_NEAR(yearly_depth_m(1.5), 2.2, 0.05);
    EXPECT_NEAR(yearly_depth_m(2.0), 3.2, 0.05);
    EXPECT_NEAR(yearly_depth_m(3.5), 4.2, 0.05);
}

TEST(GroundYear, RefusesWhatIsNone)
{
    EXPECT_THROW((void)ground_year({.area_m2 = 0.0, .exposed_perimeter_m = 10.0}, floor_layers(), {}),
                 quantity::RangeError);
    EXPECT_THROW((void)ground_year(slab, floor_layers(), {.coldest_month = 14.0}), quantity::RangeError);
    EXPECT_THROW((void)yearly_depth_m(-1.0), quantity::RangeError);
}

} // namespace
} // namespace venture::fabric
