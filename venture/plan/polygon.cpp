#include <venture/plan/polygon.hpp>

#include <algorithm>
#include <cmath>
#include <iterator>
#include <optional>
#include <span>

#include <polyclipping/clipper.hpp>

#include <venture/plan/convex.hpp>
#include <venture/quantity/error.hpp>

namespace venture::plan {

namespace {

ClipperLib::Path path_of(const Ring& ring)
{
    ClipperLib::Path path;
    for (const GridPoint p : ring) path.emplace_back(p.x, p.y);
    return path;
}

Ring ring_of(const ClipperLib::Path& path)
{
    Ring ring;
    for (const auto& p : path) ring.push_back({p.X, p.Y});
    return ring;
}

void add(ClipperLib::Clipper& clipper, const Polygons& polygons, ClipperLib::PolyType role)
{
    for (const Polygon& p : polygons) {
        clipper.AddPath(path_of(p.outline), role, true);
        for (const Ring& hole : p.holes) clipper.AddPath(path_of(hole), role, true);
    }
}

void collect(const ClipperLib::PolyNode& node, Polygons& out)
{
    for (const ClipperLib::PolyNode* child : node.Childs) {
        Polygon polygon{ring_of(child->Contour), {}};
        for (const ClipperLib::PolyNode* hole : child->Childs) {
            polygon.holes.push_back(ring_of(hole->Contour));
            collect(*hole, out);
        }
        out.push_back(std::move(polygon));
    }
}

Polygons combine(ClipperLib::ClipType what, const Polygons& a, const Polygons& b)
{
    ClipperLib::Clipper clipper;
    add(clipper, a, ClipperLib::ptSubject);
    add(clipper, b, ClipperLib::ptClip);
    ClipperLib::PolyTree tree;
    const bool done = clipper.Execute(what, tree, ClipperLib::pftNonZero, ClipperLib::pftNonZero);
    VENTURE_ASSERT(done);
    Polygons out;
    collect(tree, out);
    std::erase_if(out, [](const Polygon& p) { return area_m2(p) < 1e-6; }); // slivers below a square millimetre
    return out;
}

// Products of grid coordinates need more than 64 bits; only a typedef takes the mark that silences -Wpedantic.
__extension__ typedef __int128 Wide; // NOLINT(modernize-use-using)

bool between(GridPoint a, GridPoint b, GridPoint p)
{
    return std::min(a.x, b.x) <= p.x && p.x <= std::max(a.x, b.x) && std::min(a.y, b.y) <= p.y &&
           p.y <= std::max(a.y, b.y);
}

bool edges_meet(GridPoint a, GridPoint b, GridPoint c, GridPoint d)
{
    const int s1 = side(a, b, c), s2 = side(a, b, d), s3 = side(c, d, a), s4 = side(c, d, b);
    if (s1 != s2 && s3 != s4 && s1 * s2 <= 0 && s3 * s4 <= 0 && (s1 != 0 || s2 != 0)) return true;
    return (s1 == 0 && between(a, b, c)) || (s2 == 0 && between(a, b, d)) || (s3 == 0 && between(c, d, a)) ||
           (s4 == 0 && between(c, d, b));
}

bool inside(const Polygon& polygon, GridPoint p)
{
    ClipperLib::IntPoint q(p.x, p.y);
    if (ClipperLib::PointInPolygon(q, path_of(polygon.outline)) != 1) return false;
    return std::ranges::none_of(polygon.holes,
                                [&](const Ring& hole) { return ClipperLib::PointInPolygon(q, path_of(hole)) != 0; });
}

double distance_to_edges(const Polygon& polygon, GridPoint p)
{
    double nearest = 1e300;
    const auto measure = [&](const Ring& ring) {
        for (std::size_t i = 0; i < ring.size(); ++i) {
            const GridPoint a = ring[i], b = ring[(i + 1) % ring.size()];
            const double dx = static_cast<double>(b.x - a.x), dy = static_cast<double>(b.y - a.y);
            const double px = static_cast<double>(p.x - a.x), py = static_cast<double>(p.y - a.y);
            const double along = std::clamp((px * dx + py * dy) / (dx * dx + dy * dy), 0.0, 1.0);
            nearest = std::min(nearest, std::hypot(px - along * dx, py - along * dy));
        }
    };
    measure(polygon.outline);
    std::ranges::for_each(polygon.holes, measure);
    return nearest;
}

} // namespace

double covered_m2(const Polygons& a, const std::vector<Ring>& covers)
{
    ClipperLib::Clipper clipper;
    add(clipper, a, ClipperLib::ptSubject);
    for (const Ring& cover : covers) clipper.AddPath(path_of(cover), ClipperLib::ptClip, true);
    ClipperLib::Paths covered;
    const bool done =
        clipper.Execute(ClipperLib::ctIntersection, covered, ClipperLib::pftNonZero, ClipperLib::pftNonZero);
    VENTURE_ASSERT(done);
    double sum = 0.0;
    for (const ClipperLib::Path& path : covered) sum += area_m2(ring_of(path)); // holes count as less
    return sum;
}

namespace {

/// Where an anticlockwise ring turns inwards, if it does by more than cuts are rounded by.
std::optional<std::size_t> inward_corner(const Ring& ring)
{
    constexpr double rounding = 5.0; // grid units
    for (std::size_t i = 0; i < ring.size(); ++i) {
        const GridPoint a = ring[(i + ring.size() - 1) % ring.size()], b = ring[i], c = ring[(i + 1) % ring.size()];
        if (side(a, b, c) >= 0) continue;
        const double x = static_cast<double>(c.x - a.x), y = static_cast<double>(c.y - a.y),
                     off = (static_cast<double>(b.x - a.x) * y - static_cast<double>(b.y - a.y) * x) / std::hypot(x, y);
        if (std::abs(off) > rounding) return i;
    }
    return std::nullopt;
}

/// What of the surroundings of a ring lies left of a line.
Polygon left_of(GridPoint from, GridPoint to, const Ring& ring)
{
    constexpr double margin_m = 1.0;
    const auto [left, right] = std::ranges::minmax(ring, {}, &GridPoint::x);
    const auto [low, high] = std::ranges::minmax(ring, {}, &GridPoint::y);
    const double x0 = to_metres(left.x) - margin_m, x1 = to_metres(right.x) + margin_m,
                 y0 = to_metres(low.y) - margin_m, y1 = to_metres(high.y) + margin_m;
    const double x = to_metres(to.x - from.x), y = to_metres(to.y - from.y),
                 far = 2.0 * (x1 - x0 + y1 - y0) / std::hypot(x, y);
    const auto at = [&](double along, double aside) {
        return PlanePoint{to_metres(from.x) + far * (along * x - aside * y),
                          to_metres(from.y) + far * (along * y + aside * x)};
    };
    PlanePolygon half;
    clip({{x0, y0}, {x1, y0}, {x1, y1}, {x0, y1}}, {at(-1, 0), at(1, 0), at(1, 1), at(-1, 1)}, half);
    Polygon out;
    for (const PlanePoint& p : half) out.outline.push_back({to_grid(p.right_m), to_grid(p.up_m)});
    return out;
}

} // namespace

Polygons convex_parts(const Polygon& polygon)
{
    constexpr double sliver_m2 = 1e-9;
    Polygons whole{polygon}, out;
    while (!whole.empty()) {
        const Polygon part = std::move(whole.back());
        whole.pop_back();
        if (area_m2(part) < sliver_m2) continue;
        const Ring& ring = part.outline;
        const std::optional<std::size_t> corner = inward_corner(ring);
        if (!corner && part.holes.empty()) {
            out.push_back(part);
            continue;
        }
        // on with the edge that leads to an inward corner, or with one of a hole
        const Ring& cut = corner ? ring : part.holes.front();
        const GridPoint to = cut[corner.value_or(0)], from = cut[(corner.value_or(0) + cut.size() - 1) % cut.size()];
        for (const Polygon& half : {left_of(from, to, ring), left_of(to, from, ring)})
            for (Polygon& piece : intersection({part}, {half})) whole.push_back(std::move(piece));
    }
    return out;
}

int side(GridPoint a, GridPoint b, GridPoint p)
{
    const Wide cross = static_cast<Wide>(b.x - a.x) * (p.y - a.y) - static_cast<Wide>(b.y - a.y) * (p.x - a.x);
    return cross > 0 ? 1 : cross < 0 ? -1 : 0;
}

std::int64_t to_grid(double metres)
{
    quantity::check_range("to_grid", "length", metres, {-1e7, 1e7}, "m");
    return std::llround(metres / grid_m);
}

double to_metres(std::int64_t grid) { return static_cast<double>(grid) * grid_m; }

double area_m2(const Ring& ring)
{
    double twice = 0.0;
    for (std::size_t i = 0; i < ring.size(); ++i) {
        const GridPoint a = ring[i], b = ring[(i + 1) % ring.size()];
        const auto x = [&](GridPoint p) { return static_cast<double>(p.x - ring[0].x); }; // from the first corner:
        const auto y = [&](GridPoint p) { return static_cast<double>(p.y - ring[0].y); }; // exact up to 900 m
        twice += x(a) * y(b) - x(b) * y(a);
    }
    return 0.5 * twice * grid_m * grid_m;
}

double area_m2(const Polygon& polygon)
{
    double sum = std::abs(area_m2(polygon.outline));
    for (const Ring& hole : polygon.holes) sum -= std::abs(area_m2(hole));
    return sum;
}

double area_m2(const Polygons& polygons)
{
    double sum = 0.0;
    for (const Polygon& p : polygons) sum += area_m2(p);
    return sum;
}

Polygon rectangle(std::int64_t x0, std::int64_t y0, std::int64_t x1, std::int64_t y1)
{
    return {{{x0, y0}, {x1, y0}, {x1, y1}, {x0, y1}}, {}};
}

Polygons intersection(const Polygons& a, const Polygons& b) { return combine(ClipperLib::ctIntersection, a, b); }

namespace {

/// Of some that lie side by side, halves first: edges that two share are gone before the others are looked at.
Polygons united_by_halves(std::span<const Polygon> some)
{
    constexpr std::size_t at_once = 32;
    Polygons all{some.begin(), some.end()};
    if (some.size() > at_once) {
        all = united_by_halves(some.first(some.size() / 2));
        std::ranges::move(united_by_halves(some.subspan(some.size() / 2)), std::back_inserter(all));
    }
    return combine(ClipperLib::ctUnion, all, {});
}

} // namespace

Polygons united(const Polygons& all)
{
    Polygons sorted = all;
    std::ranges::stable_sort(sorted, {}, [](const Polygon& p) {
        const auto left = std::ranges::min_element(p.outline, {}, &GridPoint::x);
        return left == p.outline.end() ? std::pair{std::int64_t{0}, std::int64_t{0}} : std::pair{left->x, left->y};
    });
    return united_by_halves(sorted);
}

Polygons difference(const Polygons& a, const Polygons& b) { return combine(ClipperLib::ctDifference, a, b); }

bool is_simple(const Ring& ring)
{
    const std::size_t n = ring.size();
    if (n < 3 || std::abs(area_m2(ring)) < 1e-6) return false;
    for (std::size_t i = 0; i < n; ++i)
        for (std::size_t j = i + 1; j < n; ++j) {
            const bool neighbours = j == i + 1 || (i == 0 && j == n - 1);
            if (ring[i] == ring[j]) return false;
            if (!neighbours && edges_meet(ring[i], ring[(i + 1) % n], ring[j], ring[(j + 1) % n])) return false;
        }
    return true;
}

GridPoint label_point(const Polygon& polygon)
{
    GridPoint low = polygon.outline.at(0), high = low, best = low;
    for (const GridPoint p : polygon.outline) {
        low = {std::min(low.x, p.x), std::min(low.y, p.y)};
        high = {std::max(high.x, p.x), std::max(high.y, p.y)};
    }
    // As far from all edges as any point of the box can be: the middle of a rectangle is asked for most.
    const GridPoint middle{low.x + (high.x - low.x) / 2, low.y + (high.y - low.y) / 2};
    const double half = 0.5 * static_cast<double>(std::min(high.x - low.x, high.y - low.y));
    if (inside(polygon, middle) && distance_to_edges(polygon, middle) >= half - 0.5) return middle;
    constexpr std::int64_t steps = 24;
    double most = -1.0;
    for (std::int64_t i = 1; i < steps; ++i)
        for (std::int64_t j = 1; j < steps; ++j) {
            const GridPoint p{low.x + (high.x - low.x) * i / steps, low.y + (high.y - low.y) * j / steps};
            if (!inside(polygon, p)) continue;
            const double d = distance_to_edges(polygon, p) - 1e-3 * (std::abs(static_cast<double>(2 * i - steps)) +
                                                                     std::abs(static_cast<double>(2 * j - steps)));
            if (d > most) {
                most = d;
                best = p;
            }
        }
    return best;
}

bool is_sliver(const Polygon& p)
{
    constexpr double thin_m = 5.0 * grid_m;
    double round_m = 0.0;
    for (std::size_t i = 0; i < p.outline.size(); ++i) {
        const GridPoint a = p.outline[i], b = p.outline[(i + 1) % p.outline.size()];
        round_m += std::hypot(to_metres(b.x - a.x), to_metres(b.y - a.y));
    }
    return area_m2(p) < 0.5 * thin_m * round_m;
}

} // namespace venture::plan
