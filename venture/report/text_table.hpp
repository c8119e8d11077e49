#pragma once
/// Columns of text, aligned for a terminal.

#include <string>
#include <vector>

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

/// Width on a terminal: letters, not bytes.
[[nodiscard]] std::size_t display_width(const std::string& text);

} // namespace venture::report
