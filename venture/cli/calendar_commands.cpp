/// Commands about when: a calendar's year as a picture or in words.

#include <algorithm>

#include <fmt/format.h>
#include <nlohmann/json.hpp>

#include <venture/cli/calendar_commands.hpp>
#include <venture/cli/printing.hpp>
#include <venture/draw/calendar_drawing.hpp>
#include <venture/quantity/names.hpp>
#include <venture/building/calendars_in_use.hpp>
#include <venture/report/text_table.hpp>

namespace venture::cli {

using building::Building;
using calendar::Calendar;

namespace {

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

} // namespace

const Calendar* find_calendar(const Building& b, const std::string& name)
{
    const auto at = std::ranges::find(b.calendars, name, &Calendar::name);
    return at == b.calendars.end() ? nullptr : &*at;
}

std::vector<std::string> calendar_names(const Building& b)
{
    std::vector<std::string> out;
    for (const Calendar& c : b.calendars) out.push_back(c.name);
    return out;
}

report::Text explained(const Building& b, const Calendar& c)
{
    const int year = b.project.year;
    report::Text out =
        fmt::format("{}: {}, {:.0f} full-load hours in {} ({})\n\n", c.name,
                    c.is_one_profile() ? "a profile, the same every day" : "a calendar",
                    calendar::full_load_hours(c, 0, year), year, b.origins.describe(b.project.year_origin));
    if (!c.rules.empty()) {
        report::TextTable rules;
        rules.add_column("Rule, later ones win", report::Align::left);
        rules.add_column("names\ndays");
        rules.add_column("decides\ndays");
        for (const calendar::Rule& rule : c.rules)
            rules.add_row({rule.text, fmt::format("{}", rule.named), fmt::format("{}", rule.won)});
        out += report::Text{std::move(rules)} + "\n";
    }
    report::TextTable months;
    months.add_column("Month", report::Align::left);
    months.add_column("full-load\nhours");
    months.add_column("design day takes", report::Align::left);
    for (int month = 1; month <= 12; ++month)
        months.add_row({climate::month_name(month), fmt::format("{:.1f}", calendar::full_load_hours(c, month, year)),
                        c.on_design_day(month).name});
    months.add_row({"winter design", "", c.on_design_day(0).name});
    out += report::Text{std::move(months)} + "\n";
    report::TextTable hours;
    hours.add_column("Hour");
    for (const calendar::Profile& p : c.profiles) hours.add_column(p.name + "\n%");
    for (std::size_t h = 0; h < 24; ++h) {
        std::vector<std::string> row = {fmt::format("{:02}-{:02}", h, h + 1)};
        for (const calendar::Profile& p : c.profiles) row.push_back(fmt::format("{:.0f}", 100.0 * p.fraction[h]));
        hours.add_row(std::move(row));
    }
    hours.add_rule();
    std::vector<std::string> sums = {"full-load h"};
    for (const calendar::Profile& p : c.profiles) sums.push_back(fmt::format("{:.1f}", p.full_load_hours()));
    hours.add_row(std::move(sums));
    return out + report::Text{std::move(hours)};
}

nlohmann::json explained_json(const Building& b, const Calendar& c)
{
    using nlohmann::json;
    json rules = json::array(), months = json::array(), profiles = json::array();
    for (const calendar::Rule& rule : c.rules)
        rules.push_back({{"rule", rule.text}, {"names_days", rule.named}, {"decides_days", rule.won}});
    for (int month = 1; month <= 12; ++month)
        months.push_back({{"month", month},
                          {"full_load_h", calendar::full_load_hours(c, month, b.project.year)},
                          {"design_day", c.on_design_day(month).name}});
    for (const calendar::Profile& p : c.profiles) profiles.push_back({{"profile", p.name}, {"fractions", p.fraction}});
    return {
        {"calendar", c.name}, {"year", b.project.year}, {"rules", rules}, {"months", months}, {"profiles", profiles}};
}

ExitCode draw_year(const CommonOptions& o, const std::string& name, const DrawOptions& draw)
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
    const std::string file = fmt::format("results/year.{}", draw::extension(draw.picture));
    const std::string bytes = draw::draw_calendars(what, {.picture = draw.picture});
    print(fmt::format("wrote {}\n", write_result(job.folder(), draw.output, file, bytes, draw.force).string()));
    return finish(job, o);
}

} // namespace venture::cli
