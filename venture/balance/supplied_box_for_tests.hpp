#pragma once
/// A box with supply air, for tests.

#include <gtest/gtest.h>

#include <venture/balance/boxes_for_tests.hpp>
#include <venture/balance/periodic_day.hpp>

namespace venture::balance::testing_boxes {

inline constexpr double flow = 0.05; ///< kg/s

/// The box without its leakage, and supply air straight from outdoors.
inline ThermalModel supplied_box(double outdoor = outdoor_C)
{
    ThermalModel m = box(brick);
    m.zones[0].infiltration_kg_per_s.clear();
    m.signals[m.outdoor_air_C.index].start = {outdoor};
    m.zones[0].supply_air = SupplyAir{.least_kg_per_s = {{m.add_constant(flow)}},
                                      .temperature_C = m.outdoor_air_C,
                                      .humidity_ratio = m.outdoor_humidity_ratio};
    return m;
}

/// The last step of the day that comes back to itself.
inline ZoneStep settled(const ThermalModel& m, std::size_t zone = 0)
{
    ZoneStep out;
    const PeriodicDay day = run_periodic_day(m, {}, [&](std::size_t, const StepResult& r) {
        out = r.zones[zone];
        EXPECT_LE(std::abs(r.closure_W), 1e-9 * std::max(1.0, r.throughput_W));
    });
    EXPECT_TRUE(day.converged);
    EXPECT_EQ(day.unsettled_steps, 0);
    return out;
}

} // namespace venture::balance::testing_boxes
