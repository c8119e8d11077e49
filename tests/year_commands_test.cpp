/// The commands that run a building through its weather year, through the real program.

#include <algorithm>

#include <gmock/gmock.h>
#include <gtest/gtest.h>

#include <house_project.hpp>

namespace venture {
namespace {

namespace fs = std::filesystem;
using nlohmann::json;
using testing::HasSubstr;
using testing::Not;

using YearCommands = HouseProject;

TEST_F(YearCommands, TellHeatColdAndHoursOfEveryRoom)
{
    const Ran r = run("year house --step 60");
    EXPECT_EQ(r.code, 0) << r.errors;
    EXPECT_EQ(r.errors, "");
    for (const char* part :
         {"1 January to 31 December of the weather year 'Muddlecombe, invented', SYNTHETIC", "Front bedroom",
          "too cold", "December", "sum", "Heating of all rooms together is largest on",
          "steps of 60 min after 30 days of run-in", "heat balance closed to"})
        EXPECT_THAT(r.out, HasSubstr(part));
    EXPECT_THAT(r.out, Not(HasSubstr("Cooling"))); // no room has a cooling set-point
}

TEST_F(YearCommands, AddUpMonthByMonthAndRoomByRoom)
{
    const json year = run_json("year house --step 60 --json --series heating --series \"total heating\"");
    ASSERT_EQ(year["room_year"].size(), 6u);
    double by_month = 0.0, by_hour = 0.0, sum_of_peaks = 0.0;
    for (const json& month : year["room_month"]) by_month += month["heating"].get<double>();
    for (const json& room : year["room_year"]) {
        sum_of_peaks += room["heating_peak"].get<double>();
        EXPECT_EQ(room["too_cold"], 0.0);
    }
    for (const json& hour : year["series"]) by_hour += 3600.0 * hour["total heating"].get<double>();
    EXPECT_EQ(year["series"].size(), 8760u);
    EXPECT_EQ(year["columns"]["series"]["total heating"]["unit"], "W");
    EXPECT_NEAR(by_hour, by_month, 1e-6 * by_month);
    EXPECT_NEAR(year["totals"]["month_year"][0]["heating"].get<double>(), by_month, 1e-9 * by_month);
    const json& all = year["building_year"][0];
    EXPECT_LE(all["heating_peak"].get<double>(), sum_of_peaks);
    EXPECT_LE(all["closure"].get<double>(), 1e-6);
    EXPECT_EQ(all["unsettled_steps"], 0);
    EXPECT_EQ(all["synthetic"], true);
}

TEST_F(YearCommands, TakeARoomApart)
{
    const json year = run_json("year house --step 60 --json --room Kitchen");
    double sum_J = 0.0, whole_heating = 0.0;
    for (const json& part : year["room_year_part"]) {
        sum_J += part["whole"].get<double>();
        if (part["path"] == "heating") whole_heating = part["whole"];
        EXPECT_EQ(part["room"], "Kitchen");
    }
    EXPECT_GT(whole_heating, 0.0);
    EXPECT_NEAR(sum_J, 0.0, 1e-3 * whole_heating); // but for what the air keeps
    double by_month = 0.0;
    for (const json& month : year["room_year_month"]) by_month += month["heating"].get<double>();
    EXPECT_NEAR(by_month, whole_heating, 1e-9 * whole_heating);
    for (const json& room : year["room_year"])
        if (room["room"] == "Kitchen") {
            EXPECT_NEAR(room["heating"].get<double>(), whole_heating, 1e-9 * whole_heating);
        }

    const Ran part = run("year house --step 60 --from \"1 July\" --days 10 --room Kitchen");
    EXPECT_THAT(part.out, testing::AllOf(HasSubstr("Kitchen: heated for"), HasSubstr("Into the room"),
                                         Not(HasSubstr("January  "))));
    EXPECT_THAT(run("year house --room Kitchn").errors, HasSubstr("did you mean 'Kitchen'"));
}

TEST_F(YearCommands, PrintNoNumbersOfRoomsThatCannotBe)
{
    const Ran r = run("year house --step 60 --days 2 --set \"room/Front bedroom/equipment_power=1000 kW\"");
    EXPECT_EQ(r.code, 2);
    EXPECT_EQ(r.out, "");
    EXPECT_THAT(r.errors, HasSubstr("error V442: room 'Front bedroom' would stand at"));
    EXPECT_THAT(r.errors, HasSubstr("in the year, which cannot be"));
    EXPECT_THAT(r.errors, HasSubstr("no numbers are told, since none of them would hold"));
}

TEST_F(YearCommands, TellHowFarShadesAreDown)
{
    const json year = run_json("year house --step 60 --json --series \"shade down\" --from \"20 March\" --days 30");
    double most = 0.0;
    for (const json& hour : year["series"])
        for (const auto& [series, share] : hour.items()) {
            if (series == "day" || series == "hour") continue;
            EXPECT_THAT(series, testing::EndsWith("/ window: shade down"));
            EXPECT_GE(share.get<double>(), 0.0);
            most = std::max(most, share.get<double>());
        }
    EXPECT_EQ(most, 1.0); // curtains of the south side
}

TEST_F(YearCommands, RunAPartOfTheYearAsTheWholeRunsIt)
{
    const json whole = run_json("year house --step 60 --json --series \"operative temperature\""),
               part = run_json("year house --step 60 --json --series \"operative temperature\" --from \"12 May\" "
                               "--days 3 --run-in 131");
    ASSERT_EQ(part["series"].size(), 72u);
    const std::size_t first = 24 * (31 + 28 + 31 + 30 + 11);
    const char* series = "Front bedroom: operative temperature";
    for (std::size_t h = 0; h < 72; ++h) {
        EXPECT_EQ(part["series"][h]["day"], whole["series"][first + h]["day"]);
        EXPECT_NEAR(part["series"][h][series], whole["series"][first + h][series].get<double>(), 0.02);
    }
}

TEST_F(YearCommands, WriteATableForMachines)
{
    const Ran r = run("year house --from \"10 July\" --days 2 --csv");
    EXPECT_EQ(r.code, 0);
    EXPECT_EQ(std::ranges::count(r.out, '\n'), 49);
    EXPECT_THAT(r.out, testing::StartsWith("day,hour,outdoor temperature [degC],"));
    EXPECT_THAT(r.out, HasSubstr("\n10 July,0,"));
    EXPECT_THAT(r.out, HasSubstr("\n11 July,23,"));
}

TEST_F(YearCommands, SayWhatIsWrongWithWhatWasAsked)
{
    const Ran series = run("year house --series heatng");
    EXPECT_EQ(series.code, 2);
    EXPECT_THAT(series.errors, HasSubstr("did you mean 'heating'?"));
    EXPECT_THAT(run("year house --from \"31 June\"").errors, HasSubstr("June has 30 days"));
    const Ran too_many = run("year house --from \"30 December\" --days 3");
    EXPECT_EQ(too_many.code, 2);
    EXPECT_THAT(too_many.errors, HasSubstr("has 2 days"));
    EXPECT_THAT(run("year house --series list").out, HasSubstr("operative temperature"));
    EXPECT_EQ(run("year house --days 0").code, 2);
}

TEST_F(YearCommands, NeedABuildingAndItsWeather)
{
    replace("house/project.toml", "form = \"synthetic\"\nseed = 12\nwind_from = 225\n", "");
    replace("house/project.toml", "[weather]\nname = \"Muddlecombe, invented\"\n", "");
    const Ran r = run("year house");
    EXPECT_EQ(r.code, 2);
    EXPECT_THAT(r.errors, HasSubstr("weather"));
    EXPECT_EQ(run("year nowhere").code, 2);
}

TEST_F(YearCommands, DrawARoomsHours)
{
    const Ran r = run("draw hours house Kitchen --from \"3 February\"");
    EXPECT_EQ(r.code, 0) << r.errors;
    const std::string svg = text_of(folder / "house/results/hours.svg");
    EXPECT_THAT(svg, HasSubstr("<svg"));
    EXPECT_EQ(run("draw hours house Kitchen --from \"3 February\"").code, 0);
    EXPECT_EQ(text_of(folder / "house/results/hours.svg"), svg); // the same bytes twice
    const Ran unknown = run("draw hours house Cellar --from \"3 February\"");
    EXPECT_EQ(unknown.code, 2);
    EXPECT_THAT(unknown.errors, HasSubstr("no room is called 'Cellar'"));
}

} // namespace
} // namespace venture
