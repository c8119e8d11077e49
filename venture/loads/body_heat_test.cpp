/// Heat of people that goes by the air round them.

#include <cmath>

#include <gtest/gtest.h>

#include <venture/air/moist_air.hpp>
#include <venture/balance/boxes_for_tests.hpp>
#include <venture/loads/load_parts.hpp>
#include <venture/quantity/error.hpp>

namespace venture::loads {
namespace {

using namespace balance::testing_boxes;

constexpr double sensible_W = 75.0, latent_W = 55.0, people = 40.0;
constexpr double vaporisation_J_per_kg = air::latent_heat_of_vaporisation_J_per_kg;

/// Puts people of 75 and 55 W at 24 degC into the first zone, by hours of presence.
void add_people(balance::ThermalModel& m, const std::vector<double>& there)
{
    const balance::SignalId sensible = m.add_blocks(there, balance::Forcing::people),
                            latent = m.add_blocks(there, balance::Forcing::moisture);
    m.zones[0].convective_gain_W.push_back({sensible, people * sensible_W});
    m.zones[0].moisture_gain_kg_per_s.push_back({latent, people * latent_W / vaporisation_J_per_kg});
    m.bodies.push_back(
        {.zone = 0, .sensible = sensible, .latent = latent, .latent_per_sensible = latent_W / sensible_W});
}

balance::ThermalModel crowded_box(const std::vector<double>& there, double step_s = 600.0)
{
    balance::ThermalModel m = box(brick, step_s);
    m.zones[0].heat_below_C = m.zones[0].cool_above_C = std::nullopt;
    add_people(m, there);
    return m;
}

TEST(BodyHeat, FallsByAFifthInThreeKelvinAndTurnsIntoMoisture)
{
    const balance::BodyHeat body{.latent_per_sensible = latent_W / sensible_W};
    EXPECT_DOUBLE_EQ(body.sensible_factor(24.0), 1.0);
    EXPECT_DOUBLE_EQ(body.sensible_factor(27.0), 0.8);
    EXPECT_DOUBLE_EQ(body.sensible_factor(21.0), 1.2);
    EXPECT_DOUBLE_EQ(body.sensible_factor(45.0), 0.0);
    EXPECT_DOUBLE_EQ(body.sensible_factor(-10.0), 130.0 / 75.0);
    for (const double air_C : {-10.0, 10.0, 21.0, 24.0, 33.3, 40.0}) {
        const double f = body.sensible_factor(air_C);
        EXPECT_NEAR(f * sensible_W + body.latent_factor(f) * latent_W, 130.0, 1e-12);
        EXPECT_GE(body.latent_factor(f), 0.0);
    }
}

TEST(BodyHeat, MeetsTheLossesOfAFreeRoomWhereTheSumOnPaperSays)
{
    // 40 x 75 W (39 - T) / 15 K = H (T + 5), with H as of SteadyHeatLoss.EqualsTheSumOnPaper
    const double h_W_per_K = 60.0 / (0.4 + 0.25 + 0.04) + 0.02 * 1006.0, per_K = people * sensible_W / 15.0;
    const double paper_C = (per_K * 39.0 + h_W_per_K * outdoor_C) / (per_K + h_W_per_K);
    const balance::PeriodicDay day = run_periodic_day(crowded_box({1.0}), {.temperature_tolerance_K = 1e-9});
    ASSERT_TRUE(day.converged);
    for (const double air_C : day.zones[0].air_C) EXPECT_NEAR(air_C, paper_C, 1e-6);
    const double evaporated_W = people * (sensible_W + latent_W) - per_K * (39.0 - paper_C);
    EXPECT_NEAR(day.zones[0].humidity_ratio[12], 0.002 + evaporated_W / vaporisation_J_per_kg / 0.02, 1e-7);
}

TEST(BodyHeat, IsTakenApartAndAddsUp)
{
    std::vector<double> there(24, 0.0);
    for (std::size_t h = 9; h < 17; ++h) there[h] = 1.0;
    balance::ThermalModel m = crowded_box(there);
    m.outdoor_air_C = m.add_points(wave(22.0, 8.0, 15.0), balance::Forcing::outdoor_air);
    for (balance::Surface& s : m.surfaces) s.outside = balance::OutdoorFace{25.0, m.outdoor_air_C};
    m.zones[0].infiltration_kg_per_s = {{m.add_constant(0.02, balance::Forcing::coefficient)}};
    m.zones[0].cool_above_C = m.add_constant(27.0, balance::Forcing::set_point);
    balance::Recording recorded;
    balance::PeriodicOptions options{.temperature_tolerance_K = 1e-9};
    options.record = &recorded;
    const balance::PeriodicDay day = run_periodic_day(m, options);
    EXPECT_EQ(recorded.bodies, 1u);
    options.record = nullptr;
    const std::vector<LoadPart> parts = load_parts(m, recorded, 24.0, options);
    double people_J = 0.0, cooling_J = 0.0;
    for (std::size_t h = 0; h < 24; ++h) {
        double sum = 0.0;
        for (const LoadPart& part : parts) {
            sum += part.load_W[0][h];
            if (part.forcing == balance::Forcing::people) people_J -= part.load_W[0][h] * 3600.0;
        }
        EXPECT_NEAR(sum, day.zones[0].heating_W[h] - day.zones[0].cooling_W[h], 1e-3) << h;
        cooling_J += day.zones[0].cooling_W[h] * 3600.0;
    }
    EXPECT_GT(cooling_J, 0.0);
    EXPECT_LT(people_J, 8 * 3600.0 * 0.81 * people * sensible_W); // at 27 degC, a fifth less than at 24
    EXPECT_GT(people_J, 0.5 * cooling_J);
}

TEST(BodyHeat, DoesNotHangOnTheStep)
{
    std::vector<double> there(24, 0.0);
    for (std::size_t h = 9; h < 17; ++h) there[h] = 0.2;
    const balance::PeriodicDay usual = run_periodic_day(crowded_box(there)),
                               fine = run_periodic_day(crowded_box(there, 60.0));
    for (std::size_t h = 0; h < 24; ++h) EXPECT_NEAR(usual.zones[0].air_C[h], fine.zones[0].air_C[h], 0.05) << h;
}

TEST(BodyHeat, ThatPointsNowhereIsRefused)
{
    balance::ThermalModel m = crowded_box({1.0});
    m.bodies[0].zone = 7;
    EXPECT_THROW(balance::HeatBalance{m}, quantity::RangeError);
    m = crowded_box({1.0});
    m.bodies[0].latent_per_sensible = 0.0;
    EXPECT_THROW(balance::HeatBalance{m}, quantity::RangeError);
    m = crowded_box({1.0});
    m.bodies[0].none_at_C = m.bodies[0].reference_C;
    EXPECT_THROW(balance::HeatBalance{m}, quantity::RangeError);
}

} // namespace
} // namespace venture::loads
