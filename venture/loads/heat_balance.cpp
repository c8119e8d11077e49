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

/// Films that go on as they went, by at most a half.
void guess_films(const std::vector<double>& from, const std::vector<double>& trend, double share,
                 std::vector<double>& guess)
{
    guess.resize(from.size());
    for (std::size_t i = 0; i < from.size(); ++i) {
        const double most = 0.5 * from[i];
        guess[i] = from[i] + std::clamp(share * trend[i], -most, most);
    }
}

} // namespace

std::size_t parts_of_step(double step_s)
{
    return step_s <= longest_part_s ? 1 : static_cast<std::size_t>(std::ceil(step_s / usual_part_s - 1e-9));
}

struct HeatBalance::Prepared {
    Prepared(const ThermalModel& m, double part_s, const FilmAccuracy& accuracy)
        : model{m},
          parts{std::isinf(part_s) ? 1 : static_cast<std::size_t>(std::lround(m.step_s / part_s))},
          bank{m, part_s},
          films{m, bank},
          links{m, bank},
          network{m, bank, two_stages::gamma * part_s},
          solver{m, links, two_stages::gamma * part_s},
          tolerance{accuracy}
    {
        for (std::size_t i = 0; i < m.signals.size(); ++i)
            if (const Signal& s = m.signals[i]; s.start.size() > 1 || s.start != s.end) varying.push_back(i);
    }
    /// Wind, shutters and water change what walls and films answer.
    void set_step(std::size_t step)
    {
        const bool films_changed = films.set_step(model, step, bank), water_changed = bank.set_water(model, step);
        if ((!films_changed && !water_changed) || films.vary()) return; // films that vary are eliminated in every stage
        bank.eliminate();
        network.refresh(bank);
    }
    /// Constants are read once.
    void read_signals(std::size_t step, double share, std::vector<double>& out) const
    {
        if (out.size() != model.signals.size() + SurfaceBank::further_signals) {
            out.resize(model.signals.size());
            for (std::size_t i = 0; i < model.signals.size(); ++i) out[i] = model.signals[i].start[0];
            StageSolver::add_further(out);
        }
        for (const std::size_t i : varying) out[i] = model.signals[i].at(step, share);
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
    std::vector<std::size_t> varying{}; ///< signals that are no constants
    std::vector<double> weights{};
    Stage stages[2]{};
    std::vector<double> air_hat{}, humidity_hat{};
};

HeatBalance::HeatBalance(const ThermalModel& model, const FilmAccuracy& films, double part_s)
{
    check_model(model);
    prepared_ = std::make_unique<Prepared>(model, part_s > 0.0 ? part_s : part_of_step_s(model.step_s), films);
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

const std::vector<std::size_t>& HeatBalance::zone_order() const { return prepared_->network.order(); }

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

void HeatBalance::recall(State& state) const
{
    prepared_->bank.recall(state.wall_modes, state.wall_history, state.stored_J_per_m2);
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
    p.read_signals(0, 0.0, p.stages[0].signal);
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

void HeatBalance::advance(State& state, std::size_t step, StepResult& result, const StepOptions& options) const
{
    const Prepared& p = *prepared_;
    const ThermalModel& m = p.model;
    VENTURE_ASSERT(options.orders == nullptr || options.orders->size() == m.zones.size());
    result.zones.assign(m.zones.size(), {});
    result.surfaces.assign(options.account == Account::faces ? m.surfaces.size() : 0, {});
    result.closure_W = result.throughput_W = 0.0;
    result.sweeps = result.film_passes = 0;
    result.settled = true;
    if (options.record != nullptr && options.record->stages == 0) {
        Recording& r = *options.record;
        r = {.stages = 2 * p.parts * m.steps, .zones = m.zones.size(), .films = p.films.values()};
        r.actions.assign(r.stages * r.zones, Action::off);
        r.film_values.assign(r.stages * r.films, 0.0);
    }
    const double before_J = stored_in_walls_J(p.bank, state);
    for (std::size_t z = 0; z < m.zones.size(); ++z) result.zones[z].into_air_capacity_W = -state.air_C[z];
    advance_parts(state, step, &result, options);
    for (std::size_t z = 0; z < m.zones.size(); ++z) {
        double& into_air = result.zones[z].into_air_capacity_W;
        into_air = m.zones[z].air_capacity_J_per_K * (state.air_C[z] + into_air) / m.step_s;
        result.closure_W -= into_air;
    }
    result.closure_W -= (stored_in_walls_J(p.bank, state) - before_J) / m.step_s;
}

void HeatBalance::advance(State& state, std::size_t step, const Recording* replay) const
{
    advance_parts(state, step, nullptr, {.replay = replay});
}

/// @param at  number of the stage among all of the period
void HeatBalance::solve_stage(const State& now, std::size_t stage, std::size_t at, const StepOptions& options) const
{
    Prepared& p = *prepared_;
    Stage& s = p.stages[stage];
    const Stage& first = p.stages[0];
    const bool is_first = stage == 0;
    if (is_first) {
        put(now.air_C, s.x.air_C);
        put(now.radiant_C, s.x.radiant_C);
        put(now.load_W, s.x.load_W);
        s.humidity_ratio = now.humidity_ratio;
        s.linked = now.linked;
        guess_films(now.films, now.film_trend, two_stages::at[0], s.film);
    } else {
        s.x = first.x;
        s.humidity_ratio = first.humidity_ratio;
        s.linked = first.linked;
        guess_films(first.film_found, now.film_trend, 1.0 - two_stages::at[0], s.film);
        carry(now.air_C, first.x.air_C, p.air_hat);
        carry(now.humidity_ratio, first.humidity_ratio, p.humidity_hat);
    }
    StageStart start{is_first ? now.air_C : p.air_hat,
                     is_first ? now.humidity_ratio : p.humidity_hat,
                     now.wall_history,
                     now.wall_modes,
                     options.orders,
                     is_first ? nullptr : &first};
    if (const Recording* r = options.replay) {
        VENTURE_ASSERT(r->zones == now.air_C.size() && r->films == p.films.values() && at < r->stages);
        start.actions = r->actions.data() + at * r->zones;
        start.film = r->film_values.data() + at * r->films;
    }
    p.solver.solve(p.bank, p.network, p.films, p.tolerance, start, s);
    if (Recording* r = options.record) {
        std::copy_n(s.x.action.begin(), r->zones, r->actions.begin() + static_cast<std::ptrdiff_t>(at * r->zones));
        std::copy_n(s.film.begin(), r->films, r->film_values.begin() + static_cast<std::ptrdiff_t>(at * r->films));
    }
}

void HeatBalance::advance_parts(State& now, std::size_t step, StepResult* result, const StepOptions& options) const
{
    Prepared& p = *prepared_;
    VENTURE_ASSERT(now.wall_history.size() == 4 * p.bank.count());
    p.set_step(step);
    const auto parts = static_cast<double>(p.parts);
    for (std::size_t part = 0; part < p.parts; ++part) {
        for (std::size_t stage = 0; stage < 2; ++stage) {
            Stage& s = p.stages[stage];
            p.read_signals(step, (static_cast<double>(part) + two_stages::at[stage]) / parts, s.signal);
            solve_stage(now, stage, 2 * (step * p.parts + part) + stage, options);
            if (result == nullptr) continue;
            const double weight = two_stages::weight[stage] / parts;
            add_loads(s, weight, *result);
            if (options.account >= Account::flows) add_flows(p.model, p.bank, p.network, s, weight, *result);
            if (options.account >= Account::faces) add_faces(p.bank, s, weight, *result);
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
        for (std::size_t i = 0; i < now.films.size(); ++i) now.film_trend[i] = last.film_found[i] - now.films[i];
        now.films = last.film_found;
        now.linked = last.linked;
    }
}

} // namespace venture::loads
