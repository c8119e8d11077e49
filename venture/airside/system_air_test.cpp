#include <venture/airside/system_air.hpp>

#include <venture/airside/coil_loads.hpp>
#include <venture/airside/supplied_for_tests.hpp>

namespace venture::airside {
namespace {

/// Two rooms alike on one supply, by people and by floor.
input::Input two_rooms()
{
    input::Input in = supplied(0.0, true);
    input::UseInput use = in.rooms[0].use;
    use.ventilation_flow = quantity::Given<double>{};
    use.people = 4.0;
    use.ventilation_per_person = 5e-3;
    use.ventilation_per_area = 0.3e-3;
    in.rooms[0].use = use;
    in.rooms.push_back(room("Second", 20.0, 0.0, 5.0, 4.0));
    in.rooms[1].use = use;
    return in;
}

/// Both rooms with their outdoor air by plan, and so much supply air.
std::vector<RoomSupply> supplied_by_plan(const building::Building& b, double first, double second)
{
    return {{0, b.rooms[0].outdoor_air_by_plan_m3_per_s(), first},
            {1, b.rooms[1].outdoor_air_by_plan_m3_per_s(), second}};
}

TEST(SystemAir, IsWhatRoomsAskWhereTheyAreAlike)
{
    const building::Building b = built(two_rooms());
    const std::vector<SystemAir> systems = system_air(b, supplied_by_plan(b, 0.1, 0.1));
    ASSERT_EQ(systems.size(), 1u);
    EXPECT_EQ(systems[0].rooms, 2u);
    EXPECT_NEAR(systems[0].asked_m3_per_s, 2.0 * (4 * 5e-3 + 20.0 * 0.3e-3), 1e-15);
    EXPECT_NEAR(systems[0].need.outdoor_intake_m3_per_s, systems[0].asked_m3_per_s, 1e-15);
}

TEST(SystemAir, TheCrowdedRoomRules)
{
    input::Input in = two_rooms();
    in.rooms[1].use.people = 12.0;
    const building::Building b = built(in);
    const SystemAir air = system_air(b, supplied_by_plan(b, 0.1, 0.1)).at(0);
    const double first = 4 * 5e-3 + 6e-3, second = 12 * 5e-3 + 6e-3, share = (first + second) / 0.2;
    EXPECT_EQ(air.ruling_room, "Second");
    EXPECT_NEAR(air.ruling_share, second / 0.1, 1e-12);
    EXPECT_NEAR(air.need.efficiency, 1.0 + share - second / 0.1, 1e-12);
    EXPECT_NEAR(air.need.outdoor_intake_m3_per_s, (first + second) / air.need.efficiency, 1e-12);
}

TEST(SystemAir, PeopleWhoAreNeverThereAtOnceCountOnce)
{
    input::Input in = two_rooms();
    in.rooms[0].use.people_profile = "08-12";
    in.rooms[1].use.people_profile = "13-17 50 %";
    const building::Building b = built(in);
    // the most at once is 4, each room's most are 4 and 2
    EXPECT_NEAR(system_air(b, supplied_by_plan(b, 0.1, 0.1)).at(0).need.occupant_diversity, 4.0 / 6.0, 1e-12);
}

TEST(SystemAir, CountsWhatIsNeitherByPersonNorByFloor)
{
    input::Input in = two_rooms();
    in.rooms[0].use.ventilation_flow = 0.02;
    in.rooms[1].use.air_effectiveness = 0.8;
    const building::Building b = built(in);
    const SystemAir air = system_air(b, supplied_by_plan(b, 0.1, 0.1)).at(0);
    EXPECT_NEAR(air.need.uncorrected_m3_per_s, 2.0 * (4 * 5e-3 + 6e-3) + 0.02, 1e-12);
    EXPECT_NEAR(air.asked_m3_per_s, 0.046 + 0.026 / 0.8, 1e-12);
}

TEST(SystemAir, IsNotAskedOfOneRoomOrOfOutdoorAirAlone)
{
    input::Input in = two_rooms();
    const building::Building everything = built(in);
    EXPECT_TRUE(system_air(everything, supplied_by_plan(everything, 0.1, 0.0)).empty());
    in.air_supplies[0].gives = input::SupplyGives::outdoor_air;
    const building::Building outdoor_air = built(in);
    EXPECT_TRUE(system_air(outdoor_air, supplied_by_plan(outdoor_air, 0.1, 0.1)).empty());
}

/// Outdoor air that never comes at full is no more than what the room is supplied with.
TEST(SystemAir, AsksForNoMoreThanEverComes)
{
    input::Input in = two_rooms();
    in.rooms[0].use.ventilation_profile = "08-18 30 %";
    in.rooms[1].use.ventilation_per_area = 0.05e-3;
    in.rooms[1].use.people = 0.0;
    const building::Building b = built(in);
    const SystemAir air = coil_loads(b, loads::design_loads(b).loads).systems.at(0);
    EXPECT_NEAR(air.asked_m3_per_s, 0.3 * 0.026 + 20.0 * 0.05e-3, 1e-9);
    EXPECT_LE(air.ruling_share, 1.0 + 1e-9);
    EXPECT_GT(air.need.efficiency, 0.0);
}

TEST(SystemAir, ComesWithTheLoadsOfCoils)
{
    const building::Building b = built(two_rooms());
    const CoilLoads coils = coil_loads(b, loads::design_loads(b).loads);
    ASSERT_EQ(coils.systems.size(), 1u);
    EXPECT_NEAR(coils.systems[0].supply_m3_per_s, coils.rooms[0].supply_m3_per_s + coils.rooms[1].supply_m3_per_s,
                1e-12);
    EXPECT_GE(coils.systems[0].need.outdoor_intake_m3_per_s, coils.systems[0].need.uncorrected_m3_per_s * (1.0 - 1e-9));
}

} // namespace
} // namespace venture::airside
