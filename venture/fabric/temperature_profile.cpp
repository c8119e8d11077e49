#include <venture/fabric/temperature_profile.hpp>

#include <algorithm>
#include <ranges>

namespace venture::fabric {

TemperatureProfile temperature_profile(const Buildup& buildup, const Films& films, quantity::Temperature outside,
                                       quantity::Temperature inside)
{
    const double conductance = two_port(buildup, 0.0, films).t.real();
    TemperatureProfile out{.outside_air_C = outside.celsius(),
                           .inside_air_C = inside.celsius(),
                           .heat_flow_W_per_m2 = conductance * (inside - outside).kelvin()};
    double passed_m2K_per_W = films.outside_m2K_per_W;
    const auto add = [&] { out.at_faces_C.push_back(out.outside_air_C + out.heat_flow_W_per_m2 * passed_m2K_per_W); };
    add();
    for (const Layer& layer : buildup.layers) {
        passed_m2K_per_W += layer.resistance();
        add();
    }
    return out;
}

double mass_kg_per_m2(const Buildup& buildup)
{
    double sum = 0.0;
    for (const Layer& layer : buildup.layers) sum += layer.thickness_m * layer.material.density_kg_per_m3;
    return sum;
}

double inner_mass_kg_per_m2(const Buildup& buildup)
{
    constexpr double insulates_W_per_mK = 0.1;
    double sum = 0.0;
    for (const Layer& layer : std::views::reverse(buildup.layers)) {
        if (!layer.has_capacity() || layer.material.conductivity_W_per_mK < insulates_W_per_mK) break;
        sum += layer.thickness_m * layer.material.density_kg_per_m3;
    }
    return sum;
}

WallConditions conditions_of(HeatFlow direction)
{
    WallConditions c;
    c.direction = direction;
    c.films.inside_m2K_per_W = standard_inside_resistance(direction);
    return c;
}

} // namespace venture::fabric
