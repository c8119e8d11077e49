#include <venture/fabric/buildup.hpp>

#include <numeric>

#include <venture/quantity/error.hpp>

namespace venture::fabric {

InsideFilm inside_film(HeatFlow direction)
{
    constexpr double radiative = 0.9 * 5.7;
    switch (direction) {
    case HeatFlow::upwards:
        return {5.0, radiative};
    case HeatFlow::horizontal:
        return {2.5, radiative};
    case HeatFlow::downwards:
        return {0.7, radiative};
    }
    VENTURE_UNREACHABLE("a direction without a film");
}

double standard_inside_resistance(HeatFlow direction)
{
    switch (direction) {
    case HeatFlow::upwards:
        return 0.10;
    case HeatFlow::horizontal:
        return 0.13;
    case HeatFlow::downwards:
        return 0.17;
    }
    VENTURE_UNREACHABLE("a direction without a resistance");
}

double resistance(const Buildup& buildup)
{
    return std::accumulate(buildup.layers.begin(), buildup.layers.end(), 0.0,
                           [](double sum, const Layer& layer) { return sum + layer.resistance(); });
}

double u_value(const Buildup& buildup, HeatFlow direction, double outside_resistance)
{
    return 1.0 / (standard_inside_resistance(direction) + resistance(buildup) + outside_resistance);
}

void check(const Buildup& buildup)
{
    for (const Layer& layer : buildup.layers) {
        const std::string where = "build-up '" + buildup.name + "', layer '" + layer.material.name + "'";
        if (!layer.has_capacity()) {
            quantity::check_range(where, "resistance", layer.resistance_m2K_per_W, {0.0, 100.0}, "m2K/W");
            continue;
        }
        quantity::check_range(where, "thickness", layer.thickness_m, {1e-6, 10.0}, "m");
        quantity::check_range(where, "conductivity", layer.material.conductivity_W_per_mK, {1e-4, 1000.0}, "W/mK");
        quantity::check_range(where, "density", layer.material.density_kg_per_m3, {0.1, 30000.0}, "kg/m3");
        quantity::check_range(where, "specific heat", layer.material.specific_heat_J_per_kgK, {10.0, 1e5}, "J/kgK");
    }
}

} // namespace venture::fabric
