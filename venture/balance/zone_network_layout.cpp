/// Which faces and neighbours a zone has, laid out once.

#include <venture/balance/zone_network.hpp>

#include <algorithm>
#include <numeric>

#include <venture/quantity/error.hpp>

namespace venture::balance {

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
        if (zone.supply_air) control.supply_air = supplies_++;
        control.special = zone.supply_air || zone.most_heating_W_per_K != 0.0 || zone.most_cooling_W_per_K != 0.0;
    }
    lay_out(bank);
    lay_out_blocks(bank);
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
            coupled_.push_back(other == zones ? nobody : other == z ? itself : coupling(z, other));
            face_area_m2_.push_back(bank.area[f]);
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
        local_[z].alone = first_coupling_[z] == first_coupling_[z + 1] && zone.transfer_air.empty() && !zone.follows &&
                          !(zone.supply_air && zone.supply_air->leaves_from);
        bool radiates = false;
        for (const std::uint32_t f : faces_of(z)) radiates |= bank.radiative[f] > 0.0;
        local_[z].follows_air = !radiates;
        all_alone_ = all_alone_ && local_[z].alone;
    }
}

void ZoneNetwork::lay_out_blocks(const SurfaceBank& bank)
{
    const std::size_t n = bank.count();
    std::vector<std::uint32_t> block_of(n, 0);
    for (std::size_t b = 0; b < bank.blocks.size(); ++b)
        std::fill(block_of.begin() + static_cast<std::ptrdiff_t>(bank.blocks[b].first),
                  block_of.begin() + static_cast<std::ptrdiff_t>(bank.blocks[b].last), static_cast<std::uint32_t>(b));
    std::vector<std::vector<std::uint32_t>> zones(bank.blocks.size());
    for (const std::size_t z : order_) {
        std::uint32_t last = 0;
        for (const std::uint32_t f : faces_of(z)) last = std::max(last, block_of[f % n]);
        zones[last].push_back(static_cast<std::uint32_t>(z));
    }
    first_zone_.push_back(0);
    for (const auto& some : zones) {
        block_zones_.insert(block_zones_.end(), some.begin(), some.end());
        first_zone_.push_back(static_cast<std::uint32_t>(block_zones_.size()));
    }
}

std::uint32_t ZoneNetwork::coupling(std::size_t zone, std::size_t other)
{
    for (std::uint32_t c = first_coupling_[zone]; c < first_coupling_[zone + 1]; ++c)
        if (couplings_[c].zone == other) return c;
    VENTURE_UNREACHABLE("a zone behind a wall that is coupled to nobody");
}

} // namespace venture::balance
