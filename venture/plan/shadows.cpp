#include <venture/plan/shadows.hpp>

#include <algorithm>
#include <cmath>
#include <numbers>
#include <numeric>

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

constexpr std::size_t cells_a_side = 32;

/// Row or column of a slope: cells are narrow about the surface's normal and wide where light grazes it.
std::size_t cell_of(double slope)
{
    const double within = std::abs(slope) < limitless ? slope / (1.0 + std::abs(slope)) : std::copysign(1.0, slope);
    return std::min(cells_a_side - 1, static_cast<std::size_t>(0.5 * (1.0 + within) * cells_a_side));
}

void turn_anticlockwise(PlanePolygon& polygon)
{
    if (area_m2(polygon) < 0.0) std::ranges::reverse(polygon);
}

} // namespace

Facing::Facing(climate::Angle tilt, climate::Angle azimuth)
{
    const double east = std::sin(azimuth.radians()), north = std::cos(azimuth.radians()),
                 sine = std::sin(tilt.radians()), cosine = std::cos(tilt.radians());
    right_ = {-north, east, 0.0}; // seen from outside, what lies clockwise of the outward normal is on the left
    up_ = {-cosine * east, -cosine * north, sine};
    out_ = {sine * east, sine * north, cosine};
}

DirectionBefore Facing::towards(const climate::SkyDirection& sky) const
{
    const auto along = [&](const climate::SkyDirection& way) {
        return sky.east * way.east + sky.north * way.north + sky.up * way.up;
    };
    return {along(right_), along(up_), along(out_)};
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
    lay_out_cells();
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

void Shadows::lay_out_cells()
{
    constexpr std::size_t few = 16;
    if (before_.size() <= few) return;
    const auto in_every_cell = [&](const auto& visit) {
        for (std::uint32_t i = 0; i < before_.size(); ++i) {
            const Before& b = before_[i];
            for (std::size_t row = cell_of(b.least_up); row <= cell_of(b.most_up); ++row)
                for (std::size_t at = cell_of(b.least_right); at <= cell_of(b.most_right); ++at)
                    visit(row * cells_a_side + at, i);
        }
    };
    first_in_cell_.assign(cells_a_side * cells_a_side + 1, 0);
    in_every_cell([&](std::size_t cell, std::uint32_t) { ++first_in_cell_[cell + 1]; });
    std::partial_sum(first_in_cell_.begin(), first_in_cell_.end(), first_in_cell_.begin());
    in_cell_.resize(first_in_cell_.back());
    std::vector<std::uint32_t> next{first_in_cell_.begin(), first_in_cell_.end() - 1};
    in_every_cell([&](std::size_t cell, std::uint32_t i) { in_cell_[next[cell]++] = i; });
}

/// What a direction needs, kept so that nothing is allocated anew.
struct Shadows::Workspace {
    std::vector<std::uint32_t> reached{};
    std::vector<PlanePolygon> shadows{}; ///< so many as said, and behind them what is left of other directions
    std::size_t count = 0;
    Patches fallen{};
    PlanePolygon part{};
};

void Shadows::find_reached(const Slope& slope, std::vector<std::uint32_t>& reached) const
{
    reached.clear();
    const auto look_at = [&](std::uint32_t i) {
        const Before& b = before_[i];
        if (slope.right > b.least_right && slope.right < b.most_right && slope.up > b.least_up && slope.up < b.most_up)
            reached.push_back(i);
    };
    if (first_in_cell_.empty()) {
        for (std::uint32_t i = 0; i < before_.size(); ++i) look_at(i);
        return;
    }
    const std::size_t cell = cell_of(slope.up) * cells_a_side + cell_of(slope.right);
    for (std::uint32_t k = first_in_cell_[cell]; k < first_in_cell_[cell + 1]; ++k) look_at(in_cell_[k]);
}

/// @return whether the shadow may fall on the surface
bool Shadows::cast(const Before& caster, const Slope& slope, PlanePolygon& shadow) const
{
    shadow.clear();
    for (std::size_t i = caster.first; i < caster.first + caster.count; ++i) {
        const PointBefore& p = corners_[i];
        shadow.push_back({p.right_m - p.out_m * slope.right, p.up_m - p.out_m * slope.up});
    }
    turn_anticlockwise(shadow);
    const auto [left, right] = std::ranges::minmax(shadow, {}, &PlanePoint::right_m);
    const auto [low, high] = std::ranges::minmax(shadow, {}, &PlanePoint::up_m);
    return left.right_m < right_m_ && right.right_m > left_m_ && low.up_m < high_m_ && high.up_m > low_m_;
}

double Shadows::share(const DirectionBefore& light) const
{
    if (light.out <= grazing) return 1.0;
    if (area_m2_ <= 0.0) return 0.0;
    const Slope slope{light.right / light.out, light.up / light.out};
    thread_local Workspace w;
    find_reached(slope, w.reached);
    bool convex = true;
    w.count = 0;
    if (w.shadows.size() < w.reached.size()) w.shadows.resize(w.reached.size());
    for (const std::uint32_t i : w.reached) {
        if (!cast(before_[i], slope, w.shadows[w.count])) continue;
        ++w.count;
        convex = convex && before_[i].convex;
    }
    if (w.count == 0) return 0.0;
    const std::optional<double> covered = convex ? covered_by_convex_m2(w) : std::nullopt;
    return std::clamp((covered ? *covered : covered_on_the_grid_m2(w)) / area_m2_, 0.0, 1.0);
}

/// @return nothing where so many shadows fall on one spot, none of them within another, that the grid is quicker
std::optional<double> Shadows::covered_by_convex_m2(Workspace& w) const
{
    constexpr std::size_t too_many = 6;
    double sum = 0.0;
    for (const PlanePolygon& lit : convex_lit_) {
        w.fallen.clear();
        const double all = plan::area_m2(lit) * (1.0 - 1e-12);
        bool whole = false;
        for (std::size_t i = 0; i < w.count && !whole; ++i) {
            clip(w.shadows[i], lit, w.part);
            whole = plan::area_m2(w.part) >= all;
            if (!whole) w.fallen.add(w.part);
        }
        if (whole)
            sum += plan::area_m2(lit);
        else if (w.fallen.size() > too_many)
            return std::nullopt;
        else
            sum += w.fallen.area_m2();
    }
    return sum;
}

double Shadows::covered_on_the_grid_m2(const Workspace& w) const
{
    constexpr double far_m = 1e6; // shadows of a grazing light go on to the horizon
    std::vector<Ring> rings;
    for (std::size_t i = 0; i < w.count; ++i) {
        Ring& ring = rings.emplace_back();
        for (const PlanePoint& p : w.shadows[i])
            ring.push_back({to_grid(std::clamp(p.right_m, -far_m, far_m)), to_grid(std::clamp(p.up_m, -far_m, far_m))});
    }
    return covered_m2(lit_, rings);
}

DiffuseLeft diffuse_left(const Shadows& shadows, climate::Angle tilt)
{
    constexpr int bands = 9, around = 36; // of each half sphere, and of the whole turn
    const Facing facing{tilt, climate::Angle::degrees(180.0)};
    double seen[2] = {}, left[2] = {};
    for (int half = 0; half < 2; ++half)
        for (int band = 0; band < bands; ++band) {
            const double elevation = (half == 0 ? 1.0 : -1.0) * (band + 0.5) * 90.0 / bands;
            for (int step = 0; step < around; ++step) {
                const climate::SunPosition from{90.0 - elevation, (step + 0.5) * 360.0 / around, 0.0, 0.0};
                const DirectionBefore light = facing.towards(climate::direction_of(from));
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
