#pragma once
/// Steady heat loss of a building by the same sums as its rooms': not their sum, since rooms warm each other, and wind
/// blows in on one side only.

#include <cstdint>
#include <optional>
#include <string>
#include <vector>

#include <venture/loads/room_heat_loss.hpp>

namespace venture::loads {

/// Air by leaks at a difference of 50 Pa that shielding and height let in: 2 V n50 e epsilon.
/// Source    EN 12831:2003, 7.2.2
[[nodiscard]] double leakage_m3_per_h(double volume_m3, double changes_at_50_Pa, double shielding, double height);

/// How cold an unheated space is between heated rooms and outdoors: 0 as warm as they, 1 as cold as outdoors.
/// @param to_heated_W_per_K, to_outdoors_W_per_K  conductances, air of the space in the latter
[[nodiscard]] double reduction_factor(double to_heated_W_per_K, double to_outdoors_W_per_K);

struct BuildingOnPaper {
    std::vector<RoomOnPaper> rooms{};
    /// Of the rooms' leakage, what comes in at the same time: half, where more than one side is exposed.
    double leakage_share = 0.5;
};

/// What stands behind an element, as sums of transmission are parted.
enum class LossTo : std::uint8_t { outdoors, unheated, ground, neighbours, rooms };
[[nodiscard]] LossTo loss_to(const LossElement& element);

struct BuildingHeatLoss {
    std::vector<RoomHeatLoss> rooms{};
    double sum_of_rooms_W = 0.0;
    double transmission_W = 0.0, ventilation_W = 0.0, heating_up_W = 0.0;
    double to_outdoors_W = 0.0, to_unheated_W = 0.0, to_ground_W = 0.0, to_neighbours_W = 0.0; ///< of the transmission
    double least_air_m3_per_h = 0.0;       ///< that hygiene asks for, all rooms together
    double leakage_m3_per_h = 0.0;         ///< of all rooms, as much as comes in at once
    bool leakage_governs = false;          ///< natural ventilation: more comes in than hygiene asks for
    double exchange_between_rooms_W = 0.0; ///< in the sum of the rooms alone
    [[nodiscard]] double total_W() const { return transmission_W + ventilation_W + heating_up_W; }
    [[nodiscard]] double difference_W() const { return sum_of_rooms_W - total_W(); }
    /// Of the difference, what the rooms' air is more than the building's.
    [[nodiscard]] double difference_by_air_W() const { return difference_W() - exchange_between_rooms_W; }
};

/// Source    EN 12831-1:2017, 6.4 (shape of the method), infiltration after EN 12831:2003
/// @throws   quantity::RangeError as room_heat_loss() does
[[nodiscard]] BuildingHeatLoss building_heat_loss(const BuildingOnPaper& building);

} // namespace venture::loads
