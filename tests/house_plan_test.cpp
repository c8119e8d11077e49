/// Reads the includes of every file and holds them against the house plan.

#include <algorithm>
#include <filesystem>
#include <fstream>
#include <map>
#include <regex>
#include <set>
#include <sstream>

#include <gtest/gtest.h>

namespace {

namespace fs = std::filesystem;
const fs::path root = VENTURE_SOURCE_DIR;

/// A module may use only those before it.
const std::vector<std::string> house_plan = {
    "quantity", "figure",   "air",       "fabric",   "balance", "climate", "calendar", "rating", "input",
    "plan",     "building", "resolve",   "services", "loads",   "airside", "terminal", "plant",  "distribution",
    "study",    "project",  "catalogue", "exchange", "store",   "draw",    "report",   "cli"};
const std::string first_of_the_edge = "project";

std::size_t place_of(const std::string& module)
{
    return static_cast<std::size_t>(std::ranges::find(house_plan, module) - house_plan.begin());
}

std::string text_of(const fs::path& file)
{
    std::ifstream in{file};
    std::ostringstream text;
    text << in.rdbuf();
    return text.str();
}

struct Include {
    fs::path file;
    std::string module, what;
};

std::vector<Include> includes(bool with_tests)
{
    std::vector<Include> out;
    static const std::regex line{R"re(#include [<"]([^>"]+)[>"])re"};
    for (const auto& entry : fs::recursive_directory_iterator{root / "venture"}) {
        const fs::path& file = entry.path();
        if (file.extension() != ".cpp" && file.extension() != ".hpp") continue;
        if (!with_tests && file.stem().string().ends_with("_test")) continue;
        const std::string text = text_of(file), module = fs::relative(file, root / "venture").begin()->string();
        for (std::sregex_iterator it{text.begin(), text.end(), line}, end; it != end; ++it)
            out.push_back({file, module, (*it)[1]});
    }
    return out;
}

/// Module that a path <venture/x/y.hpp> lies in; empty for others.
std::string module_of(const std::string& include)
{
    if (!include.starts_with("venture/")) return {};
    return include.substr(8, include.find('/', 8) - 8);
}

TEST(HousePlan, KnowsEveryFolder)
{
    for (const auto& entry : fs::directory_iterator{root / "venture"})
        if (entry.is_directory()) {
            EXPECT_LT(place_of(entry.path().filename()), house_plan.size()) << entry.path();
        }
}

TEST(HousePlan, IsKeptByEveryInclude)
{
    const auto all = includes(true);
    ASSERT_GT(all.size(), 100u);
    for (const Include& i : all) {
        const std::string used = module_of(i.what);
        if (used.empty()) continue;
        EXPECT_LE(place_of(used), place_of(i.module)) << i.file << " includes " << i.what;
    }
}

TEST(HousePlan, IsKeptByEveryLink)
{
    for (const std::string& module : house_plan) {
        const fs::path file = root / "venture" / module / "CMakeLists.txt";
        if (!fs::exists(file)) continue;
        const std::string text = text_of(file);
        std::smatch uses;
        if (!std::regex_search(text, uses, std::regex{R"(USES ([a-z \n]+)\n)"})) continue;
        std::istringstream words{uses[1]};
        for (std::string used; words >> used;) EXPECT_LT(place_of(used), place_of(module)) << file;
    }
}

TEST(HousePlan, HasEachModuleLinkWhatItIncludes)
{
    for (const Include& i : includes(false)) {
        const std::string used = module_of(i.what);
        if (used.empty() || used == i.module || i.module == "cli") continue;
        const std::string cmake = text_of(root / "venture" / i.module / "CMakeLists.txt");
        const auto start = cmake.find("USES");
        const std::string line =
            start == std::string::npos ? "" : cmake.substr(start, cmake.find('\n', start) - start) + " ";
        EXPECT_NE(line.find(" " + used + " "), std::string::npos)
            << i.file << " includes " << i.what << " but its module does not link " << used;
    }
}

TEST(HousePlan, KeepsFilesTerminalsClocksAndFormatsOutOfTheCore)
{
    const std::set<std::string> banned = {"fstream",       "iostream",          "filesystem",  "cstdio", "ctime",
                                          "toml++/toml.h", "nlohmann/json.hpp", "CLI/CLI.hpp", "cairo.h"};
    for (const Include& i : includes(false)) {
        const bool core = place_of(i.module) < place_of(first_of_the_edge);
        const bool assertion =
            i.file.filename() == "error.cpp" && i.what == "cstdio"; // a bug may say so before it ends the program
        if (core && !assertion) {
            EXPECT_FALSE(banned.contains(i.what)) << i.file << " includes " << i.what;
        }
    }
}

/// Calendar types of <chrono> are plain numbers; its clocks would make results hang on when they are asked for.
TEST(HousePlan, KeepsClocksOutOfTheCore)
{
    for (const Include& i : includes(false))
        if (i.what == "chrono" && place_of(i.module) < place_of(first_of_the_edge)) {
            EXPECT_EQ(text_of(i.file).find("_clock"), std::string::npos) << i.file;
        }
}

TEST(HousePlan, KeepsEigenOutOfPublicHeaders)
{
    for (const Include& i : includes(false))
        if (i.file.extension() == ".hpp" && i.what.starts_with("Eigen/")) {
            EXPECT_NE(text_of(i.file).find("Internal to"), std::string::npos) << i.file;
        }
}

/// What a file holds is guessed from its name: from the header that it fulfils, or from its first line.
TEST(HousePlan, GivesEveryFileAHeaderOrAReason)
{
    constexpr std::ptrdiff_t longest = 400;
    for (const auto& entry : fs::recursive_directory_iterator{root / "venture"}) {
        const fs::path& file = entry.path();
        if (file.extension() != ".cpp" && file.extension() != ".hpp") continue;
        const std::string text = text_of(file);
        EXPECT_LE(std::ranges::count(text, '\n'), longest) << file;
        if (file.extension() != ".cpp" || file.stem().string().ends_with("_test")) continue;
        EXPECT_TRUE(text.starts_with("/// ") || fs::exists(fs::path{file}.replace_extension(".hpp"))) << file;
    }
}

TEST(Packages, AreNamedInOneList)
{
    const std::string list = text_of(root / "packages.txt");
    for (const char* package : {"libeigen3-dev", "libfmt-dev", "libcli11-dev", "libtomlplusplus-dev",
                                "nlohmann-json3-dev", "libcairo2-dev", "libgtest-dev", "libbenchmark-dev"})
        EXPECT_NE(list.find(package), std::string::npos) << package;
    EXPECT_NE(text_of(root / ".ci/run").find("make test"), std::string::npos);
}

} // namespace
