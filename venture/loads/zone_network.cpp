#include <venture/loads/zone_network.hpp>

#include <algorithm>
#include <cmath>
#include <limits>
#include <numeric>

#include <venture/quantity/error.hpp>

namespace venture::loads::detail {

ZoneNetwork::ZoneNetwork(const ThermalModel& model, const SurfaceBank& bank, double stage_s)
    : model_{model},
      order_(model.zones.size()),
      area_m2_(model.zones.size(), 0.0),
      local_(model.zones.size()),
      inverse_(model.zones.size())
{
    std::iota(order_.begin(), order_.end(), std::size_t{0});
    std::ranges::stable_sort(order_, {}, [&](std::size_t z) { return model.zones[z].id; });
    for (const Zone& zone : model.zones) {
        storage_.push_back(std::isinf(stage_s) ? 0.0 : zone.air_capacity_J_per_K / stage_s);
        Control& control = control_.emplace_back();
        control.radiant_weight = zone.radiant_weight;
        if (zone.follows) {
            control.follows = static_cast<std::uint32_t>(zone.follows->zone);
            control.ratio = zone.follows->ratio;
        }
        control.first_transfer = static_cast<std::uint32_t>(transfer_from_.size());
        for (const TransferAir& air : zone.transfer_air) transfer_from_.push_back(static_cast<std::uint32_t>(air.from));
        control.end_transfer = static_cast<std::uint32_t>(transfer_from_.size());
    }
    lay_out(bank);
    refresh(bank);
}

/// Faces of zones and who is behind them: what does not change with coefficients.
void ZoneNetwork::lay_out(const SurfaceBank& bank)
{
    const std::size_t zones = model_.zones.size(), n = bank.count();
    std::vector<std::vector<std::uint32_t>> faces(zones), behind(zones);
    for (std::size_t i = 0; i < n; ++i)
        for (const std::size_t f : {i, n + i}) {
            const std::size_t z = bank.zone[f], other = bank.zone[f < n ? f + n : f - n];
            if (z == zones) continue;
            faces[z].push_back(static_cast<std::uint32_t>(f));
            area_m2_[z] += bank.area[f];
            if (other != zones && other != z) behind[z].push_back(static_cast<std::uint32_t>(other));
        }
    for (std::size_t z = 0; z < zones; ++z) // a supply into planes acts on whoever looks at that wall
        for (const PlaneShare& to : model_.zones[z].plane_shares)
            for (const Face* face : {&model_.surfaces[to.surface].outside, &model_.surfaces[to.surface].inside})
                if (const auto* at = std::get_if<ZoneFace>(face); at != nullptr && at->zone != z)
                    behind[at->zone].push_back(static_cast<std::uint32_t>(z));
    for (std::size_t z = 0; z < zones; ++z) {
        first_face_.push_back(static_cast<std::uint32_t>(faces_.size()));
        faces_.insert(faces_.end(), faces[z].begin(), faces[z].end());
        first_coupling_.push_back(static_cast<std::uint32_t>(couplings_.size()));
        for (const std::uint32_t other : behind[z])
            if (std::none_of(couplings_.begin() + first_coupling_.back(), couplings_.end(),
                             [&](const Coupling& c) { return c.zone == other; }))
                couplings_.push_back({.zone = other});
    }
    first_face_.push_back(static_cast<std::uint32_t>(faces_.size()));
    first_coupling_.push_back(static_cast<std::uint32_t>(couplings_.size()));
    supply_couplings_.resize(couplings_.size());
    to_air_.resize(faces_.size());
    to_radiant_.resize(faces_.size());
    for (std::size_t z = 0; z < zones; ++z)
        for (const std::uint32_t f : faces_of(z)) {
            const std::size_t other = bank.zone[f < n ? f + n : f - n];
            coupled_.push_back(other == zones || other == z ? nobody : coupling(z, other));
            part_.push_back(static_cast<std::uint8_t>(model_.surfaces[bank.slots[f < n ? f : f - n].surface].part));
        }
    for (std::size_t z = 0; z <= zones; ++z) {
        const double area = z < zones ? area_m2_[z] : 0.0;
        per_area_.push_back(area > 0.0 ? 1.0 / area : 0.0);
        radiant_per_m2_.push_back(z < zones ? model_.zones[z].radiant_share() * per_area_[z] : 0.0);
        radiates_ |= radiant_per_m2_.back() > 0.0;
    }
    loads_act_ = radiates_ || std::ranges::any_of(model_.zones, [](const Zone& z) { return !z.plane_shares.empty(); });
    for (std::size_t z = 0; z < zones; ++z) {
        const Zone& zone = model_.zones[z];
        local_[z].alone = first_coupling_[z] == first_coupling_[z + 1] && zone.transfer_air.empty() && !zone.follows;
        bool radiates = false;
        for (const std::uint32_t f : faces_of(z)) radiates |= bank.radiative[f] > 0.0;
        local_[z].follows_air = !radiates;
        all_alone_ = all_alone_ && local_[z].alone;
    }
}

std::uint32_t ZoneNetwork::coupling(std::size_t zone, std::size_t other)
{
    for (std::uint32_t c = first_coupling_[zone]; c < first_coupling_[zone + 1]; ++c)
        if (couplings_[c].zone == other) return c;
    VENTURE_UNREACHABLE("a zone behind a wall that is coupled to nobody");
}

void ZoneNetwork::refresh(const SurfaceBank& bank)
{
    for (Coupling& c : couplings_) c = {.zone = c.zone};
    std::ranges::fill(supply_couplings_, SupplyCoupling{});
    for (std::size_t z = 0; z < local_.size(); ++z) refresh_zone(bank, z);
    add_supply_through_planes(bank);
    for (Inverse& inverse : inverse_) inverse.for_out_W_per_K = -1.0;
    for (Local& local : local_)
        if (local.follows_air) {
            local.a12 = 0.0;
            local.a22 = 1.0;
            local.by_supply[1] = 0.0;
        }
}

void ZoneNetwork::refresh_zone(const SurfaceBank& bank, std::size_t zone)
{
    const std::size_t n = bank.count();
    const double radiant_per_m2 = radiant_per_m2_[zone];
    Local local = local_[zone];
    local.a11 = storage_[zone];
    local.a12 = local.a22 = local.warm_air_W = local.by_supply[1] = 0.0;
    local.by_supply[0] = model_.zones[zone].convective_share;
    if (area_m2_[zone] <= 0.0) local.by_supply[0] += model_.zones[zone].radiant_share();
    for (std::uint32_t k = first_face_[zone]; k < first_face_[zone + 1]; ++k) {
        const std::size_t f = faces_[k], g = f < n ? f + n : f - n; // the other face
        const double air = bank.area[f] * bank.convective[f], radiant = bank.area[f] * bank.radiative[f],
                     own = bank.own[f];
        to_air_[k] = air;
        to_radiant_[k] = radiant;
        local.warm_air_W += air * bank.warmer[f];
        local.a11 += air * (1.0 - own * bank.convective[f]);
        local.a12 -= air * own * bank.radiative[f];
        local.a22 += radiant * (1.0 - own * bank.radiative[f]);
        if (radiates_) {
            local.by_supply[0] += air * own * radiant_per_m2;
            local.by_supply[1] += radiant * own * radiant_per_m2;
        }
        const std::size_t other = bank.zone[g];
        if (other == local_.size()) continue;
        const double across = bank.across[f], by_air = across * bank.convective[g],
                     by_radiant = across * bank.radiative[g], by_supply = across * radiant_per_m2_[other];
        if (other == zone) {
            local.a11 -= air * by_air;
            local.a12 -= air * by_radiant;
            local.a22 -= radiant * by_radiant;
            local.by_supply[0] += air * by_supply;
            local.by_supply[1] += radiant * by_supply;
            continue;
        }
        Coupling& c = couplings_[coupled_[k]];
        c.in_air[0] += air * by_air;
        c.in_air[1] += air * by_radiant;
        c.in_radiant[0] += radiant * by_air;
        c.in_radiant[1] += radiant * by_radiant;
        if (!radiates_) continue;
        supply_couplings_[coupled_[k]].in_air += air * by_supply;
        supply_couplings_[coupled_[k]].in_radiant += radiant * by_supply;
    }
    local_[zone] = local;
}

void ZoneNetwork::add_supply_through_planes(const SurfaceBank& bank)
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
    for (const SupplyToFace& to : supply_to_faces_) {
        if (bank.fixed[to.side * n + to.slot]) continue;
        for (std::size_t k = 0; k < 2; ++k) {
            const std::size_t f = k * n + to.slot, zone = bank.zone[f];
            if (zone == local_.size()) continue;
            const double heat = bank.area[f] * (k == to.side ? bank.own[f] : bank.across[f]) * to.per_W,
                         in_air = bank.convective[f] * heat, in_radiant = bank.radiative[f] * heat;
            if (zone == to.zone) {
                local_[zone].by_supply[0] += in_air;
                local_[zone].by_supply[1] += in_radiant;
            } else {
                SupplyCoupling& c = supply_couplings_[coupling(zone, to.zone)];
                c.in_air += in_air;
                c.in_radiant += in_radiant;
            }
        }
    }
}

