#include <venture/fabric/conduction_run.hpp>

#include <cmath>
#include <numbers>
#include <random>

#include <gtest/gtest.h>

#include <venture/fabric/response_factors.hpp>
#include <venture/fabric/walls_for_tests.hpp>
#include <venture/quantity/error.hpp>

namespace venture::fabric {
namespace {

using namespace walls_for_tests; // NOLINT(google-build-using-namespace)

/// Every wall at every step that may be asked for.
class Runs : public testing::TestWithParam<std::tuple<std::size_t, double>> {
protected:
    [[nodiscard]] static Buildup wall() { return stacks()[std::get<0>(GetParam())]; }
    [[nodiscard]] static double step_s() { return std::get<1>(GetParam()); }
    [[nodiscard]] static ConductionRun run(const Films& films = {0.04, 0.13})
    {
        return {wall_modes(wall(), {.step_s = step_s()}), step_s(), films};
    }
};

TEST_P(Runs, StoreWhatGoesInLessWhatComesOut)
{
    ConductionRun wall = run();
    wall.start_steady({{-5.0, 20.0}, {}});
    const double before = wall.stored_heat();
    double in = 0.0, throughput = 0.0;
    std::mt19937 random{7};
    std::uniform_real_distribution<double> weather{-10.0, 30.0};
    for (int i = 0; i < 500; ++i) {
        const WallStep s =
            wall.step({{weather(random), 20.0}, {}}, {{weather(random), 22.0}, {}}); // it jumps each step
        in += (s.flux_W_per_m2[0] + s.flux_W_per_m2[1]) * step_s();
        throughput += (std::abs(s.flux_W_per_m2[0]) + std::abs(s.flux_W_per_m2[1])) * step_s();
    }
    EXPECT_NEAR(wall.stored_heat() - before, in, 1e-9 * throughput);
}

TEST_P(Runs, NeitherDriftNorRingInTwoWeeksOfRandomWeather)
{
    ConductionRun wall = run();
    wall.start_steady({{10.0, 20.0}, {}});
    std::mt19937 random{11};
    std::uniform_real_distribution<double> weather{-15.0, 35.0};
    const int steps = static_cast<int>(14 * 86400.0 / step_s());
    double now = 10.0;
    for (int i = 0; i < steps; ++i) {
        const double next = weather(random);
        const WallStep s = wall.step({{now, 20.0}, {}}, {{next, 20.0}, {}});
        for (const double t : s.face_end_C) {
            ASSERT_GE(t, -15.0 - 1.5); // the modes left out can be felt by a degree where a film of paint jumps
            ASSERT_LE(t, 35.0 + 1.5);
        }
        now = next;
    }
    const double resistance_m2K_per_W = 0.17 + resistance(Runs::wall());
    const double settles_s =
        40.0 * step_s() + 8.0 * resistance_m2K_per_W * wall.modes().stored_heat(wall.modes().steady_states(1.0, 1.0));
    WallStep last;
    for (double t_s = 0.0; t_s < settles_s; t_s += step_s()) last = wall.step({{now, 20.0}, {}}, {{now, 20.0}, {}});
    const double u = 1.0 / resistance_m2K_per_W; // it has come to rest
    EXPECT_NEAR(last.flux_end_W_per_m2[0], u * (now - 20.0), 1e-6);
    EXPECT_NEAR(last.flux_end_W_per_m2[1], u * (20.0 - now), 1e-6);
}

/// At a minute and at an hour a step of one degree outside is felt alike inside: nothing depends on the step.
TEST(ConductionRun, OfAStiffStackIsTheSameAtAMinuteAndAtAnHour)
{
    const auto inside_after = [](double step_s, int hours) {
        ConductionRun wall{wall_modes(stacks().back(), {.step_s = step_s}), step_s, {0.04, 0.13}};
        WallStep last;
        double stored = 0.0;
        for (int i = 0; i < static_cast<int>(hours * 3600.0 / step_s); ++i) {
            const double from = std::sin(i * step_s / 4e4), to = std::sin((i + 1) * step_s / 4e4);
            last = wall.step({{20.0 * from, 5.0 * from}, {}}, {{20.0 * to, 5.0 * to}, {}});
            stored = wall.stored_heat();
        }
        return std::array{last.flux_end_W_per_m2[0], last.flux_end_W_per_m2[1], stored / 3600.0};
    };
    for (const int hours : {5, 48, 300}) {
        const auto minute = inside_after(60.0, hours), hour = inside_after(3600.0, hours);
        for (std::size_t i = 0; i < 3; ++i) EXPECT_NEAR(minute[i], hour[i], 0.02 * std::abs(minute[i]) + 0.05);
    }
}

TEST(ConductionRun, IsOfSecondOrder)
{
    const auto error = [](double step_s) {
        const Buildup wall = heavy_floor();
        ConductionRun run{wall_modes(wall, {.step_s = 60.0, .accuracy = 1e-6}), step_s, {0.04, 0.13}};
        constexpr double omega = 2.0 * std::numbers::pi / 86400.0;
        const auto exact = two_port(wall, {0.0, omega}, {0.04, 0.13}).t; // flux inside for a wave outside
        double worst = 0.0;
        const int steps = static_cast<int>(86400.0 / step_s);
        for (int i = 0; i < 6 * steps; ++i) {
            const double from = std::cos(omega * i * step_s), to = std::cos(omega * (i + 1) * step_s);
            const double q = -run.step({{from, 0.0}, {}}, {{to, 0.0}, {}}).flux_end_W_per_m2[1];
            const double expected = (exact * std::polar(1.0, omega * (i + 1) * step_s)).real();
            if (i >= 5 * steps) worst = std::max(worst, std::abs(q - expected) / std::abs(exact));
        }
        return worst;
    };
    const double coarse = error(3600.0), fine = error(1800.0), finer = error(900.0);
    EXPECT_NEAR(coarse / fine, 4.0, 0.8);
    EXPECT_NEAR(fine / finer, 4.0, 0.8);
    EXPECT_LT(error(600.0), 2e-3);
}

/// The factors that the stepper implies are the exact ones, but for its own error.
TEST(ConductionRun, ImpliesTheExactResponseFactors)
{
    for (const Buildup& wall : stacks()) {
        const Films films{0.04, 0.13};
        const ResponseFactors exact = response_factors(wall, 48, films);
        const ResponseFactors got = implied_response_factors(wall, 48, films);
        const double largest = std::max(exact.x[0], exact.z[0]);
        for (std::size_t j = 0; j < exact.x.size(); ++j) {
            EXPECT_NEAR(got.x[j], exact.x[j], 0.005 * largest) << wall.name << " X " << j;
            EXPECT_NEAR(got.y[j], exact.y[j], 0.005 * largest) << wall.name << " Y " << j;
            EXPECT_NEAR(got.z[j], exact.z[j], 0.005 * largest) << wall.name << " Z " << j;
        }
    }
}

TEST(ConductionRun, AnswersASourceThatIsSwitchedOnWithAllItsHeat)
{
    ConductionRun floor{wall_modes(heavy_floor(), {.planes = {{0, 0.5}, {1, 0.5}}}), 600.0, {1e3, 0.1}};
    double in = 0.0;
    WallStep s;
    for (int i = 0; i < 144 * 60; ++i) {
        s = floor.step({{0.0, 0.0}, {0.0, 60.0}}, {{0.0, 0.0}, {0.0, 60.0}});
        in += 600.0 * (s.flux_W_per_m2[0] + s.flux_W_per_m2[1] + s.sources_W_per_m2);
    }
    EXPECT_NEAR(floor.stored_heat(), in, 1e-9 * 60.0 * 86400.0 * 60);
    EXPECT_NEAR(s.flux_end_W_per_m2[1], -60.0, 0.1); // the outside is insulated but for a film of 1000 m2K/W
    EXPECT_NEAR(s.plane_end_C[1], 60.0 * (0.1 + 0.01 / 0.25 + 0.03 / 1.2), 0.2);
    EXPECT_NEAR(s.plane_end_C[0], s.plane_end_C[1], 0.1);
}

TEST(ConductionRun, RefusesNoStepAndNegativeFilms)
{
    EXPECT_THROW((ConductionRun{wall_modes(heavy_floor()), 0.0}), quantity::RangeError);
    EXPECT_THROW((ConductionRun{wall_modes(heavy_floor()), 60.0, {-0.1, 0.0}}), quantity::RangeError);
}

INSTANTIATE_TEST_SUITE_P(StacksAndSteps, Runs,
                         testing::Combine(testing::Range(std::size_t{0}, stacks().size()),
                                          testing::Values(60.0, 600.0, 3600.0)));

} // namespace
} // namespace venture::fabric
