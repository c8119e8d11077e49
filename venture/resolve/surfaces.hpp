#pragma once
/// What encloses rooms: faces, what lies beyond them, and what they are made of. Internal to resolve.

#include <venture/resolve/work.hpp>

namespace venture::resolve {

/// All surfaces of rooms that have their shape, with openings.
void add_surfaces(Work& work);

} // namespace venture::resolve
