/// The command that runs a building through its weather year.

#include <algorithm>

#include <fmt/format.h>

#include <venture/cli/deliver.hpp>
#include <venture/cli/printing.hpp>
#include <venture/climate/date.hpp>
#include <venture/draw/hours_drawing.hpp>
#include <venture/loads/building_year.hpp>
#include <venture/quantity/names.hpp>
#include <venture/report/year_report.hpp>

namespace venture::cli {

namespace {

std::string kinds_text()
{
    std::string out = "Series, means over the hour:\n";
    for (const balance::SeriesKind& kind : balance::series_kinds())
        out += fmt::format("  {:<26}{:<7}{}{}\n", kind.name, kind.unit,
                           kind.subject == balance::Subject::whole     ? "of the whole: "
                           : kind.subject == balance::Subject::surface ? "of every surface: "
                                                                       : "",
                           kind.meaning);
    return out;
}

/// Whether all kinds asked for are there; says what is wrong if not.
bool knows_series(const std::vector<std::string>& asked)
{
    std::vector<std::string> names;
    for (const balance::SeriesKind& kind : balance::series_kinds()) names.emplace_back(kind.name);
    for (const std::string& kind : asked) {
        if (std::ranges::find(names, kind) != names.end()) continue;
        const auto near = quantity::nearest_name(kind, names);
        print_error(fmt::format("no series is called '{}'{}; `venture year PROJECT --series list` lists them all\n",
                                kind, near ? fmt::format(" (did you mean '{}'?)", *near) : ""));
        return false;
    }
    return true;
}

/// The day that a year begins with; nothing, and told, if there is none.
std::optional<int> first_day(const std::string& from, bool leap)
{
    if (from.empty()) return 1;
    const auto read = climate::read_month_day(from);
    if (const auto* date = std::get_if<climate::MonthDay>(&read)) {
        if (*date != climate::MonthDay{2, 29} || leap) return climate::day_of_year(*date, leap);
        print_error("the weather year has no 29 February\n");
    } else {
        print_error(
            fmt::format("--from '{}' is no day: {}; write \"1 May\"\n", from, std::get<climate::NoDate>(read).reason));
    }
    return std::nullopt;
}

/// Opens a project whose building can be run through a weather year; tells what is missing.
/// @returns whether both are there
bool has_building_and_weather(const Job& job)
{
    if (job.failed()) return false;
    if (!job.building()) {
        print_error("this needs a building; a table of typed loads has none\n");
        return false;
    }
    if (job.weather()) return true;
    print_error("this needs the project's weather: a [weather] table with a file, or form = \"synthetic\" and twelve "
                "[[monthly_mean]]; `venture climate PROJECT` tells more\n");
    return false;
}

/// The part of the year that was asked for; nothing, and told, if it does not have it.
std::optional<loads::BuildingYearOptions> part_of_year(const CommonOptions& o, const YearOptions& y, const Job& job)
{
    const auto first = first_day(y.from, job.weather()->leap);
    if (!first) return std::nullopt;
    const int left = job.weather()->days() - *first + 1;
    if (y.days > left) {
        print_error(fmt::format("--days {}: from that day on the weather year has {} days\n", y.days, left));
        return std::nullopt;
    }
    return loads::BuildingYearOptions{.step_s = 60.0 * o.step_min,
                                      .first_day = *first,
                                      .days = y.days,
                                      .run_in_days = y.run_in_days,
                                      .series = y.series};
}

} // namespace

ExitCode year(const CommonOptions& o, const YearOptions& y)
{
    if (std::ranges::find(y.series, "list") != y.series.end()) {
        print(report::Text{kinds_text()}, o);
        return ExitCode::done;
    }
    if (!knows_series(y.series)) return ExitCode::bad_input;
    Job job = open(o);
    job.use_weather();
    if (job.failed()) return deliver({}, job, o);
    if (!has_building_and_weather(job)) return ExitCode::bad_input;
    auto options = part_of_year(o, y, job);
    if (!options) return ExitCode::bad_input;
    if (y.csv && options->series.empty())
        options->series = {"outdoor temperature", "operative temperature", "heating", "cooling"};
    const loads::BuildingYear result = job.run_year(*options);
    if (job.failed()) return deliver({}, job, o); // numbers that cannot be are not printed
    CommonOptions asked = o;
    if (y.csv) asked.as = "csv";
    if (asked.form() == Form::csv && asked.table.empty() && !options->series.empty()) asked.table = "series";
    return deliver(report::year_document(*job.building(), result, job.weather()->leap, job.units()), job, asked,
                   result.unsettled_steps == 0);
}

ExitCode draw_hours(const CommonOptions& o, const std::string& room, const YearOptions& y, const DrawOptions& draw)
{
    constexpr int week = 7;
    Job job = open(o);
    job.use_weather();
    if (job.failed()) return finish(job, o);
    if (!has_building_and_weather(job)) return ExitCode::bad_input;
    const building::Building& b = *job.building();
    if (!b.find_room(room)) {
        std::vector<std::string> names;
        for (const auto& r : b.rooms) names.push_back(r.name);
        print_error(fmt::format("no room is called '{}'; there are: {}\n", room, quantity::listed(names, 40)));
        return ExitCode::bad_input;
    }
    YearOptions part = y;
    if (part.days == 0) part.days = week;
    part.series = {"outdoor temperature", "operative temperature", "air temperature", "heating", "cooling"};
    const auto options = part_of_year(o, part, job);
    if (!options) return ExitCode::bad_input;
    const loads::BuildingYear result = job.run_year(*options);
    if (job.failed()) return finish(job, o);
    draw::HoursDrawing drawing{.title = fmt::format("{}: {}", b.project.name, room), .synthetic = result.synthetic};
    drawing.subtitle =
        fmt::format("{}; weather year '{}'; means over hours of local standard time", b.site.name, result.weather);
    for (int d = 0; d < result.days; ++d)
        drawing.days.push_back(climate::in_words(climate::month_day(result.first_day + d, job.weather()->leap)));
    for (const balance::Series& s : result.series) {
        if (!s.id.empty() && s.id != room) continue;
        const bool nothing = std::ranges::all_of(s.values, [](double v) { return v == 0.0; });
        if (s.unit == "W" && nothing) continue;
        (s.unit == "W" ? drawing.loads_W : drawing.temperatures_C).push_back({s.kind, s.values});
    }
    const std::string bytes = draw_hours(drawing, {.picture = draw.picture, .units = job.units()});
    const std::string name = fmt::format("results/hours.{}", draw::extension(draw.picture));
    print(fmt::format("wrote {}\n", write_result(job.folder(), draw.output, name, bytes, draw.force).string()));
    return finish(job, o, result.unsettled_steps == 0);
}

} // namespace venture::cli
