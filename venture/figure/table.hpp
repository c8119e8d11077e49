#pragma once
/// Tables of results: their columns are declared once, beside the struct that they read; every form is made of that.

#include <ranges>
#include <string>
#include <vector>

#include <venture/figure/cell.hpp>

namespace venture::figure {

/// How a total follows from the rows that it is of.
enum class Sum : std::uint8_t { none, added, largest, smallest };
/// When text for people shows a column; data for machines always have it.
enum class Show : std::uint8_t {
    always,
    if_any,    ///< where a row has it
    if_varied, ///< where rows differ in it
    data,      ///< never: sentences tell it, or it would be too much
};

/// Who is told a table.
enum class Told : std::uint8_t {
    everyone,
    data,   ///< machines and spreadsheets: for people sentences tell it, or it would be too much
    people, ///< what others hold, arranged to be read
};

struct Column {
    std::string key{};      ///< "cooling": in JSON, CSV, paths and labels; stable
    std::string heading{};  ///< for people; lines parted by \n, alike ones of neighbours are shown as one
    std::string quantity{}; ///< of quantity::printed_quantities() or plain_quantities(); empty: words
    std::string meaning{};  ///< for help, docs and notes
    int rank = 1;           ///< in a narrow terminal the highest go first; 0 stays
    Sum sum = Sum::none;
    Show show = Show::always;
    bool dash_for_zero = false; ///< for people: there is none of it
    bool go_together = false;   ///< where it finds no room, its likes of the same rank go, too
    bool told_below = false;    ///< for people: words that rows share stand below the table, by number
    int finer = 0;              ///< so many decimals more than are usual, so that others can reckon with it
};

/// What a table is, before any row.
struct Declaration {
    std::string name{};       ///< "room_load": JSON array, CSV file, sheet, first part of a path
    std::string title{};      ///< "Loads of rooms"
    std::string meaning{};    ///< what a row is
    std::size_t subjects = 1; ///< so many of the first columns tell what a row is of
    Told told = Told::everyone;
    std::vector<Column> columns{};
};

/// A column with so many decimals more.
[[nodiscard]] inline Column finer(Column column, int decimals)
{
    column.finer = decimals;
    return column;
}

/// A column of long words that many rows share.
[[nodiscard]] inline Column told_below(Column column)
{
    column.told_below = true;
    return column;
}

template <class Row>
struct ColumnOf : Column {
    Cell (*value)(const Row&) = nullptr;
};
/// A declaration that can be filled.
template <class Row>
struct TableOf {
    Declaration is{}; ///< without its columns
    std::vector<ColumnOf<Row>> columns{};
    [[nodiscard]] Declaration declaration() const
    {
        Declaration out = is;
        out.columns.assign(columns.begin(), columns.end());
        return out;
    }
};

/// A line below a table.
struct Total {
    std::string what{};              ///< what it contains
    std::vector<std::size_t> rows{}; ///< that it is of
    std::vector<Cell> cells{};       ///< one a column; that of the first is not used
};

struct Table : Declaration {
    std::vector<std::vector<Cell>> rows{};
    std::vector<std::string> marks{}; ///< one letter a cell, shown behind it; empty: none
    std::vector<Total> totals{};

    [[nodiscard]] std::size_t column(std::string_view key) const; ///< @throws quantity::Error if there is none
    /// "Boat hall", "Boat hall, north wall": what a row is of.
    [[nodiscard]] std::string subject(std::size_t row) const;
    /// Adds what follows from rows by the columns' ways to sum.
    Total& add_total(std::string what, std::vector<std::size_t> of_rows);
    Total& add_total(std::string what); ///< of all rows
};

template <class Row, std::ranges::input_range Rows>
[[nodiscard]] Table table_of(const TableOf<Row>& declared, const Rows& rows)
{
    Table out{declared.declaration()};
    for (const Row& row : rows) {
        auto& cells = out.rows.emplace_back();
        for (const auto& column : declared.columns) cells.push_back(column.value(row));
    }
    return out;
}

} // namespace venture::figure
