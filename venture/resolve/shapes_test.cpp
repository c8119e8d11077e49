/// Golden cases of shapes: areas worked out by hand, to the square centimetre.

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

RoomInput with_corners(const char* name, std::vector<quantity::Point> corners, const char* storey = "ground")
{
    RoomInput r = room(name, 0, 0, 1, 1, storey);
    r.at = {};
    r.size = {};
    r.corners = std::move(corners);
    return r;
}

RoomInput placed(const char* name, double along_x, double along_y, const char* place)
{
    RoomInput r = room(name, 0, 0, along_x, along_y);
    r.at = {};
    r.place = std::string{place};
    return r;
}

/// Sum over the faces of a room, whose names begin so, and behind which lies something so called.
double area_of_all(const Building& b, std::string_view room, std::string_view face, std::string_view beyond)
{
    double sum = 0.0;
    for (const Surface& s : b.surfaces)
        if (b.rooms[s.room].name == room && s.parent.starts_with(face) &&
            s.name.ends_with(" to " + std::string{beyond}))
            sum += s.gross_m2;
    return sum;
}

std::size_t count_of(const Resolved& r, std::string_view code)
{
    return static_cast<std::size_t>(std::ranges::count(r.problems, code, &quantity::Problem::code));
}

PointList corners_of(const Room& room)
{
    PointList out;
    for (const GridPoint p : room.outline.outline) out.push_back({to_metres(p.x), to_metres(p.y)});
    return out;
}

TEST(Shapes, AnLHasTheAreaOfItsTwoRectangles)
{
    const Building b = built(with_rooms({with_corners("L", {{0, 0}, {6, 0}, {6, 3}, {4, 3}, {4, 5}, {0, 5}})}));
    EXPECT_NEAR(b.rooms[0].floor_area_m2, 6 * 3 + 4 * 2, square_centimetre);
    EXPECT_NEAR(area_of_all(b, "L", "north wall", "outdoors"), 6 * 3, square_centimetre);
    EXPECT_NEAR(area_of_all(b, "L", "east wall", "outdoors"), 5 * 3, square_centimetre);
}

TEST(Shapes, ARoomWithinARoomIsAHoleInIt)
{
    const Building b = built(with_rooms({room("Hall", 0, 0, 10, 8), room("Office", 4, 3, 3, 2)}));
    EXPECT_NEAR(b.rooms[0].floor_area_m2, 80 - 6, square_centimetre);
    EXPECT_NEAR(b.rooms[0].volume_m3, 74 * 3, 3 * square_centimetre);
    EXPECT_NEAR(area_of_all(b, "Hall", "", "Office"), 10 * 3, square_centimetre);
    EXPECT_NEAR(area_of_all(b, "Hall", "floor", "ground"), 74, square_centimetre);
    EXPECT_NEAR(area_of_all(b, "Office", "", "outdoors"), 6, square_centimetre); // its roof alone
}

TEST(Shapes, VoidsAreOfTheWallsButNotOfTheAir)
{
    RoomInput below = room("Office", 0, 0, 5, 4);
    below.ceiling_void = 0.45;
    below.floor_void = 0.15;
    const Building b = built(with_rooms({below, room("Above", 0, 0, 5, 4, "upper")}));
    EXPECT_NEAR(b.rooms[0].volume_m3, 20 * (3 - 0.45 - 0.15), 1e-9);
    EXPECT_NEAR(area_of_all(b, "Office", "south wall", "outdoors"), 5 * 3, square_centimetre);
    EXPECT_NEAR(area_of_all(b, "Above", "floor", "Office"), 20, square_centimetre);
    below.ceiling_void = 2.9;
    EXPECT_EQ(told(with_rooms({below}), codes::contradiction),
              "the voids of 'Office' are 3.05 m deep together, which leaves no air in its 3 m of height");
}

TEST(Shapes, ThreeRoomsMeetAtAPoint)
{
    const Building b = built(with_rooms({room("A", 0, 0, 4, 3), room("B", 4, 0, 3, 3), room("C", 0, 3, 7, 2)}));
    EXPECT_NEAR(area_of_all(b, "A", "east wall", "B"), 9, square_centimetre);
    EXPECT_NEAR(area_of_all(b, "A", "north wall", "C"), 12, square_centimetre);
    EXPECT_NEAR(area_of_all(b, "B", "north wall", "C"), 9, square_centimetre);
    EXPECT_NEAR(area_of_all(b, "C", "", "outdoors"), 7 * 3 + 2 * 2 * 3 + 14, square_centimetre);
}

