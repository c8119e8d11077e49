#pragma once
/// Rooms that a command is asked for by name.

#include <optional>
#include <string>

#include <venture/cli/job.hpp>

namespace venture::cli {

/// The name of the room that is meant: as it stands, or as a path ("room/Boat hall"). Nothing, and told with the nearest name,
/// if there is none.
[[nodiscard]] std::optional<std::string> room_called(const Job& job, const std::string& typed);

} // namespace venture::cli
