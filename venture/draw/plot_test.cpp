#include <venture/draw/plot.hpp>

#include <gmock/gmock.h>
#include <gtest/gtest.h>

namespace venture::draw {
namespace {

using testing::HasSubstr;
using testing::Not;

const Frame frame{.left = 50.0, .top = 50.0, .width = 500.0, .height = 300.0, .x1 = 10.0, .y1 = 100.0};

std::string drawn(const Plot& plot)
{
    PlotSheet sheet{640.0, 480.0};
    sheet.add(plot);
    return sheet.drawn(Picture::svg);
}

TEST(Plot, BearsHavingNothingInIt) { EXPECT_THAT(drawn(Plot{frame, ""}), HasSubstr("</svg>")); }

TEST(Plot, ShowsItsTitleAndTicks)
{
    Plot plot{frame, "Shares <b>"};
    plot.x_ticks({{5.0, "noon"}});
    plot.y_ticks({{50.0, "50 %"}});
    EXPECT_THAT(drawn(plot), AllOf(HasSubstr("Shares &lt;b>"), HasSubstr(">noon<"), HasSubstr(">50 %<")));
}

TEST(Plot, CountsValuesUpwardsWithinItsFrame)
{
    Plot plot{frame, ""};
    plot.boxes({{0.0, 10.0, 0.0, 100.0}}, {{1.0, 0.0, 0.0}, 0, 0.0});
    EXPECT_THAT(drawn(plot), HasSubstr("points = '50.00,350.00 550.00,350.00 550.00,50.00 50.00,50.00 '"));
}

TEST(Plot, DashesAreAsLongInEachWidthOfALine)
{
    Plot plot{frame, ""};
    for (const double width : {1.0, 4.0}) plot.curve({{0.0, 0.0}, {10.0, 50.0}}, {{}, width, {8.0, 6.0}});
    const std::string svg = drawn(plot);
    EXPECT_THAT(svg, HasSubstr("stroke-dasharray='8.0,6.0'"));
    EXPECT_THAT(svg, Not(HasSubstr("stroke-dasharray='32")));
}

TEST(Plot, LeavesScalesOutWhereValuesArePlaces)
{
    Plot plot{frame, ""};
    plot.bare();
    EXPECT_THAT(drawn(plot), Not(HasSubstr("<text>")));
}

TEST(Fitted, EndsWithDotsWhereATextIsTooLong)
{
    const Letters letters{10.0};
    EXPECT_EQ(fitted("short", letters, 200.0), "short");
    const std::string cut = fitted("M\xc3\xa4rz M\xc3\xa4rz M\xc3\xa4rz M\xc3\xa4rz", letters, 60.0);
    EXPECT_THAT(cut, testing::EndsWith("..."));
    EXPECT_LE(likely_width(cut, letters), 60.0);
    for (double width = 0.0; width < 60.0; width += 3.0) // never within a letter
        EXPECT_THAT(
            fitted("\xc3\xa4\xc3\xa4\xc3\xa4\xc3\xa4\xc3\xa4\xc3\xa4\xc3\xa4\xc3\xa4\xc3\xa4\xc3\xa4", letters, width),
            testing::MatchesRegex("(\xc3\xa4)*(\\.\\.\\.)?"));
}

TEST(PlotSheet, IsTheSameBytesTwiceInEveryKind)
{
    for (const Picture kind : {Picture::svg, Picture::png, Picture::pdf}) {
        PlotSheet sheet{640.0, 480.0};
        sheet.text({20.0, 20.0}, "a text", {14.0, true});
        sheet.line({20.0, 30.0}, {100.0, 30.0}, {ink, 1.0, {4.0, 4.0}});
        sheet.stamp({600.0, 30.0}, "made up");
        sheet.add(Plot{frame, "a plot"});
        EXPECT_EQ(sheet.drawn(kind), sheet.drawn(kind));
    }
}

} // namespace
} // namespace venture::draw
