#include <venture/input/repetition.hpp>

#include <algorithm>
#include <set>

#include <gtest/gtest.h>

#include <small_input.hpp>
#include <venture/input/completion.hpp>
#include <venture/quantity/record.hpp>

namespace venture::input {
namespace {

using namespace testing_data;
using quantity::ConstRecord;
using quantity::Key;
using quantity::Nested;
using quantity::Record;
using quantity::ValueShape;

Input two_rooms()
{
    Input in = shell();
    in.rooms = {room("Flat", 0, 0, 6, 5), room("Stairs", 6, 0, 3, 5)};
    in.storeys[1].repeats = "ground";
    return in;
}

const RoomInput& called(const Input& in, std::string_view name)
{
    return *std::ranges::find_if(in.rooms, [&](const RoomInput& r) { return *r.name == name; });
}

void fill(const Record& record, const Key& key)
{
    switch (key.shape) {
    case ValueShape::number:
        record.at<double>(key) = 1.5;
        break;
    case ValueShape::text:
        record.at<std::string>(key) = "something";
        break;
    case ValueShape::texts:
        record.at<TextList>(key) = TextList{{"something", {}}};
        break;
    case ValueShape::numbers:
        record.at<QuantityList>(key) = QuantityList{1.0, 2.0};
        break;
    case ValueShape::points:
        record.at<PointList>(key) = PointList{{1.0, 2.0, 3.0}};
    }
}

/// Every key that names a room, in the room and in all that it has, names the copy of the room that is copied along.
TEST(CopiedRooms, NameTheCopiesOfWhatTheyNamed)
{
    int tried = 0;
    const auto names_a_room = [](const Key& key) {
        return key.shape == ValueShape::text && !key.spec.names_within &&
               std::ranges::count(key.spec.names, "room") > 0;
    };
    const auto try_key = [&](const Nested* nested, const Key& key) {
        Input in = two_rooms();
        const Record flat{in.rooms[0]};
        (nested == nullptr ? flat : flat.records(*nested).append()).at<std::string>(key) = "Stairs";
        const Input out = completed(in);
        const ConstRecord copy{called(out, "Flat (upper)")};
        EXPECT_EQ(*(nested == nullptr ? copy : copy.records(*nested)[0]).at<std::string>(key), "Stairs (upper)")
            << key.spec.name;
        ++tried;
    };
    for (const Key& key : RoomInput::spec().keys())
        if (names_a_room(key) && key.spec.name != "like") try_key(nullptr, key);
    for (const Nested& nested : RoomInput::spec().nested())
        for (const Key& key : nested.spec().keys())
            if (names_a_room(key)) try_key(&nested, key);
    EXPECT_GE(tried, 5); // thermostat_in, void_room, to, room, from
}

/// All that is said of a room, but for its name and place, and all that it has.
TEST(RoomsThatAreLikeOthers, TakeEverything)
{
    const std::set<std::string_view> own = {"name", "like", "at", "place", "storey", "note"};
    for (const Key& key : RoomInput::spec().keys()) {
        if (own.contains(key.spec.name)) continue;
        Input in = shell();
        in.rooms.resize(2);
        in.rooms[0].name = "First";
        in.rooms[1].name = "Second";
        in.rooms[1].like = "First";
        fill(Record{in.rooms[0]}, key);
        fill_from_likes(in);
        EXPECT_TRUE(ConstRecord{in.rooms[1]}.is_given(key)) << key.spec.name;
    }
    for (const Nested& nested : RoomInput::spec().nested()) {
        Input in = shell();
        in.rooms.resize(2);
        in.rooms[0].name = "First";
        in.rooms[1].name = "Second";
        in.rooms[1].like = "First";
        (void)Record{in.rooms[0]}.records(nested).append();
        fill_from_likes(in);
        EXPECT_EQ(ConstRecord{in.rooms[1]}.records(nested).size(), 1U) << nested.name;
    }
}

} // namespace
} // namespace venture::input
