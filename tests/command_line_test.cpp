/// The real program: what it prints, what it writes, how it ends.

#include <algorithm>
#include <filesystem>
#include <fstream>
#include <random>
#include <sstream>

#include <fmt/format.h>
#include <gmock/gmock.h>
#include <gtest/gtest.h>
#include <nlohmann/json.hpp>

#include <program.hpp>
#include <venture/catalogue/shipped.hpp>

namespace venture {
namespace {

namespace fs = std::filesystem;
using nlohmann::json;
using testing::HasSubstr;
using testing::Not;

class CommandLine : public testing::Test {
protected:
    void SetUp() override
    {
        folder =
            fs::temp_directory_path() /
            fmt::format("venture_cli_{}_{}", testing::UnitTest::GetInstance()->current_test_info()->name(), ::getpid());
        fs::remove_all(folder);
        fs::create_directories(folder);
    }
    void TearDown() override { fs::remove_all(folder); }

    Ran run(const std::string& arguments, const std::string& program = VENTURE_PROGRAM) const
    {
        return run_program(arguments, folder, program);
    }

    json run_json(const std::string& arguments, int expected_code = 0) const
    {
        const Ran r = run(arguments);
        EXPECT_EQ(r.code, expected_code) << r.errors;
        json doc = json::parse(r.out, nullptr, false);
        EXPECT_FALSE(doc.is_discarded()) << r.out;
        return doc;
    }

    void write(const fs::path& name, const std::string& text) const
    {
        fs::create_directories((folder / name).parent_path());
        std::ofstream{folder / name, std::ios::binary} << text;
    }
    /// A shipped project, with changes to its text.
    void write_project(const std::string& name,
                       const std::vector<std::pair<std::string, std::string>>& changes = {}) const
    {
        std::string text{catalogue::shipped_file(name + "/project.toml")};
        for (const auto& [from, to] : changes) {
            const auto at = text.find(from);
            ASSERT_NE(at, std::string::npos) << from;
            text.replace(at, from.size(), to);
        }
        write(name + "/project.toml", text);
        write(name + "/monthly_means.csv", std::string{catalogue::shipped_file(name + "/monthly_means.csv")});
    }

