#include <venture/input/overlay.hpp>

#include <gmock/gmock.h>
#include <gtest/gtest.h>

#include <small_input.hpp>
#include <venture/quantity/codes.hpp>

namespace venture::input {
namespace {

using namespace testing_data;

TEST(Overlay, SetsAKeyOfATableThatStandsOnce)
{
    Input in = one_room();
    EXPECT_FALSE(apply_overlay(in, "site/winter_dry_bulb", "14 degF"));
    EXPECT_NEAR(*in.site.winter_dry_bulb, -10.0, 1e-9);
}

TEST(Overlay, SetsAKeyOfANamedRecordAndOfItsUse)
{
    Input in = one_room();
    EXPECT_FALSE(apply_overlay(in, "room/Room/height", "3500 mm"));
    EXPECT_FALSE(apply_overlay(in, "room/Room/people", "4"));
    EXPECT_FALSE(apply_overlay(in, "room/Room/size", "6 m, 4 m"));
    EXPECT_DOUBLE_EQ(*in.rooms[0].height, 3.5);
    EXPECT_DOUBLE_EQ(*in.rooms[0].use.people, 4.0);
    EXPECT_DOUBLE_EQ((*in.rooms[0].size)[0], 6.0);
}

TEST(Overlay, ReachesNestedTables)
{
    Input in = one_room();
    EXPECT_FALSE(apply_overlay(in, "site/month/7/dry_bulb", "30"));
    EXPECT_DOUBLE_EQ(*in.site.months[0].dry_bulb, 30.0);
}

TEST(Overlay, ReachesFacesByTheirSideOrTheirName)
{
    Input in = one_room();
    in.rooms[0].faces.resize(2);
    in.rooms[0].faces[0].on = "south";
    in.rooms[0].faces[1].on = "west";
    in.rooms[0].faces[1].name = "shop front";
    EXPECT_FALSE(apply_overlay(in, "room/Room/face/south/beyond", "ground"));
    EXPECT_FALSE(apply_overlay(in, "room/Room/face/shop front/sun", "none"));
    EXPECT_EQ(*in.rooms[0].faces[0].beyond, "ground");
    EXPECT_EQ(*in.rooms[0].faces[1].sun, "none");
}

TEST(Overlay, RemembersWhereTheValueCameFrom)
{
    Input in = one_room();
    EXPECT_FALSE(apply_overlay(in, "room/Room/height", "4 m"));
    EXPECT_EQ(in.origins.describe(in.rooms[0].height.origin), "--set room/Room/height=4 m");
}

TEST(Overlay, SetsAKeyOfEveryRecordByAStar)
{
    Input in = one_room();
    in.rooms.push_back(in.rooms[0]);
    in.rooms[1].name = "Attic/east";
    EXPECT_FALSE(apply_overlay(in, "room/*/height", "9 ft"));
    for (const RoomInput& room : in.rooms) EXPECT_NEAR(*room.height, 2.7432, 1e-12);
    EXPECT_EQ(in.origins.describe(in.rooms[1].height.origin), "--set room/*/height=9 ft");
}

TEST(Overlay, ChangesNoRecordWhereOneCannotBe)
{
    Input in = one_room();
    in.rooms.push_back(in.rooms[0]);
    in.rooms[0].faces.resize(1);
    in.rooms[0].faces[0].on = "south";
    const auto problem = apply_overlay(in, "room/*/face/south/sun", "none");
    ASSERT_TRUE(problem);
    EXPECT_FALSE(in.rooms[0].faces[0].sun);
    EXPECT_EQ(in.origins.describe(problem->where), "--set room/*/face/south/sun=none");
}

TEST(Overlay, LeavesWhatAFileSaysOfItsOwnNumbers)
{
    Input in = one_room();
    const auto problem = apply_overlay(in, "units/typed", "inch-pound");
    ASSERT_TRUE(problem);
    EXPECT_FALSE(in.units.typed);
}

TEST(Overlay, SetsTextsAndLists)
{
    Input in = one_room();
    EXPECT_FALSE(apply_overlay(in, "room/Room/control", "air"));
    EXPECT_FALSE(apply_overlay(in, "build_up/wall/layers", "200 mm brick, 50 mm wool"));
    EXPECT_EQ(*in.rooms[0].use.control, "air");
    EXPECT_EQ((*in.build_ups[0].layers).size(), 2u);
}

struct Refusal {
    const char *path, *value, *says, *hint;
};

class OverlayRefuses : public testing::TestWithParam<Refusal> {};

TEST_P(OverlayRefuses, AndLeavesTheInputAsItWas)
{
    Input in = one_room();
    const auto problem = apply_overlay(in, GetParam().path, GetParam().value);
    ASSERT_TRUE(problem);
    EXPECT_THAT(problem->message, testing::HasSubstr(GetParam().says));
    EXPECT_THAT(problem->hint, testing::HasSubstr(GetParam().hint));
    EXPECT_FALSE(in.rooms[0].height);
}

INSTANTIATE_TEST_SUITE_P(Paths, OverlayRefuses,
                         testing::Values(Refusal{"rooom/Room/height", "3", "no table is called 'rooom'", "'room'"},
                                         Refusal{"room/Rom/height", "3", "no room is called 'Rom'", "'Room'"},
                                         Refusal{"room/Room/hieght", "3", "no key is called 'hieght'", "'height'"},
                                         Refusal{"room/Room/height", "3 furlongs", "the unit 'furlongs'", ""},
                                         Refusal{"room/Room/height", "900", "outside", "unit"},
                                         Refusal{"room/Room/control", "ait", "'ait' found", "'air'"},
                                         Refusal{"room/Room/size", "3", "2 numbers expected", ""},
                                         Refusal{"room/Room/corners", "3", "cannot be set", "edit the file"},
                                         Refusal{"site/month/8/dry_bulb", "3", "no month is called '8'", ""},
                                         Refusal{"", "", "no table is called ''", ""},
                                         Refusal{"room", "", "no room is called ''", ""},
                                         Refusal{"site", "", "no key is called ''", ""}));

} // namespace
} // namespace venture::input
