/// The documents tell the truth of the code: codes, keys, figures, snippets.

#include <algorithm>
#include <filesystem>
#include <fstream>
#include <regex>
#include <set>
#include <sstream>

#include <fmt/format.h>
#include <gtest/gtest.h>

#include <program.hpp>
#include <venture/project/read_project.hpp>
#include <venture/report/key_report.hpp>

namespace venture {
namespace {

namespace fs = std::filesystem;
const fs::path root = VENTURE_SOURCE_DIR;

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

TEST(DiagnosticsPage, ShowsWhatTheProgramSays)
{
    const auto examples = blocks(root / "docs/diagnostics.md", "text");
    EXPECT_EQ(examples.size(), matches(text_of(root / "docs/diagnostics.md"), R"(\n### (V[0-9]{3}) )").size());
    for (const std::string& example : examples) {
        const auto end = example.find('\n');
        ASSERT_TRUE(example.starts_with("$ venture ")) << example;
        const Ran ran = run_program(example.substr(10, end - 10), root / "tests/corpus");
        EXPECT_EQ(ran.errors, example.substr(end + 1)) << "of " << example.substr(0, end);
    }
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

TEST(KeysPage, IsMadeFromTheDeclarations)
{
    const std::string page = text_of(root / "docs/keys.md"), made = report::keys_page();
    const auto start = page.find("\n## ");
    if (start == std::string::npos || page.substr(start) != made) {
        const fs::path proposal = fs::temp_directory_path() / "venture_keys.md";
        std::ofstream{proposal} << page.substr(0, std::min(start, page.size())) << made;
        FAIL() << "docs/keys.md is out of date; as it should be: " << proposal;
    }
}

TEST(AccuracyPage, HasTheCasesAndVerdictsThatVerifyFinds)
{
    const auto heads = [](const std::string& text) { // digits may differ from one processor to the next
        std::vector<std::string> out;
        std::istringstream lines{text};
        for (std::string line; std::getline(lines, line);) out.push_back(line.substr(0, line.find(": ")));
        return out;
    };
    const auto page = blocks(root / "docs/accuracy.md", "text");
    ASSERT_EQ(page.size(), 1u);
    EXPECT_EQ(heads(page.front()), heads(run_program("tests/reference", root, VERIFY_PROGRAM).out));
}

TEST(Documents, HaveNoSnippetThatIsNotReadCleanly)
{
    int read = 0;
    const auto load = [](const fs::path& named) { // whatever a snippet names is there
        if (named == "monthly_means.csv") return project::FileText{"month,dry_bulb\n1,3.9\n", {}};
        return project::FileText{named.extension() == ".csv" ? "name,storey\nHall,ground\n" : "format = 1\n", {}};
    };
    for (const auto& file : {root / "README.md", root / "docs/project_file.md"})
        for (const std::string& block : blocks(file, "toml")) {
            const project::ProjectFile p = project::read_project_text(block, "snippet", load);
            for (const auto& problem : p.problems)
                if (problem.code != "V103")
                    ADD_FAILURE() << file << ": " << project::in_words({{problem}}, p.input.origins, p.sources)
                                  << block;
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
