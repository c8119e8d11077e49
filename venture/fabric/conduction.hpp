#pragma once
/// Transient one-dimensional conduction through a build-up, as the heat balance eats it.

#include <span>
#include <vector>

#include <venture/fabric/ports.hpp>

namespace venture::fabric {

/// Conduction of a build-up in a few modes of its own, from face to face, with sources and temperatures at planes.
///
/// With face temperatures T1 (outside) and T2 (inside), sources Q_p in its planes (W/m2) and modal states z_k:
///     dz_k/dt = -rate_k z_k + b1_k T1 + b2_k T2 + sum_p e_pk Q_p
///     q1 = d11 T1 + d12 T2 - sum b1_k z_k - sum_p w1_p Q_p        flux into the wall at face 1, W/m2
///     q2 = d12 T1 + d22 T2 - sum b2_k z_k - sum_p w2_p Q_p        flux into the wall at face 2, W/m2
///     T_p = w1_p T1 + w2_p T2 + sum e_pk z_k + sum_r r_pr Q_r     temperature of plane p
///     heat stored above 0 degC = sum s_k z_k                      J/m2
///
/// There is no grid. The modes come from the exact frequency response (ports.hpp), which is of the kind
/// f(0) - f(s) = s sum g g'/(s + rate): exact values at a few real s fix a small model of the same kind that agrees with
/// the wall and with its first derivative there (Galerkin with the wall's own exact profiles; interpolation as in
/// Mayo and Antoulas 2007, Linear Algebra Appl. 425). At s = 0 it always agrees: steady flow, steady temperatures and
/// stored heat are exact. It is symmetric, passive and stable by construction, and d(stored)/dt = q1 + q2 + sum Q holds
/// to rounding whatever the inputs do. Points are added where the answer to a wave is worst, until none errs by more
/// than `accuracy` up to the frequencies that a step can carry. Many metres of stone and metal may come less near: then
/// rounding allows no more points, and `largest_error` tells.
struct WallModes {
    std::vector<double> rate_per_s{}; ///< slowest first; empty for a wall without capacity
    std::vector<double> b1{}, b2{}, s{};
    double d11 = 0.0, d12 = 0.0, d22 = 0.0; ///< W/m2K
    /// What one plane adds.
    struct AtPlane {
        std::vector<double> e{};   ///< per mode
        double w1 = 0.0, w2 = 0.0; ///< felt at once; 0 within a layer with capacity, but for what was left out
        std::vector<double> r{};   ///< per plane, m2K/W
    };
    std::vector<AtPlane> planes{};
    double largest_error = 0.0; ///< of an answer to a wave, as asked of wall_modes()
    [[nodiscard]] std::size_t size() const { return rate_per_s.size(); }

    /// Temperature of a plane. @param z  size() states  @param sources_W_per_m2  one per plane, or none
    [[nodiscard]] double plane_temperature(std::size_t plane, std::span<const double> z, double t1, double t2,
                                           std::span<const double> sources_W_per_m2 = {}) const;
    /// Heat stored above 0 degC, J/m2.
    [[nodiscard]] double stored_heat(std::span<const double> z) const;
    /// States once everything has come to rest.
    [[nodiscard]] std::vector<double> steady_states(double t1, double t2,
                                                    std::span<const double> sources_W_per_m2 = {}) const;
    /// The frequency response of the modes themselves, for setting them beside the exact one.
    [[nodiscard]] PortMatrix<std::complex<double>> port_response(std::complex<double> at) const;
};

/// How well the modes must answer.
struct ModeOptions {
    /// The shortest step that they will be used with: waves up to three radians a step are kept.
    double step_s = 600.0;
    /// Largest error of an answer to a wave: of a face's own flux and of a plane's own temperature, relative; from face
    /// to face, as a share of the U-value; of what a plane shares with others, as a share of its steady answer.
    double accuracy = 1e-4;
    std::vector<Plane> planes{};
};

/// @throws quantity::RangeError for a build-up that check() refuses, or one without any resistance; planes out of
///         order; a step outside 1 s to 1 day; an accuracy outside 1e-7 to 0.1
[[nodiscard]] WallModes wall_modes(const Buildup& buildup, const ModeOptions& options = {});

} // namespace venture::fabric
