/// What resolve() finds odd or wrong in an input: findings, and mistakes one by one.

#include <cmath>

#include <gmock/gmock.h>
#include <gtest/gtest.h>

#include <building_questions.hpp>
#include <small_building.hpp>
#include <venture/quantity/codes.hpp>
#include <venture/resolve/vocabulary.hpp>

namespace venture::resolve {
namespace {

using namespace testing_data;
namespace codes = quantity::codes;

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
    input::PrimaryAirInput line;
    line.rooms = quantity::TextList{{"R*", {}}};
    line.flow = 0.02;
    in.primary_air = {line};
    EXPECT_EQ(testing_data::told(in, codes::no_outdoor_air), ""); // by a line, what comes is looked at with the units
}

TEST(Findings, NameARoomThatPassesOnMoreAirThanComesIn)
{
    Input in = shell();
    in.rooms = {room("Hall", 0, 0, 5, 4), room("Bath", 5, 0, 5, 4)};
    TransferAirInput air;
    air.from = "Hall";
    air.flow = 0.02; // leakage brings 60 m3 * 0.3 / 3600 s = 0.005
    in.rooms[1].transfer_air = {air};
    const auto p = problem_of(in, codes::air_balance);
    EXPECT_EQ(p.severity, quantity::Severity::warning);
    EXPECT_THAT(p.message, testing::HasSubstr("passes 20 L/s on to other rooms, but only 5 L/s come into it"));
    in.rooms[1].transfer_air[0].way = "both";
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
    in.rooms[0].walk = "east 5, left 4, left 4.98, left 4";
    const auto p = problem_of(in, codes::walk);
    EXPECT_EQ(p.severity, quantity::Severity::note);
    EXPECT_THAT(p.message, testing::HasSubstr("misses its beginning by 20 mm"));
    const Building b = *resolve(in).building;
    EXPECT_NEAR(b.rooms[0].floor_area_m2, 4.0 * (5.0 - 0.02 * 5.0 / 9.98), 1e-3);
    in.rooms[0].walk = "north 4, right 5, right 4"; // clockwise, last side left out
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
                                 Mistake{"wet_below_any_air", codes::physics,
                                         "wet_bulb: -21 degC is lower than that of air of 28 degC without any vapour",
                                         [](Input& in) { in.site.months[0].wet_bulb = -21.0; }},
                                 Mistake{"peak_wet_below_any_air", codes::physics, "peak_wet_bulb: -3 degC is lower",
                                         [](Input& in) {
                                             in.site.months[0].peak_wet_bulb = -3.0;
                                             in.site.months[0].dry_bulb_at_peak_wet_bulb = 27.0;
                                         }},
                                 Mistake{"wet_below_any_air_at_night", codes::physics,
                                         "wet_bulb_range: wet_bulb falls to",
                                         [](Input& in) { in.site.months[0].wet_bulb_range = 19.5; }},
                                 Mistake{"summer_time_half_said", codes::missing,
                                         "summer time needs its first and its last day",
                                         [](Input& in) { in.site.summer_time_first = "29 March"; }},
                                 Mistake{"summer_time_of_no_day", codes::date,
                                         "'31 June' is no day of a year: June has 30 days",
                                         [](Input& in) {
                                             in.site.summer_time_first = "31 June";
                                             in.site.summer_time_last = "24 October";
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
                                         [](Input& in) { in.fabric.outside_wall = "wal"; }},
                                 Mistake{"no_roof", codes::missing, "[fabric] has no 'roof'",
                                         [](Input& in) { in.fabric.roof = {}; }},
                                 Mistake{"walk_beside_size", codes::contradiction, "walk: stands beside size",
                                         [](Input& in) { in.rooms[0].walk = "east 5, left 4"; }},
                                 Mistake{"walk_upwards", codes::walk, "'upwards 3' is no side",
                                         [](Input& in) {
                                             in.rooms[0].size = {};
                                             in.rooms[0].walk = "east 5, upwards 3";
                                         }},
                                 Mistake{"walk_across_itself", codes::outline, "crosses itself",
                                         [](Input& in) {
                                             in.rooms[0].size = {};
                                             in.rooms[0].walk = "east 4, left 4, left 2, left 6, right 3";
                                         }},
                                 Mistake{"offset_without_plate", codes::contradiction, "stands without overhang",
                                         [](Input& in) {
                                             in.rooms[0].openings = {window("south", 1, 1)};
                                             in.rooms[0].openings[0].overhang_above = 0.2;
                                         }},
                                 Mistake{"obstruction_upside_down", codes::contradiction, "has its top at 2 m",
                                         [](Input& in) {
                                             ObstructionInput tree;
                                             tree.name = "tree";
                                             tree.size = quantity::QuantityList{1.0, 1.0};
                                             tree.base = 3.0;
                                             tree.top = 2.0;
                                             in.obstructions = {tree};
                                         }},
                                 Mistake{"obstruction_without_shape", codes::outline, "obstruction 'tree' has no shape",
                                         [](Input& in) {
                                             ObstructionInput tree;
                                             tree.name = "tree";
                                             tree.top = 2.0;
                                             in.obstructions = {tree};
                                         }},
                                 Mistake{"air_from_itself", codes::contradiction, "room 'Room' names itself",
                                         [](Input& in) {
                                             TransferAirInput air;
                                             air.from = "Room";
                                             air.flow = 0.01;
                                             in.rooms[0].transfer_air = {air};
                                         }},
                                 Mistake{"thermostat_in_turn", codes::contradiction, "has no thermostat of its own",
                                         [](Input& in) {
                                             in.rooms = {room("A", 0, 0, 5, 4), room("B", 5, 0, 5, 4)};
                                             in.rooms[0].thermostat_in = "B";
                                             in.rooms[1].thermostat_in = "A";
                                         }},
                                 Mistake{"thermostat_of_an_unheated_room", codes::contradiction, "are not both heated",
                                         [](Input& in) {
                                             in.rooms = {room("A", 0, 0, 5, 4), room("B", 5, 0, 5, 4)};
                                             in.rooms[0].use.heating_setpoint = {};
                                             in.rooms[1].thermostat_in = "A";
                                         }},
                                 Mistake{"unknown_storey", codes::unknown_name, "no storey is called 'attic'",
                                         [](Input& in) { in.rooms[0].storey = "attic"; }},
                                 Mistake{"unknown_type", codes::unknown_name, "no room type is called 'x'",
                                         [](Input& in) { in.rooms[0].type = "x"; }},
                                 Mistake{"unknown_profile", codes::unknown_name, "no profile or calendar is called 'x'",
                                         [](Input& in) { in.rooms[0].use.people_profile = "x"; }},
                                 Mistake{"unknown_glazing", codes::unknown_name, "no glazing is called 'x'",
                                         [](Input& in) {
                                             in.rooms[0].openings = {window("south", 1, 1)};
                                             in.rooms[0].openings[0].glazing = "x";
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
                                             p.name = "p";
                                             p.hours = quantity::TextList{{"12 pm", {}}};
                                             in.profiles = {p};
                                         }},
                                 Mistake{"half_a_temperature", codes::contradiction, "go together",
                                         [](Input& in) {
                                             FaceInput f;
                                             f.on = "west";
                                             f.beyond = "a temperature";
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
                                             f.on = "east";
                                             f.beyond = "ground";
                                             in.rooms[0].faces = {f};
                                         }},
                                 Mistake{"more_light_than_g", codes::contradiction, "of which it is a part",
                                         [](Input& in) { in.glazings[0].direct_transmittance = 0.9; }}),
                         [](const auto& tested) { return tested.param.name; });

} // namespace
} // namespace venture::resolve
