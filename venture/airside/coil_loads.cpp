#include <venture/airside/coil_loads.hpp>

#include <algorithm>
#include <limits>

#include <fmt/format.h>

#include <venture/air/room_density.hpp>
#include <venture/airside/handled_hour.hpp>
#include <venture/building/air_balance.hpp>
#include <venture/loads/hourly_day.hpp>
#include <venture/quantity/codes.hpp>
#include <venture/quantity/error.hpp>
#include <venture/quantity/preferred_units.hpp>

namespace venture::airside {

using air::Point;
using loads::LoadDay;
using loads::RoomLoad;
using loads::RoomStates;

namespace {

/// What a supply's coils can do for a room, without reheat.
struct Capacity {
    double heating_W = std::numeric_limits<double>::infinity(), cooling_W = heating_W;

    Capacity(const building::AirSupply& supply, double floor_area_m2)
    {
        if (supply.greatest_heating_W_per_m2) heating_W = supply.greatest_heating_W_per_m2->value * floor_area_m2;
        if (supply.greatest_cooling_W_per_m2) cooling_W = supply.greatest_cooling_W_per_m2->value * floor_area_m2;
    }
};

/// A room and its supply.
struct Served {
    const building::AirSupply& supply;
    double returned_share;
    quantity::Pressure pressure;
    Capacity most;
    bool humidified;
};

/// The hours of one room on one day.
class Hours {
public:
    Hours(const Served& served, const RoomStates& states) : served_{served}, s_{states} {}
    /// @param sensible_W  to be given to the room   @param latent_W  taken from it
    [[nodiscard]] HandledHour at(std::size_t h, double sensible_W, double latent_W) const
    {
        const Point zone{s_.air_C[h], s_.humidity_ratio[h]};
        const double moisture = (s_.humidifying_W[h] - latent_W) / air::latent_heat_of_vaporisation_J_per_kg;
        return handled_hour(served_.supply, {.zone = zone,
                                             .outdoor = {s_.outdoor_C[h], s_.outdoor_humidity_ratio[h]},
                                             .leaves = {s_.leaves_C[h], s_.leaves_humidity_ratio[h]},
                                             .sensible_W = sensible_W,
                                             .moisture_kg_per_s = moisture,
                                             .outdoor_kg_per_s = s_.planned_kg_per_s[h],
                                             .humidified = served_.humidified,
                                             .returned_share = served_.returned_share,
                                             .pressure = served_.pressure});
    }
    [[nodiscard]] double density_kg_per_m3() const { return air::room_density_kg_per_m3(served_.pressure); }
    [[nodiscard]] const Capacity& most() const { return served_.most; }

private:
    const Served& served_;
    const RoomStates& s_;
};

/// Of what coils are asked for, what they give.
struct Given {
    double heating_W = 0.0, sensible_W = 0.0, latent_W = 0.0; ///< with reheat
    double heating_short_W = 0.0, cooling_short_W = 0.0;
};

Given given_by(const CoilProcess& asked, const Capacity& most)
{
    const double net_sensible_W = asked.cooling_sensible_W - asked.reheat_W,
                 sensible_W = std::min(net_sensible_W, most.cooling_W),
                 latent_W = std::min(asked.cooling_latent_W, most.cooling_W - sensible_W),
                 heating_W = std::min(asked.heating_W, most.heating_W);
    return {.heating_W = heating_W + asked.reheat_W,
            .sensible_W = sensible_W + asked.reheat_W,
            .latent_W = latent_W,
            .heating_short_W = asked.heating_W - heating_W,
            .cooling_short_W = net_sensible_W - sensible_W + asked.cooling_latent_W - latent_W};
}

AirStates states_of(const HandledHour& hour, const RoomStates& s, std::size_t h)
{
    return {.outdoor = {s.outdoor_C[h], s.outdoor_humidity_ratio[h]},
            .behind_recovery = hour.behind_recovery,
            .mixed = hour.supply.mixed,
            .off_coil = hour.coils.off_coil,
            .supply = hour.supply.supply,
            .room = {s.air_C[h], s.humidity_ratio[h]},
            .outdoor_kg_per_s = hour.outdoor_kg_per_s,
            .supply_kg_per_s = hour.supply.dry_air_kg_per_s};
}

/// What counts in any hour, on a day whose air is told last.
void add_always(const HandledHour& hour, double planned_kg_per_s, double density_kg_per_m3, CoilLoad& out)
{
    const double outdoor = planned_kg_per_s / density_kg_per_m3,
                 supply = hour.supply.dry_air_kg_per_s / density_kg_per_m3;
    AirDay& day = out.air_days.back();
    day.outdoor_m3_per_s.push_back(outdoor);
    day.supply_m3_per_s.push_back(supply);
    day.fan_W.push_back(hour.fan_W);
    out.humidifying_kg_per_s = std::max(out.humidifying_kg_per_s, hour.coils.humidifying_kg_per_s);
    out.humidifying_W = std::max(out.humidifying_W, hour.coils.humidifying_W);
    out.reheat_W = std::max(out.reheat_W, hour.coils.reheat_W);
    out.outdoor_m3_per_s = std::max(out.outdoor_m3_per_s, outdoor);
    out.supply_m3_per_s = std::max(out.supply_m3_per_s, supply);
    out.fan_W = std::max(out.fan_W, hour.fan_W);
}

/// Outdoor air that comes to a room which nobody holds just comes, behind recovery: the room's own balance has it.
void add_air_alone(const Served& served, const RoomStates& s, CoilLoad& out)
{
    const double density = air::room_density_kg_per_m3(served.pressure);
    AirDay& day = out.air_days.emplace_back();
    for (const double planned_kg_per_s : s.planned_kg_per_s) {
        const double flow = planned_kg_per_s / density, fan_W = served.supply.fan_power_W_per_m3_per_s() * flow;
        day.outdoor_m3_per_s.push_back(flow);
        day.supply_m3_per_s.push_back(flow);
        day.fan_W.push_back(fan_W);
        out.outdoor_m3_per_s = std::max(out.outdoor_m3_per_s, flow);
        out.supply_m3_per_s = std::max(out.supply_m3_per_s, flow);
        out.fan_W = std::max(out.fan_W, fan_W);
    }
}

void add_winter(const Hours& hours, const RoomLoad& room, CoilLoad& out)
{
    out.air_days.emplace_back();
    double asked_W = 0.0;
    for (std::size_t h = 0; h < room.winter_states.air_C.size(); ++h) {
        const HandledHour hour = hours.at(h, room.heating_hours_W[h], 0.0);
        const Given given = given_by(hour.coils, hours.most());
        out.heating_hours_W.push_back(given.heating_W);
        add_always(hour, room.winter_states.planned_kg_per_s[h], hours.density_kg_per_m3(), out);
        if (hour.coils.all_heating_W() <= asked_W) continue;
        asked_W = hour.coils.all_heating_W();
        out.heating_W = given.heating_W;
        out.heating_short_W = given.heating_short_W;
        out.heating_when = room.heating_when;
        out.in_winter = states_of(hour, room.winter_states, h);
        out.recovered_W = hour.recovered_W;
        out.room_heating_W = room.heating_hours_W[h];
    }
}

/// @param asked_W  largest cooling that was asked for so far
void add_day(const Hours& hours, const LoadDay& day, double& asked_W, CoilLoad& out)
{
    LoadDay told{day.day, day.month, day.clock_ahead_h, {}, {}, {}, {}};
    out.air_days.emplace_back();
    for (std::size_t h = 0; h < day.states.air_C.size(); ++h) {
        const HandledHour hour = hours.at(h, day.heating_W[h] - day.sensible_W[h], day.latent_W[h]);
        const Given given = given_by(hour.coils, hours.most());
        told.sensible_W.push_back(given.sensible_W);
        told.latent_W.push_back(given.latent_W);
        told.heating_W.push_back(given.heating_W);
        add_always(hour, day.states.planned_kg_per_s[h], hours.density_kg_per_m3(), out);
        if (hour.coils.cooling_W() <= asked_W) continue;
        asked_W = hour.coils.cooling_W();
        out.cooling_W = given.sensible_W + given.latent_W;
        out.cooling_sensible_W = given.sensible_W;
        out.cooling_short_W = given.cooling_short_W;
        out.cooling_when = {day.day, day.month, loads::clock_hour(day.clock_ahead_h, h)};
        out.room_cooling_W = day.sensible_W[h] + day.latent_W[h];
        out.in_summer = states_of(hour, day.states, h);
    }
    out.cooling_days.push_back(std::move(told));
}

CoilLoad load_of(const Served& served, const RoomLoad& room)
{
    CoilLoad out{.room = room.room, .supply = served.supply.name};
    if (room.heated)
        add_winter({served, room.winter_states}, room, out);
    else
        add_air_alone(served, room.winter_states, out);
    double asked_W = 0.0;
    for (const LoadDay& day : room.cooling_days)
        if (room.cooled) {
            add_day({served, day.states}, day, asked_W, out);
        } else {
            add_air_alone(served, day.states, out);
            out.cooling_days.push_back(day);
            out.cooling_days.back().states = {};
        }
    return out;
}

/// That its capacity leaves a room short.
void tell_short(const building::AirSupply& supply, const CoilLoad& load, const quantity::PreferredUnits& units,
                std::vector<quantity::Problem>& problems)
{
    constexpr double nothing_W = 0.5;
    const auto tell = [&](const char* service, const char* key, const auto& bound, double given_W, double short_W) {
        if (!bound || short_W < nothing_W) return;
        const auto power = [&](double W) { return units.text(W, quantity::Kind::power); };
        problems.push_back(
            {.severity = quantity::Severity::warning,
             .code = quantity::codes::supply_short,
             .where = bound->origin,
             .message =
                 fmt::format("air supply '{}' gives room '{}' {} of the {} of {} that it asks for, and is {} short",
                             supply.name, load.room, power(given_W), power(given_W + short_W), service, power(short_W)),
             .hint = fmt::format("raise its {}, or let something in the room do the rest", key),
             .subject = "room/" + load.room});
    };
    tell("heating", "greatest_heating", supply.greatest_heating_W_per_m2, load.heating_W, load.heating_short_W);
    tell("cooling", "greatest_cooling", supply.greatest_cooling_W_per_m2, load.cooling_W, load.cooling_short_W);
}

} // namespace

quantity::Problem supply_serves_no_room(const building::AirSupply& supply, const std::string& room,
                                        std::string_view why)
{
    return {.severity = quantity::Severity::error,
            .code = quantity::codes::physics,
            .where = supply.origin,
            .message =
                fmt::format("air supply '{}' cannot give room '{}' what it asks for: {}", supply.name, room, why),
            .hint = "coldest_supply must be colder than the rooms that it cools, warmest_supply warmer than those that "
                    "it heats; driest_supply drier than those that it dries, wettest_supply more humid than those that "
                    "it humidifies",
            .subject = "air_supply/" + supply.name};
}

CoilLoads coil_loads(const building::Building& b, const loads::RoomLoads& loads, const quantity::PreferredUnits& units)
{
    CoilLoads out;
    std::vector<RoomSupply> supplied;
    const auto balances = building::air_balances(b);
    const auto pressure = quantity::Pressure::pascal(loads.pressure_Pa);
    for (std::size_t r = 0; r < b.rooms.size(); ++r) {
        const RoomLoad& room = loads.rooms[r];
        if (room.winter_states.air_C.empty() || room.typed) continue;
        const building::AirSupply& supply = b.air_supplies[*b.rooms[r].use.air_supply];
        try {
            out.rooms.push_back(load_of({supply,
                                         balances[r].returned_share(),
                                         pressure,
                                         {supply, b.rooms[r].floor_area_m2},
                                         b.rooms[r].use.least_humidity.has_value()},
                                        room));
            supplied.push_back({r, out.rooms.back().outdoor_m3_per_s, out.rooms.back().supply_m3_per_s});
            tell_short(supply, out.rooms.back(), units, out.problems);
        } catch (const quantity::RangeError& wrong) {
            out.problems.push_back(supply_serves_no_room(supply, room.room, wrong.what()));
        }
    }
    out.supplies = supply_loads(out.rooms);
    out.systems = system_air(b, supplied);
    return out;
}

void take_coil(RoomLoad& room, const CoilLoad& coil)
{
    room.supplied_by = coil.supply;
    room.heating_W = coil.heating_W;
    room.heating_hours_W = coil.heating_hours_W;
    room.heating_convective_W.reset();
    room.cooling_W = coil.cooling_W;
    room.cooling_sensible_W = coil.cooling_sensible_W;
    room.cooling_latent_W = coil.cooling_W - coil.cooling_sensible_W;
    room.cooling_when = coil.cooling_when;
    room.cooling_days = coil.cooling_days;
}

loads::RoomLoads with_coils(loads::RoomLoads loads, const CoilLoads& coils)
{
    for (const CoilLoad& coil : coils.rooms)
        take_coil(*std::ranges::find(loads.rooms, coil.room, &RoomLoad::room), coil);
    return loads;
}

} // namespace venture::airside
