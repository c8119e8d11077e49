#include <venture/input/rings.hpp>

#include <gtest/gtest.h>

namespace venture::input {
namespace {

using Rings = std::vector<std::vector<std::size_t>>;
constexpr std::nullopt_t none = std::nullopt;

TEST(Rings, AreFoundOnceFromTheirFirstOn)
{
    EXPECT_EQ(rings_of({}), Rings{});
    EXPECT_EQ(rings_of({1, 2, none}), Rings{}); // ends
    EXPECT_EQ(rings_of({0}), Rings{{0}});       // itself
    EXPECT_EQ(rings_of({1, 0}), (Rings{{0, 1}}));
    EXPECT_EQ(rings_of({3, 1, 1, 2, 5, 4}), (Rings{{1}, {4, 5}})); // 0 and its like lead into one
    EXPECT_EQ(rings_of({2, 0, 1}), (Rings{{0, 2, 1}}));
}

TEST(Rings, OfAHundredThousandTakeNoDepth)
{
    std::vector<std::optional<std::size_t>> chain(100'000);
    for (std::size_t i = 0; i + 1 < chain.size(); ++i) chain[i] = i + 1;
    EXPECT_TRUE(rings_of(chain).empty());
    chain.back() = 0;
    ASSERT_EQ(rings_of(chain).size(), 1U);
    EXPECT_EQ(rings_of(chain)[0].size(), chain.size());
}

} // namespace
} // namespace venture::input
