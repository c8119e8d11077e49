#include <venture/loads/heat_balance.hpp>

#include <algorithm>
#include <cmath>
#include <limits>

#include <venture/loads/account.hpp>
#include <venture/loads/check_model.hpp>
#include <venture/quantity/error.hpp>

namespace venture::loads {

namespace two_stages = fabric::two_stages;
using namespace detail; // NOLINT(google-build-using-namespace): the stage belongs to this module

namespace {

/// x + carry_over (x1 - x), element by element.
void carry(const std::vector<double>& x, const std::vector<double>& x1, std::vector<double>& out)
{
    out.resize(x.size());
    for (std::size_t i = 0; i < x.size(); ++i) out[i] = x[i] + two_stages::carry_over * (x1[i] - x[i]);
}

/// The first values of a row that has a zero behind them.
void take(const std::vector<double>& row, std::vector<double>& out)
{
    std::copy_n(row.begin(), out.size(), out.begin());
}
void put(const std::vector<double>& values, std::vector<double>& row)
{
    row.assign(values.begin(), values.end());
    row.push_back(0.0);
}

} // namespace

std::size_t parts_of_step(double step_s)
{
    return step_s <= longest_part_s ? 1 : static_cast<std::size_t>(std::ceil(step_s / usual_part_s - 1e-9));
}

struct HeatBalance::Prepared {
    Prepared(const ThermalModel& m, double part_s, const FilmAccuracy& accuracy)
        : model{m},
          parts{parts_of_step(m.step_s)},
          bank{m, part_s},
          films{m, bank},
          network{m, bank, two_stages::gamma * part_s},
          solver{m, two_stages::gamma * part_s},
          tolerance{accuracy}
    {
    }
    /// Wind, shutters and water change what walls and films answer.
    void set_step(std::size_t step)
    {
        const bool films_changed = films.set_step(model, step, bank), water_changed = bank.set_water(model, step);
        if ((!films_changed && !water_changed) || films.vary()) return; // films that vary are eliminated in every stage
        bank.eliminate();
        network.refresh(bank);
    }
    void read_signals(std::size_t step, double share, std::vector<double>& out) const
    {
        out.resize(model.signals.size());
        for (std::size_t i = 0; i < model.signals.size(); ++i) out[i] = model.signals[i].at(step, share);
    }

