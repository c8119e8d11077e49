/// `venture climate make`: the weather year as a file.

#include <memory>

#include <fmt/format.h>

#include <venture/cli/climate_job.hpp>
#include <venture/cli/command.hpp>
#include <venture/cli/options.hpp>
#include <venture/cli/printing.hpp>
#include <venture/exchange/weather_file.hpp>

namespace venture::cli::of_climate_make {

namespace {

ExitCode run(const CommonOptions& o, const FileOptions& file)
{
    Job job = open_for_climate(o);
    if (lacks_weather(job, "climate make")) return ExitCode::bad_input;
    if (job.failed()) return finish(job, o);
    const std::string bytes = exchange::write_weather(*job.weather());
    print(
        fmt::format("wrote {}\n", write_result(job.folder(), file.output, "weather.csv", bytes, file.force).string()));
    return finish(job, o);
}

std::function<ExitCode()> declare(Parser& parser)
{
    const auto options = std::make_shared<CommonOptions>();
    const auto file = std::make_shared<FileOptions>();
    add_project(parser, *options);
    add_output(parser, *file, "weather.csv in the project");
    return [options, file] { return run(*options, *file); };
}

} // namespace

} // namespace venture::cli::of_climate_make

namespace venture::cli {

extern const Command climate_make_command;
const Command climate_make_command = {
    "climate make", Group::exchange,
    "write the project's weather year (made up from [[monthly_mean]], or read from its file) as CSV",
    of_climate_make::declare};

} // namespace venture::cli
