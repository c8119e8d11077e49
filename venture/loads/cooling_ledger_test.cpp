#include <venture/loads/cooling_ledger.hpp>

#include <gtest/gtest.h>

#include <building_questions.hpp>
#include <random_building.hpp>
#include <reckon.hpp>
#include <venture/loads/design_hours.hpp>

namespace venture::loads {
namespace {

using quantity::Ledger;
using quantity::LedgerLine;
using testing_data::built;

/// Reckoned again from what is printed, and as much as the hours of the heat balance have of it.
void expect_as_in_the_balance(const building::Building& b, const std::vector<std::size_t>& hours)
{
    const climate::DesignDay day = climate::cooling_design_day(b.site, b.site.months.front());
    const std::vector<LoadHour> of_balance = design_hours(b, day);
    for (std::size_t r = 0; r < b.rooms.size(); ++r)
        for (const std::size_t hour : hours) {
            const Ledger ledger = ledger_of_gains(b, r, day, hour);
            testing_data::expect_reckoned(ledger);
            double beam_W = 0.0, diffuse_W = 0.0, lighting_W = 0.0;
            for (const LedgerLine& line : ledger) {
                if (line.symbol == "beam") beam_W += line.value;
                if (line.symbol == "diffuse") diffuse_W += line.value;
                if (line.of == "lighting") lighting_W += line.value;
            }
            for (const LoadHour& is : of_balance)
                if (is.of == b.rooms[r].name && is.hour == hour) {
                    EXPECT_NEAR(beam_W, is.sun_beam_W, 1e-6 * std::max(1.0, beam_W)) << is.of << ", " << hour;
                    EXPECT_NEAR(diffuse_W, is.sun_diffuse_W, 1e-6 * std::max(1.0, diffuse_W)) << is.of << ", " << hour;
                    EXPECT_NEAR(lighting_W, is.lighting_W, 1e-6 * std::max(1.0, lighting_W)) << is.of << ", " << hour;
                }
        }
}

TEST(CoolingLedger, IsWhatTheBalanceTakesIn)
{
    input::Input in =
        testing_data::with_rooms({testing_data::room("A", 0, 0, 5, 4), testing_data::room("B", 5, 0, 5, 4)});
    in.rooms[0].openings = {testing_data::window("south", 2.0, 1.5), testing_data::window("west", 1.0, 1.5)};
    in.rooms[1].openings = {testing_data::window("north", 1.0, 1.0)};
    in.rooms[0].use.people = 2.0;
    in.rooms[0].use.lighting = 10.0;
    expect_as_in_the_balance(built(in), {0, 5, 12, 16});
    in.site.latitude = -35.0;
    in.rooms[0].openings[0].overhang = 0.8;
    expect_as_in_the_balance(built(in), {9, 13});
}

TEST(CoolingLedger, OfWinterDesignIsEmpty)
{
    const building::Building b = built(testing_data::one_room());
    EXPECT_TRUE(ledger_of_gains(b, 0, climate::winter_design_day(b.site), 12).empty());
    EXPECT_THROW(ledger_of_gains(b, 0, climate::winter_design_day(b.site), 24), quantity::Error);
}

class GainsOfRandomBuildings : public testing::TestWithParam<unsigned> {};
TEST_P(GainsOfRandomBuildings, AreWhatTheBalanceTakesIn)
{
    expect_as_in_the_balance(built(testing_data::RandomBuilding{GetParam()}.make()), {8, 15});
}
INSTANTIATE_TEST_SUITE_P(Seeds, GainsOfRandomBuildings, testing::Range(1U, 6U));

} // namespace
} // namespace venture::loads
