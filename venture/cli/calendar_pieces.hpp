#pragma once
/// Profiles and calendars by name, in words.

#include <string>
#include <vector>

#include <nlohmann/json_fwd.hpp>

#include <venture/building/building.hpp>
#include <venture/report/text.hpp>

namespace venture::cli {

/// Nothing if none is called so.
[[nodiscard]] const calendar::Calendar* find_calendar(const building::Building& building, const std::string& name);
[[nodiscard]] std::vector<std::string> calendar_names(const building::Building& building);
/// Its rules, full-load hours by month, design days and daily hours.
[[nodiscard]] report::Text explained(const building::Building& building, const calendar::Calendar& calendar);
[[nodiscard]] nlohmann::json explained_json(const building::Building& building, const calendar::Calendar& calendar);

} // namespace venture::cli
