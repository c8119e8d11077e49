#pragma once
/// Separated text, cell by cell, with the place of each; how it is written is stated or detected.

#include <cstdint>
#include <functional>
#include <optional>
#include <string>
#include <vector>

#include <venture/input/delimited.hpp>
#include <venture/quantity/problems.hpp>

namespace venture::project {

struct CsvCell {
    std::string text{};
    std::uint32_t line = 0, column = 0; ///< from 1; the column counts letters in the line
};
using CsvRow = std::vector<CsvCell>;

/// How a table is written.
struct CsvDialect {
    char separator = ',';
    char decimal_mark = '.';
    input::Encoding encoding = input::Encoding::utf_8;
    int header_rows = 1; ///< 2: the second holds units
    friend bool operator==(const CsvDialect&, const CsvDialect&) = default;
};

/// What is stated of it; the rest is detected.
struct CsvStated {
    std::optional<char> separator{}, decimal_mark{};
    std::optional<input::Encoding> encoding{};
    std::optional<int> header_rows{}; ///< 0: none, columns go by number
    int skip_lines = 0;               ///< at the top, never read
};

struct CsvTable {
    CsvDialect dialect{};
    std::vector<CsvRow> header{}; ///< header_rows of them; fewer if the text has fewer
    std::vector<CsvRow> rows{};
    std::string text{}; ///< the whole in UTF-8
};

/// What stands over a column: "height [ft]" in one row, or "height" over "ft" in two.
struct CsvHeading {
    std::string name{}, unit{};
    std::uint32_t line = 0, column = 0; ///< of the name
};

/// Whether a column holds numbers, by its index from 0 and its heading; the heading is empty if there is none.
using NumbersIn = std::function<bool(std::size_t, const std::string&)>;

/// Splits a text into rows after RFC 4180: quoted cells may hold separators, line ends and doubled quotes. Empty lines
/// and lines that begin with # are left out. Numbers that may be read in two ways ("1,234" among points) are errors.
/// @param file           name that places are told with
/// @param holds_numbers  whether a column (index from 0, heading) holds numbers: room "1.04" is a name
[[nodiscard]] CsvTable read_csv(const std::string& bytes, const std::string& file, const CsvStated& stated,
                                const NumbersIn& holds_numbers, quantity::OriginPool& origins,
                                quantity::Problems& problems);

/// The headings of a table, one a column of its first row.
[[nodiscard]] std::vector<CsvHeading> headings(const CsvTable& table);

/// "commas between cells, decimal points, UTF-8, one header row".
[[nodiscard]] std::string in_words(const CsvDialect& dialect);

/// A note that tells how a table was read, where something was detected that is not the plain dialect.
void note_dialect(const CsvTable& table, const CsvStated& stated, const std::string& file,
                  quantity::OriginPool& origins, quantity::Problems& problems);

/// The number a cell begins with, written with a point; the cell itself if it begins with none.
[[nodiscard]] std::string with_decimal_point(const std::string& cell, char decimal_mark);

/// One cell of words as it is written: quoted where it must be, and guarded where a spreadsheet would run it
/// (quantity::guarded()), which read_csv() takes back.
[[nodiscard]] std::string csv_cell(std::string_view text);

} // namespace venture::project
