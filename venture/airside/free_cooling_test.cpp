#include <venture/airside/free_cooling.hpp>

#include <gtest/gtest.h>

#include <venture/airside/recovery_frost.hpp>
#include <venture/quantity/error.hpp>

namespace venture::airside {
namespace {

const quantity::Pressure pressure = quantity::Pressure::pascal(101325.0);
air::MoistAir moist(double t_C, double phi)
{
    return air::MoistAir::from_relative_humidity(quantity::Temperature::celsius(t_C), phi, pressure);
}

Handling handling(double outdoor_C, FreeCooling rule)
{
    Handling out{rule, moist(outdoor_C, 0.5), moist(24.0, 0.5)};
    out.recovery_effectiveness = 0.6;
    return out;
}

TEST(FreeCooling, NeverRecoversHeatIntoAirThatIsThenCooled)
{
    for (double outdoor_C = -20.0; outdoor_C <= 40.0; outdoor_C += 0.5)
        for (const FreeCooling rule : {FreeCooling::none, FreeCooling::dry_bulb, FreeCooling::enthalpy}) {
            const Handled h = handle(handling(outdoor_C, rule));
            EXPECT_FALSE(h.coil && h.recovered_J_per_kg > 1e-9) << outdoor_C;
            EXPECT_FALSE(h.coil && h.heating_J_per_kg > 0.0) << outdoor_C;
            EXPECT_NEAR(h.off_coil.dry_bulb_C, 14.0, 1e-7);
            EXPECT_GE(h.outdoor_share, 0.2);
            EXPECT_LE(h.outdoor_share, 1.0);
        }
}

TEST(FreeCooling, NeverCostsSensibleCoolingByTheDryBulb)
{
    for (double outdoor_C = -20.0; outdoor_C <= 40.0; outdoor_C += 0.5) {
        const auto sensible = [&](FreeCooling rule) {
            const Handled h = handle(handling(outdoor_C, rule));
            return h.coil ? h.coil->cooled.sensible_J_per_kg : 0.0;
        };
        EXPECT_LE(sensible(FreeCooling::dry_bulb), sensible(FreeCooling::none) + 1e-6) << outdoor_C;
    }
}

TEST(FreeCooling, MoistAirThatIsCoolerIsRefusedByEnthalpyAlone)
{
    const Handling humid{FreeCooling::enthalpy, moist(23.0, 0.95), moist(24.0, 0.5)};
    EXPECT_TRUE(may_cool(FreeCooling::dry_bulb, point_of(humid.outdoor), point_of(humid.back)));
    EXPECT_EQ(handle(humid).mode, Handled::Mode::cooling);
    EXPECT_EQ(handle(humid).outdoor_share, 0.2);
}

TEST(FreeCooling, RefusesSharesThatAreNone)
{
    Handling wrong = handling(5.0, FreeCooling::none);
    wrong.recovery_effectiveness = 1.3;
    EXPECT_THROW((void)handle(wrong), quantity::RangeError);
    wrong = handling(5.0, FreeCooling::none);
    wrong.least_outdoor_share = 1.1;
    EXPECT_THROW((void)handle(wrong), quantity::RangeError);
}

TEST(Frost, BothWaysKeepTheExhaustAtItsLimit)
{
    const RecoveryAtFrost given{-20.0, 21.0, 800.0, 600.0, 0.8, 1.0};
    const FrostProtected got = protected_from_frost(given);
    ASSERT_TRUE(got.limit_acts);
    const double gives_W = given.extract_W_per_K * (given.extract_C - given.coldest_exhaust_C);
    EXPECT_NEAR(given.outdoor_W_per_K * (got.supply_C - given.outdoor_C), gives_W, 1e-6);
    EXPECT_NEAR(given.outdoor_W_per_K * (got.supply_when_preheated_C - got.preheated_C), gives_W, 1e-6);
    EXPECT_NEAR(effectiveness_at_frost(0.8, -20.0, 21.0, 1.0), 20.0 / 41.0, 1e-12);
    EXPECT_EQ(effectiveness_at_frost(0.8, 5.0, 21.0, 1.0), 0.8);
    EXPECT_EQ(effectiveness_at_frost(0.8, 30.0, 24.0, 1.0), 0.8); // recovers cold
}

} // namespace
} // namespace venture::airside
