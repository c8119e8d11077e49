/// The commands about climate, through the real program.

#include <gmock/gmock.h>
#include <gtest/gtest.h>

#include <house_project.hpp>

namespace venture {
namespace {

namespace fs = std::filesystem;
using nlohmann::json;
using testing::HasSubstr;
using testing::Not;

class ClimateCommands : public HouseProject {
protected:
    void replace(const std::string& what, const std::string& by) const
    {
        HouseProject::replace("house/project.toml", what, by);
    }
};

TEST_F(ClimateCommands, ShowConditionsDaysAndTheYear)
{
    const Ran r = run("climate house");
    EXPECT_EQ(r.code, 0) << r.errors;
    EXPECT_EQ(r.errors, "");
    for (const char* part : {"summer time 29 March to 24 October", "Design conditions", "Heating  dry bulb -3.0 degC",
                             "21 July", "05:12-21:13", "SYNTHETIC weather", "Degree-days", "99.6 %", "0.4 %"})
        EXPECT_THAT(r.out, HasSubstr(part));
}

TEST_F(ClimateCommands, MarkWhatWasSetAndWhatWasDerived)
{
    replace("outdoor_mean = 10.4\noutdoor_amplitude = 6.5\n", "");
    replace("[ground]\nconductivity = 1.5               # clay\n", "");
    const Ran r = run("climate house --set \"site/winter_dry_bulb=-8 degC\"");
    EXPECT_EQ(r.code, 0);
    EXPECT_THAT(r.out, HasSubstr("dry bulb -8.0* degC"));
    EXPECT_THAT(r.out, HasSubstr("~ degC"));
    EXPECT_THAT(r.out, HasSubstr("* set for this run. ~ derived from the weather year."));
    EXPECT_THAT(r.errors, HasSubstr("V507"));
    EXPECT_THAT(r.errors, HasSubstr("V412"));
    EXPECT_EQ(run("climate house --strict").code, 1);
}

TEST_F(ClimateCommands, DeriveWhatIsLeftOutAndLoadsUseIt)
{
    const std::string site = text_of(folder / "house/project.toml");
    const auto from = site.find("  [[site.month]]"), to = site.find("# A year of weather");
    replace(site.substr(from, to - from), "");
    const json loads = run_json("loads house --json");
    EXPECT_GT(loads["design_run"].size(), 11u); // twelve months and the winter
    const json derived = run_json("climate derive house --json");
    const json shown = run_json("climate house --json");
    EXPECT_EQ(derived["cooling_month"], shown["cooling_month"]);
    EXPECT_EQ(shown["winter_design"][0]["dry_bulb"], -3.0); // that one is typed
    EXPECT_EQ(shown["weather_year"][0]["synthetic"], true);
    for (const char* origin : {"site/month/7/dry_bulb", "site/month/7/beam_depth"})
        EXPECT_THAT(run(fmt::format("check house --origins {}", origin)).out,
                    HasSubstr("derived from the weather year 'Muddlecombe, invented'"));
}

TEST_F(ClimateCommands, WhatDerivePrintsIsReadAgain)
{
    const json derived = run_json("climate derive house --json");
    const std::string site = text_of(folder / "house/project.toml");
    const auto from = site.find("winter_dry_bulb"), to = site.find("# A year of weather");
    replace(site.substr(from, to - from), run("climate derive house").out + "\n");
    const json again = run_json("climate house --json");
    EXPECT_NEAR(again["winter_design"][0]["dew_point"].get<double>(),
                derived["winter_design"][0]["dew_point"].get<double>(), 0.051);
    ASSERT_EQ(again["cooling_month"].size(), 12u);
    for (std::size_t m = 0; m < 12; ++m)
        for (const char* key : {"dry_bulb", "wet_bulb", "wet_bulb_range", "ground", "beam_depth"})
            EXPECT_NEAR(again["cooling_month"][m][key].get<double>(), derived["cooling_month"][m][key].get<double>(),
                        0.051)
                << key;
    EXPECT_EQ(run("climate house").errors, ""); // nothing is derived any more
}

TEST_F(ClimateCommands, MakeAYearThatProjectsAndDeriveRead)
{
    EXPECT_THAT(run("climate make house -o made.csv").out, HasSubstr("wrote made.csv"));
    const std::string text = text_of(folder / "made.csv");
    EXPECT_TRUE(text.starts_with("# [weather]\n"));
    EXPECT_THAT(text.substr(0, 400), HasSubstr("synthetic"));
    const json of_file = run_json("climate derive made.csv --json"), of_house = run_json("climate derive house --json");
    EXPECT_EQ(of_file["weather_year"][0]["synthetic"], true);
    EXPECT_NEAR(of_file["winter_design"][0]["dry_bulb"].get<double>(),
                of_house["winter_design"][0]["dry_bulb"].get<double>(), 0.02);

    fs::copy(folder / "made.csv", folder / "house/made.csv");
    replace("form = \"synthetic\"\n", "file = \"made.csv\"\n");
    const Ran r = run("climate house");
    EXPECT_EQ(r.code, 0) << r.errors;
    EXPECT_THAT(r.out, HasSubstr("kept in made.csv"));
    EXPECT_THAT(r.out, HasSubstr("SYNTHETIC weather"));
}

TEST_F(ClimateCommands, MoveTheYearToTheHeightOfTheSite)
{
    const json before = run_json("climate house --json")["weather_month"][0];
    replace("form = \"synthetic\"", "form = \"synthetic\"\nheight = 15");
    const double site_m = 415.0;
    const Ran moved = run(fmt::format("climate house --set site/height={} --json", site_m));
    const json year = json::parse(moved.out)["weather_month"][0];
    EXPECT_NEAR(before["mean"].get<double>() - year["mean"].get<double>(), 0.0065 * 400.0, 1e-3);
    const Ran told = run(fmt::format("climate house --set site/height={}", site_m));
    EXPECT_THAT(told.errors,
                HasSubstr("the weather year was moved from 15 m to the site's 415 m: temperatures by -2.6 K"));
    EXPECT_THAT(run("climate house --set site/height=15").errors, Not(HasSubstr("V413")));
    const Ran far = run("year house --days 1 --set site/height=3000");
    EXPECT_EQ(far.code, 2);
    EXPECT_THAT(far.errors, HasSubstr("take the weather of a nearer station"));
}

TEST_F(ClimateCommands, ListOneDay)
{
    for (const char* day : {"winter", "July", "14 July", "\"july dry bulb\""})
        EXPECT_EQ(run(fmt::format("climate house --day {}", *day == '1' ? "\"14 July\"" : day)).code, 0) << day;
    EXPECT_THAT(run("climate house --day July").out, HasSubstr("27.8"));
    EXPECT_THAT(run("climate house --day \"July wet bulb\"").errors, HasSubstr("peak_wet_bulb"));
    EXPECT_EQ(run("climate house --day \"July wet bulb\"").code, 2);
    const Ran none = run("climate house --day Julember");
    EXPECT_EQ(none.code, 2);
    EXPECT_THAT(none.errors, HasSubstr("no day is called 'Julember'; there are: winter, July"));
    EXPECT_THAT(run("climate house --week hottest").out, HasSubstr("The hottest week"));
    EXPECT_EQ(run("climate house --week mildest").code, 2);
}

TEST_F(ClimateCommands, GiveDaysAndWeeksToMachines)
{
    const json day = run_json("climate house --day July --json");
    ASSERT_EQ(day["day_hour"].size(), 24u);
    EXPECT_EQ(day["day_hour"][14]["dry_bulb"], 27.8);
    const json all = run_json("climate house --json")["day_hour"]; // winter first
    ASSERT_EQ(all.size(), 48u);
    for (std::size_t h = 0; h < 24; ++h) EXPECT_EQ(all[24 + h]["dry_bulb"], day["day_hour"][h]["dry_bulb"]);
    const json week = run_json("climate house --week coldest --json");
    ASSERT_EQ(week["day_hour"].size(), 7u * 24u);
    const auto mean_C = [](const json& hours) {
        double sum = 0.0;
        for (const json& hour : hours["day_hour"]) sum += hour["dry_bulb"].get<double>();
        return sum / static_cast<double>(hours["day_hour"].size());
    };
    EXPECT_LT(mean_C(week), mean_C(run_json("climate house --week hottest --json")));
}

TEST_F(ClimateCommands, DrawTheYearInThreeKinds)
{
    for (const auto& [kind, begins] : {std::pair{"svg", "<?xml"}, {"png", "\x89PNG"}, {"pdf", "%PDF"}}) {
        EXPECT_EQ(run(fmt::format("draw climate house --as {}", kind)).code, 0);
        EXPECT_TRUE(text_of(folder / "house/results" / fmt::format("climate.{}", kind)).starts_with(begins));
    }
    const std::string first = text_of(folder / "house/results/climate.svg");
    EXPECT_EQ(run("draw climate house").code, 0);
    EXPECT_EQ(text_of(folder / "house/results/climate.svg"), first);
}

TEST_F(ClimateCommands, TeachWhatIsMissing)
{
    const std::string text = text_of(folder / "house/project.toml");
    const auto from = text.find("[weather]"), to = text.find("# Materials");
    replace(text.substr(from, to - from), "");
    EXPECT_EQ(run("climate house").code, 0);
    EXPECT_THAT(run("climate house").out, HasSubstr("No weather year"));
    for (const char* command : {"climate make house", "climate derive house", "draw climate house"}) {
        const Ran r = run(command);
        EXPECT_EQ(r.code, 2) << command;
        EXPECT_THAT(r.errors, HasSubstr("[[monthly_mean]]")) << command;
    }
    replace("  wet_bulb = 19.2\n", "");
    const Ran r = run("climate house");
    EXPECT_EQ(r.code, 2);
    EXPECT_THAT(r.errors, HasSubstr("[month] '7' has no 'wet_bulb'"));
    EXPECT_THAT(r.errors, HasSubstr("cooling six a month"));
    EXPECT_THAT(r.errors, HasSubstr("venture climate derive"));
}

TEST_F(ClimateCommands, RefuseWhatIsNoWeather)
{
    std::ofstream{folder / "bare.csv"} << "Temp,RH\n1,2\n";
    const Ran bare = run("climate derive bare.csv");
    EXPECT_EQ(bare.code, 2);
    EXPECT_THAT(bare.errors, HasSubstr("does not say what is in it"));
    EXPECT_EQ(run("climate derive nowhere.csv").code, 2);
    EXPECT_EQ(run("climate").code, 2);
    replace("seed = 12", "seed = 12\nfile = \"monthly_means.csv\"");
    EXPECT_THAT(run("climate house").errors, HasSubstr("a synthetic year has no file"));
}

TEST_F(ClimateCommands, RefuseMeansThatCannotBe)
{
    std::ofstream{folder / "house/monthly_means.csv"}
        << "month,dry_bulb,daily_range,relative_humidity [%],sun [kWh/m2],wind\n1,4,5,86,6,4\n2,4,5,86,1,4\n";
    const Ran missing = run("climate house");
    EXPECT_EQ(missing.code, 2);
    EXPECT_THAT(missing.errors, HasSubstr("without: March, April"));
    std::ofstream sunny{folder / "house/monthly_means.csv"};
    sunny << "month,dry_bulb,daily_range,relative_humidity [%],sun [kWh/m2],wind\n";
    for (int m = 1; m <= 12; ++m) sunny << m << ",4,5,86,6,4\n";
    sunny.close();
    const Ran too_sunny = run("climate house");
    EXPECT_THAT(too_sunny.errors, HasSubstr("January: sun on the horizontal of a mean day is 21.6 MJ/m2"));
    EXPECT_THAT(too_sunny.errors, HasSubstr("monthly_means.csv:2:1"));
    replace("winter_dry_bulb = -3\n", "");
    EXPECT_THAT(run("climate house").errors, Not(HasSubstr("V201"))); // that follows
}

TEST_F(ClimateCommands, SpeakInchPoundUnits)
{
    const Ran r = run("climate house --units inch-pound");
    EXPECT_THAT(r.out, HasSubstr("82.0"));
    EXPECT_THAT(r.out, HasSubstr("degF"));
    EXPECT_THAT(r.out, HasSubstr("Btu/ft2"));
    EXPECT_THAT(r.out, HasSubstr("mph"));
    EXPECT_THAT(r.out, Not(HasSubstr("degC")));
}

} // namespace
} // namespace venture
