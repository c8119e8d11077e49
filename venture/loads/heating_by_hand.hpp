#pragma once
/// Steady heating of a building, added up from the sums by hand of its rooms.

#include <cstddef>
#include <vector>

#include <venture/loads/room_loads.hpp>

namespace venture::loads {

/// Steady heating of all rooms whose load is computed, as sums by hand have it.
struct HeatingByHand {
    std::vector<std::size_t> rooms{}; ///< heated, by their place in the building
    double building_W = 0.0;          ///< what passes between heated rooms cancelled
    double between_rooms_W = 0.0;     ///< what heated rooms give colder heated ones
    double infiltration_W = 0.0;      ///< of all rooms at once
    double balance_W = 0.0;           ///< of the heat balance, all together
    double heating_up_W = 0.0;        ///< in the rooms' loads: what coming back from set-backs takes
    /// Each room by itself: what it loses to colder rooms counted, what warmer ones give it not.
    [[nodiscard]] double rooms_alone_W() const { return building_W + between_rooms_W; }
    /// With half of the rooms' infiltration: air that blows in on one side blows out on the other.
    /// Source    EN 12831:2003, 7.2.2
    [[nodiscard]] double one_side_W() const { return building_W - 0.5 * infiltration_W; }
};
[[nodiscard]] HeatingByHand heating_by_hand(const RoomLoads& loads);

} // namespace venture::loads
