#pragma once
/// The units that a project prints in.

#include <venture/input/project.hpp>
#include <venture/quantity/preferred_units.hpp>

namespace venture::input {

/// A preset with single choices over it; SI where nothing is chosen.
/// @throws quantity::Error if a unit does not belong to its quantity (reading and overlays refuse such ones before)
[[nodiscard]] quantity::PreferredUnits chosen_units(const UnitsInput& input);

} // namespace venture::input
