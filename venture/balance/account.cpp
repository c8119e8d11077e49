#include <venture/balance/account.hpp>

#include <algorithm>
#include <cmath>

#include <venture/air/moist_air.hpp>
#include <venture/balance/face_loops.hpp>

namespace venture::balance {

namespace {

/// Through faces without a zone, and what is absorbed by the others.
SumOfFlows flows_into_faces(const SurfaceBank& bank, Stage& s)
{
    if (bank.every_inside_in_zone)
        return sum_of_flows(bank.count(), {bank.y[0].data(), bank.y[1].data(), bank.y[2].data()}, s.face_C.data(),
                            s.answer.data(), bank.area.data(), bank.in_zone.data(), s.absorbed.data());
    StageSolver::find_fluxes(bank, s);
    return sum_of_given_flows(2 * bank.count(), s.flux.data(), bank.area.data(), bank.in_zone.data(),
                              s.absorbed.data());
}

} // namespace

void add_loads(const Stage& s, double weight, StepResult& r)
{
    for (std::size_t z = 0; z < r.zones.size(); ++z) {
        ZoneStep& zone = r.zones[z];
        const double air = s.x.air_C[z], radiant = s.x.radiant_C[z], load = s.x.load_W[z];
        zone.heating_W += weight * std::max(0.0, load);
        zone.cooling_W += weight * std::max(0.0, -load);
        const double removed = s.removed_kg_per_s[z];
        zone.latent_W += weight * std::max(0.0, removed) * air::latent_heat_of_vaporisation_J_per_kg;
        zone.humidifying_W += weight * std::max(0.0, -removed) * air::latent_heat_of_vaporisation_J_per_kg;
        zone.air_C += weight * air;
        zone.radiant_C += weight * radiant;
        zone.humidity_ratio += weight * s.humidity_ratio[z];
        zone.air_end_C = air;
        zone.radiant_end_C = radiant;
        zone.humidity_ratio_end = s.humidity_ratio[z];
        zone.load_end_W = load;
    }
    for (std::size_t z = 0; z < s.film_residual_W.size(); ++z)
        r.zones[z].film_residual_W = std::max(r.zones[z].film_residual_W, s.film_residual_W[z]);
    r.sweeps = std::max(r.sweeps, s.solved.sweeps);
    r.settled = r.settled && s.solved.settled;
    r.film_passes = std::max(r.film_passes, s.film_passes);
}

void add_supply_air(const ThermalModel& m, const StageSolver& solver, const Stage& s, double weight, StepResult& r)
{
    const std::vector<std::uint32_t>& zones = solver.zones_with_air();
    const double cp = m.air_specific_heat_J_per_kgK;
    for (std::size_t i = 0; i < zones.size(); ++i) {
        const std::size_t z = zones[i];
        const SupplyAirDrive& drive = s.drives.supply_air[i];
        const AirFlow& flow = s.x.air_flow[i];
        const StageSolver::MoistureBrought water = solver.moisture_brought(i, s);
        const double heat_W = s.x.air_supply_W[i], leaves_C = s.x.air_C[m.zones[z].supply_air->leaves_from.value_or(z)];
        ZoneStep& zone = r.zones[z];
        zone.supply_air_kg_per_s += weight * flow.W_per_K / cp;
        zone.supply_air_W += weight * heat_W;
        zone.supply_moisture_kg_per_s += weight * (water.in_kg_per_s - water.out_kg_per_s * s.humidity_ratio[z]);
        zone.recovered_W += weight * drive.least_W_per_K * flow.recovered * (leaves_C - drive.temperature_C);
        r.closure_W += weight * heat_W;
        r.throughput_W += weight * std::abs(heat_W);
    }
}

void add_flows(const ThermalModel& m, const SurfaceBank& bank, const ZoneNetwork& network, const Stage& s,
               double weight, StepResult& r)
{
    std::size_t transfer = 0;
    for (std::size_t z = 0; z < r.zones.size(); ++z) {
        ZoneStep& zone = r.zones[z];
        const double air = s.x.air_C[z], colder_K = s.outdoor_C - air;
        zone.convective_gain_W += weight * s.convective_W[z];
        zone.thermal_bridges_W += weight * m.zones[z].thermal_bridges_W_per_K * colder_K;
        zone.infiltration_W += weight * s.infiltration_W_per_K[z] * colder_K;
        zone.ventilation_W += weight * s.ventilation_W_per_K[z] * colder_K;
        for (const TransferAir& from : m.zones[z].transfer_air)
            zone.transfer_W += weight * s.drives.transfer_W_per_K[transfer++] * (s.x.air_C[from.from] - air);
        network.add_flows_from_faces(z, air, s.face_C, bank.warmer, weight, zone.from_faces_W);
    }
}

void add_faces(const SurfaceBank& bank, Stage& s, double weight, StepResult& r)
{
    StageSolver::find_fluxes(bank, s);
    const std::size_t n = bank.count();
    for (std::size_t i = 0; i < n; ++i) {
        const Slot& slot = bank.slots[i];
        if (slot.area <= 0.0) continue; // padding
        SurfaceStep& out = r.surfaces[slot.surface];
        for (std::size_t j = 0; j < 2; ++j) {
            const double t = s.face_C[j * n + i], q = s.flux[j * n + i];
            out.temperature_C[j] += weight * t;
            out.flux_W_per_m2[j] += weight * q;
            out.temperature_end_C[j] = t;
            out.flux_end_W_per_m2[j] = q;
        }
    }
}

void add_throughput(const ThermalModel& m, const SurfaceBank& bank, Stage& s, double weight, StepResult& r)
{
    const SumOfFlows faces = flows_into_faces(bank, s);
    r.closure_W += weight * faces.sum;
    r.throughput_W += weight * faces.magnitudes;
    const auto add = [&](double flow_W) {
        r.closure_W += weight * flow_W;
        r.throughput_W += weight * std::abs(flow_W);
    };
    for (const PlanedSlot& planed : bank.planed) {
        const Slot& slot = bank.slots[planed.slot];
        const auto& given = m.surfaces[slot.surface].sources_W;
        for (std::size_t p = 0; p < bank.steppers[slot.stepper].planes(); ++p) {
            add(slot.area * s.water[planed.first_plane + p]);
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

double stored_in_walls_J(const SurfaceBank& bank, const State& state)
{
    return sum_of_products(bank.count(), bank.area.data(), state.stored_J_per_m2.data());
}

} // namespace venture::balance
