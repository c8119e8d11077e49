#pragma once
/// Rooms that are said to stand against others: "east of Hall". Internal to resolve.

#include <vector>

#include <venture/resolve/outlines.hpp>
#include <venture/resolve/work.hpp>

namespace venture::resolve {

/// Shifts their outlines there; rooms that stand against one another in a ring have none, and are told.
void place_outlines(Work& work, std::vector<RoomOutline>& outlines);

} // namespace venture::resolve
