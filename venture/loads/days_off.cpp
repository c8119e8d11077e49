#include <venture/loads/days_off.hpp>

#include <algorithm>
#include <set>

#include <venture/loads/compile.hpp>
#include <venture/loads/design_day_run.hpp>
#include <venture/quantity/error.hpp>

namespace venture::loads {

namespace {

constexpr std::size_t a_week = 7, a_day = 24;

/// The same day seven times.
void repeat(std::vector<double>& values)
{
    if (values.size() < 2) return; // one value stands for every step
    const std::vector<double> day = values;
    for (std::size_t again = 1; again < a_week; ++again) values.insert(values.end(), day.begin(), day.end());
}

/// A week of the day that was compiled; of some set-points the last days stay where they are lowest.
balance::ThermalModel week_of(balance::ThermalModel model, std::size_t days_off)
{
    std::set<std::uint32_t> set_points;
    for (const balance::Zone& zone : model.zones)
        if (zone.heat_below_C) set_points.insert(zone.heat_below_C->index);
    const std::size_t steps = model.steps;
    model.steps *= a_week;
    for (std::size_t i = 0; i < model.signals.size(); ++i) {
        balance::Signal& signal = model.signals[i];
        repeat(signal.start);
        repeat(signal.end);
        if (signal.start.size() < 2 || !set_points.contains(static_cast<std::uint32_t>(i))) continue;
        const double back = std::ranges::min(signal.start);
        const std::size_t off = (a_week - days_off) * steps / signal.steps_per_value;
        for (std::vector<double>* values : {&signal.start, &signal.end})
            if (!values->empty()) std::fill(values->begin() + static_cast<std::ptrdiff_t>(off), values->end(), back);
    }
    return model;
}

} // namespace

AfterDaysOff heating_after_days_off(const building::Building& b, const DaysOff& asked, const DesignOptions& options)
{
    quantity::check_range("heating_after_days_off", "days off", asked.days, {1.0, 6.0}, "1");
    if (asked.come_back_in_h)
        quantity::check_range("heating_after_days_off", "time to come back in", *asked.come_back_in_h, {0.1, 24.0},
                              "h");
    building::Building as_asked = b;
    for (building::Room& room : as_asked.rooms)
        if (room.use.heating_setback && asked.come_back_in_h) room.use.heating_setback->ramp_h = *asked.come_back_in_h;
    Compiled compiled = compile(as_asked, climate::winter_design_day(b.site), {.step_s = options.step_s});
    const balance::ThermalModel week = week_of(std::move(compiled.model), static_cast<std::size_t>(asked.days));
    const balance::PeriodicDay run = detail::run_with_films(week);
    AfterDaysOff out{.asked = asked,
                     .any_sets_back = std::ranges::any_of(
                         b.rooms, [](const building::Room& r) { return r.use.heating_setback.has_value(); }),
                     .converged = run.converged && run.unsettled_steps == 0};
    for (std::size_t h = 0; h < a_week * a_day; ++h) {
        double together_W = 0.0;
        for (std::size_t r = 0; r < b.rooms.size(); ++r)
            if (!b.rooms[r].left_out) together_W += run.zones[compiled.zone_of_room[r]].heating_W[h];
        out.together_W = std::max(out.together_W, together_W);
    }
    for (std::size_t r = 0; r < b.rooms.size(); ++r)
        out.heating_W.push_back(b.rooms[r].left_out ? 0.0
                                                    : std::ranges::max(run.zones[compiled.zone_of_room[r]].heating_W));
    return out;
}

} // namespace venture::loads