TEST(Shapes, OffsetStoreysShareWhatLiesOverEachOther)
{
    const Building b = built(with_rooms({room("Below", 0, 0, 5, 4), room("Above", 1.25, 0, 5, 4, "upper")}));
    EXPECT_NEAR(area_of_all(b, "Above", "floor", "Below"), 3.75 * 4, square_centimetre);
    EXPECT_NEAR(area_of_all(b, "Above", "floor", "outdoors"), 1.25 * 4, square_centimetre);
    EXPECT_NEAR(area_of_all(b, "Below", "roof", "outdoors"), 1.25 * 4, square_centimetre);
}

TEST(Shapes, AHalfBuriedWallIsSplitAtTheGround)
{
    Input in = with_rooms({room("Cellar", 0, 0, 5, 4)});
    in.ground.level = 1.2;
    in.ground.outdoor_mean = 10.0;
    in.ground.outdoor_amplitude = 6.0;
    const Building b = built(in);
    EXPECT_NEAR(area_of_all(b, "Cellar", "south wall", "ground"), 5 * 1.2, square_centimetre);
    EXPECT_NEAR(area_of_all(b, "Cellar", "south wall", "outdoors"), 5 * 1.8, square_centimetre);
}

TEST(Mends, CloseThreeMillimetresAndSaySo)
{
    const Input in = with_rooms({room("A", 0, 0, 4, 3), room("B", 4.003, 0, 3, 3)});
    const quantity::Problem told = problem_of(in, codes::mended);
    EXPECT_EQ(told.message, "the west wall of 'B' was moved by up to 3.0 mm, into the line of 'A'");
    EXPECT_EQ(told.severity, quantity::Severity::note);
    const Building b = built(in);
    EXPECT_NEAR(area_of_all(b, "A", "east wall", "B"), 9, square_centimetre);
    EXPECT_NEAR(b.rooms[1].floor_area_m2, 3.003 * 3, square_centimetre);
}

TEST(Mends, BringAWallThatIsNotQuiteParallelIntoLine)
{
    const double aside = 3.0 * std::tan(0.4 * M_PI / 180.0);
    const Input in = with_rooms({room("A", 0, 0, 4, 3), with_corners("B", {{4, 0}, {8, 0}, {8, 3}, {4 + aside, 3}})});
    EXPECT_NE(problem_of(in, codes::mended).message.find("20.9 mm"), std::string::npos);
    const Building b = built(in);
    EXPECT_NEAR(area_of_all(b, "A", "east wall", "B"), 9, square_centimetre);
    EXPECT_NEAR(b.rooms[1].floor_area_m2, 12, square_centimetre);
}

TEST(Mends, LeaveWhatIsFartherOff)
{
    const Input in = with_rooms({room("A", 0, 0, 4, 3), room("B", 4.03, 0, 3, 3)});
    const Resolved r = resolve(in);
    EXPECT_EQ(count_of(r, codes::mended), 0U);
    EXPECT_EQ(count_of(r, codes::near_miss), 1U);
    EXPECT_NEAR(area_of_all(*r.building, "A", "east wall", "outdoors"), 9, square_centimetre);
}

TEST(Mends, TakeAsMuchAsIsStatedAndNoMore)
{
    Input in = with_rooms({room("A", 0, 0, 4, 3), room("B", 4.06, 0, 3, 3)});
    in.plan.tolerance = 0.08;
    EXPECT_NEAR(area_of_all(built(in), "A", "east wall", "B"), 9, square_centimetre);
    in.plan.tolerance = 0.0;
    in.rooms[1].at = QuantityList{4.001, 0};
    EXPECT_EQ(count_of(resolve(in), codes::mended), 0U);
}

TEST(Mends, TakeDoubledPointsOnce)
{
    const Input in = with_rooms({with_corners("A", {{0, 0}, {4, 0}, {4, 0}, {4, 3}, {0.002, 3}, {0, 3}})});
    EXPECT_EQ(problem_of(in, codes::mended).message,
              "2 of the 6 corners of 'A' stand twice, up to 2.0 mm apart: taken once");
    EXPECT_NEAR(built(in).rooms[0].floor_area_m2, 12, 0.01);
}

TEST(Mends, DoNotHangOnTheOrderOfRooms)
{
    std::vector<RoomInput> rooms = {room("A", 0, 0, 4, 3), room("B", 4.004, 0.006, 3, 3), room("C", 0, 3.01, 7, 2)};
    const Building one = built(with_rooms(rooms));
    std::ranges::reverse(rooms);
    const Building other = built(with_rooms(rooms));
    for (const Room& r : one.rooms) EXPECT_EQ(r.outline, other.rooms[*other.find_room(r.name)].outline) << r.name;
}

