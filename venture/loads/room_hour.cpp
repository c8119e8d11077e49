#include <venture/loads/room_hour.hpp>

#include <venture/loads/air_ledger.hpp>
#include <venture/loads/day_models.hpp>
#include <venture/loads/design_day_run.hpp>
#include <venture/loads/load_figures.hpp>
#include <venture/quantity/error.hpp>

namespace venture::loads {

std::string_view RoomHour::of() const
{
    return cooling_W + latent_W > 0.0 ? "sensible cooling" : heating_W > 0.0 ? "heating" : "warmth";
}

RoomHour room_in_hour(const building::Building& b, std::size_t room, const climate::DesignDay& day, std::size_t hour,
                      const DesignOptions& options, quantity::Ledger* told)
{
    quantity::check_range("room_in_hour", "hour", static_cast<double>(hour), {0.0, 23.0}, "h");
    const auto models = models_of(b, options);
    const Compiled compiled = models->compile(b, day);
    std::vector<double> factors;
    const std::size_t per_hour = compiled.model.steps / 24;
    const auto watch = [&]() -> balance::Watch {
        factors.assign(compiled.model.bodies.size(), 0.0);
        return [&](std::size_t step, const balance::StepResult& r) {
            for (std::size_t i = 0; step / per_hour == hour && i < factors.size(); ++i)
                factors[i] += r.sensible_factors[i] / static_cast<double>(per_hour);
        };
    };
    const balance::PeriodicDay run = detail::run_with_films(
        compiled.model, {.near = models->begin_of(day), .watch = told != nullptr ? std::function{watch} : nullptr});
    const balance::ZoneDay& zone = run.zones[compiled.zone_of_room[room]];
    const building::Use& use = b.rooms[room].use;
    RoomHour out{.heating_W = zone.heating_W[hour],
                 .cooling_W = zone.cooling_W[hour],
                 .latent_W = day.month > 0 ? detail::asked_latent_W(b.rooms[room], zone)[hour] : 0.0,
                 .air_C = zone.air_C[hour],
                 .operative_C = zone.operative_C[hour],
                 .outdoor_C = 0.5 * (day.dry_bulb_C[hour] + day.dry_bulb_C[hour + 1]),
                 .balance = detail::balance_of(zone.parts[hour])};
    if (told != nullptr) {
        const detail::HourOfRun of_run{b, day, hour, compiled, run};
        if (day.month > 0) detail::write_people(of_run, room, factors, *told);
        detail::write_air(of_run, room, *told);
    }
    double reference_C = mean_outdoors_C(day);
    if (out.of() == "heating") reference_C = use.heating_setpoint_C->value;
    if (out.of() == "sensible cooling" && use.cooling_setpoint_C) reference_C = use.cooling_setpoint_C->value;
    out.parts = {parts_of_room(b, day, room, reference_C, options), hour};
    out.when = {day.name, day.month, clock_hour(day.clock_ahead_h, hour)};
    return out;
}

} // namespace venture::loads
