/// People and other gains, in all the ways that they may be said.

#include <gmock/gmock.h>

#include <building_questions.hpp>
#include <venture/building/activity.hpp>
#include <venture/quantity/codes.hpp>
#include <venture/resolve/resolve.hpp>
#include <venture/resolve/vocabulary.hpp>

namespace venture::resolve {
namespace {

using namespace testing_data;
using testing::HasSubstr;
namespace codes = quantity::codes;

constexpr double latent_J_per_kg = 2.501e6;

GainInput gain(const char* name, const char* kind, double power)
{
    GainInput g;
    g.name = std::string{name};
    g.kind = std::string{kind};
    g.power = power;
    return g;
}

Input with_gain(const GainInput& g)
{
    Input in = one_room();
    in.rooms[0].gains = {g};
    return in;
}

const Gain& only_gain(const Building& b) { return b.rooms.at(0).use.gains.at(0); }

TEST(Gains, ComeInPiecesWithSharesOfTheirHeat)
{
    GainInput copier = gain("copier", "equipment", 400.0);
    copier.count = 3.0;
    copier.radiant = 0.2;
    copier.latent = 0.1;
    copier.lost = 0.25;
    const Gain g = only_gain(built(with_gain(copier)));
    EXPECT_DOUBLE_EQ(g.radiant_W, 240.0);
    EXPECT_DOUBLE_EQ(g.convective_W, 1200.0 * (1.0 - 0.2 - 0.1 - 0.25));
    EXPECT_DOUBLE_EQ(g.lost_W, 300.0);
    EXPECT_DOUBLE_EQ(g.moisture_kg_per_s, 120.0 / latent_J_per_kg);
}

TEST(Gains, OfCookingHaveUsualShares)
{
    const Gain g = only_gain(built(with_gain(gain("hob", "cooking", 1000.0))));
    EXPECT_DOUBLE_EQ(g.radiant_W, 250.0);
    EXPECT_DOUBLE_EQ(g.convective_W, 500.0);
    EXPECT_DOUBLE_EQ(g.moisture_kg_per_s * latent_J_per_kg, 250.0);
}

TEST(Gains, CountDiversityOnce)
{
    Input in = with_gain(gain("lamp", "lighting", 100.0));
    in.rooms[0].use.lighting = 5.0;
    in.rooms[0].use.people = 4.0;
    in.rooms[0].use.ventilation_rate = 2.0;
    const Building full = built(in);
    in.rooms[0].use.gain_diversity = 0.5;
    const Building half = built(in);
    ASSERT_EQ(full.rooms[0].use.gains.size(), 3u);
    for (std::size_t i = 0; i < 3; ++i)
        EXPECT_DOUBLE_EQ(half.rooms[0].use.gains[i].sensible_W(), 0.5 * full.rooms[0].use.gains[i].sensible_W());
}

TEST(Gains, OfATypeAreTheRoomsUnlessItHasItsOwnOfThatName)
{
    Input in = one_room();
    RoomTypeInput office;
    office.name = "office";
    office.gains = {gain("screen", "equipment", 30.0), gain("printer", "equipment", 200.0)};
    in.room_types = {office};
    in.rooms[0].type = "office";
    in.rooms[0].gains = {gain("printer", "equipment", 50.0)};
    const Building b = built(in);
    ASSERT_EQ(b.rooms[0].use.gains.size(), 2u);
    EXPECT_DOUBLE_EQ(b.rooms[0].use.gains[0].sensible_W(), 50.0);
    EXPECT_DOUBLE_EQ(b.rooms[0].use.gains[1].sensible_W(), 30.0);
}

TEST(Gains, OfLightGoIntoTheVoidOverTheCeiling)
{
    Input in = one_room();
    in.rooms[0].use.lighting = 10.0;
    in.rooms[0].use.lighting_to_void = 0.3;
    const Gain g = only_gain(built(in));
    EXPECT_DOUBLE_EQ(g.to_void_W, 60.0);
    EXPECT_DOUBLE_EQ(g.radiant_W, 100.0);
    EXPECT_DOUBLE_EQ(g.convective_W, 40.0);
    in.rooms[0].use.lighting_to_void = 0.6;
    EXPECT_THAT(told(in, codes::contradiction), HasSubstr("more than all of its light"));
}

TEST(Gains, SayWhatIsWrongWithThem)
{
    GainInput g = gain("x", "equipment", 100.0);
    g.radiant = 0.8;
    g.lost = 0.4;
    EXPECT_THAT(told(with_gain(g), codes::contradiction), HasSubstr("more than all of it"));
    g = gain("x", "equipment", 100.0);
    g.power_per_area = 5.0;
    EXPECT_THAT(told(with_gain(g), codes::contradiction), HasSubstr("power and power_per_area"));
    g.power = {};
    g.power_per_area = {};
    EXPECT_THAT(told(with_gain(g), codes::missing), HasSubstr("neither heat nor moisture"));
}

TEST(Activity, SharesTheSameHeatByTemperature)
{
    for (const double t : {15.0, 20.0, 24.0, 27.0, 35.0}) {
        const PersonHeat heat = heat_of_person(Activity::office_work, t);
        EXPECT_DOUBLE_EQ(heat.sensible_W + heat.latent_W, 130.0);
        EXPECT_GE(heat.latent_W, 0.0);
    }
    EXPECT_DOUBLE_EQ(heat_of_person(Activity::office_work, 24.0).sensible_W, 75.0);
    EXPECT_DOUBLE_EQ(heat_of_person(Activity::office_work, 27.0).sensible_W, 60.0); // a fifth less
}

TEST(Activity, GoesByTheTemperatureThatIsHeld)
{
    Input in = one_room();
    in.rooms[0].use.people = 1.0;
    in.rooms[0].use.ventilation_rate = 2.0;
    in.rooms[0].use.activity = "bench work";
    EXPECT_DOUBLE_EQ(only_gain(built(in)).sensible_W(), 80.0);
    in.rooms[0].use.cooling_setpoint = 27.0;
    EXPECT_DOUBLE_EQ(only_gain(built(in)).sensible_W(), 64.0);
    in.rooms[0].use.sensible_per_person = 90.0;
    EXPECT_THAT(told(in, codes::contradiction), HasSubstr("both say what a person gives off"));
}

TEST(Activity, OfATypeGivesWayToWattsOfTheRoom)
{
    Input in = one_room();
    RoomTypeInput gym;
    gym.name = "gym";
    gym.use.activity = "sport";
    in.room_types = {gym};
    in.rooms[0].type = "gym";
    in.rooms[0].use.people = 1.0;
    in.rooms[0].use.ventilation_rate = 2.0;
    EXPECT_DOUBLE_EQ(only_gain(built(in)).sensible_W(), 210.0);
    in.rooms[0].use.sensible_per_person = 90.0;
    EXPECT_DOUBLE_EQ(only_gain(built(in)).sensible_W(), 90.0);
}

Input dwelling()
{
    Input in = with_rooms({room("Living", 0, 0, 5, 6), room("Bedroom", 5, 0, 5, 2), room("Loft", 5, 2, 5, 4)});
    in.rooms[2].use.heating_setpoint = {};
    in.dwelling.bedrooms = 1.0;
    in.dwelling.appliances = "usual";
    in.dwelling.plants = 4.0;
    return in;
}

TEST(Dwelling, SpreadsWhatLivesInItOverHeatedRoomsByFloorArea)
{
    const Building b = built(dwelling());
    EXPECT_DOUBLE_EQ(b.rooms[0].use.people.value, 2.0 * 30.0 / 40.0);
    EXPECT_DOUBLE_EQ(b.rooms[1].use.people.value, 2.0 * 10.0 / 40.0);
    EXPECT_DOUBLE_EQ(b.rooms[2].use.people.value, 0.0);
    EXPECT_DOUBLE_EQ(b.rooms[0].use.equipment_W_per_m2.value, (136.0 + 2.2 * 40.0) / 40.0);
    EXPECT_NEAR(b.rooms[0].use.moisture_kg_per_s.value * 3600.0, 0.030, 1e-12);
    EXPECT_THAT(b.origins.describe(b.rooms[0].use.people.origin), HasSubstr("2 people of the dwelling"));
}

TEST(Dwelling, LeavesWhatRoomsSayThemselves)
{
    Input in = dwelling();
    in.rooms[0].use.equipment = 1.0;
    in.dwelling.rooms = TextList{{"Living", {}}};
    const Building b = built(in);
    EXPECT_DOUBLE_EQ(b.rooms[0].use.equipment_W_per_m2.value, 1.0);
    EXPECT_DOUBLE_EQ(b.rooms[0].use.people.value, 2.0);
    EXPECT_DOUBLE_EQ(b.rooms[1].use.people.value, 0.0);
    in.dwelling.people = 3.0;
    EXPECT_THAT(told(in, codes::contradiction), HasSubstr("bedrooms and people"));
    in.dwelling.rooms = TextList{{"Lving", {}}};
    EXPECT_THAT(told(in, codes::unknown_name), HasSubstr("no room is called 'Lving'"));
}

/// People of the whole, whatever types bring; what a room says is taken off.
TEST(DwellingPeople, AreCountedOnce)
{
    Input in = with_rooms({room("Living", 0, 0, 5, 4), room("Bed", 5, 0, 5, 4), room("Study", 10, 0, 5, 4)});
    RoomTypeInput type;
    type.name = "any";
    type.use.area_per_person = 10.0;
    in.room_types = {type};
    for (RoomInput& r : in.rooms) r.type = "any";
    in.dwelling.bedrooms = 3.0;
    const auto people = [&] {
        double sum = 0.0;
        for (const Room& r : built(in).rooms) sum += r.use.people.value;
        return sum;
    };
    EXPECT_NEAR(people(), 4.0, 1e-9);
    EXPECT_THAT(problem_of(in, codes::overruled).message,
                HasSubstr("4 people by floor area, instead of what room types bring"));
    in.rooms[2].use.people = 1.0;
    EXPECT_NEAR(people(), 4.0, 1e-9);
    in.dwelling = {};
    EXPECT_NEAR(people(), 5.0, 1e-9); // 2 and 2 by their type, and 1
}

} // namespace
} // namespace venture::resolve
