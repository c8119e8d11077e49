#include <venture/input/completion.hpp>

#include <gtest/gtest.h>

#include <small_input.hpp>

namespace venture::input {
namespace {

using namespace std::string_literals;
using quantity::OriginKind;

/// A type with a set-point, a storey, and one room of both.
Input one_room()
{
    Input in;
    const auto at = [&](std::uint32_t line) { return in.origins.add({OriginKind::file, "p.toml", line, 1, {}}); };
    RoomTypeInput type;
    type.name = "office"s;
    type.use.heating_setpoint = Given<double>{21.0, at(10)};
    type.use.people = Given<double>{2.0, at(11)};
    in.room_types = {type};
    StoreyInput storey;
    storey.name = "ground"s;
    storey.height = Given<double>{3.2, at(20)};
    in.storeys = {storey};
    RoomInput room;
    room.name = "A"s;
    room.type = "office"s;
    room.storey = "ground"s;
    room.use.people = Given<double>{5.0, at(30)};
    in.rooms = {room};
    return in;
}

TEST(Completed, TakesARoomsOwnValueThenItsTypesThenTheDefault)
{
    const Input full = completed(one_room());
    const UseInput& use = full.rooms.at(0).use;
    EXPECT_DOUBLE_EQ(*use.people, 5.0);
    EXPECT_EQ(full.origins.describe(use.people.origin), "p.toml:30:1");
    EXPECT_DOUBLE_EQ(*use.heating_setpoint, 21.0);
    EXPECT_EQ(full.origins.describe(use.heating_setpoint.origin), "room type 'office' (p.toml:10:1)");
    EXPECT_DOUBLE_EQ(*use.infiltration, 0.3);
    EXPECT_EQ(full.origins.at(use.infiltration.origin).kind, OriginKind::default_value);
    EXPECT_EQ(*use.control, "operative");
    EXPECT_DOUBLE_EQ(*full.rooms[0].height, 3.2);
    EXPECT_EQ(full.origins.describe(full.rooms[0].height.origin), "storey 'ground' (p.toml:20:1)");
}

TEST(Completed, LeavesOpenWhatHasNoDefault)
{
    const Input full = completed(one_room());
    EXPECT_FALSE(full.rooms[0].use.cooling_setpoint); // not cooled
    EXPECT_FALSE(full.site.latitude);
}

TEST(Completed, DoesNotPaperOverWhatCouldNotBeRead)
{
    Input in = one_room();
    in.rooms[0].use.infiltration.refused = true;
    in.rooms[0].use.heating_setpoint.refused = true;
    const Input full = completed(in);
    EXPECT_FALSE(full.rooms[0].use.infiltration);
    EXPECT_FALSE(full.rooms[0].use.heating_setpoint);
}

TEST(Completed, NeedsOneOriginForEachDefaultHoweverManyRooms)
{
    Input in = one_room();
    const std::size_t few = completed(in).origins.size();
    const RoomInput room = in.rooms[0];
    for (int i = 0; i < 100; ++i) in.rooms.push_back(room);
    EXPECT_EQ(completed(in).origins.size(), few);
}

TEST(Completed, IsCompleteAlready)
{
    const Input once = completed(one_room()), twice = completed(once);
    EXPECT_EQ(once.origins.size(), twice.origins.size());
    EXPECT_EQ(once.rooms[0].use.people.origin, twice.rooms[0].use.people.origin);
}

TEST(Completion, TakesWhatSetPointsReferToFromTheProject)
{
    Input in = testing_data::one_room();
    in.method.control = "air";
    in.rooms.push_back(in.rooms[0]);
    in.rooms[1].name = "Other";
    in.rooms[1].use.control = "operative";
    const Input full = completed(in);
    EXPECT_EQ(*full.rooms[0].use.control, "air");
    EXPECT_EQ(full.origins.at(full.rooms[0].use.control.origin).kind, quantity::OriginKind::inherited);
    EXPECT_EQ(*full.rooms[1].use.control, "operative");
}

} // namespace
} // namespace venture::input
