#include <venture/terminal/primary_air.hpp>

#include <algorithm>

#include <fmt/format.h>

#include <venture/air/moist_air.hpp>
#include <venture/air/processes.hpp>
#include <venture/quantity/codes.hpp>

namespace venture::terminal {

using air::MoistAir;
using loads::RoomLoad;
using quantity::Pressure;
using quantity::Temperature;
using rating::At;
using rating::Service;

namespace {

struct State {
    double kg_per_s = 0.0; ///< of dry air
    double dry_bulb_C = 0.0, humidity = 0.0;
};

/// While rooms are heated nobody counts moisture: it is as humid as the room.
std::optional<State> state_of(const PrimaryAir& a, Service service, const RoomLoad& load, double pressure_Pa)
{
    const bool heats = service == Service::heating;
    const std::optional<double>& temperature_C = heats ? a.heating_C : a.cooling_C;
    if (!temperature_C) return std::nullopt;
    double humidity = heats ? 0.0 : a.cooling_humidity.value_or(load.cooling_humidity_ratio);
    if (!heats) // colder than the room's dew point, nobody says how humid: saturated
        humidity = std::min(humidity, air::saturation_humidity_ratio(Temperature::celsius(*temperature_C),
                                                                     Pressure::pascal(pressure_Pa)));
    const MoistAir air =
        MoistAir::from_humidity_ratio(Temperature::celsius(*temperature_C), humidity, Pressure::pascal(pressure_Pa));
    return State{air::dry_air_kg_per_s(air, a.flow_m3_per_s), *temperature_C, humidity};
}

double enthalpy(double dry_bulb_C, double humidity, double pressure_Pa)
{
    return air::enthalpy_J_per_kg(
        MoistAir::from_humidity_ratio(Temperature::celsius(dry_bulb_C), humidity, Pressure::pascal(pressure_Pa)));
}

/// Air that is more humid than it can be.
void tell_fog(const input::PrimaryAirInput& said, double pressure_Pa, quantity::Problems& problems)
{
    if (!said.cooling_humidity) return;
    if (!said.cooling_temperature) {
        problems.add({quantity::Severity::error, quantity::codes::contradiction, said.cooling_humidity.origin,
                      "cooling_humidity of air that does not come while rooms are cooled",
                      "type cooling_temperature as well, or take it out"});
        return;
    }
    const double most =
        air::saturation_humidity_ratio(Temperature::celsius(*said.cooling_temperature), Pressure::pascal(pressure_Pa));
    if (*said.cooling_humidity > most)
        problems.add({quantity::Severity::error, quantity::codes::contradiction, said.cooling_humidity.origin,
                      fmt::format("air of {:g} degC holds at most {:.1f} g/kg, and {:.1f} are typed",
                                  *said.cooling_temperature, 1000.0 * most, 1000.0 * *said.cooling_humidity),
                      "its humidity ratio is that of the air as it comes to the room"});
}

void add_hourly(std::vector<double>& hours_W, double W)
{
    for (double& hour : hours_W) hour = std::max(0.0, hour + W);
}

void add_to(RoomLoad& load, const PrimaryAir& air, double pressure_Pa)
{
    const PrimaryAir::Part heating = air.part(Service::heating, load, pressure_Pa),
                           cooling = air.part(Service::cooling, load, pressure_Pa);
    if (load.heated) {
        load.heating_W = std::max(0.0, load.heating_W + heating.sensible_W);
        if (load.heating_convective_W)
            load.heating_convective_W = std::max(0.0, *load.heating_convective_W + heating.sensible_W);
        add_hourly(load.heating_hours_W, heating.sensible_W);
    }
    if (!load.cooled) return;
    load.cooling_sensible_W = std::max(0.0, load.cooling_sensible_W + cooling.sensible_W);
    load.cooling_latent_W = std::max(0.0, load.cooling_latent_W + cooling.latent_W);
    load.cooling_sensible_peak_W = std::max(0.0, load.cooling_sensible_peak_W + cooling.sensible_W);
    load.cooling_W = load.cooling_sensible_W + load.cooling_latent_W;
    for (loads::LoadDay& day : load.cooling_days) {
        add_hourly(day.sensible_W, cooling.sensible_W);
        add_hourly(day.latent_W, cooling.latent_W);
    }
}

} // namespace

PrimaryAir::Part PrimaryAir::part(Service service, const RoomLoad& load, double pressure_Pa) const
{
    const auto state = state_of(*this, service, load, pressure_Pa);
    if (!state) return {};
    // Sensible: at the humidity of the drier of both; latent: what is left of the difference in enthalpy.
    if (service == Service::heating) {
        const double to_room = enthalpy(load.heating_room_C, state->humidity, pressure_Pa) -
                               enthalpy(state->dry_bulb_C, state->humidity, pressure_Pa);
        return {state->kg_per_s * to_room, 0.0};
    }
    const double drier = std::min(state->humidity, load.cooling_humidity_ratio), // both can be so dry
        total = enthalpy(state->dry_bulb_C, state->humidity, pressure_Pa) -
                enthalpy(load.cooling_air_C, load.cooling_humidity_ratio, pressure_Pa),
                 sensible =
                     enthalpy(state->dry_bulb_C, drier, pressure_Pa) - enthalpy(load.cooling_air_C, drier, pressure_Pa);
    return {state->kg_per_s * sensible, state->kg_per_s * (total - sensible)};
}

void PrimaryAir::say_to(rating::Conditions& at, Service service, const RoomLoad& load, double pressure_Pa) const
{
    const auto state = state_of(*this, service, load, pressure_Pa);
    if (!through_units || !state) return;
    at.set(At::primary_flow, state->kg_per_s)
        .set(At::primary_dry_bulb, state->dry_bulb_C)
        .set(At::primary_humidity, state->humidity);
}

PrimaryAirs read_primary_air(const input::Input& input, const std::vector<services::Client>& clients,
                             double pressure_Pa, quantity::Problems& problems)
{
    PrimaryAirs out(clients.size());
    if (input.primary_air.empty()) return out;
    std::vector<services::SpeaksOf> lines;
    for (const input::PrimaryAirInput& said : input.primary_air) {
        tell_fog(said, pressure_Pa, problems);
        lines.push_back({&said.rooms, &said.type, &said.storey, said.flow.origin, "line of primary air"});
    }
    const services::RoomLines room_lines{lines, clients, problems};
    for (std::size_t r = 0; r < clients.size(); ++r)
        for (const std::size_t i : room_lines.of(r)) { // the last one stands
            const input::PrimaryAirInput& said = input.primary_air[i];
            const auto way = said.way.which();
            if (!way || !said.flow) continue; // said already
            out[r] = PrimaryAir{.through_units = *way == input::PrimaryAirWay::through_units,
                                .flow_m3_per_s = *said.flow,
                                .heating_C = said.heating_temperature.value,
                                .cooling_C = said.cooling_temperature.value,
                                .cooling_humidity = said.cooling_humidity.value,
                                .origin = said.flow.origin};
        }
    return out;
}

loads::RoomLoads with_primary_air(loads::RoomLoads loads, const PrimaryAirs& airs)
{
    for (std::size_t r = 0; r < std::min(airs.size(), loads.rooms.size()); ++r)
        if (airs[r]) add_to(loads.rooms[r], *airs[r], loads.pressure_Pa);
    return loads;
}

} // namespace venture::terminal
