#pragma once
/// Documents as text for people.

#include <venture/figure/document.hpp>
#include <venture/quantity/preferred_units.hpp>
#include <venture/report/text.hpp>

namespace venture::report {

/// Columns as they are declared, each with its unit below the heading; totals below a rule.
[[nodiscard]] Text as_text(const figure::Table& table, const quantity::PreferredUnits& units);
/// Title, sentences and tables, but for tables that sentences tell; an empty line before each table, and after it
/// where the sentences behind it begin with one.
[[nodiscard]] Text as_text(const figure::Document& document, const quantity::PreferredUnits& units);

} // namespace venture::report
