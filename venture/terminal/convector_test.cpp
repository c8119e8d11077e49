#include <venture/terminal/convector.hpp>

#include <gtest/gtest.h>

#include <venture/terminal/towel_rail.hpp>

namespace venture::terminal {
namespace {

TEST(Convector, StandsUnderWindowsAndATowelRailAlongWalls)
{
    EXPECT_EQ(convector.along, rating::Along::windows);
    EXPECT_EQ(towel_rail.along, rating::Along::walls);
    for (const rating::Kind* kind : {&convector, &towel_rail}) {
        EXPECT_TRUE(kind->does(rating::Service::heating));
        EXPECT_FALSE(kind->does(rating::Service::cooling));
    }
}

} // namespace
} // namespace venture::terminal
