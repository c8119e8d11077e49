#pragma once
/// Rooms: where they stand, what they are for, and what goes between them. Internal to resolve.

#include <venture/resolve/work.hpp>

namespace venture::resolve {

/// Rooms as far as they have a shape; all of them, or what is wrong is told.
void add_rooms(Work& work);
/// Air that goes on into other rooms must have come in.

} // namespace venture::resolve
