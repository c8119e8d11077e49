/// What lines say of rooms and units.

#include <venture/terminal/wishes.hpp>

#include <gmock/gmock.h>
#include <gtest/gtest.h>

#include <venture/terminal/fan_coil.hpp>
#include <venture/terminal/kinds.hpp>
#include <venture/terminal/radiator.hpp>

namespace venture::terminal {
namespace {

const std::vector<services::Client> rooms = {{.room = "Ward 1", .type = "ward", .storey = "ground"},
                                             {.room = "Ward 2", .type = "ward", .storey = "upper"},
                                             {.room = "Hall", .storey = "ground"}};

struct Read {
    Wishes wishes;
    quantity::Problems problems;
};

Read read(std::vector<input::ChoosingInput> lines)
{
    input::Input input;
    input.choosing = std::move(lines);
    Read out;
    out.wishes = Wishes{input, rooms, unit_kinds(), out.problems};
    return out;
}

TEST(Wishes, OfNobodyAreTheUsualOnes)
{
    const RoomWish wish = Wishes{}.of(0, radiator);
    EXPECT_EQ(wish.wish.counts.most, usual_most_units);
    EXPECT_FALSE(wish.is_limited());
    EXPECT_EQ(wish.output_factor, 1.0);
}

TEST(Wishes, LaterLinesStandOverEarlierOnesKeyByKey)
{
    input::ChoosingInput all, wards, one;
    all.most_height = 0.6;
    all.most_sound = 40.0;
    wards.type = std::string{"ward"};
    wards.most_sound = 30.0;
    one.rooms = quantity::TextList{{"Ward 2"}};
    one.most_height = 0.3;
    const Read r = read({all, wards, one});
    EXPECT_TRUE(r.problems.all().empty());
    EXPECT_EQ(r.wishes.of(0, radiator).wish.most_height_m, 0.6);
    EXPECT_EQ(r.wishes.of(0, radiator).most_sound_dB->value, 30.0);
    EXPECT_EQ(r.wishes.of(1, radiator).wish.most_height_m, 0.3);
    EXPECT_EQ(r.wishes.of(1, radiator).most_sound_dB->value, 30.0);
    EXPECT_EQ(r.wishes.of(2, radiator).most_sound_dB->value, 40.0);
    EXPECT_TRUE(r.wishes.of(2, radiator).is_limited());
}

TEST(Wishes, OfOneKindAreNotOfAnother)
{
    input::ChoosingInput line;
    line.unit = input::UnitKind::fan_coil;
    line.speed = std::string{"low"};
    line.aims = quantity::TextList{{"quietest"}, {"least cost"}};
    const Read r = read({line});
    EXPECT_EQ(r.wishes.of(0, fan_coil).wish.speed, "low");
    EXPECT_EQ(r.wishes.of(0, fan_coil).wish.aims, (std::vector{rating::Aim::quietest, rating::Aim::least_cost}));
    EXPECT_EQ(r.wishes.of(0, radiator).wish.speed, "");
    EXPECT_EQ(r.wishes.of(0, radiator).wish.aims, std::vector{rating::Aim::fullest});
}

TEST(Wishes, FactorsMultiply)
{
    input::ChoosingInput house, room;
    house.connection = 0.95;
    house.cover = 0.9;
    room.rooms = quantity::TextList{{"Ha*"}};
    room.cover = 0.8;
    const Read r = read({house, room});
    EXPECT_NEAR(r.wishes.of(0, radiator).output_factor, 0.95 * 0.9, 1e-12);
    EXPECT_NEAR(r.wishes.of(2, radiator).output_factor, 0.95 * 0.8, 1e-12);
}

TEST(Wishes, TellAnAimThatIsNoneAndWeightsThatDoNotFit)
{
    input::ChoosingInput line;
    line.aims = quantity::TextList{{"fewest unit"}};
    line.weights = quantity::QuantityList{1.0, 2.0};
    line.rooms = quantity::TextList{{"Wrad 1"}};
    const Read r = read({line});
    std::vector<std::string> messages, hints;
    for (const quantity::Problem& p : r.problems.all()) {
        messages.push_back(p.message);
        hints.push_back(p.hint);
    }
    EXPECT_THAT(messages, testing::Contains("2 weights for 1 aims"));
    EXPECT_THAT(hints, testing::Contains(testing::HasSubstr("fewest units")));
    EXPECT_THAT(hints, testing::Contains(testing::HasSubstr("Ward 1")));
}

} // namespace
} // namespace venture::terminal
