#include <venture/project/diagnostics.hpp>

#include <gmock/gmock.h>
#include <gtest/gtest.h>

namespace venture::project {
namespace {

using quantity::OriginKind;
using quantity::Problem;
using quantity::Severity;

struct Told {
    quantity::OriginPool origins{};
    Sources sources{};
    std::vector<Problem> problems{};

    Told()
    {
        sources.add({.name = "project.toml", .text = "one\ntwo\nthree\n"}, "");
        sources.add({.name = "a.toml", .text = "ein \u00fc\nzwei\n"}, "");
    }
    void add(const char* file, std::uint32_t line, std::uint32_t column, std::string message, std::string cause = {})
    {
        const auto where = origins.add({OriginKind::file, file, line, column, {}});
        problems.push_back({.code = "V104", .where = where, .message = std::move(message), .cause = std::move(cause)});
    }
    [[nodiscard]] std::vector<ProblemGroup> groups() const { return grouped(problems, origins, sources); }
    [[nodiscard]] std::string words() const { return in_words(groups().front(), origins, sources); }
};

TEST(Grouped, StandInTheOrderInWhichFilesWereRead)
{
    Told t;
    t.add("a.toml", 1, 1, "c");
    t.problems.push_back({.code = "V408", .message = "d"});
    t.add("project.toml", 3, 1, "b");
    t.add("project.toml", 1, 1, "a");
    std::string order;
    for (const ProblemGroup& g : t.groups()) order += g.problems.front().message;
    EXPECT_EQ(order, "abcd"); // what has no place comes last
}

TEST(Grouped, PutTheSameMistakeIntoOneEntry)
{
    Told t;
    t.add("a.toml", 2, 1, "unknown key 'hieght'");
    for (std::uint32_t line = 1; line <= 3; ++line) t.add("project.toml", line, 1, "unknown key 'hieght'");
    t.add("project.toml", 2, 1, "[room] 'A' has no 'size'", "no size");
    t.add("project.toml", 3, 2, "[room] 'B' has no 'size'", "no size");
    const auto groups = t.groups();
    ASSERT_EQ(groups.size(), 2u);
    EXPECT_EQ(groups[0].problems.size(), 4u);
    EXPECT_THAT(t.words(), testing::HasSubstr("the same 3 times more: project.toml:2:1, project.toml:3:1, a.toml:2:1"));
}

TEST(Grouped, NamesTheFirstPlacesOfMany)
{
    Told t;
    for (std::uint32_t i = 0; i < 50; ++i) t.add("project.toml", 1 + i, 1, "x");
    EXPECT_THAT(t.words(), testing::HasSubstr("the same 49 times more: "));
    EXPECT_THAT(t.words(), testing::HasSubstr(" and 41 more\n"));
}

TEST(InWords, PutsTheCaretUnderTheLetterAndNotUnderTheByte)
{
    Told t;
    t.add("a.toml", 1, 5, "x");
    EXPECT_EQ(t.words(), "a.toml:1:5: error V104: x\n    ein \u00fc\n        ^\n");
}

TEST(InWords, CutsALongLineAroundTheCaret)
{
    Told t;
    t.sources.add({.name = "long.toml", .text = std::string(300, 'a') + "B" + std::string(300, 'c')}, "");
    t.add("long.toml", 1, 301, "x");
    const std::string words = t.words();
    const auto line = words.find("    ..."), caret = words.find('^');
    ASSERT_NE(line, std::string::npos);
    const auto caret_line = words.rfind('\n', caret) + 1;
    EXPECT_EQ(words[line + (caret - caret_line)], 'B');
    EXPECT_LT(words.find('\n', line) - line, 120u);
}

TEST(InWords, LetsNoControlCharactersThrough)
{
    Told t;
    t.sources.add({.name = "evil.toml", .text = "a\x1b[2Jb\n"}, "");
    t.add("evil.toml", 1, 2, "name '\x1b[31m'");
    EXPECT_EQ(t.words().find('\x1b'), std::string::npos);
    EXPECT_NE(in_words(t.groups().front(), t.origins, t.sources, {.colour = Colour::terminal}).find("\x1b[1;31merror\x1b[0m"),
              std::string::npos); // but for our own colours, where they are wanted
}

TEST(InWords, TellsAPlaceBehindAnInheritedValue)
{
    Told t;
    const auto line = t.origins.add({OriginKind::file, "project.toml", 2, 1, {}});
    const auto inherited = t.origins.add({.kind = OriginKind::inherited, .text = "room type 'x'", .parent = line});
    t.problems.push_back({.code = "V204", .where = inherited, .message = "m"});
    EXPECT_EQ(t.words(), "project.toml:2:1 (room type 'x'): error V204: m\n    two\n    ^\n");
}

} // namespace
} // namespace venture::project
