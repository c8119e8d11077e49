#include <venture/building/shadows.hpp>

#include <algorithm>
#include <cmath>
#include <numbers>

namespace venture::building {

namespace {

constexpr double grazing = 1e-5; // light that comes along the surface counts as from behind

/// The part of a caster before the surface, point by point (Sutherland and Hodgman 1974).
Caster before_surface(const Caster& caster)
{
    Caster out;
    for (std::size_t i = 0; i < caster.size(); ++i) {
        const PointBefore &a = caster[i], &b = caster[(i + 1) % caster.size()];
        if (a.out_m >= 0.0) out.push_back(a);
        if ((a.out_m < 0.0) == (b.out_m < 0.0)) continue;
        const double share = a.out_m / (a.out_m - b.out_m);
        out.push_back({std::lerp(a.right_m, b.right_m, share), std::lerp(a.up_m, b.up_m, share), 0.0});
    }
    return out;
}

/// Where the shadow of a caster falls; anticlockwise. Empty if it is cast behind the surface.
Ring shadow_of(const Caster& caster, const DirectionBefore& light)
{
    constexpr double far_m = 1e6; // shadows of a grazing light go on to the horizon
    Ring ring;
    const double per_m_right = light.right / light.out, per_m_up = light.up / light.out;
    for (const PointBefore& p : before_surface(caster))
        ring.push_back({to_grid(std::clamp(p.right_m - p.out_m * per_m_right, -far_m, far_m)),
                        to_grid(std::clamp(p.up_m - p.out_m * per_m_up, -far_m, far_m))});
    if (area_m2(ring) < 0.0) std::ranges::reverse(ring);
    return ring;
}

} // namespace

DirectionBefore towards(const climate::SunPosition& sun, climate::Angle tilt, climate::Angle azimuth)
{
    constexpr double deg = std::numbers::pi / 180.0;
    const double zenith = sun.zenith_deg * deg, turn = sun.azimuth_deg * deg - azimuth.radians();
    const double ahead = std::sin(zenith) * std::cos(turn), aside = std::sin(zenith) * std::sin(turn),
                 above = std::cos(zenith);
    // Seen from outside, what lies clockwise of the outward normal is on the left.
    return {-aside, above * std::sin(tilt.radians()) - ahead * std::cos(tilt.radians()),
            above * std::cos(tilt.radians()) + ahead * std::sin(tilt.radians())};
}

double shaded_share(const Polygons& lit, std::span<const Caster> casters, const DirectionBefore& light)
{
    if (light.out <= grazing) return 1.0;
    const double whole = area_m2(lit);
    if (whole <= 0.0 || casters.empty()) return 0.0;
    std::vector<Ring> shadows;
    for (const Caster& caster : casters)
        if (Ring ring = shadow_of(caster, light); ring.size() > 2) shadows.push_back(std::move(ring));
    return std::clamp(covered_m2(lit, shadows) / whole, 0.0, 1.0);
}

DiffuseLeft diffuse_left(const Polygons& lit, std::span<const Caster> casters, climate::Angle tilt)
{
    constexpr int bands = 18, around = 72; // of each half sphere, and of the whole turn
    double seen[2] = {}, left[2] = {};
    for (int half = 0; half < 2; ++half)
        for (int band = 0; band < bands; ++band) {
            const double elevation = (half == 0 ? 1.0 : -1.0) * (band + 0.5) * 90.0 / bands;
            for (int step = 0; step < around; ++step) {
                const climate::SunPosition from{90.0 - elevation, (step + 0.5) * 360.0 / around, 0.0, 0.0};
                const DirectionBefore light = towards(from, tilt, climate::Angle::degrees(180.0));
                if (light.out <= grazing) continue;
                const double weight = light.out * std::cos(elevation * std::numbers::pi / 180.0);
                seen[half] += weight;
                left[half] += weight * (1.0 - shaded_share(lit, casters, light));
            }
        }
    const auto share = [&](int half) { return seen[half] > 0.0 ? left[half] / seen[half] : 1.0; };
    return {share(0), share(1)};
}

std::vector<Caster> casters_of(const Plates& plates, double width_m, double height_m)
{
    std::vector<Caster> out;
    const double face = plates.reveal_m; // of the wall, before the glass
    const auto over = [&](double left, double right, double up, double from, double to) {
        if (to > from) out.push_back({{left, up, from}, {right, up, from}, {right, up, to}, {left, up, to}});
    };
    const auto beside = [&](double at, double low, double high, double from, double to) {
        if (to > from) out.push_back({{at, low, from}, {at, high, from}, {at, high, to}, {at, low, to}});
    };
    over(0.0, width_m, height_m, 0.0, face);
    beside(0.0, 0.0, height_m, 0.0, face);
    beside(width_m, 0.0, height_m, 0.0, face);
    const Overhang& o = plates.overhang;
    over(-o.beyond_left_m, width_m + o.beyond_right_m, height_m + o.above_m, face, face + o.depth_m);
    const auto add = [&](const Fin& fin, double at) {
        beside(at, -fin.below_m, height_m + fin.above_m, face, face + fin.depth_m);
    };
    add(plates.left, -plates.left.beside_m);
    add(plates.right, width_m + plates.right.beside_m);
    return out;
}

} // namespace venture::building
