#include <venture/resolve/rooms.hpp>

#include <algorithm>

#include <venture/resolve/air_supplies.hpp>
#include <venture/resolve/calendars.hpp>
#include <venture/resolve/dwelling.hpp>
#include <venture/resolve/faces.hpp>
#include <venture/resolve/gains.hpp>
#include <venture/resolve/outlines.hpp>
#include <venture/resolve/overlaps.hpp>
#include <venture/resolve/pass.hpp>
#include <venture/resolve/perimeter.hpp>
#include <venture/resolve/phases.hpp>
#include <venture/resolve/room_use.hpp>
#include <venture/resolve/slopes.hpp>
#include <venture/resolve/solids.hpp>
#include <venture/resolve/types.hpp>

namespace venture::resolve {

namespace codes = quantity::codes;
using quantity::Kind;
using quantity::Severity;

namespace {

class Rooms : Pass {
public:
    explicit Rooms(Work& work) : Pass{work} {}
    void add_rooms();

private:
    void add_room(RoomInput& given, const RoomOutline& outline);
    void add_slopes(const RoomInput& given, Room& room);
    void take_out_voids(const RoomInput& given, Room& room);
    void tell_near_miss(const NearMiss& miss);
    void add_transfer_air(const TransferAirInput& given, std::size_t room);
    void set_typed_loads(const RoomInput& given, Room& room);
    void set_thermostat(const Given<std::string>& governing, std::size_t room);

