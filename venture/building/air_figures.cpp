/// Air that comes into rooms and leaves them by plan, for each room and the building.

#include <cmath>

#include <venture/building/air_balance.hpp>
#include <venture/building/building_figures.hpp>

namespace venture::building {

using figure::Cell;
using figure::Show;
using figure::Sum;

namespace {

struct AirRouteRow {
    const Building* building = nullptr;
    const Room* room = nullptr;
    RoomAirBalance balance{};
};

constexpr double no_flow_m3_per_s = 1e-9;

std::string comes_by(const AirRouteRow& row)
{
    if (row.balance.supply_m3_per_s <= 0.0) return {};
    const auto& supply = row.room->use.air_supply;
    return supply ? row.building->air_supplies[*supply].name : "windows";
}

/// Against outdoors: the sign of what leaves through leaks.
std::string pressure_of(double through_leaks_m3_per_s)
{
    if (std::abs(through_leaks_m3_per_s) <= no_flow_m3_per_s) return "even";
    return through_leaks_m3_per_s > 0.0 ? "above" : "below";
}

const figure::TableOf<AirRouteRow>& air_route_columns()
{
    using R = AirRouteRow;
    static const figure::TableOf<R> all = {
        {"air_route", "Ways of the air",
         "Air that enters and leaves a room by plan, all of it at full; what is left over goes through leaks."},
        {
            {{"room", "Ways of the air", "", "name of the room", 0}, [](const R& r) -> Cell { return r.room->name; }},
            {{"supply", "Comes in\nby plan", "air_flow", "outdoor air by windows or by an air supply", 1, Sum::added,
              Show::always, true},
             [](const R& r) -> Cell { return r.balance.supply_m3_per_s; }},
            {{"by", "Comes in\nby", "", "air supply; windows: straight from outdoors", 2},
             [](const R& r) -> Cell { return comes_by(r); }},
            {{"transfer_in", "Comes in\nfrom rooms", "air_flow", "transfer air, one way", 1, Sum::added, Show::always,
              true},
             [](const R& r) -> Cell { return r.balance.transfer_in_m3_per_s; }},
            {{"extract", "Goes out\nextracted", "air_flow", "taken out to outdoors", 1, Sum::added, Show::always, true},
             [](const R& r) -> Cell { return r.balance.extract_m3_per_s; }},
            {{"transfer_out", "Goes out\ninto rooms", "air_flow", "transfer air, one way", 1, Sum::added, Show::always,
              true},
             [](const R& r) -> Cell { return r.balance.transfer_out_m3_per_s; }},
            {{"back", "Goes out\nas it came", "air_flow",
              "by windows or to its air supply: what nothing else takes, up to what came by them", 1, Sum::added,
              Show::always, true},
             [](const R& r) -> Cell { return r.balance.returned_m3_per_s(); }},
            {{"through_leaks", "Left over\nthrough leaks", "air_flow",
              "what comes in less all that goes out: positive leaves, negative is drawn in from outdoors", 1,
              Sum::added, Show::always, true},
             [](const R& r) -> Cell { return r.balance.through_leaks_m3_per_s(); }},
            {{"pressure", "Left over\npressure", "", "of the room, against outdoors: above, even, below", 1},
             [](const R& r) -> Cell { return pressure_of(r.balance.through_leaks_m3_per_s()); }},
        }};
    return all;
}

std::vector<AirRouteRow> air_route_rows(const Building& b)
{
    std::vector<AirRouteRow> out;
    const auto balances = air_balances(b);
    for (std::size_t r = 0; r < b.rooms.size(); ++r) {
        const Room& room = b.rooms[r];
        const RoomAirBalance& balance = balances[r];
        const bool by_windows_alone =
            !room.use.air_supply && balance.transfer_in_m3_per_s <= 0.0 && balance.leaves_m3_per_s() <= 0.0;
        if (room.left_out || by_windows_alone || (balance.enters_m3_per_s() <= 0.0 && balance.leaves_m3_per_s() <= 0.0))
            continue;
        out.push_back({&b, &room, balance});
    }
    return out;
}

} // namespace

figure::Declaration air_route_declaration() { return air_route_columns().declaration(); }

figure::Table air_route_table(const Building& b)
{
    const auto rows = air_route_rows(b);
    figure::Table out = figure::table_of(air_route_columns(), rows);
    if (rows.size() < 2) return out;
    double leaks_m3_per_s = 0.0; // others are even: what comes in by their windows goes out by them
    for (const AirRouteRow& row : rows) leaks_m3_per_s += row.balance.through_leaks_m3_per_s();
    out.add_total("building").cells[out.column("pressure")] = pressure_of(leaks_m3_per_s);
    return out;
}

} // namespace venture::building
