/// `venture explain`: a key, a build-up, a glazing or a calendar.

#include <algorithm>
#include <iterator>
#include <memory>

#include <fmt/format.h>
#include <nlohmann/json.hpp>

#include <venture/catalogue/shipped.hpp>
#include <venture/cli/calendar_pieces.hpp>
#include <venture/cli/climate_results.hpp>
#include <venture/cli/command.hpp>
#include <venture/cli/fabric_pieces.hpp>
#include <venture/cli/options.hpp>
#include <venture/cli/printing.hpp>
#include <venture/quantity/names.hpp>
#include <venture/report/as_text.hpp>
#include <venture/report/check_report.hpp>
#include <venture/report/figure_report.hpp>
#include <venture/report/key_report.hpp>
#include <venture/report/loads_report.hpp>
#include <venture/report/origins_report.hpp>
#include <venture/report/size_report.hpp>
#include <venture/resolve/effective.hpp>

namespace venture::cli::of_explain {

namespace {

/// The values of one key ("room/height"), of all keys of that name ("height") or of a table ("room"), whatever the
/// records are called.
std::vector<resolve::EffectiveValue> values_of(const Job& job, const std::string& asked)
{
    const auto slash = asked.rfind('/');
    const bool with_table = slash != std::string::npos;
    std::string table = with_table ? asked.substr(0, slash) : "";
    std::ranges::replace(table, '/', '.');
    auto values = resolve::effective_values(job.input(), nullptr);
    std::erase_if(values, [&](const resolve::EffectiveValue& v) {
        if (with_table) return v.table != table || v.key != asked.substr(slash + 1);
        return v.key != asked && v.table != asked;
    });
    return values;
}

/// What the docs say of a code such as V423; nothing if there is none.
std::optional<std::string> explain_code(const std::string& code)
{
    const std::string_view page = catalogue::shipped_file("diagnostics.md");
    const std::string heading = "### " + code + " ";
    const auto at = page.find(heading);
    if (code.size() != 4 || at == std::string_view::npos) return std::nullopt;
    const auto next = std::min(page.find("\n#", at), page.size());
    return std::string{
        page.substr(at + heading.size() - code.size() - 1, next - at - heading.size() + code.size() + 1)};
}

/// The document that holds a table of results.
figure::Document document_with(const report::ResultTable& table, Job& job, const CommonOptions& o)
{
    if (table.command == "climate") return climate_document(job);
    if (table.command == "check") return report::check_document(*job.building(), job.units());
    job.set_step(60.0 * o.step_min);
    (void)job.design();
    if (job.failed()) return {};
    if (table.command == "size") return report::size_document(job.project().sizing(), job.units());
    return report::loads_document(*job.building(), job.design(), job.units());
}

/// What a figure means and, of a project, what it is.
ExitCode explain_figures(const std::string& path, const std::string& meaning, std::optional<Job>& job,
                         const quantity::PreferredUnits& units, const CommonOptions& o)
{
    print(report::Text{meaning}, o);
    if (!job) return ExitCode::done;
    const report::ResultTable& table = *report::table_of_path(path);
    if (needs_building(*job, "explain")) return ExitCode::bad_input;
    if (job->failed()) return finish(*job, o);
    if (table.command.starts_with("year") || table.command.starts_with("loads --")) {
        print(report::Text{fmt::format("\n`venture {}` tells what they are in this project.\n", table.command)}, o);
        return finish(*job, o);
    }
    if (table.command == "climate") (void)job->weather();
    const auto figures = figures_of(document_with(table, *job, o), path);
    print(report::Text{"\n"} + (figures.empty() ? report::Text{"This project has none of them.\n"}
                                                : report::as_text(report::figures_table(figures, units), units)),
          o);
    return finish(*job, o);
}

/// Says that nothing bears a name, and what comes near.
ExitCode no_such_name(const std::string& name, const building::Building* building)
{
    std::vector<std::string> names = report::explainable_keys();
    std::ranges::copy(report::explainable_figures(), std::back_inserter(names));
    if (building != nullptr) {
        std::ranges::copy(fabric_names(*building), std::back_inserter(names));
        std::ranges::copy(calendar_names(*building), std::back_inserter(names));
    }
    std::vector<std::string> holding; // a part of a name is easier to remember than the whole
    for (const std::string& n : names)
        if (n.find('/') == std::string::npos && std::ranges::find(holding, n) == holding.end() &&
            quantity::lower_case(n).find(quantity::lower_case(name)) != std::string::npos)
            holding.push_back(n);
    const auto near = quantity::nearest_name(name, names);
    print_error(fmt::format("no key, no figure{} is called '{}'; {}\n",
                            building != nullptr ? ", no build-up, no glazing and no profile" : "", name,
                            !holding.empty() ? fmt::format("did you mean {}?", quantity::listed(holding, 8))
                            : near           ? fmt::format("did you mean '{}'?", *near)
                                             : "all keys are in docs/keys.md, all figures in docs/figures.md"));
    return ExitCode::bad_input;
}

/// Shows every build-up and glazing of that name. @return whether there was one
bool show_fabric(const std::string& name, const building::Building& b, bool has_site,
                 const quantity::PreferredUnits& units, const CommonOptions& o, const std::optional<Job>& job)
{
    const auto pieces = find_fabric(b, name);
    for (const FabricPiece& piece : pieces) {
        if (!o.json)
            print(explained(b, piece, has_site, units) + (pieces.size() > 1 ? "\n" : ""), o);
        else if (job)
            print_json(explained_json(b, piece, has_site), *job);
        else
            print(explained_json(b, piece, has_site).dump(2) + "\n");
    }
    return !pieces.empty();
}

ExitCode run(const CommonOptions& o, const std::string& key)
{
    std::optional<Job> job;
    if (!o.project.empty()) job = open(o, {key});
    const auto chosen = job ? std::optional{job->units()} : units_without_project(o);
    if (!chosen) return ExitCode::bad_input;
    const quantity::PreferredUnits& units = *chosen;
    if (const auto told = explain_code(key)) {
        print(report::Text{*told}, o);
        return ExitCode::done;
    }
    const bool three_parts = !figure::parts_of(key).column.empty();
    const auto text = three_parts ? std::nullopt : report::explain_key(key, units);
    if (!text)
        if (const auto figure = report::explain_figure(key, units)) return explain_figures(key, *figure, job, units, o);
    const building::Building* building = job && job->building() ? &*job->building() : nullptr;
    if (!text) {
        if (building != nullptr && show_fabric(key, *building, true, units, o, job)) return finish(*job, o);
        if (const auto* calendar = building != nullptr ? find_calendar(*building, key) : nullptr) {
            if (o.json)
                print_json(explained_json(*building, *calendar), *job);
            else
                print(explained(*building, *calendar), o);
            return finish(*job, o);
        }
        if (job) return no_such_name(key, building);
        const auto shipped = shipped_fabric();
        if (show_fabric(key, shipped.fabric, false, units, o, job)) return ExitCode::done;
        return no_such_name(key, &shipped.fabric);
    }
    if (building != nullptr && !find_fabric(*building, key).empty())
        print(
            fmt::format("'{0}' is a key, and a build-up or glazing; `venture draw wall` and `venture draw glass` show "
                        "those.\n\n",
                        key));
    print(report::Text{*text}, o);
    if (report::table_of_path(key) != nullptr && key.find('/') == std::string::npos)
        print(report::Text{fmt::format(
                  "\n'{0}' is a table of results, too: `venture explain \"{0}/*/*\"` tells what stands in it.\n", key)},
              o);
    if (!job) return ExitCode::done;
    const auto values = values_of(*job, key);
    print("\n" + (values.empty()
                      ? report::Text{"It is given nowhere in this project, and has no default.\n"}
                      : report::as_text(report::origins_document(values, job->origins(), job->units()), job->units())),
          o);
    return finish(*job, o);
}

std::function<ExitCode()> declare(Parser& parser)
{
    const auto options = std::make_shared<CommonOptions>();
    const auto names = std::make_shared<std::vector<std::string>>();
    parser
        .add("NAME", *names,
             "[PROJECT] NAME: a key (\"height\", \"room/height\", \"room.opening/sill\"), a table (\"room\"), or "
             "a figure (\"room_load/Kitchen/cooling\", * for any part), a code (\"V423\"), or "
             "a build-up or glazing of the project before it or of the library that ships (\"cavity wall, "
             "filled\")")
        .required()
        .takes(1, 2);
    add_units(parser, *options);
    add_json(parser, *options);
    return [options, names] {
        if (names->size() == 2) options->project = names->front();
        return run(*options, names->back());
    };
}

} // namespace

} // namespace venture::cli::of_explain

namespace venture::cli {

extern const Command explain_command;
const Command explain_command = {"explain", Group::understand,
                                 "what a key of the project file or a figure of the results means and what it is in a "
                                 "project; a code of a finding; a build-up, glazing or calendar taken apart",
                                 of_explain::declare};

} // namespace venture::cli
