#pragma once
/// What looks wrong with the units of one room.

#include <vector>

#include <venture/quantity/preferred_units.hpp>
#include <venture/quantity/problem.hpp>
#include <venture/study/sizing.hpp>

namespace venture::study {

/// Kept units that have no place, are too loud together or too warm to touch; many radiators in a row; a coil that stays dry
/// in a room with moisture that nobody limits.
void add_unit_findings(const Sizing& sizing, const terminal::RoomSelection& unit, const quantity::PreferredUnits& units,
                       std::vector<quantity::Problem>& into);

} // namespace venture::study
