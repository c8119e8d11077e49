#include <venture/draw/chart.hpp>

#include <gmock/gmock.h>
#include <gtest/gtest.h>

namespace venture::draw {
namespace {

using testing::ElementsAre;

TEST(RoundValues, AreStepsOfOneTwoOrFive)
{
    EXPECT_THAT(round_values(0.0, 5.6, 5), ElementsAre(0.0, 1.0, 2.0, 3.0, 4.0, 5.0));
    EXPECT_THAT(round_values(-5.0, 30.0, 7), ElementsAre(-5.0, 0.0, 5.0, 10.0, 15.0, 20.0, 25.0, 30.0));
    EXPECT_THAT(round_values(0.0, 1700.0, 4), ElementsAre(0.0, 500.0, 1000.0, 1500.0));
    EXPECT_THAT(round_values(3.0, 7.0, 4), ElementsAre(3.0, 4.0, 5.0, 6.0, 7.0));
}

TEST(Frame, PlacesValuesWithYUpwards)
{
    const Frame f{.left = 10.0, .top = 20.0, .width = 100.0, .height = 50.0, .x1 = 12.0, .y0 = -10.0, .y1 = 40.0};
    EXPECT_DOUBLE_EQ(f.x(0.0), 10.0);
    EXPECT_DOUBLE_EQ(f.x(12.0), 110.0);
    EXPECT_DOUBLE_EQ(f.y(-10.0), 70.0);
    EXPECT_DOUBLE_EQ(f.y(40.0), 20.0);
    EXPECT_EQ(f.box(0, 1, 0, 1).size(), 4u);
}

} // namespace
} // namespace venture::draw
