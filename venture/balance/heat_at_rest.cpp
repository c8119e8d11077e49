/// Where runs begin: states under steady forcings, and guesses of the one that comes back to itself.

#include <venture/balance/prepared.hpp>

namespace venture::balance {

void HeatBalance::extrapolate_period(const State& begin, const std::vector<double>& held, State& end) const
{
    Prepared& rest = prepared_->at_rest();
    const SurfaceBank& bank = rest.bank;
    const ThermalModel& m = rest.model;
    const double period_s = m.step_s * static_cast<double>(m.steps);
    const std::size_t n = bank.count();
    // What a mode took up, as a steady source over the period. A part of the answer with rate r misses by
    // 1 - (1 - exp(-r P)) (1 + 1/(r P)) of itself after this: by 0.3 at most, and by next to nothing where it is slow.
    std::vector<double> history(4 * n, 0.0), shift(bank.state_count(), 0.0);
    for (std::size_t i = 0; i < n; ++i) {
        const Slot& slot = bank.slots[i];
        const fabric::WallModes& wall = m.walls[slot.stepper];
        for (std::size_t k = 0; k < wall.size(); ++k) {
            const std::size_t at = slot.first_state + k * slot.stride;
            shift[at] = (end.wall_modes[at] - begin.wall_modes[at]) / (wall.rate_per_s[k] * period_s);
            history[i] += wall.b1[k] * shift[at];
            history[n + i] += wall.b2[k] * shift[at];
        }
    }
    // The answer to these sources alone is the difference between two answers. A zone that is held for part of the time
    // is taken as tied to outdoors, by more the longer; a little air leaves all others, so that there is an answer even
    // where nothing else goes out.
    constexpr double little_kg_per_s = 1e-5, always = 0.98;
    Stage& s = rest.stages[0];
    Orders orders(m.zones.size());
    for (std::size_t z = 0; z < orders.size(); ++z) {
        if (held[z] >= always) {
            orders[z].heat_below_C = orders[z].cool_above_C = 0.0;
            continue;
        }
        double tied_W_per_K = 0.0;
        for (const std::uint32_t f : rest.network.faces_of(z)) tied_W_per_K += bank.area[f] * bank.film[f];
        double ventilation = little_kg_per_s + held[z] / (1.0 - held[z]) * tied_W_per_K / m.air_specific_heat_J_per_kgK;
        for (const Drive& d : m.zones[z].ventilation_kg_per_s) ventilation += d.factor * s.signal[d.signal.index];
        orders[z].ventilation_kg_per_s = ventilation;
        orders[z].supply_W = 0.0;
    }
    rest.solve_at_rest(std::vector<double>(4 * n, 0.0), &orders);
    const std::vector<double> faces = s.face_C, air = s.x.air_C, radiant = s.x.radiant_C;
    rest.solve_at_rest(history, &orders);
    for (std::size_t i = 0; i < n; ++i) {
        const Slot& slot = bank.slots[i];
        const fabric::WallModes& wall = m.walls[slot.stepper];
        const double t1 = s.face_C[i] - faces[i], t2 = s.face_C[n + i] - faces[n + i];
        for (std::size_t k = 0; k < wall.size(); ++k) {
            const std::size_t at = slot.first_state + k * slot.stride;
            end.wall_modes[at] += shift[at] + (wall.b1[k] * t1 + wall.b2[k] * t2) / wall.rate_per_s[k];
        }
    }
    for (std::size_t z = 0; z < m.zones.size(); ++z) {
        if (held[z] >= always) continue;
        end.air_C[z] += s.x.air_C[z] - air[z];
        end.radiant_C[z] += s.x.radiant_C[z] - radiant[z];
    }
}

State HeatBalance::state_at(double temperature_C) const
{
    Prepared& p = *prepared_;
    const std::size_t zones = p.model.zones.size();
    State state{.wall_modes = std::vector<double>(p.bank.state_count(), 0.0)};
    for (const Slot& s : p.bank.slots) {
        if (s.area <= 0.0) continue;
        const auto modes = p.model.walls[s.stepper].steady_states(temperature_C, temperature_C);
        for (std::size_t k = 0; k < modes.size(); ++k) state.wall_modes[s.first_state + k * s.stride] = modes[k];
    }
    state.air_C = state.radiant_C = std::vector<double>(zones, temperature_C);
    state.load_W = state.humidity_ratio = std::vector<double>(zones, 0.0);
    p.sensible_factors.assign(p.model.bodies.size(), 1.0);
    p.read_signals(0, 0.0, p.sensible_factors.data(), p.stages[0].signal);
    p.films.find(std::vector<double>(2 * p.bank.count(), temperature_C), state.air_C, p.stages[0].signal, state.films);
    state.film_trend.assign(state.films.size(), 0.0);
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

State HeatBalance::steady_state() const { return steady_state(0, prepared_->model.steps); }

State HeatBalance::steady_state(std::size_t first_step, std::size_t steps) const
{
    Prepared& rest = prepared_->at_rest();
    rest.take_means(first_step, steps);
    const std::vector<double> history(4 * rest.bank.count(), 0.0);
    rest.solve_at_rest(history, nullptr);
    const Stage& s = rest.stages[0];
    State state{.wall_modes = std::vector<double>(rest.bank.state_count(), 0.0)};
    std::vector<double> unused_history = history, stored(rest.bank.count(), 0.0);
    const double* planes = s.plane_W_per_m2.data();
    rest.bank.advance(state.wall_modes, {s.face_C.data(), s.face_C.data()}, {planes, planes}, unused_history, stored);
    for (auto* row : {&state.air_C, &state.radiant_C, &state.load_W}) row->resize(rest.model.zones.size());
    take(s.x.air_C, state.air_C);
    take(s.x.radiant_C, state.radiant_C);
    take(s.x.load_W, state.load_W);
    state.humidity_ratio = s.humidity_ratio;
    state.linked = s.linked;
    state.films = s.film;
    state.film_trend.assign(state.films.size(), 0.0);
    recall(state);
    return state;
}

} // namespace venture::balance
