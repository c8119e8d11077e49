/// Beginning: starters, and the room types that ship, through the real program.

#include <regex>

#include <gmock/gmock.h>
#include <gtest/gtest.h>

#include <house_project.hpp>

namespace venture {
namespace {

namespace fs = std::filesystem;
using testing::HasSubstr;
using testing::Not;

class Starters : public HouseProject {};

TEST_F(Starters, RunAtOnceWithoutAnythingToMend)
{
    for (const char* starter : {"empty", "dwelling", "offices", "school"}) {
        const Ran made = run(fmt::format("new my-{0} --starter {0}", starter));
        EXPECT_EQ(made.code, 0) << made.errors;
        EXPECT_THAT(made.out, HasSubstr(fmt::format("Wrote my-{}: project.toml", starter)));
        EXPECT_THAT(made.errors, Not(HasSubstr("warning"))) << starter;
        for (const char* command : {"loads", "size", "draw plan", "draw building"})
            EXPECT_EQ(run(fmt::format("{} my-{}", command, starter)).code, 0) << command << " " << starter;
    }
}

TEST_F(Starters, LeaveWhatSomeoneEdited)
{
    EXPECT_EQ(run("new mine").code, 0);
    append("mine/project.toml", "\n# mine\n");
    EXPECT_NE(run("new mine --starter school").code, 0);
    EXPECT_THAT(text_of(folder / "mine/project.toml"), HasSubstr("# mine"));
    EXPECT_EQ(run("new mine --starter school --force").code, 0);
    EXPECT_THAT(text_of(folder / "mine/project.toml"), HasSubstr("Classroom"));
    EXPECT_EQ(run("new other --starter palace").code, 2);
}

/// Air against heat against people: a room of each type that ships, uncooled, on a warm day, is neither too hot nor too
/// humid, and its air could carry off its gains.
TEST_F(Starters, RoomTypesThatShipMakeSenseByThemselves)
{
    for (const auto& [region, file] : {std::pair{"Europe", "europe"}, {"North America", "north_america"}}) {
        EXPECT_EQ(run(fmt::format("new {} --starter empty", file)).code, 0);
        replace(fmt::format("{}/project.toml", file), "region = \"Europe\"", fmt::format("region = \"{}\"", region));
        replace(fmt::format("{}/project.toml", file), "wet_bulb = 20", "wet_bulb = 18"); // the day adds no moisture
        const std::string types =
            text_of(fs::path{VENTURE_SOURCE_DIR} / fmt::format("data/library/room_types_{}.toml", file));
        const std::regex name{"\\[\\[room_type\\]\\]\nname = \"([^\"]*)\""};
        std::string rooms;
        double x = 100.0;
        for (std::sregex_iterator it{types.begin(), types.end(), name}, end; it != end; ++it, x += 10.0)
            rooms += fmt::format("\n[[room]]\nname = \"Room {0}\"\nstorey = \"ground\"\ntype = \"{0}\"\nat = [{1}, 0]\n"
                                 "size = [5, 6]\n",
                                 (*it)[1].str(), x);
        append(fmt::format("{}/project.toml", file), rooms);
        const Ran ran = run(fmt::format("loads {}", file));
        EXPECT_EQ(ran.code, 0) << ran.errors;
        EXPECT_GT(x, 400.0); // types were found
        for (const char* code : {"V432", "V433", "V439"}) EXPECT_THAT(ran.errors, Not(HasSubstr(code))) << region;
    }
}

/// The type's "school week" ships; a calendar of that name in the project stands instead, for all rooms of such types.
TEST_F(Starters, TypesGoByTheProjectsCalendarInPlaceOfTheOneThatShips)
{
    const auto hours = [&](const std::string& project, const std::string& calendar) {
        const nlohmann::json checked = run_json("check " + project + " --json");
        for (const auto& c : checked["hours"])
            if (c["name"] == calendar) return std::pair{c["aug"].get<double>(), c["sep"].get<double>()};
        return std::pair{-1.0, -1.0};
    };
    EXPECT_EQ(run("new school --starter school").code, 0);
    EXPECT_EQ(run("new offices --starter offices").code, 0);
    EXPECT_EQ(hours("school", "school week").first, 0.0);
    EXPECT_NEAR(hours("school", "school week").second, 20 * 6.5, 1e-9); // lessons on weekdays of September 2029
    EXPECT_NEAR(hours("offices", "office week").first, 23 * 9.0, 1e-9);
    EXPECT_THAT(run("explain offices \"office week\"").out, HasSubstr("Monday to Friday: office hours"));
    EXPECT_THAT(run("check offices").out, HasSubstr("office week"));
    EXPECT_THAT(run("library week").out, HasSubstr("every day: never; Monday to Saturday: shop hours"));
}

TEST_F(Starters, TypesFollowWhenTheyChangeAndRegionsDiffer)
{
    EXPECT_EQ(run("new school --starter school").code, 0);
    const auto people = [&](const std::string& set) {
        const nlohmann::json checked = run_json("check school --json " + set);
        for (const auto& room : checked["room"])
            if (room["room"] == "Classroom 3") return room["people"].get<double>();
        return -1.0;
    };
    EXPECT_NEAR(people(""), 31.5, 1e-9);
    EXPECT_NEAR(people("--set project/region=\"North America\""), 63 / 2.86, 1e-9);
    EXPECT_NEAR(people("--set \"room/Classroom 1/area_per_person=4.5\""), 14.0, 1e-9);
    const Ran mixed = run("check school --set \"room/Staff/type=staff room (North America)\"");
    EXPECT_THAT(mixed.errors, HasSubstr("room 'Staff' has the usual values of North America"));
    append("school/project.toml", "\n[[room_type]]\nname = \"classroom\"\narea_per_person = 3\n"
                                  "ventilation_per_person = \"7 L/s\"\n"); // the project's own stands instead
    EXPECT_NEAR(people(""), 21.0, 1e-9);
    EXPECT_NEAR(people("--set \"room_type/classroom/area_per_person=7\""), 9.0, 1e-9);
    EXPECT_NEAR(people("--set \"room/Classroom 1/area_per_person=4.5\""), 14.0, 1e-9); // what a room types goes before
    const Ran library = run("library classroom");
    EXPECT_THAT(library.out, HasSubstr("science classroom"));
    EXPECT_THAT(run("library \"single office\"").out, HasSubstr("EN 15251"));
}

} // namespace
} // namespace venture
