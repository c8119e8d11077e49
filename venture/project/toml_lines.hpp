#pragma once
/// A TOML text as lines that can be blanked without moving the others, so that reading goes on after a mistake.
/// Internal to project.

#include <optional>
#include <string>
#include <vector>

namespace venture::project {

/// Lines are counted from 1; a line beyond the end is the last one.
class TomlLines {
public:
    explicit TomlLines(const std::string& text);

    [[nodiscard]] std::string joined() const;
    /// A line as it stands now; empty beyond the end.
    [[nodiscard]] std::string line(std::size_t number) const;

    /// A list over several lines.
    struct List {
        std::size_t opened = 0;
        std::optional<std::size_t> closed{}; ///< nothing if it is not closed before the next header
    };
    /// The list that is still open above a line, in the same table.
    [[nodiscard]] std::optional<List> list_around(std::size_t number) const;

    /// Whether a mistake only follows from the one before: it stands at the same line or above, or continues that line.
    [[nodiscard]] bool follows_from_the_last(std::size_t number) const;

    /// Blanks what a mistake makes unreadable: its line, or its whole table if the header is broken or the same place
    /// is reached again.
    /// @returns whether anything is left to be read otherwise
    bool blank_mistake(std::size_t number);
    /// Blanks from one line to another, both included.
    bool blank_lines(std::size_t first, std::size_t last);

private:
    [[nodiscard]] std::size_t index_of(std::size_t number) const;
    [[nodiscard]] bool is_header(std::size_t index) const;
    [[nodiscard]] std::size_t end_of_table(std::size_t index) const;
    bool blank_table(std::size_t index);
    bool blank(std::size_t first, std::size_t last);

    std::vector<std::string> lines_{};
    std::optional<std::size_t> last_mistake_{};
};

} // namespace venture::project
