#include <venture/loads/load_shares.hpp>

#include <gtest/gtest.h>

#include <building_questions.hpp>

namespace venture::loads {
namespace {

using testing_data::built;

/// East and west: they peak at different hours.
RoomLoads of_two()
{
    input::Input in =
        testing_data::with_rooms({testing_data::room("East", 0, 0, 5, 4), testing_data::room("West", 5, 0, 5, 4)});
    in.rooms[0].openings = {testing_data::window("south", 1.0, 1.5)};
    in.rooms[1].openings = {testing_data::window("east", 3.0, 1.5)};
    for (input::RoomInput& room : in.rooms) {
        room.use.heating_setpoint = 20.0;
        room.use.cooling_setpoint = 24.0;
    }
    return design_loads(built(in)).loads;
}

TEST(LoadShares, AddUpToTheHourOfTheSum)
{
    const RoomLoads loads = of_two();
    const std::vector<GroupLoad> groups = group_loads(loads);
    double heating_W = 0.0, cooling_W = 0.0, sensible_W = 0.0, peaks_W = 0.0;
    for (const LoadShare& share : load_shares(loads, groups)) {
        heating_W += *share.heating_W;
        cooling_W += *share.cooling_W;
        sensible_W += share.sensible_W;
        peaks_W += share.room->cooling_W;
        EXPECT_LE(*share.cooling_W, share.room->cooling_W + 1e-9);
    }
    EXPECT_NEAR(heating_W, groups.front().heating_W, 1e-9 * heating_W);
    EXPECT_NEAR(cooling_W, groups.front().cooling.total_W, 1e-9 * cooling_W);
    EXPECT_NEAR(sensible_W, groups.front().cooling.sensible_W, 1e-9 * cooling_W);
    EXPECT_NEAR(peaks_W, groups.front().cooling.sum_of_peaks_W, 1e-9 * cooling_W);
    EXPECT_GT(peaks_W, 1.001 * cooling_W);
}

TEST(LoadShares, AreOfOneServiceWhereThatIsAskedFor)
{
    const RoomLoads loads = of_two();
    const std::vector<GroupLoad> groups = group_loads(loads);
    for (const LoadShare& share : load_shares(loads, groups, true)) {
        EXPECT_FALSE(share.heating_W);
        EXPECT_TRUE(share.cooling_W);
    }
    for (const LoadShare& share : load_shares(loads, groups, false)) EXPECT_FALSE(share.cooling_W);
}

TEST(LoadShares, CountTypedLoadsAsTheyAre)
{
    RoomLoads loads = of_two();
    RoomLoad typed{.room = "Shop", .heated = true, .cooled = true, .heating_W = 9000.0};
    typed.cooling_W = typed.cooling_sensible_W = 8000.0;
    loads.rooms.push_back(typed);
    const std::vector<GroupLoad> groups = group_loads(loads);
    const std::vector<LoadShare> shares = load_shares(loads, groups);
    EXPECT_EQ(shares.front().room->room, "Shop"); // the most of all
    EXPECT_EQ(shares.front().heating_W, 9000.0);
    EXPECT_EQ(shares.front().cooling_W, 8000.0);
}

} // namespace
} // namespace venture::loads
