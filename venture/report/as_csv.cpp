#include <venture/report/as_csv.hpp>

#include <fmt/format.h>

#include <venture/figure/shown.hpp>
#include <venture/project/csv.hpp>

namespace venture::report {

namespace {

struct CellText {
    const figure::Column& column;
    const quantity::PreferredUnits& units;

    std::string operator()(std::monostate) const { return {}; }
    std::string operator()(double si) const { return fmt::format("{}", in_unit(si, column, units) + 0.0); }
    std::string operator()(std::int64_t number) const { return fmt::format("{}", number); }
    std::string operator()(bool yes) const { return yes ? "yes" : "no"; }
    std::string operator()(const std::string& words) const { return project::csv_cell(words); }
    std::string operator()(const figure::When& when) const { return project::csv_cell(in_words(when)); }
};

} // namespace

std::string as_csv(const figure::Table& table, const quantity::PreferredUnits& units)
{
    std::string out;
    for (const figure::Column& column : table.columns) {
        const std::string_view unit = unit_of(column, units);
        out += (out.empty() ? "" : ",") +
               project::csv_cell(unit.empty() ? column.key : fmt::format("{} [{}]", column.key, unit));
    }
    out += "\n";
    for (const auto& row : table.rows) {
        for (std::size_t c = 0; c < row.size(); ++c)
            out += (c == 0 ? "" : ",") + std::visit(CellText{table.columns[c], units}, row[c]);
        out += "\n";
    }
    return out;
}

} // namespace venture::report
