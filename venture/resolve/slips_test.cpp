/// What newcomers type wrong: signs, halves of the year, units, two things in one place. Each planted by itself in a
/// building of which nothing is odd.

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

/// Two offices over a cellar beside fill, in a place that is one.
Input sound()
{
    Input in = with_rooms({room("Office 1", 0, 0, 5, 4), room("Office 2", 5, 0, 5, 4)});
    in.site.longitude = 2.0;
    for (RoomInput& r : in.rooms) {
        r.openings = {window("south", 1.5, 1.2)};
        r.use.people = 2.0;
        r.use.ventilation_per_person = 0.010;
    }
    return in;
}

TEST(Slips, AreNoneInABuildingThatIsSound)
{
    for (const quantity::Problem& p : resolve(sound()).problems) ADD_FAILURE() << p.code << " " << p.message;
}

struct Slip {
    const char* name;
    std::string_view code;
    const char* words; ///< of the message
    const char* hint;
    std::function<void(Input&)> plant;
};

class Slips : public testing::TestWithParam<Slip> {};

TEST_P(Slips, AreFoundAndNamed)
{
    Input in = sound();
    GetParam().plant(in);
    const quantity::Problem p = problem_of(in, GetParam().code);
    EXPECT_THAT(p.message, HasSubstr(GetParam().words));
    EXPECT_THAT(p.hint, HasSubstr(GetParam().hint));
}

std::vector<Slip> of_place()
{
    return {
        {"longitude_of_the_other_sign", codes::odd_place, "the sun stands highest at", "is its sign right?",
         [](Input& in) {
             in.site.longitude = 120.0;
             in.site.time_zone = -8.0;
         }},
        {"latitude_for_longitude", codes::odd_place, "the sun stands highest at", "latitude and longitude swapped?",
         [](Input& in) {
             in.site.latitude = 14.0;
             in.site.longitude = 52.0;
             in.site.time_zone = 1.0;
         }},
        {"latitude_of_151", codes::bounds, "latitude", "latitude and longitude swapped?",
         [](Input& in) {
             in.site.latitude = 151.2;
             in.site.longitude = -33.9;
             in.site.time_zone = 10.0;
         }},
        {"feet_above_the_sea", codes::odd_place, "6000 m above the sea", "metres or feet?",
         [](Input& in) { in.site.height = 6000.0; }},
        {"summer_time_of_the_south", codes::odd_season, "which is winter north of the equator", "this hemisphere",
         [](Input& in) {
             in.site.summer_time_first = "27 September";
             in.site.summer_time_last = "4 April";
         }},
        {"summer_time_of_the_north", codes::odd_season, "which is winter south of the equator", "this hemisphere",
         [](Input& in) {
             in.site.latitude = -35.0;
             in.site.months[0].month = 1.0;
             in.site.summer_time_first = "29 March";
             in.site.summer_time_last = "24 October";
         }},
        {"cooling_for_january", codes::odd_season, "cooling is designed for January alone", "months of summer",
         [](Input& in) { in.site.months[0].month = 1.0; }},
        {"cooling_for_july_in_the_south", codes::odd_season, "winter half of the year south", "months of summer",
         [](Input& in) { in.site.latitude = -35.0; }},
        {"dew_point_above_the_dry_bulb", codes::humidity_capped,
         "dew point of 2 degC lies above the dry bulb of -5 degC", "swapped?",
         [](Input& in) { in.site.winter_dew_point = 2.0; }},
        {"winter_in_fahrenheit", codes::odd_season, "winter is designed for 23 degC", "degC or degF",
         [](Input& in) { in.site.winter_dry_bulb = 23.0; }},
        {"summer_in_fahrenheit", codes::bounds, "dry_bulb: 88 degC is outside", "\"88 degF\" would be",
         [](Input& in) { in.site.months[0].dry_bulb = 88.0; }},
        {"wet_for_dry", codes::physics, "is above the dry bulb", "swapped?",
         [](Input& in) { std::swap(in.site.months[0].dry_bulb, in.site.months[0].wet_bulb); }},
        {"depths_swapped", codes::bounds, "diffuse_depth", "",
         [](Input& in) { std::swap(in.site.months[0].beam_depth, in.site.months[0].diffuse_depth); }},
    };
}

