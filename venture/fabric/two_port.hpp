#pragma once
/// A wall as a two-port at one complex frequency: exact, whatever its layers.

#include <complex>

#include <venture/fabric/buildup.hpp>

namespace venture::fabric {

/// With temperatures T1, T2 at its ends, the fluxes into it are
///     q1 = t (T1 - T2) + a T1
///     q2 = t (T2 - T1) + b T2
/// W/m2K. This is the layer matrix of ISO 13786 rearranged: nothing overflows or cancels, however thick the layer.
/// @tparam Number  complex at one frequency, or a power series in it (taylor.hpp)
template <class Number>
struct TwoPortOf {
    Number t{}, a{}, b{};
    [[nodiscard]] Number at_end_1() const { return t + a; } ///< q1 for 1 K at end 1 and 0 K at end 2
    [[nodiscard]] Number at_end_2() const { return t + b; }
};
using TwoPort = TwoPortOf<std::complex<double>>;

/// A resistance without capacity, such as a film.
/// @param resistance_m2K_per_W  above 0
[[nodiscard]] TwoPort two_port(double resistance_m2K_per_W);

/// @param s  Laplace variable, 1/s: i omega for a wave; 0 gives the steady state
[[nodiscard]] TwoPort two_port(const Layer& layer, std::complex<double> s);

/// End 2 of the first joined to end 1 of the second.
template <class Number>
[[nodiscard]] TwoPortOf<Number> in_series(const TwoPortOf<Number>& first, const TwoPortOf<Number>& second)
{
    const Number node = first.t + second.t + first.b + second.a;
    return {first.t * second.t / node, first.a + first.t * (first.b + second.a) / node,
            second.b + second.t * (first.b + second.a) / node};
}

/// Constant films at the ends; 0 for none.
struct Films {
    double outside_m2K_per_W = 0.0, inside_m2K_per_W = 0.0;
};

/// End 1 outside, end 2 inside, films included. Layers without any resistance are left out.
/// @throws quantity::RangeError for a build-up that check() refuses, or one without any resistance
[[nodiscard]] TwoPort two_port(const Buildup& buildup, std::complex<double> s, const Films& films = {});

} // namespace venture::fabric
