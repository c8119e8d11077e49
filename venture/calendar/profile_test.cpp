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
    EXPECT_EQ(r[0].from_min, 8 * 60);
    EXPECT_EQ(r[0].to_min, 12 * 60);
    EXPECT_DOUBLE_EQ(r[0].begins, 0.5);
    EXPECT_DOUBLE_EQ(r[0].ends, 0.5);
}

TEST(ParseHourRange, TakesFullWhereNoFractionStands) { EXPECT_DOUBLE_EQ(ranges("18-24")[0].begins, 1.0); }

TEST(ParseHourRange, GoesOverMidnight)
{
    const auto r = ranges("22-06 100 %");
    ASSERT_EQ(r.size(), 2u);
    EXPECT_EQ(r[0].to_min, 24 * 60);
    EXPECT_EQ(r[1].from_min, 0);
    EXPECT_EQ(r[1].to_min, 6 * 60);
    EXPECT_EQ(ranges("22-00").size(), 1u);
    EXPECT_EQ(ranges("22-24").size(), 1u);
    const auto ramp = ranges("22-02 0 % to 100 %");
    EXPECT_DOUBLE_EQ(ramp[0].ends, 0.5);
    EXPECT_DOUBLE_EQ(ramp[1].begins, 0.5);
}

struct Refused {
    const char *text, *says;
};

class HourRangeRefused : public testing::TestWithParam<Refused> {};

TEST_P(HourRangeRefused, WithWhatToWriteInstead)
{
    const auto parsed = parse_hour_range(GetParam().text);
    ASSERT_TRUE(std::holds_alternative<std::string>(parsed)) << GetParam().text;
    EXPECT_NE(std::get<std::string>(parsed).find("is no range of hours"), std::string::npos);
    EXPECT_NE(std::get<std::string>(parsed).find(GetParam().says), std::string::npos) << std::get<std::string>(parsed);
}

INSTANTIATE_TEST_SUITE_P(Texts, HourRangeRefused,
                         testing::Values(Refused{"", "no range of hours"}, Refused{"12 pm", "write 12 (noon)"},
                                         Refused{"8 am-5 pm", "write 8"}, Refused{"08-5 pm", "write 17"},
                                         Refused{"12 am-08", "write 0 or 24"}, Refused{"24:30-25", "write 0:30"},
                                         Refused{"22-24:30", "write 0:30"}, Refused{"8-8", "ends where"},
                                         Refused{"8.5-12", "8:30"}, Refused{"0830-12", "08"},
                                         Refused{"08-25", "write 1:00"}, Refused{"-3-5", "no hour"},
                                         Refused{"08:7-12", "two digits"}, Refused{"08:75-12", "59 minutes"},
                                         Refused{"08-12 150 %", "0 to 100 %"}, Refused{"08-12 many", "0 to 100 %"},
                                         Refused{"08-12 10 % to", "0 to 100 %"}, Refused{"24-06", "write 0"},
                                         Refused{"a-b", "no hour"}));

TEST(ProfileOf, LetsLaterRangesWin)
{
    std::vector<HourRange> all = ranges("08-18");
    for (const HourRange& r : ranges("12-13 40 %")) all.push_back(r);
    const Profile p = profile_of("p", all);
    EXPECT_DOUBLE_EQ(p.fraction[7], 0.0);
    EXPECT_DOUBLE_EQ(p.fraction[8], 1.0);
    EXPECT_DOUBLE_EQ(p.fraction[12], 0.4);
    EXPECT_DOUBLE_EQ(p.full_load_hours(), 9.4);
    EXPECT_DOUBLE_EQ(p.highest(), 1.0);
}

TEST(ProfileOf, TakesTheMeanOfAnHoursMinutes)
{
    std::vector<HourRange> all = ranges("08-08:30");
    for (const HourRange& r : ranges("08:30-09 50 %")) all.push_back(r);
    EXPECT_DOUBLE_EQ(profile_of("p", all).fraction[8], 0.75);
    EXPECT_NEAR(profile_of("p", ranges("06:30-09")).fraction[6], 0.5, 1e-12);
    const Profile ramp = profile_of("p", ranges("06-10 0 % to 100 %"));
    EXPECT_NEAR(ramp.fraction[6], 0.125, 1e-12);
    EXPECT_NEAR(ramp.fraction[9], 0.875, 1e-12);
    EXPECT_NEAR(ramp.full_load_hours(), 2.0, 1e-12);
}

TEST(Profile, CountsItsFullLoadHours) { EXPECT_DOUBLE_EQ(constant_profile("half", 0.5).full_load_hours(), 12.0); }

} // namespace
} // namespace venture::calendar
