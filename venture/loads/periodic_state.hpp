#pragma once
/// How the state is found that comes back to itself after a period. Internal to loads.

#include <venture/loads/periodic_day.hpp>

namespace venture::loads::detail {

struct Convergence {
    int days = 0;
    double residual_K = 0.0;
    bool converged = false;
};

/// The steady state under mean forcing; where steps are short, brought on to nearly periodic in steps of an hour.
[[nodiscard]] State first_guess(const ThermalModel& model, const HeatBalance& balance, const PeriodicOptions& options);

/// Repeats the period, extrapolated and accelerated, until the state hardly changes over it.
/// @param state  the first guess, written over
[[nodiscard]] Convergence find_periodic(const ThermalModel& model, const HeatBalance& balance,
                                        const PeriodicOptions& options, State& state);

} // namespace venture::loads::detail
