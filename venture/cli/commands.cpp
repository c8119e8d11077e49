#include <venture/cli/commands.hpp>

#include <algorithm>

#include <fmt/format.h>
#include <nlohmann/json.hpp>

#include <venture/catalogue/shipped.hpp>
#include <venture/cli/climate_results.hpp>
#include <venture/cli/deliver.hpp>
#include <venture/cli/printing.hpp>
#include <venture/draw/building_page.hpp>
#include <venture/draw/plan_drawing.hpp>
#include <venture/exchange/loads_table.hpp>
#include <venture/project/output.hpp>
#include <venture/project/schema.hpp>
#include <venture/quantity/codes.hpp>
#include <venture/quantity/error.hpp>
#include <venture/quantity/names.hpp>
#include <venture/quantity/unknown_name.hpp>
#include <venture/report/as_text.hpp>
#include <venture/report/check_report.hpp>
#include <venture/report/loads_report.hpp>
#include <venture/report/model_origins.hpp>
#include <venture/report/model_report.hpp>
#include <venture/report/origins_report.hpp>
#include <venture/report/room_report.hpp>
#include <venture/report/size_report.hpp>
#include <venture/resolve/effective.hpp>

namespace venture::cli {

using nlohmann::json;

namespace {

std::string assumptions_text(const Job& job)
{
    if (job.assumed().empty()) return {};
    return fmt::format("The table does not state, and these were assumed: {}.\n", fmt::join(job.assumed(), "; "));
}

ExitCode list_origins(const Job& job, const CommonOptions& o, const std::string& what)
{
    const auto& input = job.project().input;
    const auto all = resolve::effective_values(input, job.building() ? &*job.building() : nullptr);
    const auto asked = resolve::asked_for(all, what, input.origins);
    if (o.json) {
        print_json({{"values", report::origins_json(asked, input.origins)}}, job);
        return finish(job, o);
    }
    if (asked.empty()) {
        print_error(
            fmt::format("no value is called '{}'; ask for the beginning of a path (\"site\", \"room/Boat hall\", "
                        "\"room/*/people\"), a key (\"people\") or an origin (typed, default, inherited, "
                        "library, set, computed)\n",
                        what));
        return ExitCode::bad_input;
    }
    print(report::origins_text(asked, input.origins, job.units()), o);
    return finish(job, o);
}

} // namespace

ExitCode check(const CommonOptions& o, const CheckOptions& c)
{
    Job job = open(o);
    job.use_weather(); // a weather year that nobody asked for yet may be wrong too
    if (needs_building(job, "check")) return ExitCode::bad_input;
    if (c.origins) return list_origins(job, o, c.what);
    const bool stands = job.building() && !job.failed();
    const project::Findings all = job.findings();
    const ExitCode code =
        deliver(stands ? report::check_document(*job.building(), job.units()) : figure::Document{}, job, o);
    if (o.form() == Form::text && all.open.empty() && all.accepted.empty())
        print("Nothing was found that is wrong or odd.\n");
    return code;
}

namespace {

/// One room taken apart.
ExitCode loads_of_room(const Job& job, const CommonOptions& o, const std::string& room)
{
    const auto& all = job.design().loads.rooms;
    const auto found = std::ranges::find(all, room, &loads::RoomLoad::room);
    if (found == all.end()) {
        std::vector<std::string> names;
        for (const auto& r : all) names.push_back(r.room);
        const quantity::Problem unknown = quantity::unknown_name("room", room, {}, names);
        print_error(fmt::format("{}; {}\n", unknown.message, unknown.hint));
        return ExitCode::bad_input;
    }
    report::RoomCauses causes;
    if (const auto index = job.building()->find_room(room)) {
        const loads::DesignOptions options{.step_s = 60.0 * o.step_min};
        causes = {causes_of_heating(*job.building(), *index, *found, options),
                  causes_of_cooling(*job.building(), *index, *found, options)};
    }
    return deliver(report::room_document(*found, causes, job.origins(), job.units()), job, o, job.design().converged());
}

} // namespace

ExitCode loads(const CommonOptions& o, const std::optional<std::string>& room, bool as_table)
{
    Job job = open_and_compute(o);
    if (needs_building(job, "loads")) return ExitCode::bad_input;
    if (!job.failed() && room) return loads_of_room(job, o, *room);
    if (job.failed()) return deliver({}, job, o);
    if (!as_table)
        return deliver(report::loads_document(*job.building(), job.design(), job.units()), job, o,
                       job.design().converged());
    print(exchange::write_loads_table(job.design().loads));
    return finish(job, o, job.design().converged());
}

ExitCode loads_model(const CommonOptions& o, const std::string& day, const std::string& room)
{
    Job job = open(o);
    if (needs_building(job, "loads --model")) return ExitCode::bad_input;
    if (job.failed()) return finish(job, o);
    const building::Building& b = *job.building();
    const std::string asked = quantity::lower_case(quantity::trimmed(day));
    std::optional<climate::DesignDay> found;
    std::vector<std::string> there = {"winter"};
    if (asked == "winter") found = climate::winter_design_day(b.site);
    for (const climate::CoolingMonth& month : b.site.months) {
        there.push_back(climate::month_name(month.month));
        if (asked == quantity::lower_case(there.back())) found = climate::cooling_design_day(b.site, month);
    }
    if (!found) {
        print_error(fmt::format("no design day is called '{}'; there are: {}\n", day, quantity::listed(there, 14)));
        return ExitCode::bad_input;
    }
    const loads::Compiled compiled = loads::compile(b, *found, {.step_s = 60.0 * o.step_min});
    if (!room.empty()) {
        const auto index = b.find_room(room);
        if (!index) {
            print_error(fmt::format("no room is called '{}'\n", room));
            return ExitCode::bad_input;
        }
        const auto numbers = report::numbers_of_room(b, compiled, *index);
        o.json ? print_json({{"room", room}, {"numbers", report::numbers_json(numbers)}}, job)
               : print(report::numbers_text(numbers), o);
    } else if (o.json) {
        print_json(report::model_json(b, compiled), job);
    } else {
        print(report::model_text(b, compiled), o);
    }
    return finish(job, o);
}

ExitCode size(const CommonOptions& o)
{
    Job job = open_and_compute(o);
    if (job.failed()) return deliver({}, job, o);
    const study::Sizing sizing = job.size();
    figure::Document document = report::size_document(sizing, job.units());
    if (job.building()) {
        document.title = report::job_title(*job.building());
        document.blocks.insert(document.blocks.begin(),
                               figure::Sentences{report::site_line(*job.building(), job.units()) + "\n"});
    } else {
        document.blocks.insert(document.blocks.begin(), figure::Sentences{assumptions_text(job)});
    }
    const auto open = job.findings().open;
    const bool all_served = std::ranges::none_of(open, [](const quantity::Problem& p) {
        return p.code == quantity::codes::unserved; // unless that was accepted
    });
    return deliver(std::move(document), job, o, sizing.met() && all_served && job.design().converged());
}

ExitCode draw_building(const CommonOptions& o, const DrawOptions& draw)
{
    Job job = open(o);
    if (needs_building(job, "draw building")) return ExitCode::bad_input;
    if (job.failed()) return finish(job, o);
    const std::string page = draw::building_page(*job.building(), job.units());
    const auto written = write_result(job.folder(), draw.output, "results/building.html", page, draw.force);
    print(fmt::format("wrote {}\n", written.string()));
    return finish(job, o);
}

namespace {

/// What the demo wrote, and commands to go on with.
std::string what_to_try(const std::string& at)
{
    const std::vector<std::pair<std::string, std::string>> commands = {
        {fmt::format("venture loads {} --room \"Operations room\"", at), "take one room's loads apart"},
        {fmt::format("venture size {} --set \"site/winter_dry_bulb=-10 degC\"", at), "what if the winter were colder?"},
        {fmt::format("venture climate {}", at), "design conditions, design days, the weather year"},
        {fmt::format("venture draw year {}", at), "when it is used, day by hour"},
        {fmt::format("venture size {}/loads.csv", at), "choose units for loads that someone typed"},
        {fmt::format("venture watch {} loads", at), fmt::format("edit {}/project.toml and see what moves", at)},
        {fmt::format("venture check {} --origins \"room/Boat hall\"", at), "where each of its values came from"},
    };
    return fmt::format("Wrote {}: project.toml, loads.csv and monthly_means.csv (the input), schema/ (for editors), "
                       "results/ (check, loads, size, climate as text, JSON and CSV; plan and climate as SVG, PNG and "
                       "PDF).\n",
                       at) +
           next_commands(commands);
}

} // namespace

ExitCode demo(const std::filesystem::path& folder, bool force)
{
    project::OutputFolder out{folder, force};
    for (const char* name : {"project.toml", "loads.csv", "monthly_means.csv"})
        out.write(name, std::string{catalogue::shipped_file(std::string{"demo/"} + name)});
    for (const auto what : {project::SchemaOf::project, project::SchemaOf::include, project::SchemaOf::library})
        out.write("schema/" + project::schema_file_name(what), project::schema_json(what));
    CommonOptions o{.project = folder};
    Job job = open_and_compute(o);
    if (job.failed()) return finish(job, o);
    const study::Sizing sizing = job.size();
    const figure::Document loads = report::loads_document(*job.building(), job.design(), job.units()),
                           size = report::size_document(sizing, job.units());
    write_document(out, "check", report::check_document(*job.building(), job.units()), job.units());
    write_document(out, "loads", loads, job.units());
    out.write("results/loads.csv", exchange::write_loads_table(job.design().loads));
    write_document(out, "size", size, job.units());
    for (const auto picture : {draw::Picture::svg, draw::Picture::png, draw::Picture::pdf})
        out.write(fmt::format("results/plan.{}", draw::extension(picture)),
                  draw::draw_plan(*job.building(), job.design().loads, {.picture = picture}));
    job.use_weather();
    write_climate(job, out);
    print(report::as_text(loads, job.units()) + "\n" + report::as_text(size, job.units()) + "\n", o);
    (void)finish(job, o); // findings belong to the show; they do not make the demo fail
    print(report::Text{"\n" + what_to_try(folder.string())}, o);
    return ExitCode::done;
}

} // namespace venture::cli
