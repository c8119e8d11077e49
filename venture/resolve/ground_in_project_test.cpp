/// The ground of a project: slabs, basements split at the ground's line, voids; and openings between rooms.

#include <set>

#include <gmock/gmock.h>

#include <building_questions.hpp>
#include <small_building.hpp>
#include <venture/resolve/vocabulary.hpp>

namespace venture::resolve {
namespace {

using namespace testing_data;
using testing::Contains;
using testing::HasSubstr;
using Part = fabric::GroundYear::Part;

std::vector<std::string> said(const Input& in)
{
    std::vector<std::string> out;
    for (const auto& p : resolve(in).problems) out.push_back(p.message);
    return out;
}

Input on_ground(double level_m)
{
    Input in = one_room();
    in.ground.outdoor_mean = 9.0;
    in.ground.outdoor_amplitude = 7.0;
    in.ground.level = level_m;
    return in;
}

const Surface* find(const Building& b, std::string_view name)
{
    for (const Surface& s : b.surfaces)
        if (s.name == name) return &s;
    return nullptr;
}

/// A room beside one on soil, with its floor over a void: each is measured by itself.
TEST(GroundInProject, LiesInPartOverAVoid)
{
    Input in = on_ground(-0.3);
    in.rooms.push_back(room("Annex", 5.0, 0.0, 4.0, 4.0));
    const double all_soil = [&] {
        const Building b = built(in);
        return u_value(b, *find(b, "floor to ground"));
    }();
    in.rooms[1].under_floor = "a ventilated void";
    const Building b = built(in);
    std::set<Part> parts;
    double of_the_first = 0.0;
    for (const Surface& s : b.surfaces) {
        if (s.name != "floor to ground") continue;
        const auto& ground = b.build_ups[s.build_up].ground;
        ASSERT_TRUE(ground);
        parts.insert(ground->part);
        if (s.room == 0) of_the_first = u_value(b, s);
    }
    EXPECT_EQ(parts.size(), 2u);
    EXPECT_NE(of_the_first, all_soil); // its own area and perimeter, without the annex
    EXPECT_TRUE(b.rooms[1].over_void.value_or(false));
}

TEST(GroundInProject, SplitsWallsAtItsLevel)
{
    const Building b = built(on_ground(1.2));
    const Surface *below = find(b, "south wall to ground"), *above = find(b, "south wall to outdoors");
    ASSERT_TRUE(below && above);
    EXPECT_NEAR(below->gross_m2, 5.0 * 1.2, 1e-9);
    EXPECT_NEAR(above->gross_m2, 5.0 * 1.8, 1e-9);
    const auto& wall = b.build_ups[below->build_up].ground;
    ASSERT_TRUE(wall);
    EXPECT_EQ(wall->part, Part::basement_walls);
    const Surface* floor = find(b, "floor to ground");
    ASSERT_TRUE(floor);
    EXPECT_EQ(b.build_ups[floor->build_up].ground->part, Part::basement_floor);
    const fabric::Basement by_hand{
        .floor = {.area_m2 = 20.0, .exposed_perimeter_m = 18.0, .floor_m2K_per_W = 0.1 / 0.04 + 0.15 / 2.0},
        .depth_m = 1.2,
        .wall_m2K_per_W = 0.2 / 0.8 + 0.1 / 0.04};
    EXPECT_NEAR(u_value(b, *below), basement_u_values(by_hand).walls_W_per_m2K, 1e-12);
    EXPECT_NEAR(u_value(b, *floor), basement_u_values(by_hand).floor_W_per_m2K, 1e-12);
}

TEST(GroundInProject, HasWallsOfItsOwn)
{
    Input in = on_ground(1.2);
    in.fabric.ground_wall = "partition";
    const Building b = built(in);
    EXPECT_EQ(b.build_ups[find(b, "south wall to ground")->build_up].layers.name, "partition in the ground");
    EXPECT_EQ(b.build_ups[find(b, "south wall to outdoors")->build_up].layers.name, "wall");
}

TEST(GroundInProject, IsASlabAtItsLevelAndNoneStatedElsewhereIsNeeded)
{
    Input in = on_ground(0.0);
    in.site.winter_ground = {};
    in.site.months[0].ground = {};
    const Building b = built(in);
    EXPECT_EQ(b.build_ups[find(b, "floor to ground")->build_up].ground->part, Part::slab);
    EXPECT_EQ(find(b, "south wall to ground"), nullptr);
}

TEST(GroundInProject, LiesUnderEveryFloorBelowItsLevel)
{
    Input in = on_ground(3.0);
    in.rooms.push_back(room("Beside", 5, 0, 3, 4, "upper"));
    const Building b = built(in);
    const auto beside = *b.find_room("Beside");
    for (const Surface& s : b.surfaces)
        if (s.room == beside && s.attitude == Attitude::floor) {
            EXPECT_EQ(b.build_ups[s.build_up].ground->part, Part::slab);
            EXPECT_NEAR(b.build_ups[s.build_up].ground->area_m2, 12.0, 1e-9);
        }
    in.ground.exposed_perimeter = 20.0;
    EXPECT_THAT(said(in), Contains(HasSubstr("more than one level")));
}

TEST(GroundInProject, IsAVoidUnderASuspendedFloor)
{
    Input in = on_ground(-0.4);
    in.ground.under_floor = "a ventilated void";
    const Building b = built(in);
    const Surface* floor = find(b, "floor to ground");
    const auto& ground = b.build_ups[floor->build_up].ground;
    EXPECT_EQ(ground->part, Part::floor_over_void);
    const fabric::SuspendedFloor by_hand{.ground = {.area_m2 = 20.0, .exposed_perimeter_m = 18.0},
                                         .u_value_W_per_m2K = 1.0 / (0.34 + 0.1 / 0.04 + 0.15 / 2.0),
                                         .height_m = 0.4};
    EXPECT_NEAR(u_value(b, *floor), suspended_floor_u_value(by_hand), 1e-12);
    in.ground.level = 0.5;
    EXPECT_THAT(said(in), Contains(HasSubstr("lies 0.5 m below the ground outside")));
}

TEST(GroundInProject, HoldsWindowsAboveItOnly)
{
    Input in = on_ground(1.2);
    in.rooms[0].openings = {window("south", 2.0, 1.0)};
    const Building b = built(in);
    EXPECT_NEAR(find(b, "south wall to outdoors")->openings.at(0).sill_m, 1.2, 1e-12);
    in.rooms[0].openings[0].sill = 0.9;
    EXPECT_THAT(said(in), Contains(HasSubstr("does not fit")));
    in.rooms[0].openings[0].sill = 1.9;
    EXPECT_NEAR(find(built(in), "south wall to outdoors")->openings.at(0).sill_m, 1.9, 1e-12);
}

TEST(GroundInProject, JoinsPartsOfAFaceThatIsOverruled)
{
    Input in = on_ground(1.2);
    FaceInput face;
    face.on = "south";
    face.beyond = "no exchange";
    in.rooms[0].faces = {face};
    const Building b = built(in);
    const Surface* wall = find(b, "south wall to no exchange");
    ASSERT_TRUE(wall);
    EXPECT_NEAR(wall->gross_m2, 15.0, 1e-9);
    EXPECT_EQ(std::ranges::count(b.surfaces, wall->name, &Surface::name), 1);
}

TEST(GroundInProject, RefusesAWallInGroundThatIsNotThere)
{
    Input in = on_ground(0.0);
    FaceInput face;
    face.on = "south";
    face.beyond = "ground";
    in.rooms[0].faces = {face};
    EXPECT_THAT(said(in), Contains(HasSubstr("the ground outside is not above its floor")));
}

// --- openings between rooms

Input two_rooms()
{
    Input in = shell();
    in.rooms = {room("A", 0, 0, 5, 4), room("B", 5, 0, 3, 4)};
    OpeningInput pane = window("", 2.0, 1.5), door;
    pane.in = {};
    pane.to = "A";
    door.to = "B";
    door.kind = "door";
    door.u_value = 2.5;
    door.width = 0.9;
    door.height = 2.1;
    door.from_left = 0.1;
    pane.from_left = 1.5;
    in.rooms[0].openings = {door};
    in.rooms[1].openings = {pane};
    return in;
}

TEST(OpeningsBetweenRooms, StandInTheWallThatBothShare)
{
    const Building b = built(two_rooms());
    const Surface* wall = find(b, "east wall to B");
    ASSERT_TRUE(wall);
    ASSERT_EQ(wall->openings.size(), 2u);
    EXPECT_NEAR(wall->net_m2(), 12.0 - 3.0 - 1.89, 1e-9);
    EXPECT_NEAR(1.0 / u_value(b, *wall, wall->openings[0]), 1.0 / 2.5 - 0.04 + 0.13, 1e-12);
    EXPECT_FALSE(wall->openings[1].shade);
}

/// A gallery open to its hall: no wall where it is open, and air that goes both ways.
Input open_to_the_next()
{
    Input in = two_rooms();
    OpeningInput gap;
    gap.to = "B";
    gap.kind = "open";
    gap.width = 2.0;
    gap.height = 2.5;
    gap.air_flow = 0.12;
    in.rooms[0].openings = {gap};
    in.rooms[1].openings = {};
    return in;
}

TEST(OpeningsBetweenRooms, MayBeOpenWithAirBothWays)
{
    const Building b = built(open_to_the_next());
    const Surface* wall = find(b, "east wall to B");
    ASSERT_TRUE(wall);
    EXPECT_NEAR(wall->net_m2(), 12.0 - 5.0, 1e-9);
    EXPECT_EQ(wall->openings[0].kind, Opening::Kind::open);
    EXPECT_EQ(wall->openings[0].sill_m, 0.0);
    EXPECT_EQ(u_value(b, *wall, wall->openings[0]), 0.0);
    ASSERT_EQ(b.transfer_air.size(), 1u);
    EXPECT_TRUE(b.transfer_air[0].both_ways);
    EXPECT_NEAR(b.transfer_air[0].flow_m3_per_s, 0.12, 1e-12);
    EXPECT_NE(b.transfer_air[0].from, b.transfer_air[0].to);
}

TEST(OpeningsBetweenRooms, ThatAreOpenHaveAFlowAndNothingElse)
{
    Input in = open_to_the_next();
    in.rooms[0].openings[0].air_flow = {};
    EXPECT_THAT(said(in), Contains(HasSubstr("has no air_flow")));
    in = open_to_the_next();
    in.rooms[0].openings[0].u_value = 2.0;
    EXPECT_THAT(said(in), Contains(HasSubstr("nothing is in what is open")));
    in = open_to_the_next();
    in.rooms[0].openings[0].kind = "door";
    in.rooms[0].openings[0].u_value = 2.0;
    EXPECT_THAT(said(in), Contains(HasSubstr("air_flow is of what is open")));
    in = open_to_the_next();
    in.rooms[0].openings[0].to = {};
    in.rooms[0].openings[0].in = "south";
    EXPECT_THAT(said(in), Contains(HasSubstr("what is open lies between two rooms")));
}

TEST(OpeningsBetweenRooms, SayOneWayWhereTheyAre)
{
    Input in = two_rooms();
    in.rooms[1].openings[0].in = "south";
    EXPECT_THAT(said(in), Contains(HasSubstr("says twice where it is")));
    in.rooms[1].openings[0].in = in.rooms[1].openings[0].to = {};
    EXPECT_THAT(said(in), Contains(HasSubstr("says nowhere where it is")));
    in.rooms[1].openings[0].to = "B";
    EXPECT_THAT(said(in), Contains(HasSubstr("share no wall")));
}

TEST(ColdestMonth, FollowsTheHemisphereOrTheMeans)
{
    Input in = with_rooms({room("Room", 0, 0, 8, 6)});
    in.ground.outdoor_mean = 12.0;
    in.ground.outdoor_amplitude = 8.0;
    const auto coldest = [&] {
        const Resolved r = resolve(in);
        return *r.effective.ground.coldest_month;
    };
    EXPECT_EQ(coldest(), 1.0);
    in.site.latitude = -36.0;
    EXPECT_EQ(coldest(), 7.0);
    for (int m = 1; m <= 12; ++m) {
        MonthlyMeanInput mean;
        mean.month = static_cast<double>(m);
        mean.dry_bulb = m == 8 ? 3.0 : 10.0;
        mean.daily_range = 8.0;
        mean.relative_humidity = 0.7;
        mean.sun = 10e6;
        mean.wind = 3.0;
        in.monthly_means.push_back(mean);
    }
    EXPECT_EQ(coldest(), 8.0);
}

/// A cellar under half of a house whose floor lies 0.3 m above the ground: slabs on fill, walls beside it in the ground.
TEST(PartialBasement, NeedsTheGroundsHeightAlone)
{
    Input in = with_rooms({room("Cellar", 0, 0, 6, 5, "cellar"), room("Over it", 0, 0, 6, 5),
                           room("Beside", 6, 0, 5, 5), room("Along", 0, 5, 11, 4)});
    StoreyInput cellar;
    cellar.name = "cellar";
    cellar.level = -2.6;
    cellar.height = 2.6;
    in.storeys.push_back(cellar);
    in.ground.level = -0.3;
    const Building b = built(in);
    double in_ground = 0.0, in_air = 0.0;
    for (const Surface& s : b.surfaces) {
        if (b.rooms[s.room].name == "Cellar" && s.attitude == Attitude::wall)
            (s.beyond.kind == Neighbour::Kind::ground ? in_ground : in_air) += s.gross_m2;
        const bool on_ground = s.attitude == Attitude::floor && b.rooms[s.room].name != "Over it";
        EXPECT_TRUE(!on_ground || s.beyond.kind == Neighbour::Kind::ground) << b.rooms[s.room].name;
    }
    EXPECT_NEAR(in_air, 0.3 * (6.0 + 5.0), 1e-6); // south and west, above the ground outside
    EXPECT_NEAR(in_ground, 2.6 * 22.0 - in_air, 1e-6);
}

} // namespace
} // namespace venture::resolve