std::vector<Slip> of_fabric()
{
    const auto layers = [](std::initializer_list<const char*> texts) {
        return [texts = std::vector<const char*>(texts)](Input& in) {
            BuildupInput b = build_up("wall", {});
            quantity::TextList all;
            for (const char* text : texts) all.push_back({text, {}});
            b.layers = all;
            in.build_ups[0] = b;
        };
    };
    return {
        {"wool_like_paper", codes::odd_thickness, "0.1 mm of wool in 'wall'", "mm, cm or m?",
         layers({"100 mm brick", "0.1 mm wool", "100 mm brick"})},
        {"brick_in_metres", codes::odd_thickness, "of brick in 'wall'", "mm, cm or m?",
         layers({"100 mm brick", "100 mm wool", "4 m brick"})},
        {"plaster_in_metres_for_millimetres", codes::odd_thickness, "1 mm of brick", "mm, cm or m?",
         layers({"100 mm brick", "100 mm wool", "0.001 m brick"})},
        {"g_in_percent", codes::bounds, "g_value", "60 %", [](Input& in) { in.glazings[0].g_value = 60.0; }},
        {"frame_in_percent", codes::bounds, "frame_share", "25 %",
         [](Input& in) { in.glazings[0].frame_share = 25.0; }},
        {"bridge_in_milliwatts", codes::large_bridges, "thermal bridges of 'Office 1' lose", "W/mK or mW/mK",
         [](Input& in) {
             ThermalBridgeInput bridge;
             bridge.name = "balcony";
             bridge.room = "Office 1";
             bridge.psi = 4.5;
             bridge.length = 20.0;
             in.thermal_bridges = {bridge};
         }},
        {"one_sided_partition", codes::either_way, "nothing says which way it faces between 'Office 1' and 'Office 2'",
         "[[room.face]]",
         [](Input& in) {
             in.build_ups.push_back(build_up("one-sided", {"100 mm brick", "50 mm wool"}));
             in.fabric.inner_wall = "one-sided";
         }},
        {"partition_named_from_both_sides", codes::contradiction, "of one room or of the other", "say it once",
         [](Input& in) {
             in.build_ups.push_back(build_up("one-sided", {"100 mm brick", "50 mm wool"}));
             for (std::size_t r = 0; r < 2; ++r) {
                 FaceInput face;
                 face.on = std::string{r == 0 ? "east" : "west"};
                 face.build_up = "one-sided";
                 in.rooms[r].faces = {face};
             }
         }},
    };
}

