#include <venture/calendar/profile.hpp>

#include <gtest/gtest.h>

namespace venture::calendar {
namespace {

std::vector<HourRange> ranges(std::string_view text)
{
    const auto parsed = parse_hour_range(text);
    EXPECT_TRUE(std::holds_alternative<std::vector<HourRange>>(parsed)) << text;
    if (const auto* r = std::get_if<std::vector<HourRange>>(&parsed)) return *r;
    return {};
}

TEST(ParseHourRange, ReadsHoursAndAFraction)
{
    const auto r = ranges("08-12 50 %");
    ASSERT_EQ(r.size(), 1u);
    EXPECT_EQ(r[0].from, 8);
    EXPECT_EQ(r[0].to, 12);
    EXPECT_DOUBLE_EQ(r[0].fraction, 0.5);
}

TEST(ParseHourRange, TakesFullWhereNoFractionStands) { EXPECT_DOUBLE_EQ(ranges("18-24")[0].fraction, 1.0); }

TEST(ParseHourRange, GoesOverMidnight)
{
    const auto r = ranges("22-06 100 %");
    ASSERT_EQ(r.size(), 2u);
    EXPECT_EQ(r[0].to, 24);
    EXPECT_EQ(r[1].from, 0);
    EXPECT_EQ(r[1].to, 6);
    EXPECT_EQ(ranges("22-00").size(), 1u);
}

TEST(ParseHourRange, RefusesWhatIsNoRange)
{
    for (const char* text :
         {"", "12 pm", "24:30-25", "8-8", "8.5-12", "08-25", "-3-5", "08-12 150 %", "08-12 many", "a-b"}) {
        const auto parsed = parse_hour_range(text);
        ASSERT_TRUE(std::holds_alternative<std::string>(parsed)) << text;
        EXPECT_NE(std::get<std::string>(parsed).find("08-12 50 %"), std::string::npos);
    }
}

TEST(Profile, CountsItsFullLoadHours) { EXPECT_DOUBLE_EQ(constant_profile("half", 0.5).full_load_hours(), 12.0); }

} // namespace
} // namespace venture::calendar
