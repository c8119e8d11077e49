#include <venture/resolve/laid_faces.hpp>

#include <algorithm>
#include <cmath>
#include <limits>

#include <venture/plan/directions.hpp>
#include <venture/resolve/slopes.hpp>

namespace venture::resolve {

Surface laid(const RoomFace& face, std::size_t room, double plan_bearing_deg)
{
    const Spot normal = unit(area_vector(face.corners_m));
    Surface s{.parent = face.name, .room = room, .tilt_deg = tilt_deg(normal)};
    s.attitude = attitude_of(s.tilt_deg);
    const Spot centre = middle(face.corners_m);
    if (!s.is_level()) {
        s.azimuth_deg = std::fmod(bearing_deg(normal) + plan_bearing_deg + 720.0, 360.0);
        const double flat = std::hypot(normal[0], normal[1]), x = -normal[1] / flat, y = normal[0] / flat;
        const double rise = s.is_upright() ? 0.0 : normal[2]; // cosine of the tilt
        double along0 = std::numeric_limits<double>::max(), low = along0;
        for (const Spot& c : face.corners_m) {
            along0 = std::min(along0, c[0] * x + c[1] * y);
            low = std::min(low, c[2]);
        }
        s.start_m = s.is_upright() ? 0.0 : low;
        // where the plane is at the height of the shape's zero: out from the centre along the normal's way on the plan
        const double out = centre[0] * normal[0] / flat + centre[1] * normal[1] / flat +
                           (s.is_upright() ? 0.0 : (centre[2] - low) * rise / flat);
        const double px = along0 * x + out * y, py = along0 * y - out * x;
        s.plan_start = {to_grid(px), to_grid(py)};
        s.plan_end = {to_grid(px + x), to_grid(py + y)};
        if (s.is_upright()) { // to its other end, for whoever draws its foot
            double end = along0;
            for (const Spot& c : face.corners_m) end = std::max(end, c[0] * x + c[1] * y);
            s.plan_end = {to_grid(px + (end - along0) * x), to_grid(py + (end - along0) * y)};
        }
    } else {
        s.start_m = centre[2];
    }
    const SurfacePlane plane = plane_of(s);
    Ring ring;
    for (const Spot& c : face.corners_m) {
        const Spot from = c - plane.zero_m;
        ring.push_back({to_grid(dot(from, plane.along)), to_grid(dot(from, plane.up))});
    }
    if (area_m2(ring) < 0.0) std::ranges::reverse(ring); // a floor as on the plan
    s.shape = {{std::move(ring), {}}};
    s.gross_m2 = area_m2(s.shape);
    return s;
}

namespace {

/// By the edges that a ray to the right crosses.
bool covers(const Ring& ring, double x, double y)
{
    bool inside = false;
    for (std::size_t i = 0; i < ring.size(); ++i) {
        const double ax = to_metres(ring[i].x), ay = to_metres(ring[i].y);
        const GridPoint next = ring[(i + 1) % ring.size()];
        const double bx = to_metres(next.x), by = to_metres(next.y);
        if ((ay > y) != (by > y) && x < ax + (y - ay) / (by - ay) * (bx - ax)) inside = !inside;
    }
    return inside;
}

} // namespace

bool is_inside(const Room& room, const Spot& place)
{
    const auto [x, y, z] = place;
    if (room.faces.empty()) {
        const bool on_plan = covers(room.outline.outline, x, y) &&
                             std::ranges::none_of(room.outline.holes, [&](const Ring& r) { return covers(r, x, y); });
        return on_plan && z > room.floor_m && z < room.floor_m + ceiling_m(room, x, y);
    }
    bool inside = false;
    for (const RoomFace& face : room.faces) { // that a ray upwards crosses
        const Spot normal = area_vector(face.corners_m);
        if (tilt_deg(unit(normal)) == 90.0) continue;
        Ring ring;
        for (const Spot& c : face.corners_m) ring.push_back({to_grid(c[0]), to_grid(c[1])});
        const Spot& on = face.corners_m[0];
        const double height = on[2] - ((x - on[0]) * normal[0] + (y - on[1]) * normal[1]) / normal[2];
        if (height > z && covers(ring, x, y)) inside = !inside;
    }
    return inside;
}

} // namespace venture::resolve
