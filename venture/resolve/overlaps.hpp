#pragma once
/// Rooms that stand in one another, and rooms that nearly touch. Internal to resolve.

#include <vector>

#include <venture/resolve/vocabulary.hpp>

namespace venture::resolve {

/// Two rooms that face each other across a gap too small to be meant, and so find nothing but outdoors there.
struct NearMiss {
    std::size_t first = 0, second = 0;
    double gap_m = 0.0;
    bool above = false; ///< one above the other; else side by side
};

/// Pairs of rooms that fill the same place, by more than a hundredth of a square metre of plan.
[[nodiscard]] std::vector<std::pair<std::size_t, std::size_t>> overlapping_rooms(const std::vector<Room>& rooms);

/// Gaps up to 0.6 m, where at least 0.2 m of wall or 0.1 m2 of floor lies opposite.
[[nodiscard]] std::vector<NearMiss> near_misses(const std::vector<Room>& rooms);

} // namespace venture::resolve
