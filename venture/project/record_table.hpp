#pragma once
/// Fills records from the rows of a CSV table, driven by the declarations of their keys. Internal to the edge.

#include <map>
#include <string>
#include <vector>

#include <fmt/format.h>

#include <venture/building/key_value.hpp>
#include <venture/project/csv.hpp>
#include <venture/quantity/key.hpp>

namespace venture::project {

/// Columns are called by the records' keys, in any order; a list of two numbers ("size") stands in the columns
/// "size x" and "size y"; the items of a list of texts are parted by | in their cell, and so are points, their numbers by
/// blanks. An empty cell says nothing.
class RecordTable {
public:
    RecordTable(const CsvTable& table, std::string file, quantity::OriginPool& origins,
                std::vector<quantity::Problem>& problems)
        : table_{table},
          file_{std::move(file)},
          origins_{origins},
          problems_{problems}
    {
    }

    /// The units that bounds are told in; SI unless called.
    void speak_in(quantity::PreferredUnits units) { units_ = std::move(units); }

    /// Appends a record for each row.
    template <class Record>
    void read(std::vector<Record>& records)
    {
        std::vector<std::string> allowed;
        quantity::for_each_key_set(records.emplace_back(), [&](auto&, auto keys) {
            for (const auto& key : keys)
                for (std::string& name : column_names(key)) allowed.push_back(std::move(name));
        });
        records.pop_back();
        find_columns(allowed);
        for (const CsvRow& row : table_.rows) {
            if (!has_all_cells(row)) continue;
            quantity::for_each_key_set(records.emplace_back(), [&](auto& part, auto keys) {
                for (const auto& key : keys)
                    std::visit([&](auto field) { fill(row, key.spec, part.*field); }, key.field);
            });
        }
    }

    /// Whether a column of a record's table holds numbers.
    template <class Record>
    [[nodiscard]] static bool holds_numbers(const std::string& column)
    {
        bool found = false;
        Record record{};
        quantity::for_each_key_set(record, [&](auto&, auto keys) {
            for (const auto& key : keys) {
                const auto names = column_names(key);
                found = found || (is_numeric(key) && std::find(names.begin(), names.end(), column) != names.end());
            }
        });
        return found;
    }

private:
    template <class Table>
    static bool is_numeric(const quantity::Key<Table>& key)
    {
        return !std::holds_alternative<quantity::Given<std::string> Table::*>(key.field) &&
               !std::holds_alternative<quantity::Given<quantity::TextList> Table::*>(key.field) &&
               !std::holds_alternative<quantity::Given<quantity::PointList> Table::*>(key.field);
    }

    /// Names of the columns that a key stands in; none for what a table cannot hold.
    template <class Table>
    static std::vector<std::string> column_names(const quantity::Key<Table>& key)
    {
        const std::string name{key.spec.name};
        if (std::holds_alternative<quantity::Given<quantity::QuantityList> Table::*>(key.field))
            return key.spec.count == 2 ? std::vector{name + " x", name + " y"} : std::vector<std::string>{};
        return {name};
    }

    void find_columns(const std::vector<std::string>& allowed);
    [[nodiscard]] bool has_all_cells(const CsvRow& row);
    /// The cell of a column that is not empty.
    [[nodiscard]] const CsvCell* cell(const CsvRow& row, const std::string& column) const;
    [[nodiscard]] std::optional<double> number(const CsvCell& cell, const std::string& column,
                                               const quantity::KeySpec& spec);
    [[nodiscard]] quantity::OriginId place(std::uint32_t line, std::uint32_t column);

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
    std::vector<quantity::Problem>& problems_;
    quantity::PreferredUnits units_{};
    std::map<std::string, Column> columns_{};
};

} // namespace venture::project
