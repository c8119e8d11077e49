#include <venture/balance/heat_balance.hpp>

#include <algorithm>
#include <cmath>
#include <numeric>

#include <gtest/gtest.h>

#include <venture/balance/boxes_for_tests.hpp>
#include <venture/balance/periodic_day.hpp>
#include <venture/quantity/error.hpp>

namespace venture::balance {
namespace {

using namespace testing_boxes;

double mean(const std::vector<double>& x)
{
    return std::accumulate(x.begin(), x.end(), 0.0) / static_cast<double>(x.size());
}

TEST(SteadyHeatLoss, EqualsTheSumOnPaper)
{
    // All faces are alike, so no net radiation flows and the inside film is convection alone:
    // 60 m2 / (1/2.5 + 0.2/0.8 + 1/25) * 25 K + 0.02 kg/s * 1006 J/kgK * 25 K
    const double paper_W = 60.0 / (0.4 + 0.25 + 0.04) * 25.0 + 0.02 * 1006.0 * 25.0;
    const PeriodicDay day = run_periodic_day(box(brick));
    ASSERT_TRUE(day.converged);
    for (const double w : day.zones[0].heating_W) EXPECT_NEAR(w, paper_W, 1e-6 * paper_W);
    EXPECT_EQ(mean(day.zones[0].cooling_W), 0.0);
}

TEST(SteadyHeatLoss, HeldOnTheOperativeTemperatureNeedsWarmerAir)
{
    ThermalModel m = box(brick);
    m.zones[0].radiant_weight = 0.5;
    const PeriodicDay day = run_periodic_day(m);
    EXPECT_NEAR(day.zones[0].operative_C[0], set_C, 1e-9);
    EXPECT_GT(day.zones[0].air_C[0], set_C + 0.5);
    EXPECT_GT(day.zones[0].heating_W[0], mean(run_periodic_day(box(brick)).zones[0].heating_W));
}

TEST(HeatBalance, ClosesAtEveryStepUnderWildForcing)
{
    ThermalModel m = box(brick);
    std::vector<double> swing, gains;
    for (int h = 0; h < 24; ++h) {
        swing.push_back(10.0 + 15.0 * std::sin(h * 0.26));
        gains.push_back(h % 5 == 0 ? 3000.0 : 0.0);
    }
    m.outdoor_air_C = m.add_points(swing);
    m.zones[0].convective_gain_W = {{m.add_blocks(gains)}};
    m.zones[0].radiant_gain_W = {{m.add_blocks(gains), 0.7}};
    std::get<ZoneFace>(m.surfaces[2].inside).absorbed_W = {{m.add_points(swing), 40.0}};
    m.zones[0].heat_below_C = m.add_constant(18.0);
    m.zones[0].cool_above_C = m.add_constant(24.0);
    double worst = 0.0;
    const PeriodicDay day = run_periodic_day(m, {}, [&](std::size_t, const StepResult& r) {
        worst = std::max(worst, std::abs(r.closure_W) / std::max(1.0, r.throughput_W));
    });
    EXPECT_TRUE(day.converged);
    EXPECT_EQ(day.unsettled_steps, 0);
    EXPECT_LE(worst, 1e-9);
}

TEST(DeadBand, LeavesTheRoomAloneBetweenItsSetPoints)
{
    ThermalModel m = box(brick);
    std::vector<double> swing;
    for (int h = 0; h < 24; ++h) swing.push_back(21.0 + 14.0 * std::sin((h - 8) * 0.2618));
    m.outdoor_air_C = m.add_points(swing);
    m.zones[0].heat_below_C = m.add_constant(20.0);
    m.zones[0].cool_above_C = m.add_constant(24.0);
    for (auto& s : m.surfaces) s.outside = OutdoorFace{25.0, m.outdoor_air_C};
    const PeriodicDay day = run_periodic_day(m, {}, [](std::size_t, const StepResult& r) {
        const ZoneStep& z = r.zones[0];
        constexpr double part_of_a_step_K = 0.3; // a thermostat may act in the second stage of a step only
        EXPECT_EQ(z.heating_W * z.cooling_W, 0.0);
        EXPECT_TRUE(z.heating_W == 0.0 || std::abs(z.air_C - 20.0) < part_of_a_step_K);
        EXPECT_TRUE(z.cooling_W == 0.0 || std::abs(z.air_C - 24.0) < part_of_a_step_K);
        EXPECT_GE(z.air_end_C, 20.0 - 1e-6);
        EXPECT_LE(z.air_end_C, 24.0 + 1e-6);
    });
    ASSERT_TRUE(day.converged);
    EXPECT_GT(mean(day.zones[0].heating_W) + mean(day.zones[0].cooling_W), 0.0);
}

TEST(PeriodicDay, IsTheSameWhetherToldWhileRepeatedOrOnceMore)
{
    ThermalModel m = box(brick);
    std::vector<double> swing;
    for (int h = 0; h < 24; ++h) swing.push_back(8.0 * std::sin((h - 8) * 0.2618));
    m.outdoor_air_C = m.add_points(swing);
    for (auto& s : m.surfaces) s.outside = OutdoorFace{25.0, m.outdoor_air_C};
    constexpr double near_K = 1e-6;
    const PeriodicDay told = run_periodic_day(m, {.temperature_tolerance_K = near_K});
    double watched_W = 0.0;
    const PeriodicDay once_more =
        run_periodic_day(m, {.temperature_tolerance_K = near_K}, [&](std::size_t, const StepResult& r) {
            watched_W += r.zones[0].heating_W / static_cast<double>(m.steps);
        });
    ASSERT_EQ(told.zones[0].heating_W.size(), 24U);
    EXPECT_EQ(told.days, once_more.days);
    const double peak_W = *std::ranges::max_element(told.zones[0].heating_W);
    for (std::size_t h = 0; h < 24; ++h) {
        EXPECT_NEAR(told.zones[0].heating_W[h], once_more.zones[0].heating_W[h], 1e-6 * peak_W);
        EXPECT_NEAR(told.zones[0].parts[h].from_faces_W[0], once_more.zones[0].parts[h].from_faces_W[0], 1e-6 * peak_W);
    }
    EXPECT_NEAR(mean(once_more.zones[0].heating_W), watched_W, 1e-9 * peak_W);
}

TEST(PeriodicDay, IsRunOnceFromWhereItBeganBeforeAndIsRecordedOnTheWay)
{
    ThermalModel m = box(brick);
    std::vector<double> swing;
    for (int h = 0; h < 24; ++h) swing.push_back(8.0 * std::sin((h - 8) * 0.2618));
    m.outdoor_air_C = m.add_points(swing);
    for (auto& s : m.surfaces) s.outside = OutdoorFace{25.0, m.outdoor_air_C};
    const PeriodicDay before = run_periodic_day(m);
    Recording recorded;
    PeriodicOptions again{.record = &recorded, .near = &before.begin};
    const PeriodicDay once = run_periodic_day(m, again);
    EXPECT_EQ(once.days, 1);
    const PeriodicDay replayed = run_periodic_day(m, {.temperature_tolerance_K = 1e-9, .replay = &recorded});
    const double peak_W = *std::ranges::max_element(before.zones[0].heating_W);
    ASSERT_GT(peak_W, 0.0);
    for (std::size_t h = 0; h < 24; ++h) {
        EXPECT_NEAR(once.zones[0].heating_W[h], before.zones[0].heating_W[h], 1e-6 * peak_W);
        EXPECT_NEAR(replayed.zones[0].heating_W[h], before.zones[0].heating_W[h], 1e-6 * peak_W);
    }
}

TEST(Superposition, HoldsForGainsInAHeldRoom)
{
    const auto with = [](double first_W, double second_W) {
        ThermalModel m = box(brick);
        std::vector<double> morning(24, 0.0), evening(24, 0.0);
        morning[8] = 1.0;
        evening[19] = 1.0;
        m.zones[0].radiant_gain_W = {{m.add_blocks(morning), first_W}, {m.add_blocks(evening), second_W}};
        std::vector<double> load;
        const PeriodicDay day = run_periodic_day(m, {.temperature_tolerance_K = 1e-9});
        for (std::size_t h = 0; h < 24; ++h) load.push_back(day.zones[0].heating_W[h] - day.zones[0].cooling_W[h]);
        return load;
    };
    const auto none = with(0, 0), a = with(900, 0), b = with(0, 500), both = with(900, 500);
    for (std::size_t h = 0; h < 24; ++h) EXPECT_NEAR(both[h] - none[h], (a[h] - none[h]) + (b[h] - none[h]), 1e-3);
}

TEST(Gains, ComeBackOverTheDayInFull)
{
    ThermalModel m = box(brick);
    std::vector<double> pulse(24, 0.0);
    pulse[10] = 2400.0;
    const double before = mean(run_periodic_day(m).zones[0].heating_W);
    m.zones[0].convective_gain_W = {{m.add_blocks(pulse)}};
    const PeriodicDay day = run_periodic_day(m, {.temperature_tolerance_K = 1e-8});
    EXPECT_NEAR(before - (mean(day.zones[0].heating_W) - mean(day.zones[0].cooling_W)), 100.0, 1e-3);
}

TEST(Peaks, HardlyDependOnTheStep)
{
    const auto peak = [](double step_s) {
        ThermalModel m = box(brick, step_s);
        std::vector<double> swing;
        for (int h = 0; h < 24; ++h) swing.push_back(5.0 + 8.0 * std::sin(h * 0.2618));
        m.outdoor_air_C = m.add_points(swing);
        for (auto& s : m.surfaces) s.outside = OutdoorFace{25.0, m.outdoor_air_C};
        const auto day = run_periodic_day(m);
        return *std::ranges::max_element(day.zones[0].heating_W);
    };
    const double exact = peak(60.0);
    EXPECT_NEAR(peak(600.0), exact, 0.005 * exact);
    EXPECT_NEAR(peak(3600.0), exact, 0.02 * exact);
}

TEST(Moisture, SettlesWhereVentilationCarriesItAway)
{
    ThermalModel m = box(brick);
    m.zones[0].moisture_gain_kg_per_s = {{m.add_constant(1e-4)}};
    const PeriodicDay day = run_periodic_day(m);
    EXPECT_NEAR(day.zones[0].humidity_ratio[12], 0.002 + 1e-4 / 0.02, 1e-9);
}

TEST(Moisture, IsHeldAtItsLimitByALatentLoad)
{
    ThermalModel m = box(brick);
    m.zones[0].moisture_gain_kg_per_s = {{m.add_constant(1e-4)}};
    m.zones[0].dry_above_kg_per_kg = m.add_constant(0.005);
    const PeriodicDay day = run_periodic_day(m);
    EXPECT_NEAR(day.zones[0].humidity_ratio[12], 0.005, 1e-12);
    const double removed_kg_per_s = 1e-4 - 0.02 * (0.005 - 0.002);
    EXPECT_NEAR(day.zones[0].latent_W[12], removed_kg_per_s * 2.501e6, 1e-6);
}

TEST(HeatBalance, SolvesOddRooms)
{
    ThermalModel no_capacity = box(brick);
    no_capacity.zones[0].air_capacity_J_per_K = 0.0;
    ThermalModel mixed = box({"mixed",
                              {{.material = {"steel", 50, 7800, 450}, .thickness_m = 0.001},
                               {.material = {"brick", 0.8, 1800, 1000}, .thickness_m = 1.0}}});
    ThermalModel glass = box({"glass", {{.resistance_m2K_per_W = 0.5}}});
    ThermalModel windy = box(brick);
    windy.zones[0].infiltration_kg_per_s = {{windy.add_constant(1.0)}}; // 50 air changes
    ThermalModel closed = box(brick);
    for (auto& s : closed.surfaces) s.outside = InsulatedFace{};
    for (const ThermalModel& m : {no_capacity, mixed, glass, windy, closed}) {
        const PeriodicDay day = run_periodic_day(m);
        EXPECT_TRUE(day.converged);
        EXPECT_LE(day.worst_closure, 1e-6);
        EXPECT_TRUE(std::isfinite(day.zones[0].heating_W[0]));
    }
}

// --- zones together, supplies and their limits

TEST(ZonesTogether, DoNotDependOnTheOrderOfTheModel)
{
    const ThermalModel m = two_boxes();
    ThermalModel turned = m;
    std::swap(turned.zones[0], turned.zones[1]);
    std::ranges::reverse(turned.surfaces);
    for (Surface& s : turned.surfaces)
        for (Face* face : {&s.outside, &s.inside})
            if (auto* z = std::get_if<ZoneFace>(face)) z->zone = 1 - z->zone;
    const PeriodicDay a = run_periodic_day(m), b = run_periodic_day(turned);
    EXPECT_EQ(a.zones[0].heating_W, b.zones[1].heating_W); // to the bit
    EXPECT_EQ(a.zones[1].air_C, b.zones[0].air_C);
    EXPECT_EQ(a.zones[1].humidity_ratio, b.zones[0].humidity_ratio);
    EXPECT_GT(a.zones[1].air_C[5], outdoor_C);
    EXPECT_LT(a.zones[1].air_C[5], set_C);
}

TEST(ZonesTogether, CarryHeatAndMoistureWithTransferAir)
{
    ThermalModel m = two_boxes();
    m.zones[0].moisture_gain_kg_per_s = {{m.add_constant(5e-5)}};
    const PeriodicDay without = run_periodic_day(m);
    m.zones[1].transfer_air = {{0, {{m.add_constant(0.05)}}}};
    const PeriodicDay with = run_periodic_day(m);
    EXPECT_GT(with.zones[1].air_C[0], without.zones[1].air_C[0] + 1.0);
    EXPECT_LE(with.worst_closure, 1e-9);
    EXPECT_NEAR(with.zones[1].parts[0].transfer_W, 0.05 * 1006.0 * (set_C - with.zones[1].air_C[0]), 1e-6);
    EXPECT_NEAR(with.zones[1].humidity_ratio[0], with.zones[0].humidity_ratio[0], 1e-12); // no other air comes in
}

TEST(Supply, GivesNoMoreThanItCan)
{
    ThermalModel m = box(brick);
    m.zones[0].cool_above_C = m.add_constant(24.0);
    const double full = run_periodic_day(m).zones[0].heating_W[0];
    m.zones[0].most_heating_W = m.add_constant(0.6 * full);
    const PeriodicDay day = run_periodic_day(m);
    EXPECT_NEAR(day.zones[0].heating_W[0], 0.6 * full, 1e-9 * full);
    EXPECT_NEAR(day.zones[0].air_C[0], outdoor_C + 0.6 * (set_C - outdoor_C), 1e-4);
}

TEST(Supply, OfAZoneThatFollowsIsThatOfAnother)
{
    ThermalModel m = two_boxes();
    m.zones[1].follows = Follows{0, 0.4};
    const PeriodicDay day = run_periodic_day(m);
    EXPECT_NEAR(day.zones[1].heating_W[3], 0.4 * day.zones[0].heating_W[3], 1e-6);
    EXPECT_NEAR(day.zones[0].air_C[3], set_C, 1e-9);
    EXPECT_LE(day.worst_closure, 1e-9);
}

TEST(Supply, ThatNeverReachesWhatItIsControlledByIsAnError)
{
    ThermalModel m = box(brick);
    m.zones[0].convective_share = 0.0;
    m.zones[0].air_capacity_J_per_K = 0.0;
    for (auto& s : m.surfaces) s.inside = ZoneFace{0, 0.0, 5.0, {}};
    EXPECT_THROW((void)run_periodic_day(m), quantity::Error);
}

TEST(Parts, MakeAnHourAsExactAsTenMinutes)
{
    EXPECT_EQ(parts_of_step(60.0), 1u);
    EXPECT_EQ(parts_of_step(900.0), 1u);
    EXPECT_EQ(parts_of_step(1200.0), 2u);
    EXPECT_EQ(parts_of_step(3600.0), 6u);
    EXPECT_DOUBLE_EQ(part_of_step_s(3600.0), 600.0);
}

TEST(State, AtOneTemperatureStaysThereIfEverythingElseIs)
{
    ThermalModel m = box(brick);
    m.zones[0].heat_below_C = m.zones[0].cool_above_C = {};
    const HeatBalance balance{m};
    const State rest = balance.state_at(outdoor_C);
    StepResult r;
    State after = rest;
    balance.advance(after, 0, r);
    EXPECT_NEAR(after.air_C[0], outdoor_C, 1e-10);
    EXPECT_EQ(balance.wall_modes_of(rest, 3).size(), m.walls[0].size());
    EXPECT_NEAR(m.walls[0].stored_heat(balance.wall_modes_of(after, 3)), outdoor_C * 0.2 * 1800.0 * 1000.0, 1e-3);
}

TEST(HeatBalance, RefusesNonsense)
{
    ThermalModel negative = box(brick);
    negative.surfaces[0].area_m2 = -1.0;
    EXPECT_THROW((void)run_periodic_day(negative), quantity::RangeError);
    ThermalModel nowhere = box(brick);
    nowhere.surfaces[0].inside = ZoneFace{7, 2.5, 5.0, {}};
    EXPECT_THROW((void)run_periodic_day(nowhere), quantity::RangeError);
    ThermalModel share = box(brick);
    share.zones[0].convective_share = 1.5;
    EXPECT_THROW((void)run_periodic_day(share), quantity::RangeError);
}

TEST(PeriodicDay, SaysWhenItDidNotConverge)
{
    std::vector<double> swing;
    for (int h = 0; h < 24; ++h) swing.push_back(5.0 + 8.0 * std::sin(h * 0.2618));
    ThermalModel m = box(brick);
    const SignalId outdoor = m.add_points(swing);
    for (auto& s : m.surfaces) s.outside = OutdoorFace{25.0, outdoor};
    const PeriodicDay day = run_periodic_day(m, {.temperature_tolerance_K = 1e-12, .most_days = 1});
    EXPECT_FALSE(day.converged);
    EXPECT_GT(day.residual_K, 1e-12);
}

TEST(Signal, InterpolatesBetweenHoursAndJumpsBetweenBlocks)
{
    ThermalModel m{.step_s = 1800.0, .steps = 48};
    std::vector<double> hours(24, 0.0);
    hours[1] = 10.0;
    const SignalId points = m.add_points(hours), blocks = m.add_blocks(hours);
    EXPECT_DOUBLE_EQ(m.value(points, 1, 0.0), 5.0); // half past midnight
    EXPECT_DOUBLE_EQ(m.value(points, 1, 1.0), 10.0);
    EXPECT_DOUBLE_EQ(m.value(blocks, 1, 1.0), 0.0);
    EXPECT_DOUBLE_EQ(m.value(blocks, 2, 0.0), 10.0);
    EXPECT_NEAR(m.signals[points.index].mean(), 10.0 / 24.0, 1e-12);
}

} // namespace
} // namespace venture::balance
