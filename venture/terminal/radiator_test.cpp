#include <venture/terminal/radiator.hpp>

#include <gtest/gtest.h>

namespace venture::terminal {
namespace {

using rating::At;
using rating::Service;

Radiator one_kilowatt()
{
    RadiatorData d;
    d.name = std::string{"r"};
    d.height = 0.6;
    d.length = 1.0;
    d.output = 1000.0;
    d.exponent = 1.3;
    return {d, ""};
}

rating::Conditions at(double supply_C, double return_C, double room_C)
{
    return rating::Conditions{}.set(At::water_supply, supply_C).set(At::water_return, return_C).set(At::room, room_C);
}

TEST(Radiator, FollowsItsOwnLaw)
{
    const auto out = std::get<rating::Output>(one_kilowatt().rate(at(75, 65, 20)));
    EXPECT_NEAR(out.gives_W[Service::heating], 1000.0, 1e-9);
    EXPECT_NEAR(out.water_kg_per_s, 1000.0 / (4186.0 * 10.0), 1e-9);
}

TEST(Radiator, RefusesWaterThatIsNoWarmerThanTheRoom)
{
    const auto refused = std::get<rating::Refusal>(one_kilowatt().rate(at(25, 20, 20)));
    EXPECT_EQ(refused.why, rating::Refusal::Why::no_difference);
    EXPECT_EQ(refused.what, At::water_return);
    EXPECT_EQ(std::get<rating::Refusal>(one_kilowatt().rate(at(40, 45, 20))).what, At::water_supply);
}

} // namespace
} // namespace venture::terminal
