#pragma once
/// Boxes round what stands on the plan, and which of them are near one another.

#include <optional>
#include <vector>

#include <venture/plan/polygon.hpp>

namespace venture::plan {

/// From floor to ceiling, say, on the grid.
struct Extent {
    std::int64_t low = 0, high = 0;
};

/// On the grid.
struct Box {
    GridPoint low{}, high{}; ///< on the plan
    Extent z{};
};

/// @pre the ring has points
[[nodiscard]] Box box_round(const Ring& ring, Extent z = {});

/// For each box, in their order, the others that are not farther off than a gap in any direction. What has no box is near
/// nothing. Boxes are gone over along the axis on which they overlap least.
[[nodiscard]] std::vector<std::vector<std::size_t>> boxes_nearby(const std::vector<std::optional<Box>>& boxes,
                                                                 std::int64_t gap);

} // namespace venture::plan
