#pragma once
/// Columns of text, aligned for a terminal and no wider than it.

#include <limits>
#include <string>
#include <vector>

#include <venture/quantity/preferred_units.hpp>

namespace venture::report {

enum class Align { left, right };

/// As wide as it gets.
constexpr std::size_t any_width = std::numeric_limits<std::size_t>::max();

class TextTable {
public:
    /// @param heading  may have several lines, parted by \n
    /// @param rank  where there is too little room columns of the highest go first, among them the last; those of 0 stay, and
    /// the first column
    /// @param go_together  with all of its rank that do
    void add_column(std::string heading, Align align = Align::right, int rank = 1, bool go_together = false);
    /// One cell a column; missing cells at the end stay empty. What is no letter stands as a mark.
    void add_row(std::vector<std::string> cells);
    /// A thin line across.
    void add_rule();
    /// Every line ended; no blanks at line ends. Columns of words are parted into lines; columns that find no room are left out,
    /// which the last line tells.
    [[nodiscard]] std::string text(std::size_t width = any_width) const;

private:
    struct Column {
        std::vector<std::string> heading;
        Align align;
        int rank;
        bool go_together;
    };
    /// Columns that are shown, and how wide.
    struct Layout {
        std::vector<std::size_t> columns, width;
        [[nodiscard]] std::size_t total() const;
    };
    [[nodiscard]] std::size_t heading_width(const Layout& layout, std::size_t at) const;
    [[nodiscard]] Layout laid_out(std::size_t width) const;
    [[nodiscard]] std::string left_out(const Layout& layout) const;
    [[nodiscard]] std::string name_of(std::size_t column) const;
    /// With what it stands behind, where another is called the same.
    [[nodiscard]] std::string clear_name_of(std::size_t column) const;
    [[nodiscard]] std::string heading_line(const Layout& layout, std::size_t at, std::size_t line) const;

    std::vector<Column> columns_{};
    std::vector<std::vector<std::string>> rows_{}; ///< an empty one is a rule
};

/// A column of numbers in the unit chosen for a quantity, which stands below the heading.
void add_column(TextTable& table, std::string_view heading, std::string_view quantity,
                const quantity::PreferredUnits& units, int rank = 1);

} // namespace venture::report
