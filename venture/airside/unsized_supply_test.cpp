#include <venture/airside/handled_hour.hpp>

#include <random>

#include <gtest/gtest.h>

#include <venture/quantity/error.hpp>

namespace venture::airside {
namespace {

using air::enthalpy_J_per_kg;

/// A zone in some state that asks for something, with outdoor air or without.
ZoneAsks random_asks(std::mt19937& random, bool with_outdoor_air)
{
    const auto between = [&](double low, double high) {
        return std::uniform_real_distribution<double>{low, high}(random);
    };
    ZoneAsks asks{{between(18.0, 27.0), between(0.004, 0.012)}, between(-9e3, 9e3), between(-8e-4, 8e-4)};
    asks.bounds = {12.0, 45.0, 0.0, 0.02};
    if (with_outdoor_air) {
        asks.outdoor_kg_per_s = between(0.01, 0.5);
        asks.outdoor_air = {between(-15.0, 38.0), between(0.001, 0.018)};
    }
    return asks;
}

TEST(UnsizedSupply, WithoutOutdoorAirDoesExactlyWhatTheZoneAsksFor)
{
    std::mt19937 random{3};
    for (int i = 0; i < 300; ++i) {
        const ZoneAsks asks = random_asks(random, false);
        const UnsizedSupply s = unsized_supply(asks);
        EXPECT_NEAR(s.sensible_W, asks.sensible_W, 1e-9 * 9e3);
        EXPECT_NEAR(s.latent_W, latent_of_moisture_W(asks.moisture_kg_per_s, asks.zone.dry_bulb_C), 1e-9 * 3e3);
        EXPECT_EQ(s.outdoor_air_load_W, 0.0);
        EXPECT_NEAR(s.unmet_sensible_W, 0.0, 1e-8);
    }
}

TEST(UnsizedSupply, HeatAndWaterCloseAtEveryNode)
{
    std::mt19937 random{7};
    for (int i = 0; i < 300; ++i) {
        ZoneAsks asks = random_asks(random, true);
        if (i % 3 == 0) asks.bounds.most_dry_air_kg_per_s = 0.6;
        if (i % 4 == 0) asks.bounds.most_heating_W = 3e3;
        if (i % 5 == 0) asks.bounds.most_cooling_W = 3e3;
        const UnsizedSupply s = unsized_supply(asks);
        const double m = s.dry_air_kg_per_s, outdoor = asks.outdoor_kg_per_s, h_zone = enthalpy_J_per_kg(asks.zone);
        EXPECT_GE(m, outdoor);
        // the mixture
        EXPECT_NEAR(m * s.mixed.humidity_ratio,
                    outdoor * asks.outdoor_air.humidity_ratio + (m - outdoor) * asks.zone.humidity_ratio, 1e-12);
        EXPECT_NEAR(m * enthalpy_J_per_kg(s.mixed),
                    outdoor * enthalpy_J_per_kg(asks.outdoor_air) + (m - outdoor) * h_zone, 1e-9 * m * 6e4);
        // the zone: what it is given is what the supply brings and the return takes away
        EXPECT_NEAR(s.given_sensible_W + latent_of_moisture_W(s.given_moisture_kg_per_s, asks.zone.dry_bulb_C),
                    m * (enthalpy_J_per_kg(s.supply) - h_zone), 1e-9 * m * 6e4);
        // the handler: what the zone is given, and outdoor air brought to the zone's state
        EXPECT_NEAR(s.total_W(), m * (enthalpy_J_per_kg(s.supply) - h_zone) + s.outdoor_air_load_W, 1e-9 * m * 6e4);
    }
}

TEST(UnsizedSupply, KeepsWithinItsBoundsOfTemperatureAndHumidity)
{
    std::mt19937 random{11};
    for (int i = 0; i < 300; ++i) {
        ZoneAsks asks = random_asks(random, true);
        asks.bounds.driest = 0.003;
        const UnsizedSupply s = unsized_supply(asks);
        if (asks.sensible_W > 0.0) {
            EXPECT_LE(s.supply.dry_bulb_C, asks.bounds.warmest_C + 1e-9);
        } else {
            EXPECT_GE(s.supply.dry_bulb_C, asks.bounds.coldest_C - 1e-9);
        }
        if (asks.moisture_kg_per_s < 0.0) {
            EXPECT_GE(s.supply.humidity_ratio, 0.003 - 1e-12);
        }
    }
}

TEST(UnsizedSupply, SaysWhatIsMissingWhereItFallsShort)
{
    ZoneAsks asks{{26.0, 0.0105}, -8e3, -1e-4};
    asks.bounds.most_cooling_W = 4e3;
    const UnsizedSupply s = unsized_supply(asks);
    EXPECT_EQ(s.limit, UnsizedSupply::Limit::cooling);
    EXPECT_NEAR(s.total_W(), -4e3, 1e-8);
    EXPECT_NEAR(s.unmet_sensible_W + s.given_sensible_W, -8e3, 1e-9);
    EXPECT_LT(s.unmet_sensible_W, 0.0);
}

TEST(UnsizedSupply, ABoundThatActsIsMetToTheLastDigit) // a rounding below it would be no air at all
{
    for (const double driest : {0.0, 0.004}) {
        ZoneAsks asks{{22.0, 0.0094}, 0.0, -1e-4, 1e-7, {10.0, 0.005}};
        asks.bounds.driest = driest;
        const UnsizedSupply s = unsized_supply(asks);
        EXPECT_EQ(s.flow_by, UnsizedSupply::FlowBy::supply_humidity);
        EXPECT_EQ(s.supply.humidity_ratio, driest);
        EXPECT_NEAR(s.given_moisture_kg_per_s, -1e-4, 1e-15);
    }
}

TEST(UnsizedSupply, IsNoDrierThanACoilLeavesUnlessTheRoomIs)
{
    const auto pressure = quantity::Pressure::pascal(101325.0);
    building::AirSupply supply;
    const double off_coil = 0.95 * air::saturation_humidity_ratio(quantity::Temperature::celsius(3.0), pressure);
    const air::Point moist{20.0, 0.014};
    EXPECT_NEAR(bounds_of(supply, {24.0, 0.0105}, moist, pressure).driest, off_coil, 1e-12);
    EXPECT_EQ(bounds_of(supply, {12.0, 0.003}, moist, pressure).driest, 0.0015);         // another dries there
    EXPECT_EQ(bounds_of(supply, {24.0, 0.0105}, {-5.0, 0.002}, pressure).driest, 0.002); // outdoor air as it comes
    EXPECT_GT(bounds_of(supply, {24.0, 0.0105}, moist, pressure).wettest, 0.0105);
    supply.driest_supply = 0.002;
    supply.wettest_supply = 0.003;
    EXPECT_EQ(bounds_of(supply, {24.0, 0.0105}, moist, pressure).driest, 0.002);
    supply.driest_supply = {};
    const SupplyBounds one_typed = bounds_of(supply, {24.0, 0.0105}, moist, pressure);
    EXPECT_LE(one_typed.driest, one_typed.wettest);
}

TEST(UnsizedSupply, VapourThatCarriesTheHeatNeedsNoMoreAir)
{
    const ZoneAsks asks{.zone = {21.0, 0.0045},
                        .sensible_W = -5.0,
                        .moisture_kg_per_s = 2e-4,
                        .outdoor_kg_per_s = 0.1,
                        .outdoor_air = {12.0, 0.004},
                        .bounds = {.coldest_C = -20.0, .warmest_C = 40.0, .driest = 0.001, .wettest = 0.012}};
    const UnsizedSupply s = unsized_supply(asks);
    EXPECT_EQ(s.dry_air_kg_per_s, 0.1);
    EXPECT_NEAR(s.given_sensible_W, -5.0, 1e-9);
    EXPECT_NEAR(s.given_moisture_kg_per_s, 2e-4, 1e-15);
}

TEST(UnsizedSupply, RefusesWhatCannotBe)
{
    ZoneAsks asks{{26.0, 0.0105}, -8e3, 0.0};
    asks.bounds.coldest_C = 27.0; // air warmer than the room cools by no flow
    asks.bounds.warmest_C = 40.0;
    EXPECT_THROW((void)unsized_supply(asks), quantity::RangeError);
    asks.bounds = {30.0, 20.0};
    EXPECT_THROW((void)unsized_supply(asks), quantity::RangeError);
    asks.bounds = {};
    asks.outdoor_kg_per_s = -0.1;
    EXPECT_THROW((void)unsized_supply(asks), quantity::RangeError);
}

} // namespace
} // namespace venture::airside
