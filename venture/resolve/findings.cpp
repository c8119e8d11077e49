#include <venture/resolve/findings.hpp>

#include <algorithm>
#include <array>
#include <map>
#include <set>

#include <venture/resolve/calendars.hpp>
#include <venture/resolve/faces.hpp>
#include <venture/resolve/pass.hpp>
#include <venture/resolve/room_findings.hpp>

namespace venture::resolve {

namespace codes = quantity::codes;
using quantity::Kind;
using quantity::Severity;

namespace {

class BuildingFindings : Pass {
public:
    explicit BuildingFindings(Work& work) : Pass{work} {}
    void look_over();

private:
    void look_at_hours();
    void look_at_calendars();
    void look_at_left_out();
    void look_at_voids();
    void look_at_build_ups();
    void look_at_ground_level();
    void look_at_cellars();
    void look_at_fill();
    void look_at_bridges();
    void look_at_winter();

    using Rule = void (BuildingFindings::*)();
    static const Rule rules[];
};

/// Layers that only stand inside: whoever has them outside has most likely listed them from inside.
bool is_inside_finish(const std::string& name)
{
    const std::string low = quantity::lower_case(name);
    for (const std::string_view word : {"plasterboard", "gypsum", "carpet", "wallpaper", "acoustic"})
        if (low.find(word) != std::string::npos) return true;
    return false;
}

bool insulates(const fabric::Layer& layer)
{
    return layer.has_capacity() && layer.material.conductivity_W_per_mK < 0.065 && layer.thickness_m >= 0.03;
}

bool is_masonry(const fabric::Layer& layer)
{
    return layer.has_capacity() && layer.material.density_kg_per_m3 > 1000.0 && layer.thickness_m >= 0.09;
}

/// Why a build-up to outdoors may be the wrong way round; empty if it looks right.
std::string why_turned(const fabric::Buildup& b)
{
    if (b.layers.size() < 2) return {};
    if (is_inside_finish(b.layers.front().material.name) && !is_inside_finish(b.layers.back().material.name))
        return fmt::format("{} stands outside", b.layers.front().material.name);
    for (std::size_t i = 1; i < b.layers.size(); ++i) {
        if (!insulates(b.layers[i]) || !is_masonry(b.layers[i - 1])) continue;
        const bool light_inside =
            std::none_of(b.layers.begin() + static_cast<std::ptrdiff_t>(i), b.layers.end(), is_masonry);
        if (light_inside && i + 2 >= b.layers.size())
            return fmt::format("{} stands inside of {}, which cuts the room off from its mass",
                               b.layers[i].material.name, b.layers[i - 1].material.name);
    }
    return {};
}

} // namespace

/// Lengths or psi-values in other units.
void BuildingFindings::look_at_bridges()
{
    constexpr double least_W_per_K = 5.0;
    std::vector<double> bridges(building_.rooms.size(), 0.0), fabric = bridges;
    for (const ThermalBridge& bridge : building_.thermal_bridges) bridges[bridge.room] += bridge.heat_loss_W_per_K;
    for (const Surface& s : building_.surfaces) {
        if (s.beyond.kind == Neighbour::Kind::room || s.beyond.kind == Neighbour::Kind::nothing) continue;
        fabric[s.room] += s.net_m2() * u_value(building_, s);
        for (const Opening& o : s.openings) fabric[s.room] += o.area_m2() * u_value(building_, s, o);
    }
    for (std::size_t r = 0; r < bridges.size(); ++r) {
        if (bridges[r] < least_W_per_K || bridges[r] <= fabric[r]) continue;
        const Room& room = building_.rooms[r];
        finding(Severity::warning, codes::large_bridges, room.origin, "room/" + room.name,
                fmt::format("thermal bridges of '{}' lose {}, more than all its walls, windows and floors ({})",
                            room.name, units_.text(bridges[r], Kind::heat_loss, 3),
                            units_.text(fabric[r], Kind::heat_loss, 3)),
                "check their lengths and psi: W/mK or mW/mK");
    }
}

/// A winter that is warmer than what is held.
void BuildingFindings::look_at_winter()
{
    const double winter_C = building_.site.winter.dry_bulb_C;
    for (const Room& room : building_.rooms) {
        if (!room.use.heating_setpoint_C || room.left_out || winter_C < room.use.heating_setpoint_C->value) continue;
        finding(Severity::warning, codes::odd_season, input_.site.winter_dry_bulb.origin, "site/winter_dry_bulb",
                fmt::format("winter is designed for {}, and '{}' is heated to {}",
                            units_.text(winter_C, Kind::temperature), room.name,
                            units_.text(room.use.heating_setpoint_C->value, Kind::temperature)),
                "check the unit: degC or degF");
        return;
    }
}

/// Rooms of one type that have hours of their own, where most have not.
void BuildingFindings::look_at_hours()
{
    std::set<std::uint32_t> told; // hours that stand for several profiles
    for (const RoomTypeInput& type : input_.room_types) {
        if (!type.name) continue;
        for (const auto field :
             {&UseInput::people_profile, &UseInput::lighting_profile, &UseInput::ventilation_profile}) {
            std::map<std::string, std::vector<const RoomInput*>> by_hours;
            std::size_t rooms = 0;
            for (const RoomInput& room : input_.rooms)
                if (room.type && *room.type == *type.name && room.use.*field) {
                    by_hours[*(room.use.*field)].push_back(&room);
                    ++rooms;
                }
            for (const auto& [hours, all] : by_hours) {
                if (rooms < 3 || 3 * all.size() > rooms) continue;
                const quantity::OriginId where = (all.front()->use.*field).origin;
                if (where != quantity::OriginId{} && !told.insert(where.index).second) continue;
                std::vector<std::string> names;
                for (const RoomInput* room : all) names.push_back(value_of(room->name));
                finding(Severity::note, codes::uneven_hours, where, "room/" + names.front(),
                        fmt::format("{} by '{}' in {} of {} rooms of the type '{}': {}", spec_of(field).name, hours,
                                    all.size(), rooms, *type.name, quantity::listed(names, 4)),
                        "give them the hours of their type, or a type of their own");
            }
        }
    }
}

/// Hours that never come, of something that is there.
void BuildingFindings::look_at_calendars()
{
    std::set<std::size_t> looked_at;
    const auto look = [&](std::size_t calendar, const Room& room, std::string_view what) {
        if (!looked_at.insert(calendar).second) return;
        const calendar::Calendar& c = building_.calendars[calendar];
        if (c.name == "never" || calendar::full_load_hours(c, 0, building_.project.year) > 0.0) return;
        finding(Severity::warning, codes::never_opens, room.origin, "room/" + room.name,
                fmt::format("'{}' never opens in {}, and in room '{}' something goes by it: {}", c.name,
                            building_.project.year, room.name, what),
                "check its rules, or say \"never\"");
    };
    for (const Room& room : building_.rooms) {
        for (const Gain& gain : room.use.gains) look(gain.profile, room, gain.name);
        if (room.use.heating_setback) look(room.use.heating_setback->profile, room, "heating hours");
        if (room.use.cooling_setback) look(room.use.cooling_setback->profile, room, "cooling hours");
        if (room.outdoor_air_by_plan_m3_per_s() > 0.0) look(room.use.ventilation_profile, room, "ventilation");
    }
}

void BuildingFindings::look_at_left_out()
{
    std::map<std::size_t, std::set<std::string>> beside;
    for (std::size_t r = 0; r < building_.rooms.size(); ++r)
        if (building_.rooms[r].left_out) beside[r];
    for (const Surface& s : building_.surfaces) {
        if (s.beyond.kind != Neighbour::Kind::room) continue;
        for (const auto& [left, other] : {std::pair{s.room, s.beyond.room}, {s.beyond.room, s.room}})
            if (building_.rooms[left].left_out && building_.rooms[other].use.heating_setpoint_C)
                beside[left].insert(building_.rooms[other].name);
    }
    for (const auto& [left, others] : beside) {
        const Room& room = building_.rooms[left];
        const std::string out =
            fmt::format("room '{}' is left out: it stands, but has no loads and counts in no sum", room.name);
        if (others.empty())
            finding(Severity::note, codes::left_out, room.origin, "room/" + room.name, out,
                    "leave_out = \"no\" brings it back");
        else
            finding(Severity::warning, codes::left_out, room.origin, "room/" + room.name,
                    fmt::format("{}. Heated rooms stand beside it and lose heat to it as to an unheated room: {}", out,
                                quantity::listed(std::vector<std::string>(others.begin(), others.end()), 4)),
                    "if it is heated by others, state what lies behind their walls, or bring it back");
    }
}

/// Heat that rooms send into the voids over their ceilings, where no room is the void.
void BuildingFindings::look_at_voids()
{
    std::vector<std::string> names;
    double heat_W = 0.0;
    quantity::OriginId where;
    for (std::size_t r = 0; r < building_.rooms.size(); ++r) {
        const Room& room = building_.rooms[r];
        double here_W = 0.0;
        for (const Gain& gain : room.use.gains) here_W += gain.to_void_W;
        if (here_W <= 0.0 || room.void_room) continue;
        if (names.empty()) {
            const Given<double>& lights = input_.rooms[r].use.lighting_to_void;
            where = lights && *lights > 0.0 ? lights.origin : room.origin;
        }
        names.push_back(room.name);
        heat_W += here_W;
    }
    if (names.empty()) return;
    finding(
        Severity::note, codes::heat_out, where, "room/" + names.front(),
        fmt::format("{:.0f} W of heat into voids over ceilings leave the building and load nothing, in {} room{}: {}",
                    heat_W, names.size(), names.size() == 1 ? "" : "s", quantity::listed(names, 4)),
        "name the room that is the void (void_room); or leave it so if the air there is drawn off to outdoors");
}

void BuildingFindings::look_at_build_ups()
{
    std::set<std::size_t> seen;
    std::set<std::size_t> panes;
    for (const Surface& s : building_.surfaces) {
        for (const Opening& o : s.openings) {
            if (o.kind != Opening::Kind::window || !panes.insert(o.glazing).second) continue;
            const fabric::Glazing& g = building_.glazings[o.glazing].values;
            constexpr double least = 0.4, most = 6.0;
            if (g.u_value_W_per_m2K >= least && g.u_value_W_per_m2K <= most) continue;
            finding(Severity::warning, codes::unusual_u, building_.rooms[s.room].origin, "glazing/" + g.name,
                    fmt::format("glazing '{}' has a U-value of {}; windows have {} to {}", g.name,
                                units_.text(g.u_value_W_per_m2K, Kind::heat_transfer, 3),
                                units_.text(least, Kind::heat_transfer, 2), units_.text(most, Kind::heat_transfer, 2)),
                    "check its unit");
        }
        const bool outdoors = s.beyond.kind == Neighbour::Kind::outdoors;
        if (!(outdoors || s.beyond.kind == Neighbour::Kind::ground) || !seen.insert(s.build_up).second) continue;
        const NamedBuildup& b = building_.build_ups[s.build_up];
        const double u = u_value(building_, s);
        const std::string subject = "build_up/" + b.layers.name;
        constexpr double least = 0.06, most = 3.0;
        if (u < least || u > most)
            finding(Severity::warning, codes::unusual_u, b.origin, subject,
                    fmt::format("'{}' has a U-value of {} as {} of '{}'; few are outside {} to {}", b.layers.name,
                                units_.text(u, Kind::heat_transfer, 3), s.parent, building_.rooms[s.room].name,
                                units_.text(least, Kind::heat_transfer, 2), units_.text(most, Kind::heat_transfer, 2)),
                    "check thickness and conductivity of its layers: mm or m?");
        if (const std::string why = outdoors && !b.typed ? why_turned(b.layers) : std::string{}; !why.empty())
            finding(Severity::warning, codes::turned_round, b.origin, subject,
                    fmt::format("'{}' may be the wrong way round: {}", b.layers.name, why),
                    "layers run from outside to inside; if it is meant so, accept this finding");
    }
}

/// Rooms below the project's zero where nobody said how high the ground outside is.
void BuildingFindings::look_at_cellars()
{
    constexpr double cellar_m = -0.5; // a crawl space; less may be a step in the floor
    std::set<std::size_t> in_the_open;
    for (const Surface& s : building_.surfaces)
        if (s.attitude == Attitude::wall && s.beyond.kind == Neighbour::Kind::outdoors &&
            building_.rooms[s.room].on_plan && building_.rooms[s.room].floor_m <= cellar_m)
            in_the_open.insert(s.room);
    if (in_the_open.empty()) return;
    std::vector<std::string> names;
    for (const std::size_t r : in_the_open) names.push_back(building_.rooms[r].name);
    std::ranges::sort(names);
    finding(Severity::warning, codes::under_zero, building_.rooms[*in_the_open.begin()].origin, "ground/level",
            fmt::format("nobody said how high the ground outside is: walls of rooms below zero are taken to stand in "
                        "the open ({})",
                        quantity::listed(names, 4)),
            "type [ground] level, the height of the ground outside; walls below it then stand in the ground");
}

/// Floors without a room below that lie a little above the ground outside.
void BuildingFindings::look_at_fill()
{
    constexpr double rounding_m = 0.001;
    const Given<double>& level = input_.ground.level;
    std::set<std::string> on_fill;
    for (const Surface& s : building_.surfaces)
        if (s.attitude == Attitude::floor && s.beyond.kind == Neighbour::Kind::ground &&
            building_.rooms[s.room].floor_m > *level + rounding_m)
            on_fill.insert(building_.rooms[s.room].name);
    if (on_fill.empty()) return;
    finding(Severity::note, codes::assumed, level.origin, "ground/level",
            fmt::format("floors up to {} above the ground outside are taken to lie on fill, not in the open: {}",
                        units_.text(deepest_fill_m, Kind::length),
                        quantity::listed(std::vector<std::string>(on_fill.begin(), on_fill.end()), 6)),
            "say [[room.face]] on = \"floor\", beyond = \"outdoors\" where air passes under one");
}

/// Floors above the ground outside where its height is said, cellars where it is not.
void BuildingFindings::look_at_ground_level()
{
    const Given<double>& level = input_.ground.level;
    const bool is_said = level && input_.origins.at(level.origin).kind != quantity::OriginKind::computed;
    is_said ? look_at_fill() : look_at_cellars();
}

const BuildingFindings::Rule BuildingFindings::rules[] = {
    &BuildingFindings::look_at_hours,   &BuildingFindings::look_at_calendars, &BuildingFindings::look_at_left_out,
    &BuildingFindings::look_at_voids,   &BuildingFindings::look_at_build_ups, &BuildingFindings::look_at_ground_level,
    &BuildingFindings::look_at_bridges, &BuildingFindings::look_at_winter,
};

void BuildingFindings::look_over()
{
    for (const Rule& rule : rules) (this->*rule)();
}

void look_over_building(Work& work)
{
    look_over_rooms(work);
    BuildingFindings{work}.look_over();
    look_for_idle_hours(work);
}

} // namespace venture::resolve
