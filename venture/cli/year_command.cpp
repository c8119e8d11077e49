/// `venture year`: the building through its weather year.

#include <algorithm>
#include <memory>

#include <fmt/format.h>

#include <venture/airside/air_year.hpp>
#include <venture/cli/command.hpp>
#include <venture/cli/deliver.hpp>
#include <venture/cli/kept_year.hpp>
#include <venture/cli/options.hpp>
#include <venture/cli/part_of_year.hpp>
#include <venture/cli/printing.hpp>
#include <venture/cli/room_argument.hpp>
#include <venture/quantity/names.hpp>
#include <venture/report/year_report.hpp>

namespace venture::cli::of_year {

namespace {

std::string kinds_text()
{
    std::string out = "Series, means over the hour:\n";
    for (const balance::SeriesKind& kind : airside::year_series_kinds())
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
    for (const balance::SeriesKind& kind : airside::year_series_kinds()) names.emplace_back(kind.name);
    for (const std::string& kind : asked) {
        if (std::ranges::find(names, kind) != names.end()) continue;
        const auto near = quantity::nearest_name(kind, names);
        print_error(fmt::format("no series is called '{}'{}; `venture year PROJECT --series list` lists them all\n",
                                kind, near ? fmt::format(" (did you mean '{}'?)", *near) : ""));
        return false;
    }
    return true;
}

ExitCode run(const CommonOptions& o, const YearOptions& y)
{
    if (std::ranges::find(y.series, "list") != y.series.end()) {
        print(report::Text{kinds_text()}, o);
        return ExitCode::done;
    }
    std::vector<std::string> to_keep = y.keep;
    std::erase(to_keep, all_kinds);
    if (!knows_series(y.series) || !knows_series(to_keep)) return ExitCode::bad_input;
    Job job = open(o);
    (void)job.weather();
    if (job.failed()) return deliver({}, job, o);
    if (!has_building_and_weather(job)) return ExitCode::bad_input;
    auto options = part_of_year(o, y, job);
    if (!options) return ExitCode::bad_input;
    if (y.csv && options->series.empty())
        options->series = {"outdoor temperature", "operative temperature", "heating", "cooling"};
    if (!y.room.empty()) {
        const auto room = room_called(job, y.room);
        if (!room) return ExitCode::bad_input;
        options->room = job.building()->find_room(*room);
    }
    const KeptYear kept = found_or_run(job, *options, y);
    const loads::BuildingYear& result = kept.year;
    if (job.failed()) return deliver({}, job, o); // numbers that cannot be are not printed
    CommonOptions asked = o;
    if (y.csv) asked.as = "csv";
    if (asked.form() == Form::csv && asked.table.empty() && !options->series.empty()) asked.table = "series";
    figure::Document document = report::year_document(*job.building(), result, job.weather()->leap, job.units());
    document.add(kept.said);
    return deliver(std::move(document), job, asked, result.unsettled_steps == 0);
}

std::function<ExitCode()> declare(Parser& parser)
{
    const auto options = std::make_shared<CommonOptions>();
    const auto year = std::make_shared<YearOptions>();
    add_project(parser, *options);
    add_forms(parser, *options);
    options->step_min = usual_year_step_min;
    add_step(parser, *options);
    parser.add("--from", year->from, "first day, e.g. \"1 May\"; 1 January unless given");
    parser.add("--days", year->days, "how many; to the end of the year unless given").between(1, 366);
    parser.add("--run-in", year->run_in_days, "days before the first that are gone through before")
        .between(0, 3660)
        .shows_default();
    parser
        .add("--series", year->series,
             "hour by hour, of all rooms: a kind of series, e.g. \"operative temperature\"; \"list\" lists "
             "them all; may be repeated")
        .one_each();
    parser.add("--room", year->room, "take one room apart: where its heat comes from and goes to, by path and month");
    parser
        .add("--keep", year->keep,
             "kinds of series that are kept beside the usual ones, and not printed; \"all\"; may be repeated")
        .one_each();
    parser.add("--name", year->name, "for the run that is kept: named ones stay until another run takes their name");
    parser.flag("--again", year->again, "run it even if the same run was kept");
    parser.flag("--no-keep", year->not_kept, "keep nothing, and read nothing that was kept");
    parser.flag("--csv", year->csv, "the series as a table, a line an hour");
    return [options, year] { return run(*options, *year); };
}

} // namespace

} // namespace venture::cli::of_year

namespace venture::cli {

extern const Command year_command;
const Command year_command = {"year", Group::compute, "run the building through its weather year, or a part of it",
                              of_year::declare};

} // namespace venture::cli
