#pragma once
/// Numbers that two-ports are joined in: power series in the Laplace variable about the steady state, and differences
/// from it. Used by the headers of walls.

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

/// A value at s = 0, at some s, and (value at 0 - value at s)/s: carried along, so that nothing cancels where a wall
/// hardly feels s.
struct Difference {
    using Complex = std::complex<double>;
    double at_zero = 0.0;
    Complex at_s{}, quotient{};
    Difference() = default;
    explicit Difference(double constant) : at_zero{constant}, at_s{constant} {}
    Difference(double zero, Complex s, Complex q) : at_zero{zero}, at_s{s}, quotient{q} {}
    friend Difference operator+(const Difference& x, const Difference& y)
    {
        return {x.at_zero + y.at_zero, x.at_s + y.at_s, x.quotient + y.quotient};
    }
    friend Difference operator-(const Difference& x) { return {-x.at_zero, -x.at_s, -x.quotient}; }
    friend Difference operator*(const Difference& x, const Difference& y)
    {
        return {x.at_zero * y.at_zero, x.at_s * y.at_s, x.at_zero * y.quotient + x.quotient * y.at_s};
    }
    friend Difference operator/(const Difference& x, const Difference& y)
    {
        return {x.at_zero / y.at_zero, x.at_s / y.at_s,
                (x.quotient * y.at_s - x.at_s * y.quotient) / (y.at_zero * y.at_s)};
    }
};

/// A layer with its difference from the steady state.
[[nodiscard]] inline TwoPortOf<Difference> two_port_difference(const Layer& layer, std::complex<double> s)
{
    const double conductance = 1.0 / layer.resistance();
    const TwoPort wave = two_port(layer, s);
    if (!layer.has_capacity()) return {{conductance, wave.t, 0.0}, {}, {}};
    const Material& m = layer.material;
    const std::complex<double> z2 = s * (layer.thickness_m * layer.thickness_m * m.density_kg_per_m3 *
                                         m.specific_heat_J_per_kgK / m.conductivity_W_per_mK);
    constexpr double small = 0.02; // the series is then good to 1e-13, and what is subtracted above it too
    constexpr double c2 = 7.0 / 60.0, c3 = 31.0 / 294.0, c4 = 381.0 / 3720.0, c5 = 438.0 / 3421440.0 * 100800.0 / 127.0;
    const std::complex<double> lost =
        std::abs(z2) < small ? z2 / 6.0 * (1.0 - c2 * z2 * (1.0 - c3 * z2 * (1.0 - c4 * z2 * (1.0 - c5 * z2))))
                             : 1.0 - wave.t / conductance;
    const Difference side{0.0, wave.a, -wave.a / s};
    return {{conductance, wave.t, conductance * lost / s}, side, side};
}

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
