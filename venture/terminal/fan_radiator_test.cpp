#include <venture/terminal/fan_radiator.hpp>

#include <gtest/gtest.h>

namespace venture::terminal {
namespace {

using rating::At;
using rating::Service;

FanRadiatorData low()
{
    FanRadiatorData d;
    d.name = std::string{"breeze"};
    d.height = 0.5;
    d.length = 1.0;
    d.output = 1400.0;
    d.exponent = 1.05;
    d.speed = std::string{"low"};
    d.fan_power = 8.0;
    d.sound = 32.0;
    return d;
}

TEST(FanRadiator, AddsTheHeatOfItsFansAndTellsWhatTheyTake)
{
    const auto at = rating::Conditions{}.set(At::water_supply, 75).set(At::water_return, 65).set(At::room, 20);
    const FanRadiator product{low(), ""};
    const auto out = std::get<rating::Output>(product.rate(at));
    EXPECT_NEAR(out.gives_W[Service::heating], 1408.0, 2.0);
    EXPECT_EQ(out.electric_W, 8.0);
    EXPECT_EQ(out.sound_power_dBA, 32.0);
    EXPECT_NEAR(out.taken_from_water_W(Service::heating), 1400.0, 2.0);
    EXPECT_EQ(product.name(), "breeze at low");
}

TEST(FanRadiator, ThrottledGivesWhatIsAskedWithLessWater)
{
    const auto at = rating::Conditions{}.set(At::water_supply, 55).set(At::water_return, 45).set(At::room, 20);
    const FanRadiator product{low(), ""};
    const auto full = std::get<rating::Output>(product.rate(at));
    const auto part = product.giving(at, 0.6 * full.gives_W[Service::heating]);
    ASSERT_TRUE(part);
    EXPECT_NEAR(part->gives_W[Service::heating], 0.6 * full.gives_W[Service::heating], 1e-9);
    EXPECT_LT(part->water_kg_per_s, 0.6 * full.water_kg_per_s);
    EXPECT_FALSE(product.giving(at, 5.0)); // less than its fans give
}

} // namespace
} // namespace venture::terminal
