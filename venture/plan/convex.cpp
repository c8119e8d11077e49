#include <venture/plan/convex.hpp>

#include <algorithm>
#include <cmath>

namespace venture::plan {

namespace {

constexpr double nothing_m2 = 1e-12;

/// Twice the area of the triangle a, b, p; positive if p lies left of the line from a to b.
double cross(const PlanePoint& a, const PlanePoint& b, const PlanePoint& p)
{
    return (b.right_m - a.right_m) * (p.up_m - a.up_m) - (b.up_m - a.up_m) * (p.right_m - a.right_m);
}

/// Corners so near to each other that the direction from one to the other is rounding alone would cut anywhere.
bool is_one_point(const PlanePoint& a, const PlanePoint& b)
{
    constexpr double near_m = 1e-7;
    return std::abs(a.right_m - b.right_m) < near_m && std::abs(a.up_m - b.up_m) < near_m;
}

const PlanePoint& after(const PlanePolygon& polygon, std::size_t i)
{
    return polygon[i + 1 < polygon.size() ? i + 1 : 0];
}

} // namespace

double area_m2(const PlanePolygon& polygon)
{
    double twice = 0.0;
    for (std::size_t i = 1; i + 1 < polygon.size(); ++i) twice += cross(polygon[0], polygon[i], polygon[i + 1]);
    return 0.5 * twice;
}

bool is_convex(const PlanePolygon& polygon)
{
    double left = 0.0, right = 0.0, largest = 0.0;
    for (std::size_t i = 0; i < polygon.size(); ++i) {
        const PlanePoint &a = polygon[i], &b = after(polygon, i),
                         &c = after(polygon, i + 1 < polygon.size() ? i + 1 : 0);
        const double turn = cross(a, b, c);
        left = std::max(left, turn);
        right = std::max(right, -turn);
        largest = std::max(largest, std::abs(turn));
    }
    return std::min(left, right) <= 1e-6 * largest;
}

void clip(const PlanePolygon& polygon, const PlanePolygon& window, PlanePolygon& out)
{
    out = polygon;
    PlanePolygon next;
    for (std::size_t w = 0; w < window.size(); ++w) {
        const PlanePoint &from = window[w], &to = after(window, w);
        const auto is_outside = [&](const PlanePoint& p) { return cross(from, to, p) < 0.0; };
        if (std::ranges::none_of(out, is_outside)) continue;
        next.clear();
        for (std::size_t i = 0; i < out.size(); ++i) {
            const PlanePoint &p = out[i], &q = after(out, i);
            const double here = cross(from, to, p), there = cross(from, to, q);
            if (here >= 0.0) next.push_back(p);
            if ((here < 0.0) == (there < 0.0)) continue;
            const double share = here / (here - there);
            next.push_back({std::lerp(p.right_m, q.right_m, share), std::lerp(p.up_m, q.up_m, share)});
        }
        out.swap(next);
    }
    const auto [first, last] = std::ranges::unique(out, is_one_point);
    out.erase(first, last);
    while (out.size() > 1 && is_one_point(out.front(), out.back())) out.pop_back();
}

/// Of each polygon, what none before it covers.
double united_area_m2(const std::vector<PlanePolygon>& polygons)
{
    double sum = 0.0;
    std::vector<PlanePolygon> shared;
    PlanePolygon both;
    for (std::size_t i = 0; i < polygons.size(); ++i) {
        shared.clear();
        const double own = area_m2(polygons[i]);
        double most = 0.0;
        for (std::size_t j = 0; j < i; ++j) {
            clip(polygons[j], polygons[i], both);
            const double area = area_m2(both);
            if (area <= nothing_m2) continue;
            most = std::max(most, area);
            shared.push_back(both);
        }
        if (most < own - nothing_m2) sum += own - united_area_m2(shared);
    }
    return sum;
}

} // namespace venture::plan
