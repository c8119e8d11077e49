#include <venture/terminal/air_curtain.hpp>

#include <gtest/gtest.h>

#include <venture/rating/verdict.hpp>

namespace venture::terminal {
namespace {

AirCurtainData curtain(double length_m, double reach_m)
{
    AirCurtainData d;
    d.name = std::string{"curtain"};
    d.air_flow = 0.6;
    d.heating = 12e3;
    d.heating_air = 18.0;
    d.heating_supply = 70.0;
    d.heating_return = 50.0;
    d.length = length_m;
    d.reach = reach_m;
    return d;
}

TEST(AirCurtain, IsNoChoiceForADoorWiderOrHigherThanItShields)
{
    using rating::At;
    rating::Asked asked;
    asked.at.set(At::water_supply, 70).set(At::water_return, 50).set(At::entering_dry_bulb, 18).set(At::room, 18);
    asked.duty = {.service = rating::Service::heating, .W = 8e3};
    rating::Wish wish;
    wish.least_length_m = 1.8;
    wish.least_reach_m = 2.2;
    const auto fails = [&](double length_m, double reach_m) {
        const std::vector<std::shared_ptr<const rating::Product>> one = {
            std::make_shared<AirCurtain>(curtain(length_m, reach_m), "")};
        return rating::verdicts(one, wish, asked).front();
    };
    EXPECT_EQ(fails(2.0, 2.5).fails, rating::Fails::nothing);
    EXPECT_EQ(in_words(fails(1.5, 2.5)), "1500 mm length, at least 1800 mm");
    EXPECT_EQ(in_words(fails(2.0, 2.0)), "2000 mm height of doors, at least 2200 mm");
}

} // namespace
} // namespace venture::terminal
