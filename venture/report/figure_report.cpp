#include <venture/report/figure_report.hpp>

#include <algorithm>

#include <fmt/format.h>

#include <venture/airside/coil_figures.hpp>
#include <venture/airside/coil_ledger.hpp>
#include <venture/building/building_figures.hpp>
#include <venture/climate/climate_figures.hpp>
#include <venture/figure/shown.hpp>
#include <venture/loads/check_figures.hpp>
#include <venture/loads/design_hours.hpp>
#include <venture/loads/glass_loads.hpp>
#include <venture/loads/load_figures.hpp>
#include <venture/loads/path_terms.hpp>
#include <venture/loads/second_opinion.hpp>
#include <venture/loads/year_figures.hpp>
#include <venture/plant/kinds.hpp>
#include <venture/quantity/error.hpp>
#include <venture/report/buildup_report.hpp>
#include <venture/report/calendar_report.hpp>
#include <venture/report/check_report.hpp>
#include <venture/report/glazing_report.hpp>
#include <venture/report/ledger_report.hpp>
#include <venture/report/library_report.hpp>
#include <venture/report/model_origins.hpp>
#include <venture/report/origins_report.hpp>
#include <venture/report/product_report.hpp>
#include <venture/study/considered_figures.hpp>
#include <venture/study/schedule.hpp>
#include <venture/study/sizing.hpp>
#include <venture/terminal/kinds.hpp>

namespace venture::report {

using figure::Column;
using figure::Declaration;

namespace {

/// The series asked for: its columns are named by rooms and kinds of series.
Declaration series_declaration() { return loads::series_table({}, false); }

std::string sum_in_words(figure::Sum sum)
{
    switch (sum) {
    case figure::Sum::none:
        return "-";
    case figure::Sum::added:
        return "added up";
    case figure::Sum::largest:
        return "the largest";
    case figure::Sum::smallest:
        return "the smallest";
    }
    VENTURE_UNREACHABLE("a way to sum that is none");
}

std::string escaped(std::string_view text)
{
    std::string out;
    for (const char c : text) out += c == '|' ? std::string{"\\|"} : std::string{c};
    return out;
}

} // namespace

const std::vector<ResultTable>& result_tables()
{
    static const std::vector<ResultTable> all = [] {
        std::vector<ResultTable> tables;
        const auto add = [&](std::string_view command, std::vector<Declaration> declared) {
            for (Declaration& one : declared) tables.push_back({command, std::move(one)});
        };
        add("check", building::building_tables().declarations());
        add("check", {taken_declaration()});
        add("climate", climate::site_tables().declarations());
        add("climate", {climate::day_hour_columns().declaration()});
        add("climate", climate::weather_tables().declarations());
        add("loads", loads::design_tables().declarations());
        add("loads", airside::coil_tables().declarations());
        add("loads --hours", {loads::load_hour_columns().declaration()});
        add("loads --room", {loads::load_path_columns().declaration(), airside::state_columns().declaration()});
        add("loads --room --arithmetic", ledger_declarations());
        add("loads --room --terms", {loads::path_term_columns().declaration()});
        add("loads --room --by-source", {loads::load_cause_columns().declaration()});
        add("loads --second-opinion",
            {loads::second_opinion_columns().declaration(), loads::proportion_columns().declaration(),
             loads::usual_cooling_columns().declaration(), loads::glass_swing_columns().declaration()});
        add("loads --model --room", {number_declaration()});
        add("year", loads::year_tables().declarations());
        add("year --series", {series_declaration()});
        add("size", study::size_tables().declarations());
        add("size --room --rejected", study::considered_declarations());
        add("schedule", study::schedule_declarations());
        add("check --origins", {value_declaration()});
        add("explain", buildup_declarations());
        add("explain", glazing_declarations());
        add("explain", calendar_declarations());
        add("library", library_declarations());
        for (const auto kinds : {terminal::unit_kinds(), plant::plant_kinds(), terminal::fitting_kinds()})
            for (const rating::Kind* kind : kinds) add("library", {product_declaration(*kind)});
        return tables;
    }();
    return all;
}

const ResultTable* table_of_path(std::string_view path)
{
    const std::string_view name = figure::parts_of(path).table;
    const auto& all = result_tables();
    const auto found =
        std::ranges::find(all, name, [](const ResultTable& t) -> std::string_view { return t.declaration.name; });
    return found == all.end() ? nullptr : &*found;
}

std::optional<std::string> explain_figure(std::string_view path, const quantity::PreferredUnits& units)
{
    const ResultTable* table = table_of_path(path);
    if (table == nullptr) return std::nullopt;
    const figure::PathParts parts = figure::parts_of(path);
    const Declaration& d = table->declaration;
    std::string out = fmt::format("{}: {}. {}\n`venture {}` gives it.\n", d.name, d.title, d.meaning, table->command);
    bool any = false;
    for (const Column& column : d.columns) {
        if (!parts.column.empty() && parts.column != "*" && column.key != parts.column) continue;
        any = true;
        const std::string_view unit = unit_of(column, units);
        out += fmt::format(
            "\n{}/*/{}\n  {}{}{}\n", d.name, column.key, column.meaning,
            unit.empty() ? "" : fmt::format("; in {}", unit),
            column.sum == figure::Sum::none ? "" : fmt::format("; of several rows {}", sum_in_words(column.sum)));
    }
    return any ? std::optional{out} : std::nullopt;
}

std::vector<std::string> explainable_figures()
{
    std::vector<std::string> out;
    for (const ResultTable& table : result_tables()) {
        out.push_back(table.declaration.name);
        for (const Column& column : table.declaration.columns)
            out.push_back(fmt::format("{}/*/{}", table.declaration.name, column.key));
    }
    return out;
}

figure::Table figures_table(const std::vector<figure::Figure>& figures, const quantity::PreferredUnits& units)
{
    struct Row {
        std::string path{}, value{};
    };
    static const figure::TableOf<Row> declared = {
        {"figures", "Figures", "One figure a row."},
        {
            {{"figure", "Figure", "", "its path", 0}, [](const Row& r) -> figure::Cell { return r.path; }},
            {{"value", "is", "", "with its unit"}, [](const Row& r) -> figure::Cell { return r.value; }},
        }};
    std::vector<Row> rows;
    for (const figure::Figure& f : figures) rows.push_back({f.path, shown_with_unit(f.value, f.column, units)});
    return figure::table_of(declared, rows);
}

std::string figures_page()
{
    std::string out;
    std::string_view command;
    for (const ResultTable& table : result_tables()) {
        const Declaration& d = table.declaration;
        if (table.command != command) out += fmt::format("\n## `venture {}`\n", table.command);
        command = table.command;
        out +=
            fmt::format("\n### {}\n\n{}. {}\n\n| figure | unit | what it is | of several rows |\n|---|---|---|---|\n",
                        d.name, d.title, d.meaning);
        for (const Column& c : d.columns)
            out +=
                fmt::format("| `{}` | {} | {} | {} |\n", c.key, si_unit_of(c), escaped(c.meaning), sum_in_words(c.sum));
    }
    return out;
}

} // namespace venture::report
