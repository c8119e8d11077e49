#include <venture/loads/design_week.hpp>

#include <gmock/gmock.h>
#include <gtest/gtest.h>

#include <building_questions.hpp>

namespace venture::loads {
namespace {

using testing_data::built;

/// A room with heavy walls that is cooled and used by a calendar.
input::Input cooled_by(std::vector<const char*> rules)
{
    input::Input in = testing_data::one_room();
    in.project.year = 2027.0;
    input::ProfileInput work;
    work.name = "work";
    work.hours = quantity::TextList{{"08-18 100 %", {}}};
    in.profiles = {work};
    input::CalendarInput calendar;
    calendar.name = "use";
    quantity::TextList texts;
    for (const char* rule : rules) texts.push_back({rule, {}});
    calendar.rules = texts;
    in.calendars = {calendar};
    input::UseInput& use = in.rooms[0].use;
    use.cooling_setpoint = 24.0;
    use.equipment_power = 800.0;
    use.equipment_profile = "use";
    return in;
}

TEST(CoolingOverWeeks, IsThatOfTheDayWhereEveryDayIsAlike)
{
    const building::Building b = built(cooled_by({"every day: work"}));
    const CoolingWeeks weeks = cooling_over_weeks(b);
    const double day_W = design_loads(b).loads.rooms[0].cooling_W;
    EXPECT_TRUE(weeks.converged);
    EXPECT_FALSE(weeks.differs);
    EXPECT_NEAR(weeks.rooms[0].cooling_W, day_W, 1e-4 * day_W);
    EXPECT_EQ(weeks.together.cooling_W, weeks.rooms[0].cooling_W);
}

TEST(CoolingOverWeeks, IsLessWhereDaysWithoutUseCoolTheWalls)
{
    const building::Building b = built(cooled_by({"every day: never", "weekdays: work"}));
    const CoolingWeeks weeks = cooling_over_weeks(b);
    EXPECT_TRUE(weeks.differs);
    EXPECT_LT(weeks.rooms[0].cooling_W, design_loads(b).loads.rooms[0].cooling_W);
    EXPECT_THAT(weeks.rooms[0].when.day, testing::StartsWith("Friday, ")); // walls have warmed up by then
    EXPECT_THAT(weeks.rooms[0].dates, testing::HasSubstr(" 2027"));
}

/// Plant that is off for the weekend finds the heat of two days on Monday.
TEST(CoolingOverWeeks, IsMoreWherePlantRestsWhileTheRoomWarms)
{
    input::Input in = cooled_by({"every day: never", "weekdays: work"});
    in.rooms[0].use.equipment_profile = "always";
    in.rooms[0].use.cooling_setback = 40.0;
    in.rooms[0].use.cooling_profile = "use";
    const building::Building b = built(in);
    const CoolingWeeks weeks = cooling_over_weeks(b);
    EXPECT_GT(weeks.rooms[0].cooling_W, design_loads(b).loads.rooms[0].cooling_W);
    EXPECT_THAT(weeks.rooms[0].when.day, testing::StartsWith("Monday, "));
}

/// A week that is closed is not taken where its month has one that is not.
TEST(CoolingOverWeeks, TakesTheWeekOfMostUse)
{
    const building::Building b = built(cooled_by({"every day: work", "1 July to 18 July: never"}));
    const CoolingWeeks weeks = cooling_over_weeks(b);
    EXPECT_NEAR(weeks.rooms[0].cooling_W, design_loads(b).loads.rooms[0].cooling_W, 1e-4 * weeks.rooms[0].cooling_W);
}

TEST(CoolingOverWeeks, IsNothingWithoutCooling)
{
    const CoolingWeeks weeks = cooling_over_weeks(built(testing_data::one_room()));
    EXPECT_EQ(weeks.together.cooling_W, 0.0);
}

} // namespace
} // namespace venture::loads
