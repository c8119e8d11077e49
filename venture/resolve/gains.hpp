#pragma once
/// People, and heat and moisture from all that is inside. Internal to resolve.

#include <venture/resolve/work.hpp>

namespace venture::resolve {

/// Number of people, from the floor area for each of them where that is what was said.
void set_people(Work& work, RoomInput& given, Room& room);
/// All gains of every room, with diversity.
void add_gains(Work& work);

} // namespace venture::resolve
