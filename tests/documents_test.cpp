/// The documents tell the truth of the code: codes, keys, figures, snippets.

#include <algorithm>
#include <filesystem>
#include <fstream>
#include <regex>
#include <set>
#include <sstream>

#include <fmt/format.h>
#include <gtest/gtest.h>

#include <venture/building/keys.hpp>
#include <venture/project/read_project.hpp>

namespace venture {
namespace {

namespace fs = std::filesystem;
const fs::path root = VENTURE_SOURCE_DIR;

std::string text_of(const fs::path& file)
{
    std::ifstream in{file};
    std::ostringstream text;
    text << in.rdbuf();
    return text.str();
}

std::set<std::string> matches(const std::string& text, const char* pattern)
{
    std::set<std::string> out;
    const std::regex wanted{pattern};
    for (std::sregex_iterator it{text.begin(), text.end(), wanted}, end; it != end; ++it) out.insert((*it)[1]);
    return out;
}

/// Fenced blocks of a language in a document.
std::vector<std::string> blocks(const fs::path& file, const std::string& language)
{
    std::vector<std::string> out;
    const std::string text = text_of(file), fence = "```" + language + "\n";
    for (auto at = text.find(fence); at != std::string::npos; at = text.find(fence, at + 1)) {
        const auto start = at + fence.size();
        out.push_back(text.substr(start, text.find("```", start) - start));
    }
    return out;
}

TEST(DiagnosticsPage, AgreesWithTheCodesInTheProgram)
{
    const auto in_code = matches(text_of(root / "venture/quantity/codes.hpp"), R"re("(V[0-9]{3})")re");
    const auto in_page = matches(text_of(root / "docs/diagnostics.md"), R"(\n### (V[0-9]{3}) )");
    EXPECT_EQ(in_code, in_page);
    EXPECT_GT(in_code.size(), 15u);
}

TEST(DiagnosticsPage, NamesOnlyCodesThatSomethingUses)
{
    const std::string codes = text_of(root / "venture/quantity/codes.hpp");
    std::string all;
    for (const auto& entry : fs::recursive_directory_iterator{root / "venture"})
        if (entry.path().extension() == ".cpp" || entry.path().extension() == ".hpp") all += text_of(entry.path());
    for (const std::string& name : matches(codes, R"(string_view (\w+) = "V)"))
        EXPECT_NE(all.find("codes::" + name), std::string::npos) << name;
}

/// The page of keys, as it must read: made from the declarations, so the two cannot drift.
std::string page_of_keys()
{
    building::Input in;
    std::string out;
    const auto table = [&](auto& self, const std::string& name, bool many, auto record) -> void {
        out += fmt::format("\n## {}\n\n| key | what | plain unit, words | default |\n| --- | --- | --- | --- |\n",
                           many ? "[[" + name + "]]" : "[" + name + "]");
        quantity::for_each_key_set(record, [&](auto& part, auto keys) {
            for (const auto& key : keys) {
                const auto& s = key.spec;
                const bool text = std::visit(
                    [&](auto field) {
                        using Value = std::remove_cvref_t<decltype(part.*field)>;
                        return std::is_same_v<Value, quantity::Given<std::string>> ||
                               std::is_same_v<Value, quantity::Given<quantity::TextList>>;
                    },
                    key.field);
                std::string unit = text ? "text" : std::string{quantity::plain_unit(s.kind)};
                if (!text && unit.empty()) unit = s.kind == quantity::Kind::fraction ? "0..1 or %" : "number";
                if (!s.choices.empty()) unit = fmt::format("{}", fmt::join(s.choices, ", "));
                std::string otherwise =
                    s.required ? "must be given"
                    : s.default_value
                        ? fmt::format("{} ({})", quantity::print_quantity(*s.default_value, s.kind), s.default_source)
                        : "";
                out += fmt::format("| `{}` | {} | {} | {} |\n", s.name, s.text, unit, otherwise);
            }
        });
        quantity::for_each_nested_table(record, [&](std::string_view nested, auto& records) {
            self(self, fmt::format("{}.{}", name, nested), true,
                 typename std::remove_cvref_t<decltype(records)>::value_type{});
        });
    };
    building::for_each_table(in, [&](std::string_view name, auto& records) {
        if constexpr (requires { records.begin(); })
            table(table, std::string{name}, true, typename std::remove_cvref_t<decltype(records)>::value_type{});
        else
            table(table, std::string{name}, false, records);
    });
    return out;
}

TEST(KeysPage, IsMadeFromTheDeclarations)
{
    const std::string page = text_of(root / "docs/keys.md"), made = page_of_keys();
    const auto start = page.find("\n## ");
    if (start == std::string::npos || page.substr(start) != made) {
        const fs::path proposal = fs::temp_directory_path() / "venture_keys.md";
        std::ofstream{proposal} << page.substr(0, std::min(start, page.size())) << made;
        FAIL() << "docs/keys.md is out of date; as it should be: " << proposal;
    }
}

TEST(Documents, HaveNoSnippetThatIsNotReadCleanly)
{
    int read = 0;
    for (const auto& file : {root / "README.md", root / "docs/project_file.md"})
        for (const std::string& block : blocks(file, "toml")) {
            const project::ProjectFile p = project::read_project_text(block, "snippet");
            for (const auto& problem : p.problems)
                if (problem.code != "V103")
                    ADD_FAILURE() << file << ": " << project::in_words(problem, p.input.origins, p.sources) << block;
            ++read;
        }
    EXPECT_GE(read, 6);
}

TEST(Readme, ShowsEveryScreenshotAndOnlyThose)
{
    const std::string readme = text_of(root / "README.md");
    std::size_t count = 0;
    for (const auto& entry : fs::directory_iterator{root / "docs/screenshots"}) {
        EXPECT_NE(readme.find("docs/screenshots/" + entry.path().filename().string()), std::string::npos)
            << entry.path();
        ++count;
    }
    EXPECT_LT(count, 20u);
    for (const std::string& linked : matches(readme, R"(\((docs/[^)#]+|[A-Z]+\.md|examples/[^)]+|data/[^)]+)\))"))
        EXPECT_TRUE(fs::exists(root / linked)) << linked;
}

TEST(Readme, ShowsTheExampleAsItIs)
{
    const auto code = blocks(root / "README.md", "cpp");
    ASSERT_EQ(code.size(), 1u);
    const std::string example = text_of(root / "examples/one_room.cpp");
    std::istringstream lines{code.front()};
    for (std::string line; std::getline(lines, line);) {
        const auto first = line.find_first_not_of(' ');
        if (first != std::string::npos) {
            EXPECT_NE(example.find(line.substr(first)), std::string::npos) << line;
        }
    }
}

} // namespace
} // namespace venture
