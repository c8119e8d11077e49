#include <venture/loads/room_heat_loss.hpp>

#include <gtest/gtest.h>

#include <venture/quantity/error.hpp>

namespace venture::loads {
namespace {

RoomOnPaper room()
{
    return {.inside_C = 20.0,
            .outside_C = -10.0,
            .yearly_mean_C = 10.0,
            .floor_area_m2 = 20.0,
            .volume_m3 = 50.0,
            .elements = {{"wall", 10.0, 0.25, ToOutdoors{0.05}},
                         {"to store", 8.0, 1.0, ToUnheated{0.5}},
                         {"to bath", 6.0, 1.5, ToHeated{24.0}},
                         {"floor", 20.0, 0.2, ToGround{1.15}}},
            .air = NaturalAir{0.5, 30.0},
            .heating_up_W_per_m2 = 10.0};
}

TEST(RoomHeatLoss, IsTheSumThatOneCanDoByHand)
{
    const RoomHeatLoss r = room_heat_loss(room());
    EXPECT_NEAR(r.elements[0].loss_W, 10 * 0.30 * 30, 1e-9);
    EXPECT_NEAR(r.elements[1].loss_W, 8 * 0.5 * 30, 1e-9);
    EXPECT_NEAR(r.elements[2].loss_W, 6 * 1.5 * -4, 1e-9); // the bath warms it
    EXPECT_NEAR(r.elements[3].loss_W, 1.45 * 1.15 * 20 * 0.2 * 10, 1e-9);
    EXPECT_NEAR(r.ventilation_W, 0.34 * 30 * 30, 1e-9); // leaks bring more than half a change
    EXPECT_NEAR(r.total_W(), 90 + 120 - 36 + 66.7 + 306 + 200, 1e-9);
}

TEST(RoomHeatLoss, WarmsWhatFansSupplyAfterItsRecovery)
{
    RoomOnPaper r = room();
    r.air = BalancedAir{5.0, 60.0, 80.0, 0.8, 20.0};
    EXPECT_NEAR(room_heat_loss(r).ventilation_W, 0.34 * (25.0 * 30.0 + 60.0 * 6.0), 1e-9);
    EXPECT_NEAR(room_heat_loss(r).outdoor_air_m3_per_h, 85.0, 1e-9);
    r.air = BalancedAir{5.0, 60.0, 60.0, 1.0, 20.0};
    EXPECT_NEAR(room_heat_loss(r).ventilation_W, 0.34 * 5.0 * 30.0, 1e-9);
}

TEST(RoomHeatLoss, RefusesWhatIsNone)
{
    const auto refuses = [](auto change) {
        RoomOnPaper r = room();
        change(r);
        EXPECT_THROW((void)room_heat_loss(r), quantity::RangeError);
    };
    refuses([](RoomOnPaper& r) { r.outside_C = 20.0; });
    refuses([](RoomOnPaper& r) { r.elements[0].area_m2 = -1.0; });
    refuses([](RoomOnPaper& r) { r.elements[0].u_W_per_m2K = 30.0; });
    refuses([](RoomOnPaper& r) { r.elements[1].to = ToUnheated{1.2}; });
    refuses([](RoomOnPaper& r) { r.air = BalancedAir{0.0, 10.0, 10.0, 1.2, 20.0}; });
}

} // namespace
} // namespace venture::loads
