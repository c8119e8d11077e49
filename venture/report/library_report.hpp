#pragma once
/// What a library holds, listed with the values that choose between its records.

#include <string>

#include <nlohmann/json_fwd.hpp>

#include <venture/building/building.hpp>
#include <venture/input/input.hpp>
#include <venture/quantity/preferred_units.hpp>
#include <venture/report/text.hpp>

namespace venture::report {

/// @param library  materials, build-ups, panes, glazings, shades, room types and hours, and nothing else
/// @param word     only records whose name holds it; empty for all
[[nodiscard]] Text library_text(const input::Input& library, const building::Building& completed,
                                const std::string& word, const quantity::PreferredUnits& units = {});
[[nodiscard]] nlohmann::json library_json(const input::Input& library, const building::Building& completed,
                                          const std::string& word);

} // namespace venture::report
