#pragma once
/// The keys of a project, explained from their declarations.

#include <optional>
#include <string>
#include <vector>

#include <venture/quantity/preferred_units.hpp>

namespace venture::report {

/// The body of docs/keys.md: a table for each table of the project.
[[nodiscard]] std::string keys_page();

/// What a key, or each key of a table, means: `name` is "height", "room/height", "room.opening/sill" or "room".
/// @returns nothing if no key and no table bears that name
[[nodiscard]] std::optional<std::string> explain_key(const std::string& name,
                                                     const quantity::PreferredUnits& units = {});

/// All that explain_key() understands, as "room/height".
[[nodiscard]] std::vector<std::string> explainable_keys();

} // namespace venture::report
