#include <venture/project/acceptance.hpp>

#include <gmock/gmock.h>
#include <gtest/gtest.h>

namespace venture::project {
namespace {

using namespace std::string_literals;
using quantity::Problem;
using quantity::Severity;

Problem people_without_air(int people)
{
    return {.severity = Severity::warning,
            .code = "V402",
            .message = "room 'Boat hall' holds " + std::to_string(people) + " people",
            .subject = "room/Boat hall"};
}

input::AcceptedInput accepted(const std::string& mark)
{
    input::AcceptedInput a;
    a.finding = mark;
    a.reason = "open doors in summer"s;
    a.by = "AP"s;
    return a;
}

bool any_code(std::string_view) { return true; }

TEST(Acceptance, MovesAFindingToAListOfItsOwn)
{
    const Problem finding = people_without_air(6);
    EXPECT_THAT(mark_of(finding), testing::MatchesRegex("V402 room/Boat hall [0-9a-f]{8}"));
    const Findings f = part_accepted({finding}, {accepted(mark_of(finding))}, any_code);
    EXPECT_TRUE(f.open.empty());
    ASSERT_EQ(f.accepted.size(), 1u);
    EXPECT_EQ(f.accepted[0].by, "AP");
    EXPECT_EQ(f.accepted[0].reason, "open doors in summer");
}

TEST(Acceptance, EndsWhenTheInputsChange)
{
    const Findings f = part_accepted({people_without_air(7)}, {accepted(mark_of(people_without_air(6)))}, any_code);
    EXPECT_TRUE(f.accepted.empty());
    ASSERT_EQ(f.open.size(), 2u);
    EXPECT_EQ(f.open[1].code, "V411");
    EXPECT_THAT(f.open[1].message, testing::HasSubstr("open again"));
    EXPECT_THAT(f.open[1].hint, testing::HasSubstr(mark_of(people_without_air(7))));
}

TEST(Acceptance, HangsOnInputsAndNotOnWords)
{
    Problem finding = people_without_air(6);
    finding.inputs = "6";
    Problem reworded = finding;
    reworded.message = "six people in the boat hall";
    EXPECT_EQ(mark_of(finding), mark_of(reworded));
    reworded.inputs = "7";
    EXPECT_NE(mark_of(finding), mark_of(reworded));
}

TEST(Acceptance, OfWhatIsGoneIsNoted)
{
    const auto a = accepted(mark_of(people_without_air(6)));
    const Findings f = part_accepted({}, {a}, any_code);
    ASSERT_EQ(f.open.size(), 1u);
    EXPECT_EQ(f.open[0].severity, Severity::note);
    EXPECT_THAT(f.open[0].message, testing::HasSubstr("any more"));
    EXPECT_TRUE(part_accepted({}, {a}, [](std::string_view) { return false; }).open.empty()); // nobody looked
}

TEST(Acceptance, DoesNotCoverErrors)
{
    Problem error = people_without_air(6);
    error.severity = Severity::error;
    const Findings f = part_accepted({error}, {accepted(mark_of(error))}, any_code);
    EXPECT_TRUE(f.accepted.empty());
    EXPECT_TRUE(quantity::has_error(f.open));
}

TEST(Acceptance, NeedsAMarkOfItsForm)
{
    for (const char* wrong :
         {"V402", "", "V402 room/Boat hall", "V402 room/Boat hall 3f9a", "402 x 01234567", "V402 x 0123456g"})
        EXPECT_EQ(wrong_marks({accepted(wrong)}).size(), 1u) << wrong;
    EXPECT_TRUE(wrong_marks({accepted("V402 room/Boat hall 3f9a21c0"), {}}).empty());
}

TEST(Acceptance, CountsOnceForEachFinding)
{
    const Problem finding = people_without_air(6);
    const Findings f = part_accepted({finding, finding}, {accepted(mark_of(finding))}, any_code);
    EXPECT_EQ(f.accepted.size(), 1u);
    EXPECT_EQ(f.open.size(), 1u);
}

} // namespace
} // namespace venture::project
