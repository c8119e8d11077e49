#include <venture/fabric/two_port.hpp>

#include <cmath>
#include <optional>

#include <venture/quantity/error.hpp>

namespace venture::fabric {

namespace {

/// z / sinh z.
std::complex<double> z_over_sinh(std::complex<double> z)
{
    constexpr double small = 1e-3; // the series is then good to 1e-16
    if (std::abs(z) < small) {
        const auto z2 = z * z;
        return 1.0 - z2 / 6.0 + z2 * z2 * (7.0 / 360.0);
    }
    const auto decay = std::exp(-z);
    return 2.0 * z * decay / (1.0 - decay * decay);
}

/// tanh z for a z right of the imaginary axis.
std::complex<double> tanh_of(std::complex<double> z)
{
    constexpr double small = 1e-3;
    if (std::abs(z) < small) return z * (1.0 - z * z / 3.0);
    const auto decay = std::exp(-2.0 * z);
    return (1.0 - decay) / (1.0 + decay);
}

} // namespace

TwoPort two_port(double resistance_m2K_per_W)
{
    quantity::check_range("two_port", "resistance", resistance_m2K_per_W, {1e-12, 1e6}, "m2K/W");
    return {1.0 / resistance_m2K_per_W, 0.0, 0.0};
}

TwoPort two_port(const Layer& layer, std::complex<double> s)
{
    if (!layer.has_capacity()) return two_port(layer.resistance_m2K_per_W);
    const Material& m = layer.material;
    const double conductance = m.conductivity_W_per_mK / layer.thickness_m;
    auto z =
        layer.thickness_m * std::sqrt(s * (m.density_kg_per_m3 * m.specific_heat_J_per_kgK / m.conductivity_W_per_mK));
    if (z.real() < 0.0) z = -z;
    const auto side = conductance * z * tanh_of(0.5 * z);
    return {conductance * z_over_sinh(z), side, side};
}

TwoPort two_port(const Buildup& buildup, std::complex<double> s, const Films& films)
{
    check(buildup);
    std::optional<TwoPort> whole;
    const auto join = [&](const TwoPort& next) { whole = whole ? in_series(*whole, next) : next; };
    if (films.outside_m2K_per_W > 0.0) join(two_port(films.outside_m2K_per_W));
    for (const Layer& layer : buildup.layers)
        if (layer.resistance() > 0.0) join(two_port(layer, s));
    if (films.inside_m2K_per_W > 0.0) join(two_port(films.inside_m2K_per_W));
    if (!whole) throw quantity::RangeError{"build-up '" + buildup.name + "'", "resistance", 0.0, {1e-12, 1e6}, "m2K/W"};
    return *whole;
}

} // namespace venture::fabric
