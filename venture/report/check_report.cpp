#include <venture/report/check_report.hpp>

#include <algorithm>
#include <map>
#include <set>

#include <fmt/format.h>

#include <venture/quantity/names.hpp>
#include <venture/quantity/units.hpp>
#include <venture/report/loads_report.hpp>
#include <venture/report/room_table.hpp>
#include <venture/report/text.hpp>

namespace venture::report {

using building::Attitude;
using building::Building;
using building::Neighbour;
using quantity::Kind;
using quantity::PreferredUnits;

namespace {

std::string number_or_dash(double v, std::string_view quantity, const PreferredUnits& units)
{
    return v > 0.0 ? units.number(v, quantity) : "-";
}

/// "from 200 W/m2 of sun on it", "at night".
std::string use_in_words(const Building& b, const building::NamedShade& shade, const PreferredUnits& units)
{
    switch (shade.use) {
    case fabric::ShadeUse::never:
        return "never";
    case fabric::ShadeUse::always:
        return "always";
    case fabric::ShadeUse::above_irradiance:
        return fmt::format("from {} of sun on it", units.text(shade.above_W_per_m2, "power_per_area"));
    case fabric::ShadeUse::by_profile:
        return fmt::format("as '{}' says", b.calendars[shade.profile].name);
    case fabric::ShadeUse::while_occupied:
        return "while people are in";
    case fabric::ShadeUse::at_night:
        return "at night";
    }
    return {};
}

/// ", U then 1.05": where a shutter adds resistance.
std::string u_while_down(const fabric::Glazing& g, const building::NamedShade& shade, const PreferredUnits& units)
{
    if (shade.added_resistance_m2K_per_W <= 0.0) return {};
    const double u = 1.0 / (1.0 / g.u_value_W_per_m2K + shade.added_resistance_m2K_per_W);
    return ", U then " + units.number(u, "heat_transfer");
}

std::string films_text(const Building& b, const PreferredUnits& units)
{
    return fmt::format("Films inside {}; outside {}. Shadows of the building itself, of what is stated round it and of "
                       "plates at windows are worked out "
                       "exactly.\n\n",
                       b.method.films_by_difference ? "by the difference between face and air"
                                                    : "after ISO 6946, fixed",
                       b.method.wind_and_sky ? "by wind, long wave to sky and surroundings apart"
                                             : units.text(25.0, Kind::heat_transfer) + " to the air");
}

/// Rooms that set back, those alike together; nothing if none does.
Text setbacks_text(const Building& b, const PreferredUnits& units)
{
    std::vector<std::pair<std::vector<std::string>, std::vector<std::string>>> alike; ///< what they hold, rooms
    for (const building::Room& room : b.rooms) {
        const auto add = [&](const char* what, const auto& setpoint, const std::optional<building::Setback>& setback) {
            if (!setpoint || !setback) return;
            const std::vector<std::string> held = {what, units.number(setpoint->value, "temperature"),
                                                   units.number(setback->temperature_C.value, "temperature"),
                                                   b.calendars[setback->profile].name,
                                                   fmt::format("{:g}", setback->ramp_h)};
            auto same = std::ranges::find(alike, held, [](const auto& group) { return group.first; });
            if (same == alike.end()) same = alike.insert(alike.end(), {held, {}});
            same->second.push_back(room.name);
        };
        add("heating", room.use.heating_setpoint_C, room.use.heating_setback);
        add("cooling", room.use.cooling_setpoint_C, room.use.cooling_setback);
    }
    if (alike.empty()) return {};
    TextTable table;
    table.add_column("Rooms that set back", Align::left);
    table.add_column("", Align::left);
    add_column(table, "set-point", "temperature", units);
    add_column(table, "back to", "temperature", units);
    table.add_column("outside profile", Align::left);
    table.add_column("ramp\nh");
    for (const auto& [held, rooms] : alike) {
        std::vector<std::string> row = {rooms.size() <= 3
                                            ? quantity::listed(rooms)
                                            : fmt::format("{} and {} more", rooms.front(), rooms.size() - 1)};
        row.insert(row.end(), held.begin(), held.end());
        table.add_row(std::move(row));
    }
    return Text{std::move(table)} + "\n";
}

/// Thermal bridges of all rooms by name, in the order of the input.
Text bridges_text(const Building& b, const PreferredUnits& units)
{
    if (b.thermal_bridges.empty()) return "Thermal bridges: none given.\n\n";
    TextTable table;
    table.add_column("Thermal bridges", Align::left);
    table.add_column("rooms");
    add_column(table, "length", "length", units);
    add_column(table, "heat loss", "heat_loss", units);
    std::vector<std::string> names;
    for (const building::ThermalBridge& bridge : b.thermal_bridges)
        if (std::ranges::find(names, bridge.name) == names.end()) names.push_back(bridge.name);
    for (const std::string& name : names) {
        double length_m = 0.0, heat_loss = 0.0;
        int rooms = 0;
        for (const building::ThermalBridge& bridge : b.thermal_bridges) {
            if (bridge.name != name) continue;
            length_m += bridge.length_m;
            heat_loss += bridge.heat_loss_W_per_K;
            ++rooms;
        }
        table.add_row({name, fmt::format("{}", rooms), number_or_dash(length_m, "length", units),
                       units.number(heat_loss, "heat_loss")});
    }
    return Text{std::move(table)} + "\n";
}

/// What takes sun from the building.
Text shading_text(const Building& b, const PreferredUnits& units)
{
    std::size_t with_plates = 0;
    for (const building::Surface& s : b.surfaces)
        for (const building::Opening& o : s.openings) with_plates += o.plates.any() ? o.from_left_m.size() : 0;
    Text out = with_plates > 0 ? fmt::format("Reveals, overhangs and fins shade {} openings.\n\n", with_plates) : "";
    if (b.obstructions.empty()) return out;
    TextTable table;
    table.add_column("Obstruction", Align::left);
    for (const char* heading : {"plan", "base", "top"})
        add_column(table, heading, heading[0] == 'p' ? "area" : "length", units);
    table.add_column("lets through\nwith leaves");
    table.add_column("bare");
    for (const building::Obstruction& o : b.obstructions)
        table.add_row({o.name, units.number(plan::area_m2(o.outline), "area"), units.number(o.base_m, "length"),
                       units.number(o.top_m, "length"), fmt::format("{:g} %", 100.0 * o.with_leaves),
                       fmt::format("{:g} %", 100.0 * o.bare)});
    return out + Text{std::move(table)} + "\n";
}

/// Windows by glazing and shade.
Text windows_text(const Building& b, const PreferredUnits& units)
{
    std::map<std::pair<std::size_t, std::optional<std::size_t>>, double> area_m2;
    for (const building::Surface& s : b.surfaces)
        for (const building::Opening& o : s.openings)
            if (o.kind == building::Opening::Kind::window) area_m2[{o.glazing, o.shade}] += o.area_m2();
    if (area_m2.empty()) return {};
    TextTable table;
    table.add_column("Windows", Align::left);
    add_column(table, "area", "area", units);
    add_column(table, "window U", "heat_transfer", units);
    table.add_column("g");
    table.add_column("frame\n%");
    table.add_column("shade", Align::left);
    table.add_column("down", Align::left);
    for (const auto& [kind, area] : area_m2) {
        const fabric::Glazing& g = b.glazings[kind.first].values;
        table.add_row({g.name, units.number(area, "area"), units.number(g.u_value_W_per_m2K, "heat_transfer"),
                       fmt::format("{:.2f}", g.g_value), fmt::format("{:.0f}", 100.0 * g.frame_share),
                       kind.second ? b.shades[*kind.second].layer.name : "none",
                       kind.second ? use_in_words(b, b.shades[*kind.second], units) +
                                         u_while_down(g, b.shades[*kind.second], units)
                                   : ""});
    }
    return Text{std::move(table)} + "\n";
}

/// Where a surface stands, as [fabric] calls it.
std::string place_of(const building::Surface& s)
{
    const bool inner = s.beyond.kind == Neighbour::Kind::room || s.beyond.kind == Neighbour::Kind::nothing,
               ground = s.beyond.kind == Neighbour::Kind::ground;
    switch (s.attitude) {
    case Attitude::wall:
        return inner ? "inner wall" : ground ? "ground wall" : "outside wall";
    case Attitude::ceiling:
        return "roof";
    case Attitude::floor:
        return inner ? "inner floor" : ground ? "ground floor" : "exposed floor";
    }
    return {};
}

Text build_ups_text(const Building& b, const PreferredUnits& units)
{
    TextTable table;
    table.add_column("Build-up", Align::left);
    table.add_column("as", Align::left);
    add_column(table, "U", "heat_transfer", units);
    add_column(table, "thickness", "thickness", units);
    std::set<std::pair<std::size_t, std::string>> seen;
    for (const building::Surface& s : b.surfaces) {
        const std::string as = place_of(s);
        if (!seen.insert({s.build_up, as}).second) continue;
        table.add_row({b.build_ups[s.build_up].layers.name, as, units.number(building::u_value(b, s), "heat_transfer"),
                       units.number(thickness_m(b.build_ups[s.build_up]), "thickness")});
    }
    return Text{std::move(table)};
}

/// Values of use that nobody stated and that act: what was taken instead, in how many rooms, and after whom.
std::string defaults_text(const Building& b, const PreferredUnits& units)
{
    using building::Use;
    struct Value {
        const char* name;
        quantity::Sourced<double> Use::*field;
        Kind kind;
        bool per_person; ///< acts only where there are people
    };
    const Value values[] = {{"infiltration", &Use::infiltration_per_h, Kind::air_changes, false},
                            {"sensible_per_person", &Use::sensible_per_person_W, Kind::power, true},
                            {"latent_per_person", &Use::latent_per_person_W, Kind::power, true},
                            {"furniture", &Use::furniture_J_per_m2K, Kind::areal_capacity, false}};
    std::string out;
    for (const Value& v : values) {
        int rooms = 0;
        std::string taken;
        for (const building::Room& room : b.rooms) {
            const auto& value = room.use.*v.field;
            const quantity::Origin origin = b.origins.at(value.origin);
            if (origin.kind != quantity::OriginKind::default_value || (v.per_person && room.use.people.value <= 0.0))
                continue;
            ++rooms;
            taken = fmt::format("{} ({})", units.text(value.value, v.kind), origin.text);
        }
        if (rooms > 0) out += fmt::format("  {} of {} rooms: {} = {}\n", rooms, b.rooms.size(), v.name, taken);
    }
    const auto not_limited = std::ranges::count_if(b.rooms, &building::Room::is_held_at_assumed_humidity);
    if (not_limited > 0)
        out += fmt::format("  {} of {} rooms: cooled without a humidity_limit, on cooling design days held at {:.0f} % "
                           "(our assumption)\n",
                           not_limited, b.rooms.size(), 100.0 * building::assumed_design_humidity);
    const auto operative =
        std::ranges::count_if(b.rooms, [](const building::Room& r) { return r.use.control_operative; });
    if (operative == std::ssize(b.rooms))
        out += "  every room holds the operative temperature\n";
    else
        out += fmt::format("  {} of {} rooms hold the operative temperature, the others that of the air\n", operative,
                           b.rooms.size());
    return "Taken where nobody said otherwise\n\n" + out;
}

} // namespace

Text check_text(const Building& b, const PreferredUnits& units)
{
    Text out = loads_heading(b, units) + "\n" + rooms_text(b, units) + hours_text(b);
    out += films_text(b, units) + build_ups_text(b, units) + "\n" + windows_text(b, units) + shading_text(b, units) +
           bridges_text(b, units) + setbacks_text(b, units) + defaults_text(b, units);
    return out;
}

} // namespace venture::report
