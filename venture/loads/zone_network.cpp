#include <venture/loads/zone_network.hpp>

#include <algorithm>
#include <cmath>
#include <numeric>

#include <venture/quantity/error.hpp>

namespace venture::loads::detail {

ZoneNetwork::ZoneNetwork(const ThermalModel& model, double stage_s)
    : model_{model},
      order_(model.zones.size()),
      area_m2_(model.zones.size(), 0.0),
      faces_(model.zones.size())
{
    std::iota(order_.begin(), order_.end(), std::size_t{0});
    std::ranges::stable_sort(order_, {}, [&](std::size_t z) { return model.zones[z].id; });
    std::size_t transfers = 0;
    for (const Zone& zone : model.zones) {
        storage_.push_back(std::isinf(stage_s) ? 0.0 : zone.air_capacity_J_per_K / stage_s);
        first_transfer_.push_back(transfers);
        transfers += zone.transfer_air.size();
    }
}

void ZoneNetwork::build(const SurfaceBank& bank)
{
    const std::size_t n = model_.zones.size();
    for (auto& faces : faces_) faces.clear();
    std::ranges::fill(area_m2_, 0.0);
    for (std::size_t i = 0; i < bank.slots.size(); ++i)
        for (std::size_t j = 0; j < 2; ++j)
            if (const int zone = bank.slots[i].face[j].zone; zone >= 0) {
                faces_[static_cast<std::size_t>(zone)].push_back({i, j});
                area_m2_[static_cast<std::size_t>(zone)] += bank.slots[i].area;
            }
    radiant_per_m2_.assign(n, 0.0);
    for (std::size_t z = 0; z < n; ++z)
        if (area_m2_[z] > 0.0) radiant_per_m2_[z] = model_.zones[z].radiant_share() / area_m2_[z];
    local_.assign(n, {});
    couplings_.assign(n, {});
    for (std::size_t z = 0; z < n; ++z) add_faces(bank, z);
    add_supply_through_planes(bank);
    for (std::size_t z = 0; z < n; ++z) {
        const Zone& zone = model_.zones[z];
        local_[z].alone = couplings_[z].empty() && zone.transfer_air.empty() && !zone.follows;
    }
}

void ZoneNetwork::couple(std::size_t zone, std::size_t other, std::size_t unknown, double in_air, double in_radiant)
{
    if (in_air == 0.0 && in_radiant == 0.0) return;
    auto& all = couplings_[zone];
    auto at = std::ranges::find(all, other, &Coupling::zone);
    if (at == all.end()) at = all.insert(all.end(), Coupling{.zone = other});
    at->in_air[unknown] += in_air;
    at->in_radiant[unknown] += in_radiant;
}

void ZoneNetwork::add_faces(const SurfaceBank& bank, std::size_t zone)
{
    Local& local = local_[zone];
    const Zone& given = model_.zones[zone];
    local.a11 = storage_[zone];
    local.by_supply[0] = given.convective_share + (area_m2_[zone] > 0.0 ? 0.0 : given.radiant_share());
    bool radiates = false;
    for (const FaceAt& at : faces_[zone]) {
        const StageSurface& s = bank.slots[at.slot];
        const StageFace& f = s.face[at.face];
        local.a11 += s.area * f.convective;
        local.a22 += s.area * f.radiative;
        radiates |= f.radiative > 0.0;
        for (std::size_t j = 0; j < 2; ++j) { // minus the face's own temperature, as far as zones drive it
            const StageFace& g = s.face[j];
            if (g.zone < 0) continue;
            const auto other = static_cast<std::size_t>(g.zone);
            const double drives[3] = {g.convective, g.radiative, radiant_per_m2_[other]};
            for (std::size_t unknown = 0; unknown < 3; ++unknown) {
                const double in_air = s.area * f.convective * s.m[at.face][j] * drives[unknown],
                             in_radiant = s.area * f.radiative * s.m[at.face][j] * drives[unknown];
                if (other != zone) {
                    couple(zone, other, unknown, in_air, in_radiant);
                } else if (unknown == 2) {
                    local.by_supply[0] += in_air;
                    local.by_supply[1] += in_radiant;
                } else {
                    (unknown == 0 ? local.a11 : local.a12) -= in_air;
                    (unknown == 0 ? local.a21 : local.a22) -= in_radiant;
                }
            }
        }
    }
    if (!radiates) { // nothing radiates: the radiant temperature follows the air
        local.a22 = 1.0;
        local.a21 = -1.0;
        local.a12 = 0.0;
        local.by_supply[1] = 0.0;
    }
}

void ZoneNetwork::add_supply_through_planes(const SurfaceBank& bank)
{
    supply_to_faces_.clear();
    std::vector<std::size_t> slot_of(model_.surfaces.size(), 0);
    for (std::size_t i = 0; i < bank.slots.size(); ++i)
        if (bank.slots[i].area > 0.0) slot_of[bank.slots[i].surface] = i;
    for (std::size_t z = 0; z < model_.zones.size(); ++z)
        for (const PlaneShare& to : model_.zones[z].plane_shares) {
            const StageSurface& s = bank.slots[slot_of[to.surface]];
            const fabric::WallStepper& wall = bank.steppers[s.stepper];
            for (std::size_t j = 0; j < 2; ++j) {
                double per_W = wall.w(j, to.plane);
                if (s.water_W_per_m2K > 0.0) {
                    const auto water = static_cast<std::size_t>(s.water_plane);
                    per_W -= wall.w(j, water) * s.water_W_per_m2K * wall.w(2 + water, to.plane);
                }
                supply_to_faces_.push_back({z, slot_of[to.surface], j, to.plane, per_W * to.share / s.area, to.share});
            }
        }
    for (const SupplyToFace& to : supply_to_faces_) {
        const StageSurface& s = bank.slots[to.slot];
        if (s.face[to.face].fixed) continue;
        for (std::size_t k = 0; k < 2; ++k) {
            const StageFace& f = s.face[k];
            if (f.zone < 0) continue;
            const double in_air = s.area * f.convective * s.m[k][to.face] * to.per_W,
                         in_radiant = s.area * f.radiative * s.m[k][to.face] * to.per_W;
            const auto zone = static_cast<std::size_t>(f.zone);
            if (zone == to.zone) {
                local_[zone].by_supply[0] += in_air;
                local_[zone].by_supply[1] += in_radiant;
            } else {
                couple(zone, to.zone, 2, in_air, in_radiant);
            }
        }
    }
}

/// Solves one zone with the others as they stand. @return how far it moved, K
double ZoneNetwork::solve_zone(std::size_t zone, const ZoneDrives& d, ZoneUnknowns& x) const
{
    const Local& local = local_[zone];
    const Zone& given = model_.zones[zone];
    double r1 = d.air_W[zone], r2 = d.radiant_W[zone];
    for (const Coupling& c : couplings_[zone]) {
        const double air = x.air_C[c.zone], radiant = x.radiant_C[c.zone], load = x.load_W[c.zone];
        r1 += c.in_air[0] * air + c.in_air[1] * radiant + c.in_air[2] * load;
        r2 += c.in_radiant[0] * air + c.in_radiant[1] * radiant + c.in_radiant[2] * load;
    }
    for (std::size_t i = 0; i < given.transfer_air.size(); ++i)
        r1 += d.transfer_W_per_K[first_transfer_[zone] + i] * x.air_C[given.transfer_air[i].from];
    const double a11 = local.a11 + d.out_W_per_K[zone];
    const double determinant = a11 * local.a22 - local.a12 * local.a21;
    if (!(determinant > 1e-14 * a11 * local.a22))
        throw quantity::Error{"heat balance: zone '" + given.id +
                              "' has no unique temperature; a zone without capacity, outdoor air and surfaces to "
                              "anything of known temperature cannot be balanced"};
    const double over = 1.0 / determinant;
    const auto air_of = [&](double b1, double b2) { return over * (b1 * local.a22 - local.a12 * b2); };
    const auto radiant_of = [&](double b1, double b2) { return over * (a11 * b2 - local.a21 * b1); };
    const double air = air_of(r1, r2), radiant = radiant_of(r1, r2);
    const double air_per_W = air_of(local.by_supply[0], local.by_supply[1]),
                 radiant_per_W = radiant_of(local.by_supply[0], local.by_supply[1]);
    double load = 0.0;
    if (given.follows) {
        load = given.follows->ratio * x.load_W[given.follows->zone];
    } else {
        const double weight = given.radiant_weight, control = (1.0 - weight) * air + weight * radiant,
                     per_W = (1.0 - weight) * air_per_W + weight * radiant_per_W;
        if (!(per_W > 0.0))
            throw quantity::Error{"heat balance: what heats or cools zone '" + given.id +
                                  "' does not reach the temperature that it is controlled by"};
        if (control < d.heat_below[zone]) load = std::min((d.heat_below[zone] - control) / per_W, d.most_heating[zone]);
        if (control > d.cool_above[zone])
            load = std::max((d.cool_above[zone] - control) / per_W, -d.most_cooling[zone]);
    }
    const double air_now = air + load * air_per_W, radiant_now = radiant + load * radiant_per_W;
    const double moved = std::max(std::abs(air_now - x.air_C[zone]), std::abs(radiant_now - x.radiant_C[zone]));
    x.air_C[zone] = air_now;
    x.radiant_C[zone] = radiant_now;
    x.load_W[zone] = load;
    return moved;
}

Solved ZoneNetwork::solve(const ZoneDrives& d, ZoneUnknowns& x) const
{
    constexpr double still_K = 1e-11;
    constexpr int most_sweeps = 2000;
    Solved out;
    for (double moved = 1.0; moved > still_K;) {
        if (++out.sweeps > most_sweeps) {
            out.settled = false;
            break;
        }
        moved = 0.0;
        for (const std::size_t z : order_) {
            if (out.sweeps > 1 && local_[z].alone) continue;
            const double by = solve_zone(z, d, x);
            if (!local_[z].alone) moved = std::max(moved, by);
        }
    }
    return out;
}

} // namespace venture::loads::detail
