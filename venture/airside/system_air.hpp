#pragma once
/// Outdoor air that one air handler would take in for all the rooms of a supply, against what each of them asks for.

#include <span>
#include <string>
#include <vector>

#include <venture/airside/system_need.hpp>
#include <venture/building/building.hpp>

namespace venture::airside {

/// What a room gets of its supply.
struct RoomSupply {
    std::size_t room = 0; ///< index into Building::rooms
    /// At their largest, of air at 20 degC; outdoor air is a part of the other at any time.
    double outdoor_m3_per_s = 0.0, supply_m3_per_s = 0.0;
};

struct SystemAir {
    std::string supply{};
    std::size_t rooms = 0;
    double asked_m3_per_s = 0.0;  ///< outdoor air of all rooms, each at its largest
    double supply_m3_per_s = 0.0; ///< of all rooms, each at its largest
    SystemNeed need{};
    std::string ruling_room{};
    double ruling_share = 0.0; ///< of outdoor air in what that room is supplied with
};

/// Of each supply that gives several rooms everything: such a handler mixes outdoor air with what comes back, and its
/// mixture is the same for all. Rooms are supplied at their largest flow at once, as by constant flow. People count as
/// many as there are at once on design days over the sum of each room's most.
/// Supplies without outdoor air are left out. @param rooms  in any order; those without supply air are left out
[[nodiscard]] std::vector<SystemAir> system_air(const building::Building& building, std::span<const RoomSupply> rooms);

/// "'air': 340 L/s outdoor air of 1900 L/s supplied are 17.9 %; ...": how the intake follows.
/// @param uncorrected, supplied, intake  these flows in words
[[nodiscard]] std::string arithmetic_of(const SystemAir& air, const std::string& uncorrected,
                                        const std::string& supplied, const std::string& intake);

} // namespace venture::airside
