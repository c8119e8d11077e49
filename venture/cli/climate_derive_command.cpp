/// `venture climate derive`: design conditions counted from a weather year.

#include <memory>

#include <venture/cli/climate_job.hpp>
#include <venture/cli/command.hpp>
#include <venture/cli/deliver.hpp>
#include <venture/cli/options.hpp>
#include <venture/cli/printing.hpp>
#include <venture/report/climate_report.hpp>
#include <venture/report/site_keys.hpp>
#include <venture/resolve/climate_input.hpp>

namespace venture::cli::of_climate_derive {

namespace {

ExitCode run(const CommonOptions& o)
{
    std::error_code ignored;
    const bool is_project = std::filesystem::is_directory(o.project, ignored) || o.project.extension() == ".toml";
    Job job{is_project ? exchange::open_project(o.project, opening_of(o))
                       : exchange::open_weather(o.project, changes_of(o))};
    if (!job.weather() && is_project) (void)job.site(); // tells what is wrong with site and weather
    if (lacks_weather(job, "climate derive")) return ExitCode::bad_input;
    if (job.failed()) return deliver({}, job, o);
    const climate::WeatherFigures figures = *weather_figures(job);
    if (o.form() != Form::text) return deliver(report::derived_document(figures), job, o);
    print(report::derived_toml(figures, resolve::rarity_of(job.input().weather)));
    return finish(job, o);
}

std::function<ExitCode()> declare(Parser& parser)
{
    const auto options = std::make_shared<CommonOptions>();
    add_project(parser, *options);
    add_forms(parser, *options);
    return [options] { return run(*options); };
}

} // namespace

} // namespace venture::cli::of_climate_derive

namespace venture::cli {

extern const Command climate_derive_command;
const Command climate_derive_command = {"climate derive", Group::understand,
                                        "print design conditions counted from a weather year, as keys of [site]; "
                                        "PROJECT may also be a weather file that describes itself",
                                        of_climate_derive::declare};

} // namespace venture::cli
