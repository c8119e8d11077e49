#include <venture/cli/commands.hpp>

#include <algorithm>
#include <cstdio>

#include <fmt/format.h>
#include <nlohmann/json.hpp>
#include <spdlog/spdlog.h>

#include <venture/catalogue/shipped.hpp>
#include <venture/cli/job.hpp>
#include <venture/exchange/loads_table.hpp>
#include <venture/project/output.hpp>
#include <venture/quantity/error.hpp>
#include <venture/quantity/names.hpp>
#include <venture/report/check_report.hpp>
#include <venture/report/loads_report.hpp>
#include <venture/report/plan_drawing.hpp>

namespace venture::cli {

using nlohmann::json;
using quantity::Severity;

namespace {

void print(const std::string& text) { std::fwrite(text.data(), 1, text.size(), stdout); }
/// Messages follow what was printed before them, also where both go to one terminal.
void print_error(const std::string& text)
{
    std::fflush(stdout);
    std::fwrite(text.data(), 1, text.size(), stderr);
}

json problems_json(const Job& job)
{
    json out = json::array();
    for (const quantity::Problem& p : project::in_reading_order(job.problems(), job.origins())) {
        const quantity::Origin& place = job.origins().at(p.where);
        out.push_back({{"severity", name_of(p.severity)},
                       {"code", p.code},
                       {"file", place.kind == quantity::OriginKind::file ? place.text : ""},
                       {"line", place.line},
                       {"column", place.column},
                       {"message", p.message},
                       {"hint", p.hint}});
    }
    return out;
}

/// Ends a command: what was said, and the exit code that follows from it.
ExitCode finish(const Job& job, const CommonOptions& o, bool met = true)
{
    if (!o.json) print_error(job.problems_in_words());
    if (job.failed()) {
        const auto errors = std::ranges::count(job.problems(), Severity::error, &quantity::Problem::severity);
        if (!o.json) print_error(fmt::format("{} error{}; nothing was computed\n", errors, errors == 1 ? "" : "s"));
        return ExitCode::bad_input;
    }
    const bool warned =
        std::ranges::any_of(job.problems(), [](const auto& p) { return p.severity == Severity::warning; });
    return met && !(o.strict && warned) ? ExitCode::done : ExitCode::not_met;
}

void print_json(json document, const Job& job)
{
    document["problems"] = problems_json(job);
    print(document.dump(2, ' ', false, json::error_handler_t::replace) + "\n");
}

Job open(const CommonOptions& o)
{
    spdlog::debug("reading {}", o.project.string());
    Job job{o.project, o.changes};
    job.resolve();
    return job;
}

/// Opens a project and computes its loads; `job.failed()` tells whether there are any.
Job open_and_compute(const CommonOptions& o)
{
    Job job = open(o);
    if (job.failed()) return job;
    spdlog::debug("computing with steps of {:g} min", o.step_min);
    job.compute(o.step_min * 60.0);
    return job;
}

std::string assumptions_text(const Job& job)
{
    if (job.assumed().empty()) return {};
    return fmt::format("The table does not state, and these were assumed: {}.\n", fmt::join(job.assumed(), "; "));
}

bool needs_building(const Job& job, const char* what)
{
    if (job.building() || job.failed()) return false;
    print_error(fmt::format("{} needs a building; a table of typed loads has none. Try: venture size\n", what));
    return true;
}

} // namespace

ExitCode check(const CommonOptions& o)
{
    Job job = open(o);
    if (needs_building(job, "check")) return ExitCode::bad_input;
    if (o.json)
        print_json(job.building() ? report::check_json(*job.building()) : json::object(), job);
    else if (job.building() && !job.failed())
        print(report::check_text(*job.building()) + "\n");
    if (!o.json && job.problems().empty()) print("Nothing was found that is wrong or odd.\n");
    return finish(job, o);
}

ExitCode loads(const CommonOptions& o, const std::optional<std::string>& room, bool as_table)
{
    Job job = open_and_compute(o);
    if (needs_building(job, "loads")) return ExitCode::bad_input;
    if (o.json) {
        print_json(job.failed() ? json::object() : report::loads_json(*job.building(), job.design()), job);
    } else if (!job.failed() && room) {
        const auto& all = job.design().loads.rooms;
        const auto found = std::ranges::find(all, *room, &loads::RoomLoad::room);
        if (found == all.end()) {
            std::vector<std::string> names;
            for (const auto& r : all) names.push_back(r.room);
            const auto near = quantity::nearest_name(*room, names);
            print_error(fmt::format("no room is called '{}'{}; there are: {}\n", *room,
                                    near ? fmt::format(" (did you mean '{}'?)", *near) : "",
                                    quantity::listed(names, 40)));
            return ExitCode::bad_input;
        }
        print(report::room_text(*found));
    } else if (!job.failed()) {
        print(as_table ? exchange::write_loads_table(job.design().loads)
                       : report::loads_text(*job.building(), job.design()) + "\n");
    }
    return finish(job, o, job.failed() || job.design().converged());
}

ExitCode size(const CommonOptions& o)
{
    Job job = open_and_compute(o);
    if (job.failed()) {
        if (o.json) print_json(json::object(), job);
        return finish(job, o);
    }
    const report::Sizing sizing = job.size();
    job.add(report::size_findings(sizing));
    if (o.json)
        print_json(report::size_json(sizing), job);
    else
        print((job.building() ? report::loads_heading(*job.building()) + "\n" : assumptions_text(job)) +
              report::size_text(sizing) + "\n");
    return finish(job, o, sizing.met() && job.design().converged());
}

ExitCode draw_plan(const CommonOptions& o, const DrawOptions& draw)
{
    Job job = open_and_compute(o);
    if (needs_building(job, "draw plan")) return ExitCode::bad_input;
    if (job.failed()) return finish(job, o);
    const std::string bytes = report::draw_plan(*job.building(), job.design().loads, {.picture = draw.picture});
    std::filesystem::path target = draw.output;
    if (target.empty()) { // one manifest a project, the one that `demo` began
        const std::string name = fmt::format("results/plan.{}", report::extension(draw.picture));
        project::OutputFolder{job.folder(), draw.force}.write(name, bytes);
        target = job.folder() / name;
    } else {
        project::OutputFolder{target.has_parent_path() ? target.parent_path() : ".", draw.force}.write(
            target.filename().string(), bytes);
    }
    print(fmt::format("wrote {}\n", target.string()));
    return finish(job, o);
}

ExitCode demo(const std::filesystem::path& folder, bool force)
{
    project::OutputFolder out{folder, force};
    for (const char* name : {"project.toml", "loads.csv"})
        out.write(name, std::string{catalogue::shipped_file(std::string{"demo/"} + name)});
    CommonOptions o{.project = folder};
    Job job = open_and_compute(o);
    if (job.failed()) return finish(job, o);
    const report::Sizing sizing = job.size();
    job.add(report::size_findings(sizing));
    const std::string loads_text = report::loads_text(*job.building(), job.design()),
                      size_text = report::size_text(sizing);
    const std::string check_text = report::check_text(*job.building());
    out.write("results/check.txt", check_text);
    out.write("results/loads.txt", loads_text);
    out.write("results/loads.csv", exchange::write_loads_table(job.design().loads));
    out.write("results/loads.json", report::loads_json(*job.building(), job.design()).dump(2) + "\n");
    out.write("results/size.txt", size_text);
    out.write("results/size.json", report::size_json(sizing).dump(2) + "\n");
    for (const auto picture : {report::Picture::svg, report::Picture::png, report::Picture::pdf})
        out.write(fmt::format("results/plan.{}", report::extension(picture)),
                  report::draw_plan(*job.building(), job.design().loads, {.picture = picture}));
    const std::string at = folder.string();
    print(loads_text + "\n" + size_text + "\n");
    (void)finish(job, o); // findings belong to the show; they do not make the demo fail
    print(fmt::format("\nWrote {0}: project.toml and loads.csv (the input), results/ (check, loads, size as text, JSON "
                      "and CSV; the plan as SVG, PNG and PDF).\n"
                      "Try next:\n"
                      "  venture loads {0} --room \"Operations room\"        take one room's loads apart\n"
                      "  venture size {0} --set \"site/winter_dry_bulb=-10 degC\"   what if the winter were colder?\n"
                      "  venture size {0}/loads.csv                        choose units for loads that someone typed\n"
                      "  edit {0}/project.toml, then: venture check {0}\n",
                      at));
    return ExitCode::done;
}

} // namespace venture::cli
