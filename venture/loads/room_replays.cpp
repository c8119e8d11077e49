/// One room replayed with one path each, side by side.

#include <algorithm>
#include <cmath>
#include <map>

#include <venture/loads/path_in_model.hpp>
#include <venture/loads/room_at_edge.hpp>

namespace venture::loads::detail {

using balance::Drives;
using balance::Face;
using balance::FixedFace;
using balance::OutdoorFace;
using balance::Surface;
using balance::ThermalModel;
using balance::ZoneFace;

/// As many rooms as there are lists, side by side in one model. Bodies are not repeated: what of their heat is sensible
/// belongs to its signal, which all rooms share.
ThermalModel RoomAtEdge::with(const std::vector<std::vector<const Act*>>& rooms) const
{
    ThermalModel m = silent_;
    balance::Zone& room = m.zones.front();
    for (auto* of_supply : {&room.heat_below_C, &room.cool_above_C, &room.most_heating_W, &room.most_cooling_W})
        if (*of_supply) *of_supply = nil_;
    const ThermalModel one = m;
    const std::size_t zones = one.zones.size();
    for (std::size_t first = zones; first < rooms.size() * zones; first += zones) {
        for (balance::Zone zone : one.zones) {
            for (balance::TransferAir& air : zone.transfer_air) air.from += first;
            m.zones.push_back(std::move(zone));
        }
        for (Surface surface : one.surfaces) {
            for (Face* face : {&surface.outside, &surface.inside})
                if (auto* in = std::get_if<ZoneFace>(face)) in->zone += first;
            m.surfaces.push_back(std::move(surface));
        }
    }
    for (std::size_t r = 0; r < rooms.size(); ++r)
        for (const Act* act : rooms[r]) let_act(*act, r, m);
    return m;
}

/// In a room of several.
void RoomAtEdge::let_act(const Act& act, std::size_t in_room, ThermalModel& m) const
{
    balance::Zone& room = m.zones[in_room * silent_.zones.size()];
    const balance::Zone& as_it_is = b_.model.zones[zone_];
    const auto face_at = [&](bool far) -> Face& {
        Surface& s = m.surfaces.at(in_room * silent_.surfaces.size() + act.index);
        return far == turned_[act.index] ? s.inside : s.outside;
    };
    const auto heat = [&](Face& face) {
        Drives& drives = std::holds_alternative<ZoneFace>(face) ? std::get<ZoneFace>(face).absorbed_W
                                                                : std::get<OutdoorFace>(face).absorbed_W;
        drives.insert(drives.end(), act.drives.begin(), act.drives.end());
    };
    switch (act.at) {
    case Act::At::beyond: {
        Face& far = face_at(true);
        if (auto* out = std::get_if<OutdoorFace>(&far))
            out->environment_C = beyond_[act.index];
        else
            std::get<FixedFace>(far).temperature_C = beyond_[act.index];
        break;
    }
    case Act::At::far_face:
        heat(face_at(true));
        break;
    case Act::At::near_face:
        heat(face_at(false));
        break;
    case Act::At::radiant:
        room.radiant_gain_W.push_back(act.drives.front());
        break;
    case Act::At::convective:
        room.convective_gain_W.push_back(act.drives.front());
        break;
    case Act::At::stream: {
        balance::Zone& stream = m.zones[in_room * silent_.zones.size() + 1 + act.index];
        stream.heat_below_C = stream.cool_above_C = streams_[act.index];
        break;
    }
    case Act::At::set_point:
        if (heat_below_) room.heat_below_C = heat_below_;
        if (cool_above_) room.cool_above_C = cool_above_;
        break;
    case Act::At::limit:
        room.most_heating_W = as_it_is.most_heating_W;
        room.most_cooling_W = as_it_is.most_cooling_W;
        break;
    case Act::At::warm_ceiling:
        for (const bool far : {false, true}) {
            const Surface& there = b_.model.surfaces[surface_of_[act.index]];
            const ZoneFace* whole = face_in(far == turned_[act.index] ? there.inside : there.outside, zone_);
            if (auto* mine = std::get_if<ZoneFace>(&face_at(far)); mine != nullptr && whole != nullptr)
                mine->air_warmer_K = whole->air_warmer_K;
        }
        break;
    }
}

/// What was recorded of the room, for as many as stand side by side in a model.
balance::Recording RoomAtEdge::recorded_for(const ThermalModel& m) const
{
    const balance::Recording& one = recorded_;
    const std::size_t times = m.zones.size() / silent_.zones.size();
    if (times == 1) return one;
    balance::Recording out{.stages = one.stages,
                           .zones = times * one.zones,
                           .bodies = one.bodies,
                           .sensible_factors = one.sensible_factors};
    for (std::size_t s = 0; s < one.stages; ++s)
        for (std::size_t k = 0; k < times; ++k)
            for (std::size_t z = 0; z < one.zones; ++z) out.actions.push_back(one.actions[s * one.zones + z]);
    if (one.films > 0)
        take_films(
            one, silent_, m, [&](std::size_t surface) { return surface % silent_.surfaces.size(); }, out);
    return out;
}

/// The day of every room of `m`.
balance::PeriodicDay RoomAtEdge::replay(const ThermalModel& m) const
{
    const std::size_t rooms = m.zones.size() / silent_.zones.size();
    const balance::Recording recording = recorded_for(m);
    // walls change as a root mean square of all rooms: each shall be as exact as if it were alone
    balance::PeriodicOptions options{.temperature_tolerance_K = 1e-7 / std::sqrt(static_cast<double>(rooms))};
    options.replay = &recording;
    return run_periodic_day(m, options);
}

/// Mean over a step; of people as much as was sensible then.
double RoomAtEdge::heat_of(const Act& act, const ThermalModel& m, std::size_t step) const
{
    double sum = 0.0;
    for (const balance::Drive& d : act.drives) {
        double factor = d.factor;
        for (std::size_t b = 0; b < m.bodies.size(); ++b)
            if (m.bodies[b].sensible == d.signal)
                factor *= recorded_.sensible_factors[2 * step * m.bodies.size() + b]; // of both stages
        sum += factor * 0.5 * (m.value(d.signal, step, 0.0) + m.value(d.signal, step, 1.0));
    }
    return sum;
}

std::vector<LoadPath> RoomAtEdge::paths() const
{
    using Key = std::pair<PathKind, std::string>;
    std::vector<Key> order;
    std::map<Key, std::vector<const Act*>> by_path;
    for (const Act& act : acts_) {
        const Key key{act.kind, act.through};
        if (!by_path.contains(key)) order.push_back(key);
        by_path[key].push_back(&act);
    }
    std::vector<std::vector<const Act*>> rooms;
    for (const Key& key : order) rooms.push_back(by_path[key]);
    const balance::PeriodicDay day = replay(with(rooms));
    const std::size_t per_hour = silent_.steps / 24;
    std::vector<LoadPath> out;
    for (std::size_t r = 0; r < rooms.size(); ++r) {
        LoadPath path{.kind = order[r].first, .through = order[r].second};
        const balance::ZoneDay& zone = day.zones[r * silent_.zones.size()];
        for (std::size_t h = 0; h < 24; ++h) {
            path.cooling_W[h] = zone.cooling_W[h] - zone.heating_W[h];
            path.temperature_K[h] = zone.operative_C[h];
        }
        const bool heat = std::ranges::all_of(
            rooms[r], [](const Act* a) { return !a->drives.empty() && a->at != Act::At::far_face; });
        if (heat) {
            HourlyDay& gain = path.gain_W.emplace();
            for (const Act* act : rooms[r])
                for (std::size_t i = 0; i < silent_.steps; ++i)
                    gain[i / per_hour] += heat_of(*act, silent_, i) / static_cast<double>(per_hour);
        }
        out.push_back(std::move(path));
    }
    return out;
}

std::vector<const Act*> RoomAtEdge::acts_of(PathKind kind, const std::string& through) const
{
    std::vector<const Act*> out;
    for (const Act& act : acts_)
        if (act.kind == kind && act.through == through) out.push_back(&act);
    return out;
}

bool RoomAtEdge::is_heat(PathKind kind, const std::string& through) const
{
    return std::ranges::none_of(acts_of(kind, through), [](const Act* act) { return act->drives.empty(); });
}

/// What an act brings in: nothing for one that is no forcing.
std::vector<balance::SignalId> RoomAtEdge::signals_of(const Act& act) const
{
    std::vector<balance::SignalId> out;
    for (const balance::Drive& drive : act.drives) out.push_back(drive.signal);
    if (act.at == Act::At::beyond) out.push_back(beyond_[act.index]);
    if (act.at == Act::At::stream) out.push_back(streams_[act.index]);
    if (act.at == Act::At::set_point)
        for (const auto& signal : {heat_below_, cool_above_})
            if (signal) out.push_back(*signal);
    return out;
}

namespace {

/// As it is in one hour, and nil in all others.
balance::Signal in_hour(const balance::Signal& signal, std::size_t steps, std::size_t hour)
{
    balance::Signal out{
        .start = std::vector<double>(steps), .end = std::vector<double>(steps), .forcing = signal.forcing};
    const std::size_t per_hour = steps / 24;
    for (std::size_t i = hour * per_hour; i < (hour + 1) * per_hour; ++i) {
        out.start[i] = signal.at(i, 0.0);
        out.end[i] = signal.at(i, 1.0);
    }
    return out;
}

} // namespace

std::optional<std::array<RoomAtEdge::Term, 24>> RoomAtEdge::terms(PathKind kind, const std::string& through,
                                                                  std::size_t hour) const
{
    const std::vector<const Act*> acts = acts_of(kind, through);
    if (acts.empty() || std::ranges::any_of(acts, [&](const Act* act) { return signals_of(*act).empty(); }))
        return std::nullopt;
    const ThermalModel whole = with({acts});
    const std::size_t per_hour = whole.steps / 24;
    const bool heat = is_heat(kind, through);
    std::array<Term, 24> out{};
    for (std::size_t h = 0; h < out.size(); ++h) {
        ThermalModel m = whole;
        for (const Act* act : acts) {
            for (const balance::SignalId signal : signals_of(*act))
                m.signals[signal.index] = in_hour(whole.signals[signal.index], whole.steps, h);
            for (std::size_t i = h * per_hour; i < (h + 1) * per_hour; ++i) {
                const auto mean = [&](const auto& of) {
                    return 0.5 * (whole.value(of, i, 0.0) + whole.value(of, i, 1.0));
                };
                const double acted = act->drives.empty() ? mean(signals_of(*act).front()) : heat_of(*act, whole, i);
                out[h].acted += acted / static_cast<double>(per_hour * (heat ? 1 : acts.size()));
            }
        }
        if (out[h].acted == 0.0) continue;
        const balance::PeriodicDay day = replay(m);
        const balance::ZoneDay& zone = day.zones.front();
        out[h].cooling_W = zone.cooling_W[hour] - zone.heating_W[hour];
        out[h].operative_K = zone.operative_C[hour];
    }
    return out;
}

} // namespace venture::loads::detail
