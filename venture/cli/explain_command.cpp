/// `venture explain`: a key, a build-up, a glazing or a calendar.

#include <algorithm>
#include <filesystem>
#include <iterator>
#include <memory>

#include <fmt/format.h>

#include <venture/catalogue/shipped.hpp>
#include <venture/cli/calendar_pieces.hpp>
#include <venture/cli/climate_results.hpp>
#include <venture/cli/command.hpp>
#include <venture/cli/deliver.hpp>
#include <venture/cli/fabric_pieces.hpp>
#include <venture/cli/options.hpp>
#include <venture/cli/printing.hpp>
#include <venture/cli/room_apart.hpp>
#include <venture/loads/load_shares.hpp>
#include <venture/quantity/names.hpp>
#include <venture/report/as_text.hpp>
#include <venture/report/calendar_report.hpp>
#include <venture/report/check_report.hpp>
#include <venture/report/figure_report.hpp>
#include <venture/report/key_report.hpp>
#include <venture/report/loads_report.hpp>
#include <venture/report/origins_report.hpp>
#include <venture/report/size_report.hpp>
#include <venture/resolve/effective.hpp>
#include <venture/study/demand_shares.hpp>
#include <venture/study/sizing.hpp>

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
    return report::loads_document(*job.building(), job.design(), job.units(), {.coils = &job.project().coils()});
}

/// What is told, and the project that it is told of, if any.
ExitCode tell(figure::Document document, const std::optional<Job>& job, const quantity::PreferredUnits& units,
              const CommonOptions& o)
{
    return job ? deliver(std::move(document), *job, o) : deliver(document, units, o);
}

/// Every build-up and glazing of that name; nothing if there is none.
figure::Document fabric_document(const std::string& name, const building::Building& b, bool has_site,
                                 const quantity::PreferredUnits& units)
{
    figure::Document out;
    for (const FabricPiece& piece : find_fabric(b, name)) {
        figure::Document one = explained(b, piece, has_site, units);
        if (out.title.empty())
            out.title = std::move(one.title);
        else
            out.add("\n" + one.title + "\n");
        out.add(std::move(one));
    }
    return out;
}

/// What rooms give in the hour of their sum.
void add_shares(figure::Document& out, const figure::PathParts& asked, Job& job)
{
    const loads::RoomLoads& all = job.design().loads;
    std::vector<loads::GroupLoad> groups = loads::group_loads(all);
    std::erase_if(groups, [&](const loads::GroupLoad& g) { return g.of != asked.subject; });
    if (groups.empty()) return;
    const bool cooling = asked.column.starts_with("cooling");
    figure::Table shares = figure::table_of(loads::load_share_columns(), load_shares(all, groups, cooling));
    if (shares.rows.empty()) return;
    shares.add_total("together");
    out.add(cooling ? fmt::format("\nIn its hour, {}, each room gives\n", in_words(groups.front().cooling.when))
                    : std::string{"\nIn its hour of winter design each room gives\n"});
    out.add(std::move(shares));
}

/// Products that were considered for a unit ("Boat hall, heating") or a plant.
void add_candidates(figure::Document& out, const std::string& subject, Job& job)
{
    figure::Table all = study::size_tables().table("candidate", job.project().sizing());
    const auto is_of = [&](const std::vector<figure::Cell>& row) {
        const auto* of = std::get_if<std::string>(&row[all.column("of")]);
        const auto* duty = std::get_if<std::string>(&row[all.column("duty")]);
        if (of == nullptr || duty == nullptr) return false;
        const std::string both = *of + ", " + *duty; // a circuit may follow
        return subject == *of || subject == both || subject.starts_with(both + ", ");
    };
    std::erase_if(all.rows, [&](const auto& row) { return !is_of(row); });
    if (all.rows.empty()) return;
    all.told = figure::Told::everyone;
    out.add("\nWhat was considered\n");
    out.add(std::move(all));
}

/// What makes up the largest hour of a circuit or a plant.
void add_demand_shares(figure::Document& out, const std::string& subject, Job& job)
{
    const study::Sizing& sizing = job.project().sizing();
    std::vector<study::DemandShare> shares = demand_shares(sizing);
    std::erase_if(shares, [&](const study::DemandShare& d) { return d.of != subject; });
    if (shares.empty()) return;
    figure::Table table = figure::table_of(study::demand_share_columns(), shares);
    table.told = figure::Told::everyone;
    table.add_total("together");
    out.add("\nIn the hour in which most is asked of it\n");
    out.add(std::move(table));
}

