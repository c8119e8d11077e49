/// Windows: what of the sun comes through them, where the rest of it is set free, and what shades and shutters do.

#include <algorithm>
#include <cmath>
#include <numbers>

#include <fmt/format.h>

#include <venture/fabric/glass_heat.hpp>
#include <venture/loads/compiler.hpp>

namespace venture::loads::detail {

using climate::Angle;

namespace {

/// Sun on 1 m2 of glass at one instant, and what becomes of it without a shade.
struct BareGlass {
    double beam = 0.0, diffuse = 0.0; ///< come through as light
    double flows_in = 0.0;            ///< of what the panes take up
    std::optional<double> taken_up{};
    [[nodiscard]] double light() const { return beam + diffuse; }
};

BareGlass behind(const fabric::GlassByAngle& glass, const climate::PlaneIrradiance& sun, double cosine)
{
    const double on_beam = sun.beam_W_per_m2, on_diffuse = sun.sky_diffuse_W_per_m2 + sun.ground_reflected_W_per_m2;
    BareGlass out{on_beam * glass.direct_at(cosine), on_diffuse * glass.diffuse_direct,
                  on_beam * glass.flows_in_at(cosine) + on_diffuse * glass.diffuse_flows_in, std::nullopt};
    if (glass.taken_up) out.taken_up = on_beam * *glass.taken_up_at(cosine) + on_diffuse * glass.taken_up->diffuse;
    return out;
}

/// What becomes of it with a shade.
struct ShadedGlass {
    double light = 1.0; ///< share of the bare glass's
    fabric::FaceHeat on_faces{};
    double from_shade = 0.0;
};

/// A shade outside or between panes leaves the glass less to take up: its heat comes in from the inner face. One inside
/// gives the room itself what the glass behind it does not.
ShadedGlass with_shade(const BareGlass& bare, double down, const LeftByShade& left, bool inside,
                       const fabric::InwardOfFaces& inward)
{
    const double all = (bare.light() + bare.flows_in) * left.all,
                 light = std::min(bare.light() * left.light, all), // the whole holds, whatever the angle
        heat = all - light, of_glass = inside ? std::min(bare.flows_in, heat) : 0.0;
    const fabric::FaceHeat open = heat_on_faces(bare.flows_in, bare.taken_up, inward);
    const double as_bare = 1.0 - down + (bare.flows_in > 0.0 ? down * of_glass / bare.flows_in : 0.0);
    ShadedGlass out;
    if (bare.light() > 0.0) out.light = 1.0 - down + down * light / bare.light();
    out.on_faces = {as_bare * open.outer, as_bare * open.inner + (inside ? 0.0 : down * heat / inward.inner)};
    out.from_shade = down * (heat - of_glass) * (inside ? 1.0 : 0.0);
    return out;
}

} // namespace

namespace {

quantity::LedgerInput above(const char* symbol, double value, const char* unit)
{
    return {symbol, value, unit, "above"};
}

} // namespace

Compiler::LightThrough Compiler::write_light(const building::Surface& s, const building::Opening& window,
                                             std::size_t sample, const climate::PlaneIrradiance& open,
                                             const quantity::LedgerOf& told)
{
    const std::size_t scene = scene_of(s, &window);
    const climate::PlaneIrradiance sun = irradiance(s, scene)[sample];
    const building::NamedGlazing& glazing = b_.glazings[window.glazing];
    const fabric::GlassByAngle& glass = glazing.values.by_angle;
    const double cosine =
        climate::cos_incidence(spell_.sun[sample], Angle::degrees(s.tilt_deg), Angle::degrees(s.azimuth_deg));
    const BareGlass bare_glass = behind(glass, sun, cosine);
    const double down = shade_down(s, window)[sample];
    const building::NamedShade* shade = window.shade ? &b_.shades[*window.shade] : nullptr;
    const LeftByShade left = shade != nullptr ? left_by(*window.shade, window.glazing) : LeftByShade{};
    const bool inside = shade != nullptr && shade->layer.place == fabric::ShadePlace::inside;
    const double light = with_shade(bare_glass, down, left, inside, inward_of(window, 0.0)).light;
    const plan::DiffuseLeft seen = scene == 0 ? plan::DiffuseLeft{} : (*scenes_)[scene].diffuse_left(bare(sample));
    const std::string shadows = scene == 0 ? "nothing stands before it" : "shadows of what stands before it",
                      of_glass = fmt::format("glazing '{}'", glazing.values.name),
                      of_shade = shade == nullptr
                                     ? std::string{"no shade"}
                                     : fmt::format("shade '{}', {:.0f} % down", shade->layer.name, 100.0 * down);
    const LightThrough out{bare_glass.beam * light, bare_glass.diffuse * light};
    told.write({.what = "beam through the glass",
                .symbol = "Gb",
                .formula = "Ib*lit*tau*light",
                .inputs = {above("Ib", open.beam_W_per_m2, "W/m2"),
                           {"lit", scene == 0 ? 1.0 : beam_left_.at(scene - 1)[sample], "1", shadows},
                           {"tau", glass.direct_at(cosine), "1",
                            fmt::format("{} at {:.1f} deg", of_glass,
                                        std::acos(std::clamp(cosine, -1.0, 1.0)) * 180.0 / std::numbers::pi)},
                           {"light", light, "1", of_shade}},
                .value = out.beam,
                .unit = "W/m2"});
    told.write({.what = "diffuse through the glass",
                .symbol = "Gd",
                .formula = "(Is*sky + Ig*ground)*tau_d*light",
                .inputs = {above("Is", open.sky_diffuse_W_per_m2, "W/m2"),
                           {"sky", seen.sky, "1", shadows},
                           above("Ig", open.ground_reflected_W_per_m2, "W/m2"),
                           {"ground", seen.ground, "1", shadows},
                           {"tau_d", glass.diffuse_direct, "1", of_glass + ", from all sides"},
                           {"light", light, "1", of_shade}},
                .value = out.diffuse,
                .unit = "W/m2"});
    return out;
}

/// Profile that a window's shade looks at, if it does.
std::size_t Compiler::shade_profile(const building::Surface& s, const building::Opening& window) const
{
    const building::NamedShade& shade = b_.shades[*window.shade];
    return shade.use == fabric::ShadeUse::while_occupied ? b_.rooms[s.room].use.people_profile : shade.profile;
}

/// Share of a window's shade that is down at every sample.
std::vector<double> Compiler::shade_down(const building::Surface& s, const building::Opening& window)
{
    std::vector<double> down(spell_.sun.size(), 0.0);
    if (!window.shade) return down;
    const Irradiance sun = irradiance(s, scene_of(s, &window));
    const building::NamedShade& shade = b_.shades[*window.shade];
    const std::size_t when = shade_profile(s, window);
    for (std::size_t k = 0; k < down.size(); ++k) {
        const std::size_t hour = k / spell_.samples_per_hour % spell_.hours;
        const bool is_up = spell_.sun[k].elevation_deg() > 0.0;
        down[k] = share_down(shade.use, sun[k].total_W_per_m2(), shade.above_W_per_m2, fraction(when, hour), is_up);
    }
    return down;
}

/// What a shade leaves of a glazing's light and whole gain; panes are looked through once.
const LeftByShade& Compiler::left_by(std::size_t shade, std::size_t glazing)
{
    const auto [known, is_new] = left_by_shade_.try_emplace({shade, glazing});
    if (is_new) {
        const building::NamedGlazing& g = b_.glazings[glazing];
        const fabric::ShadedGain left = building::gain_with_shade(g, b_.shades[shade].layer);
        const double light = g.values.direct_transmittance;
        known->second = {light > 0.0 ? left.direct_transmittance / light : 0.0, left.g_value / g.values.g_value};
    }
    return known->second;
}

/// Where heat on the faces of a window goes, with a shutter before it as far down as said.
fabric::InwardOfFaces Compiler::inward_of(const building::Opening& window, double down) const
{
    constexpr double inside = 0.13, outside = 0.04;
    const fabric::Glazing& g = b_.glazings[window.glazing].values;
    const double between = fabric::face_to_face_resistance(g),
                 adds = window.shade ? b_.shades[*window.shade].added_resistance_m2K_per_W : 0.0;
    if (adds <= 0.0 || down <= 0.0) return fabric::inward_of_faces(between, outside, inside);
    const double open = g.u_value_W_per_m2K, shut = 1.0 / (1.0 / open + adds);
    return fabric::inward_of_faces(between, 1.0 / std::lerp(open, shut, down) - between - inside, inside);
}

/// Windows alike in plane, glass, shade and shadows share one set of signals.
Compiler::ThroughGlass Compiler::through_glass(const building::Surface& s, const building::Opening& window)
{
    const std::size_t shade_number = window.shade ? *window.shade : b_.shades.size(),
                      when = window.shade ? shade_profile(s, window) : 0;
    const std::size_t scene = scene_of(s, &window);
    const GlassKey key{s.tilt_deg, s.azimuth_deg, window.glazing, shade_number, when, scene};
    if (const auto known = through_glass_.find(key); known != through_glass_.end()) return known->second;
    const building::NamedGlazing& glazing = b_.glazings[window.glazing];
    const Irradiance sun = irradiance(s, scene);
    const std::vector<double> down = shade_down(s, window);
    const building::NamedShade* shade = window.shade ? &b_.shades[*window.shade] : nullptr;
    const LeftByShade left = shade != nullptr ? left_by(*window.shade, window.glazing) : LeftByShade{};
    const bool shutter = shade != nullptr && shade->added_resistance_m2K_per_W > 0.0;
    const fabric::InwardOfFaces open = inward_of(window, 0.0);
    const bool inside = shade != nullptr && shade->layer.place == fabric::ShadePlace::inside;
    std::vector<double> beam, diffuse, on_outer, on_inner, from_shade;
    for (std::size_t k = 0; k < sun.size(); ++k) {
        if (sun[k].total_W_per_m2() <= 0.0) { // night
            for (std::vector<double>* values : {&beam, &diffuse, &on_outer, &on_inner, &from_shade})
                values->push_back(0.0);
            continue;
        }
        const double cosine =
            climate::cos_incidence(spell_.sun[k], Angle::degrees(s.tilt_deg), Angle::degrees(s.azimuth_deg));
        const BareGlass bare = behind(glazing.values.by_angle, sun[k], cosine);
        const ShadedGlass shaded = with_shade(bare, down[k], left, inside, shutter ? inward_of(window, down[k]) : open);
        beam.push_back(bare.beam * shaded.light);
        diffuse.push_back(bare.diffuse * shaded.light);
        on_outer.push_back(shaded.on_faces.outer);
        on_inner.push_back(shaded.on_faces.inner);
        from_shade.push_back(shaded.from_shade);
    }
    ThroughGlass out{.beam = samples(std::move(beam), balance::Forcing::sun),
                     .diffuse = samples(std::move(diffuse), balance::Forcing::sun),
                     .on_outer = samples(std::move(on_outer), balance::Forcing::sun),
                     .on_inner = samples(std::move(on_inner), balance::Forcing::sun)};
    if (inside) out.from_shade = samples(std::move(from_shade), balance::Forcing::sun);
    if (window.shade) out.shade_down = samples(down, balance::Forcing::coefficient);
    return through_glass_[key] = out;
}

void Compiler::add_window(const building::Surface& s, const building::Opening& window)
{
    const fabric::Glazing& g = b_.glazings[window.glazing].values;
    const std::size_t zone = zone_of_room_[s.room];
    const double glass_m2 = window.area_m2() * (1.0 - g.frame_share);
    balance::ZoneFace inside = zone_face(s.room, s.attitude, false);
    balance::Face outside = other_face(s, glass_emissivity);
    std::optional<balance::SignalId> shade_down;
    if (auto* outdoors = std::get_if<balance::OutdoorFace>(&outside)) {
        add_shutter(s, window, *outdoors);
        sun_[zone].taking_up_m2 += glass_m2 * g.by_angle.diffuse_direct;
        if (!winter()) {
            const ThroughGlass sun = through_glass(s, window);
            sun_[zone].beam.push_back({sun.beam, glass_m2});
            sun_[zone].diffuse.push_back({sun.diffuse, glass_m2});
            inside.absorbed_W = {{sun.on_inner, glass_m2}};
            sun_[zone].taken_up.push_back({sun.on_inner, glass_m2});
            if (g.by_angle.taken_up) outdoors->absorbed_W.push_back({sun.on_outer, glass_m2});
            if (g.frame_share > 0.0)
                outdoors->absorbed_W.push_back(
                    {sun_on(s, &window), window.area_m2() * g.frame_share * frame_solar_absorptance});
            if (sun.from_shade) sun_[zone].from_shades.push_back({*sun.from_shade, glass_m2});
            shade_down = sun.shade_down;
        }
    } else {
        add_inner_glass(s, g);
    }
    m_.surfaces.push_back({.id = b_.rooms[s.room].name + " / " + s.name + " / window",
                           .area_m2 = window.area_m2(),
                           .wall = massless_wall(fabric::face_to_face_resistance(g)),
                           .outside = std::move(outside),
                           .inside = std::move(inside),
                           .part = inner(s) ? balance::Part::inner : balance::Part::window,
                           .shade_down = shade_down});
}

/// Glass between two rooms, as the surface that is added next: light from either side goes on into the other room, and
/// so does as much of its heat as from outdoors.
void Compiler::add_inner_glass(const building::Surface& s, const fabric::Glazing& g)
{
    constexpr double still_air = 0.13;
    const double glass_share = 1.0 - g.frame_share;
    const fabric::InwardOfFaces towards_far =
        fabric::inward_of_faces(fabric::face_to_face_resistance(g), still_air, still_air);
    const auto taken_up = g.by_angle.taken_up ? std::optional{g.by_angle.taken_up->diffuse} : std::nullopt;
    const fabric::FaceHeat heat = heat_on_faces(g.by_angle.diffuse_flows_in, taken_up, towards_far);
    SunFace face{.surface = m_.surfaces.size(),
                 .absorptance = glass_share * heat.outer,
                 .on_far_face = glass_share * heat.inner,
                 .lets_on = glass_share * g.by_angle.diffuse_direct};
    const std::size_t zone = zone_of_room_[s.room], other = zone_of_room_[s.beyond.room];
    face.behind = other;
    sun_[zone].faces.push_back(face);
    face.inside = false;
    face.behind = zone;
    sun_[other].faces.push_back(face);
}

/// A shutter that is down adds its resistance to its share of the window. Winter design counts on those alone that are
/// always down: its steady day is also that on which a shutter was left open. A window with a shutter has one film to
/// the outdoor air: with wind and sky, convection and the long wave of faces at 10 degC together.
void Compiler::add_shutter(const building::Surface& s, const building::Opening& window, balance::OutdoorFace& face)
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
    balance::Signal films{.level = true, .forcing = balance::Forcing::coefficient};
    for (std::size_t i = 0; i < m_.steps; ++i) {
        const double at = (static_cast<double>(i) + 0.5) * samples_per_step;
        const auto k = static_cast<std::size_t>(at);
        const double share = spell_.sun_is_mean ? down[k] : std::lerp(down[k], down[k + 1], at - std::floor(at));
        const double film =
            b_.method.wind_and_sky ? m_.value(wind_film_, i, 0.5) + long_wave_at_10C : face.film_W_per_m2K;
        films.start.push_back(1.0 / (1.0 / std::lerp(open, shut, share) - 1.0 / open + 1.0 / film));
    }
    shutters_[key] = m_.add(std::move(films));
    face.film_by_step = shutters_[key];
}

} // namespace venture::loads::detail
