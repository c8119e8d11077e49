#include <venture/air/processes.hpp>

#include <gtest/gtest.h>

#include <venture/quantity/error.hpp>

namespace venture::air {
namespace {

const Pressure p = Pressure::pascal(101325.0);
MoistAir air(double t_C, double phi) { return MoistAir::from_relative_humidity(Temperature::celsius(t_C), phi, p); }

// The table psychrometrics holds independent answers for every process; they are met in `verify`. Here are the laws.

TEST(Mixed, KeepsWaterAndEnthalpyAndLiesBetweenTheTwo)
{
    const Stream a{air(32.0, 0.5), 1.2}, b{air(21.0, 0.4), 2.1};
    const MixedAir m = mixed(a, b);
    EXPECT_NEAR(m.dry_air_kg_per_s, 3.3, 1e-12);
    EXPECT_NEAR(m.dry_air_kg_per_s * m.air.humidity_ratio(),
                1.2 * a.air.humidity_ratio() + 2.1 * b.air.humidity_ratio(), 1e-12);
    EXPECT_NEAR(m.dry_air_kg_per_s * enthalpy_J_per_kg(m.air),
                1.2 * enthalpy_J_per_kg(a.air) + 2.1 * enthalpy_J_per_kg(b.air), 1e-6);
    EXPECT_FALSE(m.supersaturated());
    EXPECT_EQ(mixed(b, a).air.humidity_ratio(), m.air.humidity_ratio());
}

TEST(Mixed, MakesFogOfWhatTheAirCannotHold)
{
    const MixedAir m = mixed({air(-20.0, 0.8), 1.4}, {air(24.0, 0.7), 1.2});
    EXPECT_TRUE(m.supersaturated());
    EXPECT_NEAR(relative_humidity(m.air), 1.0, 1e-9);
    EXPECT_GT(m.air.dry_bulb().celsius(), m.dry_bulb_without_fog_C); // condensing warms
}

TEST(Heated, ThereAndBackIsNothing)
{
    const MoistAir start = air(18.0, 0.5);
    const MoistAir warm = heated(start, 12e3);
    EXPECT_DOUBLE_EQ(warm.humidity_ratio(), start.humidity_ratio());
    EXPECT_NEAR(heated(warm, -12e3).dry_bulb().celsius(), 18.0, 1e-9);
    EXPECT_THROW((void)heated(start, -15e3), quantity::RangeError); // below its dew point of 7.4 degC
}

TEST(Cooled, SplitsItsHeatAndClosesItsWater)
{
    const MoistAir in = air(30.0, 0.5);
    const CooledAir out = cooled(in, Temperature::celsius(10.0), 0.15);
    EXPECT_NEAR(out.total_J_per_kg, enthalpy_J_per_kg(in) - enthalpy_J_per_kg(out.air), 1e-6);
    EXPECT_NEAR(out.condensate_kg_per_kg, in.humidity_ratio() - out.air.humidity_ratio(), 1e-15);
    EXPECT_GT(out.latent_J_per_kg(), 0.0);
    EXPECT_GT(out.sensible_heat_ratio(), 0.4);
    EXPECT_NEAR(cooled(in, Temperature::celsius(10.0), 1.0).air.dry_bulb().celsius(), 30.0, 1e-9); // all passes by
}

TEST(Cooled, StaysDryAboveTheDewPoint)
{
    const MoistAir in = air(30.0, 0.3); // dew point 10.5 degC
    const CooledAir out = cooled(in, Temperature::celsius(14.0), 0.1);
    EXPECT_DOUBLE_EQ(out.air.humidity_ratio(), in.humidity_ratio());
    EXPECT_NEAR(out.sensible_heat_ratio(), 1.0, 1e-12);
}

TEST(ApparatusBetween, UndoesCooled)
{
    const MoistAir in = air(31.0, 0.45);
    for (const double adp_C : {4.0, 9.0, 13.0})
        for (const double bypass : {0.0, 0.05, 0.2, 0.5}) {
            const Apparatus found = apparatus_between(in, cooled(in, Temperature::celsius(adp_C), bypass).air);
            EXPECT_NEAR(found.dew_point.celsius(), adp_C, 1e-5) << adp_C << " " << bypass;
            EXPECT_NEAR(found.bypass_factor, bypass, 1e-6) << adp_C << " " << bypass;
        }
}

TEST(ApparatusBetween, RefusesWhatNoSurfaceCanDo)
{
    const MoistAir in = air(30.0, 0.4);
    EXPECT_THROW((void)apparatus_between(in, air(31.0, 0.3)), quantity::Error);
    EXPECT_THROW((void)apparatus_between(in, air(28.0, 0.05)), quantity::Error); // drier than any line meets
}

TEST(Humidified, AdiabaticallyKeepsTheWetBulb)
{
    const MoistAir dry = air(33.0, 0.2);
    const MoistAir wetter = humidified_adiabatically(dry, 0.8);
    EXPECT_NEAR(wet_bulb(wetter).celsius(), wet_bulb(dry).celsius(), 1e-6);
    EXPECT_NEAR(relative_humidity(humidified_adiabatically(dry, 1.0)), 1.0, 1e-6);
    EXPECT_NEAR(humidified_adiabatically(dry, 0.0).humidity_ratio(), dry.humidity_ratio(), 1e-9);
}

TEST(Humidified, BySteamBarelyWarms)
{
    const MoistAir dry = air(20.0, 0.2);
    const MoistAir wetter = humidified_by_steam(dry, 0.004);
    EXPECT_NEAR(wetter.humidity_ratio() - dry.humidity_ratio(), 0.004, 1e-15);
    EXPECT_GT(wetter.dry_bulb(), dry.dry_bulb());
    EXPECT_LT(wetter.dry_bulb().celsius(), 21.5);
    EXPECT_THROW((void)humidified_by_steam(dry, 0.02), quantity::RangeError);
}

TEST(Recovered, GivesTheSupplyWhatTheExhaustLoses)
{
    const Stream outdoor{air(-5.0, 0.8), 1.0}, exhaust{air(22.0, 0.4), 1.3};
    const Recovered r = recovered(outdoor, exhaust, 0.75, 0.5);
    const double given = enthalpy_J_per_kg(r.supply) - enthalpy_J_per_kg(outdoor.air);
    EXPECT_NEAR(r.total_W, given, 1e-9);
    EXPECT_NEAR(r.supply.dry_bulb().celsius(), -5.0 + 0.75 * 27.0, 1e-9);
    EXPECT_NEAR((r.supply.humidity_ratio() - outdoor.air.humidity_ratio()) * 1.0,
                (exhaust.air.humidity_ratio() - r.exhaust_humidity_ratio) * 1.3, 1e-15);
    EXPECT_GT(r.total_W, r.sensible_W);
    EXPECT_DOUBLE_EQ(recovered(outdoor, exhaust, 0.0, 0.0).total_W, 0.0);
    EXPECT_THROW((void)recovered(outdoor, exhaust, 1.1, 0.0), quantity::RangeError);
}

TEST(FanHeatIs, PowerOverFlow)
{
    const FanHeat f = fan_heat(air(20.0, 0.5), 2.0, 600.0, 0.6, 0.9, false);
    EXPECT_NEAR(f.shaft_W, 2000.0, 1e-9);
    EXPECT_NEAR(f.electrical_W, 2222.2222, 1e-3);
    EXPECT_NEAR(f.rise_K, 2000.0 / (2.0 * 1.2 * 1015.0), 0.02);
    EXPECT_DOUBLE_EQ(fan_heat(air(20.0, 0.5), 2.0, 600.0, 0.6, 0.9, true).to_air_W, f.electrical_W);
    EXPECT_THROW((void)fan_heat(air(20.0, 0.5), 2.0, 600.0, 0.0, 0.9, false), quantity::RangeError);
}

} // namespace
} // namespace venture::air
