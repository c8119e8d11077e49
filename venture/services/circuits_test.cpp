/// Circuits, what feeds them, and the network that comes of it.

#include <venture/services/circuits.hpp>

#include <gmock/gmock.h>
#include <gtest/gtest.h>

#include <venture/services/needs.hpp>
#include <venture/services/services_for_tests.hpp>

namespace venture::services {
namespace {

using namespace for_tests; // NOLINT(google-build-using-namespace): words of these tests
using testing::ElementsAre;
using testing::SizeIs;

quantity::TextList texts(std::initializer_list<const char*> names)
{
    quantity::TextList out;
    for (const char* name : names) out.push_back({name, {}});
    return out;
}

/// Warm of two boilers, the first up to 6 kW; rooms of 4 and 5 kW.
input::Input two_boilers()
{
    input::Input in = two_circuits();
    in.plants.push_back(plant("large", "boiler"));
    in.plants[0].at_most = 6000.0;
    in.circuits[0].plant = {};
    in.circuits[0].plants = texts({"boiler", "large"});
    return in;
}
std::vector<Client> two_rooms() { return {client("A", true, true), client("B")}; }

double asked_W(const Services& s, NodeId node, Service service = Service::heating)
{
    const std::vector<DemandAt> leaves = {{s.places.rooms[0], Service::heating, Demand::of_peak(4000.0, 0.0, 1)},
                                          {s.places.rooms[1], Service::heating, Demand::of_peak(5000.0, 0.0, 1)},
                                          {s.places.rooms[0], Service::cooling, Demand::of_peak(3000.0, 0.0, 1)}};
    return needs_of(s, leaves).full.asked(node, service).peak_W();
}

TEST(Circuits, AreFedByPlantsInOrder)
{
    const Services s = connected(two_boilers(), two_rooms());
    EXPECT_TRUE(s.problems.empty());
    EXPECT_DOUBLE_EQ(asked_W(s, s.places.plants[0]), 6000.0);
    EXPECT_DOUBLE_EQ(asked_W(s, s.places.plants[2]), 3000.0);
    EXPECT_THAT(s.rooms_of_plant(2, Service::heating), ElementsAre(0U, 1U));
    EXPECT_THAT(s.circuits_of_plant(2, Service::heating), ElementsAre(0U));
}

TEST(Circuits, AreFedByPlantsInShares)
{
    input::Input in = two_boilers();
    in.plants[0].at_most = {};
    in.circuits[0].plant_shares = quantity::QuantityList{0.25, 0.75};
    const Services s = connected(in, two_rooms());
    EXPECT_TRUE(s.problems.empty());
    EXPECT_DOUBLE_EQ(asked_W(s, s.places.plants[0]), 2250.0);
    in.circuits[0].plant_shares = quantity::QuantityList{0.25, 0.5};
    EXPECT_TRUE(says(connected(in, two_rooms()), codes::contradiction, "2 plants and 2 shares, which add up to 0.75"));
    in.circuits[0].plant_shares = quantity::QuantityList{1.0};
    EXPECT_TRUE(says(connected(in, two_rooms()), codes::contradiction, "1 shares"));
}

TEST(Circuits, TellOddOrders)
{
    input::Input in = two_boilers();
    in.plants[0].at_most = {};
    EXPECT_TRUE(says(connected(in, two_rooms()), codes::missing, "'boiler' stands before another one"));
    in = two_boilers();
    in.circuits[0].plants = texts({"large", "boiler"});
    EXPECT_TRUE(says(connected(in, two_rooms()), codes::unused, "'boiler' says at_most"));
    in = two_boilers();
    in.circuits.push_back(circuit("more", "heating", 60, 50, "boiler"));
    in.plants.push_back(plant("third", "boiler"));
    in.circuits.back().plant = {};
    in.circuits.back().plants = texts({"boiler", "third"});
    EXPECT_TRUE(says(connected(in, two_rooms()), codes::contradiction, "stands in 2 orders"));
    in = two_boilers();
    in.circuits[0].plants = texts({"boiler", "boiler"});
    EXPECT_TRUE(says(connected(in, two_rooms()), codes::twice, "names plant 'boiler' twice"));
}

TEST(Circuits, AreFedByTheOnlyPlantThatMakesWhatTheyCarry)
{
    input::Input in = two_circuits();
    in.circuits[0].plant = {};
    Services s = connected(in, two_rooms());
    EXPECT_TRUE(s.problems.empty());
    EXPECT_THAT(s.circuits[0].plants, ElementsAre(0U));
    in.plants.push_back(plant("large", "boiler"));
    s = connected(in, two_rooms());
    EXPECT_TRUE(says(s, codes::unserved, "heating of circuit 'warm' is not served: several plants make it"));
    in.plants = {in.plants[1]};
    EXPECT_TRUE(says(connected(in, two_rooms()), codes::unserved, "no plant makes heating with water"));
}

TEST(Circuits, AreFedInOneWay)
{
    input::Input in = two_boilers();
    in.circuits[0].plant = std::string{"boiler"};
    EXPECT_TRUE(says(connected(in, two_rooms()), codes::contradiction, "'warm' has both plant and plants"));
    in.circuits[0].plants = {};
    in.circuits[0].from = std::string{"cold"};
    EXPECT_TRUE(says(connected(in, two_rooms()), codes::contradiction, "'warm' is mixed from another one and fed by"));
    in = two_circuits();
    in.circuits[0].plant = {};
    in.circuits[0].plants = quantity::TextList{}; // none named is none said
    EXPECT_THAT(connected(in, two_rooms()).circuits[0].plants, ElementsAre(0U));
}

TEST(Circuits, AreMixedFromOneAnother)
{
    input::Input in = two_circuits();
    in.circuits.push_back(circuit("floor", "heating", 35, 30, ""));
    in.circuits.back().plant = {};
    in.circuits.back().from = std::string{"warm"};
    in.circuits.back().loss = 0.1;
    std::vector<Client> rooms = two_rooms();
    rooms[0].heated_by = "warm";
    rooms[1].heated_by = "floor";
    const Services s = connected(in, rooms);
    EXPECT_TRUE(s.problems.empty());
    EXPECT_DOUBLE_EQ(asked_W(s, s.places.circuits[0]), 4000.0 + 5500.0);
    EXPECT_THAT(s.rooms_of_plant(0, Service::heating), ElementsAre(0U, 1U));
    in.circuits.back().supply = 80.0;
    EXPECT_TRUE(
        says(connected(in, rooms), codes::contradiction, "'floor' at 80/30 degC is mixed from 'warm' at 70/50"));
    in.circuits.back().supply = 35.0;
    in.circuits.back().glycol = 0.3;
    EXPECT_TRUE(says(connected(in, rooms), codes::contradiction,
                     "'floor' has 30 % glycol and is mixed from 'warm', which has 0"));
    in.circuits.back().glycol = {};
    in.circuits[0].plant = {};
    in.circuits[0].from = std::string{"floor"};
    EXPECT_TRUE(says(connected(in, rooms), codes::contradiction, "in a ring: 'warm' from 'floor' from 'warm'"));
    in.circuits[0].from = std::string{"cold"};
    EXPECT_TRUE(says(connected(in, rooms), codes::contradiction, "mixed from 'cold', which carries cooling"));
}

TEST(Circuits, NeedNoUnitWhereTheirDemandIsTyped)
{
    input::Input in = two_circuits();
    in.circuits.push_back(circuit("air", "heating", 60, 40, "boiler"));
    in.circuits.back().unit = {};
    EXPECT_TRUE(says(connected(in, two_rooms()), codes::missing, "circuit 'air': unit is missing"));
    in.circuits.back().demand = 7000.0;
    const Services s = connected(in, two_rooms());
    EXPECT_TRUE(s.problems.empty()); // nor any room
    EXPECT_DOUBLE_EQ(asked_W(s, s.places.plants[0]), 9000.0 + 7000.0);
    in.plants[0].demand = 20000.0;
    const Services typed = connected(in, two_rooms());
    EXPECT_DOUBLE_EQ(asked_W(typed, typed.places.plants[0]), 20000.0);
}

TEST(Circuits, OfElectricityHaveNoWaterAndNoPlant)
{
    const Kind panel = {
        .key = "panel", .words = "panel heater", .gives = {Service::heating}, .medium = Medium::electricity};
    const Kind* const units[] = {&panel, &fan_coil};
    const Kind* const plants[] = {&boiler, &chiller};
    input::Input in = two_circuits();
    in.plants.erase(in.plants.begin());
    in.circuits[0].plant = {};
    in.circuits[0].supply = in.circuits[0].back = {};
    const Services s = connect(in, two_rooms(), {units, plants});
    EXPECT_TRUE(s.problems.empty());
    EXPECT_FALSE(s.circuits[0].has_water());
    in.circuits[0].supply = 50.0;
    EXPECT_TRUE(says(connect(in, two_rooms(), {units, plants}), codes::contradiction,
                     "brings electricity, and supply says something of water"));
    in.circuits[0].medium = std::string{"water"};
    EXPECT_TRUE(says(connect(in, two_rooms(), {units, plants}), codes::contradiction,
                     "brings water, and a radiator takes electricity"));
    in.circuits[1].medium = std::string{"electricity"};
    EXPECT_TRUE(says(connect(in, two_rooms(), {units, plants}), codes::contradiction,
                     "brings electricity, and a fan coil takes water"));
}

TEST(Circuits, OfWaterMustTellItsTemperatures)
{
    input::Input in = two_circuits();
    in.circuits[0].back = {};
    EXPECT_TRUE(says(connected(in, two_rooms()), codes::missing, "circuit 'warm': return is missing"));
}

TEST(Circuits, WithValvesMustTellTheirPressure)
{
    input::Input in = two_circuits();
    in.circuits[0].valve = std::string{"fine"};
    EXPECT_TRUE(says(connected(in, two_rooms()), codes::missing, "pressure_difference is missing"));
    in.circuits[0].pressure_difference = 8e3;
    EXPECT_TRUE(connected(in, two_rooms()).problems.empty());
    in.circuits[0].valve = {};
    EXPECT_TRUE(says(connected(in, two_rooms()), codes::unused, "says pressure_difference, and no valve"));
}

TEST(Circuits, CarryOneMediumFromPlantToUnit)
{
    const Kind split = {
        .key = "split", .words = "split unit", .gives = {Service::cooling}, .medium = Medium::refrigerant};
    const Kind* const units[] = {&radiator, &split};
    const Kind* const plants[] = {&boiler, &chiller};
    input::Input in = two_circuits();
    EXPECT_TRUE(says(connect(in, two_rooms(), {units, plants}), codes::contradiction,
                     "a split unit takes refrigerant, and its plant 'chiller' gives water"));
    in.circuits[1].plant = {};
    EXPECT_TRUE(
        says(connect(in, two_rooms(), {units, plants}), codes::unserved, "no plant makes cooling with refrigerant"));
}

/// Units that heat and cool are the same ones on two circuits (four pipes); others stand beside each other.
TEST(Circuits, ShareUnitsThatDoBoth)
{
    const Kind both = {.key = "both", .words = "fan coil", .gives = {Service::heating, Service::cooling}};
    const Kind* const units[] = {&both, &both};
    const Kind* const plants[] = {&boiler, &chiller};
    EXPECT_THAT(connect(two_circuits(), {client("A", true, true)}, {units, plants}).places.units, SizeIs(1));
    EXPECT_THAT(connected(two_circuits(), {client("A", true, true)}).places.units, SizeIs(2));
}

TEST(Circuits, InTheSamePipesTellHoursOfBoth)
{
    input::Input in = two_circuits();
    in.circuits[0].same_pipes_as = std::string{"cold"};
    const Services s = connected(in, two_rooms());
    EXPECT_EQ(s.circuits[1].same_pipes, 0U);
    const std::vector<DemandAt> cooling = {{s.places.rooms[0], Service::cooling, {.sensible_W = {0, 50, 50, 50}}}};
    const std::vector<DemandAt> heating = {{s.places.rooms[1], Service::heating, {.sensible_W = {80, 80, 0.5, 80}}}};
    EXPECT_THAT(hours_of_both(s, 0, cooling, heating), ElementsAre(1U, 3U));
    EXPECT_THAT(hours_of_both(s, 1, cooling, heating), ElementsAre(1U, 3U));
    in.circuits.push_back(circuit("other", "heating", 60, 50, "boiler"));
    in.circuits.back().same_pipes_as = std::string{"warm"};
    EXPECT_TRUE(says(connected(in, two_rooms()), codes::contradiction, "both carry heating in the same pipes"));
}

TEST(Plants, LeaveSomeUnitsThatRun)
{
    input::Input in = two_circuits();
    in.plants[0].standby_units = 1.0;
    EXPECT_TRUE(says(connected(in, two_rooms()), codes::contradiction, "has 1 units, and 1 of them for standby"));
    in.plants.push_back(plant("third", "boiler"));
    in.plants[0].standby_units = {};
    EXPECT_TRUE(says(connected(in, two_rooms()), codes::unused, "plant 'third' serves no circuit"));
}

} // namespace
} // namespace venture::services