std::vector<Slip> of_rooms()
{
    return {
        {"two_windows_in_one_place", codes::opening, "stand one in the other in the south wall", "from_left",
         [](Input& in) {
             in.rooms[0].openings.push_back(window("south", 1.0, 1.0));
             for (OpeningInput& o : in.rooms[0].openings) o.from_left = 1.0;
         }},
        {"windows_wider_than_their_wall", codes::opening, "in the south wall", "from_left",
         [](Input& in) {
             in.rooms[0].openings = {window("south", 3.0, 1.2), window("south", 3.0, 1.2)};
         }},
        {"sill_in_millimetres", codes::bounds, "sill", "mm", [](Input& in) { in.rooms[0].openings[0].sill = 900.0; }},
        {"plan_in_millimetres", codes::odd_size, "is 20000000 m2 large", "m, mm or ft",
         [](Input& in) {
             in.rooms.resize(1);
             in.rooms[0].size = QuantityList{5000.0, 4000.0};
         }},
        {"people_in_a_crawl_space", codes::odd_size, "is 1.45 m high and heated", "m, mm or ft",
         [](Input& in) { in.rooms[0].height = 1.45; }},
        {"a_tower_of_a_room", codes::odd_size, "is 80 m high", "m, mm or ft",
         [](Input& in) { in.rooms[0].height = 80.0; }},
        {"set_point_in_fahrenheit", codes::bounds, "heating_setpoint: 70 degC is outside", "\"70 degF\" would be",
         [](Input& in) { in.rooms[0].use.heating_setpoint = 70.0; }},
        {"set_point_by_presence", codes::sliding, "at 40 % of it the set-point is", "full or nothing",
         [](Input& in) {
             ProfileInput shares;
             shares.name = "presence";
             shares.hours = texts({"08-09 40 %", "09-17 100 %"});
             in.profiles = {shares};
             in.rooms[0].use.heating_setback = 15.0;
             in.rooms[0].use.heating_profile = "presence";
         }},
        {"humidity_in_percent", codes::bounds, "humidity_limit", "45 %",
         [](Input& in) {
             in.rooms[0].use.cooling_setpoint = 25.0;
             in.rooms[0].use.humidity_limit = 45.0;
         }},
        {"kilograms_by_the_second", codes::unusual_gains, "of water evaporate on 20 m2", "kg/h",
         [](Input& in) { in.rooms[0].use.moisture = 0.5; }},
        {"air_by_the_cubic_metre", codes::unusual_air, "by ventilation", "unit",
         [](Input& in) { in.rooms[0].use.ventilation_per_person = 8.0; }},
        {"ovens_without_air", codes::air_for_heat, "and nothing cools it", "ventilation",
         [](Input& in) { in.rooms[0].use.equipment_power = 3000.0; }},
        {"type_whose_figures_contradict_one_another", codes::air_for_heat, "of the type 'bakery'", "hood",
         [](Input& in) {
             RoomTypeInput bakery;
             bakery.name = "bakery";
             bakery.use.equipment = 150.0;
             in.room_types = {bakery};
             in.rooms[0].type = "bakery";
         }},
        {"cellar_without_ground", codes::under_zero,
         "walls of rooms below zero are taken to stand in the open (Office 1)", "[ground] level",
         [](Input& in) {
             StoreyInput cellar;
             cellar.name = "cellar";
             cellar.level = -2.8;
             cellar.height = 2.8;
             in.storeys.push_back(cellar);
             in.rooms[0].storey = "cellar";
         }},
        {"crawl_space_without_ground", codes::under_zero, "walls of rooms below zero", "[ground] level",
         [](Input& in) {
             StoreyInput crawl;
             crawl.name = "crawl";
             crawl.level = -0.6;
             crawl.height = 0.6;
             in.storeys.push_back(crawl);
             in.rooms[0].storey = "crawl";
             in.rooms[0].openings = {};
         }},
        {"reduction_factor_in_percent", codes::bounds, "reduction_factor", "60 %",
         [](Input& in) {
             FaceInput face;
             face.on = "west";
             face.beyond = "unheated space";
             face.reduction_factor = 60.0;
             in.rooms[0].faces = {face};
         }},
        {"more_people_than_the_dwelling_has", codes::overruled,
         "rooms say 4 people themselves, more than the 2 of [dwelling]", "[dwelling]",
         [](Input& in) { in.dwelling.people = 2.0; }},
        {"wall_smaller_than_its_other_side", codes::near_miss, "the smaller counts", "size",
         [](Input& in) {
             for (std::size_t r = 0; r < 2; ++r) {
                 RoomInput& here = in.rooms[r];
                 here.at = {};
                 here.size = QuantityList{r == 0 ? 5.0 : 4.0, 4.0};
                 here.openings.clear();
                 for (const char* on : {"south", "north", "east", "west", "floor", "roof"}) {
                     FaceInput face;
                     face.on = std::string{on};
                     const bool shared = face.on.value == (r == 0 ? "north" : "south");
                     face.beyond = std::string{shared ? "a room" : "no exchange"};
                     if (shared) face.room = std::string{r == 0 ? "Office 2" : "Office 1"};
                     here.faces.push_back(face);
                 }
             }
         }},
        {"half_past_six_in_english", codes::hours, "write 18:30", "",
         [](Input& in) {
             ProfileInput evening;
             evening.name = "evening";
             evening.hours = texts({"5-6:30pm"});
             in.profiles = {evening};
             in.rooms[0].use.people_profile = "evening";
         }},
    };
}

INSTANTIATE_TEST_SUITE_P(Place, Slips, testing::ValuesIn(of_place()), [](const auto& of) { return of.param.name; });
INSTANTIATE_TEST_SUITE_P(Fabric, Slips, testing::ValuesIn(of_fabric()), [](const auto& of) { return of.param.name; });
INSTANTIATE_TEST_SUITE_P(Rooms, Slips, testing::ValuesIn(of_rooms()), [](const auto& of) { return of.param.name; });

// --- what may pass, and why

/// Clocks may be two hours off the sun and more in earnest, as in the west of large countries of one time.
TEST(MayPass, AClockTwoHoursFromTheSun)
{
    Input in = sound();
    in.site.longitude = -8.0;
    in.site.time_zone = 1.0;
    for (const auto& p : resolve(in).problems) EXPECT_NE(p.code, codes::odd_place) << p.message;
}

/// Near the equator no half of the year is winter.
TEST(MayPass, CoolingForJanuaryInTheTropics)
{
    Input in = sound();
    in.site.latitude = 4.0;
    in.site.months[0].month = 1.0;
    for (const auto& p : resolve(in).problems) EXPECT_NE(p.code, codes::odd_season) << p.message;
}

/// A party wall or a floor typed the same from both sides is one wall.
TEST(MayPass, ASymmetricPartitionNamedFromBothSides)
{
    Input in = sound();
    for (std::size_t r = 0; r < 2; ++r) {
        FaceInput face;
        face.on = std::string{r == 0 ? "east" : "west"};
        face.build_up = "wall";
        in.rooms[r].faces = {face};
    }
    EXPECT_TRUE(resolve(in).building.has_value());
}

} // namespace
} // namespace venture::resolve
