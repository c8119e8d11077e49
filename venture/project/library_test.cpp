#include <gmock/gmock.h>

#include <venture/project/library.hpp>
#include <venture/project/read_project.hpp>
#include <venture/resolve/resolve.hpp>

namespace venture::project {
namespace {

constexpr const char* library = R"(format = 1
[[material]]
name = "oak"
conductivity = 0.18
density = 700
specific_heat = 1600
source = "measured by us"
[[material]]
name = "brick"
conductivity = 0.9
density = 1700
specific_heat = 1000
[[material]]
name = "lead"
conductivity = 35
density = 11300
specific_heat = 130
[[build_up]]
name = "oak wall"
layers = ["100 mm oak"]
[[glazing]]
name = "pane of ours"
u_value = 1.1
g_value = 0.5
)";

ProjectFile with(const std::string& project)
{
    ProjectFile out = read_project_text("format = 1\n" + project, "project.toml");
    take_from_library(out.input, out.problems, {"shipped", "library.toml", library});
    return out;
}

std::vector<std::string> names(const auto& records)
{
    std::vector<std::string> out;
    for (const auto& r : records) out.push_back(*r.name);
    return out;
}

TEST(ShippedLibrary, GivesWhatIsNamedAndWhatThatNamesInTurn)
{
    const ProjectFile p = with("[fabric]\noutside_wall = \"oak wall\"\n");
    EXPECT_THAT(p.problems, testing::IsEmpty());
    EXPECT_THAT(names(p.input.build_ups), testing::ElementsAre("oak wall"));
    EXPECT_THAT(names(p.input.materials), testing::ElementsAre("oak"));
    EXPECT_THAT(p.input.glazings, testing::IsEmpty());
    EXPECT_EQ(p.input.origins.describe(p.input.materials[0].conductivity.origin),
              "library 'shipped' (library.toml:4:16)");
}

TEST(ShippedLibrary, GivesTheMaterialsThatAWallInWordsStandsFor)
{
    ProjectFile p = read_project_text("format = 1\n[[build_up]]\nname = \"w\"\nmade_of = \"sheathing, 100 mm brick\"\n",
                                      "project.toml");
    take_from_library(p.input, p.problems,
                      {"shipped", "library.toml",
                       "format = 1\n[[material]]\nname = \"plywood\"\nconductivity = 0.13\ndensity = 500\n"
                       "specific_heat = 1600\n[[material]]\nname = \"softwood\"\nconductivity = 0.13\ndensity = 500\n"
                       "specific_heat = 1600\n"});
    EXPECT_THAT(names(p.input.materials), testing::ElementsAre("plywood"));
}

TEST(ShippedLibrary, GivesTheRoomTypesOfTheProjectsRegion)
{
    constexpr const char* types = "format = 1\n[[room_type]]\nname = \"office\"\nregion = \"Europe\"\nlighting = 8\n"
                                  "[[room_type]]\nname = \"office\"\nregion = \"North America\"\nlighting = 9\n"
                                  "[[room_type]]\nname = \"shop\"\nregion = \"Europe\"\nlighting = 15\n";
    const auto taken = [&](const std::string& text) {
        ProjectFile p = read_project_text("format = 1\n" + text, "project.toml");
        take_from_library(p.input, p.problems, {"shipped", "types.toml", types});
        return p.input;
    };
    const std::string room = "[[room]]\nname = \"A\"\ntype = \"office\"\n";
    const input::Input europe = taken("[project]\nregion = \"Europe\"\n" + room);
    ASSERT_THAT(names(europe.room_types), testing::ElementsAre("office"));
    EXPECT_EQ(*europe.room_types[0].use.lighting, 8.0);
    EXPECT_THAT(europe.offered.at("room_type"), testing::Contains("office (North America)"));
    EXPECT_THAT(names(taken(room).room_types), testing::IsEmpty()); // no region, no types
    const input::Input other =
        taken("[project]\nregion = \"Europe\"\n[[room]]\nname = \"A\"\ntype = \"office (North America)\"\n");
    ASSERT_THAT(names(other.room_types), testing::ElementsAre("office (North America)"));
    EXPECT_EQ(*other.room_types[0].use.lighting, 9.0);
    // what a type is for is no name of a type
    EXPECT_THAT(
        names(
            taken("[project]\nregion = \"Europe\"\n[[room_type]]\nname = \"kiosk\"\npurpose = \"shop\"\n").room_types),
        testing::ElementsAre("kiosk"));
    const input::Input like =
        taken("[project]\nregion = \"Europe\"\n[[room_type]]\nname = \"ours\"\nlike = \"office\"\n");
    EXPECT_THAT(names(like.room_types), testing::ElementsAre("ours", "office"));
}

TEST(ShippedLibrary, GivesNothingThatTheProjectHas)
{
    const ProjectFile p = with("[[material]]\nname = \"brick\"\nconductivity = 0.5\ndensity = 1500\nspecific_heat = "
                               "900\n[[build_up]]\nname = \"wall\"\nlayers = [\"100 mm brick\", \"1 mm lead\"]\n");
    ASSERT_THAT(names(p.input.materials), testing::ElementsAre("brick", "lead"));
    EXPECT_EQ(*p.input.materials[0].conductivity, 0.5);
}

TEST(ShippedLibrary, GivesNoProfileWhereTheProjectHasACalendarOfThatName)
{
    constexpr const char* hours = "format = 1\n[[profile]]\nname = \"office hours\"\nhours = [\"08-18\"]\n"
                                  "[[calendar]]\nname = \"office week\"\nrules = [\"every day: office hours\"]\n";
    const auto taken = [&](const std::string& text) {
        ProjectFile p = read_project_text("format = 1\n" + text, "project.toml");
        take_from_library(p.input, p.problems, {"shipped", "hours.toml", hours});
        return p.input;
    };
    const input::Input week = taken("[[room]]\nname = \"A\"\nhours = \"office week\"\n");
    EXPECT_THAT(names(week.calendars), testing::ElementsAre("office week"));
    EXPECT_THAT(names(week.profiles), testing::ElementsAre("office hours"));
    const input::Input own = taken("[[calendar]]\nname = \"office hours\"\nrules = [\"weekdays: 08-12\"]\n"
                                   "[[profile]]\nname = \"office week\"\nhours = [\"08-12\"]\n"
                                   "[[room]]\nname = \"A\"\nhours = \"office week\"\n");
    EXPECT_THAT(names(own.calendars), testing::ElementsAre("office hours"));
    EXPECT_THAT(names(own.profiles), testing::ElementsAre("office week"));
}

TEST(ShippedLibrary, GivesGlazingsToOpenings)
{
    const ProjectFile p = with("[[room]]\nname = \"r\"\n[[room.opening]]\nin = \"south\"\nglazing = \"pane of "
                               "ours\"\nwidth = 1\nheight = 1\n");
    EXPECT_THAT(names(p.input.glazings), testing::ElementsAre("pane of ours"));
}

TEST(ShippedLibrary, GivesNothingToWhoNamesNothing)
{
    const ProjectFile p = with("[[room]]\nname = \"oak wall\"\nnote = \"the oak wall of the pane of ours\"\n");
    EXPECT_THAT(p.input.materials, testing::IsEmpty());
    EXPECT_THAT(p.input.build_ups, testing::IsEmpty());
    EXPECT_THAT(p.input.glazings, testing::IsEmpty());
}

} // namespace
} // namespace venture::project