    fs::path folder;
};

TEST_F(CommandLine, OffersTheNearestCommandOptionAndKey)
{
    const auto told = [&](const std::string& arguments) {
        const Ran r = run(arguments);
        EXPECT_EQ(r.code, 2) << arguments;
        return r.errors;
    };
    EXPECT_THAT(told("load demo"), HasSubstr("'load': did you mean 'loads'?"));
    EXPECT_THAT(told("loads demo --jsn"), HasSubstr("'--jsn': did you mean '--json'?"));
    EXPECT_THAT(told("draw plam demo"), HasSubstr("'plam': did you mean 'plan'?"));
    EXPECT_THAT(told("loads"), Not(HasSubstr("did you mean")));
    EXPECT_THAT(told("explain setback"), HasSubstr("heating_setback"));
    EXPECT_THAT(told("explain heigth"), HasSubstr("did you mean 'height'?"));
}

TEST_F(CommandLine, HelpsANewcomer)
{
    const Ran r = run("--help");
    EXPECT_EQ(r.code, 0);
    for (const char* word : {"venture demo", "check", "loads", "size", "draw", "project.toml", "Exit codes"})
        EXPECT_THAT(r.out, HasSubstr(word));
    EXPECT_THAT(run("size --help").out, HasSubstr("--set"));
    EXPECT_THAT(run("--version").out, HasSubstr("Venture 0."));
}

TEST_F(CommandLine, RefusesWordsThatItDoesNotKnow)
{
    EXPECT_EQ(run("").code, 2);
    EXPECT_EQ(run("frobnicate").code, 2);
    EXPECT_EQ(run("loads").code, 2);
    EXPECT_EQ(run("loads x --step 7").code, 2);
}

TEST_F(CommandLine, RunsTheDemoAndSaysWhatItWrote)
{
    const Ran r = run("demo station");
    EXPECT_EQ(r.code, 0) << r.errors;
    EXPECT_THAT(r.out, HasSubstr("Kestrel Point"));
    EXPECT_THAT(r.out, HasSubstr("Try next:"));
    for (const char* file : {"project.toml", "loads.csv", "results/check.txt", "results/loads.txt", "results/loads.csv",
                             "results/loads.json", "results/loads.xlsx", "results/size.txt", "results/size.json",
                             "results/plan.svg", "results/plan.png", "results/plan.pdf"})
        EXPECT_TRUE(fs::exists(folder / "station" / file)) << file;
}

TEST_F(CommandLine, RunsEverythingThatTheDemoSuggests)
{
    std::istringstream lines{run("demo station").out};
    int tried = 0;
    for (std::string line; std::getline(lines, line);) {
        const auto at = line.find("  venture ");
        if (at != 0 || line.starts_with("  venture watch")) continue; // that one runs until it is stopped
        std::string command = line.substr(10);
        command = command.substr(0, command.find("   "));
        EXPECT_EQ(run(command).code, 0) << command;
        ++tried;
    }
    EXPECT_GE(tried, 3);
}

TEST_F(CommandLine, WritesTheSameBytesTwiceAndLeavesEditedFilesAlone)
{
    EXPECT_EQ(run("demo station").code, 0);
    std::map<std::string, std::string> first;
    for (const auto& entry : fs::recursive_directory_iterator{folder / "station"})
        if (entry.is_regular_file()) first[entry.path()] = text_of(entry.path());
    EXPECT_EQ(run("demo station").code, 0);
    for (const auto& [file, text] : first) EXPECT_EQ(text_of(file), text) << file;
    write("station/project.toml", first[folder / "station/project.toml"] + "# mine\n");
    const Ran again = run("demo station");
    EXPECT_EQ(again.code, 3);
    EXPECT_THAT(again.errors, HasSubstr("was changed since Venture wrote it"));
    EXPECT_THAT(text_of(folder / "station/project.toml"), HasSubstr("# mine"));
}

TEST_F(CommandLine, ChecksBothProjectsWithoutAComplaint)
{
    for (const char* name : {"demo", "house"}) {
        write_project(name);
        const Ran r = run(fmt::format("check {}", name));
        EXPECT_EQ(r.code, 0);
        EXPECT_EQ(r.errors, "") << name;
        EXPECT_THAT(r.out, HasSubstr("W/m2K"));
    }
}

TEST_F(CommandLine, SizesTheHouse)
{
    write_project("house");
    const json size = run_json("size house --json");
    EXPECT_EQ(size["unit"].size(), 6u);
    EXPECT_EQ(size["plant"].size(), 1u);
    EXPECT_TRUE(size["plant"][0]["met"].get<bool>());
    double sum = 0.0;
    for (const json& unit : size["unit"]) sum += unit["needs"].get<double>();
    EXPECT_NEAR(size["plant"][0]["rooms_need"].get<double>(), sum, 1e-6);
}

TEST_F(CommandLine, GivesLoadsAsJsonThatAddUp)
{
    write_project("demo");
    const json loads = run_json("loads demo --json");
    double heating = 0.0;
    for (const json& room : loads["room_load"]) heating += room.value("heating", 0.0);
    const json& all = loads["building_load"][0];
    EXPECT_EQ(all["of"], "all rooms");
    EXPECT_NEAR(all["heating"].get<double>(), heating, 1e-6);
    EXPECT_LE(all["cooling"].get<double>(), all["single_peaks"].get<double>());
    for (const json& run : loads["design_run"]) EXPECT_TRUE(run["periodic"].get<bool>());
    EXPECT_TRUE(run_json("check demo --json").contains("surface"));
}

TEST_F(CommandLine, TakesARoomApart)
{
    write_project("demo");
    const Ran r = run("loads demo --room \"Operations room\"");
    EXPECT_EQ(r.code, 0);
    EXPECT_THAT(r.out, HasSubstr("north wall to outdoors"));
    EXPECT_THAT(r.out, HasSubstr("sensible cooling that balances it"));
    const Ran wrong = run("loads demo --room Operatons");
    EXPECT_EQ(wrong.code, 2);
    EXPECT_THAT(run("loads demo --room \"Boat hal\"").errors, HasSubstr("did you mean 'Boat hall'?"));
}

/// Any hour of any design day, and the 24 hours that one path's load adds up from.
TEST_F(CommandLine, TakesARoomApartInAnHourThatIsAskedFor)
{
    write_project("demo");
    const json doc = run_json("explain demo Galley --at \"winter 7 h\" --terms ventilation --json");
    double sum = 0.0, felt = 0.0;
    for (const json& path : doc["load_path"])
        if (path["path"] == "ventilation") sum += path["load"].get<double>();
    ASSERT_EQ(doc["path_term"].size(), 24U);
    for (const json& term : doc["path_term"]) {
        felt += term["load"].get<double>();
        EXPECT_NEAR(term["warmer"].get<double>() * term["per_degree"].get<double>(), term["load"].get<double>(), 1e-9);
    }
    EXPECT_NEAR(felt, sum, 1e-3);
    EXPECT_THAT(run("loads demo --room \"Operations room\" --at \"July wet bulb 15-16 h\"").out,
                HasSubstr("July wet bulb 15-16 h"));
    EXPECT_THAT(run("loads demo --room Store --at \"July 15\" --terms lighting").out, HasSubstr("warmer by this path"));
    EXPECT_THAT(run("loads demo --room Galley --at \"Sunday 15\"").errors, HasSubstr("there are: winter, March"));
    EXPECT_THAT(run("loads demo --room Galley --at \"July 24\"").errors, HasSubstr("no hour of a design day"));
    EXPECT_THAT(run("loads demo --room Galley --terms infiltraton").errors, HasSubstr("did you mean 'infiltration'"));
    EXPECT_EQ(run("loads demo --at \"July 15\"").code, 2);
    EXPECT_EQ(run("loads demo --room Galley --at \"July 15\" --by-source").code, 2);
    EXPECT_EQ(run("explain demo height --arithmetic").code, 2);
}

TEST_F(CommandLine, ChangesOneValueForOneRun)
{
    write_project("house");
    const double before = run_json("loads house --json")["building_load"][0]["heating"];
    const double after =
        run_json("loads house --json --set 'site/winter_dry_bulb=-10 degC'")["building_load"][0]["heating"];
    EXPECT_GT(after, 1.2 * before);
    EXPECT_EQ(run("loads house --set 'room/Kitchn/height=3'").code, 2);
    EXPECT_THAT(run("loads house --set 'room/Kitchn/height=3'").errors, HasSubstr("did you mean 'Kitchen'?"));
    EXPECT_EQ(run("loads house --set nonsense").code, 2);
}

TEST_F(CommandLine, ChoosesFromATableOfTypedLoadsAndSaysThatTheyWereTyped)
{
    write("loads.csv", std::string{catalogue::shipped_file("demo/loads.csv")});
    const Ran r = run("size loads.csv");
    EXPECT_EQ(r.code, 0) << r.errors;
    EXPECT_THAT(r.out, HasSubstr("The loads of 4 of 4 rooms were TYPED"));
    EXPECT_THAT(r.out, HasSubstr("these were assumed: 20 degC in heated rooms"));
    EXPECT_THAT(r.errors, HasSubstr("radiators at 70/55"));
    EXPECT_EQ(run("loads loads.csv").code, 2);
    EXPECT_EQ(run("draw plan loads.csv").code, 2);
}

TEST_F(CommandLine, AsksTheSameForTypedLoadsAsForComputedOnes)
{
    write_project("house"); // its circuits go with the typed loads below
    const json computed = run_json("size house --json --set \"circuit/radiators/radiant_share=0\""); // as typed ones
    write("typed/loads.csv", run("loads house --csv").out);
    std::string services{catalogue::shipped_file("house/project.toml")};
    write("typed/project.toml", "format = 1\n[project]\nname = \"typed\"\n[loads]\ntable = \"loads.csv\"\n" +
                                    services.substr(services.find("[[plant]]")));
    const json typed = run_json("size typed --json");
    ASSERT_EQ(typed["unit"].size(), computed["unit"].size());
    for (std::size_t i = 0; i < typed["unit"].size(); ++i) {
        EXPECT_NEAR(typed["unit"][i]["needs"].get<double>(), computed["unit"][i]["needs"].get<double>(), 0.001);
        EXPECT_EQ(typed["unit"][i]["loads"], "typed");
    }
    EXPECT_EQ(typed["plant"][0]["product"], computed["plant"][0]["product"]);
}

TEST_F(CommandLine, ChoosesTheSameFanCoilsForTypedLoadsAsForComputedOnes)
{
    write_project("demo");
    const json computed = run_json("size demo --json --set \"circuit/radiators/radiant_share=0\"");
    write("typed/loads.csv", run("loads demo --csv").out);
    std::string services{catalogue::shipped_file("demo/project.toml")};
    write("typed/project.toml", "format = 1\n[project]\nname = \"typed\"\n[loads]\ntable = \"loads.csv\"\n" +
                                    services.substr(services.find("[[plant]]")));
    const json typed = run_json("size typed --json");
    ASSERT_EQ(typed["unit"].size(), computed["unit"].size());
    for (std::size_t i = 0; i < typed["unit"].size(); ++i) {
        if (typed["unit"][i]["duty"] != "cooling") continue; // radiators stand somewhere only where there is a plan
        EXPECT_EQ(typed["unit"][i]["product"], computed["unit"][i]["product"]) << typed["unit"][i]["room"];
        EXPECT_EQ(typed["unit"][i]["count"], computed["unit"][i]["count"]);
    }
}

TEST_F(CommandLine, LaysTypedLoadsOverComputedOnesRoomByRoom)
{
    write_project("house", {{"format = 1", "format = 1\n[loads]\ntable = \"typed.csv\""}});
    write("house/typed.csv", "room,heating [kW],sensible cooling\nKitchen,9,0\n");
    const Ran r = run("size house");
    EXPECT_THAT(r.out, HasSubstr("The loads of 1 of 6 rooms were TYPED"));
    EXPECT_THAT(r.errors, HasSubstr("loads of 'Kitchen' were typed and stand instead of the computed ones"));
    EXPECT_THAT(run("loads house").out, HasSubstr("9000"));
}

TEST_F(CommandLine, RatesAKeptProductAndEndsWith1WhenItNoLongerSuffices)
{
    const std::string kept = "[[kept]]\nserves = \"Bathroom\"\nduty = \"heating\"\nproduct = \"Foxmill Lean "
                             "300/400\"\nchosen_for = \"100 W\"\n";
    write_project("house", {{"[[plant]]", kept + "[[plant]]"}});
    const Ran r = run("size house");
    EXPECT_EQ(r.code, 1);
    EXPECT_THAT(r.out, HasSubstr("Foxmill Lean 300/400 (kept)"));
    EXPECT_THAT(r.errors, HasSubstr("% short; the duty was 0.10 kW when it was settled on"));
    const json size = run_json("size house --json", 1);
    for (const json& unit : size["unit"]) EXPECT_EQ(unit["met"].get<bool>(), unit["room"] != "Bathroom") << unit;
}

TEST_F(CommandLine, EndsWith1WhenNothingSuffices)
{
    write_project("house", {{"supply = \"60 degC\"", "supply = \"23 degC\""},
                            {"return = \"50 degC\"", "return = \"22.5 degC\""}});
    const Ran r = run("size house");
    EXPECT_EQ(r.code, 1);
    EXPECT_THAT(r.out, HasSubstr("NOTHING SUFFICES"));
}

TEST_F(CommandLine, MakesWarningsCountWhenStrict)
{
    write_project("house", {{"ventilation_rate = 0.5", "ventilation_rate = 0"}});
    EXPECT_EQ(run("check house").code, 0);
    EXPECT_EQ(run("check house --strict").code, 1);
    EXPECT_THAT(run("check house").errors, HasSubstr("warning V402"));
}

TEST_F(CommandLine, DrawsTheBuildingInSpaceAsOnePage)
{
    write_project("house");
    const Ran r = run("draw building house");
    EXPECT_EQ(r.code, 0) << r.errors;
    const std::string page = text_of(folder / "house/results/building.html");
    EXPECT_TRUE(page.starts_with("<!DOCTYPE html>"));
    EXPECT_TRUE(page.ends_with("</html>\n"));
    write("taken.html", "someone's");
    EXPECT_EQ(run("draw building house -o taken.html").code, 3);
    EXPECT_EQ(run("draw building house -o taken.html --force").code, 0);
    EXPECT_EQ(run("draw building loads.csv").code, 2);
}

struct BadProject {
    const char *name, *from, *to, *says;
};

class BadProjects : public CommandLine, public testing::WithParamInterface<BadProject> {};

TEST_P(BadProjects, EndWith2AndPlaceWordsAndHint)
{
    write_project("house", {{GetParam().from, GetParam().to}});
    for (const char* command : {"check house", "loads house", "size house"}) {
        const Ran r = run(command);
        EXPECT_EQ(r.code, 2);
        EXPECT_THAT(r.errors, testing::AllOf(HasSubstr(GetParam().says), HasSubstr("nothing was computed")));
        EXPECT_THAT(r.errors, Not(HasSubstr("same place"))); // which only follows from what could not be read
    }
    EXPECT_FALSE(run_json("size house --json", 2)["problems"].empty());
}

INSTANTIATE_TEST_SUITE_P(
    Corpus, BadProjects,
    testing::Values(
        BadProject{"typo", "winter_dry_bulb", "winter_dry_blub", "did you mean 'winter_dry_bulb'?"},
        BadProject{"furlongs", "height = 2.7", "height = \"12 furlongs\"",
                   "height: the unit 'furlongs' found, expected length in m, cm, mm, ft, in, or a bare number in m"},
        BadProject{"build_up", "outside_wall = \"filled cavity wall\"", "outside_wall = \"filled cavity wal\"",
                   "no build-up is called 'filled cavity wal'"},
        BadProject{"material", "215 mm facing brick\"", "215 mm facing brik\"", "did you mean 'facing brick'?"},
        BadProject{"syntax", "level = 2.7", "level = = 2.7", "project.toml:137:9: error V102"},
        BadProject{"plant", "plant = \"boiler\"", "plant = \"biler\"", "no plant is called 'biler'"}),
    [](const auto& tested) { return tested.param.name; });

TEST_F(CommandLine, TellsAllMistakesOfAProjectAtOnce)
{
    write_project("house", {{"latitude = 52.1", "latitude = 152.1"},
                            {"height = 2.7", "height = \"12 furlongs\""},
                            {"\"215 mm facing brick\"", "\"215 mm facing brik\""},
                            {"glazing = \"double, low", "glazing = \"duoble, low"}});
    const Ran r = run("check house");
    EXPECT_EQ(r.code, 2);
    for (const char* words : {"latitude: 152.1 deg is outside", "furlongs", "'facing brik'"})
        EXPECT_THAT(r.errors, HasSubstr(words));
    EXPECT_THAT(r.errors, Not(HasSubstr("has no 'height'"))); // it is there, only unreadable
}

TEST_F(CommandLine, TellsMisspeltNamesBesideABrokenLine)
{
    write_project("house", {{"level = 2.7", "level = = 2.7"}, {"\"215 mm facing brick\"", "\"215 mm facing brik\""}});
    const Ran r = run("check house");
    EXPECT_EQ(r.code, 2);
    EXPECT_THAT(r.errors, HasSubstr("error V102"));
    EXPECT_THAT(r.errors, HasSubstr("did you mean 'facing brick'?"));
    EXPECT_THAT(r.errors, Not(HasSubstr("no storey is called"))); // it stands in the part that could not be read
    EXPECT_THAT(r.errors, Not(HasSubstr("warning")));
}

TEST_F(CommandLine, SurvivesWhatIsNoProject)
{
    write("empty/project.toml", "");
    EXPECT_EQ(run("size empty").code, 2);
    EXPECT_THAT(run("size empty").errors, HasSubstr("the file is empty"));
    EXPECT_EQ(run("size nowhere").code, 2);
    EXPECT_THAT(run("size nowhere").errors, HasSubstr("no such file"));
    EXPECT_EQ(run("size nowhere.csv").code, 2);
    std::mt19937 random{11};
    for (int i = 0; i < 20; ++i) {
        std::string noise(4096, '\0');
        std::ranges::generate(noise, [&] { return static_cast<char>(random()); });
        write("noise/project.toml", noise);
        write("noise.csv", noise);
        EXPECT_EQ(run("size noise").code, 2) << "seed 11, trial " << i;
        EXPECT_EQ(run("size noise.csv").code, 2) << "seed 11, trial " << i;
    }
}

TEST_F(CommandLine, SaysWhenItCannotWrite)
{
    write_project("house");
    EXPECT_EQ(run("draw plan house -o /proc/nowhere/plan.svg").code, 3);
}

} // namespace
} // namespace venture
