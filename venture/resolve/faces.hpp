#pragma once
/// Faces of rooms split by what lies behind them: neighbours found from the shapes. Internal to resolve.

#include <optional>
#include <vector>

#include <venture/resolve/overlaps.hpp>
#include <venture/resolve/vocabulary.hpp>

namespace venture::resolve {

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

/// Names of all its faces.
[[nodiscard]] std::vector<std::string> face_names(const Room& room);

} // namespace venture::resolve
