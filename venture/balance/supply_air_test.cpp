/// Zones that are supplied with air: what it must come to on paper, laws, and what is refused.

#include <array>
#include <bit>
#include <cmath>
#include <numeric>

#include <gtest/gtest.h>

#include <venture/air/point.hpp>
#include <venture/balance/periodic_day.hpp>
#include <venture/balance/run.hpp>
#include <venture/balance/supplied_box_for_tests.hpp>
#include <venture/quantity/error.hpp>

namespace venture::balance {
namespace {

using namespace testing_boxes;

constexpr double cp = 1006.0;

double walls_W_per_K() { return 60.0 / (0.4 + 0.25 + 0.04); } // faces alike: convection alone inside

TEST(SupplyAir, OfAGivenFlowIsVentilation)
{
    const ThermalModel m = supplied_box();
    ThermalModel by_window = m;
    by_window.zones[0].ventilation_kg_per_s = by_window.zones[0].supply_air->least_kg_per_s;
    by_window.zones[0].supply_air.reset();
    const ZoneStep supplied = settled(m), vented = settled(by_window);
    EXPECT_NEAR(supplied.heating_W, vented.heating_W, 1e-9 * vented.heating_W);
    EXPECT_NEAR(supplied.supply_air_W, -flow * cp * 25.0, 1e-9 * 1257.5);
    EXPECT_NEAR(supplied.humidity_ratio, vented.humidity_ratio, 1e-12);
    EXPECT_NEAR(supplied.heating_W, walls_W_per_K() * 25.0 + flow * cp * 25.0, 1e-6 * supplied.heating_W);
}

TEST(SupplyAir, RecoveryBringsItsShareOfTheDifferenceToTheZone)
{
    ThermalModel m = supplied_box();
    m.zones[0].supply_air->recovers_heat = 0.7;
    m.zones[0].supply_air->recovers_moisture = 0.4;
    m.zones[0].moisture_gain_kg_per_s = {{m.add_constant(1e-4)}};
    const ZoneStep z = settled(m);
    EXPECT_NEAR(z.recovered_W, 0.7 * flow * cp * 25.0, 1e-6);
    EXPECT_NEAR(z.heating_W, (walls_W_per_K() + 0.3 * flow * cp) * 25.0, 1e-6 * z.heating_W);
    EXPECT_NEAR(z.humidity_ratio, 0.002 + 1e-4 / (0.6 * flow), 1e-9);
    EXPECT_NEAR(z.supply_moisture_kg_per_s, -1e-4, 1e-12);
}

TEST(SupplyAir, RecoversLessWhereTheExhaustWouldFreeze)
{
    ThermalModel m = supplied_box(-20.0);
    m.zones[0].supply_air->recovers_heat = 0.9;
    m.zones[0].supply_air->coldest_exhaust_C = 1.0;
    const ZoneStep z = settled(m);
    EXPECT_NEAR(z.recovered_W, flow * cp * (20.0 - 1.0), 1e-4); // what leaves gives all it may
}

/// Warm inside by gains, cool outdoors.
ThermalModel box_to_be_cooled(double outdoor, double gains_W)
{
    ThermalModel m = supplied_box(outdoor);
    m.zones[0].heat_below_C = m.add_constant(20.0, Forcing::set_point);
    m.zones[0].cool_above_C = m.add_constant(24.0, Forcing::set_point);
    m.zones[0].convective_gain_W = {{m.add_constant(gains_W, Forcing::equipment)}};
    m.zones[0].supply_air->recovers_heat = 0.7;
    return m;
}

TEST(SupplyAir, GivesUpAsMuchRecoveryAsHoldsTheSetPoint)
{
    const double gains_W = 12.0 * walls_W_per_K() + 0.6 * flow * cp * 12.0; // recovers 0.4 of 12 K at 24 degC
    const ZoneStep z = settled(box_to_be_cooled(12.0, gains_W));
    EXPECT_NEAR(z.air_C, 24.0, 1e-6);
    EXPECT_EQ(z.cooling_W, 0.0);
    EXPECT_NEAR(z.recovered_W, 0.4 * flow * cp * 12.0, 1e-3);
}

TEST(SupplyAir, WithoutBypassItHeatsWhatIsThenCooled)
{
    ThermalModel m = box_to_be_cooled(12.0, 12.0 * walls_W_per_K() + 2000.0);
    const ZoneStep with = settled(m);
    m.zones[0].supply_air->bypass = false;
    const ZoneStep without = settled(m);
    EXPECT_NEAR(with.recovered_W, 0.0, 1e-9);
    EXPECT_NEAR(without.recovered_W, 0.7 * flow * cp * 12.0, 1e-6);
    EXPECT_NEAR(without.cooling_W - with.cooling_W, without.recovered_W, 1e-6);
}

TEST(SupplyAir, MoreOfItCoolsBeforeTheCoilDoes)
{
    const double more_W = 3000.0, gains_W = 12.0 * walls_W_per_K() + more_W;
    ThermalModel m = box_to_be_cooled(12.0, gains_W);
    m.zones[0].supply_air->most_kg_per_s = {{m.add_constant(1.0)}};
    const ZoneStep enough = settled(m);
    EXPECT_NEAR(enough.air_C, 24.0, 1e-6);
    EXPECT_NEAR(enough.supply_air_kg_per_s, more_W / (cp * 12.0), 1e-6);
    EXPECT_EQ(enough.cooling_W, 0.0);
    m.zones[0].supply_air->most_kg_per_s = {{m.add_constant(0.1)}};
    const ZoneStep limited = settled(m);
    EXPECT_NEAR(limited.supply_air_kg_per_s, 0.1, 1e-12);
    EXPECT_NEAR(limited.cooling_W, more_W - 0.1 * cp * 12.0, 1e-5);
}

TEST(SupplyAir, CooledFurtherTakesNoMoreOutdoorAirThanIsSupplied)
{
    const double more_W = 3000.0;
    ThermalModel m = box_to_be_cooled(18.0, 6.0 * walls_W_per_K() + more_W);
    m.zones[0].supply_air->cooled_further = SupplyAir::CooledFurther{.to_C = 14.0, .share = 1.0};
    const ZoneStep all = settled(m); // everything that is supplied comes from outdoors: 3 kW / (cp 10 K)
    EXPECT_NEAR(all.supply_air_kg_per_s, more_W / (cp * 10.0), 1e-6);
    EXPECT_NEAR(all.cooling_W, more_W * 4.0 / 10.0, 1e-4); // from 18 to 14 degC
    m.zones[0].supply_air->cooled_further->share = 0.5;
    EXPECT_NEAR(settled(m).supply_air_kg_per_s, 0.5 * more_W / (cp * 10.0), 1e-6);
}

TEST(SupplyAir, MoistAirIsRefusedByItsEnthalpy)
{
    ThermalModel m = box_to_be_cooled(20.0, 4.0 * walls_W_per_K() + 3000.0);
    m.zones[0].supply_air->most_kg_per_s = {{m.add_constant(1.0)}};
    m.zones[0].supply_air->more_by_enthalpy = true;
    m.zones[0].dry_above_kg_per_kg = m.add_constant(0.009, Forcing::moisture);
    m.zones[0].supply_air->humidity_ratio = m.add_constant(0.013, Forcing::moisture);
    EXPECT_NEAR(settled(m).supply_air_kg_per_s, flow, 1e-12);
    m.zones[0].supply_air->humidity_ratio = m.add_constant(0.008, Forcing::moisture);
    EXPECT_GT(settled(m).supply_air_kg_per_s, 0.5);
}

TEST(SupplyAir, MeetsTheAirOfTheZoneThatItLeavesFrom)
{
    ThermalModel m = two_boxes();
    m.zones[0].infiltration_kg_per_s.clear();
    m.zones[0].supply_air = SupplyAir{.least_kg_per_s = {{m.add_constant(flow)}},
                                      .temperature_C = m.outdoor_air_C,
                                      .humidity_ratio = m.outdoor_humidity_ratio,
                                      .recovers_heat = 0.8,
                                      .recovers_moisture = 0.5,
                                      .leaves_from = 1};
    m.zones[1].transfer_air = {{0, {{m.add_constant(flow)}}}};
    m.zones[1].moisture_gain_kg_per_s = {{m.add_constant(2e-5)}};
    const ZoneStep held = settled(m), behind = settled(m, 1);
    EXPECT_LT(behind.air_C, 19.0);
    EXPECT_NEAR(held.recovered_W, 0.8 * flow * cp * (behind.air_C - outdoor_C), 1e-3);
    EXPECT_NEAR(held.humidity_ratio, 0.002 + 0.5 * (behind.humidity_ratio - 0.002), 1e-9);
    EXPECT_NEAR(behind.humidity_ratio, held.humidity_ratio + 2e-5 / flow, 1e-9);
}

TEST(Moisture, ClosesOverEveryStep)
{
    ThermalModel m = box_to_be_cooled(12.0, 1500.0);
    Zone& zone = m.zones[0];
    zone.supply_air->most_kg_per_s = {{m.add_constant(0.4)}};
    zone.supply_air->recovers_moisture = 0.5;
    zone.moisture_gain_kg_per_s = {{m.add_blocks(wave(2e-4, 2e-4, 12.0), Forcing::moisture)}};
    zone.dry_above_kg_per_kg = m.add_constant(0.0045, Forcing::moisture);
    zone.wet_below_kg_per_kg = m.add_constant(0.003, Forcing::moisture);
    const HeatBalance balance{m};
    State state = balance.steady_state();
    StepResult r;
    for (std::size_t step = 0; step < m.steps; ++step) {
        const double before = state.humidity_ratio[0];
        balance.advance(state, step, r);
        const ZoneStep& z = r.zones[0];
        const double stored = zone.dry_air_kg * (state.humidity_ratio[0] - before) / m.step_s,
                     gained = m.value(zone.moisture_gain_kg_per_s, step, 0.5),
                     dried = (z.latent_W - z.humidifying_W) / air::latent_heat_of_vaporisation_J_per_kg;
        EXPECT_NEAR(z.supply_moisture_kg_per_s + gained - dried, stored, 1e-13);
    }
}

TEST(Capacity, FollowsTheAirOfTheZoneWithinTheStep)
{
    ThermalModel m = box_to_be_cooled(12.0, 12.0 * walls_W_per_K() + 6000.0);
    m.zones[0].most_cooling_W = m.add_constant(-5000.0, Forcing::limit); // nothing at 20 degC, 250 W for each kelvin
    m.zones[0].most_cooling_W_per_K = 250.0;
    const ZoneStep z = settled(m);
    EXPECT_GT(z.air_C, 25.0);
    EXPECT_NEAR(z.cooling_W, 250.0 * (z.air_C - 20.0), 1e-8);

    ThermalModel cold = supplied_box();
    cold.zones[0].heat_below_C = cold.add_constant(22.0, Forcing::set_point);
    cold.zones[0].most_heating_W = cold.add_constant(2700.0, Forcing::limit); // a body of 60 degC and 45 W/K
    cold.zones[0].most_heating_W_per_K = -45.0;
    const ZoneStep h = settled(cold);
    EXPECT_LT(h.air_C, 21.0);
    EXPECT_NEAR(h.heating_W, 45.0 * (60.0 - h.air_C), 1e-8);
}

/// Outdoor air, sun through walls, gains that jump: with bypass, free cooling and a coil behind.
ThermalModel busy_day(double step_s)
{
    ThermalModel m = box(brick, step_s);
    m.outdoor_air_C = m.add_points(wave(17.0, 9.0, 15.0), Forcing::outdoor_air);
    for (Surface& s : m.surfaces) s.outside = OutdoorFace{25.0, m.outdoor_air_C};
    Zone& zone = m.zones[0];
    zone.infiltration_kg_per_s.clear();
    zone.heat_below_C = m.add_constant(20.0, Forcing::set_point);
    zone.cool_above_C = m.add_constant(24.0, Forcing::set_point);
    std::vector<double> gains(24, 200.0);
    for (std::size_t h = 8; h < 18; ++h) gains[h] = 1600.0;
    zone.convective_gain_W = {{m.add_blocks(gains, Forcing::equipment)}};
    zone.supply_air = SupplyAir{.least_kg_per_s = {{m.add_constant(flow, Forcing::coefficient)}},
                                .most_kg_per_s = Drives{{m.add_constant(0.1, Forcing::coefficient)}},
                                .temperature_C = m.outdoor_air_C,
                                .humidity_ratio = m.outdoor_humidity_ratio,
                                .recovers_heat = 0.6};
    return m;
}

TEST(SupplyAir, AnswersAJumpInTheSameStep)
{
    const ThermalModel m = busy_day(600.0);
    std::vector<double> cooling;
    (void)run_periodic_day(m, {}, [&](std::size_t, const StepResult& r) {
        cooling.push_back(r.zones[0].cooling_W - r.zones[0].supply_air_W - r.zones[0].heating_W);
    });
    const std::size_t on = 8 * 6, off = 18 * 6;
    EXPECT_GT(cooling[on] - cooling[on - 1], 500.0);
    EXPECT_GT(cooling[off - 1] - cooling[off], 500.0);
}

TEST(SupplyAir, HalfTheStepMovesWhatCoilsTakeByLessThanHalfAPercent)
{
    const auto taken_J = [](double step_s) {
        const ThermalModel m = busy_day(step_s);
        double sum = 0.0;
        (void)run_periodic_day(m, {},
                               [&](std::size_t, const StepResult& r) { sum += r.zones[0].cooling_W * m.step_s; });
        return sum;
    };

    // Where a thermostat acts within a step, a step knows of it at its two stages: gains that jump eightfold in a room of
    // little air err most.
    for (const double step_s : {1800.0, 900.0, 600.0, 300.0})
        EXPECT_NEAR(taken_J(step_s), taken_J(step_s / 2.0), 0.005 * taken_J(step_s / 2.0)) << step_s;
}

TEST(SupplyAir, IsReplayedAsItWasAndItsForcingsAddUp)
{
    const ThermalModel m = busy_day(600.0);
    const HeatBalance balance{m};
    State start = balance.steady_state();
    Recording recording;
    State state = start;
    StepResult r;
    std::vector<double> told;
    const auto net_W = [](const StepResult& s) { return s.zones[0].heating_W - s.zones[0].cooling_W; };
    for (std::size_t step = 0; step < m.steps; ++step) {
        balance.advance(state, step, r, {.record = &recording});
        told.push_back(net_W(r));
    }
    state = start;
    for (std::size_t step = 0; step < m.steps; ++step) {
        balance.advance(state, step, r, {.replay = &recording});
        EXPECT_NEAR(net_W(r), told[step], 1e-9 * 3000.0);
    }
    // each forcing alone, from nothing; and what the state at the start brings by itself
    std::vector<double> sum(m.steps, 0.0);
    for (const Forcing kind : {Forcing::outdoor_air, Forcing::equipment, Forcing::set_point, Forcing::other}) {
        ThermalModel one = m;
        for (Signal& s : one.signals)
            if (s.forcing != kind && s.forcing != Forcing::coefficient) {
                std::ranges::fill(s.start, 0.0);
                std::ranges::fill(s.end, 0.0);
            }
        const HeatBalance alone{one};
        State from = kind == Forcing::other ? start : alone.state_at(0.0);
        if (kind == Forcing::other) from.humidity_ratio = start.humidity_ratio;
        for (std::size_t step = 0; step < m.steps; ++step) {
            alone.advance(from, step, r, {.replay = &recording});
            sum[step] += net_W(r);
        }
    }
    for (std::size_t step = 0; step < m.steps; ++step) EXPECT_NEAR(sum[step], told[step], 1e-6) << step;
}

/// Every number of a step, in the order of its declaration: it holds nothing else.
std::vector<double> numbers_of(const ZoneStep& step)
{
    const auto all = std::bit_cast<std::array<double, sizeof(ZoneStep) / sizeof(double)>>(step);
    return {all.begin(), all.end()};
}

TEST(HoursOfADay, HoldEveryMeanOfTheirSteps)
{
    ThermalModel m = busy_day(900.0);
    m.zones[0].dry_above_kg_per_kg = m.add_constant(0.0045, Forcing::moisture);
    m.zones[0].wet_below_kg_per_kg = m.add_constant(0.0044, Forcing::moisture);
    m.zones[0].moisture_gain_kg_per_s = {{m.add_blocks(wave(1e-4, 1e-4, 12.0), Forcing::moisture)}};
    m.zones[0].thermal_bridges_W_per_K = 3.0;
    m.zones[0].infiltration_kg_per_s = m.zones[0].ventilation_kg_per_s = {{m.add_constant(0.002)}};
    std::vector<std::vector<double>> sums(24), ends(24);
    const PeriodicDay day = run_periodic_day(m, {}, [&](std::size_t step, const StepResult& r) {
        const std::vector<double> now = numbers_of(r.zones[0]);
        std::vector<double>& hour = sums[step / 4];
        hour.resize(now.size(), 0.0);
        for (std::size_t i = 0; i < now.size(); ++i) hour[i] += 0.25 * now[i];
        ends[step / 4] = now;
    });
    std::size_t means = 0;
    for (std::size_t h = 0; h < 24; ++h) {
        const std::vector<double> told = numbers_of(day.zones[0].parts[h]);
        for (std::size_t i = 0; i < told.size(); ++i) {
            const bool mean = std::abs(told[i] - sums[h][i]) <= 1e-9 * std::max(1.0, std::abs(sums[h][i]));
            if (mean) ++means;
            EXPECT_TRUE(mean || told[i] == ends[h][i]) << "number " << i << " of a step is lost in hour " << h;
        }
    }
    EXPECT_GT(means, 24u * 18u);
}

TEST(SupplyAir, OfAnOrderIsJustThat)
{
    ThermalModel m = supplied_box();
    RunOptions options{.steps = 6, .run_in_days = 1.0};
    options.control = [](const Moment&, Orders& orders) {
        orders[0].supply_air_kg_per_s = 0.02;
        return true;
    };
    options.watch = [](std::size_t, const StepResult& r) { EXPECT_NEAR(r.zones[0].supply_air_kg_per_s, 0.02, 1e-12); };
    (void)run(m, options);
}

TEST(SupplyAir, RefusesWhatCannotBe)
{
    const auto refused = [](auto change) {
        ThermalModel m = supplied_box();
        change(m, *m.zones[0].supply_air);
        EXPECT_THROW(HeatBalance{m}, quantity::RangeError);
    };
    refused([](ThermalModel&, SupplyAir& a) { a.recovers_heat = 1.3; });
    refused([](ThermalModel&, SupplyAir& a) { a.recovers_moisture = -0.1; });
    refused([](ThermalModel&, SupplyAir& a) { a.leaves_from = 7; });
    refused([](ThermalModel& m, SupplyAir& a) { a.most_kg_per_s = Drives{{m.add_constant(0.5 * flow)}}; });
    refused([](ThermalModel& m, SupplyAir& a) { a.least_kg_per_s = {{m.add_constant(-flow)}}; });
    refused([](ThermalModel& m, SupplyAir&) { m.zones[0].most_cooling_W_per_K = -1.0; });
}

} // namespace
} // namespace venture::balance
