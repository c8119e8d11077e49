#include <venture/airside/supply_load.hpp>

#include <algorithm>
#include <numeric>

#include <venture/airside/coil_loads.hpp>

namespace venture::airside {

namespace {

/// Largest hour of a sum over rooms; all of them have the same days.
double at_once(std::span<const CoilLoad* const> rooms, std::vector<double> AirDay::*flow)
{
    double most = 0.0;
    const std::vector<AirDay>& days = rooms.front()->air_days;
    for (std::size_t d = 0; d < days.size(); ++d)
        for (std::size_t h = 0; h < (days[d].*flow).size(); ++h) {
            double sum = 0.0;
            for (const CoilLoad* room : rooms) sum += (room->air_days[d].*flow)[h];
            most = std::max(most, sum);
        }
    return most;
}

SupplyLoad load_together(std::span<const CoilLoad* const> rooms)
{
    SupplyLoad out{.supply = rooms.front()->supply, .rooms = rooms.size()};
    loads::RoomLoads loads;
    for (const CoilLoad* room : rooms) {
        take_coil(loads.rooms.emplace_back(), *room);
        out.cools |= room->cooling_W > 0.0;
    }
    std::vector<std::size_t> all(rooms.size());
    std::iota(all.begin(), all.end(), std::size_t{0});
    out.heating_W = loads::heating_together_W(loads, all);
    if (out.cools) out.cooling = loads::coincident_cooling(loads, all);
    out.supply_m3_per_s = at_once(rooms, &AirDay::supply_m3_per_s);
    out.outdoor_m3_per_s = at_once(rooms, &AirDay::outdoor_m3_per_s);
    out.fan_W = at_once(rooms, &AirDay::fan_W);
    return out;
}

} // namespace

std::vector<SupplyLoad> supply_loads(std::span<const CoilLoad> rooms)
{
    std::vector<std::vector<const CoilLoad*>> by_supply;
    for (const CoilLoad& room : rooms) {
        auto at = std::ranges::find(by_supply, room.supply, [](const auto& some) { return some.front()->supply; });
        if (at == by_supply.end()) at = by_supply.emplace(by_supply.end());
        at->push_back(&room);
    }
    std::vector<SupplyLoad> out;
    for (const auto& some : by_supply) out.push_back(load_together(some));
    return out;
}

} // namespace venture::airside
