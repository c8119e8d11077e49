/// A room's heat of some weeks adds up, path by path.

#include <numeric>

#include <gmock/gmock.h>
#include <gtest/gtest.h>

#include <building_questions.hpp>
#include <random_building.hpp>
#include <venture/climate/climates_for_tests.hpp>
#include <venture/loads/building_year.hpp>

namespace venture::loads {
namespace {

using testing_data::built;

climate::WeatherYear weather() { return climate::synthetic_year(climate::temperate_climate()); }

double sum(const HeatOfYear& heat) { return std::accumulate(heat.month_J.begin(), heat.month_J.end(), 0.0); }

/// Of each room, over a few days of spring.
void expect_all_of_it(const input::Input& in)
{
    const building::Building b = built(in);
    for (std::size_t r = 0; r < b.rooms.size(); ++r) {
        const BuildingYear year =
            run_year(b, weather(), {.step_s = 1800.0, .first_day = 118, .days = 6, .run_in_days = 3.0, .room = r});
        ASSERT_TRUE(year.parts);
        const RoomYearParts& parts = *year.parts;
        EXPECT_EQ(parts.room, b.rooms[r].name);
        EXPECT_LT(parts.missing, 1e-9) << parts.room;
        EXPECT_NEAR(parts.hours[0] + parts.hours[1] + parts.hours[2], 6 * 24.0, 1e-6);
        double all = parts.heating.whole_J() + parts.cooling.whole_J() - parts.kept.whole_J(), size = 1.0;
        for (const YearPath& p : parts.paths) {
            all += p.heat.whole_J();
            size += std::abs(p.heat.whole_J());
            EXPECT_NEAR(sum(p.heat), p.heat.whole_J(), 1e-9 * size) << p.through;
        }
        EXPECT_NEAR(all, 0.0, 1e-9 * size) << parts.room;
        MonthHeat told;
        for (const MonthHeat& m : year.rooms[r].months) {
            told.heating_J += m.heating_J;
            told.cooling_J += m.cooling_J;
        }
        EXPECT_NEAR(parts.heating.whole_J(), told.heating_J, 1e-6 * (1.0 + told.heating_J)) << parts.room;
        EXPECT_NEAR(-parts.cooling.whole_J(), told.cooling_J, 1e-6 * (1.0 + told.cooling_J)) << parts.room;
    }
}

TEST(RoomYearParts, AddUpOverAllOptionsOfRandomBuildings)
{
    for (unsigned seed = 1; seed <= 6; ++seed) expect_all_of_it(testing_data::RandomBuilding{seed}.make());
}

TEST(RoomYearParts, AreNothingUnlessAskedFor)
{
    EXPECT_FALSE(run_year(built(testing_data::one_room()), weather(), {.days = 1, .run_in_days = 0.0}).parts);
}

/// What one of two rooms gets through the wall between them, the other gives.
TEST(RoomYearParts, OfNeighboursMirrorEachOther)
{
    input::Input in =
        testing_data::with_rooms({testing_data::room("A", 0, 0, 5, 4), testing_data::room("B", 5, 0, 5, 4)});
    in.rooms[0].use.heating_setpoint = 24.0;
    const building::Building b = built(in);
    const auto through_partition = [&](std::size_t room) {
        const BuildingYear year = run_year(b, weather(), {.days = 120, .run_in_days = 20.0, .room = room});
        double out = 0.0;
        for (const YearPath& p : year.parts->paths)
            if (p.kind == PathKind::partition) out += p.heat.whole_J();
        return out;
    };
    const double to_a = through_partition(0), to_b = through_partition(1);
    EXPECT_LT(to_a, 0.0);
    EXPECT_NEAR(to_a, -to_b, 1e-3 * to_b); // but for what the wall itself keeps at the end
}

} // namespace
} // namespace venture::loads
