/// `venture draw climate`: the weather year on one sheet.

#include <memory>

#include <fmt/format.h>

#include <venture/cli/climate_job.hpp>
#include <venture/cli/climate_results.hpp>
#include <venture/cli/command.hpp>
#include <venture/cli/options.hpp>
#include <venture/cli/printing.hpp>

namespace venture::cli::of_draw_climate {

namespace {

ExitCode run(const CommonOptions& o, const PictureOptions& draw)
{
    Job job = open_for_climate(o);
    if (lacks_weather(job, "draw climate")) return ExitCode::bad_input;
    if (job.failed()) return finish(job, o);
    const std::string bytes = climate_picture(job, draw.picture());
    return deliver_picture(job, o, draw, "climate", bytes);
}

std::function<ExitCode()> declare(Parser& parser)
{
    const auto options = std::make_shared<CommonOptions>();
    const auto picture = std::make_shared<PictureOptions>();
    add_project(parser, *options);
    add_picture(parser, *picture, "climate");
    return [options, picture] { return run(*options, *picture); };
}

} // namespace

} // namespace venture::cli::of_draw_climate

namespace venture::cli {

extern const Command draw_climate_command;
const Command draw_climate_command = {
    "draw climate", Group::draw, "the weather year: temperatures, sun by hour and day, wind", of_draw_climate::declare};

} // namespace venture::cli
