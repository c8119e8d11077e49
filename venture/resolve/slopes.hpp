#pragma once
/// Sloping ceilings: what they make of walls and roofs. Internal to resolve.

#include <venture/resolve/vocabulary.hpp>

namespace venture::resolve {

/// Height of the ceiling over a point of the plan, above the floor: the lowest slope, or the flat part. m
[[nodiscard]] double ceiling_m(const Room& room, double x_m, double y_m);

/// A part of the plan under one slope, or under the flat ceiling.
struct UnderSlope {
    const CeilingSlope* slope = nullptr; ///< nothing: flat
    Polygons plan{};
};
[[nodiscard]] std::vector<UnderSlope> under_slopes(const Room& room);

/// The highest point under the slopes alone, above the floor. m
[[nodiscard]] double highest_under_slopes_m(const Room& room);

/// Air between floor and ceiling over the outline. m3
[[nodiscard]] double volume_under_slopes_m3(const Room& room);

/// The wall from a to b, along its foot and up from the project's zero, up to the ceiling.
[[nodiscard]] Polygons wall_under_slopes(const Room& room, GridPoint a, GridPoint b);

/// Puts a slope's part of the plan into its own plane: along the eaves as seen from outside, and up the slope.
void lay_in_plane(Surface& roof, const CeilingSlope& slope, const Polygons& plan, const Room& room,
                  double plan_bearing_deg);

} // namespace venture::resolve
