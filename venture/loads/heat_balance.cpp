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
    }
}

Supply first_supply(const Zone& zone)
{
    const bool held = zone.heat_below_C && zone.cool_above_C && *zone.heat_below_C == *zone.cool_above_C;
    return held ? Supply::holds : Supply::none;
}

/// x + carry_over (x1 - x), element by element.
std::vector<double> carried(const std::vector<double>& x, const std::vector<double>& x1)
{
    std::vector<double> out(x.size());
    for (std::size_t i = 0; i < x.size(); ++i) out[i] = x[i] + two_stages::carry_over * (x1[i] - x[i]);
    return out;
}

/// Adds one stage to the step's means.
void add_zones(const StageKernel& k, const StageForcing& f, const StageSolution& x, double weight, StepResult& r)
{
    for (std::size_t z = 0; z < r.zones.size(); ++z) {
        ZoneStep& zone = r.zones[z];
        zone.heating_W += weight * std::max(0.0, x.load_W[z]);
        zone.cooling_W += weight * std::max(0.0, -x.load_W[z]);
        zone.latent_W += weight * x.removed_kg_per_s[z] * air::latent_heat_of_vaporisation_J_per_kg;
        zone.air_C += weight * x.air_C[z];
        zone.radiant_C += weight * x.radiant_C[z];
        zone.humidity_ratio += weight * x.humidity_ratio[z];
        zone.convective_gain_W += weight * f.convective_W[z];
        zone.thermal_bridges_W += weight * k.model.zones[z].thermal_bridges_W_per_K * (f.outdoor_C - x.air_C[z]);
        zone.infiltration_W += weight * f.infiltration_W_per_K[z] * (f.outdoor_C - x.air_C[z]);
        zone.ventilation_W += weight * f.ventilation_W_per_K[z] * (f.outdoor_C - x.air_C[z]);
        zone.air_end_C = x.air_C[z];
        zone.radiant_end_C = x.radiant_C[z];
        zone.load_end_W = x.load_W[z];
    }
    for (std::size_t i = 0; i < k.surfaces.size(); ++i) {
        const StageSurface& s = k.surfaces[i];
        for (std::size_t j = 0; j < 2; ++j) {
            SurfaceStep& out = r.surfaces[i];
            const double t = x.face_C[2 * i + j], q = x.flux[2 * i + j];
            out.temperature_C[j] += weight * t;
            out.flux_W_per_m2[j] += weight * q;
            out.temperature_end_C[j] = t;
            out.flux_end_W_per_m2[j] = q;
            if (s.face[j].zone < 0) continue;
            const auto z = static_cast<std::size_t>(s.face[j].zone);
            r.zones[z].from_faces_W[static_cast<std::size_t>(k.model.surfaces[i].part)] +=
                weight * s.area * s.face[j].convective * (t - x.air_C[z]);
        }
    }
}

/// Heat that enters the whole model during a stage: through faces without a zone, by sun, gains, air and supply.
void add_throughput(const StageKernel& k, const StageForcing& f, const StageSolution& x, double weight, StepResult& r)
{
    const auto add = [&](double flow_W) {
        r.closure_W += weight * flow_W;
        r.throughput_W += weight * std::abs(flow_W);
    };
    for (std::size_t i = 0; i < k.surfaces.size(); ++i)
        for (std::size_t j = 0; j < 2; ++j) {
            const StageSurface& s = k.surfaces[i];
            add(s.area * (s.face[j].zone < 0 ? x.flux[2 * i + j] : f.absorbed[2 * i + j]));
        }
    for (std::size_t i = 0; i < k.surfaces.size(); ++i) {
        const StageSurface& s = k.surfaces[i];
        for (std::size_t p = 0; p < k.walls[s.wall].planes.size(); ++p) add(s.area * f.sources[s.first_source + p]);
    }
    for (std::size_t z = 0; z < r.zones.size(); ++z) {
        add(f.convective_W[z]);
        add(f.outdoor_W_per_K[z] * (f.outdoor_C - x.air_C[z]));
        add(x.load_W[z]);
    }
}

