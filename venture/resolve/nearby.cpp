#include <venture/resolve/nearby.hpp>

#include <algorithm>

namespace venture::resolve {

Extent height_of(const Room& room) { return {to_grid(room.floor_m), to_grid(room.floor_m + room.height_m)}; }

Box box_of(const Room& room)
{
    Box box{room.outline.outline.front(), room.outline.outline.front(), height_of(room)};
    for (const GridPoint p : room.outline.outline) {
        box.low = {std::min(box.low.x, p.x), std::min(box.low.y, p.y)};
        box.high = {std::max(box.high.x, p.x), std::max(box.high.y, p.y)};
    }
    return box;
}

/// Boxes are gone over from left to right.
std::vector<std::vector<std::size_t>> rooms_nearby(const std::vector<Room>& rooms)
{
    const std::int64_t gap = to_grid(widest_gap_m);
    std::vector<Box> boxes;
    for (const Room& room : rooms) boxes.push_back(box_of(room));
    const auto apart = [gap](std::int64_t low_a, std::int64_t high_a, std::int64_t low_b, std::int64_t high_b) {
        return low_a - high_b > gap || low_b - high_a > gap;
    };
    std::vector<std::size_t> order;
    for (std::size_t r = 0; r < rooms.size(); ++r)
        if (rooms[r].on_plan && rooms[r].faces.empty()) order.push_back(r);
    std::ranges::sort(order, {}, [&](std::size_t r) { return boxes[r].low.x; });
    std::vector<std::vector<std::size_t>> nearby(rooms.size());
    for (std::size_t i = 0; i < order.size(); ++i)
        for (std::size_t j = i + 1; j < order.size(); ++j) {
            const Box &p = boxes[order[i]], &q = boxes[order[j]];
            if (q.low.x - p.high.x > gap) break;
            if (apart(p.low.y, p.high.y, q.low.y, q.high.y) || apart(p.z.low, p.z.high, q.z.low, q.z.high)) continue;
            nearby[order[i]].push_back(order[j]);
            nearby[order[j]].push_back(order[i]);
        }
    for (auto& others : nearby) std::ranges::sort(others);
    return nearby;
}

} // namespace venture::resolve
