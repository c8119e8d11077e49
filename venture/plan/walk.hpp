#pragma once
/// A room walked round with a tape: "east 5.2, left 3, left 2.4, right 0.8, left 2.8, left 3.8".

#include <string>
#include <string_view>
#include <variant>
#include <vector>

#include <venture/quantity/key.hpp>

namespace venture::plan {

/// The corners of a walk, from where it begins, and how it closed.
struct Walk {
    std::vector<quantity::Point> corners_m{}; ///< the first is the beginning, 0, 0; the last side leads back there
    double missed_m = 0.0;       ///< by the last side, or aside by a square one that is left out; shared out
    double closing_side_m = 0.0; ///< of the side that the walk leaves out, if it does
    bool square = true;          ///< every turn is a right angle
    bool closes_square = true;   ///< so does the side that it leaves out
};

/// What is wrong with a text that is no walk.
struct WalkProblem {
    std::string message{}, hint{};
};

/// By how much the end of a walk may miss its beginning and still be meant to reach it: tapes and notebooks round.
inline constexpr double walk_closes_within_m = 0.05;

/// Sides between commas. The first says where it goes on the plan (north, east, south, west); every other one likewise,
/// or how it turns (left, right; by 90 degrees, or as typed: "left 45 deg 2.4"); then how long it is, in metres unless a
/// unit is typed. The side back to the beginning may be left out. What the last side misses the beginning by is shared
/// out over the sides in proportion to how far each goes east or north (the transit rule of surveying), so that right
/// angles stay right.
[[nodiscard]] std::variant<Walk, WalkProblem> read_walk(std::string_view text);

} // namespace venture::plan
