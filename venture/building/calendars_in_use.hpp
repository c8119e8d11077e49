#pragma once
/// Which hours something goes by.

#include <set>

#include <venture/building/building.hpp>

namespace venture::building {

/// Profiles and calendars that something goes by: gains, set-points, air, shades. Indices into Building::calendars.
[[nodiscard]] std::set<std::size_t> calendars_in_use(const Building& building);

} // namespace venture::building
