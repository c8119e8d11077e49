#include <venture/balance/stage.hpp>

#include <algorithm>
#include <cmath>
#include <limits>

#include <venture/air/point.hpp>
#include <venture/balance/face_loops.hpp>
#include <venture/balance/humidity_bounds.hpp>

namespace venture::balance {

namespace {

constexpr double infinity = std::numeric_limits<double>::infinity();

double sum_of(const Drives& drives, const std::vector<double>& signal)
{
    double sum = 0.0;
    for (const Drive& d : drives) sum += d.factor * signal[d.signal.index];
    return sum;
}

} // namespace

void StageSolver::add_further(std::vector<double>& signal) { signal.insert(signal.end(), {-infinity, infinity, 0.0}); }

StageSolver::StageSolver(const ThermalModel& model, const Links& links, double stage_s) : model_{model}, links_{links}
{
    const auto no_lower_limit = static_cast<std::uint32_t>(model.signals.size()), no_upper_limit = no_lower_limit + 1;
    const auto index_or = [](const std::optional<SignalId>& id, std::uint32_t otherwise) {
        return id ? id->index : otherwise;
    };
    first_transfer_.push_back(0);
    for (const Zone& zone : model.zones) {
        convective_.add(zone.convective_gain_W);
        radiant_.add(zone.radiant_gain_W);
        infiltration_.add(zone.infiltration_kg_per_s);
        ventilation_.add(zone.ventilation_kg_per_s);
        moisture_.add(zone.moisture_gain_kg_per_s);
        air_storage_.push_back(std::isinf(stage_s) ? 0.0 : zone.air_capacity_J_per_K / stage_s);
        moisture_storage_.push_back(std::isinf(stage_s) ? 0.0 : zone.dry_air_kg * zone.moisture_buffer / stage_s);
        bridges_.push_back(zone.thermal_bridges_W_per_K);
        heat_below_.push_back(index_or(zone.heat_below_C, no_lower_limit));
        cool_above_.push_back(index_or(zone.cool_above_C, no_upper_limit));
        most_heating_.push_back(index_or(zone.most_heating_W, no_upper_limit));
        most_cooling_.push_back(index_or(zone.most_cooling_W, no_upper_limit));
        dry_above_.push_back(index_or(zone.dry_above_kg_per_kg, no_upper_limit));
        wet_below_.push_back(index_or(zone.wet_below_kg_per_kg, no_lower_limit));
        most_with_latent_.push_back(index_or(zone.most_cooling_with_latent_W, no_upper_limit));
        most_drying_.push_back(index_or(zone.most_drying_kg_per_s, no_upper_limit));
        most_humidifying_.push_back(index_or(zone.most_humidifying_kg_per_s, no_upper_limit));
        is_limited_relatively_.push_back(zone.dry_above_relative || zone.wet_below_relative);
        has_limited_moisture_.push_back(zone.has_limited_moisture());
        if (zone.most_cooling_with_latent_W)
            with_latent_.push_back(static_cast<std::uint32_t>(most_with_latent_.size() - 1));
        supply_of_.push_back(zone.supply_air ? static_cast<std::uint32_t>(with_air_.size()) : no_supply);
        if (zone.supply_air) {
            with_air_.push_back(static_cast<std::uint32_t>(supply_of_.size() - 1));
            least_air_.add(zone.supply_air->least_kg_per_s);
            most_air_.add(zone.supply_air->most_kg_per_s.value_or(zone.supply_air->least_kg_per_s));
        }
        for (const TransferAir& air : zone.transfer_air) {
            transfer_.add(air.kg_per_s);
            transfer_from_.push_back(static_cast<std::uint32_t>(air.from));
        }
        first_transfer_.push_back(static_cast<std::uint32_t>(transfer_from_.size()));
    }
    exchanges_ = !transfer_from_.empty() || std::ranges::any_of(model.zones, [](const Zone& z) {
        return z.supply_air && z.supply_air->leaves_from;
    });
}

void StageSolver::solve(SurfaceBank& bank, ZoneNetwork& network, Films& films, const FilmAccuracy& tolerance,
                        const StageStart& start, Stage& s) const
{
    find_drives(network, start, s);
    find_limits(s);
    if (!with_air_.empty()) find_supply_air(s);
    follow_orders(start, s);
    find_answers(bank, start, s);
    find_absorbed(bank, network, s);
    if (start.film != nullptr) s.film.assign(start.film, start.film + films.values());
    for (s.film_passes = 1;; ++s.film_passes) {
        solve_with_films(bank, network, films, start, s);
        if (!films.vary() || start.film != nullptr) break;
        if ((s.film_residual.inside_W_per_m2 <= tolerance.inside_W_per_m2 &&
             s.film_residual.outside_W_per_m2 <= tolerance.outside_W_per_m2) ||
            s.film_passes >= tolerance.most_passes)
            break;
        std::swap(s.film, s.film_found);
    }
    send_supply(bank, network, s);
    find_water(bank, s);
    find_moisture(start, s);
}

/// What does not depend on any surface.
void StageSolver::find_drives(const ZoneNetwork& network, const StageStart& start, Stage& s) const
{
    const std::size_t n = bridges_.size();
    ZoneDrives& d = s.drives;
    for (auto* all : {&s.convective_W, &s.radiant_W, &s.infiltration_W_per_K, &s.ventilation_W_per_K, &s.storing_W,
                      &d.air_W, &d.radiant_W, &d.out_W_per_K})
        all->resize(n);
    s.outdoor_C = s.signal[model_.outdoor_air_C.index];
    s.outdoor_w = s.signal[model_.outdoor_humidity_ratio.index];
    const double cp = model_.air_specific_heat_J_per_kgK;
    d.transfer_W_per_K.resize(transfer_from_.size());
    for (std::size_t i = 0; i < transfer_from_.size(); ++i) d.transfer_W_per_K[i] = transfer_.at(i, s.signal) * cp;
    for (std::size_t z = 0; z < n; ++z) {
        s.convective_W[z] = convective_.at(z, s.signal);
        s.radiant_W[z] = radiant_.at(z, s.signal);
        if (network.area_m2(z) <= 0.0) { // no face to fall on
            s.convective_W[z] += s.radiant_W[z];
            s.radiant_W[z] = 0.0;
        }
        s.infiltration_W_per_K[z] = infiltration_.at(z, s.signal) * cp;
        s.ventilation_W_per_K[z] = ventilation_.at(z, s.signal) * cp;
        const double to_outdoors = s.infiltration_W_per_K[z] + s.ventilation_W_per_K[z] + bridges_[z];
        d.out_W_per_K[z] = to_outdoors;
        for (std::uint32_t i = first_transfer_[z]; i < first_transfer_[z + 1]; ++i)
            d.out_W_per_K[z] += d.transfer_W_per_K[i];
        s.storing_W[z] = air_storage_[z] * start.air_hat[z] + to_outdoors * s.outdoor_C + s.convective_W[z];
    }
}

/// What frost and enthalpy allow is told by the zones as the stage before left them.
void StageSolver::find_supply_air(Stage& s) const
{
    const double cp = model_.air_specific_heat_J_per_kgK;
    const auto heat_of = [&](double t_C, double w) { return air::enthalpy_J_per_kg(air::Point{t_C, w}); };
    s.drives.supply_air.resize(with_air_.size());
    s.supply_w.resize(with_air_.size());
    s.humidity_ratio.resize(model_.zones.size(), s.outdoor_w);
    for (std::size_t i = 0; i < with_air_.size(); ++i) {
        const std::size_t zone = with_air_[i];
        const SupplyAir& given = *model_.zones[zone].supply_air;
        SupplyAirDrive& d = s.drives.supply_air[i];
        d.temperature_C = s.signal[given.temperature_C.index];
        s.supply_w[i] = s.signal[given.humidity_ratio.index];
        d.least_W_per_K = least_air_.at(i, s.signal) * cp;
        d.most_W_per_K = given.most_kg_per_s    ? most_air_.at(i, s.signal) * cp
                         : given.cooled_further ? infinity
                                                : d.least_W_per_K;
        const double zone_C = s.x.air_C[zone], leaves_C = s.x.air_C[given.leaves_from.value_or(zone)];
        if (given.more_by_enthalpy &&
            heat_of(d.temperature_C, s.supply_w[i]) >= heat_of(zone_C, s.humidity_ratio[zone]))
            d.most_W_per_K = d.least_W_per_K;
        d.recovers = given.recovers_heat;
        if (given.coldest_exhaust_C && leaves_C > d.temperature_C)
            d.recovers =
                std::clamp((leaves_C - *given.coldest_exhaust_C) / (leaves_C - d.temperature_C), 0.0, d.recovers);
    }
}

void StageSolver::find_limits(Stage& s) const
{
    const auto read = [&](const std::vector<std::uint32_t>& from, std::vector<double>& to) {
        to.resize(from.size());
        for (std::size_t z = 0; z < from.size(); ++z) to[z] = s.signal[from[z]];
    };
    read(heat_below_, s.drives.heat_below);
    read(cool_above_, s.drives.cool_above);
    read(most_heating_, s.drives.most_heating);
    read(most_cooling_, s.drives.most_cooling);
    for (const std::uint32_t z : with_latent_)
        s.drives.most_cooling[z] = std::min(s.drives.most_cooling[z], s.signal[most_with_latent_[z]]);
}

/// What the caller wants in place of what the model says.
void StageSolver::follow_orders(const StageStart& start, Stage& s) const
{
    const double cp = model_.air_specific_heat_J_per_kgK;
    ZoneDrives& d = s.drives;
    for (std::size_t z = 0; start.orders != nullptr && z < start.orders->size(); ++z) {
        const ZoneOrder& order = (*start.orders)[z];
        d.heat_below[z] = order.heat_below_C.value_or(d.heat_below[z]);
        d.cool_above[z] = order.cool_above_C.value_or(d.cool_above[z]);
        d.most_heating[z] = order.most_heating_W.value_or(d.most_heating[z]);
        d.most_cooling[z] = order.most_cooling_W.value_or(d.most_cooling[z]);
        if (order.ventilation_kg_per_s) {
            const double more = *order.ventilation_kg_per_s * cp - s.ventilation_W_per_K[z];
            s.ventilation_W_per_K[z] += more;
            d.out_W_per_K[z] += more;
            s.storing_W[z] += more * s.outdoor_C;
        }
        if (order.supply_air_kg_per_s && supply_of_[z] != no_supply)
            d.supply_air[supply_of_[z]].least_W_per_K = d.supply_air[supply_of_[z]].most_W_per_K =
                *order.supply_air_kg_per_s * cp;
        if (!order.supply_W) continue;
        constexpr double out_of_reach_K = 1e6; // whatever the temperature, the limit is what is supplied
        d.heat_below[z] = *order.supply_W > 0.0 ? out_of_reach_K : -infinity;
        d.cool_above[z] = *order.supply_W < 0.0 ? -out_of_reach_K : infinity;
        d.most_heating[z] = std::max(0.0, *order.supply_W);
        d.most_cooling[z] = std::max(0.0, -*order.supply_W);
    }
}

/// What walls send to their faces of themselves: their history, given sources, water in them.
void StageSolver::find_answers(const SurfaceBank& bank, const StageStart& start, Stage& s) const
{
    const std::size_t n = bank.count();
    s.answer.resize(2 * n);
    if (start.first == nullptr)
        std::copy_n(start.history.begin(), 2 * n, s.answer.begin());
    else
        carry_answers(n, start.history.data() + 2 * n,
                      {bank.carry[0].data(), bank.carry[1].data(), bank.carry[2].data()}, start.first->face_C.data(),
                      s.answer.data());
    if (!bank.planed.empty()) find_planes(bank, start, s);
}

void StageSolver::find_planes(const SurfaceBank& bank, const StageStart& start, Stage& s) const
{
    const std::size_t n = bank.count(), stage = start.first == nullptr ? 0 : 1;
    s.plane_W_per_m2.assign(bank.plane_count, 0.0);
    s.plane_history.assign(bank.plane_count, 0.0);
    s.water.assign(bank.plane_count, 0.0);
    for (const PlanedSlot& planed : bank.planed) {
        const std::size_t i = planed.slot, first = planed.first_plane;
        const Slot& slot = bank.slots[i];
        const fabric::WallStepper& wall = bank.steppers[slot.stepper];
        const Surface& given = model_.surfaces[slot.surface];
        double* answer[2] = {&s.answer[i], &s.answer[n + i]};
        for (std::size_t p = 0; p < wall.planes(); ++p) {
            double& source = s.plane_W_per_m2[first + p];
            if (p < given.sources_W.size()) source = sum_of(given.sources_W[p], s.signal) / slot.area;
            double& history = s.plane_history[first + p];
            history = history_of(wall, start.wall_states.data() + slot.first_state, slot.stride, 2 + p, stage);
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
        if (planed.water_W_per_m2K <= 0.0) continue;
        const auto at = static_cast<std::size_t>(planed.water_plane);
        double colder = s.signal[given.water->temperature_C.index] - s.plane_history[first + at];
        for (std::size_t r = 0; r < wall.planes(); ++r) colder -= wall.w(2 + at, r) * s.plane_W_per_m2[first + r];
        for (std::size_t j = 0; j < 2; ++j) *answer[j] += wall.w(j, at) * planed.water_W_per_m2K * colder;
    }
}

/// Radiant gains and sun that every face takes up.
void StageSolver::find_absorbed(const SurfaceBank& bank, const ZoneNetwork& network, Stage& s) const
{
    const std::size_t faces = 2 * bank.count(), zones = model_.zones.size();
    s.radiant_per_m2.resize(zones + 1);
    for (std::size_t z = 0; z < zones; ++z) s.radiant_per_m2[z] = s.radiant_W[z] * network.per_area()[z];
    s.radiant_per_m2[zones] = 0.0;
    s.absorbed.resize(faces);
    const double *signal = s.signal.data(), *radiant = s.radiant_per_m2.data();
    const std::uint32_t *zone = bank.zone.data(), *sun0 = bank.sun[0].data(), *sun1 = bank.sun[1].data();
    const double *per0 = bank.sun_per_m2[0].data(), *per1 = bank.sun_per_m2[1].data();
    double* absorbed = s.absorbed.data();
    for (std::size_t f = 0; f < faces; ++f)
        absorbed[f] = radiant[zone[f]] + per0[f] * signal[sun0[f]] + per1[f] * signal[sun1[f]];
    for (const FurtherTerm& t : bank.further_terms) absorbed[t.face] += t.factor * signal[t.signal];
}

/// What of the supply goes into planes, once it is known.
void StageSolver::send_supply(const SurfaceBank& bank, const ZoneNetwork& network, Stage& s)
{
    const std::size_t n = bank.count();
    for (const ZoneNetwork::SupplyToFace& to : network.supply_to_faces()) {
        s.answer[to.side * n + to.slot] += to.per_W * s.x.load_W[to.zone];
        if (to.side == 0) s.plane_W_per_m2[to.plane] += to.share * s.x.load_W[to.zone] / bank.slots[to.slot].area;
    }
}

void StageSolver::find_fluxes(const SurfaceBank& bank, Stage& s)
{
    s.flux.resize(2 * bank.count());
    balance::find_fluxes(bank.count(), {bank.y[0].data(), bank.y[1].data(), bank.y[2].data()}, s.face_C.data(),
                         s.answer.data(), s.flux.data());
}

/// What water gives: what is left between it and its plane.
void StageSolver::find_water(const SurfaceBank& bank, Stage& s) const
{
    const std::size_t n = bank.count();
    for (const PlanedSlot& planed : bank.planed) {
        if (planed.water_W_per_m2K <= 0.0) continue;
        const Slot& slot = bank.slots[planed.slot];
        const fabric::WallStepper& wall = bank.steppers[slot.stepper];
        const auto at = static_cast<std::size_t>(planed.water_plane);
        const std::size_t first = planed.first_plane;
        double colder = s.signal[model_.surfaces[slot.surface].water->temperature_C.index] -
                        s.plane_history[first + at] - wall.w(0, at) * s.face_C[planed.slot] -
                        wall.w(1, at) * s.face_C[n + planed.slot];
        for (std::size_t r = 0; r < wall.planes(); ++r) colder -= wall.w(2 + at, r) * s.plane_W_per_m2[first + r];
        s.water[first + at] = planed.water_W_per_m2K * colder;
        s.plane_W_per_m2[first + at] += s.water[first + at];
    }
}

/// Moisture of one zone with its neighbours as they stand, removed above a limit and added below one where they are set.
double StageSolver::find_moisture_of(std::size_t z, const StageStart& start, Stage& s) const
{
    const double cp = model_.air_specific_heat_J_per_kgK,
                 outdoor_air = (s.infiltration_W_per_K[z] + s.ventilation_W_per_K[z]) / cp;
    double in = moisture_storage_[z] * start.humidity_hat[z] + outdoor_air * s.outdoor_w + moisture_.at(z, s.signal),
           out = moisture_storage_[z] + outdoor_air;
    for (std::uint32_t i = first_transfer_[z]; i < first_transfer_[z + 1]; ++i) {
        const double flow = s.drives.transfer_W_per_K[i] / cp;
        in += flow * s.humidity_ratio[transfer_from_[i]];
        out += flow;
    }
    if (const std::uint32_t i = supply_of_[z]; i != no_supply) {
        const MoistureBrought air = moisture_brought(i, s);
        in += air.in_kg_per_s;
        out += air.out_kg_per_s;
    }
    double w = out > 0.0 ? in / out : s.outdoor_w;
    s.removed_kg_per_s[z] = 0.0;
    HumidityBounds held{s.signal[wet_below_[z]], s.signal[dry_above_[z]]};
    if (is_limited_relatively_[z])
        held = humidity_bounds(model_.zones[z], s.x.air_C[z], model_.pressure_Pa,
                               [&](SignalId id) { return s.signal[id.index]; });
    const double lower = std::min(held.upper, held.lower);
    if (w <= held.upper && w >= lower) return w;
    w = w > held.upper ? held.upper : lower;
    double& removed = s.removed_kg_per_s[z];
    removed = in - out * w;
    if (!has_limited_moisture_[z] || out <= 0.0) return w;
    const double within = std::clamp(removed, -s.signal[most_humidifying_[z]], most_drying(z, s));
    if (within == removed) return w;
    removed = within;
    return (in - removed) / out;
}

/// What its capacities leave, once its supply of heat is known.
double StageSolver::most_drying(std::size_t z, const Stage& s) const
{
    const double left_W = std::max(0.0, s.signal[most_with_latent_[z]] + std::min(0.0, s.x.load_W[z]));
    return std::min(s.signal[most_drying_[z]], left_W / air::latent_heat_of_vaporisation_J_per_kg);
}

StageSolver::MoistureBrought StageSolver::moisture_brought(std::size_t supply, const Stage& s) const
{
    const double cp = model_.air_specific_heat_J_per_kgK;
    const SupplyAir& given = *model_.zones[with_air_[supply]].supply_air;
    const AirFlow& flow = s.x.air_flow[supply];
    // moisture is recovered in the same part of the exchanger as heat
    const double used = given.recovers_heat > 0.0 ? flow.recovered / given.recovers_heat : 1.0, all = flow.W_per_K / cp,
                 exchanged = s.drives.supply_air[supply].least_W_per_K / cp * given.recovers_moisture * used,
                 w = s.supply_w[supply];
    if (!given.leaves_from) return {(all - exchanged) * w, all - exchanged};
    return {all * w + exchanged * (s.humidity_ratio[*given.leaves_from] - w), all};
}

/// Zones that exchange air are gone through until nothing moves.
void StageSolver::find_moisture(const StageStart& start, Stage& s) const
{
    constexpr double still = 1e-15;
    constexpr int most_sweeps = 2000;
    const std::size_t n = bridges_.size();
    s.humidity_ratio.resize(n, s.outdoor_w);
    s.removed_kg_per_s.resize(n);
    double moved = 1.0;
    for (int sweep = 0; moved > still; ++sweep) {
        moved = 0.0;
        if (sweep == most_sweeps) {
            s.solved.settled = false;
            break;
        }
        for (std::size_t z = 0; z < n; ++z) {
            const double w = find_moisture_of(z, start, s);
            if (exchanges_) moved = std::max(moved, std::abs(w - s.humidity_ratio[z]));
            s.humidity_ratio[z] = w;
        }
    }
}

} // namespace venture::balance
