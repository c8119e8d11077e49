#include <venture/loads/days_off.hpp>

#include <gtest/gtest.h>

#include <building_questions.hpp>

namespace venture::loads {
namespace {

using testing_data::built;

/// A heavy room that sets back at night, beside one that does not.
building::Building sets_back(double back_C)
{
    input::Input in =
        testing_data::with_rooms({testing_data::room("A", 0, 0, 5, 4), testing_data::room("B", 5, 0, 5, 4)});
    in.rooms[0].use.heating_setpoint = 20.0;
    in.rooms[1].use.heating_setpoint = 20.0;
    input::ProfileInput work;
    work.name = "work";
    work.hours = quantity::TextList{{"08-18 100 %", {}}};
    in.profiles = {work};
    in.rooms[0].use.heating_setback = back_C;
    in.rooms[0].use.heating_profile = "work";
    return built(in);
}

TEST(DaysOff, AskForMoreThanANight)
{
    const building::Building b = sets_back(14.0);
    const DesignLoads usual = design_loads(b);
    const AfterDaysOff two = heating_after_days_off(b, {.days = 2}), four = heating_after_days_off(b, {.days = 4});
    EXPECT_TRUE(two.converged);
    EXPECT_GT(two.heating_W[0], 1.02 * usual.loads.rooms[0].heating_W);
    EXPECT_GT(four.heating_W[0], two.heating_W[0]);
    EXPECT_GE(two.heating_W[1], usual.loads.rooms[1].heating_W - 1e-3); // beside a colder room
    EXPECT_LE(two.together_W, two.heating_W[0] + two.heating_W[1] + 1e-9);
}

TEST(DaysOff, AskForLessWhereThereIsMoreTime)
{
    const building::Building b = sets_back(14.0);
    const double quick = heating_after_days_off(b, {.days = 2, .come_back_in_h = 1.0}).heating_W[0],
                 slow = heating_after_days_off(b, {.days = 2, .come_back_in_h = 6.0}).heating_W[0];
    EXPECT_GT(quick, 1.1 * slow);
}

TEST(DaysOff, ChangeNothingWhereNobodySetsBack)
{
    const building::Building b = sets_back(20.0);
    const DesignLoads usual = design_loads(b);
    const AfterDaysOff after = heating_after_days_off(b, {.days = 3});
    for (std::size_t r = 0; r < b.rooms.size(); ++r)
        EXPECT_NEAR(after.heating_W[r], usual.loads.rooms[r].heating_W, 0.5);
}

TEST(DaysOff, RefuseWeeksAndTimesThatAreNone)
{
    const building::Building b = sets_back(14.0);
    EXPECT_THROW(static_cast<void>(heating_after_days_off(b, {.days = 7})), quantity::Error);
    EXPECT_THROW(static_cast<void>(heating_after_days_off(b, {.days = 2, .come_back_in_h = 0.0})), quantity::Error);
}

} // namespace
} // namespace venture::loads
