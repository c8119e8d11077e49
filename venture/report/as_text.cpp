#include <venture/report/as_text.hpp>

#include <algorithm>

#include <fmt/format.h>

#include <venture/figure/shown.hpp>

namespace venture::report {

using figure::Cell;
using figure::Column;
using figure::Table;

namespace {

/// The unit stands below the longest heading of its neighbours, so that all of them end alike.
std::string heading_of(const Column& column, const quantity::PreferredUnits& units)
{
    if (!is_number(column)) return column.heading;
    const std::string_view unit = unit_of(column, units);
    return unit.empty() ? column.heading : column.heading + "\n" + std::string{unit};
}

std::vector<std::string> cells_of(const Table& table, const std::vector<std::size_t>& columns,
                                  const std::vector<Cell>& cells, const quantity::PreferredUnits& units)
{
    std::vector<std::string> out;
    out.reserve(columns.size());
    for (const std::size_t c : columns) out.push_back(shown(cells[c], table.columns[c], units));
    return out;
}

/// Words that stand below a table, once each.
class Below {
public:
    /// What stands for them in the table.
    std::string mark_of(const std::string& words)
    {
        const auto at = std::ranges::find(all_, words);
        const auto number = at - all_.begin() + 1;
        if (at == all_.end()) all_.push_back(words);
        return fmt::format("[{}]", number);
    }
    [[nodiscard]] std::string lines() const
    {
        std::string out;
        for (std::size_t i = 0; i < all_.size(); ++i) out += fmt::format("[{}]  {}\n", i + 1, all_[i]);
        return out;
    }

private:
    std::vector<std::string> all_{};
};

} // namespace

Text as_text(const Table& table, const quantity::PreferredUnits& units)
{
    TextTable out;
    Below below;
    const std::vector<std::size_t> columns = columns_for_people(table);
    for (const std::size_t c : columns) {
        const Column& column = table.columns[c];
        out.add_column(heading_of(column, units), is_number(column) ? Align::right : Align::left, column.rank,
                       column.go_together);
    }
    for (std::size_t r = 0; r < table.rows.size(); ++r) {
        std::vector<std::string> cells = cells_of(table, columns, table.rows[r], units);
        for (std::size_t at = 0; at < columns.size(); ++at)
            if (table.columns[columns[at]].told_below && !cells[at].empty()) cells[at] = below.mark_of(cells[at]);
        if (!table.marks.empty())
            for (std::size_t at = 0; at < columns.size(); ++at)
                if (is_number(table.columns[columns[at]])) cells[at] += table.marks[r][columns[at]];
        out.add_row(std::move(cells));
    }
    if (!table.totals.empty()) out.add_rule();
    for (const figure::Total& total : table.totals) {
        std::vector<std::string> cells = cells_of(table, columns, total.cells, units);
        for (std::size_t at = 0; at < columns.size(); ++at)
            if (std::holds_alternative<std::monostate>(total.cells[columns[at]])) cells[at].clear();
        cells.front() = total.what;
        out.add_row(std::move(cells));
    }
    return Text{std::move(out)} + below.lines();
}

Text as_text(const figure::Document& document, const quantity::PreferredUnits& units)
{
    Text out;
    if (!document.title.empty()) out += document.title + "\n";
    for (const auto& block : document.blocks) {
        if (const auto* table = std::get_if<Table>(&block)) {
            if (table->told == figure::Told::data || table->rows.empty()) continue;
            out += (out.empty() ? Text{} : Text{"\n"}) + as_text(*table, units);
        } else {
            out += std::get<figure::Sentences>(block).lines;
        }
    }
    return out;
}

} // namespace venture::report
