#include <venture/cli/calendar_pieces.hpp>

#include <algorithm>

#include <fmt/format.h>
#include <nlohmann/json.hpp>

#include <venture/report/text_table.hpp>

namespace venture::cli {

using building::Building;
using calendar::Calendar;

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

} // namespace venture::cli
