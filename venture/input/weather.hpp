#pragma once
/// A year of weather.

#include <vector>

#include <venture/input/given.hpp>

namespace venture::input {

/// What a column of a weather file is.
struct WeatherColumnInput {
    Given<std::string> holds, column, unit, note;
    [[nodiscard]] static const quantity::RecordSpec& spec();
};

/// A year of weather: a file and how it is written, or means to make one up from.
struct WeatherInput {
    WeatherInput();
    WeatherInput(const WeatherInput&);
    WeatherInput(WeatherInput&&) noexcept;
    WeatherInput& operator=(const WeatherInput&);
    WeatherInput& operator=(WeatherInput&&) noexcept;
    ~WeatherInput();

    Given<std::string> name, form, file, stamp, date_order, below_freezing, separator, decimal_mark, encoding, note;
    Given<TextList> missing;
    Given<double> latitude, longitude, time_zone, height, year, skip_lines, header_rows, longest_gap;
    Given<double> seed, day_to_day, wind_from;
    Given<double> winter_frequency, summer_frequency, heating_base, cooling_base;
    std::vector<WeatherColumnInput> columns{};
    /// Whether the project has a weather year; without one its defaults say nothing.
    [[nodiscard]] bool is_used() const
    {
        return form || file || name || stamp || latitude || longitude || height || seed || !columns.empty();
    }
    [[nodiscard]] static const quantity::RecordSpec& spec();
};

/// What a month's weather is like in the mean.
struct MonthlyMeanInput {
    Given<double> month, dry_bulb, daily_range, relative_humidity, sun, wind;
    Given<std::string> note;
    [[nodiscard]] static const quantity::RecordSpec& spec();
};

} // namespace venture::input
