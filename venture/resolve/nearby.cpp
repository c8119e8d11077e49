#include <venture/resolve/nearby.hpp>

namespace venture::resolve {

Extent height_of(const Room& room) { return {to_grid(room.floor_m), to_grid(room.floor_m + room.height_m)}; }

Box box_of(const Room& room) { return box_round(room.outline.outline, height_of(room)); }

std::vector<std::vector<std::size_t>> rooms_nearby(const std::vector<Room>& rooms)
{
    std::vector<std::optional<Box>> boxes(rooms.size());
    for (std::size_t r = 0; r < rooms.size(); ++r)
        if (rooms[r].on_plan && rooms[r].faces.empty()) boxes[r] = box_of(rooms[r]);
    return boxes_nearby(boxes, to_grid(widest_gap_m));
}

} // namespace venture::resolve
