#include <venture/draw/gnuplot.hpp>

#include <filesystem>

#include <gmock/gmock.h>
#include <gtest/gtest.h>

#include <venture/quantity/error.hpp>

namespace venture::draw {
namespace {

using testing::HasSubstr;
using testing::Not;

std::string label_of(const std::string& text)
{
    return run_gnuplot("set label " + quoted_for_gnuplot(text) + " at screen 0.5, screen 0.5 noenhanced\nplot 0\n",
                       Picture::svg, 400, 300);
}

TEST(Gnuplot, DrawsEachKind)
{
    EXPECT_THAT(run_gnuplot("plot 0\n", Picture::svg, 400, 300), testing::StartsWith("<?xml"));
    EXPECT_THAT(run_gnuplot("plot 0\n", Picture::png, 400, 300), testing::StartsWith("\x89PNG"));
    EXPECT_THAT(run_gnuplot("plot 0\n", Picture::pdf, 400, 300), testing::StartsWith("%PDF"));
}

TEST(Gnuplot, PutsNoClockTimeIntoAPdf)
{
    EXPECT_THAT(run_gnuplot("plot 0\n", Picture::pdf, 400, 300), HasSubstr("/CreationDate (D:20000101000000Z"));
}

TEST(Gnuplot, ShowsTextsAsTheyAre)
{
    EXPECT_THAT(label_of("=1+1"), HasSubstr(">=1+1<"));
    EXPECT_THAT(label_of("'quoted' at the start"), HasSubstr("'quoted' at the start"));
    EXPECT_THAT(label_of("M\xc3\xa4rz, 20 \xc2\xb0, 5 %d"), HasSubstr("M\xc3\xa4rz, 20 \xc2\xb0, 5 %d"));
    EXPECT_THAT(label_of("<b>&amp;"), HasSubstr("&lt;b>&amp;amp;"));
    EXPECT_THAT(label_of("a\x1b[31m"), Not(HasSubstr("\x1b")));
    EXPECT_THAT(label_of("a\xf4\x8f\xbf\xbd\x62"), HasSubstr(">a\u25a1b<")); // a letter of no font
}

/// A text that would be a command, in each of the ways in which gnuplot runs some.
TEST(Gnuplot, RunsNothingThatATextSays)
{
    const auto file = std::filesystem::temp_directory_path() / "venture-must-not-exist";
    std::filesystem::remove(file);
    const std::string touch = "touch " + file.string();
    const std::string texts[] = {"`" + touch + "`",
                                 "'; system('" + touch + "')",
                                 "\"; system(\"" + touch + "\") #",
                                 "\\\"\n!" + touch + "\n",
                                 "@touch",
                                 "$(" + touch + ")",
                                 "'''" + touch,
                                 "\\"};
    for (const std::string& text : texts) {
        EXPECT_THAT(label_of(text), HasSubstr("</svg>")) << text;
        EXPECT_FALSE(std::filesystem::exists(file)) << text;
    }
}

TEST(Gnuplot, SaysWhatWasWrongWithACommand)
{
    try {
        (void)run_gnuplot("plot nonsense of mine\n", Picture::svg, 400, 300);
        FAIL();
    } catch (const quantity::Error& e) {
        EXPECT_THAT(e.what(), HasSubstr("charts: gnuplot ended with 1"));
    }
}

} // namespace
} // namespace venture::draw
