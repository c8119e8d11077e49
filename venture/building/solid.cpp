#include <venture/building/solid.hpp>

#include <algorithm>
#include <cmath>
#include <limits>
#include <map>
#include <numbers>

#include <fmt/format.h>

#include <venture/building/faces.hpp>
#include <venture/building/slopes.hpp>

namespace venture::building::detail {

namespace {

constexpr double degree = std::numbers::pi / 180.0;

Spot operator-(const Spot& a, const Spot& b) { return {a[0] - b[0], a[1] - b[1], a[2] - b[2]}; }
double dot(const Spot& a, const Spot& b) { return a[0] * b[0] + a[1] * b[1] + a[2] * b[2]; }
Spot cross(const Spot& a, const Spot& b)
{
    return {a[1] * b[2] - a[2] * b[1], a[2] * b[0] - a[0] * b[2], a[0] * b[1] - a[1] * b[0]};
}
double length(const Spot& a) { return std::sqrt(dot(a, a)); }

/// Twice the area, along the normal; whatever the corners' deviation from a plane (Newell's method).
Spot area_vector(const Corners& corners)
{
    Spot sum{};
    for (std::size_t i = 1; i + 1 < corners.size(); ++i) {
        const Spot part = cross(corners[i] - corners[0], corners[i + 1] - corners[0]);
        for (std::size_t k = 0; k < 3; ++k) sum[k] += part[k];
    }
    return sum;
}

Spot unit(const Spot& a)
{
    const double l = length(a);
    return {a[0] / l, a[1] / l, a[2] / l};
}

Spot middle(const Corners& corners)
{
    Spot sum{};
    for (const Spot& c : corners)
        for (std::size_t k = 0; k < 3; ++k) sum[k] += c[k] / static_cast<double>(corners.size());
    return sum;
}

std::string words(const Spot& p) { return fmt::format("[{:.3f}, {:.3f}, {:.3f}]", p[0], p[1], p[2]); }

class Encloser {
public:
    Encloser(const std::vector<Corners>& faces, double tolerance_m, double off_plane_m)
        : given_{faces},
          tolerance_m_{tolerance_m},
          off_plane_m_{off_plane_m}
    {
    }

    std::variant<Solid, std::vector<FaceProblem>> run()
    {
        join_corners();
        for (std::size_t f = 0; f < faces_.size(); ++f) check_plane(f);
        if (!problems_.empty()) return problems_;
        find_edges();
        check_edges();
        if (!problems_.empty()) return problems_;
        turn_alike();
        if (!problems_.empty()) return problems_;
        return measured();
    }

private:
    void wrong(std::size_t face, std::string message, std::string hint)
    {
        problems_.push_back({face, std::move(message), std::move(hint)});
    }

    std::size_t point_at(const Spot& corner)
    {
        for (std::size_t i = 0; i < points_.size(); ++i)
            if (length(points_[i] - corner) <= tolerance_m_) return i;
        points_.push_back(corner);
        return points_.size() - 1;
    }

    void join_corners()
    {
        for (const Corners& corners : given_) {
            std::vector<std::size_t>& face = faces_.emplace_back();
            double& moved = moved_m_.emplace_back(0.0);
            for (const Spot& corner : corners) {
                const std::size_t at = point_at(corner);
                moved = std::max(moved, length(points_[at] - corner));
                if (face.empty() || face.back() != at) face.push_back(at);
            }
            while (face.size() > 1 && face.front() == face.back()) face.pop_back();
        }
    }

    [[nodiscard]] Corners corners_of(std::size_t face) const
    {
        Corners out;
        for (const std::size_t p : faces_[face]) out.push_back(points_[p]);
        return out;
    }

    void check_plane(std::size_t f)
    {
        constexpr double least_m2 = 1e-4;
        const Corners corners = corners_of(f);
        const Spot area = area_vector(corners);
        if (corners.size() < 3 || 0.5 * length(area) < least_m2)
            return wrong(f, "encloses nothing", "list at least three corners in the order of a walk round it");
        const Spot normal = unit(area), centre = middle(corners);
        double farthest = 0.0;
        std::size_t at = 0;
        for (std::size_t i = 0; i < corners.size(); ++i)
            if (const double off = std::abs(dot(normal, corners[i] - centre)); off > farthest) {
                farthest = off;
                at = i;
            }
        moved_m_[f] = std::max(moved_m_[f], farthest);
        if (farthest > off_plane_m_)
            wrong(f,
                  fmt::format("is not plane: its corner {} lies {:.0f} mm off", words(corners[at]), 1000.0 * farthest),
                  "mend the corner, or cut the face into plane ones");
        else if (!is_simple(laid({"", corners}, 0, 0.0).shape.at(0).outline))
            wrong(f, "crosses itself", "list its corners in the order of a walk round it");
    }

