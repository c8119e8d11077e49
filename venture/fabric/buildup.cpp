#include <venture/fabric/buildup.hpp>

#include <algorithm>
#include <numeric>
#include <tuple>

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

Buildup turned_round(Buildup buildup)
{
    std::ranges::reverse(buildup.layers);
    return buildup;
}

bool is_symmetric(const Buildup& buildup)
{
    const auto facts = [](const Layer& l) {
        const Material& m = l.material;
        return std::tuple{l.thickness_m, l.resistance(),
                          m.density_kg_per_m3 * m.specific_heat_J_per_kgK * l.thickness_m};
    };
    const auto& layers = buildup.layers;
    for (std::size_t i = 0; 2 * i < layers.size(); ++i)
        if (facts(layers[i]) != facts(layers[layers.size() - 1 - i])) return false;
    return true;
}

Buildup inner_half(const Buildup& buildup)
{
    const auto width = [](const Layer& l) { return l.has_capacity() ? l.thickness_m : l.gap_m; };
    double left_m = 0.0; // of the half, from the inside
    for (const Layer& layer : buildup.layers) left_m += 0.5 * width(layer);
    Buildup out{.name = buildup.name};
    for (std::size_t i = buildup.layers.size(); i-- > 0;) {
        Layer layer = buildup.layers[i];
        const double wide = width(layer), within = wide > 0.0     ? std::clamp(left_m / wide, 0.0, 1.0)
                                                   : left_m > 0.0 ? 1.0
                                                                  : 0.5;
        layer.thickness_m *= within;
        layer.resistance_m2K_per_W *= within;
        layer.gap_m *= within;
        left_m -= wide;
        if (within > 0.0) out.layers.push_back(std::move(layer));
        if (left_m <= 0.0 && wide > 0.0) break;
    }
    std::ranges::reverse(out.layers);
    return out;
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
