#include <venture/services/services.hpp>

#include <gmock/gmock.h>
#include <gtest/gtest.h>

#include <venture/services/services_for_tests.hpp>

namespace venture::services {
namespace {

using namespace for_tests; // NOLINT(google-build-using-namespace): words of these tests

TEST(Connect, HangsRoomsOnTheOnlyCircuitOfTheirDuty)
{
    const Services s = connected(two_circuits(), {client("A", true, true), client("B", true, false)});
    EXPECT_EQ(circuits_of(s, 0, Service::heating), std::vector<std::size_t>{0});
    EXPECT_EQ(circuits_of(s, 0, Service::cooling), std::vector<std::size_t>{1});
    EXPECT_TRUE(s.rooms[1][Service::cooling].empty());
    EXPECT_THAT(s.rooms_of_plant(0, Service::heating), testing::ElementsAre(0u, 1u));
    EXPECT_THAT(s.rooms_of_plant(1, Service::cooling), testing::ElementsAre(0u));
    EXPECT_TRUE(s.problems.empty());
}

TEST(Connect, AssumesServicesWhereNoneAreGivenAndSaysSo)
{
    const Services s = connected({}, {client("A", true, true)});
    EXPECT_EQ(s.circuits.size(), 2u);
    EXPECT_TRUE(says(s, codes::assumed, "70/55 degC on one boiler and fan coils"));
}

TEST(Connect, AssumesNothingForADutyThatNoRoomHas)
{
    const Services heated = connected({}, {client("A", true, false)});
    ASSERT_EQ(heated.circuits.size(), 1u);
    EXPECT_EQ(heated.circuits[0].carries, Service::heating);
    EXPECT_EQ(heated.plants.size(), 1u);
    const Services cooled = connected({}, {client("A", false, true)});
    ASSERT_EQ(cooled.circuits.size(), 1u);
    EXPECT_EQ(cooled.circuits[0].carries, Service::cooling);
    EXPECT_EQ(cooled.plants[cooled.circuits[0].plants.at(0)].kind, &chiller);
}

TEST(Connect, FindsADutyThatNobodyServes)
{
    input::Input in = two_circuits();
    in.circuits.pop_back();
    EXPECT_TRUE(says(connected(in, {client("A", true, true)}), codes::unserved, "cooling of room 'A'"));
    Client none = client("B");
    none.heated_by = "nothing";
    EXPECT_TRUE(says(connected(in, {none}), codes::unserved, "served by nothing"));
}

TEST(Connect, AsksWhichWhenSeveralCircuitsCarryTheSame)
{
    input::Input in = two_circuits();
    in.circuits.push_back(circuit("warmer", "heating", 80, 60, "boiler"));
    EXPECT_TRUE(says(connected(in, {client("A")}), codes::unserved, "several circuits"));
    Client told = client("A");
    told.heated_by = "warmer";
    const Services s = connected(in, {told});
    EXPECT_EQ(circuits_of(s, 0, Service::heating), std::vector<std::size_t>{2});
    EXPECT_TRUE(says(s, codes::unused, "'warm' serves no room"));
}

TEST(Connect, TellsWrongNamesAndContradictions)
{
    input::Input in = two_circuits();
    in.circuits[0].plant = "boilr";
    in.circuits[1].supply = 14.0; // warmer than its return
    const Services s = connected(in, {client("A", true, true)});
    EXPECT_TRUE(says(s, codes::unknown_name, "no plant is called 'boilr'"));
    EXPECT_TRUE(says(s, codes::contradiction, "14 degC supply and 12 degC return"));
    Client wrong = client("A");
    wrong.heated_by = "cold";
    EXPECT_TRUE(says(connected(two_circuits(), {wrong}), codes::contradiction, "does not carry heating"));
    wrong.heated_by = "wram";
    EXPECT_TRUE(says(connected(two_circuits(), {wrong}), codes::unknown_name, "'wram'"));
}

TEST(Connect, RefusesABoilerThatCools)
{
    input::Input in = two_circuits();
    in.circuits[1].plant = "boiler";
    EXPECT_TRUE(says(connected(in, {client("A", true, true)}), codes::contradiction, "is a boiler"));
}

TEST(Kept, BelongsToARoomOrPlantThatIsThere)
{
    input::Input in = two_circuits();
    input::KeptInput k;
    k.serves = "A";
    k.duty = "heating";
    k.product = "X";
    k.count = 2.0;
    in.kept = {k};
    const Services s = connected(in, {client("A")});
    ASSERT_NE(s.find_kept("A", Service::heating), nullptr);
    EXPECT_EQ(s.find_kept("A", Service::heating)->count, 2);
    EXPECT_EQ(s.find_kept("A", Service::cooling), nullptr);
    in.kept.push_back(k);
    EXPECT_TRUE(says(connected(in, {client("A")}), codes::twice, "second product"));
    in.kept = {k};
    EXPECT_TRUE(says(connected(in, {client("B")}), codes::unknown_name, "no room or plant is called 'A'"));
}

} // namespace
} // namespace venture::services
