/// The commands about a project's files: origins, units, explain, schema, pack, watch.

#include <csignal>

#include <chrono>
#include <sstream>
#include <thread>

#include <gmock/gmock.h>
#include <gtest/gtest.h>
#include <nlohmann/json.hpp>

#include <house_project.hpp>

namespace venture {
namespace {

namespace fs = std::filesystem;
using nlohmann::json;
using testing::HasSubstr;
using testing::Not;
using namespace std::chrono_literals;

class ProjectCommands : public HouseProject {};

TEST_F(ProjectCommands, PrintTheNumbersThatTheHeatBalanceWorksWith)
{
    const Ran winter = run("loads house --model winter");
    EXPECT_EQ(winter.code, 0) << winter.errors;
    for (const char* part :
         {"6 zones, 38 surfaces", "Kitchen / west wall to party wall", "build-up 'brick party wall, to its middle'"})
        EXPECT_THAT(winter.out, HasSubstr(part));
    const json july = run_json("loads house --model July --json");
    EXPECT_EQ(july["zones"].size(), 6u);
    EXPECT_EQ(july["surfaces"].size(), 38u);
}

TEST_F(ProjectCommands, SayWhatSupplyLoadsAreFor)
{
    EXPECT_THAT(run("loads house").out, HasSubstr("for a convective supply; hours are clock hours"));
    EXPECT_THAT(run("loads house --set \"room/Kitchen/radiant_share=40 %\"").out,
                HasSubstr("in part radiant where a room's radiant_share says so"));
}

TEST_F(ProjectCommands, TraceEveryNumberOfARoomsZone)
{
    const Ran kitchen = run("loads house --model July --room Kitchen");
    EXPECT_EQ(kitchen.code, 0) << kitchen.errors;
    for (const char* part : {"leakage", "default: our assumption", "people", "room type 'living'",
                             "Bathroom / floor to Kitchen: face to face", "absorptance of the build-up"})
        EXPECT_THAT(kitchen.out, HasSubstr(part));
    const json july = run_json("loads house --model July --room Kitchen --json");
    EXPECT_GT(july["model_number"].size(), 40u);
    for (const json& number : july["model_number"]) EXPECT_NE(number["from"], "") << number;
}

/// Whichever way air by plan is said, it has a line of its own, and they come to what the model has.
TEST_F(ProjectCommands, TraceAllAirByPlan)
{
    replace(
        "house/project.toml", "name = \"Kitchen\"",
        "name = \"Kitchen\"\npeople = 2\nventilation_per_person = \"8 L/s\"\nventilation_per_area = \"0.3 L/s.m2\"\n"
        "ventilation_rate = 0.4\nventilation_flow = \"15 L/s\"\ncooling_setpoint = 26");
    const json room = run_json("loads house --model July --room Kitchen --json"),
               day = run_json("loads house --model July --json");
    constexpr double volume_m3 = 56.16;
    double sum_m3_per_s = 0.0, air_kg = 0.0;
    int lines = 0;
    bool dried = false;
    for (const json& number : room["model_number"]) {
        const std::string what = number["number"];
        if (what.starts_with("air by plan")) sum_m3_per_s += number["value"].get<double>();
        lines += what.starts_with("air by plan");
        if (what == "dry air") air_kg = number["value"];
        dried = dried || (what == "dried above" && number["from"] == "our assumption");
    }
    EXPECT_EQ(lines, 4);
    EXPECT_TRUE(dried) << "at 50 %, which nobody typed";
    for (const json& zone : day["zones"]) {
        if (zone["id"] != "Kitchen") continue;
        const double factor = zone["ventilation_kg_per_s"][0]["factor"];
        EXPECT_NEAR(factor, sum_m3_per_s * air_kg / volume_m3, 1e-9);
    }
}

/// However many mistakes there are, a person reads some of each kind; a machine gets all.
TEST_F(ProjectCommands, TellSomeOfAKindWhereThereAreThousands)
{
    std::string rooms;
    for (int i = 0; i < 300; ++i)
        rooms += fmt::format("\n[[room]]\nname = \"Shed {0}\"\nstorey = \"attic {0}\"\nat = [{1}, 50]\nsize = [2, 2]\n",
                             i, 3 * i);
    append("house/project.toml", rooms);
    const Ran words = run("check house");
    EXPECT_EQ(words.code, 2);
    EXPECT_THAT(words.errors, HasSubstr("250 more of V202; --json lists them all"));
    EXPECT_LT(words.errors.size(), 30'000U);
    EXPECT_EQ(run_json("check house --json")["problems"].size(), 300U);
}

TEST_F(ProjectCommands, TellNothingOfWhatStandsWhereALinkLeadsOutOfTheProject)
{
    const fs::path elsewhere = folder.string() + "_private.txt"; // not beside the project, where files are shared
    std::ofstream{elsewhere} << "password: tulip\nsecond: rose, daisy\n";
    fs::create_symlink(elsewhere, folder / "house/rooms.csv");
    append("house/project.toml", "\n[[table]]\nfile = \"rooms.csv\"\nholds = \"room\"\n");
    const Ran r = run("check house"), for_machines = run("check house --json");
    EXPECT_EQ(r.code, 2);
    EXPECT_THAT(r.errors, HasSubstr("rooms.csv:1:1: error V104: unknown column '...'"));
    EXPECT_THAT(r.errors, HasSubstr("a link leads out of the project's folder: what stands there is not shown"));
    for (const char* word : {"tulip", "password", "rose", "daisy"}) {
        EXPECT_THAT(r.out + r.errors, Not(HasSubstr(word)));
        EXPECT_THAT(for_machines.out + for_machines.errors, Not(HasSubstr(word)));
    }
    fs::remove(elsewhere);
}

TEST_F(ProjectCommands, SayWhichDaysAndRoomsAModelHas)
{
    const Ran day = run("loads house --model August"), room = run("loads house --model July --room Attic");
    EXPECT_EQ(day.code, 2);
    EXPECT_THAT(day.errors, HasSubstr("no design day is called 'August'; there are: winter, July"));
    EXPECT_EQ(room.code, 2);
    EXPECT_THAT(room.errors, HasSubstr("no room is called 'Attic'"));
}

TEST_F(ProjectCommands, OriginsListEveryValueOrThoseAskedFor)
{
    const Ran all = run("check house --origins"), defaults = run("check house --origins default");
    EXPECT_EQ(all.code, 0);
    EXPECT_THAT(all.out, HasSubstr("project.toml:"));
    EXPECT_THAT(all.out, HasSubstr("computed: floor area x height"));
    EXPECT_THAT(defaults.out, HasSubstr("default: "));
    EXPECT_THAT(defaults.out, Not(HasSubstr("computed: ")));
    EXPECT_EQ(run("check --origins house").out, all.out); // the project is not taken for what is asked
    EXPECT_EQ(run("check").code, 2);
    EXPECT_EQ(run("check --origins").code, 2);
    const Ran nothing = run("check house --origins nobody");
    EXPECT_EQ(nothing.code, 2);
    EXPECT_THAT(nothing.errors, HasSubstr("no value is called 'nobody'"));
    const json of_site = run_json("check house --origins site --json");
    EXPECT_FALSE(of_site["value"].empty());
    for (const json& v : of_site["value"]) EXPECT_TRUE(v["path"].get<std::string>().starts_with("site/"));
    EXPECT_THAT(run("check house --origins site/latitude --as csv").out, HasSubstr("path,is,from,origin,number,"));
}

TEST_F(ProjectCommands, ASetValueIsToldAsSuch)
{
    EXPECT_THAT(run("check house --origins set --set site/winter_dry_bulb=-10").out,
                HasSubstr("--set site/winter_dry_bulb=-10"));
}

TEST_F(ProjectCommands, WhatNamesFilesCannotBeSetForOneRun)
{
    for (const char* change :
         {"loads/table=x.csv", "library/a/file=x.toml", "table/1/file=x.csv", "days/a/file=x.ics"}) {
        const Ran r = run(fmt::format("check house --set {}", change));
        EXPECT_EQ(r.code, 2) << change;
        EXPECT_THAT(r.errors, HasSubstr("read before changes are laid over"));
    }
}

TEST_F(ProjectCommands, UnitsComeFromTheProjectAndFromTheCommandLine)
{
    EXPECT_THAT(run("loads house").out, HasSubstr("degC"));
    EXPECT_THAT(run("explain house \"cavity wall, filled\" --units inch-pound").out, HasSubstr("lb/ft2"));
    append("house/project.toml", "\n[units]\npreset = \"inch-pound\"\ntotal_power = \"kW\"\n");
    const std::string project = run("loads house").out;
    EXPECT_THAT(project, HasSubstr("degF"));
    EXPECT_THAT(project, HasSubstr(" kW"));
    EXPECT_THAT(run("loads house --units SI").out, HasSubstr("degC"));
    EXPECT_THAT(run("loads house --units SI,temperature=degF").out, HasSubstr("degF"));
    const Ran wrong = run("loads house --units metrical");
    EXPECT_EQ(wrong.code, 2);
    EXPECT_THAT(wrong.errors, HasSubstr("expected one of SI, inch-pound"));
    EXPECT_EQ(run_json("loads house --json")["building_load"][0]["heating"],
              run_json("loads house --json --units SI")["building_load"][0]["heating"]); // machines get SI
}

TEST_F(ProjectCommands, ExplainTellsAKeyAndWhereAProjectSetsIt)
{
    EXPECT_THAT(run("explain room/height").out, HasSubstr("typed as   length in m"));
    const Ran here = run("explain house storey/height");
    EXPECT_EQ(here.code, 0);
    EXPECT_THAT(here.out, HasSubstr("project.toml:"));
    EXPECT_THAT(here.out, Not(HasSubstr("opening")));
    const Ran wrong = run("explain hieght");
    EXPECT_EQ(wrong.code, 2);
    EXPECT_THAT(wrong.errors, HasSubstr("did you mean 'height'?"));
}

TEST_F(ProjectCommands, ExplainTakesABuildUpApart)
{
    const Ran r = run("explain house \"filled cavity wall\"");
    EXPECT_EQ(r.code, 0) << r.errors;
    for (const char* part : {"between -3.0 degC outside and 20.0 degC inside", "mineral wool", "U = 1/R = 0.382 W/m2K",
                             "10.5 h late", "The build-up is that cold within mineral wool"})
        EXPECT_THAT(r.out, HasSubstr(part));
    const json wall = run_json("explain house \"filled cavity wall\" --json");
    EXPECT_NEAR(wall["build_up_whole"][0]["u_value"].get<double>(), 0.382, 0.0005);
    EXPECT_EQ(wall["layer"].size(), 4u);
    EXPECT_THAT(run("explain house \"roof over loft\"").errors, HasSubstr("did you mean 'roof over the loft'?"));
    EXPECT_THAT(run("explain house \"roof over the loft\" --units inch-pound").out, HasSubstr("Btu/h.ft2.F"));
}

TEST_F(ProjectCommands, DrawsABuildUp)
{
    for (const auto& [kind, begins] : {std::pair{"svg", "<?xml"}, {"png", "\x89PNG"}, {"pdf", "%PDF"}}) {
        EXPECT_EQ(run(fmt::format("draw wall house \"roof over the loft\" --as {}", kind)).code, 0);
        EXPECT_TRUE(text_of(folder / "house/results" / fmt::format("wall.{}", kind)).starts_with(begins));
    }
    const Ran wrong = run("draw wall house brick");
    EXPECT_EQ(wrong.code, 2);
    EXPECT_THAT(wrong.errors, HasSubstr("no build-up is called 'brick'"));
}

TEST_F(ProjectCommands, ExplainTellsHowABuildUpWasFound)
{
    EXPECT_THAT(
        run("explain house \"filled cavity wall\"").out,
        testing::AllOf(HasSubstr("In words: brick outer leaf"), HasSubstr("Assumed: brick outer leaf: 102 mm thick")));
    EXPECT_THAT(run("explain house \"roof over the loft\"").out, HasSubstr("Bridged layers stand as even ones"));
    EXPECT_THAT(run("explain house \"ground floor\"").out, HasSubstr("On the ground (ISO 13370)"));
    EXPECT_THAT(run("explain \"outside wall, 1965 to 1977\"").out, HasSubstr("Made up from U = 1.200 W/m2K"));
}

TEST_F(ProjectCommands, ExplainTakesAGlazingApart)
{
    const std::string name = "\"double, low-emissivity, argon\"";
    const Ran r = run("explain house " + name);
    EXPECT_EQ(r.code, 0) << r.errors;
    for (const char* part : {"Glass U = 1/R", "Window U", "85 deg", "diffuse", "curtain, light"})
        EXPECT_THAT(r.out, HasSubstr(part));
    const json glass = run_json("explain house " + name + " --json");
    EXPECT_LT(glass["glazing_whole"][0]["direct_transmittance"].get<double>(),
              glass["glazing_whole"][0]["g_value"].get<double>());
    EXPECT_EQ(glass["pane"].size(), 3u);
    EXPECT_THAT(run("explain " + name).out, HasSubstr("Window U")); // of the library, without a project
    EXPECT_THAT(run("explain house \"double, low-emissivty, argon\"").errors, HasSubstr("did you mean"));
}

TEST_F(ProjectCommands, DrawsAGlazing)
{
    for (const auto& [kind, begins] : {std::pair{"svg", "<?xml"}, {"png", "\x89PNG"}, {"pdf", "%PDF"}}) {
        EXPECT_EQ(run(fmt::format("draw glass house \"triple, high-gain, argon\" --as {}", kind)).code, 0);
        EXPECT_TRUE(text_of(folder / "house/results" / fmt::format("glass.{}", kind)).starts_with(begins));
    }
    const Ran wrong = run("draw glass house \"double\"");
    EXPECT_EQ(wrong.code, 2);
    EXPECT_THAT(wrong.errors, HasSubstr("no glazing is called 'double'"));
}

TEST_F(ProjectCommands, TellMachinesOfARoomWhatTheyTellPeople)
{
    const json room = run_json("loads house --room Kitchen --by-source --json");
    EXPECT_EQ(room["room_load"][0]["room"], "Kitchen");
    double paths = 0.0;
    for (const json& path : room["load_path"])
        if (path["of"] == "heating") paths += path["load"].get<double>();
    EXPECT_NEAR(paths, room["room_load"][0]["heating"].get<double>(),
                1.0); // those below a twentieth of a watt are not listed
    double sum = 0.0;
    for (const json& cause : room["load_cause"])
        if (cause["of"] == "heating") sum += cause["load"].get<double>();
    EXPECT_NEAR(sum, room["room_load"][0]["heating"].get<double>(), 5.0); // causes below a watt are not listed
    EXPECT_EQ(room["totals"]["load_cause"][0]["load"], sum);
    const Ran unknown = run("loads house --room Kichen --json");
    EXPECT_EQ(unknown.code, 2);
    EXPECT_THAT(unknown.errors, HasSubstr("did you mean 'Kitchen'?"));
}

TEST_F(ProjectCommands, CheckTellsMachinesOfSetPointsWindowsAndBridges)
{
    const json all = run_json("check house --json");
    const json& front = all["room"][0];
    EXPECT_EQ(front["heating_setpoint"], 21.0);
    EXPECT_THAT(front["heating_set_by"].get<std::string>(), HasSubstr("room type 'living'"));
    EXPECT_FALSE(front.contains("cooling_setpoint"));
    double glass_m2 = 0.0;
    for (const json& o : all["opening"])
        if (o["kind"] == "window") glass_m2 += o["area"].get<double>();
    double of_rooms_m2 = 0.0;
    for (const json& r : all["room"]) of_rooms_m2 += r["glass"].get<double>();
    EXPECT_NEAR(glass_m2, of_rooms_m2, 1e-9);
    EXPECT_FALSE(all["thermal_bridge"].empty());
    EXPECT_FALSE(all["taken"].empty());
    EXPECT_EQ(all["columns"]["room"]["area"]["unit"], "m2");
}

TEST_F(ProjectCommands, ListTheLibraryThatShips)
{
    const Ran r = run("library");
    for (const char* name : {"facing brick", "cavity wall, filled", "outside wall, before 1920",
                             "triple, high-gain, argon", "clear 4 mm", "outside screen, dark"})
        EXPECT_THAT(r.out, HasSubstr(name));
    const json wool = run_json("library wool --json");
    EXPECT_GE(wool["shipped_material"].size(), 3u);
    EXPECT_TRUE(wool["shipped_glazing"].empty());
    EXPECT_THAT(run("library --units inch-pound").out, HasSubstr("Btu/h.ft.F"));
    EXPECT_THAT(run("library unobtainium").errors, HasSubstr("Nothing in the library has 'unobtainium' in its name"));
    EXPECT_EQ(run("library --units furlongs").code, 2);
}

TEST_F(ProjectCommands, ExplainLoadsByTheirParts)
{
    EXPECT_THAT(run("explain house room_load/Kitchen/heating").out,
                testing::AllOf(HasSubstr("room_load/Kitchen/heating"), HasSubstr("Steady loss by hand")));
    const Ran r = run("explain house \"building_load/all rooms/heating\"");
    EXPECT_THAT(r.out,
                testing::AllOf(HasSubstr("In its hour of winter design each room gives"), HasSubstr("together")));
    EXPECT_THAT(run("explain house building_load/nowhere/heating").out, HasSubstr("none of them"));
    EXPECT_THAT(run("explain house").errors, HasSubstr("'house' is a folder: name behind it"));
    EXPECT_THAT(run("explain house \"unit/Kitchen, heating/full\"").out,
                testing::AllOf(HasSubstr("What was considered"), HasSubstr("runner-up")));
    const json checked = run_json("check house --json");
    const json& wall = checked["build_up"][0];
    const std::string name = wall["build_up"].get<std::string>() + ", " + wall["as"].get<std::string>();
    EXPECT_THAT(run("explain house \"build_up/" + name + "/u\"").out, HasSubstr("Outside to inside"));
}

TEST_F(ProjectCommands, TellWhereMaterialsOfTheLibraryComeFrom)
{
    EXPECT_THAT(run("check house --origins \"material\"").out, HasSubstr("library 'shipped' (library/materials.toml"));
}

TEST_F(ProjectCommands, SchemaIsPrintedAndWritten)
{
    EXPECT_EQ(json::parse(run("schema").out)["$schema"], "http://json-schema.org/draft-07/schema#");
    EXPECT_EQ(run("schema -o schemas").code, 0);
    for (const char* name : {"project", "include", "library"})
        EXPECT_TRUE(fs::exists(folder / "schemas" / (std::string{name} + ".schema.json")));
}

TEST_F(ProjectCommands, PackMakesACopyThatNeedsNothingElse)
{
    std::ofstream{folder / "shared.toml"} << "[[material]]\nname = \"cork\"\nconductivity = 0.04\ndensity = 120\n"
                                             "specific_heat = 1500\n";
    append("house/project.toml", "\n[[library]]\nname = \"office\"\nfile = \"../shared.toml\"\n");
    const json before = run_json("loads house --json");
    EXPECT_EQ(before["libraries"][0]["name"], "office");
    const Ran packed = run("pack house -o copy");
    EXPECT_EQ(packed.code, 0) << packed.errors;
    EXPECT_THAT(packed.out, HasSubstr("libraries/office.toml"));
    fs::remove_all(folder / "house");
    fs::remove(folder / "shared.toml");
    const json after = run_json("loads copy --json");
    EXPECT_EQ(before["building_load"][0]["fingerprint"], after["building_load"][0]["fingerprint"]);
    EXPECT_EQ(before["libraries"][0]["fingerprint"], after["libraries"][0]["fingerprint"]);
    EXPECT_EQ(run("pack copy -o copy").code, 2);
}

TEST_F(ProjectCommands, WinterAirThatIsMoreThanSaturatedIsToldByItself)
{
    const Ran r = run("loads house --set \"site/winter_dew_point=-1 degC\"");
    EXPECT_EQ(r.code, 0);
    EXPECT_THAT(r.errors,
                HasSubstr("V403: winter design: the dew point of -1 degC lies above the dry bulb of -3 degC"));
    EXPECT_THAT(r.errors, HasSubstr("lower the winter dew point"));
}

TEST_F(ProjectCommands, AFileAboveTheLimitIsRefusedByItsSize)
{
    fs::resize_file(folder / "house/project.toml", (16U << 20U) + 1);
    const Ran r = run("check house");
    EXPECT_EQ(r.code, 2);
    EXPECT_THAT(r.errors, HasSubstr("16777217 bytes, more than the 16777216 that are read"));
}

/// The program left running; ended when it goes out of scope.
class Running {
public:
    Running(const std::string& arguments, const fs::path& folder) : output_{folder / "watch.txt"}
    {
        const std::string command = fmt::format("cd '{}' && exec '{}' {} >'{}' 2>&1 & echo $!", folder.string(),
                                                VENTURE_PROGRAM, arguments, output_.string());
        FILE* pipe = ::popen(command.c_str(), "r");
        if (pipe == nullptr || std::fscanf(pipe, "%d", &id_) != 1) id_ = 0;
        if (pipe != nullptr) ::pclose(pipe);
    }
    ~Running()
    {
        if (id_ > 0) ::kill(id_, SIGINT);
    }
    Running(const Running&) = delete;
    Running& operator=(const Running&) = delete;

    /// Waits until the output holds a text; a generous limit keeps a broken program from hanging the tests.
    [[nodiscard]] bool says(const std::string& text) const
    {
        for (int i = 0; i < 600; ++i) {
            if (text_of(output_).find(text) != std::string::npos) return true;
            std::this_thread::sleep_for(50ms);
        }
        return false;
    }
    [[nodiscard]] std::string said() const { return text_of(output_); }
    void interrupt() const { ::kill(id_, SIGINT); }

private:
    fs::path output_;
    int id_ = 0;
};

TEST_F(ProjectCommands, WatchTellsWhatMovedAndLivesThroughHalfSavedFiles)
{
    const Running watch{"watch house loads size plan", folder};
    ASSERT_TRUE(watch.says("run 1: ")) << watch.said();
    replace("house/project.toml", "winter_dry_bulb = ", "winter_dry_bulb = -20 #");
    ASSERT_TRUE(watch.says("run 2: saved")) << watch.said();
    EXPECT_THAT(watch.said(), HasSubstr("room_load/Kitchen/heating"));
    const std::string whole = text_of(folder / "house/project.toml");
    std::ofstream{folder / "house/project.toml"} << whole.substr(0, whole.size() / 2) << "\n[[room";
    ASSERT_TRUE(watch.says("run 3: not usable as it is; the last good figures stand")) << watch.said();
    std::ofstream{folder / "house/project.toml"} << whole;
    ASSERT_TRUE(watch.says("run 4: no figure moved")) << watch.said();
    EXPECT_TRUE(fs::exists(folder / "house/results/plan.svg"));
    watch.interrupt();
    EXPECT_TRUE(watch.says("stopped")) << watch.said();
}

} // namespace
} // namespace venture
