#include <venture/building/junctions.hpp>

#include <algorithm>
#include <cmath>

#include <venture/plan/walls.hpp>

namespace venture::building {

using plan::to_metres;

namespace {

constexpr double touching_m = 2e-3; ///< how far apart lines may lie that are one: walls at an angle miss the grid

/// Stretches of a line that do not overlap, m.
struct Stretch {
    double from = 0.0, to = 0.0;
};
using Stretches = std::vector<Stretch>;

double length_of(const Stretches& all)
{
    double sum = 0.0;
    for (const Stretch& s : all) sum += s.to - s.from;
    return sum;
}

double common_length(const Stretches& a, const Stretches& b)
{
    double sum = 0.0;
    for (const Stretch& p : a)
        for (const Stretch& q : b) sum += std::max(0.0, std::min(p.to, q.to) - std::max(p.from, q.from));
    return sum;
}

template <class Visit>
void for_each_edge(const plan::Polygons& shape, Visit visit)
{
    for (const plan::Polygon& p : shape)
        for (std::size_t i = 0; i < p.outline.size(); ++i) visit(p.outline[i], p.outline[(i + 1) % p.outline.size()]);
}

/// Edges of a shape that run along its first axis at a height.
Stretches level_edges(const plan::Polygons& shape, double height_m)
{
    Stretches out;
    for_each_edge(shape, [&](plan::GridPoint a, plan::GridPoint b) {
        if (a.y == b.y && std::abs(to_metres(a.y) - height_m) < touching_m)
            out.push_back({to_metres(std::min(a.x, b.x)), to_metres(std::max(a.x, b.x))});
    });
    return out;
}

/// Edges of a shape that run upwards at a place.
Stretches upright_edges(const plan::Polygons& shape, double at_m)
{
    Stretches out;
    for_each_edge(shape, [&](plan::GridPoint a, plan::GridPoint b) {
        if (a.x == b.x && std::abs(to_metres(a.x) - at_m) < touching_m)
            out.push_back({to_metres(std::min(a.y, b.y)), to_metres(std::max(a.y, b.y))});
    });
    return out;
}

/// A wall of a room on the plan.
struct Line {
    double x = 0.0, y = 0.0, ux = 0.0, uy = 0.0, length = 0.0;
    Line(plan::GridPoint a, plan::GridPoint b)
        : x{to_metres(a.x)},
          y{to_metres(a.y)},
          ux{to_metres(b.x - a.x)},
          uy{to_metres(b.y - a.y)},
          length{std::hypot(ux, uy)}
    {
        ux /= length;
        uy /= length;
    }
    [[nodiscard]] double along(plan::GridPoint p) const
    {
        return (to_metres(p.x) - x) * ux + (to_metres(p.y) - y) * uy;
    }
    [[nodiscard]] double off(plan::GridPoint p) const
    {
        return std::abs((to_metres(p.x) - x) * uy - (to_metres(p.y) - y) * ux);
    }
};

/// Edges of a floor's or roof's outline that lie on a wall's line and run with it.
Stretches edges_on(const Line& line, const plan::Polygons& shape)
{
    Stretches out;
    for_each_edge(shape, [&](plan::GridPoint a, plan::GridPoint b) {
        if (line.off(a) < touching_m && line.off(b) < touching_m && line.along(b) > line.along(a))
            out.push_back({line.along(a), line.along(b)});
    });
    return out;
}

class Measure {
public:
    Measure(const Building& b, std::size_t room) : b_{b}, room_{room}
    {
        for (const Surface& s : b.surfaces)
            if (s.room == room || (s.beyond.kind == Neighbour::Kind::room && s.beyond.room == room))
                mine_.push_back(&s);
    }

    std::array<double, junction_count> run()
    {
        for (const Surface* s : mine_)
            if (s->beyond.kind == Neighbour::Kind::outdoors) {
                add_openings(*s);
                if (s->is_upright()) add_level_edges(*s);
            }
        add_corners();
        return lengths_;
    }

private:
    double& of(Junction kind) { return lengths_[static_cast<std::size_t>(kind)]; }

    void add_openings(const Surface& s)
    {
        for (const Opening& o : s.openings)
            of(Junction::opening_edge) += 2.0 * (o.width_m + o.height_m) * static_cast<double>(o.from_left_m.size());
    }

    void add_level_edges(const Surface& wall)
    {
        const Room& room = b_.rooms[room_];
        const Line line{wall.plan_start, wall.plan_end};
        const Stretches foot = level_edges(wall.shape, room.floor_m),
                        head = level_edges(wall.shape, room.floor_m + room.height_m);
        for (const Surface* s : mine_) {
            if (s->attitude == Attitude::wall) continue;
            const Stretches edges = edges_on(line, s->shape);
            if (s->beyond.kind == Neighbour::Kind::room)
                of(Junction::inner_floor_edge) += 0.5 * common_length(s->room == room_ ? foot : head, edges);
            else if (s->attitude == Attitude::ceiling && s->beyond.kind == Neighbour::Kind::outdoors)
                of(Junction::roof_edge) += common_length(head, edges);
            else if (s->beyond.kind == Neighbour::Kind::ground)
                of(Junction::ground_floor_edge) += common_length(foot, edges);
            else if (s->beyond.kind == Neighbour::Kind::outdoors)
                of(Junction::exposed_floor_edge) += common_length(foot, edges);
        }
    }

    struct Side {
        Stretches outdoors{}, any_but_rooms{};
    };

    /// What one of the room's walls has at one of its ends, by height.
    [[nodiscard]] Side side_at(const std::string& wall, bool at_end) const
    {
        Side out;
        for (const Surface* s : mine_) {
            if (s->room != room_ || s->plain_name() != wall || s->beyond.kind == Neighbour::Kind::room) continue;
            const Stretches up = upright_edges(s->shape, at_end ? Line{s->plan_start, s->plan_end}.length : 0.0);
            out.any_but_rooms.insert(out.any_but_rooms.end(), up.begin(), up.end());
            if (s->beyond.kind == Neighbour::Kind::outdoors)
                out.outdoors.insert(out.outdoors.end(), up.begin(), up.end());
        }
        return out;
    }

    void add_corners()
    {
        if (!b_.rooms[room_].faces.empty()) return; // its walls do not follow its outline
        const plan::Ring& ring = b_.rooms[room_].outline.outline;
        const std::vector<std::string> names = plan::wall_names(b_.rooms[room_].outline);
        const std::size_t n = ring.size();
        for (std::size_t i = 0; i < n; ++i) {
            const std::size_t before = (i + n - 1) % n;
            const Side ends = side_at(names[before], true), begins = side_at(names[i], false);
            const bool outward = side(ring[before], ring[i], ring[(i + 1) % n]) > 0;
            of(outward ? Junction::outward_corner : Junction::inward_corner) +=
                common_length(ends.outdoors, begins.outdoors);
            of(Junction::inner_wall_end) +=
                0.5 * (length_of(ends.outdoors) - common_length(ends.outdoors, begins.any_but_rooms)) +
                0.5 * (length_of(begins.outdoors) - common_length(begins.outdoors, ends.any_but_rooms));
        }
    }

    const Building& b_;
    std::size_t room_;
    std::vector<const Surface*> mine_{};
    std::array<double, junction_count> lengths_{};
};

} // namespace

std::array<double, junction_count> junction_lengths_m(const Building& building, std::size_t room)
{
    return Measure{building, room}.run();
}

} // namespace venture::building
