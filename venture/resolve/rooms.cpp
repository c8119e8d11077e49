#include <algorithm>

#include <venture/resolve/faces.hpp>
#include <venture/resolve/resolver.hpp>
#include <venture/resolve/slopes.hpp>

namespace venture::resolve {

namespace codes = quantity::codes;
using quantity::Kind;
using quantity::Severity;

std::optional<Setback> Resolver::setback_of(const Given<double>& temperature, const Given<std::string>& profile,
                                            const Given<double>& ramp)
{
    if (!temperature) return std::nullopt;
    return Setback{sourced(temperature), profile_called(profile), value_of(ramp)};
}

Use Resolver::use_of(const UseInput& given)
{
    const auto if_typed = [](const Given<double>& value) {
        return value ? std::optional{sourced(value)} : std::nullopt;
    };
    return {.heating_setpoint_C = if_typed(given.heating_setpoint),
            .cooling_setpoint_C = if_typed(given.cooling_setpoint),
            .humidity_limit = if_typed(given.humidity_limit),
            .heating_setback = setback_of(given.heating_setback, given.heating_profile, given.preheating),
            .cooling_setback = setback_of(given.cooling_setback, given.cooling_profile, given.precooling),
            .stratification_K = value_of(given.stratification),
            .moisture_buffer = value_of(given.moisture_buffer),
            .control_operative = value_of(given.control) != "air",
            .people = sourced(given.people),
            .sensible_per_person_W = sourced(given.sensible_per_person),
            .latent_per_person_W = sourced(given.latent_per_person),
            .lighting_W_per_m2 = sourced(given.lighting),
            .equipment_W_per_m2 = sourced(given.equipment),
            .equipment_W = sourced(given.equipment_power),
            .moisture_kg_per_s = sourced(given.moisture),
            .infiltration_per_h = sourced(given.infiltration),
            .infiltration_summer_per_h =
                given.infiltration_summer ? sourced(given.infiltration_summer) : sourced(given.infiltration),
            .ventilation_per_person_m3_per_s = sourced(given.ventilation_per_person),
            .ventilation_per_area_m_per_s = sourced(given.ventilation_per_area),
            .ventilation_per_h = sourced(given.ventilation_rate),
            .ventilation_m3_per_s = sourced(given.ventilation_flow),
            .furniture_J_per_m2K = sourced(given.furniture),
            .heating_limit_W = if_typed(given.heating_limit),
            .cooling_limit_W = if_typed(given.cooling_limit),
            .radiant_share = sourced(given.radiant_share),
            .people_profile = profile_called(given.people_profile),
            .lighting_profile = profile_called(given.lighting_profile),
            .equipment_profile = profile_called(given.equipment_profile),
            .moisture_profile = profile_called(given.moisture_profile),
            .ventilation_profile = profile_called(given.ventilation_profile),
            .heated_by = sourced(given.heated_by),
            .cooled_by = sourced(given.cooled_by)};
}

namespace {

constexpr std::string_view says_of_others = "hours"; ///< a key that stands for three others, which are looked at

} // namespace

void Resolver::count_origins(const UseInput& given, Room& room) const
{
    const ConstRecord use{given};
    for (const Key& key : use.keys()) {
        if (!use.is_given(key) || key.spec.name == says_of_others) continue;
        const auto kind = input_.origins.at(use.origin(key)).kind;
        if (kind == quantity::OriginKind::inherited)
            ++room.values_by_type;
        else if (kind == quantity::OriginKind::default_value)
            ++room.values_by_default;
        else
            ++room.values_given;
    }
}

namespace {

std::string as_text(const ConstRecord& record, const Key& key)
{
    return key.shape == quantity::ValueShape::number ? quantity::print_quantity(*record.at<double>(key), key.spec.kind)
                                                     : fmt::format("'{}'", *record.at<std::string>(key));
}

bool is_equal(const ConstRecord& a, const ConstRecord& b, const Key& key)
{
    return key.shape == quantity::ValueShape::number ? *a.at<double>(key) == *b.at<double>(key)
                                                     : *a.at<std::string>(key) == *b.at<std::string>(key);
}

} // namespace

/// What a room says itself although its type does.
void Resolver::list_overruled(const RoomInput& given, Room& room) const
{
    const ConstRecord own{given.use};
    for (const RoomTypeInput* type : types_of(given)) {
        const ConstRecord theirs{type->use};
        for (const Key& key : own.keys()) {
            if (key.spec.name == says_of_others || !own.is_given(key) || !theirs.is_given(key)) continue;
            const auto kind = input_.origins.at(own.origin(key)).kind;
            const bool typed = kind != quantity::OriginKind::inherited && kind != quantity::OriginKind::default_value;
            if (!typed || is_equal(own, theirs, key) ||
                std::ranges::find(room.overruled, key.spec.name, &OverruledValue::key) != room.overruled.end())
                continue;
            room.overruled.push_back({std::string{key.spec.name}, as_text(own, key), as_text(theirs, key)});
        }
    }
}

/// @param away  sign of the way in which a setback lies from its set-point
void Resolver::check_setback(const Room& room, std::string_view what, const Given<double>& setback,
                             const Given<std::string>& profile, const Given<double>& ramp,
                             const std::optional<Sourced<double>>& setpoint, double away)
{
    const auto says = [&](quantity::OriginId where, std::string text, std::string hint) {
        problem(codes::contradiction, where, fmt::format("room '{}' {}", room.name, text), std::move(hint));
    };
    if (!setback) {
        const auto& typed = profile ? profile.origin : ramp.origin;
        if (profile || ramp)
            says(typed, fmt::format("says when {} holds, but has no {}_setback to go to", what, what),
                 fmt::format("type {}_setback, or leave the others out", what));
        return;
    }
    if (!setpoint)
        says(setback.origin, fmt::format("has a {}_setback but no {} set-point", what, what),
             fmt::format("type {}_setpoint", what));
    else if (away * (*setback - setpoint->value) < 0.0)
        says(setback.origin,
             fmt::format("has a {} set-point of {} and a setback of {}, which asks for more", what,
                         units_.text(setpoint->value, Kind::temperature), units_.text(*setback, Kind::temperature)),
             "swap the two, or mend one");
    if (!profile)
        says(setback.origin, fmt::format("has a {}_setback, but no profile says when", what),
             fmt::format("type {}_profile, the name of a [[profile]]", what));
}

void Resolver::check_use(const RoomInput& given, const Room& room)
{
    const Use& use = room.use;
    if (use.heating_setpoint_C && use.cooling_setpoint_C &&
        use.heating_setpoint_C->value > use.cooling_setpoint_C->value)
        problem(codes::contradiction, use.cooling_setpoint_C->origin,
                fmt::format("room '{}' would be heated to {} and cooled to {} at once", room.name,
                            units_.text(use.heating_setpoint_C->value, Kind::temperature),
                            units_.text(use.cooling_setpoint_C->value, Kind::temperature)),
                "keep some kelvin between the two");
    check_setback(room, "heating", given.use.heating_setback, given.use.heating_profile, given.use.preheating,
                  use.heating_setpoint_C, -1.0);
    check_setback(room, "cooling", given.use.cooling_setback, given.use.cooling_profile, given.use.precooling,
                  use.cooling_setpoint_C, 1.0);
    if (use.cooling_setpoint_C && input_.site.months.empty())
        problem(codes::missing, use.cooling_setpoint_C->origin,
                fmt::format("room '{}' is to be cooled, but the site has no design month", room.name),
                "add [[site.month]] tables for the months that may be the hardest");
    if (use.humidity_limit && !use.cooling_setpoint_C)
        problem(codes::contradiction, use.humidity_limit->origin,
                fmt::format("room '{}' has a humidity limit but no cooling set-point: nothing dries it", room.name));
}

void Resolver::add_room(RoomInput& given, const RoomOutline& outline)
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
    if (given.type)
        (void)find("room type", given.type, input_.room_types, [](const RoomTypeInput& t) { return value_of(t.name); });
    room.use = use_of(given.use);
    count_origins(given.use, room);
    list_overruled(given, room);
    if (!numbers_sound_ || !storey || outline.ring.empty()) return; // a length out of bounds is no shape
    room.storey = *storey;
    room.outline = {outline.ring, outline.holes};
    room.on_plan = outline.on_plan;
    room.floor_m = building_.storeys[*storey].level_m;
    room.height_m = value_of(given.height);
    room.floor_area_m2 = outline.typed_m2;
    room.volume_m3 = room.floor_area_m2 * room.height_m;
    if (!outline.faces.empty()) set_solid(room, outline);
    add_slopes(given, room);
    take_out_voids(given, room);
    set_people(given, room);
    leave_out(given, room);
    check_use(given, room);
    check_type_fits(given, room);
    building_.rooms.push_back(std::move(room));
}

