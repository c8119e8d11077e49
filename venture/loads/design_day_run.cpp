#include <venture/loads/design_day_run.hpp>

#include <algorithm>

namespace venture::loads::detail {

double film_residual(const balance::PeriodicDay& day)
{
    double worst = 0.0;
    for (const balance::ZoneDay& zone : day.zones) {
        const double peak =
            std::max(*std::ranges::max_element(zone.heating_W), *std::ranges::max_element(zone.cooling_W));
        if (peak > 0.0) worst = std::max(worst, zone.film_residual_W / peak);
    }
    return worst;
}

balance::PeriodicDay run_with_films(const balance::ThermalModel& model, const DayRunOptions& options)
{
    constexpr double most_residual = 0.01, finest_W_per_m2 = 0.002;
    balance::FilmAccuracy films;
    for (;;) {
        balance::PeriodicDay day =
            run_periodic_day(model, {.films = films, .tell_memory = options.tell_memory, .near = options.near},
                             options.watch ? options.watch() : balance::Watch{});
        const double residual = film_residual(day);
        if (residual <= most_residual || films.inside_W_per_m2 <= finest_W_per_m2) return day;
        const double finer = std::min(0.5, 0.5 * most_residual / residual);
        films.inside_W_per_m2 = std::max(finest_W_per_m2, finer * films.inside_W_per_m2);
        films.outside_W_per_m2 *= finer;
    }
}

AirBalance balance_of(const balance::ZoneStep& h)
{
    const auto part = [&](balance::Part p) { return h.from_faces_W[static_cast<std::size_t>(p)]; };
    return {.outside_walls_W = part(balance::Part::outside_wall),
            .roof_W = part(balance::Part::roof),
            .windows_W = part(balance::Part::window),
            .doors_W = part(balance::Part::door),
            .ground_W = part(balance::Part::ground),
            .inner_W = part(balance::Part::inner),
            .thermal_bridges_W = h.thermal_bridges_W,
            .convective_gains_W = h.convective_gain_W,
            .infiltration_W = h.infiltration_W,
            .ventilation_W = h.ventilation_W + h.supply_air_W,
            .transfer_air_W = h.transfer_W,
            .released_by_air_W = -h.into_air_capacity_W};
}

std::vector<double> asked_latent_W(const building::Room& room, const balance::ZoneDay& day)
{
    std::vector<double> out = day.latent_W;
    if (!room.use.humidity_limit)
        for (std::size_t h = 0; h < out.size(); ++h)
            if (day.cooling_W[h] <= 0.0) out[h] = 0.0;
    return out;
}

} // namespace venture::loads::detail
