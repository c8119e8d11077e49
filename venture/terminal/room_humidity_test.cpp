#include <venture/terminal/room_humidity.hpp>

#include <gtest/gtest.h>

#include <venture/air/moist_air.hpp>
#include <venture/terminal/fan_coil.hpp>

namespace venture::terminal {
namespace {

using rating::At;
using rating::Service;

constexpr double at_sea_Pa = 101325.0;

FanCoil coil()
{
    FanCoilData d;
    d.name = std::string{"coil"};
    d.air_flow = 0.12;
    d.entering_dry_bulb = 27.0;
    d.water_rise = 5.0;
    d.total = 2200.0;
    d.sensible = 1650.0;
    d.entering_wet_bulb = 19.0;
    d.supply = 7.0;
    return {d, ""};
}

/// Cooled at 25 degC, held at 50 % while its load was found; `latent_W` keeps it there.
loads::RoomLoad room(double latent_W, double outdoor_air_kg_per_s)
{
    loads::RoomLoad load;
    load.cooled = true;
    load.cooling_air_C = 25.0;
    load.cooling_humidity_ratio = 0.00988;
    load.cooling_latent_W = latent_W;
    load.cooling_outdoor_air_kg_per_s = outdoor_air_kg_per_s;
    load.cooling_days.emplace_back();
    return load;
}

std::optional<RoomHumidity> humidity(const loads::RoomLoad& load, double supply_C = 7.0)
{
    static const FanCoil product = coil();
    const auto wet_bulb = air::wet_bulb(air::MoistAir::from_humidity_ratio(
        quantity::Temperature::celsius(25.0), load.cooling_humidity_ratio, quantity::Pressure::pascal(at_sea_Pa)));
    const auto at = rating::Conditions{}
                        .set(At::room, 25.0)
                        .set(At::entering_dry_bulb, 25.0)
                        .set(At::entering_wet_bulb, wet_bulb.celsius())
                        .set(At::water_supply, supply_C)
                        .set(At::water_return, supply_C + 5.0);
    const rating::Duty duty{.service = Service::cooling, .W = 1000.0 + load.cooling_latent_W, .sensible_W = 1000.0};
    return humidity_with(rating::rated_at(product, 1, at, duty), at, load, 1.0, at_sea_Pa);
}

TEST(RoomHumidity, BalancesWhatTheCoilTakesWithWhatComesIn)
{
    const loads::RoomLoad load = room(250.0, 0.03);
    const auto found = humidity(load);
    ASSERT_TRUE(found);
    const double takes_W = 1000.0 / found->all.sensible_W * found->all.latent_W(),
                 comes_W = 250.0 - 0.03 * air::latent_heat_of_vaporisation_J_per_kg *
                                       (found->humidity_ratio - load.cooling_humidity_ratio);
    EXPECT_NEAR(takes_W, comes_W, 0.1);
}

TEST(RoomHumidity, RisesWithMoistureAndFallsWithColderWater)
{
    EXPECT_GT(humidity(room(400.0, 0.03))->humidity_ratio, humidity(room(100.0, 0.03))->humidity_ratio);
    EXPECT_LT(humidity(room(250.0, 0.03), 7.0)->humidity_ratio, humidity(room(250.0, 0.03), 11.0)->humidity_ratio);
}

/// A dry coil leaves it to outdoor air: as humid as carries off what comes in.
TEST(RoomHumidity, OfACoilThatStaysDryIsThatOfOutdoorAirAndPeople)
{
    const loads::RoomLoad load = room(200.0, 0.1);
    const auto found = humidity(load, 18.0);
    ASSERT_TRUE(found);
    EXPECT_NEAR(found->humidity_ratio,
                load.cooling_humidity_ratio + 200.0 / (0.1 * air::latent_heat_of_vaporisation_J_per_kg), 1e-6);
    EXPECT_NEAR(humidity(room(900.0, 0.0), 18.0)->relative, 0.999, 1e-3); // nothing carries it off
}

TEST(RoomHumidity, IsNotToldOfTypedLoads)
{
    loads::RoomLoad typed = room(250.0, 0.03);
    typed.typed = true;
    EXPECT_FALSE(humidity(typed));
}

} // namespace
} // namespace venture::terminal
