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
ZoneFace Compiler::zone_face(std::size_t room, Attitude attitude, bool behind) const
{
    const fabric::InsideFilm film =
        fabric::inside_film(behind ? building::heat_flow_behind(attitude) : building::heat_flow(attitude));
    ZoneFace face{.zone = zone_of_room_[room],
                  .convective_W_per_m2K = film.convective_W_per_m2K,
                  .radiative_W_per_m2K = film.radiative_W_per_m2K};
    const double cosine = cos_from_inside(attitude, behind);
    if (b_.method.films_by_difference) face.natural = fabric::NaturalConvection{.cos_tilt = cosine};
    if (winter()) face.air_warmer_K = -0.5 * cosine * b_.rooms[room].use.stratification_K;
    return face;
}

OutdoorFace Compiler::outdoor_face(const building::Surface& s, double emissivity)
{
    OutdoorFace face{.film_W_per_m2K = fabric::outside_film_W_per_m2K, .environment_C = outdoors_behind(s)};
    if (!b_.method.wind_and_sky) return face;
    face.film_by_step = wind_film_;
    const double sky = 0.5 * (1.0 + std::cos(s.tilt_deg * std::numbers::pi / 180.0));
    // Of the sky, the part near the horizon is as warm as the air (Walton 1983, NBSIR 83-2655); so is the ground.
    face.long_wave = LongWave{
        .emissivity = emissivity, .sky_share = sky * std::sqrt(sky), .sky_C = sky_, .ground_C = face.environment_C};
    return face;
}

/// Of a door or window: outdoors, or the room behind.
Face Compiler::other_face(const building::Surface& s, double emissivity)
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
        if (s->net_m2() > 1e-9) {
            add_opaque(*s);
            surfaces_from_.push_back({index, {}});
        }
        for (std::size_t i = 0; i < s->openings.size(); ++i) {
            const building::Opening& opening = s->openings[i];
            opening.kind == building::Opening::Kind::window ? add_window(*s, opening) : add_door(*s, opening);
            surfaces_from_.push_back({index, i});
        }
    }
}

void Compiler::add_opaque(const building::Surface& s)
{
    const std::size_t zone = zone_of_room_[s.room];
    Surface out{.id = b_.rooms[s.room].name + " / " + s.name,
                .area_m2 = s.net_m2(),
                .wall = s.build_up,
                .inside = zone_face(s.room, s.attitude, false),
                .part = s.attitude == Attitude::ceiling ? Part::roof : Part::outside_wall};
    switch (s.beyond.kind) {
    case Neighbour::Kind::outdoors: {
        OutdoorFace face = outdoor_face(s, outside_emissivity);
        if (!winter())
            face.absorbed_W = {
                {sun_on(s, nullptr), out.area_m2 * s.absorptance.value_or(b_.build_ups[s.build_up].absorptance)}};
        out.outside = std::move(face);
        break;
    }
    case Neighbour::Kind::ground:
        out.outside = FixedFace{.temperature_C = ground_under(b_.build_ups[s.build_up])};
        out.part = Part::ground;
        break;
    case Neighbour::Kind::temperature:
    case Neighbour::Kind::unheated: {
        const fabric::InsideFilm film = fabric::inside_film(building::heat_flow_behind(s.attitude));
        out.outside = FixedFace{s.beyond.kind == Neighbour::Kind::unheated
                                    ? unheated_behind(s)
                                    : m_.add_constant(s.beyond.temperature_C, Forcing::given_temperature),
                                film.convective_W_per_m2K + film.radiative_W_per_m2K};
        break;
    }
    case Neighbour::Kind::room:
        out.outside = zone_face(s.beyond.room, s.attitude, true);
        out.part = Part::inner;
        break;
    case Neighbour::Kind::nothing:
        out.part = Part::inner;
        break;
    }
    if (s.attitude == Attitude::floor) sun_[zone].floor_m2 += out.area_m2;
    sun_[zone].faces.push_back({.surface = m_.surfaces.size(), .floor = s.attitude == Attitude::floor});
    if (inner(s)) sun_[zone_of_room_[s.beyond.room]].faces.push_back({.surface = m_.surfaces.size(), .inside = false});
    m_.surfaces.push_back(std::move(out));
}

SignalId Compiler::changed_outdoors(double times, double plus_K)
{
    if (times == 1.0 && plus_K == 0.0) return m_.outdoor_air_C;
    const auto [known, is_new] = near_outdoors_.try_emplace({times, plus_K});
    if (is_new) {
        Signal air = m_.signals[m_.outdoor_air_C.index];
        for (auto* values : {&air.start, &air.end})
            for (double& value : *values) value = times * value + plus_K;
        known->second = m_.add(std::move(air));
    }
    return known->second;
}

/// Outdoor air, or warmer by what is stated for the season.
SignalId Compiler::outdoors_behind(const building::Surface& s)
{
    return changed_outdoors(1.0, winter() ? s.beyond.warmer_in_winter_K : s.beyond.warmer_in_summer_K);
}

/// Air of an unheated space: by its factor between the room's set-point of the season and outdoors, after EN 12831-1.
SignalId Compiler::unheated_behind(const building::Surface& s)
{
    const building::Use& use = b_.rooms[s.room].use;
    const auto& own = (winter() && use.heating_setpoint_C) || !use.cooling_setpoint_C ? use.heating_setpoint_C
                                                                                      : use.cooling_setpoint_C;
    const double factor = s.beyond.reduction_factor;
    return changed_outdoors(factor, (1.0 - factor) * own->value);
}

