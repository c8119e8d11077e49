#pragma once
/// Documents as a workbook.

#include <string>

#include <venture/figure/document.hpp>
#include <venture/quantity/preferred_units.hpp>

namespace venture::report {

/// A sheet a table: one header row with one unit a column, numbers as numbers in the units chosen and not rounded, words as words
/// (none of them is run), totals as formulas of the rows that they are of; a first sheet with the sentences, a last one with what
/// columns mean.
/// @returns the bytes of the file   @throws quantity::Error if it cannot be made
[[nodiscard]] std::string as_xlsx(const figure::Document& document, const quantity::PreferredUnits& units);

} // namespace venture::report
