#include <venture/cli/climate_job.hpp>

#include <fmt/format.h>

#include <venture/cli/printing.hpp>
#include <venture/resolve/climate_input.hpp>

namespace venture::cli {

Job open_for_climate(const CommonOptions& o)
{
    Job job{exchange::open_project(o.project, opening_of(o))};
    (void)job.site();
    return job;
}

std::optional<climate::WeatherFigures> weather_figures(const Job& job)
{
    using W = input::WeatherInput;
    if (!job.weather()) return std::nullopt;
    const W& w = job.input().weather;
    const climate::DegreeDayBases bases{resolve::number_of(w, &W::heating_base),
                                        resolve::number_of(w, &W::cooling_base)};
    return climate::WeatherFigures{*job.weather(), climate::summarise(*job.weather(), bases),
                                   climate::derive_conditions(*job.weather(), resolve::rarity_of(w))};
}

bool lacks_weather(const Job& job, const char* what)
{
    if (job.weather() || job.failed()) return false;
    print_error(fmt::format("{} needs the project's weather; {}", what, how_to_give_weather));
    return true;
}

} // namespace venture::cli
