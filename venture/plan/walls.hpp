#pragma once
/// Walls of an outline on the plan, and what they are called.

#include <string>
#include <vector>

#include <venture/plan/polygon.hpp>

namespace venture::plan {

/// From corner to corner with the room on the left.
struct Wall {
    GridPoint a, b;
};

/// Walls of an outline, then those of its holes.
[[nodiscard]] std::vector<Wall> walls_of(const Polygon& outline);

/// Bearing of the outward normal of an edge walked anticlockwise, on the plan.
[[nodiscard]] double outward_bearing_deg(GridPoint from, GridPoint to);

/// "north", "north-east" ... for a bearing on the plan.
[[nodiscard]] std::string compass_word(double bearing_deg);

/// Names of walls in the order of walls_of(): "south wall", "south wall 2".
[[nodiscard]] std::vector<std::string> wall_names(const Polygon& outline);

} // namespace venture::plan
