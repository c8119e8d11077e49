#include <venture/loads/room_at_edge.hpp>

#include <algorithm>
#include <map>

#include <fmt/format.h>

#include <venture/fabric/wall_stepper.hpp>
#include <venture/loads/path_in_model.hpp>
#include <venture/loads/recorded_air.hpp>
#include <venture/quantity/error.hpp>

namespace venture::loads::detail {

using balance::Drive;
using balance::Drives;
using balance::Face;
using balance::FixedFace;
using balance::Forcing;
using balance::InsulatedFace;
using balance::OutdoorFace;
using balance::Signal;
using balance::SignalId;
using balance::Surface;
using balance::ThermalModel;
using balance::ZoneFace;

DayOfBuilding run_for_parts(const ThermalModel& model, const balance::PeriodBegin* near)
{
    DayOfBuilding out{.model = model};
    out.recorded.with_faces = true;
    balance::PeriodicOptions options{.temperature_tolerance_K = 1e-6};
    options.record = &out.recorded;
    options.near = near;
    out.day = run_periodic_day(model, options);
    return out;
}

RoomAtEdge::RoomAtEdge(const DayOfBuilding& building, std::size_t zone, double reference_C,
                       const std::function<std::string(std::size_t)>& name_of)
    : b_{building},
      zone_{zone},
      reference_C_{reference_C}
{
    const ThermalModel& m = b_.model;
    silent_ = {.step_s = m.step_s,
               .steps = m.steps,
               .air_specific_heat_J_per_kgK = m.air_specific_heat_J_per_kgK,
               .signals = m.signals,
               .walls = m.walls};
    if (const std::size_t parts = balance::parts_of_step(m.step_s); parts > 1) { // each of them a step
        silent_.step_s /= static_cast<double>(parts);
        silent_.steps *= parts;
        for (Signal& s : silent_.signals)
            if (s.start.size() > 1) s.steps_per_value *= parts;
    }
    nil_ = silent_.add_constant(0.0);
    silent_.outdoor_air_C = nil_;
    silent_.outdoor_humidity_ratio = silent_.add_constant(0.005);
    balance::Zone room = m.zones[zone];
    room.convective_gain_W.clear();
    room.radiant_gain_W.clear();
    room.moisture_gain_kg_per_s.clear();
    room.dry_above_kg_per_kg = room.dry_above_relative = std::nullopt;
    room.infiltration_kg_per_s.clear();
    room.ventilation_kg_per_s.clear();
    room.supply_air.reset();
    room.wet_below_kg_per_kg = room.wet_below_relative = std::nullopt;
    room.transfer_air.clear();
    room.thermal_bridges_W_per_K = 0.0;
    room.sun = {};
    VENTURE_ASSERT(!room.follows); // supplies of design days have no limits to follow
    silent_.zones.push_back(std::move(room));
    take_surfaces(name_of);
    take_heat_on_faces();
    take_gains();
    take_air();
    take_control();
    take_recording();
}

SignalId RoomAtEdge::less_reference(SignalId signal)
{
    Signal out = silent_.signals[signal.index];
    for (auto* values : {&out.start, &out.end})
        for (double& v : *values) v -= reference_C_;
    return silent_.add(std::move(out));
}

/// Straight over each step, which may begin elsewhere than the one before it ended: so that it is met at both of its stages.
SignalId RoomAtEdge::by_stages(const std::function<double(std::size_t)>& value)
{
    constexpr double early = fabric::two_stages::at[0];
    std::vector<double> starts(silent_.steps), ends(silent_.steps);
    for (std::size_t i = 0; i < silent_.steps; ++i) {
        const double first = value(2 * i), last = value(2 * i + 1);
        starts[i] = (first - early * last) / (1.0 - early);
        ends[i] = last;
    }
    return silent_.add({.start = std::move(starts), .end = std::move(ends)});
}

SignalId RoomAtEdge::from_stages(const std::function<double(std::size_t)>& at_C)
{
    return by_stages([&](std::size_t stage) { return at_C(stage) - reference_C_; });
}

/// The far face as something given, or as it is where both look into the room.
Face RoomAtEdge::given_face(const Surface& s, std::size_t surface, bool outside)
{
    const Face& face = outside ? s.outside : s.inside;
    const std::size_t surfaces = b_.model.surfaces.size();
    const auto at_stage = [surface, surfaces, side = outside ? 0U : 1U](const std::vector<double>& values,
                                                                        std::size_t stage) {
        return values[2 * (stage * surfaces + surface) + side];
    };
    const auto face_C = [&](std::size_t stage) { return at_stage(b_.recorded.face_C, stage); };
    if (const auto* fixed = std::get_if<FixedFace>(&face)) {
        beyond_.back() = less_reference(fixed->temperature_C);
        return FixedFace{nil_, fixed->film_W_per_m2K};
    }
    if (const auto* out = std::get_if<OutdoorFace>(&face)) {
        if (!out->long_wave) {
            beyond_.back() = less_reference(out->environment_C);
            return OutdoorFace{
                .film_W_per_m2K = out->film_W_per_m2K, .environment_C = nil_, .film_by_step = out->film_by_step};
        }
        beyond_.back() = from_stages(face_C); // films vary: the face itself is what is given
        return FixedFace{nil_, std::nullopt};
    }
    if (const auto* other = std::get_if<ZoneFace>(&face)) {
        const double film = other->convective_W_per_m2K + other->radiative_W_per_m2K;
        const bool by_film = !other->natural && film > 0.0;
        // gains and sun that it takes up act as a warmer room: as much as its face shows
        beyond_.back() = from_stages([&](std::size_t stage) {
            return by_film ? face_C(stage) + at_stage(b_.recorded.flux_W_per_m2, stage) / film : face_C(stage);
        });
        return FixedFace{nil_, by_film ? std::optional{film} : std::nullopt};
    }
    return InsulatedFace{};
}

void RoomAtEdge::take_surfaces(const std::function<std::string(std::size_t)>& name_of)
{
    for (std::size_t i = 0; i < b_.model.surfaces.size(); ++i) {
        const Surface& s = b_.model.surfaces[i];
        const ZoneFace *in = face_in(s.inside, zone_), *out = face_in(s.outside, zone_);
        if (in == nullptr && out == nullptr) continue;
        const bool turned = in == nullptr;
        const Face& far = turned ? s.inside : s.outside;
        Surface mine = s;
        mine.sources_W.clear();
        mine.water = std::nullopt;
        beyond_.push_back(nil_);
        for (Face* face : {&mine.outside, &mine.inside})
            if (auto* zone = std::get_if<ZoneFace>(face)) {
                zone->absorbed_W.clear();
                zone->air_warmer_K = 0.0;
                if (zone->zone == zone_) zone->zone = 0;
            }
        const bool both = in != nullptr && out != nullptr;
        if (!both) (turned ? mine.inside : mine.outside) = given_face(s, i, !turned);
        const std::size_t index = silent_.surfaces.size();
        const std::string& name = name_.emplace_back(name_of(i));
        if (!both && !std::holds_alternative<InsulatedFace>(far))
            acts_.push_back({.at = Act::At::beyond, .index = index, .kind = kind_of(s, far), .through = name});
        if (const auto* outdoors = std::get_if<OutdoorFace>(&far);
            outdoors != nullptr && !outdoors->long_wave && !outdoors->absorbed_W.empty())
            acts_.push_back(
                {.at = Act::At::far_face,
                 .index = index,
                 .drives = outdoors->absorbed_W,
                 .kind = s.part == balance::Part::window ? PathKind::sun_in_panes : PathKind::sun_on_outside,
                 .through = name});
        surface_of_.push_back(i);
        turned_.push_back(turned);
        silent_.surfaces.push_back(std::move(mine));
    }
}

void RoomAtEdge::take_heat_on_faces()
{
    for (std::size_t i = 0; i < silent_.surfaces.size(); ++i) {
        const Surface& s = b_.model.surfaces[surface_of_[i]];
        for (const bool inside : {false, true}) {
            const ZoneFace* face = face_in(inside ? s.inside : s.outside, zone_);
            if (face == nullptr) continue;
            for (const Drive& d : face->absorbed_W) {
                const PathKind kind = kind_of_light(b_.model.zones[zone_], d.signal);
                acts_.push_back({.at = inside == turned_[i] ? Act::At::far_face : Act::At::near_face,
                                 .index = i,
                                 .drives = {d},
                                 .kind = kind,
                                 .through = kind == PathKind::sun_in_panes ? name_[i] : std::string{}});
            }
            if (face->air_warmer_K != 0.0)
                acts_.push_back({.at = Act::At::warm_ceiling, .index = i, .kind = PathKind::warm_ceiling});
        }
    }
}

void RoomAtEdge::take_gains()
{
    const balance::Zone& z = b_.model.zones[zone_];
    const auto take = [&](const Drives& drives, Act::At at) {
        for (const Drive& d : drives)
            acts_.push_back({.at = at, .drives = {d}, .kind = kind_of_gain(b_.model.signals[d.signal.index].forcing)});
    };
    take(z.radiant_gain_W, Act::At::radiant);
    take(z.convective_gain_W, Act::At::convective);
    for (const balance::BodyHeat& body : b_.model.bodies)
        if (body.zone == zone_) {
            silent_.bodies.push_back(body);
            silent_.bodies.back().zone = 0;
        }
}

void RoomAtEdge::add_stream(const Drives& kg_per_s, SignalId temperature, PathKind kind, std::string through)
{
    const std::size_t zone = silent_.zones.size();
    silent_.zones.push_back({.id = fmt::format("stream {}", zone),
                             .thermal_bridges_W_per_K = 1.0, // its own, for a temperature to be held against
                             .heat_below_C = nil_,
                             .cool_above_C = nil_});
    silent_.zones.front().transfer_air.push_back({zone, kg_per_s});
    acts_.push_back({.at = Act::At::stream, .index = streams_.size(), .kind = kind, .through = std::move(through)});
    streams_.push_back(temperature);
}

void RoomAtEdge::take_air()
{
    const ThermalModel& m = b_.model;
    const balance::Zone& z = m.zones[zone_];
    const SignalId outdoors = less_reference(m.outdoor_air_C);
    if (!z.infiltration_kg_per_s.empty()) add_stream(z.infiltration_kg_per_s, outdoors, PathKind::infiltration, {});
    if (!z.ventilation_kg_per_s.empty()) add_stream(z.ventilation_kg_per_s, outdoors, PathKind::ventilation, {});
    if (z.supply_air) add_supply_air();
    if (z.thermal_bridges_W_per_K > 0.0)
        add_stream(
            {{silent_.add_constant(z.thermal_bridges_W_per_K / m.air_specific_heat_J_per_kgK, Forcing::coefficient)}},
            outdoors, PathKind::thermal_bridges, {});
    for (const balance::TransferAir& air : z.transfer_air) {
        const SignalId temperature =
            from_stages([&](std::size_t stage) { return b_.recorded.air_C[stage * b_.recorded.zones + air.from]; });
        add_stream(air.kg_per_s, temperature, PathKind::transfer_air, m.zones[air.from].id);
    }
}

void RoomAtEdge::add_supply_air()
{
    const RecordedSupply air{b_.model, b_.recorded, zone_};
    const double cp = b_.model.air_specific_heat_J_per_kgK;
    const SignalId flow = by_stages([&](std::size_t stage) { return air.at(stage).W_per_K / cp; }),
                   temperature = from_stages([&](std::size_t stage) { return air.at(stage).from_C; });
    add_stream({{flow}}, temperature, PathKind::ventilation, {});
}

void RoomAtEdge::take_control()
{
    balance::Zone& z = silent_.zones.front();
    if (z.heat_below_C) heat_below_ = less_reference(*z.heat_below_C);
    if (z.cool_above_C) cool_above_ = less_reference(*z.cool_above_C);
    if (heat_below_ || cool_above_) acts_.push_back({.at = Act::At::set_point, .kind = PathKind::set_point});
    if (z.most_heating_W || z.most_cooling_W) acts_.push_back({.at = Act::At::limit, .kind = PathKind::other});
}

/// What of the building's recording is of this room.
void RoomAtEdge::take_recording()
{
    const balance::Recording& all = b_.recorded;
    const std::size_t stages = all.stages, zones = silent_.zones.size();
    recorded_ = {.stages = stages, .zones = zones, .bodies = silent_.bodies.size()};
    recorded_.actions.assign(stages * zones, balance::Action::heating); // streams are as warm as they are said to be
    for (std::size_t s = 0; s < stages; ++s) recorded_.actions[s * zones] = all.actions[s * all.zones + zone_];
    std::vector<std::size_t> bodies;
    for (std::size_t i = 0; i < b_.model.bodies.size(); ++i)
        if (b_.model.bodies[i].zone == zone_) bodies.push_back(i);
    for (std::size_t s = 0; s < stages; ++s)
        for (const std::size_t i : bodies)
            recorded_.sensible_factors.push_back(all.sensible_factors[s * all.bodies + i]);
    if (all.films > 0)
        take_films(
            all, b_.model, silent_, [&](std::size_t surface) { return surface_of_[surface]; }, recorded_);
}

void take_films(const balance::Recording& recorded, const ThermalModel& from, const ThermalModel& to,
                const std::function<std::size_t(std::size_t)>& there, balance::Recording& out)
{
    std::map<std::pair<std::size_t, bool>, std::size_t> at;
    const balance::HeatBalance whole{from}, own{to};
    for (const balance::FaceAt& face : whole.convective_faces())
        at.emplace(std::pair{face.surface, face.inside}, at.size());
    std::vector<std::size_t> films;
    for (const balance::FaceAt& face : own.convective_faces())
        films.push_back(at.at({there(face.surface), face.inside}));
    out.films = films.size();
    for (std::size_t s = 0; s < recorded.stages; ++s)
        for (const std::size_t f : films) out.film_values.push_back(recorded.film_values[s * recorded.films + f]);
}

} // namespace venture::loads::detail
