#pragma once
/// Rooms given by their faces: each face laid in its plane. Internal to resolve.

#include <venture/resolve/vocabulary.hpp>

namespace venture::resolve {

/// A face in its own plane, without a neighbour. Steeper than 60 degrees it is a wall (ISO 6946:2017, 6.8).
[[nodiscard]] Surface laid(const RoomFace& face, std::size_t room, double plan_bearing_deg);

/// Whether a place lies in a room.
[[nodiscard]] bool is_inside(const Room& room, const Spot& place);

} // namespace venture::resolve