TEST(Dimensions, BetweenInsideFacesFindEachOtherAcrossTheWall)
{
    Input in = with_rooms({room("A", 0, 0, 4, 3), room("B", 4.1, 0, 5, 3)}); // a partition of 100 mm, walls of 300
    in.plan.dimensions = "inside faces";
    const Building b = built(in);
    EXPECT_NEAR(b.rooms[0].floor_area_m2, 12, square_centimetre);
    EXPECT_NEAR(b.rooms[1].volume_m3, 45, square_centimetre);
    EXPECT_NEAR(area_of_all(b, "A", "east wall", "B"), 3.3 * 3, square_centimetre);
    EXPECT_NEAR(area_of_all(b, "A", "south wall", "outdoors"), (4 + 0.15 + 0.05) * 3, square_centimetre);
    EXPECT_NEAR(area_of_all(b, "B", "east wall", "outdoors"), 3.3 * 3, square_centimetre);
    EXPECT_EQ(count_of(resolve(in), codes::near_miss), 0U);
}

TEST(Dimensions, AWallThatThePlanLeavesNoRoomForIsAFinding)
{
    Input in = with_rooms({room("A", 0, 0, 4, 3), room("B", 4.2, 0, 5, 3)});
    in.plan.dimensions = "inside faces";
    EXPECT_EQ(problem_of(in, codes::near_miss).message,
              "the plan leaves 200 mm for the wall between 'A' and 'B', whose build-up is 100 mm thick");
    EXPECT_NEAR(area_of_all(built(in), "A", "east wall", "B"), 3.3 * 3, square_centimetre);
}

TEST(Dimensions, ToOutsideFacesLeavePartitionsWhereTheyAre)
{
    Input in = with_rooms({room("A", 0, 0, 4, 3), room("B", 4, 0, 5, 3)});
    in.plan.dimensions = "outside faces";
    const Building b = built(in);
    EXPECT_NEAR(area_of_all(b, "A", "south wall", "outdoors"), (4 - 0.15) * 3, square_centimetre);
    EXPECT_NEAR(area_of_all(b, "A", "east wall", "B"), 2.7 * 3, square_centimetre);
    EXPECT_NEAR(b.rooms[0].floor_area_m2, 3.85 * 2.7, square_centimetre);
}

TEST(Dimensions, OfARoomWithinARoomTakeItsWallsFromTheOuterOne)
{
    Input in = with_rooms({room("Hall", 0, 0, 10, 8), room("Office", 4, 3, 3, 2)});
    in.plan.dimensions = "inside faces";
    const Building b = built(in);
    EXPECT_NEAR(b.rooms[0].floor_area_m2, 80 - 3.2 * 2.2, square_centimetre); // walls of 100 mm round the office
    EXPECT_NEAR(b.rooms[1].floor_area_m2, 6, square_centimetre);
    EXPECT_NEAR(area_of_all(b, "Hall", "", "Office"), 2 * (3.1 + 2.1) * 3, square_centimetre);
}

TEST(Dimensions, TakeTheThicknessOfAWallThatIsTypedForAFace)
{
    Input in = with_rooms({room("A", 0, 0, 4, 3)});
    in.plan.dimensions = "inside faces";
    FaceInput south;
    south.on = "south";
    south.build_up = "partition";
    in.rooms[0].faces = {south};
    EXPECT_NEAR(area_of_all(built(in), "A", "east wall", "outdoors"), (3 + 0.05 + 0.15) * 3, square_centimetre);
}

TEST(Places, StandAgainstOtherRooms)
{
    const Building b = built(with_rooms({placed("C", 2, 2, "north of B, east walls in line, 0.5 m further west"),
                                         placed("B", 3, 4, "east of A, north walls in line"), room("A", 1, 1, 4, 3),
                                         placed("D", 1, 1, "west of A, middles in line, 2 m apart")}));
    EXPECT_NEAR(corners_of(b.rooms[1])[0].x_m, 5.0, 1e-9);
    EXPECT_NEAR(corners_of(b.rooms[1])[0].y_m, 0.0, 1e-9);
    EXPECT_NEAR(corners_of(b.rooms[0])[0].x_m, 8.0 - 2.0 - 0.5, 1e-9);
    EXPECT_NEAR(corners_of(b.rooms[0])[0].y_m, 4.0, 1e-9);
    EXPECT_NEAR(corners_of(b.rooms[3])[0].x_m, 1.0 - 2.0 - 1.0, 1e-9);
    EXPECT_NEAR(corners_of(b.rooms[3])[0].y_m, 2.0, 1e-9);
}

