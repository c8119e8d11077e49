/// A room cut into perimeter and core.

#include <cmath>

#include <gtest/gtest.h>

#include <small_building.hpp>
#include <venture/quantity/codes.hpp>

namespace venture::building {
namespace {

using namespace testing_data;
namespace codes = quantity::codes;

Input office()
{
    Input in = shell();
    in.rooms = {room("Office", 0, 0, 20, 12)};
    in.rooms[0].perimeter = 4.0;
    in.rooms[0].perimeter_on = TextList{{"south", {}}, {"East", {}}};
    in.rooms[0].use.people = 24.0;
    in.rooms[0].openings = {window("south", 10, 1.5), window("north", 2, 1.5), window("east", 4, 1.5)};
    return in;
}

TEST(Perimeter, PartsAtTheMitreAndSharesOutWhatIsStated)
{
    const Building b = built(office());
    ASSERT_EQ(b.rooms.size(), 3U);
    const Room &south = b.rooms[*b.find_room("Office south")], &east = b.rooms[*b.find_room("Office east")],
               &core = b.rooms[*b.find_room("Office core")];
    EXPECT_NEAR(south.floor_area_m2, 16 * 4 + 0.5 * 4 * 4, 1e-4);
    EXPECT_NEAR(east.floor_area_m2, 8 * 4 + 0.5 * 4 * 4, 1e-4);
    EXPECT_NEAR(core.floor_area_m2, 16 * 8, 1e-4);
    EXPECT_NEAR(south.use.people.value + east.use.people.value + core.use.people.value, 24.0, 1e-9);
    EXPECT_NEAR(core.use.people.value, 24.0 * 128 / 240, 1e-6);
}

TEST(Perimeter, HasOpenBoundariesInsteadOfWalls)
{
    const Building b = built(office());
    double open_m2 = 0.0, flow = 0.0;
    for (const OpenBoundary& boundary : b.open_boundaries) open_m2 += boundary.area_m2;
    for (const TransferAir& air : b.transfer_air) flow += air.flow_m3_per_s;
    EXPECT_NEAR(open_m2, (16 + 8 + 4 * std::sqrt(2.0)) * 3, 1e-3);
    EXPECT_NEAR(flow, 0.05 * open_m2, 1e-9);
    for (const Surface& s : b.surfaces) EXPECT_NE(s.beyond.kind, Neighbour::Kind::room) << s.name;
}

TEST(Perimeter, HangsOpeningsAndFacesOnThePartsThatHaveTheWall)
{
    Input in = office();
    FaceInput north;
    north.on = std::string{"north"};
    north.beyond = std::string{"no exchange"};
    in.rooms[0].openings.erase(in.rooms[0].openings.begin() + 1);
    in.rooms[0].faces = {north};
    const Building b = built(in);
    double without_exchange = 0.0;
    for (const Surface& s : b.surfaces) {
        const std::string& room = b.rooms[s.room].name;
        EXPECT_TRUE(s.openings.empty() || room == "Office south" || room == "Office east") << room;
        if (s.beyond.kind == Neighbour::Kind::nothing) without_exchange += s.gross_m2;
    }
    EXPECT_NEAR(without_exchange, 20 * 3, 1e-3); // of the core, and of the end of the zone on the east
}

TEST(Perimeter, IsRefusedWhereItIsNotPlain)
{
    Input in = office();
    in.rooms[0].perimeter_on = TextList{{"up", {}}};
    EXPECT_EQ(problem_of(in, codes::no_face).message, "perimeter_on: room 'Office' has no wall on the up");
    in = office();
    in.rooms[0].perimeter_on = {};
    EXPECT_EQ(problem_of(in, codes::contradiction).message, "room 'Office': perimeter and perimeter_on go together");
    in = office();
    in.rooms[0].at = in.rooms[0].size = Given<QuantityList>{};
    in.rooms[0].corners = PointList{{0, 0}, {20, 0}, {20, 6}, {10, 6}, {10, 12}, {0, 12}};
    EXPECT_NE(problem_of(in, codes::outline).message.find("corners that turn inwards"), std::string::npos);
}

TEST(Perimeter, DeeperThanTheRoomLeavesNoCore)
{
    Input in = office();
    in.rooms[0].perimeter = 30.0;
    in.rooms[0].openings.clear();
    const Building b = built(in);
    EXPECT_EQ(b.rooms.size(), 2U);
    EXPECT_FALSE(b.find_room("Office core").has_value());
}

} // namespace
} // namespace venture::building
