/// The documents tell the truth of the code: codes, keys, figures, snippets.

#include <algorithm>
#include <filesystem>
#include <fstream>
#include <regex>
#include <set>
#include <sstream>

#include <fmt/format.h>
#include <gmock/gmock.h>
#include <gtest/gtest.h>

#include <program.hpp>
#include <venture/catalogue/read_catalogue.hpp>
#include <venture/catalogue/shipped_library.hpp>
#include <venture/project/read_project.hpp>
#include <venture/report/figure_report.hpp>
#include <venture/report/key_report.hpp>
#include <venture/resolve/resolve.hpp>

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
        const Ran ran = run_program(example.substr(10, end - 10), root / "tests/corpus", VENTURE_PROGRAM, 100);
        EXPECT_EQ(ran.errors, example.substr(end + 1)) << "of " << example.substr(0, end);
    }
}

/// Lines of tables that are redone by hand there stand in what the program says.
TEST(ByHandPage, ShowsWhatTheProgramSays)
{
    const auto examples = blocks(root / "docs/by_hand.md", "text");
    EXPECT_EQ(examples.size(), 4u);
    for (const std::string& example : examples) {
        const auto end = example.find('\n');
        ASSERT_TRUE(example.starts_with("$ venture ")) << example;
        const std::string out = run_program(example.substr(10, end - 10), root / "data", VENTURE_PROGRAM, 100).out;
        std::istringstream lines{example.substr(end + 1)};
        for (std::string line; std::getline(lines, line);) EXPECT_THAT(out, testing::HasSubstr(line + "\n"));
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

TEST(FiguresPage, IsMadeFromTheDeclarations)
{
    const std::string page = text_of(root / "docs/figures.md"), made = report::figures_page();
    const auto start = page.find("\n## ");
    if (start == std::string::npos || page.substr(start) != made) {
        const fs::path proposal = fs::temp_directory_path() / "venture_figures.md";
        std::ofstream{proposal} << page.substr(0, std::min(start, page.size())) << made;
        FAIL() << "docs/figures.md is out of date; as it should be: " << proposal;
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
                if (problem.code != "V103" && problem.severity != quantity::Severity::note)
                    ADD_FAILURE() << file << ": " << project::in_words({{problem}}, p.input.origins, p.sources)
                                  << block;
            ++read;
        }
    EXPECT_GE(read, 6);
}

TEST(Documents, ListTheKeysOfEveryKindOfProduct)
{
    const std::string page = text_of(root / "docs/project_file.md");
    for (const rating::Kind* kind : catalogue::all_kinds()) {
        const auto begin = page.find(fmt::format("| `{}` |", kind->key));
        ASSERT_NE(begin, std::string::npos) << kind->key;
        const std::string row = page.substr(begin, page.find('\n', begin) - begin);
        for (const quantity::Key& key : kind->shelf()->records().table().spec().keys())
            EXPECT_NE(row.find(fmt::format("{}{}", key.spec.name, key.spec.required ? "*" : "")), std::string::npos)
                << kind->key << ": " << key.spec.name;
    }
}

TEST(Documents, ShowASheetThatIsRead)
{
    const std::string page = text_of(root / "docs/project_file.md");
    const auto begin = page.find("    name,air_flow [L/s]");
    ASSERT_NE(begin, std::string::npos);
    input::CatalogueInput sheet;
    sheet.file = std::string{"sheet.csv"};
    sheet.kind = std::string{"fan coil"};
    quantity::OriginPool origins;
    quantity::Problems problems;
    rating::Stocks stocks;
    catalogue::read_sheet(page.substr(begin, page.find("\n\n", begin) - begin), sheet, origins, problems, stocks);
    EXPECT_TRUE(problems.empty()) << problems.all().front().message;
    EXPECT_EQ(stocks.all().at(0).products.size(), 1u);
}

/// Lays a snippet into a building of two rooms: what it says of them goes before, what it does not say is there.
input::Input in_two_rooms(input::Input snippet)
{
    const project::ProjectFile base = project::read_project_text(R"(format = 1
[project]
name = "Two rooms"
[site]
latitude = 52
longitude = 0
time_zone = 0
winter_dry_bulb = -4
winter_ground = 8
  [[site.month]]
  month = 7
  dry_bulb = 28
  wet_bulb = 19
  daily_range = 10
  beam_depth = 0.4
  diffuse_depth = 2.3
  ground = 14
[fabric]
outside_wall = "cavity wall, filled"
inner_wall = "block partition, plastered"
roof = "flat roof, warm, on concrete"
ground_floor = "ground floor, insulated under the slab"
[[storey]]
name = "ground"
level = 0
height = 3
)",
                                                                 "base");
    snippet.site = base.input.site;
    snippet.storeys = base.input.storeys;
    if (!snippet.project.name) snippet.project.name = base.input.project.name;
    for (const auto field : {&input::FabricInput::outside_wall, &input::FabricInput::inner_wall,
                             &input::FabricInput::roof, &input::FabricInput::ground_floor})
        snippet.fabric.*field = base.input.fabric.*field;
    for (const char* name : {"Office", "Store"}) {
        const auto is_it = [&](const input::RoomInput& r) { return r.name && *r.name == name; };
        auto room = std::ranges::find_if(snippet.rooms, is_it);
        if (room == snippet.rooms.end()) room = snippet.rooms.insert(room, input::RoomInput{});
        room->name = std::string{name};
        room->storey = "ground";
        room->at = quantity::QuantityList{*name == 'O' ? 0.0 : 6.0, 0.0};
        room->size = quantity::QuantityList{*name == 'O' ? 6.0 : 4.0, 4.0};
        room->use.heating_setpoint = 20.0;
    }
    return snippet;
}

TEST(UseAndHours, HasNoSnippetThatDoesNotStandInABuilding)
{
    const auto load = [](const fs::path& named) {
        const std::string text = named.extension() == ".ics"       ? "BEGIN:VCALENDAR\nEND:VCALENDAR\n"
                                 : named.filename() == "rooms.csv" ? "name\nOffice\nStore\n"
                                                                   : "room,in,area [m2],glazing\n";
        return project::FileText{text, {}};
    };
    const auto all = blocks(root / "docs/use_and_hours.md", "toml");
    EXPECT_GE(all.size(), 12u);
    for (const std::string& block : all) {
        project::ProjectFile p = project::read_project_text("format = 1\n" + block, "snippet", load);
        for (const auto& problem : p.problems)
            if (problem.severity == quantity::Severity::error) ADD_FAILURE() << problem.message << "\n" << block;
        p.input = in_two_rooms(std::move(p.input));
        catalogue::take_from_shipped_library(p.input, p.problems);
        const resolve::Resolved resolved = resolve::resolve(p.input);
        for (const auto& problem : resolved.problems)
            if (problem.severity == quantity::Severity::error) ADD_FAILURE() << problem.message << "\n" << block;
        EXPECT_TRUE(resolved.building) << block;
    }
}

/// Follows the tutorial as a reader would: writes what it writes, types what it types, sees what it shows.
TEST(Tutorial, LeadsFromAnEmptyFolderToLoads)
{
    const fs::path folder = fs::temp_directory_path() / fmt::format("venture_tutorial_{}", ::getpid());
    fs::remove_all(folder);
    fs::create_directories(folder);
    const std::string text = text_of(root / "docs/tutorial.md"), fence = "\n```";
    const fs::path file = folder / "cottage/project.toml";
    std::string seen;
    int commands = 0;
    for (auto at = text.find(fence); at != std::string::npos; at = text.find(fence, at + 1)) {
        const auto start = text.find('\n', at + 1) + 1, close = text.find("```", start);
        const std::string kind = text.substr(at + fence.size(), start - 1 - at - fence.size()),
                          body = text.substr(start, close - start);
        at = close - 1; // the next fence is one that opens
        std::istringstream lines{body};
        if (kind == "sh") seen.clear();
        if (kind == "toml") std::ofstream{file, std::ios::app} << body << "\n";
        if (kind.starts_with("toml-in-room ")) {
            std::string project = text_of(file);
            const std::string name = fmt::format("name = \"{}\"\n", kind.substr(13));
            ASSERT_NE(project.find(name), std::string::npos) << name;
            project.insert(project.find(name) + name.size(), body);
            std::ofstream{file} << project;
        }
        for (std::string line; std::getline(lines, line);) {
            if (kind == "text") {
                EXPECT_NE(seen.find(line), std::string::npos) << line << "\nin\n" << seen;
            }
            if (kind == "sh" && line.starts_with("mkdir ")) fs::create_directories(folder / line.substr(6));
            if (kind != "sh" || !line.starts_with("venture ")) continue;
            const Ran ran = run_program(line.substr(8), folder);
            seen += ran.out + ran.errors;
            EXPECT_EQ(ran.code, ++commands == 2 ? 2 : 0) << line << "\n" << ran.errors; // the second is told to fail
        }
    }
    EXPECT_GE(commands, 12);
    EXPECT_TRUE(fs::exists(folder / "cottage/plan.png"));
    fs::remove_all(folder);
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
