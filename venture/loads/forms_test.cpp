/// The same loads from the long and from the short form of everything.

#include <functional>

#include <gmock/gmock.h>

#include <small_building.hpp>
#include <venture/loads/design_loads.hpp>

namespace venture::loads {
namespace {

using namespace testing_data;
using input::Input;
using quantity::QuantityList;
using quantity::TextList;

/// A room that is heated, cooled and used.
Input used()
{
    Input in = one_room();
    in.project.year = 2027.0;
    input::RoomInput& room = in.rooms[0];
    room.use.cooling_setpoint = 25.0;
    room.use.people = 4.0;
    room.use.lighting = 10.0;
    room.use.equipment = 12.0;
    room.use.ventilation_per_person = 0.010;
    room.openings = {window("south", 2.0, 1.5)};
    input::ProfileInput day;
    day.name = "day";
    day.hours = TextList{{"08-12 100 %", {}}, {"12-13 40 %", {}}, {"13-17 100 %", {}}};
    in.profiles = {day};
    return in;
}

void go_by(Input& in, const char* hours)
{
    using input::UseInput;
    for (const auto profile : {&UseInput::people_profile, &UseInput::lighting_profile, &UseInput::equipment_profile,
                               &UseInput::ventilation_profile})
        in.rooms[0].use.*profile = std::string{hours};
}

input::GainInput gain(const char* name, const char* kind)
{
    input::GainInput g;
    g.name = std::string{name};
    g.kind = std::string{kind};
    g.profile = "day";
    return g;
}

struct TwoForms {
    const char* name;
    std::function<void(Input&)> in_short, in_long;
};

class Forms : public testing::TestWithParam<TwoForms> {};

TEST_P(Forms, GiveTheSameLoads)
{
    Input one = used(), other = used();
    go_by(one, "day");
    go_by(other, "day");
    GetParam().in_short(one);
    GetParam().in_long(other);
    const RoomLoad a = design_loads(built(one)).loads.rooms.at(0), b = design_loads(built(other)).loads.rooms.at(0);
    ASSERT_GT(a.heating_W, 100.0);
    ASSERT_GT(a.cooling_latent_W + a.cooling_sensible_W, 100.0);
    EXPECT_NEAR(a.heating_W, b.heating_W, 1e-6 * a.heating_W);
    EXPECT_NEAR(a.cooling_sensible_W, b.cooling_sensible_W, 1e-6 * a.cooling_sensible_W);
    EXPECT_NEAR(a.cooling_latent_W, b.cooling_latent_W, 1e-6 * a.cooling_W);
}

std::vector<TwoForms> forms()
{
    return {
        {"hours_or_a_profile", [](Input& in) { go_by(in, "08-12, 12-13 40 %, 13-17"); }, [](Input&) {}},
        {"values_or_hours",
         [](Input& in) {
             in.profiles[0].hours = {};
             in.profiles[0].values =
                 QuantityList{0, 0, 0, 0, 0, 0, 0, 0, 1, 1, 1, 1, .4, 1, 1, 1, 1, 0, 0, 0, 0, 0, 0, 0};
         },
         [](Input&) {}},
        {"a_calendar_of_one_profile",
         [](Input& in) {
             input::CalendarInput c;
             c.name = "all year";
             c.rules = TextList{{"every day: day", {}}};
             in.calendars = {c};
             go_by(in, "all year");
         },
         [](Input&) {}},
        {"closed_at_weekends", // design days take the busiest day of their month
         [](Input& in) {
             input::CalendarInput c;
             c.name = "weekdays";
             c.rules = TextList{{"every day: never", {}}, {"weekdays: day", {}}};
             in.calendars = {c};
             go_by(in, "weekdays");
         },
         [](Input&) {}},
        {"area_for_each_person",
         [](Input& in) {
             in.rooms[0].use.people = {};
             in.rooms[0].use.area_per_person = 5.0;
         },
         [](Input&) {}},
        {"lighting_in_watts",
         [](Input& in) {
             in.rooms[0].use.lighting = 0.0;
             in.rooms[0].use.lighting_power = 200.0;
         },
         [](Input&) {}},
        {"lighting_in_pieces",
         [](Input& in) {
             in.rooms[0].use.lighting = 0.0;
             auto lamps = gain("lamp", "lighting");
             lamps.power = 25.0;
             lamps.count = 8.0;
             in.rooms[0].gains = {lamps};
         },
         [](Input&) {}},
        {"equipment_as_a_gain",
         [](Input& in) {
             in.rooms[0].use.equipment = 0.0;
             auto screens = gain("screens", "equipment");
             screens.power_per_area = 12.0;
             in.rooms[0].gains = {screens};
         },
         [](Input&) {}},
        {"hours_or_three_profiles",
         [](Input& in) {
             using input::UseInput;
             for (const auto profile :
                  {&UseInput::people_profile, &UseInput::lighting_profile, &UseInput::equipment_profile})
                 in.rooms[0].use.*profile = {};
             in.rooms[0].use.hours = "day";
         },
         [](Input&) {}},
        {"a_calendar_on_another_or_in_one",
         [](Input& in) {
             input::CalendarInput c, d;
             c.name = "c";
             c.rules = TextList{{"every day: d", {}}, {"July: never", {}}, {"21 July: d", {}}};
             d.name = "d";
             d.rules = TextList{{"every day: never", {}}, {"weekdays: day", {}}};
             in.calendars = {c, d};
             go_by(in, "c");
         },
         [](Input&) {}},
        {"a_type_or_the_room_itself",
         [](Input& in) {
             input::RoomTypeInput t;
             t.name = "t";
             t.use = in.rooms[0].use;
             t.use.heating_setpoint = 21.0;
             in.rooms[0].use = {};
             in.rooms[0].type = "t";
             in.room_types = {t};
         },
         [](Input& in) { in.rooms[0].use.heating_setpoint = 21.0; }},
        {"diversity_or_fewer", [](Input& in) { in.rooms[0].use.gain_diversity = 0.5; },
         [](Input& in) {
             in.rooms[0].use.sensible_per_person = 37.5;
             in.rooms[0].use.latent_per_person = 27.5;
             in.rooms[0].use.lighting = 5.0;
             in.rooms[0].use.equipment = 6.0;
         }},
        {"ventilation_as_a_flow",
         [](Input& in) {
             in.rooms[0].use.ventilation_per_person = 0.0;
             in.rooms[0].use.ventilation_flow = 0.040;
         },
         [](Input&) {}},
        {"ventilation_in_air_changes",
         [](Input& in) {
             in.rooms[0].use.ventilation_per_person = 0.0;
             in.rooms[0].use.ventilation_rate = 0.040 * 3600.0 / 60.0;
         },
         [](Input&) {}},
        {"vents_or_air_changes",
         [](Input& in) {
             in.rooms[0].use.infiltration = 0.2;
             in.rooms[0].use.vents = 3.0;
         },
         [](Input& in) { in.rooms[0].use.infiltration = 0.7; }}, // 30 m3/h of 60 m3
        {"a_colour_or_an_absorptance",
         [](Input& in) {
             in.fabric.wall_colour = "dark";
             in.fabric.roof_colour = "dark";
         },
         [](Input& in) { in.build_ups[0].absorptance = in.build_ups[2].absorptance = 0.8; }},
        {"a_carpet_or_its_layer",
         [](Input& in) {
             in.build_ups.push_back(build_up("carpet", {"0.1 m2K/W carpet"}));
             in.rooms[0].use.floor_finish = "carpet";
         },
         [](Input& in) {
             in.build_ups[3] = build_up("slab", {"100 mm wool", "150 mm concrete", "0.1 m2K/W carpet"});
         }},
    };
}

INSTANTIATE_TEST_SUITE_P(Short, Forms, testing::ValuesIn(forms()),
                         [](const auto& of) { return std::string{of.param.name}; });

/// People by what they do against people in watts, as these are at the cooling set-point.
TEST(Activity, GoesByTheAirAndComesNearWattsWhereItIsHeld)
{
    const double set_C = 25.0, sensible_W = 75.0 * (39.0 - set_C) / 15.0;
    Input by_activity = used(), in_watts = used();
    for (Input* in : {&by_activity, &in_watts}) {
        go_by(*in, "day");
        in->rooms[0].use.people = 8.0;
        in->rooms[0].use.control = "air";
    }
    by_activity.rooms[0].use.activity = "office work";
    in_watts.rooms[0].use.sensible_per_person = sensible_W;
    in_watts.rooms[0].use.latent_per_person = 130.0 - sensible_W;
    const auto loads = [](const Input& in) { return design_loads(built(in)).loads.rooms.at(0); };
    const RoomLoad held = loads(by_activity), fixed = loads(in_watts);
    EXPECT_DOUBLE_EQ(held.heating_W, fixed.heating_W);
    EXPECT_NEAR(held.cooling_sensible_W, fixed.cooling_sensible_W, 0.02 * fixed.cooling_sensible_W);
    EXPECT_NEAR(held.cooling_latent_W, fixed.cooling_latent_W, 0.02 * fixed.cooling_latent_W);
    for (Input* in : {&by_activity, &in_watts}) in->rooms[0].use.cooling_setpoint = {}; // now it gets warm
    const double at_24_W = 75.0;
    in_watts.rooms[0].use.sensible_per_person = at_24_W;
    in_watts.rooms[0].use.latent_per_person = 130.0 - at_24_W;
    const RoomLoad floating = loads(by_activity), hotter = loads(in_watts);
    EXPECT_GT(hotter.highest_air_C, 27.0);
    EXPECT_LT(floating.highest_air_C, hotter.highest_air_C - 0.1);
}

TEST(TypedLoads, StandInSumsBesideWhatWasComputed)
{
    Input in = used();
    const RoomLoad computed = design_loads(built(in)).loads.rooms.at(0);
    in.rooms[0].heating_load = 5000.0;
    in.rooms[0].sensible_load = 3000.0;
    in.rooms[0].latent_load = 400.0;
    in.rooms[0].load_reason = "by hand";
    const RoomLoads all = design_loads(built(in)).loads;
    const RoomLoad& typed = all.rooms.at(0);
    EXPECT_DOUBLE_EQ(typed.heating_W, 5000.0);
    EXPECT_DOUBLE_EQ(typed.cooling_W, 3400.0);
    ASSERT_TRUE(typed.heating_overruled && typed.cooling_overruled);
    EXPECT_DOUBLE_EQ(typed.heating_overruled->computed_W, computed.heating_W);
    EXPECT_DOUBLE_EQ(typed.cooling_overruled->computed_W, computed.cooling_W);
    EXPECT_DOUBLE_EQ(heating_together_W(all, {0}), 5000.0);
    EXPECT_DOUBLE_EQ(coincident_cooling(all, {0}).total_W, 3400.0);
}

TEST(Calendars, CloseTheDesignDaysOfMonthsThatTheyClose)
{
    Input in = used();
    input::CalendarInput c;
    c.name = "school";
    c.rules = TextList{{"every day: day", {}}, {"July: never", {}}};
    in.calendars = {c};
    go_by(in, "school");
    Input empty = used();
    go_by(empty, "never");
    const RoomLoad closed = design_loads(built(in)).loads.rooms.at(0),
                   none = design_loads(built(empty)).loads.rooms.at(0);
    EXPECT_DOUBLE_EQ(closed.cooling_W, none.cooling_W); // July is the only design month
    EXPECT_GT(closed.heating_W, none.heating_W);        // but there is a winter, with its ventilation
}

TEST(Voids, TakeTheHeatOfLightsOutOfTheRoomBelow)
{
    Input in = used();
    go_by(in, "day");
    in.rooms.push_back(room("Void", 0, 0, 5, 4, "upper"));
    in.rooms[1].height = 1.5;
    in.rooms[1].use.heating_setpoint = {};
    const RoomLoads before = design_loads(built(in)).loads;
    in.rooms[0].use.lighting_to_void = 0.5;
    const RoomLoads lost = design_loads(built(in)).loads;
    in.rooms[0].void_room = "Void";
    const RoomLoads kept = design_loads(built(in)).loads;
    EXPECT_LT(lost.rooms[0].cooling_sensible_W, before.rooms[0].cooling_sensible_W);
    EXPECT_GT(kept.rooms[1].highest_air_C, lost.rooms[1].highest_air_C + 1.0);
    EXPECT_GT(kept.rooms[0].cooling_sensible_W, lost.rooms[0].cooling_sensible_W);
    EXPECT_LT(kept.rooms[0].cooling_sensible_W, before.rooms[0].cooling_sensible_W);
}

} // namespace
} // namespace venture::loads
