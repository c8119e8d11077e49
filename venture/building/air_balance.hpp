#pragma once
/// Air that enters and leaves rooms by plan, at full flows: what is left over leaks.

#include <vector>

#include <venture/building/building.hpp>

namespace venture::building {

struct RoomAirBalance {
    double supply_m3_per_s = 0.0; ///< outdoor air by plan, by window or by an air supply
    double transfer_in_m3_per_s = 0.0, transfer_out_m3_per_s = 0.0; ///< one way
    double extract_m3_per_s = 0.0;
    quantity::OriginId last_out{}; ///< of an extract, else of transfer air
    [[nodiscard]] double enters_m3_per_s() const { return supply_m3_per_s + transfer_in_m3_per_s; }
    [[nodiscard]] double leaves_m3_per_s() const { return extract_m3_per_s + transfer_out_m3_per_s; }
    [[nodiscard]] double surplus_m3_per_s() const; ///< of what enters over what leaves by plan
    /// Goes out as the supply came in, by windows or to the air supply: what nothing else takes, up to the supply.
    [[nodiscard]] double returned_m3_per_s() const;
    /// Of what a supply brings, the share for which as much air goes back by it; the rest leaves by other ways.
    [[nodiscard]] double returned_share() const;
    /// Positive: leaves through leaks, and the room is above the pressure outdoors.
    [[nodiscard]] double through_leaks_m3_per_s() const { return surplus_m3_per_s() - returned_m3_per_s(); }
};

/// In the order of the rooms.
[[nodiscard]] std::vector<RoomAirBalance> air_balances(const Building& building);

} // namespace venture::building
