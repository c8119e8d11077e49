#include <venture/resolve/faces.hpp>

#include <algorithm>
#include <array>
#include <cmath>
#include <map>
#include <numbers>
#include <optional>

#include <venture/plan/walls.hpp>
#include <venture/resolve/laid_faces.hpp>
#include <venture/resolve/nearby.hpp>
#include <venture/resolve/slopes.hpp>
#include <venture/resolve/solid_neighbours.hpp>

namespace venture::resolve {

namespace {

/// Length of the projection of p on the line from a to b, from a.
std::int64_t along(GridPoint a, GridPoint b, GridPoint p)
{
    const double dx = static_cast<double>(b.x - a.x), dy = static_cast<double>(b.y - a.y);
    return std::llround((static_cast<double>(p.x - a.x) * dx + static_cast<double>(p.y - a.y) * dy) /
                        std::hypot(dx, dy));
}

/// Whether a point lies on the line from a to b, as nearly as the grid can tell.
bool on_line(GridPoint a, GridPoint b, GridPoint p)
{
    constexpr double rounding = 2.5; // grid steps
    const double dx = static_cast<double>(b.x - a.x), dy = static_cast<double>(b.y - a.y);
    return std::abs(static_cast<double>(p.x - a.x) * dy - static_cast<double>(p.y - a.y) * dx) <=
           rounding * std::hypot(dx, dy);
}

/// Whether edge c-d of another room lies along a-b, seen from the other side.
bool stands_against(GridPoint a, GridPoint b, GridPoint c, GridPoint d)
{
    return on_line(a, b, c) && on_line(a, b, d) && along(a, b, d) < along(a, b, c);
}

/// Part of the upright wall over edge a-b that the opposite edge c-d of another room covers; empty if none.
Polygons shared_wall(GridPoint a, GridPoint b, Extent own, GridPoint c, GridPoint d, Extent other)
{
    constexpr std::int64_t rounding = 3; // at the walls' ends
    const std::int64_t length = along(a, b, b);
    std::int64_t s0 = std::max<std::int64_t>(0, along(a, b, d)), s1 = std::min(length, along(a, b, c));
    if (s0 <= rounding) s0 = 0;
    if (length - s1 <= rounding) s1 = length;
    const std::int64_t z0 = std::max(own.low, other.low), z1 = std::min(own.high, other.high);
    if (s1 - s0 <= rounding || z1 <= z0) return {};
    return {rectangle(s0, z0, s1, z1)};
}

/// The same where a ceiling slopes: the other wall as seen from this one.
Polygons shared_under_slopes(const Polygons& own, GridPoint a, GridPoint b, const Room& other, GridPoint c, GridPoint d)
{
    Polygons seen = wall_under_slopes(other, c, d);
    const std::int64_t from = along(a, b, c);
    for (Polygon& p : seen) {
        for (GridPoint& q : p.outline) q.x = from - q.x;
        std::ranges::reverse(p.outline);
    }
    return intersection(own, seen);
}

class Finder {
public:
    Finder(const std::vector<Room>& rooms, double bearing, std::optional<double> ground_level_m)
        : rooms_{rooms},
          nearby_{rooms_nearby(rooms)},
          bearing_{bearing}
    {
        for (const Room& room : rooms) {
            lowest_ = std::min(lowest_, height_of(room).low);
            walls_.push_back(walls_of(room.outline));
            names_.push_back(wall_names(room.outline));
        }
        ground_ = ground_level_m ? to_grid(*ground_level_m) : lowest_;
    }

    std::vector<Surface> run()
    {
        for (std::size_t r = 0; r < rooms_.size(); ++r) {
            if (!rooms_[r].faces.empty()) continue; // matched afterwards
            add_walls(r);
            add_floor(r);
            add_ceiling(r);
        }
        return std::move(out_);
    }

    [[nodiscard]] Lie lie(double tolerance_m) const { return {bearing_, lowest_, ground_, tolerance_m}; }

private:
    Surface start(std::size_t room, std::string parent, Attitude attitude, double tilt, double azimuth) const
    {
        return {
            .parent = std::move(parent), .room = room, .attitude = attitude, .tilt_deg = tilt, .azimuth_deg = azimuth};
    }

