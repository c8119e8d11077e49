#pragma once
/// A period (a design day) repeated until nothing changes from one repetition to the next.

#include <functional>
#include <vector>

#include <venture/balance/heat_balance.hpp>

namespace venture::balance {

/// What a state is told by: all else of it follows, or is a first guess.
struct PeriodBegin {
    std::vector<double> wall_modes{}, air_C{}, humidity_ratio{}; ///< as in State
    double change_K = 0.0;                                       ///< over the period, when it was left
};

/// When a repeated day counts as periodic, and how long to try.
struct PeriodicOptions {
    double temperature_tolerance_K = 5e-6; ///< largest change of any wall (as a root mean square) and air temperature
    int most_days = 200;                   ///< a repetition costs one pass over the day
    FilmAccuracy films{};
    Recording* record = nullptr;       ///< what the periodic day decides is written here
    const Recording* replay = nullptr; ///< nothing is decided: films and supplies do what they did
    bool tell_memory = false;          ///< four days more in steps of an hour, for PeriodicDay::share_kept
    /// Where an earlier run of the same model began, to start from; the steady state under mean forcing if null.
    const PeriodBegin* near = nullptr;
};

/// Hour means over the periodic day, 24 per zone (or as many hours as the period has).
struct ZoneDay {
    std::vector<double> heating_W{}, cooling_W{}, latent_W{}; ///< non-negative
    std::vector<double> air_C{}, operative_C{}, humidity_ratio{};
    std::vector<ZoneStep> parts{}; ///< means over the hour of every flow into the air
    double film_residual_W = 0.0;  ///< of films that vary, worst of any stage
};

struct PeriodicDay {
    std::vector<ZoneDay> zones{};
    int days = 0;               ///< repetitions computed
    double residual_K = 0.0;    ///< change of state over the last one
    bool converged = false;     ///< never believe figures of a day that did not converge
    double worst_closure = 0.0; ///< largest |closure| / throughput of any step (throughput at least 1 W)
    int unsettled_steps = 0;
    PeriodBegin begin{}; ///< and end
    /// After all walls were a little warmer: what rooms feel of it in the second period over what they feel in the first,
    /// by their radiant temperatures, 0..1; only if asked. Where it is much, a spell of such days ends before it is
    /// periodic: loads of the repeated day are then on the safe side.
    double share_kept = 0.0;
};

/// Called for every step of the final, periodic day.
using Watch = std::function<void(std::size_t step, const StepResult&)>;

/// Starts from the steady state under mean forcing, or near one that is known. After each repetition what walls took up is sent off through the
/// steady network (HeatBalance::extrapolate_period), and the whole is accelerated by Anderson's method (Walker and Ni,
/// SIAM J. Numer. Anal. 49, 2011); neither changes the periodic solution itself.
[[nodiscard]] PeriodicDay run_periodic_day(const ThermalModel& model, const PeriodicOptions& options = {},
                                           const Watch& watch = {});

} // namespace venture::balance
