#pragma once
/// What one stage of a time step does to a wall: the part that the heat balance calls millions of times.

#include <array>
#include <vector>

#include <venture/fabric/conduction.hpp>

namespace venture::fabric {

/// Two implicit stages a step: second order, L-stable, so that neither a jump nor a film of paint ever rings.
/// A stage of length gamma h leads from carried states x^ to x = x^ + gamma h f(x); the second starts from
/// x0 + carry_over (x1 - x0). Means over the step are the weighted stages, so that heat stored = heat in, to rounding.
/// Accuracy  error of one step c h3, c = 0.04 times the third derivative
/// Source    Alexander 1977, SIAM J. Numer. Anal. 14, gamma = 1 - 1/sqrt 2
namespace two_stages {
inline constexpr double gamma = 0.29289321881345247560;
inline constexpr std::array<double, 2> at{gamma, 1.0}, weight{1.0 - gamma, gamma};
inline constexpr double carry_over = (1.0 - gamma) / gamma;
} // namespace two_stages

/// Modes z = keep z^ + gain1 T1 + gain2 T2 + gain_p Q_p, and so the fluxes into the wall at the stage's end
///     q1 = y11 T1 + y12 T2 - (sum history1 z^) - sum w1_p Q_p        q2 alike
struct WallStage {
    std::vector<double> keep{}, gain1{}, gain2{}, history1{}, history2{};
    double y11 = 0.0, y12 = 0.0, y22 = 0.0; ///< instantaneous response, W/m2K
    struct AtPlane {
        std::vector<double> gain{};
        double w1 = 0.0, w2 = 0.0; ///< share of a source that leaves at either face within the stage
    };
    std::vector<AtPlane> planes{};
    [[nodiscard]] std::size_t modes() const { return keep.size(); }

    /// Sums of history at either face.
    [[nodiscard]] std::array<double, 2> history(const double* carried) const
    {
        std::array<double, 2> h1{}, h2{}; // two sums each: the processor need not wait for the one before
        const std::size_t n = modes(), even = n - n % 2;
        for (std::size_t i = 0; i < even; i += 2)
            for (std::size_t lane = 0; lane < 2; ++lane) {
                h1[lane] += history1[i + lane] * carried[i + lane];
                h2[lane] += history2[i + lane] * carried[i + lane];
            }
        if (even < n) {
            h1[0] += history1[even] * carried[even];
            h2[0] += history2[even] * carried[even];
        }
        return {h1[0] + h1[1], h2[0] + h2[1]};
    }
    /// States at the stage's end. @param sources_W_per_m2  one per plane
    void advance(const double* carried, double t1, double t2, const double* sources_W_per_m2, double* after) const
    {
        for (std::size_t k = 0; k < modes(); ++k) after[k] = keep[k] * carried[k] + gain1[k] * t1 + gain2[k] * t2;
        for (std::size_t p = 0; p < planes.size(); ++p)
            for (std::size_t k = 0; k < modes(); ++k) after[k] += planes[p].gain[k] * sources_W_per_m2[p];
    }
};

/// @param stage_s  above 0; infinity for the steady state
[[nodiscard]] WallStage wall_stage(const WallModes& modes, double stage_s);

} // namespace venture::fabric
