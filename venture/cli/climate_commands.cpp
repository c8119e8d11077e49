/// Commands about the climate: show it, make a year, derive design conditions, draw it.

#include <fmt/format.h>

#include <venture/cli/climate_results.hpp>
#include <venture/cli/deliver.hpp>
#include <venture/cli/printing.hpp>
#include <venture/draw/climate_drawing.hpp>
#include <venture/exchange/weather_file.hpp>
#include <venture/quantity/error.hpp>
#include <venture/quantity/names.hpp>
#include <venture/report/climate_report.hpp>
#include <venture/report/site_keys.hpp>
#include <venture/resolve/climate_input.hpp>

namespace venture::cli {

namespace {

constexpr const char* how_to_give_weather =
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

Job open_for_climate(const CommonOptions& o)
{
    Job job{o.project, changes_of(o)};
    job.resolve_site();
    return job;
}

/// What somebody means by a day: "winter", "July", "July wet bulb", "14 July". Says so and gives nothing if it is none.
std::optional<climate::DesignDay> day_called(const std::string& asked, const Job& job)
{
    const climate::Site& site = *job.site();
    const std::string text = quantity::lower_case(quantity::trimmed(asked));
    if (text == "winter") return climate::winter_design_day(site);
    if (const auto read = climate::read_month_day(text); std::holds_alternative<climate::MonthDay>(read)) {
        const auto date = std::get<climate::MonthDay>(read);
        if (job.weather() && (date != climate::MonthDay{2, 29} || job.weather()->leap))
            return climate::weather_day(*job.weather(), climate::day_of_year(date, job.weather()->leap), site);
        print_error(fmt::format("'{}' would be a day of the weather year; {}", asked,
                                job.weather() ? "it is no leap year\n" : how_to_give_weather));
        return std::nullopt;
    }
    const auto blank = std::min(text.find(' '), text.size());
    const auto month = climate::read_month_day("1 " + text.substr(0, blank));
    const std::string peak{quantity::trimmed(std::string_view{text}.substr(blank))};
    const auto wanted = peak.empty() || peak == "dry bulb" ? std::optional{climate::DesignFor::dry_bulb}
                        : peak == "wet bulb"               ? std::optional{climate::DesignFor::wet_bulb}
                        : peak == "dew point"              ? std::optional{climate::DesignFor::dew_point}
                                                           : std::nullopt;
    if (std::holds_alternative<climate::MonthDay>(month) && wanted)
        for (const climate::CoolingMonth& m : site.months) {
            if (m.month != std::get<climate::MonthDay>(month).month) continue;
            const bool has = *wanted == climate::DesignFor::dry_bulb ||
                             (*wanted == climate::DesignFor::wet_bulb ? m.peak_wet_bulb : m.peak_dew_point).has_value();
            if (has) return climate::cooling_design_day(site, m, *wanted);
            print_error(fmt::format("{} has no highest {}; give it peak_{} and its dry bulb\n",
                                    climate::month_name(m.month), peak, peak == "wet bulb" ? "wet_bulb" : "dew_point"));
            return std::nullopt;
        }
    std::vector<std::string> there;
    for (const climate::CoolingMonth& m : site.months) there.push_back(climate::month_name(m.month));
    print_error(fmt::format("no day is called '{}'; there are: winter, {}, one of these with \"wet bulb\" or \"dew "
                            "point\" behind it, or a day of the weather year such as \"14 July\"\n",
                            asked, quantity::listed(there, 12)));
    return std::nullopt;
}

/// The weather year with what is counted from it; nothing if there is none.
std::optional<climate::WeatherFigures> figures_of(const Job& job)
{
    using W = input::WeatherInput;
    if (!job.weather()) return std::nullopt;
    const W& w = job.project().input.weather;
    const climate::DegreeDayBases bases{resolve::number_of(w, &W::heating_base),
                                        resolve::number_of(w, &W::cooling_base)};
    return climate::WeatherFigures{*job.weather(), climate::summarise(*job.weather(), bases),
                                   climate::derive_conditions(*job.weather(), resolve::rarity_of(w))};
}

figure::Document climate_document(const Job& job)
{
    return report::climate_document(*job.site(), job.project().input, figures_of(job), job.units());
}

bool lacks_weather(const Job& job, const char* what)
{
    if (job.weather() || job.failed()) return false;
    print_error(fmt::format("{} needs the project's weather; {}", what, how_to_give_weather));
    return true;
}

} // namespace

std::string climate_picture(const Job& job, draw::Picture picture)
{
    return draw::draw_climate(*job.site(), *job.weather(), climate::summarise(*job.weather()),
                              {.picture = picture, .units = job.units()});
}

void write_climate(const Job& job, project::OutputFolder& out)
{
    write_document(out, "climate", climate_document(job), job.units());
    for (const auto picture : {draw::Picture::svg, draw::Picture::png, draw::Picture::pdf})
        out.write(fmt::format("results/climate.{}", draw::extension(picture)), climate_picture(job, picture));
}

ExitCode climate(const CommonOptions& o, const ClimateOptions& c)
{
    Job job = open_for_climate(o);
    if (job.failed()) return deliver({}, job, o);
    if (!c.day.empty()) {
        const auto day = day_called(c.day, job);
        return day ? deliver(report::day_document(*day, job.units()), job, o) : ExitCode::bad_input;
    }
    if (!c.week.empty()) {
        if (lacks_weather(job, "climate --week")) return ExitCode::bad_input;
        const auto which = c.week == "hottest" ? climate::Extreme::hottest : climate::Extreme::coldest;
        return deliver(report::week_document(climate::extreme_week(*job.weather(), *job.site(), which), c.week,
                                             job.weather()->name, job.units()),
                       job, o);
    }
    return deliver(climate_document(job), job, o);
}

ExitCode climate_make(const CommonOptions& o, const std::filesystem::path& output, bool force)
{
    Job job = open_for_climate(o);
    if (lacks_weather(job, "climate make")) return ExitCode::bad_input;
    if (job.failed()) return finish(job, o);
    const std::string bytes = exchange::write_weather(*job.weather());
    print(fmt::format("wrote {}\n", write_result(job.folder(), output, "weather.csv", bytes, force).string()));
    return finish(job, o);
}

ExitCode climate_derive(const CommonOptions& o)
{
    Job job = Job::with_weather(o.project, changes_of(o));
    if (lacks_weather(job, "climate derive")) return ExitCode::bad_input;
    if (job.failed()) return deliver({}, job, o);
    const climate::WeatherFigures figures = *figures_of(job);
    if (o.form() != Form::text) return deliver(report::derived_document(figures), job, o);
    print(report::derived_toml(figures, resolve::rarity_of(job.project().input.weather)));
    return finish(job, o);
}

ExitCode draw_climate(const CommonOptions& o, const DrawOptions& draw)
{
    Job job = open_for_climate(o);
    if (lacks_weather(job, "draw climate")) return ExitCode::bad_input;
    if (job.failed()) return finish(job, o);
    const std::string name = fmt::format("results/climate.{}", draw::extension(draw.picture));
    const std::string bytes = climate_picture(job, draw.picture);
    print(fmt::format("wrote {}\n", write_result(job.folder(), draw.output, name, bytes, draw.force).string()));
    return finish(job, o);
}

} // namespace venture::cli