    using Edge = std::pair<std::size_t, std::size_t>; ///< points, the lower first
    struct Use {
        std::size_t face = 0;
        bool upwards = false; ///< walked from the lower point to the higher
    };

    /// Edges of every face, cut where corners of others stand on them.
    void find_edges()
    {
        for (std::size_t f = 0; f < faces_.size(); ++f)
            for (std::size_t i = 0; i < faces_[f].size(); ++i) {
                const std::size_t a = faces_[f][i], b = faces_[f][(i + 1) % faces_[f].size()];
                const Spot way = unit(points_[b] - points_[a]);
                const double whole = length(points_[b] - points_[a]);
                std::vector<std::pair<double, std::size_t>> stops = {{0.0, a}, {whole, b}};
                for (std::size_t p = 0; p < points_.size(); ++p) {
                    const Spot from = points_[p] - points_[a];
                    const double along = dot(from, way);
                    if (p != a && p != b && along > 0.0 && along < whole && length(cross(from, way)) <= tolerance_m_)
                        stops.emplace_back(along, p);
                }
                std::ranges::sort(stops);
                for (std::size_t k = 0; k + 1 < stops.size(); ++k) {
                    const std::size_t from = stops[k].second, to = stops[k + 1].second;
                    edges_[std::minmax(from, to)].push_back({f, from < to});
                }
            }
    }

    void check_edges()
    {
        std::map<Edge, std::size_t> open; ///< and the face that has it
        for (const auto& [edge, uses] : edges_) {
            if (uses.size() == 1) open.emplace(edge, uses[0].face);
            if (uses.size() > 2)
                wrong(uses[0].face,
                      fmt::format("has an edge from {} to {} that belongs to {} faces", words(points_[edge.first]),
                                  words(points_[edge.second]), uses.size()),
                      "two faces meet at an edge: one is there twice, or cuts through the room");
        }
        while (!open.empty()) tell_opening(open);
    }

    /// Takes open edges that hang together out of all of them, and tells where they lead.
    void tell_opening(std::map<Edge, std::size_t>& open)
    {
        const std::size_t face = open.begin()->second;
        std::vector<std::size_t> round = {open.begin()->first.first};
        for (bool further = true; further;) {
            const auto next = std::ranges::find_if(
                open, [&](const auto& e) { return e.first.first == round.back() || e.first.second == round.back(); });
            further = next != open.end();
            if (!further) break;
            const std::size_t to = next->first.first == round.back() ? next->first.second : next->first.first;
            if (to != round.front()) round.push_back(to);
            open.erase(next);
            if (to == round.front()) break;
        }
        std::string places;
        for (const std::size_t p : round) places += (places.empty() ? "" : ", ") + words(points_[p]);
        wrong(face, "borders an opening that no face fills: " + places,
              "the faces of a room close: one is missing, or a corner is mistyped");
    }

    /// Two faces that meet walk their common edge in opposite directions.
    void turn_alike()
    {
        std::vector<int> turn(faces_.size(), 0);
        std::vector<std::size_t> reached = {0};
        turn[0] = 1;
        std::map<std::size_t, std::vector<const std::vector<Use>*>> of_face;
        for (const auto& [edge, uses] : edges_)
            for (const Use& use : uses) of_face[use.face].push_back(&uses);
        for (std::size_t i = 0; i < reached.size(); ++i)
            for (const auto* uses : of_face[reached[i]]) {
                const std::size_t a = (*uses)[0].face, b = (*uses)[1].face, other = a == reached[i] ? b : a;
                const int wanted = (*uses)[0].upwards == (*uses)[1].upwards ? -turn[reached[i]] : turn[reached[i]];
                if (turn[other] == 0) {
                    turn[other] = wanted;
                    reached.push_back(other);
                } else if (turn[other] != wanted) {
                    return wrong(other, "has no outer side: the faces form a twisted band", "mend its corners");
                }
            }
        for (std::size_t f = 0; f < faces_.size(); ++f) {
            if (turn[f] == 0)
                return wrong(f, "belongs to a second body: the faces enclose more than one",
                             "make it a room by itself");
            if (turn[f] < 0) std::ranges::reverse(faces_[f]);
        }
    }

