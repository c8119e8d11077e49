#include <venture/exchange/weather_file.hpp>

#include <algorithm>
#include <cmath>
#include <functional>

#include <fmt/format.h>
#include <gtest/gtest.h>

#include <venture/climate/climates_for_tests.hpp>
#include <venture/quantity/codes.hpp>

namespace venture::exchange {
namespace {

namespace codes = quantity::codes;
using input::WeatherInput;
using quantity::Given;

struct Read {
    std::optional<climate::WeatherYear> year;
    quantity::Problems problems;
    quantity::OriginPool origins;
    /// The first error; an empty one if there is none.
    [[nodiscard]] quantity::Problem error() const
    {
        for (const auto& p : problems)
            if (p.severity == quantity::Severity::error) return p;
        return {};
    }
    /// What is said of a code; empty if nothing is.
    [[nodiscard]] std::string said(std::string_view code) const
    {
        for (const auto& p : problems)
            if (p.code == code) return p.message;
        return {};
    }
};

Read read(const std::string& text, const WeatherInput& stated = {},
          const std::optional<climate::Place>& site = climate::temperate_climate().place)
{
    Read r;
    r.year = read_weather(text, "w.csv", stated, site, r.origins, r.problems);
    return r;
}

const climate::WeatherYear& a_year()
{
    static const climate::WeatherYear year = climate::synthetic_year(climate::temperate_climate());
    return year;
}

/// A file as an office might keep it: no times, hour-ending, its own words.
std::string plain_file(const std::string& separator = ",", bool decimal_commas = false, const char* line_end = "\n")
{
    std::string out = fmt::format("Temp{0}RH{0}Global{1}", separator, line_end);
    const auto suns = climate::suns_of_year(a_year().place, false, 1);
    const auto global = climate::global_horizontal_W_per_m2(a_year(), suns);
    for (std::size_t i = 0; i < a_year().size(); ++i) {
        std::string line = fmt::format("{:.2f}{}{:.1f}{}{:.2f}{}", a_year().dry_bulb_C[i], separator, 75.0, separator,
                                       global[i], line_end);
        if (decimal_commas) std::ranges::replace(line, '.', ',');
        out += line;
    }
    return out;
}

WeatherInput described(const char* temperature = "Temp")
{
    WeatherInput w;
    w.stamp = "end";
    const auto column = [&](const char* holds, const char* name, const char* unit) {
        input::WeatherColumnInput c;
        c.holds = std::string{holds};
        c.column = std::string{name};
        c.unit = std::string{unit};
        w.columns.push_back(c);
    };
    column("dry_bulb", temperature, "degC");
    column("relative_humidity", "RH", "%");
    column("global_horizontal", "Global", "W/m2");
    return w;
}

/// The text with a line (from 1) replaced, or taken out if `by` is nothing.
std::string with_line(const std::string& text, std::size_t line, const std::optional<std::string>& by)
{
    std::size_t from = 0;
    for (std::size_t i = 1; i < line; ++i) from = text.find('\n', from) + 1;
    const std::size_t to = text.find('\n', from) + 1;
    return text.substr(0, from) + (by ? *by + "\n" : "") + text.substr(to);
}

TEST(WeatherFile, WhatIsWrittenIsReadAgain)
{
    const std::string text = write_weather(a_year());
    ASSERT_TRUE(describes_itself(text));
    const Read again = read(text, {}, std::nullopt); // it says itself where it is from
    ASSERT_TRUE(again.year) << again.error().message;
    EXPECT_TRUE(again.problems.empty()) << again.problems.front().message;
    EXPECT_TRUE(again.year->synthetic);
    EXPECT_EQ(again.year->name, "Middling");
    EXPECT_EQ(again.year->place.latitude_deg, 51.0);
    for (std::size_t i = 0; i < a_year().size(); ++i) {
        EXPECT_NEAR(again.year->dry_bulb_C[i], a_year().dry_bulb_C[i], 0.0051);
        EXPECT_NEAR(again.year->humidity_ratio[i], a_year().humidity_ratio[i], 1e-5);
        EXPECT_NEAR(again.year->beam_normal_W_per_m2[i], a_year().beam_normal_W_per_m2[i], 0.051);
        EXPECT_NEAR(again.year->wind_m_per_s[i], a_year().wind_m_per_s[i], 0.051);
    }
    EXPECT_EQ(write_weather(*again.year).size(), write_weather(*read(write_weather(*again.year)).year).size());
}

TEST(WeatherFile, RowsMayComeInAnyOrder)
{
    const std::string text = write_weather(a_year());
    const auto head = text.find("2022-01-01 00:00"), middle = text.find("2022-07-01 00:00");
    const Read turned = read(text.substr(0, head) + text.substr(middle) + text.substr(head, middle - head));
    ASSERT_TRUE(turned.year) << turned.error().message;
    EXPECT_EQ(turned.year->dry_bulb_C, read(text).year->dry_bulb_C);
}

TEST(WeatherFile, ColumnsAreReadAsTheyAreDescribed)
{
    const Read r = read(plain_file(), described());
    ASSERT_TRUE(r.year) << r.error().message;
    EXPECT_NEAR(r.year->dry_bulb_C[1], a_year().dry_bulb_C[0], 0.0051); // stamped at the end
    EXPECT_FALSE(r.said(codes::weather_filled).empty());                // pressure, and the split of global
    EXPECT_FALSE(r.year->synthetic);
}

TEST(WeatherFile, AYearWhoseGlobalWasSplitIsReadAgainOnceItIsWritten)
{
    const Read split = read(plain_file(), described());
    ASSERT_TRUE(split.year);
    const std::string written = write_weather(*split.year);
    const Read again = read(written, {}, std::nullopt);
    ASSERT_TRUE(again.year)
        << again.error().message; // its clock is judged by global, which was measured, not by the split
    for (std::size_t i = 0; i < split.year->size(); ++i)
        EXPECT_NEAR(again.year->beam_normal_W_per_m2[i], split.year->beam_normal_W_per_m2[i], 0.051);
}

TEST(WeatherFile, DialectsGiveTheSameYear)
{
    const auto expected = read(plain_file(), described()).year->dry_bulb_C;
    const std::pair<const char*, std::string> others[] = {
        {"decimal commas", plain_file(";", true)},
        {"tabs", plain_file("\t")},
        {"carriage returns", plain_file(",", false, "\r\n")},
        {"a byte-order mark", "\xEF\xBB\xBF" + plain_file()},
        {"comments", "# from the attic\n" + plain_file()},
    };
    for (const auto& [what, text] : others) {
        const Read r = read(text, described());
        ASSERT_TRUE(r.year) << what << ": " << r.error().message;
        EXPECT_EQ(r.year->dry_bulb_C, expected) << what;
    }
}

TEST(WeatherFile, LinesAboveTheHeadingsAreSkippedWhenStated)
{
    WeatherInput w = described();
    w.skip_lines = 2.0;
    EXPECT_TRUE(read("Station 7\nkept by hand; mostly\n" + plain_file(), w).year);
    const Read shifted = read("Station 7\n" + plain_file(), w); // one line too many: headings are gone
    EXPECT_EQ(shifted.error().code, codes::unknown_name);
    EXPECT_NE(shifted.error().hint.find("skip_lines"), std::string::npos) << shifted.error().hint;
}

TEST(WeatherFile, ColumnsMayGoByNumberWhereThereAreNoHeadings)
{
    WeatherInput w = described();
    w.header_rows = 0.0;
    for (std::size_t i = 0; i < 3; ++i) w.columns[i].column = std::to_string(i + 1);
    const std::string text = plain_file();
    const Read r = read(text.substr(text.find('\n') + 1), w);
    ASSERT_TRUE(r.year) << r.error().message;
    EXPECT_EQ(r.year->dry_bulb_C, read(text, described()).year->dry_bulb_C);
}

TEST(WeatherFile, UnitsAreConverted)
{
    WeatherInput w = described();
    w.columns[0].unit = "degF";
    std::string text = "Temp,RH,Global\n";
    const auto suns = climate::suns_of_year(a_year().place, false, 1);
    const auto global = climate::global_horizontal_W_per_m2(a_year(), suns);
    for (std::size_t i = 0; i < a_year().size(); ++i)
        text += fmt::format("{:.3f},75,{:.2f}\n", 32.0 + 1.8 * a_year().dry_bulb_C[i], global[i]);
    const Read r = read(text, w);
    ASSERT_TRUE(r.year) << r.error().message;
    EXPECT_NEAR(r.year->dry_bulb_C[1], a_year().dry_bulb_C[0], 1e-3);
}

TEST(WeatherFile, LeapYearsAndTenMinutesAreRead)
{
    std::string text = "time,dry bulb [degC],relative humidity [%],global horizontal [W/m2]\n";
    const climate::Place place = a_year().place;
    const auto suns = climate::suns_of_year(place, true, 6);
    for (std::size_t i = 0; i < suns.size(); ++i) {
        const auto date = climate::month_day(static_cast<int>(i / 144) + 1, true);
        text += fmt::format("2024-{:02}-{:02}T{:02}:{:02},{:.2f},60,{:.1f}\n", date.month, date.day, i % 144 / 6,
                            i % 6 * 10, 10.0 + static_cast<double>(i % 144) / 20.0, 700.0 * suns[i].mean_sine);
    }
    WeatherInput w;
    w.stamp = "beginning";
    w.year = 2024.0;
    const Read r = read(text, w);
    ASSERT_TRUE(r.year) << r.error().message;
    EXPECT_TRUE(r.year->leap);
    EXPECT_EQ(r.year->steps_per_hour, 6);
    EXPECT_EQ(r.year->size(), 8784u * 6u);
}

/// The form as the manual shows it; records hour-ending.
std::string tmy3_file()
{
    std::string out = "990001,\"GULL POINT\",ZZ,1.0,51.000,8.000,120\n"
                      "Date (MM/DD/YYYY),Time (HH:MM),ETR (W/m^2),GHI (W/m^2),DNI (W/m^2),DHI (W/m^2),TotCld "
                      "(tenths),Dry-bulb (C),Dew-point (C),RHum (%),Pressure (mbar),Wdir (degrees),Wspd (m/s)\n";
    const auto suns = climate::suns_of_year(a_year().place, false, 1);
    const auto global = climate::global_horizontal_W_per_m2(a_year(), suns);
    for (std::size_t i = 0; i < a_year().size(); ++i) {
        const auto date = climate::month_day(static_cast<int>(i / 24) + 1);
        out +=
            fmt::format("{:02}/{:02}/{},{:02}:00,0,{:.0f},{:.0f},{:.0f},{:.0f},{:.1f},{:.1f},75,{:.0f},{:.0f},{:.1f}\n",
                        date.month, date.day, 1976 + date.month, i % 24 + 1, global[i],
                        a_year().beam_normal_W_per_m2[i], a_year().diffuse_horizontal_W_per_m2[i],
                        10.0 * a_year().cloud_cover[i], a_year().dry_bulb_C[i], a_year().dry_bulb_C[i] - 4.0,
                        a_year().pressure_Pa[i] / 100.0, a_year().wind_from_deg[i], a_year().wind_m_per_s[i]);
    }
    return out;
}

TEST(WeatherFile, ReadsTheTmy3FormWithoutAWord)
{
    const std::string text = tmy3_file();
    ASSERT_TRUE(describes_itself(text));
    const Read r = read(text, {}, std::nullopt);
    ASSERT_TRUE(r.year) << r.error().message;
    EXPECT_EQ(r.year->name, "GULL POINT");
    EXPECT_EQ(r.year->source, "w.csv (TMY3)");
    EXPECT_EQ(r.year->place.height_m, 120.0);
    EXPECT_NEAR(r.year->dry_bulb_C[1], a_year().dry_bulb_C[0], 0.051);
    EXPECT_NEAR(r.year->beam_normal_W_per_m2[0], a_year().beam_normal_W_per_m2[0], 0.51);
    EXPECT_FALSE(r.year->cloud_cover.empty());
}

TEST(WeatherFile, Tmy3WithAShiftedHeaderOrABrokenStationLineIsRefused)
{
    EXPECT_EQ(read("an extra line\n" + tmy3_file()).error().code, codes::weather_records); // no longer the form
    WeatherInput w;
    w.form = "tmy3";
    const Read extra = read("an extra line\n" + tmy3_file(), w);
    EXPECT_EQ(extra.error().code, codes::weather_records);
    EXPECT_NE(extra.error().message.find("station line"), std::string::npos);
    const Read bad = read(with_line(tmy3_file(), 1, "990001,\"GULL POINT\",ZZ,1.0,95.0,8.0,120"), w);
    EXPECT_EQ(bad.error().message, "'95.0' is no latitude");
}

TEST(WeatherFile, FarStationsAreNoticed)
{
    const Read r = read(tmy3_file(), {}, climate::Place{54.0, 8.0, 1.0, 0.0});
    ASSERT_TRUE(r.year);
    EXPECT_EQ(r.said(codes::weather_odd), "the weather was recorded 334 km from the site");
}

/// What is done to a good file, and what must be said of it.
struct BadFile {
    const char* name;
    std::function<std::string(std::string)> damage;
    std::string_view code;
    std::uint32_t line;
    const char* message;
};
class BadFiles : public testing::TestWithParam<BadFile> {};

TEST_P(BadFiles, AreRefusedWithLineAndReason)
{
    const Read r = read(GetParam().damage(write_weather(a_year())));
    EXPECT_FALSE(r.year);
    const auto error = r.error();
    EXPECT_EQ(error.code, GetParam().code) << error.message;
    EXPECT_EQ(r.origins.at(error.where).line, GetParam().line) << error.message;
    EXPECT_NE(error.message.find(GetParam().message), std::string::npos) << error.message;
}

constexpr std::size_t first_record = 13; // behind eleven lines of description and the headings

/// A line's nth cell (from 0) replaced.
std::string with_cell(const std::string& text, std::size_t line, std::size_t cell, const std::string& by)
{
    std::size_t from = 0;
    for (std::size_t i = 1; i < line; ++i) from = text.find('\n', from) + 1;
    for (std::size_t i = 0; i < cell; ++i) from = text.find(',', from) + 1;
    const std::size_t to = text.find_first_of(",\n", from);
    return text.substr(0, from) + by + text.substr(to);
}

std::vector<BadFile> bad_files()
{
    return {
        BadFile{"text_in_a_number", [](std::string t) { return with_cell(t, first_record + 5, 1, "warm"); },
                codes::wrong_type, first_record + 5, "dry_bulb: a number expected, 'warm' found"},
        BadFile{"nan", [](std::string t) { return with_cell(t, first_record + 5, 4, "NaN"); }, codes::wrong_type,
                first_record + 5, "beam_normal: a number expected, 'NaN' found"},
        BadFile{"dew_point_above_dry_bulb", [](std::string t) { return with_cell(t, first_record + 7, 2, "38"); },
                codes::weather_value, first_record + 7, "dew_point: 38.0 degC is above the dry bulb of"},
        BadFile{"31_june", [](std::string t) { return with_cell(t, first_record + 9, 0, "2022-06-31 09:00"); },
                codes::weather_records, first_record + 9, "'2022-06-31': June has 30 days"},
        BadFile{"hour_25", [](std::string t) { return with_cell(t, first_record, 0, "2022-01-01 25:00"); },
                codes::weather_records, first_record, "'25:00' is no time of day"},
        BadFile{"a_zone", [](std::string t) { return with_cell(t, first_record, 0, "2022-01-01T00:00Z"); },
                codes::weather_records, first_record, "names a time zone"},
        BadFile{"twice", [](std::string t) { return with_cell(t, first_record + 2, 0, "2022-01-01 01:00"); },
                codes::twice, first_record + 2, "a second record of one time"},
        BadFile{"odd_minutes", [](std::string t) { return with_cell(t, first_record + 2, 0, "2022-01-01 02:17"); },
                codes::weather_records, first_record + 2, "no multiple of the step of 60 minutes"},
        BadFile{"a_missing_month",
                [](std::string t) {
                    const auto from = t.find("2022-06-01"), to = t.find("2022-07-01");
                    return t.substr(0, from) + t.substr(to);
                },
                codes::weather_gap, first_record + 151 * 24 - 1, "nothing for 720 h from 1 June, 00:00"},
        BadFile{"a_short_line", [](std::string t) { return with_line(t, first_record + 3, "2022-01-01 03:00,4.5"); },
                codes::weather_records, first_record + 3, "the line ends after 2 cells"},
        BadFile{"latitude_95", [](std::string t) { return with_line(t, 5, "# latitude = 95"); }, codes::bounds, 5,
                "latitude"},
        BadFile{"no_records", [](std::string t) { return t.substr(0, t.find("2022-01-01")); }, codes::weather_records,
                1, "no records"},
        BadFile{"headings_of_nothing",
                [](std::string t) { return with_line(t, first_record - 1, "a,b,c,d,e,f,g,h,i"); },
                codes::weather_records, first_record - 1, "no heading is the word of a reading"},
        BadFile{"two_dry_bulbs", [](std::string t) { return with_cell(t, first_record - 1, 2, "dry bulb [degC]"); },
                codes::twice, first_record - 1, "two columns hold 'dry_bulb'"},
        BadFile{"a_wrong_unit", [](std::string t) { return with_cell(t, first_record - 1, 1, "dry bulb [furlongs]"); },
                codes::quantity, first_record - 1, "dry_bulb: the unit 'furlongs' found"},
        BadFile{"an_endless_description",
                [](std::string t) {
                    std::string comments;
                    for (int i = 0; i < 1000; ++i) comments += "# and so on\n";
                    return t.substr(0, t.find("time,")) + comments + t.substr(t.find("time,"));
                },
                codes::weather_records, 1, "more than 400 lines"},
        BadFile{"a_wrong_key", [](std::string t) { return with_line(t, 5, "# lattitude = 51"); }, codes::unknown_key, 5,
                "lattitude"}};
}

INSTANTIATE_TEST_SUITE_P(Each, BadFiles, testing::ValuesIn(bad_files()),
                         [](const auto& one) { return std::string{one.param.name}; });

TEST(WeatherFile, EightThousandHoursAreNoYear)
{
    std::string text = plain_file();
    std::size_t at = 0;
    for (int i = 0; i < 8001; ++i) at = text.find('\n', at) + 1;
    const auto error = read(text.substr(0, at), described()).error();
    EXPECT_EQ(error.code, codes::weather_records);
    EXPECT_NE(error.message.find("8000 records; a year has 8760 hours"), std::string::npos) << error.message;
}

TEST(WeatherFile, MissingMarksMakeGaps)
{
    WeatherInput w = described();
    const std::string text = with_cell(with_cell(plain_file(), 100, 0, "-99.9"), 101, 0, "");
    EXPECT_EQ(read(text, w).error().code, codes::weather_value); // -99.9 degC is impossible
    w.missing = quantity::TextList{{"-99.9", {}}};
    const Read r = read(text, w);
    ASSERT_TRUE(r.year) << r.error().message;
    EXPECT_NE(r.said(codes::weather_filled).find("2 h in 1 gap filled"), std::string::npos);
}

TEST(WeatherFile, AskWhichEndOfTheHourTheStampIs)
{
    WeatherInput w = described();
    w.stamp = Given<std::string>{};
    const auto error = read(plain_file(), w).error();
    EXPECT_EQ(error.code, codes::missing);
    EXPECT_NE(error.hint.find("first record of 1 January"), std::string::npos);
}

TEST(WeatherFile, AWrongStampIsSeenByTheSun)
{
    // The hour of difference lies within what clouds may do to a month, were it not for the brightest days.
    WeatherInput w = described();
    std::string text = plain_file();
    const std::size_t head = text.find('\n') + 1, last = text.rfind('\n', text.size() - 2) + 1;
    text = text.substr(0, head) + text.substr(last) + text.substr(head, last - head); // an hour late
    const auto error = read(text, w).error();
    EXPECT_EQ(error.code, codes::sun_and_clock) << error.message;
    EXPECT_NE(error.message.find("late in every month"), std::string::npos) << error.message;
}

} // namespace
} // namespace venture::exchange
