/// `venture draw building`: every surface in space, as a page.

#include <memory>

#include <fmt/format.h>

#include <venture/cli/command.hpp>
#include <venture/cli/options.hpp>
#include <venture/cli/printing.hpp>
#include <venture/draw/building_page.hpp>

namespace venture::cli::of_draw_building {

namespace {

ExitCode run(const CommonOptions& o, const FileOptions& file)
{
    Job job = open(o);
    if (needs_building(job, "draw building")) return ExitCode::bad_input;
    if (job.failed()) return finish(job, o);
    const std::string page = draw::building_page(*job.building(), job.units());
    const auto written = write_result(job.folder(), file.output, "results/building.html", page, file.force);
    print(fmt::format("wrote {}\n", written.string()));
    return finish(job, o);
}

std::function<ExitCode()> declare(Parser& parser)
{
    const auto options = std::make_shared<CommonOptions>();
    const auto file = std::make_shared<FileOptions>();
    add_project(parser, *options);
    add_output(parser, *file, "results/building.html in the project");
    return [options, file] { return run(*options, *file); };
}

} // namespace

} // namespace venture::cli::of_draw_building

namespace venture::cli {

extern const Command draw_building_command;
const Command draw_building_command = {
    "draw building", Group::draw, "every surface in space, as a page to turn in a browser", of_draw_building::declare};

} // namespace venture::cli
