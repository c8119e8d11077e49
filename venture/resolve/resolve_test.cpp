#include <venture/resolve/resolve.hpp>

#include <algorithm>

#include <gmock/gmock.h>
#include <gtest/gtest.h>

#include <small_building.hpp>
#include <venture/quantity/codes.hpp>
#include <venture/quantity/record.hpp>
#include <venture/resolve/vocabulary.hpp>

namespace venture::resolve {
namespace {

using namespace testing_data;
namespace codes = quantity::codes;

const Surface& surface(const Building& b, std::string_view room, std::string_view name)
{
    for (const Surface& s : b.surfaces)
        if (b.rooms[s.room].name == room && s.name == name) return s;
    ADD_FAILURE() << "no surface " << name << " of " << room;
    static const Surface none;
    return none;
}

double area_of(const Building& b, std::string_view room, Neighbour::Kind kind)
{
    double sum = 0.0;
    for (const Surface& s : b.surfaces)
        if (b.rooms[s.room].name == room && s.beyond.kind == kind) sum += s.gross_m2;
    return sum;
}

TEST(OneRoom, HasSixFacesWithHandWorkedAreas)
{
    const Building b = built(one_room());
    ASSERT_EQ(b.surfaces.size(), 6u);
    EXPECT_NEAR(surface(b, "Room", "south wall to outdoors").gross_m2, 15.0, 1e-9);
    EXPECT_NEAR(surface(b, "Room", "east wall to outdoors").gross_m2, 12.0, 1e-9);
    EXPECT_NEAR(surface(b, "Room", "floor to ground").gross_m2, 20.0, 1e-9);
    EXPECT_NEAR(surface(b, "Room", "roof to outdoors").gross_m2, 20.0, 1e-9);
    EXPECT_NEAR(b.rooms[0].volume_m3, 60.0, 1e-9);
}

TEST(OneRoom, LooksWhereItsWallsLook)
{
    const Building b = built(one_room());
    EXPECT_NEAR(surface(b, "Room", "south wall to outdoors").azimuth_deg, 180.0, 1e-9);
    EXPECT_NEAR(surface(b, "Room", "west wall to outdoors").azimuth_deg, 270.0, 1e-9);
    EXPECT_NEAR(std::fmod(surface(b, "Room", "north wall to outdoors").azimuth_deg, 360.0), 0.0, 1e-9);
}

TEST(PlanBearing, TurnsTheWallsAndKeepsTheirNamesOnThePlan)
{
    Input in = one_room();
    in.site.plan_bearing = 42.0;
    EXPECT_NEAR(surface(built(in), "Room", "south wall to outdoors").azimuth_deg, 222.0, 1e-9);
}

TEST(TwoRooms, FindEachOtherAndShareOneWall)
{
    Input in = shell();
    in.rooms = {room("A", 0, 0, 5, 4), room("B", 5, 1, 3, 6)};
    const Building b = built(in);
    EXPECT_NEAR(surface(b, "A", "east wall to B").gross_m2, 3.0 * 3.0, 1e-9);
    EXPECT_NEAR(surface(b, "A", "east wall to outdoors").gross_m2, 1.0 * 3.0, 1e-9);
    EXPECT_NEAR(surface(b, "B", "west wall to outdoors").gross_m2, 3.0 * 3.0, 1e-9);
    EXPECT_NEAR(area_of(b, "B", Neighbour::Kind::room), 0.0, 1e-12); // the wall stands once, with the room named first
}

TEST(TwoRooms, ShareTheSameAreasInEitherOrder)
{
    Input in = shell(), turned = shell();
    in.rooms = {room("A", 0, 0, 5, 4), room("B", 5, 1, 3, 6)};
    turned.rooms = {in.rooms[1], in.rooms[0]};
    const Building a = built(in), b = built(turned);
    for (const char* name : {"east wall to B", "east wall to outdoors", "floor to ground"})
        EXPECT_DOUBLE_EQ(surface(a, "A", name).gross_m2, surface(b, "A", name).gross_m2);
}

TEST(Storeys, SplitARoofPartlyUnderARoomAbove)
{
    Input in = shell();
    in.rooms = {room("Below", 0, 0, 6, 5), room("Above", 0, 0, 4, 5, "upper")};
    const Building b = built(in);
    EXPECT_NEAR(surface(b, "Below", "roof to outdoors").gross_m2, 10.0, 1e-9);
    EXPECT_NEAR(surface(b, "Above", "floor to Below").gross_m2, 20.0, 1e-9);
}

TEST(Storeys, LeaveAnOverhangingFloorOverOutdoorAir)
{
    Input in = shell();
    in.rooms = {room("Below", 0, 0, 4, 5), room("Above", 0, 0, 6, 5, "upper")};
    EXPECT_NEAR(surface(built(in), "Above", "floor to outdoors").gross_m2, 10.0, 1e-9);
}

TEST(Storeys, LetADoubleHeightRoomMeetRoomsOnBoth)
{
    Input in = shell();
    in.rooms = {room("Hall", 0, 0, 5, 4), room("Low", 5, 0, 5, 4), room("High", 5, 0, 5, 4, "upper")};
    in.rooms[0].height = 6.0;
    const Building b = built(in);
    EXPECT_NEAR(surface(b, "Hall", "east wall to Low").gross_m2, 12.0, 1e-9);
    EXPECT_NEAR(surface(b, "Hall", "east wall to High").gross_m2, 12.0, 1e-9);
}

TEST(RoomInRoom, MeetsItOnAllSides)
{
    Input in = shell();
    in.rooms = {room("Inner", 4, 4, 2, 2), room("Outer", 0, 0, 4, 10)};
    // Outer as a U round the inner room would be one outline; four blocks stand for it here.
    in.rooms.push_back(room("North", 4, 6, 6, 4));
    in.rooms.push_back(room("South", 4, 0, 6, 4));
    in.rooms.push_back(room("West", 6, 4, 4, 2));
    const Building b = built(in);
    EXPECT_NEAR(area_of(b, "Inner", Neighbour::Kind::room), 4 * 2.0 * 3.0, 1e-9);
    EXPECT_NEAR(area_of(b, "Inner", Neighbour::Kind::outdoors), 4.0, 1e-9); // its roof only
}

TEST(Corners, MayBeListedEitherWayRound)
{
    for (const bool clockwise : {false, true}) {
        Input in = shell();
        RoomInput r = room("L", 0, 0, 1, 1);
        r.at = {};
        r.size = {};
        quantity::PointList points = {{0, 0}, {6, 0}, {6, 2}, {2, 2}, {2, 5}, {0, 5}};
        if (clockwise) std::ranges::reverse(points);
        r.corners = points;
        in.rooms = {r};
        const Building b = built(in);
        EXPECT_NEAR(b.rooms[0].floor_area_m2, 18.0, 1e-9);
        EXPECT_NEAR(surface(b, "L", "south wall to outdoors").gross_m2, 18.0, 1e-9);
    }
}

TEST(Openings, AreTakenOffTheWall)
{
    Input in = one_room();
    in.rooms[0].openings = {window("south", 2.0, 1.5)};
    const Building b = built(in);
    EXPECT_NEAR(surface(b, "Room", "south wall to outdoors").net_m2(), 12.0, 1e-9);
}

TEST(Openings, SpreadEvenlyUnlessPlaced)
{
    Input in = one_room();
    in.rooms[0].openings = {window("south", 1.0, 1.5)};
    in.rooms[0].openings[0].count = 2.0;
    const auto o = surface(built(in), "Room", "south wall to outdoors").openings.at(0);
    EXPECT_NEAR(o.from_left_m.at(0), 0.75, 1e-9);
    EXPECT_NEAR(o.from_left_m.at(1), 3.25, 1e-9);
}

TEST(Openings, ThatDoNotFitAreErrorsWithTheSpaceThatIsThere)
{
    for (const auto& [width, height, sill] : {std::tuple{6.0, 1.0, 0.9}, {1.0, 2.5, 0.9}, {5.0, 3.0, 0.5}}) {
        Input in = one_room();
        in.rooms[0].openings = {window("south", width, height)};
        in.rooms[0].openings[0].sill = sill;
        EXPECT_THAT(problem_of(in, codes::opening).message, testing::HasSubstr("5 m x 3 m"));
    }
}

TEST(Openings, NeedAFaceThatIsThere)
{
    Input in = one_room();
    in.rooms[0].openings = {window("sooth", 1.0, 1.0)};
    const auto p = problem_of(in, codes::no_face);
    EXPECT_THAT(p.message, testing::HasSubstr("south wall"));
}

TEST(Openings, OfDoorsAndWindowsAreNotMixedUp)
{
    Input in = one_room();
    in.rooms[0].openings = {window("south", 1.0, 2.0)};
    in.rooms[0].openings[0].kind = "door";
    EXPECT_THAT(problem_of(in, codes::contradiction).message, testing::HasSubstr("a door needs a u_value"));
}

TEST(Openings, NeedAFaceWithAPartToOutdoors)
{
    Input in = shell();
    in.rooms = {room("A", 0, 0, 5, 4), room("B", 5, 0, 3, 4)};
    in.rooms[0].openings = {window("east", 1.0, 1.0)}; // the shared wall stands with A
    EXPECT_THAT(problem_of(in, codes::opening).message, testing::HasSubstr("no part to outdoors"));
    in.rooms[0].openings.clear();
    in.rooms[1].openings = {window("west", 1.0, 1.0)};
    EXPECT_THAT(problem_of(in, codes::opening).message, testing::HasSubstr("no part to outdoors")); // from either side
}

TEST(Faces, KeepTheirNumbersWhereTwoLookTheSameWay)
{
    Input in = shell();
    RoomInput u = room("U", 0, 0, 1, 1);
    u.at = {};
    u.size = {};
    u.corners = quantity::PointList{{0, 0}, {9, 0}, {9, 5}, {6, 5}, {6, 2}, {3, 2}, {3, 5}, {0, 5}};
    u.openings = {window("north 3", 1.0, 1.0)};
    in.rooms = {u};
    const Building b = built(in);
    EXPECT_NEAR(surface(b, "U", "north wall 3 to outdoors").net_m2(), 3.0 * 3.0 - 1.0, 1e-9);
}

TEST(Faces, CanBeToldWhatLiesBeyond)
{
    Input in = one_room();
    FaceInput party, garage;
    party.on = "west";
    party.beyond = "no exchange";
    garage.on = "east";
    garage.beyond = "a temperature";
    garage.temperature = 5.0;
    in.rooms[0].faces = {party, garage};
    const Building b = built(in);
    EXPECT_EQ(surface(b, "Room", "west wall to no exchange").beyond.kind, Neighbour::Kind::nothing);
    EXPECT_EQ(surface(b, "Room", "east wall to a temperature").beyond.temperature_C, 5.0);
}

TEST(Use, ComesFromTheRoomThenItsTypeThenTheDefault)
{
    Input in = one_room();
    RoomTypeInput type;
    type.name = "office";
    type.use.people = 3.0;
    type.use.lighting = 9.0;
    type.use.ventilation_rate = 1.0;
    in.room_types = {type};
    in.rooms[0].type = "office";
    in.rooms[0].use.lighting = 12.0;
    const Building b = built(in);
    const Use& use = b.rooms[0].use;
    EXPECT_EQ(use.people.value, 3.0);
    EXPECT_EQ(use.lighting_W_per_m2.value, 12.0);
    EXPECT_EQ(use.infiltration_per_h.value, 0.3);
    EXPECT_THAT(b.origins.describe(use.people.origin), testing::HasSubstr("room type 'office'"));
    EXPECT_THAT(b.origins.describe(use.infiltration_per_h.origin), testing::HasSubstr("default: our assumption"));
    EXPECT_TRUE(use.control_operative);
}

TEST(Resolve, TellsAllMistakesAtOnce)
{
    Input in = one_room();
    in.site.latitude = 95.0;
    in.fabric.roof = "thatch";
    in.rooms[0].type = "x";
    in.glazings[0].direct_transmittance = 0.9;
    EXPECT_GE(std::ranges::count(resolve(in).problems, quantity::Severity::error, &quantity::Problem::severity), 4);
}

/// Files are refused where they are read; what code says is looked at here.
TEST(Resolve, TellsWordsThatAreNoneInAnInputMadeInCode)
{
    Input in = one_room();
    in.rooms[0].use.control = "operativ";
    const quantity::Problem told = problem_of(in, codes::choice);
    EXPECT_EQ(told.message, "control: 'operativ' found, expected one of operative, air");
    EXPECT_EQ(told.hint, "did you mean 'operative'?");
}

} // namespace
} // namespace venture::resolve
