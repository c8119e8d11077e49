#pragma once
/// Convectors: as radiators, after EN 442, with a larger exponent and hardly any radiation; low enough for low sills.

#include <venture/terminal/radiator.hpp>

namespace venture::terminal {

extern const rating::Kind convector;

} // namespace venture::terminal
