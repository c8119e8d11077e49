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

/// By every corner, up to rounding: an edge that two shadows share lies within both.
bool is_within(const PlanePolygon& inner, const PlanePolygon& outer)
{
    constexpr double nearly_m2 = 1e-10;
    for (std::size_t i = 0; i < outer.size(); ++i)
        for (const PlanePoint& p : inner)
            if (cross(outer[i], after(outer, i), p) < -nearly_m2) return false;
    return true;
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
    thread_local PlanePolygon next;          // both are asked for millions of times
    thread_local std::vector<double> inside; // of an edge of the window, by corner
    out = polygon;
    for (std::size_t w = 0; w < window.size(); ++w) {
        const PlanePoint &from = window[w], &to = after(window, w);
        inside.clear();
        for (const PlanePoint& p : out) inside.push_back(cross(from, to, p));
        const auto outside = std::ranges::count_if(inside, [](double v) { return v < 0.0; });
        if (outside == 0) continue;
        next.clear();
        for (std::size_t i = 0; i < out.size() && static_cast<std::size_t>(outside) < out.size(); ++i) {
            const std::size_t j = i + 1 < out.size() ? i + 1 : 0;
            const double here = inside[i], there = inside[j];
            if (here >= 0.0) next.push_back(out[i]);
            if ((here < 0.0) == (there < 0.0)) continue;
            const double share = here / (here - there);
            next.push_back(
                {std::lerp(out[i].right_m, out[j].right_m, share), std::lerp(out[i].up_m, out[j].up_m, share)});
        }
        out.swap(next);
    }
    const auto [first, last] = std::ranges::unique(out, is_one_point);
    out.erase(first, last);
    while (out.size() > 1 && is_one_point(out.front(), out.back())) out.pop_back();
}

void Patches::add(const PlanePolygon& polygon)
{
    if (plan::area_m2(polygon) <= nothing_m2) return;
    for (std::size_t i = 0; i < count_; ++i)
        if (is_within(polygon, polygons_[i])) return;
    for (std::size_t i = 0; i < count_;)
        if (is_within(polygons_[i], polygon))
            polygons_[i].swap(polygons_[--count_]);
        else
            ++i;
    if (polygons_.size() == count_) polygons_.emplace_back();
    polygons_[count_++] = polygon;
}

/// Of each polygon, what none before it covers.
double Patches::area_m2() const
{
    double sum = 0.0;
    Patches shared;
    PlanePolygon both;
    for (std::size_t i = 0; i < count_; ++i) {
        shared.clear();
        for (std::size_t j = 0; j < i; ++j) {
            clip(polygons_[j], polygons_[i], both);
            shared.add(both);
        }
        sum += plan::area_m2(polygons_[i]) - shared.area_m2();
    }
    return sum;
}

} // namespace venture::plan
