#pragma once
/// A wall with planes inside it, exact at one complex frequency.

#include <complex>
#include <vector>

#include <venture/fabric/two_port.hpp>

namespace venture::fabric {

/// A plane inside a build-up, where heat is put in (pipes, a heating foil) or a temperature is asked.
struct Plane {
    std::size_t layer = 0; ///< counted from the outside, from 0
    double share = 1.0;    ///< how far through that layer, from its outer side: 0..1
};

/// What a wall answers at its faces (temperature given, flux asked) and planes (source given, temperature asked).
/// Ports 0 and 1 are the outer and inner face, the planes follow in their order. With sources Q in W/m2,
///     flux into the wall at face i    q_i = -sum_j f(i,j) T_j - sum_p f(i,p) Q_p       W/m2
///     temperature of plane p          T_p =  sum_j f(p,j) T_j + sum_r f(p,r) Q_r
/// f is symmetric: what a plane feels of a face is the share of its own heat that leaves there.
template <class Number>
struct PortMatrix {
    std::size_t ports = 2;
    std::vector<Number> f{}; ///< row by row
    [[nodiscard]] const Number& operator()(std::size_t i, std::size_t j) const { return f.at(i * ports + j); }
    [[nodiscard]] Number& operator()(std::size_t i, std::size_t j) { return f.at(i * ports + j); }
};

/// The frequency response of a wall with planes, from face to face; no discretisation.
/// @param planes  from the outside inwards, each strictly between the faces and behind the one before
/// @param s       Laplace variable, 1/s: i omega for a wave; 0 for the steady state
/// Source    layers as in ISO 13786:2017, joined as two-ports (two_port.hpp); planes by superposition
/// @throws quantity::RangeError for a build-up that check() refuses or without resistance, or planes out of order
[[nodiscard]] PortMatrix<std::complex<double>> port_response(const Buildup& buildup, const std::vector<Plane>& planes,
                                                             std::complex<double> s);

} // namespace venture::fabric
