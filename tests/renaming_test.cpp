/// No result hangs on a name: shipped projects with all rooms renamed, every output through the real program, with the
/// names put back.

#include <algorithm>
#include <cmath>
#include <iterator>
#include <regex>
#include <sstream>
#include <utility>
#include <vector>

#include <gmock/gmock.h>
#include <gtest/gtest.h>

#include <house_project.hpp>

namespace venture {
namespace {

namespace fs = std::filesystem;
using nlohmann::json;

/// A name as long as this one, that sorts the other way round; twice: the name itself.
std::string mirrored(std::string name)
{
    for (char& c : name) {
        if (c >= 'a' && c <= 'z') c = static_cast<char>('a' + 'z' - c);
        if (c >= 'A' && c <= 'Z') c = static_cast<char>('A' + 'Z' - c);
    }
    return name;
}

std::string escaped(const std::string& name)
{
    return std::regex_replace(name, std::regex{R"([.^$|()\[\]{}*+?\\])"}, R"(\$&)");
}

/// Names wherever a file says one: as a text, behind "east of", in a path of --set, in a table's cell.
std::string with_other_names(std::string text, const std::vector<std::string>& names, bool is_table)
{
    const char* before = is_table ? R"((^|[,;\n]))" : R"re(("|of |over |/))re";
    const char* after = is_table ? R"((?=[,;\r\n]|$))" : R"re((?=["/]))re";
    for (const std::string& name : names)
        text = std::regex_replace(text, std::regex{before + escaped(name) + after}, "$1" + mirrored(name));
    return text;
}

std::string with_first_names(std::string text, const std::vector<std::string>& names)
{
    for (const std::string& name : names) {
        const std::string other = mirrored(name);
        for (auto at = text.find(other); at != std::string::npos; at = text.find(other, at + name.size()))
            text.replace(at, other.size(), name);
    }
    return text;
}

/// Lines without what is made of names on purpose (the marks by which findings are accepted) and what rounding leaves.
std::vector<std::string> lines_of(const std::string& text)
{
    const std::regex mark{R"re(( {2}finding = ".*) [0-9a-f]{8}")re"}, rest{"(closed to|within) [0-9.e-]+"};
    std::vector<std::string> lines;
    std::istringstream in{text};
    for (std::string line; std::getline(in, line);)
        lines.push_back(std::regex_replace(std::regex_replace(line, mark, "$1\""), rest, "$1"));
    std::ranges::sort(lines); // warnings and tables may stand in the order of names
    return lines;
}

/// What only one of two sorted lists says.
void expect_same_lines(const std::vector<std::string>& first, const std::vector<std::string>& other)
{
    std::vector<std::string> gone, come;
    std::ranges::set_difference(first, other, std::back_inserter(gone));
    std::ranges::set_difference(other, first, std::back_inserter(come));
    EXPECT_THAT(gone, testing::IsEmpty());
    EXPECT_THAT(come, testing::IsEmpty());
}

using Numbers = std::vector<std::pair<std::string, double>>;

/// A wall between two rooms stands once, with either of them.
bool is_between_rooms(const json& surface)
{
    return surface.at("as").get<std::string>().starts_with("inner") && surface.at("beyond") != "a like room";
}

/// All that a document says: numbers by the keys above them, and words likewise; in no order of lists.
void collect(const json& value, const std::string& path, Numbers& numbers, std::vector<std::string>& words)
{
    if (value.is_object()) {
        for (const auto& [key, inner] : value.items())
            if (key != "fingerprint" && key != "mark") collect(inner, fmt::format("{}/{}", path, key), numbers, words);
    } else if (value.is_array()) {
        for (const json& inner : value) {
            const auto room = inner.is_object() ? inner.find("room") : inner.end();
            if (path == "/surface" && is_between_rooms(inner)) {
                collect(inner.at("net"), path + "/shared/net", numbers, words);
                collect(inner.at("u"), path + "/shared/u", numbers, words);
            } else if (path == "/opening" && inner.at("beyond") == "another room") {
                collect(inner.at("area"), path + "/shared/area", numbers, words);
            } else
                collect(inner, room == inner.end() ? path : path + "/" + room->dump(), numbers, words);
        }
    } else if (value.is_number())
        numbers.emplace_back(path, value.get<double>());
    else
        words.push_back(path + " " + value.dump());
}

void expect_same_document(const std::string& first, const std::string& other)
{
    const json a = json::parse(first, nullptr, false), b = json::parse(other, nullptr, false);
    ASSERT_FALSE(a.is_discarded() || b.is_discarded());
    Numbers of_a, of_b;
    std::vector<std::string> words_a, words_b;
    collect(a, "", of_a, words_a);
    collect(b, "", of_b, words_b);
    std::ranges::sort(words_a);
    std::ranges::sort(words_b);
    expect_same_lines(words_a, words_b);
    std::ranges::sort(of_a);
    std::ranges::sort(of_b);
    ASSERT_EQ(of_a.size(), of_b.size());
    EXPECT_GT(of_a.size(), 50U);
    for (std::size_t i = 0; i < of_a.size(); ++i) {
        const auto& [path, x] = of_a[i];
        ASSERT_EQ(path, of_b[i].first);
        ASSERT_NEAR(x, of_b[i].second, 1e-6 * std::abs(x) + 1e-6) << path;
    }
}

