/// `venture draw day`: the curves of a design day.

#include <algorithm>
#include <memory>

#include <fmt/format.h>

#include <venture/cli/command.hpp>
#include <venture/cli/moment.hpp>
#include <venture/cli/options.hpp>
#include <venture/cli/printing.hpp>
#include <venture/cli/room_argument.hpp>
#include <venture/draw/hours_drawing.hpp>
#include <venture/loads/design_hours.hpp>

namespace venture::cli::of_draw_day {

namespace {

/// One curve of all hours; nothing where it is not told or nil all day.
void add_curve(std::vector<draw::HourCurve>& curves, const std::vector<loads::LoadHour>& hours, const char* name,
               const std::function<std::optional<double>(const loads::LoadHour&)>& value, bool load)
{
    draw::HourCurve curve{.name = name};
    for (const loads::LoadHour& hour : hours)
        if (const auto is = value(hour)) curve.values.push_back(*is);
    const bool nothing = std::ranges::all_of(curve.values, [](double v) { return v == 0.0; });
    if (curve.values.size() == hours.size() && !(load && nothing)) curves.push_back(std::move(curve));
}

draw::HoursDrawing drawing_of(const building::Building& b, const climate::DesignDay& day,
                              const std::vector<loads::LoadHour>& hours)
{
    using Hour = loads::LoadHour;
    draw::HoursDrawing out{.title = fmt::format("{}: {}", b.project.name, hours.front().of)};
    out.subtitle = fmt::format("{}; design day: {}, repeated until periodic; means over hours of local standard time",
                               b.site.name, day.name);
    out.days = {day.name};
    add_curve(
        out.temperatures_C, hours, "outdoors", [](const Hour& h) { return std::optional{h.outdoor_C}; }, false);
    add_curve(
        out.temperatures_C, hours, "operative", [](const Hour& h) { return h.operative_C; }, false);
    add_curve(
        out.temperatures_C, hours, "air", [](const Hour& h) { return h.air_C; }, false);
    add_curve(
        out.loads_W, hours, "heating", [](const Hour& h) { return std::optional{h.heating_W}; }, true);
    add_curve(
        out.loads_W, hours, "sensible cooling", [](const Hour& h) { return std::optional{h.sensible_W}; }, true);
    add_curve(
        out.loads_W, hours, "latent cooling", [](const Hour& h) { return std::optional{h.latent_W}; }, true);
    return out;
}

ExitCode run(const CommonOptions& o, const std::string& typed, const std::string& asked, const PictureOptions& draw)
{
    Job job = open_and_compute(o);
    if (needs_building(job, "draw day")) return ExitCode::bad_input;
    if (job.failed()) return finish(job, o);
    const building::Building& b = *job.building();
    const auto room = typed.empty() ? std::string{} : room_called(job, typed);
    if (!room) return ExitCode::bad_input;
    const auto day = design_day_called(b, asked.empty() ? worst_day(job, *room) : asked);
    if (!day) return ExitCode::bad_input;
    std::vector<loads::LoadHour> hours = loads::design_hours(b, *day, job.project().design_options());
    if (room->empty())
        hours = loads::hours_together(hours);
    else
        std::erase_if(hours, [&](const loads::LoadHour& h) { return h.of != *room; });
    if (hours.empty()) {
        print_error(fmt::format("'{}' is left out: it has no hours to draw\n", *room));
        return ExitCode::bad_input;
    }
    const std::string bytes = draw_hours(drawing_of(b, *day, hours), {.picture = draw.picture(), .units = job.units()});
    return deliver_picture(job, o, draw, "day", bytes, job.design().converged());
}

std::function<ExitCode()> declare(Parser& parser)
{
    const auto options = std::make_shared<CommonOptions>();
    const auto picture = std::make_shared<PictureOptions>();
    const auto room = std::make_shared<std::string>(), day = std::make_shared<std::string>();
    add_project(parser, *options);
    add_step(parser, *options);
    parser.add("ROOM", *room, "name of the room; all together unless given");
    parser.add("--day", *day, "winter, \"July\" or \"July wet bulb\"; the worst unless given");
    add_picture(parser, *picture, "day");
    return [=] { return run(*options, *room, *day, *picture); };
}

} // namespace

} // namespace venture::cli::of_draw_day

namespace venture::cli {

extern const Command draw_day_command;
const Command draw_day_command = {"draw day", Group::draw, "a room's temperatures and loads on a design day",
                                  of_draw_day::declare};

} // namespace venture::cli