/// The ground that a floor's own layers lie on, month by month, or what the site states.
SignalId Compiler::ground_under(const building::NamedBuildup& floor)
{
    if (!floor.ground) return site_ground_;
    const auto index = static_cast<std::size_t>(&floor - b_.build_ups.data());
    if (const auto known = grounds_.find(index); known != grounds_.end()) return known->second;
    const auto& by_month = floor.ground->virtual_ground_C;
    std::vector<double> values;
    for (const int month : spell_.month)
        values.push_back(month == 0 ? floor.ground->design_ground_C : by_month[static_cast<std::size_t>(month - 1)]);
    return grounds_[index] = m_.add_blocks(std::move(values), Forcing::ground);
}

void Compiler::add_door(const building::Surface& s, const building::Opening& door)
{
    const fabric::Glazing as_stated{.name = "door", .u_value_W_per_m2K = door.u_value_W_per_m2K};
    Face outside = other_face(s, outside_emissivity);
    if (auto* outdoors = std::get_if<OutdoorFace>(&outside); outdoors != nullptr && !winter())
        outdoors->absorbed_W = {{sun_on(s, &door), door.area_m2() * door_solar_absorptance}};
    sun_[zone_of_room_[s.room]].faces.push_back({.surface = m_.surfaces.size()});
    m_.surfaces.push_back({.id = b_.rooms[s.room].name + " / " + s.name + " / door",
                           .area_m2 = door.area_m2(),
                           .wall = massless_wall(fabric::face_to_face_resistance(as_stated)),
                           .outside = std::move(outside),
                           .inside = zone_face(s.room, s.attitude, false),
                           .part = inner(s) ? Part::inner : Part::door});
}

void Compiler::add_window(const building::Surface& s, const building::Opening& window)
{
    const fabric::Glazing& g = b_.glazings[window.glazing].values;
    const std::size_t zone = zone_of_room_[s.room];
    const double glass_m2 = window.area_m2() * (1.0 - g.frame_share);
    ZoneFace inside = zone_face(s.room, s.attitude, false);
    Face outside = other_face(s, glass_emissivity);
    std::optional<SignalId> shade_down;
    if (auto* outdoors = std::get_if<OutdoorFace>(&outside)) {
        add_shutter(s, window, *outdoors);
        sun_[zone].taking_up_m2 += glass_m2 * g.by_angle.diffuse_direct;
        if (!winter()) {
            const ThroughGlass sun = through_glass(s, window);
            sun_[zone].beam.push_back({sun.beam, glass_m2});
            sun_[zone].diffuse.push_back({sun.diffuse, glass_m2});
            inside.absorbed_W = {{sun.heat, glass_m2}};
            shade_down = sun.shade_down;
        }
    } else {
        const double glass_share = 1.0 - g.frame_share;
        const std::size_t other = zone_of_room_[s.beyond.room];
        SunFace face{.surface = m_.surfaces.size(),
                     .absorptance = glass_share * g.by_angle.diffuse_flows_in,
                     .lets_on = glass_share * g.by_angle.diffuse_direct,
                     .behind = other};
        sun_[zone].faces.push_back(face);
        face.inside = false;
        face.behind = zone;
        sun_[other].faces.push_back(face);
    }
    m_.surfaces.push_back({.id = b_.rooms[s.room].name + " / " + s.name + " / window",
                           .area_m2 = window.area_m2(),
                           .wall = massless_wall(fabric::face_to_face_resistance(g)),
                           .outside = std::move(outside),
                           .inside = std::move(inside),
                           .part = inner(s) ? Part::inner : Part::window,
                           .shade_down = shade_down});
}

/// A shutter that is down adds its resistance to its share of the window. Winter design counts on those alone that are
/// always down: its steady day is also that on which a shutter was left open. A window with a shutter has one film to
/// the outdoor air: with wind and sky, convection and the long wave of faces at 10 degC together.
void Compiler::add_shutter(const building::Surface& s, const building::Opening& window, OutdoorFace& face)
{
    if (!window.shade) return;
    const building::NamedShade& shade = b_.shades[*window.shade];
    const double adds = shade.added_resistance_m2K_per_W;
    if (adds <= 0.0 || (winter() && shade.use != fabric::ShadeUse::always)) return;
    face.long_wave.reset();
    const GlassKey key{s.tilt_deg,          s.azimuth_deg, window.glazing, *window.shade, shade_profile(s, window),
                       scene_of(s, &window)};
    const auto known = shutters_.find(key);
    if (known != shutters_.end()) {
        face.film_by_step = known->second;
        return;
    }
    constexpr double long_wave_at_10C = 5.1;
    const double open = b_.glazings[window.glazing].values.u_value_W_per_m2K, shut = 1.0 / (1.0 / open + adds);
    const std::vector<double> down =
        winter() ? std::vector<double>(spell_.dry_bulb_C.size(), 1.0) : shade_down(s, window);
    const double samples_per_step =
        static_cast<double>(spell_.hours * spell_.samples_per_hour) / static_cast<double>(m_.steps);
    Signal films{.forcing = Forcing::coefficient};
    for (std::size_t i = 0; i < m_.steps; ++i) {
        const double at = (static_cast<double>(i) + 0.5) * samples_per_step;
        const auto k = static_cast<std::size_t>(at);
        const double share = spell_.sun_is_mean ? down[k] : std::lerp(down[k], down[k + 1], at - std::floor(at));
        const double film =
            b_.method.wind_and_sky ? m_.value(wind_film_, i, 0.5) + long_wave_at_10C : face.film_W_per_m2K;
        films.start.push_back(1.0 / (1.0 / std::lerp(open, shut, share) - 1.0 / open + 1.0 / film));
    }
    films.end = films.start;
    shutters_[key] = m_.add(std::move(films));
    face.film_by_step = shutters_[key];
}

} // namespace venture::loads::detail
