#include <venture/plan/solid.hpp>

#include <algorithm>
#include <cmath>
#include <map>

#include <fmt/format.h>

#include <venture/plan/directions.hpp>
#include <venture/plan/walls.hpp>

namespace venture::plan {

namespace {

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
        else if (!is_simple(in_own_plane(corners)))
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

} // namespace venture::plan
