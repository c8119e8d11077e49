#pragma once
/// Fills records from the rows of a CSV table, driven by the declarations of their keys. Internal to the edge.

#include <functional>
#include <map>
#include <optional>
#include <string>
#include <vector>

#include <venture/project/csv.hpp>
#include <venture/quantity/preferred_units.hpp>
#include <venture/quantity/problems.hpp>
#include <venture/quantity/record.hpp>
#include <venture/quantity/typed_units.hpp>

namespace venture::project {

/// Columns are called by the records' keys, in any order; a list of two numbers ("size") stands in the columns
/// "size x" and "size y"; the items of a list of texts are parted by | in their cell, and so are points, their numbers by
/// blanks. An empty cell says nothing.
class RecordTable {
public:
    RecordTable(const CsvTable& table, std::string file, quantity::OriginPool& origins, quantity::Problems& problems)
        : table_{table},
          file_{std::move(file)},
          origins_{origins},
          problems_{problems}
    {
    }

    /// The units that bounds are told in; SI unless called.
    void speak_in(quantity::PreferredUnits units) { units_ = std::move(units); }

    /// The units that numbers are read in where neither they nor their columns state one; plain ones unless called.
    void read_in(quantity::TypedUnits units) { typed_ = std::move(units); }

    /// Fills a record for each row: what `record_of` gives for the value of `whose`, a text beside its own keys; for an
    /// empty cell of that column too. @param whose  nothing: there is no such column
    using RecordOf = std::function<quantity::Record(const quantity::Given<std::string>& whose)>;
    void read(const quantity::RecordSpec& spec, const quantity::KeySpec* whose, const RecordOf& record_of);

    /// Whether a column of a record's table holds numbers.
    [[nodiscard]] static bool holds_numbers(const quantity::RecordSpec& spec, std::string_view column);

private:
    void find_columns(const std::vector<std::string>& allowed);
    [[nodiscard]] bool has_all_cells(const CsvRow& row);
    /// The cell of a column that is not empty.
    [[nodiscard]] const CsvCell* cell(const CsvRow& row, const std::string& column) const;
    [[nodiscard]] std::optional<double> number(const CsvCell& cell, const std::string& column,
                                               const quantity::KeySpec& spec);
    [[nodiscard]] quantity::OriginId place(std::uint32_t line, std::uint32_t column, std::string_view unit = {});
    /// That bare numbers of a column are read in because the project's file states so; empty where its heading has one.
    [[nodiscard]] std::string_view unit_by_file(const std::string& column, const quantity::KeySpec& spec) const;
    /// Of numbers in a cell, which says what they were read in.
    [[nodiscard]] quantity::OriginId place_of_numbers(const CsvCell& cell, const std::string& column,
                                                      const quantity::KeySpec& spec);

    void fill(const CsvRow& row, const quantity::KeySpec& spec, quantity::Given<double>& out);
    void fill(const CsvRow& row, const quantity::KeySpec& spec, quantity::Given<std::string>& out);
    void fill(const CsvRow& row, const quantity::KeySpec& spec, quantity::Given<quantity::TextList>& out);
    void fill(const CsvRow& row, const quantity::KeySpec& spec, quantity::Given<quantity::QuantityList>& out);
    void fill(const CsvRow& row, const quantity::KeySpec& spec, quantity::Given<quantity::PointList>& out);

    struct Column {
        std::size_t index = 0;
        std::string unit{};
    };
    const CsvTable& table_;
    std::string file_;
    quantity::OriginPool& origins_;
    quantity::Problems& problems_;
    quantity::PreferredUnits units_{};
    quantity::TypedUnits typed_{};
    std::map<std::string, Column> columns_{};
};

} // namespace venture::project
