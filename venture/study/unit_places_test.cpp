/// Where units can stand, found on the plan.

#include <venture/study/unit_places.hpp>

#include <gtest/gtest.h>

#include <support/small_input.hpp>
#include <venture/resolve/resolve.hpp>

namespace venture::study {
namespace {

using terminal::Spot;
using namespace testing_data; // NOLINT(google-build-using-namespace): words that make a building

constexpr double corner_m = 0.2;

/// Two rooms side by side: A with a window, B without.
building::Building two_rooms()
{
    input::Input in = shell();
    in.rooms = {room("A", 0, 0, 5, 4), room("B", 5, 0, 4, 4)};
    input::OpeningInput opening = window("south", 2.0, 1.2);
    opening.sill = 0.9;
    in.rooms[0].openings = {opening};
    return *resolve::resolve(in).building;
}

loads::RoomLoads loads_of(std::vector<std::string> names)
{
    loads::RoomLoads out;
    for (std::string& name : names) out.rooms.push_back({.room = std::move(name)});
    return out;
}

TEST(UnitPlaces, OfNoBuildingAreNotKnown)
{
    const auto places = unit_places(nullptr, loads_of({"A"}));
    ASSERT_EQ(places.size(), 1u);
    EXPECT_FALSE(places[0].known);
}

TEST(UnitPlaces, AreUnderWindowsAndAlongWallsBetweenThem)
{
    const building::Building b = two_rooms();
    const auto places = unit_places(&b, loads_of({"B", "A", "typed"}));
    EXPECT_FALSE(places[2].known);
    const terminal::RoomPlaces& a = places[1];
    ASSERT_TRUE(a.known);
    ASSERT_EQ(a.windows.size(), 1u);
    EXPECT_EQ(a.windows[0].called, "window in south wall");
    EXPECT_NEAR(a.windows[0].width_m, 2.0, 1e-9);
    EXPECT_NEAR(a.windows[0].height_m, 0.9, 1e-9);
    double south_m = 0.0;
    for (const Spot& spot : a.walls)
        if (spot.surface == a.windows[0].surface) south_m += spot.width_m;
    EXPECT_NEAR(south_m, 5.0 - 2.0 * corner_m - 2.0, 1e-9);
    EXPECT_TRUE(places[0].windows.empty());
}

TEST(UnitPlaces, AreAsHighAsTheirWall)
{
    input::Input in = shell();
    in.rooms = {room("Attic", 0, 0, 6, 4)};
    in.rooms[0].slopes = quantity::TextList{{"south 1.0 m, 45 deg"}};
    const auto resolved = resolve::resolve(in);
    ASSERT_TRUE(resolved.building);
    const auto places = unit_places(&*resolved.building, loads_of({"Attic"}));
    const auto south = std::ranges::find(places[0].walls, std::string{"south wall to outdoors"}, &Spot::called);
    const auto north = std::ranges::find(places[0].walls, std::string{"north wall to outdoors"}, &Spot::called);
    ASSERT_NE(south, places[0].walls.end());
    ASSERT_NE(north, places[0].walls.end());
    EXPECT_NEAR(south->height_m, 1.0, 1e-6);
    EXPECT_GT(north->height_m, 2.0);
}

TEST(UnitPlaces, KnowTheWallBetweenTwoRoomsFromBothSides)
{
    const building::Building b = two_rooms();
    const auto places = unit_places(&b, loads_of({"A", "B"}));
    const auto inner = [](const terminal::RoomPlaces& room) {
        return std::ranges::find(room.walls, false, &Spot::outside);
    };
    ASSERT_NE(inner(places[0]), places[0].walls.end());
    ASSERT_NE(inner(places[1]), places[1].walls.end());
    EXPECT_EQ(inner(places[0])->surface, inner(places[1])->surface);
    EXPECT_NEAR(inner(places[0])->width_m, 4.0 - 2.0 * corner_m, 1e-9);
    EXPECT_EQ(inner(places[0])->called, "east wall to B");
    EXPECT_EQ(inner(places[1])->called, "west wall to A");
}

} // namespace
} // namespace venture::study
