/// The schedule as the program tells it: tags that stay, columns of one's own, units on the plan.

#include <filesystem>

#include <fmt/format.h>
#include <gmock/gmock.h>
#include <gtest/gtest.h>
#include <nlohmann/json.hpp>

#include <project_folder.hpp>
#include <venture/catalogue/shipped.hpp>

namespace venture {
namespace {

namespace fs = std::filesystem;
using nlohmann::json;
using testing::HasSubstr;
using testing::Not;

class Schedule : public ProjectFolder {
protected:
    Schedule() : ProjectFolder{"schedule"} { write("project.toml", house_); }

    [[nodiscard]] Ran run(const std::string& arguments) const { return run_program(arguments, folder_); }
    [[nodiscard]] json schedule(const std::string& more = "") const
    {
        const Ran r = run("schedule . --json " + more);
        EXPECT_LE(r.code, 1) << r.errors;
        return json::parse(r.out).at("schedule");
    }
    /// Tags of a room's things.
    [[nodiscard]] std::vector<std::string> tags_of(const std::string& room) const
    {
        std::vector<std::string> out;
        for (const json& item : schedule())
            if (item.at("place") == room) out.push_back(item.at("tag"));
        return out;
    }
    [[nodiscard]] std::string tags() const { return text_of(folder_ / "tags.csv"); }
    void replace(const std::string& from, const std::string& to) const
    {
        std::string text = text_of(folder_ / "project.toml");
        const auto at = text.find(from);
        ASSERT_NE(at, std::string::npos) << from;
        text.replace(at, from.size(), to);
        write("project.toml", text);
    }

