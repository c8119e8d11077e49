#include <cmath>
#include <random>

#include <gmock/gmock.h>
#include <gtest/gtest.h>

#include <venture/plan/polygon.hpp>
#include <venture/plan/walk.hpp>

namespace venture::plan {
namespace {

Walk walk(const char* text)
{
    const auto read = read_walk(text);
    if (const auto* problem = std::get_if<WalkProblem>(&read)) {
        ADD_FAILURE() << problem->message;
        return {};
    }
    return std::get<Walk>(read);
}

std::string problem(const char* text)
{
    const auto read = read_walk(text);
    const auto* wrong = std::get_if<WalkProblem>(&read);
    return wrong != nullptr ? wrong->message : std::string{};
}

double area_m2_of(const Walk& w)
{
    Ring ring;
    for (const quantity::Point p : w.corners_m) ring.push_back({to_grid(p.x_m), to_grid(p.y_m)});
    return area_m2(ring);
}

TEST(Walk, RoundALShapeEnclosesWhatAHandSumSays)
{
    const Walk l = walk("east 5.2, left 3, left 2.4, right 0.8, left 2.8, left 3.8");
    EXPECT_EQ(l.corners_m.size(), 6u);
    EXPECT_NEAR(area_m2_of(l), 5.2 * 3.0 + 2.8 * 0.8, 1e-9);
    EXPECT_NEAR(l.missed_m, 0.0, 1e-12);
    EXPECT_TRUE(l.square);
}

TEST(Walk, ClosesItselfWhereTheLastSideIsLeftOut)
{
    const Walk l = walk("east 5.2, left 3, left 2.4, right 0.8, left 2.8");
    EXPECT_EQ(l.corners_m.size(), 6u);
    EXPECT_NEAR(area_m2_of(l), 5.2 * 3.0 + 2.8 * 0.8, 1e-9);
    EXPECT_NEAR(l.closing_side_m, 3.8, 1e-12);
    EXPECT_TRUE(l.closes_square);
}

TEST(Walk, MaySayTheCompassOrTheTurn)
{
    const Walk by_compass = walk("east 4, north 3, west 4, south 3"),
               clockwise = walk("North 3 m, right 400 cm, right 3");
    EXPECT_NEAR(area_m2_of(by_compass), 12.0, 1e-9);
    EXPECT_NEAR(area_m2_of(clockwise), -12.0, 1e-9);
}

TEST(Walk, TakesAnglesAndUnits)
{
    // a bay: 3 m wall, corner cut off at 45 degrees over 1 m each way
    const Walk bay = walk("east 3, left 2, left 45 deg 1.41421356, left 45 deg 2");
    EXPECT_NEAR(area_m2_of(bay), 9.0 - 0.5, 1e-6);
    EXPECT_FALSE(bay.square);
    EXPECT_NEAR(area_m2_of(walk("east 10 ft, left 10 ft, left 10 ft")), 9.290304, 1e-4);
}

/// 20 mm too short to the west: shared out over the two sides that go east and west, by their lengths.
TEST(Walk, SharesOutWhatItMissesAndKeepsRightAngles)
{
    const Walk w = walk("east 5.00, left 4.00, left 4.98, left 4.00");
    EXPECT_NEAR(w.missed_m, 0.020, 1e-12);
    EXPECT_NEAR(area_m2_of(w), (5.0 - 0.02 * 5.0 / 9.98) * 4.0, 1e-4);
    for (std::size_t i = 0; i < 4; ++i) {
        const auto a = w.corners_m[i], b = w.corners_m[(i + 1) % 4];
        EXPECT_TRUE(std::abs(a.x_m - b.x_m) < 1e-12 || std::abs(a.y_m - b.y_m) < 1e-12);
    }
}

TEST(Walk, SaysWhereTheSideThatClosesItIsNotSquare)
{
    const Walk w = walk("east 5, left 4, left 4.5"); // half a metre too short
    EXPECT_FALSE(w.closes_square);
    EXPECT_NEAR(w.closing_side_m, std::hypot(0.5, 4.0), 1e-12);
}

/// Words of walks in any order: read or refused, and what is read is finite.
TEST(Walk, OfAnyWordsIsReadOrRefused)
{
    const char* words[] = {"east", "left", "right", "North", "45",  "deg", "3.2",     "m",
                           "cm",   ",",    "-1",    "1e9",   "nan", "",    "\xc3\xa9"};
    std::mt19937 random{5};
    int walks = 0;
    for (int i = 0; i < 20000; ++i) {
        std::string text = random() % 2 == 0 ? "east 4, left 3, " : "";
        for (auto n = random() % 12; n > 0; --n) text += std::string{words[random() % std::size(words)]} + " ";
        const auto read = read_walk(text);
        if (const auto* wrong = std::get_if<WalkProblem>(&read)) {
            EXPECT_FALSE(wrong->message.empty());
            continue;
        }
        ++walks;
        for (const quantity::Point p : std::get<Walk>(read).corners_m)
            EXPECT_TRUE(std::isfinite(p.x_m) && std::isfinite(p.y_m)) << text;
    }
    EXPECT_GT(walks, 10);
}

TEST(Walk, ThatIsNoneIsToldWithTheSideThatIsWrong)
{
    EXPECT_THAT(problem("east 5, upwards 3"), testing::HasSubstr("'upwards 3' is no side"));
    EXPECT_THAT(problem("left 5, left 3"), testing::HasSubstr("the first side says where it goes"));
    EXPECT_THAT(problem("east 5, left"), testing::HasSubstr("is no length above 0"));
    EXPECT_THAT(problem("east 5, left -3"), testing::HasSubstr("is no length above 0"));
    EXPECT_THAT(problem("east nan, left 3"), testing::HasSubstr("is no length above 0"));
    EXPECT_THAT(problem("east 1e300, left 3"), testing::HasSubstr("is no length above 0"));
    EXPECT_THAT(problem("east 5, left 200 deg 3"), testing::HasSubstr("between 0 and 180"));
    EXPECT_THAT(problem("east 5, west 3"), testing::HasSubstr("goes back along the side before it"));
    EXPECT_THAT(problem("east 5, east 3"), testing::HasSubstr("on the way of the side before it"));
    EXPECT_THAT(problem("east 5"), testing::HasSubstr("at least two sides"));
    EXPECT_THAT(problem(""), testing::HasSubstr("at least two sides"));
}

} // namespace
} // namespace venture::plan
