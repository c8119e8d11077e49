#include <venture/draw/parts_drawing.hpp>

#include <gmock/gmock.h>
#include <gtest/gtest.h>

namespace venture::draw {
namespace {

PartsDrawing some_parts()
{
    PartsDrawing out{.title = "Hall: cooling", .subtitle = "July", .hour = 14};
    out.bars = {{"people", 300.0, 320.0}, {"roof", 40.0, {}}, {"ventilation", -25.0, {}}};
    PartStack gains{"gains", {}}, air{"air", {}};
    gains.part.fill(300.0);
    air.part.fill(-25.0);
    out.stacks = {gains, air};
    out.whole.fill(315.0);
    return out;
}

TEST(PartsDrawing, IsAPictureOfItsKind)
{
    EXPECT_THAT(draw_parts(some_parts()), testing::StartsWith("<?xml"));
    EXPECT_THAT(draw_parts(some_parts(), {.picture = Picture::png}), testing::StartsWith("\x89PNG"));
    EXPECT_THAT(draw_parts(some_parts(), {.picture = Picture::pdf}), testing::StartsWith("%PDF"));
}

TEST(PartsDrawing, IsTheSameTwice) { EXPECT_EQ(draw_parts(some_parts()), draw_parts(some_parts())); }

/// Nothing at all, one bar, more than the sheet has room for, names that would be markup, another unit.
TEST(PartsDrawing, DrawsWhateverThereIs)
{
    EXPECT_FALSE(draw_parts({}).empty());
    PartsDrawing many = some_parts();
    for (int i = 0; i < 60; ++i) many.bars.push_back({"<b>\"x\"&amp; =1+1", 1.0 / (1.0 + i), {}});
    many.bars.push_back({std::string(500, 'x'), 5.0, {}}); // its name is longer than the sheet is wide
    PartsDrawing warmth = some_parts();
    warmth.quantity = "temperature_difference";
    EXPECT_THAT(draw_parts(warmth, {.units = quantity::PreferredUnits{"inch-pound"}}), testing::StartsWith("<?xml"));
    EXPECT_FALSE(draw_parts(many, {.units = quantity::PreferredUnits{"inch-pound"}}).empty());
}

} // namespace
} // namespace venture::draw
