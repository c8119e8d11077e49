#include <venture/resolve/overlaps.hpp>

#include <algorithm>
#include <optional>

#include <venture/plan/plan_lines.hpp>
#include <venture/resolve/laid_faces.hpp>
#include <venture/resolve/nearby.hpp>

namespace venture::resolve {

namespace {

/// By samples in the box that both reach into, where one of them was given by its faces.
bool fill_one_place(const Room& a, const Room& b)
{
    constexpr double touching_m = 0.03;
    constexpr int samples = 12; // each way
    if (!a.on_plan || !b.on_plan) return false;
    const Box p = box_of(a), q = box_of(b);
    const double low[3] = {to_metres(std::max(p.low.x, q.low.x)), to_metres(std::max(p.low.y, q.low.y)),
                           to_metres(std::max(p.z.low, q.z.low))},
                 high[3] = {to_metres(std::min(p.high.x, q.high.x)), to_metres(std::min(p.high.y, q.high.y)),
                            to_metres(std::min(p.z.high, q.z.high))};
    for (std::size_t k = 0; k < 3; ++k)
        if (high[k] - low[k] < touching_m) return false;
    int in_both = 0;
    for (int i = 0; i < samples * samples * samples; ++i) {
        const int step[3] = {i % samples, i / samples % samples, i / samples / samples};
        Spot at{};
        for (std::size_t k = 0; k < 3; ++k) at[k] = low[k] + (high[k] - low[k]) * (step[k] + 0.5) / samples;
        if (is_inside(a, at) && is_inside(b, at)) ++in_both;
    }
    return in_both * 100 > samples * samples * samples;
}

} // namespace

std::vector<std::pair<std::size_t, std::size_t>> overlapping_rooms(const std::vector<Room>& rooms)
{
    constexpr double allowed_m2 = 0.01;
    std::vector<std::pair<std::size_t, std::size_t>> out;
    const auto nearby = rooms_nearby(rooms);
    for (std::size_t a = 0; a < rooms.size(); ++a)
        for (const std::size_t b : nearby[a]) {
            if (b < a) continue;
            const Extent za = height_of(rooms[a]), zb = height_of(rooms[b]);
            if (std::min(za.high, zb.high) <= std::max(za.low, zb.low)) continue;
            if (area_m2(intersection({rooms[a].outline}, {rooms[b].outline})) > allowed_m2) out.emplace_back(a, b);
        }
    if (std::ranges::all_of(rooms, [](const Room& room) { return room.faces.empty(); })) return out;
    std::vector<std::optional<Box>> boxes(rooms.size());
    for (std::size_t r = 0; r < rooms.size(); ++r)
        if (rooms[r].on_plan) boxes[r] = box_of(rooms[r]);
    const auto touching = boxes_nearby(boxes, 0);
    for (std::size_t b = 0; b < rooms.size(); ++b)
        for (const std::size_t a : touching[b])
            if (a < b && (!rooms[a].faces.empty() || !rooms[b].faces.empty()) && fill_one_place(rooms[a], rooms[b]))
                out.emplace_back(a, b);
    return out;
}

namespace {

std::optional<NearMiss> side_by_side(const std::vector<Room>& rooms, std::size_t first, std::size_t second)
{
    const Extent za = height_of(rooms[first]), zb = height_of(rooms[second]);
    if (std::min(za.high, zb.high) <= std::max(za.low, zb.low)) return std::nullopt;
    constexpr double nothing_m = 3.0 * grid_m;
    const Ring &a = rooms[first].outline.outline, &b = rooms[second].outline.outline;
    for (std::size_t i = 0; i < a.size(); ++i)
        for (std::size_t j = 0; j < b.size(); ++j) {
            const auto gap = gap_between(a[i], a[(i + 1) % a.size()], b[j], b[(j + 1) % b.size()]);
            if (gap && *gap > nothing_m && *gap <= widest_gap_m) return NearMiss{first, second, *gap, false};
        }
    return std::nullopt;
}

std::optional<NearMiss> one_above_the_other(const std::vector<Room>& rooms, std::size_t below, std::size_t above)
{
    constexpr double opposite_m2 = 0.1;
    const double gap = to_metres(height_of(rooms[above]).low - height_of(rooms[below]).high);
    if (gap <= 0.0 || gap > widest_gap_m) return std::nullopt;
    if (area_m2(intersection({rooms[below].outline}, {rooms[above].outline})) < opposite_m2) return std::nullopt;
    return NearMiss{below, above, gap, true};
}

} // namespace

std::vector<NearMiss> near_misses(const std::vector<Room>& rooms)
{
    std::vector<NearMiss> out;
    const auto add = [&](const std::optional<NearMiss>& miss) {
        if (miss) out.push_back(*miss);
    };
    const auto nearby = rooms_nearby(rooms);
    for (std::size_t a = 0; a < rooms.size(); ++a)
        for (const std::size_t b : nearby[a]) {
            if (b < a) continue;
            add(side_by_side(rooms, a, b));
            add(one_above_the_other(rooms, a, b));
            add(one_above_the_other(rooms, b, a));
        }
    return out;
}

} // namespace venture::resolve
