#pragma once
/// Outdoor air that one air handler needs which serves several rooms. It mixes outdoor air evenly into what it supplies,
/// so that the room which needs most of it rules, and the others get air back that is hardly used.
/// Source: ASHRAE 62.1, ventilation rate procedure, multiple-zone systems, equations for system efficiency.

#include <cstddef>
#include <span>
#include <vector>

#include <venture/air/room_need.hpp>

namespace venture::airside {

/// One room of it.
struct SystemRoom {
    air::RoomNeed need{};
    double least_primary_m3_per_s = 0.0; ///< air from the handler when it counts
    /// All air that enters the room, with what is drawn in again from the ceiling or the room; nothing but the primary
    /// air (one path) if 0.
    double discharge_m3_per_s = 0.0;
    double secondary_from_system = 0.0; ///< of the secondary air, the share that is a mixture of all returns, 0..1
};

struct SystemNeed {
    std::vector<double> efficiency_of_room{};
    double occupant_diversity = 1.0;      ///< people in the system over the sum of the rooms' peaks
    double uncorrected_m3_per_s = 0.0;    ///< people with diversity, floors whole
    double average_outdoor_share = 0.0;   ///< uncorrected over all primary air
    double efficiency = 1.0;              ///< of the room that rules
    double outdoor_intake_m3_per_s = 0.0; ///< uncorrected over efficiency
    std::size_t ruling_room = 0;
};

/// @param people_at_once  largest number of people in all the rooms together; at most the sum of the rooms' own
/// @param primary_m3_per_s  what the handler supplies to all of them when it counts; at least the sum of their least
/// @throws quantity::RangeError  no rooms, no primary air, a share outside 0..1, more people than the rooms have
/// @throws quantity::Error       no outdoor share of the primary air is enough: a room's efficiency is not above 0
[[nodiscard]] SystemNeed system_need(std::span<const SystemRoom> rooms, double people_at_once, double primary_m3_per_s);

} // namespace venture::airside
