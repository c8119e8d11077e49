#pragma once
/// A building's run through its weather year, as a document.

#include <venture/building/building.hpp>
#include <venture/figure/document.hpp>
#include <venture/loads/building_year.hpp>
#include <venture/quantity/preferred_units.hpp>

namespace venture::report {

/// A line a room, the months, when all rooms together are largest, how it was run, and the series asked for.
/// @param leap  the weather year has a 29 February
[[nodiscard]] figure::Document year_document(const building::Building& building, const loads::BuildingYear& year,
                                             bool leap, const quantity::PreferredUnits& units);

} // namespace venture::report
