#include <algorithm>

#include <venture/building/faces.hpp>
#include <venture/building/resolver.hpp>

namespace venture::building::detail {

namespace codes = quantity::codes;
using quantity::Severity;

Ring Resolver::outline_of(const RoomInput& room)
{
    const auto place = room.name.origin;
    if (room.corners && (room.size || room.at)) {
        problem(codes::contradiction, room.corners.origin, "corners: stands beside at or size",
                "give one or the other");
        return {};
    }
    Ring ring;
    if (room.corners) {
        for (const quantity::Point p : *room.corners) ring.push_back({to_grid(p.x_m), to_grid(p.y_m)});
        if (!is_simple(ring)) {
            problem(codes::outline, room.corners.origin,
                    fmt::format("corners: the outline of '{}' crosses itself, has a point twice, or encloses nothing",
                                room.name ? *room.name : ""),
                    "list at least three corners in the order of a walk round the room");
            return {};
        }
    } else if (room.size) {
        const QuantityList at = room.at ? *room.at : QuantityList{0.0, 0.0};
        if (at.size() != 2 || (*room.size).size() != 2 || (*room.size)[0] <= 0.0 || (*room.size)[1] <= 0.0) {
            problem(codes::outline, room.size.origin, "size: expected two lengths above 0, along x and along y");
            return {};
        }
        ring = rectangle(to_grid(at[0]), to_grid(at[1]), to_grid(at[0] + (*room.size)[0]),
                         to_grid(at[1] + (*room.size)[1]))
                   .outline;
    } else {
        problem(codes::outline, place, fmt::format("room '{}' has no shape", room.name ? *room.name : ""),
                "give size = [x, y] and at = [x, y], or corners = [[x, y], ...]");
        return {};
    }
    if (area_m2(ring) < 0.0) std::ranges::reverse(ring);
    return ring;
}

namespace {

/// Looks values of a use up: the room's own, then its type's; the key's default is the last resort.
class UseReader {
public:
    UseReader(const UseInput& own, const RoomTypeInput* type, quantity::OriginPool& origins, Room& room)
        : own_{own},
          type_{type},
          origins_{origins},
          room_{room}
    {
    }

    template <class T>
    std::optional<Sourced<T>> given(Given<T> UseInput::*field)
    {
        if (own_.*field) {
            ++room_.values_given;
            return Sourced<T>{*(own_.*field), (own_.*field).origin};
        }
        if (type_ != nullptr && type_->use.*field) {
            ++room_.values_by_type;
            const auto& from = type_->use.*field;
            const auto origin = origins_.add({.kind = quantity::OriginKind::room_type,
                                              .text = type_->name ? *type_->name : "",
                                              .parent = from.origin});
            return Sourced<T>{*from, origin};
        }
        return std::nullopt;
    }

    Sourced<double> number(Given<double> UseInput::*field)
    {
        if (auto value = given(field)) return *value;
        ++room_.values_by_default;
        const KeySpec& spec = spec_of(field);
        return {spec.default_value.value_or(0.0),
                origins_.add({.kind = quantity::OriginKind::default_value, .text = std::string{spec.default_source}})};
    }

