#pragma once
/// Where units can stand in the rooms of a building.

#include <vector>

#include <venture/building/building.hpp>
#include <venture/loads/room_loads.hpp>
#include <venture/terminal/places.hpp>

namespace venture::study {

/// One a room of the loads, in their order; of rooms that no building has nothing is known.
/// Windows count where they stand upright in a wall to outdoors or an unheated space.
[[nodiscard]] std::vector<terminal::RoomPlaces> unit_places(const building::Building* building,
                                                            const loads::RoomLoads& loads);

} // namespace venture::study