/// Voids over ceilings and under floors are no air of the room.
void Resolver::take_out_voids(const RoomInput& given, Room& room)
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

void Resolver::add_slopes(const RoomInput& given, Room& room)
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

void Resolver::add_rooms()
{
    if (input_.rooms.empty())
        problem(codes::missing, {}, "the project has no rooms", "add at least one [[room]] with name, storey and size");
    building_.dimensions =
        chosen(input_.plan.dimensions, spec_of(&PlanInput::dimensions).choices, PlanDimensions::centre_lines);
    std::vector<RoomOutline> outlines = find_outlines();
    cut_perimeters(outlines);
    drop_absent_rooms(outlines);
    for (std::size_t r = 0; r < input_.rooms.size(); ++r) add_room(input_.rooms[r], outlines[r]);
    if (building_.rooms.size() != input_.rooms.size()) return;
    for (std::size_t r = 0; r < input_.rooms.size(); ++r) {
        for (const TransferAirInput& air : input_.rooms[r].transfer_air) add_transfer_air(air, r);
        set_thermostat(input_.rooms[r].thermostat_in, r);
        set_typed_loads(input_.rooms[r], building_.rooms[r]);
        if (const Given<std::string>& over = input_.rooms[r].void_room)
            building_.rooms[r].void_room = other_room("void_room", over, r);
    }
    spread_dwelling();
    add_gains();
    for (const auto& [a, b] : overlapping_rooms(building_.rooms))
        problem(codes::overlap, building_.rooms[b].origin,
                fmt::format("rooms '{}' and '{}' stand in the same place", building_.rooms[a].name,
                            building_.rooms[b].name),
                "check at, size, storey and height of both");
    for (const NearMiss& miss : near_misses(building_.rooms)) tell_near_miss(miss);
}

