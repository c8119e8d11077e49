/// Sun on planes, and where it falls in rooms.

#include <algorithm>

#include <venture/loads/compiler.hpp>

namespace venture::loads::detail {

using climate::Angle;

/// Values at the spell's samples, as far as steps need them.
balance::SignalId Compiler::samples(std::vector<double> values, balance::Forcing forcing)
{
    const std::size_t per_hour = m_.steps / spell_.hours;
    const bool means = spell_.sun_is_mean && forcing == balance::Forcing::sun;
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
balance::SignalId Compiler::sun_on(const building::Surface& s, const building::Opening* opening)
{
    const std::size_t scene = scene_of(s, opening);
    const auto key = std::tuple{s.tilt_deg, s.azimuth_deg, scene};
    if (const auto known = sun_on_.find(key); known != sun_on_.end()) return known->second;
    std::vector<double> all;
    for (const climate::PlaneIrradiance& i : irradiance(s, scene)) all.push_back(i.total_W_per_m2());
    return sun_on_[key] = samples(std::move(all), balance::Forcing::sun);
}

namespace {

/// Sun on the face of a room, joined with what it has of that light already.
void take_up(balance::Face& face, const balance::Drive& sun)
{
    auto& absorbed = std::get<balance::ZoneFace>(face).absorbed_W;
    const auto same = std::ranges::find(absorbed, sun.signal, &balance::Drive::signal);
    if (same != absorbed.end())
        same->factor += sun.factor;
    else if (sun.factor > 0.0)
        absorbed.push_back(sun);
}

} // namespace

/// Sun that came through glass: beam falls on the floor; what the floor throws back, and all diffuse light, is taken up
/// by the faces of the room by area and absorptance, goes on through glass into the next room, or leaves again.
void Compiler::share_out_sun()
{
    for (ZoneSun& sun : sun_)
        for (const SunFace& f : sun.faces) sun.taking_up_m2 += m_.surfaces[f.surface].area_m2 * f.takes();
    for (std::size_t z = 0; z < sun_.size(); ++z) {
        const ZoneSun& sun = sun_[z];
        balance::SunThroughGlass& told = m_.zones[z].sun;
        told.beam = sun.beam;
        told.diffuse = sun.diffuse;
        told.taken_up = sun.taken_up;
        told.taken_up.insert(told.taken_up.end(), sun.from_shades.begin(), sun.from_shades.end());
        double thrown_back = 1.0;
        for (const SunFace& f : sun.faces) {
            if (!f.floor) continue;
            balance::Surface& s = m_.surfaces[f.surface];
            auto& face = std::get<balance::ZoneFace>(f.inside ? s.inside : s.outside);
            for (const balance::Drive& d : sun.beam)
                face.absorbed_W.push_back({d.signal, d.factor * f.absorptance * s.area_m2 / sun.floor_m2});
            thrown_back = 1.0 - f.absorptance;
        }
        for (const balance::Drive& d : sun.beam) spread(z, d, thrown_back);
        for (const balance::Drive& d : sun.diffuse) spread(z, d, 1.0);
        share_out_heat_of_shades(z);
    }
}

/// Into the air, and by radiation to all faces but the windows that the shades hang before.
void Compiler::share_out_heat_of_shades(std::size_t z)
{
    double faces_m2 = 0.0;
    for (const SunFace& f : sun_[z].faces) faces_m2 += m_.surfaces[f.surface].area_m2;
    const double into_air = faces_m2 > 0.0 ? shade_convective_share : 1.0;
    for (const balance::Drive& d : sun_[z].from_shades) {
        m_.zones[z].convective_gain_W.push_back({d.signal, into_air * d.factor});
        for (const SunFace& f : sun_[z].faces) {
            balance::Surface& s = m_.surfaces[f.surface];
            take_up(f.inside ? s.inside : s.outside, {d.signal, (1.0 - into_air) * d.factor * s.area_m2 / faces_m2});
        }
    }
}

/// Light that comes to a room from all sides.
void Compiler::spread(std::size_t zone, const balance::Drive& light, double share)
{
    constexpr double too_little = 1e-6;
    if (share < too_little) return;
    const ZoneSun& sun = sun_[zone];
    for (const SunFace& f : sun.faces) {
        balance::Surface& s = m_.surfaces[f.surface];
        const double of_this = share * s.area_m2 / sun.taking_up_m2, arrives = light.factor * of_this;
        take_up(f.inside ? s.inside : s.outside, {light.signal, arrives * f.absorptance});
        if (f.on_far_face > 0.0) take_up(f.inside ? s.outside : s.inside, {light.signal, arrives * f.on_far_face});
        if (f.lets_on > 0.0) spread(f.behind, light, of_this * f.lets_on);
    }
}

} // namespace venture::loads::detail
