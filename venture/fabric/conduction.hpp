#pragma once
/// Transient one-dimensional conduction through a build-up, as the heat balance eats it.

#include <vector>

#include <venture/fabric/buildup.hpp>

namespace venture::fabric {

/// Face-to-face conduction of a build-up in its own modes.
///
/// With face temperatures T1 (outside) and T2 (inside) and modal states z_k:
///     dz_k/dt = -rate_k z_k + b1_k T1 + b2_k T2
///     q1 = d11 T1 + d12 T2 - sum b1_k z_k        flux into the wall at face 1, W/m2
///     q2 = d12 T1 + d22 T2 - sum b2_k z_k        flux into the wall at face 2, W/m2
///     heat stored above 0 degC = sum s_k z_k     J/m2
/// Modes come from finite volumes, fine enough that the space error of a daily wave stays below 0.1 %. Modes faster
/// than any step are merged into two that keep their steady flow and their heat capacity, face by face, so that steady
/// flow and stored heat stay exact and d(stored)/dt = q1 + q2 holds to rounding.
struct WallModes {
    std::vector<double> rate_per_s{}; ///< slowest first, the merged ones last; empty for a wall without capacity
    std::vector<double> b1{}, b2{}, s{};
    double d11 = 0.0, d12 = 0.0, d22 = 0.0; ///< W/m2K
    [[nodiscard]] std::size_t size() const { return rate_per_s.size(); }
};

/// @param shortest_s  modes that settle in less than this time are merged; a tenth of the step loses nothing
/// @throws quantity::RangeError for a build-up that check() refuses, or one without any resistance
[[nodiscard]] WallModes wall_modes(const Buildup& buildup, double shortest_s = 60.0);

} // namespace venture::fabric
