#pragma once
/// What a heat balance makes ready for one model and length of step, and its workspace. Internal to balance.

#include <algorithm>
#include <cmath>
#include <limits>
#include <memory>
#include <vector>

#include <venture/balance/films.hpp>
#include <venture/balance/heat_balance.hpp>
#include <venture/balance/links.hpp>
#include <venture/balance/stage.hpp>
#include <venture/balance/surface_bank.hpp>
#include <venture/balance/zone_network.hpp>

namespace venture::balance {

/// The first values of a row that has a zero behind them.
inline void take(const std::vector<double>& row, std::vector<double>& out)
{
    std::copy_n(row.begin(), out.size(), out.begin());
}

/// Where signals of one length of value are being read. A year of them is long, and all are read at every stage: values
/// of some time ahead are kept at hand, side by side, and of them what stands between two.
class Readings {
public:
    explicit Readings(std::size_t steps_per_value) : steps_{steps_per_value} {}
    void add(std::size_t signal) { signals_.push_back(signal); }
    [[nodiscard]] std::size_t steps_per_value() const { return steps_; }

    void read(const ThermalModel& m, std::size_t step, double share, std::vector<double>& out)
    {
        if (from_ == nullptr || step - first_step_ >= steps_) go_to(m, step);
        const double into = (static_cast<double>(step - first_step_) + share) / static_cast<double>(steps_);
        for (std::size_t i = 0; i < signals_.size(); ++i) out[signals_[i]] = from_[i] + into * rise_[i];
    }

private:
    static constexpr std::size_t ahead = 8; ///< values of a signal that one line of the processor's memory holds

    void go_to(const ThermalModel& m, std::size_t step)
    {
        const std::size_t value = step / steps_, n = signals_.size();
        first_step_ = value * steps_;
        if (value - first_value_ >= count_) fetch(m, value);
        from_ = at_hand_.data() + 2 * n * (value - first_value_);
        rise_ = from_ + n;
    }

    void fetch(const ThermalModel& m, std::size_t value)
    {
        const std::size_t n = signals_.size();
        first_value_ = value / ahead * ahead;
        count_ = std::min(ahead, (m.steps + steps_ - 1) / steps_ - first_value_);
        at_hand_.resize(2 * n * count_);
        for (std::size_t i = 0; i < n; ++i) {
            const Signal& s = m.signals[signals_[i]];
            bring_near(m, i + 8);
            for (std::size_t k = 0; k < count_; ++k) {
                const std::size_t at = s.start.size() == 1 ? 0 : first_value_ + k; // one for every step
                at_hand_[2 * n * k + i] = s.start[at];
                at_hand_[2 * n * k + n + i] = s.value_at_end(at) - s.start[at];
            }
        }
    }

    /// Every signal lies somewhere else: some that come later are on their way while this one is read.
    void bring_near([[maybe_unused]] const ThermalModel& m, [[maybe_unused]] std::size_t later) const
    {
#ifdef __GNUC__
        if (later >= signals_.size()) return;
        const std::vector<double>& values = m.signals[signals_[later]].start;
        if (values.size() > 1) __builtin_prefetch(values.data() + first_value_);
#endif
    }

