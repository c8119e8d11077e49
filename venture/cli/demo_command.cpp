/// `venture demo`: a complete example, computed.

#include <memory>

#include <fmt/format.h>

#include <venture/catalogue/shipped.hpp>
#include <venture/cli/climate_results.hpp>
#include <venture/cli/command.hpp>
#include <venture/cli/deliver.hpp>
#include <venture/cli/options.hpp>
#include <venture/cli/printing.hpp>
#include <venture/draw/plan_drawing.hpp>
#include <venture/exchange/loads_table.hpp>
#include <venture/project/output.hpp>
#include <venture/project/schema.hpp>
#include <venture/report/as_text.hpp>
#include <venture/report/check_report.hpp>
#include <venture/report/loads_report.hpp>
#include <venture/report/size_report.hpp>

namespace venture::cli::of_demo {

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

ExitCode run(const std::filesystem::path& folder, bool force)
{
    project::OutputFolder out{folder, force};
    for (const char* name : {"project.toml", "loads.csv", "monthly_means.csv"})
        out.write(name, std::string{catalogue::shipped_file(std::string{"demo/"} + name)});
    for (const auto what : {project::SchemaOf::project, project::SchemaOf::include, project::SchemaOf::library})
        out.write("schema/" + project::schema_file_name(what), project::schema_json(what));
    CommonOptions o{.project = folder};
    Job job = open_and_compute(o);
    if (job.failed()) return finish(job, o);
    const study::Sizing& sizing = job.project().sizing();
    const figure::Document loads = report::loads_document(*job.building(), job.design(), job.units(),
                                                          {.coils = &job.project().coils()}),
                           size = report::size_document(sizing, job.units());
    write_document(out, "check", report::check_document(*job.building(), job.units()), job.units());
    write_document(out, "loads", loads, job.units());
    out.write("results/loads.csv", exchange::write_loads_table(job.design().loads));
    write_document(out, "size", size, job.units());
    for (const auto picture : {draw::Picture::svg, draw::Picture::png, draw::Picture::pdf})
        out.write(fmt::format("results/plan.{}", draw::extension(picture)),
                  draw::draw_plan(*job.building(), job.design().loads, {.picture = picture}));
    write_climate(job, out);
    print(report::as_text(loads, job.units()) + "\n" + report::as_text(size, job.units()) + "\n", o);
    (void)finish(job, o); // findings belong to the show; they do not make the demo fail
    print(report::Text{"\n" + what_to_try(folder.string())}, o);
    return ExitCode::done;
}

std::function<ExitCode()> declare(Parser& parser)
{
    const auto folder = std::make_shared<std::string>("venture-demo");
    const auto force = std::make_shared<bool>(false);
    parser.add("DIR", *folder, "folder to write").shows_default();
    parser.flag("--force", *force, "write even over files that Venture did not write or that were changed since");
    return [folder, force] { return run(*folder, *force); };
}

} // namespace

} // namespace venture::cli::of_demo

namespace venture::cli {

extern const Command demo_command;
const Command demo_command = {"demo", Group::begin,
                              "write the demo project, run everything on it, say what to try next", of_demo::declare};

} // namespace venture::cli
