#pragma once
/// Which rooms stand near which others on the plan. Internal to resolve.

#include <vector>

#include <venture/plan/boxes.hpp>
#include <venture/resolve/vocabulary.hpp>

namespace venture::resolve {

/// From a room's floor to its ceiling, on the grid.
[[nodiscard]] Extent height_of(const Room& room);

constexpr double widest_gap_m = 0.6; ///< between rooms that someone may have meant to touch

/// Box round a room, in space, on the grid.
[[nodiscard]] Box box_of(const Room& room);

/// For each room, in their order, the others on the plan that are not farther off than the widest gap in any direction:
/// whoever touches a room is among them. Rooms that were given by their faces are left out.
[[nodiscard]] std::vector<std::vector<std::size_t>> rooms_nearby(const std::vector<Room>& rooms);

} // namespace venture::resolve
