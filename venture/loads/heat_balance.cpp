#include <venture/loads/heat_balance.hpp>

#include <algorithm>
#include <cmath>
#include <limits>

#include <venture/air/moist_air.hpp>
#include <venture/loads/stage.hpp>
#include <venture/quantity/error.hpp>

namespace venture::loads {

namespace two_stages = fabric::two_stages;
using namespace detail; // NOLINT(google-build-using-namespace): the stage belongs to this module

namespace {

/// Where a zone's supply goes, and whose it is.
void check_supply(const ThermalModel& model, const Zone& z)
{
    using quantity::check_range;
    const std::string where = "zone '" + z.id + "'";
    for (const PlaneShare& to : z.plane_shares) {
        check_range(where, "surface that takes supply", static_cast<double>(to.surface),
                    {0.0, static_cast<double>(model.surfaces.size()) - 1.0}, "");
        check_range(where, "plane that takes supply", static_cast<double>(to.plane),
                    {0.0, static_cast<double>(model.walls[model.surfaces[to.surface].wall].planes.size()) - 1.0}, "");
        check_range(where, "share of a plane", to.share, {0.0, 1.0}, "");
    }
    check_range(where, "radiant share of the supply", z.radiant_share(), {0.0, 1.0}, "");
    if (!z.follows) return;
    check_range(where, "zone that it follows", static_cast<double>(z.follows->zone),
                {0.0, static_cast<double>(model.zones.size()) - 1.0}, "");
    check_range(where, "ratio to that zone's supply", z.follows->ratio, {0.0, 1e6}, "");
}

void check_model(const ThermalModel& model)
{
    using quantity::check_range;
    const auto zones = static_cast<double>(model.zones.size());
    for (const Surface& s : model.surfaces) {
        check_range("surface '" + s.id + "'", "area", s.area_m2, {1e-9, 1e9}, "m2");
        check_range("surface '" + s.id + "'", "wall", static_cast<double>(s.wall),
                    {0.0, static_cast<double>(model.walls.size()) - 1.0}, "");
        check_range("surface '" + s.id + "'", "sources", static_cast<double>(s.sources_W.size()),
                    {0.0, static_cast<double>(model.walls[s.wall].planes.size())}, "");
        if (s.water)
            check_range("surface '" + s.id + "'", "plane with water", static_cast<double>(s.water->plane),
                        {0.0, static_cast<double>(model.walls[s.wall].planes.size()) - 1.0}, "");
        for (const Face* face : {&s.outside, &s.inside}) {
            if (const auto* z = std::get_if<ZoneFace>(face)) {
                check_range("surface '" + s.id + "'", "zone", static_cast<double>(z->zone), {0.0, zones - 1.0}, "");
                check_range("surface '" + s.id + "'", "convective film", z->convective_W_per_m2K, {0.0, 1e4}, "W/m2K");
                check_range("surface '" + s.id + "'", "radiative film", z->radiative_W_per_m2K, {0.0, 1e4}, "W/m2K");
            }
        }
    }
    for (const Zone& z : model.zones) {
        check_range("zone '" + z.id + "'", "air capacity", z.air_capacity_J_per_K, {0.0, 1e15}, "J/K");
        check_range("zone '" + z.id + "'", "thermal bridges", z.thermal_bridges_W_per_K, {0.0, 1e9}, "W/K");
        check_range("zone '" + z.id + "'", "radiant weight of control", z.radiant_weight, {0.0, 1.0}, "");
        check_range("zone '" + z.id + "'", "convective share", z.convective_share, {0.0, 1.0}, "");
        check_supply(model, z);
        for (const TransferAir& air : z.transfer_air)
            check_range("zone '" + z.id + "'", "zone that air comes from", static_cast<double>(air.from),
                        {0.0, zones - 1.0}, "");
    }
}

/// x + carry_over (x1 - x), element by element.
void carry(const std::vector<double>& x, const std::vector<double>& x1, std::vector<double>& out)
{
    out.resize(x.size());
    for (std::size_t i = 0; i < x.size(); ++i) out[i] = x[i] + two_stages::carry_over * (x1[i] - x[i]);
}

/// Adds one stage to the step's means.
void add_zones(const ThermalModel& m, const Stage& s, double weight, StepResult& r)
{
    std::size_t transfer = 0;
    for (std::size_t z = 0; z < r.zones.size(); ++z) {
        ZoneStep& zone = r.zones[z];
        const double air = s.x.air_C[z], load = s.x.load_W[z];
        zone.heating_W += weight * std::max(0.0, load);
        zone.cooling_W += weight * std::max(0.0, -load);
        zone.latent_W += weight * s.removed_kg_per_s[z] * air::latent_heat_of_vaporisation_J_per_kg;
        zone.air_C += weight * air;
        zone.radiant_C += weight * s.x.radiant_C[z];
        zone.humidity_ratio += weight * s.humidity_ratio[z];
        zone.convective_gain_W += weight * s.convective_W[z];
        zone.thermal_bridges_W += weight * m.zones[z].thermal_bridges_W_per_K * (s.outdoor_C - air);
        zone.infiltration_W += weight * s.infiltration_W_per_K[z] * (s.outdoor_C - air);
        zone.ventilation_W += weight * s.ventilation_W_per_K[z] * (s.outdoor_C - air);
        for (const TransferAir& from : m.zones[z].transfer_air)
            zone.transfer_W += weight * s.drives.transfer_W_per_K[transfer++] * (s.x.air_C[from.from] - air);
        zone.air_end_C = air;
        zone.radiant_end_C = s.x.radiant_C[z];
        zone.load_end_W = load;
    }
}

void add_surfaces(const ThermalModel& m, const SurfaceBank& bank, const Stage& s, double weight, StepResult& r)
{
    const std::size_t n = bank.slots.size();
    for (std::size_t i = 0; i < n; ++i) {
        const StageSurface& slot = bank.slots[i];
        if (slot.area <= 0.0) continue; // padding
        SurfaceStep& out = r.surfaces[slot.surface];
        for (std::size_t j = 0; j < 2; ++j) {
            const double t = s.face_C[j * n + i], q = s.flux[j * n + i];
            out.temperature_C[j] += weight * t;
            out.flux_W_per_m2[j] += weight * q;
            out.temperature_end_C[j] = t;
            out.flux_end_W_per_m2[j] = q;
            if (slot.face[j].zone < 0) continue;
            const auto z = static_cast<std::size_t>(slot.face[j].zone);
            r.zones[z].from_faces_W[static_cast<std::size_t>(m.surfaces[slot.surface].part)] +=
                weight * slot.area * slot.face[j].convective * (t - s.x.air_C[z]);
        }
    }
}

/// Heat that enters the whole model during a stage: through faces without a zone, by sun, gains, air and supply.
void add_throughput(const ThermalModel& m, const SurfaceBank& bank, const Stage& s, double weight, StepResult& r)
{
    const auto add = [&](double flow_W) {
        r.closure_W += weight * flow_W;
        r.throughput_W += weight * std::abs(flow_W);
    };
    const std::size_t n = bank.slots.size();
    for (std::size_t i = 0; i < n; ++i) {
        const StageSurface& slot = bank.slots[i];
        for (std::size_t j = 0; j < 2; ++j)
            add(slot.area * (slot.face[j].zone < 0 ? s.flux[j * n + i] : s.absorbed[j * n + i]));
        if (slot.first_plane < 0) continue;
        const auto first = static_cast<std::size_t>(slot.first_plane);
        const auto& given = m.surfaces[slot.surface].sources_W;
        for (std::size_t p = 0; p < bank.steppers[slot.stepper].planes(); ++p) {
            add(slot.area * s.water[first + p]);
            if (p < given.size())
                for (const Drive& d : given[p]) add(d.factor * s.signal[d.signal.index]);
        }
    }
    std::size_t transfer = 0;
    for (std::size_t z = 0; z < r.zones.size(); ++z) {
        const double air = s.x.air_C[z];
        add(s.convective_W[z]);
        add((s.infiltration_W_per_K[z] + s.ventilation_W_per_K[z] + m.zones[z].thermal_bridges_W_per_K) *
            (s.outdoor_C - air));
        for (const TransferAir& from : m.zones[z].transfer_air)
            add(s.drives.transfer_W_per_K[transfer++] * (s.x.air_C[from.from] - air));
        add(s.x.load_W[z]);
    }
}

} // namespace

std::size_t parts_of_step(double step_s)
{
    return step_s <= longest_part_s ? 1 : static_cast<std::size_t>(std::ceil(step_s / usual_part_s - 1e-9));
}

struct HeatBalance::Prepared {
    explicit Prepared(const ThermalModel& m)
        : model{m},
          parts{parts_of_step(m.step_s)},
          bank{m, part_of_step_s(m.step_s)},
          network{m, two_stages::gamma * part_of_step_s(m.step_s)},
          solver{m, two_stages::gamma * part_of_step_s(m.step_s)}
    {
        network.build(bank);
        weights.assign(bank.state_count(), 1.0);
        for (const StageSurface& s : bank.slots)
            for (std::size_t k = 0; s.area > 0.0 && k < bank.modes_of(s); ++k)
                weights[s.first_state + k * s.stride] = std::sqrt(s.area);
    }
    /// Water that starts or stops to flow changes what walls answer.
    void set_step(std::size_t step)
    {
        if (bank.set_water(model, step)) network.build(bank);
    }
    void read_signals(std::size_t step, double share, std::vector<double>& out) const
    {
        out.resize(model.signals.size());
        for (std::size_t i = 0; i < out.size(); ++i) out[i] = model.signals[i].at(step, share);
    }

