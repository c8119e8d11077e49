/// `venture series`: what was kept of runs through the year.

#include <algorithm>
#include <memory>

#include <fmt/format.h>

#include <venture/cli/command.hpp>
#include <venture/cli/deliver.hpp>
#include <venture/cli/kept_choice.hpp>
#include <venture/cli/options.hpp>
#include <venture/cli/part_of_year.hpp>
#include <venture/cli/printing.hpp>
#include <venture/climate/date.hpp>
#include <venture/report/kept_report.hpp>

namespace venture::cli::of_series {

namespace {

struct Asked {
    std::string pattern{}, run{}, against{}, by = "month", month{}, forget{};
};

/// 0 for the whole year; nothing, and told, if there is no such month.
std::optional<int> month_of(const std::string& typed)
{
    if (typed.empty()) return 0;
    for (int m = 1; m <= 12; ++m)
        if (typed == std::to_string(m) || typed == climate::month_name(m)) return m;
    print_error(fmt::format("--month '{}' is no month: write \"July\", or 7\n", typed));
    return std::nullopt;
}

ExitCode run(const CommonOptions& o, const Asked& asked)
{
    Job job = open(o);
    (void)job.weather();
    if (job.failed()) return deliver({}, job, o);
    if (!has_building_and_weather(job)) return ExitCode::bad_input;
    const auto month = month_of(asked.month);
    if (!month) return ExitCode::bad_input;
    auto kept = kept_runs_of(job);
    if (!kept) return ExitCode::bad_input;
    if (!asked.forget.empty()) {
        const auto gone = run_called(*kept, asked.forget);
        if (!gone) return ExitCode::bad_input;
        kept->forget(gone->id);
        print(fmt::format("run {} is gone\n", gone->id));
        return ExitCode::done;
    }
    const auto wanted = run_meant(*kept, asked.run),
               other = asked.against.empty() ? wanted : run_called(*kept, asked.against);
    if (!wanted || !other) return ExitCode::bad_input;
    const store::KeptRun& of = *wanted;
    if (asked.pattern.empty()) {
        std::vector<report::KeptRunRow> rows;
        for (const store::KeptRun& r : kept->runs()) rows.push_back({r, is_of_today(job, r)});
        return deliver(report::kept_runs_document(*job.building(), rows, kept->series(of.id), of), job, o);
    }
    const std::string pattern = whole_pattern(asked.pattern);
    const auto series = kept->series(of.id, pattern);
    if (!found_any(series, *kept, of, pattern)) return ExitCode::bad_input;
    const report::KeptValues by{asked.by == "hour"  ? report::KeptValues::By::hour
                                : asked.by == "day" ? report::KeptValues::By::day
                                                    : report::KeptValues::By::month,
                                *month};
    figure::Document document = asked.against.empty()
                                    ? report::kept_series_document(*job.building(), *kept, of, series, by)
                                    : report::kept_difference_document(*job.building(), *kept, of, *other, series, by);
    if (!is_of_today(job, of)) document.add(moved_text(of));
    return deliver(std::move(document), job, o);
}

std::function<ExitCode()> declare(Parser& parser)
{
    const auto options = std::make_shared<CommonOptions>();
    const auto asked = std::make_shared<Asked>();
    add_project(parser, *options);
    parser.add("PATTERN", asked->pattern,
               "series to print: a kind (\"operative_temperature\"), or a path with * for any part "
               "(\"hour/Front room/*\"); without one, runs and kinds are listed");
    parser.add("--run", asked->run, "number or name of the run; the latest unless given");
    parser.add("--against", asked->against, "another run, that it is compared with");
    parser.add("--by", asked->by, "what a line is").one_of({"month", "day", "hour"}).shows_default();
    parser.add("--month", asked->month, "only this one: \"July\", or 7");
    parser.add("--forget", asked->forget, "number or name of a run that is kept no longer");
    add_forms(parser, *options);
    return [options, asked] { return run(*options, *asked); };
}

} // namespace

} // namespace venture::cli::of_series

namespace venture::cli {

extern const Command series_command;
const Command series_command = {"series", Group::compute, "list and print what was kept of runs through the year",
                                of_series::declare};

} // namespace venture::cli