/// Heat that one state holds more than another. Taken from the differences, so nothing large cancels.
double stored_more_J(const StageKernel& k, const State& now, const State& before)
{
    double sum = 0.0;
    for (const StageSurface& s : k.surfaces) {
        const double* share = k.model.walls[s.wall].s.data();
        const double* after = now.wall_modes.data() + s.first_mode;
        const double* from = before.wall_modes.data() + s.first_mode;
        double of_surface = 0.0;
        for (std::size_t m = 0; m < s.modes; ++m) of_surface += share[m] * (after[m] - from[m]);
        sum += s.area * of_surface;
    }
    for (std::size_t z = 0; z < now.air_C.size(); ++z)
        sum += k.model.zones[z].air_capacity_J_per_K * (now.air_C[z] - before.air_C[z]);
    return sum;
}

} // namespace

struct HeatBalance::Prepared {
    explicit Prepared(const ThermalModel& model)
        : step{model, two_stages::gamma * model.step_s},
          steady{model, std::numeric_limits<double>::infinity()}
    {
        for (const StageSurface& s : step.surfaces)
            for (std::size_t m = 0; m < s.modes; ++m) weights.push_back(std::sqrt(s.area));
    }
    StageKernel step, steady;
    std::vector<double> weights{};
    std::vector<StageForcing> forcing{}; ///< of every stage of the period, once it has been needed

    /// A day is repeated many times over under the same forcing; long periods are not kept.
    const StageForcing& forcing_of(std::size_t step_index, std::size_t stage)
    {
        constexpr std::size_t longest_kept = 1440;
        const std::size_t at = step.model.steps <= longest_kept ? 2 * step_index + stage : 0;
        if (forcing.size() <= at) forcing.resize(step.model.steps <= longest_kept ? 2 * step.model.steps : 1);
        StageForcing& kept = forcing[at];
        if (kept.drive.empty() || step.model.steps > longest_kept)
            kept = forcing_at(step, step_index, two_stages::at[stage]);
        return kept;
    }
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

State HeatBalance::steady_state() const
{
    StageKernel& k = prepared_->steady;
    const ThermalModel& m = k.model;
    const StageForcing f = mean_forcing(k);
    State state{.wall_modes = std::vector<double>(k.mode_count(), 0.0)};
    for (const Zone& zone : m.zones) state.supply.push_back(first_supply(zone));
    const std::vector<double> nothing(m.zones.size(), 0.0);
    const StageSolution x = solve_stage(k, f, state.wall_modes, nothing, nothing, state.supply);
    state.wall_modes = stage_modes(k, f, state.wall_modes, x);
    state.air_C = x.air_C;
    state.humidity_ratio = x.humidity_ratio;
    state.supply = x.supply;
    return state;
}

State HeatBalance::advance(const State& from, std::size_t step, StepResult& result) const
{
    const ThermalModel& m = prepared_->step.model;
    result.zones.assign(m.zones.size(), {});
    result.surfaces.assign(m.surfaces.size(), {});
    result.closure_W = result.throughput_W = 0.0;
    result.supply_passes = 0;
    result.supply_settled = true;
    State now = advance(from, step, &result);
    for (std::size_t z = 0; z < m.zones.size(); ++z)
        result.zones[z].into_air_capacity_W =
            m.zones[z].air_capacity_J_per_K * (now.air_C[z] - from.air_C[z]) / m.step_s;
    result.closure_W -= stored_more_J(prepared_->step, now, from) / m.step_s;
    return now;
}

State HeatBalance::advance(const State& from, std::size_t step) const { return advance(from, step, nullptr); }

State HeatBalance::advance(const State& from, std::size_t step, StepResult* result) const
{
    StageKernel& k = prepared_->step;
    State now = from;
    std::vector<double> zhat = from.wall_modes, air_hat = from.air_C, w_hat = from.humidity_ratio;
    for (std::size_t stage = 0; stage < 2; ++stage) {
        const StageForcing& f = prepared_->forcing_of(step, stage);
        StageSolution x = solve_stage(k, f, zhat, air_hat, w_hat, now.supply);
        now.wall_modes = stage_modes(k, f, zhat, x);
        if (result != nullptr) {
            add_zones(k, f, x, two_stages::weight[stage], *result);
            add_throughput(k, f, x, two_stages::weight[stage], *result);
            result->supply_passes += x.passes;
            result->supply_settled = result->supply_settled && x.settled;
        }
        now.air_C = std::move(x.air_C);
        now.humidity_ratio = std::move(x.humidity_ratio);
        now.supply = std::move(x.supply);
        if (stage == 0) {
            zhat = carried(from.wall_modes, now.wall_modes);
            air_hat = carried(from.air_C, now.air_C);
            w_hat = carried(from.humidity_ratio, now.humidity_ratio);
        }
    }
    return now;
}

} // namespace venture::loads
