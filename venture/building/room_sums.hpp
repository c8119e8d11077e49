#pragma once
/// What rooms come to: areas, air and gains, of one or of several together.

#include <vector>

#include <venture/building/building.hpp>

namespace venture::building {

/// Sums over one room or several. Surfaces between two rooms count for neither.
struct RoomSums {
    double floor_m2 = 0.0, volume_m3 = 0.0;
    double wall_gross_m2 = 0.0, wall_net_m2 = 0.0; ///< outside walls
    double glass_m2 = 0.0;                         ///< of windows, wherever they are to outdoors
    double glass_in_walls_m2 = 0.0;
    double roof_gross_m2 = 0.0, roof_net_m2 = 0.0, ground_m2 = 0.0;
    double outdoors_m2 = 0.0, heat_loss_W_per_K = 0.0; ///< all that faces outdoors, with thermal bridges
    double people = 0.0, gains_W = 0.0;                ///< at full, sensible
    double outdoor_air_m3_per_s = 0.0, leaks_m3_per_s = 0.0;
    [[nodiscard]] double mean_u_W_per_m2K() const { return outdoors_m2 > 0.0 ? heat_loss_W_per_K / outdoors_m2 : 0.0; }
    [[nodiscard]] double glass_share() const { return wall_gross_m2 > 0.0 ? glass_in_walls_m2 / wall_gross_m2 : 0.0; }
    RoomSums& operator+=(const RoomSums& other);
};

/// Of every room, in the building's order.
[[nodiscard]] std::vector<RoomSums> sums_of_rooms(const Building& building);

} // namespace venture::building
