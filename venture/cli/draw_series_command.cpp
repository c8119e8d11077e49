/// `venture draw series`: hours of a kept run, as carpets, sorted, against the air outdoors, by month and hour of the day.

#include <algorithm>
#include <memory>

#include <fmt/format.h>

#include <venture/cli/command.hpp>
#include <venture/cli/kept_choice.hpp>
#include <venture/cli/options.hpp>
#include <venture/cli/part_of_year.hpp>
#include <venture/cli/printing.hpp>
#include <venture/draw/series_drawing.hpp>
#include <venture/quantity/names.hpp>

namespace venture::cli::of_draw_series {

namespace {

struct Asked {
    std::vector<std::string> patterns{};
    std::string run{}, form = "carpet";
};

/// By all patterns, each once; nothing, and told, if one means none.
std::vector<store::KeptSeries> series_meant(const store::KeptRuns& kept, const store::KeptRun& run,
                                            const std::vector<std::string>& patterns)
{
    std::vector<store::KeptSeries> out;
    for (const std::string& typed : patterns) {
        const std::string pattern = whole_pattern(typed);
        const auto series = kept.series(run.id, pattern);
        if (!found_any(series, kept, run, pattern)) return {};
        for (const store::KeptSeries& s : series)
            if (std::ranges::find(out, s.path, &store::KeptSeries::path) == out.end()) out.push_back(s);
    }
    return out;
}

/// Whether they find room on one sheet and have one scale; else told.
bool can_be_drawn(const std::vector<store::KeptSeries>& series, std::size_t most)
{
    if (series.size() > most) {
        std::vector<std::string> names;
        for (const store::KeptSeries& s : series) names.push_back(s.path);
        print_error(fmt::format("{} series are meant, and at most {} find room on a sheet: name a room "
                                "(\"hour/Front room/operative_temperature\"); there are {}\n",
                                series.size(), most, quantity::listed(names, 6)));
        return false;
    }
    const auto other = std::ranges::find_if(series, [&](const auto& s) { return s.unit != series.front().unit; });
    if (other == series.end()) return true;
    print_error(fmt::format("'{}' is in {} and '{}' in {}: series on one sheet must share a scale\n",
                            series.front().path, series.front().unit, other->path, other->unit));
    return false;
}

draw::SeriesDrawing drawing_of(const Job& job, const store::KeptRuns& kept, const store::KeptRun& run,
                               const std::vector<store::KeptSeries>& series)
{
    const std::string kind = series.front().kind;
    const bool one_kind = std::ranges::all_of(series, [&](const auto& s) { return s.kind == kind; });
    draw::SeriesDrawing out{.title = job.building()->project.name};
    if (const std::string_view printed = quantity::printed_in(series.front().unit); printed != "fine_ratio")
        out.quantity = printed;
    out.unit = series.front().unit;
    out.scale = one_kind ? kind : "mean of an hour";
    out.synthetic = job.weather()->synthetic;
    out.leap = run.leap;
    out.first_day = run.key.first_day;
    for (const store::KeptSeries& s : series)
        out.series.push_back(
            {(s.subject.empty() ? "building" : s.subject) + (one_kind ? "" : ": " + s.kind), kept.hours(s)});
    out.subtitle = fmt::format("{}run {}{}, hour means{}", one_kind ? kind + " of " : "", run.id,
                               run.name.empty() ? "" : fmt::format(" '{}'", run.name),
                               is_of_today(job, run) ? "" : "; OF AN EARLIER STATE of the project");
    return out;
}

ExitCode run(const CommonOptions& o, const Asked& asked, const PictureOptions& picture)
{
    Job job = open(o);
    (void)job.weather();
    if (job.failed()) return finish(job, o);
    if (!has_building_and_weather(job)) return ExitCode::bad_input;
    const auto kept = kept_runs_of(job);
    if (!kept) return ExitCode::bad_input;
    const auto of = run_meant(*kept, asked.run);
    if (!of) return ExitCode::bad_input;
    const auto form = static_cast<draw::SeriesForm>(std::ranges::find(draw::series_form_words, asked.form) -
                                                    draw::series_form_words.begin());
    const auto series = series_meant(*kept, *of, asked.patterns);
    if (series.empty() || !can_be_drawn(series, draw::SeriesDrawing{.form = form}.most())) return ExitCode::bad_input;
    draw::SeriesDrawing drawing = drawing_of(job, *kept, *of, series);
    drawing.form = form;
    if (drawing.form == draw::SeriesForm::outdoors)
        drawing.outdoor_C = kept->hours(kept->series(of->id, store::path_of("outdoor temperature", "")).front());
    return deliver_picture(job, o, picture, "series",
                           draw::draw_series(drawing, {.picture = picture.picture(), .units = job.units()}), true);
}

std::function<ExitCode()> declare(Parser& parser)
{
    const auto options = std::make_shared<CommonOptions>();
    const auto asked = std::make_shared<Asked>();
    const auto picture = std::make_shared<PictureOptions>();
    add_project(parser, *options);
    parser
        .add("PATTERN", asked->patterns,
             "series to draw, up to four, of one unit: kinds (\"operative_temperature\"), or paths with * for any part "
             "(\"hour/Front room/heating\")")
        .required();
    parser
        .add("--form", asked->form,
             "day by hour in colours; sorted; against the air outdoors; by month and hour of the day")
        .one_of({draw::series_form_words.begin(), draw::series_form_words.end()})
        .shows_default();
    parser.add("--run", asked->run, "number or name of the run; the latest unless given");
    add_picture(parser, *picture, "series");
    return [=] { return run(*options, *asked, *picture); };
}

} // namespace

} // namespace venture::cli::of_draw_series

namespace venture::cli {

extern const Command draw_series_command;
const Command draw_series_command = {"draw series", Group::draw,
                                     "hours of a kept run: carpets, sorted, against outdoors, by month and hour",
                                     of_draw_series::declare};

} // namespace venture::cli
