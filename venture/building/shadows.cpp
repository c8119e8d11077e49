#include <venture/building/shadows.hpp>

#include <algorithm>
#include <cmath>
#include <numbers>

namespace venture::building {

namespace {

constexpr double grazing = 1e-5; // light that comes along the surface counts as from behind

/// A point of a shadow, m.
struct Spot {
    double right_m = 0.0, up_m = 0.0;
};

struct Extent {
    double left = 1e300, low = 1e300, right = -1e300, high = -1e300;
    void take(const Spot& p)
    {
        left = std::min(left, p.right_m);
        right = std::max(right, p.right_m);
        low = std::min(low, p.up_m);
        high = std::max(high, p.up_m);
    }
    [[nodiscard]] bool meets(const Extent& other) const
    {
        return left < other.right && other.left < right && low < other.high && other.low < high;
    }
};

Extent extent_of(const Polygons& polygons)
{
    Extent out;
    for (const Polygon& polygon : polygons)
        for (const GridPoint p : polygon.outline) out.take({to_metres(p.x), to_metres(p.y)});
    return out;
}

/// Where the shadow of a caster falls, of the part of it that stands before the surface (Sutherland and Hodgman 1974).
void project(const Caster& caster, const DirectionBefore& light, std::vector<Spot>& out)
{
    constexpr double far_m = 1e6; // shadows of a grazing light go on to the horizon
    const double per_m_right = light.right / light.out, per_m_up = light.up / light.out;
    out.clear();
    for (std::size_t i = 0; i < caster.size(); ++i) {
        const PointBefore &a = caster[i], &b = caster[i + 1 < caster.size() ? i + 1 : 0];
        if (a.out_m >= 0.0)
            out.push_back({std::clamp(a.right_m - a.out_m * per_m_right, -far_m, far_m),
                           std::clamp(a.up_m - a.out_m * per_m_up, -far_m, far_m)});
        if ((a.out_m < 0.0) == (b.out_m < 0.0)) continue;
        const double share = a.out_m / (a.out_m - b.out_m);
        out.push_back({std::lerp(a.right_m, b.right_m, share), std::lerp(a.up_m, b.up_m, share)});
    }
}

/// On the grid, anticlockwise.
Ring ring_of(const std::vector<Spot>& spots)
{
    Ring ring;
    double twice_area = 0.0;
    for (std::size_t i = 0; i < spots.size(); ++i) {
        const Spot &a = spots[i], &b = spots[i + 1 < spots.size() ? i + 1 : 0];
        twice_area += (a.right_m - spots[0].right_m) * (b.up_m - spots[0].up_m) -
                      (b.right_m - spots[0].right_m) * (a.up_m - spots[0].up_m);
        ring.push_back({to_grid(a.right_m), to_grid(a.up_m)});
    }
    if (twice_area < 0.0) std::ranges::reverse(ring);
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
    const Extent there = extent_of(lit);
    std::vector<Ring> shadows;
    std::vector<Spot> spots;
    for (const Caster& caster : casters) {
        project(caster, light, spots);
        Extent extent;
        for (const Spot& p : spots) extent.take(p);
        if (spots.size() > 2 && extent.meets(there)) shadows.push_back(ring_of(spots));
    }
    if (shadows.empty()) return 0.0;
    return std::clamp(covered_m2(lit, shadows) / whole, 0.0, 1.0);
}

DiffuseLeft diffuse_left(const Polygons& lit, std::span<const Caster> casters, climate::Angle tilt)
{
    constexpr int bands = 9, around = 36; // of each half sphere, and of the whole turn
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