    const ThermalModel& model;
    std::size_t parts;
    SurfaceBank bank;
    Films films;
    ZoneNetwork network;
    StageSolver solver;
    FilmAccuracy tolerance;
    std::vector<double> weights{};
    Stage stages[2]{};
    std::vector<double> air_hat{}, humidity_hat{};
};

HeatBalance::HeatBalance(const ThermalModel& model, const FilmAccuracy& films)
{
    check_model(model);
    prepared_ = std::make_unique<Prepared>(model, part_of_step_s(model.step_s), films);
    const SurfaceBank& bank = prepared_->bank;
    prepared_->weights.assign(bank.state_count(), 1.0);
    for (const Slot& s : bank.slots)
        for (std::size_t k = 0; s.area > 0.0 && k < bank.modes_of(s); ++k)
            prepared_->weights[s.first_state + k * s.stride] = std::sqrt(s.area);
}
HeatBalance::~HeatBalance() = default;
HeatBalance::HeatBalance(HeatBalance&&) noexcept = default;
HeatBalance& HeatBalance::operator=(HeatBalance&&) noexcept = default;

const std::vector<double>& HeatBalance::mode_weights() const { return prepared_->weights; }

void HeatBalance::recall(State& state) const
{
    prepared_->bank.recall(state.wall_modes, state.wall_history, state.stored_J_per_m2);
}

State HeatBalance::state_at(double temperature_C) const
{
    const Prepared& p = *prepared_;
    const std::size_t zones = p.model.zones.size();
    State state{.wall_modes = std::vector<double>(p.bank.state_count(), 0.0)};
    for (const Slot& s : p.bank.slots) {
        if (s.area <= 0.0) continue;
        const auto modes = p.model.walls[s.stepper].steady_states(temperature_C, temperature_C);
        for (std::size_t k = 0; k < modes.size(); ++k) state.wall_modes[s.first_state + k * s.stride] = modes[k];
    }
    state.air_C = state.radiant_C = std::vector<double>(zones, temperature_C);
    state.load_W = state.humidity_ratio = std::vector<double>(zones, 0.0);
    p.films.read(std::vector<double>(2 * p.bank.count(), temperature_C), state.air_C, state.films_from);
    recall(state);
    return state;
}

std::vector<double> HeatBalance::wall_modes_of(const State& state, std::size_t surface) const
{
    std::vector<double> out;
    for (const Slot& s : prepared_->bank.slots)
        if (s.surface == surface && s.area > 0.0)
            for (std::size_t k = 0; k < prepared_->bank.modes_of(s); ++k)
                out.push_back(state.wall_modes[s.first_state + k * s.stride]);
    return out;
}

State HeatBalance::steady_state() const
{
    const Prepared& p = *prepared_;
    constexpr double forever = std::numeric_limits<double>::infinity();
    Prepared steady{p.model, forever, p.tolerance};
    steady.tolerance.most_passes = 50;
    steady.set_step(0);
    Stage s;
    for (const Signal& signal : p.model.signals) s.signal.push_back(signal.mean());
    const std::vector<double> nothing(p.model.zones.size(), 0.0), history(4 * steady.bank.count(), 0.0);
    State state{.wall_modes = std::vector<double>(steady.bank.state_count(), 0.0), .air_C = nothing};
    state.humidity_ratio = state.radiant_C = state.load_W = nothing;
    for (auto* row : {&s.x.air_C, &s.x.radiant_C, &s.x.load_W}) put(nothing, *row);
    const double outdoor_C = s.signal[p.model.outdoor_air_C.index];
    steady.films.read(std::vector<double>(2 * steady.bank.count(), outdoor_C),
                      std::vector<double>(nothing.size(), outdoor_C + 1.0), s.film_from);
    steady.solver.solve(steady.bank, steady.network, steady.films, steady.tolerance,
                        {nothing, nothing, history, state.wall_modes, {}}, s);
    std::vector<double> unused_history = history, stored(steady.bank.count(), 0.0);
    const double* planes = s.plane_W_per_m2.data();
    steady.bank.advance(state.wall_modes, {s.face_C.data(), s.face_C.data()}, {planes, planes}, unused_history, stored);
    take(s.x.air_C, state.air_C);
    take(s.x.radiant_C, state.radiant_C);
    take(s.x.load_W, state.load_W);
    state.humidity_ratio = s.humidity_ratio;
    state.films_from = s.film_from;
    recall(state);
    return state;
}

void HeatBalance::advance(State& state, std::size_t step, StepResult& result, Account account,
                          const Orders& orders) const
{
    const Prepared& p = *prepared_;
    const ThermalModel& m = p.model;
    result.zones.assign(m.zones.size(), {});
    result.surfaces.assign(account == Account::faces ? m.surfaces.size() : 0, {});
    result.closure_W = result.throughput_W = 0.0;
    result.sweeps = result.film_passes = 0;
    result.settled = true;
    const double before_J = stored_in_walls_J(p.bank, state);
    for (std::size_t z = 0; z < m.zones.size(); ++z) result.zones[z].into_air_capacity_W = -state.air_C[z];
    advance_parts(state, step, &result, account, orders);
    for (std::size_t z = 0; z < m.zones.size(); ++z) {
        double& into_air = result.zones[z].into_air_capacity_W;
        into_air = m.zones[z].air_capacity_J_per_K * (state.air_C[z] + into_air) / m.step_s;
        result.closure_W -= into_air;
    }
    result.closure_W -= (stored_in_walls_J(p.bank, state) - before_J) / m.step_s;
}

void HeatBalance::advance(State& state, std::size_t step) const
{
    advance_parts(state, step, nullptr, Account::loads, {});
}

void HeatBalance::advance_parts(State& now, std::size_t step, StepResult* result, Account account,
                                const Orders& orders) const
{
    Prepared& p = *prepared_;
    VENTURE_ASSERT(now.wall_history.size() == 4 * p.bank.count());
    VENTURE_ASSERT(orders.empty() || orders.size() == p.model.zones.size());
    p.set_step(step);
    const auto parts = static_cast<double>(p.parts);
    for (std::size_t part = 0; part < p.parts; ++part) {
        for (std::size_t stage = 0; stage < 2; ++stage) {
            Stage& s = p.stages[stage];
            p.read_signals(step, (static_cast<double>(part) + two_stages::at[stage]) / parts, s.signal);
            if (stage == 0) {
                put(now.air_C, s.x.air_C);
                put(now.radiant_C, s.x.radiant_C);
                put(now.load_W, s.x.load_W);
                s.humidity_ratio = now.humidity_ratio;
                s.film_from = now.films_from;
            } else {
                const Stage& first = p.stages[0];
                s.x = first.x;
                s.humidity_ratio = first.humidity_ratio;
                s.film_from = first.film_found;
                carry(now.air_C, first.x.air_C, p.air_hat);
                carry(now.humidity_ratio, first.humidity_ratio, p.humidity_hat);
            }
            p.solver.solve(p.bank, p.network, p.films, p.tolerance,
                           {stage == 0 ? now.air_C : p.air_hat, stage == 0 ? now.humidity_ratio : p.humidity_hat,
                            now.wall_history, now.wall_modes, orders, stage == 0 ? nullptr : &p.stages[0]},
                           s);
            if (result == nullptr) continue;
            const double weight = two_stages::weight[stage] / parts;
            add_loads(s, weight, *result);
            if (account >= Account::flows) add_flows(p.model, p.bank, p.network, s, weight, *result);
            if (account >= Account::faces) add_faces(p.bank, s, weight, *result);
            add_throughput(p.model, p.bank, s, weight, *result);
        }
        const Stage &first = p.stages[0], &last = p.stages[1];
        p.bank.advance(now.wall_modes, {first.face_C.data(), last.face_C.data()},
                       {first.plane_W_per_m2.data(), last.plane_W_per_m2.data()}, now.wall_history,
                       now.stored_J_per_m2);
        take(last.x.air_C, now.air_C);
        take(last.x.radiant_C, now.radiant_C);
        take(last.x.load_W, now.load_W);
        now.humidity_ratio = last.humidity_ratio;
        now.films_from = last.film_found;
    }
}

} // namespace venture::loads
