#include <venture/resolve/room_findings.hpp>

#include <algorithm>
#include <array>
#include <cmath>

#include <venture/air/moist_air.hpp>
#include <venture/building/cold_faces.hpp>
#include <venture/resolve/pass.hpp>
#include <venture/resolve/types.hpp>

namespace venture::resolve {

namespace codes = quantity::codes;
using quantity::Kind;
using quantity::Severity;

namespace {

class RoomFindings : Pass {
public:
    explicit RoomFindings(Work& work) : Pass{work} {}
    void look_over();

private:
    void look_at_glass();
    void look_at_size(const Room& room);
    void look_at_gains(const Room& room);
    void look_at_moisture(const Room& room);
    void look_at_heat_and_air(const Room& room);
    void look_at_air(const Room& room);
    void look_at_people(const Room& room);
    void look_at_name(const Room& room);
    void look_at_wet_faces();
    [[nodiscard]] bool has_primary_air(const Room& room) const;
    void look_at_sliding();

    using Rule = void (RoomFindings::*)(const Room&);
    static const Rule rules[];
};

constexpr double hour_s = 3600.0, litres = 1000.0;

/// Words of names that tell what a room is for; each row is one use.
constexpr std::array<std::array<std::string_view, 5>, 13> words_of_use = {
    {{"office", "", "", "", ""},
     {"bedroom", "bunk", "", "", ""},
     {"bath", "shower", "changing", "", ""},
     {"corridor", "stair", "passage", "landing", "circulation"},
     {"kitchen", "galley", "", "", ""},
     {"classroom", "", "", "", ""},
     {"toilet", "wc", "", "", ""},
     {"store", "storage", "archive", "", ""},
     {"shop", "sales", "", "", ""},
     {"garage", "", "", "", ""},
     {"plant room", "", "", "", ""},
     {"ward", "", "", "", ""},
     {"staff", "", "", "", ""}}};

bool has_word(const std::string& text, std::string_view word)
{
    const auto at = text.find(word);
    return !word.empty() && at != std::string::npos && (at == 0 || text[at - 1] == ' ');
}

/// The use that a name tells of, if it tells of one alone.
std::optional<std::size_t> use_in(std::string_view name)
{
    const std::string low = quantity::lower_case(name);
    std::optional<std::size_t> found;
    for (std::size_t u = 0; u < words_of_use.size(); ++u)
        for (const std::string_view word : words_of_use[u]) {
            if (!has_word(low, word)) continue;
            if (found && *found != u) return std::nullopt;
            found = u;
        }
    return found;
}

} // namespace

void RoomFindings::look_at_glass()
{
    constexpr double most = 0.9;
    for (const Surface& s : building_.surfaces) {
        const Room& room = building_.rooms[s.room];
        if (room.left_out || s.beyond.kind != Neighbour::Kind::outdoors || s.attitude != Attitude::wall) continue;
        double glass_m2 = 0.0;
        for (const Opening& o : s.openings)
            if (o.kind == Opening::Kind::window) glass_m2 += o.area_m2();
        if (glass_m2 <= most * s.gross_m2) continue;
        finding(
            Severity::warning, codes::glass_share, room.origin, "room/" + room.name,
            fmt::format("room '{}': {:.0f} % of the {} is window", room.name, 100.0 * glass_m2 / s.gross_m2, s.parent),
            "check width, height and count of its windows; a wall to wall centre lines is larger than what one sees");
    }
}

void RoomFindings::look_at_gains(const Room& room)
{
    struct Limit {
        Gain::Kind kind;
        const char* what;
        double most_W_per_m2;
    };
    constexpr std::array<Limit, 3> limits = {{{Gain::Kind::lighting, "lighting", 40.0},
                                              {Gain::Kind::equipment, "equipment", 300.0},
                                              {Gain::Kind::people, "people", 200.0}}};
    for (const Limit& limit : limits) {
        double watts = 0.0;
        quantity::OriginId where{};
        for (const Gain& gain : room.use.gains)
            if (gain.kind == limit.kind) {
                watts += gain.sensible_W() + gain.to_void_W + gain.lost_W;
                where = gain.origin;
            }
        if (watts <= limit.most_W_per_m2 * room.floor_area_m2) continue;
        finding(Severity::warning, codes::unusual_gains, where, "room/" + room.name,
                fmt::format("room '{}': heat of {} comes to {}, more than {}, which few rooms have", room.name,
                            limit.what, units_.text(watts / room.floor_area_m2, Kind::power_per_area, 3),
                            units_.text(limit.most_W_per_m2, Kind::power_per_area)),
                "check the unit: of the whole room or for each square metre; kW or W");
    }
}

/// Where a room is humidified, its coldest faces in winter design against the dew point of what it is held at.
void RoomFindings::look_at_wet_faces()
{
    if (std::ranges::none_of(building_.rooms, [](const Room& r) { return r.use.least_humidity.has_value(); })) return;
    const auto pressure = air::standard_pressure(building_.site.place.height_m);
    const double outdoor_C = building_.site.winter.dry_bulb_C;
    const auto coldest = building::coldest_faces(building_);
    for (std::size_t r = 0; r < building_.rooms.size(); ++r) {
        const Room& room = building_.rooms[r];
        if (!room.use.least_humidity || !room.use.heating_setpoint_C || room.left_out) continue;
        const double room_C = room.use.heating_setpoint_C->value,
                     ratio = room.use.least_humidity->humidity_ratio(room_C, pressure);
        constexpr double least_ratio = 1e-5; // air nearly without water has no dew point to speak of
        if (ratio < least_ratio) continue;
        const double dew_C =
            air::dew_point(air::MoistAir::from_humidity_ratio(quantity::Temperature::celsius(room_C), ratio, pressure))
                .celsius();
        for (const auto& face : {coldest[r].surface, coldest[r].opening}) {
            if (!face || face->temperature_C(room_C, outdoor_C) >= dew_C) continue;
            finding(Severity::warning, codes::wet_face, room.use.least_humidity->origin, "room/" + room.name,
                    fmt::format("room '{}': humidified to {}, its dew point is {} and its {} is at {} inside in "
                                "winter design: it gets wet",
                                room.name, building::in_words(*room.use.least_humidity, units_),
                                units_.text(dew_C, Kind::temperature, 3), face->face,
                                units_.text(face->temperature_C(room_C, outdoor_C), Kind::temperature, 3)),
                    fmt::format("hold it drier while it is cold, or build it warmer: its temperature factor is {:.2f}, "
                                "and it takes {:.2f}",
                                face->temperature_factor, (dew_C - outdoor_C) / (room_C - outdoor_C)));
        }
    }
}

/// A pool gives off 0.1 g/s for each square metre of it.
void RoomFindings::look_at_moisture(const Room& room)
{
    constexpr double most_kg_per_s_m2 = 2e-4;
    double kg_per_s = 0.0;
    quantity::OriginId where{};
    for (const Gain& gain : room.use.gains)
        if (gain.kind != Gain::Kind::people && gain.moisture_kg_per_s > 0.0) {
            kg_per_s += gain.moisture_kg_per_s;
            where = gain.origin;
        }
    if (kg_per_s <= most_kg_per_s_m2 * room.floor_area_m2) return;
    finding(Severity::warning, codes::unusual_gains, where, "room/" + room.name,
            fmt::format("room '{}': {} of water evaporate on {}, more than twice what a pool of that size gives off",
                        room.name, units_.text(kg_per_s, Kind::moisture_flow, 3),
                        units_.text(room.floor_area_m2, Kind::area)),
            "check the unit: g/s, kg/h or kg/s");
}

/// Millimetres typed as metres, feet as metres.
void RoomFindings::look_at_size(const Room& room)
{
    constexpr double least_m2 = 0.5, most_m2 = 20000.0, least_m = 1.5, most_m = 60.0;
    const auto told = [&](const std::string& what) {
        finding(Severity::warning, codes::odd_size, room.origin, "room/" + room.name,
                fmt::format("room '{}' {}, which few rooms are", room.name, what),
                "check the unit of its lengths: m, mm or ft");
    };
    if (room.floor_area_m2 < least_m2 || room.floor_area_m2 > most_m2)
        told(fmt::format("is {} large", units_.text(room.floor_area_m2, Kind::area)));
    else if (room.height_m > most_m)
        told(fmt::format("is {} high", units_.text(room.height_m, Kind::length)));
    const bool is_used = room.use.heating_setpoint_C || room.use.cooling_setpoint_C || room.use.people.value > 0.0;
    if (room.height_m < least_m && is_used) // no one stands in a crawl space, and no one should be said to
        told(fmt::format("is {} high and heated, cooled or holds people", units_.text(room.height_m, Kind::length)));
}

/// Gains at full that the outdoor air of a room nobody cools would have to be warmed by far to carry off.
void RoomFindings::look_at_heat_and_air(const Room& room)
{
    constexpr double most_K = 40.0, air_J_per_m3K = 1200.0, least_W_per_m2 = 5.0;
    if (room.use.cooling_setpoint_C) return;
    const auto r = static_cast<std::size_t>(&room - building_.rooms.data());
    double watts = 0.0;
    for (const Gain& gain : room.use.gains) watts += gain.sensible_W();
    double flow =
        room.outdoor_air_by_plan_m3_per_s() + room.use.infiltration_summer_per_h.value * room.volume_m3 / hour_s;
    for (const TransferAir& air : building_.transfer_air)
        if (air.to == r || (air.both_ways && air.from == r)) flow += air.flow_m3_per_s;
    if (watts < least_W_per_m2 * room.floor_area_m2 || watts <= most_K * air_J_per_m3K * flow) return;
    const auto type = types_of(input_, input_.rooms[r]);
    finding(
        Severity::warning, codes::air_for_heat, room.origin, "room/" + room.name,
        fmt::format("room '{}'{}: {} of gains at full against {} of air, which would have to get {} warmer to carry "
                    "them off, and nothing cools it",
                    room.name, type.empty() ? "" : fmt::format(" of the type '{}'", value_of(type.front()->name)),
                    units_.text(watts, Kind::power), units_.text(flow, Kind::air_flow, 3),
                    units_.text(watts / (air_J_per_m3K * std::max(flow, 1e-9)), Kind::temperature_difference, 3)),
        "give it more ventilation, a hood (lost) or cooling, or mend its gains")
        .cause = type.empty() ? std::string{} : fmt::format("gains against air of '{}'", value_of(type.front()->name));
}

/// Whether a line of primary air means it: what comes by that is looked at where units are chosen.
bool RoomFindings::has_primary_air(const Room& room) const
{
    const std::string& storey = building_.storeys[room.storey].name;
    return std::ranges::any_of(input_.primary_air, [&](const input::PrimaryAirInput& line) {
        const bool named = !line.rooms || std::ranges::any_of(*line.rooms, [&](const quantity::PlacedText& name) {
            return quantity::is_named_like(room.name, name.text);
        });
        return named && (!line.type || *line.type == room.type) && (!line.storey || *line.storey == storey) &&
               value_of(line.flow) > 0.0;
    });
}

void RoomFindings::look_at_air(const Room& room)
{
    const Use& use = room.use;
    const double by_plan = room.outdoor_air_by_plan_m3_per_s(), people = use.people.value;
    const std::string subject = "room/" + room.name;
    if (people > 0.0 && by_plan <= 0.0 && !has_primary_air(room))
        finding(Severity::warning, codes::no_outdoor_air, room.origin, subject,
                fmt::format("room '{}' holds {:.3g} people and has no ventilation, only leakage", room.name, people),
                "give ventilation_per_person, ventilation_per_area, ventilation_rate or ventilation_flow");
    else if (people >= 1.0 && litres * by_plan / people < 1.0)
        finding(Severity::warning, codes::unusual_air, room.origin, subject,
                fmt::format("room '{}': {} of outdoor air for each of {:.3g} people, less than {}", room.name,
                            units_.text(by_plan / people, Kind::air_flow, 2), people,
                            units_.text(1.0 / litres, Kind::air_flow, 2)),
                "check the unit: L/s or m3/h");
    const bool transferred = std::ranges::any_of(building_.transfer_air, [&](const TransferAir& air) {
        return &building_.rooms[air.to] == &room || (air.both_ways && &building_.rooms[air.from] == &room);
    });
    if (use.infiltration_per_h.value <= 0.0 && by_plan <= 0.0 && !transferred)
        finding(
            Severity::warning, codes::unusual_air, use.infiltration_per_h.origin, subject,
            fmt::format("room '{}' gets no air at all: no leakage, no ventilation, none from other rooms", room.name),
            "give infiltration, ventilation or transfer_air");
    const double changes = by_plan * hour_s / room.volume_m3;
    if (use.infiltration_per_h.value > 5.0 || changes > 40.0)
        finding(
            Severity::warning, codes::unusual_air,
            use.infiltration_per_h.value > 5.0 ? use.infiltration_per_h.origin : room.origin, subject,
            fmt::format("room '{}': {:.3g} air changes an hour by leakage and {:.3g} by ventilation, which few rooms "
                        "have",
                        room.name, use.infiltration_per_h.value, changes),
            "check the unit: air changes an hour, L/s or m3/h");
}

void RoomFindings::look_at_name(const Room& room)
{
    const auto named = use_in(room.name), typed = use_in(room.type);
    if (!named || !typed || *named == *typed) return;
    finding(Severity::warning, codes::name_and_use, room.origin, "room/" + room.name,
            fmt::format("room '{}' is of the type '{}'", room.name, room.type), "change its type, or its name");
}

void RoomFindings::look_at_people(const Room& room)
{
    const bool served = room.use.heating_setpoint_C || room.use.cooling_setpoint_C || room.heating_load_W ||
                        room.sensible_load_W || room.latent_load_W;
    if (room.use.people.value <= 0.0 || served) return;
    finding(
        Severity::warning, codes::left_cold, room.origin, "room/" + room.name,
        fmt::format("room '{}' holds {:.3g} people and is neither heated nor cooled", room.name, room.use.people.value),
        "give heating_setpoint or cooling_setpoint, or a type that has one");
}

/// Set-points that follow a profile of shares: between them and the set-back they slide.
void RoomFindings::look_at_sliding()
{
    std::set<std::size_t> told;
    const auto look = [&](const Room& room, std::string_view what, const std::optional<Sourced<double>>& setpoint,
                          const std::optional<Setback>& setback, quantity::OriginId where) {
        if (!setpoint || !setback || !told.insert(setback->profile).second) return;
        const calendar::Calendar& c = building_.calendars[setback->profile];
        for (const calendar::Profile& profile : c.profiles)
            for (const double share : profile.fraction) {
                if (share <= 0.0 || share >= 1.0) continue;
                finding(
                    Severity::warning, codes::sliding, where, "calendar/" + c.name,
                    fmt::format(
                        "{} of '{}' goes by '{}', which has shares between nothing and full: at {:.0f} % of "
                        "it the set-point is {}, between {} and {}",
                        what, room.name, c.name, 100.0 * share,
                        units_.text(std::lerp(setback->temperature_C.value, setpoint->value, share), Kind::temperature),
                        units_.text(setback->temperature_C.value, Kind::temperature),
                        units_.text(setpoint->value, Kind::temperature)),
                    "hours of a set-point are full or nothing (\"08-18\"); shares are for people and gains");
                return;
            }
    };
    for (std::size_t r = 0; r < building_.rooms.size(); ++r) {
        const Room& room = building_.rooms[r];
        const UseInput& given = input_.rooms[r].use;
        look(room, "heating", room.use.heating_setpoint_C, room.use.heating_setback, given.heating_profile.origin);
        look(room, "cooling", room.use.cooling_setpoint_C, room.use.cooling_setback, given.cooling_profile.origin);
    }
}

const RoomFindings::Rule RoomFindings::rules[] = {
    &RoomFindings::look_at_size,         &RoomFindings::look_at_gains, &RoomFindings::look_at_moisture,
    &RoomFindings::look_at_heat_and_air, &RoomFindings::look_at_air,   &RoomFindings::look_at_people,
    &RoomFindings::look_at_name,
};

void RoomFindings::look_over()
{
    look_at_glass();
    look_at_wet_faces();
    for (const Room& room : building_.rooms)
        for (const Rule& rule : rules)
            if (!room.left_out) (this->*rule)(room);
    look_at_sliding();
}

void look_over_rooms(Work& work) { RoomFindings{work}.look_over(); }

} // namespace venture::resolve
