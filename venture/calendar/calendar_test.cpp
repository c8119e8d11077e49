#include <venture/calendar/calendar.hpp>

#include <gtest/gtest.h>

namespace venture::calendar {
namespace {

constexpr int year = 2027;

RuleDays rule(const char* days, double fraction)
{
    const auto parsed = parse_days(days, {.year = year});
    return {days, std::get<YearDays>(parsed), every_day(constant_profile(std::to_string(fraction), fraction))};
}

TEST(Calendar, LetsLaterRulesWin)
{
    const Calendar c = calendar_of("c", {rule("every day", 1.0), rule("weekend", 0.0), rule("9 May", 0.5)}, year);
    EXPECT_DOUBLE_EQ(c.on({5, 7}).fraction[12], 1.0); // a Friday
    EXPECT_DOUBLE_EQ(c.on({5, 8}).fraction[12], 0.0);
    EXPECT_DOUBLE_EQ(c.on({5, 9}).fraction[12], 0.5); // a Sunday
    EXPECT_EQ(c.rules[0].named, 365u);
    EXPECT_EQ(c.rules[0].won, 261u);
    EXPECT_EQ(c.rules[1].won, 103u);
    EXPECT_EQ(c.rules[2].won, 1u);
}

TEST(Calendar, CountsFullLoadHours)
{
    const Calendar c = calendar_of("c", {rule("weekdays", 0.5)}, year);
    EXPECT_DOUBLE_EQ(full_load_hours(c, 0, year), 261 * 12.0);
    EXPECT_DOUBLE_EQ(full_load_hours(c, 2, year), 20 * 12.0);
    double months = 0.0;
    for (int m = 1; m <= 12; ++m) months += full_load_hours(c, m, year);
    EXPECT_DOUBLE_EQ(months, full_load_hours(c, 0, year));
    EXPECT_EQ(days_without_rule(c, year), 104u);
}

TEST(Calendar, GivesDesignDaysTheBusiestProfileOfTheirMonth)
{
    const Calendar c =
        calendar_of("c", {rule("every day", 0.6), rule("July to August", 0.0), rule("3 July", 0.2)}, year);
    EXPECT_DOUBLE_EQ(c.on_design_day(6).fraction[0], 0.6);
    EXPECT_DOUBLE_EQ(c.on_design_day(7).fraction[0], 0.2);
    EXPECT_DOUBLE_EQ(c.on_design_day(8).fraction[0], 0.0);
    EXPECT_DOUBLE_EQ(c.on_design_day(0).fraction[0], 0.6);
}

TEST(Calendar, OfOneProfileIsThatProfile)
{
    const Calendar c = every_day(constant_profile("half", 0.5));
    EXPECT_TRUE(c.is_one_profile());
    EXPECT_EQ(c.on({2, 29}).name, "half");
    EXPECT_EQ(c.on_design_day(7).name, "half");
    EXPECT_DOUBLE_EQ(full_load_hours(c, 0, 2028), 366 * 12.0);
}

TEST(Calendar, HasTheTwentyNinthOfFebruaryForWeatherThatHasIt)
{
    const Calendar c = calendar_of("c", {rule("every day", 0.3), rule("28 February", 0.7)}, year);
    EXPECT_DOUBLE_EQ(c.on({2, 29}).fraction[0], 0.7); // as the day before
    EXPECT_EQ(c.rules[1].won, 1u);
}

} // namespace
} // namespace venture::calendar
