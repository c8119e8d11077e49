/// Limits of a zone's humidity, by ratio and relative to what its own air can hold.

#include <algorithm>

#include <gtest/gtest.h>

#include <venture/air/point.hpp>
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

} // namespace
} // namespace venture::balance
