#pragma once
/// Power series in the Laplace variable about the steady state, cut behind the second power. Internal to fabric.

#include <venture/fabric/two_port.hpp>

namespace venture::fabric::detail {

/// c0 + c1 s + c2 s2: a response, what it stores, and how that changes.
struct Taylor {
    double c0 = 0.0, c1 = 0.0, c2 = 0.0;
    friend Taylor operator+(const Taylor& x, const Taylor& y) { return {x.c0 + y.c0, x.c1 + y.c1, x.c2 + y.c2}; }
    friend Taylor operator-(const Taylor& x) { return {-x.c0, -x.c1, -x.c2}; }
    friend Taylor operator*(const Taylor& x, const Taylor& y)
    {
        return {x.c0 * y.c0, x.c0 * y.c1 + x.c1 * y.c0, x.c0 * y.c2 + x.c1 * y.c1 + x.c2 * y.c0};
    }
    friend Taylor operator/(const Taylor& x, const Taylor& y)
    {
        const double q0 = x.c0 / y.c0, q1 = (x.c1 - q0 * y.c1) / y.c0;
        return {q0, q1, (x.c2 - q1 * y.c1 - q0 * y.c2) / y.c0};
    }
};

/// A layer: z/sinh z and z tanh(z/2) in powers of z2 = s L2/diffusivity.
[[nodiscard]] inline TwoPortOf<Taylor> two_port_about_zero(const Layer& layer)
{
    const double conductance = 1.0 / layer.resistance();
    if (!layer.has_capacity()) return {{conductance}, {}, {}};
    const Material& m = layer.material;
    const double tau = layer.thickness_m * layer.thickness_m * m.density_kg_per_m3 * m.specific_heat_J_per_kgK /
                       m.conductivity_W_per_mK;
    const Taylor side{0.0, conductance * tau / 2.0, -conductance * tau * tau / 24.0};
    return {{conductance, -conductance * tau / 6.0, conductance * tau * tau * 7.0 / 360.0}, side, side};
}

} // namespace venture::fabric::detail
