/// Limits of a zone's humidity, by ratio and relative to what its own air can hold.

#include <algorithm>

#include <gtest/gtest.h>

#include <venture/air/point.hpp>
#include <venture/balance/run.hpp>
#include <venture/balance/supplied_box_for_tests.hpp>
#include <venture/quantity/error.hpp>

namespace venture::balance {
namespace {

using namespace testing_boxes;

TEST(HumidityLimits, IsAddedBelowItsLowerLimit)
{
    ThermalModel m = supplied_box();
    m.zones[0].wet_below_kg_per_kg = m.add_constant(0.006, Forcing::moisture);
    const ZoneStep z = settled(m);
    EXPECT_NEAR(z.humidity_ratio, 0.006, 1e-12);
    EXPECT_NEAR(z.humidifying_W, flow * 0.004 * air::latent_heat_of_vaporisation_J_per_kg, 1e-6);
    EXPECT_EQ(z.latent_W, 0.0);
}

TEST(HumidityLimits, IsHeldAtARelativeHumidityOfTheZonesOwnAir)
{
    ThermalModel m = supplied_box();
    m.pressure_Pa = 90000.0;
    Zone& zone = m.zones[0];
    zone.heat_below_C = zone.cool_above_C = std::nullopt;
    zone.dry_above_relative = zone.wet_below_relative = m.add_constant(0.45, Forcing::moisture);
    zone.convective_gain_W = {{m.add_points(wave(2000.0, 900.0, 12.0))}};
    double coldest_C = 1e9, warmest_C = -1e9;
    (void)run_periodic_day(m, {}, [&](std::size_t, const StepResult& r) {
        const ZoneStep& z = r.zones[0];
        const auto t = quantity::Temperature::celsius(z.air_C);
        EXPECT_NEAR(air::relative_humidity(t, z.humidity_ratio, quantity::Pressure::pascal(90000.0)), 0.45,
                    1e-5); // means over a step of a fifth of a kelvin, over which saturation is curved
        coldest_C = std::min(coldest_C, z.air_C);
        warmest_C = std::max(warmest_C, z.air_C);
    });
    EXPECT_GT(warmest_C - coldest_C, 3.0);
}

TEST(HumidityLimits, TheStricterOfTwoLimitsHolds)
{
    ThermalModel m = supplied_box();
    Zone& zone = m.zones[0];
    zone.wet_below_kg_per_kg = m.add_constant(0.004, Forcing::moisture);
    zone.wet_below_relative = m.add_constant(0.5, Forcing::moisture);
    const ZoneStep relative = settled(m);
    EXPECT_NEAR(relative.humidity_ratio,
                air::humidity_ratio_at(0.5, quantity::Temperature::celsius(relative.air_C),
                                       quantity::Pressure::pascal(m.pressure_Pa)),
                1e-12);
    zone.dry_above_kg_per_kg = m.add_constant(0.005, Forcing::moisture); // drying goes before
    EXPECT_NEAR(settled(m).humidity_ratio, 0.005, 1e-12);
}

TEST(HumidityLimits, IsHeldWhereBothLimitsAreOne)
{
    ThermalModel m = supplied_box();
    m.zones[0].wet_below_kg_per_kg = m.zones[0].dry_above_kg_per_kg = m.add_constant(0.007, Forcing::moisture);
    m.zones[0].moisture_gain_kg_per_s = {{m.add_blocks(wave(2.5e-4, 2.5e-4, 12.0), Forcing::moisture)}};
    (void)run_periodic_day(
        m, {}, [](std::size_t, const StepResult& r) { EXPECT_NEAR(r.zones[0].humidity_ratio, 0.007, 1e-12); });
}

TEST(HumidityLimits, RefusesMoreThanSaturatedAir)
{
    ThermalModel m = supplied_box();
    m.zones[0].dry_above_relative = m.add_constant(45.0, Forcing::moisture);
    EXPECT_THROW((void)run_periodic_day(m), quantity::RangeError);
}

/// Moisture in a box that stays as it is, with what removes or adds it.
ThermalModel damp_box(double gain_kg_per_s, double outdoor = outdoor_C)
{
    ThermalModel m = supplied_box(outdoor);
    m.zones[0].moisture_gain_kg_per_s = {{m.add_constant(gain_kg_per_s, Forcing::moisture)}};
    return m;
}

constexpr double hfg = air::latent_heat_of_vaporisation_J_per_kg;

TEST(HumidityLimits, LimitedDryingLeavesTheRestInTheAir)
{
    ThermalModel m = damp_box(4e-4);
    const double floats = settled(m).humidity_ratio;
    m.zones[0].dry_above_kg_per_kg = m.add_constant(0.004, Forcing::moisture);
    const double asked_W = settled(m).latent_W;
    m.zones[0].most_drying_kg_per_s = m.add_constant(1.5e-4, Forcing::limit);
    const ZoneStep z = settled(m);
    EXPECT_NEAR(z.latent_W, 1.5e-4 * hfg, 1e-9);
    EXPECT_NEAR(z.humidity_ratio, floats - 1.5e-4 / flow, 1e-9); // what it takes is missing in the air that leaves
    m.signals.back().start = {1.001 * asked_W / hfg};
    EXPECT_NEAR(settled(m).humidity_ratio, 0.004, 1e-12);
}

TEST(HumidityLimits, LimitedHumidifyingLeavesTheAirTooDry)
{
    ThermalModel m = damp_box(0.0);
    const double floats = settled(m).humidity_ratio;
    m.zones[0].wet_below_relative = m.add_constant(0.5, Forcing::moisture);
    m.zones[0].most_humidifying_kg_per_s = m.add_constant(5e-5, Forcing::limit);
    const ZoneStep z = settled(m);
    EXPECT_NEAR(z.humidifying_W, 5e-5 * hfg, 1e-9);
    EXPECT_NEAR(z.humidity_ratio, floats + 5e-5 / flow, 1e-9);
    EXPECT_EQ(z.latent_W, 0.0);
}

TEST(HumidityLimits, OfCoolingWithLatentHeatTemperatureGoesFirst)
{
    ThermalModel m = damp_box(4e-4, 25.0);
    Zone& zone = m.zones[0];
    zone.convective_gain_W = {{m.add_constant(500.0)}};
    zone.dry_above_kg_per_kg = m.add_constant(0.004, Forcing::moisture);
    const ZoneStep all = settled(m);
    ASSERT_GT(all.cooling_W, 100.0);
    ASSERT_GT(all.latent_W, 100.0);
    zone.most_cooling_with_latent_W = m.add_constant(all.cooling_W + 0.25 * all.latent_W, Forcing::limit);
    const ZoneStep some = settled(m);
    EXPECT_NEAR(some.cooling_W, all.cooling_W, 1e-6);
    EXPECT_NEAR(some.latent_W, 0.25 * all.latent_W, 1e-6);
    EXPECT_GT(some.humidity_ratio, 0.0041);
    m.signals[zone.most_cooling_with_latent_W->index].start = {0.5 * all.cooling_W};
    const ZoneStep least = settled(m);
    EXPECT_NEAR(least.cooling_W, 0.5 * all.cooling_W, 1e-9);
    EXPECT_EQ(least.latent_W, 0.0);
    EXPECT_GT(least.air_C, all.air_C + 0.5);
}

TEST(HumidityLimits, RunsCountHoursInWhichTheyAreMissed)
{
    ThermalModel m = damp_box(0.0);
    m.zones[0].moisture_gain_kg_per_s = {{m.add_blocks({0.0, 4e-4, 0.0, 0.0}, Forcing::moisture)}};
    m.zones[0].dry_above_kg_per_kg = m.add_constant(0.0055, Forcing::moisture);
    EXPECT_EQ(run(m).zones[0].too_humid_h, 0.0);
    m.zones[0].most_drying_kg_per_s = m.add_constant(1e-4, Forcing::limit);
    const ZoneRun limited = run(m).zones[0];
    EXPECT_GT(limited.too_humid_h, 5.0); // the six hours of the gain, but for its beginning
    EXPECT_LT(limited.too_humid_h, 8.0);
    EXPECT_EQ(limited.too_dry_h, 0.0);
    m.zones[0].wet_below_kg_per_kg = m.add_constant(0.0055, Forcing::moisture);
    m.zones[0].most_humidifying_kg_per_s = m.add_constant(0.0, Forcing::limit);
    EXPECT_GT(run(m).zones[0].too_dry_h, 10.0);
}

TEST(HumidityLimits, LimitedMoistureDoesNotFollowTheStep)
{
    const auto latent_J = [](double step_s) {
        ThermalModel m = damp_box(0.0);
        m.step_s = step_s;
        m.steps = static_cast<std::size_t>(86400.0 / step_s);
        m.walls = box(brick, step_s).walls;
        m.zones[0].moisture_gain_kg_per_s = {{m.add_points(wave(2e-4, 2e-4, 14.0), Forcing::moisture)}};
        m.zones[0].dry_above_kg_per_kg = m.add_constant(0.005, Forcing::moisture);
        m.zones[0].most_drying_kg_per_s = m.add_constant(1e-4, Forcing::limit);
        return run(m).zones[0].latent_J;
    };
    EXPECT_NEAR(latent_J(300.0), latent_J(600.0), 0.005 * latent_J(300.0));
}

TEST(HumidityLimits, RefusesNegativeCapacities)
{
    ThermalModel m = supplied_box();
    m.zones[0].most_drying_kg_per_s = m.add_constant(-1e-4, Forcing::limit);
    EXPECT_THROW((void)run_periodic_day(m), quantity::RangeError);
}

} // namespace
} // namespace venture::balance