TEST(Places, OverARoomAndAcrossAWall)
{
    RoomInput above = placed("Above", 4, 3, "over A");
    above.storey = "upper";
    Input in = with_rooms({room("A", 2, 1, 4, 3), above, placed("B", 2, 3, "east of A")});
    EXPECT_NEAR(area_of_all(built(in), "Above", "floor", "A"), 12, square_centimetre);
    in.plan.dimensions = "inside faces";
    EXPECT_NEAR(area_of_all(built(in), "A", "east wall", "B"), 3.3 * 3, square_centimetre);
}

TEST(Places, ThatAreNoneAreTold)
{
    const auto message = [](const char* place) {
        return problem_of(with_rooms({room("A", 0, 0, 4, 3), placed("B", 2, 2, place)}), codes::placing).message;
    };
    EXPECT_EQ(message("A"), "place: 'A' is no place");
    EXPECT_EQ(message("east of A, south in line"), "place: 'south in line': whose walls? \"south walls in line\", say");
    EXPECT_EQ(message("east of A, west walls in line"),
              "place: 'west walls in line': walls in line cannot be those on the west and east of it");
    EXPECT_EQ(message("east of A, further north"),
              "place: 'further north': how far, and where to? \"1.2 m further north\", say");
    const auto loop = with_rooms({placed("A", 2, 2, "east of B"), placed("B", 2, 2, "east of A")});
    EXPECT_EQ(problem_of(loop, codes::placing).message,
              "place: 'A' stands against 'B', which in the end stands against it");
    const auto nobody = with_rooms({room("Alcove", 0, 0, 4, 3), placed("B", 2, 2, "east of Alcoves")});
    EXPECT_EQ(problem_of(nobody, codes::unknown_name).hint, "did you mean 'Alcove'?");
}

TEST(Slopes, OfAnAtticRoomUnderTwo)
{
    Input in = with_rooms({room("Attic", 0, 0, 8, 5)});
    in.rooms[0].slopes = TextList{{"south 1 m, 45 deg", {}}, {"north 1 m, 45 deg", {}}};
    const Building b = built(in);
    EXPECT_NEAR(b.rooms[0].height_m, 3.5, 1e-5);
    EXPECT_NEAR(b.rooms[0].volume_m3, 8 * 5 * (1 + 3.5) / 2, 1e-3);
    EXPECT_NEAR(area_of_all(b, "Attic", "south slope", "outdoors"), 8 * 2.5 * std::sqrt(2.0), square_centimetre);
    EXPECT_NEAR(area_of_all(b, "Attic", "north slope", "outdoors"), 8 * 2.5 * std::sqrt(2.0), square_centimetre);
    EXPECT_NEAR(area_of_all(b, "Attic", "east wall", "outdoors"), 5 * 1 + 5 * 2.5 / 2, square_centimetre);
    EXPECT_NEAR(area_of_all(b, "Attic", "south wall", "outdoors"), 8, square_centimetre);
    for (const Surface& s : b.surfaces)
        if (s.parent == "south slope") {
            EXPECT_NEAR(s.tilt_deg, 45.0, 1e-9);
            EXPECT_NEAR(s.azimuth_deg, 180.0, 1e-9);
            const SurfacePlane lies = plane_of(s);
            EXPECT_NEAR(lies.zero_m[2], 1.0, 1e-9);
            EXPECT_NEAR(lies.out[1], -std::sqrt(0.5), 1e-9);
            EXPECT_NEAR(lies.along[0], 1.0, 1e-9);
        }
}

TEST(Slopes, AreCutByAHeightThatIsTyped)
{
    Input in = with_rooms({room("Attic", 0, 0, 8, 5)});
    in.rooms[0].slopes = TextList{{"south 1 m, 45 deg", {}}, {"north 1 m, 45 deg", {}}};
    in.rooms[0].height = Given<double>{2.5, in.origins.add({.kind = quantity::OriginKind::file, .text = "test"})};
    const Building b = built(in);
    EXPECT_NEAR(area_of_all(b, "Attic", "roof", "outdoors"), 8 * 2, square_centimetre);
    EXPECT_NEAR(area_of_all(b, "Attic", "south slope", "outdoors"), 8 * 1.5 * std::sqrt(2.0), square_centimetre);
    EXPECT_NEAR(b.rooms[0].volume_m3, 8 * (5 * 2.5 - 2 * 0.5 * 1.5 * 1.5), 1e-3);
}

