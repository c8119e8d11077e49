#include <venture/balance/run.hpp>

#include <algorithm>
#include <cmath>
#include <optional>
#include <utility>

#include <venture/balance/humidity_bounds.hpp>
#include <venture/balance/step_signals.hpp>
#include <venture/quantity/error.hpp>

namespace venture::balance {

namespace {

/// Adds steps to a run; hours as soon as they are full.
class Keeper {
public:
    Keeper(const ThermalModel& model, const RunOptions& options, RunResult& run)
        : model_{model},
          options_{options},
          run_{run},
          per_hour_{static_cast<std::size_t>(std::lround(3600.0 / model.step_s))},
          hour_(model.zones.size()),
          at_end_{model}
    {
        run_.zones.resize(model.zones.size());
        for (const Zone& zone : model.zones)
            limits_.push_back({zone.heat_below_C ? std::optional{at_end_.add(*zone.heat_below_C)} : std::nullopt,
                               zone.cool_above_C ? std::optional{at_end_.add(*zone.cool_above_C)} : std::nullopt});
    }

    void take(const StepResult& r, std::size_t step)
    {
        const double step_h = model_.step_s / 3600.0;
        run_.worst_closure = std::max(run_.worst_closure, std::abs(r.closure_W) / std::max(1.0, r.throughput_W));
        run_.unsettled_steps += r.settled ? 0 : 1;
        run_.most_sweeps = std::max(run_.most_sweeps, r.sweeps);
        run_.most_film_passes = std::max(run_.most_film_passes, r.film_passes);
        at_end_.read(step, 1.0);
        for (std::size_t z = 0; z < run_.zones.size(); ++z) take_zone(z, r.zones[z], step, step_h);
        ++run_.steps;
        if ((step + 1) % per_hour_ == 0) end_hour(step / per_hour_);
    }

private:
    struct Hour {
        double heating_W = 0.0, cooling_W = 0.0, felt_C = 0.0, steps = 0.0;
    };

    void take_zone(std::size_t z, const ZoneStep& now, std::size_t step, double step_h)
    {
        const Zone& zone = model_.zones[z];
        ZoneRun& out = run_.zones[z];
        const auto felt = [&](double air, double radiant) { return std::lerp(air, radiant, zone.radiant_weight); };
        out.heated_h += now.heating_W > 0.0 ? step_h : 0.0;
        out.cooled_h += now.cooling_W + now.latent_W > 0.0 ? step_h : 0.0;
        out.heating_J += now.heating_W * model_.step_s;
        out.cooling_J += now.cooling_W * model_.step_s;
        out.latent_J += now.latent_W * model_.step_s;
        out.film_residual_W = std::max(out.film_residual_W, now.film_residual_W);
        const double at_end = felt(now.air_end_C, now.radiant_end_C);
        const auto& [heat_below, cool_above] = limits_[z];
        if (heat_below && at_end < at_end_[*heat_below] - options_.held_within_K) out.too_cold_h += step_h;
        if (cool_above && at_end > at_end_[*cool_above] + options_.held_within_K) out.too_warm_h += step_h;
        if (zone.has_limited_moisture()) { // else it holds whatever it is asked for
            const HumidityBounds held = humidity_bounds(zone, now.air_end_C, model_.pressure_Pa,
                                                        [&](SignalId id) { return model_.value(id, step, 1.0); });
            const double w = now.humidity_ratio_end, within = options_.held_within_share;
            if (w < held.lower * (1.0 - within)) out.too_dry_h += step_h;
            if (w > held.upper * (1.0 + within)) out.too_humid_h += step_h;
        }
        Hour& hour = hour_[z];
        hour.heating_W += now.heating_W;
        hour.cooling_W += now.cooling_W + now.latent_W;
        hour.felt_C += felt(now.air_C, now.radiant_C);
        hour.steps += 1.0;
    }

    void end_hour(std::size_t at)
    {
        for (std::size_t z = 0; z < hour_.size(); ++z) {
            Hour& hour = hour_[z];
            ZoneRun& out = run_.zones[z];
            const double heating = hour.heating_W / hour.steps, cooling = hour.cooling_W / hour.steps,
                         felt = hour.felt_C / hour.steps;
            if (heating > out.heating_peak_W) {
                out.heating_peak_W = heating;
                out.heating_peak_hour = at;
            }
            if (cooling > out.cooling_peak_W) {
                out.cooling_peak_W = cooling;
                out.cooling_peak_hour = at;
            }
            out.warmest_C = std::max(out.warmest_C, felt);
            out.coldest_C = std::min(out.coldest_C, felt);
            hour = {};
        }
    }

    const ThermalModel& model_;
    const RunOptions& options_;
    RunResult& run_;
    std::size_t per_hour_;
    std::vector<Hour> hour_;
    StepSignals at_end_;
    std::vector<std::pair<std::optional<StepSignals::Slot>, std::optional<StepSignals::Slot>>> limits_{}; ///< per zone
};

/// The state before the first step, after the days that come before it.
State run_in(const ThermalModel& model, const HeatBalance& balance, const RunOptions& options)
{
    const auto steps = static_cast<std::size_t>(std::lround(options.run_in_days * 86400.0 / model.step_s));
    if (steps == 0) return balance.steady_state(options.first_step, model.steps);
    const std::size_t whole = (steps + model.steps - 1) / model.steps * model.steps;
    const std::size_t from = (options.first_step + whole - steps) % model.steps;
    State state = balance.steady_state(from, std::min(steps, model.steps));
    for (std::size_t i = 0; i < steps; ++i) balance.advance(state, (from + i) % model.steps);
    return state;
}

} // namespace

RunResult run(const ThermalModel& model, const RunOptions& options)
{
    quantity::check_range("run", "first step", static_cast<double>(options.first_step),
                          {0.0, static_cast<double>(model.steps) - 1.0}, "");
    quantity::check_range("run", "run-in", options.run_in_days, {0.0, 10000.0}, "days");
    const HeatBalance balance{model, options.films};
    const auto per_hour = static_cast<std::size_t>(std::lround(3600.0 / model.step_s));
    SeriesGatherer gather{model, options.asks, options.interval == Interval::hour ? per_hour : 1};
    RunResult out;
    Keeper keep{model, options, out};
    State state = run_in(model, balance, options);
    StepResult result;
    Orders orders;
    const std::size_t steps = options.steps > 0 ? options.steps : model.steps - options.first_step;
    for (std::size_t i = 0; i < steps; ++i) {
        const std::size_t step = (options.first_step + i) % model.steps;
        if (options.control) {
            orders.assign(model.zones.size(), {});
            const double hour = static_cast<double>(step) * model.step_s / 3600.0;
            if (!options.control({step, hour, state, i > 0 ? &result : nullptr}, orders)) {
                out.stopped = true;
                break;
            }
        }
        balance.advance(
            state, step, result,
            {.account = std::max(gather.needs(), options.account), .orders = options.control ? &orders : nullptr});
        keep.take(result, step);
        gather.take(result, step);
        if (options.watch) options.watch(step, result);
    }
    out.series = std::move(gather).series();
    return out;
}

} // namespace venture::balance
