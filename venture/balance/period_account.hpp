#pragma once
/// Hour means of one pass over a period, summed up step by step. Internal to balance.

#include <venture/balance/periodic_day.hpp>

namespace venture::balance {

class PeriodAccount {
public:
    /// The model's steps must go into hours evenly; it must outlive the account.
    explicit PeriodAccount(const ThermalModel& model);

    /// Forgets what was summed up: a pass begins.
    void clear();
    /// Steps come in order, told with Account::flows at least.
    void add(std::size_t step, const StepResult& result);
    /// Whether the last pass went to the period's end.
    [[nodiscard]] bool is_complete() const { return next_step_ == model_.steps; }
    /// Writes zones, worst closure and unsettled steps of the last pass.
    void write(PeriodicDay& day) const;

private:
    const ThermalModel& model_;
    std::size_t zones_, steps_per_hour_ = 1, next_step_ = 0;
    std::vector<ZoneStep> hours_{}; ///< of all zones, hour by hour: as steps come
    double worst_closure_ = 0.0;
    int unsettled_steps_ = 0;
};

} // namespace venture::balance
