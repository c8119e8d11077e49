#pragma once
/// Where the parts of a building's envelope meet, measured on the model: lengths for linear thermal bridges.

#include <array>
#include <string>
#include <vector>

#include <venture/building/building.hpp>

namespace venture::building {

/// A kind of junction, in the order of junction_names().
enum class Junction {
    opening_edge,       ///< round windows and doors to outdoors
    ground_floor_edge,  ///< walls to outdoors on a floor on the ground
    exposed_floor_edge, ///< walls to outdoors on a floor over outdoor air
    roof_edge,          ///< walls to outdoors under a roof
    inner_floor_edge,   ///< walls to outdoors at a floor between two rooms: half for each
    inner_wall_end,     ///< a wall to outdoors where a wall between two rooms ends at it: half for each
    outward_corner,     ///< two walls to outdoors, the room inside the corner
    inward_corner       ///< the same, outdoors inside the corner
};
inline constexpr std::size_t junction_count = 8;

[[nodiscard]] const std::vector<std::string>& junction_names();

/// Length of each kind of junction that a room has, m, on the lines that it was typed on.
/// Kinds     after ISO 14683:2017, annex A (where thermal bridges are to be looked for)
/// @param building  with its surfaces and openings
[[nodiscard]] std::array<double, junction_count> junction_lengths_m(const Building& building, std::size_t room);

} // namespace venture::building
