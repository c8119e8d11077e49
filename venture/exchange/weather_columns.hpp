#pragma once
/// Which column of a weather file is what. Internal to exchange.

#include <array>
#include <map>
#include <optional>
#include <string>
#include <vector>

#include <venture/climate/readings.hpp>
#include <venture/input/input.hpp>
#include <venture/project/csv.hpp>
#include <venture/quantity/problems.hpp>

namespace venture::exchange::detail {

/// Parts of the time that a record bears.
enum class TimePart { time, date, month, day, hour, minute };
inline constexpr std::size_t time_parts = 6;

/// A reading's column, and how its numbers become SI: si = offset + factor x number.
struct ReadingColumn {
    climate::Reading reading{};
    std::size_t index = 0;
    double factor = 1.0, offset = 0.0;
};

struct WeatherColumns {
    std::vector<ReadingColumn> readings{};
    std::array<std::optional<std::size_t>, time_parts> times{};

    [[nodiscard]] std::optional<std::size_t> at(TimePart part) const { return times[static_cast<std::size_t>(part)]; }
    [[nodiscard]] bool has_times() const;
};

/// Whether a column may hold numbers, for the detection of decimal marks: by what is stated, or by its heading.
[[nodiscard]] project::NumbersIn numbers_in(const std::vector<input::WeatherColumnInput>& stated);

/// Finds the columns that are stated; where none is, those whose headings are the words of readings ("dry bulb
/// [degC]") and of times.
[[nodiscard]] WeatherColumns find_columns(const project::CsvTable& table, const std::string& file,
                                          const std::vector<input::WeatherColumnInput>& stated,
                                          quantity::OriginPool& origins, quantity::Problems& problems);

} // namespace venture::exchange::detail
