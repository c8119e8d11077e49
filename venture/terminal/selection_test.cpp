#include <venture/terminal/selection.hpp>

#include <gtest/gtest.h>

#include <venture/quantity/error.hpp>

namespace venture::terminal {
namespace {

using services::Duty;

FanCoil coil()
{
    return {.name = "coil",
            .maker = "",
            .air_flow_m3_per_s = 0.1,
            .table_dry_bulb_C = 27.0,
            .bypass_factor = 0.1,
            .water_rise_K = 5.0,
            .total_W = {"coil", {6.0, 8.0}, {15.0, 21.0}, {{1000, 1600}, {900, 1400}}},
            .sensible_W = {"coil", {6.0, 8.0}, {15.0, 21.0}, {{900, 800}, {850, 700}}}};
}

services::Services two_circuits(std::size_t rooms)
{
    services::Services s;
    s.plants = {{"boiler"}, {"chiller", services::PlantKind::chiller}};
    s.circuits = {{"warm", Duty::heating, 70, 50, services::UnitKind::radiator, 0},
                  {"cold", Duty::cooling, 7, 12, services::UnitKind::fan_coil, 1}};
    s.rooms.assign(rooms, {0, 1});
    return s;
}

loads::RoomLoad needs(double heating_W, double total_W, double sensible_W)
{
    return {.room = "A",
            .heated = heating_W > 0,
            .cooled = total_W > 0,
            .heating_W = heating_W,
            .cooling_W = total_W,
            .cooling_sensible_W = sensible_W,
            .cooling_latent_W = total_W - sensible_W,
            .cooling_sensible_peak_W = sensible_W,
            .cooling_air_C = 26.0,
            .cooling_humidity_ratio = 0.0105};
}

Products some_products() { return {{{"small", "", 0.6, 0.8, 800, 1.3}, {"large", "", 0.6, 1.6, 1600, 1.3}}, {coil()}}; }

TEST(RadiatorOutput, FollowsItsOwnLaw)
{
    EXPECT_NEAR(radiator_output_W({"r", "", 0.6, 1.0, 1000, 1.3}, 75, 65, 20), 1000.0, 1e-9);
}

TEST(FanCoilCapacity, InterpolatesAndMovesTheSensiblePartWithTheDryBulb)
{
    const FanCoilCapacity at_table = fan_coil_capacity(coil(), 7.0, 12.0, 27.0, 18.0);
    EXPECT_NEAR(at_table.total_W, 0.25 * (1000 + 1600 + 900 + 1400), 1e-9);
    EXPECT_NEAR(at_table.sensible_W, 0.25 * (900 + 800 + 850 + 700), 1e-9);
    const FanCoilCapacity cooler = fan_coil_capacity(coil(), 7.0, 12.0, 25.0, 18.0);
    EXPECT_NEAR(at_table.sensible_W - cooler.sensible_W, 1.2 * 1005.0 * 0.1 * 0.9 * 2.0, 1e-9);
    EXPECT_DOUBLE_EQ(cooler.total_W, at_table.total_W);
}

TEST(FanCoilCapacity, NeverLetsTheSensiblePartExceedTheTotal)
{
    const FanCoilCapacity hot = fan_coil_capacity(coil(), 7.0, 12.0, 45.0, 15.0);
    EXPECT_DOUBLE_EQ(hot.sensible_W, hot.total_W);
}

TEST(FanCoilCapacity, RefusesConditionsOutsideItsTables)
{
    EXPECT_THROW((void)fan_coil_capacity(coil(), 5.0, 10.0, 27.0, 18.0), quantity::RangeError);
    EXPECT_THROW((void)fan_coil_capacity(coil(), 7.0, 12.0, 27.0, 25.0), quantity::RangeError);
    EXPECT_THROW((void)fan_coil_capacity(coil(), 7.0, 13.0, 27.0, 18.0), quantity::RangeError); // another water rise
}

TEST(SelectUnits, ChoosesARadiatorAndAFanCoil)
{
    const loads::RoomLoads loads{.rooms = {needs(700, 1100, 700)}};
    const auto units = select_units(loads, two_circuits(1), some_products());
    ASSERT_EQ(units.size(), 2u);
    EXPECT_EQ(units[0].choice.chosen->product, "large");
    EXPECT_EQ(units[1].choice.chosen->product, "coil");
    EXPECT_TRUE(units[0].met() && units[1].met());
}

TEST(SelectUnits, LeavesOutRoomsWithoutALoadOrAServer)
{
    services::Services nobody = two_circuits(1);
    nobody.rooms[0] = {};
    EXPECT_TRUE(select_units({.rooms = {needs(700, 0, 0)}}, nobody, some_products()).empty());
    EXPECT_TRUE(select_units({.rooms = {needs(0, 0, 0)}}, two_circuits(1), some_products()).empty());
}

TEST(SelectUnits, RatesAKeptProductInsteadOfChoosing)
{
    services::Services s = two_circuits(1);
    s.kept = {{"A", Duty::heating, "small", 1, 500.0, {}}};
    const auto units = select_units({.rooms = {needs(700, 0, 0)}}, s, some_products());
    ASSERT_TRUE(units[0].kept);
    EXPECT_FALSE(units[0].met()); // 800 W nominal gives less at 70/50/20
    EXPECT_NEAR(units[0].duty_moved, 0.4, 1e-12);
    EXPECT_NE(units[0].choice.chosen->in_words().find("% short"), std::string::npos);
}

TEST(SelectUnits, SaysWhenAKeptProductIsNotInTheCatalogue)
{
    services::Services s = two_circuits(1);
    s.kept = {{"A", Duty::heating, "gone", 1, std::nullopt, {}}};
    const auto units = select_units({.rooms = {needs(700, 0, 0)}}, s, some_products());
    EXPECT_TRUE(units[0].kept_unknown);
    EXPECT_FALSE(units[0].met());
}

TEST(SelectUnits, MeetsNothingWhenTheWaterIsTooCold)
{
    services::Services s = two_circuits(1);
    s.circuits[0].supply_C = 18.0;
    s.circuits[0].return_C = 16.0;
    const auto units = select_units({.rooms = {needs(700, 0, 0)}}, s, some_products());
    EXPECT_FALSE(units[0].met());
    EXPECT_FALSE(units[0].choice.all.front().refused.empty());
}

} // namespace
} // namespace venture::terminal
