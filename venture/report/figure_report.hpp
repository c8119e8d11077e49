#pragma once
/// All tables of results, and what their figures mean.

#include <optional>
#include <string>
#include <string_view>
#include <vector>

#include <nlohmann/json_fwd.hpp>

#include <venture/figure/path.hpp>
#include <venture/quantity/preferred_units.hpp>

namespace venture::report {

/// A table, and the command that gives it.
struct ResultTable {
    std::string_view command{};
    figure::Declaration declaration{};
};
/// Every table that data for machines may hold, in the order of the work.
[[nodiscard]] const std::vector<ResultTable>& result_tables();

/// The table that a path such as "room_load/Kitchen/cooling" begins with; nothing if none is called so.
[[nodiscard]] const ResultTable* table_of_path(std::string_view path);
/// What the figures that a path means are: their table, unit, meaning and how they sum; a whole table for "room_load" alone.
/// @returns nothing if there is no such table or no such column
[[nodiscard]] std::optional<std::string> explain_figure(std::string_view path, const quantity::PreferredUnits& units);
/// "room_load", "room_load/*/cooling": all that explain_figure() understands.
[[nodiscard]] std::vector<std::string> explainable_figures();
/// The figures that a pattern means, one a row.
[[nodiscard]] figure::Table figures_table(const std::vector<figure::Figure>& figures,
                                          const quantity::PreferredUnits& units);

/// The body of docs/figures.md: a table for each table of results.
[[nodiscard]] std::string figures_page();
/// The JSON Schema of what commands give with --json.
[[nodiscard]] nlohmann::ordered_json results_schema();

} // namespace venture::report
