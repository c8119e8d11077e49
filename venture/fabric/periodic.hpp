#pragma once
/// How a build-up answers a daily wave.

#include <array>

#include <venture/fabric/two_port.hpp>

namespace venture::fabric {

/// A complex answer as its size and by how much it comes after its cause.
struct Answer {
    double size = 0.0;
    double delay_h = 0.0; ///< 0..period; an answer that leads comes late in the period
};

/// Source    ISO 13786:2017, 5 and 6, by two-ports (two_port.hpp) instead of products of matrices
struct PeriodicProperties {
    double u_value_W_per_m2K = 0.0;
    Answer transmittance{};                           ///< W/m2K: flux into the room for an outside wave of 1 K
    double decrement_factor = 0.0;                    ///< transmittance for U-value
    Answer admittance_inside{}, admittance_outside{}; ///< W/m2K: flux in at one end, the other end held
    double areal_capacity_inside_J_per_m2K = 0.0, areal_capacity_outside_J_per_m2K = 0.0;
};

/// @param period_h  24 for a day; above 0
/// @throws quantity::RangeError for a build-up that check() refuses, or a period that is none
[[nodiscard]] PeriodicProperties periodic_properties(const Buildup& buildup, const Films& films,
                                                     double period_h = 24.0);

/// Flux into a room at 0 degC at hour h is the sum of Y_j T(h - j), j = 0..23, where the outside temperature T repeats
/// every day and is straight between its hourly values. W/m2K; they sum to U.
[[nodiscard]] std::array<double, 24> daily_response_factors(const Buildup& buildup, const Films& films);
/// The same for the mean flux from hour h to the next: the last factor carries the end of the hour.
[[nodiscard]] std::array<double, 24> daily_mean_factors(const Buildup& buildup, const Films& films);

} // namespace venture::fabric
