#include <venture/loads/stage_system.hpp>

#include <cmath>

#include <venture/quantity/error.hpp>

namespace venture::loads::detail {

StageSystem::StageSystem(const ThermalModel& model, const std::vector<StageSurface>& surfaces, double stage_s)
    : model_{model},
      has_radiant_point_(model.zones.size(), false)
{
    auto& out = constant_part_;
    for (const StageSurface& s : surfaces) {
        for (int i = 0; i < 2; ++i) {
            const StageFace& f = s.face[i];
            if (f.zone < 0) continue;
            const int air = 3 * f.zone, radiant = air + 1;
            if (f.radiative > 0.0) has_radiant_point_[static_cast<std::size_t>(f.zone)] = true;
            out.emplace_back(air, air, s.area * f.convective);
            out.emplace_back(radiant, radiant, s.area * f.radiative);
            for (int j = 0; j < 2; ++j) { // minus the face's own temperature, as far as zones drive it
                const StageFace& g = s.face[j];
                if (g.zone < 0) continue;
                const double by_air = s.area * s.m[i][j] * g.convective, by_radiant = s.area * s.m[i][j] * g.radiative;
                const double by_supply = s.area * s.m[i][j] * g.radiant_share_per_m2;
                for (const auto& [row, film] : {std::pair{air, f.convective}, std::pair{radiant, f.radiative}}) {
                    out.emplace_back(row, 3 * g.zone, -film * by_air);
                    out.emplace_back(row, 3 * g.zone + 1, -film * by_radiant);
                    if (by_supply != 0.0) out.emplace_back(row, 3 * g.zone + 2, -film * by_supply);
                }
            }
        }
    }
    for (std::size_t z = 0; z < model.zones.size(); ++z) {
        const int air = 3 * static_cast<int>(z);
        const double storage = std::isinf(stage_s) ? 0.0 : model.zones[z].air_capacity_J_per_K / stage_s;
        out.emplace_back(air, air, storage);
        out.emplace_back(air, air + 2, -model.zones[z].convective_share);
        if (!has_radiant_point_[z]) { // nothing radiates: let the radiant temperature follow the air
            out.emplace_back(air + 1, air + 1, 1.0);
            out.emplace_back(air + 1, air, -1.0);
        }
    }
}

std::unique_ptr<StageSystem::Factors> StageSystem::factorise(const Key& key) const
{
    auto entries = constant_part_;
    for (std::size_t z = 0; z < key.supply.size(); ++z) {
        const int air = 3 * static_cast<int>(z);
        entries.emplace_back(air, air, key.outdoor_air[z]);
        if (key.supply[z] == Supply::none) {
            entries.emplace_back(air + 2, air + 2, 1.0);
        } else {
            const double weight = model_.zones[z].radiant_weight;
            entries.emplace_back(air + 2, air, 1.0 - weight);
            entries.emplace_back(air + 2, air + 1, weight);
        }
    }
    const int n = 3 * static_cast<int>(key.supply.size());
    Matrix matrix(n, n);
    matrix.setFromTriplets(entries.begin(), entries.end());
    auto factors = std::make_unique<Factors>();
    factors->compute(matrix);
    if (factors->info() != Eigen::Success)
        throw quantity::Error{"heat balance: the zones' equations have no unique solution; a zone without capacity, "
                              "outdoor air and surfaces to anything of known temperature cannot be balanced"};
    return factors;
}

Eigen::VectorXd StageSystem::solve(const std::vector<Supply>& supply, const std::vector<double>& outdoor_air_W_per_K,
                                   const Eigen::VectorXd& rhs)
{
    constexpr std::size_t most_kept = 400;
    if (supply.empty()) return rhs; // walls without a zone
    Key key{supply, outdoor_air_W_per_K};
    auto found = cache_.find(key);
    if (found == cache_.end()) {
        if (cache_.size() >= most_kept) cache_.clear();
        auto factors = factorise(key);
        found = cache_.emplace(std::move(key), std::move(factors)).first;
    }
    return found->second->solve(rhs);
}

} // namespace venture::loads::detail
