#pragma once
/// Faces of rooms split by what lies behind them: neighbours found from the shapes. Internal to building.

#include <optional>
#include <vector>

#include <venture/building/building.hpp>

namespace venture::building::detail {

/// Two rooms that face each other across a gap too small to be meant, and so find nothing but outdoors there.
struct NearMiss {
    std::size_t first = 0, second = 0;
    double gap_m = 0.0;
    bool above = false; ///< one above the other; else side by side
};

/// How far above the ground outside a floor without a room below still lies on the ground: plinths and ramps. Our
/// assumption.
inline constexpr double deepest_fill_m = 1.0;

/// Surfaces of all rooms, without build-ups and openings. A part shared by two rooms stands once: walls with the room
/// whose name comes first, floors with the room above.
/// @param ground_level_m  of the ground outside, if known: walls are split there, floors below it lie on the ground;
///                        else only the lowest do. Floors with no room below, up to `deepest_fill_m` above it, lie on fill
/// Faces meet only on common planes, as nearly as the grid tells; outlines run along wall centre lines and floor levels.
/// A room that does not stand on the plan meets no other: all its faces are to outdoors or the ground until said.
/// Rooms that were given by their faces meet others within a tolerance.
struct FoundSurfaces {
    std::vector<Surface> surfaces{};
    std::vector<NearMiss> bridged{}; ///< gaps beside such rooms that were taken for none
};
[[nodiscard]] FoundSurfaces find_surfaces(const std::vector<Room>& rooms, double plan_bearing_deg,
                                          std::optional<double> ground_level_m = {}, double tolerance_m = 0.0);

/// What the grid's rounding leaves of two edges in one line.
[[nodiscard]] bool is_sliver(const Polygon& polygon);

/// Names of a room's walls in the order of its outline and holes: "south wall", "south wall 2".
[[nodiscard]] std::vector<std::string> wall_names(const Room& room);

/// Names of all its faces.
[[nodiscard]] std::vector<std::string> face_names(const Room& room);

/// Pairs of rooms that fill the same place, by more than a hundredth of a square metre of plan.
[[nodiscard]] std::vector<std::pair<std::size_t, std::size_t>> overlapping_rooms(const std::vector<Room>& rooms);

/// Gaps up to 0.6 m, where at least 0.2 m of wall or 0.1 m2 of floor lies opposite.
[[nodiscard]] std::vector<NearMiss> near_misses(const std::vector<Room>& rooms);

/// "north", "north-east" ... for a bearing on the plan.
[[nodiscard]] std::string compass_word(double bearing_deg);

} // namespace venture::building::detail
