#include <venture/study/tag_rule.hpp>

#include <gmock/gmock.h>

namespace venture::study {
namespace {

Tagged told(const input::TagsInput& said, const std::string& storey)
{
    quantity::Problems problems;
    Tagged thing{.kind = "radiator", .place = "Office"};
    TagRule{said, problems}.say_to(thing, "radiator", "RAD", storey);
    EXPECT_TRUE(problems.empty());
    return thing;
}

TEST(TagRule, IsPrefixStoreyAndNumberUnlessTyped)
{
    EXPECT_EQ(told({}, "1").before, "RAD-1-");
    EXPECT_EQ(told({}, "").before, "RAD-");
    EXPECT_EQ(told({}, "1").after, "");
}

TEST(TagRule, FollowsWhatIsTyped)
{
    input::TagsInput said;
    said.rule = std::string{"{storey}.{number}/{prefix} {place}"};
    said.digits = 3;
    input::TagPrefixInput hk;
    hk.kind = std::string{"radiator"};
    hk.prefix = std::string{"HK"};
    said.prefixes.push_back(hk);
    const Tagged thing = told(said, "B1");
    EXPECT_EQ(thing.before, "B1.");
    EXPECT_EQ(thing.after, "/HK Office");
    Tags tags;
    EXPECT_THAT(tags.give_to({thing, thing}), testing::ElementsAre("B1.001/HK Office", "B1.002/HK Office"));
}

TEST(TagRule, RefusesWhatGivesNoTags)
{
    for (const char* rule : {"{prefix}", "{number}{number}", "{prefix}-{nummer}-{number}", "{number"}) {
        input::TagsInput said;
        said.rule = std::string{rule};
        quantity::Problems problems;
        const TagRule read{said, problems};
        EXPECT_FALSE(problems.empty()) << rule;
    }
}

} // namespace
} // namespace venture::study
