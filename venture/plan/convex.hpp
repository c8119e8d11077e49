#pragma once
/// Areas that convex polygons cover together, by clipping one with the other; where a grid would cost more than it gives.

#include <vector>

namespace venture::plan {

/// A point of a plane, m.
struct PlanePoint {
    double right_m = 0.0, up_m = 0.0;
};
using PlanePolygon = std::vector<PlanePoint>;

/// Positive when anticlockwise.
[[nodiscard]] double area_m2(const PlanePolygon& polygon);

/// Whether it turns one way all round; points on a line may stand between its corners.
[[nodiscard]] bool is_convex(const PlanePolygon& polygon);

/// The part of a polygon in a convex window (Sutherland and Hodgman 1974). A polygon that is not convex may come back in
/// pieces that lines without an area join: its area is right.
/// @param window  anticlockwise
void clip(const PlanePolygon& polygon, const PlanePolygon& window, PlanePolygon& out);

/// Area under any of several convex polygons, each part counted once. @param polygons  anticlockwise
[[nodiscard]] double united_area_m2(const std::vector<PlanePolygon>& polygons);

} // namespace venture::plan
