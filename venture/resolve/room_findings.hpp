#pragma once
/// What is odd about single rooms that are complete: nothing of it is wrong by itself, all of it deserves a look. Internal to resolve.

#include <venture/resolve/work.hpp>

namespace venture::resolve {

/// Every room by every rule; rooms left out by none.
void look_over_rooms(Work& work);

} // namespace venture::resolve