    const ThermalModel& model;
    std::size_t parts;
    SurfaceBank bank;
    ZoneNetwork network;
    StageSolver solver;
    std::vector<double> weights{};
    Stage stages[2]{};
    std::vector<double> air_hat{}, humidity_hat{}, faces{}, planes{};
};

HeatBalance::HeatBalance(const ThermalModel& model)
{
    check_model(model);
    prepared_ = std::make_unique<Prepared>(model);
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
    for (const StageSurface& s : p.bank.slots) {
        if (s.area <= 0.0) continue;
        const auto modes = p.model.walls[s.stepper].steady_states(temperature_C, temperature_C);
        for (std::size_t k = 0; k < modes.size(); ++k) state.wall_modes[s.first_state + k * s.stride] = modes[k];
    }
    state.air_C = state.radiant_C = std::vector<double>(zones, temperature_C);
    state.load_W = state.humidity_ratio = std::vector<double>(zones, 0.0);
    recall(state);
    return state;
}

std::vector<double> HeatBalance::wall_modes_of(const State& state, std::size_t surface) const
{
    std::vector<double> out;
    for (const StageSurface& s : prepared_->bank.slots)
        if (s.surface == surface && s.area > 0.0)
            for (std::size_t k = 0; k < prepared_->bank.modes_of(s); ++k)
                out.push_back(state.wall_modes[s.first_state + k * s.stride]);
    return out;
}

State HeatBalance::steady_state() const
{
    Prepared& p = *prepared_;
    const ThermalModel& m = p.model;
    constexpr double forever = std::numeric_limits<double>::infinity();
    SurfaceBank bank{m, forever};
    (void)bank.set_water(m, 0);
    ZoneNetwork network{m, forever};
    network.build(bank);
    Stage s;
    for (const Signal& signal : m.signals) s.signal.push_back(signal.mean());
    const std::vector<double> nothing(m.zones.size(), 0.0), history(4 * bank.slots.size(), 0.0);
    State state{.wall_modes = std::vector<double>(bank.state_count(), 0.0)};
    s.x = {nothing, nothing, nothing};
    StageSolver{m, forever}.solve(bank, network, {nothing, nothing, history, state.wall_modes}, s);
    std::vector<double> faces = s.face_C, planes = s.plane_W_per_m2, unused_history = history,
                        stored(bank.slots.size(), 0.0);
    faces.insert(faces.end(), s.face_C.begin(), s.face_C.end());
    planes.insert(planes.end(), s.plane_W_per_m2.begin(), s.plane_W_per_m2.end());
    bank.advance(state.wall_modes, faces, planes, unused_history, stored);
    state.air_C = s.x.air_C;
    state.radiant_C = s.x.radiant_C;
    state.load_W = s.x.load_W;
    state.humidity_ratio = s.humidity_ratio;
    recall(state);
    return state;
}

State HeatBalance::advance(const State& from, std::size_t step, StepResult& result) const
{
    const ThermalModel& m = prepared_->model;
    result.zones.assign(m.zones.size(), {});
    result.surfaces.assign(m.surfaces.size(), {});
    result.closure_W = result.throughput_W = 0.0;
    result.sweeps = 0;
    result.settled = true;
    State now = advance(from, step, &result);
    for (std::size_t z = 0; z < m.zones.size(); ++z) {
        result.zones[z].into_air_capacity_W =
            m.zones[z].air_capacity_J_per_K * (now.air_C[z] - from.air_C[z]) / m.step_s;
        result.closure_W -= result.zones[z].into_air_capacity_W;
    }
    for (std::size_t i = 0; i < prepared_->bank.slots.size(); ++i)
        result.closure_W -=
            prepared_->bank.slots[i].area * (now.stored_J_per_m2[i] - from.stored_J_per_m2[i]) / m.step_s;
    return now;
}

State HeatBalance::advance(const State& from, std::size_t step) const { return advance(from, step, nullptr); }

State HeatBalance::advance(const State& from, std::size_t step, StepResult* result) const
{
    VENTURE_ASSERT(from.wall_history.size() == 4 * prepared_->bank.slots.size());
    prepared_->set_step(step);
    State now = from;
    for (std::size_t part = 0; part < prepared_->parts; ++part) advance_part(now, step, part, result);
    return now;
}

void HeatBalance::advance_part(State& now, std::size_t step, std::size_t part, StepResult* result) const
{
    Prepared& p = *prepared_;
    const auto parts = static_cast<double>(p.parts);
    p.faces.clear();
    p.planes.clear();
    for (std::size_t stage = 0; stage < 2; ++stage) {
        Stage& s = p.stages[stage];
        p.read_signals(step, (static_cast<double>(part) + two_stages::at[stage]) / parts, s.signal);
        const bool first = stage == 0;
        if (first) {
            s.x = {now.air_C, now.radiant_C, now.load_W};
            s.humidity_ratio = now.humidity_ratio;
        } else {
            s.x = p.stages[0].x;
            s.humidity_ratio = p.stages[0].humidity_ratio;
            carry(now.air_C, p.stages[0].x.air_C, p.air_hat);
            carry(now.humidity_ratio, p.stages[0].humidity_ratio, p.humidity_hat);
        }
        p.solver.solve(p.bank, p.network,
                       {first ? now.air_C : p.air_hat, first ? now.humidity_ratio : p.humidity_hat, now.wall_history,
                        now.wall_modes, first ? nullptr : &p.stages[0]},
                       s);
        p.faces.insert(p.faces.end(), s.face_C.begin(), s.face_C.end());
        p.planes.insert(p.planes.end(), s.plane_W_per_m2.begin(), s.plane_W_per_m2.end());
        if (result == nullptr) continue;
        const double weight = two_stages::weight[stage] / parts;
        add_zones(p.model, s, weight, *result);
        add_surfaces(p.model, p.bank, s, weight, *result);
        add_throughput(p.model, p.bank, s, weight, *result);
        result->sweeps = std::max(result->sweeps, s.solved.sweeps);
        result->settled = result->settled && s.solved.settled;
    }
    p.bank.advance(now.wall_modes, p.faces, p.planes, now.wall_history, now.stored_J_per_m2);
    const Stage& last = p.stages[1];
    now.air_C = last.x.air_C;
    now.radiant_C = last.x.radiant_C;
    now.load_W = last.x.load_W;
    now.humidity_ratio = last.humidity_ratio;
}

} // namespace venture::loads
