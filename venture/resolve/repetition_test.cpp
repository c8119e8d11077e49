/// Rooms written once that stand more than once, and rooms without a plan.

#include <fmt/format.h>
#include <gtest/gtest.h>

#include <small_building.hpp>
#include <venture/input/completion.hpp>
#include <venture/quantity/codes.hpp>
#include <venture/resolve/resolve.hpp>
#include <venture/resolve/vocabulary.hpp>

namespace venture::resolve {
namespace {

using namespace testing_data;
namespace codes = quantity::codes;

Input two_rooms()
{
    Input in = shell();
    in.rooms = {room("Flat", 0, 0, 6, 5), room("Stairs", 6, 0, 3, 5)};
    in.rooms[0].openings = {window("west", 1.5, 1.2)};
    in.rooms[0].openings[0].from_left = 0.4;
    OpeningInput door;
    door.kind = "door";
    door.to = "Stairs";
    door.width = 0.9;
    door.height = 2.0;
    door.u_value = 2.0;
    in.rooms[0].openings.push_back(door);
    return in;
}

const Room& room_of(const Building& b, std::string_view name)
{
    const auto at = b.find_room(name);
    if (!at) {
        ADD_FAILURE() << "no room " << name;
        return b.rooms.front();
    }
    return b.rooms[*at];
}

TEST(Storeys, RepeatOthersWithExceptions)
{
    Input in = two_rooms();
    in.storeys[1].repeats = "ground";
    RoomInput exception;
    exception.name = "Flat (upper)";
    exception.use.heating_setpoint = 24.0;
    in.rooms.push_back(exception);
    const Building b = built(in);
    ASSERT_EQ(b.rooms.size(), 4U);
    const Room& flat = room_of(b, "Flat (upper)");
    EXPECT_EQ(flat.floor_m, 3.0);
    EXPECT_EQ(flat.use.heating_setpoint_C->value, 24.0);
    EXPECT_NEAR(flat.floor_area_m2, 30.0, 1e-9);
    EXPECT_EQ(room_of(b, "Stairs (upper)").use.heating_setpoint_C->value, 20.0);
    int doors = 0; // each leads to the stairs of its own storey
    for (const Surface& s : b.surfaces)
        for (const Opening& o : s.openings) doors += o.kind == Opening::Kind::door ? 1 : 0;
    EXPECT_EQ(doors, 2);
    in.storeys[1].without = TextList{{"Stairs", {}}};
    in.rooms[2].openings = {window("west", 1, 1)}; // its own, since there is no door to lead to
    EXPECT_EQ(built(in).rooms.size(), 3U);
}

TEST(Storeys, RepeatedAreCompletedOnceOnly)
{
    Input in = two_rooms();
    in.storeys[1].repeats = "ground";
    const Input once = completed(in);
    EXPECT_EQ(once.rooms.size(), 4U);
    EXPECT_EQ(completed(once).rooms.size(), 4U);
}

TEST(Repeats, ShiftAndMirror)
{
    Input in = two_rooms();
    RepeatInput mirrored;
    mirrored.name = "east";
    mirrored.rooms = TextList{{"Flat", {}}};
    mirrored.mirror_x = 7.5;
    in.repeats = {mirrored};
    in.rooms[0].openings.pop_back();
    const Building b = built(in);
    const Room& east = room_of(b, "Flat (east)");
    EXPECT_EQ(east.outline.outline[0].x, to_grid(9.0));
    const Surface* wall = nullptr;
    for (const Surface& s : b.surfaces)
        if (!s.openings.empty() && b.rooms[s.room].name == "Flat (east)") wall = &s;
    ASSERT_NE(wall, nullptr);
    EXPECT_EQ(wall->parent, "east wall");
    EXPECT_NEAR(wall->openings[0].from_left_m[0], 5.0 - 0.4 - 1.5, 1e-9); // 0.4 m from its other end

    in.repeats[0].mirror_x = {};
    in.repeats[0].shift = QuantityList{0.0, 5.0};
    in.repeats[0].times = 3.0;
    const Building row = built(in);
    ASSERT_EQ(row.rooms.size(), 5U);
    EXPECT_EQ(room_of(row, "Flat (east 3)").outline.outline[0].y, to_grid(15.0));
    in.repeats[0].name = {};
    EXPECT_EQ(room_of(built(in), "Flat 4").outline.outline[0].y, to_grid(15.0));
    in.rooms[0].name = "Flat 09";
    in.repeats[0].rooms = TextList{{"Flat 09", {}}};
    in.repeats[0].count_on = 10.0;
    EXPECT_EQ(room_of(built(in), "Flat 39").outline.outline[0].y, to_grid(15.0));
    in.repeats.push_back(in.repeats[0]); // copies of one name are two rooms of one name
    EXPECT_NE(problem_of(in, codes::twice).message.find("Flat 19"), std::string::npos);
}

TEST(Repeats, MirrorWalksPlacesAndSlopes)
{
    Input in = shell();
    in.rooms = {room("A", 0, 0, 4, 3), room("B", 0, 0, 4, 3)};
    in.rooms[1].at = in.rooms[1].size = Given<QuantityList>{};
    in.rooms[1].walk = "east 3, left 45 deg 1, left 45 deg 2, left 3.707";
    in.rooms[1].place = "east of A, south walls in line";
    in.rooms[1].slopes = TextList{{"east 2 m, 10 deg", {}}};
    RepeatInput mirror;
    mirror.name = "again";
    mirror.rooms = TextList{{"A", {}}, {"B", {}}};
    mirror.mirror_x = -5.0;
    in.repeats = {mirror};
    const Building b = built(in);
    EXPECT_NEAR(room_of(b, "B (again)").floor_area_m2, room_of(b, "B").floor_area_m2, 1e-4);
    EXPECT_NEAR(room_of(b, "B (again)").volume_m3, room_of(b, "B").volume_m3, 1e-4);
    EXPECT_EQ(room_of(b, "B (again)").slopes[0].name, "west slope");
    std::int64_t right = INT64_MIN;
    for (const GridPoint p : room_of(b, "B (again)").outline.outline) right = std::max(right, p.x);
    EXPECT_EQ(right, to_grid(-14.0)); // against A's copy, which stands from -14 to -10
}

TEST(Repeats, ShiftRoomsPlacedAgainstOthers)
{
    Input in = shell();
    in.rooms = {room("A", 0, 0, 4, 3), room("B", 0, 0, 2, 3)};
    in.rooms[1].at = {};
    in.rooms[1].place = "east of A";
    RepeatInput again;
    again.name = "again";
    again.rooms = TextList{{"B", {}}};
    again.shift = QuantityList{2.0, -1.5};
    in.repeats = {again};
    EXPECT_EQ(room_of(built(in), "B (again)").outline.outline[0], (GridPoint{to_grid(6.0), to_grid(-1.5)}));
    in.repeats[0].rooms = TextList{{"A", {}}, {"B", {}}};
    in.repeats[0].shift = QuantityList{0.0, 5.0};
    EXPECT_EQ(room_of(built(in), "B (again)").outline.outline[0], (GridPoint{to_grid(4.0), to_grid(5.0)}));
}

TEST(Likes, TakeWhatIsNotTyped)
{
    Input in = two_rooms();
    in.rooms[1] = room("Study", 6, 0, 6, 5);
    in.rooms[1].size = Given<QuantityList>{};
    in.rooms[1].use.heating_setpoint = 18.0;
    in.rooms[1].like = "Flat";
    in.rooms[0].use.people = 3.0;
    in.rooms[0].openings.pop_back();
    in.rooms[1].openings = {window("east", 2, 1)};
    const Building b = built(in);
    const Room& study = room_of(b, "Study");
    EXPECT_NEAR(study.floor_area_m2, 30.0, 1e-9);
    EXPECT_EQ(study.use.people.value, 3.0);
    EXPECT_EQ(study.use.heating_setpoint_C->value, 18.0);
    in.rooms[0].like = "Study";
    in.rooms[0].use.people = {};
    EXPECT_EQ(completed(in).rooms[0].use.heating_setpoint.value, 20.0); // in a ring each keeps its own
    in.rooms[0].like = "Flat";
    EXPECT_EQ(problem_of(in, codes::repeat).message, "room 'Flat' is like itself");
}

TEST(Repeats, OfWhatIsNotThereAreTold)
{
    Input in = two_rooms();
    RepeatInput again;
    again.name = "again";
    again.rooms = TextList{{"Flatt", {}}};
    again.shift = QuantityList{0.0, 20.0};
    in.repeats = {again};
    EXPECT_EQ(problem_of(in, codes::unknown_name).hint, "did you mean 'Flat'?");
    in.repeats.clear();
    in.storeys[0].repeats = "ground";
    EXPECT_EQ(problem_of(in, codes::repeat).message, "storey 'ground' repeats itself");
    in.storeys[0].repeats = {};
    in.storeys[0].without = TextList{{"Flat", {}}};
    EXPECT_EQ(problem_of(in, codes::contradiction).message, "storey 'ground' leaves rooms out, but repeats no storey");
}

/// However many rooms there are: what is like one that is like it is told, and takes no depth of calls.
TEST(Like, InARingIsToldWithTheWayRound)
{
    Input in = shell();
    for (int i = 0; i < 2000; ++i) {
        RoomInput r = room(fmt::format("Room {}", i).c_str(), 20.0 * i, 0, 5, 4);
        r.like = fmt::format("Room {}", i < 2 ? 1 - i : i - 1); // all of them lead into the ring of the first two
        in.rooms.push_back(r);
    }
    const quantity::Problem p = problem_of(in, codes::repeat);
    EXPECT_EQ(p.message, "room 'Room 0' is like itself in the end, by way of 'Room 1'");
    in.rooms[0].like = {};
    in.rooms[0].use.people = 7.0;
    EXPECT_DOUBLE_EQ(built(in).rooms.back().use.people.value, 7.0); // two thousand likes away
}

TEST(Storeys, ThatRepeatEachOtherAreTold)
{
    Input in = one_room();
    StoreyInput a, b;
    a.name = "a";
    b.name = "b";
    a.repeats = "b";
    b.repeats = "a";
    a.level = 10.0;
    b.level = 20.0;
    a.height = b.height = 3.0;
    in.storeys.push_back(a);
    in.storeys.push_back(b);
    EXPECT_EQ(problem_of(in, codes::repeat).message, "storey 'a' repeats itself in the end, by way of 'b'");
}

FaceInput face(const char* on, const char* beyond)
{
    FaceInput f;
    f.on = std::string{on};
    f.beyond = std::string{beyond};
    return f;
}

TEST(RoomsWithoutAPlan, StateEveryNeighbour)
{
    Input in = shell();
    in.rooms = {room("A", 0, 0, 5, 4), room("B", 0, 0, 3, 4)};
    for (RoomInput& r : in.rooms) {
        r.at = {};
        r.faces = {face("south", "outdoors"), face("north", "outdoors"), face("floor", "ground"),
                   face("roof", "party wall")};
    }
    in.rooms[0].faces.push_back(face("east", "a room"));
    in.rooms[0].faces.back().room = "B";
    in.rooms[1].faces.push_back(face("west", "a room"));
    in.rooms[1].faces.back().room = "A";
    in.rooms[1].faces.push_back(face("east", "outdoors"));
    EXPECT_EQ(problem_of(in, codes::unstated).message,
              "room 'A' has no place on the plan, and nothing says what lies beyond its west wall");
    in.rooms[0].faces.push_back(face("west", "no exchange"));
    const Building b = built(in);
    int between = 0;
    double to_room = 0.0;
    for (const Surface& s : b.surfaces)
        if (s.beyond.kind == Neighbour::Kind::room) {
            ++between;
            to_room += s.gross_m2;
        }
    EXPECT_EQ(between, 1);
    EXPECT_NEAR(to_room, 12, 1e-9);
    in.rooms[0].at = QuantityList{0.0, 0.0};
    EXPECT_EQ(problem_of(in, codes::contradiction).message,
              "room: 'A' stands on the plan, where its neighbours are found");
}

TEST(Faces, SayWhatGoesTogether)
{
    Input in = one_room();
    in.rooms[0].faces = {face("north", "unheated space")};
    EXPECT_EQ(problem_of(in, codes::contradiction).message,
              "beyond = \"unheated space\" and reduction_factor = ... go together");
    in.rooms[0].faces[0].reduction_factor = 0.5;
    EXPECT_EQ(built(in).surfaces.size(), 6U);
    in.rooms[0].use.heating_setpoint = {};
    EXPECT_EQ(problem_of(in, codes::contradiction).message,
              "'Room' has no set-point, so that no factor tells how warm the space behind it is");
    in.rooms[0].faces = {face("north", "ground")};
    in.rooms[0].faces[0].warmer_in_winter = 5.0;
    EXPECT_EQ(problem_of(in, codes::contradiction).message,
              "warmer_in_winter, warmer_in_summer and sun are of faces to outdoors, not to ground");
}

} // namespace
} // namespace venture::resolve