/// What is behind one figure: of a room's load its paths, of a sum what each room gives, of a build-up or window its layers or panes,
/// of a choice what else was considered, of a circuit or plant what makes up its largest hour.
void add_parts(figure::Document& out, const std::string& path, Job& job)
{
    const figure::PathParts asked = figure::parts_of(path);
    const building::Building& b = *job.building();
    const std::string subject{asked.subject};
    const bool of_load = asked.column.starts_with("heating") || asked.column.starts_with("cooling");
    const auto piece = [&](const figure::Document& told) {
        if (told.blocks.empty()) return;
        out.add("\n" + told.title + "\n");
        out.add(told);
    };
    if (asked.table == "room_load" && of_load && b.find_room(subject)) {
        if (auto told = room_taken_apart(job, subject)) piece(*told);
    } else if (asked.table == "building_load" && of_load) {
        add_shares(out, asked, job);
    } else if (asked.table == "circuit" || asked.table == "plant") {
        add_demand_shares(out, subject, job);
        if (asked.table == "plant") add_candidates(out, subject, job);
    } else if (asked.table == "unit") {
        add_candidates(out, subject, job);
    } else if (asked.table == "build_up" || asked.table == "window") {
        for (const std::string& name : fabric_names(b))
            if (subject == name || subject.starts_with(name + ", "))
                return piece(fabric_document(name, b, true, job.units()));
    }
}

/// What a figure means and, of a project, what it is.
ExitCode explain_figures(const std::string& path, const std::string& meaning, std::optional<Job>& job,
                         const quantity::PreferredUnits& units, const CommonOptions& o)
{
    figure::Document out;
    out.add(meaning);
    if (!job) return tell(std::move(out), job, units, o);
    const report::ResultTable& table = *report::table_of_path(path);
    if (needs_building(*job, "explain")) return ExitCode::bad_input;
    if (job->failed()) return finish(*job, o);
    if (table.command.starts_with("year") || table.command.find(" --") != std::string_view::npos ||
        table.command == "library" || table.command == "explain") {
        out.add(fmt::format("\n`venture {}` tells what they are in this project.\n", table.command));
        return tell(std::move(out), job, units, o);
    }
    if (table.command == "climate") (void)job->weather();
    const auto figures = figures_of(document_with(table, *job, o), path);
    if (figures.empty())
        out.add("\nThis project has none of them.\n");
    else
        out.add(report::figures_table(figures, units));
    add_parts(out, path, *job);
    return tell(std::move(out), job, units, o);
}

/// Says that nothing bears a name, and what comes near.
ExitCode no_such_name(const std::string& name, const building::Building* building)
{
    std::vector<std::string> names = report::explainable_keys();
    std::ranges::copy(report::explainable_figures(), std::back_inserter(names));
    if (building != nullptr) {
        std::ranges::copy(fabric_names(*building), std::back_inserter(names));
        std::ranges::copy(calendar_names(*building), std::back_inserter(names));
        for (const building::Room& room : building->rooms) names.push_back(room.name);
    }
    std::vector<std::string> holding; // a part of a name is easier to remember than the whole
    for (const std::string& n : names)
        if (n.find('/') == std::string::npos && std::ranges::find(holding, n) == holding.end() &&
            quantity::lower_case(n).find(quantity::lower_case(name)) != std::string::npos)
            holding.push_back(n);
    const auto near = quantity::nearest_name(name, names);
    print_error(fmt::format("no key, no figure{} is called '{}'; {}\n",
                            building != nullptr ? ", no room, no build-up, no glazing and no profile" : "", name,
                            !holding.empty() ? fmt::format("did you mean {}?", quantity::listed(holding, 8))
                            : near           ? fmt::format("did you mean '{}'?", *near)
                                             : "all keys are in docs/keys.md, all figures in docs/figures.md"));
    return ExitCode::bad_input;
}