    std::size_t steps_, first_step_ = 0, first_value_ = 0, count_ = 0;
    std::vector<std::size_t> signals_{};
    std::vector<double> at_hand_{}; ///< value by value: of every signal, then by how much it rises
    const double *from_ = nullptr, *rise_ = nullptr;
};

struct HeatBalance::Prepared {
    Prepared(const ThermalModel& m, double part_s, const FilmAccuracy& accuracy)
        : model{m},
          parts{std::isinf(part_s) ? 1 : static_cast<std::size_t>(std::lround(m.step_s / part_s))},
          bank{m, part_s},
          films{m, bank},
          links{m, bank},
          network{m, bank, fabric::two_stages::gamma * part_s},
          solver{m, links, fabric::two_stages::gamma * part_s},
          tolerance{accuracy}
    {
        std::vector<bool> of_body(m.signals.size(), false); // is read anew for every stage, for a factor to act on
        for (const BodyHeat& body : m.bodies) of_body[body.sensible.index] = of_body[body.latent.index] = true;
        for (std::size_t i = 0; i < m.signals.size(); ++i)
            if (const Signal& s = m.signals[i]; !s.is_constant() || of_body[i])
                readings_of(s.start.size() == 1 ? 1 : s.steps_per_value).add(i);
    }
    /// Wind, shutters and water change what walls and films answer.
    void set_step(std::size_t step)
    {
        const bool films_changed = films.set_step(model, step, bank), water_changed = bank.set_water(model, step);
        if ((!films_changed && !water_changed) || films.vary()) return; // films that vary are eliminated in every stage
        bank.eliminate();
        network.refresh(bank);
    }
    Readings& readings_of(std::size_t steps_per_value)
    {
        const auto known = std::ranges::find(varying, steps_per_value, &Readings::steps_per_value);
        return known != varying.end() ? *known : varying.emplace_back(steps_per_value);
    }
    /// Constants are read once. @param factors  of the sensible heat of every body
    void read_signals(std::size_t step, double share, const double* factors, std::vector<double>& out)
    {
        if (out.size() != model.signals.size() + SurfaceBank::further_signals) {
            out.resize(model.signals.size());
            for (std::size_t i = 0; i < model.signals.size(); ++i) out[i] = model.signals[i].start[0];
            StageSolver::add_further(out);
        }
        for (Readings& r : varying) r.read(model, step, share, out);
        for (std::size_t i = 0; i < model.bodies.size(); ++i) {
            const BodyHeat& body = model.bodies[i];
            out[body.sensible.index] *= factors[i];
            out[body.latent.index] *= body.latent_factor(factors[i]);
        }
    }

    /// Of every body, by the air of its zone.
    void find_sensible_factors(const std::vector<double>& air_C)
    {
        sensible_factors.resize(model.bodies.size());
        for (std::size_t i = 0; i < sensible_factors.size(); ++i)
            sensible_factors[i] = model.bodies[i].sensible_factor(air_C[model.bodies[i].zone]);
    }

    const ThermalModel& model;
    std::size_t parts;
    SurfaceBank bank;
    Films films;
    Links links;
    ZoneNetwork network;
    StageSolver solver;
    FilmAccuracy tolerance;
    /// Everything at rest; made when it is first asked for.
    Prepared& at_rest()
    {
        if (steady) return *steady;
        steady = std::make_unique<Prepared>(model, std::numeric_limits<double>::infinity(), tolerance);
        steady->tolerance.most_passes = 50;
        steady->set_step(0);
        Stage& s = steady->stages[0];
        for (auto* row : {&s.x.air_C, &s.x.radiant_C, &s.x.load_W}) row->assign(model.zones.size() + 1, 0.0);
        steady->take_means(0, model.steps);
        const double outdoor_C = s.signal[model.outdoor_air_C.index];
        steady->films.find(std::vector<double>(2 * bank.count(), outdoor_C),
                           std::vector<double>(model.zones.size(), outdoor_C + 1.0), s.signal, s.film);
        return *steady;
    }
    /// Every signal as its mean over some steps.
    void take_means(std::size_t first, std::size_t count)
    {
        std::vector<double>& means = stages[0].signal;
        means.clear();
        for (const Signal& signal : model.signals) {
            if (count == model.steps || signal.start.size() == 1) {
                means.push_back(signal.mean());
                continue;
            }
            double sum = 0.0;
            for (std::size_t i = 0; i < count; ++i) {
                const std::size_t step = (first + i) % model.steps;
                sum += 0.5 * (signal.at(step, 0.0) + signal.at(step, 1.0));
            }
            means.push_back(sum / static_cast<double>(count));
        }
        StageSolver::add_further(means);
    }
    /// Solves this, at rest, with heat that walls send off of themselves. @param history  as SurfaceBank gives it
    void solve_at_rest(const std::vector<double>& history, const Orders* orders)
    {
        const std::vector<double> nothing(model.zones.size(), 0.0), no_states(bank.state_count(), 0.0);
        solver.solve(bank, network, films, tolerance, {nothing, nothing, history, no_states, orders}, stages[0]);
    }

    std::unique_ptr<Prepared> steady{};
    std::vector<Readings> varying{}; ///< signals that are no constants
    std::vector<double> weights{};
    Stage stages[2]{};
    std::vector<double> air_hat{}, humidity_hat{}, sensible_factors{};
};

} // namespace venture::balance
