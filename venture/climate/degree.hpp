#pragma once
/// Angles of the sun and sky are kept in degrees. Internal to climate.

#include <numbers>

namespace venture::climate {

inline constexpr double deg = std::numbers::pi / 180.0; ///< in radians

} // namespace venture::climate
