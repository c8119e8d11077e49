#pragma once
/// What one time step does to a wall: the part that the heat balance calls millions of times.

#include <array>
#include <cstddef>
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

/// A whole step of both stages in terms of the states before it, so that every state is read and written once a step.
///
/// Ports: 0 the outside face, 1 the inside face, 2 + p plane p. Their drives u are the face temperatures and the heat
/// put into the planes (W/m2). With z the states before the step, at stage s = 0, 1
///     history_i(s) = sum_k ports[i].history[s][k] z_k        at the second stage also + sum_j carry(i, j) u_j(0)
///     flux into the wall at face i   q_i = y(i, 0) T1 + y(i, 1) T2 - history_i - sum_p w(i, p) Q_p
///     temperature of plane p         T_p = w(0, p) T1 + w(1, p) T2 + history_(2+p) + sum_r w(2+p, r) Q_r
/// and the states after the step  z_k = keep[k] z_k + sum_i sum_s ports[i].gain[s][k] u_i(s).
struct WallStepper {
    struct Port {
        std::array<std::vector<double>, 2> history{}, gain{}; ///< per stage and mode
    };
    std::vector<double> keep{}, stored{}; ///< per mode; heat stored = sum stored z, J/m2
    std::vector<Port> ports{};
    std::vector<double> instant{}, carried{}; ///< ports x ports

    [[nodiscard]] std::size_t modes() const { return keep.size(); }
    [[nodiscard]] std::size_t planes() const { return ports.size() - 2; }
    /// Instantaneous response of face i to the temperature of face j, W/m2K.
    [[nodiscard]] double y(std::size_t i, std::size_t j) const { return instant[i * ports.size() + j]; }
    /// Share of a source in plane p that port i feels at once: of a face none, of a plane m2K/W.
    [[nodiscard]] double w(std::size_t i, std::size_t p) const { return instant[i * ports.size() + 2 + p]; }
    /// What the first stage's drive of port j adds to the second stage's history of port i.
    [[nodiscard]] double carry(std::size_t i, std::size_t j) const { return carried[i * ports.size() + j]; }
};

/// @param step_s  above 0; infinity for the steady state, which both stages then are
[[nodiscard]] WallStepper wall_stepper(const WallModes& modes, double step_s);

/// Walls of one build-up without planes, side by side: element i of every row is wall i. Their states stand in groups of
/// `lanes` walls, each group modes x lanes, so that a pass reads them in one stream.
struct WallRow {
    static constexpr std::size_t lanes = 8;
    std::size_t count = 0;             ///< a multiple of `lanes`
    double* states = nullptr;          ///< count / lanes groups, of modes x lanes each
    const double* face_C[4] = {};      ///< outside and inside at the first stage, then at the second
    double* history[4] = {};           ///< in the same order, for the next step
    double* stored_J_per_m2 = nullptr; ///< after the step
};

/// Steps all walls of a row, and finds the histories of their next step in the same pass.
void advance_walls(const WallStepper& stepper, const WallRow& row);

/// History of a port at a stage, without what the first stage carries, of one wall whose states are `stride` apart.
[[nodiscard]] double history_of(const WallStepper& stepper, const double* states, std::size_t stride, std::size_t port,
                                std::size_t stage);
/// J/m2
[[nodiscard]] double stored_heat(const WallStepper& stepper, const double* states, std::size_t stride);
/// One wall by itself, planes and all. @param drives  of every port, at the first and at the second stage
void advance_wall(const WallStepper& stepper, double* states, std::size_t stride, const double* first,
                  const double* second);

} // namespace venture::fabric
