#pragma once
/// A moment of a design day that a command is asked for.

#include <optional>
#include <string>

#include <venture/building/building.hpp>
#include <venture/cli/job.hpp>
#include <venture/climate/design_day.hpp>

namespace venture::cli {

/// "winter", "July", "July wet bulb"; nothing, and told with those that there are, if none is called so.
[[nodiscard]] std::optional<climate::DesignDay> design_day_called(const building::Building& building,
                                                                  const std::string& day);

/// The name of the day that is worst for a room, or for all rooms together; winter where nothing is cooled.
/// @param room  empty: all of them
[[nodiscard]] std::string worst_day(const Job& job, const std::string& room);

struct Moment {
    climate::DesignDay day{};
    std::size_t hour = 0; ///< of local standard time
};
/// "July 15", "July wet bulb 15-16 h", "winter 7 h", as outputs print them: a design day and the clock hour that it begins with.
/// Nothing, and told, if it is no such moment.
[[nodiscard]] std::optional<Moment> moment_called(const building::Building& building, const std::string& typed);

} // namespace venture::cli
