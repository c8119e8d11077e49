#pragma once
/// Tables as CSV, for spreadsheets and scripts.

#include <string>

#include <venture/figure/table.hpp>
#include <venture/quantity/preferred_units.hpp>

namespace venture::report {

/// One header row of keys, each with its unit in brackets; a line a row; numbers in the units chosen, not rounded; what a row has
/// not stays empty; words that a spreadsheet would run are guarded (project::csv_cell()). Totals are left out: they would be
/// taken for rows.
[[nodiscard]] std::string as_csv(const figure::Table& table, const quantity::PreferredUnits& units);

} // namespace venture::report
