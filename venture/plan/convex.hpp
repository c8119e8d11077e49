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

/// Convex polygons that lie over one another. Used again, it allocates nothing anew.
class Patches {
public:
    void clear() { count_ = 0; }
    /// Those that lie within another are left out. @param polygon  anticlockwise
    void add(const PlanePolygon& polygon);
    [[nodiscard]] std::size_t size() const { return count_; }
    /// Under any of them, each part counted once.
    [[nodiscard]] double area_m2() const;

private:
    std::vector<PlanePolygon> polygons_{}; ///< and room of others that were
    std::size_t count_ = 0;
};

} // namespace venture::plan
