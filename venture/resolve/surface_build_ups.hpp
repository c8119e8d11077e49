#pragma once
/// What surfaces are made of where [fabric] says so. Internal to resolve.

#include <cstdint>
#include <string>

#include <venture/resolve/work.hpp>

namespace venture::resolve {

constexpr std::size_t no_build_up = SIZE_MAX; ///< yet

/// The build-up that [fabric] has for such a surface; complains if it has none.
void set_build_up(Work& work, Surface& surface);
/// Of a build-up that [fabric] names; 0 if there is none, which is told elsewhere.
[[nodiscard]] double thickness_of(const Building& building, const Given<std::string>& name);
/// Of a wall to outdoors: its build-up may be typed for the face.
[[nodiscard]] double outside_wall_m(const Work& work, const RoomInput& given, const std::string& wall_name);

} // namespace venture::resolve
