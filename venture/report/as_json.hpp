#pragma once
/// Documents as JSON for machines.

#include <nlohmann/json_fwd.hpp>

#include <venture/figure/document.hpp>

namespace venture::report {

/// Of the layout below; grows by one when something that was there moves or goes.
inline constexpr int json_version = 1;

/// "version" and "title"; each table as an array of objects under its name; "columns", of each table what its keys are: unit
/// (SI), heading, meaning; "totals" of those that have some. What a row has not is left out of its object.
[[nodiscard]] nlohmann::ordered_json as_json(const figure::Document& document);

} // namespace venture::report
