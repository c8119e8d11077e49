#include <venture/airside/supply_load.hpp>

#include <venture/airside/coil_loads.hpp>
#include <venture/airside/supplied_for_tests.hpp>

namespace venture::airside {
namespace {

/// A room that is used in the morning and one that is used in the afternoon, on one supply.
CoilLoads two_rooms(bool alike)
{
    input::Input in = supplied(0.6, true);
    input::UseInput use = in.rooms[0].use;
    use.cooling_setpoint = 24.0;
    use.equipment_power = 900.0;
    use.equipment_profile = "08-12";
    use.ventilation_profile = "08-12";
    in.rooms[0].use = use;
    in.rooms.push_back(room("Second", 20.0, 0.0, 5.0, 4.0));
    in.rooms[1].use = use;
    if (!alike) in.rooms[1].use.equipment_profile = in.rooms[1].use.ventilation_profile = "14-18";
    const building::Building b = built(in);
    return coil_loads(b, loads::design_loads(b).loads);
}

TEST(SupplyLoads, OfRoomsAlikeAreTheirSums)
{
    const CoilLoads coils = two_rooms(true);
    ASSERT_EQ(coils.supplies.size(), 1u);
    const SupplyLoad& all = coils.supplies[0];
    EXPECT_EQ(all.rooms, 2u);
    EXPECT_NEAR(all.heating_W, coils.rooms[0].heating_W + coils.rooms[1].heating_W, 1e-9);
    EXPECT_NEAR(all.outdoor_m3_per_s, 2.0 * flow, 1e-9);
    EXPECT_NEAR(all.fan_W, coils.rooms[0].fan_W + coils.rooms[1].fan_W, 1e-9);
    EXPECT_TRUE(all.cools);
    EXPECT_NEAR(all.cooling.sum_of_peaks_W, coils.rooms[0].cooling_W + coils.rooms[1].cooling_W, 1e-9);
    EXPECT_NEAR(all.cooling.total_W, all.cooling.sum_of_peaks_W, 0.02 * all.cooling.total_W);
}

TEST(SupplyLoads, OfRoomsInTurnsAreTheirLargestHourTogether)
{
    const CoilLoads coils = two_rooms(false);
    const SupplyLoad& all = coils.supplies.at(0);
    EXPECT_LT(all.cooling.total_W, 0.9 * all.cooling.sum_of_peaks_W);
    EXPECT_LT(all.supply_m3_per_s, coils.rooms[0].supply_m3_per_s + coils.rooms[1].supply_m3_per_s);
    EXPECT_NEAR(all.outdoor_m3_per_s, 2.0 * flow, 1e-9); // winter design knows no hours
    double most_W = 0.0;
    for (std::size_t d = 0; d < coils.rooms[0].cooling_days.size(); ++d)
        for (std::size_t h = 0; h < 24; ++h) {
            double sum_W = 0.0;
            for (const CoilLoad& room : coils.rooms)
                sum_W += room.cooling_days[d].sensible_W[h] + room.cooling_days[d].latent_W[h];
            most_W = std::max(most_W, sum_W);
        }
    EXPECT_NEAR(all.cooling.total_W, most_W, 1e-9);
}

TEST(SupplyLoads, OfOneRoomAreItsOwn)
{
    const building::Building b = built(supplied(0.5, true));
    const CoilLoads coils = coil_loads(b, loads::design_loads(b).loads);
    const SupplyLoad& own = coils.supplies.at(0);
    EXPECT_EQ(own.heating_W, coils.rooms[0].heating_W);
    EXPECT_EQ(own.supply_m3_per_s, coils.rooms[0].supply_m3_per_s);
    EXPECT_FALSE(own.cools);
}

} // namespace
} // namespace venture::airside
