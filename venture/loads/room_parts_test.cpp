/// Paths over a room's edge add up to its load.

#include <cmath>

#include <gmock/gmock.h>
#include <gtest/gtest.h>

#include <building_questions.hpp>
#include <random_building.hpp>
#include <venture/loads/room_parts.hpp>

namespace venture::loads {
namespace {

using testing_data::built;

std::vector<climate::DesignDay> days_of(const building::Building& b)
{
    return {climate::winter_design_day(b.site), climate::cooling_design_day(b.site, b.site.months.front())};
}

void expect_all_of_it(const input::Input& in, double allowed = 1e-5)
{
    const building::Building b = built(in);
    for (const climate::DesignDay& day : days_of(b))
        for (std::size_t r = 0; r < b.rooms.size(); ++r) {
            const RoomParts parts = parts_of_room(b, day, r, 21.5);
            EXPECT_LT(parts.missing, allowed) << b.rooms[r].name << ", " << day.name;
            for (std::size_t h = 0; h < 24; ++h) {
                double warmth = parts.reference_C;
                for (const LoadPath& path : parts.paths) warmth += path.temperature_K[h];
                EXPECT_NEAR(warmth, parts.operative_C[h], 0.02) << b.rooms[r].name << ", " << day.name << ", " << h;
            }
        }
}

/// Two rooms, one of them floating, with sun, people, a shade, a fan, an open set-back.
input::Input busy()
{
    input::Input in =
        testing_data::with_rooms({testing_data::room("A", 0, 0, 5, 4), testing_data::room("B", 5, 0, 5, 4)});
    in.rooms[0].use.heating_setpoint = 20.0;
    in.rooms[0].openings = {testing_data::window("south", 2.0, 1.5)};
    input::UseInput& use = in.rooms[0].use;
    use.people = 3.0;
    use.lighting = 10.0;
    use.equipment_power = 400.0;
    use.ventilation_rate = 1.0;
    in.rooms[0].use.cooling_setpoint = 24.0;
    return in;
}

TEST(RoomParts, AddUpToTheLoadOfEveryHour)
{
    expect_all_of_it(testing_data::one_room());
    expect_all_of_it(busy());
}

TEST(RoomParts, AddUpWithFilmsThatVary)
{
    input::Input in = busy();
    in.method.inside_films = "by difference";
    expect_all_of_it(in);
    in.method.outside_films = "wind and sky";
    expect_all_of_it(in);
}

TEST(RoomParts, AddUpInARoomWithWarmAirUnderItsCeiling)
{
    input::Input in = busy();
    in.rooms[0].use.stratification = 2.0;
    expect_all_of_it(in);
}

TEST(RoomParts, AddUpWherePeoplesHeatFollowsTheAir)
{
    input::Input in = busy();
    in.rooms[0].use.activity = input::Activity::bench_work;
    expect_all_of_it(in);
}

/// Whatever a project can say: every room, every design day, every hour.
class OfRandomBuildings : public testing::TestWithParam<unsigned> {};
TEST_P(OfRandomBuildings, PathsAddUp) { expect_all_of_it(testing_data::RandomBuilding{GetParam()}.make()); }
INSTANTIATE_TEST_SUITE_P(Seeds, OfRandomBuildings, testing::Range(1U, 9U));

TEST(RoomParts, CallWallsAsTheRoomDoes)
{
    const building::Building b = built(busy());
    const RoomParts parts = parts_of_room(b, days_of(b)[1], 1, 21.5);
    EXPECT_THAT(parts.paths, testing::Contains(testing::AllOf(
                                 testing::Field(&LoadPath::kind, PathKind::partition),
                                 testing::Field(&LoadPath::through, testing::HasSubstr("to " + b.rooms[0].name)))));
}

/// What comes in and what becomes load differ hour by hour, not over a day, but for what leaves through walls and windows.
TEST(RoomParts, GiveBackMostOfWhatIsStored)
{
    const building::Building b = built(busy());
    const RoomParts parts = parts_of_room(b, days_of(b)[1], 0, 24.0);
    for (const LoadPath& path : parts.paths) {
        if (path.kind != PathKind::equipment) continue;
        ASSERT_TRUE(path.gain_W);
        EXPECT_NEAR(mean_of(*path.gain_W), 400.0, 1.0);
    }
}

} // namespace
} // namespace venture::loads
