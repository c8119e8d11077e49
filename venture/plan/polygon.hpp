#pragma once
/// Plane polygons on an integer grid of a thousandth of a millimetre: exact set operations, no rounding that depends on the axes.

#include <cstdint>
#include <vector>

namespace venture::plan {

/// A point of the grid.
struct GridPoint {
    std::int64_t x = 0, y = 0;
    friend bool operator==(GridPoint, GridPoint) = default;
};
inline constexpr double grid_m = 1e-6;

/// Metres to the grid, to the nearest point. Valid up to 1e7 m.
[[nodiscard]] std::int64_t to_grid(double metres);
[[nodiscard]] double to_metres(std::int64_t grid);

/// Exactly: 1 if p lies left of the line from a to b, -1 right, 0 on it.
[[nodiscard]] int side(GridPoint a, GridPoint b, GridPoint p);

using Ring = std::vector<GridPoint>;

/// One outline, anticlockwise, with holes, clockwise.
struct Polygon {
    Ring outline{};
    std::vector<Ring> holes{};
    friend bool operator==(const Polygon&, const Polygon&) = default;
};
using Polygons = std::vector<Polygon>;

[[nodiscard]] double area_m2(const Ring& ring); ///< positive when anticlockwise
[[nodiscard]] double area_m2(const Polygon& polygon);
[[nodiscard]] double area_m2(const Polygons& polygons);

/// Rectangle between two corners.
[[nodiscard]] Polygon rectangle(std::int64_t x0, std::int64_t y0, std::int64_t x1, std::int64_t y1);

[[nodiscard]] Polygons intersection(const Polygons& a, const Polygons& b);
[[nodiscard]] Polygons united(const Polygons& all);
[[nodiscard]] Polygons difference(const Polygons& a, const Polygons& b);

/// Area of a under any of the covers, which may overlap. @param covers  anticlockwise
[[nodiscard]] double covered_m2(const Polygons& a, const std::vector<Ring>& covers);

/// Cuts a polygon into parts that are convex and have no holes. Not the fewest there could be.
[[nodiscard]] Polygons convex_parts(const Polygon& polygon);

/// Whether edges of the ring cross or touch each other away from common corners, or it encloses nothing.
[[nodiscard]] bool is_simple(const Ring& ring);

/// A point well inside, for a label.
[[nodiscard]] GridPoint label_point(const Polygon& polygon);

/// What the grid's rounding leaves of two edges in one line.
[[nodiscard]] bool is_sliver(const Polygon& polygon);

} // namespace venture::plan
