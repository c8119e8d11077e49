#include <venture/project/read_project.hpp>

#include <algorithm>
#include <fstream>

#include <gmock/gmock.h>
#include <gtest/gtest.h>

#include <venture/quantity/codes.hpp>

namespace venture::project {
namespace {

namespace codes = quantity::codes;

ProjectFile read(const std::string& text) { return read_project_text(text, "p.toml"); }

/// "12:5 V104 message | hint" of every problem, in order.
std::vector<std::string> said(const ProjectFile& p)
{
    std::vector<std::string> out;
    for (const ProblemGroup& group : grouped(p.problems.all(), p.input.origins, p.sources))
        for (const auto& problem : group.problems) {
            const auto o = p.input.origins.place_behind(problem.where);
            out.push_back(std::to_string(o.line) + ":" + std::to_string(o.column) + " " + std::string{problem.code} +
                          " " + problem.message + " | " + problem.hint);
        }
    return out;
}

TEST(ReadProject, FillsTheInputWithValuesAndPlaces)
{
    const ProjectFile p = read("format = 1\n[site]\nlatitude = 52.5\nheight = \"300 ft\"\n[[room]]\nname = \" A "
                               "\"\nsize = [\"4 m\", 5]\npeople = 3\n");
    EXPECT_THAT(said(p), testing::IsEmpty());
    EXPECT_DOUBLE_EQ(*p.input.site.latitude, 52.5);
    EXPECT_NEAR(*p.input.site.height, 91.44, 1e-9);
    EXPECT_EQ(*p.input.rooms.at(0).name, "A"); // trimmed
    EXPECT_DOUBLE_EQ((*p.input.rooms[0].size)[1], 5.0);
    EXPECT_DOUBLE_EQ(*p.input.rooms[0].use.people, 3.0);
    EXPECT_EQ(p.input.origins.describe(p.input.site.height.origin), "p.toml:4:10");
}

TEST(ReadProject, ReadsNestedTables)
{
    const ProjectFile p = read("format=1\n[[room]]\nname=\"A\"\n[[room.opening]]\nin=\"south\"\nwidth=1\n[[room."
                               "opening]]\nin=\"east\"\n[[site.month]]\nmonth=7\n");
    EXPECT_EQ(p.input.rooms.at(0).openings.size(), 2u);
    EXPECT_EQ(p.input.site.months.size(), 1u);
}

struct Bad {
    std::string name, text, says;
};
void PrintTo(const Bad& bad, std::ostream* os) { *os << bad.name; }

class BadInput : public testing::TestWithParam<Bad> {};

TEST_P(BadInput, IsToldWithPlaceAndWords)
{
    EXPECT_THAT(said(read(GetParam().text)), testing::Contains(testing::HasSubstr(GetParam().says)));
}

INSTANTIATE_TEST_SUITE_P(
    Corpus, BadInput,
    testing::Values(
        Bad{"empty", "", "1:1 V101 the file is empty"}, Bad{"blank", " \n\t\n", "V101 the file is empty"},
        Bad{"no_format", "[site]\n", "1:1 V103 the file does not say which format"},
        Bad{"format_2", "format = 2\n", "1:10 V103 format 2 is not known; this version reads format = 1"},
        Bad{"typo_in_key", "format=1\n[site]\nlatitud = 5\n", "3:1 V104 unknown key 'latitud' in [site]"},
        Bad{"typo_hint", "format=1\n[[room]]\nhieght = 5\n", "did you mean 'height'?"},
        Bad{"unknown_table", "format=1\n[[rooom]]\nname=\"x\"\n", "V104 unknown key 'rooom' in the project"},
        Bad{"furlongs", "format=1\n[[room]]\nheight = \"12 furlongs\"\n",
            "3:10 V106 height: the unit 'furlongs' found, expected length in m, cm, mm, ft, in"},
        Bad{"wrong_kind", "format=1\n[site]\nwinter_dry_bulb = \"5 K\"\n", "V106 winter_dry_bulb"},
        Bad{"text_for_number", "format=1\n[site]\nlatitude = true\n",
            "3:12 V105 latitude: expected a number (angle); true or false found"},
        Bad{"number_for_text", "format=1\n[project]\nname = 5\n",
            "V105 name: a text in quotes expected; a number found"},
        Bad{"date_for_text", "format=1\n[project]\nrevision = 2026-01-01\n", "a date or time found"},
        Bad{"one_for_many", "format=1\n[room]\nname=\"x\"\n", "write [[room]] over each"},
        Bad{"many_for_one", "format=1\n[[site]]\n", "write [site]"},
        Bad{"scalar_table", "format=1\nsite = 5\n", "V105 [site] stands once"},
        Bad{"bounds", "format=1\n[site]\nlatitude = 95\n", "3:12 V107 latitude: 95 deg is outside -90 deg to 90 deg"},
        Bad{"infinite", "format=1\n[[room]]\nheight = inf\n", "V107 height"},
        Bad{"not_a_number", "format=1\n[[room]]\nheight = nan\n", "V107 height"},
        Bad{"choice", "format=1\n[[plant]]\nname=\"x\"\nkind=\"boilr\"\n",
            "V108 kind: 'boilr' found, expected one of boiler, chiller"},
        Bad{"short_list", "format=1\n[[room]]\nsize=[1]\n", "V105 size: a list of 2 numbers expected"},
        Bad{"list_item", "format=1\n[[room]]\nsize=[1, \"2 kW\"]\n", "V106 size: the unit 'kW'"},
        Bad{"points", "format=1\n[[room]]\ncorners=[[1,2],[3]]\n", "V105 corners: a list of points"},
        Bad{"layers", "format=1\n[[build_up]]\nlayers=[5]\n", "V105 layers: a text in quotes"},
        Bad{"double_equals", "format=1\n[site]\nlatitude = = 5\n", "3:12 V102 two signs of equality"},
        Bad{"unclosed_string", "format=1\n[site]\nname = \"x\n", "3:10 V102 the text \"x is not closed"},
        Bad{"unclosed_long_string", "format=1\n[site]\nname = \"\"\"x\n", "V102 something that was opened"},
        Bad{"empty_header", "format=1\n[ =]\n", "V102"},
        Bad{"accent_outside_quotes", "format=1\n[sit\xc3\xa9]\n", "2:5 V102 a letter beyond ASCII outside quotes"},
        Bad{"invalid_utf8", "format=1\n[site]\nname = \"\xff\xfe\"\n", "V102"},
        Bad{"a_key_twice", "format=1\n[site]\nheight=1\nheight=2\n", "4:8 V102 'height' stands twice"},
        Bad{"unit_outside_quotes", "format=1\n[[room]]\nheight = 3 m\n", "write height = \"3 m\""},
        Bad{"decimal_comma", "format=1\n[[room]]\nheight = 3,5\n", "decimals with a point"},
        Bad{"text_without_quotes", "format=1\n[[room]]\nname = Boat hall # big\n", "write name = \"Boat hall\""},
        Bad{"colon", "format=1\n[[room]]\nname: \"Hall\"\n", "write name = \"Hall\""},
        Bad{"no_value", "format=1\n[[room]]\nname =\n", "no value behind 'name ='"},
        Bad{"blank_in_key", "format=1\n[site]\nwinter dry bulb = 3\n", "the key 'winter dry bulb' has a blank"},
        Bad{"header_not_closed", "format=1\n[[room]\nname = \"x\"\n", "write [[room]] alone on its line"},
        Bad{"list_not_closed", "format=1\n[[room]]\nsize = [3, 4\nheight = 3\n", "V102"},
        Bad{"backslash", "format=1\n[project]\nname = \"C:\\plans\"\n", "single quotes"},
        Bad{"just_words", "format=1\n[[room]]\nthe hall\n", "'the hall' is no key with a value"},
        Bad{"accent_in_a_value",
            "format=1\n[[room]]\nname = K\xc3\xbc"
            "che\n",
            "write name = \"K\xc3\xbc"
            "che\""},
        Bad{"quote_in_a_value", "format=1\n[site]\nname = Ops 'room'\n", "V102 'Ops 'room'' is a text without quotes"},
        Bad{"quote_hides_a_letter",
            "h  = 6\xdf"
            "c:a'Y\xce\xa3\n",
            "V102"},
        Bad{"mistake_in_a_list", "format=1\n[[build_up]]\nlayers = [\n\"a\",\n80 mm foam,\n\"b\"\n]\n",
            "5:4 V102 a mistake inside a list"},
        Bad{"no_comma", "format=1\n[[room]]\nsize = [\"3 m\" \"4 m\"]\n", "a comma or quote is missing in it"},
        Bad{"utf16",
            std::string{"\xff\xfe"
                        "f\0",
                        4},
            "the file is in UTF-16"},
        Bad{"one_and_many", "format=1\n[[room]]\nname=\"A\"\n[room]\nname=\"B\"\n",
            "'room' stands as [room] and as [[room]]"},
        Bad{"table_twice", "format=1\n[site]\nlatitude=1\n[site]\nlongitude=1\n", "[site] stands twice"},
        Bad{"open_list", "format=1\n[[room]]\nsize = [3, 4\n[[room]]\nname=\"B\"\n",
            "3:1 V102 'size = [3, 4' opens a list that is not closed"},
        Bad{"deep_lists", "format=1\nx = " + std::string(2000, '[') + "\n", "nested deeper"},
        Bad{"ambiguous_comma", "format=1\n[[room]]\nheight=\"1,5 m\"\n", "decimal mark or thousands"}),
    [](const auto& tested) { return tested.param.name; });

TEST(ReadProject, GoesOnAfterASyntaxErrorAtTheNextTable)
{
    const ProjectFile p =
        read("format=1\n[site]\nlatitude = = 5\n[[room]]\nname=\"A\"\nhieght=3\n[[room]]\nname=\"B\"\nsize = [3,\n");
    const auto lines = said(p);
    EXPECT_GE(lines.size(), 3u);
    EXPECT_THAT(lines, testing::Contains(testing::HasSubstr("'hieght'")));
    EXPECT_FALSE(p.whole);
    ASSERT_FALSE(p.input.rooms.empty());
    EXPECT_EQ(*p.input.rooms[0].name, "A");
}

TEST(ReadProject, LosesOnlyTheLineOfAMistake)
{
    const ProjectFile p = read("format=1\n[[room]]\nname=\"A\"\nheight = 3 m\npeople=2\nlighting=8\nequipment = 3,5\n"
                               "storey=\"s\"\n");
    EXPECT_THAT(said(p), testing::SizeIs(2));
    ASSERT_EQ(p.input.rooms.size(), 1u);
    EXPECT_DOUBLE_EQ(*p.input.rooms[0].use.people, 2.0);
    EXPECT_EQ(*p.input.rooms[0].storey, "s");
}

TEST(ReadProject, TellsABrokenHeaderAndNotWhatStandsBelowIt)
{
    const ProjectFile p = read("format=1\n[site\nlatitude = 5\nlongitude == 4\n[[room]]\nheight = 3 ft\nname = \"x\n");
    const auto lines = said(p);
    ASSERT_EQ(lines.size(), 3u) << testing::PrintToString(lines);
    EXPECT_TRUE(lines[0].starts_with("2:") && lines[1].starts_with("6:") && lines[2].starts_with("7:"));
}

TEST(ReadProject, TellsAListThatIsNotClosedOnce)
{
    const ProjectFile p =
        read("format=1\n[[room]]\nname=\"A\"\nsize = [3,\n  4\npeople=2\n[[room]]\nname=\"B\"\npeople=3\n");
    EXPECT_THAT(said(p), testing::SizeIs(1));
    ASSERT_EQ(p.input.rooms.size(), 2u);
    EXPECT_DOUBLE_EQ(*p.input.rooms[0].use.people, 2.0); // right below the list
    EXPECT_DOUBLE_EQ(*p.input.rooms[1].use.people, 3.0);
}

TEST(ReadProject, TellsEveryMistakeOfAFileAtOnceInFileOrder)
{
    const auto lines =
        said(read("format=1\n[site]\nlatitude=95\nlongitud=1\n[[room]]\nheight=\"2 kg\"\npeople=\"many\"\n"));
    ASSERT_EQ(lines.size(), 4u);
    EXPECT_TRUE(lines[0].starts_with("3:") && lines[1].starts_with("4:") && lines[2].starts_with("6:") &&
                lines[3].starts_with("7:"));
}

TEST(ReadProject, SurvivesDeepKeysAndLongLines)
{
    std::string deep = "format=1\na";
    for (int i = 0; i < 200000; ++i) deep += ".a";
    EXPECT_THAT(said(read(deep + "=1\n")), testing::Contains(testing::HasSubstr("more than 64 parts")));
    EXPECT_THAT(said(read("format=1\nx=" + std::string(100000, '['))), testing::Contains(testing::HasSubstr("V102")));
}

TEST(ReadProject, ReadsListsOverSeveralLinesAndQuotesInsideLongTexts)
{
    const ProjectFile p =
        read("format=1\n[[room]]\ncorners = [\n  [0, 0],\n  [5, 0],\n  [5, 4],\n]\nnote = \"\"\"\nsay "
             "'hi' caf\xc3\xa9 \"\"\"\"\nname = 'x'\n");
    EXPECT_THAT(said(p), testing::IsEmpty());
    EXPECT_EQ((*p.input.rooms.at(0).corners).size(), 3u);
    EXPECT_EQ(*p.input.rooms[0].name, "x");
}

TEST(ReadProject, ReadsAByteOrderMarkAndCarriageReturns)
{
    EXPECT_THAT(said(read("\xEF\xBB\xBF"
                          "format = 1\r\n[site]\r\nlatitude = 5\r\n")),
                testing::IsEmpty());
}

TEST(ReadProject, TellsAMissingFolder)
{
    const ProjectFile p = read_project("/nowhere/at/all");
    ASSERT_EQ(p.problems.size(), 1u);
    EXPECT_EQ(p.problems[0].code, codes::file);
    EXPECT_THAT(in_words({p.problems.all()}, p.input.origins, p.sources),
                testing::HasSubstr("/nowhere/at/all: error V101: no such file"));
}

TEST(ReadFile, RefusesWhatIsTooLarge)
{
    const auto file = std::filesystem::temp_directory_path() / "venture_too_large.toml";
    std::ofstream{file} << "x";
    std::filesystem::resize_file(file, (16U << 20U) + 1);
    EXPECT_THAT(read_file(file).problem, testing::HasSubstr("more than"));
    std::filesystem::remove(file);
}

TEST(InWords, ShowsTheLineWithACaret)
{
    const ProjectFile p = read("format=1\n[[room]]\nheight = \"12 furlongs\"\n");
    const std::string words = in_words({p.problems.all()}, p.input.origins, p.sources);
    EXPECT_THAT(words, testing::HasSubstr("p.toml:3:10: error V106: height:"));
    EXPECT_THAT(words, testing::HasSubstr("    height = \"12 furlongs\"\n             ^\n"));
}

} // namespace
} // namespace venture::project
