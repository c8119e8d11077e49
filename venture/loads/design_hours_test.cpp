#include <venture/loads/design_hours.hpp>

#include <gtest/gtest.h>

#include <small_building.hpp>

namespace venture::loads {
namespace {

building::Building cooled_room()
{
    input::Input in = testing_data::one_room();
    in.rooms[0].use.cooling_setpoint = 24.0;
    in.rooms[0].use.people = 3.0;
    in.rooms[0].use.equipment_power = 400.0;
    in.rooms[0].openings = {testing_data::window("south", 3.0, 1.5)};
    return testing_data::built(in);
}

TEST(DesignHours, HoldThePeakThatTheLoadsTell)
{
    const building::Building b = cooled_room();
    const RoomLoad load = design_loads(b).loads.rooms[0];
    const auto month = std::ranges::find(b.site.months, load.cooling_when.month, &climate::CoolingMonth::month);
    ASSERT_NE(month, b.site.months.end());
    const std::vector<LoadHour> hours = design_hours(b, climate::cooling_design_day(b.site, *month));
    ASSERT_EQ(hours.size(), 24u);
    const auto peak = std::ranges::max_element(hours, {}, [](const LoadHour& h) { return h.sensible_W + h.latent_W; });
    EXPECT_EQ(peak->clock_hour, load.cooling_when.clock_hour);
    EXPECT_NEAR(peak->sensible_W + peak->latent_W, load.cooling_W, 1e-3);
    EXPECT_NEAR(*peak->air_C, load.cooling_air_C, 1e-6);
    EXPECT_NEAR(peak->outdoor_C, load.cooling_outdoor_C, 1e-9);
}

TEST(DesignHours, BalanceInEveryHourAndTellGainsAndSun)
{
    const building::Building b = cooled_room();
    double sun = 0.0;
    for (const LoadHour& h : design_hours(b, climate::cooling_design_day(b.site, b.site.months.front()))) {
        EXPECT_NEAR(h.into_air.total_W(), h.sensible_W - h.heating_W, 1e-6) << h.hour;
        EXPECT_NEAR(h.equipment_W, 400.0, 1e-9);
        EXPECT_GT(h.people_W, 0.0);
        EXPECT_GE(h.sun_beam_W, 0.0);
        sun += h.sun_beam_W + h.sun_diffuse_W;
    }
    EXPECT_GT(sun, 0.0);
    for (const LoadHour& h : design_hours(b, climate::winter_design_day(b.site))) {
        EXPECT_EQ(h.sun_beam_W + h.sun_diffuse_W + h.people_W + h.equipment_W, 0.0); // dark and empty
        EXPECT_GT(h.heating_W, 0.0);
    }
}

TEST(DesignHours, OfAllRoomsAddUp)
{
    const building::Building b = cooled_room();
    std::vector<LoadHour> hours = design_hours(b, climate::winter_design_day(b.site));
    const std::vector<LoadHour> one = hours;
    for (LoadHour h : one) {
        h.of = "twin";
        hours.push_back(h);
    }
    const std::vector<LoadHour> together = hours_together(hours);
    ASSERT_EQ(together.size(), 24u);
    EXPECT_DOUBLE_EQ(together[5].heating_W, 2.0 * one[5].heating_W);
    EXPECT_DOUBLE_EQ(together[5].into_air.windows_W, 2.0 * one[5].into_air.windows_W);
    EXPECT_FALSE(together[5].air_C);
}

} // namespace
} // namespace venture::loads
