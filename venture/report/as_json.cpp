#include <venture/report/as_json.hpp>

#include <nlohmann/json.hpp>

#include <venture/figure/shown.hpp>

namespace venture::report {

using figure::Cell;
using figure::Column;
using figure::Table;
using nlohmann::ordered_json;

namespace {

ordered_json when_json(const figure::When& when)
{
    ordered_json out = {{"day", when.day}};
    if (when.month > 0) out["month"] = when.month;
    if (when.clock_hour >= 0) out["clock_hour"] = when.clock_hour;
    return out;
}

struct CellJson {
    ordered_json operator()(std::monostate) const { return nullptr; }
    ordered_json operator()(const figure::When& when) const { return when_json(when); }
    template <class T>
    ordered_json operator()(const T& value) const
    {
        return value;
    }
};

ordered_json row_json(const Table& table, const std::vector<Cell>& cells, std::size_t from)
{
    ordered_json out = ordered_json::object();
    for (std::size_t c = from; c < table.columns.size(); ++c)
        if (!std::holds_alternative<std::monostate>(cells[c]))
            out[table.columns[c].key] = std::visit(CellJson{}, cells[c]);
    return out;
}

ordered_json columns_json(const Table& table)
{
    ordered_json out = ordered_json::object();
    for (const Column& column : table.columns) {
        ordered_json& one = out[column.key];
        if (is_number(column)) one["unit"] = si_unit_of(column);
        one["heading"] = heading_in_a_line(column);
        if (!column.meaning.empty()) one["meaning"] = column.meaning;
    }
    return out;
}

} // namespace

ordered_json as_json(const figure::Document& document)
{
    ordered_json out = {{"version", json_version}};
    if (!document.title.empty()) out["title"] = document.title;
    ordered_json columns = ordered_json::object(), totals = ordered_json::object();
    for (const Table& table : document.data_tables()) {
        ordered_json& rows = out[table.name] = ordered_json::array();
        for (const auto& row : table.rows) rows.push_back(row_json(table, row, 0));
        columns[table.name] = columns_json(table);
        for (const figure::Total& total : table.totals) {
            ordered_json one = {{"what", total.what}};
            one.update(row_json(table, total.cells, 1));
            totals[table.name].push_back(std::move(one));
        }
    }
    if (!columns.empty()) out["columns"] = std::move(columns);
    if (!totals.empty()) out["totals"] = std::move(totals);
    return out;
}

} // namespace venture::report
