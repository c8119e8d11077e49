/// Air that is taken out of rooms, and what comes in and goes out of them by plan.

#include <algorithm>

#include <gmock/gmock.h>

#include <venture/airside/supplied_for_tests.hpp>
#include <venture/building/air_balance.hpp>
#include <venture/building/building_figures.hpp>
#include <venture/quantity/codes.hpp>

namespace venture::airside {
namespace {

using testing::HasSubstr;

TEST(Extract, DrawsOutdoorAirInUnlessItIsMadeUp)
{
    input::Input in = aired();
    in.rooms[0].use.ventilation_flow = 0.0;
    const double alone_W = loads_of(in).rooms[0].heating_W;
    in.extracts = {extract("Room", 0.02)};
    const building::Building b = built(in);
    const loads::RoomLoad drawn = loads::design_loads(b).loads.rooms[0];
    const double expected_W = air_W_per_m3_per_s * 0.02 * apart_K(b);
    EXPECT_NEAR(drawn.heating_W - alone_W, expected_W, 1e-5 * expected_W);
    EXPECT_TRUE(std::ranges::any_of(drawn.paper, [](const loads::PaperTerm& t) { return t.what == "air drawn in"; }));
    EXPECT_EQ(building::air_balances(b)[0].through_leaks_m3_per_s(), -0.02);
    in.rooms[0].use.ventilation_flow = 0.02; // make-up air
    EXPECT_NEAR(loads_of(in).rooms[0].heating_W, drawn.heating_W, 1e-6);
    EXPECT_THAT(told(in, quantity::codes::air_balance), testing::IsEmpty());
}

/// What comes in less what goes out, in all columns of a line of the table.
double missing_m3_per_s(const figure::Table& table, const std::vector<figure::Cell>& line)
{
    const auto at = [&](const char* key) { return std::get<double>(line.at(table.column(key))); };
    return at("supply") + at("transfer_in") - at("extract") - at("transfer_out") - at("back") - at("through_leaks");
}

TEST(WaysOfAir, AddUpForRoomsAndBuilding)
{
    input::Input in = supplied(0.8);
    in.rooms.push_back(room("Corridor", 5, 0, 5, 4));
    in.rooms.push_back(room("Shower", 10, 0, 5, 4));
    in.rooms.push_back(room("Office", 15, 0, 5, 4));
    in.rooms[3].use.ventilation_flow = 0.02; // by windows alone
    const auto passes = [&in](const char* from, std::size_t to, double flow_m3_per_s) {
        input::TransferAirInput air;
        air.from = std::string{from};
        air.flow = flow_m3_per_s;
        in.rooms[to].transfer_air = {air};
    };
    passes("Room", 1, 0.02);
    passes("Corridor", 2, 0.015);
    in.extracts = {extract("Shower", 0.025)};
    const figure::Table table = building::air_route_table(built(in));
    ASSERT_EQ(table.rows.size(), 3u);
    for (const auto& line : table.rows) EXPECT_NEAR(missing_m3_per_s(table, line), 0.0, 1e-12);
    ASSERT_EQ(table.totals.size(), 1u);
    EXPECT_NEAR(missing_m3_per_s(table, table.totals[0].cells), 0.0, 1e-12);
    const auto pressure = [&](std::size_t row) {
        return std::get<std::string>(table.rows[row][table.column("pressure")]);
    };
    EXPECT_EQ(pressure(0), "even"); // what is not passed on goes back to the supply
    EXPECT_EQ(pressure(1), "above");
    EXPECT_EQ(pressure(2), "below");
    EXPECT_TRUE(building::air_route_table(built(aired())).rows.empty());
}

TEST(Extract, TakesFromWhatRecoveryGetsBack)
{
    input::Input in = supplied(0.8);
    in.extracts = {extract("Room", flow / 2.0)};
    const double all_W = air_W_per_m3_per_s * flow * apart_K(built(in));
    const double half_W = loads_of(in).rooms[0].heating_W;
    EXPECT_NEAR(half_W - loads_of(supplied(0.8)).rooms[0].heating_W, 0.4 * all_W, 1e-5 * all_W);
}

TEST(Extract, HasTheFlowOfItsFixture)
{
    input::Input in = aired();
    input::ExtractInput wc;
    wc.room = "Room";
    wc.fixture = input::Fixture::wc;
    wc.count = 2.0;
    in.extracts = {wc};
    EXPECT_NEAR(built(in).extracts[0].flow_m3_per_s, 50e-3, 1e-15);
    in.extracts[0].fixture = input::Fixture::hood;
    EXPECT_THAT(problem_of(in, "V201").message, HasSubstr("has no flow"));
}

} // namespace
} // namespace venture::airside
