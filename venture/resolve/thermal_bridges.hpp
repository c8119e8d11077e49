#pragma once
/// Thermal bridges: of one room, or wherever such a junction is. Internal to resolve.

#include <venture/resolve/work.hpp>

namespace venture::resolve {

/// @param shaped  whether rooms have surfaces, so that junctions can be measured; else names alone are checked
void add_thermal_bridges(Work& work, bool shaped);

} // namespace venture::resolve
