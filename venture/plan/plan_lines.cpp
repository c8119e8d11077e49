#include <venture/plan/plan_lines.hpp>

#include <algorithm>
#include <cmath>
#include <numeric>

namespace venture::plan {

namespace {

/// A straight line on the plan, m: a point and a direction of length 1.
struct Line {
    double x = 0.0, y = 0.0, ux = 0.0, uy = 0.0;
    [[nodiscard]] double along(double px, double py) const { return (px - x) * ux + (py - y) * uy; }
    /// Distance of a point, positive on the right.
    [[nodiscard]] double right_of(double px, double py) const { return (px - x) * uy - (py - y) * ux; }
    [[nodiscard]] double right_of(GridPoint p) const { return right_of(to_metres(p.x), to_metres(p.y)); }
};

Line line_through(GridPoint a, GridPoint b)
{
    const double dx = to_metres(b.x - a.x), dy = to_metres(b.y - a.y), length = std::hypot(dx, dy);
    return {to_metres(a.x), to_metres(a.y), dx / length, dy / length};
}

GridPoint grid_point(double x, double y) { return {to_grid(x), to_grid(y)}; }

/// Where two lines meet; where they hardly cross, the point of the second next to the old corner.
GridPoint corner_of(const Line& before, const Line& after, GridPoint old)
{
    constexpr double hardly = 0.035; // sine of 2 degrees
    const double cross = before.ux * after.uy - before.uy * after.ux;
    if (std::abs(cross) < hardly) {
        const double t = after.along(to_metres(old.x), to_metres(old.y));
        return grid_point(after.x + t * after.ux, after.y + t * after.uy);
    }
    const double t = ((after.x - before.x) * after.uy - (after.y - before.y) * after.ux) / cross;
    return grid_point(before.x + t * before.ux, before.y + t * before.uy);
}

Ring ring_of(const Ring& old, const std::vector<Line>& lines)
{
    Ring out;
    for (std::size_t i = 0; i < old.size(); ++i)
        out.push_back(corner_of(lines[(i + old.size() - 1) % old.size()], lines[i], old[i]));
    return out;
}

std::vector<Line> lines_of(const Ring& ring)
{
    std::vector<Line> out;
    for (std::size_t i = 0; i < ring.size(); ++i) out.push_back(line_through(ring[i], ring[(i + 1) % ring.size()]));
    return out;
}

/// Whether every wall still runs the way it did.
bool runs_alike(const Ring& now, const Ring& before)
{
    for (std::size_t i = 0; i < now.size(); ++i) {
        const GridPoint a = now[i], b = now[(i + 1) % now.size()];
        const Line was = line_through(before[i], before[(i + 1) % before.size()]);
        if (to_metres(b.x - a.x) * was.ux + to_metres(b.y - a.y) * was.uy <= 0.0) return false;
    }
    return true;
}

/// A wall among all of a project, as a stretch of some direction's axis and how far off that it lies.
struct Wall {
    std::size_t room = 0, wall = 0;
    GridPoint a{}, b{};
    double length_m = 0.0, angle = 0.0;        ///< of its line, 0..pi
    double low = 0.0, high = 0.0, aside = 0.0; ///< along and across its class' direction
};

class Straightener {
public:
    Straightener(std::vector<PlanRoom>& rooms, double tolerance_m) : rooms_{rooms}, tolerance_m_{tolerance_m}
    {
        constexpr double pi = 3.14159265358979323846;
        for (std::size_t r = 0; r < rooms.size(); ++r)
            for (std::size_t i = 0; i < rooms[r].ring.size(); ++i) {
                Wall w{.room = r, .wall = i, .a = rooms[r].ring[i], .b = rooms[r].ring[(i + 1) % rooms[r].ring.size()]};
                const double dx = to_metres(w.b.x - w.a.x), dy = to_metres(w.b.y - w.a.y);
                w.length_m = std::hypot(dx, dy);
                w.angle = std::atan2(dy, dx);
                if (w.angle < 0.0) w.angle += pi;
                if (w.angle > pi - 0.5 * nearly_parallel) w.angle -= pi; // those along x stay together
                walls_.push_back(w);
            }
        std::ranges::sort(walls_, {}, &Wall::angle);
        group_.resize(walls_.size());
    }

