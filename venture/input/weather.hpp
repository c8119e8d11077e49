#pragma once
/// A year of weather.

#include <array>
#include <cstdint>
#include <string_view>
#include <vector>

#include <venture/climate/readings.hpp>
#include <venture/input/delimited.hpp>
#include <venture/input/given.hpp>

namespace venture::input {

/// How a weather year is given.
enum class WeatherForm : std::uint8_t { columns, tmy3, synthetic };

/// How dates are written.
enum class DateOrder : std::uint8_t { year_month_day, day_month_year, month_day_year };

} // namespace venture::input

namespace venture {

template <>
struct quantity::WordsOf<input::WeatherForm> {
    static constexpr std::array<std::string_view, 3> words = {"columns", "tmy3", "synthetic"};
};

template <>
struct quantity::WordsOf<climate::Stamp> {
    static constexpr std::array<std::string_view, 2> words = {"beginning", "end"};
};

template <>
struct quantity::WordsOf<input::DateOrder> {
    static constexpr std::array<std::string_view, 3> words = {"year-month-day", "day-month-year", "month-day-year"};
};

template <>
struct quantity::WordsOf<climate::BelowFreezing> {
    static constexpr std::array<std::string_view, 2> words = {"water", "ice"};
};

} // namespace venture

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

    Given<std::string> name, file, note;
    Choice<Separator> separator;
    Choice<DecimalMark> decimal_mark;
    Choice<Encoding> encoding;
    Given<TextList> missing;
    Given<double> latitude, longitude, time_zone, height, longest_gap;
    Given<double> day_to_day, wind_from;
    Given<double> winter_frequency, summer_frequency, heating_base, cooling_base;
    std::vector<WeatherColumnInput> columns{};
    Choice<WeatherForm> form;
    Choice<climate::Stamp> stamp;
    Choice<DateOrder> date_order;
    Choice<climate::BelowFreezing> below_freezing;
    Whole year, skip_lines, header_rows, seed;
    /// Whether the project has a weather year; without one its defaults say nothing.
    [[nodiscard]] bool is_used() const
    {
        return form || file || name || stamp || latitude || longitude || height || seed || !columns.empty();
    }
    [[nodiscard]] static const quantity::RecordSpec& spec();
};

/// What a month's weather is like in the mean.
struct MonthlyMeanInput {
    Given<double> dry_bulb, daily_range, relative_humidity, sun, wind;
    Given<std::string> note;
    Whole month;
    [[nodiscard]] static const quantity::RecordSpec& spec();
};

} // namespace venture::input
