/// What the checker notices of a building that is complete: mistakes planted one at a time in one that has none.

#include <functional>

#include <gmock/gmock.h>

#include <building_questions.hpp>
#include <venture/quantity/codes.hpp>
#include <venture/resolve/resolve.hpp>
#include <venture/resolve/vocabulary.hpp>

namespace venture::resolve {
namespace {

using namespace testing_data;
using testing::HasSubstr;
namespace codes = quantity::codes;

OpeningInput door(const char* in)
{
    OpeningInput o;
    o.in = std::string{in};
    o.kind = "door";
    o.u_value = 1.8;
    o.width = 1.0;
    o.height = 2.1;
    return o;
}

/// Four offices and a corridor of which nothing is odd.
Input sound()
{
    Input in = with_rooms({room("Office 1", 0, 0, 5, 4), room("Office 2", 5, 0, 5, 4), room("Office 3", 10, 0, 5, 4),
                           room("Office 4", 15, 0, 5, 4), room("Corridor", 0, 4, 20, 2)});
    in.project.year = 2027.0;
    RoomTypeInput office, corridor;
    office.name = "office";
    office.use.people = 2.0;
    office.use.lighting = 8.0;
    office.use.equipment = 10.0;
    office.use.ventilation_per_person = 0.010;
    for (const auto profile : {&UseInput::people_profile, &UseInput::lighting_profile, &UseInput::ventilation_profile})
        office.use.*profile = "work";
    corridor.name = "corridor";
    corridor.use.lighting = 4.0;
    in.room_types = {office, corridor};
    ProfileInput work;
    work.name = "work hours";
    work.hours = texts({"08-18 100 %"});
    in.profiles = {work};
    CalendarInput calendar;
    calendar.name = "work";
    calendar.rules = texts({"every day: never", "weekdays: work hours"});
    in.calendars = {calendar};
    for (std::size_t r = 0; r < 4; ++r) {
        in.rooms[r].type = "office";
        in.rooms[r].openings = {window("south", 2.0, 1.5)};
    }
    in.rooms[4].type = "corridor";
    in.rooms[4].openings = {door("east")};
    return in;
}

TEST(Findings, SayNothingOfABuildingThatIsSound)
{
    for (const quantity::Problem& p : resolve(sound()).problems) ADD_FAILURE() << p.code << " " << p.message;
}

struct Planted {
    const char* name;
    std::string_view code;
    const char* words; ///< of the message
    std::function<void(Input&)> plant;
};

class Mistake : public testing::TestWithParam<Planted> {};

TEST_P(Mistake, IsFoundAndNamed)
{
    Input in = sound();
    GetParam().plant(in);
    const quantity::Problem p = problem_of(in, GetParam().code);
    EXPECT_THAT(p.message, HasSubstr(GetParam().words));
    EXPECT_NE(p.hint, "") << p.message;
}

std::vector<Planted> planted()
{
    return {
        {"all_glass", codes::glass_share, "room 'Office 1': 93 % of the south wall is window",
         [](Input& in) {
             in.rooms[0].openings = {window("south", 4.9, 2.85)};
             in.rooms[0].openings[0].sill = 0.0;
         }},
        {"people_without_air", codes::no_outdoor_air, "'Office 2' holds 2 people and has no ventilation",
         [](Input& in) { in.rooms[1].use.ventilation_per_person = 0.0; }},
        {"people_left_cold", codes::left_cold, "'Office 2' holds 2 people and is neither heated nor cooled",
         [](Input& in) { in.rooms[1].use.heating_setpoint = {}; }},
        {"no_air_at_all", codes::unusual_air, "'Corridor' gets no air at all",
         [](Input& in) { in.rooms[4].use.infiltration = 0.0; }},
        {"air_in_the_wrong_unit", codes::unusual_air, "0.56 L/s of outdoor air for each of 2 people",
         [](Input& in) { in.rooms[0].use.ventilation_per_person = 2.0 / 3600.0; }},
        {"a_gale", codes::unusual_air, "6 air changes an hour by leakage",
         [](Input& in) { in.rooms[0].use.infiltration = 6.0; }},
        {"too_much_ventilation", codes::unusual_air, "50 by ventilation",
         [](Input& in) {
             in.rooms[0].use.ventilation_rate = 49.0;
             in.rooms[0].use.ventilation_per_person = 0.0083333333333333;
         }},
        {"light_in_the_wrong_unit", codes::unusual_gains, "heat of lighting comes to 120 W/m2",
         [](Input& in) { in.rooms[0].use.lighting = 120.0; }},
        {"equipment_in_the_wrong_unit", codes::unusual_gains, "heat of equipment comes to 460 W/m2",
         [](Input& in) { in.rooms[0].use.equipment_power = 9000.0; }},
        {"a_crowd", codes::unusual_gains, "heat of people comes to 300 W/m2",
         [](Input& in) { in.rooms[0].use.people = 80.0; }},
        {"no_insulation", codes::unusual_u, "'wall' has a U-value of 3.39 W/m2K as south wall",
         [](Input& in) { in.build_ups[0] = build_up("wall", {"100 mm brick"}); }},
        {"metres_for_millimetres", codes::unusual_u, "'roof' has a U-value of 0.0199",
         [](Input& in) {
             in.build_ups[2] = build_up("roof", {"2 m wool", "150 mm concrete"});
         }},
        {"glass_in_the_wrong_unit", codes::unusual_u, "glazing 'glass' has a U-value of 0.3 W/m2K",
         [](Input& in) { in.glazings[0].u_value = 0.3; }},
        {"insulated_inside", codes::turned_round, "wool stands inside of brick",
         [](Input& in) {
             in.build_ups[0] = build_up("wall", {"200 mm brick", "100 mm wool"});
         }},
        {"turned_round", codes::turned_round, "plasterboard stands outside",
         [](Input& in) {
             in.materials.push_back(material("plasterboard", 0.25, 800.0));
             in.build_ups[0] = build_up("wall", {"13 mm plasterboard", "100 mm wool", "100 mm brick"});
         }},
        {"left_out_beside_heated", codes::left_out, "unheated room: Corridor, Office 1, Office 3",
         [](Input& in) { in.rooms[1].leave_out = "yes"; }},
        {"crossing_set_points", codes::contradiction, "heated to 22 degC and cooled to 20 degC at once",
         [](Input& in) {
             in.rooms[0].use.heating_setpoint = 22.0;
             in.rooms[0].use.cooling_setpoint = 20.0;
         }},
        {"lights_into_no_room", codes::heat_out, "64 W of heat into voids over ceilings leave the building",
         [](Input& in) { in.rooms[1].use.lighting_to_void = 0.4; }},
        {"never_opens", codes::never_opens, "'work' never opens in 2027",
         [](Input& in) {
             in.calendars[0].rules = texts({"every day: never", "weekdays: never"});
         }},
        {"a_rule_too_late", codes::idle_rule, "later rules take every day of 'weekdays: work hours'",
         [](Input& in) {
             in.calendars[0].rules = texts({"weekdays: work hours", "every day: never"});
         }},
        {"hours_of_its_own", codes::uneven_hours,
         "people_profile by 'always' in 1 of 4 rooms of the type 'office': Office 4",
         [](Input& in) { in.rooms[3].use.people_profile = "always"; }},
        {"unused_type", codes::unused, "no room is of the type 'ward'",
         [](Input& in) {
             RoomTypeInput ward;
             ward.name = Given<std::string>{"ward", in.origins.add({quantity::OriginKind::file, "p", 1, 1, {}})};
             in.room_types.push_back(ward);
         }},
        {"unused_hours", codes::unused, "nothing goes by the profile 'nights'",
         [](Input& in) {
             ProfileInput nights;
             nights.name = Given<std::string>{"nights", in.origins.add({quantity::OriginKind::file, "p", 1, 1, {}})};
             nights.hours = texts({"22-06"});
             in.profiles.push_back(nights);
         }},
        {"ceiling_in_millimetres", codes::bounds, "2700 m is outside 0.3 m to 100 m",
         [](Input& in) { in.rooms[0].height = 2700.0; }},
        {"u_of_30", codes::bounds, "u_value", [](Input& in) { in.glazings[0].u_value = 30.0; }},
        {"kitchen_of_the_type_office", codes::name_and_use, "room 'Kitchen' is of the type 'office'",
         [](Input& in) { in.rooms[2].name = "Kitchen"; }},
        {"more_people_than_expected", codes::people_expected, "holds 2.0 people, 20 were expected",
         [](Input& in) { in.rooms[0].use.people_expected = 20.0; }},
        {"people_twice", codes::contradiction, "people and area_per_person both say",
         [](Input& in) {
             in.rooms[0].use.people = 2.0;
             in.rooms[0].use.area_per_person = 10.0;
         }},
        {"noon_in_english", codes::hours, "write 12 (noon)",
         [](Input& in) { in.profiles[0].hours = texts({"08-12 pm"}); }},
        {"day_too_long", codes::hours, "write 0:30", [](Input& in) { in.profiles[0].hours = texts({"18-24:30"}); }},
        {"setback_above", codes::contradiction, "which asks for more",
         [](Input& in) {
             in.rooms[0].use.heating_setback = 25.0;
             in.rooms[0].use.heating_profile = "work";
         }},
        {"gap_between_rooms", codes::near_miss, "face each other across 30 mm and do not touch",
         [](Input& in) {
             in.rooms[3].at = QuantityList{15.03, 0.0};
         }},
    };
}

INSTANTIATE_TEST_SUITE_P(Planted, Mistake, testing::ValuesIn(planted()),
                         [](const auto& of) { return std::string{of.param.name}; });

TEST(Bounds, NameTheUnitThatWouldFit)
{
    Input in = sound();
    in.rooms[0].height = 2700.0;
    EXPECT_THAT(problem_of(in, codes::bounds).hint, HasSubstr("\"2700 mm\" would be"));
}

} // namespace
} // namespace venture::resolve
