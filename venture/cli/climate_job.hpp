#pragma once
/// What commands about the climate share.

#include <optional>

#include <venture/cli/job.hpp>
#include <venture/cli/options.hpp>
#include <venture/climate/climate_figures.hpp>

namespace venture::cli {

inline constexpr const char* how_to_give_weather =
    "it has no weather year. Give it one in project.toml:\n"
    "  [weather]                       a file of your own: say what is in it\n"
    "  file = \"weather.csv\"\n"
    "  stamp = \"end\"                   or \"beginning\": which end of the hour a record is stamped with\n"
    "  [[weather.column]]              one for each column that matters; `venture explain weather.column/holds`\n"
    "  holds = \"dry_bulb\"\n"
    "  column = \"Temp\"\n"
    "or, without a file, a year made up from twelve monthly means (always labelled synthetic):\n"
    "  [weather]\n"
    "  form = \"synthetic\"\n"
    "  [[monthly_mean]]                one for each month\n"
    "  month = 1\n"
    "  dry_bulb = 3.2\n"
    "  daily_range = 5.5\n"
    "  relative_humidity = \"84 %\"\n"
    "  sun = \"0.7 kWh/m2\"              global on the horizontal, mean day\n"
    "  wind = 4.1\n";

/// A project with its site resolved, and no building.
[[nodiscard]] Job open_for_climate(const CommonOptions& options);
/// Whether a command cannot go on without a weather year, which is then told. @param what  the command
[[nodiscard]] bool lacks_weather(const Job& job, const char* what);
/// The weather year with what is counted from it; nothing if there is none.
[[nodiscard]] std::optional<climate::WeatherFigures> weather_figures(const Job& job);

} // namespace venture::cli
