#include <venture/terminal/unit_heater.hpp>

#include <gtest/gtest.h>

namespace venture::terminal {
namespace {

using rating::At;
using rating::Service;

UnitHeaterData heater()
{
    UnitHeaterData d;
    d.name = std::string{"heater"};
    d.air_flow = 0.5;
    d.heating = 13e3;
    d.heating_air = 15.0;
    d.heating_supply = 70.0;
    d.heating_return = 50.0;
    d.fan_power = 100.0;
    d.sound = 60.0;
    return d;
}

rating::Conditions at(double supply_C, double return_C, double air_C)
{
    return rating::Conditions{}
        .set(At::water_supply, supply_C)
        .set(At::water_return, return_C)
        .set(At::entering_dry_bulb, air_C);
}

TEST(UnitHeater, GivesBackItsRatingWithTheHeatOfItsFan)
{
    const auto out = std::get<rating::Output>(UnitHeater{heater(), ""}.rate(at(70, 50, 15)));
    EXPECT_NEAR(out.gives_W[Service::heating], 13e3 + 100.0, 1.0);
    EXPECT_NEAR(out.water_kg_per_s, 13e3 / (rating::specific_heat_of_water_J_per_kgK * 20.0), 1e-4);
}

TEST(UnitHeater, GivesLessIntoWarmerAndThinnerAir)
{
    const UnitHeater product{heater(), ""};
    const auto gives = [&](const rating::Conditions& c) {
        return std::get<rating::Output>(product.rate(c)).gives_W[Service::heating];
    };
    EXPECT_LT(gives(at(70, 50, 20)), gives(at(70, 50, 15)));
    EXPECT_LT(gives(at(70, 50, 15).set(At::air_pressure, 80e3)), gives(at(70, 50, 15)));
    EXPECT_LT(gives(at(60, 45, 15)), gives(at(70, 50, 15)));
}

TEST(UnitHeater, RefusesWaterColderThanTheAir)
{
    EXPECT_TRUE(std::holds_alternative<rating::Refusal>(UnitHeater{heater(), ""}.rate(at(15, 12, 20))));
}

TEST(UnitHeater, IsAProductOfItsOwnAtEachSpeed)
{
    UnitHeaterData d = heater();
    d.speed = std::string{"low"};
    EXPECT_EQ((UnitHeater{d, ""}.name()), "heater at low");
}

TEST(UnitHeater, ThatNoCoilCouldBeIsRefused)
{
    UnitHeaterData d = heater();
    d.heating = 80e3; // more than the air could take
    EXPECT_THROW((UnitHeater{d, ""}), quantity::Error);
}

} // namespace
} // namespace venture::terminal