    [[nodiscard]] std::variant<Solid, std::vector<FaceProblem>> measured()
    {
        constexpr double least_m3 = 1e-4;
        Solid out{.moved_m = std::move(moved_m_)};
        double six_volumes = 0.0;
        for (std::size_t f = 0; f < faces_.size(); ++f) {
            out.faces.push_back(corners_of(f));
            six_volumes += dot(area_vector(out.faces[f]), middle(out.faces[f]) - points_[0]);
        }
        out.volume_m3 = std::abs(six_volumes) / 6.0;
        if (six_volumes < 0.0)
            for (Corners& face : out.faces) std::ranges::reverse(face);
        if (out.volume_m3 < least_m3)
            return std::vector<FaceProblem>{{0, "and the others enclose no room", "check their corners"}};
        return out;
    }

    const std::vector<Corners>& given_;
    double tolerance_m_, off_plane_m_;
    std::vector<Spot> points_{};
    std::vector<std::vector<std::size_t>> faces_{}; ///< as points
    std::vector<double> moved_m_{};
    std::map<Edge, std::vector<Use>> edges_{};
    std::vector<FaceProblem> problems_{};
};

/// Tilt of a face by its normal, level and upright ones exactly.
double tilt_deg(const Spot& normal)
{
    constexpr double as_good_as = 1e-3; // of a radian
    if (std::hypot(normal[0], normal[1]) < as_good_as) return normal[2] > 0.0 ? 0.0 : 180.0;
    if (std::abs(normal[2]) < as_good_as) return 90.0;
    return std::acos(std::clamp(normal[2], -1.0, 1.0)) / degree;
}

Attitude attitude_of(double tilt)
{
    constexpr double steep = 60.0;
    if (tilt <= steep) return Attitude::ceiling;
    return tilt < 180.0 - steep ? Attitude::wall : Attitude::floor;
}

double bearing_deg(const Spot& normal) { return std::fmod(std::atan2(normal[0], normal[1]) / degree + 720.0, 360.0); }

} // namespace

std::variant<Solid, std::vector<FaceProblem>> enclose(const std::vector<Corners>& faces, double tolerance_m,
                                                      double off_plane_m)
{
    return Encloser{faces, tolerance_m, off_plane_m}.run();
}

std::vector<std::string> names_by_direction(const std::vector<Corners>& faces)
{
    std::map<std::string, int> seen;
    std::vector<std::string> out;
    for (const Corners& corners : faces) {
        const Spot normal = unit(area_vector(corners));
        const double tilt = tilt_deg(normal);
        const Attitude attitude = attitude_of(tilt);
        std::string name = attitude == Attitude::floor ? "floor"
                           : tilt == 0.0               ? "roof"
                                                       : compass_word(bearing_deg(normal));
        if (attitude == Attitude::wall) name += " wall";
        if (attitude == Attitude::ceiling && tilt > 0.0) name += " slope";
        const int nth = ++seen[name];
        out.push_back(nth == 1 ? name : fmt::format("{} {}", name, nth));
    }
    return out;
}

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

Polygon plan_of(const std::vector<Corners>& faces, double& floor_m2)
{
    Polygons all;
    floor_m2 = 0.0;
    for (const Corners& corners : faces) {
        const Spot area = area_vector(corners);
        const double tilt = tilt_deg(unit(area));
        if (tilt == 90.0) continue;
        if (attitude_of(tilt) == Attitude::floor) floor_m2 += 0.5 * std::abs(area[2]);
        Ring ring;
        for (const Spot& c : corners) ring.push_back({to_grid(c[0]), to_grid(c[1])});
        if (area_m2(ring) < 0.0) std::ranges::reverse(ring);
        all.push_back({std::move(ring), {}});
    }
    const Polygons joined = united(all);
    const auto largest = std::ranges::max_element(joined, {}, [](const Polygon& p) { return area_m2(p); });
    return largest == joined.end() ? Polygon{} : *largest;
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

} // namespace venture::building::detail
