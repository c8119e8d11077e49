#include <venture/study/unit_places.hpp>

#include <algorithm>
#include <map>

#include <fmt/format.h>

#include <venture/building/surface_names.hpp>

namespace venture::study {

using building::Neighbour;
using building::Opening;
using building::Surface;
using terminal::RoomPlaces;
using terminal::Spot;

namespace {

constexpr double shortest_wall_m = 0.4; ///< on which anything stands
constexpr double corner_m = 0.2;        ///< kept free at each end of a wall, for what stands along the next one

bool is_outside(const Surface& s)
{
    return s.beyond.kind == Neighbour::Kind::outdoors || s.beyond.kind == Neighbour::Kind::unheated;
}

void add_windows(const building::Building& b, const Surface& s, RoomPlaces& into)
{
    for (const Opening& o : s.openings) {
        if (o.kind != Opening::Kind::window) continue;
        for (std::size_t i = 0; i < o.from_left_m.size(); ++i) {
            const std::string which =
                o.from_left_m.size() == 1 ? "" : fmt::format(", {}/{}", i + 1, o.from_left_m.size());
            into.windows.push_back({.called = building::seen_from(b, s, o, s.room) + which,
                                    .from_m = o.from_left_m[i],
                                    .width_m = o.width_m,
                                    .height_m = o.sill_m,
                                    .outside = true});
        }
    }
}

void add_doors(const building::Building& b, const Surface& s, RoomPlaces& into)
{
    for (const Opening& o : s.openings) {
        if (o.kind != Opening::Kind::door) continue;
        for (const double from_m : o.from_left_m)
            into.doors.push_back({.called = building::seen_from(b, s, o, s.room),
                                  .from_m = from_m,
                                  .width_m = o.width_m,
                                  .height_m = o.height_m,
                                  .outside = true});
    }
}

/// Stretches at the floor between openings.
void add_walls(const building::Building& b, const Surface& s, std::size_t room, RoomPlaces& into)
{
    if (s.shape.empty()) return;
    const double floor_m = b.rooms[room].floor_m - s.start_m; // in the shape's own heights
    double left = 1e300, right = -1e300, top = floor_m;
    for (const plan::Polygon& p : s.shape) {
        constexpr double at_the_floor_m = 0.05;
        const double foot = plan::to_metres(std::ranges::min(p.outline, {}, &plan::GridPoint::y).y);
        if (foot > floor_m + at_the_floor_m) continue;
        const auto [first, last] = std::ranges::minmax(p.outline, {}, &plan::GridPoint::x);
        left = std::min(left, plan::to_metres(first.x));
        right = std::max(right, plan::to_metres(last.x));
        top = std::max(top, plan::to_metres(std::ranges::max(p.outline, {}, &plan::GridPoint::y).y));
    }
    left += corner_m;
    right -= corner_m;
    std::vector<std::pair<double, double>> taken;
    for (const Opening& o : s.openings)
        for (const double from : o.from_left_m) taken.emplace_back(from, from + o.width_m);
    std::ranges::sort(taken);
    taken.emplace_back(right, right);
    for (const auto& [from, to] : taken) {
        if (from - left >= shortest_wall_m)
            into.walls.push_back({.called = building::seen_from(b, s, room),
                                  .from_m = left,
                                  .width_m = from - left,
                                  .height_m = top - floor_m,
                                  .outside = is_outside(s)});
        left = std::max(left, to);
    }
}

RoomPlaces places_of(const building::Building& b, std::size_t room, const std::vector<std::size_t>& walls)
{
    RoomPlaces out{.known = true, .type = b.rooms[room].type, .warmest_surface_C = b.rooms[room].use.warmest_surface_C};
    for (const std::size_t i : walls) {
        const Surface& s = b.surfaces[i];
        const std::size_t windows = out.windows.size(), stretches = out.walls.size(), doors = out.doors.size();
        if (s.room == room && is_outside(s)) add_windows(b, s, out);
        if (s.room == room && s.beyond.kind == Neighbour::Kind::outdoors) add_doors(b, s, out);
        add_walls(b, s, room, out);
        for (std::size_t w = windows; w < out.windows.size(); ++w) out.windows[w].surface = i;
        for (std::size_t w = stretches; w < out.walls.size(); ++w) out.walls[w].surface = i;
        for (std::size_t w = doors; w < out.doors.size(); ++w) out.doors[w].surface = i;
    }
    const auto wider = [](const Spot& a, const Spot& c) { return a.width_m > c.width_m; };
    std::ranges::stable_sort(out.windows, wider);
    std::ranges::stable_sort(
        out.walls, [&](const Spot& a, const Spot& c) { return a.outside != c.outside ? a.outside : wider(a, c); });
    return out;
}

} // namespace

std::vector<RoomPlaces> unit_places(const building::Building* building, const loads::RoomLoads& loads)
{
    std::vector<RoomPlaces> out(loads.rooms.size());
    if (building == nullptr) return out;
    std::vector<std::vector<std::size_t>> walls(building->rooms.size());
    for (std::size_t i = 0; i < building->surfaces.size(); ++i) {
        const Surface& s = building->surfaces[i];
        if (s.attitude != building::Attitude::wall || !s.is_upright()) continue;
        walls[s.room].push_back(i);
        if (s.beyond.kind == Neighbour::Kind::room) walls[s.beyond.room].push_back(i);
    }
    for (std::size_t r = 0; r < loads.rooms.size(); ++r)
        if (const auto room = building->find_room(loads.rooms[r].room))
            out[r] = places_of(*building, *room, walls[*room]);
    return out;
}

} // namespace venture::study
