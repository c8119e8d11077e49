#include <venture/quantity/names.hpp>

#include <gtest/gtest.h>

namespace venture::quantity {
namespace {

TEST(Trimmed, TakesBlanksFromBothEndsOnly)
{
    EXPECT_EQ(trimmed("  a b\t\r\n"), "a b");
    EXPECT_EQ(trimmed(" \t "), "");
    EXPECT_EQ(trimmed(""), "");
}

TEST(EditDistance, CountsInsertionsDeletionsChangesAndSwaps)
{
    EXPECT_EQ(edit_distance("", "abc"), 3u);
    EXPECT_EQ(edit_distance("kitten", "sitting"), 3u);
    EXPECT_EQ(edit_distance("hieght", "height"), 1u); // two neighbours swapped
    EXPECT_EQ(edit_distance("same", "same"), 0u);
}

TEST(EditDistance, IsTheSameBothWays)
{
    for (const auto& [a, b] : {std::pair{"heating", "cooling"}, {"u_value", "value"}, {"x", ""}})
        EXPECT_EQ(edit_distance(a, b), edit_distance(b, a));
}

TEST(NearestName, FindsATypoAndIgnoresCase)
{
    const std::vector<std::string> names = {"height", "heating_setpoint", "level"};
    EXPECT_EQ(nearest_name("hieght", names), "height");
    EXPECT_EQ(nearest_name("Level", names), "level");
    EXPECT_EQ(nearest_name("heating_setpiont", names), "heating_setpoint");
}

TEST(NearestName, IsTheOnlyOneWithThatWordInIt)
{
    EXPECT_EQ(nearest_name("flow", std::vector<std::string>{"air_flow", "flowers"}), "air_flow");
    EXPECT_EQ(nearest_name("Hall", std::vector<std::string>{"the great hall of boats", "hallway stair"}),
              "the great hall of boats");
    EXPECT_EQ(nearest_name("flow", std::vector<std::string>{"air_flow_in_summer", "water_flow_at_peak"}), std::nullopt);
}

TEST(NearestName, SaysNothingRatherThanSomethingSilly)
{
    EXPECT_EQ(nearest_name("qqqqqq", std::vector<std::string>{"height", "level"}), std::nullopt);
    EXPECT_EQ(nearest_name("height", std::vector<std::string>{}), std::nullopt);
}

TEST(NearestName, TakesAVeryLongWordWithoutTrouble)
{
    EXPECT_EQ(nearest_name(std::string(100000, 'a'), std::vector<std::string>{"b"}), std::nullopt);
}

TEST(Listed, CutsALongList)
{
    EXPECT_EQ(listed(std::vector<std::string>{"a", "b"}), "a, b");
    EXPECT_EQ(listed(std::vector<std::string>{"a", "b", "c"}, 2), "a, b, ... (3 in all)");
}

TEST(DisplayWidth, CountsLettersNotBytes) { EXPECT_EQ(display_width("caf\xc3\xa9"), 4u); }

TEST(Letters, AreSmallAndWideInEveryAlphabet)
{
    EXPECT_EQ(lower_case("B\u00dcRO \u0391\u03a9 x"), "b\u00fcro \u03b1\u03c9 x");
    EXPECT_EQ(lower_case("A\xff"), "a\xff"); // no UTF-8
    EXPECT_EQ(display_width("B\u00fcro"), 4U);
    EXPECT_EQ(display_width("\u5bdd\u5ba4"), 4U); // two columns each
    EXPECT_EQ(display_width("e\u0301"), 1U);      // an accent over its letter
    EXPECT_EQ(display_width("a\xff"), 2U);
    EXPECT_EQ(nearest_name("B\u00dcRO", std::vector<std::string>{"b\u00fcro", "hall"}), "b\u00fcro");
}

TEST(IsNamedLike, TakesStarsForAnyLetters)
{
    EXPECT_TRUE(is_named_like("Office 12", "Office *"));
    EXPECT_TRUE(is_named_like("Büro ä", "*ä"));
    EXPECT_FALSE(is_named_like("Hall", "Office *"));
    EXPECT_TRUE(is_named_like("Hall [2]?", "Hall [2]?"));
    EXPECT_FALSE(is_named_like("Hall 2", "Hall [2]"));
    EXPECT_FALSE(is_named_like("Hallx", "Hall?"));
}

} // namespace
} // namespace venture::quantity
