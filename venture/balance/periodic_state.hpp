#pragma once
/// How the state is found that comes back to itself after a period. Internal to balance.

#include <venture/balance/period_account.hpp>

namespace venture::balance {

struct Convergence {
    int days = 0;
    double residual_K = 0.0;
    bool converged = false;
};

/// The steady state under mean forcing; where steps are short, brought on to nearly periodic in steps of an hour.
[[nodiscard]] State first_guess(const ThermalModel& model, const HeatBalance& balance, const PeriodicOptions& options);

/// Repeats the period, extrapolated and accelerated, until the state hardly changes over it.
/// @param state    the first guess, written over
/// @param account  holds the last repetition when one was enough like the one before to be likely the last; else not
///                 complete
[[nodiscard]] Convergence find_periodic(const ThermalModel& model, const HeatBalance& balance,
                                        const PeriodicOptions& options, State& state, PeriodAccount& account);

} // namespace venture::balance
