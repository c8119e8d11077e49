#pragma once
/// A room's air: which need its outdoor air follows from, what holds its humidity, what its coils do.

#include <venture/airside/coil_loads.hpp>
#include <venture/building/building.hpp>
#include <venture/figure/document.hpp>
#include <venture/quantity/preferred_units.hpp>

namespace venture::report {

/// Empty for a room without any of it.
/// @param coils  of all rooms   @param arithmetic  also that of its coils
[[nodiscard]] figure::Document room_air_document(const building::Building& building, const building::Room& room,
                                                 const airside::CoilLoads& coils, const quantity::PreferredUnits& units,
                                                 bool arithmetic);

} // namespace venture::report
