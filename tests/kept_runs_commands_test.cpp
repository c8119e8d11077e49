/// Runs through the year that are kept, through the real program.

#include <cstdlib>

#include <gmock/gmock.h>
#include <gtest/gtest.h>

#include <house_project.hpp>

namespace venture {
namespace {

namespace fs = std::filesystem;
using nlohmann::json;
using testing::AllOf;
using testing::HasSubstr;
using testing::Not;

class KeptRunsCommands : public HouseProject {
protected:
    /// A few days of a run, quick.
    static constexpr const char* part = "year house --step 60 --run-in 2 --from \"25 June\" --days 10";
    [[nodiscard]] fs::path file() const { return folder / "house" / "results" / "kept_runs.sqlite"; }
};

TEST_F(KeptRunsCommands, TheSameRunIsReadInPlaceOfRunAgain)
{
    const Ran first = run(part), second = run(part);
    EXPECT_THAT(first.out, HasSubstr("Kept as run 1"));
    EXPECT_THAT(second.out, HasSubstr("Read from run 1"));
    const auto numbers = [](const std::string& text) {
        return text.substr(0, text.find("Kept as")).substr(0, text.find("Read from"));
    };
    EXPECT_EQ(numbers(first.out), numbers(second.out));
    EXPECT_EQ(run(std::string{part} + " --json").out, run(std::string{part} + " --json --no-keep").out);
    EXPECT_THAT(run(std::string{part} + " --again").out, HasSubstr("Kept as run 2")); // in place of the first
    EXPECT_THAT(run("series house").out, AllOf(HasSubstr("as the project is"), HasSubstr("operative_temperature")));
}

TEST_F(KeptRunsCommands, WhatMovedIsRunAnewAndTheOldSaysSo)
{
    (void)run(std::string{part} + " --name base");
    const std::string moved = " --set \"room/Kitchen/equipment_power=900 W\"";
    EXPECT_THAT(run(part + moved).out, HasSubstr("Kept as run 2"));
    EXPECT_THAT(run(std::string{part} + " --units inch-pound").out,
                HasSubstr("Read from run 1 'base'")); // moves nothing
    const Ran list = run("series house --json");
    const json runs = json::parse(list.out)["kept_run"];
    ASSERT_EQ(runs.size(), 2u);
    EXPECT_EQ(runs[0]["state"], "as the project is");
    EXPECT_EQ(runs[1]["state"], "of an earlier state");
    EXPECT_THAT(run("series house air_temperature --run 2").out, HasSubstr("OF AN EARLIER STATE"));
    const json difference =
        json::parse(run("series house \"hour/Kitchen/air_temperature\" --run 2 --against base --by day --json").out);
    for (const json& day : difference["kept_series"])
        EXPECT_GT(day["hour/Kitchen/air_temperature/more"].get<double>(), 0.5);
}

TEST_F(KeptRunsCommands, SeriesAreThoseOfTheRun)
{
    const json year =
        json::parse(run(std::string{part} + " --json --series heating --series \"operative temperature\"").out);
    const json hours = json::parse(run("series house operative_temperature --by hour --json").out)["kept_series"];
    ASSERT_EQ(hours.size(), 240u);
    for (std::size_t h = 0; h < hours.size(); ++h)
        EXPECT_NEAR(hours[h]["hour/Kitchen/operative_temperature"].get<double>(),
                    year["series"][h]["Kitchen: operative temperature"].get<double>(), 1e-5);
    const json july =
        json::parse(run("series house \"hour/Kitchen/*\" --by hour --month July --json").out)["kept_series"];
    ASSERT_EQ(july.size(), 96u);
    EXPECT_EQ(july[0]["day"], "1 July");
    EXPECT_EQ(july[0]["hour/Kitchen/operative_temperature"], hours[144]["hour/Kitchen/operative_temperature"]);
    const Ran csv = run("series house \"hour/building/outdoor_temperature\" --by day --as csv");
    EXPECT_THAT(csv.out, AllOf(HasSubstr("25 June"), HasSubstr("4 July"), Not(HasSubstr("5 July"))));
}

TEST_F(KeptRunsCommands, AnswerWrongWordsWithTheRightOnes)
{
    EXPECT_THAT(run("series house").errors, HasSubstr("no run was kept yet"));
    (void)run(part);
    const Ran wrong = run("series house operative_temprature");
    EXPECT_EQ(wrong.code, 2);
    EXPECT_THAT(wrong.errors, HasSubstr("did you mean 'operative_temperature'"));
    EXPECT_THAT(run("series house heating --run base").errors, HasSubstr("no run is called 'base'; there are 1"));
    EXPECT_THAT(run("series house heating --month Juli").errors, HasSubstr("is no month"));
    EXPECT_THAT(run("year house --keep heatng").errors, HasSubstr("did you mean 'heating'"));
    EXPECT_THAT(run("series house --forget 1").out, HasSubstr("run 1 is gone"));
}

TEST_F(KeptRunsCommands, NameTheProjectAsItIsCalled)
{
    EXPECT_THAT(run("series house").errors, HasSubstr("`venture year house`"));
    fs::copy_file(folder / "house/project.toml", folder / "house/variant.toml");
    EXPECT_THAT(run("series house/variant.toml").errors, HasSubstr("`venture year house/variant.toml`"));
}

TEST_F(KeptRunsCommands, KeepNothingWhereThatIsAsked)
{
    EXPECT_EQ(run(std::string{part} + " --no-keep").code, 0);
    EXPECT_FALSE(fs::exists(file()));
    (void)run(std::string{part} + " --keep lighting");
    EXPECT_THAT(run("series house").out, HasSubstr("lighting"));
}

// ---- air

TEST_F(KeptRunsCommands, AirOfARoomIsDrawn)
{
    replace(
        "house/project.toml", "[[room_type]]\nname = \"living\"",
        "[[air_supply]]\nname = \"house air\"\ngives = \"everything\"\nheat_recovery = 0.8\n\n[[room_type]]\nname = "
        "\"living\"\noutdoor_air_by = \"house air\"\ncooling_setpoint = 25");
    const Ran loads = run("loads house");
    EXPECT_THAT(loads.out,
                AllOf(HasSubstr("Coils for"), HasSubstr("without outdoor air by plan"), HasSubstr("Rooms together of"),
                      HasSubstr("One air handler for"), HasSubstr("of the intake serves")));
    const Ran bounded = run("loads house --set \"air_supply/house air/greatest_heating=10 W/m2\"");
    EXPECT_EQ(bounded.code, 0);
    EXPECT_THAT(bounded.out, HasSubstr("short by"));
    EXPECT_THAT(bounded.errors, HasSubstr("V454"));
    EXPECT_EQ(
        run("draw air house Kitchen --winter -o short.svg --set \"air_supply/house air/greatest_heating=10 W/m2\"")
            .code,
        0);
    EXPECT_THAT(run("explain house Kitchen --arithmetic").out,
                AllOf(HasSubstr("by 'house air':"), HasSubstr("on cooling design days, our assumption"),
                      HasSubstr("behind recovery"), HasSubstr("water that condenses")));
    EXPECT_EQ(run("draw air house Kitchen -o summer.svg").code, 0);
    EXPECT_EQ(run("draw air house Kitchen --winter -o winter.pdf").code, 0);
    EXPECT_EQ(run("draw air house Kitchen --year -o year.png").code, 0);
    for (const char* name : {"summer.svg", "winter.pdf", "year.png"})
        EXPECT_GT(fs::file_size(folder / name), 5000u) << name;
    EXPECT_THAT(run("draw air house Bathroom").errors, HasSubstr("has no cooling load"));
    const json year = json::parse(run("year house --json").out);
    for (const json& room : year["room_air"]) {
        const bool supplied = room["room"] == "Kitchen" || room["room"] == "Front room";
        EXPECT_EQ(room.contains("recovered"), supplied) << room["room"];
        EXPECT_GT(room["outdoor_air"].get<double>(), 0.0);
    }
    const json size = json::parse(run("size house --json").out);
    for (const json& unit : size["unit"]) EXPECT_NE(unit["room"], "Kitchen"); // nothing stands there
}

TEST_F(KeptRunsCommands, SeriesAreDrawn)
{
    EXPECT_THAT(run("draw series house heating").errors, HasSubstr("no run was kept yet"));
    (void)run(part);
    for (const char* form : {"carpet", "duration", "outdoors", "profile"}) {
        const std::string file = std::string{form} + ".svg";
        const Ran drawn = run("draw series house hour/Kitchen/operative_temperature "
                              "\"hour/Front room/operative_temperature\" --form " +
                              std::string{form} + " -o " + file);
        EXPECT_EQ(drawn.code, 0) << drawn.errors;
        EXPECT_GT(fs::file_size(folder / file), 3000u) << form;
    }
    EXPECT_EQ(run("draw series house operative_temperature -o all.png").code, 0); // six carpets
    EXPECT_THAT(run("draw series house operative_temperature --form duration").errors,
                HasSubstr("6 series are meant, and at most 4 find room"));
    EXPECT_THAT(run("draw series house \"hour/Kitchen/*temperature\" heatng").errors, HasSubstr("did you mean"));
    EXPECT_THAT(run("draw series house hour/Kitchen/heating hour/Kitchen/air_temperature").errors,
                HasSubstr("must share a scale"));
}

TEST_F(KeptRunsCommands, DampIsTold)
{
    const std::string dry = run(part).out;
    EXPECT_THAT(dry, AllOf(HasSubstr("Damp: no wall or roof"), HasSubstr("In so many")));
    EXPECT_THAT(
        run(std::string{"year house --step 60 --run-in 5 --days 10 --set \"room/Kitchen/moisture=2 kg/h\""}).out,
        AllOf(HasSubstr("Kitchen: water on its"), HasSubstr("mould can grow")));
}

// ---- harm

TEST_F(KeptRunsCommands, AFileThatCannotBeWrittenDoesNoHarmToTheRun)
{
    fs::create_directories(file().parent_path());
    std::ofstream{file()} << std::string(3000, 'x');
    const Ran r = run(part);
    EXPECT_EQ(r.code, 0);
    EXPECT_THAT(r.out, AllOf(HasSubstr("Front bedroom"), HasSubstr("Not kept:"),
                             HasSubstr("damaged, or no file of kept runs")));
    EXPECT_EQ(text_of(file()), std::string(3000, 'x'));
    EXPECT_THAT(run("series house").errors, HasSubstr("damaged"));
}

TEST_F(KeptRunsCommands, AFullDiskLosesNothing)
{
    (void)run(part);
    const std::string tried = fmt::format("unshare -rm sh -c \"mkdir -p small && mount -t tmpfs -o size=1400k tmpfs "
                                          "small && cp -r house small && cd small && "
                                          "'{}' year house --step 60 --run-in 2 --keep all > ../said 2>&1; '{}' series "
                                          "house > ../listed 2>&1\" 2>/dev/null",
                                          VENTURE_PROGRAM, VENTURE_PROGRAM);
    const int code = std::system(fmt::format("cd '{}' && {}", folder.string(), tried).c_str());
    if (!fs::exists(folder / "said")) GTEST_SKIP() << "no file system of one's own can be mounted here: " << code;
    EXPECT_THAT(text_of(folder / "said"),
                AllOf(HasSubstr("Front bedroom"), HasSubstr("Not kept:"), HasSubstr("disk is full")));
    EXPECT_THAT(text_of(folder / "listed"), AllOf(HasSubstr("as the project is"), HasSubstr("operative_temperature")));
}

TEST_F(KeptRunsCommands, InterruptedARunLeavesWhatWasThere)
{
    (void)run(part);
    const std::string command =
        fmt::format("cd '{}' && timeout -s INT 0.15 '{}' year house --step 5 > said 2>&1; echo $? > code",
                    folder.string(), VENTURE_PROGRAM);
    (void)std::system(command.c_str());
    EXPECT_THAT(text_of(folder / "said"), HasSubstr("stopped; nothing more was written"));
    EXPECT_THAT(run("series house").out, HasSubstr("as the project is"));
    EXPECT_EQ(json::parse(run("series house --json").out)["kept_run"].size(), 1u);
}

} // namespace
} // namespace venture
