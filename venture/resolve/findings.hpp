#pragma once
/// What is odd about a building that is complete: nothing of it is wrong by itself, all of it deserves a look. Internal to resolve.

#include <venture/resolve/work.hpp>

namespace venture::resolve {

/// By rules, one after the other.
void look_over_building(Work& work);

} // namespace venture::resolve
