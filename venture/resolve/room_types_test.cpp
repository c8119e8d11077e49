/// What rooms take from their types, and what is odd about it.

#include <gmock/gmock.h>

#include <building_questions.hpp>
#include <venture/quantity/codes.hpp>
#include <venture/resolve/resolve.hpp>
#include <venture/resolve/vocabulary.hpp>

namespace venture::resolve {
namespace {

using namespace testing_data;
namespace codes = quantity::codes;

RoomTypeInput type(const char* name, const char* like = "")
{
    RoomTypeInput t;
    t.name = std::string{name};
    if (*like != '\0') t.like = std::string{like};
    return t;
}

ProfileInput hours(const char* name, const char* purpose)
{
    ProfileInput p;
    p.name = std::string{name};
    p.purpose = std::string{purpose};
    p.hours = TextList{{"08-18 100 %", {}}};
    return p;
}

Input of_type(std::vector<RoomTypeInput> types, const char* name)
{
    Input in = one_room();
    in.rooms[0].type = std::string{name};
    in.rooms[0].use.ventilation_rate = 2.0;
    in.room_types = std::move(types);
    return in;
}

TEST(RoomTypes, AreBuiltOnOthersAndTheNearestSays)
{
    RoomTypeInput room = type("room"), office = type("office", "room"), quiet = type("quiet office", "office");
    room.use.lighting = 5.0;
    room.use.infiltration = 0.2;
    room.use.equipment = 1.0;
    office.use.lighting = 8.0;
    office.use.equipment = 10.0;
    quiet.use.equipment = 6.0;
    Input in = of_type({quiet, office, room}, "quiet office");
    const Building b = built(in);
    EXPECT_DOUBLE_EQ(b.rooms[0].use.equipment_W_per_m2.value, 6.0);
    EXPECT_DOUBLE_EQ(b.rooms[0].use.lighting_W_per_m2.value, 8.0);
    EXPECT_DOUBLE_EQ(b.rooms[0].use.infiltration_per_h.value, 0.2);
    EXPECT_THAT(b.origins.describe(b.rooms[0].use.infiltration_per_h.origin), testing::HasSubstr("room type 'room'"));
    in.rooms[0].use.lighting = 12.0; // the room's own goes before
    EXPECT_DOUBLE_EQ(built(in).rooms[0].use.lighting_W_per_m2.value, 12.0);
}

TEST(RoomTypes, ThatAreLikeThemselvesOrLikeNobodyAreErrors)
{
    EXPECT_EQ(told(of_type({type("a", "b"), type("b", "a")}, "a"), codes::repeat),
              "room type 'a' is like itself in the end, by way of 'b'");
    EXPECT_THAT(told(of_type({type("a", "offfice"), type("office")}, "a"), codes::unknown_name),
                testing::HasSubstr("no room type is called 'offfice'"));
}

TEST(People, AreSaidByNumberOrByAreaAndTheNearestSays)
{
    RoomTypeInput office = type("office");
    office.use.area_per_person = 10.0;
    Input in = of_type({office}, "office");
    EXPECT_DOUBLE_EQ(built(in).rooms[0].use.people.value, 2.0); // of 20 m2
    in.rooms[0].use.people = 3.0;
    EXPECT_DOUBLE_EQ(built(in).rooms[0].use.people.value, 3.0);
    in.room_types[0].use.area_per_person = {};
    in.room_types[0].use.people = 7.0;
    in.rooms[0].use.people = {};
    in.rooms[0].use.area_per_person = 5.0;
    EXPECT_DOUBLE_EQ(built(in).rooms[0].use.people.value, 4.0);
    in.rooms[0].use.people = 4.0;
    EXPECT_THAT(told(in, codes::contradiction), testing::HasSubstr("both say how many people 'Room' holds"));
}

TEST(People, AreCheckedAgainstWhatIsExpected)
{
    Input in = one_room();
    in.rooms[0].use.ventilation_rate = 2.0;
    in.rooms[0].use.area_per_person = 5.0;
    in.rooms[0].use.people_expected = 4.0;
    EXPECT_EQ(told(in, codes::people_expected), "");
    in.rooms[0].use.people_expected = 6.0;
    EXPECT_EQ(told(in, codes::people_expected), "room 'Room' holds 4.0 people, 6 were expected");
    EXPECT_DOUBLE_EQ(built(in).rooms[0].use.people.value, 4.0);
}

TEST(RoomTypes, OfAnotherRegionAreAFinding)
{
    RoomTypeInput base = type("base"), office = type("office", "base");
    base.region = "North America";
    Input in = of_type({office, base}, "office");
    EXPECT_EQ(told(in, codes::other_region), "");
    in.project.region = "Europe";
    EXPECT_EQ(told(in, codes::other_region),
              "room 'Room' has the usual values of North America, the others those of Europe");
    in.project.region = "North America";
    EXPECT_EQ(told(in, codes::other_region), "");
}

/// Typed in a file, as findings about what someone typed want it.
template <class T>
quantity::Given<T> typed(Input& in, T value)
{
    return {std::move(value), in.origins.add({.kind = quantity::OriginKind::file, .text = "project.toml", .line = 1})};
}

TEST(RoomTypes, HoursOfAnotherPurposeAreAFinding)
{
    RoomTypeInput show = type("exhibition");
    show.purpose = "exhibition";
    show.use.people_profile = "opening";
    Input in = of_type({show}, "exhibition");
    in.profiles = {hours("opening", "exhibition"), hours("trading", "shop")};
    EXPECT_EQ(told(in, codes::other_purpose), "");
    in.rooms[0].use.people_profile = typed<std::string>(in, "trading");
    EXPECT_EQ(told(in, codes::other_purpose),
              "room 'Room' is for exhibition, its people go by 'trading', hours of shop");
}

TEST(RoomTypes, HoursOfAnotherPurposeAreToldOnceForATypeAndThroughCalendars)
{
    RoomTypeInput show = type("exhibition"), ours = type("our gallery", "exhibition");
    show.purpose = "exhibition";
    show.use.people_profile = "opening";
    Input in = of_type({ours, show}, "our gallery");
    in.profiles = {hours("opening", "exhibition"), hours("trading", "shop")};
    in.rooms.push_back(in.rooms[0]);
    in.rooms[1].name = "Other room";
    in.rooms[1].at = quantity::QuantityList{20.0, 20.0};
    CalendarInput week;
    week.name = "week";
    week.rules = TextList{{"every day: never", {}}, {"weekdays: trading", {}}};
    in.calendars = {week};
    in.room_types[0].use.hours = typed<std::string>(in, "week");
    EXPECT_EQ(told(in, codes::other_purpose),
              "room type 'our gallery' is for exhibition, its people go by 'week', hours of shop");
    in.calendars[0].purpose = "exhibition";
    EXPECT_EQ(told(in, codes::other_purpose), "");
    in.calendars[0].purpose = {};
    in.calendars[0].rules = TextList{{"every day: opening", {}}, {"weekdays: trading", {}}}; // of both
    EXPECT_EQ(told(in, codes::other_purpose), "");
    in.calendars[0].rules = TextList{{"every day: trading", {}}};
    in.room_types[1].purpose = "circulation"; // no hours are of that
    EXPECT_EQ(told(in, codes::other_purpose), "");
}

TEST(RoomTypes, MaySayHoursForPeopleLightingAndEquipmentAtOnce)
{
    RoomTypeInput base = type("base"), ours = type("ours", "base");
    base.use.people_profile = base.use.lighting_profile = base.use.equipment_profile = "opening";
    ours.use.hours = "trading";
    ours.use.equipment_profile = "always";
    Input in = of_type({ours, base}, "ours");
    in.profiles = {hours("opening", "a"), hours("trading", "b")};
    const auto profiles_of = [](const Input& input) {
        const Building b = built(input);
        const Use& use = b.rooms[0].use;
        return std::vector{b.calendars[use.people_profile].name, b.calendars[use.lighting_profile].name,
                           b.calendars[use.equipment_profile].name};
    };
    EXPECT_THAT(profiles_of(in), testing::ElementsAre("trading", "trading", "always"));
    in.rooms[0].use.hours = "08-12"; // the room's own go before all of its type's
    EXPECT_THAT(profiles_of(in), testing::ElementsAre("08-12", "08-12", "08-12"));
    EXPECT_EQ(built(in).rooms[0].values_given, 5);            // set-point, ventilation, and three by hours
    in.rooms[0].use.hours = typed<std::string>(in, "tradng"); // one mistake, though three profiles go by it
    EXPECT_EQ(std::ranges::count(resolve(in).problems, codes::unknown_name, &quantity::Problem::code), 1);
}

TEST(RoomTypes, ThatNoRoomIsOfAreTold)
{
    Input in = of_type({type("office"), type("base")}, "office");
    in.room_types.push_back(type("forgotten"));
    in.room_types[2].name = typed<std::string>(in, "forgotten");
    EXPECT_EQ(told(in, codes::unused), "no room is of the type 'forgotten'");
    in.room_types[0].like = "forgotten";
    EXPECT_EQ(told(in, codes::unused), "");
}

} // namespace
} // namespace venture::resolve
