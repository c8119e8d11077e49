#include <venture/calendar/calendar.hpp>

#include <algorithm>
#include <numeric>

namespace venture::calendar {

namespace {

/// Place of a profile among those of a calendar; added if it is not there.
std::uint16_t place_of(const Profile& profile, std::vector<Profile>& all)
{
    const auto at = std::ranges::find(all, profile);
    const auto place = static_cast<std::uint16_t>(at - all.begin());
    if (at == all.end()) all.push_back(profile);
    return place;
}

bool is_day_of(std::size_t place, int year)
{
    return climate::is_leap_year(year) || date_at(place) != climate::MonthDay{2, 29};
}

} // namespace

Calendar every_day(Profile profile)
{
    Calendar out{.name = profile.name};
    out.profiles.push_back(std::move(profile));
    return out;
}

Calendar calendar_of(std::string name, const std::vector<RuleDays>& rules, int year)
{
    constexpr std::size_t days = YearDays{}.size(), no_rule = SIZE_MAX;
    std::array<std::size_t, days> decided{};
    decided.fill(no_rule);
    Calendar out{.name = std::move(name)};
    for (std::size_t r = 0; r < rules.size(); ++r) {
        out.rules.push_back({rules[r].text, rules[r].days.count()});
        for (std::size_t p = 0; p < days; ++p)
            if (rules[r].days.test(p)) decided[p] = r;
    }
    for (std::size_t p = 0; p < days; ++p) {
        if (!is_day_of(p, year)) decided[p] = decided[p - 1]; // weather may have the day where the calendar has not
        out.on_day.push_back(
            place_of(decided[p] == no_rule ? constant_profile("never", 0.0) : rules[decided[p]].taken.on(date_at(p)),
                     out.profiles));
        if (decided[p] != no_rule && is_day_of(p, year)) ++out.rules[decided[p]].won;
    }
    const auto busier = [&](std::size_t a, std::size_t b) {
        return out.profiles[a].full_load_hours() > out.profiles[b].full_load_hours();
    };
    out.design.fill(out.on_day.front());
    for (std::size_t m = 1; m <= 12; ++m) out.design[m] = out.on_day[place_in_year({static_cast<int>(m), 1})];
    for (std::size_t p = 0; p < days; ++p)
        for (const std::size_t m : {std::size_t{0}, static_cast<std::size_t>(date_at(p).month)})
            if (busier(out.on_day[p], out.design[m])) out.design[m] = out.on_day[p];
    return out;
}

std::size_t days_without_rule(const Calendar& calendar, int year)
{
    if (calendar.rules.empty()) return 0;
    const auto won = std::accumulate(calendar.rules.begin(), calendar.rules.end(), std::size_t{0},
                                     [](std::size_t sum, const Rule& rule) { return sum + rule.won; });
    return (climate::is_leap_year(year) ? 366U : 365U) - won;
}

double full_load_hours(const Calendar& calendar, int month, int year)
{
    double hours = 0.0;
    for (std::size_t p = 0; p < YearDays{}.size(); ++p)
        if (const climate::MonthDay date = date_at(p); is_day_of(p, year) && (month == 0 || date.month == month))
            hours += calendar.on(date).full_load_hours();
    return hours;
}

} // namespace venture::calendar
