/// Includes, tables and libraries: projects of several files, read from memory.

#include <algorithm>
#include <map>

#include <gmock/gmock.h>
#include <gtest/gtest.h>

#include <venture/project/read_project.hpp>
#include <venture/project/write_table.hpp>

namespace venture::project {
namespace {

using testing::Contains;
using testing::HasSubstr;
using testing::IsEmpty;

/// A project whose further files lie in memory.
struct Read {
    ProjectFile file;
    std::vector<std::string> said{};

    Read(const std::string& text, const std::map<std::string, std::string>& files)
        : file{read_project_text(text, "project.toml", [&](const std::filesystem::path& named) {
              const auto found = files.find(named.generic_string());
              return found == files.end() ? FileText{{}, "no such file or folder"} : FileText{found->second, {}};
          })}
    {
        for (const ProblemGroup& g : grouped(file.problems.all(), file.input.origins, file.sources))
            said.push_back(in_words(g, file.input.origins, file.sources));
    }
};

TEST(Include, AddsTheTablesOfFilesInTheirOrder)
{
    const Read r{"format = 1\ninclude = [\"b.toml\", \"rooms/c.toml\"]\n[[room]]\nname = \"A\"\n",
                 {{"b.toml", "include = \"d.toml\"\n[[room]]\nname = \"B\"\n"},
                  {"rooms/c.toml", "format = 1\n[[room]]\nname = \"C\"\n[site]\nlatitude = 5\n"},
                  {"d.toml", "[[room]]\nname = \"D\"\n"}}};
    EXPECT_THAT(r.said, IsEmpty());
    std::string names;
    for (const auto& room : r.file.input.rooms) names += *room.name;
    EXPECT_EQ(names, "ABDC");
    EXPECT_EQ(r.file.input.origins.describe(r.file.input.site.latitude.origin), "rooms/c.toml:5:12");
    EXPECT_EQ(r.file.sources.files().size(), 4u);
}

TEST(Include, TellsLoopsDoublesAndWhatIsMissing)
{
    const Read r{"format = 1\ninclude = [\"a.toml\", \"a.toml\", \"gone.toml\", \"./project.toml\"]\n",
                 {{"a.toml", "include = \"b.toml\"\n"}, {"b.toml", "include = \"a.toml\"\n"}}};
    EXPECT_THAT(r.said, Contains(HasSubstr("'a.toml' includes itself: project.toml -> a.toml -> b.toml -> a.toml")));
    EXPECT_THAT(r.said, Contains(HasSubstr("'a.toml' is included a second time")));
    EXPECT_THAT(r.said, Contains(HasSubstr("'gone.toml': no such file or folder")));
    EXPECT_THAT(r.said, Contains(HasSubstr("'project.toml' includes itself")));
}

TEST(Include, StaysInsideTheProject)
{
    for (const char* path : {"../a.toml", "x/../../a.toml", "/etc/a.toml", ""})
        EXPECT_THAT((Read{std::string{"format = 1\ninclude = \""} + path + "\"\n", {}}.said),
                    Contains(HasSubstr("V110")))
            << path;
}

TEST(Include, EndsBeforeAProjectFillsTheMemory)
{
    std::map<std::string, std::string> files;
    std::string list;
    for (const char* name : {"a", "b", "c", "d", "e"}) {
        files[name] = std::string(15U << 20U, '\n');
        list += std::string{list.empty() ? "\"" : ", \""} + name + "\"";
    }
    EXPECT_THAT((Read{"format = 1\ninclude = [" + list + "]\n", files}.said),
                Contains(HasSubstr("more than the 67108864 bytes that are read in all")));
}

TEST(Include, CannotGiveATableThatStandsOnceASecondTime)
{
    const Read r{"format = 1\ninclude = \"a.toml\"\n[site]\nlatitude = 5\n", {{"a.toml", "[site]\nlongitude = 5\n"}}};
    EXPECT_THAT(r.said, Contains(HasSubstr("[site] stands in two files")));
    EXPECT_THAT(r.said, Contains(HasSubstr("the first is at project.toml:3:1")));
}

TEST(Include, IsRefusedWhereThereIsNoFolder)
{
    const ProjectFile p = read_project_text("format = 1\ninclude = \"a.toml\"\n", "p.toml");
    ASSERT_EQ(p.problems.size(), 1u);
    EXPECT_THAT(p.problems[0].message, HasSubstr("no folder to look in"));
}

constexpr const char* rooms_table = "format = 1\n[[table]]\nfile = \"rooms.csv\"\nholds = \"room\"\n";

TEST(Table, FillsRecordsByColumnsInAnyOrderWithUnits)
{
    const Read r{rooms_table,
                 {{"rooms.csv", "height [ft],name,size x,size y [ft],people\n10,Hall,4.5,13,3\n\"3 "
                                "m\",\"=1+1, \"\"quoted\"\"\",2,2,\n"}}};
    EXPECT_THAT(r.said, IsEmpty());
    ASSERT_EQ(r.file.input.rooms.size(), 2u);
    const auto& hall = r.file.input.rooms[0];
    EXPECT_NEAR(*hall.height, 3.048, 1e-12);
    EXPECT_DOUBLE_EQ((*hall.size)[0], 4.5);
    EXPECT_NEAR((*hall.size)[1], 3.9624, 1e-12);
    EXPECT_DOUBLE_EQ(*hall.use.people, 3.0);
    EXPECT_EQ(r.file.input.origins.describe(hall.height.origin), "rooms.csv:2:1");
    EXPECT_EQ(*r.file.input.rooms[1].name, "=1+1, \"quoted\"");
    EXPECT_DOUBLE_EQ(*r.file.input.rooms[1].height, 3.0);
    EXPECT_FALSE(r.file.input.rooms[1].use.people); // an empty cell says nothing
}

TEST(Table, SaysHowItWasReadWhereThatWasDetected)
{
    const Read r{rooms_table, {{"rooms.csv", "name;height\n;ft\nHall;10,5\n"}}};
    EXPECT_THAT(r.said, Contains(HasSubstr("read with semicolons between cells, decimal commas, utf-8, two header")));
    EXPECT_NEAR(*r.file.input.rooms.at(0).height, 3.2004, 1e-12);
    const Read stated{std::string{rooms_table} + "separator = \"semicolon\"\ndecimal_mark = \"comma\"\nencoding = "
                                                 "\"utf-8\"\nheader_rows = 2\n",
                      {{"rooms.csv", "name;height\n;ft\nHall;10,234\n"}}};
    EXPECT_THAT(stated.said, IsEmpty());
}

TEST(Table, TellsEveryMistakeWithItsPlace)
{
    const Read r{rooms_table,
                 {{"rooms.csv", "name,hieght,people [K],size x,size x,corners\nHall,3,many,2,2,0 0|a\nB,1\n"}}};
    EXPECT_THAT(r.said, Contains(HasSubstr("rooms.csv:1:6: error V104: unknown column 'hieght'")));
    EXPECT_THAT(r.said, Contains(HasSubstr("rooms.csv:2:8: error V106: people: 'many' found")));
    EXPECT_THAT(r.said, Contains(HasSubstr("a second column is called 'size x'")));
    EXPECT_THAT(r.said, Contains(HasSubstr("rooms.csv:3: error V102: 2 cells where the header has 6")));
    EXPECT_THAT(r.said, Contains(HasSubstr("one of 'size x' and 'size y' is empty")));
    EXPECT_THAT(r.said, Contains(HasSubstr("corners: 'a' is no point of 2 numbers")));
    EXPECT_FALSE(r.file.input.rooms.at(0).size);
    EXPECT_TRUE(r.file.input.rooms[0].size.refused);
}

TEST(Table, HoldsListsOfTextsAndOtherRecords)
{
    const Read r{"format = 1\n[[table]]\nfile = \"b.csv\"\nholds = \"build_up\"\n",
                 {{"b.csv", "name,layers\nwall,102 mm brick | 80 mm foam\n"}}};
    EXPECT_THAT(r.said, IsEmpty());
    const auto& layers = *r.file.input.build_ups.at(0).layers;
    ASSERT_EQ(layers.size(), 2u);
    EXPECT_EQ(layers[1].text, "80 mm foam");
}

TEST(Table, EmptyOrMissingIsTold)
{
    EXPECT_THAT((Read{rooms_table, {{"rooms.csv", ""}}}.said), Contains(HasSubstr("the table is empty")));
    EXPECT_THAT((Read{rooms_table, {}}.said), Contains(HasSubstr("'rooms.csv': no such file")));
}

constexpr const char* with_library =
    "format = 1\n[[library]]\nname = \"office\"\nfile = \"../walls.toml\"\n[[material]]\n"
    "name = \"brick\"\nconductivity = 0.9\n";

TEST(Library, GivesRecordsWithItsNameAsTheirOrigin)
{
    const Read r{with_library, {{"../walls.toml", "[[material]]\nname = \"slate\"\nconductivity = 2\n"}}};
    EXPECT_THAT(r.said, IsEmpty());
    ASSERT_EQ(r.file.input.materials.size(), 2u);
    EXPECT_EQ(r.file.input.origins.describe(r.file.input.materials[1].conductivity.origin),
              "library 'office' (../walls.toml:3:16)");
    const SourceFile* source = r.file.sources.find("../walls.toml");
    ASSERT_NE(source, nullptr);
    EXPECT_EQ(source->role, FileRole::library);
    EXPECT_EQ(source->fingerprint.size(), 16u);
}

TEST(Library, IsOverruledByTheProjectsOwnRecordWithANote)
{
    const Read r{with_library, {{"../walls.toml", "[[material]]\nname = \"brick\"\nconductivity = 2\n"}}};
    ASSERT_EQ(r.file.input.materials.size(), 1u);
    EXPECT_DOUBLE_EQ(*r.file.input.materials[0].conductivity, 0.9);
    EXPECT_THAT(r.said,
                Contains(HasSubstr("note V409: material 'brick' stands instead of the one of library 'office'")));
}

TEST(Library, HoldsNoRooms)
{
    EXPECT_THAT((Read{with_library, {{"../walls.toml", "[[room]]\nname = \"x\"\n"}}}.said),
                Contains(HasSubstr("unknown key 'room' in a library")));
}

TEST(Text, ThatIsNoneIsToldOnce)
{
    const std::string binary{"PK\x03\x04\x00\x00\n\x01\n\x02", 10};
    EXPECT_THAT((Read{binary, {}}.said), testing::ElementsAre(HasSubstr("not a text: the byte 0x03")));
    const Read latin{"format = 1\n[project]\nname = \"caf\xe9\"\nclient = \"\xfc\"\nnumber = 5\n", {}};
    EXPECT_THAT(latin.said, Contains(HasSubstr("2 letters are not in UTF-8")));
    EXPECT_THAT(latin.said, Contains(HasSubstr("number: a text in quotes"))); // and reading goes on
}

TEST(Names, MayHoldBlanksAccentsQuotesAndSigns)
{
    const Read r{"format = 1\n[[room]]\nname = \"Caf\u00e9 'Mo\u00ebt'\"\n[[room]]\nname = '=1+1'\n[[room]]\nname = "
                 "\"a/b \\\"c\\\"\"\n",
                 {}};
    EXPECT_THAT(r.said, IsEmpty());
    EXPECT_EQ(*r.file.input.rooms.at(0).name, "Caf\u00e9 'Mo\u00ebt'");
    EXPECT_EQ(*r.file.input.rooms.at(1).name, "=1+1");
    EXPECT_EQ(*r.file.input.rooms.at(2).name, "a/b \"c\"");
}

/// Lines that have a room of their own say whose they are in another column.
TEST(Table, OfFacesTellsWhoseTheyAreBesideTheRoomBehind)
{
    const Read r{"format = 1\n[[room]]\nname = \"A\"\n[[room]]\nname = \"B\"\n"
                 "[[table]]\nfile = \"f.csv\"\nholds = \"face\"\n",
                 {{"f.csv", "of room,on,beyond,room\nA,east,a room,B\nB,west,a room,A\nB,roof,,\n"}}};
    EXPECT_THAT(r.said, IsEmpty());
    ASSERT_EQ(r.file.input.rooms.at(1).faces.size(), 2u);
    EXPECT_EQ(*r.file.input.rooms.at(0).faces.at(0).room, "B");
    const WrittenTable again = write_table(r.file.input, "face");
    EXPECT_EQ(again.csv, "of room,on,beyond,room\nA,east,a room,B\nB,west,a room,A\nB,roof,,\n");
    EXPECT_THAT(again.left, IsEmpty());
}

/// A table that was written reads as the same, whatever units the project's own numbers are in.
TEST(Table, ThatWasWrittenStatesTheUnitOfItsCorners)
{
    const std::string project = "format = 1\n[units]\ntyped = \"inch-pound\"\n";
    const Read typed{project + "[[room]]\nname = \"A\"\ncorners = [[0, 0], [10, 0], [10, 20]]\nheight = 9\n", {}};
    const Read again{project + "[[table]]\nfile = \"r.csv\"\nholds = \"room\"\n",
                     {{"r.csv", write_table(typed.file.input, "room").csv}}};
    ASSERT_EQ(again.file.input.rooms.size(), 1u);
    EXPECT_NEAR((*again.file.input.rooms[0].corners)[2].y_m, 20 * 0.3048, 1e-12);
    EXPECT_NEAR(*again.file.input.rooms[0].height, 9 * 0.3048, 1e-12);
}

/// Each file says for itself what its bare numbers are read in; libraries, and tables with units in their headings, are read
/// as ever.
TEST(TypedUnits, HoldForTheFileThatStatesThem)
{
    const Read r{
        "format = 1\ninclude = [\"b.toml\", \"c.toml\"]\n[units]\ntyped = \"inch-pound\"\n"
        "[site]\nwinter_dry_bulb = 14\nwinter_wind = 15\n"
        "[[room]]\nname = \"A\"\nheight = 10\nsize = [20, \"3 m\"]\ncorners = [[0, 0], [10, 0], [10, \"2 m\"]]\n"
        "[room.ground]\nwall_thickness = \"8\"\n"
        "[[library]]\nname = \"l\"\nfile = \"l.toml\"\n"
        "[[table]]\nfile = \"bare.csv\"\nholds = \"room\"\n[[table]]\nfile = \"with.csv\"\nholds = \"room\"\n",
        {{"b.toml", "[[room]]\nname = \"B\"\nheight = 3\n"},
         {"c.toml", "[units]\ntyped = \"length=cm\"\n[[room]]\nname = \"C\"\nheight = 250\n"},
         {"l.toml", "[[build_up]]\nname = \"wall\"\n[[material]]\nname = \"m\"\nconductivity = 1\n"},
         {"bare.csv", "name,height,corners,size x,size y\nD,10,0 0|10 0|10 10,10,3 m\n"},
         {"with.csv", "name,height [m],corners [m]\nE,3,0 0|3 0|3 3\n"}}};
    const input::Input& in = r.file.input;
    const auto room = [&](std::string_view name) -> const input::RoomInput& {
        return *std::ranges::find_if(in.rooms, [&](const auto& one) { return *one.name == name; });
    };
    EXPECT_NEAR(*in.site.winter_dry_bulb, -10.0, 1e-9);
    EXPECT_NEAR(*in.site.winter_wind, 15 * 0.44704, 1e-9);
    EXPECT_NEAR(*room("A").height, 3.048, 1e-9);
    EXPECT_NEAR((*room("A").size)[0], 6.096, 1e-9);
    EXPECT_NEAR((*room("A").size)[1], 3.0, 1e-9);
    EXPECT_NEAR((*room("A").corners)[2].x_m, 3.048, 1e-9);
    EXPECT_NEAR((*room("A").corners)[2].y_m, 2.0, 1e-9);
    EXPECT_NEAR(*room("B").height, 3.0, 1e-9);
    EXPECT_NEAR(*room("C").height, 2.5, 1e-9);
    EXPECT_NEAR(*room("D").height, 3.048, 1e-9);
    EXPECT_NEAR((*room("D").size)[0], 3.048, 1e-9);
    EXPECT_NEAR((*room("D").size)[1], 3.0, 1e-9);
    EXPECT_NEAR((*room("D").corners)[1].x_m, 3.048, 1e-9);
    EXPECT_NEAR(*room("E").height, 3.0, 1e-9);
    EXPECT_NEAR((*room("E").corners)[1].x_m, 3.0, 1e-9);
    EXPECT_NEAR(*in.materials.at(0).conductivity, 1.0, 1e-9);
    EXPECT_EQ(in.origins.describe(room("A").height.origin), "project.toml:10:10, read in ft");
    EXPECT_EQ(in.origins.describe(room("B").height.origin), "b.toml:3:10");
    EXPECT_EQ(in.origins.describe(room("D").height.origin), "bare.csv:2:3, read in ft");
    EXPECT_EQ(in.origins.describe(room("E").height.origin), "with.csv:2:3");
    EXPECT_THAT(r.said, Contains(HasSubstr("are read as 'inch-pound'")));
    EXPECT_THAT(r.said, Contains(HasSubstr("are read as 'length=cm'")));
}

TEST(TypedUnits, StandInTheWordsOfWhatIsWrong)
{
    const Read r{"format = 1\n[units]\ntyped = \"inch-pound\"\n[[room]]\nname = \"A\"\nheight = 1000\n", {}};
    EXPECT_THAT(r.said, Contains(HasSubstr("304.8 m is outside 0.3 m to 100 m")));
    EXPECT_THAT(r.said, Contains(HasSubstr("project.toml:6:10: error V107")));
    EXPECT_THAT(r.said, Contains(HasSubstr("is the unit right? \"1000 mm\" would be")));
    EXPECT_THAT(r.said, Contains(HasSubstr("read in ft: the number has no unit, and [units] typed says so")));
    const Read furlongs{"format = 1\n[units]\ntyped = \"inch-pound\"\n[[room]]\nheight = \"4 furlong\"\n", {}};
    EXPECT_THAT(furlongs.said, Contains(HasSubstr("m, cm, mm, ft, in, or a bare number in ft")));
    const Read wrong{"format = 1\n[units]\ntyped = \"feet\"\n", {}};
    EXPECT_THAT(wrong.said, Contains(HasSubstr("error V108: typed: 'feet' is no set of units")));
}

} // namespace
} // namespace venture::project
