#include <venture/fabric/wall_stepper.hpp>

#include <cmath>
#include <random>

#include <gtest/gtest.h>

#include <venture/fabric/walls_for_tests.hpp>

namespace venture::fabric {
namespace {

using namespace walls_for_tests; // NOLINT(google-build-using-namespace)

const Buildup wall{"wall", {{concrete, 0.1}, {wool, 0.1}, {concrete, 0.15}}};
constexpr double step_s = 900.0;

/// The two stages written out as the method states them, state by state.
struct Plain {
    std::vector<double> z;
    double flux[2][2]{}; ///< stage, face
    void step(const WallModes& m, const double t[2][2], double source[2])
    {
        const double h = two_stages::gamma * step_s;
        std::vector<double> hat = z, after(z.size());
        for (int stage = 0; stage < 2; ++stage) {
            flux[stage][0] = m.d11 * t[stage][0] + m.d12 * t[stage][1];
            flux[stage][1] = m.d12 * t[stage][0] + m.d22 * t[stage][1];
            for (std::size_t k = 0; k < z.size(); ++k) {
                const double drive = m.b1[k] * t[stage][0] + m.b2[k] * t[stage][1] +
                                     (m.planes.empty() ? 0.0 : m.planes[0].e[k] * source[stage]);
                after[k] = (hat[k] + h * drive) / (1.0 + h * m.rate_per_s[k]);
                flux[stage][0] -= m.b1[k] * after[k];
                flux[stage][1] -= m.b2[k] * after[k];
            }
            if (stage == 0)
                for (std::size_t k = 0; k < z.size(); ++k) hat[k] = z[k] + two_stages::carry_over * (after[k] - z[k]);
        }
        z = after;
    }
};

TEST(WallStepper, IsTheTwoStagesInOne)
{
    const WallModes modes = wall_modes(wall, {.step_s = step_s, .planes = {{.layer = 0, .share = 1.0}}});
    const WallStepper stepper = wall_stepper(modes, step_s);
    std::vector<double> z(modes.size(), 0.0);
    Plain plain{z};
    std::mt19937 random{7};
    std::uniform_real_distribution<double> any{-20.0, 40.0};
    for (int step = 0; step < 50; ++step) {
        const double t[2][2] = {{any(random), any(random)}, {any(random), any(random)}};
        double q[2] = {any(random), any(random)};
        const double u[2][3] = {{t[0][0], t[0][1], q[0]}, {t[1][0], t[1][1], q[1]}};
        for (std::size_t stage = 0; stage < 2; ++stage)
            for (std::size_t face = 0; face < 2; ++face) {
                double known = history_of(stepper, z.data(), 1, face, stage) + stepper.w(face, 0) * u[stage][2];
                for (std::size_t j = 0; stage == 1 && j < 3; ++j) known += stepper.carry(face, j) * u[0][j];
                const double flux = stepper.y(face, 0) * t[stage][0] + stepper.y(face, 1) * t[stage][1] - known;
                if (stage == 0 && face == 0) plain.step(modes, t, q);
                const double at_once = (face == 0 ? modes.planes[0].w1 : modes.planes[0].w2) * u[stage][2];
                EXPECT_NEAR(flux, plain.flux[stage][face] - at_once, 1e-8 * (1.0 + std::abs(flux)));
            }
        advance_wall(stepper, z.data(), 1, u[0], u[1]);
        for (std::size_t k = 0; k < z.size(); ++k) EXPECT_NEAR(z[k], plain.z[k], 1e-9 * (1.0 + std::abs(z[k])));
    }
}

TEST(WallStepper, StepsWallsSideBySideAsItStepsOne)
{
    const WallModes modes = wall_modes(wall, {.step_s = step_s});
    const WallStepper stepper = wall_stepper(modes, step_s);
    constexpr std::size_t lanes = WallRow::lanes, n = 2 * lanes;
    std::vector<double> states(n * modes.size(), 0.0), faces(4 * n), history(4 * n), stored(n);
    std::vector<std::vector<double>> alone(n, std::vector<double>(modes.size(), 0.0));
    WallRow row{.count = n, .states = states.data(), .stored_J_per_m2 = stored.data()};
    for (std::size_t r = 0; r < 4; ++r) {
        row.face_C[r] = faces.data() + r * n;
        row.history[r] = history.data() + r * n;
    }
    std::mt19937 random{11};
    std::uniform_real_distribution<double> any{-20.0, 40.0};
    for (int step = 0; step < 20; ++step) {
        for (double& t : faces) t = any(random);
        advance_walls(stepper, row);
        for (std::size_t i = 0; i < n; ++i) {
            const double first[] = {faces[i], faces[n + i]}, second[] = {faces[2 * n + i], faces[3 * n + i]};
            advance_wall(stepper, alone[i].data(), 1, first, second);
            const double* of_wall = states.data() + i / lanes * lanes * modes.size() + i % lanes;
            for (std::size_t k = 0; k < modes.size(); ++k)
                EXPECT_NEAR(of_wall[k * lanes], alone[i][k], 1e-11 * (1.0 + std::abs(alone[i][k])));
            for (std::size_t r = 0; r < 4; ++r)
                EXPECT_NEAR(history[r * n + i], history_of(stepper, alone[i].data(), 1, r % 2, r / 2), 1e-9);
            EXPECT_NEAR(stored[i], stored_heat(stepper, alone[i].data(), 1), 1e-11 * (1.0 + std::abs(stored[i])));
        }
    }
}

} // namespace
} // namespace venture::fabric
