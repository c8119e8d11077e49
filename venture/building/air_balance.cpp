#include <venture/building/air_balance.hpp>

#include <algorithm>

namespace venture::building {

double RoomAirBalance::returned_share() const
{
    if (supply_m3_per_s <= 0.0) return 0.0;
    const double back = supply_m3_per_s + transfer_in_m3_per_s - leaves_m3_per_s();
    return std::clamp(back / supply_m3_per_s, 0.0, 1.0);
}

std::vector<RoomAirBalance> air_balances(const Building& b)
{
    std::vector<RoomAirBalance> out(b.rooms.size());
    for (std::size_t r = 0; r < b.rooms.size(); ++r) out[r].supply_m3_per_s = b.rooms[r].outdoor_air_by_plan_m3_per_s();
    for (const TransferAir& air : b.transfer_air) {
        if (air.both_ways) continue;
        out[air.to].transfer_in_m3_per_s += air.flow_m3_per_s;
        out[air.from].transfer_out_m3_per_s += air.flow_m3_per_s;
        out[air.from].last_out = air.origin;
    }
    for (const Extract& extract : b.extracts) {
        out[extract.room].extract_m3_per_s += extract.flow_m3_per_s;
        out[extract.room].last_out = extract.origin;
    }
    return out;
}

} // namespace venture::building
