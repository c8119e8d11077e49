#include <venture/quantity/origin.hpp>

#include <gtest/gtest.h>

#include <venture/quantity/error.hpp>

namespace venture::quantity {
namespace {

TEST(OriginPool, DescribesWhereAValueCameFrom)
{
    OriginPool pool;
    const auto file = pool.add({OriginKind::file, "project.toml", 12, 5, {}});
    const auto type = pool.add({OriginKind::inherited, "room type 'office'", 0, 0, file});
    const auto assumed = pool.add({OriginKind::default_value, "our assumption", 0, 0, {}});
    const auto change = pool.add({OriginKind::overlay, "room/A/height=5 m", 0, 0, {}});
    EXPECT_EQ(pool.describe(file), "project.toml:12:5");
    EXPECT_EQ(pool.describe(type), "room type 'office' (project.toml:12:5)");
    EXPECT_EQ(pool.describe(assumed), "default: our assumption");
    EXPECT_EQ(pool.describe(change), "--set room/A/height=5 m");
    EXPECT_EQ(pool.describe(OriginId{}), "given in code");
}

TEST(OriginPool, KeepsIdsOfCopiesValid)
{
    OriginPool pool;
    const auto first = pool.add({OriginKind::file, "a.toml", 1, 1, {}});
    OriginPool copy = pool;
    copy.add({OriginKind::file, "b.toml", 2, 2, {}});
    EXPECT_EQ(copy.describe(first), "a.toml:1:1");
}

TEST(Given, IsEmptyUntilGiven)
{
    Given<double> value;
    EXPECT_FALSE(value);
    value = 3.0;
    EXPECT_TRUE(value);
    EXPECT_DOUBLE_EQ(*value, 3.0);
}

TEST(RangeError, CarriesWhatWasRefusedAsFieldsAndInWords)
{
    try {
        check_range("somewhere", "temperature", 61.0, {-45.0, 60.0}, "degC");
        FAIL() << "should have thrown";
    } catch (const RangeError& error) {
        EXPECT_EQ(error.where(), "somewhere");
        EXPECT_EQ(error.name(), "temperature");
        EXPECT_DOUBLE_EQ(error.value(), 61.0);
        EXPECT_DOUBLE_EQ(error.allowed().highest, 60.0);
        EXPECT_EQ(error.unit(), "degC");
        EXPECT_STREQ(error.what(), "somewhere: temperature is 61 degC, allowed -45 to 60 degC");
    }
}

TEST(CheckRange, RefusesWhatIsNoNumber)
{
    EXPECT_THROW(check_range("x", "y", std::numeric_limits<double>::quiet_NaN(), {0.0, 1.0}, ""), RangeError);
    EXPECT_NO_THROW(check_range("x", "y", 1.0, {0.0, 1.0}, ""));
}

TEST(AssertDeathTest, TellsConditionAndPlaceAndEndsTheProgram)
{
    const int one = 1;
    EXPECT_DEATH(VENTURE_ASSERT(one == 2), "Venture has a bug: 'one == 2' does not hold");
}

} // namespace
} // namespace venture::quantity
