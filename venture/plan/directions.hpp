#pragma once
/// Places in space as vectors, and where plane faces look.

#include <venture/plan/space.hpp>

namespace venture::plan {

[[nodiscard]] Spot operator-(const Spot& a, const Spot& b);
[[nodiscard]] double dot(const Spot& a, const Spot& b);
[[nodiscard]] Spot cross(const Spot& a, const Spot& b);
[[nodiscard]] double length(const Spot& a);
[[nodiscard]] Spot unit(const Spot& a);
[[nodiscard]] Spot middle(const Corners& corners);

/// Twice the area, along the normal; whatever the corners' deviation from a plane (Newell's method).
[[nodiscard]] Spot area_vector(const Corners& corners);

/// Tilt of a face by its normal, level and upright ones exactly.
[[nodiscard]] double tilt_deg(const Spot& normal);
/// Steeper than 60 degrees it is a wall (ISO 6946:2017, 6.8).
[[nodiscard]] Attitude attitude_of(double tilt_deg);
/// Of a normal, on the plan.
[[nodiscard]] double bearing_deg(const Spot& normal);

/// A plane face seen from outside, along its level lines and up it, from some zero of its own.
[[nodiscard]] Ring in_own_plane(const Corners& corners);

} // namespace venture::plan