TEST(Slopes, LeaveNeighboursTheWallThatBothReach)
{
    Input in = with_rooms({room("Attic", 0, 0, 4, 5), room("Tower", 4, 0, 3, 5)});
    in.rooms[0].slopes = TextList{{"south 1 m, 30 deg", {}}};
    const Building b = built(in);
    const double to_tower = 5 * 1 + 0.5 * 5 * 5 * std::tan(M_PI / 6), cut = 1 + 5 * std::tan(M_PI / 6) - 3.0;
    const double above = 0.5 * cut * cut / std::tan(M_PI / 6); // of the attic's wall over the tower's roof
    EXPECT_NEAR(area_of_all(b, "Attic", "east wall", "Tower"), to_tower - above, square_centimetre);
    EXPECT_NEAR(area_of_all(b, "Attic", "east wall", "outdoors"), above, square_centimetre);
    EXPECT_NEAR(area_of_all(b, "Tower", "west wall", "outdoors"), 15 - (to_tower - above), square_centimetre);
}

TEST(Slopes, HoldWindowsInTheirPlane)
{
    Input in = with_rooms({room("Attic", 0, 0, 8, 5)});
    in.rooms[0].slopes = TextList{{"south 1 m, 45 deg", {}}, {"north 1 m, 45 deg", {}}};
    in.rooms[0].openings = {window("south slope", 1.2, 3.4)};
    EXPECT_NEAR(built(in).rooms[0].volume_m3, 90, 1e-3);
    in.rooms[0].openings = {window("south slope", 1.2, 3.6)}; // the slope is 3.536 m long
    EXPECT_NE(problem_of(in, codes::opening).message.find("8 m x 3.536 m"), std::string::npos);
}

TEST(Slopes, ThatAreNoneAreTold)
{
    const auto message = [](const char* slope) {
        Input in = with_rooms({room("Attic", 0, 0, 8, 5)});
        in.rooms[0].slopes = TextList{{slope, {}}};
        return problem_of(in, codes::slope).message;
    };
    for (const char* text : {"south 1 m", "south, 30 deg", "upwards 1 m, 30 deg", "south 1 m, 90 deg",
                             "south 1 m, 0 deg", "south 1 m, 30 deg, and more", ""})
        EXPECT_EQ(message(text), "'" + std::string{text} + "' is no slope");
}

TEST(OpeningsBySize, OfTheirWall)
{
    Input in = with_rooms({room("A", 0, 0, 5, 4)});
    OpeningInput o = window("south", 1, 1);
    o.width = o.height = Given<double>{};
    o.area = 3.75;
    o.count = 2.0;
    in.rooms[0].openings = {o};
    Building b = built(in);
    const auto glass = [&](const Building& of) {
        double sum = 0.0;
        for (const Surface& s : of.surfaces) sum += s.openings_m2();
        return sum;
    };
    EXPECT_NEAR(glass(b), 3.75, 1e-9);
    in.rooms[0].openings[0].area = {};
    in.rooms[0].openings[0].share = 0.4;
    b = built(in);
    EXPECT_NEAR(glass(b), 0.4 * 15, 1e-9);
    in.rooms[0].openings[0].share = {};
    EXPECT_EQ(problem_of(in, codes::missing).message, "window of 'A' has no area");
    in.rooms[0].openings[0].area = 16.0;
    EXPECT_NE(problem_of(in, codes::opening).message.find("window of 16 m2"), std::string::npos);
    in.rooms[0].openings[0].width = 1.0;
    EXPECT_EQ(problem_of(in, codes::contradiction).message, "window of 'A' has its size in more than one way");
}

TEST(OpeningsBySize, FromTheRightEnd)
{
    Input in = with_rooms({room("A", 0, 0, 5, 4)});
    in.rooms[0].openings = {window("south", 1.2, 1)};
    in.rooms[0].openings[0].from_right = 0.5;
    for (const Surface& s : built(in).surfaces)
        for (const Opening& o : s.openings) EXPECT_NEAR(o.from_left_m[0], 5 - 0.5 - 1.2, 1e-9);
    in.rooms[0].openings[0].from_left = 0.5;
    EXPECT_NE(problem_of(in, codes::contradiction).message.find("from_right stands beside from_left"),
              std::string::npos);
}

} // namespace
} // namespace venture::resolve
