/// Simpler methods beside the heat balance: where they must agree, and which way they err.

#include <gmock/gmock.h>
#include <gtest/gtest.h>

#include <building_questions.hpp>
#include <venture/loads/glass_loads.hpp>
#include <venture/loads/second_opinion.hpp>

namespace venture::loads {
namespace {

using testing_data::built;

/// A room whose air is held all day, with sun and everything that radiates.
input::Input held_all_day()
{
    input::Input in =
        testing_data::with_rooms({testing_data::room("A", 0, 0, 6, 5), testing_data::room("B", 6, 0, 5, 5)});
    for (input::RoomInput& room : in.rooms) {
        room.use.heating_setpoint = room.use.cooling_setpoint = 24.0;
        room.use.control = "air";
        room.use.lighting = 12.0;
        room.use.equipment_power = 500.0;
        room.use.ventilation_rate = 0.5;
        room.openings = {testing_data::window("south", 3.0, 1.5)};
    }
    return in;
}

TEST(SecondOpinion, SeriesWithLossesMeetABalanceThatHoldsTheAir)
{
    const building::Building b = built(held_all_day());
    const DesignLoads loads = design_loads(b);
    const std::vector<SecondOpinion> all = second_opinions(b, loads.loads);
    ASSERT_EQ(all.size(), 2u);
    for (const SecondOpinion& one : all) {
        EXPECT_NEAR(one.air_C, 24.0, 0.01);
        // the balance lets some of the beam leave again that the floor throws back; the method does not
        EXPECT_NEAR(one.series_with_losses.load_W / one.balance.load_W, 1.0, 0.02) << one.room;
        EXPECT_LE(one.comes_back, 1.0);
        EXPECT_GT(one.comes_back, 0.3);
    }
}

TEST(SecondOpinion, SeriesThatSumToOneGiveBackWhatLeaves)
{
    const building::Building b = built(held_all_day());
    for (const SecondOpinion& one : second_opinions(b, design_loads(b).loads)) {
        EXPECT_GT(one.series.load_W, one.series_with_losses.load_W) << one.room;
        EXPECT_GT(one.at_once.load_W, one.series_with_losses.load_W) << one.room;
        EXPECT_NEAR(one.admittance.load_W / one.balance.load_W, 1.0, 0.3) << one.room;
    }
}

TEST(SecondOpinion, IsOfCooledRoomsAlone)
{
    input::Input in = held_all_day();
    in.rooms[1].use.cooling_setpoint = {};
    const building::Building b = built(in);
    const std::vector<SecondOpinion> all = second_opinions(b, design_loads(b).loads);
    ASSERT_EQ(all.size(), 1u);
    EXPECT_EQ(all.front().room, "A");
}

TEST(GlassSwings, AreOfRoomsAndOfAllTogether)
{
    const building::Building b = built(held_all_day());
    const DesignLoads loads = design_loads(b);
    const std::vector<SwingOf> swings = glass_swings(b, loads.loads);
    ASSERT_EQ(swings.size(), 4u);
    EXPECT_EQ(swings[0].of, "all rooms");
    EXPECT_EQ(swings[1].of, "storey ground");
    EXPECT_EQ(swings[0].rooms, 2u);
    EXPECT_NEAR(swings[0].swing.mean_W, swings[2].swing.mean_W + swings[3].swing.mean_W, 1e-6);
    EXPECT_GE(*swings[0].swing.peak_over_mean(), 1.0);
}

/// Sun through glass becomes load, and no more than comes in.
TEST(GlassSwings, HoldNoMoreThanComesThroughGlass)
{
    const building::Building b = built(held_all_day());
    const climate::DesignDay day = climate::cooling_design_day(b.site, b.site.months.front());
    const std::vector<HourlyDay> glass = glass_loads(b, day);
    input::Input bare = held_all_day();
    for (input::RoomInput& room : bare.rooms) room.openings.clear();
    EXPECT_GT(mean_of(glass[0]), 0.0);
    EXPECT_DOUBLE_EQ(mean_of(glass_loads(built(bare), day)[0]), 0.0);
}

} // namespace
} // namespace venture::loads
