#include <venture/terminal/primary_air.hpp>

#include <gtest/gtest.h>

namespace venture::terminal {
namespace {

using rating::Service;

loads::RoomLoad office()
{
    loads::RoomLoad load;
    load.heated = load.cooled = true;
    load.heating_W = 900.0;
    load.heating_room_C = 21.0;
    load.cooling_sensible_W = load.cooling_sensible_peak_W = 1800.0;
    load.cooling_latent_W = 300.0;
    load.cooling_W = 2100.0;
    load.cooling_air_C = 25.0;
    load.cooling_humidity_ratio = 0.0099;
    return load;
}

PrimaryAir air() { return {.flow_m3_per_s = 0.03, .heating_C = 16.0, .cooling_C = 18.0, .cooling_humidity = 0.008}; }

/// 0.03 m3/s at 18 degC and 8 g/kg are 0.03 / 0.8354 = 0.03591 kg/s; times 1006 + 0.008 * 1860 and 7 K: 256.6 W.
TEST(PrimaryAir, TakesItsCoolingOffWhatUnitsMustGive)
{
    const PrimaryAir::Part part = air().part(Service::cooling, office(), 101325.0);
    EXPECT_NEAR(part.sensible_W, -256.6, 0.5);
    EXPECT_NEAR(part.latent_W, -0.03591 * (0.0099 - 0.008) * (2501e3 + 1860.0 * 25.0), 1.0);
}

TEST(PrimaryAir, AddsWhatMustWarmItToTheRoom)
{
    const PrimaryAir::Part part = air().part(Service::heating, office(), 101325.0);
    EXPECT_NEAR(part.sensible_W, 0.03 * 101325.0 / (287.04 * 289.15) * 1006.0 * 5.0, 1.0);
    EXPECT_EQ(part.latent_W, 0.0);
}

TEST(PrimaryAir, CountsOnceAndNeverBelowNothing)
{
    loads::RoomLoads all;
    all.rooms = {office(), office()};
    all.rooms[1].cooling_sensible_W = all.rooms[1].cooling_sensible_peak_W = 100.0;
    const loads::RoomLoads with = with_primary_air(all, {air(), air()});
    EXPECT_NEAR(with.rooms[0].cooling_sensible_W, 1800.0 - 256.6, 0.5);
    EXPECT_NEAR(with.rooms[0].cooling_W, with.rooms[0].cooling_sensible_W + with.rooms[0].cooling_latent_W, 1e-9);
    EXPECT_EQ(with.rooms[1].cooling_sensible_W, 0.0);
    EXPECT_GT(with.rooms[0].heating_W, 900.0);
}

TEST(PrimaryAir, DoesNotComeInASeasonThatNobodySpeaksOf)
{
    PrimaryAir summer = air();
    summer.heating_C = std::nullopt;
    EXPECT_EQ(summer.part(Service::heating, office(), 101325.0).sensible_W, 0.0);
    rating::Conditions at;
    summer.through_units = true;
    summer.say_to(at, Service::heating, office(), 101325.0);
    EXPECT_FALSE(at.has(rating::At::primary_flow));
    summer.say_to(at, Service::cooling, office(), 101325.0);
    EXPECT_NEAR(at[rating::At::primary_flow], 0.0359, 1e-4);
}

} // namespace
} // namespace venture::terminal
