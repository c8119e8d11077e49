/// What commands print, on pages of several widths, of rooms with whatever names.

#include <gmock/gmock.h>

#include <house_project.hpp>
#include <venture/quantity/names.hpp>
#include <venture/quantity/shown_text.hpp>

namespace venture {
namespace {

using testing::HasSubstr;
using testing::Not;

class Page : public HouseProject, public testing::WithParamInterface<const char*> {
protected:
    [[nodiscard]] Ran run_on(int columns, const std::string& arguments) const
    {
        return run_program(arguments, folder, VENTURE_PROGRAM, columns);
    }
};

/// The longest line, and its width.
std::pair<std::size_t, std::string> widest(const std::string& text)
{
    std::pair<std::size_t, std::string> out;
    for (std::size_t at = 0; at < text.size();) {
        const std::size_t end = std::min(text.find('\n', at), text.size());
        const std::string line = text.substr(at, end - at);
        out = std::max(out, {quantity::display_width(line), line});
        at = end + 1;
    }
    return out;
}

using Pages = Page;

TEST_P(Pages, AreNoWiderThanTheyAre)
{
    for (const int columns : {80, 100, 120}) {
        const Ran ran = run_on(columns, GetParam());
        EXPECT_FALSE(ran.out.empty()) << ran.errors;
        const auto [width, line] = widest(ran.out);
        EXPECT_LE(width, static_cast<std::size_t>(columns)) << line;
    }
}

INSTANTIATE_TEST_SUITE_P(Commands, Pages,
                         testing::Values("check house", "check house --origins", "loads house",
                                         "loads house --room Kitchen", "loads house --model July",
                                         "loads house --model winter --room Kitchen", "size house", "year house",
                                         "climate house", "climate house --day July", "climate house --week coldest",
                                         "climate derive house", "explain height",
                                         "explain house \"cavity wall, filled\"",
                                         "explain house \"double, low-emissivity, argon\"", "library", "--help",
                                         "loads --help", "year house --series list", "pack house -o packed"));

TEST_F(Page, IsAsWideAsItGetsWhenAsked)
{
    EXPECT_THAT(run_on(80, "loads house").out, HasSubstr("Left out for want of room"));
    EXPECT_THAT(run_on(80, "loads house --wide").out, Not(HasSubstr("Left out")));
    EXPECT_EQ(run_on(80, "loads house --wide").out, run_on(2000, "loads house").out);
}

/// Nothing that a name holds acts on a terminal, and every row of a table stands in its columns.
TEST_F(Page, HoldsNamesThatWouldActOnATerminal)
{
    const std::string evil = "=1+1 <b>\\u001B[31m\\tx\\n\\u202E\\u05D0\\u6E29\\\"'";
    std::string text = text_of(folder / "house/project.toml");
    for (std::size_t at = 0; (at = text.find("\"Kitchen\"", at)) != std::string::npos;)
        text.replace(at, std::string{"\"Kitchen\""}.size(), "\"" + evil + "\"");
    std::ofstream{folder / "house/project.toml", std::ios::binary} << text;
    for (const char* command : {"check house", "loads house", "size house", "year house", "check house --origins"}) {
        const Ran ran = run_on(100, command);
        EXPECT_EQ(ran.code, 0) << command << ran.errors;
        for (const std::string& said : {ran.out, ran.errors}) {
            EXPECT_EQ(said, quantity::harmless(said, true)) << command;
            EXPECT_THAT(said, Not(HasSubstr("x\n\u202E"))) << command;
        }
        EXPECT_LE(widest(ran.out).first, 100U) << command;
    }
}

} // namespace
} // namespace venture
