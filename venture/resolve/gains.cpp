#include <venture/resolve/gains.hpp>

#include <algorithm>
#include <cmath>

#include <venture/air/moist_air.hpp>
#include <venture/building/activity.hpp>
#include <venture/resolve/calendars.hpp>
#include <venture/resolve/pass.hpp>

namespace venture::resolve {

namespace codes = quantity::codes;
using quantity::Kind;
using quantity::OriginKind;
using quantity::Severity;

namespace {

class Gains : Pass {
public:
    explicit Gains(Work& work) : Pass{work} {}
    void set_people(RoomInput& given, Room& room);
    void add_gains();

private:
    void set_activity(UseInput& given, Use& use);
    [[nodiscard]] Gain gain_of(const GainInput& given, const Room& room);
};

bool is_default(const quantity::OriginPool& origins, quantity::OriginId id)
{
    return origins.at(id).kind == OriginKind::default_value;
}

/// Heat at full, parted into forms. Shares are of the whole; what is none of them is convective.
struct Parts {
    double radiant = 0.0, latent = 0.0, lost = 0.0, to_void = 0.0;
};

Gain parted(std::string name, Gain::Kind kind, double watts, const Parts& parts)
{
    return {.name = std::move(name),
            .kind = kind,
            .convective_W = watts * (1.0 - parts.radiant - parts.latent - parts.lost - parts.to_void),
            .radiant_W = watts * parts.radiant,
            .moisture_kg_per_s = watts * parts.latent / air::latent_heat_of_vaporisation_J_per_kg,
            .to_void_W = watts * parts.to_void,
            .lost_W = watts * parts.lost};
}

} // namespace

/// Number of people, from the floor area for each of them where that is what was said.
void Gains::set_people(RoomInput& given, Room& room)
{
    const bool by_number = given.use.people && !is_default(input_.origins, given.use.people.origin);
    const Given<double>& area = given.use.area_per_person;
    if (by_number && area)
        problem(codes::contradiction, area.origin,
                fmt::format("people and area_per_person both say how many people '{}' holds", room.name),
                "give one of them; the other one as people_expected, to check it against");
    else if (area && *area > 0.0)
        given.use.people = computed(room.floor_area_m2 / *area, "floor area, by area_per_person", area.origin);
    room.use.people = sourced(given.use.people);
    set_activity(given.use, room.use);
    constexpr double alike = 0.1;
    const Given<double>& expected = given.use.people_expected;
    const double people = room.use.people.value;
    if (!expected || std::abs(people - *expected) <= alike * std::max(people, *expected)) return;
    finding(Severity::warning, codes::people_expected, expected.origin, "room/" + room.name,
            fmt::format("room '{}' holds {:.1f} people, {:g} were expected", room.name, people, *expected),
            "mend people or area_per_person, or what is expected");
}

/// Heat of a person by what people do, at the temperature that is held; loads go on from there.
void Gains::set_activity(UseInput& given, Use& use)
{
    if (!given.activity) return;
    for (const auto field : {&UseInput::sensible_per_person, &UseInput::latent_per_person}) {
        const Given<double>& typed = given.*field;
        if (!typed || is_default(input_.origins, typed.origin)) continue;
        problem(codes::contradiction, typed.origin,
                fmt::format("activity and {} both say what a person gives off", spec_of(field).name),
                "keep one of them");
        return;
    }
    const double room_C = use.cooling_setpoint_C ? use.cooling_setpoint_C->value : 24.0;
    const auto heat = heat_of_person(given.activity.which().value_or(Activity::office_work), room_C);
    const std::string how = fmt::format("'{}' at {}", *given.activity, units_.text(room_C, Kind::temperature));
    given.sensible_per_person = computed(heat.sensible_W, how, given.activity.origin);
    given.latent_per_person = computed(heat.latent_W, how, given.activity.origin);
    use.sensible_per_person_W = sourced(given.sensible_per_person);
    use.latent_per_person_W = sourced(given.latent_per_person);
    use.person_at_C = room_C;
}

Gain Gains::gain_of(const GainInput& given, const Room& room)
{
    const auto kind = given.kind == GainKind::lighting  ? Gain::Kind::lighting
                      : given.kind == GainKind::cooking ? Gain::Kind::cooking
                                                        : Gain::Kind::equipment;
    const Parts parts{.radiant = value_of(given.radiant),
                      .latent = value_of(given.latent),
                      .lost = value_of(given.lost),
                      .to_void = value_of(given.to_void)};
    const quantity::OriginId where = given.name.origin;
    constexpr double rounding = 1e-9;
    if (parts.radiant + parts.latent + parts.lost + parts.to_void > 1.0 + rounding)
        problem(
            codes::contradiction, where,
            fmt::format("gain '{}': its shares come to more than all of it (radiant {:g} %, latent {:g} %, lost {:g} "
                        "%, to the void {:g} %)",
                        *given.name, 100.0 * parts.radiant, 100.0 * parts.latent, 100.0 * parts.lost,
                        100.0 * parts.to_void),
            "lower them; what is none of these goes into the air");
    if (given.power && given.power_per_area)
        problem(codes::contradiction, given.power_per_area.origin,
                fmt::format("gain '{}' has power and power_per_area", *given.name), "keep one of them");
    if (!given.power && !given.power_per_area && !given.moisture && !given.power.refused)
        problem(codes::missing, where, fmt::format("gain '{}' gives off neither heat nor moisture", *given.name),
                "give power, power_per_area or moisture");
    const double count = value_of(given.count),
                 watts = value_of(given.power) * count + value_of(given.power_per_area) * room.floor_area_m2;
    Gain gain = parted(*given.name, kind, watts, parts);
    gain.moisture_kg_per_s += count * value_of(given.moisture);
    gain.profile = profile_called(work_, given.profile);
    gain.origin = where;
    return gain;
}

/// All gains of every room, with diversity.
void Gains::add_gains()
{
    for (std::size_t r = 0; r < building_.rooms.size(); ++r) {
        Room& room = building_.rooms[r];
        if (room.left_out) continue;
        Use& use = room.use;
        const UseInput& given = input_.rooms[r].use;
        const double diversity = value_of(given.gain_diversity), area_m2 = room.floor_area_m2;
        const auto add = [&](Gain gain, std::size_t profile, quantity::OriginId origin, double share) {
            for (double* part :
                 {&gain.convective_W, &gain.radiant_W, &gain.moisture_kg_per_s, &gain.to_void_W, &gain.lost_W})
                *part *= share;
            gain.profile = profile;
            gain.origin = origin;
            const bool any =
                gain.sensible_W() > 0.0 || gain.moisture_kg_per_s > 0.0 || gain.to_void_W > 0.0 || gain.lost_W > 0.0;
            if (any) use.gains.push_back(std::move(gain));
        };
        Gain people = parted("people", Gain::Kind::people, use.people.value * use.sensible_per_person_W.value,
                             {.radiant = value_of(given.people_radiant)});
        people.moisture_kg_per_s =
            use.people.value * use.latent_per_person_W.value / air::latent_heat_of_vaporisation_J_per_kg;
        people.at_room_C = use.person_at_C;
        add(std::move(people), use.people_profile, use.people.origin, diversity);
        const double lighting_W = use.lighting_W_per_m2.value * area_m2 + value_of(given.lighting_power);
        const Parts light{.radiant = value_of(given.lighting_radiant), .to_void = value_of(given.lighting_to_void)};
        if (light.radiant + light.to_void > 1.0)
            problem(codes::contradiction, given.lighting_to_void.origin,
                    fmt::format("room '{}': lighting_radiant and lighting_to_void come to more than all of its light",
                                room.name),
                    "lower one of them");
        add(parted("lighting", Gain::Kind::lighting, lighting_W, light), use.lighting_profile,
            use.lighting_W_per_m2.value > 0.0 ? use.lighting_W_per_m2.origin : given.lighting_power.origin, diversity);
        add(parted("equipment", Gain::Kind::equipment, use.equipment_W_per_m2.value * area_m2 + use.equipment_W.value,
                   {.radiant = value_of(given.equipment_radiant)}),
            use.equipment_profile,
            use.equipment_W_per_m2.value > 0.0 ? use.equipment_W_per_m2.origin : use.equipment_W.origin, diversity);
        add({.name = "moisture", .kind = Gain::Kind::moisture, .moisture_kg_per_s = use.moisture_kg_per_s.value},
            use.moisture_profile, use.moisture_kg_per_s.origin, 1.0);
        for (const GainInput& more : input_.rooms[r].gains) {
            if (!more.name || !is_sound(more)) continue;
            const Gain gain = gain_of(more, room);
            add(gain, gain.profile, gain.origin, diversity);
        }
    }
}

void set_people(Work& work, RoomInput& given, Room& room) { Gains{work}.set_people(given, room); }

void add_gains(Work& work) { Gains{work}.add_gains(); }

} // namespace venture::resolve
