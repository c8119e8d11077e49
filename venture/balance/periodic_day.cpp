#include <venture/balance/periodic_day.hpp>

#include <algorithm>
#include <cmath>

#include <venture/balance/period_account.hpp>
#include <venture/balance/periodic_state.hpp>
#include <venture/quantity/error.hpp>

namespace venture::balance {

namespace {

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

/// What rooms feel in the second period after all walls were a little warmer, over what they feel in the first; in steps
/// of an hour where steps are shorter, since it is told in percent.
double share_kept(const ThermalModel& model, const FilmAccuracy& films, const State& periodic)
{
    constexpr double little_K = 0.1;
    const std::optional<ThermalModel> hours = in_hours(model);
    const ThermalModel& taken = hours ? *hours : model;
    const HeatBalance balance{taken, films, taken.step_s};
    const State by_little = balance.state_at(little_K), at_nothing = balance.state_at(0.0);
    State even = periodic, warmer = periodic;
    for (std::size_t k = 0; k < warmer.wall_modes.size(); ++k)
        warmer.wall_modes[k] += by_little.wall_modes[k] - at_nothing.wall_modes[k];
    balance.recall(even);
    balance.recall(warmer);
    // the even periods change a little too, where steps are longer than those it is periodic in
    double kept[2] = {};
    for (double& sum : kept) {
        const double without = radiant_sum(balance, taken.steps, even);
        sum = radiant_sum(balance, taken.steps, warmer) - without;
    }
    return kept[0] > 0.0 ? std::clamp(kept[1] / kept[0], 0.0, 1.0) : 0.0;
}

/// A whole state from what tells it.
State state_near(const HeatBalance& balance, const PeriodBegin& begin)
{
    State out = balance.state_at(begin.air_C.empty() ? 0.0 : begin.air_C.front());
    VENTURE_ASSERT(out.wall_modes.size() == begin.wall_modes.size() && out.air_C.size() == begin.air_C.size());
    out.wall_modes = begin.wall_modes;
    out.air_C = begin.air_C;
    out.humidity_ratio = begin.humidity_ratio;
    balance.recall(out);
    return out;
}

} // namespace

PeriodicDay run_periodic_day(const ThermalModel& model, const PeriodicOptions& options, const Watch& watch)
{
    const HeatBalance balance{model, options.films};
    PeriodicDay day;
    PeriodAccount account{model};
    FirstGuess guess = options.near != nullptr ? FirstGuess{state_near(balance, *options.near), options.near->change_K}
                                               : first_guess(model, balance, options);
    const Convergence reached = find_periodic(model, balance, options, guess, account);
    State& state = guess.state;
    day.days = reached.days;
    day.residual_K = reached.residual_K;
    day.converged = reached.converged;
    if (!account.is_complete() || watch) { // once more, with what a caller wants of it
        account.clear();
        StepResult step;
        for (std::size_t i = 0; i < model.steps; ++i) {
            balance.advance(state, i, step,
                            {.account = watch ? Account::faces : Account::flows,
                             .record = options.record,
                             .replay = options.replay});
            account.add(i, step);
            if (watch) watch(i, step);
        }
    }
    account.write(day);
    day.begin = {state.wall_modes, state.air_C, state.humidity_ratio, reached.residual_K};
    if (options.tell_memory) day.share_kept = share_kept(model, options.films, state);
    return day;
}

} // namespace venture::balance
