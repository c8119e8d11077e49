#include <venture/airside/coil_process.hpp>

#include <random>

#include <gtest/gtest.h>

#include <venture/airside/handled_hour.hpp>

namespace venture::airside {
namespace {

using air::Point;

const quantity::Pressure pressure = quantity::Pressure::pascal(101325.0);

TEST(CoilProcess, HeatAndWaterClose)
{
    std::mt19937 random{2};
    const auto between = [&](double low, double high) {
        return std::uniform_real_distribution<double>{low, high}(random);
    };
    for (int i = 0; i < 500; ++i) {
        const Point from{between(-5.0, 35.0), between(0.002, 0.014)}, to{between(8.0, 40.0), between(0.003, 0.006)};
        const double m = between(0.01, 2.0);
        const CoilProcess c = coil_process(from, to, m, pressure);
        for (const double part : {c.heating_W, c.cooling_sensible_W, c.cooling_latent_W, c.reheat_W,
                                  c.humidifying_kg_per_s, c.condensate_kg_per_s})
            EXPECT_GE(part, 0.0) << i;
        EXPECT_NEAR(c.all_heating_W() - c.cooling_W() + c.humidifying_W,
                    m * (enthalpy_J_per_kg(to) - enthalpy_J_per_kg(from)), 1e-6 * m * 1e5);
        EXPECT_NEAR(c.humidifying_kg_per_s - c.condensate_kg_per_s, m * (to.humidity_ratio - from.humidity_ratio),
                    1e-12);
        EXPECT_LE(c.reheat_W, c.cooling_sensible_W + 1e-9); // only undoes what was cooled
    }
}

TEST(CoilProcess, DryingCoolsToNearlySaturatedAndHeatsAgain)
{
    const Point from{24.0, 0.010}, to{20.0, 0.006};
    const CoilProcess c = coil_process(from, to, 1.0, pressure);
    const double off_C = 20.0 - c.reheat_W / air::heat_capacity_J_per_kgK(0.006);
    EXPECT_NEAR(air::relative_humidity(quantity::Temperature::celsius(off_C), 0.006, pressure), off_coil_humidity,
                1e-6);
    EXPECT_GT(c.reheat_W, 10e3);
    EXPECT_EQ(c.heating_W, 0.0);
    EXPECT_EQ(coil_process(from, {24.0, 0.010}, 1.0, pressure).reheat_W, 0.0);
    EXPECT_EQ(coil_process(from, to, 0.0, pressure).cooling_W(), 0.0);
}

// ---- an hour of a supply that gives everything

building::AirSupply supply(double recovery)
{
    building::AirSupply out{.name = "air", .gives_everything = true};
    out.heat_recovery = recovery;
    out.fan_pressure_Pa = 1000.0;
    out.fan_efficiency = 0.5;
    return out;
}

HourAsks asks(double outdoor_C, double sensible_W)
{
    const Point zone{22.0, 0.007};
    return {
        .zone = zone, .outdoor = {outdoor_C, 0.003}, .leaves = zone, .sensible_W = sensible_W, .outdoor_kg_per_s = 0.1};
}

TEST(HandledHour, GivesWhatIsAskedWhateverComesFromOutdoors)
{
    for (const input::FreeCooling rule :
         {input::FreeCooling::none, input::FreeCooling::dry_bulb, input::FreeCooling::enthalpy})
        for (double outdoor_C = -15.0; outdoor_C <= 36.0; outdoor_C += 1.5)
            for (const double sensible_W : {-4000.0, -500.0, 0.0, 700.0, 3000.0}) {
                building::AirSupply of = supply(0.7);
                of.free_cooling = rule;
                const HandledHour h = handled_hour(of, asks(outdoor_C, sensible_W));
                EXPECT_NEAR(h.supply.given_sensible_W, sensible_W, 1e-6);
                EXPECT_NEAR(h.coils.all_heating_W() - h.coils.cooling_W() + h.coils.humidifying_W, h.supply.total_W(),
                            1e-6);
                EXPECT_GE(h.outdoor_kg_per_s, 0.1);
                EXPECT_LE(h.outdoor_kg_per_s, h.supply.dry_air_kg_per_s + 1e-12);
            }
}

TEST(HandledHour, NothingIsRecoveredIntoAirThatIsThenCooledUnlessItCannotBePassedBy)
{
    building::AirSupply of = supply(0.8);
    const HandledHour with = handled_hour(of, asks(12.0, -3000.0));
    EXPECT_EQ(with.recovered_share, 0.0);
    EXPECT_GT(with.free_cooling_W, 0.0);
    of.bypass = false;
    const HandledHour without = handled_hour(of, asks(12.0, -3000.0));
    EXPECT_EQ(without.recovered_share, 0.8);
    EXPECT_GT(without.coils.cooling_W(), with.coils.cooling_W());
}

TEST(HandledHour, FreeCoolingTakesNoMoreOutdoorAirThanItsShareOfTheSupply)
{
    building::AirSupply of = supply(0.0);
    const double none_W = handled_hour(of, asks(16.0, -3000.0)).coils.cooling_W();
    of.free_cooling = input::FreeCooling::dry_bulb;
    const HandledHour all = handled_hour(of, asks(16.0, -3000.0));
    EXPECT_NEAR(all.outdoor_kg_per_s, all.supply.dry_air_kg_per_s, 1e-3 * all.supply.dry_air_kg_per_s);
    EXPECT_LT(all.coils.cooling_W(), none_W);
    of.greatest_outdoor_share = 0.6;
    const HandledHour some = handled_hour(of, asks(16.0, -3000.0));
    EXPECT_NEAR(some.outdoor_kg_per_s, 0.6 * some.supply.dry_air_kg_per_s, 1e-3 * some.supply.dry_air_kg_per_s);
}

TEST(HandledHour, FansTakeTheirPressureTimesTheFlow)
{
    for (const double height_m : {0.0, 2500.0}) {
        HourAsks hour = asks(5.0, 0.0);
        hour.pressure = air::standard_pressure(height_m);
        const double kg_per_m3 = hour.pressure.pascal() / (287.042 * 293.15);
        EXPECT_NEAR(handled_hour(supply(0.0), hour).fan_W, 1000.0 / 0.5 * 0.1 / kg_per_m3, 1e-9);
    }
}

} // namespace
} // namespace venture::airside
