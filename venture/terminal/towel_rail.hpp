#pragma once
/// Towel rails that water heats, rated as radiators after EN 442: one or a few by a wall, under no window.

#include <venture/terminal/radiator.hpp>

namespace venture::terminal {

extern const rating::Kind towel_rail;

} // namespace venture::terminal
