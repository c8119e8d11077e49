/// Tags stay with what they were given to.

#include <venture/study/tags.hpp>

#include <gtest/gtest.h>

namespace venture::study {
namespace {

Tagged radiator(const char* room, const char* where = "", const char* before = "RAD-0-")
{
    return {"radiator", room, where, before};
}

using Given = std::vector<std::string>;

TEST(Tags, AreCountedByPrefix)
{
    Tags tags;
    EXPECT_EQ(tags.give_to({radiator("A"), radiator("A"), radiator("B", "", "RAD-1-"), {"fan coil", "A", "", "FC-0-"}}),
              (Given{"RAD-0-01", "RAD-0-02", "RAD-1-01", "FC-0-01"}));
}

TEST(Tags, SurviveARoomInTheMiddle)
{
    Tags tags;
    const Given before = tags.give_to({radiator("A"), radiator("C")});
    const Given after = tags.give_to({radiator("A"), radiator("B"), radiator("C")});
    EXPECT_EQ(after, (Given{before[0], "RAD-0-03", before[1]}));
}

TEST(Tags, SurviveAStoreyOfAnotherName)
{
    Tags tags;
    const Given before = tags.give_to({radiator("A"), radiator("B")});
    EXPECT_EQ(tags.give_to({radiator("A", "", "RAD-7"), radiator("B", "", "RAD-7")}), before);
}

TEST(Tags, SurviveAMoveWithinTheRoom)
{
    Tags tags;
    const Given before = tags.give_to({radiator("A", "north"), radiator("A", "south")});
    EXPECT_EQ(tags.give_to({radiator("A", "south"), radiator("A", "north")}), (Given{before[1], before[0]}));
    EXPECT_EQ(tags.give_to({radiator("A", "south"), radiator("A", "west")}), (Given{before[1], before[0]}));
    EXPECT_EQ(tags.issued[0].where, "west");
}

TEST(Tags, AreNeverGivenAgain)
{
    Tags tags;
    (void)tags.give_to({radiator("A"), radiator("B")});
    EXPECT_EQ(tags.give_to({radiator("A")}), Given{"RAD-0-01"});
    EXPECT_TRUE(tags.issued[1].gone);
    EXPECT_EQ(tags.give_to({radiator("A"), radiator("C")}), (Given{"RAD-0-01", "RAD-0-03"}));
    // What has come back has its own again.
    EXPECT_EQ(tags.give_to({radiator("A"), radiator("B"), radiator("C")}), (Given{"RAD-0-01", "RAD-0-02", "RAD-0-03"}));
    EXPECT_FALSE(tags.issued[1].gone);
}

TEST(Tags, OfOnesOwnAreKept)
{
    Tags tags;
    tags.issued.push_back({.tag = "HEATER BY THE DOOR", .kind = "radiator", .place = "A"});
    tags.issued.push_back({.tag = "RAD-0-40", .kind = "radiator", .place = "B"});
    EXPECT_EQ(tags.give_to({radiator("A"), radiator("B"), radiator("C")}),
              (Given{"HEATER BY THE DOOR", "RAD-0-40", "RAD-0-41"}));
}

} // namespace
} // namespace venture::study
