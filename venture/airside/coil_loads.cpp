#include <venture/airside/coil_loads.hpp>

#include <algorithm>

#include <fmt/format.h>

#include <venture/air/room_density.hpp>
#include <venture/airside/handled_hour.hpp>
#include <venture/building/air_balance.hpp>
#include <venture/loads/hourly_day.hpp>
#include <venture/quantity/codes.hpp>
#include <venture/quantity/error.hpp>

namespace venture::airside {

using air::Point;
using loads::LoadDay;
using loads::RoomLoad;
using loads::RoomStates;

namespace {

/// The hours of one room on one day.
class Hours {
public:
    Hours(const building::AirSupply& supply, double returned_share, quantity::Pressure pressure,
          const RoomStates& states)
        : supply_{supply},
          returned_{returned_share},
          pressure_{pressure},
          s_{states}
    {
    }
    /// @param sensible_W  to be given to the room   @param latent_W  taken from it
    [[nodiscard]] HandledHour at(std::size_t h, double sensible_W, double latent_W) const
    {
        const Point zone{s_.air_C[h], s_.humidity_ratio[h]};
        const double moisture = (s_.humidifying_W[h] - latent_W) / air::latent_heat_of_vaporisation_J_per_kg;
        return handled_hour(supply_, {.zone = zone,
                                      .outdoor = {s_.outdoor_C[h], s_.outdoor_humidity_ratio[h]},
                                      .leaves = {s_.leaves_C[h], s_.leaves_humidity_ratio[h]},
                                      .sensible_W = sensible_W,
                                      .moisture_kg_per_s = moisture,
                                      .outdoor_kg_per_s = s_.planned_kg_per_s[h],
                                      .returned_share = returned_,
                                      .pressure = pressure_});
    }
    [[nodiscard]] double density_kg_per_m3() const { return air::room_density_kg_per_m3(pressure_); }

private:
    const building::AirSupply& supply_;
    double returned_;
    quantity::Pressure pressure_;
    const RoomStates& s_;
};

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

void add_always(const HandledHour& hour, double planned_kg_per_s, double density_kg_per_m3, CoilLoad& out)
{
    out.humidifying_kg_per_s = std::max(out.humidifying_kg_per_s, hour.coils.humidifying_kg_per_s);
    out.humidifying_W = std::max(out.humidifying_W, hour.coils.humidifying_W);
    out.reheat_W = std::max(out.reheat_W, hour.coils.reheat_W);
    out.outdoor_m3_per_s = std::max(out.outdoor_m3_per_s, planned_kg_per_s / density_kg_per_m3);
    out.supply_m3_per_s = std::max(out.supply_m3_per_s, hour.supply.dry_air_kg_per_s / density_kg_per_m3);
    out.fan_W = std::max(out.fan_W, hour.fan_W);
}

void add_winter(const Hours& hours, const RoomLoad& room, CoilLoad& out)
{
    for (std::size_t h = 0; h < room.winter_states.air_C.size(); ++h) {
        const HandledHour hour = hours.at(h, room.heating_hours_W[h], 0.0);
        const double heating_W = hour.coils.all_heating_W();
        out.heating_hours_W.push_back(heating_W);
        add_always(hour, room.winter_states.planned_kg_per_s[h], hours.density_kg_per_m3(), out);
        if (heating_W <= out.heating_W) continue;
        out.heating_W = heating_W;
        out.heating_when = room.heating_when;
        out.in_winter = states_of(hour, room.winter_states, h);
        out.recovered_W = hour.recovered_W;
        out.room_heating_W = room.heating_hours_W[h];
    }
}

void add_day(const Hours& hours, const LoadDay& day, CoilLoad& out)
{
    LoadDay told{day.day, day.month, day.clock_ahead_h, {}, {}, {}, {}};
    for (std::size_t h = 0; h < day.states.air_C.size(); ++h) {
        const HandledHour hour = hours.at(h, day.heating_W[h] - day.sensible_W[h], day.latent_W[h]);
        told.sensible_W.push_back(hour.coils.cooling_sensible_W);
        told.latent_W.push_back(hour.coils.cooling_latent_W);
        told.heating_W.push_back(hour.coils.all_heating_W());
        add_always(hour, day.states.planned_kg_per_s[h], hours.density_kg_per_m3(), out);
        if (hour.coils.cooling_W() <= out.cooling_W) continue;
        out.cooling_W = hour.coils.cooling_W();
        out.cooling_sensible_W = hour.coils.cooling_sensible_W;
        out.cooling_when = {day.day, day.month, loads::clock_hour(day.clock_ahead_h, h)};
        out.room_cooling_W = day.sensible_W[h] + day.latent_W[h];
        out.in_summer = states_of(hour, day.states, h);
    }
    out.cooling_days.push_back(std::move(told));
}

CoilLoad load_of(const building::AirSupply& supply, double returned_share, quantity::Pressure pressure,
                 const RoomLoad& room)
{
    CoilLoad out{.room = room.room, .supply = supply.name};
    add_winter({supply, returned_share, pressure, room.winter_states}, room, out);
    for (const LoadDay& day : room.cooling_days) add_day({supply, returned_share, pressure, day.states}, day, out);
    return out;
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
                    "it heats",
            .subject = "air_supply/" + supply.name};
}

CoilLoads coil_loads(const building::Building& b, const loads::RoomLoads& loads)
{
    CoilLoads out;
    const auto balances = building::air_balances(b);
    const auto pressure = quantity::Pressure::pascal(loads.pressure_Pa);
    for (std::size_t r = 0; r < b.rooms.size(); ++r) {
        const RoomLoad& room = loads.rooms[r];
        if (room.winter_states.air_C.empty() || room.typed) continue;
        const building::AirSupply& supply = b.air_supplies[*b.rooms[r].use.air_supply];
        try {
            out.rooms.push_back(load_of(supply, balances[r].returned_share(), pressure, room));
        } catch (const quantity::RangeError& wrong) {
            out.problems.push_back(supply_serves_no_room(supply, room.room, wrong.what()));
        }
    }
    return out;
}

loads::RoomLoads with_coils(loads::RoomLoads loads, const CoilLoads& coils)
{
    for (const CoilLoad& coil : coils.rooms) {
        RoomLoad& room = *std::ranges::find(loads.rooms, coil.room, &RoomLoad::room);
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
    return loads;
}

} // namespace venture::airside
