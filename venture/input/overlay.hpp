#pragma once
/// Changes to an input by key path: "room/Boat hall/height" = "5 m". Files, tables, --set and scenarios all end here.

#include <optional>
#include <string>
#include <string_view>

#include <venture/input/input.hpp>
#include <venture/quantity/problem.hpp>

namespace venture::input {

/// Sets one key. The path is table/key for tables that stand once ("site/winter_dry_bulb") and table/name/key for the
/// others ("room/Boat hall/height", "month" by its number: "site/month/7/dry_bulb"), * for all of a table
/// ("room/*/height"); texts are read as in a file.
/// @returns what was wrong, or nothing; on a problem the input is unchanged
[[nodiscard]] std::optional<quantity::Problem> apply_overlay(Input& input, std::string_view path,
                                                             std::string_view text);

} // namespace venture::input
