#include <venture/balance/period_account.hpp>

#include <algorithm>
#include <cmath>
#include <utility>

#include <venture/quantity/error.hpp>

namespace venture::balance {

namespace {

/// What of a step is a mean over it.
constexpr double ZoneStep::*means[] = {&ZoneStep::heating_W,
                                       &ZoneStep::cooling_W,
                                       &ZoneStep::latent_W,
                                       &ZoneStep::humidifying_W,
                                       &ZoneStep::air_C,
                                       &ZoneStep::radiant_C,
                                       &ZoneStep::humidity_ratio,
                                       &ZoneStep::supply_air_kg_per_s,
                                       &ZoneStep::supply_air_W,
                                       &ZoneStep::supply_moisture_kg_per_s,
                                       &ZoneStep::recovered_W,
                                       &ZoneStep::convective_gain_W,
                                       &ZoneStep::thermal_bridges_W,
                                       &ZoneStep::infiltration_W,
                                       &ZoneStep::ventilation_W,
                                       &ZoneStep::transfer_W,
                                       &ZoneStep::into_air_capacity_W};

void add_scaled(ZoneStep& sum, const ZoneStep& step, double share)
{
    for (double ZoneStep::*const mean : means) sum.*mean += share * step.*mean;
    for (std::size_t p = 0; p < part_count; ++p) sum.from_faces_W[p] += share * step.from_faces_W[p];
    sum.air_end_C = step.air_end_C;
    sum.radiant_end_C = step.radiant_end_C;
    sum.humidity_ratio_end = step.humidity_ratio_end;
    sum.load_end_W = step.load_end_W;
    sum.film_residual_W = std::max(sum.film_residual_W, step.film_residual_W);
}

ZoneDay series_of(std::vector<ZoneStep>&& hours)
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
    day.parts = std::move(hours);
    return day;
}

} // namespace

PeriodAccount::PeriodAccount(const ThermalModel& model) : model_{model}, zones_{model.zones.size()}
{
    const double per_hour = 3600.0 / model.step_s;
    VENTURE_ASSERT(per_hour >= 1.0 && per_hour == std::floor(per_hour));
    steps_per_hour_ = static_cast<std::size_t>(per_hour);
}

void PeriodAccount::clear()
{
    next_step_ = 0;
    worst_closure_ = 0.0;
    unsettled_steps_ = 0;
    hours_.clear();
}

void PeriodAccount::add(std::size_t step, const StepResult& result)
{
    VENTURE_ASSERT(step == next_step_);
    ++next_step_;
    if (step % steps_per_hour_ == 0) hours_.resize(hours_.size() + zones_);
    ZoneStep* hour = hours_.data() + hours_.size() - zones_;
    const double share = 1.0 / static_cast<double>(steps_per_hour_);
    for (std::size_t z = 0; z < zones_; ++z) add_scaled(hour[z], result.zones[z], share);
    worst_closure_ = std::max(worst_closure_, std::abs(result.closure_W) / std::max(1.0, result.throughput_W));
    unsettled_steps_ += result.settled ? 0 : 1;
}

void PeriodAccount::write(PeriodicDay& day) const
{
    day.zones.reserve(zones_);
    for (std::size_t z = 0; z < zones_; ++z) {
        std::vector<ZoneStep> hours;
        hours.reserve(model_.steps / steps_per_hour_);
        for (std::size_t at = z; at < hours_.size(); at += zones_) hours.push_back(hours_[at]);
        day.zones.push_back(series_of(std::move(hours)));
    }
    day.worst_closure = worst_closure_;
    day.unsettled_steps = unsettled_steps_;
}

} // namespace venture::balance
