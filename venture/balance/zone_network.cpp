#include <venture/balance/zone_network.hpp>

#include <algorithm>
#include <cmath>

#include <venture/quantity/error.hpp>

namespace venture::balance {

void ZoneNetwork::refresh(const SurfaceBank& bank)
{
    for (std::size_t block = 0; block < bank.blocks.size(); ++block) refresh(bank, block);
    refresh_rest(bank);
}

void ZoneNetwork::refresh(const SurfaceBank& bank, std::size_t block)
{
    for (const std::uint32_t zone : zones_of(block)) refresh_zone(bank, zone);
}

void ZoneNetwork::refresh_zone(const SurfaceBank& bank, std::size_t zone)
{
    const std::size_t n = bank.count();
    for (std::uint32_t i = first_coupling_[zone]; i < first_coupling_[zone + 1]; ++i) {
        couplings_[i] = {.zone = couplings_[i].zone};
        if (loads_act_) supply_couplings_[i] = {};
    }
    const double radiant_per_m2 = radiant_per_m2_[zone];
    Local local = local_[zone];
    local.a11 = storage_[zone];
    local.a12 = local.a22 = local.warm_air_W = local.by_supply[1] = 0.0;
    local.by_supply[0] = model_.zones[zone].convective_share;
    if (area_m2_[zone] <= 0.0) local.by_supply[0] += model_.zones[zone].radiant_share();
    const double *film = bank.film.data(), *radiative = bank.radiative.data(), *own_of = bank.own.data(),
                 *across_of = bank.across.data(), *given = bank.given_W.data(), *area_of = face_area_m2_.data();
    double *to_air = to_air_.data(), *to_radiant = to_radiant_.data();
    const bool radiates = radiates_;
    for (std::uint32_t k = first_face_[zone]; k < first_face_[zone + 1]; ++k) {
        const std::size_t f = faces_[k], g = f < n ? f + n : f - n; // the other face
        const double area = area_of[k], air = area * film[f], radiant = area * radiative[f], own = own_of[f];
        to_air[k] = air;
        to_radiant[k] = radiant;
        local.warm_air_W += area * given[f];
        local.a11 += air * (1.0 - own * film[f]);
        local.a12 -= air * own * radiative[f];
        local.a22 += radiant * (1.0 - own * radiative[f]);
        if (radiates) {
            local.by_supply[0] += air * own * radiant_per_m2;
            local.by_supply[1] += radiant * own * radiant_per_m2;
        }
        const std::uint32_t behind = coupled_[k];
        if (behind == nobody) continue;
        const double across = across_of[f], by_air = across * film[g], by_radiant = across * radiative[g];
        if (behind == itself) {
            const double by_supply = across * radiant_per_m2;
            local.a11 -= air * by_air;
            local.a12 -= air * by_radiant;
            local.a22 -= radiant * by_radiant;
            local.by_supply[0] += air * by_supply;
            local.by_supply[1] += radiant * by_supply;
            continue;
        }
        Coupling& c = couplings_[behind];
        c.by_air[0] += air * by_air;
        c.by_air[1] += radiant * by_air;
        c.by_radiant[0] += air * by_radiant;
        c.by_radiant[1] += radiant * by_radiant;
        if (!radiates) continue;
        const double by_supply = across * radiant_per_m2_[c.zone];
        supply_couplings_[behind].in_air += air * by_supply;
        supply_couplings_[behind].in_radiant += radiant * by_supply;
    }
    if (local.follows_air) {
        local.a12 = local.by_supply[1] = 0.0;
        local.a22 = 1.0;
    }
    local_[zone] = local;
    inverse_[zone].for_out_W_per_K = -1.0;
}

void ZoneNetwork::refresh_rest(const SurfaceBank& bank)
{
    supply_to_faces_.clear();
    if (bank.planed.empty()) return;
    const std::size_t n = bank.count();
    for (std::size_t z = 0; z < local_.size(); ++z)
        for (const PlaneShare& to : model_.zones[z].plane_shares) {
            const auto at = std::ranges::find(bank.planed, to.surface,
                                              [&](const PlanedSlot& p) { return bank.slots[p.slot].surface; });
            VENTURE_ASSERT(at != bank.planed.end());
            const fabric::WallStepper& wall = bank.steppers[bank.slots[at->slot].stepper];
            for (std::size_t side = 0; side < 2; ++side) {
                double per_W = wall.w(side, to.plane);
                if (at->water_W_per_m2K > 0.0) {
                    const auto water = static_cast<std::size_t>(at->water_plane);
                    per_W -= wall.w(side, water) * at->water_W_per_m2K * wall.w(2 + water, to.plane);
                }
                supply_to_faces_.push_back({z, at->slot, side, at->first_plane + to.plane,
                                            per_W * to.share / bank.slots[at->slot].area, to.share});
            }
        }
    std::ranges::stable_sort(supply_to_faces_, {}, &SupplyToFace::slot);
    for (const SupplyToFace& to : supply_to_faces_) {
        if (bank.fixed[to.side * n + to.slot]) continue;
        for (std::size_t k = 0; k < 2; ++k) {
            const std::size_t f = k * n + to.slot, zone = bank.zone[f];
            if (zone == local_.size()) continue;
            const double heat = bank.area[f] * (k == to.side ? bank.own[f] : bank.across[f]) * to.per_W,
                         in_air = bank.film[f] * heat, in_radiant = bank.radiative[f] * heat;
            if (zone == to.zone) {
                local_[zone].by_supply[0] += in_air;
                if (!local_[zone].follows_air) local_[zone].by_supply[1] += in_radiant;
            } else {
                SupplyCoupling& c = supply_couplings_[coupling(zone, to.zone)];
                c.in_air += in_air;
                c.in_radiant += in_radiant;
            }
        }
    }
}

std::span<const ZoneNetwork::SupplyToFace> ZoneNetwork::supply_to_faces_of(SlotRange slots) const
{
    const auto first = std::ranges::lower_bound(supply_to_faces_, slots.first, {}, &SupplyToFace::slot),
               last = std::ranges::lower_bound(supply_to_faces_, slots.last, {}, &SupplyToFace::slot);
    return {first, last};
}

void ZoneNetwork::find_drives(std::size_t block, const std::vector<double>& base_C,
                              const std::vector<double>& storing_W, ZoneDrives& d) const
{
    for (const std::uint32_t z : zones_of(block)) {
        double air = storing_W[z] - local_[z].warm_air_W, radiant = 0.0;
        for (std::uint32_t k = first_face_[z]; k < first_face_[z + 1]; ++k) {
            const double base = base_C[faces_[k]];
            air += to_air_[k] * base;
            radiant += to_radiant_[k] * base;
        }
        d.air_W[z] = air;
        d.radiant_W[z] = radiant;
    }
}

void ZoneNetwork::add_flows_from_faces(std::size_t zone, double air_C, const std::vector<double>& face_C,
                                       const std::vector<double>& warmer_K, double weight,
                                       double (&by_part_W)[part_count]) const
{
    for (std::uint32_t k = first_face_[zone]; k < first_face_[zone + 1]; ++k) {
        const std::uint32_t f = faces_[k];
        by_part_W[part_[k]] += weight * to_air_[k] * (face_C[f] - air_C - warmer_K[f]);
    }
}

void ZoneNetwork::invert(std::size_t zone, const ZoneDrives& d)
{
    Inverse& out = inverse_[zone];
    if (out.for_out_W_per_K == d.out_W_per_K[zone]) return;
    out.for_out_W_per_K = d.out_W_per_K[zone];
    const Local& local = local_[zone];
    const double a11 = local.a11 + d.out_W_per_K[zone], a21 = local.follows_air ? -1.0 : local.a12;
    const double determinant = a11 * local.a22 - local.a12 * a21;
    if (!(determinant > 1e-14 * a11 * local.a22))
        throw quantity::Error{"heat balance: zone '" + model_.zones[zone].id +
                              "' has no unique temperature; a zone without capacity, outdoor air and surfaces to "
                              "anything of known temperature cannot be balanced"};
    const double over = 1.0 / determinant, weight = control_[zone].radiant_weight;
    out.to_air[0] = over * local.a22;
    out.to_air[1] = -over * local.a12;
    out.to_radiant[0] = -over * a21;
    out.to_radiant[1] = over * a11;
    out.air_per_W = out.to_air[0] * local.by_supply[0] + out.to_air[1] * local.by_supply[1];
    out.radiant_per_W = out.to_radiant[0] * local.by_supply[0] + out.to_radiant[1] * local.by_supply[1];
    out.control_per_W = (1.0 - weight) * out.air_per_W + weight * out.radiant_per_W;
    if (!(out.control_per_W > 0.0) && control_[zone].follows == nobody)
        throw quantity::Error{"heat balance: what heats or cools zone '" + model_.zones[zone].id +
                              "' does not reach the temperature that it is controlled by"};
}

namespace {

/// What a thermostat does that feels a temperature.
Action act(const ZoneDrives& d, std::size_t zone, double felt, double control_per_W)
{
    if (felt < d.heat_below[zone])
        return (d.heat_below[zone] - felt) / control_per_W < d.most_heating[zone] ? Action::heating
                                                                                  : Action::heating_at_limit;
    if (felt > d.cool_above[zone])
        return (felt - d.cool_above[zone]) / control_per_W < d.most_cooling[zone] ? Action::cooling
                                                                                  : Action::cooling_at_limit;
    return Action::off;
}

/// W, heating positive.
double supply(const ZoneDrives& d, std::size_t zone, Action action, double felt, double control_per_W)
{
    switch (action) {
    case Action::heating:
        return (d.heat_below[zone] - felt) / control_per_W;
    case Action::cooling:
        return (d.cool_above[zone] - felt) / control_per_W;
    case Action::heating_at_limit:
        return d.most_heating[zone];
    case Action::cooling_at_limit:
        return -d.most_cooling[zone];
    case Action::off:
        break;
    }
    return 0.0;
}

} // namespace

/// Solves one zone with the others as they stand. @return how far it moved, K
double ZoneNetwork::solve_zone(std::size_t zone, const ZoneDrives& d, const Action* replay, const AirFlow* air_replay,
                               ZoneUnknowns& x) const
{
    const Inverse& inverse = inverse_[zone];
    const Control& control = control_[zone];
    // four sums side by side: one after the other they would wait for each other
    double by_air[2] = {d.air_W[zone], d.radiant_W[zone]}, by_radiant[2] = {};
    const double *air_C = x.air_C.data(), *radiant_C = x.radiant_C.data();
    for (std::uint32_t i = first_coupling_[zone]; i < first_coupling_[zone + 1]; ++i) {
        const Coupling& c = couplings_[i];
        for (std::size_t k = 0; k < 2; ++k) {
            by_air[k] += c.by_air[k] * air_C[c.zone];
            by_radiant[k] += c.by_radiant[k] * radiant_C[c.zone];
        }
    }
    double r1 = by_air[0] + by_radiant[0], r2 = by_air[1] + by_radiant[1];
    for (std::uint32_t i = first_coupling_[zone]; loads_act_ && i < first_coupling_[zone + 1]; ++i) {
        r1 += supply_couplings_[i].in_air * x.load_W[couplings_[i].zone];
        r2 += supply_couplings_[i].in_radiant * x.load_W[couplings_[i].zone];
    }
    for (std::uint32_t i = control.first_transfer; i < control.end_transfer; ++i)
        r1 += d.transfer_W_per_K[i] * x.air_C[transfer_from_[i]];
    if (local_[zone].follows_air) r2 = 0.0;
    const double air = inverse.to_air[0] * r1 + inverse.to_air[1] * r2,
                 radiant = inverse.to_radiant[0] * r1 + inverse.to_radiant[1] * r2;
    if (control.special)
        return solve_special({air, radiant, static_cast<std::uint32_t>(zone)}, d, replay, air_replay, x);
    double load = 0.0;
    if (control.follows != nobody) {
        load = control.ratio * x.load_W[control.follows];
    } else {
        const double felt = (1.0 - control.radiant_weight) * air + control.radiant_weight * radiant;
        Action& action = x.action[zone];
        action = replay != nullptr ? replay[zone] : act(d, zone, felt, inverse.control_per_W);
        load = supply(d, zone, action, felt, inverse.control_per_W);
    }
    const double air_now = air + load * inverse.air_per_W, radiant_now = radiant + load * inverse.radiant_per_W;
    // a zone that is held moves in its load alone, which counts as the temperature that it would move
    const double moved = std::max({std::abs(air_now - x.air_C[zone]), std::abs(radiant_now - x.radiant_C[zone]),
                                   std::abs((load - x.load_W[zone]) * inverse.control_per_W)});
    x.air_C[zone] = air_now;
    x.radiant_C[zone] = radiant_now;
    x.load_W[zone] = load;
    return moved;
}

/// @return how far any zone moved, K
double ZoneNetwork::sweep(const ZoneDrives& d, const Action* replay, const AirFlow* air_replay, bool first,
                          ZoneUnknowns& x)
{
    double moved = 0.0;
    for (const std::size_t z : order_) {
        if (first)
            invert(z, d);
        else if (local_[z].alone)
            continue;
        moved = std::max(moved, solve_zone(z, d, replay, air_replay, x));
    }
    return moved;
}

Solved ZoneNetwork::solve(const ZoneDrives& d, const Action* replay, const AirFlow* air_replay, ZoneUnknowns& x)
{
    // What is left after a sweep that moved by m, where the one before moved by M, is about m (m/M) / (1 - m/M).
    constexpr double left_K = 1e-11;
    constexpr int most_sweeps = 2000;
    x.action.resize(local_.size(), Action::off);
    x.air_flow.resize(supplies_);
    x.air_supply_W.resize(supplies_, 0.0);
    Solved out;
    double before = 0.0;
    for (;;) {
        if (out.sweeps == most_sweeps) {
            out.settled = false;
            return out;
        }
        const double moved = sweep(d, replay, air_replay, ++out.sweeps == 1, x);
        if (all_alone_) return out;
        if (moved <= left_K || (moved < before && moved * moved <= left_K * (before - moved))) return out;
        before = moved;
    }
}

} // namespace venture::balance
