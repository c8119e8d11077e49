#include <venture/report/key_report.hpp>

#include <gmock/gmock.h>
#include <gtest/gtest.h>

namespace venture::report {
namespace {

using testing::HasSubstr;
using testing::Not;

TEST(ExplainKey, TellsMeaningTypingBoundsAndDefault)
{
    const std::string text = explain_key("room/infiltration").value();
    EXPECT_THAT(text, HasSubstr("room/infiltration, in [[room]]: outdoor air by leakage"));
    EXPECT_THAT(text, HasSubstr("typed as   air change rate in 1/h"));
    EXPECT_THAT(text, HasSubstr("bounds     0 1/h to 50 1/h"));
    EXPECT_THAT(text, HasSubstr("default    0.3 1/h (our assumption)"));
    EXPECT_THAT(text, HasSubstr("write      infiltration = \"NUMBER 1/h\""));
}

TEST(ExplainKey, FindsAKeyInEveryTableThatHasIt)
{
    const std::string text = explain_key("height").value();
    for (const char* table : {"room/height", "room.opening/height", "storey/height", "site/height"})
        EXPECT_THAT(text, HasSubstr(table));
    EXPECT_THAT(explain_key("room.opening/height").value(), Not(HasSubstr("storey/height")));
    EXPECT_EQ(explain_key("room/opening/height"), explain_key("room.opening/height"));
}

TEST(ExplainKey, ListsAWholeTable)
{
    const std::string text = explain_key("plant").value();
    EXPECT_THAT(text, HasSubstr("plant/kind, in [[plant]]"));
    EXPECT_THAT(text, HasSubstr("one of: boiler, chiller"));
    EXPECT_THAT(text, HasSubstr("none: must be given"));
}

TEST(ExplainKey, UsesTheUnitsAskedFor)
{
    EXPECT_THAT(explain_key("site/winter_dry_bulb", quantity::PreferredUnits{"inch-pound"}).value(),
                HasSubstr("bounds     -76 degF to 86 degF"));
}

TEST(ExplainKey, KnowsNothingOfOthers)
{
    EXPECT_FALSE(explain_key("hieght"));
    EXPECT_FALSE(explain_key("room/latitude"));
    EXPECT_FALSE(explain_key(""));
    for (const std::string& name : explainable_keys()) EXPECT_TRUE(explain_key(name)) << name;
}

} // namespace
} // namespace venture::report
