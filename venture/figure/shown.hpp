#pragma once
/// Numbers of tables in units, for people and for spreadsheets.

#include <string>
#include <string_view>
#include <vector>

#include <venture/figure/table.hpp>
#include <venture/quantity/preferred_units.hpp>

namespace venture::figure {

/// A quantity that has one unit only, so that nobody chooses another.
struct PlainQuantity {
    std::string_view key;  ///< "share"
    std::string_view unit; ///< "%"
    double factor = 1.0;   ///< what is shown = value / factor
    int decimals = 0;
    std::string_view si{}; ///< unit of the value itself; that of what is shown if the factor is 1
};
[[nodiscard]] const std::vector<PlainQuantity>& plain_quantities();

/// Whether a column holds numbers.
[[nodiscard]] bool is_number(const Column& column);
/// Unit that the numbers of a column are shown in; empty for words and pure numbers.
[[nodiscard]] std::string_view unit_of(const Column& column, const quantity::PreferredUnits& units);
/// Unit of the values themselves: SI.
[[nodiscard]] std::string_view si_unit_of(const Column& column);
/// A number in the unit that is shown, not rounded.
[[nodiscard]] double in_unit(double si, const Column& column, const quantity::PreferredUnits& units);
/// So many decimals as text shows.
[[nodiscard]] int decimals_of(const Column& column, const quantity::PreferredUnits& units);

/// A cell as text shows it, without its unit: "412", "July 15-16 h", "yes"; "-" where a number is missing.
[[nodiscard]] std::string shown(const Cell& cell, const Column& column, const quantity::PreferredUnits& units);
/// With its unit: "412 W".
[[nodiscard]] std::string shown_with_unit(const Cell& cell, const Column& column,
                                          const quantity::PreferredUnits& units);
/// Those that text for people shows, by Column::show.
[[nodiscard]] std::vector<std::size_t> columns_for_people(const Table& table);
/// "Set-points heat", "Heating": a heading in one line, without its unit.
[[nodiscard]] std::string heading_in_a_line(const Column& column);

} // namespace venture::figure
