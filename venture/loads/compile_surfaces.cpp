/// Surfaces: walls, and what lies beyond them.

#include <algorithm>
#include <cmath>
#include <numbers>

#include <venture/fabric/glazing.hpp>
#include <venture/loads/compiler.hpp>

namespace venture::loads::detail {

using building::Attitude;
using building::Neighbour;

namespace {

/// Cosine of a face's tilt as the room sees it: 1 a floor, 0 a wall, -1 a ceiling.
double cos_from_inside(Attitude attitude, bool behind)
{
    const double level = attitude == Attitude::floor ? 1.0 : attitude == Attitude::ceiling ? -1.0 : 0.0;
    return behind ? -level : level;
}

} // namespace

/// @param behind  the face of the room that a surface separates from the one it stands in
balance::ZoneFace Compiler::zone_face(std::size_t room, Attitude attitude, bool behind) const
{
    const fabric::InsideFilm film =
        fabric::inside_film(behind ? building::heat_flow_behind(attitude) : building::heat_flow(attitude));
    balance::ZoneFace face{.zone = zone_of_room_[room],
                           .convective_W_per_m2K = film.convective_W_per_m2K,
                           .radiative_W_per_m2K = film.radiative_W_per_m2K};
    const double cosine = cos_from_inside(attitude, behind);
    if (b_.method.films_by_difference) face.natural = fabric::NaturalConvection{.cos_tilt = cosine};
    if (winter()) face.air_warmer_K = -0.5 * cosine * b_.rooms[room].use.stratification_K;
    return face;
}

balance::OutdoorFace Compiler::outdoor_face(const building::Surface& s, double emissivity)
{
    balance::OutdoorFace face{.film_W_per_m2K = fabric::outside_film_W_per_m2K, .environment_C = outdoors_behind(s)};
    // What is warmer than outdoors is a space, in which neither wind nor sky is felt.
    const bool enclosed = s.beyond.warmer_in_winter_K != 0.0 || s.beyond.warmer_in_summer_K != 0.0;
    if (!b_.method.wind_and_sky || enclosed) return face;
    face.film_by_step = wind_film_;
    const double sky = 0.5 * (1.0 + std::cos(s.tilt_deg * std::numbers::pi / 180.0));
    // Of the sky, the part near the horizon is as warm as the air (Walton 1983, NBSIR 83-2655); so is the ground.
    face.long_wave = balance::LongWave{
        .emissivity = emissivity, .sky_share = sky * std::sqrt(sky), .sky_C = sky_, .ground_C = face.environment_C};
    return face;
}

/// Of a door or window: outdoors, or the room behind.
balance::Face Compiler::other_face(const building::Surface& s, double emissivity)
{
    if (inner(s)) return zone_face(s.beyond.room, s.attitude, true);
    return outdoor_face(s, emissivity);
}

std::size_t Compiler::massless_wall(double resistance_m2K_per_W)
{
    const auto [known, is_new] = massless_.try_emplace(resistance_m2K_per_W, m_.walls.size());
    if (is_new) m_.walls.push_back(fabric::wall_modes({"opening", {{.resistance_m2K_per_W = resistance_m2K_per_W}}}));
    return known->second;
}

void Compiler::add_surfaces()
{
    std::vector<const building::Surface*> order;
    for (const building::Surface& s : b_.surfaces) order.push_back(&s);
    std::ranges::sort(order, {}, [&](const building::Surface* s) {
        return std::pair{b_.rooms[s->room].name, s->name};
    });
    for (const building::Surface* s : order) {
        const auto index = static_cast<std::size_t>(s - b_.surfaces.data());
        if (s->net_m2() > 1e-9) add_opaque(*s);
        for (std::size_t i = 0; i < s->openings.size(); ++i) {
            const building::Opening& opening = s->openings[i];
            if (opening.kind == building::Opening::Kind::open) continue; // its air is transfer air
            opening.kind == building::Opening::Kind::window ? add_window(*s, opening) : add_door(*s, opening);
            surfaces_from_.push_back({index, i});
        }
    }
}

void Compiler::add_opaque(const building::Surface& s)
{
    balance::Surface out{.id = b_.rooms[s.room].name + " / " + s.name,
                         .area_m2 = s.net_m2(),
                         .wall = s.build_up,
                         .inside = zone_face(s.room, s.attitude, false),
                         .part = s.attitude == Attitude::ceiling ? balance::Part::roof : balance::Part::outside_wall};
    switch (s.beyond.kind) {
    case Neighbour::Kind::outdoors: {
        balance::OutdoorFace face = outdoor_face(s, outside_emissivity);
        if (!winter())
            face.absorbed_W = {
                {sun_on(s, nullptr), out.area_m2 * s.absorptance.value_or(b_.build_ups[s.build_up].absorptance)}};
        out.outside = std::move(face);
        break;
    }
    case Neighbour::Kind::ground:
        out.outside = balance::FixedFace{.temperature_C = ground_under(b_.build_ups[s.build_up])};
        out.part = balance::Part::ground;
        break;
    case Neighbour::Kind::temperature:
    case Neighbour::Kind::unheated: {
        const fabric::InsideFilm film = fabric::inside_film(building::heat_flow_behind(s.attitude));
        out.outside =
            balance::FixedFace{s.beyond.kind == Neighbour::Kind::unheated
                                   ? unheated_behind(s)
                                   : m_.add_constant(s.beyond.temperature_C, balance::Forcing::given_temperature),
                               film.convective_W_per_m2K + film.radiative_W_per_m2K};
        break;
    }
    case Neighbour::Kind::room:
        out.outside = zone_face(s.beyond.room, s.attitude, true);
        out.part = balance::Part::inner;
        break;
    case Neighbour::Kind::nothing:
        out.part = balance::Part::inner;
        break;
    }
    if (s.other_half) {
        out.area_m2 *= 0.5;
        balance::Surface half = out;
        half.id += " (turned round)";
        half.wall = *s.other_half;
        put(s, std::move(half));
    }
    put(s, std::move(out));
}

/// An opaque surface, and the faces that sun falls on.
void Compiler::put(const building::Surface& s, balance::Surface surface)
{
    const std::size_t zone = zone_of_room_[s.room], at = m_.surfaces.size();
    const bool floor = s.attitude == Attitude::floor;
    if (floor) sun_[zone].floor_m2 += surface.area_m2;
    sun_[zone].faces.push_back({.surface = at, .floor = floor});
    if (inner(s)) sun_[zone_of_room_[s.beyond.room]].faces.push_back({.surface = at, .inside = false});
    m_.surfaces.push_back(std::move(surface));
    surfaces_from_.push_back({static_cast<std::size_t>(&s - b_.surfaces.data()), {}});
}

balance::SignalId Compiler::changed_outdoors(double times, double plus_K)
{
    if (times == 1.0 && plus_K == 0.0) return m_.outdoor_air_C;
    const auto [known, is_new] = near_outdoors_.try_emplace({times, plus_K});
    if (is_new) {
        balance::Signal air = m_.signals[m_.outdoor_air_C.index];
        for (auto* values : {&air.start, &air.end})
            for (double& value : *values) value = times * value + plus_K;
        known->second = m_.add(std::move(air));
    }
    return known->second;
}

/// Outdoor air, or warmer by what is stated for the season.
balance::SignalId Compiler::outdoors_behind(const building::Surface& s)
{
    return changed_outdoors(1.0, winter() ? s.beyond.warmer_in_winter_K : s.beyond.warmer_in_summer_K);
}

/// Air of an unheated space: by its factor between the room's set-point of the season and outdoors, after EN 12831-1.
balance::SignalId Compiler::unheated_behind(const building::Surface& s)
{
    const building::Use& use = b_.rooms[s.room].use;
    const auto& own = (winter() && use.heating_setpoint_C) || !use.cooling_setpoint_C ? use.heating_setpoint_C
                                                                                      : use.cooling_setpoint_C;
    const double factor = s.beyond.reduction_factor;
    return changed_outdoors(factor, (1.0 - factor) * own->value);
}

/// The ground that a floor's own layers lie on, month by month, or what the site states.
balance::SignalId Compiler::ground_under(const building::NamedBuildup& floor)
{
    if (!floor.ground) return site_ground_;
    const auto index = static_cast<std::size_t>(&floor - b_.build_ups.data());
    if (const auto known = grounds_.find(index); known != grounds_.end()) return known->second;
    const auto& by_month = floor.ground->virtual_ground_C;
    std::vector<double> values;
    for (const int month : spell_.month)
        values.push_back(month == 0 ? floor.ground->design_ground_C : by_month[static_cast<std::size_t>(month - 1)]);
    return grounds_[index] = m_.add_blocks(std::move(values), balance::Forcing::ground);
}

void Compiler::add_door(const building::Surface& s, const building::Opening& door)
{
    const fabric::Glazing as_stated{.name = "door", .u_value_W_per_m2K = door.u_value_W_per_m2K};
    balance::Face outside = other_face(s, outside_emissivity);
    if (auto* outdoors = std::get_if<balance::OutdoorFace>(&outside); outdoors != nullptr && !winter())
        outdoors->absorbed_W = {{sun_on(s, &door), door.area_m2() * door_solar_absorptance}};
    sun_[zone_of_room_[s.room]].faces.push_back({.surface = m_.surfaces.size()});
    if (inner(s)) sun_[zone_of_room_[s.beyond.room]].faces.push_back({.surface = m_.surfaces.size(), .inside = false});
    m_.surfaces.push_back({.id = b_.rooms[s.room].name + " / " + s.name + " / door",
                           .area_m2 = door.area_m2(),
                           .wall = massless_wall(fabric::face_to_face_resistance(as_stated)),
                           .outside = std::move(outside),
                           .inside = zone_face(s.room, s.attitude, false),
                           .part = inner(s) ? balance::Part::inner : balance::Part::door});
}

} // namespace venture::loads::detail
