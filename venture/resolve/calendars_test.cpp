/// Profiles, named days and calendars of a project.

#include <gmock/gmock.h>

#include <building_questions.hpp>
#include <venture/quantity/codes.hpp>
#include <venture/resolve/resolve.hpp>
#include <venture/resolve/vocabulary.hpp>

namespace venture::resolve {
namespace {

using namespace testing_data;
using testing::HasSubstr;
namespace codes = quantity::codes;

Input with_calendar(std::initializer_list<const char*> rules)
{
    Input in = one_room();
    in.project.year = 2027.0;
    in.rooms[0].use.lighting = 10.0;
    in.rooms[0].use.lighting_profile = "school";
    ProfileInput lessons;
    lessons.name = "lessons";
    lessons.hours = texts({"08-15 100 %"});
    in.profiles = {lessons};
    DaysInput holidays;
    holidays.name = "holidays";
    holidays.dates = texts({"24 December to 6 January", "2027-05-06"});
    in.days = {holidays};
    CalendarInput school;
    school.name = "school";
    school.rules = texts(rules);
    in.calendars = {school};
    return in;
}

const calendar::Calendar& calendar_called(const Building& b, std::string_view name)
{
    return *std::ranges::find(b.calendars, name, &calendar::Calendar::name);
}

TEST(Calendars, AreMadeOfRulesWithNamedDaysAndHours)
{
    const Building b = built(with_calendar({"every day: never", "weekdays: lessons", "Saturday in June: 09-12 50 %",
                                            "holidays: never", "July, August: never"}));
    const calendar::Calendar& c = calendar_called(b, "school");
    EXPECT_DOUBLE_EQ(c.on({5, 5}).full_load_hours(), 7.0); // a Wednesday
    EXPECT_DOUBLE_EQ(c.on({5, 6}).full_load_hours(), 0.0); // one of the holidays
    EXPECT_DOUBLE_EQ(c.on({6, 5}).full_load_hours(), 1.5); // a Saturday in June
    EXPECT_DOUBLE_EQ(c.on({7, 7}).full_load_hours(), 0.0);
    EXPECT_DOUBLE_EQ(c.on_design_day(7).full_load_hours(), 0.0);
    EXPECT_DOUBLE_EQ(c.on_design_day(6).full_load_hours(), 7.0);
    EXPECT_EQ(b.project.year, 2027);
}

TEST(Calendars, TakeTheDesignDayThatIsSaid)
{
    Input in = with_calendar({"every day: lessons", "July: never"});
    in.calendars[0].design_day = "10-12";
    const Building b = built(in);
    for (const int month : {0, 1, 7})
        EXPECT_DOUBLE_EQ(calendar_called(b, "school").on_design_day(month).full_load_hours(), 2.0);
}

TEST(Calendars, CountTheYearOfTheProjectOrOfItsWeather)
{
    Input in = with_calendar({"every day: lessons"});
    in.project.year = {};
    EXPECT_EQ(calendar_year(in), 2029);
    EXPECT_THAT(built(in).origins.describe(built(in).project.year_origin), HasSubstr("begins on a Monday"));
    in.weather.name = "w";
    in.weather.year = 2024.0;
    EXPECT_EQ(calendar_year(in), 2024);
    in.project.year = 2026.0;
    EXPECT_EQ(calendar_year(in), 2026);
}

TEST(Profiles, MayBe24ValuesOrHoursWhereTheirNameWouldStand)
{
    Input in = with_calendar({"every day: lessons"});
    in.profiles[0].hours = {};
    in.profiles[0].values = QuantityList{0, 0, 0, 0, 0, 0, 0, 0, 1, 1, 1, 1, 1, 1, 1, 0, 0, 0, 0, 0, 0, 0, 0, 0};
    EXPECT_DOUBLE_EQ(calendar_called(built(in), "lessons").profiles[0].full_load_hours(), 7.0);
    in.rooms[0].use.lighting_profile = "08-12 50 %, 13-15";
    const Building b = built(in);
    EXPECT_DOUBLE_EQ(b.calendars[b.rooms[0].use.gains.at(0).profile].profiles[0].full_load_hours(), 4.0);
}

struct Wrong {
    const char *name, *rule;
    std::string_view code;
    const char* words;
};

class WrongRule : public testing::TestWithParam<Wrong> {};

TEST_P(WrongRule, IsTold)
{
    const Input in = with_calendar({"every day: lessons", GetParam().rule});
    EXPECT_THAT(problem_of(in, GetParam().code).message, HasSubstr(GetParam().words));
}

INSTANTIATE_TEST_SUITE_P(Calendars, WrongRule,
                         testing::Values(Wrong{"day", "Mondai: never", codes::days, "did you mean 'Monday'?"},
                                         Wrong{"profile", "Monday: lesons", codes::unknown_name,
                                               "no profile or calendar is called 'lesons'"},
                                         Wrong{"colon", "Monday lessons", codes::days, "is no rule"},
                                         Wrong{"clock", "Monday: 8-12 pm", codes::hours, "write 12 (noon)"},
                                         Wrong{"empty", "29 February: never", codes::idle_rule, "names no day of 2027"},
                                         Wrong{"weeks", "weeks 60 to 61: never", codes::days, "numbers from 1 to 53"},
                                         Wrong{"date", "31 June: never", codes::days, "'31 June' tells no days"}),
                         [](const auto& of) { return std::string{of.param.name}; });

TEST(Calendars, SayWhereRulesAreOverruledOrMissing)
{
    EXPECT_THAT(told(with_calendar({"Monday: lessons", "every day: never"}), codes::idle_rule),
                HasSubstr("later rules take every day of 'Monday: lessons'"));
    EXPECT_THAT(told(with_calendar({"weekdays: lessons"}), codes::idle_rule), HasSubstr("names 104 days of 2027"));
    EXPECT_EQ(told(with_calendar({"every day: never", "weekdays: lessons"}), codes::idle_rule), "");
}

CalendarInput calendar_input(const char* name, std::initializer_list<const char*> rules)
{
    CalendarInput c;
    c.name = std::string{name};
    c.rules = texts(rules);
    return c;
}

TEST(Calendars, MayBeBuiltOnOthersWhereverTheseStand)
{
    Input in = with_calendar({"every day: week", "holidays: never"});
    in.calendars.push_back(
        calendar_input("week", {"every day: never", "Monday to Friday: lessons", "Saturday: 09-11"}));
    const Building b = built(in);
    const calendar::Calendar& school = calendar_called(b, "school");
    EXPECT_DOUBLE_EQ(school.on({5, 5}).full_load_hours(), 7.0); // a Wednesday
    EXPECT_DOUBLE_EQ(school.on({5, 6}).full_load_hours(), 0.0); // one of the holidays
    EXPECT_DOUBLE_EQ(school.on({5, 8}).full_load_hours(), 2.0); // a Saturday
    EXPECT_DOUBLE_EQ(school.on({5, 9}).full_load_hours(), 0.0);
    EXPECT_EQ(school.rules[0].won, 365u - 15u);
    EXPECT_DOUBLE_EQ(school.on_design_day(6).full_load_hours(), 7.0);
    EXPECT_EQ(std::ranges::count(b.calendars, "week", &calendar::Calendar::name), 1);
}

TEST(Calendars, BuiltOnThemselvesAreErrors)
{
    Input in = with_calendar({"every day: a"});
    in.calendars.push_back(calendar_input("a", {"every day: b"}));
    in.calendars.push_back(calendar_input("b", {"every day: never", "Monday: a"}));
    EXPECT_THAT(told(in, codes::contradiction), HasSubstr("calendar 'a' goes by itself: a, b, a"));
    in = with_calendar({"every day: school"});
    EXPECT_THAT(told(in, codes::contradiction), HasSubstr("calendar 'school' goes by itself: school, school"));
}

TEST(Calendars, ShareNamesWithProfilesAndDesignDaysTakeNone)
{
    Input in = with_calendar({"every day: lessons"});
    in.calendars[0].name = "lessons";
    in.rooms[0].use.lighting_profile = "lessons";
    EXPECT_THAT(told(in, codes::twice), HasSubstr("a profile and a calendar are both called 'lessons'"));
    in = with_calendar({"every day: lessons"});
    in.calendars.push_back(calendar_input("other", {"every day: lessons"}));
    in.calendars[1].design_day = "school";
    EXPECT_THAT(told(in, codes::contradiction), HasSubstr("'school' is a calendar itself"));
}

TEST(Days, SayWhenTheyHaveNone)
{
    Input in = with_calendar({"every day: lessons", "holidays: never"});
    in.days[0].dates = texts({"2026-05-06"});
    EXPECT_THAT(told(in, codes::idle_rule), HasSubstr("'holidays' has no day in 2027"));
    in.days[0].dates = {};
    EXPECT_THAT(told(in, codes::missing), HasSubstr("[days] 'holidays' has no 'dates' or 'file'"));
    in.days[0].dates = texts({"holidays", "1 May"}); // names itself, and is none the more for it
    EXPECT_EQ(told(in, codes::days), "");
}

} // namespace
} // namespace venture::resolve
