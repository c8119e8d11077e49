#include <venture/balance/heat_balance.hpp>

#include <algorithm>
#include <cmath>

#include <venture/balance/account.hpp>
#include <venture/balance/check_model.hpp>
#include <venture/balance/prepared.hpp>
#include <venture/quantity/error.hpp>

namespace venture::balance {

namespace two_stages = fabric::two_stages;

namespace {

/// x + carry_over (x1 - x), element by element.
void carry(const std::vector<double>& x, const std::vector<double>& x1, std::vector<double>& out)
{
    out.resize(x.size());
    for (std::size_t i = 0; i < x.size(); ++i) out[i] = x[i] + two_stages::carry_over * (x1[i] - x[i]);
}

/// What zones and faces are like at a stage.
void record_faces(const SurfaceBank& bank, std::size_t surfaces, std::size_t at, Stage& s, Recording& r)
{
    std::copy_n(s.x.air_C.begin(), r.zones, r.air_C.begin() + static_cast<std::ptrdiff_t>(at * r.zones));
    StageSolver::find_fluxes(bank, s);
    const std::size_t n = bank.count();
    for (std::size_t i = 0; i < n; ++i) {
        if (bank.slots[i].area <= 0.0) continue; // padding
        for (std::size_t side = 0; side < 2; ++side) {
            const std::size_t to = 2 * (at * surfaces + bank.slots[i].surface) + side;
            r.face_C[to] = s.face_C[side * n + i];
            r.flux_W_per_m2[to] = s.flux[side * n + i];
        }
    }
}

/// A row with a zero behind it.
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

const std::vector<FaceAt>& HeatBalance::convective_faces() const { return prepared_->films.convective_faces(); }

void HeatBalance::recall(State& state) const
{
    prepared_->bank.recall(state.wall_modes, state.wall_history, state.stored_J_per_m2);
}

void HeatBalance::advance(State& state, std::size_t step, StepResult& result, const StepOptions& options) const
{
    const Prepared& p = *prepared_;
    const ThermalModel& m = p.model;
    VENTURE_ASSERT(options.orders == nullptr || options.orders->size() == m.zones.size());
    result.zones.assign(m.zones.size(), {});
    result.surfaces.assign(options.account == Account::faces ? m.surfaces.size() : 0, {});
    result.closure_W = result.throughput_W = 0.0;
    result.sensible_factors.assign(m.bodies.size(), 0.0);
    result.sweeps = result.film_passes = 0;
    result.settled = true;
    if (options.record != nullptr && options.record->stages == 0) {
        Recording& r = *options.record;
        const bool with_faces = r.with_faces;
        r = {.stages = 2 * p.parts * m.steps, .zones = m.zones.size(), .films = p.films.values()};
        r.with_faces = with_faces;
        if (with_faces) {
            r.air_C.assign(r.stages * r.zones, 0.0);
            for (auto* per_face : {&r.face_C, &r.flux_W_per_m2})
                per_face->assign(r.stages * 2 * m.surfaces.size(), 0.0);
        }
        r.actions.assign(r.stages * r.zones, Action::off);
        r.film_values.assign(r.stages * r.films, 0.0);
        r.bodies = m.bodies.size();
        r.sensible_factors.assign(r.stages * r.bodies, 1.0);
        r.supplies = p.solver.zones_with_air().size();
        r.air_flows.assign(r.stages * r.supplies, {});
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
        VENTURE_ASSERT(r->zones == now.air_C.size() && r->films == p.films.values() &&
                       r->bodies == p.model.bodies.size() && r->supplies == p.solver.zones_with_air().size() &&
                       at < r->stages);
        start.actions = r->actions.data() + at * r->zones;
        start.film = r->film_values.data() + at * r->films;
        start.air_flows = r->air_flows.data() + at * r->supplies;
    }
    p.solver.solve(p.bank, p.network, p.films, p.tolerance, start, s);
    if (Recording* r = options.record) {
        std::copy_n(s.x.action.begin(), r->zones, r->actions.begin() + static_cast<std::ptrdiff_t>(at * r->zones));
        std::copy_n(s.film.begin(), r->films, r->film_values.begin() + static_cast<std::ptrdiff_t>(at * r->films));
        std::copy_n(p.sensible_factors.begin(), r->bodies,
                    r->sensible_factors.begin() + static_cast<std::ptrdiff_t>(at * r->bodies));
        std::copy_n(s.x.air_flow.begin(), r->supplies,
                    r->air_flows.begin() + static_cast<std::ptrdiff_t>(at * r->supplies));
        if (r->with_faces) record_faces(p.bank, p.model.surfaces.size(), at, s, *r);
    }
}

void HeatBalance::advance_parts(State& now, std::size_t step, StepResult* result, const StepOptions& options) const
{
    Prepared& p = *prepared_;
    VENTURE_ASSERT(now.wall_history.size() == 4 * p.bank.count());
    p.set_step(step);
    const auto parts = static_cast<double>(p.parts);
    for (std::size_t part = 0; part < p.parts; ++part) {
        p.find_sensible_factors(now.air_C);
        for (std::size_t b = 0; result != nullptr && b < p.sensible_factors.size(); ++b)
            result->sensible_factors[b] += p.sensible_factors[b] / parts;
        for (std::size_t stage = 0; stage < 2; ++stage) {
            Stage& s = p.stages[stage];
            const std::size_t at = 2 * (step * p.parts + part) + stage;
            if (options.replay != nullptr && !p.sensible_factors.empty())
                std::copy_n(&options.replay->sensible_factors[at * p.sensible_factors.size()],
                            p.sensible_factors.size(), p.sensible_factors.begin());
            p.read_signals(step, (static_cast<double>(part) + two_stages::at[stage]) / parts, p.sensible_factors.data(),
                           s.signal);
            solve_stage(now, stage, at, options);
            if (result == nullptr) continue;
            const double weight = two_stages::weight[stage] / parts;
            add_loads(s, weight, *result);
            add_supply_air(p.model, p.solver, s, weight, *result);
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

} // namespace venture::balance
