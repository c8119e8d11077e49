#include <algorithm>

#include <venture/building/faces.hpp>
#include <venture/building/resolver.hpp>
#include <venture/building/walk.hpp>

namespace venture::building::detail {

namespace codes = quantity::codes;
using quantity::Severity;

/// The outline of a room that was walked round, from its `at`.
Ring Resolver::walked(const RoomInput& room)
{
    if (room.corners || room.size) {
        problem(codes::contradiction, room.walk.origin, "walk: stands beside size or corners", "give one of them");
        return {};
    }
    const auto read = read_walk(*room.walk);
    if (const auto* wrong = std::get_if<WalkProblem>(&read)) {
        problem(codes::walk, room.walk.origin, "walk: " + wrong->message, wrong->hint);
        return {};
    }
    const Walk& walk = std::get<Walk>(read);
    const QuantityList at = room.at ? *room.at : QuantityList{0.0, 0.0};
    if (at.size() != 2) {
        problem(codes::outline, room.at.origin, "at: expected two lengths, along x and along y");
        return {};
    }
    Ring ring;
    for (const quantity::Point p : walk.corners_m)
        ring.push_back({to_grid(at.at(0) + p.x_m), to_grid(at.at(1) + p.y_m)});
    if (!is_simple(ring)) {
        problem(codes::outline, room.walk.origin,
                fmt::format("walk: the outline of '{}' crosses itself or encloses nothing", value_of(room.name)),
                "a turn or a length may be mistyped");
        return {};
    }
    constexpr double worth_saying_m = 0.0005;
    const auto tell = [&](Severity severity, std::string message, std::string hint) {
        quantity::Problem& finding = problem(codes::walk, room.walk.origin, std::move(message), std::move(hint));
        finding.severity = severity;
        finding.subject = "room/" + value_of(room.name);
    };
    if (walk.missed_m > worth_saying_m)
        tell(Severity::note,
             fmt::format("the walk round '{}' misses its beginning by {:.0f} mm: shared out over its sides",
                         value_of(room.name), 1000.0 * walk.missed_m),
             "measure again if that is more than the tape's error");
    if (!walk.closes_square)
        tell(Severity::warning,
             fmt::format("the walk round '{}' is closed by a side of {:.3f} m that is not square to the others",
                         value_of(room.name), walk.closing_side_m),
             "a side is missing or mistyped, unless that wall does stand at an angle");
    return ring;
}

/// @param what  "room", as messages call it
template <class Record>
Ring Resolver::outline_of(std::string_view what, const Record& record)
{
    if constexpr (requires { record.walk; }) {
        if (record.walk) {
            Ring ring = walked(record);
            if (area_m2(ring) < 0.0) std::ranges::reverse(ring);
            return ring;
        }
    }
    if (record.corners && (record.size || record.at)) {
        problem(codes::contradiction, record.corners.origin, "corners: stands beside at or size",
                "give one or the other");
        return {};
    }
    Ring ring;
    if (record.corners) {
        for (const quantity::Point p : *record.corners) ring.push_back({to_grid(p.x_m), to_grid(p.y_m)});
        if (!is_simple(ring)) {
            problem(codes::outline, record.corners.origin,
                    fmt::format("corners: the outline of '{}' crosses itself, has a point twice, or encloses nothing",
                                value_of(record.name)),
                    fmt::format("list at least three corners in the order of a walk round the {}", what));
            return {};
        }
    } else if (record.size) {
        const QuantityList at = record.at ? *record.at : QuantityList{0.0, 0.0};
        if (at.size() != 2 || (*record.size).size() != 2 || (*record.size)[0] <= 0.0 || (*record.size)[1] <= 0.0) {
            problem(codes::outline, record.size.origin, "size: expected two lengths above 0, along x and along y");
            return {};
        }
        ring = rectangle(to_grid(at[0]), to_grid(at[1]), to_grid(at[0] + (*record.size)[0]),
                         to_grid(at[1] + (*record.size)[1]))
                   .outline;
    } else {
        problem(codes::outline, record.name.origin, fmt::format("{} '{}' has no shape", what, value_of(record.name)),
                "give size = [x, y] and at = [x, y], corners = [[x, y], ...], or a walk");
        return {};
    }
    if (area_m2(ring) < 0.0) std::ranges::reverse(ring);
    return ring;
}

void Resolver::add_obstructions()
{
    if (!numbers_sound_) return;
    for (const ObstructionInput& given : input_.obstructions) {
        Obstruction out{.name = value_of(given.name), .outline = outline_of("obstruction", given)};
        out.base_m = value_of(given.base);
        out.top_m = value_of(given.top);
        if (given.top && out.top_m <= out.base_m)
            problem(codes::contradiction, given.top.origin,
                    fmt::format("obstruction '{}' has its top at {:g} m and its base at {:g} m", out.name, out.top_m,
                                out.base_m),
                    "both are heights above the project's zero");
        out.with_leaves = value_of(given.transmittance);
        out.bare = given.transmittance_bare ? *given.transmittance_bare : out.with_leaves;
        if (!out.outline.empty()) building_.obstructions.push_back(std::move(out));
    }
}

std::size_t Resolver::profile_called(const Given<std::string>& name)
{
    if (!name) return 0;
    return find("profile", name, building_.profiles, [](const calendar::Profile& p) { return p.name; }).value_or(0);
}

std::optional<Setback> Resolver::setback_of(const Given<double>& temperature, const Given<std::string>& profile,
                                            const Given<double>& ramp)
{
    if (!temperature) return std::nullopt;
    return Setback{sourced(temperature), profile_called(profile), ramp ? *ramp : Setback::usual_ramp_h};
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
            .stratification_K = given.stratification ? *given.stratification : 0.0,
            .moisture_buffer = given.moisture_buffer ? *given.moisture_buffer : 1.0,
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

void Resolver::count_origins(const UseInput& given, Room& room) const
{
    for (const auto& key : keys<UseInput>())
        std::visit(
            [&](auto field) {
                if (!(given.*field)) return;
                const auto kind = input_.origins.at((given.*field).origin).kind;
                if (kind == quantity::OriginKind::inherited)
                    ++room.values_by_type;
                else if (kind == quantity::OriginKind::default_value)
                    ++room.values_by_default;
                else
                    ++room.values_given;
            },
            key.field);
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
             fmt::format("has a {} set-point of {:g} degC and a setback of {:g} degC, which asks for more", what,
                         setpoint->value, *setback),
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
                fmt::format("room '{}' would be heated to {:g} degC and cooled to {:g} degC at once", room.name,
                            use.heating_setpoint_C->value, use.cooling_setpoint_C->value));
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
    if (use.people.value > 0.0 && room.outdoor_air_by_plan_m3_per_s() <= 0.0) {
        quantity::Problem& finding =
            problem(codes::no_outdoor_air, given.name.origin,
                    fmt::format("room '{}' holds {:g} people and has no ventilation, only leakage", room.name,
                                use.people.value),
                    "give ventilation_per_person, ventilation_per_area or ventilation_rate");
        finding.severity = Severity::warning;
        finding.subject = "room/" + room.name;
    }
}

void Resolver::add_rooms()
{
    if (input_.rooms.empty())
        problem(codes::missing, {}, "the project has no rooms", "add at least one [[room]] with name, storey and size");
    for (const RoomInput& given : input_.rooms) {
        Room room{.name = value_of(given.name), .type = value_of(given.type), .origin = given.name.origin};
        std::optional<std::size_t> storey;
        if (given.storey)
            storey = find("storey", given.storey, building_.storeys, [](const Storey& s) { return s.name; });
        if (given.type)
            (void)find("room type", given.type, input_.room_types,
                       [](const RoomTypeInput& t) { return value_of(t.name); });
        room.use = use_of(given.use);
        count_origins(given.use, room);
        if (!numbers_sound_) continue; // a length out of bounds is no shape
        const Ring ring = outline_of("room", given);
        if (!storey || ring.empty()) continue;
        room.storey = *storey;
        room.outline = {ring, {}};
        room.floor_m = building_.storeys[*storey].level_m;
        room.height_m = value_of(given.height);
        room.floor_area_m2 = area_m2(room.outline);
        room.volume_m3 = room.floor_area_m2 * room.height_m;
        check_use(given, room);
        building_.rooms.push_back(std::move(room));
    }
    if (building_.rooms.size() != input_.rooms.size()) return;
    for (std::size_t r = 0; r < input_.rooms.size(); ++r) {
        for (const TransferAirInput& air : input_.rooms[r].transfer_air) add_transfer_air(air, r);
        set_thermostat(input_.rooms[r].thermostat_in, r);
    }
    check_air_balance();
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
        quantity::Problem& finding =
            problem(codes::air_balance, where,
                    fmt::format("room '{}' passes {:.1f} L/s on to other rooms, but only {:.1f} L/s come into it",
                                room.name, 1000.0 * out, 1000.0 * in),
                    "give it the ventilation, leakage or transfer air that it passes on, or mend the flow");
        finding.severity = Severity::warning;
        finding.subject = "room/" + room.name;
    }
}

void Resolver::tell_near_miss(const NearMiss& miss)
{
    const Room &first = building_.rooms[miss.first], &second = building_.rooms[miss.second];
    quantity::Problem& finding = problem(
        codes::near_miss, second.origin,
        fmt::format(
            "rooms '{}' and '{}' face each other {} {:.0f} mm and do not touch: both are taken to face outdoors",
            first.name, second.name, miss.above ? "above and below, across" : "across", 1000.0 * miss.gap_m),
        miss.above ? "heights are floor to floor" : "lengths are to wall centre lines");
    finding.severity = Severity::warning;
    finding.subject = fmt::format("room/{} and room/{}", first.name, second.name);
}

} // namespace venture::building::detail
