#include <venture/balance/periodic_state.hpp>

#include <algorithm>
#include <cmath>
#include <deque>
#include <utility>

#include <Eigen/Core>

#include <venture/balance/least_squares.hpp>

namespace venture::balance {

namespace {

/// The same period in steps so many times as long, each taken in one go. A signal runs straight over them.
ThermalModel in_long_steps(const ThermalModel& model, std::size_t times)
{
    ThermalModel out = model;
    out.step_s *= static_cast<double>(times);
    out.steps /= times;
    for (Signal& signal : out.signals) {
        if (signal.start.size() == 1) continue;
        Signal coarse{.forcing = signal.forcing};
        for (std::size_t i = 0; i < out.steps; ++i) {
            coarse.start.push_back(signal.at(i * times, 0.0));
            coarse.end.push_back(signal.at((i + 1) * times - 1, 1.0));
        }
        signal = std::move(coarse);
    }
    return out;
}

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
        constexpr std::size_t depth = 8;
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
        const Eigen::VectorXd c = least_squares(F, f, 1e-10);
        Eigen::VectorXd out = gx;
        for (std::size_t i = 0; i < image_changes_.size(); ++i)
            out -= c(static_cast<Eigen::Index>(i)) * image_changes_[i];
        return out;
    }

private:
    std::deque<Eigen::VectorXd> residual_changes_{}, image_changes_{};
    Eigen::VectorXd last_residual_{}, last_image_{};
};

} // namespace

std::optional<ThermalModel> in_hours(const ThermalModel& model)
{
    const auto per_hour = static_cast<std::size_t>(std::lround(3600.0 / model.step_s));
    if (per_hour < 4 || model.steps % per_hour != 0) return std::nullopt;
    return in_long_steps(model, per_hour);
}

FirstGuess first_guess(const ThermalModel& model, const HeatBalance& balance, const PeriodicOptions& options)
{
    const std::optional<ThermalModel> hours = options.replay == nullptr ? in_hours(model) : std::nullopt;
    if (!hours) return {balance.steady_state()};
    // Steps of an hour and of ten minutes differ by some thousandths of a kelvin: to be nearer is lost upon them.
    constexpr double near_enough_K = 1e-3;
    const HeatBalance coarse{*hours, options.films, hours->step_s};
    PeriodicOptions roughly{.temperature_tolerance_K = std::max(near_enough_K, options.temperature_tolerance_K),
                            .most_days = options.most_days,
                            .films = options.films};
    FirstGuess guess{coarse.steady_state()};
    PeriodAccount untold{*hours};
    const Convergence reached = find_periodic(*hours, coarse, roughly, guess, untold);
    if (reached.days == 1) guess.change_K = reached.residual_K; // at rest: shorter steps find nothing else
    balance.recall(guess.state);
    return guess;
}

Convergence find_periodic(const ThermalModel& model, const HeatBalance& balance, const PeriodicOptions& options,
                          FirstGuess& guess, PeriodAccount& account)
{
    // A repetition is told when the next one may well be the last: telling costs half of a repetition, going once more
    // over the period to tell it costs one and a half.
    constexpr double may_be_last = 40.0; // times what is asked for
    State& state = guess.state;
    const StateScale scale{model, balance};
    Anderson anderson;
    Convergence out{.residual_K = guess.change_K};
    StepResult step;
    std::vector<double> held(model.zones.size()); // share of the period in which the supply acts
    const double one_step = 1.0 / static_cast<double>(model.steps);
    while (!out.converged && out.days < options.most_days) {
        const bool is_told = out.residual_K <= may_be_last * options.temperature_tolerance_K;
        ++out.days;
        const Eigen::VectorXd x = scale.flat(state);
        const State begin = state;
        std::ranges::fill(held, 0.0);
        account.clear();
        for (std::size_t i = 0; i < model.steps; ++i) {
            if (is_told) {
                balance.advance(state, i, step,
                                {.account = Account::flows, .record = options.record, .replay = options.replay});
                account.add(i, step);
            } else {
                balance.advance(state, i, options.replay);
            }
            for (std::size_t z = 0; z < held.size(); ++z) held[z] += state.load_W[z] != 0.0 ? one_step : 0.0;
        }
        out.residual_K = scale.change_K(scale.flat(state) - x);
        out.converged = out.residual_K <= options.temperature_tolerance_K;
        if (out.converged) break;
        balance.extrapolate_period(begin, held, state);
        scale.unflatten(anderson.next(x, scale.flat(state)), state);
        balance.recall(state);
    }
    return out;
}

} // namespace venture::balance
