#pragma once
/// Profiles and calendars by name.

#include <string>
#include <vector>

#include <venture/building/building.hpp>

namespace venture::cli {

/// Nothing if none is called so.
[[nodiscard]] const calendar::Calendar* find_calendar(const building::Building& building, const std::string& name);
[[nodiscard]] std::vector<std::string> calendar_names(const building::Building& building);

} // namespace venture::cli
