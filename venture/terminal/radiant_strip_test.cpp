#include <venture/terminal/radiant_strip.hpp>

#include <cmath>

#include <gtest/gtest.h>

namespace venture::terminal {
namespace {

using rating::At;

RadiantStripData strip()
{
    RadiantStripData d;
    d.name = std::string{"strip"};
    d.length = 6.0;
    d.width = 0.6;
    d.output = 2000.0;
    d.exponent = 1.18;
    return d;
}

TEST(RadiantStrip, GivesItsOutputAtFiftyFiveKelvin)
{
    // A logarithmic mean of 55 K: supply and return as far above and below as makes no difference.
    const RadiantStrip product{strip(), ""};
    const auto at =
        rating::Conditions{}.set(At::water_supply, 75.0 + 1e-4).set(At::water_return, 75.0).set(At::room, 20.0);
    EXPECT_NEAR(std::get<rating::Output>(product.rate(at)).gives_W[rating::Service::heating], 2000.0, 0.01);
}

TEST(RadiantStrip, FollowsItsExponent)
{
    const RadiantStrip product{strip(), ""};
    const auto at =
        rating::Conditions{}.set(At::water_supply, 47.5 + 1e-4).set(At::water_return, 47.5).set(At::room, 20.0);
    EXPECT_NEAR(std::get<rating::Output>(product.rate(at)).gives_W[rating::Service::heating],
                2000.0 * std::pow(0.5, 1.18), 0.01);
}

TEST(RadiantStrip, HasAPlausibleSize)
{
    RadiantStripData d = strip();
    d.output = 2.0; // kilowatts, typed as watts
    EXPECT_THROW((RadiantStrip{d, ""}), quantity::Error);
}

} // namespace
} // namespace venture::terminal
