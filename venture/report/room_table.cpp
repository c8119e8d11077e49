#include <venture/report/room_table.hpp>

#include <cmath>

#include <fmt/format.h>

#include <venture/quantity/units.hpp>
#include <venture/report/text.hpp>

namespace venture::report {

using building::Attitude;
using building::Building;
using building::Neighbour;
using building::Room;
using quantity::PreferredUnits;

namespace {

constexpr double hour_s = 3600.0;

std::string or_dash(double v, std::string_view quantity, const PreferredUnits& units)
{
    return v > 0.0 ? units.number(v, quantity) : "-";
}

std::string setpoint(const std::optional<quantity::Sourced<double>>& t, const PreferredUnits& units)
{
    return t ? units.number(t->value, "temperature") : "-";
}

/// What a sum shows in the columns that rooms and sums share, from the floor area on.
std::vector<std::string> cells_of(const RoomSums& s, std::string heat, std::string cool, const PreferredUnits& units)
{
    return {units.number(s.floor_m2, "area"),
            units.number(s.volume_m3, "volume"),
            or_dash(s.wall_gross_m2, "area", units),
            or_dash(s.wall_net_m2, "area", units),
            or_dash(s.glass_m2, "area", units),
            s.glass_share() > 0.0 ? fmt::format("{:.0f}", 100.0 * s.glass_share()) : "-",
            or_dash(s.roof_gross_m2, "area", units),
            or_dash(s.roof_net_m2, "area", units),
            or_dash(s.ground_m2, "area", units),
            or_dash(s.mean_u_W_per_m2K(), "heat_transfer", units),
            std::move(heat),
            std::move(cool),
            fmt::format("{:.2f}", hour_s * s.leaks_m3_per_s / s.volume_m3),
            s.outdoor_air_m3_per_s > 0.0 ? fmt::format("{:.2f}", hour_s * s.outdoor_air_m3_per_s / s.volume_m3) : "-",
            or_dash(s.outdoor_air_m3_per_s, "air_flow", units),
            s.people > 0.0
                ? fmt::format("{:.{}f}", s.people, s.people < 10.0 && s.people != std::floor(s.people) ? 1 : 0)
                : "-",
            or_dash(s.gains_W / s.floor_m2, "power_per_area", units)};
}

void add_sum(TextTable& table, std::string what, const RoomSums& sum, const PreferredUnits& units)
{
    std::vector<std::string> row = {std::move(what), ""};
    for (std::string& cell : cells_of(sum, "", "", units)) row.push_back(std::move(cell));
    table.add_row(std::move(row));
}

TextTable empty_table(const PreferredUnits& units)
{
    TextTable table;
    table.add_column("Room", Align::left);
    table.add_column("Type", Align::left, 4);
    add_column(table, "Area", "area", units);
    add_column(table, "Volume", "volume", units, 5);
    add_column(table, "Walls out\ngross", "area", units, 6);
    add_column(table, "Walls out\nnet", "area", units, 3);
    add_column(table, "Walls out\nglass", "area", units, 3);
    table.add_column("Walls out\nglass\n%", Align::right, 7);
    add_column(table, "Roof\ngross", "area", units, 6);
    add_column(table, "Roof\nnet", "area", units, 4);
    add_column(table, "\nGround", "area", units, 4);
    add_column(table, "\nmean U", "heat_transfer", units, 2);
    add_column(table, "Set-points\nheat", "temperature", units, 2);
    add_column(table, "Set-points\ncool", "temperature", units, 2);
    table.add_column("Air\nleaks\n1/h", Align::right, 3);
    table.add_column("Air\nby plan\n1/h", Align::right, 5);
    add_column(table, "Air\nby plan", "air_flow", units, 3);
    table.add_column("\npeople", Align::right, 3);
    add_column(table, "\ngains", "power_per_area", units, 3);
    table.add_column("own/type/\ndefault", Align::right, 8);
    return table;
}

std::string type_of(const Room& room) { return room.left_out ? "left out" : room.type.empty() ? "-" : room.type; }

/// Values that rooms have instead of those of their type.
std::string overruled_text(const Building& b)
{
    std::string out;
    for (const Room& room : b.rooms)
        for (const building::OverruledValue& v : room.overruled)
            out += fmt::format("  {}: {} {} instead of {} of '{}'\n", room.name, v.key, v.own, v.of_type, room.type);
    return out.empty() ? out : "Values that rooms have over their type\n\n" + out + "\n";
}

} // namespace

RoomSums& RoomSums::operator+=(const RoomSums& other)
{
    constexpr double RoomSums::*all[] = {
        &RoomSums::floor_m2,  &RoomSums::volume_m3,      &RoomSums::wall_gross_m2,       &RoomSums::wall_net_m2,
        &RoomSums::glass_m2,  &RoomSums::roof_gross_m2,  &RoomSums::glass_in_walls_m2,   &RoomSums::roof_net_m2,
        &RoomSums::ground_m2, &RoomSums::outdoors_m2,    &RoomSums::heat_loss_W_per_K,   &RoomSums::people,
        &RoomSums::gains_W,   &RoomSums::leaks_m3_per_s, &RoomSums::outdoor_air_m3_per_s};
    for (const auto part : all) this->*part += other.*part;
    return *this;
}

std::vector<RoomSums> sums_of_rooms(const Building& b)
{
    std::vector<RoomSums> sums;
    for (const Room& room : b.rooms) {
        RoomSums& e =
            sums.emplace_back(RoomSums{.floor_m2 = room.floor_area_m2,
                                       .volume_m3 = room.volume_m3,
                                       .people = room.use.people.value,
                                       .outdoor_air_m3_per_s = room.outdoor_air_by_plan_m3_per_s(),
                                       .leaks_m3_per_s = room.use.infiltration_per_h.value * room.volume_m3 / hour_s});
        for (const building::Gain& gain : room.use.gains) e.gains_W += gain.sensible_W();
    }
    for (const building::Surface& s : b.surfaces) {
        RoomSums& e = sums[s.room];
        if (s.beyond.kind == Neighbour::Kind::ground) e.ground_m2 += s.gross_m2;
        if (s.beyond.kind != Neighbour::Kind::outdoors) continue;
        const bool roof = s.attitude == Attitude::ceiling;
        (roof ? e.roof_gross_m2 : e.wall_gross_m2) += s.gross_m2;
        (roof ? e.roof_net_m2 : e.wall_net_m2) += s.net_m2();
        e.outdoors_m2 += s.gross_m2;
        e.heat_loss_W_per_K += s.net_m2() * building::u_value(b, s);
        for (const building::Opening& o : s.openings) {
            if (o.kind == building::Opening::Kind::window) {
                e.glass_m2 += o.area_m2();
                e.glass_in_walls_m2 += roof ? 0.0 : o.area_m2();
            }
            e.heat_loss_W_per_K += o.area_m2() * building::u_value(b, s, o);
        }
    }
    for (const building::ThermalBridge& bridge : b.thermal_bridges)
        sums[bridge.room].heat_loss_W_per_K += bridge.heat_loss_W_per_K;
    return sums;
}

Text rooms_text(const Building& b, const PreferredUnits& units)
{
    TextTable table = empty_table(units);
    RoomSums building;
    std::vector<RoomSums> storeys(b.storeys.size());
    std::vector<int> rooms(b.storeys.size(), 0);
    int all = 0;
    const std::vector<RoomSums> of_rooms = sums_of_rooms(b);
    for (std::size_t r = 0; r < b.rooms.size(); ++r) {
        const Room& room = b.rooms[r];
        const RoomSums& sums = of_rooms[r];
        std::vector<std::string> row = {room.name, type_of(room)};
        for (std::string& cell : cells_of(sums, setpoint(room.use.heating_setpoint_C, units),
                                          setpoint(room.use.cooling_setpoint_C, units), units))
            row.push_back(std::move(cell));
        row.push_back(fmt::format("{}/{}/{}", room.values_given, room.values_by_type, room.values_by_default));
        table.add_row(std::move(row));
        if (room.left_out) continue;
        building += sums;
        storeys[room.storey] += sums;
        ++rooms[room.storey];
        ++all;
    }
    table.add_rule();
    const auto counted = [](int n) { return fmt::format("{} room{}", n, n == 1 ? "" : "s"); };
    if (b.storeys.size() > 1)
        for (std::size_t s = 0; s < b.storeys.size(); ++s)
            if (rooms[s] > 0)
                add_sum(table, fmt::format("{}: {}", b.storeys[s].name, counted(rooms[s])), storeys[s], units);
    if (all > 0) add_sum(table, "building: " + counted(all), building, units);
    return Text{std::move(table)} +
           fmt::format("Walls and roofs run to wall centre lines{}, gross and net of openings; floors over outdoor air "
                       "count as walls; mean U of all that faces outdoors; air by plan and gains at full, sensible; "
                       "own/type/default counts who stated each value of use.\n\n",
                       b.dimensions == building::PlanDimensions::inside_faces
                           ? "; floor areas and volumes between inside faces, as typed"
                       : b.dimensions == building::PlanDimensions::outside_faces ? ", from outside faces as typed"
                                                                                 : "") +
           overruled_text(b);
}

} // namespace venture::report
