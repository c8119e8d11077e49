#pragma once
/// Where rooms stand on the plan: outlines read, placed, brought to wall centre lines, and mended. Internal to resolve.

#include <venture/resolve/work.hpp>

namespace venture::resolve {

struct RoomOutline {
    Ring ring{}; ///< empty: told what is wrong
    std::vector<Ring> holes{};
    double typed_m2 = 0.0; ///< between the lines that lengths run to: inside faces, or centre lines
    bool on_plan = true;
    std::vector<RoomFace> faces{}; ///< of a room that is given by them
    double volume_m3 = 0.0;        ///< of such a room
};

/// Of every room, in their order; what is wrong with one is told.
[[nodiscard]] std::vector<RoomOutline> find_outlines(Work& work);
void add_obstructions(Work& work);

} // namespace venture::resolve
