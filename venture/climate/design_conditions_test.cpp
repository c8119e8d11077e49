#include <venture/climate/design_conditions.hpp>

#include <gtest/gtest.h>

namespace venture::climate {
namespace {

TEST(SummerTime, HoldsFromItsFirstToItsLastDay)
{
    Site site{.summer_time = SummerTime{{3, 29}, {10, 24}, 1.0}};
    EXPECT_EQ(clock_ahead_h(site, {3, 28}), 0.0);
    EXPECT_EQ(clock_ahead_h(site, {3, 29}), 1.0);
    EXPECT_EQ(clock_ahead_h(site, {10, 24}), 1.0);
    EXPECT_EQ(clock_ahead_h(site, {10, 25}), 0.0);
    site.summer_time = SummerTime{{10, 4}, {4, 5}, 0.5};
    EXPECT_EQ(clock_ahead_h(site, {1, 21}), 0.5);
    EXPECT_EQ(clock_ahead_h({}, {7, 21}), 0.0);
}

} // namespace
} // namespace venture::climate
