#include <venture/cli/deliver.hpp>

#include <fmt/format.h>
#include <nlohmann/json.hpp>

#include <venture/cli/printing.hpp>
#include <venture/quantity/error.hpp>
#include <venture/quantity/names.hpp>
#include <venture/quantity/unknown_name.hpp>
#include <venture/report/as_csv.hpp>
#include <venture/report/as_html.hpp>
#include <venture/report/as_json.hpp>
#include <venture/report/as_text.hpp>
#include <venture/report/as_xlsx.hpp>

namespace venture::cli {

using figure::Cell;
using figure::Document;
using figure::Table;
using quantity::Problem;

namespace {

struct Finding {
    const Problem* problem;
    const Job* job;
};

/// What was found, for forms that keep it beside the results.
Table findings_table(const Job& job, const std::vector<Problem>& problems)
{
    static const figure::TableOf<Finding> declared = {
        {"finding", "Findings", "What the program noticed, with its place."},
        {
            {{"code", "Code", "", "kind of finding; docs/diagnostics.md explains it", 0},
             [](const Finding& f) -> Cell { return std::string{f.problem->code}; }},
            {{"severity", "Severity", "", "error, warning or note"},
             [](const Finding& f) -> Cell { return std::string{name_of(f.problem->severity)}; }},
            {{"message", "Message", "", "what was found"}, [](const Finding& f) -> Cell { return f.problem->message; }},
            {{"hint", "What to do", "", "what to do about it"},
             [](const Finding& f) -> Cell { return f.problem->hint; }},
            {{"place", "Place", "", "where it stands"},
             [](const Finding& f) -> Cell { return f.job->origins().describe(f.problem->where); }},
        }};
    std::vector<Finding> rows;
    for (const Problem& p : problems) rows.push_back({&p, &job});
    return figure::table_of(declared, rows);
}

/// The table that CSV is of: the one asked for, else the first that text shows.
Table one_table(const Document& document, const std::string& name)
{
    std::vector<Table> tables = document.data_tables();
    std::vector<std::string> names;
    for (const Table& table : tables) names.push_back(table.name);
    const auto asked = name.empty() ? std::ranges::find(tables, figure::Told::everyone, &Table::told)
                                    : std::ranges::find(tables, name, &Table::name);
    if (asked != tables.end()) return *asked;
    if (name.empty() && !tables.empty()) return tables.front();
    if (tables.empty()) throw Misuse{"there is no table to write"};
    const Problem unknown = quantity::unknown_name("table of this command", name, {}, names);
    throw Misuse{fmt::format("{}; {}", unknown.message, unknown.hint)};
}

/// @param job  nothing where there is no project, and so no findings
std::string bytes_of(const Document& document, const Job* job, const quantity::PreferredUnits& units,
                     const CommonOptions& o)
{
    const auto json = [&] {
        nlohmann::ordered_json out = report::as_json(document);
        if (job != nullptr) return with_findings(std::move(out), *job);
        out["problems"] = nlohmann::ordered_json::array(); // nobody's project
        return out;
    };
    switch (o.form()) {
    case Form::text:
        return laid_out(report::as_text(document, units), o);
    case Form::json:
        return json().dump(2, ' ', false, nlohmann::json::error_handler_t::replace) + "\n";
    case Form::csv:
        return report::as_csv(one_table(document, o.table), units);
    case Form::html:
        return report::as_html(document, units);
    case Form::xlsx:
        return report::as_xlsx(document, units);
    }
    VENTURE_UNREACHABLE("a form that nothing makes");
}

} // namespace

namespace {

/// To the terminal, or to the file asked for.
void put_out(const std::string& bytes, const std::filesystem::path& folder, const CommonOptions& o)
{
    const bool text = o.form() == Form::text;
    if (o.output.empty())
        print_for_terminal(bytes + (text ? "\n" : ""), text);
    else
        print(fmt::format("wrote {}\n", write_result(folder, o.output, "", bytes, o.force).string()));
}

} // namespace

ExitCode deliver(const Document& document, const quantity::PreferredUnits& units, const CommonOptions& o)
{
    put_out(bytes_of(document, nullptr, units, o), {}, o);
    return ExitCode::done;
}

ExitCode deliver(Document document, const Job& job, const CommonOptions& o, bool met)
{
    const Form form = o.form();
    const bool nothing = job.failed() && form != Form::json;
    if (!nothing) {
        document.add(libraries_in_words(job));
        if (form == Form::html || form == Form::xlsx) document.add(findings_table(job, job.findings().open));
        put_out(bytes_of(document, &job, job.units(), o), job.folder(), o);
    }
    return finish(job, o, met);
}

void write_document(project::OutputFolder& out, const std::string& name, const Document& document,
                    const quantity::PreferredUnits& units)
{
    out.write("results/" + name + ".txt", report::as_text(document, units).laid_out());
    out.write("results/" + name + ".json", report::as_json(document).dump(2) + "\n");
    out.write("results/" + name + ".xlsx", report::as_xlsx(document, units));
}

} // namespace venture::cli