class Renamed : public HouseProject, public testing::WithParamInterface<const char*> {
protected:
    void SetUp() override
    {
        HouseProject::SetUp();
        const fs::path data = fs::path{VENTURE_SOURCE_DIR} / "data";
        for (const char* one : {"first", "other"}) {
            fs::create_directories(folder / one);
            fs::copy(data / "catalogue", folder / one / "catalogue");
            fs::copy(data / GetParam(), folder / one / "project");
        }
        const json loads = run_json("loads first/project --json");
        for (const json& room : loads.at("room_load")) names.push_back(room.at("room"));
        std::ranges::sort(names, std::greater{}, &std::string::size); // "Front room" before "room"
        for (const auto& file : fs::directory_iterator{folder / "other/project"}) {
            const bool is_table = file.path().extension() == ".csv";
            if (!is_table && file.path().extension() != ".toml") continue;
            const std::string text = with_other_names(text_of(file.path()), names, is_table);
            std::ofstream{file.path(), std::ios::binary} << text;
        }
    }

    /// What a command says and writes of both, the other one with the first names.
    [[nodiscard]] std::pair<std::string, std::string> both(const std::string& command, const char* file = "") const
    {
        std::array<std::string, 2> said;
        for (std::size_t i = 0; i < 2; ++i) {
            const fs::path base = folder / (i == 0 ? "first" : "other");
            const Ran ran = run_program(command, base);
            EXPECT_LE(ran.code, 1) << ran.errors;
            said[i] = *file != 0 ? text_of(base / "project/results" / file) : ran.out + ran.errors;
        }
        return {said[0], with_first_names(said[1], names)};
    }

    std::vector<std::string> names;
};

INSTANTIATE_TEST_SUITE_P(Shipped, Renamed, testing::Values("house", "demo", "school"),
                         [](const auto& of) { return std::string{of.param}; });

TEST_P(Renamed, SaysTheSameInWords)
{
    for (const char* command : {"check project", "loads project", "loads project --csv", "size project",
                                "year project --from \"15 July\" --days 14"}) {
        SCOPED_TRACE(command);
        const auto [first, other] = both(command);
        expect_same_lines(lines_of(first), lines_of(other));
    }
    const std::string one = *std::ranges::min_element(names);
    const std::string command = "loads project --room ";
    const Ran first = run_program(fmt::format("{} \"{}\"", command, one), folder / "first");
    const Ran other = run_program(fmt::format("{} \"{}\"", command, mirrored(one)), folder / "other");
    expect_same_lines(lines_of(first.out), lines_of(with_first_names(other.out, names)));
}

TEST_P(Renamed, SaysTheSameInNumbers)
{
    for (const char* command : {"check project --json", "loads project --json", "size project --json",
                                "year project --from \"15 July\" --days 14 --json"}) {
        SCOPED_TRACE(command);
        const auto [first, other] = both(command);
        expect_same_document(first, other);
    }
}

/// Strokes and fills of a drawing, letters apart; a line from either of its ends.
std::vector<std::string> strokes_of(const std::string& drawing)
{
    const std::regex line{"d=\"M ([0-9.]+ [0-9.]+) L ([0-9.]+ [0-9.]+) \""};
    std::vector<std::string> strokes;
    for (const std::string& stroke : lines_of(drawing.substr(drawing.find("</defs>")))) {
        if (stroke.find("<path") == std::string::npos && stroke.find("<rect") == std::string::npos) continue;
        std::smatch ends;
        const bool turned = std::regex_search(stroke, ends, line) && ends[2].str() < ends[1].str();
        strokes.push_back(turned ? std::regex_replace(stroke, line, "d=\"M $2 L $1 \"") : stroke);
    }
    std::ranges::sort(strokes);
    return strokes;
}

TEST_P(Renamed, HasTheSamePlan)
{
    const auto [first, other] = both("draw plan project --force", "plan.svg");
    EXPECT_GT(strokes_of(first).size(), 20U);
    expect_same_lines(strokes_of(first), strokes_of(other));
}

/// The data of the page that shows a building in space. What stands between two rooms is drawn from one of them: of that
/// the size alone.
std::string data_of(const std::string& page)
{
    const std::string before = "const data = ";
    const auto from = page.find(before) + before.size();
    json data = json::parse(page.substr(from, page.find(";\n", from) - from));
    for (json& face : data.at("faces")) {
        const std::string says = face.at("says");
        if (face.at("kind") == "room" || says.find(" in ") < says.find("wall to "))
            face = {{"area", face.at("area")}, {"kind", face.at("kind")}};
    }
    return data.dump();
}

TEST_P(Renamed, StandsTheSameInSpace)
{
    const auto [first, other] = both("draw building project --force", "building.html");
    expect_same_document(data_of(first), data_of(other));
}

} // namespace
} // namespace venture
