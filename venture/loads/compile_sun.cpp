#include <algorithm>

#include <venture/fabric/glazing.hpp>
#include <venture/loads/compiler.hpp>

namespace venture::loads::detail {

using climate::Angle;

/// Values at the spell's samples, as far as steps need them.
SignalId Compiler::samples(std::vector<double> values, Forcing forcing)
{
    const std::size_t per_hour = m_.steps / spell_.hours;
    const bool means = spell_.sun_is_mean && forcing == Forcing::sun;
    if (means) values.pop_back();
    if (per_hour % spell_.samples_per_hour == 0)
        return means ? m_.add_blocks(std::move(values), forcing) : m_.add_points(std::move(values), forcing);
    // The weather is finer than the step, or falls across it: hours of it.
    std::vector<double> hourly;
    const std::size_t each = spell_.samples_per_hour;
    for (std::size_t h = 0; h < spell_.hours; ++h) {
        double value = values[h * each];
        for (std::size_t k = 1; means && k < each; ++k) value += values[h * each + k];
        hourly.push_back(means ? value / static_cast<double>(each) : value);
    }
    if (means) return m_.add_blocks(std::move(hourly), forcing);
    hourly.push_back(values.back());
    return m_.add_points(std::move(hourly), forcing);
}

const Compiler::Irradiance& Compiler::irradiance(const building::Surface& s)
{
    const auto key = std::pair{s.tilt_deg, s.azimuth_deg};
    const auto known = irradiance_.find(key);
    if (known != irradiance_.end()) return known->second;
    return irradiance_[key] = spell_.irradiance(Angle::degrees(s.tilt_deg), Angle::degrees(s.azimuth_deg));
}

/// @param opening  in the surface, if it is one that the sun falls on
SignalId Compiler::sun_on(const building::Surface& s, const building::Opening* opening)
{
    const std::size_t scene = scene_of(s, opening);
    const auto key = std::tuple{s.tilt_deg, s.azimuth_deg, scene};
    if (const auto known = sun_on_.find(key); known != sun_on_.end()) return known->second;
    std::vector<double> all;
    for (const climate::PlaneIrradiance& i : irradiance(s, scene)) all.push_back(i.total_W_per_m2());
    return sun_on_[key] = samples(std::move(all), Forcing::sun);
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
    const auto& sun = irradiance(s, scene_of(s, &window));
    std::vector<double> down(sun.size(), 0.0);
    if (!window.shade) return down;
    const building::NamedShade& shade = b_.shades[*window.shade];
    const std::size_t when = shade_profile(s, window);
    for (std::size_t k = 0; k < down.size(); ++k) {
        const std::size_t hour = k / spell_.samples_per_hour % spell_.hours;
        const bool is_up = spell_.sun[k].elevation_deg() > 0.0;
        down[k] = share_down(shade.use, sun[k].total_W_per_m2(), shade.above_W_per_m2, fraction(when, hour), is_up);
    }
    return down;
}

/// What the shade of a window leaves of the direct part of its gain, and of the whole.
std::pair<double, double> Compiler::left_by_shade(const building::Opening& window) const
{
    if (!window.shade) return {1.0, 1.0};
    const building::NamedGlazing& g = b_.glazings[window.glazing];
    const double glass_u = g.unit ? glazed_unit_properties(*g.unit).u_value_W_per_m2K : g.values.u_value_W_per_m2K;
    const auto left = shaded_gain({.u_value_W_per_m2K = glass_u,
                                   .g_value = g.values.g_value,
                                   .direct_transmittance = g.values.direct_transmittance},
                                  b_.shades[*window.shade].layer);
    return {g.values.direct_transmittance > 0.0 ? left.direct_transmittance / g.values.direct_transmittance : 0.0,
            left.g_value / g.values.g_value};
}

/// Windows alike in plane, glass, shade and shadows share one set of signals.
Compiler::ThroughGlass Compiler::through_glass(const building::Surface& s, const building::Opening& window)
{
    const std::size_t shade = window.shade ? *window.shade : b_.shades.size(),
                      when = window.shade ? shade_profile(s, window) : 0;
    const std::size_t scene = scene_of(s, &window);
    const GlassKey key{s.tilt_deg, s.azimuth_deg, window.glazing, shade, when, scene};
    if (const auto known = through_glass_.find(key); known != through_glass_.end()) return known->second;
    const fabric::GlassByAngle& glass = b_.glazings[window.glazing].values.by_angle;
    const auto& sun = irradiance(s, scene);
    const std::vector<double> down = shade_down(s, window);
    const auto [direct_left, all_left] = left_by_shade(window);
    std::vector<double> beam, diffuse, heat;
    for (std::size_t k = 0; k < sun.size(); ++k) {
        const double cosine =
            climate::cos_incidence(spell_.sun[k], Angle::degrees(s.tilt_deg), Angle::degrees(s.azimuth_deg));
        const double on_beam = sun[k].beam_W_per_m2,
                     on_diffuse = sun[k].sky_diffuse_W_per_m2 + sun[k].ground_reflected_W_per_m2;
        const double through_beam = on_beam * glass.direct_at(cosine),
                     through_diffuse = on_diffuse * glass.diffuse_direct;
        const double all =
            through_beam + through_diffuse + on_beam * glass.flows_in_at(cosine) + on_diffuse * glass.diffuse_flows_in;
        const double keeps = 1.0 - down[k] * (1.0 - direct_left);
        beam.push_back(through_beam * keeps);
        diffuse.push_back(through_diffuse * keeps);
        heat.push_back(all * (1.0 - down[k] * (1.0 - all_left)) - beam.back() - diffuse.back());
    }
    ThroughGlass out{samples(std::move(beam), Forcing::sun), samples(std::move(diffuse), Forcing::sun),
                     samples(std::move(heat), Forcing::sun)};
    if (window.shade) out.shade_down = samples(down, Forcing::coefficient);
    return through_glass_[key] = out;
}

/// Sun that came through glass: beam falls on the floor; what the floor throws back, and all diffuse light, is taken up
/// by the faces of the room by area and absorptance, goes on through glass into the next room, or leaves again.
void Compiler::share_out_sun()
{
    for (ZoneSun& sun : sun_)
        for (const SunFace& f : sun.faces)
            sun.taking_up_m2 += m_.surfaces[f.surface].area_m2 * (f.absorptance + f.lets_on);
    for (std::size_t z = 0; z < sun_.size(); ++z) {
        const ZoneSun& sun = sun_[z];
        double thrown_back = 1.0;
        for (const SunFace& f : sun.faces) {
            if (!f.floor) continue;
            Surface& s = m_.surfaces[f.surface];
            auto& face = std::get<ZoneFace>(f.inside ? s.inside : s.outside);
            for (const Drive& d : sun.beam)
                face.absorbed_W.push_back({d.signal, d.factor * f.absorptance * s.area_m2 / sun.floor_m2});
            thrown_back = 1.0 - f.absorptance;
        }
        for (const Drive& d : sun.beam) spread(z, d, thrown_back);
        for (const Drive& d : sun.diffuse) spread(z, d, 1.0);
    }
}

/// Light that comes to a room from all sides.
void Compiler::spread(std::size_t zone, const Drive& light, double share)
{
    constexpr double too_little = 1e-6;
    if (share < too_little) return;
    const ZoneSun& sun = sun_[zone];
    for (const SunFace& f : sun.faces) {
        Surface& s = m_.surfaces[f.surface];
        auto& absorbed = std::get<ZoneFace>(f.inside ? s.inside : s.outside).absorbed_W;
        const double of_this = share * s.area_m2 / sun.taking_up_m2, factor = light.factor * of_this * f.absorptance;
        const auto same = std::ranges::find(absorbed, light.signal, &Drive::signal);
        if (same != absorbed.end())
            same->factor += factor;
        else if (factor > 0.0)
            absorbed.push_back({light.signal, factor});
        if (f.lets_on > 0.0) spread(f.behind, light, of_this * f.lets_on);
    }
}

} // namespace venture::loads::detail
