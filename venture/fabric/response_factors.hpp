#pragma once
/// Response factors of a build-up, from the exact solution.

#include <vector>

#include <venture/fabric/two_port.hpp>

namespace venture::fabric {

/// Fluxes at the hours (steps) 0, 1, 2 ... of a wall at 0 degC that sees a unit triangle: 0 K one step before, 1 K at
/// 0, 0 K one step after. W/m2K.
struct ResponseFactors {
    double step_s = 3600.0;
    double u_value_W_per_m2K = 0.0;
    std::vector<double> x{}; ///< outside triangle, flux into the wall outside
    std::vector<double> y{}; ///< outside triangle, flux out of the wall inside; the same the other way round
    std::vector<double> z{}; ///< inside triangle, flux into the wall inside
    /// What the factors left out add up to, for x, y and z: all of them sum to the U-value.
    [[nodiscard]] double rest_of(const std::vector<double>& factors) const;
};

/// Second differences of the answer to a ramp, whose transform is inverted on Talbot's contour.
/// Accuracy  1e-8 of the largest factor (response_factors_test.cpp: reference cases within 1e-7 W/m2K)
/// Source    two-ports as in ISO 13786; inversion: Abate and Valko 2004, Int. J. Numer. Meth. Engng 60, fixed Talbot
/// @param films  constant ones at the ends; none for face-to-face factors
/// @throws quantity::RangeError for a build-up that check() refuses, or a step outside 1 s to 1 day
[[nodiscard]] ResponseFactors response_factors(const Buildup& buildup, std::size_t count, const Films& films = {},
                                               double step_s = 3600.0);

/// The same as the stepper of the heat balance makes them (conduction_run.hpp), at steps of a minute; for setting
/// beside the exact ones.
[[nodiscard]] ResponseFactors implied_response_factors(const Buildup& buildup, std::size_t count,
                                                       const Films& films = {});

} // namespace venture::fabric
