#include <venture/loads/periodic_day.hpp>

#include <algorithm>
#include <cmath>

#include <venture/loads/periodic_state.hpp>
#include <venture/quantity/error.hpp>

namespace venture::loads {

using namespace detail; // NOLINT(google-build-using-namespace): how a state becomes periodic belongs to this module

namespace {

void add_scaled(ZoneStep& sum, const ZoneStep& step, double share)
{
    sum.heating_W += share * step.heating_W;
    sum.cooling_W += share * step.cooling_W;
    sum.latent_W += share * step.latent_W;
    sum.air_C += share * step.air_C;
    sum.radiant_C += share * step.radiant_C;
    sum.humidity_ratio += share * step.humidity_ratio;
    sum.convective_gain_W += share * step.convective_gain_W;
    sum.thermal_bridges_W += share * step.thermal_bridges_W;
    sum.infiltration_W += share * step.infiltration_W;
    sum.ventilation_W += share * step.ventilation_W;
    sum.transfer_W += share * step.transfer_W;
    sum.into_air_capacity_W += share * step.into_air_capacity_W;
    for (std::size_t p = 0; p < part_count; ++p) sum.from_faces_W[p] += share * step.from_faces_W[p];
    sum.air_end_C = step.air_end_C;
    sum.radiant_end_C = step.radiant_end_C;
    sum.load_end_W = step.load_end_W;
    sum.film_residual_W = std::max(sum.film_residual_W, step.film_residual_W);
}

ZoneDay series_of(const std::vector<ZoneStep>& hours)
{
    ZoneDay day;
    for (const ZoneStep& h : hours) {
        day.heating_W.push_back(h.heating_W);
        day.cooling_W.push_back(h.cooling_W);
        day.latent_W.push_back(h.latent_W);
        day.air_C.push_back(h.air_C);
        day.operative_C.push_back(0.5 * (h.air_C + h.radiant_C));
        day.humidity_ratio.push_back(h.humidity_ratio);
        day.film_residual_W = std::max(day.film_residual_W, h.film_residual_W);
    }
    day.parts = hours;
    return day;
}

/// Radiant temperatures of all zones, summed over a period.
double radiant_sum(const HeatBalance& balance, std::size_t steps, State& state)
{
    double sum = 0.0;
    for (std::size_t i = 0; i < steps; ++i) {
        balance.advance(state, i);
        for (const std::size_t z : balance.zone_order()) sum += state.radiant_C[z];
    }
    return sum;
}

/// What rooms feel in the second period after all walls were a little warmer, over what they feel in the first.
double share_kept(const ThermalModel& model, const HeatBalance& balance, const State& periodic)
{
    constexpr double little_K = 0.1;
    const State by_little = balance.state_at(little_K), at_nothing = balance.state_at(0.0);
    State even = periodic, warmer = periodic;
    for (std::size_t k = 0; k < warmer.wall_modes.size(); ++k)
        warmer.wall_modes[k] += by_little.wall_modes[k] - at_nothing.wall_modes[k];
    balance.recall(warmer);
    const double base = radiant_sum(balance, model.steps, even),
                 first = radiant_sum(balance, model.steps, warmer) - base,
                 second = radiant_sum(balance, model.steps, warmer) - base;
    return first > 0.0 ? std::clamp(second / first, 0.0, 1.0) : 0.0;
}

} // namespace

PeriodicDay run_periodic_day(const ThermalModel& model, const PeriodicOptions& options, const Watch& watch)
{
    const double steps_per_hour = 3600.0 / model.step_s;
    VENTURE_ASSERT(steps_per_hour >= 1.0 && steps_per_hour == std::floor(steps_per_hour));
    const auto per_hour = static_cast<std::size_t>(steps_per_hour);
    const HeatBalance balance{model, options.films};
    PeriodicDay day;
    StepResult step;
    State state = first_guess(model, balance, options);
    const Convergence reached = find_periodic(model, balance, options, state);
    day.days = reached.days;
    day.residual_K = reached.residual_K;
    day.converged = reached.converged;
    std::vector<std::vector<ZoneStep>> hours(model.zones.size(), std::vector<ZoneStep>(model.steps / per_hour));
    for (std::size_t i = 0; i < model.steps; ++i) {
        balance.advance(
            state, i, step,
            {.account = watch ? Account::faces : Account::flows, .record = options.record, .replay = options.replay});
        for (std::size_t z = 0; z < model.zones.size(); ++z)
            add_scaled(hours[z][i / per_hour], step.zones[z], 1.0 / steps_per_hour);
        day.worst_closure = std::max(day.worst_closure, std::abs(step.closure_W) / std::max(1.0, step.throughput_W));
        day.unsettled_steps += step.settled ? 0 : 1;
        if (watch) watch(i, step);
    }
    for (const auto& zone : hours) day.zones.push_back(series_of(zone));
    if (options.tell_memory) day.share_kept = share_kept(model, balance, state);
    return day;
}

} // namespace venture::loads
