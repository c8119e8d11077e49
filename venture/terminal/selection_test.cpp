#include <venture/terminal/selection.hpp>

#include <gtest/gtest.h>

#include <venture/services/wiring.hpp>
#include <venture/terminal/fan_coil.hpp>
#include <venture/terminal/radiator.hpp>

namespace venture::terminal {
namespace {

using rating::Service;

RadiatorData radiator_of(const char* name, double output_W)
{
    RadiatorData d;
    d.name = std::string{name};
    d.height = 0.6;
    d.length = 1.0;
    d.output = output_W;
    d.exponent = 1.3;
    return d;
}

FanCoilData coil()
{
    FanCoilData d;
    d.name = std::string{"coil"};
    d.air_flow = 0.1;
    d.entering_dry_bulb = 27.0;
    d.bypass_factor = 0.15;
    d.water_rise = 5.0;
    d.wet_bulbs = quantity::QuantityList{9.0, 13.0, 17.0, 19.0, 21.0};
    for (const auto& [supply, total, sensible] : {std::tuple{6.0, quantity::QuantityList{1400, 1400, 1450, 1850, 2250},
                                                             quantity::QuantityList{1400, 1400, 1350, 1250, 1150}},
                                                  {8.0, quantity::QuantityList{1230, 1230, 1250, 1600, 2000},
                                                   quantity::QuantityList{1230, 1230, 1200, 1120, 1040}}}) {
        FanCoilRow& row = d.at_water.emplace_back();
        row.supply = supply;
        row.total = total;
        row.sensible = sensible;
    }
    return d;
}

services::Circuit circuit(const char* name, Service carries, double supply_C, double return_C, const rating::Kind& unit,
                          std::size_t plant)
{
    return {
        .name = name, .carries = carries, .supply_C = supply_C, .return_C = return_C, .unit = &unit, .plants = {plant}};
}

services::Services two_circuits(std::size_t rooms)
{
    services::Services s;
    s.plants = {{"boiler"}, {"chiller"}};
    s.circuits = {circuit("warm", Service::heating, 70, 50, radiator, 0),
                  circuit("cold", Service::cooling, 7, 12, fan_coil, 1)};
    services::Servers both;
    both[Service::heating] = {{0}};
    both[Service::cooling] = {{1}};
    s.rooms.assign(rooms, both);
    services::wire(std::vector<services::Client>(rooms), s);
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

const rating::Stocks& some_products()
{
    static const rating::Stocks all = [] {
        rating::Stocks s;
        s.of(radiator).products.push_back(std::make_shared<const Radiator>(radiator_of("small", 800), ""));
        s.of(radiator).products.push_back(std::make_shared<const Radiator>(radiator_of("large", 1600), ""));
        s.of(fan_coil).products.push_back(std::make_shared<const FanCoil>(coil(), "coils.toml:3"));
        return s;
    }();
    return all;
}

TEST(SelectUnits, ChoosesARadiatorAndAFanCoil)
{
    const loads::RoomLoads loads{.rooms = {needs(700, 1200, 700)}};
    const auto units = select_units(loads, two_circuits(1), some_products());
    ASSERT_EQ(units.size(), 2u);
    EXPECT_EQ(units[0].choice.chosen->product().name(), "large");
    EXPECT_EQ(units[1].choice.chosen->product().name(), "coil");
    EXPECT_TRUE(units[0].met() && units[1].met());
}

TEST(SelectUnits, LeavesOutRoomsWithoutALoadOrAServer)
{
    services::Services nobody = two_circuits(1);
    nobody.rooms[0] = {};
    services::wire({{.room = "A"}}, nobody);
    EXPECT_TRUE(select_units({.rooms = {needs(700, 0, 0)}}, nobody, some_products()).empty());
    EXPECT_TRUE(select_units({.rooms = {needs(0, 0, 0)}}, two_circuits(1), some_products()).empty());
}

TEST(SelectUnits, RatesAKeptProductInsteadOfChoosing)
{
    services::Services s = two_circuits(1);
    s.kept = {{"A", Service::heating, "small", 1, 500.0, {}}};
    const auto units = select_units({.rooms = {needs(700, 0, 0)}}, s, some_products());
    ASSERT_TRUE(units[0].kept);
    EXPECT_FALSE(units[0].met()); // 800 W nominal gives less at 70/50/20
    EXPECT_NEAR(units[0].duty_moved, 0.4, 1e-12);
    EXPECT_NE(units[0].choice.chosen->in_words().find("% short"), std::string::npos);
}

TEST(SelectUnits, SaysWhenAKeptProductIsNotInTheCatalogue)
{
    services::Services s = two_circuits(1);
    s.kept = {{"A", Service::heating, "gone", 1, std::nullopt, {}}};
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
    ASSERT_TRUE(units[0].choice.refused);
    EXPECT_EQ(units[0].choice.refused->refused->why, rating::Refusal::Why::no_difference);
}

TEST(SelectUnits, AsksForMoistureOnlyWhereSomebodyLimitsIt)
{
    loads::RoomLoad dry_store = needs(0, 600, 550);
    dry_store.cooling_air_C = 18.0;
    dry_store.cooling_humidity_ratio = 0.0058; // dew point 5.9 degC, below the water
    const auto free = select_units({.rooms = {dry_store}}, two_circuits(1), some_products());
    ASSERT_TRUE(free.at(0).met());
    EXPECT_TRUE(free[0].choice.chosen->all().dry);
    dry_store.humidity_held = true;
    const auto held = select_units({.rooms = {dry_store}}, two_circuits(1), some_products());
    EXPECT_FALSE(held.at(0).met());
    ASSERT_TRUE(held[0].choice.next_down);
    EXPECT_EQ(held[0].choice.next_down->in_words(), "takes no moisture: the coil stays dry");
}

TEST(WhatUnitsTake, HoldsFanHeatAndWhatCondenses)
{
    FanCoilData with_fan = coil();
    with_fan.fan_power = 30.0;
    rating::Stocks stocks;
    stocks.of(fan_coil).products.push_back(std::make_shared<const FanCoil>(with_fan, ""));
    const services::Services services = two_circuits(1);
    const auto units = select_units({.rooms = {needs(0, 1200, 900)}}, services, stocks);
    ASSERT_TRUE(units.at(0).met());
    const rating::Rated& unit = *units[0].choice.chosen;
    rating::Demand taken{.sensible_W = std::vector<double>(24, 450.0), .latent_W = std::vector<double>(24, 10.0)};
    what_units_take(units)(units[0].node, Service::cooling, taken);
    const double runs = 450.0 / unit.all().sensible_W; // the harder part
    EXPECT_NEAR(taken.sensible_W[5], 450.0 + 30.0 * runs, 1e-9);
    EXPECT_NEAR(taken.latent_W[5], runs * (unit.all().gives_W[Service::cooling] - unit.all().sensible_W), 1e-9);
    rating::Demand elsewhere{.sensible_W = {450.0}};
    what_units_take(units)(services.places.rooms[0], Service::cooling, elsewhere);
    EXPECT_EQ(elsewhere.sensible_W[0], 450.0);
}

TEST(SelectUnits, PartARoomsNeedAmongItsCircuits)
{
    services::Services s = two_circuits(1);
    s.circuits.push_back(circuit("warm too", Service::heating, 70, 50, radiator, 0));
    s.rooms[0][Service::heating] = {{0, 0.7}, {2, 0.3}};
    services::wire(std::vector<services::Client>(1), s);
    const auto units = select_units({.rooms = {needs(1000, 0, 0)}}, s, some_products());
    ASSERT_EQ(units.size(), 2U);
    EXPECT_NEAR(units[0].duty.W, 700.0, 1e-9);
    EXPECT_NEAR(units[1].duty.W, 300.0, 1e-9);
}

/// Four pipes: one product for both, as large as the harder of both asks.
TEST(SelectUnits, ChooseOneProductForWhatTheSameUnitsHeatAndCool)
{
    rating::Stocks stocks;
    for (const auto& [name, heating_W] : {std::pair{"weak", 500.0}, {"strong", 2000.0}, {"stronger", 3000.0}}) {
        FanCoilData both = coil();
        both.name = std::string{name};
        both.heating = heating_W;
        both.heating_air = 20.0;
        both.heating_supply = 70.0;
        both.heating_return = 50.0;
        stocks.of(fan_coil).products.push_back(std::make_shared<const FanCoil>(both, ""));
    }
    services::Services s = two_circuits(1);
    s.circuits[0].unit = &fan_coil;
    services::wire({{.room = "A"}}, s);
    ASSERT_EQ(s.places.units.size(), 1U);
    const auto units = select_units({.rooms = {needs(1900, 1200, 900)}}, s, stocks);
    ASSERT_EQ(units.size(), 2U);
    for (const RoomSelection& unit : units) {
        ASSERT_TRUE(unit.met());
        EXPECT_EQ(unit.choice.chosen->called(), "strong");
    }
    const auto more = select_units({.rooms = {needs(25000, 1200, 900)}}, s, stocks);
    EXPECT_FALSE(more[0].met());
    EXPECT_FALSE(more[1].met());
    ASSERT_TRUE(more[1].choice.next_down);
    EXPECT_EQ(more[1].choice.next_down->duty.service, Service::heating); // it is the heating that fails
}

} // namespace
} // namespace venture::terminal
