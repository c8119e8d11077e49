#pragma once
/// What a room is used for, and whose word that is. Internal to resolve.

#include <venture/resolve/work.hpp>

namespace venture::resolve {

[[nodiscard]] Use use_of(Work& work, const UseInput& given);
/// How many of a room's values are its own, its type's and defaults, and which of them its type says otherwise.
void count_values(Work& work, const RoomInput& given, Room& room);
/// Set-points that cross, set-backs that ask for more, cooling without a month to design it for.
void check_use(Work& work, const RoomInput& given, const Room& room);

} // namespace venture::resolve
