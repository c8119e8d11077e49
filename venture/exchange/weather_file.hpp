#pragma once
/// Files of weather: a year of records in any delimited form, and one of our own to write.

#include <optional>
#include <string>
#include <vector>

#include <venture/climate/weather_year.hpp>
#include <venture/input/input.hpp>
#include <venture/quantity/problems.hpp>

namespace venture::exchange {

/// Whether a file can be read without being described: it is of the TMY3 form, or begins with its own description.
[[nodiscard]] bool describes_itself(const std::string& bytes);

/// Reads a year of weather. What `stated` leaves open is taken from the file's own description (lines behind # that
/// begin with "# [weather]") or its TMY3 station line, then from the site. Records bear times, or follow each other
/// without a break from 1 January; they are brought into order and completed (climate::complete_year()). Everything
/// wrong or worth knowing is told with line and column.
/// @param site  whose place stands in for a station's; nothing if it is not known
/// @returns nothing if something is wrong
[[nodiscard]] std::optional<climate::WeatherYear>
read_weather(const std::string& bytes, const std::string& file, input::WeatherInput stated,
             const std::optional<climate::Place>& site, quantity::OriginPool& origins, quantity::Problems& problems);

/// A year as CSV that describes itself: reading it gives the same year, but for rounding (0.01 K, 0.1 Pa ... 0.1 W/m2).
/// Times and states are those of the beginning of each step.
[[nodiscard]] std::string write_weather(const climate::WeatherYear& year);

} // namespace venture::exchange
