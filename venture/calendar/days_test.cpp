#include <venture/calendar/days.hpp>

#include <gtest/gtest.h>

namespace venture::calendar {
namespace {

using climate::MonthDay;

YearDays days(std::string_view text, int year = 2027, bool south = false)
{
    const auto parsed = parse_days(text, {.year = year, .south = south});
    if (const auto* wrong = std::get_if<std::string>(&parsed)) ADD_FAILURE() << *wrong;
    return std::holds_alternative<YearDays>(parsed) ? std::get<YearDays>(parsed) : YearDays{};
}

bool has(const YearDays& all, MonthDay date) { return all.test(place_in_year(date)); }

TEST(Weekday, CountsFromMonday)
{
    EXPECT_EQ(weekday(2027, {1, 1}), 5);   // a Friday
    EXPECT_EQ(weekday(2024, {2, 29}), 4);  // a Thursday
    EXPECT_EQ(weekday(2000, {12, 31}), 7); // a Sunday
    EXPECT_EQ(weekday_name(1), "Monday");
}

struct Count {
    const char* text;
    std::size_t days;
};

class DaysOf2027 : public testing::TestWithParam<Count> {};

TEST_P(DaysOf2027, AreAsMany) { EXPECT_EQ(days(GetParam().text).count(), GetParam().days) << GetParam().text; }

INSTANTIATE_TEST_SUITE_P(
    Texts, DaysOf2027,
    testing::Values(Count{"every day", 365}, Count{"weekend", 104}, Count{"weekdays", 261}, Count{"Monday", 52},
                    Count{"Friday", 53}, Count{"Mon to Fri", 261}, Count{"Saturday to Monday", 156},
                    Count{"Saturdays, Sundays", 104}, Count{"July", 31}, Count{"November to February", 120},
                    Count{"summer", 92}, Count{"winter", 90}, Count{"14 May", 1}, Count{"1 July to 31 August", 62},
                    Count{"24 December to 2 January", 10}, Count{"2027-05-14", 1}, Count{"2026-12-24 to 2027-01-02", 2},
                    Count{"2026-05-14", 0}, Count{"week 30", 7}, Count{"weeks 30 to 33", 28}, Count{"week 53", 0},
                    Count{"Saturday in July, August", 9}, Count{"weekdays in 1 July to 31 August", 44},
                    Count{"29 February", 0}, Count{"1 May, 1 May, 2 May", 2}));

TEST(ParseDays, KnowsLeapYears)
{
    EXPECT_EQ(days("every day", 2028).count(), 366u);
    EXPECT_EQ(days("29 February", 2028).count(), 1u);
    EXPECT_EQ(days("winter", 2028).count(), 91u);
}

TEST(ParseDays, NumbersWeeksAfterTheIsoStandard)
{
    // 2026 begins on a Thursday: its first week is that of 29 December 2025, and it has 53.
    EXPECT_EQ(days("week 1", 2026).count(), 4u);
    EXPECT_EQ(days("week 53", 2026).count(), 4u);
    EXPECT_TRUE(has(days("week 53", 2026), {12, 31}));
    EXPECT_TRUE(has(days("week 1", 2027), {1, 4}));
    EXPECT_FALSE(has(days("week 1", 2027), {1, 3}));
}

TEST(ParseDays, TurnsSeasonsRoundInTheSouth)
{
    EXPECT_TRUE(has(days("summer", 2027, true), {1, 15}));
    EXPECT_TRUE(has(days("winter", 2027, true), {7, 15}));
    EXPECT_TRUE(has(days("spring", 2027, true), {10, 15}));
    EXPECT_TRUE(has(days("autumn", 2027), {10, 15}));
}

TEST(ParseDays, AsksForNamesFirst)
{
    const DayNames names{.year = 2027, .named = [](std::string_view name) -> std::optional<YearDays> {
                             if (name != "holidays") return std::nullopt;
                             return YearDays{}.set(place_in_year({5, 14}));
                         }};
    const auto found = parse_days("holidays, Monday in May", names);
    ASSERT_TRUE(std::holds_alternative<YearDays>(found));
    EXPECT_EQ(std::get<YearDays>(found).count(), 6u); // five Mondays and the 14th, all in May
}

TEST(ParseDays, SaysWhatIsWrong)
{
    const auto wrong = [](std::string_view text) {
        const auto parsed = parse_days(text, {.year = 2027});
        return std::holds_alternative<std::string>(parsed) ? std::get<std::string>(parsed) : std::string{};
    };
    EXPECT_NE(wrong("Mondey").find("did you mean 'Monday'?"), std::string::npos);
    EXPECT_NE(wrong("31 June").find("tells no days"), std::string::npos);
    EXPECT_NE(wrong("").find("tells no days"), std::string::npos);
    EXPECT_NE(wrong("Monday-Friday").find("write \"Monday to Friday\""), std::string::npos);
    EXPECT_NE(wrong("24 Dec \u2013 2 January").find("write \"24 Dec to 2 January\""), std::string::npos);
    EXPECT_EQ(wrong("Monday-Fryday").find("write"), std::string::npos);
    EXPECT_NE(wrong("weeks 30 to 54").find("from 1 to 53"), std::string::npos);
    EXPECT_NE(wrong("2027-05-14 to 2027-05-01").find("ends before it begins"), std::string::npos);
    EXPECT_NE(wrong("2027-05-14 to 1 June").find("states a year once"), std::string::npos);
    EXPECT_NE(wrong("2027-02-30").find("tells no days"), std::string::npos);
    EXPECT_NE(wrong("Monday in May in June").find("more than one 'in'"), std::string::npos);
}

} // namespace
} // namespace venture::calendar
