#include <venture/quantity/unknown_name.hpp>

#include <gmock/gmock.h>
#include <gtest/gtest.h>

namespace venture::quantity {
namespace {

std::string hint(std::string_view typed, std::vector<std::string> own, std::vector<std::string> shipped = {})
{
    return unknown_name("build-up", typed, {}, own, shipped).hint;
}

TEST(UnknownName, IsMostLikelyOneThatHoldsAllOfIt)
{
    EXPECT_EQ(hint("double, clear", {}, {"single, clear", "double, clear, air"}), "did you mean 'double, clear, air'?");
    EXPECT_EQ(hint("wall", {"inner wall", "outer wall"}), "did you mean inner wall, outer wall?");
}

TEST(UnknownName, ElseOneThatIsSpeltNearlySo)
{
    EXPECT_EQ(hint("outre wall", {"outer wall", "inner wall"}), "did you mean 'outer wall'?");
}

TEST(UnknownName, ElseThoseThatShareMostWordsWithIt)
{
    EXPECT_EQ(hint("timber frame, 140 mm", {},
                   {"timber floor between storeys", "timber frame wall, brick clad", "timber frame wall, timber clad"}),
              "did you mean timber frame wall, brick clad, timber frame wall, timber clad?");
}

TEST(UnknownName, ElseThoseThatThereAre)
{
    EXPECT_EQ(hint("xyz", {"roof"}), "there are: roof");
    EXPECT_EQ(hint("xyz", {"roof"}, {"solid"}),
              "there are: roof; `venture library` lists those that ship, such as solid");
    EXPECT_EQ(hint("xyz", {}, {"solid"}),
              "the project has none of its own; that ship: solid (`venture library` lists them)");
    EXPECT_EQ(hint("xyz", {}), "there is no build-up at all: add one, or leave the name out");
}

} // namespace
} // namespace venture::quantity
