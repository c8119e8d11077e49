/// Runs through a span, what can be asked of them, and callers who take part.

#include <algorithm>
#include <cmath>
#include <numeric>
#include <set>

#include <gmock/gmock.h>
#include <gtest/gtest.h>

#include <venture/balance/boxes_for_tests.hpp>
#include <venture/balance/periodic_day.hpp>
#include <venture/balance/run.hpp>
#include <venture/quantity/error.hpp>

namespace venture::balance {
namespace {

using namespace testing_boxes;

/// Ten days, each colder than the one before.
ThermalModel ten_days(double step_s = 900.0)
{
    ThermalModel m = box(brick, step_s);
    m.steps = static_cast<std::size_t>(10.0 * 86400.0 / step_s);
    std::vector<double> outdoor;
    for (int h = 0; h < 240; ++h) outdoor.push_back(10.0 - 0.05 * h + 5.0 * std::cos((h - 15) * 0.2618));
    m.outdoor_air_C = m.add_points(outdoor, Forcing::outdoor_air);
    for (Surface& s : m.surfaces) s.outside = OutdoorFace{25.0, m.outdoor_air_C};
    m.zones[0].cool_above_C.reset();
    return m;
}

const std::vector<double>& series_called(const RunResult& r, std::string_view kind)
{
    const auto at = std::ranges::find(r.series, kind, &Series::kind);
    EXPECT_NE(at, r.series.end());
    return at->values;
}

TEST(Run, OfAPeriodThatRepeatsIsThePeriodicDay)
{
    ThermalModel m = box(brick);
    m.outdoor_air_C = m.add_points(wave(5.0, 8.0, 15.0));
    for (Surface& s : m.surfaces) s.outside = OutdoorFace{25.0, m.outdoor_air_C};
    const PeriodicDay day = run_periodic_day(m, {.temperature_tolerance_K = 1e-9});
    const RunResult r = run(m, {.run_in_days = 60.0, .asks = {{"heating"}, {"operative temperature"}}});
    ASSERT_EQ(r.series[0].values.size(), 24u);
    for (std::size_t h = 0; h < 24; ++h) {
        EXPECT_NEAR(r.series[0].values[h], day.zones[0].heating_W[h], 1e-5 * day.zones[0].heating_W[h]);
        EXPECT_NEAR(r.series[1].values[h], day.zones[0].operative_C[h], 1e-5);
    }
    EXPECT_NEAR(r.zones[0].heating_peak_W, *std::ranges::max_element(r.series[0].values), 1e-9);
    EXPECT_LE(r.worst_closure, 1e-9);
    EXPECT_EQ(r.unsettled_steps, 0);
}

TEST(Run, OfASpanIsThatPartOfTheWhole)
{
    const ThermalModel m = ten_days();
    const std::vector<Ask> asks = {{"air temperature"}, {"total heating"}};
    const RunResult whole = run(m, {.run_in_days = 30.0, .asks = asks}),
                    part = run(m, {.first_step = 4 * 96, .steps = 96, .run_in_days = 34.0, .asks = asks});
    ASSERT_EQ(part.series[0].values.size(), 24u);
    ASSERT_EQ(whole.series[0].values.size(), 240u);
    for (std::size_t h = 0; h < 24; ++h) {
        EXPECT_NEAR(part.series[0].values[h], whole.series[0].values[96 + h], 1e-5);
        EXPECT_NEAR(part.series[1].values[h], whole.series[1].values[96 + h], 0.01);
    }
    EXPECT_EQ(part.steps, 96u);
}

TEST(Run, StoresWhatIsAskedAndNothingElse)
{
    const ThermalModel m = ten_days();
    EXPECT_TRUE(run(m).series.empty());
    const RunResult r = run(m, {.steps = 8,
                                .run_in_days = 1.0,
                                .asks = {{"inside face temperature", {2, 5}}, {"heating"}},
                                .interval = Interval::step});
    ASSERT_EQ(r.series.size(), 3u);
    EXPECT_EQ(r.series[1].id, m.surfaces[5].id);
    EXPECT_EQ(r.series[1].unit, "degC");
    EXPECT_EQ(r.series[0].values.size(), 8u);
    EXPECT_THROW((void)run(m, {.asks = {{"heating", {7}}}}), quantity::RangeError);
}

TEST(Run, NamesTheNearestSeriesThatThereIs)
{
    try {
        (void)run(ten_days(), {.asks = {{"heatng"}}});
        FAIL();
    } catch (const quantity::Error& e) {
        EXPECT_THAT(e.what(), testing::HasSubstr("did you mean 'heating'?"));
    }
}

TEST(Run, CanBeAskedForEveryKindOfSeries)
{
    const ThermalModel m = ten_days();
    RunOptions options{.steps = 4, .run_in_days = 1.0};
    std::set<std::string_view> names;
    for (const SeriesKind& kind : series_kinds()) {
        EXPECT_TRUE(names.insert(kind.name).second);
        EXPECT_FALSE(kind.meaning.empty());
        options.asks.push_back({std::string{kind.name}});
    }
    const RunResult r = run(m, options);
    for (const Series& s : r.series) EXPECT_TRUE(std::isfinite(s.values.at(0))) << s.kind;
    EXPECT_NEAR(series_called(r, "outdoor air changes")[0], 0.02 * 3600.0 / 72.0, 1e-12);
    EXPECT_NEAR(series_called(r, "closure")[0], 0.0, 1e-6);
    double into_air = 0.0; // what flows into the air is what it stores
    for (const char* flow :
         {"heating", "convective gains", "infiltration", "ventilation", "transfer air", "thermal bridges",
          "from outside walls", "from roofs", "from windows", "from doors", "from ground", "from inner surfaces"})
        into_air += series_called(r, flow)[0];
    EXPECT_NEAR(into_air - series_called(r, "cooling")[0], series_called(r, "into air and furniture")[0], 1e-6);
}

TEST(Run, CountsHoursOutsideLimits)
{
    ThermalModel m = ten_days();
    m.zones[0].most_heating_W = m.add_constant(1500.0, Forcing::limit);
    const RunResult r = run(m);
    EXPECT_GT(r.zones[0].too_cold_h, 24.0);
    EXPECT_LT(r.zones[0].too_cold_h, 240.0);
    EXPECT_EQ(r.zones[0].too_warm_h, 0.0);
    EXPECT_NEAR(r.zones[0].heating_peak_W, 1500.0, 1e-9);
    EXPECT_LT(r.zones[0].coldest_C, set_C - 1.0);
    EXPECT_LE(r.zones[0].heating_J, 1500.0 * 240.0 * 3600.0);
}

TEST(Control, OfTheCallersOwnTakesTheThermostatsPlace)
{
    ThermalModel m = ten_days(60.0);
    m.zones[0].air_capacity_J_per_K = 400000.0; // and furniture: half a kelvin a minute at most
    bool on = false;                            // a switch with a dead band of its own, half a kelvin either way
    double lowest = 1e9, highest = -1e9;
    const RunResult r =
        run(m, {.asks = {{"heating"}}, .interval = Interval::step, .control = [&](const Moment& now, Orders& orders) {
                    const double air = now.state.air_C[0];
                    if (air < 19.5) on = true;
                    if (air > 20.5) on = false;
                    orders[0].supply_W = on ? 3000.0 : 0.0;
                    if (now.hour > 24.0) {
                        lowest = std::min(lowest, air);
                        highest = std::max(highest, air);
                    }
                    return true;
                }});
    const std::set<double> seen{r.series[0].values.begin(), r.series[0].values.end()};
    EXPECT_THAT(seen, testing::ElementsAre(testing::DoubleEq(0.0), testing::DoubleNear(3000.0, 1e-9)));
    EXPECT_GT(lowest, 19.0);
    EXPECT_LT(highest, 21.2);
}

TEST(Control, MayCoolMoveSetPointsOrOpenWindows)
{
    const ThermalModel m = ten_days();
    const auto air_with = [&](const ZoneOrder& order) {
        return run(m, {.steps = 96,
                       .asks = {{"air temperature"}},
                       .control =
                           [&](const Moment&, Orders& orders) {
                               orders[0] = order;
                               return true;
                           }})
            .series[0]
            .values.back();
    };
    EXPECT_NEAR(air_with({}), set_C, 1e-9);
    EXPECT_NEAR(air_with({.heat_below_C = 23.0}), 23.0, 1e-6);
    EXPECT_LT(air_with({.supply_W = -500.0}), air_with({.supply_W = 0.0}) - 1.0);
    EXPECT_LT(air_with({.most_heating_W = 100.0}), set_C - 1.0);
    EXPECT_LT(air_with({.supply_W = 2000.0, .ventilation_kg_per_s = 0.5}), air_with({.supply_W = 2000.0}) - 1.0);
}

TEST(Control, CanStopTheRun)
{
    const RunResult r = run(ten_days(), {.control = [](const Moment& now, Orders&) {
                                EXPECT_EQ(now.last == nullptr, now.step == 0);
                                return now.hour < 6.0;
                            }});
    EXPECT_TRUE(r.stopped);
    EXPECT_EQ(r.steps, 24u);
}

TEST(Run, RefusesSpansThatThereAreNot)
{
    EXPECT_THROW((void)run(ten_days(), {.first_step = 960}), quantity::RangeError);
    EXPECT_THROW((void)run(ten_days(), {.run_in_days = -1.0}), quantity::RangeError);
}

TEST(Memory, IsLongWhereWallsAreHeavyAndWellInsulated)
{
    const auto share_kept = [](const fabric::Buildup& wall) {
        return run_periodic_day(box(wall), {.tell_memory = true}).share_kept;
    };
    const fabric::Layer wool{.material = {"wool", 0.035, 30, 1030}, .thickness_m = 0.2},
        concrete{.material = {"concrete", 1.7, 2300, 1000}, .thickness_m = 0.3},
        board{.material = {"board", 0.25, 800, 1000}, .thickness_m = 0.0125};
    const double light = share_kept({"light", {wool, board}}), heavy = share_kept({"heavy", {wool, concrete}});
    EXPECT_LT(light, 0.1);
    EXPECT_GT(heavy, 0.3);
    EXPECT_LT(heavy, 1.0);
}

} // namespace
} // namespace venture::balance
