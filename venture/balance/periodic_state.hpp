#pragma once
/// How the state is found that comes back to itself after a period. Internal to balance.

#include <limits>
#include <optional>

#include <venture/balance/period_account.hpp>

namespace venture::balance {

struct Convergence {
    int days = 0;
    double residual_K = 0.0;
    bool converged = false;
};

/// Where repeating begins.
struct FirstGuess {
    State state{};
    double change_K = std::numeric_limits<double>::infinity(); ///< what a period is expected to change of it
};

/// The same period in steps of an hour, which a signal runs straight over.
/// @return nothing where its own steps are not much shorter, or do not fill hours
[[nodiscard]] std::optional<ThermalModel> in_hours(const ThermalModel& model);

/// The steady state under mean forcing; where steps are short, brought on to nearly periodic in steps of an hour.
[[nodiscard]] FirstGuess first_guess(const ThermalModel& model, const HeatBalance& balance,
                                     const PeriodicOptions& options);

/// Repeats the period, extrapolated and accelerated, until the state hardly changes over it.
/// @param guess    written over
/// @param account  holds the last repetition when the one before was enough like its own predecessor to make it likely
///                 the last; else not complete
[[nodiscard]] Convergence find_periodic(const ThermalModel& model, const HeatBalance& balance,
                                        const PeriodicOptions& options, FirstGuess& guess, PeriodAccount& account);

} // namespace venture::balance
