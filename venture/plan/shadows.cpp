#include <venture/plan/shadows.hpp>

#include <algorithm>
#include <cmath>
#include <numbers>

namespace venture::plan {

namespace {

constexpr double grazing = 1e-5; // light that comes along the surface counts as from behind

constexpr double limitless = 1e300;

/// The part of a caster that stands before the surface (Sutherland and Hodgman 1974).
Caster part_before(const Caster& caster)
{
    Caster out;
    for (std::size_t i = 0; i < caster.size(); ++i) {
        const PointBefore &a = caster[i], &b = caster[i + 1 < caster.size() ? i + 1 : 0];
        if (a.out_m >= 0.0) out.push_back(a);
        if ((a.out_m < 0.0) == (b.out_m < 0.0)) continue;
        const double share = a.out_m / (a.out_m - b.out_m);
        out.push_back({std::lerp(a.right_m, b.right_m, share), std::lerp(a.up_m, b.up_m, share), 0.0});
    }
    return out;
}

/// Slope of light from a point to one that lies this far aside and out; without limit where it is not out at all.
double slope_of(double aside_m, double out_m)
{
    constexpr double nearly_m = 1e-9;
    if (out_m > nearly_m) return aside_m / out_m;
    return aside_m > 0.0 ? limitless : aside_m < 0.0 ? -limitless : 0.0;
}

/// A plane face is convex if it is seen so along the axis that it turns its back to least.
bool is_convex_face(const Caster& face)
{
    double across[3] = {};
    for (std::size_t i = 0; i < face.size(); ++i) {
        const PointBefore &a = face[i], &b = face[i + 1 < face.size() ? i + 1 : 0];
        across[0] += a.up_m * b.out_m - b.up_m * a.out_m;
        across[1] += a.out_m * b.right_m - b.out_m * a.right_m;
        across[2] += a.right_m * b.up_m - b.right_m * a.up_m;
    }
    const auto axis = std::ranges::max_element(across, {}, [](double v) { return std::abs(v); }) - std::begin(across);
    PlanePolygon seen;
    for (const PointBefore& p : face)
        seen.push_back(axis == 0   ? PlanePoint{p.up_m, p.out_m}
                       : axis == 1 ? PlanePoint{p.out_m, p.right_m}
                                   : PlanePoint{p.right_m, p.up_m});
    return plan::is_convex(seen);
}

void turn_anticlockwise(PlanePolygon& polygon)
{
    if (area_m2(polygon) < 0.0) std::ranges::reverse(polygon);
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

/// How far light comes from the right and from above for each metre that it comes nearer.
struct Shadows::Slope {
    double right = 0.0, up = 0.0;
};

Shadows::Shadows(Polygons lit, std::span<const Caster> casters) : lit_{std::move(lit)}, area_m2_{plan::area_m2(lit_)}
{
    left_m_ = low_m_ = limitless;
    right_m_ = high_m_ = -limitless;
    for (const Polygon& polygon : lit_)
        for (const Polygon& part : convex_parts(polygon)) {
            PlanePolygon& spots = convex_lit_.emplace_back();
            for (const GridPoint p : part.outline) {
                const PlanePoint& at = spots.emplace_back(PlanePoint{to_metres(p.x), to_metres(p.y)});
                left_m_ = std::min(left_m_, at.right_m);
                right_m_ = std::max(right_m_, at.right_m);
                low_m_ = std::min(low_m_, at.up_m);
                high_m_ = std::max(high_m_, at.up_m);
            }
        }
    for (const Caster& caster : casters) add(caster);
}

void Shadows::add(const Caster& caster)
{
    const Caster part = part_before(caster);
    if (part.size() < 3) return;
    Before before{limitless,
                  -limitless,
                  limitless,
                  -limitless,
                  static_cast<std::uint32_t>(corners_.size()),
                  static_cast<std::uint32_t>(part.size()),
                  is_convex_face(part)};
    // slopes from a point are fractions of what is linear in it: their bounds are at corners
    for (const PointBefore& p : part) {
        before.least_right = std::min(before.least_right, slope_of(p.right_m - right_m_, p.out_m));
        before.most_right = std::max(before.most_right, slope_of(p.right_m - left_m_, p.out_m));
        before.least_up = std::min(before.least_up, slope_of(p.up_m - high_m_, p.out_m));
        before.most_up = std::max(before.most_up, slope_of(p.up_m - low_m_, p.out_m));
    }
    before_.push_back(before);
    corners_.insert(corners_.end(), part.begin(), part.end());
}

PlanePolygon Shadows::shadow_of(const Before& caster, const Slope& slope) const
{
    PlanePolygon out;
    for (std::size_t i = caster.first; i < caster.first + caster.count; ++i) {
        const PointBefore& p = corners_[i];
        out.push_back({p.right_m - p.out_m * slope.right, p.up_m - p.out_m * slope.up});
    }
    turn_anticlockwise(out);
    return out;
}

double Shadows::share(const DirectionBefore& light) const
{
    if (light.out <= grazing) return 1.0;
    if (area_m2_ <= 0.0) return 0.0;
    const Slope slope{light.right / light.out, light.up / light.out};
    std::vector<PlanePolygon> shadows;
    bool convex = true;
    for (const Before& b : before_) {
        if (slope.right <= b.least_right || slope.right >= b.most_right || slope.up <= b.least_up ||
            slope.up >= b.most_up)
            continue;
        shadows.push_back(shadow_of(b, slope));
        convex = convex && b.convex;
    }
    if (shadows.empty()) return 0.0;
    const std::optional<double> covered = convex ? covered_by_convex_m2(shadows) : std::nullopt;
    return std::clamp((covered ? *covered : covered_on_the_grid_m2(shadows)) / area_m2_, 0.0, 1.0);
}

/// @return nothing where so many shadows fall on one spot that the grid is quicker
std::optional<double> Shadows::covered_by_convex_m2(const std::vector<PlanePolygon>& shadows) const
{
    constexpr std::size_t too_many = 6;
    constexpr double nothing_m2 = 1e-12;
    double sum = 0.0;
    std::vector<PlanePolygon> fallen;
    PlanePolygon part;
    for (const PlanePolygon& lit : convex_lit_) {
        fallen.clear();
        const double whole = plan::area_m2(lit);
        double most = 0.0;
        for (const PlanePolygon& shadow : shadows) {
            clip(shadow, lit, part);
            const double area = plan::area_m2(part);
            most = std::max(most, area);
            if (area > nothing_m2) fallen.push_back(part);
        }
        if (most >= whole * (1.0 - 1e-12))
            sum += whole;
        else if (fallen.size() > too_many)
            return std::nullopt;
        else
            sum += united_area_m2(fallen);
    }
    return sum;
}

double Shadows::covered_on_the_grid_m2(const std::vector<PlanePolygon>& shadows) const
{
    constexpr double far_m = 1e6; // shadows of a grazing light go on to the horizon
    std::vector<Ring> rings;
    for (const PlanePolygon& shadow : shadows) {
        Ring& ring = rings.emplace_back();
        for (const PlanePoint& p : shadow)
            ring.push_back({to_grid(std::clamp(p.right_m, -far_m, far_m)), to_grid(std::clamp(p.up_m, -far_m, far_m))});
    }
    return covered_m2(lit_, rings);
}

DiffuseLeft diffuse_left(const Shadows& shadows, climate::Angle tilt)
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
                left[half] += weight * (1.0 - shadows.share(light));
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

} // namespace venture::plan
