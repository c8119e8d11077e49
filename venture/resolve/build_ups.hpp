#pragma once
/// Materials and build-ups. Internal to resolve.

#include <venture/resolve/work.hpp>

namespace venture::resolve {

void check_materials(Work& work);
/// Build-ups from their layers, from a wall in words, or from a U-value; what follows is filled in.
void add_build_ups(Work& work);

} // namespace venture::resolve
