#include <venture/resolve/slopes.hpp>

#include <algorithm>
#include <cmath>
#include <limits>
#include <numbers>

namespace venture::resolve {

namespace {

constexpr double degree = std::numbers::pi / 180.0;

/// The part of a convex ring where a linear function is not negative (Sutherland and Hodgman, CACM 17, 1974).
std::vector<quantity::Point> where_positive(const std::vector<quantity::Point>& ring, double at_zero, double by_x,
                                            double by_y)
{
    const auto value = [&](quantity::Point p) { return at_zero + by_x * p.x_m + by_y * p.y_m; };
    std::vector<quantity::Point> out;
    for (std::size_t i = 0; i < ring.size(); ++i) {
        const quantity::Point a = ring[i], b = ring[(i + 1) % ring.size()];
        const double va = value(a), vb = value(b);
        if (va >= 0.0) out.push_back(a);
        if ((va >= 0.0) == (vb >= 0.0)) continue;
        const double share = va / (va - vb);
        out.push_back({a.x_m + share * (b.x_m - a.x_m), a.y_m + share * (b.y_m - a.y_m)});
    }
    return out;
}

/// Flat ceiling and slopes alike: height over the plan, above the floor.
std::vector<CeilingSlope> planes_of(const Room& room)
{
    std::vector<CeilingSlope> planes = room.slopes;
    planes.push_back({.name = "", .at_zero_m = room.height_m});
    return planes;
}

/// Twice the area and the centroid times six of it, by the corners of a ring about the first of them.
double integral_over(const Ring& ring, const CeilingSlope& slope)
{
    const double x0 = to_metres(ring.front().x), y0 = to_metres(ring.front().y);
    double sum = 0.0;
    for (std::size_t i = 1; i + 1 < ring.size(); ++i) {
        const double ax = to_metres(ring[i].x), ay = to_metres(ring[i].y), bx = to_metres(ring[i + 1].x),
                     by = to_metres(ring[i + 1].y);
        const double area = 0.5 * ((ax - x0) * (by - y0) - (bx - x0) * (ay - y0));
        sum += area * slope.height_m((x0 + ax + bx) / 3.0, (y0 + ay + by) / 3.0);
    }
    return sum;
}

} // namespace

double ceiling_m(const Room& room, double x_m, double y_m)
{
    double lowest = room.height_m;
    for (const CeilingSlope& slope : room.slopes) lowest = std::min(lowest, slope.height_m(x_m, y_m));
    return lowest;
}

std::vector<UnderSlope> under_slopes(const Room& room)
{
    const std::vector<CeilingSlope> planes = planes_of(room);
    const PlanBox box = box_of(room.outline.outline);
    std::vector<UnderSlope> out;
    for (std::size_t k = 0; k < planes.size(); ++k) {
        std::vector<quantity::Point> lowest = {{box.x0 - 1.0, box.y0 - 1.0},
                                               {box.x1 + 1.0, box.y0 - 1.0},
                                               {box.x1 + 1.0, box.y1 + 1.0},
                                               {box.x0 - 1.0, box.y1 + 1.0}};
        for (std::size_t j = 0; j < planes.size(); ++j)
            if (j != k)
                lowest = where_positive(lowest, planes[j].at_zero_m - planes[k].at_zero_m,
                                        planes[j].by_x - planes[k].by_x, planes[j].by_y - planes[k].by_y);
        if (lowest.size() < 3) continue;
        Ring ring;
        for (const quantity::Point p : lowest) ring.push_back({to_grid(p.x_m), to_grid(p.y_m)});
        Polygons plan = intersection({room.outline}, {{ring, {}}});
        if (!plan.empty()) out.push_back({k < room.slopes.size() ? &room.slopes[k] : nullptr, std::move(plan)});
    }
    return out;
}

double highest_under_slopes_m(const Room& room)
{
    Room unlimited = room;
    unlimited.height_m = std::numeric_limits<double>::max();
    double highest = 0.0;
    for (const UnderSlope& part : under_slopes(unlimited))
        for (const Polygon& polygon : part.plan)
            for (const GridPoint p : polygon.outline)
                highest = std::max(highest, ceiling_m(unlimited, to_metres(p.x), to_metres(p.y)));
    return highest;
}

double volume_under_slopes_m3(const Room& room)
{
    const CeilingSlope flat{.name = "", .at_zero_m = room.height_m};
    double sum = 0.0;
    for (const UnderSlope& part : under_slopes(room))
        for (const Polygon& polygon : part.plan) {
            const CeilingSlope& slope = part.slope != nullptr ? *part.slope : flat;
            sum += integral_over(polygon.outline, slope);
            for (const Ring& hole : polygon.holes) sum += integral_over(hole, slope); // walked clockwise: less
        }
    return sum;
}

Polygons wall_under_slopes(const Room& room, GridPoint a, GridPoint b)
{
    const double ax = to_metres(a.x), ay = to_metres(a.y), dx = to_metres(b.x - a.x), dy = to_metres(b.y - a.y);
    const double length = std::hypot(dx, dy);
    const std::vector<CeilingSlope> planes = planes_of(room);
    std::vector<double> breaks = {0.0, 1.0}; // shares of the wall where its top may have a corner
    for (std::size_t k = 0; k < planes.size(); ++k)
        for (std::size_t j = 0; j < k; ++j) {
            const auto difference = [&](double share) {
                const double x = ax + share * dx, y = ay + share * dy;
                return planes[k].height_m(x, y) - planes[j].height_m(x, y);
            };
            const double at_a = difference(0.0), at_b = difference(1.0);
            if ((at_a > 0.0) != (at_b > 0.0) && at_a != at_b) breaks.push_back(at_a / (at_a - at_b));
        }
    std::ranges::sort(breaks);
    Ring ring = {{0, to_grid(room.floor_m)}, {to_grid(length), to_grid(room.floor_m)}};
    for (auto share = breaks.rbegin(); share != breaks.rend(); ++share) {
        const GridPoint top{to_grid(*share * length),
                            to_grid(room.floor_m + ceiling_m(room, ax + *share * dx, ay + *share * dy))};
        if (!(top == ring.back())) ring.push_back(top);
    }
    return intersection({{ring, {}}}, {{ring, {}}}); // corners in line, and walls of no height, go
}

void lay_in_plane(Surface& roof, const CeilingSlope& slope, const Polygons& plan, const Room& room,
                  double plan_bearing_deg)
{
    const double rise = std::hypot(slope.by_x, slope.by_y), up_x = slope.by_x / rise, up_y = slope.by_y / rise;
    const double longer = std::hypot(1.0, rise); // in the plane than on the plan, up the slope
    const auto along = [&](GridPoint p) { return to_metres(p.x) * up_y - to_metres(p.y) * up_x; };
    const auto up = [&](GridPoint p) { return to_metres(p.x) * up_x + to_metres(p.y) * up_y; };
    double along0 = std::numeric_limits<double>::max(), up0 = along0;
    for (const Polygon& p : plan)
        for (const GridPoint corner : p.outline) {
            along0 = std::min(along0, along(corner));
            up0 = std::min(up0, up(corner));
        }
    const auto laid = [&](const Ring& ring) {
        Ring out;
        for (const GridPoint p : ring) out.push_back({to_grid(along(p) - along0), to_grid((up(p) - up0) * longer)});
        return out;
    };
    for (const Polygon& p : plan) {
        Polygon& in_plane = roof.shape.emplace_back(Polygon{laid(p.outline), {}});
        for (const Ring& hole : p.holes) in_plane.holes.push_back(laid(hole));
    }
    const double x = along0 * up_y + up0 * up_x, y = up0 * up_y - along0 * up_x;
    roof.plan_start = {to_grid(x), to_grid(y)};
    roof.plan_end = {to_grid(x + up_y), to_grid(y - up_x)};
    roof.start_m = room.floor_m + slope.height_m(x, y);
    roof.tilt_deg = std::atan(rise) / degree;
    roof.azimuth_deg = std::fmod(std::atan2(-up_x, -up_y) / degree + plan_bearing_deg + 720.0, 360.0);
}

} // namespace venture::resolve