    std::string house_ = R"(format = 1
[project]
name = "Two rooms and a hall"
[site]
latitude = 52
longitude = 5
time_zone = 1
winter_dry_bulb = -7
winter_ground = 8
[fabric]
outside_wall = "masonry wall, insulated outside"
inner_wall = "block partition, plastered"
roof = "flat roof, warm, on concrete"
ground_floor = "ground floor, insulated under the slab"
[[storey]]
name = "ground"
level = 0
height = 3
[[room]]
name = "Study"
storey = "ground"
at = [0, 0]
size = [5, 4]
heating_setpoint = 20
  [[room.opening]]
  in = "south"
  width = 1.6
  height = 1.2
  sill = 0.9
  glazing = "double, low-emissivity, argon"
[[room]]
name = "Store"
storey = "ground"
at = [5, 0]
size = [4, 4]
heating_setpoint = 16
[[plant]]
name = "boiler"
kind = "boiler"
[[circuit]]
name = "radiators"
carries = "heating"
unit = "radiator"
supply = 70
return = 55
)";
};

TEST_F(Schedule, ListsEachThingWithATagThatIsKept)
{
    const Ran first = run("schedule .");
    EXPECT_EQ(first.code, 0) << first.errors;
    EXPECT_THAT(first.out, HasSubstr("RAD-0-01"));
    EXPECT_THAT(first.out, HasSubstr("window in south wall"));
    EXPECT_THAT(first.out, HasSubstr("written to tags.csv"));
    const std::string issued = tags();
    EXPECT_THAT(issued, HasSubstr("RAD-0-01,radiator,Study,window in south wall,"));
    const Ran again = run("schedule .");
    EXPECT_THAT(again.out, Not(HasSubstr("new tag")));
    EXPECT_EQ(tags(), issued);
}

TEST_F(Schedule, TellsWhatIsAskedBesideWhatWasChosen)
{
    for (const json& item : schedule("")) {
        if (item.at("kind") != "radiator") continue;
        EXPECT_GE(item.at("heating_gives").get<double>(), item.at("heating_needs").get<double>() * (1.0 - 1e-9));
        // Throttled to what is needed it cools its water further.
        EXPECT_LE(item.at("return").get<double>(), 55.0 + 1e-6);
        EXPECT_NEAR(item.at("water").get<double>() * 1000.0 * 4186.0 * (70.0 - item.at("return").get<double>()),
                    item.at("heating_needs").get<double>(), 0.01 * item.at("heating_needs").get<double>());
    }
}

TEST_F(Schedule, KeepsTagsWhenARoomComesBetweenAStoreyIsRenamedAndAProductChanges)
{
    const auto study = tags_of("Study"), store = tags_of("Store");
    ASSERT_FALSE(study.empty());
    replace("[[room]]\nname = \"Store\"",
            "[[room]]\nname = \"Attic\"\nstorey = \"ground\"\nat = [0, 4]\nsize = [9, 3]\nheating_setpoint = 18\n"
            "[[room]]\nname = \"Store\"");
    EXPECT_EQ(tags_of("Study"), study);
    EXPECT_EQ(tags_of("Store"), store);
    const auto attic = tags_of("Attic");
    for (const std::string& tag : attic) EXPECT_THAT(study, Not(testing::Contains(tag)));
    for (int i = 0; i < 4; ++i) {
        std::string text = text_of(folder_ / "project.toml");
        if (const auto at = text.find("\"ground\""); at != std::string::npos) text.replace(at, 8, "\"low\"");
        write("project.toml", text);
    }
    EXPECT_EQ(tags_of("Study"), study);
    EXPECT_EQ(tags_of("Attic"), attic);
    replace("supply = 70", "supply = 55");
    replace("return = 55", "return = 45");
    const auto larger = tags_of("Study");
    EXPECT_EQ(larger.front(), study.front());
}

TEST_F(Schedule, TakesColumnsOfOnesOwnAlong)
{
    (void)run("schedule .");
    std::string text = tags();
    text.replace(text.find("state"), 5, "state,supplier");
    text.replace(text.find("south wall,"), 11, "south wall,,Ash & Sons");
    write("tags.csv", text);
    replace("heating_setpoint = 20", "heating_setpoint = 22"); // another choice
    const Ran shown = run("schedule .");
    EXPECT_THAT(shown.out, HasSubstr("supplier"));
    EXPECT_THAT(shown.out, HasSubstr("Ash & Sons"));
    EXPECT_THAT(tags(), HasSubstr("Ash & Sons"));
    for (const char* form : {"csv", "html", "xlsx"}) {
        const Ran r = run(fmt::format("schedule . -o list.{}", form));
        EXPECT_EQ(r.code, 0) << r.errors;
        EXPECT_TRUE(fs::exists(folder_ / fmt::format("list.{}", form)));
    }
    EXPECT_THAT(text_of(folder_ / "list.csv"), HasSubstr("Ash & Sons"));
}

TEST_F(Schedule, GoesAlongWithAPackedProject)
{
    const auto study = tags_of("Study");
    EXPECT_EQ(run("pack . -o copy").code, 0);
    EXPECT_EQ(text_of(folder_ / "copy/tags.csv"), tags());
}

TEST_F(Schedule, IssuesNoTagsForWhatIsOnlyTried)
{
    const Ran r = run("schedule . --set room/Study/heating_setpoint=22");
    EXPECT_EQ(r.code, 0) << r.errors;
    EXPECT_FALSE(fs::exists(folder_ / "tags.csv"));
    EXPECT_THAT(r.out, HasSubstr("for this run only"));
}

TEST_F(Schedule, LeavesAFileThatIsNoListOfTagsAsItIs)
{
    write("tags.csv", "my own,notes\n1,2\n");
    const Ran r = run("schedule .");
    EXPECT_EQ(r.code, 2);
    EXPECT_THAT(r.errors, HasSubstr("no column 'tag'"));
    EXPECT_EQ(tags(), "my own,notes\n1,2\n");
}

TEST_F(Schedule, IsOfOneKindIfAsked)
{
    const Ran r = run("schedule . radiator");
    EXPECT_THAT(r.out, Not(HasSubstr("BLR-01")));
    const Ran plant = run("schedule . boilers --grouped");
    EXPECT_THAT(plant.out, HasSubstr("BLR-01"));
    EXPECT_THAT(plant.out, Not(HasSubstr("RAD-")));
    const Ran none = run("schedule . stove");
    EXPECT_EQ(none.code, 2);
    EXPECT_THAT(none.errors, HasSubstr("there are: radiator, fan coil, convector"));
}

TEST_F(Schedule, StandsOnThePlan)
{
    (void)run("schedule .");
    const Ran r = run("draw plan . --tags -o plan.svg");
    EXPECT_EQ(r.code, 0) << r.errors;
    EXPECT_GT(text_of(folder_ / "plan.svg").size(),
              run("draw plan . -o bare.svg").code == 0 ? text_of(folder_ / "bare.svg").size() : 0);
}

TEST_F(Schedule, OfTypedLoadsIsNotPlaced)
{
    write("loads.csv", "room,heating [W],sensible cooling\nOffice 1,900,0\nOffice 2,1400,0\n");
    const Ran r = run("schedule loads.csv --json");
    EXPECT_LE(r.code, 1) << r.errors;
    for (const json& item : json::parse(r.out).at("schedule"))
        if (item.at("kind") == "radiator") {
            EXPECT_EQ(item.at("where"), "not placed");
        }
}

TEST_F(Schedule, RejectedOnesNameTheirCriterion)
{
    write("wanted.toml",
          "format = 1\n[[choosing]]\nunit = \"radiator\"\nmost_height = \"400 mm\"\nfamilies = [\"Lean\"]\n");
    const Ran r = run("size . --room Study --rejected --with wanted.toml");
    EXPECT_LE(r.code, 1) << r.errors;
    EXPECT_THAT(r.out, HasSubstr("mm high, at most 400 mm"));
    EXPECT_THAT(r.out, HasSubstr("of the family Broad"));
    EXPECT_THAT(r.out, HasSubstr("How far the need may move"));
    EXPECT_EQ(run("size . --rejected").code, 2);
}

} // namespace
} // namespace venture