    std::vector<Moved> run()
    {
        for (std::size_t first = 0; first < walls_.size();) {
            std::size_t last = first + 1;
            while (last < walls_.size() && walls_[last].angle - walls_[last - 1].angle < nearly_parallel) ++last;
            sort_aside(first, last);
            find_groups(first, last);
            move_groups(first, last);
            first = last;
        }
        return rebuild();
    }

private:
    static constexpr double nearly_parallel = 0.02;   ///< radians, a little over a degree
    static constexpr double end_to_end_m = 1.0;       ///< walls farther apart along their line have nothing in common
    static constexpr double in_line_m = 2.5 * grid_m; ///< what rounding to the grid makes of one line

    /// Who stays: the longest wall; of those nearly as long one that runs along the plan's axes; else the one whose room's
    /// name comes first.
    [[nodiscard]] bool leads(const Wall& a, const Wall& b) const
    {
        const auto length = [](const Wall& w) { return std::llround(w.length_m / 0.05); };
        const auto askew = [](const Wall& w) { return w.a.x != w.b.x && w.a.y != w.b.y; };
        if (length(a) != length(b)) return length(a) > length(b);
        if (askew(a) != askew(b)) return askew(b);
        if (a.room != b.room) return rooms_[a.room].name < rooms_[b.room].name;
        return a.wall < b.wall;
    }

    void sort_aside(std::size_t first, std::size_t last)
    {
        const Wall* lead = &walls_[first];
        for (std::size_t i = first; i < last; ++i)
            if (leads(walls_[i], *lead)) lead = &walls_[i];
        const Line axis{0.0, 0.0, std::cos(lead->angle), std::sin(lead->angle)};
        for (std::size_t i = first; i < last; ++i) {
            Wall& w = walls_[i];
            const double s = axis.along(to_metres(w.a.x), to_metres(w.a.y)),
                         e = axis.along(to_metres(w.b.x), to_metres(w.b.y));
            w.low = std::min(s, e);
            w.high = std::max(s, e);
            w.aside = 0.5 * (axis.right_of(w.a) + axis.right_of(w.b));
        }
        std::sort(walls_.begin() + static_cast<std::ptrdiff_t>(first),
                  walls_.begin() + static_cast<std::ptrdiff_t>(last),
                  [&](const Wall& a, const Wall& b) { return a.aside != b.aside ? a.aside < b.aside : leads(a, b); });
    }

    [[nodiscard]] std::size_t root(std::size_t i)
    {
        while (group_[i] != i) i = group_[i] = group_[group_[i]];
        return i;
    }

    static double off(const Wall& w, const Line& line)
    {
        return std::max(std::abs(line.right_of(w.a)), std::abs(line.right_of(w.b)));
    }

    void find_groups(std::size_t first, std::size_t last)
    {
        std::iota(group_.begin() + static_cast<std::ptrdiff_t>(first),
                  group_.begin() + static_cast<std::ptrdiff_t>(last), first);
        for (std::size_t i = first; i < last; ++i)
            for (std::size_t j = i + 1; j < last && walls_[j].aside - walls_[i].aside <= 2.0 * tolerance_m_; ++j) {
                const Wall &a = walls_[i], &b = walls_[j];
                if (a.low - b.high > end_to_end_m || b.low - a.high > end_to_end_m) continue;
                const bool a_leads = leads(a, b);
                const Wall &longer = a_leads ? a : b, &shorter = a_leads ? b : a;
                if (off(shorter, line_through(longer.a, longer.b)) <= tolerance_m_) group_[root(j)] = root(i);
            }
    }

