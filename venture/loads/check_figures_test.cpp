#include <venture/loads/check_figures.hpp>

#include <algorithm>

#include <gtest/gtest.h>

namespace venture::loads {
namespace {

TEST(UsualCooling, IsTheFloorForEachTonTurnedRound)
{
    const auto& all = usual_cooling();
    const auto offices = std::ranges::find(all, "offices", &UsualCooling::use);
    ASSERT_NE(offices, all.end());
    EXPECT_NEAR(offices->middle_W_per_m2, 3516.853 / (280.0 * 0.09290304), 1e-3);
    for (const UsualCooling& usual : all) {
        EXPECT_LT(usual.least_W_per_m2, usual.middle_W_per_m2) << usual.use;
        EXPECT_LT(usual.middle_W_per_m2, usual.most_W_per_m2) << usual.use;
    }
}

TEST(Proportions, AreOfWhatIsCooledInItsLargestHour)
{
    RoomLoad cooled{.room = "A", .storey = "ground", .floor_area_m2 = 50.0};
    cooled.cooled = true;
    cooled.cooling_W = 4000.0;
    cooled.cooling_sensible_W = 3000.0;
    cooled.cooling_latent_W = 1000.0;
    const RoomLoad other{.room = "B", .storey = "ground", .floor_area_m2 = 500.0};
    RoomLoads all{.rooms = {cooled, other}};
    all.pressure_Pa = 101325.0;
    const auto rows = proportions(all, 10.0);
    ASSERT_EQ(rows.size(), 1U);
    EXPECT_DOUBLE_EQ(rows[0].is.capacity_per_area_W_per_m2(), 80.0);
    EXPECT_NEAR(air_difference_K(rows[0].is, 0.75, 1.2041 * 1006.0), 10.0, 0.01);
    EXPECT_TRUE(proportions({.rooms = {other}}, 10.0).empty());
}

} // namespace
} // namespace venture::loads
