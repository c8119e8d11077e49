#pragma once
/// Columns of text, aligned for a terminal.

#include <string>
#include <vector>

#include <venture/quantity/preferred_units.hpp>

namespace venture::report {

enum class Align { left, right };

class TextTable {
public:
    /// @param heading  may have several lines, parted by \n
    void add_column(std::string heading, Align align = Align::right);
    /// One cell a column; missing cells at the end stay empty.
    void add_row(std::vector<std::string> cells);
    /// A thin line across.
    void add_rule();
    /// Every line ended; no blanks at line ends.
    [[nodiscard]] std::string text() const;

private:
    struct Column {
        std::vector<std::string> heading;
        Align align;
    };
    std::vector<Column> columns_{};
    std::vector<std::vector<std::string>> rows_{}; ///< an empty one is a rule
};

/// A column of numbers in the unit chosen for a quantity, which stands below the heading.
void add_column(TextTable& table, std::string_view heading, std::string_view quantity,
                const quantity::PreferredUnits& units);

} // namespace venture::report
