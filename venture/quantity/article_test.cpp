#include <venture/quantity/article.hpp>

#include <gtest/gtest.h>

namespace venture::quantity {
namespace {

TEST(Article, GoesByTheFirstLetter)
{
    EXPECT_EQ(with_article("radiator"), "a radiator");
    EXPECT_EQ(with_article("electric heater"), "an electric heater");
    EXPECT_EQ(with_article("air curtain"), "an air curtain");
}

} // namespace
} // namespace venture::quantity