/// A room, build-up, glazing, profile or calendar.
ExitCode explain_piece(const std::string& name, std::optional<Job>& job, const quantity::PreferredUnits& units,
                       const CommonOptions& o, const RoomAsked& asked)
{
    const building::Building* building = job && job->building() ? &*job->building() : nullptr;
    if (building != nullptr) {
        if (building->find_room(name)) {
            (void)job->design();
            if (job->failed()) return finish(*job, o);
            auto told = room_taken_apart(*job, name, asked);
            return told ? tell(std::move(*told), job, units, o) : ExitCode::bad_input;
        }
        if (figure::Document fabric = fabric_document(name, *building, true, units); !fabric.blocks.empty())
            return tell(std::move(fabric), job, units, o);
        if (const auto* calendar = find_calendar(*building, name))
            return tell(report::calendar_document(*building, *calendar), job, units, o);
    }
    if (job) return no_such_name(name, building);
    const auto shipped = shipped_fabric();
    if (figure::Document fabric = fabric_document(name, shipped.fabric, false, units); !fabric.blocks.empty())
        return tell(std::move(fabric), job, units, o);
    if (std::filesystem::is_directory(name)) {
        print_error(fmt::format("'{}' is a folder: name behind it what is to be explained, such as a room\n", name));
        return ExitCode::bad_input;
    }
    return no_such_name(name, &shipped.fabric);
}

/// What a key means and, of a project, what it is wherever it stands.
ExitCode explain_typed(const std::string& key, const std::string& meaning, const std::optional<Job>& job,
                       const quantity::PreferredUnits& units, const CommonOptions& o)
{
    figure::Document out;
    if (job && job->building() && !find_fabric(*job->building(), key).empty())
        out.add(
            fmt::format("'{0}' is a key, and a build-up or glazing; `venture draw wall` and `venture draw glass` show "
                        "those.\n\n",
                        key));
    out.add(meaning);
    if (report::table_of_path(key) != nullptr && key.find('/') == std::string::npos)
        out.add(fmt::format(
            "\n'{0}' is a table of results, too: `venture explain \"{0}/*/*\"` tells what stands in it.\n", key));
    if (!job) return tell(std::move(out), job, units, o);
    const auto values = values_of(*job, key);
    if (values.empty())
        out.add("\nIt is given nowhere in this project, and has no default.\n");
    else
        out.add(report::origins_document(values, job->origins(), job->units()));
    return tell(std::move(out), job, units, o);
}

ExitCode run(const CommonOptions& o, const std::string& key, const RoomAsked& asked)
{
    std::optional<Job> job;
    if (!o.project.empty()) job = open(o, {key});
    const auto chosen = job ? std::optional{job->units()} : units_without_project(o);
    if (!chosen) return ExitCode::bad_input;
    const quantity::PreferredUnits& units = *chosen;
    const bool is_room = job && job->building() && job->building()->find_room(key);
    if (!is_room) needs_no_room(asked);
    if (const auto told = explain_code(key)) return deliver(figure::Document{}.add(*told), units, o);
    const bool three_parts = !figure::parts_of(key).column.empty();
    if (const auto text = three_parts ? std::nullopt : report::explain_key(key, units))
        return explain_typed(key, *text, job, units, o);
    if (const auto figure = report::explain_figure(key, units)) return explain_figures(key, *figure, job, units, o);
    return explain_piece(key, job, units, o, asked);
}

std::function<ExitCode()> declare(Parser& parser)
{
    const auto options = std::make_shared<CommonOptions>();
    const auto names = std::make_shared<std::vector<std::string>>();
    const auto asked = std::make_shared<RoomAsked>();
    parser
        .add("NAME", *names,
             "[PROJECT] NAME: a key (\"height\", \"room/height\", \"room.opening/sill\"), a table (\"room\"), or "
             "a figure (\"room_load/Kitchen/cooling\", * for any part), a code (\"V423\"), or a room, "
             "a build-up or glazing of the project before it or of the library that ships (\"cavity wall, "
             "filled\")")
        .required()
        .takes(1, 2);
    add_changes(parser, *options);
    add_units(parser, *options);
    add_forms(parser, *options);
    add_room_asked(parser, *asked, "of a room: ");
    return [options, names, asked] {
        if (names->size() == 2) options->project = names->front();
        if (options->project.empty() && !(options->changes.empty() && options->with.empty()))
            throw Misuse{"--set and --with need a PROJECT that they change"};
        return run(*options, names->back(), *asked);
    };
}

} // namespace

} // namespace venture::cli::of_explain

namespace venture::cli {

extern const Command explain_command;
const Command explain_command = {"explain", Group::understand,
                                 "what a key of the project file or a figure of the results means and what it is in a "
                                 "project; a code of a finding; a room, build-up, glazing or calendar taken apart",
                                 of_explain::declare};

} // namespace venture::cli
