#include <venture/loads/heating_ledger.hpp>

#include <gmock/gmock.h>
#include <gtest/gtest.h>

#include <building_questions.hpp>
#include <random_building.hpp>
#include <reckon.hpp>
#include <venture/loads/design_loads.hpp>

namespace venture::loads {
namespace {

using quantity::Ledger;
using quantity::LedgerLine;
using testing_data::built;

/// Every line from its inputs, and the losses as the sum by hand has them.
void expect_reckoned_again(const building::Building& b)
{
    const RoomLoads all = design_loads(b).loads;
    for (std::size_t r = 0; r < b.rooms.size(); ++r) {
        const Ledger ledger = ledger_of_heating(b, r, all);
        testing_data::expect_reckoned(ledger);
        std::vector<double> losses, terms;
        for (const LedgerLine& line : ledger)
            if (line.symbol == "Q") losses.push_back(line.value);
        for (const PaperTerm& term : all.rooms[r].paper) terms.push_back(term.loss_W);
        EXPECT_THAT(losses, testing::ElementsAreArray(terms)) << b.rooms[r].name;
    }
}

TEST(HeatingLedger, IsReckonedAgainFromWhatItPrints)
{
    input::Input in =
        testing_data::with_rooms({testing_data::room("A", 0, 0, 5, 4), testing_data::room("B", 5, 0, 5, 4)});
    in.rooms[0].use.heating_setpoint = 20.0;
    in.rooms[0].use.infiltration = 0.5;
    in.rooms[0].use.people = 2.0;
    in.rooms[0].use.ventilation_per_person = 0.008;
    in.rooms[0].openings = {testing_data::window("south", 2.0, 1.5)};
    in.site.height = 1200.0;
    expect_reckoned_again(built(in)); // B floats
    in.rooms[1].use.heating_setpoint = 16.0;
    in.method.outdoor_air_flows = input::FlowsAt::outdoors;
    expect_reckoned_again(built(in));
}

class LedgersOfRandomBuildings : public testing::TestWithParam<unsigned> {};
TEST_P(LedgersOfRandomBuildings, AreReckonedAgain)
{
    expect_reckoned_again(built(testing_data::RandomBuilding{GetParam()}.make()));
}
INSTANTIATE_TEST_SUITE_P(Seeds, LedgersOfRandomBuildings, testing::Range(1U, 7U));

TEST(HeatingLedger, OfARoomThatIsNotHeatedIsEmpty)
{
    const building::Building b = built(testing_data::one_room());
    building::Building cold = b;
    cold.rooms[0].use.heating_setpoint_C = {};
    EXPECT_TRUE(ledger_of_heating(cold, 0, design_loads(b).loads).empty());
}

TEST(LedgerLine, PutsNumbersInPlaceOfSymbols)
{
    const LedgerLine line{"wall",
                          "loss",
                          "Q",
                          "A*U*(t_room - t_far) + 1e-3*A",
                          {{"A", 10.0, "m2", "x"},
                           {"U", 0.25, "W/m2K", "x"},
                           {"t_room", 20.0, "degC", "x"},
                           {"t_far", -3.0, "degC", "x"}},
                          57.51,
                          "W"};
    EXPECT_EQ(line.in_numbers(), "10*0.25*(20 - (-3)) + 1e-3*10");
}

} // namespace
} // namespace venture::loads
