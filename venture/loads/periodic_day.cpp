#include <venture/loads/periodic_day.hpp>

#include <algorithm>
#include <cmath>
#include <deque>

#include <Eigen/QR>

#include <venture/quantity/error.hpp>

namespace venture::loads {

namespace {

/// Root-mean-square heat capacity that turns a change of modes into kelvin, and the flattening of a state.
class StateScale {
public:
    StateScale(const ThermalModel& model, const HeatBalance& balance) : model_{model}, balance_{balance}
    {
        double capacity = 0.0;
        for (const Surface& s : model.surfaces)
            for (std::size_t k = 0; k < model.walls[s.wall].size(); ++k)
                capacity += s.area_m2 * model.walls[s.wall].s[k] * model.walls[s.wall].s[k];
        root_capacity_ = std::sqrt(std::max(capacity, 1.0));
    }
    [[nodiscard]] Eigen::VectorXd flat(const State& s) const
    {
        const auto modes = static_cast<Eigen::Index>(s.wall_modes.size());
        const auto zones = static_cast<Eigen::Index>(s.air_C.size());
        Eigen::VectorXd x(modes + 2 * zones);
        for (Eigen::Index i = 0; i < modes; ++i) {
            const auto k = static_cast<std::size_t>(i);
            x(i) = s.wall_modes[k] * balance_.mode_weights()[k] / root_capacity_;
        }
        for (Eigen::Index i = 0; i < zones; ++i) {
            const std::size_t z = balance_.zone_order()[static_cast<std::size_t>(i)];
            x(modes + i) = s.air_C[z];
            x(modes + zones + i) = s.humidity_ratio[z] * K_per_kg_per_kg;
        }
        return x;
    }
    void unflatten(const Eigen::VectorXd& x, State& s) const
    {
        const auto modes = s.wall_modes.size();
        for (std::size_t k = 0; k < modes; ++k)
            s.wall_modes[k] = x(static_cast<Eigen::Index>(k)) * root_capacity_ / balance_.mode_weights()[k];
        const std::size_t zones = s.air_C.size();
        for (std::size_t i = 0; i < zones; ++i) {
            const std::size_t z = balance_.zone_order()[i];
            s.air_C[z] = x(static_cast<Eigen::Index>(modes + i));
            s.humidity_ratio[z] = std::max(0.0, x(static_cast<Eigen::Index>(modes + zones + i)) / K_per_kg_per_kg);
        }
    }
    /// Largest change: walls as a capacity-weighted root mean square, each air and its moisture by itself.
    [[nodiscard]] double change_K(const Eigen::VectorXd& f) const
    {
        const auto zones = 2 * static_cast<Eigen::Index>(model_.zones.size());
        const double air = zones > 0 ? f.tail(zones).cwiseAbs().maxCoeff() : 0.0;
        return std::max(f.head(f.size() - zones).norm(), air);
    }

private:
    static constexpr double K_per_kg_per_kg = 50.0; // 1e-6 kg/kg counts as 5e-5 K
    const ThermalModel& model_;
    const HeatBalance& balance_;
    double root_capacity_ = 1.0;
};

/// Anderson's acceleration of x = g(x): keeps the last differences and extrapolates with least squares.
class Anderson {
public:
    [[nodiscard]] Eigen::VectorXd next(const Eigen::VectorXd& x, const Eigen::VectorXd& gx)
    {
        constexpr std::size_t depth = 12;
        const Eigen::VectorXd f = gx - x;
        if (last_residual_.size() > 0) {
            residual_changes_.push_back(f - last_residual_);
            image_changes_.push_back(gx - last_image_);
            if (residual_changes_.size() > depth) {
                residual_changes_.pop_front();
                image_changes_.pop_front();
            }
        }
        last_residual_ = f;
        last_image_ = gx;
        if (residual_changes_.empty()) return gx;
        Eigen::MatrixXd F(f.size(), static_cast<Eigen::Index>(residual_changes_.size()));
        for (std::size_t i = 0; i < residual_changes_.size(); ++i)
            F.col(static_cast<Eigen::Index>(i)) = residual_changes_[i];
        Eigen::ColPivHouseholderQR<Eigen::MatrixXd> qr(F);
        qr.setThreshold(1e-10);
        const Eigen::VectorXd c = qr.solve(f);
        Eigen::VectorXd out = gx;
        for (std::size_t i = 0; i < image_changes_.size(); ++i)
            out -= c(static_cast<Eigen::Index>(i)) * image_changes_[i];
        return out;
    }

private:
    std::deque<Eigen::VectorXd> residual_changes_{}, image_changes_{};
    Eigen::VectorXd last_residual_{}, last_image_{};
};

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

std::vector<char> mostly_held(const std::vector<std::size_t>& supplied, std::size_t steps)
{
    std::vector<char> out;
    for (const std::size_t n : supplied) out.push_back(2 * n > steps ? 1 : 0);
    return out;
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
    const StateScale scale{model, balance};
    Anderson anderson;
    PeriodicDay day;
    StepResult step;
    State state = balance.steady_state();
    std::vector<std::size_t> supplied(model.zones.size()); // steps in which it was
    while (!day.converged && day.days < options.most_days) {
        ++day.days;
        const Eigen::VectorXd x = scale.flat(state);
        const State begin = state;
        State end = state;
        std::ranges::fill(supplied, 0);
        for (std::size_t i = 0; i < model.steps; ++i) {
            balance.advance(end, i, options.replay);
            for (std::size_t z = 0; z < supplied.size(); ++z) supplied[z] += end.load_W[z] != 0.0 ? 1U : 0U;
        }
        const Eigen::VectorXd gx = scale.flat(end);
        day.residual_K = scale.change_K(gx - x);
        day.converged = day.residual_K <= options.temperature_tolerance_K;
        state = end;
        if (!day.converged) {
            balance.extrapolate_period(begin, mostly_held(supplied, model.steps), end);
            scale.unflatten(anderson.next(x, scale.flat(end)), state);
            balance.recall(state);
        }
    }
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