/// A room that another one names, and that is not itself.
std::optional<std::size_t> Resolver::other_room(std::string_view key, const Given<std::string>& name, std::size_t room)
{
    const auto found = find("room", name, building_.rooms, [](const Room& r) { return r.name; });
    if (found != room) return found;
    problem(codes::contradiction, name.origin, fmt::format("{}: room '{}' names itself", key, *name),
            "name another room, or leave it out");
    return std::nullopt;
}

void Resolver::add_transfer_air(const TransferAirInput& given, std::size_t room)
{
    if (!given.from || !given.flow) return; // told already
    const auto from = other_room("transfer_air", given.from, room);
    if (!from) return;
    building_.transfer_air.push_back({.from = *from,
                                      .to = room,
                                      .flow_m3_per_s = *given.flow,
                                      .profile = profile_called(given.profile),
                                      .both_ways = value_of(given.way) == "both",
                                      .origin = given.flow.origin});
}

void Resolver::set_typed_loads(const RoomInput& given, Room& room)
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

void Resolver::set_thermostat(const Given<std::string>& governing, std::size_t room)
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

/// Air that goes on into other rooms must have come in.
void Resolver::check_air_balance()
{
    constexpr double rounding = 1e-9;
    for (std::size_t r = 0; r < building_.rooms.size(); ++r) {
        const Room& room = building_.rooms[r];
        double in = room.outdoor_air_by_plan_m3_per_s() + room.use.infiltration_per_h.value * room.volume_m3 / 3600.0,
               out = 0.0;
        quantity::OriginId where{};
        for (const TransferAir& air : building_.transfer_air) {
            if (air.both_ways) continue;
            if (air.to == r) in += air.flow_m3_per_s;
            if (air.from != r) continue;
            out += air.flow_m3_per_s;
            where = air.origin;
        }
        if (out <= in + rounding) continue;
        finding(Severity::warning, codes::air_balance, where, "room/" + room.name,
                fmt::format("room '{}' passes {} on to other rooms, but only {} come into it", room.name,
                            units_.text(out, Kind::air_flow), units_.text(in, Kind::air_flow)),
                "give it the ventilation, leakage or transfer air that it passes on, or mend the flow");
    }
}

void Resolver::tell_near_miss(const NearMiss& miss)
{
    const Room &first = building_.rooms[miss.first], &second = building_.rooms[miss.second];
    const std::string hint = miss.above ? "heights are floor to floor"
                             : value_of(input_.plan.dimensions) == "inside faces"
                                 ? "this wall faces another room as well, across another distance: mend the plan"
                                 : "lengths are to wall centre lines unless [plan] dimensions says otherwise";
    finding(Severity::warning, codes::near_miss, second.origin,
            fmt::format("room/{} and room/{}", first.name, second.name),
            fmt::format(
                "rooms '{}' and '{}' face each other {} {:.0f} mm and do not touch: both are taken to face outdoors",
                first.name, second.name, miss.above ? "above and below, across" : "across", 1000.0 * miss.gap_m),
            hint);
}

} // namespace venture::resolve
