#pragma once
/// Rooms that are given by the faces that enclose them. Internal to resolve.

#include <venture/resolve/outlines.hpp>

namespace venture::resolve {

[[nodiscard]] bool is_given_by_faces(const RoomInput& room);
/// Keys of faces that exclude each other, and keys of rooms that stand beside such faces.
void check_face_keys(Work& work);
/// What the faces of a room enclose; nothing, and told, if they do not.
/// @param level_m  of the storey's floor, which heights of corners are typed from
[[nodiscard]] RoomOutline enclosed(Work& work, const RoomInput& room, double level_m);
void set_solid(Room& room, const RoomOutline& outline);

} // namespace venture::resolve
