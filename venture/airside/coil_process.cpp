#include <venture/airside/coil_process.hpp>

#include <algorithm>

#include <venture/air/root.hpp>

namespace venture::airside {

using air::enthalpy_J_per_kg;
using air::Point;
using quantity::Temperature;

namespace {

/// Dry bulb at which air of some moisture has the humidity that coils leave.
double off_coil_C(double humidity_ratio, quantity::Pressure pressure)
{
    constexpr double coldest_C = -90.0, warmest_C = 90.0;
    return air::root_of_increasing(
        [&](double t_C) {
            return off_coil_humidity - air::relative_humidity(Temperature::celsius(t_C), humidity_ratio, pressure);
        },
        coldest_C, warmest_C);
}

} // namespace

CoilProcess coil_process(const Point& mixed, const Point& supply, double m, quantity::Pressure pressure)
{
    CoilProcess out{.off_coil = mixed};
    if (m <= 0.0) return out;
    const double drier = mixed.humidity_ratio - supply.humidity_ratio;
    constexpr double none = 1e-12;
    const Point at_supply{mixed.dry_bulb_C, supply.humidity_ratio};
    if (drier <= none) { // heated or cooled dry, then humidified
        const double sensible_W = m * (enthalpy_J_per_kg(supply) - enthalpy_J_per_kg(at_supply));
        out.heating_W = std::max(0.0, sensible_W);
        out.cooling_sensible_W = std::max(0.0, -sensible_W);
        if (sensible_W < 0.0) out.off_coil.dry_bulb_C = supply.dry_bulb_C;
        if (drier >= -none) return out;
        out.humidifying_kg_per_s = m * -drier;
        out.humidifying_W = m * (enthalpy_J_per_kg(at_supply) - enthalpy_J_per_kg(mixed));
        return out;
    }
    const Point off_coil{std::min(supply.dry_bulb_C, off_coil_C(supply.humidity_ratio, pressure)),
                         supply.humidity_ratio};
    const double net_W = m * (enthalpy_J_per_kg(supply) - enthalpy_J_per_kg(at_supply));
    out.cooling_sensible_W = std::max(0.0, m * (enthalpy_J_per_kg(at_supply) - enthalpy_J_per_kg(off_coil)));
    out.cooling_latent_W = m * (enthalpy_J_per_kg(mixed) - enthalpy_J_per_kg(at_supply));
    out.condensate_kg_per_s = m * drier;
    out.off_coil = off_coil;
    out.heating_W = std::max(0.0, net_W);
    out.reheat_W = net_W + out.cooling_sensible_W - out.heating_W;
    return out;
}

} // namespace venture::airside
