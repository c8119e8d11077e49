/// `venture draw year`: calendars day by hour.

#include <algorithm>
#include <memory>

#include <fmt/format.h>

#include <venture/building/calendars_in_use.hpp>
#include <venture/cli/calendar_pieces.hpp>
#include <venture/cli/command.hpp>
#include <venture/cli/options.hpp>
#include <venture/cli/printing.hpp>
#include <venture/draw/calendar_drawing.hpp>
#include <venture/quantity/names.hpp>

namespace venture::cli::of_draw_year {

namespace {

using building::Building;
using calendar::Calendar;

/// Calendars that something in a building goes by, or such profiles if there are none, or all of these.
std::vector<Calendar> worth_drawing(const Building& b)
{
    const std::set<std::size_t> used = building::calendars_in_use(b);
    std::vector<Calendar> out;
    for (const bool by_something : {true, false})
        for (const bool of_one_profile : {false, true}) {
            for (std::size_t i = 0; i < b.calendars.size(); ++i) {
                const Calendar& c = b.calendars[i];
                if (c.is_one_profile() == of_one_profile && used.contains(i) == by_something && c.name != "always" &&
                    c.name != "never")
                    out.push_back(c);
            }
            if (!out.empty()) return out;
        }
    return out;
}

ExitCode run(const CommonOptions& o, const std::string& name, const PictureOptions& draw)
{
    Job job = open(o, {name});
    if (needs_building(job, "draw year")) return ExitCode::bad_input;
    if (job.failed()) return finish(job, o);
    const Building& b = *job.building();
    draw::CalendarDrawing what{.title = fmt::format("{}: hours of {}", b.project.name, b.project.year),
                               .subtitle = fmt::format("weekdays of {} ({}); hours are clock hours", b.project.year,
                                                       b.origins.describe(b.project.year_origin)),
                               .year = b.project.year};
    for (const climate::CoolingMonth& month : b.site.months) what.design_months.push_back(month.month);
    if (name.empty()) {
        what.calendars = worth_drawing(b);
    } else if (const Calendar* c = find_calendar(b, name)) {
        what.calendars.push_back(*c);
    } else {
        const auto names = calendar_names(b);
        const auto near = quantity::nearest_name(name, names);
        print_error(fmt::format("no profile or calendar is called '{}'{}; there are: {}\n", name,
                                near ? fmt::format(" (did you mean '{}'?)", *near) : "", quantity::listed(names, 20)));
        return ExitCode::bad_input;
    }
    if (what.calendars.empty()) {
        print_error("the project has no calendar and no profile; see `venture explain calendar`\n");
        return ExitCode::bad_input;
    }
    const std::string bytes = draw::draw_calendars(what, {.picture = draw.picture()});
    return deliver_picture(job, o, draw, "year", bytes);
}

std::function<ExitCode()> declare(Parser& parser)
{
    const auto options = std::make_shared<CommonOptions>();
    const auto picture = std::make_shared<PictureOptions>();
    add_project(parser, *options);
    const auto name = std::make_shared<std::string>();
    parser.add("NAME", *name, "of one calendar or profile; all calendars unless given");
    add_picture(parser, *picture, "year");
    return [=] { return run(*options, *name, *picture); };
}

} // namespace

} // namespace venture::cli::of_draw_year

namespace venture::cli {

extern const Command draw_year_command;
const Command draw_year_command = {"draw year", Group::draw, "calendars day by hour: when things are used",
                                   of_draw_year::declare};

} // namespace venture::cli