    void add(Surface surface, Polygons shape, Neighbour beyond, std::string face_beyond = {})
    {
        std::erase_if(shape, is_sliver);
        if (shape.empty()) return;
        surface.gross_m2 = area_m2(shape);
        surface.shape = std::move(shape);
        surface.beyond = beyond;
        surface.face_beyond = std::move(face_beyond);
        const char* what = beyond.kind == Neighbour::Kind::outdoors ? "outdoors" : "ground";
        surface.name =
            surface.parent + " to " + (beyond.kind == Neighbour::Kind::room ? rooms_[beyond.room].name : what);
        out_.push_back(std::move(surface));
    }

    void add_walls(std::size_t r)
    {
        const std::vector<Wall>& walls = walls_[r];
        for (std::size_t i = 0; i < walls.size(); ++i) {
            const auto [a, b] = walls[i];
            const double on_plan = outward_bearing_deg(a, b);
            Surface wall = start(r, names_[r][i], Attitude::wall, 90.0, std::fmod(on_plan + bearing_ + 720.0, 360.0));
            wall.plan_start = a;
            wall.plan_end = b;
            add_wall_parts(wall, a, b);
        }
    }

    void add_wall_parts(const Surface& wall, GridPoint a, GridPoint b)
    {
        const Room& room = rooms_[wall.room];
        const Extent own = height_of(room);
        const bool slopes = !room.slopes.empty();
        Polygons rest = {rectangle(0, own.low, along(a, b, b), own.high)};
        if (slopes) rest = wall_under_slopes(room, a, b);
        const Polygons whole = rest;
        for (const std::size_t n : nearby_[wall.room]) {
            Polygons shared;
            std::size_t against = 0;
            for (std::size_t i = 0; i < walls_[n].size(); ++i) {
                const auto [c, d] = walls_[n][i];
                if (!stands_against(a, b, c, d)) continue;
                against = i;
                for (const Polygon& p : slopes || !rooms_[n].slopes.empty()
                                            ? shared_under_slopes(whole, a, b, rooms_[n], c, d)
                                            : shared_wall(a, b, own, c, d, height_of(rooms_[n])))
                    shared.push_back(p);
            }
            if (shared.empty()) continue;
            rest = difference(rest, shared);
            if (rooms_[wall.room].name < rooms_[n].name)
                add(wall, shared, {Neighbour::Kind::room, n}, names_[n][against]);
        }
        if (ground_ > own.low) {
            Polygons below = fill_beside(wall, a, b);
            below.push_back(rectangle(0, own.low, along(a, b, b), std::min(ground_, own.high)));
            below = united(below);
            add(wall, intersection(rest, below), {Neighbour::Kind::ground});
            rest = difference(rest, below);
        }
        add(wall, rest, {Neighbour::Kind::outdoors});
    }

    /// Whether what lies under a floor where no room does is the ground: soil, or fill between it and a slab.
    [[nodiscard]] bool on_fill(std::size_t r) const
    {
        return height_of(rooms_[r]).low <= std::max(ground_, lowest_) + to_grid(deepest_fill_m);
    }

    /// Of a wall in the ground, what stands beside fill under the floors of other rooms, above the ground outside.
    [[nodiscard]] Polygons fill_beside(const Surface& wall, GridPoint a, GridPoint b) const
    {
        Polygons out;
        const Extent own = height_of(rooms_[wall.room]);
        const Polygon beside = strip_outside(a, b);
        for (const std::size_t n : nearby_[wall.room]) {
            const std::int64_t slab = height_of(rooms_[n]).low;
            if (slab <= ground_ || slab <= own.low || !on_fill(n)) continue;
            for (const Polygon& under : intersection({beside}, {rooms_[n].outline})) {
                std::int64_t from = INT64_MAX, to = INT64_MIN;
                for (const GridPoint p : under.outline) {
                    from = std::min(from, along(a, b, p));
                    to = std::max(to, along(a, b, p));
                }
                if (to > from) out.push_back(rectangle(from, own.low, to, std::min(slab, own.high)));
            }
        }
        return out;
    }

