#include <venture/loads/stage.hpp>

#include <algorithm>
#include <cmath>
#include <limits>

namespace venture::loads::detail {

namespace {

constexpr double infinity = std::numeric_limits<double>::infinity();

double sum_of(const Drives& drives, const std::vector<double>& signal)
{
    double sum = 0.0;
    for (const Drive& d : drives) sum += d.factor * signal[d.signal.index];
    return sum;
}

double value_or(const std::optional<SignalId>& id, const std::vector<double>& signal, double otherwise)
{
    return id ? signal[id->index] : otherwise;
}

} // namespace

double StageSolver::storage(double capacity) const { return std::isinf(stage_s_) ? 0.0 : capacity / stage_s_; }

void StageSolver::solve(const SurfaceBank& bank, const ZoneNetwork& network, const StageStart& start, Stage& s) const
{
    find_drives(network, start, s);
    find_answers(bank, start, s);
    find_bases(bank, network, s);
    sum_into_zones(bank, network, s);
    s.solved = network.solve(s.drives, s.x);
    find_faces(bank, network, s);
    find_moisture(start, s);
}

/// What does not depend on any surface.
void StageSolver::find_drives(const ZoneNetwork& network, const StageStart& start, Stage& s) const
{
    const std::size_t n = model_.zones.size();
    ZoneDrives& d = s.drives;
    for (auto* all : {&s.convective_W, &s.radiant_W, &s.infiltration_W_per_K, &s.ventilation_W_per_K, &d.air_W,
                      &d.radiant_W, &d.out_W_per_K, &d.heat_below, &d.cool_above, &d.most_heating, &d.most_cooling})
        all->resize(n);
    d.transfer_W_per_K.clear();
    s.outdoor_C = s.signal[model_.outdoor_air_C.index];
    s.outdoor_w = s.signal[model_.outdoor_humidity_ratio.index];
    const double cp = model_.air_specific_heat_J_per_kgK;
    for (std::size_t z = 0; z < n; ++z) {
        const Zone& zone = model_.zones[z];
        s.convective_W[z] = sum_of(zone.convective_gain_W, s.signal);
        s.radiant_W[z] = sum_of(zone.radiant_gain_W, s.signal);
        if (network.area_m2(z) <= 0.0) { // no face to fall on
            s.convective_W[z] += s.radiant_W[z];
            s.radiant_W[z] = 0.0;
        }
        s.infiltration_W_per_K[z] = sum_of(zone.infiltration_kg_per_s, s.signal) * cp;
        s.ventilation_W_per_K[z] = sum_of(zone.ventilation_kg_per_s, s.signal) * cp;
        const double to_outdoors = s.infiltration_W_per_K[z] + s.ventilation_W_per_K[z] + zone.thermal_bridges_W_per_K;
        d.out_W_per_K[z] = to_outdoors;
        for (const TransferAir& air : zone.transfer_air) {
            d.transfer_W_per_K.push_back(sum_of(air.kg_per_s, s.signal) * cp);
            d.out_W_per_K[z] += d.transfer_W_per_K.back();
        }
        d.air_W[z] =
            storage(zone.air_capacity_J_per_K) * start.air_hat[z] + to_outdoors * s.outdoor_C + s.convective_W[z];
        d.heat_below[z] = value_or(zone.heat_below_C, s.signal, -infinity);
        d.cool_above[z] = value_or(zone.cool_above_C, s.signal, infinity);
        d.most_heating[z] = value_or(zone.most_heating_W, s.signal, infinity);
        d.most_cooling[z] = value_or(zone.most_cooling_W, s.signal, infinity);
    }
}

/// What walls send to their faces of themselves: their history, given sources, water in them.
void StageSolver::find_answers(const SurfaceBank& bank, const StageStart& start, Stage& s) const
{
    const std::size_t n = bank.slots.size(), stage = start.first == nullptr ? 0 : 1;
    s.answer.assign(start.history.begin() + static_cast<std::ptrdiff_t>(2 * stage * n),
                    start.history.begin() + static_cast<std::ptrdiff_t>(2 * (stage + 1) * n));
    s.plane_W_per_m2.assign(bank.plane_count, 0.0);
    s.plane_history.assign(bank.plane_count, 0.0);
    s.water.assign(bank.plane_count, 0.0);
    for (std::size_t i = 0; i < n; ++i) {
        const StageSurface& slot = bank.slots[i];
        const fabric::WallStepper& wall = bank.steppers[slot.stepper];
        double* answer[2] = {&s.answer[i], &s.answer[n + i]};
        if (start.first != nullptr) {
            const double t1 = start.first->face_C[i], t2 = start.first->face_C[n + i];
            for (std::size_t j = 0; j < 2; ++j) *answer[j] += wall.carry(j, 0) * t1 + wall.carry(j, 1) * t2;
        }
        if (slot.first_plane < 0) continue;
        const auto first = static_cast<std::size_t>(slot.first_plane);
        const Surface& given = model_.surfaces[slot.surface];
        const double* states = start.wall_states.data() + slot.first_state;
        for (std::size_t p = 0; p < wall.planes(); ++p) {
            double& source = s.plane_W_per_m2[first + p];
            if (p < given.sources_W.size()) source = sum_of(given.sources_W[p], s.signal) / slot.area;
            double& history = s.plane_history[first + p];
            history = history_of(wall, states, slot.stride, 2 + p, stage);
            if (start.first != nullptr) {
                history +=
                    wall.carry(2 + p, 0) * start.first->face_C[i] + wall.carry(2 + p, 1) * start.first->face_C[n + i];
                for (std::size_t r = 0; r < wall.planes(); ++r) {
                    const double before = start.first->plane_W_per_m2[first + r];
                    history += wall.carry(2 + p, 2 + r) * before;
                    if (p == 0)
                        for (std::size_t j = 0; j < 2; ++j) *answer[j] += wall.carry(j, 2 + r) * before;
                }
            }
            for (std::size_t j = 0; j < 2; ++j) *answer[j] += wall.w(j, p) * source;
        }
        if (slot.water_W_per_m2K <= 0.0) continue;
        const auto at = static_cast<std::size_t>(slot.water_plane);
        double colder = s.signal[given.water->temperature_C.index] - s.plane_history[first + at];
        for (std::size_t r = 0; r < wall.planes(); ++r) colder -= wall.w(2 + at, r) * s.plane_W_per_m2[first + r];
        for (std::size_t j = 0; j < 2; ++j) *answer[j] += wall.w(j, at) * slot.water_W_per_m2K * colder;
    }
}

/// Face temperatures as far as they do not depend on the zones' unknowns.
void StageSolver::find_bases(const SurfaceBank& bank, const ZoneNetwork& network, Stage& s) const
{
    const std::size_t n = bank.slots.size();
    s.absorbed.assign(2 * n, 0.0);
    s.base.resize(2 * n);
    for (std::size_t i = 0; i < n; ++i) {
        const StageSurface& slot = bank.slots[i];
        double known[2] = {};
        for (std::size_t j = 0; j < 2; ++j) {
            const StageFace& face = slot.face[j];
            if (face.zone >= 0) {
                const auto zone = static_cast<std::size_t>(face.zone);
                double& absorbed = s.absorbed[j * n + i];
                absorbed = s.radiant_W[zone] / network.area_m2(zone);
                if (!face.absorbed->empty()) absorbed += sum_of(*face.absorbed, s.signal) / slot.area;
                known[j] = absorbed + s.answer[j * n + i];
            } else if (face.fixed) {
                known[j] = s.signal[face.environment.index];
            } else {
                known[j] = s.answer[j * n + i];
                if (face.driven) known[j] += face.film * s.signal[face.environment.index];
            }
        }
        s.base[i] = slot.m[0][0] * known[0] + slot.m[0][1] * known[1];
        s.base[n + i] = slot.m[1][0] * known[0] + slot.m[1][1] * known[1];
    }
}

void StageSolver::sum_into_zones(const SurfaceBank& bank, const ZoneNetwork& network, Stage& s) const
{
    const std::size_t n = bank.slots.size();
    for (std::size_t z = 0; z < model_.zones.size(); ++z) {
        double air = 0.0, radiant = 0.0;
        for (const ZoneNetwork::FaceAt& at : network.faces_of(z)) {
            const StageSurface& slot = bank.slots[at.slot];
            const double heat = slot.area * s.base[at.face * n + at.slot];
            air += slot.face[at.face].convective * heat;
            radiant += slot.face[at.face].radiative * heat;
        }
        s.drives.air_W[z] += air;
        s.drives.radiant_W[z] = radiant;
    }
}

/// Face temperatures and fluxes from the zones' unknowns.
void StageSolver::find_faces(const SurfaceBank& bank, const ZoneNetwork& network, Stage& s) const
{
    const std::size_t n = bank.slots.size();
    s.face_C = s.base;
    s.flux.resize(2 * n);
    for (const ZoneNetwork::SupplyToFace& to : network.supply_to_faces()) {
        const StageSurface& slot = bank.slots[to.slot];
        const double extra = to.per_W * s.x.load_W[to.zone];
        s.answer[to.face * n + to.slot] += extra;
        if (to.face == 0)
            s.plane_W_per_m2[static_cast<std::size_t>(slot.first_plane) + to.plane] +=
                to.share * s.x.load_W[to.zone] / slot.area;
        if (slot.face[to.face].fixed) continue;
        for (std::size_t k = 0; k < 2; ++k) s.face_C[k * n + to.slot] += slot.m[k][to.face] * extra;
    }
    for (std::size_t i = 0; i < n; ++i) {
        const StageSurface& slot = bank.slots[i];
        double &t1 = s.face_C[i], &t2 = s.face_C[n + i];
        for (std::size_t j = 0; j < 2; ++j) {
            const StageFace& face = slot.face[j];
            if (face.zone < 0) continue;
            const auto z = static_cast<std::size_t>(face.zone);
            const double drive = face.convective * s.x.air_C[z] + face.radiative * s.x.radiant_C[z] +
                                 network.radiant_per_m2(z) * s.x.load_W[z];
            t1 += slot.m[0][j] * drive;
            t2 += slot.m[1][j] * drive;
        }
        s.flux[i] = slot.y[0][0] * t1 + slot.y[0][1] * t2 - s.answer[i];
        s.flux[n + i] = slot.y[1][0] * t1 + slot.y[1][1] * t2 - s.answer[n + i];
    }
    for (std::size_t i = 0; i < n; ++i) { // last: water gives what is left between it and the plane
        const StageSurface& slot = bank.slots[i];
        if (slot.water_W_per_m2K <= 0.0) continue;
        const fabric::WallStepper& wall = bank.steppers[slot.stepper];
        const auto at = static_cast<std::size_t>(slot.water_plane), first = static_cast<std::size_t>(slot.first_plane);
        double colder = s.signal[model_.surfaces[slot.surface].water->temperature_C.index] -
                        s.plane_history[first + at] - wall.w(0, at) * s.face_C[i] - wall.w(1, at) * s.face_C[n + i];
        for (std::size_t r = 0; r < wall.planes(); ++r) colder -= wall.w(2 + at, r) * s.plane_W_per_m2[first + r];
        s.water[first + at] = slot.water_W_per_m2K * colder;
        s.plane_W_per_m2[first + at] += s.water[first + at];
    }
}

/// Moisture of every zone; removed above the limit where one is set. Zones that exchange air are gone through until
/// nothing moves.
void StageSolver::find_moisture(const StageStart& start, Stage& s) const
{
    constexpr double still = 1e-15;
    constexpr int most_sweeps = 2000;
    const std::size_t n = model_.zones.size();
    s.humidity_ratio.resize(n, s.outdoor_w);
    s.removed_kg_per_s.assign(n, 0.0);
    double moved = 1.0;
    for (int sweep = 0; moved > still && sweep < most_sweeps; ++sweep) {
        moved = 0.0;
        std::size_t transfer = 0;
        for (std::size_t z = 0; z < n; ++z) {
            const Zone& zone = model_.zones[z];
            const double cp = model_.air_specific_heat_J_per_kgK;
            const double outdoor_air = (s.infiltration_W_per_K[z] + s.ventilation_W_per_K[z]) / cp;
            double in = storage(zone.dry_air_kg) * start.humidity_hat[z] + outdoor_air * s.outdoor_w +
                        sum_of(zone.moisture_gain_kg_per_s, s.signal),
                   out = storage(zone.dry_air_kg) + outdoor_air;
            for (const TransferAir& air : zone.transfer_air) {
                const double flow = s.drives.transfer_W_per_K[transfer++] / cp;
                in += flow * s.humidity_ratio[air.from];
                out += flow;
            }
            double w = out > 0.0 ? in / out : s.outdoor_w;
            s.removed_kg_per_s[z] = 0.0;
            if (const double limit = value_or(zone.dry_above_kg_per_kg, s.signal, infinity); w > limit) {
                w = limit;
                s.removed_kg_per_s[z] = in - out * w;
            }
            if (!zone.transfer_air.empty()) moved = std::max(moved, std::abs(w - s.humidity_ratio[z]));
            s.humidity_ratio[z] = w;
        }
    }
}

} // namespace venture::loads::detail
