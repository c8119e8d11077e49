#include <venture/input/lay_over.hpp>

#include <gtest/gtest.h>

#include <small_input.hpp>

namespace venture::input {
namespace {

TEST(LayOver, ReplacesKeysAndListsOfRecordsAndAddsOthers)
{
    Input base = testing_data::one_room();
    base.rooms[0].openings = {testing_data::window("south", 2.0, 1.0), testing_data::window("north", 1.0, 1.0)};
    Input over;
    const auto place =
        over.origins.add({.kind = quantity::OriginKind::file, .text = "variant.toml", .line = 3, .column = 1});
    over.site.winter_dry_bulb = {-20.0, place};
    RoomInput same, other;
    same.name = *base.rooms[0].name;
    same.use.heating_setpoint = {23.0, place};
    same.openings = {testing_data::window("east", 1.5, 1.0)};
    other.name = "Annex";
    over.rooms = {same, other};
    std::vector<quantity::Problem> problems = {{.where = place, .message = "odd"}};
    lay_over(base, over, problems);
    EXPECT_EQ(*base.site.winter_dry_bulb, -20.0);
    EXPECT_EQ(base.origins.describe(base.site.winter_dry_bulb.origin), "variant.toml:3:1");
    EXPECT_EQ(base.origins.describe(problems[0].where), "variant.toml:3:1");
    ASSERT_EQ(base.rooms.size(), 2u);
    EXPECT_EQ(*base.rooms[0].use.heating_setpoint, 23.0);
    EXPECT_TRUE(base.rooms[0].height || base.rooms[0].size); // what the variant does not say stays
    ASSERT_EQ(base.rooms[0].openings.size(), 1u);
    EXPECT_EQ(*base.rooms[1].name, "Annex");
}

TEST(LayOver, OfNothingChangesNothing)
{
    Input base = testing_data::one_room();
    const std::size_t rooms = base.rooms.size(), build_ups = base.build_ups.size();
    std::vector<quantity::Problem> none;
    lay_over(base, Input{}, none);
    EXPECT_EQ(base.rooms.size(), rooms);
    EXPECT_EQ(base.build_ups.size(), build_ups);
}

} // namespace
} // namespace venture::input
