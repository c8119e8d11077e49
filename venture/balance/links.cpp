#include <venture/balance/links.hpp>

#include <algorithm>

namespace venture::balance {

Links::Links(const ThermalModel& model, const SurfaceBank& bank)
{
    if (model.radiant_links.empty()) return;
    const std::size_t n = bank.count();
    std::vector<std::uint32_t> slot_of(model.surfaces.size());
    for (std::size_t i = 0; i < n; ++i)
        if (bank.slots[i].area > 0.0) slot_of[bank.slots[i].surface] = static_cast<std::uint32_t>(i);
    for (const RadiantLink& link : model.radiant_links) {
        Link out{.W_per_K = link.W_per_K};
        for (std::size_t k = 0; k < 2; ++k) {
            out.face[k] = slot_of[link.surface[k]] + static_cast<std::uint32_t>(link.inside[k] ? n : 0);
            linked_.push_back(out.face[k]);
        }
        links_.push_back(out);
    }
    std::ranges::sort(linked_);
    linked_.erase(std::ranges::unique(linked_).begin(), linked_.end());
    std::ranges::sort(links_, {}, [](const Link& l) { return std::pair{l.face[0], l.face[1]}; });
}

void Links::find(const SurfaceBank& bank, const std::vector<double>& face_C, const std::vector<double>& radiant_C,
                 std::vector<double>& correction) const
{
    correction.assign(face_C.size(), 0.0);
    for (const Link& link : links_) {
        const double flow_W = link.W_per_K * (face_C[link.face[1]] - face_C[link.face[0]]);
        correction[link.face[0]] += flow_W / bank.area[link.face[0]];
        correction[link.face[1]] -= flow_W / bank.area[link.face[1]];
    }
    for (const std::uint32_t f : linked_) correction[f] -= bank.radiative[f] * (radiant_C[bank.zone[f]] - face_C[f]);
}

} // namespace venture::balance
