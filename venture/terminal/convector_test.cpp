#include <venture/terminal/convector.hpp>

#include <gtest/gtest.h>

#include <venture/terminal/towel_rail.hpp>

namespace venture::terminal {
namespace {

TEST(Convector, StandsInRowsAndATowelRailDoesNot)
{
    EXPECT_TRUE(convector.in_rows);
    EXPECT_FALSE(towel_rail.in_rows);
    for (const rating::Kind* kind : {&convector, &towel_rail}) {
        EXPECT_TRUE(kind->does(rating::Service::heating));
        EXPECT_FALSE(kind->does(rating::Service::cooling));
    }
}

} // namespace
} // namespace venture::terminal
