#include <venture/report/figure_report.hpp>

#include <algorithm>

#include <fmt/format.h>

#include <venture/building/building_figures.hpp>
#include <venture/climate/climate_figures.hpp>
#include <venture/figure/shown.hpp>
#include <venture/loads/design_hours.hpp>
#include <venture/loads/glass_loads.hpp>
#include <venture/loads/load_figures.hpp>
#include <venture/loads/second_opinion.hpp>
#include <venture/loads/year_figures.hpp>
#include <venture/quantity/error.hpp>
#include <venture/report/buildup_report.hpp>
#include <venture/report/calendar_report.hpp>
#include <venture/report/check_report.hpp>
#include <venture/report/glazing_report.hpp>
#include <venture/report/library_report.hpp>
#include <venture/report/model_origins.hpp>
#include <venture/report/origins_report.hpp>
#include <venture/study/sizing.hpp>

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
        std::vector<ResultTable> tables = {
            {"check", building::project_columns().declaration()},
            {"check", building::room_columns().declaration()},
            {"check", building::surface_columns().declaration()},
            {"check", building::opening_columns().declaration()},
            {"check", building::buildup_use_columns().declaration()},
            {"check", building::window_columns().declaration()},
            {"check", building::thermal_bridge_columns().declaration()},
            {"check", building::obstruction_columns().declaration()},
            {"check", building::hours_columns().declaration()},
            {"check", building::setback_columns().declaration()},
            {"check", building::overruled_columns().declaration()},
            {"check", taken_declaration()},
            {"climate", climate::site_columns().declaration()},
            {"climate", climate::winter_design_columns().declaration()},
            {"climate", climate::cooling_month_columns().declaration()},
            {"climate", climate::design_day_columns().declaration()},
            {"climate", climate::day_hour_columns().declaration()},
            {"climate", climate::weather_year_columns().declaration()},
            {"climate", climate::weather_month_columns().declaration()},
            {"climate", climate::weather_extreme_columns().declaration()},
            {"loads", loads::room_load_columns().declaration()},
            {"loads", loads::building_load_columns().declaration()},
            {"loads", loads::steady_loss_columns().declaration()},
            {"loads", loads::air_balance_columns().declaration()},
            {"loads --hours", loads::load_hour_columns().declaration()},
            {"loads --room", loads::load_path_columns().declaration()},
            {"loads --room --by-source", loads::load_cause_columns().declaration()},
            {"loads", loads::typed_over_columns().declaration()},
            {"loads", loads::design_run_columns().declaration()},
            {"year", loads::room_year_columns().declaration()},
            {"year", loads::month_year_columns().declaration()},
            {"year", loads::room_month_columns().declaration()},
            {"year", loads::building_year_columns().declaration()},
            {"year --series", series_declaration()},
            {"size", study::unit_columns().declaration()},
            {"size", study::plant_columns().declaration()},
            {"size", study::candidate_columns().declaration()},
            {"loads --second-opinion", loads::second_opinion_columns().declaration()},
            {"loads --second-opinion", loads::glass_swing_columns().declaration()},
            {"loads --model --room", number_declaration()},
            {"check --origins", value_declaration()},
        };
        for (const auto& declared : {buildup_declarations(), glazing_declarations(), calendar_declarations()})
            for (const figure::Declaration& one : declared) tables.push_back({"explain", one});
        for (figure::Declaration& shipped : library_declarations()) tables.push_back({"library", std::move(shipped)});
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