    RoomTypes types_{work_};
};

} // namespace

void Rooms::add_room(RoomInput& given, const RoomOutline& outline)
{
    Room room{.name = value_of(given.name), .type = value_of(given.type), .origin = given.name.origin};
    std::optional<std::size_t> storey;
    if (!given.storey && !given.storey.refused)
        problem(codes::missing, given.name.origin,
                fmt::format("[room]{} has no 'storey' (the storey it stands on)",
                            given.name ? fmt::format(" '{}'", room.name) : std::string{}),
                "`venture explain room/storey` tells more")
            .cause = "[room] has no 'storey'";
    if (given.storey) storey = find("storey", given.storey, building_.storeys, [](const Storey& s) { return s.name; });
    room.use = use_of(work_, given.use);
    count_values(work_, given, room);
    if (!work_.numbers_sound || !storey || outline.ring.empty()) return; // a length out of bounds is no shape
    room.storey = *storey;
    room.outline = {outline.ring, outline.holes};
    room.on_plan = outline.on_plan;
    if (const auto under = given.under_floor.which()) room.over_void = *under == input::UnderFloor::ventilated_void;
    room.floor_m = building_.storeys[*storey].level_m;
    room.height_m = value_of(given.height);
    room.floor_area_m2 = outline.typed_m2;
    room.volume_m3 = room.floor_area_m2 * room.height_m;
    if (!outline.faces.empty()) set_solid(room, outline);
    add_slopes(given, room);
    take_out_voids(given, room);
    set_people(work_, given, room);
    leave_out(given, room);
    check_use(work_, given, room);
    types_.check_fit(given, room);
    building_.rooms.push_back(std::move(room));
}

/// Voids over ceilings and under floors are no air of the room.
void Rooms::take_out_voids(const RoomInput& given, Room& room)
{
    const double voids_m = value_of(given.ceiling_void) + value_of(given.floor_void);
    const double left_m3 = room.volume_m3 - voids_m * room.floor_area_m2;
    if (voids_m > 0.0 && !(left_m3 > 0.0))
        problem(codes::contradiction, given.ceiling_void ? given.ceiling_void.origin : given.floor_void.origin,
                fmt::format("the voids of '{}' are {} deep together, which leaves no air in its {} of height",
                            room.name, units_.text(voids_m, Kind::length), units_.text(room.height_m, Kind::length)),
                "mend them, or the height, which runs from floor to floor where there are voids");
    else
        room.volume_m3 = left_m3;
}

void Rooms::add_slopes(const RoomInput& given, Room& room)
{
    if (!given.slopes) return;
    for (const quantity::PlacedText& text : *given.slopes) {
        auto slope = read_slope(text.text, room.outline.outline);
        if (!slope) {
            problem(
                codes::slope, text.origin, fmt::format("'{}' is no slope", text.text),
                "write the side that it rises from, its height above the floor there, and its angle: \"south 1.2 m, "
                "35 deg\"");
            continue;
        }
        double lowest = 1e300;
        for (const GridPoint p : room.outline.outline)
            lowest = std::min(lowest, slope->height_m(to_metres(p.x), to_metres(p.y)));
        if (lowest < -1e-6) {
            problem(codes::slope, text.origin,
                    fmt::format("the {} of '{}' reaches {:.2f} m below the floor", slope->name, room.name, -lowest),
                    "raise its height at the wall, or mend the outline");
            continue;
        }
        room.slopes.push_back(std::move(*slope));
    }
    if (room.slopes.empty()) return;
    if (input_.origins.at(given.height.origin).kind != quantity::OriginKind::file) // the storey's cuts no slope off
        room.height_m = highest_under_slopes_m(room);
    const double whole_m2 = area_m2(room.outline);
    room.volume_m3 = volume_under_slopes_m3(room) * room.floor_area_m2 / whole_m2;
}

void Rooms::add_rooms()
{
    if (input_.rooms.empty())
        problem(codes::missing, {}, "the project has no rooms", "add at least one [[room]] with name, storey and size");
    building_.dimensions = input_.plan.dimensions.which().value_or(PlanDimensions::centre_lines);
    std::vector<RoomOutline> outlines = find_outlines(work_);
    cut_perimeters(work_, outlines);
    drop_absent_rooms(work_, outlines);
    for (std::size_t r = 0; r < input_.rooms.size(); ++r) add_room(work_.input.rooms[r], outlines[r]);
    if (building_.rooms.size() != input_.rooms.size()) return;
    for (std::size_t r = 0; r < input_.rooms.size(); ++r) {
        for (const TransferAirInput& air : input_.rooms[r].transfer_air) add_transfer_air(air, r);
        set_thermostat(input_.rooms[r].thermostat_in, r);
        set_typed_loads(input_.rooms[r], building_.rooms[r]);
        if (const Given<std::string>& over = input_.rooms[r].void_room)
            building_.rooms[r].void_room = other_room("void_room", over, r);
    }
    add_ways_out(work_);
    spread_dwelling(work_);
    add_gains(work_);
    for (const auto& [a, b] : overlapping_rooms(building_.rooms))
        problem(codes::overlap, building_.rooms[b].origin,
                fmt::format("rooms '{}' and '{}' stand in the same place", building_.rooms[a].name,
                            building_.rooms[b].name),
                "check at, size, storey and height of both");
    for (const NearMiss& miss : near_misses(building_.rooms)) tell_near_miss(miss);
}

void Rooms::add_transfer_air(const TransferAirInput& given, std::size_t room)
{
    if (!given.from || !given.flow) return; // told already
    const auto from = other_room("transfer_air", given.from, room);
    if (!from) return;
    building_.transfer_air.push_back({.from = *from,
                                      .to = room,
                                      .flow_m3_per_s = *given.flow,
                                      .profile = profile_called(work_, given.profile),
                                      .both_ways = given.way == AirWay::both,
                                      .origin = given.flow.origin});
}

void Rooms::set_typed_loads(const RoomInput& given, Room& room)
{
    const auto take = [](const Given<double>& typed, std::optional<Sourced<double>>& onto) {
        if (typed) onto = sourced(typed);
    };
    take(given.heating_load, room.heating_load_W);
    take(given.sensible_load, room.sensible_load_W);
    take(given.latent_load, room.latent_load_W);
    room.load_reason = value_of(given.load_reason);
    if (given.heating_load || given.sensible_load)
        finding(Severity::note, codes::typed_load,
                given.heating_load ? given.heating_load.origin : given.sensible_load.origin, "room/" + room.name,
                fmt::format("a load of '{}' is typed and stands instead of the computed one{}", room.name,
                            room.load_reason.empty() ? "" : ": " + room.load_reason),
                room.load_reason.empty() ? "say why in load_reason" : "")
            .inputs = fmt::format("{:.3f} {:.3f} {:.3f}", value_of(given.heating_load), value_of(given.sensible_load),
                                  value_of(given.latent_load));
    if (given.latent_load && !given.sensible_load)
        problem(codes::contradiction, given.latent_load.origin,
                fmt::format("room '{}' has a latent_load without a sensible_load", room.name), "type both");
    if (room.left_out && (given.heating_load || given.sensible_load))
        problem(codes::contradiction, given.leave_out.origin,
                fmt::format("room '{}' is left out and has a typed load", room.name), "keep one of them");
}

void Rooms::set_thermostat(const Given<std::string>& governing, std::size_t room)
{
    if (!governing) return;
    const auto other = other_room("thermostat_in", governing, room);
    if (!other) return;
    if (input_.rooms[*other].thermostat_in)
        problem(codes::contradiction, governing.origin,
                fmt::format("thermostat_in: '{}' has no thermostat of its own, since it names '{}'", *governing,
                            *input_.rooms[*other].thermostat_in),
                "name the room that the thermostat hangs in");
    const Use &own = building_.rooms[room].use, &theirs = building_.rooms[*other].use;
    if (own.heating_setpoint_C.has_value() != theirs.heating_setpoint_C.has_value() ||
        own.cooling_setpoint_C.has_value() != theirs.cooling_setpoint_C.has_value())
        problem(codes::contradiction, governing.origin,
                fmt::format("thermostat_in: '{}' and '{}' are not both heated, or not both cooled",
                            building_.rooms[room].name, *governing),
                "what one thermostat governs has the same kinds of set-points in every room");
    building_.rooms[room].thermostat_in = other;
}

void Rooms::tell_near_miss(const NearMiss& miss)
{
    const Room &first = building_.rooms[miss.first], &second = building_.rooms[miss.second];
    const std::string hint = miss.above ? "heights are floor to floor"
                             : input_.plan.dimensions == PlanDimensions::inside_faces
                                 ? "this wall faces another room as well, across another distance: mend the plan"
                                 : "lengths are to wall centre lines unless [plan] dimensions says otherwise";
    finding(Severity::warning, codes::near_miss, second.origin,
            fmt::format("room/{} and room/{}", first.name, second.name),
            fmt::format(
                "rooms '{}' and '{}' face each other {} {:.0f} mm and do not touch: both are taken to face outdoors",
                first.name, second.name, miss.above ? "above and below, across" : "across", 1000.0 * miss.gap_m),
            hint);
}

void add_rooms(Work& work) { Rooms{work}.add_rooms(); }

} // namespace venture::resolve
