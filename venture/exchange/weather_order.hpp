#pragma once
/// Which step of the year each row of a weather file is. Internal to exchange.

#include <optional>
#include <string>
#include <vector>

#include <venture/exchange/weather_columns.hpp>
#include <venture/input/input.hpp>
#include <venture/quantity/problems.hpp>

namespace venture::exchange::detail {

/// The place of each row in the year.
struct Order {
    bool leap = false;
    int steps_per_hour = 1;
    std::vector<std::size_t> record_of_row{}; ///< step that the record belongs to, from 0
};

/// By the times that rows bear; where they bear none, rows follow each other from 1 January and must be a whole year.
/// @param stated  says how dates are written and, if rows bear times, which end of its step a record is stamped with
/// @returns nothing, and problems, if the rows do not tell
[[nodiscard]] std::optional<Order> order_records(const project::CsvTable& table, const WeatherColumns& columns,
                                                 const input::WeatherInput& stated, const std::string& file,
                                                 quantity::OriginPool& origins, quantity::Problems& problems);

} // namespace venture::exchange::detail