    /// The plan just outside a wall, a centimetre of it.
    [[nodiscard]] static Polygon strip_outside(GridPoint a, GridPoint b)
    {
        constexpr double deep_m = 0.01;
        const double dx = static_cast<double>(b.x - a.x), dy = static_cast<double>(b.y - a.y);
        const double scale = static_cast<double>(to_grid(deep_m)) / std::hypot(dx, dy);
        const std::int64_t ox = std::llround(dy * scale), oy = std::llround(-dx * scale);
        return {{a, {a.x + ox, a.y + oy}, {b.x + ox, b.y + oy}, b}, {}};
    }

    void add_floor(std::size_t r)
    {
        const Room& room = rooms_[r];
        Surface floor = start(r, "floor", Attitude::floor, 180.0, 0.0);
        floor.start_m = room.floor_m;
        Polygons rest = {room.outline};
        for (const std::size_t n : nearby_[r]) {
            if (!rooms_[n].slopes.empty() || height_of(rooms_[n]).high != height_of(room).low) continue;
            const Polygons shared = intersection({room.outline}, {rooms_[n].outline});
            add(floor, shared, {Neighbour::Kind::room, n}, "roof");
            rest = difference(rest, {rooms_[n].outline});
        }
        add(floor, rest, {on_fill(r) ? Neighbour::Kind::ground : Neighbour::Kind::outdoors});
    }

    void add_ceiling(std::size_t r)
    {
        const Room& room = rooms_[r];
        if (!room.slopes.empty()) {
            add_slopes(r);
            return;
        }
        Polygons rest = {room.outline};
        for (const std::size_t n : nearby_[r])
            if (height_of(rooms_[n]).low == height_of(room).high)
                rest = difference(rest, {rooms_[n].outline}); // the floor above stands with the room above
        Surface roof = start(r, "roof", Attitude::ceiling, 0.0, 0.0);
        roof.start_m = room.floor_m + room.height_m;
        add(std::move(roof), rest, {Neighbour::Kind::outdoors});
    }

    /// Slopes and what is flat between them: always to outdoors.
    void add_slopes(std::size_t r)
    {
        std::map<std::string, int> seen;
        for (const UnderSlope& part : under_slopes(rooms_[r])) {
            const std::string name = part.slope != nullptr ? part.slope->name : "roof";
            const int nth = ++seen[name];
            Surface roof = start(r, nth == 1 ? name : name + " " + std::to_string(nth), Attitude::ceiling, 0.0, 0.0);
            roof.start_m = rooms_[r].floor_m + rooms_[r].height_m;
            Polygons shape = part.plan;
            if (part.slope != nullptr) {
                lay_in_plane(roof, *part.slope, part.plan, rooms_[r], bearing_);
                shape = std::move(roof.shape);
            }
            add(std::move(roof), std::move(shape), {Neighbour::Kind::outdoors});
        }
    }

    const std::vector<Room>& rooms_;
    std::vector<std::vector<std::size_t>> nearby_;
    std::vector<std::vector<Wall>> walls_{};
    std::vector<std::vector<std::string>> names_{}; ///< of them
    double bearing_;
    std::int64_t lowest_ = INT64_MAX; ///< floor of all
    std::int64_t ground_ = INT64_MAX; ///< outside; that floor if nothing else is known
    std::vector<Surface> out_{};
};

} // namespace

std::vector<std::string> face_names(const Room& room)
{
    std::vector<std::string> names;
    for (const RoomFace& face : room.faces) names.push_back(face.name);
    if (!names.empty()) return names;
    names = wall_names(room.outline);
    names.emplace_back("floor");
    for (const CeilingSlope& slope : room.slopes) names.push_back(slope.name);
    if (room.slopes.empty()) names.emplace_back("roof");
    return names;
}

FoundSurfaces find_surfaces(const std::vector<Room>& rooms, double plan_bearing_deg,
                            std::optional<double> ground_level_m, double tolerance_m)
{
    Finder finder{rooms, plan_bearing_deg, ground_level_m};
    FoundSurfaces out{.surfaces = finder.run()};
    if (std::ranges::any_of(rooms, [](const Room& r) { return !r.faces.empty(); }))
        add_solid_surfaces(rooms, finder.lie(tolerance_m), out.surfaces, out.bridged);
    return out;
}

} // namespace venture::resolve
