/// What `check` tells, for machines.

#include <set>

#include <fmt/format.h>
#include <nlohmann/json.hpp>

#include <venture/report/check_report.hpp>
#include <venture/report/room_table.hpp>

namespace venture::report {

using building::Building;
using nlohmann::json;

namespace {

json overruled_json(const building::Room& room)
{
    json out = json::array();
    for (const building::OverruledValue& v : room.overruled)
        out.push_back({{"key", v.key}, {"own", v.own}, {"of_type", v.of_type}});
    return out;
}

json setpoint_json(const Building& b, const std::optional<quantity::Sourced<double>>& setpoint,
                   const std::optional<building::Setback>& setback)
{
    if (!setpoint) return nullptr;
    json out = {{"setpoint_C", setpoint->value}, {"from", b.origins.describe(setpoint->origin)}};
    if (setback)
        out["setback"] = {{"temperature_C", setback->temperature_C.value},
                          {"outside", b.calendars[setback->profile].name},
                          {"ramp_h", setback->ramp_h}};
    return out;
}

json openings_json(const Building& b, const building::Surface& s)
{
    json out = json::array();
    for (const building::Opening& o : s.openings) {
        const bool window = o.kind == building::Opening::Kind::window;
        json one = {{"kind", window ? "window" : "door"},
                    {"area_m2", o.area_m2()},
                    {"count", o.from_left_m.size()},
                    {"u_W_per_m2K", building::u_value(b, s, o)}};
        if (!o.name.empty()) one["name"] = o.name;
        if (window) one["glazing"] = b.glazings[o.glazing].values.name;
        if (window) one["g"] = b.glazings[o.glazing].values.g_value;
        if (o.shade) one["shade"] = b.shades[*o.shade].layer.name;
        out.push_back(std::move(one));
    }
    return out;
}

json bridges_json(const Building& b)
{
    json out = json::array();
    for (const building::ThermalBridge& bridge : b.thermal_bridges)
        out.push_back({{"name", bridge.name},
                       {"room", b.rooms[bridge.room].name},
                       {"length_m", bridge.length_m},
                       {"heat_loss_W_per_K", bridge.heat_loss_W_per_K}});
    return out;
}

json obstructions_json(const Building& b)
{
    json out = json::array();
    for (const building::Obstruction& o : b.obstructions)
        out.push_back({{"name", o.name},
                       {"plan_m2", plan::area_m2(o.outline)},
                       {"base_m", o.base_m},
                       {"top_m", o.top_m},
                       {"lets_through", {{"with_leaves", o.with_leaves}, {"bare", o.bare}}}});
    return out;
}

} // namespace

json check_json(const Building& b)
{
    json rooms = json::array(), surfaces = json::array();
    const std::vector<RoomSums> sums = sums_of_rooms(b);
    for (std::size_t r = 0; r < b.rooms.size(); ++r) {
        const building::Room& room = b.rooms[r];
        const RoomSums& e = sums[r];
        rooms.push_back(
            {{"room", room.name},
             {"type", room.type},
             {"storey", b.storeys[room.storey].name},
             {"floor_area_m2", room.floor_area_m2},
             {"volume_m3", room.volume_m3},
             {"left_out", room.left_out},
             {"outside_wall_gross_m2", e.wall_gross_m2},
             {"outside_wall_net_m2", e.wall_net_m2},
             {"glass_m2", e.glass_m2},
             {"roof_gross_m2", e.roof_gross_m2},
             {"roof_net_m2", e.roof_net_m2},
             {"ground_m2", e.ground_m2},
             {"mean_u_W_per_m2K", e.mean_u_W_per_m2K()},
             {"heating", setpoint_json(b, room.use.heating_setpoint_C, room.use.heating_setback)},
             {"cooling", setpoint_json(b, room.use.cooling_setpoint_C, room.use.cooling_setback)},
             {"holds", room.use.control_operative ? "operative" : "air"},
             {"infiltration_per_h", room.use.infiltration_per_h.value},
             {"outdoor_air_m3_per_s", room.outdoor_air_by_plan_m3_per_s()},
             {"people", room.use.people.value},
             {"over_its_type", overruled_json(room)},
             {"gains_at_full_W", e.gains_W},
             {"values",
              {{"own", room.values_given}, {"type", room.values_by_type}, {"default", room.values_by_default}}}});
    }
    for (const building::Surface& s : b.surfaces)
        surfaces.push_back(
            {{"room", b.rooms[s.room].name},
             {"surface", s.name},
             {"beyond_room",
              s.beyond.kind == building::Neighbour::Kind::room ? json(b.rooms[s.beyond.room].name) : json()},
             {"gross_m2", s.gross_m2},
             {"net_m2", s.net_m2()},
             {"azimuth_deg", s.azimuth_deg},
             {"tilt_deg", s.tilt_deg},
             {"build_up", b.build_ups[s.build_up].layers.name},
             {"half_each_way", s.other_half.has_value()},
             {"thickness_m", thickness_m(b.build_ups[s.build_up])},
             {"openings", openings_json(b, s)},
             {"u_W_per_m2K", building::u_value(b, s)}});
    json calendars = json::array();
    const std::set<std::size_t> used = calendars_in_use(b);
    for (std::size_t i = 0; i < b.calendars.size(); ++i) {
        const calendar::Calendar& c = b.calendars[i];
        json months = json::array();
        for (int month = 1; month <= 12; ++month) months.push_back(calendar::full_load_hours(c, month, b.project.year));
        calendars.push_back({{"calendar", c.name}, {"used", used.contains(i)}, {"full_load_h_by_month", months}});
    }
    return {{"rooms", rooms},
            {"surfaces", surfaces},
            {"thermal_bridges", bridges_json(b)},
            {"obstructions", obstructions_json(b)},
            {"year", b.project.year},
            {"calendars", calendars}};
}

} // namespace venture::report
