#pragma once
/// A run through some span of a model's period: a week, a month, a year.

#include <functional>
#include <vector>

#include <venture/balance/series.hpp>

namespace venture::balance {

/// Where a run stands before a step.
struct Moment {
    std::size_t step = 0;             ///< of the model's period
    double hour = 0.0;                ///< since the beginning of the period
    const State& state;               ///< as it is now
    const StepResult* last = nullptr; ///< of the step before; nothing at the first
};

/// Called before every step but those of the run-in: to watch, to put in one's own control, to stop.
/// @param orders  one per zone, empty at each call   @returns false to stop
using Control = std::function<bool(const Moment&, Orders& orders)>;

enum class Interval { step, hour };

struct RunOptions {
    std::size_t first_step = 0;
    std::size_t steps = 0; ///< 0: to the end of the period, all of it if it begins with the first
    /// Days before the first step that the run goes through first; they come round the end of the period. A month suits
    /// houses; a floor on half a metre of soil remembers longer.
    double run_in_days = 30.0;
    std::vector<Ask> asks{};            ///< nothing else is stored
    Interval interval = Interval::hour; ///< of the values; means over it
    Control control{};
    std::function<void(std::size_t step, const StepResult&)> watch{}; ///< after every step
    Account account = Account::loads; ///< what it is told at least; more if the asks need more
    double held_within_K = 0.1;       ///< a set-point missed by more counts as not held
    double held_within_share = 0.01;  ///< and a limit of humidity missed by more than this of its humidity ratio
    FilmAccuracy films{};
};

/// What became of one zone.
struct ZoneRun {
    double heated_h = 0.0, cooled_h = 0.0;     ///< hours in which its supply acted
    double too_cold_h = 0.0, too_warm_h = 0.0; ///< hours outside limits: set-point not held at the end of the step
    double too_dry_h = 0.0, too_humid_h = 0.0; ///< the same of its limits of humidity
    double heating_J = 0.0, cooling_J = 0.0, latent_J = 0.0;
    double heating_peak_W = 0.0, cooling_peak_W = 0.0;        ///< hour means; cooling with its latent part
    std::size_t heating_peak_hour = 0, cooling_peak_hour = 0; ///< since the beginning of the period
    double warmest_C = -1e9, coldest_C = 1e9;                 ///< hour means of what controls it
    double film_residual_W = 0.0;                             ///< worst of any stage
};

struct RunResult {
    std::vector<ZoneRun> zones{};
    std::vector<Series> series{}; ///< in the order asked
    std::size_t steps = 0;        ///< gone through, the run-in not counted
    bool stopped = false;         ///< by the caller
    double worst_closure = 0.0;   ///< largest |closure| / throughput of any step (throughput at least 1 W)
    int unsettled_steps = 0;      ///< in which zones did not come to rest: never believe such a run
    int most_sweeps = 0, most_film_passes = 0;
};

/// @throws quantity::RangeError for a first step beyond the period or a run-in beyond 0..10000 days; what HeatBalance
///         and SeriesGatherer throw
[[nodiscard]] RunResult run(const ThermalModel& model, const RunOptions& options = {});

} // namespace venture::balance
