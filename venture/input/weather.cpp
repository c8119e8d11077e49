#include <venture/input/weather.hpp>

#include <venture/climate/readings.hpp>
#include <venture/input/key_shorthand.hpp>

namespace venture::input {

using namespace declare; // NOLINT(google-build-using-namespace): words that only declare keys

const RecordSpec& WeatherColumnInput::spec()
{
    using T = WeatherColumnInput;
    static const RecordSpec all = [] {
        std::vector<std::string> words;
        for (const climate::ReadingSpec& reading : climate::reading_specs()) words.emplace_back(reading.key);
        for (const char* time : {"time", "date", "month", "day", "hour", "minute"}) words.emplace_back(time);
        return RecordSpec::of<T>({
            {must(word("holds", "what stands in it", std::move(words))), &T::holds},
            text_key("column", &T::column, "its heading, or its number from 1", true),
            text_key("unit", &T::unit,
                     "of its numbers; the one in the heading's brackets, or the plain one, unless "
                     "typed"),
            note_key<T>(),
        });
    }();
    return all;
}

WeatherInput::WeatherInput() = default;
WeatherInput::WeatherInput(const WeatherInput&) = default;
WeatherInput::WeatherInput(WeatherInput&&) noexcept = default;
WeatherInput& WeatherInput::operator=(const WeatherInput&) = default;
WeatherInput& WeatherInput::operator=(WeatherInput&&) noexcept = default;
WeatherInput::~WeatherInput() = default;

const RecordSpec& WeatherInput::spec()
{
    using T = WeatherInput;
    static const RecordSpec all = RecordSpec::of<T>(
        {
            text_key("name", &T::name, "what outputs call the year"),
            {otherwise_word(text("form", "columns: any delimited file, described below; tmy3: the public-domain TMY3 "
                                         "comma-separated form; synthetic: made up from [[monthly_mean]]"),
                            "columns", "a file is described unless said otherwise"),
             &T::form},
            text_key("file", &T::file, "file in the project's folder, a record a line; none for a synthetic year"),
            {number("latitude", Kind::angle, -90, 90, "of the station; the site's unless typed"), &T::latitude},
            {number("longitude", Kind::angle, -180, 180, "of the station, east positive; the site's unless typed"),
             &T::longitude},
            {number("time_zone", Kind::hours, -13, 15, "of the file's clock, no summer time; the site's unless typed"),
             &T::time_zone},
            {number("height", Kind::length, -500, 6000,
                    "of the station, from which the year is moved to the site's; the site's unless typed"),
             &T::height},
            {otherwise(number("year", Kind::number, 0, 2100, "calendar year of the records; 0: a typical year"), 0.0,
                       "a typical year"),
             &T::year},
            {text("stamp", "which end of its step a record bears the time of"), &T::stamp},
            {otherwise_word(text("date_order", "how dates are written"), "year-month-day", "ISO 8601"), &T::date_order},
            {listed(KeySpec{.name = "missing",
                            .text = "marks of missing values, such as \"-999\"; empty cells are always"},
                    0),
             &T::missing},
            {otherwise_word(text("below_freezing", "what humidities below 0 degC refer to"), "water",
                            "weather services, WMO-No. 8"),
             &T::below_freezing},
            {otherwise(number("longest_gap", Kind::hours, 0, 72, "gaps up to this long are filled and listed"), 3.0,
                       own),
             &T::longest_gap},
            {otherwise(number("skip_lines", Kind::number, 0, 1000, "lines above the headings"), 0.0, "none"),
             &T::skip_lines},
            {number("header_rows", Kind::number, 0, 2,
                    "0: no headings, columns go by number; 2: units in a row of their own; detected unless typed"),
             &T::header_rows},
            {text("separator", "between cells; detected unless typed"), &T::separator},
            {text("decimal_mark", "of numbers; detected unless typed"), &T::decimal_mark},
            {text("encoding", "of letters; detected unless typed"), &T::encoding},
            {otherwise(number("seed", Kind::number, 0, 1e9, "of a synthetic year: another gives other days"), 1.0,
                       "any will do"),
             &T::seed},
            {otherwise(number("day_to_day", Kind::temperature_difference, 0, 8,
                              "standard deviation of daily means in a synthetic year"),
                       2.8, own),
             &T::day_to_day},
            {otherwise(number("wind_from", Kind::angle, 0, 360, "where most wind comes from in a synthetic year"),
                       240.0, own),
             &T::wind_from},
            {otherwise(number("winter_frequency", Kind::fraction, 0.9, 1,
                              "share of the year that is warmer than the derived winter design"),
                       0.996, "ASHRAE Handbook - Fundamentals, the rarer of its two"),
             &T::winter_frequency},
            {otherwise(number("summer_frequency", Kind::fraction, 0, 0.1,
                              "share of a month that is hotter than its derived cooling design"),
                       0.004, "ASHRAE Handbook - Fundamentals, the rarest of its monthly ones"),
             &T::summer_frequency},
            {otherwise(number("heating_base", Kind::temperature, 0, 30, "below which heating degree-days count"), 15.5,
                       "usual where degrees are Celsius"),
             &T::heating_base},
            {otherwise(number("cooling_base", Kind::temperature, 0, 35, "above which cooling degree-days count"), 18.0,
                       "usual where degrees are Celsius"),
             &T::cooling_base},
            note_key<T>(),
        },
        {{"column", &T::columns}});
    return all;
}

const RecordSpec& MonthlyMeanInput::spec()
{
    using T = MonthlyMeanInput;
    static const RecordSpec all = RecordSpec::of<T>({
        {must(number("month", Kind::number, 1, 12, "1 to 12")), &T::month},
        {must(number("dry_bulb", Kind::temperature, -60, 45, "mean of the month")), &T::dry_bulb},
        {must(number("daily_range", Kind::temperature_difference, 1, 30, "mean of the days' highest less lowest")),
         &T::daily_range},
        {must(number("relative_humidity", Kind::fraction, 0.05, 0.97, "mean of the month")), &T::relative_humidity},
        {must(number("sun", Kind::irradiation, 0, 4e7, "global on the horizontal, mean day")), &T::sun},
        {must(wind_speed("wind", 30, "mean of the month")), &T::wind},
        note_key<T>(),
    });
    return all;
}

} // namespace venture::input
