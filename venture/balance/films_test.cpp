/// Films that follow from what they act on, and those given by the step.

#include <algorithm>
#include <cmath>

#include <gtest/gtest.h>

#include <venture/balance/boxes_for_tests.hpp>
#include <venture/balance/periodic_day.hpp>
#include <venture/quantity/error.hpp>

namespace venture::balance {
namespace {

using namespace testing_boxes;

/// The box, its outside swinging, its inside films by difference.
ThermalModel box_by_difference(double step_s = 600.0)
{
    ThermalModel m = box(brick, step_s);
    m.outdoor_air_C = m.add_points(wave(5.0, 10.0, 15.0));
    for (Surface& s : m.surfaces) {
        s.outside = OutdoorFace{25.0, m.outdoor_air_C};
        std::get<ZoneFace>(s.inside).natural = fabric::NaturalConvection{};
    }
    return m;
}

TEST(FilmsByDifference, AreThoseOfTheTemperaturesFound)
{
    const ThermalModel m = box_by_difference();
    const fabric::ConvectionCurve curve{{}};
    double worst_W = 0.0, from_faces_W = 0.0, load_W = 0.0;
    const PeriodicDay day = run_periodic_day(m, {}, [&](std::size_t, const StepResult& r) {
        double by_curve_W = 0.0;
        for (const SurfaceStep& s : r.surfaces) {
            const double difference = s.temperature_end_C[1] - r.zones[0].air_end_C;
            by_curve_W += 10.0 * curve.at(difference) * difference;
        }
        worst_W = std::max(worst_W, r.zones[0].film_residual_W);
        from_faces_W = by_curve_W;
        load_W = r.zones[0].load_end_W;
    });
    ASSERT_TRUE(day.converged);
    const double peak_W = *std::ranges::max_element(day.zones[0].heating_W);
    EXPECT_LE(worst_W, 0.01 * peak_W);
    EXPECT_EQ(day.zones[0].film_residual_W, worst_W);
    EXPECT_LE(day.worst_closure, 1e-9);
    // the air is held and stores nothing: faces, leakage and supply balance at the end of the day
    const double leakage_W = 0.02 * 1006.0 * (m.value(m.outdoor_air_C, 143, 1.0) - set_C);
    EXPECT_NEAR(load_W, -(from_faces_W + leakage_W), 0.01 * peak_W);
}

TEST(FilmsByDifference, AgreeWithAFixedFilmWhereTheDifferenceStands)
{
    ThermalModel m = box_by_difference();
    m.outdoor_air_C = m.add_constant(-5.0);
    for (Surface& s : m.surfaces) s.outside = OutdoorFace{25.0, m.outdoor_air_C};
    const PeriodicDay vary = run_periodic_day(m, {.films = {.inside_W_per_m2 = 1e-9, .most_passes = 60}});
    // six faces alike: no net radiation; h d = (25 - d)/(0.2/0.8 + 1/25) with h = 1.31 d^(1/3)
    double low = 0.0, high = 25.0, d = 0.0;
    for (int i = 0; i < 60; ++i) {
        d = 0.5 * (low + high);
        (1.31 * std::pow(d, 4.0 / 3.0) * 0.29 > 25.0 - d ? high : low) = d;
    }
    EXPECT_NEAR(vary.zones[0].heating_W[4], 60.0 * 1.31 * std::pow(d, 4.0 / 3.0) + 0.02 * 1006.0 * 25.0, 0.01);
}

TEST(FilmsByDifference, AreFollowedAtAnyStep)
{
    const auto peak = [](double step_s) {
        return *std::ranges::max_element(run_periodic_day(box_by_difference(step_s)).zones[0].heating_W);
    };
    const double exact = peak(60.0);
    EXPECT_NEAR(peak(600.0), exact, 0.005 * exact);
    EXPECT_NEAR(peak(3600.0), exact, 0.02 * exact);
}

TEST(LongWave, IsTheFourthPowersToEachSide)
{
    ThermalModel m = box(brick);
    const double sky_C = -25.0, ground_C = 2.0;
    for (Surface& s : m.surfaces)
        s.outside = OutdoorFace{.film_W_per_m2K = 12.0,
                                .environment_C = m.outdoor_air_C,
                                .long_wave = LongWave{.emissivity = 0.9,
                                                      .sky_share = 0.4,
                                                      .ground_share = 0.5,
                                                      .sky_C = m.add_constant(sky_C),
                                                      .ground_C = m.add_constant(ground_C)}};
    const auto fourth = [](double t_C) { return std::pow(t_C + 273.15, 4.0); };
    const PeriodicDay day = run_periodic_day(
        m, {.films = {.outside_W_per_m2 = 1e-9, .most_passes = 60}}, [&](std::size_t step, const StepResult& r) {
            if (step > 0) return;
            const SurfaceStep& s = r.surfaces[2];
            const double t = s.temperature_end_C[0];
            const double out = 12.0 * (outdoor_C - t) +
                               0.9 * 5.670374419e-8 *
                                   (0.4 * fourth(sky_C) + 0.5 * fourth(ground_C) + 0.1 * fourth(outdoor_C) - fourth(t));
            EXPECT_NEAR(s.flux_end_W_per_m2[0], out, 1e-6);
        });
    EXPECT_TRUE(day.converged);
    EXPECT_LE(day.worst_closure, 1e-9);
}

TEST(FilmsByStep, AreThatOfTheirStep)
{
    ThermalModel m = box({"glass", {{.resistance_m2K_per_W = 0.5}}});
    std::vector<double> film(24, 25.0);
    film[10] = 5.0;
    const SignalId by_step = m.add_blocks(film, Forcing::coefficient);
    for (Surface& s : m.surfaces)
        s.outside = OutdoorFace{.film_W_per_m2K = 25.0, .environment_C = m.outdoor_air_C, .film_by_step = by_step};
    const PeriodicDay day = run_periodic_day(m);
    const auto loss = [](double h) { return 60.0 / (0.4 + 0.5 + 1.0 / h) * 25.0 + 0.02 * 1006.0 * 25.0; };
    EXPECT_NEAR(day.zones[0].heating_W[9], loss(25.0), 1e-6);
    EXPECT_NEAR(day.zones[0].heating_W[10], loss(5.0), 1e-6);
    EXPECT_NEAR(day.zones[0].heating_W[11], loss(25.0), 1e-6);
}

TEST(Films, OutOfRangeAreRefused)
{
    ThermalModel m = box(brick);
    auto& face = std::get<OutdoorFace>(m.surfaces[0].outside);
    face.film_by_step = m.add_constant(-1.0);
    EXPECT_THROW((void)run_periodic_day(m), quantity::RangeError);
    face.film_by_step.reset();
    face.long_wave = LongWave{.emissivity = 1.2, .sky_C = m.outdoor_air_C, .ground_C = m.outdoor_air_C};
    EXPECT_THROW((void)run_periodic_day(m), quantity::RangeError);
    face.long_wave = LongWave{.sky_share = 0.6, .ground_share = 0.6};
    EXPECT_THROW((void)run_periodic_day(m), quantity::RangeError);
}

TEST(Stratification, WarmsTheCeilingAndCoolsTheFloor)
{
    ThermalModel m = box({"glass", {{.resistance_m2K_per_W = 0.5}}});
    std::get<ZoneFace>(m.surfaces[0].inside).air_warmer_K = 4.0;
    std::get<ZoneFace>(m.surfaces[1].inside).air_warmer_K = -4.0;
    std::vector<SurfaceStep> faces;
    const PeriodicDay day = run_periodic_day(m, {}, [&](std::size_t, const StepResult& r) { faces = r.surfaces; });
    const double even = run_periodic_day(box({"glass", {{.resistance_m2K_per_W = 0.5}}})).zones[0].heating_W[0];
    EXPECT_GT(faces[0].temperature_C[1], faces[2].temperature_C[1] + 0.5);
    EXPECT_LT(faces[1].temperature_C[1], faces[2].temperature_C[1] - 0.5);
    EXPECT_NEAR(day.zones[0].heating_W[0], even, 1e-6 * even); // as much more above as less below
    EXPECT_LE(day.worst_closure, 1e-9);
}

} // namespace
} // namespace venture::balance
