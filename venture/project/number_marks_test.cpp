#include <venture/project/number_marks.hpp>

#include <gtest/gtest.h>

namespace venture::project {
namespace {

TEST(NumberMarks, AreSeenWithTheDigitsBehindThem)
{
    const auto number = marked_number("-1,250 mm");
    ASSERT_TRUE(number.has_value());
    EXPECT_EQ(number->mark_at, 2U);
    EXPECT_EQ(number->digits_behind, 3U);
    for (const char* none : {"", "12", "1.", ".5", "1.2.3", "1.2,3", "x1.2", "1,2 3"})
        EXPECT_FALSE(marked_number(none).has_value()) << none;
}

TEST(ThousandsMarks, AreGroupsOfThreeWithPerhapsADecimalMarkAndAUnit)
{
    for (const char* yes :
         {"1,234", "1.234.567", "+12 345", "1'234.5", "1,234.5 kW", "999,999,999", "1,234,5678", "1 234 m3/h"})
        EXPECT_TRUE(has_thousands_marks(yes)) << yes;
    for (const char* no :
         {"", "1234", "1.5", "12,34", "1234,567", "1,2345", "1,234.", "1,234.5.6", "kW", "1,23 4", "1,234,56,7"})
        EXPECT_FALSE(has_thousands_marks(no)) << no;
}

} // namespace
} // namespace venture::project
