#pragma once
/// Walls as lines on the plan: found across a gap, moved, and brought into line. Internal to plan.

#include <optional>
#include <string>
#include <vector>

#include <venture/plan/polygon.hpp>

namespace venture::plan {

/// A room as far as its walls on the plan go.
struct PlanRoom {
    std::string name{};
    Ring ring{};                    ///< anticlockwise
    std::int64_t low = 0, high = 0; ///< floor and ceiling, on the grid
    [[nodiscard]] bool is_beside(const PlanRoom& other) const { return low < other.high && other.low < high; }
};

/// The distance between two walls that face each other, run nearly alike and overlap by at least 0.2 m; nothing otherwise.
/// @param a  b: the wall, seen anticlockwise round its room; c, d: the other one, round its own
[[nodiscard]] std::optional<double> gap_between(GridPoint a, GridPoint b, GridPoint c, GridPoint d);

/// The ring with its walls moved outwards, each by its own distance (negative: inwards); nothing if it would turn inside
/// out.
[[nodiscard]] std::optional<Ring> moved_outwards(const Ring& ring, const std::vector<double>& by_m);

/// The ring without corners nearer to the next than this. @param nearest_m  of the distances taken out, the largest
[[nodiscard]] Ring without_doubled_points(const Ring& ring, double within_m, double& largest_m);

/// A wall that was moved into the line of another one.
struct Moved {
    std::size_t room = 0, wall = 0; ///< from corner `wall` on
    std::size_t to_room = 0;        ///< whose wall it was brought in line with
    double by_m = 0.0;              ///< at its farther end
};

/// Brings walls that lie nearly in one line, and end to end or one over the other, into one: each is moved into the line
/// of the longest among them if neither of its ends is farther off than the tolerance. Nothing else moves, and nothing
/// by more; the order of rooms does not matter.
[[nodiscard]] std::vector<Moved> straighten(std::vector<PlanRoom>& rooms, double tolerance_m);

} // namespace venture::plan