    void move_groups(std::size_t first, std::size_t last)
    {
        std::vector<std::size_t> lead(last - first, SIZE_MAX);
        for (std::size_t i = first; i < last; ++i) {
            std::size_t& l = lead[root(i) - first];
            if (l == SIZE_MAX || leads(walls_[i], walls_[l])) l = i;
        }
        for (std::size_t i = first; i < last; ++i) {
            const Wall &w = walls_[i], &to = walls_[lead[root(i) - first]];
            const Line line = line_through(to.a, to.b);
            const double by = off(w, line);
            if (by <= in_line_m || by > tolerance_m_) continue;
            moved_.push_back({w.room, w.wall, to.room, by});
            lines_.push_back(line);
        }
    }

    /// Rooms with walls that moved get their corners anew.
    std::vector<Moved> rebuild()
    {
        std::vector<std::vector<std::size_t>> of_room(rooms_.size());
        for (std::size_t k = 0; k < moved_.size(); ++k) of_room[moved_[k].room].push_back(k);
        std::vector<Moved> done;
        for (std::size_t r = 0; r < rooms_.size(); ++r) {
            if (of_room[r].empty()) continue;
            std::vector<Line> lines = lines_of(rooms_[r].ring);
            for (const std::size_t k : of_room[r]) {
                Line& own = lines[moved_[k].wall];
                const bool turned = own.ux * lines_[k].ux + own.uy * lines_[k].uy < 0.0;
                own = lines_[k];
                if (turned) own = {own.x, own.y, -own.ux, -own.uy};
            }
            Ring ring = ring_of(rooms_[r].ring, lines);
            double doubled = 0.0;
            ring = without_doubled_points(ring, in_line_m, doubled);
            if (!is_simple(ring)) continue;
            rooms_[r].ring = std::move(ring);
            for (const std::size_t k : of_room[r]) done.push_back(moved_[k]);
        }
        return done;
    }

    std::vector<PlanRoom>& rooms_;
    double tolerance_m_;
    std::vector<Wall> walls_{};
    std::vector<std::size_t> group_{};
    std::vector<Moved> moved_{};
    std::vector<Line> lines_{}; ///< that these were moved to
};

} // namespace

std::optional<double> gap_between(GridPoint a, GridPoint b, GridPoint c, GridPoint d)
{
    constexpr double parallel = 0.02, least_overlap_m = 0.2, touching_m = 3.0 * grid_m;
    const Line line = line_through(a, b), other = line_through(c, d);
    if (line.ux * other.ux + line.uy * other.uy > 0.0 || std::abs(line.ux * other.uy - line.uy * other.ux) > parallel)
        return std::nullopt;
    const double length = std::hypot(to_metres(b.x - a.x), to_metres(b.y - a.y));
    const double overlap = std::min(length, line.along(to_metres(c.x), to_metres(c.y))) -
                           std::max(0.0, line.along(to_metres(d.x), to_metres(d.y)));
    const double outward = line.right_of(c);
    return overlap >= least_overlap_m && outward >= -touching_m ? std::optional{std::max(0.0, outward)} : std::nullopt;
}

std::optional<Ring> moved_outwards(const Ring& ring, const std::vector<double>& by_m)
{
    std::vector<Line> lines = lines_of(ring);
    for (std::size_t i = 0; i < lines.size(); ++i) {
        lines[i].x += by_m[i] * lines[i].uy;
        lines[i].y -= by_m[i] * lines[i].ux;
    }
    Ring out = ring_of(ring, lines);
    if (!is_simple(out) || !runs_alike(out, ring)) return std::nullopt;
    return out;
}

Ring without_doubled_points(const Ring& ring, double within_m, double& largest_m)
{
    Ring out;
    const auto near = [&](GridPoint p, GridPoint q) {
        const double apart = std::hypot(to_metres(p.x - q.x), to_metres(p.y - q.y));
        if (apart > within_m) return false;
        largest_m = std::max(largest_m, apart);
        return true;
    };
    for (const GridPoint p : ring)
        if (out.empty() || !near(p, out.back())) out.push_back(p);
    while (out.size() > 1 && near(out.front(), out.back())) out.pop_back();
    return out;
}

std::vector<Moved> straighten(std::vector<PlanRoom>& rooms, double tolerance_m)
{
    return Straightener{rooms, tolerance_m}.run();
}

} // namespace venture::plan