void ZoneNetwork::add_bases(const std::vector<double>& base_C, ZoneDrives& d) const
{
    for (std::size_t z = 0; z < local_.size(); ++z) {
        double air = d.air_W[z] - local_[z].warm_air_W, radiant = 0.0;
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
double ZoneNetwork::solve_zone(std::size_t zone, const ZoneDrives& d, const Action* replay, ZoneUnknowns& x) const
{
    const Inverse& inverse = inverse_[zone];
    const Control& control = control_[zone];
    // four sums side by side: one after the other they would wait for each other
    double r1 = d.air_W[zone], r2 = d.radiant_W[zone], by_radiant1 = 0.0, by_radiant2 = 0.0;
    for (std::uint32_t i = first_coupling_[zone]; i < first_coupling_[zone + 1]; ++i) {
        const Coupling& c = couplings_[i];
        const double air = x.air_C[c.zone], radiant = x.radiant_C[c.zone];
        r1 += c.in_air[0] * air;
        r2 += c.in_radiant[0] * air;
        by_radiant1 += c.in_air[1] * radiant;
        by_radiant2 += c.in_radiant[1] * radiant;
    }
    r1 += by_radiant1;
    r2 += by_radiant2;
    for (std::uint32_t i = first_coupling_[zone]; loads_act_ && i < first_coupling_[zone + 1]; ++i) {
        r1 += supply_couplings_[i].in_air * x.load_W[couplings_[i].zone];
        r2 += supply_couplings_[i].in_radiant * x.load_W[couplings_[i].zone];
    }
    for (std::uint32_t i = control.first_transfer; i < control.end_transfer; ++i)
        r1 += d.transfer_W_per_K[i] * x.air_C[transfer_from_[i]];
    if (local_[zone].follows_air) r2 = 0.0;
    const double air = inverse.to_air[0] * r1 + inverse.to_air[1] * r2,
                 radiant = inverse.to_radiant[0] * r1 + inverse.to_radiant[1] * r2;
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
double ZoneNetwork::sweep(const ZoneDrives& d, const Action* replay, bool first, ZoneUnknowns& x) const
{
    double moved = 0.0;
    for (const std::size_t z : order_) {
        if (!first && local_[z].alone) continue;
        moved = std::max(moved, solve_zone(z, d, replay, x));
    }
    return moved;
}

Solved ZoneNetwork::solve(const ZoneDrives& d, const Action* replay, ZoneUnknowns& x)
{
    // What is left after a sweep that moved by m, where the one before moved by M, is about m (m/M) / (1 - m/M).
    constexpr double left_K = 1e-11;
    constexpr int most_sweeps = 2000;
    x.action.resize(local_.size(), Action::off);
    for (std::size_t z = 0; z < local_.size(); ++z) invert(z, d);
    Solved out;
    double before = 0.0;
    for (;;) {
        if (out.sweeps == most_sweeps) {
            out.settled = false;
            return out;
        }
        const double moved = sweep(d, replay, ++out.sweeps == 1, x);
        if (all_alone_) return out;
        if (moved <= left_K || (moved < before && moved * moved <= left_K * (before - moved))) return out;
        before = moved;
    }
}

} // namespace venture::loads::detail
