#include <venture/report/calendar_report.hpp>

#include <fmt/format.h>

namespace venture::report {

using calendar::Calendar;
using calendar::Profile;
using calendar::Rule;
using figure::Cell;

namespace {

const figure::TableOf<Rule>& rule_columns()
{
    static const figure::TableOf<Rule> all = {
        {"calendar_rule", "Rules", "A rule of a calendar; later ones win."},
        {
            {{"rule", "Rule, later ones win", "", "as typed", 0}, [](const Rule& r) -> Cell { return r.text; }},
            {{"names_days", "names\ndays", "count", "of the year"},
             [](const Rule& r) -> Cell { return figure::whole(r.named); }},
            {{"decides_days", "decides\ndays", "count", "those of them that no later rule takes"},
             [](const Rule& r) -> Cell { return figure::whole(r.won); }},
        }};
    return all;
}

struct MonthRow {
    const Calendar* calendar;
    int month; ///< 0: winter design
    int year;
};

const figure::TableOf<MonthRow>& month_columns()
{
    using M = MonthRow;
    static const figure::TableOf<M> all = {
        {"calendar_month", "By month", "Full-load hours of a month, and what its design day takes."},
        {
            {{"month", "Month", "", "or winter design", 0},
             [](const M& m) -> Cell {
                 return m.month > 0 ? climate::month_name(m.month) : std::string{"winter design"};
             }},
            {{"full_load", "full-load\nhours", "fine_hours", "of the year that calendars count"},
             [](const M& m) -> Cell {
                 return figure::where(m.month > 0, calendar::full_load_hours(*m.calendar, m.month, m.year));
             }},
            {{"design_day", "design day takes", "", "profile"},
             [](const M& m) -> Cell { return m.calendar->on_design_day(m.month).name; }},
        }};
    return all;
}

struct HourRow {
    const Profile* profile;
    std::size_t hour;
};

const figure::TableOf<HourRow>& hour_columns()
{
    using H = HourRow;
    static const figure::TableOf<H> all = {
        {"profile_hour", "Hours of profiles", "An hour of a profile of a calendar.", 2, figure::Told::data},
        {
            {{"profile", "Profile", "", "its name", 0}, [](const H& h) -> Cell { return h.profile->name; }},
            {{"hour", "Hour", "count", "that begins then, by the clock", 0},
             [](const H& h) -> Cell { return figure::whole(h.hour); }},
            {{"fraction", "fraction", "share", "of what is at full"},
             [](const H& h) -> Cell { return h.profile->fraction[h.hour]; }},
        }};
    return all;
}

/// For people: profiles side by side.
figure::Table hours_side_by_side(const Calendar& c)
{
    figure::Table out;
    out.name = "profile_hours_of_a_day";
    out.told = figure::Told::people;
    out.columns.push_back({"hour", "Hour", "", "by the clock", 0});
    for (const Profile& p : c.profiles) out.columns.push_back({p.name, p.name, "share", "of what is at full"});
    for (std::size_t h = 0; h < 24; ++h) {
        auto& row = out.rows.emplace_back();
        row.emplace_back(fmt::format("{:02}-{:02}", h, h + 1));
        for (const Profile& p : c.profiles) row.emplace_back(p.fraction[h]);
    }
    return out;
}

} // namespace

figure::Document calendar_document(const building::Building& b, const Calendar& c)
{
    const int year = b.project.year;
    figure::Document out{fmt::format("{}: {}, {:.0f} full-load hours in {} ({})", c.name,
                                     c.is_one_profile() ? "a profile, the same every day" : "a calendar",
                                     calendar::full_load_hours(c, 0, year), year,
                                     b.origins.describe(b.project.year_origin))};
    if (!c.rules.empty()) out.add(figure::table_of(rule_columns(), c.rules));
    std::vector<MonthRow> months;
    for (int month = 1; month <= 12; ++month) months.push_back({&c, month, year});
    months.push_back({&c, 0, year});
    out.add(figure::table_of(month_columns(), months));
    std::vector<HourRow> hours;
    for (const Profile& p : c.profiles)
        for (std::size_t h = 0; h < 24; ++h) hours.push_back({&p, h});
    out.add(figure::table_of(hour_columns(), hours)).add(hours_side_by_side(c));
    std::string sums = "Full-load hours of a day:";
    for (const Profile& p : c.profiles) sums += fmt::format(" {} {:.1f};", p.name, p.full_load_hours());
    sums.back() = '\n';
    return out.add(sums);
}

std::vector<figure::Declaration> calendar_declarations()
{
    return {rule_columns().declaration(), month_columns().declaration(), hour_columns().declaration()};
}

} // namespace venture::report
