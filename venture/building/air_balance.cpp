#include <venture/building/air_balance.hpp>

#include <algorithm>
#include <cmath>

namespace venture::building {

double RoomAirBalance::surplus_m3_per_s() const
{
    constexpr double rounding = 1e-12;
    const double surplus = enters_m3_per_s() - leaves_m3_per_s();
    return std::abs(surplus) <= rounding ? 0.0 : surplus;
}

double RoomAirBalance::returned_m3_per_s() const { return std::clamp(surplus_m3_per_s(), 0.0, supply_m3_per_s); }

double RoomAirBalance::returned_share() const
{
    return supply_m3_per_s > 0.0 ? returned_m3_per_s() / supply_m3_per_s : 0.0;
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
