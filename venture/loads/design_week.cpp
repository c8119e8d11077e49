#include <venture/loads/design_week.hpp>

#include <algorithm>
#include <mutex>
#include <set>

#include <fmt/format.h>

#include <venture/building/calendars_in_use.hpp>
#include <venture/calendar/days.hpp>
#include <venture/loads/day_models.hpp>
#include <venture/loads/design_day_run.hpp>
#include <venture/loads/hourly_day.hpp>
#include <venture/loads/side_by_side.hpp>

namespace venture::loads {

namespace {

using climate::MonthDay;

constexpr int days_of_week = 7;
constexpr std::size_t hours_of_day = 24;

/// The days after a date, round the end of the year.
MonthDay later(MonthDay date, int days, bool leap)
{
    const int in_year = leap ? 366 : 365;
    return climate::month_day((climate::day_of_year(date, leap) - 1 + days) % in_year + 1, leap);
}

/// Weeks of design days, as the building's calendars have them.
class Weeks {
public:
    explicit Weeks(const building::Building& b)
        : b_{b},
          leap_{climate::is_leap_year(b.project.year)},
          used_{building::calendars_in_use(b)}
    {
    }

    /// The Monday of the month whose week is used most, the first of several.
    [[nodiscard]] MonthDay monday(int month) const
    {
        MonthDay best{month, 1};
        double most_h = -1.0;
        for (int day = 1; day + days_of_week - 1 <= climate::days_in_month(month, leap_); ++day) {
            const MonthDay date{month, day};
            if (calendar::weekday_name(calendar::weekday(b_.project.year, date)) != "Monday") continue;
            if (const double used_h = hours_of_use(date); used_h > most_h) {
                most_h = used_h;
                best = date;
            }
        }
        return best;
    }

    [[nodiscard]] bool differs(MonthDay monday) const
    {
        return std::ranges::any_of(used_, [&](std::size_t c) {
            const calendar::Calendar& calendar = b_.calendars[c];
            for (int d = 1; d < days_of_week; ++d)
                if (calendar.on(later(monday, d, leap_)).fraction != calendar.on(monday).fraction) return true;
            return false;
        });
    }

    [[nodiscard]] Spell spell(const climate::DesignDay& day, MonthDay monday) const
    {
        Spell out = spell_of(b_.site, climate::design_week(day));
        for (std::size_t h = 0; h < out.hours; ++h) out.clock_date.push_back(later(monday, day_of_week(day, h), leap_));
        return out;
    }

    [[nodiscard]] std::string dates(MonthDay monday) const
    {
        return fmt::format("{} to {} {}", monday.day, climate::in_words(later(monday, days_of_week - 1, leap_)),
                           b_.project.year);
    }

    /// An hour of the week, on the clock.
    [[nodiscard]] static When when(const climate::DesignDay& day, std::size_t hour)
    {
        return {fmt::format("{}, {}", calendar::weekday_name(day_of_week(day, hour) + 1), day.name), day.month,
                clock_hour(day.clock_ahead_h, hour % hours_of_day)};
    }

private:
    /// Of the clock, 0 for Monday.
    [[nodiscard]] static int day_of_week(const climate::DesignDay& day, std::size_t hour)
    {
        const double clock_h = static_cast<double>(hour % hours_of_day) + day.clock_ahead_h;
        return (static_cast<int>(hour / hours_of_day) + (clock_h < 24.0 ? 0 : 1)) % days_of_week;
    }
    [[nodiscard]] double hours_of_use(MonthDay monday) const
    {
        double sum = 0.0;
        for (const std::size_t c : used_)
            for (int d = 0; d < days_of_week; ++d)
                for (const double share : b_.calendars[c].on(later(monday, d, leap_)).fraction) sum += share;
        return sum;
    }

    const building::Building& b_;
    bool leap_;
    std::set<std::size_t> used_;
};

void take_if_more(RoomWeek& most, double cooling_W, const When& when, const std::string& dates)
{
    if (cooling_W > most.cooling_W) most = {cooling_W, when, dates};
}

struct WeekRun {
    climate::DesignDay day{};
    MonthDay monday{};
    std::vector<std::size_t> zone_of_room{};
    balance::PeriodicDay result{};
};

/// Adds what a week asks for, room by room and together.
void take(const building::Building& b, const Weeks& weeks, const WeekRun& run, CoolingWeeks& out)
{
    out.converged = out.converged && run.result.converged && run.result.unsettled_steps == 0;
    out.differs = out.differs || weeks.differs(run.monday);
    const std::string dates = weeks.dates(run.monday);
    std::vector<double> together_W(days_of_week * hours_of_day, 0.0);
    for (std::size_t r = 0; r < b.rooms.size(); ++r) {
        if (!b.rooms[r].use.cooling_setpoint_C || b.rooms[r].left_out) continue;
        const balance::ZoneDay& zone = run.result.zones[run.zone_of_room[r]];
        const std::vector<double> latent_W = detail::asked_latent_W(b.rooms[r], zone);
        for (std::size_t h = 0; h < together_W.size(); ++h) {
            const double cooling_W = zone.cooling_W[h] + latent_W[h];
            take_if_more(out.rooms[r], cooling_W, Weeks::when(run.day, h), dates);
            together_W[h] += cooling_W;
        }
    }
    for (std::size_t h = 0; h < together_W.size(); ++h)
        take_if_more(out.together, together_W[h], Weeks::when(run.day, h), dates);
}

} // namespace

CoolingWeeks cooling_over_weeks(const building::Building& b, const DesignOptions& options,
                                const std::function<void(double)>& progress)
{
    const Weeks weeks{b};
    const auto models = models_of(b, options);
    std::vector<WeekRun> runs;
    for (const climate::DesignDay& day : climate::cooling_design_days(b.site))
        runs.push_back({.day = day, .monday = weeks.monday(day.month)});
    std::mutex telling;
    std::size_t done = 0;
    side_by_side(
        runs.size(),
        [&](std::size_t i) {
            Compiled compiled = models->compile(b, weeks.spell(runs[i].day, runs[i].monday));
            runs[i].zone_of_room = std::move(compiled.zone_of_room);
            runs[i].result = detail::run_with_films(compiled.model);
            const std::lock_guard one_at_a_time{telling};
            if (progress) progress(static_cast<double>(++done) / static_cast<double>(runs.size()));
        },
        options.threads);
    CoolingWeeks out{.weeks = runs.size(), .rooms = std::vector<RoomWeek>(b.rooms.size())};
    for (const WeekRun& run : runs) take(b, weeks, run, out);
    return out;
}

} // namespace venture::loads
