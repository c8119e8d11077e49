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
    /// Positive: leaves through leaks, and the room is above the pressure outdoors.
    [[nodiscard]] double surplus_m3_per_s() const { return enters_m3_per_s() - leaves_m3_per_s(); }
    /// Of what an air supply brings, the share for which as much air goes back to it; the rest leaves by other ways.
    [[nodiscard]] double returned_share() const;
};

/// In the order of the rooms.
[[nodiscard]] std::vector<RoomAirBalance> air_balances(const Building& building);

} // namespace venture::building
