#include <venture/loads/path_terms.hpp>

#include <algorithm>
#include <cmath>

#include <gtest/gtest.h>

#include <building_questions.hpp>
#include <random_building.hpp>
#include <venture/loads/room_hour.hpp>

namespace venture::loads {
namespace {

using testing_data::built;

/// Two rooms, the second floating: sun, people by day, air.
input::Input two_rooms()
{
    input::Input in =
        testing_data::with_rooms({testing_data::room("A", 0, 0, 5, 4), testing_data::room("B", 5, 0, 5, 4)});
    in.rooms[0].openings = {testing_data::window("south", 2.0, 1.5)};
    in.rooms[1].openings = {testing_data::window("south", 1.0, 1.0)};
    input::UseInput& use = in.rooms[0].use;
    use.heating_setpoint = 20.0;
    use.cooling_setpoint = 24.0;
    use.people = 3.0;
    use.ventilation_rate = 1.0;
    return in;
}

/// Every path of a room in one hour is the sum of its terms.
void expect_sums(const building::Building& b, const climate::DesignDay& day, std::size_t room, std::size_t hour)
{
    const RoomHour whole = room_in_hour(b, room, day, hour);
    for (const LoadPath& path : whole.parts.parts.paths) {
        const auto terms = terms_of_path(b, room, day, hour, whole.parts.parts.reference_C, path.kind, path.through);
        if (!terms) continue;
        const double is = terms->floats ? path.temperature_K[hour] : terms->sign * path.cooling_W[hour];
        EXPECT_NEAR(terms->felt(), is, 1e-4 * std::max(1.0, std::abs(is)))
            << b.rooms[room].name << ", " << day.name << ", " << in_words(path.kind) << " " << path.through;
    }
}

TEST(PathTerms, AddUpToThePathInEveryKindOfHour)
{
    input::Input in = two_rooms();
    for (const bool films_vary : {false, true}) {
        if (films_vary) {
            in.method.inside_films = "by difference";
            in.method.outside_films = "wind and sky";
        }
        const building::Building b = built(in);
        const climate::DesignDay summer = climate::cooling_design_day(b.site, b.site.months.front());
        for (const std::size_t hour : {3UL, 15UL}) {
            expect_sums(b, summer, 0, hour);
            expect_sums(b, summer, 1, hour); // floats: by warmth
        }
        expect_sums(b, climate::winter_design_day(b.site), 0, 7);
    }
}

TEST(PathTerms, OfARandomBuildingAddUp)
{
    const building::Building b = built(testing_data::RandomBuilding{5}.make());
    expect_sums(b, climate::cooling_design_day(b.site, b.site.months.front()), 0, 14);
}

TEST(PathTerms, OfAirAreOfItsOwnHourAlone)
{
    const building::Building b = built(two_rooms());
    const auto terms = terms_of_path(b, 0, climate::winter_design_day(b.site), 7, 20.0, PathKind::ventilation, {});
    ASSERT_TRUE(terms);
    EXPECT_FALSE(terms->heat);
    for (const TermRow& row : term_rows(*terms)) {
        EXPECT_NEAR(row.term().acted, b.site.winter.dry_bulb_C - 20.0, 1e-9);
        if (row.hours_ago > 0) { EXPECT_NEAR(row.term().felt, 0.0, 1e-6); }
    }
    EXPECT_GT(term_rows(*terms).back().term().felt, 0.0);
}

TEST(PathTerms, AreNoneOfWhatARoomDoesNotHave)
{
    const building::Building b = built(two_rooms());
    const climate::DesignDay day = climate::winter_design_day(b.site);
    EXPECT_FALSE(terms_of_path(b, 0, day, 7, 20.0, PathKind::roof, "roof of nobody"));
    EXPECT_FALSE(terms_of_path(b, 0, day, 7, 20.0, PathKind::warm_ceiling, {}));
}

TEST(RoomHour, AtItsPeakIsThePeak)
{
    const building::Building b = built(two_rooms());
    const RoomLoad load = design_loads(b).loads.rooms[0];
    const auto day = climate::design_day_called(b.site, load.cooling_when.day);
    ASSERT_TRUE(day);
    const auto hour = static_cast<std::size_t>(load.cooling_when.clock_hour - std::floor(day->clock_ahead_h));
    const RoomHour at = room_in_hour(b, 0, *day, hour);
    EXPECT_EQ(at.when, load.cooling_when);
    EXPECT_EQ(at.of(), "sensible cooling");
    EXPECT_NEAR(at.cooling_W, load.cooling_sensible_W, 1e-6);
    EXPECT_NEAR(at.latent_W, load.cooling_latent_W, 1e-6);
    EXPECT_NEAR(at.balance.total_W(), load.cooling_balance.total_W(), 1e-6);
    EXPECT_NEAR(at.outdoor_C, load.cooling_outdoor_C, 1e-12);
    EXPECT_EQ(room_in_hour(b, 0, climate::winter_design_day(b.site), 0).of(), "heating");
    EXPECT_EQ(room_in_hour(b, 1, *day, hour).of(), "warmth");
    EXPECT_THROW(room_in_hour(b, 0, *day, 24), quantity::Error);
}

} // namespace
} // namespace venture::loads
