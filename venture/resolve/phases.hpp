#pragma once
/// Rooms that do not stand yet or no longer, and rooms left out. Internal to resolve.

#include <venture/resolve/outlines.hpp>
#include <venture/resolve/work.hpp>

namespace venture::resolve {

/// Takes out the rooms that do not stand in the project's phase; walls to where they would be are to outdoors.
void drop_absent_rooms(Work& work, std::vector<RoomOutline>& outlines);
/// A room left out stands as a shell: leaky, furnished, and nothing else.
void leave_out(const RoomInput& given, Room& room);

} // namespace venture::resolve
