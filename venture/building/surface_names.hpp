#pragma once
/// What a room calls the surfaces round it, whichever of the two rooms beside one that stands in.

#include <string>

#include <venture/building/building.hpp>

namespace venture::building {

/// "north wall to outdoors", "ceiling to Galley".
/// @param room  one of those beside it
[[nodiscard]] std::string seen_from(const Building& building, const Surface& surface, std::size_t room);
/// "window in north wall".
[[nodiscard]] std::string seen_from(const Building& building, const Surface& surface, const Opening& opening,
                                    std::size_t room);

} // namespace venture::building
