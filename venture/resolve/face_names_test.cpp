/// Faces that bear names.

#include <algorithm>

#include <gtest/gtest.h>

#include <building_questions.hpp>
#include <venture/quantity/codes.hpp>
#include <venture/resolve/resolve.hpp>
#include <venture/resolve/vocabulary.hpp>

namespace venture::resolve {
namespace {

using namespace testing_data;
namespace codes = quantity::codes;

constexpr double square_centimetre = 1e-4;

Input shop()
{
    Input in = with_rooms({room("Shop", 0, 0, 6, 5), room("Store", 6, 0, 3, 5)});
    FaceInput front;
    front.on = "south";
    front.name = "Shop front";
    in.rooms[0].faces = {front};
    return in;
}

TEST(NamedFace, IsWhatOpeningsFacesAndOutputsCallIt)
{
    Input in = shop();
    FaceInput shaded;
    shaded.on = "shop front";
    shaded.sun = "none";
    in.rooms[0].faces.push_back(shaded);
    in.rooms[0].openings = {window("Shop front", 3, 2), window("south", 1, 1)};
    in.rooms[0].openings[0].from_left = 0.5;
    in.rooms[0].openings[1].from_right = 0.5;
    const Building b = built(in);
    const Surface& front = surface_called(b, "Shop front to outdoors");
    EXPECT_EQ(front.openings.size(), 2); // by its name, and still by its side
    EXPECT_TRUE(front.beyond.in_shade);
    EXPECT_EQ(front.plain_name(), "south wall");
}

TEST(NamedFace, GoesAlongWhenItsRoomIsMirroredOrSplit)
{
    Input in = shop();
    in.rooms[0].faces[0].on = "east";
    in.rooms[0].faces[0].name = "West End glass"; // a side's word in it is no side
    in.rooms[0].openings = {window("West End glass", 1, 1)};
    in.rooms.pop_back();
    RepeatInput twin;
    twin.rooms = TextList{{"Shop", {}}};
    twin.name = "twin";
    twin.mirror_x = 0.0;
    in.repeats = {twin};
    const Building b = built(in);
    std::size_t glass = 0;
    for (const Surface& s : b.surfaces)
        if (s.parent == "West End glass") {
            EXPECT_NEAR(s.azimuth_deg, s.room == 0 ? 90 : 270, 1e-9);
            glass += s.openings.size();
        }
    EXPECT_EQ(glass, 2);

    Input half = shop(); // half in the ground: two parts of one name
    half.ground.level = 1.0;
    half.ground.outdoor_mean = 10.0;
    half.ground.outdoor_amplitude = 8.0;
    const Building split = built(half);
    EXPECT_NEAR(area_of(split, "Shop", "Shop front", "ground"), 6, square_centimetre);
    EXPECT_NEAR(area_of(split, "Shop", "Shop front", "outdoors"), 12, square_centimetre);
}

TEST(NamedFace, MustBeOneFaceAndHaveItsNameAlone)
{
    Input in = shop();
    in.rooms[0].corners = PointList{{0, 0}, {3, 0}, {3, 1}, {6, 1}, {6, 5}, {0, 5}};
    in.rooms[0].at = in.rooms[0].size = {};
    EXPECT_EQ(told(in, codes::contradiction), "name: 'south' are several faces of 'Shop': south wall, south wall 2");
    in = shop();
    in.rooms[0].faces[0].name = "north";
    EXPECT_EQ(told(in, codes::twice), "another face of 'Shop' is called 'north' already");
    in = shop();
    in.rooms[0].faces[0].on = "south-west";
    EXPECT_NE(told(in, codes::no_face), "");
    in = shop();
    in.rooms[0].openings = {window("Shopfront", 1, 1)}; // gone, or never there
    const Resolved r = resolve(in);
    const auto at = std::ranges::find(r.problems, codes::no_face, &quantity::Problem::code);
    ASSERT_NE(at, r.problems.end());
    EXPECT_EQ(at->hint, "did you mean 'shop front'?");
}

TEST(NamedFace, IsNotThatOfTheRoomBehindIt)
{
    Input in = with_rooms({room("Hall", 0, 0, 5, 4), room("Gallery", 5, 0, 5, 4), room("Shed", 30, 0, 5, 4)});
    in.rooms[1].openings = {window("Hall", 1.0, 1.0)};
    EXPECT_EQ(problem_of(in, codes::no_face).hint,
              "'Hall' is a room; it lies behind: west wall; what leads to a room says so with `to`");
    in.rooms[1].openings = {window("Shed", 1.0, 1.0)};
    EXPECT_EQ(problem_of(in, codes::no_face).hint, "'Shed' is a room, and none of its faces touches it");
}

TEST(NamedFace, AWallBetweenTwoRoomsIsMadeOfWhatEitherSays)
{
    Input in = shop();
    FaceInput between;
    between.on = "west";
    between.build_up = "wall";
    in.rooms[1].faces = {between}; // the wall stands with the shop, whose name comes first
    EXPECT_EQ(built(in).build_ups[surface_called(built(in), "east wall to Store").build_up].layers.name, "wall");
    between.on = "east";
    between.build_up = "roof";
    in.rooms[0].faces.push_back(between);
    EXPECT_EQ(told(in, codes::contradiction),
              "build_up: the east wall to Store of 'Shop' is 'wall' here and 'roof' elsewhere");
}

} // namespace
} // namespace venture::resolve
