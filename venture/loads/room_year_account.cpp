#include <venture/loads/room_year_account.hpp>

#include <algorithm>
#include <cmath>

#include <venture/loads/path_in_model.hpp>

namespace venture::loads::detail {

using balance::Drive;
using balance::ZoneStep;

namespace {

/// Flows of air and bridges that a step tells.
constexpr std::pair<PathKind, double ZoneStep::*> told[] = {{PathKind::infiltration, &ZoneStep::infiltration_W},
                                                            {PathKind::ventilation, &ZoneStep::ventilation_W},
                                                            {PathKind::transfer_air, &ZoneStep::transfer_W},
                                                            {PathKind::thermal_bridges, &ZoneStep::thermal_bridges_W}};

} // namespace

RoomYearAccount::RoomYearAccount(const balance::ThermalModel& model, std::size_t zone,
                                 const std::function<std::string(std::size_t)>& name_of)
    : model_{model},
      zone_{zone}
{
    parts_.room = model.zones[zone].id;
    take_faces(name_of);
    take_gains(model.zones[zone].radiant_gain_W);
    take_gains(model.zones[zone].convective_gain_W);
    for (const auto& [kind, member] : told) (void)path(kind, {});
}

/// A path that is there already, or a new one.
std::size_t RoomYearAccount::path(PathKind kind, const std::string& through)
{
    const auto at =
        std::ranges::find_if(parts_.paths, [&](const YearPath& p) { return p.kind == kind && p.through == through; });
    const auto index = static_cast<std::size_t>(at - parts_.paths.begin());
    if (at == parts_.paths.end()) {
        parts_.paths.push_back({kind, through, {}});
        flow_W_.push_back(0.0);
    }
    return index;
}

void RoomYearAccount::take_faces(const std::function<std::string(std::size_t)>& name_of)
{
    const balance::Zone& zone = model_.zones[zone_];
    for (std::size_t i = 0; i < model_.surfaces.size(); ++i) {
        const balance::Surface& s = model_.surfaces[i];
        const balance::ZoneFace* face[2] = {face_in(s.outside, zone_), face_in(s.inside, zone_)};
        double by_supply = 0.0;
        for (const balance::PlaneShare& share : zone.plane_shares)
            if (share.surface == i) by_supply += share.share;
        for (const std::size_t side : {1U, 0U}) {
            if (face[side] == nullptr) continue;
            const PathKind kind = kind_of(s, side == 1 ? s.outside : s.inside);
            faces_.push_back({i, side, path(kind, name_of(i)), by_supply});
            by_supply = 0.0; // counted once
            for (const Drive& d : face[side]->absorbed_W)
                sources_.push_back({d, path(kind_of_light(zone, d.signal), {}), {}});
        }
    }
}

void RoomYearAccount::take_gains(const balance::Drives& drives)
{
    for (const Drive& d : drives) {
        Source source{d, path(kind_of_gain(model_.signals[d.signal.index].forcing), {}), {}};
        for (std::size_t b = 0; b < model_.bodies.size(); ++b)
            if (model_.bodies[b].sensible == d.signal) source.body = b;
        sources_.push_back(source);
    }
}

void RoomYearAccount::find_flows(std::size_t step, const balance::StepResult& r)
{
    const ZoneStep& now = r.zones[zone_];
    std::ranges::fill(flow_W_, 0.0);
    for (const Seen& seen : faces_)
        flow_W_[seen.path] -=
            model_.surfaces[seen.surface].area_m2 * r.surfaces[seen.surface].flux_W_per_m2[seen.side] +
            seen.by_supply * (now.heating_W - now.cooling_W);
    constexpr double middle = 0.5; // the mean of what is straight over a step
    for (const Source& source : sources_)
        flow_W_[source.path] += source.drive.factor * model_.value(source.drive.signal, step, middle) *
                                (source.body ? r.sensible_factors[*source.body] : 1.0);
    for (const auto& [kind, member] : told) flow_W_[path(kind, {})] += now.*member;
    flow_W_[path(PathKind::ventilation, {})] += now.supply_air_W;
}

void RoomYearAccount::take(std::size_t step, std::size_t month, const balance::StepResult& r)
{
    find_flows(step, r);
    const ZoneStep& now = r.zones[zone_];
    const Supply supply = now.heating_W > 0.0 ? Supply::heats : now.cooling_W > 0.0 ? Supply::cools : Supply::rests;
    const auto doing = static_cast<std::size_t>(supply);
    double left = 0.0, flows = 0.0;
    const auto add = [&](HeatOfYear& heat, double watts) {
        heat.while_J[doing] += watts * model_.step_s;
        heat.month_J[month] += watts * model_.step_s;
        flows += std::abs(watts);
    };
    for (std::size_t p = 0; p < flow_W_.size(); ++p) {
        add(parts_.paths[p].heat, flow_W_[p]);
        left += flow_W_[p];
    }
    add(parts_.heating, now.heating_W);
    add(parts_.cooling, -now.cooling_W);
    add(parts_.kept, now.into_air_capacity_W);
    left += now.heating_W - now.cooling_W - now.into_air_capacity_W;
    parts_.hours[doing] += model_.step_s / 3600.0;
    parts_.missing = std::max(parts_.missing, std::abs(left) / std::max(1.0, flows));
}

} // namespace venture::loads::detail
