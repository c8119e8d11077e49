#include <venture/airside/system_need.hpp>

#include <gtest/gtest.h>

#include <venture/quantity/error.hpp>

namespace venture::airside {
namespace {

SystemRoom room(double people, double primary) { return {{people, 3.8e-3, 50.0, 0.3e-3, 1.0}, primary, 0.0, 0.0}; }

TEST(SystemNeed, OneRoomNeedsWhatItNeedsByItself)
{
    const std::vector<SystemRoom> one{room(10.0, 0.2)};
    const SystemNeed need = system_need(one, 10.0, 0.2);
    EXPECT_NEAR(need.efficiency, 1.0, 1e-15);
    EXPECT_NEAR(need.outdoor_intake_m3_per_s, one[0].need.supply_m3_per_s(), 1e-15);
}

TEST(SystemNeed, RoomsAlikeAreAsEfficientAsOne)
{
    const std::vector<SystemRoom> three(3, room(10.0, 0.2));
    EXPECT_NEAR(system_need(three, 30.0, 0.6).efficiency, 1.0, 1e-15);
}

TEST(SystemNeed, TheCrowdedRoomWithLittleAirRules)
{
    const std::vector<SystemRoom> two{room(2.0, 0.4), room(20.0, 0.2)};
    const SystemNeed need = system_need(two, 22.0, 0.6);
    EXPECT_EQ(need.ruling_room, 1u);
    EXPECT_LT(need.efficiency, 1.0);
    EXPECT_GT(need.outdoor_intake_m3_per_s, need.uncorrected_m3_per_s);
}

TEST(SystemNeed, AirDrawnInAgainFromTheSystemHelpsTheRulingRoom)
{
    std::vector<SystemRoom> two{room(2.0, 0.4), room(20.0, 0.2)};
    const double one_path = system_need(two, 22.0, 0.6).efficiency;
    for (SystemRoom& r : two) {
        r.discharge_m3_per_s = 2.0 * r.least_primary_m3_per_s;
        r.secondary_from_system = 0.8;
    }
    EXPECT_GT(system_need(two, 22.0, 0.6).efficiency, one_path);
}

TEST(SystemNeed, WhatCannotBeIsSaid)
{
    const std::vector<SystemRoom> starved{room(2.0, 0.4), room(40.0, 0.05)};
    EXPECT_THROW((void)system_need(starved, 42.0, 0.45), quantity::Error);
    EXPECT_THROW((void)system_need(starved, 43.0, 0.45), quantity::RangeError); // more people than there are
    EXPECT_THROW((void)system_need(starved, 42.0, 0.40), quantity::RangeError); // less than the least of the rooms
    EXPECT_THROW((void)system_need({}, 0.0, 1.0), quantity::RangeError);
    EXPECT_THROW((void)(air::RoomNeed{1.0, 1e-2, 0.0, 0.0, 0.0}.supply_m3_per_s()), quantity::RangeError);
}

} // namespace
} // namespace venture::airside
