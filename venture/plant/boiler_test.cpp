#include <venture/plant/boiler.hpp>

#include <gtest/gtest.h>

namespace venture::plant {
namespace {

using rating::At;

TEST(Boiler, GivesItsOutputUpToItsHottestWater)
{
    BoilerData d;
    d.name = std::string{"ten"};
    d.output = 10e3;
    d.highest_supply = 80.0;
    const Boiler boiler{d, "boilers.toml:4"};
    const auto at = [](double supply_C) { return rating::Conditions{}.set(At::water_supply, supply_C); };
    EXPECT_DOUBLE_EQ(std::get<rating::Output>(boiler.rate(at(80.0))).gives_W[rating::Service::heating], 10e3);
    const auto refused = std::get<rating::Refusal>(boiler.rate(at(81.0)));
    EXPECT_EQ(refused.what, At::water_supply);
    EXPECT_DOUBLE_EQ(refused.allowed.highest, 80.0);
    EXPECT_EQ(boiler.from(), "boilers.toml:4");
}

} // namespace
} // namespace venture::plant
