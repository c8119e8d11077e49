#include <venture/terminal/fewest_types.hpp>

#include <gtest/gtest.h>

namespace venture::terminal {
namespace {

using Given = std::vector<std::size_t>;

TEST(FewestTypes, TakesTheOneThatServesMostFirst)
{
    // The second serves three of four; the last place needs the first.
    EXPECT_EQ(fewest_types({{true, true}, {false, true}, {false, true}, {true, false}}), (Given{1, 1, 1, 0}));
}

TEST(FewestTypes, LeaveAPlaceWhereNoneSuffices)
{
    EXPECT_EQ(fewest_types({{false, false}, {false, true}}), (Given{2, 1}));
    EXPECT_TRUE(fewest_types({}).empty());
}

} // namespace
} // namespace venture::terminal
