#include <venture/report/climate_report.hpp>

#include <gmock/gmock.h>
#include <gtest/gtest.h>
#include <nlohmann/json.hpp>

#include <venture/draw/climate_drawing.hpp>
#include <venture/report/as_json.hpp>
#include <venture/report/as_text.hpp>
#include <venture/report/site_keys.hpp>

namespace venture::report {
namespace {

using climate::clock_in_words;
using climate::WeatherFigures;
using testing::HasSubstr;
using testing::Not;

climate::Site a_site()
{
    return {.name = "Nowhere",
            .place = {52.0, 0.0, 0.0, 30.0},
            .summer_time = climate::SummerTime{{3, 29}, {10, 24}, 1.0},
            .winter = {-5.0, 8.0, -9.0, 4.0},
            .months = {{.month = 7,
                        .dry_bulb_C = 28.0,
                        .wet_bulb_C = 19.0,
                        .daily_range_K = 10.0,
                        .beam_depth = 0.4,
                        .diffuse_depth = 2.3,
                        .ground_C = 14.0}}};
}

/// A year in which nothing happens.
WeatherFigures dull_year(bool synthetic)
{
    climate::WeatherYear year{.name = "dull", .source = "a test", .synthetic = synthetic, .place = a_site().place};
    for (int h = 0; h < 8760; ++h) {
        year.dry_bulb_C.push_back(10.0 + (h % 24 == 14 ? 1.0 : 0.0));
        year.humidity_ratio.push_back(0.005);
        year.pressure_Pa.push_back(101325.0);
        year.beam_normal_W_per_m2.push_back(0.0);
        year.diffuse_horizontal_W_per_m2.push_back(0.0);
    }
    return {year, climate::summarise(year), climate::derive_conditions(year)};
}

TEST(ClimateReport, TellsPlaceAndClock)
{
    const std::string text = as_text(climate_document(a_site(), {}, std::nullopt, {}), {}).laid_out();
    EXPECT_THAT(text,
                HasSubstr("Nowhere: 52.00 deg north, 0.00 deg east, 30 m above the sea; clock UTC+0 h, summer time "
                          "29 March to 24 October, 1 h ahead"));
    EXPECT_THAT(text, HasSubstr("No weather year"));
}

TEST(ClimateReport, DayHasTwentyFourHoursInClockTimeToo)
{
    const std::string text = as_text(day_document(cooling_design_day(a_site(), a_site().months[0]), {}), {}).laid_out();
    EXPECT_THAT(text, HasSubstr("\n  14  15:00  28.0"));
    EXPECT_EQ(std::ranges::count(text, '\n'), 1 + 1 + 4 + 24); // what it is; a blank; headings and their rule; hours
}

TEST(ClimateReport, SyntheticYearsAreAlwaysCalledSo)
{
    const auto document = [](bool synthetic) { return climate_document(a_site(), {}, dull_year(synthetic), {}); };
    EXPECT_THAT(as_text(document(true), {}).laid_out(), HasSubstr("SYNTHETIC"));
    EXPECT_THAT(as_text(document(false), {}).laid_out(), Not(HasSubstr("SYNTHETIC")));
    EXPECT_EQ(as_json(document(true))["weather_year"][0]["synthetic"], true);
}

TEST(ClimateReport, DerivedKeysSayWhereTheyAreFrom)
{
    const std::string text = derived_toml(dull_year(false), {});
    EXPECT_THAT(text, HasSubstr("# Design conditions derived from the weather year 'dull'"));
    EXPECT_THAT(text, HasSubstr("winter_dry_bulb = 10.0\n"));
    EXPECT_THAT(text, HasSubstr("# too little sun to fit these two to"));
}

TEST(ClimateReport, ClockRunsRound)
{
    EXPECT_EQ(clock_in_words(0.0), "00:00");
    EXPECT_EQ(clock_in_words(24.5), "00:30");
    EXPECT_EQ(clock_in_words(-1.25), "22:45");
    EXPECT_EQ(clock_in_words(12.999), "13:00");
}

TEST(ClimateDrawing, IsTheSameTwiceAndManagesWithoutWindOrSun)
{
    const WeatherFigures w = dull_year(false);
    const std::string once = draw::draw_climate(a_site(), w.year, w.summary);
    EXPECT_TRUE(once.starts_with("<?xml"));
    EXPECT_EQ(draw::draw_climate(a_site(), w.year, w.summary), once);
}

} // namespace
} // namespace venture::report
