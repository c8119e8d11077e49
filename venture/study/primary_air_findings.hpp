#pragma once
/// What there is to say of air that comes to rooms through or beside their units. Internal to study.

#include <vector>

#include <venture/building/building.hpp>
#include <venture/study/sizing.hpp>

namespace venture::study {

/// Rooms whose load holds outdoor air already, and air through units that let none in.
/// @param building  null: loads are those of a table
void add_primary_air_findings(const Sizing& sizing, const building::Building* building,
                              const quantity::PreferredUnits& units, std::vector<quantity::Problem>& into);

} // namespace venture::study
