#pragma once
/// What is odd about rooms once their loads are known.

#include <vector>

#include <venture/building/building.hpp>
#include <venture/loads/room_loads.hpp>
#include <venture/quantity/preferred_units.hpp>
#include <venture/quantity/problem.hpp>

namespace venture::loads {

/// People in rooms that nobody cools above 40 degC on a design day; rooms above 70 % relative humidity while people are in
/// or cooling is on; typed loads that are a third of the computed ones or less, or three times them or more. Rooms that cannot be are errors.
/// @param loads  of this building
[[nodiscard]] std::vector<quantity::Problem> load_findings(const building::Building& building, const RoomLoads& loads,
                                                           const quantity::PreferredUnits& units = {});

} // namespace venture::loads
