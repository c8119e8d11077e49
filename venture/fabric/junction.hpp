#pragma once
/// Kinds of places where the parts of an envelope meet, for linear thermal bridges.

#include <array>
#include <cstddef>
#include <string_view>

namespace venture::fabric {

/// A kind of junction, in the order of junction_words.
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

inline constexpr std::array<std::string_view, junction_count> junction_words = {
    "opening edge",     "ground floor edge", "exposed floor edge", "roof edge",
    "inner floor edge", "inner wall end",    "outward corner",     "inward corner"};

} // namespace venture::fabric
