#include <venture/building/resolve.hpp>

#include <algorithm>

#include <gmock/gmock.h>
#include <gtest/gtest.h>

#include <small_building.hpp>
#include <venture/building/keys.hpp>
#include <venture/quantity/codes.hpp>

namespace venture::building {
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

/// The one problem with a code, or a failure.
quantity::Problem problem_of(const Input& in, std::string_view code)
{
    const Resolved r = resolve(in);
    for (const auto& p : r.problems)
        if (p.code == code) return p;
    std::string all;
    for (const auto& p : r.problems) all += std::string{p.code} + " " + p.message + "\n";
    ADD_FAILURE() << "no problem " << code << " among:\n" << all;
    return {};
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
        EXPECT_THAT(problem_of(in, codes::opening).message, testing::HasSubstr("5.000 x 3.000 m"));
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
    in.rooms[0].openings[0].kind = std::string{"door"};
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
    EXPECT_THAT(problem_of(in, codes::no_face).message, testing::HasSubstr("adjoins other rooms only"));
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
    party.on = std::string{"west"};
    party.beyond = std::string{"no exchange"};
    garage.on = std::string{"east"};
    garage.beyond = std::string{"a temperature"};
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
    type.name = std::string{"office"};
    type.use.people = 3.0;
    type.use.lighting = 9.0;
    type.use.ventilation_rate = 1.0;
    in.room_types = {type};
    in.rooms[0].type = std::string{"office"};
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

TEST(Findings, NameRoomsThatNearlyTouch)
{
    Input gap = shell();
    gap.rooms = {room("A", 0, 0, 5, 4), room("B", 5.1, 1, 3, 6)}; // typed to inside faces, 100 mm apart
    const auto p = problem_of(gap, codes::near_miss);
    EXPECT_EQ(p.severity, quantity::Severity::warning);
    EXPECT_THAT(p.message, testing::HasSubstr("across 100 mm"));
    Input clear_height = shell();
    clear_height.rooms = {room("Below", 0, 0, 5, 4), room("Above", 0, 0, 5, 4, "upper")};
    clear_height.rooms[0].height = 2.6;
    EXPECT_THAT(problem_of(clear_height, codes::near_miss).message, testing::HasSubstr("across 400 mm"));
}

TEST(Findings, LeaveRoomsAloneThatTouchOrStandApart)
{
    Input in = shell();
    in.rooms = {room("A", 0, 0, 5, 4), room("B", 5, 0, 5, 4), room("C", 0, 5, 5, 4), room("D", 0, 0, 5, 4, "upper")};
    EXPECT_TRUE(resolve(in).problems.empty());
}

TEST(Findings, NamePeopleWithoutOutdoorAir)
{
    Input in = one_room();
    in.rooms[0].use.people = 4.0;
    const auto p = problem_of(in, codes::no_outdoor_air);
    EXPECT_EQ(p.severity, quantity::Severity::warning);
    EXPECT_TRUE(resolve(in).building.has_value()); // a finding, not an error
}

TEST(Findings, NameARoomThatPassesOnMoreAirThanComesIn)
{
    Input in = shell();
    in.rooms = {room("Hall", 0, 0, 5, 4), room("Bath", 5, 0, 5, 4)};
    TransferAirInput air;
    air.from = std::string{"Hall"};
    air.flow = 0.02; // leakage brings 60 m3 * 0.3 / 3600 s = 0.005
    in.rooms[1].transfer_air = {air};
    const auto p = problem_of(in, codes::air_balance);
    EXPECT_EQ(p.severity, quantity::Severity::warning);
    EXPECT_THAT(p.message, testing::HasSubstr("passes 20.0 L/s on to other rooms, but only 5.0 L/s come into it"));
    in.rooms[1].transfer_air[0].way = std::string{"both"};
    EXPECT_TRUE(resolve(in).problems.empty());
    in.rooms[1].transfer_air[0].way = {};
    in.rooms[0].use.ventilation_rate = 1.0;
    EXPECT_TRUE(resolve(in).problems.empty());
}

TEST(Findings, SayByHowMuchAWalkMissedItsBeginning)
{
    Input in = shell();
    in.rooms = {room("Den", 0, 0, 5, 4)};
    in.rooms[0].size = {};
    in.rooms[0].walk = std::string{"east 5, left 4, left 4.98, left 4"};
    const auto p = problem_of(in, codes::walk);
    EXPECT_EQ(p.severity, quantity::Severity::note);
    EXPECT_THAT(p.message, testing::HasSubstr("misses its beginning by 20 mm"));
    const Building b = *resolve(in).building;
    EXPECT_NEAR(b.rooms[0].floor_area_m2, 4.0 * (5.0 - 0.02 * 5.0 / 9.98), 1e-3);
    in.rooms[0].walk = std::string{"north 4, right 5, right 4"}; // clockwise, last side left out
    EXPECT_TRUE(resolve(in).problems.empty());
    EXPECT_NEAR(resolve(in).building->rooms[0].floor_area_m2, 20.0, 1e-9);
}

struct Mistake {
    const char* name;
    std::string_view code;
    const char* says;
    void (*make)(Input&);
};

class Mistakes : public testing::TestWithParam<Mistake> {};

TEST_P(Mistakes, AreToldWithCodeAndWords)
{
    Input in = one_room();
    GetParam().make(in);
    EXPECT_THAT(problem_of(in, GetParam().code).message, testing::HasSubstr(GetParam().says));
    EXPECT_FALSE(resolve(in).building.has_value());
}

INSTANTIATE_TEST_SUITE_P(Input, Mistakes,
                         testing::
                             Values(
                                 Mistake{"no_rooms", codes::missing, "no rooms", [](Input& in) { in.rooms.clear(); }},
                                 Mistake{"no_latitude", codes::missing, "[site] has no 'latitude'",
                                         [](Input& in) { in.site.latitude = {}; }},
                                 Mistake{"latitude_95", codes::bounds, "95 deg is outside -90 deg to 90 deg",
                                         [](Input& in) { in.site.latitude = 95.0; }},
                                 Mistake{"nan", codes::bounds, "is outside",
                                         [](Input& in) { in.rooms[0].height = std::nan(""); }},
                                 Mistake{"huge", codes::bounds, "1e+300",
                                         [](Input& in) {
                                             in.rooms[0].size = quantity::QuantityList{1e300, 4.0};
                                         }},
                                 Mistake{"wet_above_dry", codes::physics, "above the dry bulb",
                                         [](Input& in) { in.site.months[0].wet_bulb = 29.0; }},
                                 Mistake{"summer_time_half_said", codes::missing,
                                         "summer time needs its first and its last day",
                                         [](Input& in) { in.site.summer_time_first = std::string{"29 March"}; }},
                                 Mistake{"summer_time_of_no_day", codes::date,
                                         "'31 June' is no day of a year: June has 30 days",
                                         [](Input& in) {
                                             in.site.summer_time_first = std::string{"31 June"};
                                             in.site.summer_time_last = std::string{"24 October"};
                                         }},
                                 Mistake{"peak_without_dry_bulb", codes::missing,
                                         "peak_wet_bulb has no coincident dry bulb",
                                         [](Input& in) { in.site.months[0].peak_wet_bulb = 20.0; }},
                                 Mistake{"dry_bulb_without_peak", codes::missing,
                                         "dry_bulb_at_peak_dew_point stands without peak_dew_point",
                                         [](Input& in) { in.site.months[0].dry_bulb_at_peak_dew_point = 20.0; }},
                                 Mistake{"peak_above_dry_bulb", codes::physics,
                                         "peak_dew_point: 24 degC is above the dry bulb of 20 degC",
                                         [](Input& in) {
                                             in.site.months[0].peak_dew_point = 24.0;
                                             in.site.months[0].dry_bulb_at_peak_dew_point = 20.0;
                                         }},
                                 Mistake{"another_mountain", codes::physics, "difference of heights",
                                         [](Input& in) { in.site.conditions_height = 2500.0; }},
                                 Mistake{
                                     "no_conditions", codes::missing, "[month] '7' has no 'dry_bulb', 'wet_bulb'",
                                     [](Input& in) { in.site.months[0].dry_bulb = in.site.months[0].wet_bulb = {}; }},
                                 Mistake{"month_twice", codes::contradiction, "stands twice",
                                         [](Input& in) { in.site.months.push_back(in.site.months[0]); }},
                                 Mistake{"unknown_material", codes::unknown_name, "no material is called 'brik'",
                                         [](Input& in) { in.build_ups[0] = build_up("wall", {"100 mm brik"}); }},
                                 Mistake{"no_layer", codes::layer, "is no layer",
                                         [](Input& in) { in.build_ups[0] = build_up("wall", {"brick"}); }},
                                 Mistake{"layer_unit", codes::layer, "the unit 'furlongs'",
                                         [](Input& in) { in.build_ups[0] = build_up("wall", {"2 furlongs brick"}); }},
                                 Mistake{"zero_thickness", codes::layer, "no thickness",
                                         [](Input& in) { in.build_ups[0] = build_up("wall", {"0 mm brick"}); }},
                                 Mistake{"unknown_build_up", codes::unknown_name, "no build-up is called 'wal'",
                                         [](Input& in) { in.fabric.outside_wall = std::string{"wal"}; }},
                                 Mistake{"no_roof", codes::missing, "[fabric] has no 'roof'",
                                         [](Input& in) { in.fabric.roof = {}; }},
                                 Mistake{"walk_beside_size", codes::contradiction, "walk: stands beside size",
                                         [](Input& in) { in.rooms[0].walk = std::string{"east 5, left 4"}; }},
                                 Mistake{"walk_upwards", codes::walk, "'upwards 3' is no side",
                                         [](Input& in) {
                                             in.rooms[0].size = {};
                                             in.rooms[0].walk = std::string{"east 5, upwards 3"};
                                         }},
                                 Mistake{"walk_across_itself", codes::outline, "crosses itself",
                                         [](Input& in) {
                                             in.rooms[0].size = {};
                                             in.rooms[0].walk = std::string{"east 4, left 4, left 2, left 6, right 3"};
                                         }},
                                 Mistake{"offset_without_plate", codes::contradiction, "stands without overhang",
                                         [](Input& in) {
                                             in.rooms[0].openings = {window("south", 1, 1)};
                                             in.rooms[0].openings[0].overhang_above = 0.2;
                                         }},
                                 Mistake{"obstruction_upside_down", codes::contradiction, "has its top at 2 m",
                                         [](Input& in) {
                                             ObstructionInput tree;
                                             tree.name = std::string{"tree"};
                                             tree.size = quantity::QuantityList{1.0, 1.0};
                                             tree.base = 3.0;
                                             tree.top = 2.0;
                                             in.obstructions = {tree};
                                         }},
                                 Mistake{"obstruction_without_shape", codes::outline, "obstruction 'tree' has no shape",
                                         [](Input& in) {
                                             ObstructionInput tree;
                                             tree.name = std::string{"tree"};
                                             tree.top = 2.0;
                                             in.obstructions = {tree};
                                         }},
                                 Mistake{"air_from_itself", codes::contradiction, "room 'Room' names itself",
                                         [](Input& in) {
                                             TransferAirInput air;
                                             air.from = std::string{"Room"};
                                             air.flow = 0.01;
                                             in.rooms[0].transfer_air = {air};
                                         }},
                                 Mistake{"thermostat_in_turn", codes::contradiction, "has no thermostat of its own",
                                         [](Input& in) {
                                             in.rooms = {room("A", 0, 0, 5, 4), room("B", 5, 0, 5, 4)};
                                             in.rooms[0].thermostat_in = std::string{"B"};
                                             in.rooms[1].thermostat_in = std::string{"A"};
                                         }},
                                 Mistake{"thermostat_of_an_unheated_room", codes::contradiction, "are not both heated",
                                         [](Input& in) {
                                             in.rooms = {room("A", 0, 0, 5, 4), room("B", 5, 0, 5, 4)};
                                             in.rooms[0].use.heating_setpoint = {};
                                             in.rooms[1].thermostat_in = std::string{"A"};
                                         }},
                                 Mistake{"unknown_storey", codes::unknown_name, "no storey is called 'attic'",
                                         [](Input& in) { in.rooms[0].storey = std::string{"attic"}; }},
                                 Mistake{"unknown_type", codes::unknown_name, "no room type is called 'x'",
                                         [](Input& in) { in.rooms[0].type = std::string{"x"}; }},
                                 Mistake{"unknown_profile", codes::unknown_name, "no profile is called 'x'",
                                         [](Input& in) { in.rooms[0].use.people_profile = std::string{"x"}; }},
                                 Mistake{"unknown_glazing", codes::unknown_name, "no glazing is called 'x'",
                                         [](Input& in) {
                                             in.rooms[0].openings = {window("south", 1, 1)};
                                             in.rooms[0].openings[0].glazing = std::string{"x"};
                                         }},
                                 Mistake{"name_twice", codes::twice, "a second room is called 'Room'",
                                         [](Input& in) { in.rooms.push_back(room("Room", 9, 0, 2, 2)); }},
                                 Mistake{"overlap", codes::overlap, "stand in the same place",
                                         [](Input& in) { in.rooms.push_back(room("Other", 4, 0, 4, 4)); }},
                                 Mistake{"no_shape", codes::outline, "has no shape",
                                         [](Input& in) { in.rooms[0].size = {}; }},
                                 Mistake{"both_shapes", codes::contradiction, "beside at or size",
                                         [](Input& in) {
                                             in.rooms[0].corners = quantity::PointList{{0, 0}, {1, 0}, {1, 1}};
                                         }},
                                 Mistake{"crossing", codes::outline, "crosses itself",
                                         [](Input& in) {
                                             in.rooms[0].at = {};
                                             in.rooms[0].size = {};
                                             in.rooms[0].corners = quantity::PointList{{0, 0}, {4, 4}, {4, 0}, {0, 4}};
                                         }},
                                 Mistake{"crossed_setpoints", codes::contradiction, "at once",
                                         [](Input& in) { in.rooms[0].use.cooling_setpoint = 18.0; }},
                                 Mistake{"no_hours", codes::hours, "is no range of hours",
                                         [](Input& in) {
                                             ProfileInput p;
                                             p.name = std::string{"p"};
                                             p.hours = quantity::TextList{{"12 pm", {}}};
                                             in.profiles = {p};
                                         }},
                                 Mistake{"half_a_temperature", codes::contradiction, "go together",
                                         [](Input& in) {
                                             FaceInput f;
                                             f.on = std::string{"west"};
                                             f.beyond = std::string{"a temperature"};
                                             in.rooms[0].faces = {f};
                                         }},
                                 Mistake{"half_a_month", codes::bounds, "6.5 is no whole number",
                                         [](Input& in) { in.site.months[0].month = 6.5; }},
                                 Mistake{"cooled_without_months", codes::missing, "has no design month",
                                         [](Input& in) {
                                             in.site.months.clear();
                                             in.rooms[0].use.cooling_setpoint = 25.0;
                                         }},
                                 Mistake{"dried_without_cooling", codes::contradiction, "nothing dries it",
                                         [](Input& in) { in.rooms[0].use.humidity_limit = 0.5; }},
                                 Mistake{"overruled_in_vain", codes::no_face, "adjoins other rooms only",
                                         [](Input& in) {
                                             in.rooms.push_back(room("Z", 5, 0, 3, 4));
                                             FaceInput f;
                                             f.on = std::string{"east"};
                                             f.beyond = std::string{"ground"};
                                             in.rooms[0].faces = {f};
                                         }},
                                 Mistake{"more_light_than_g", codes::contradiction, "of which it is a part",
                                         [](Input& in) { in.glazings[0].direct_transmittance = 0.9; }}),
                         [](const auto& tested) { return tested.param.name; });

TEST(Resolve, TellsAllMistakesAtOnce)
{
    Input in = one_room();
    in.site.latitude = 95.0;
    in.fabric.roof = std::string{"thatch"};
    in.rooms[0].type = std::string{"x"};
    in.glazings[0].direct_transmittance = 0.9;
    EXPECT_GE(std::ranges::count(resolve(in).problems, quantity::Severity::error, &quantity::Problem::severity), 4);
}

TEST(Keys, AllHaveNamesTextsAndASourceForEachDefault)
{
    Input in;
    for_each_table(in, [](std::string_view table, auto& records) {
        using Record = typename std::conditional_t<requires {
            records.begin();
        }, std::remove_cvref_t<decltype(records)>, std::vector<std::remove_cvref_t<decltype(records)>>>::value_type;
        Record record;
        for_each_key_set(record, [&](auto&, auto all) {
            for (const auto& key : all) {
                EXPECT_FALSE(key.spec.text.empty()) << table << "." << key.spec.name;
                EXPECT_EQ(key.spec.default_value.has_value() || !key.spec.default_word.empty(),
                          !key.spec.default_source.empty())
                    << table << "." << key.spec.name;
                EXPECT_LE(key.spec.allowed.lowest, key.spec.allowed.highest);
            }
        });
    });
}

} // namespace
} // namespace venture::building
