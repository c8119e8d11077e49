#include <venture/loads/heating_by_hand.hpp>

#include <gtest/gtest.h>

#include <building_questions.hpp>
#include <venture/loads/design_loads.hpp>

namespace venture::loads {
namespace {

using testing_data::built;

/// Two rooms side by side, one warmer, and an unheated one beside the warmer.
input::Input warm_beside_warmer()
{
    input::Input in =
        testing_data::with_rooms({testing_data::room("A", 0, 0, 6, 5), testing_data::room("B", 6, 0, 5, 5),
                                  testing_data::room("Store", 11, 0, 3, 5)});
    in.rooms[0].use.heating_setpoint = 18.0;
    in.rooms[1].use.heating_setpoint = 24.0;
    in.rooms[2].use.heating_setpoint = {};
    for (input::RoomInput& room : in.rooms) room.use.infiltration = 0.6;
    return in;
}

TEST(HeatingByHand, LeavesOutOnlyWhatPassesBetweenHeatedRooms)
{
    const RoomLoads loads = design_loads(built(warm_beside_warmer())).loads;
    const HeatingByHand hand = heating_by_hand(loads);
    ASSERT_EQ(hand.rooms, (std::vector<std::size_t>{0, 1}));
    EXPECT_NEAR(hand.building_W, loads.rooms[0].paper_W() + loads.rooms[1].paper_W(), 1e-9);
    double colder_takes = 0.0, warmer_gives = 0.0, to_store = 0.0, by_leaks = 0.0;
    for (const RoomLoad& room : loads.rooms)
        for (const PaperTerm& term : room.paper) {
            if (term.what.ends_with("to A")) colder_takes += term.loss_W;
            if (term.what.ends_with("to B")) warmer_gives += term.loss_W;
            if (term.what.ends_with("to Store")) to_store += term.loss_W;
            if (term.what == "infiltration") by_leaks += term.loss_W;
        }
    EXPECT_GT(colder_takes, 1.0);
    EXPECT_NEAR(colder_takes, -warmer_gives, 1e-9);
    EXPECT_NEAR(hand.between_rooms_W, colder_takes, 1e-9);
    EXPECT_GT(to_store, 1.0); // a loss of the building, since nobody heats there
    EXPECT_NEAR(hand.rooms_alone_W(), hand.building_W + colder_takes, 1e-9);
    EXPECT_NEAR(hand.one_side_W(), hand.building_W - 0.5 * by_leaks, 1e-9);
}

TEST(HeatingByHand, TakesAirThatPassesOnOneWayForALoss)
{
    input::Input in = warm_beside_warmer();
    const double without = heating_by_hand(design_loads(built(in)).loads).building_W;
    input::TransferAirInput& air = in.rooms[1].transfer_air.emplace_back();
    air.from = "A";
    air.flow = 0.02;
    const HeatingByHand one_way = heating_by_hand(design_loads(built(in)).loads);
    air.way = input::AirWay::both;
    const HeatingByHand both_ways = heating_by_hand(design_loads(built(in)).loads);
    EXPECT_GT(one_way.building_W, without + 100.0);   // about 24 W/K times 6 K
    EXPECT_NEAR(both_ways.building_W, without, 1e-9); // what one gives, the other has
    EXPECT_GT(both_ways.between_rooms_W, one_way.between_rooms_W + 100.0);
}

TEST(HeatingByHand, OfNoHeatedRoomIsNothing)
{
    input::Input in = warm_beside_warmer();
    for (input::RoomInput& room : in.rooms) room.use.heating_setpoint = {};
    const HeatingByHand hand = heating_by_hand(design_loads(built(in)).loads);
    EXPECT_TRUE(hand.rooms.empty());
    EXPECT_EQ(hand.building_W, 0.0);
    EXPECT_EQ(hand.balance_W, 0.0);
}

} // namespace
} // namespace venture::loads