    Sourced<std::string> text(Given<std::string> UseInput::*field)
    {
        if (auto value = given(field)) return *value;
        return {};
    }

private:
    const UseInput& own_;
    const RoomTypeInput* type_;
    quantity::OriginPool& origins_;
    Room& room_;
};

} // namespace

Use Resolver::use_of(const RoomInput& given, Room& room)
{
    const RoomTypeInput* type = nullptr;
    if (given.type)
        if (const auto index = find("room type", given.type, input_.room_types,
                                    [](const RoomTypeInput& t) { return t.name ? *t.name : std::string{}; }))
            type = &input_.room_types[*index];
    UseReader read{given.use, type, building_.origins, room};
    using U = UseInput;
    Use use{.heating_setpoint_C = read.given(&U::heating_setpoint),
            .cooling_setpoint_C = read.given(&U::cooling_setpoint),
            .humidity_limit = read.given(&U::humidity_limit)};
    const auto control = read.given(&U::control);
    use.control_operative = !control || control->value == "operative";
    use.people = read.number(&U::people);
    use.sensible_per_person_W = read.number(&U::sensible_per_person);
    use.latent_per_person_W = read.number(&U::latent_per_person);
    use.lighting_W_per_m2 = read.number(&U::lighting);
    use.equipment_W_per_m2 = read.number(&U::equipment);
    use.equipment_W = read.number(&U::equipment_power);
    use.moisture_kg_per_s = read.number(&U::moisture);
    use.infiltration_per_h = read.number(&U::infiltration);
    use.ventilation_per_person_m3_per_s = read.number(&U::ventilation_per_person);
    use.ventilation_per_area_m_per_s = read.number(&U::ventilation_per_area);
    use.ventilation_per_h = read.number(&U::ventilation_rate);
    use.furniture_J_per_m2K = read.number(&U::furniture);
    use.heated_by = read.text(&U::heated_by);
    use.cooled_by = read.text(&U::cooled_by);
    const auto profile = [&](Given<std::string> U::*field) -> std::size_t {
        const auto name = read.given(field);
        if (!name) return 0;
        return find("profile", Given<std::string>{name->value, name->origin}, building_.profiles,
                    [](const calendar::Profile& p) { return p.name; })
            .value_or(0);
    };
    use.people_profile = profile(&U::people_profile);
    use.lighting_profile = profile(&U::lighting_profile);
    use.equipment_profile = profile(&U::equipment_profile);
    use.moisture_profile = profile(&U::moisture_profile);
    use.ventilation_profile = profile(&U::ventilation_profile);
    return use;
}

void Resolver::check_use(const RoomInput& given, const Room& room)
{
    const Use& use = room.use;
    if (use.heating_setpoint_C && use.cooling_setpoint_C &&
        use.heating_setpoint_C->value > use.cooling_setpoint_C->value)
        problem(codes::contradiction, use.cooling_setpoint_C->origin,
                fmt::format("room '{}' would be heated to {:g} degC and cooled to {:g} degC at once", room.name,
                            use.heating_setpoint_C->value, use.cooling_setpoint_C->value));
    if (use.cooling_setpoint_C && input_.site.months.empty())
        problem(codes::missing, use.cooling_setpoint_C->origin,
                fmt::format("room '{}' is to be cooled, but the site has no design month", room.name),
                "add [[site.month]] tables for the months that may be the hardest");
    if (use.humidity_limit && !use.cooling_setpoint_C)
        problem(codes::contradiction, use.humidity_limit->origin,
                fmt::format("room '{}' has a humidity limit but no cooling set-point: nothing dries it", room.name));
    if (use.people.value > 0.0 && room.outdoor_air_by_plan_m3_per_s() <= 0.0)
        problem(codes::no_outdoor_air, given.name.origin,
                fmt::format("room '{}' holds {:g} people and has no ventilation, only leakage", room.name,
                            use.people.value),
                "give ventilation_per_person, ventilation_per_area or ventilation_rate")
            .severity = Severity::warning;
}

void Resolver::add_rooms()
{
    if (input_.rooms.empty())
        problem(codes::missing, {}, "the project has no rooms", "add at least one [[room]] with name, storey and size");
    for (const RoomInput& given : input_.rooms) {
        Room room{
            .name = given.name ? *given.name : "", .type = given.type ? *given.type : "", .origin = given.name.origin};
        std::optional<std::size_t> storey;
        if (given.storey)
            storey = find("storey", given.storey, building_.storeys, [](const Storey& s) { return s.name; });
        room.use = use_of(given, room);
        if (!numbers_sound_) continue; // a length out of bounds is no shape
        const Ring ring = outline_of(given);
        if (!storey || ring.empty()) continue;
        room.storey = *storey;
        room.outline = {ring, {}};
        room.floor_m = building_.storeys[*storey].level_m;
        room.height_m = given.height ? *given.height : building_.storeys[*storey].height_m;
        room.floor_area_m2 = area_m2(room.outline);
        room.volume_m3 = room.floor_area_m2 * room.height_m;
        check_use(given, room);
        building_.rooms.push_back(std::move(room));
    }
    if (building_.rooms.size() != input_.rooms.size()) return;
    for (const auto& [a, b] : overlapping_rooms(building_.rooms))
        problem(codes::overlap, building_.rooms[b].origin,
                fmt::format("rooms '{}' and '{}' stand in the same place", building_.rooms[a].name,
                            building_.rooms[b].name),
                "check at, size, storey and height of both");
    for (const NearMiss& miss : near_misses(building_.rooms))
        problem(
            codes::near_miss, building_.rooms[miss.second].origin,
            fmt::format(
                "rooms '{}' and '{}' face each other {} {:.0f} mm and do not touch: both are taken to face outdoors",
                building_.rooms[miss.first].name, building_.rooms[miss.second].name,
                miss.above ? "above and below, across" : "across", 1000.0 * miss.gap_m),
            miss.above ? "heights are floor to floor" : "lengths are to wall centre lines")
            .severity = Severity::warning;
}

} // namespace venture::building::detail
