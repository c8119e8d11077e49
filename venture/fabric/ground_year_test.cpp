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
