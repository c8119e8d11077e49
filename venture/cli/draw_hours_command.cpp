/// `venture draw hours`: a room's days.

#include <algorithm>
#include <memory>

#include <fmt/format.h>

#include <venture/cli/command.hpp>
#include <venture/cli/options.hpp>
#include <venture/cli/part_of_year.hpp>
#include <venture/cli/printing.hpp>
#include <venture/cli/progress.hpp>
#include <venture/cli/room_argument.hpp>
#include <venture/climate/date.hpp>
#include <venture/draw/hours_drawing.hpp>
#include <venture/quantity/names.hpp>

namespace venture::cli::of_draw_hours {

namespace {

ExitCode run(const CommonOptions& o, const std::string& typed, const YearOptions& y, const PictureOptions& draw)
{
    constexpr int week = 7;
    Job job = open(o);
    (void)job.weather();
    if (job.failed()) return finish(job, o);
    if (!has_building_and_weather(job)) return ExitCode::bad_input;
    const building::Building& b = *job.building();
    const auto room = room_called(job, typed);
    if (!room) return ExitCode::bad_input;
    YearOptions part = y;
    if (part.days == 0) part.days = week;
    part.series = {"outdoor temperature", "operative temperature", "air temperature", "heating", "cooling"};
    auto options = part_of_year(o, part, job);
    if (!options) return ExitCode::bad_input;
    std::optional<Progress> progress{"running through the weather year"};
    options->progress = [&progress](double share) { progress->tell(share); };
    const loads::BuildingYear result = job.project().year(*options);
    progress.reset();
    if (job.failed()) return finish(job, o);
    draw::HoursDrawing drawing{.title = fmt::format("{}: {}", b.project.name, *room), .synthetic = result.synthetic};
    drawing.subtitle =
        fmt::format("{}; weather year '{}'; means over hours of local standard time", b.site.name, result.weather);
    for (int d = 0; d < result.days; ++d)
        drawing.days.push_back(climate::in_words(climate::month_day(result.first_day + d, job.weather()->leap)));
    for (const balance::Series& s : result.series) {
        if (!s.id.empty() && s.id != *room) continue;
        const bool nothing = std::ranges::all_of(s.values, [](double v) { return v == 0.0; });
        if (s.unit == "W" && nothing) continue;
        (s.unit == "W" ? drawing.loads_W : drawing.temperatures_C).push_back({s.kind, s.values});
    }
    const std::string bytes = draw_hours(drawing, {.picture = draw.picture(), .units = job.units()});
    return deliver_picture(job, o, draw, "hours", bytes, result.unsettled_steps == 0);
}

std::function<ExitCode()> declare(Parser& parser)
{
    const auto options = std::make_shared<CommonOptions>();
    const auto picture = std::make_shared<PictureOptions>();
    add_project(parser, *options);
    const auto year = std::make_shared<YearOptions>();
    const auto room = std::make_shared<std::string>();
    add_step(parser, *options);
    parser.add("ROOM", *room, "name of the room").required();
    parser.add("--from", year->from, "first day, e.g. \"10 July\"").required();
    parser.add("--days", year->days, "how many; a week unless given").between(1, 366);
    add_picture(parser, *picture, "hours");
    return [=] { return run(*options, *room, *year, *picture); };
}

} // namespace

} // namespace venture::cli::of_draw_hours

namespace venture::cli {

extern const Command draw_hours_command;
const Command draw_hours_command = {
    "draw hours", Group::draw, "a room's temperatures and loads over days of the weather year", of_draw_hours::declare};

} // namespace venture::cli
