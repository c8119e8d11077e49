#include <venture/air/carbon_dioxide.hpp>

#include <cmath>

#include <gtest/gtest.h>

#include <venture/air/demand_control.hpp>
#include <venture/quantity/error.hpp>

namespace venture::air {
namespace {

// The table ventilation holds independent answers, met in `verify`. Here are the laws.

const CarbonDioxideRoom room{180.0, 25.0 * 18e-3 / 3600.0, 420e-6};

TEST(CarbonDioxide, ComesToItsSteadyValueAndStaysThere)
{
    const double flow = 0.08, steady = steady_concentration(room, flow);
    EXPECT_NEAR(concentration_after(room, 420e-6, flow, 1e6), steady, 1e-12);
    EXPECT_NEAR(concentration_after(room, steady, flow, 3600.0), steady, 1e-15);
    EXPECT_NEAR(steady, room.outdoors + room.given_off_m3_per_s / flow, 1e-15);
}

TEST(CarbonDioxide, TwoHalvesOfATimeAreTheWhole)
{
    const double half = concentration_after(room, 600e-6, 0.05, 900.0);
    EXPECT_NEAR(concentration_after(room, half, 0.05, 900.0), concentration_after(room, 600e-6, 0.05, 1800.0), 1e-15);
}

TEST(CarbonDioxide, RisesInAStraightLineWithoutAir)
{
    EXPECT_NEAR(concentration_after(room, 420e-6, 0.0, 3600.0), 420e-6 + room.given_off_m3_per_s * 3600.0 / 180.0,
                1e-15);
}

TEST(CarbonDioxide, TheFlowThatIsFoundJustKeepsToTheLimit)
{
    const double flow = flow_to_stay_below_m3_per_s(room, 990e-6, 1000e-6, 900.0, 0.01, 1.0);
    EXPECT_GT(flow, 0.01);
    EXPECT_LT(flow, 1.0);
    EXPECT_NEAR(concentration_after(room, 990e-6, flow, 900.0), 1000e-6, 1e-10);
    EXPECT_EQ(flow_to_stay_below_m3_per_s(room, 430e-6, 1000e-6, 60.0, 0.01, 1.0), 0.01); // not needed
    EXPECT_EQ(flow_to_stay_below_m3_per_s(room, 2000e-6, 1000e-6, 60.0, 0.01, 0.1), 0.1); // not enough
    EXPECT_THROW((void)flow_to_stay_below_m3_per_s(room, 430e-6, 420e-6, 60.0, 0.01, 1.0), quantity::RangeError);
}

// ---- that follow the people

TEST(DemandControl, StandsBetweenItsFloorAndTheDesignFlow)
{
    const RoomNeed need{30.0, 7e-3, 60.0, 0.3e-3, 0.8};
    const std::vector<double> present{0.0, 0.2, 1.0, 0.0};
    const std::vector<bool> running{true, true, true, false};
    const auto flow = flow_by_head_count(need, present, running, 0.05, 3600.0, 0.0);
    EXPECT_EQ(flow[0], 0.05); // the floor: the building alone needs 0.0225
    EXPECT_NEAR(flow[1], (30.0 * 0.2 * 7e-3 + 60.0 * 0.3e-3) / 0.8, 1e-15);
    EXPECT_EQ(flow[2], need.supply_m3_per_s());
    EXPECT_EQ(flow[3], 0.0);
}

TEST(DemandControl, ALagComesAfterAndComesBackToItself)
{
    const RoomNeed need{10.0, 10e-3, 0.0, 0.0, 1.0};
    std::vector<double> present(24, 0.0);
    for (std::size_t i = 8; i < 12; ++i) present[i] = 1.0;
    const auto flow = flow_by_head_count(need, present, std::vector<bool>(24, true), 0.0, 3600.0, 1800.0);
    EXPECT_NEAR(flow[8], 0.1 * (1.0 - std::exp(-2.0)), 1e-9);
    EXPECT_GT(flow[12], 0.0); // still falls
    EXPECT_LT(flow[7], 1e-12);
    for (const double f : flow) EXPECT_LE(f, 0.1);
}

TEST(DemandControl, CarbonDioxideKeepsToTheLimitWithLessAirThanTheDesignFlow)
{
    const CarbonDioxideControl control{180.0, 18e-3 / 3600.0, 420e-6, 1000e-6, 0.01, 0.3};
    std::vector<double> people(96, 0.0);
    for (std::size_t i = 32; i < 48; ++i) people[i] = 25.0;
    const CarbonDioxideDay day = flow_by_carbon_dioxide(control, people, std::vector<bool>(96, true), 900.0);
    double sum = 0.0;
    for (std::size_t i = 0; i < 96; ++i) {
        EXPECT_LE(day.concentration[i], 1000e-6 + 1e-10);
        sum += day.flow_m3_per_s[i];
    }
    EXPECT_LT(sum, 96 * flow_for_rise_m3_per_s(25.0 * 18e-3 / 3600.0, 580e-6));
    EXPECT_LT(day.flow_m3_per_s[32], day.flow_m3_per_s[47]); // the room's own air serves first
}

} // namespace
} // namespace venture::air
