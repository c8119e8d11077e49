#pragma once
/// Places and plane faces in space, and ceilings that slope over a plan.

#include <array>
#include <limits>
#include <optional>
#include <string>
#include <string_view>
#include <vector>

#include <venture/plan/polygon.hpp>

namespace venture::plan {

enum class Attitude { wall, floor, ceiling };

/// A place in space, m: along the plan's x and y, and up from the project's zero.
using Spot = std::array<double, 3>;
using Corners = std::vector<Spot>;

/// A plane face of a room that was given by its faces.
struct RoomFace {
    std::string name{};  ///< "south wall", or as it was called
    Corners corners_m{}; ///< anticlockwise as seen from outside
};

/// A sloping ceiling: how high it is over the plan.
struct CeilingSlope {
    std::string name{}; ///< "south slope": by the side that it rises from
    double at_zero_m = 0.0, by_x = 0.0, by_y = 0.0;
    /// Above the room's floor, over a point of the plan.
    [[nodiscard]] double height_m(double x_m, double y_m) const { return at_zero_m + by_x * x_m + by_y * y_m; }
};

/// What an outline reaches over, m.
struct PlanBox {
    double x0 = std::numeric_limits<double>::max(), y0 = x0, x1 = -x0, y1 = -x0;
};
[[nodiscard]] PlanBox box_of(const Ring& ring);

/// "south 1.2 m, 35 deg": from the side of the room's extent where it is 1.2 m above the floor it rises at 35 deg away
/// from it. Angles are above 0 and at most 80 deg. Nothing if the text is no such thing.
[[nodiscard]] std::optional<CeilingSlope> read_slope(std::string_view text, const Ring& outline);

} // namespace venture::plan
