#pragma once
/// Faces of rooms that were given by their faces, matched with those of all others. Internal to resolve.

#include <vector>

#include <venture/resolve/faces.hpp>

namespace venture::resolve {

/// What is known of all rooms, for their faces.
struct Lie {
    double plan_bearing_deg = 0.0;
    std::int64_t lowest = 0, ground = 0; ///< floor of all; ground outside, on the grid
    double tolerance_m = 0.0;            ///< between faces that lie in one plane
};

/// Adds the surfaces of such rooms, and takes from those that stand already what they share.
/// @param surfaces  of all other rooms; afterwards those of a room stand together
/// @param bridged  adds gaps that were taken for none
void add_solid_surfaces(const std::vector<Room>& rooms, const Lie& lie, std::vector<Surface>& surfaces,
                        std::vector<NearMiss>& bridged);

} // namespace venture::resolve
