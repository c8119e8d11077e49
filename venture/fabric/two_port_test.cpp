#include <venture/fabric/two_port.hpp>

#include <algorithm>
#include <cmath>
#include <numbers>

#include <gtest/gtest.h>

#include <venture/fabric/periodic.hpp>
#include <venture/fabric/response_factors.hpp>
#include <venture/fabric/temperature_profile.hpp>
#include <venture/quantity/error.hpp>

namespace venture::fabric {
namespace {

constexpr double daily_per_s = 2.0 * std::numbers::pi / 86400.0;

Layer layer(double thickness_m, double conductivity, double density, double capacity = 1000.0)
{
    return {.material = {"", conductivity, density, capacity}, .thickness_m = thickness_m};
}

Buildup cavity_wall()
{
    return {.name = "cavity wall",
            .layers = {layer(0.1, 0.77, 1750),
                       {.resistance_m2K_per_W = 0.18},
                       layer(0.08, 0.036, 30, 1030),
                       layer(0.1, 0.5, 1400),
                       layer(0.013, 0.57, 1300)}};
}

/// 0.1 mm of steel on half a metre of insulation on a metre of concrete.
Buildup stiff_wall()
{
    return {.name = "stiff", .layers = {layer(1e-4, 50, 7800, 460), layer(0.5, 0.035, 30), layer(1.0, 1.75, 2300)}};
}

TEST(TwoPort, IsTheSteadyWallAtRest)
{
    const TwoPort at_rest = two_port(cavity_wall(), 0.0);
    EXPECT_NEAR(at_rest.t.real(), 1.0 / resistance(cavity_wall()), 1e-12);
    EXPECT_EQ(std::abs(at_rest.a) + std::abs(at_rest.b), 0.0);
}

TEST(TwoPort, MirroredWallsSwapTheirEnds)
{
    Buildup mirror = cavity_wall();
    std::ranges::reverse(mirror.layers);
    const TwoPort one = two_port(cavity_wall(), {0.0, daily_per_s}), other = two_port(mirror, {0.0, daily_per_s});
    EXPECT_NEAR(std::abs(one.t - other.t), 0.0, 1e-12);
    EXPECT_NEAR(std::abs(one.a - other.b), 0.0, 1e-12);
    EXPECT_NEAR(std::abs(one.b - other.a), 0.0, 1e-12);
}

TEST(TwoPort, ThinnerLayersOfOneMaterialMakeTheSameWall)
{
    const Buildup whole{.name = "whole", .layers = {layer(0.3, 1.4, 2100)}};
    Buildup sliced{.name = "sliced"};
    for (int i = 0; i < 30; ++i) sliced.layers.push_back(layer(0.01, 1.4, 2100));
    for (const double s : {0.0, 1e-6, 1e-4, 1e-2}) {
        const TwoPort a = two_port(whole, {0.0, s}), b = two_port(sliced, {0.0, s});
        EXPECT_NEAR(std::abs(a.t - b.t) + std::abs(a.a - b.a) + std::abs(a.b - b.b), 0.0, 1e-9);
    }
}

TEST(TwoPort, StaysFiniteInStiffAndThickWalls)
{
    const Buildup thick{.name = "thick", .layers = {layer(10.0, 1.0, 2000)}};
    for (const Buildup& wall : {stiff_wall(), thick})
        for (const double s : {1e-9, 1e-5, 1e-1, 1e3}) {
            const TwoPort p = two_port(wall, {0.0, s});
            EXPECT_TRUE(std::isfinite(p.t.real()) && std::isfinite(p.a.real()) && std::isfinite(p.b.imag()));
            EXPECT_GE(std::abs(p.at_end_1()), 0.0);
        }
}

TEST(TwoPort, RefusesWallsThatAreNone)
{
    EXPECT_THROW((void)two_port(Buildup{}, 0.0), quantity::RangeError);
    EXPECT_THROW((void)two_port(Buildup{.layers = {layer(-0.1, 1, 1000)}}, 0.0), quantity::RangeError);
    EXPECT_THROW((void)two_port(0.0), quantity::RangeError);
    EXPECT_THROW((void)periodic_properties(cavity_wall(), {}, 0.0), quantity::RangeError);
}

TEST(PeriodicProperties, DecrementLiesBetweenNothingAndOne)
{
    const PeriodicProperties wall = periodic_properties(cavity_wall(), {0.04, 0.13});
    EXPECT_GT(wall.decrement_factor, 0.0);
    EXPECT_LT(wall.decrement_factor, 1.0);
    const PeriodicProperties slow = periodic_properties(cavity_wall(), {0.04, 0.13}, 1e5);
    EXPECT_NEAR(slow.decrement_factor, 1.0, 1e-3); // nearly steady
    EXPECT_LT(slow.admittance_inside.size, wall.admittance_inside.size);
}

TEST(PeriodicProperties, OrderOfLayersMovesTheDelayButNotTheUValue)
{
    const Buildup inside{.layers = {layer(0.1, 0.036, 30), layer(0.2, 0.5, 1400), layer(0.02, 0.8, 1700)}};
    const Buildup outside{.layers = {layer(0.2, 0.5, 1400), layer(0.1, 0.036, 30), layer(0.02, 0.8, 1700)}};
    const PeriodicProperties a = periodic_properties(inside, {0.04, 0.13}),
                             b = periodic_properties(outside, {0.04, 0.13});
    EXPECT_NEAR(a.u_value_W_per_m2K, b.u_value_W_per_m2K, 1e-12);
    EXPECT_GT(std::abs(a.transmittance.delay_h - b.transmittance.delay_h), 0.1);
}

TEST(TemperatureProfile, FallsWithTheResistancesOfTheLayers)
{
    const Buildup wall = cavity_wall();
    const Films films{0.04, 0.13};
    const auto profile =
        temperature_profile(wall, films, quantity::Temperature::celsius(-5.0), quantity::Temperature::celsius(20.0));
    ASSERT_EQ(profile.at_faces_C.size(), wall.layers.size() + 1);
    EXPECT_NEAR(profile.at_faces_C.front(), -5.0 + 0.04 * profile.heat_flow_W_per_m2, 1e-12);
    EXPECT_NEAR(profile.at_faces_C.back(), 20.0 - 0.13 * profile.heat_flow_W_per_m2, 1e-9);
    for (std::size_t i = 0; i < wall.layers.size(); ++i)
        EXPECT_NEAR(profile.at_faces_C[i + 1] - profile.at_faces_C[i],
                    wall.layers[i].resistance() * profile.heat_flow_W_per_m2, 1e-9);
}

TEST(Mass, OfTheInnerLeafEndsAtTheInsulation)
{
    EXPECT_NEAR(inner_mass_kg_per_m2(cavity_wall()), 0.1 * 1400 + 0.013 * 1300, 1e-9);
    EXPECT_NEAR(mass_kg_per_m2(cavity_wall()), 0.1 * 1750 + 0.08 * 30 + 0.1 * 1400 + 0.013 * 1300, 1e-9);
}

class AnyWall : public testing::TestWithParam<Buildup> {};

TEST_P(AnyWall, FactorsSumToTheUValue)
{
    const Films films{0.04, 0.13};
    const ResponseFactors f = response_factors(GetParam(), 24 * 60, films);
    for (const auto* factors : {&f.x, &f.y, &f.z}) EXPECT_NEAR(f.rest_of(*factors), 0.0, 2e-3 * f.u_value_W_per_m2K);
    EXPECT_GT(f.x[0], 0.0);
    EXPECT_GT(f.z[0], 0.0);
    for (std::size_t j = 1; j < f.x.size(); ++j) EXPECT_LT(f.x[j], 1e-6); // heat once taken up comes back
    for (const double y : f.y) EXPECT_GT(y, -1e-7);
}

TEST_P(AnyWall, DailyFactorsAreTheHourlyOnesWrappedRoundTheDay)
{
    const Films films{0.04, 0.13};
    const ResponseFactors f = response_factors(GetParam(), 24 * 100, films);
    const auto daily = daily_response_factors(GetParam(), films);
    for (std::size_t h = 0; h < 24; ++h) {
        double sum = 0.0;
        for (std::size_t j = h; j < f.y.size(); j += 24) sum += f.y[j];
        EXPECT_NEAR(daily[h], sum, 1e-4 * f.u_value_W_per_m2K) << h;
    }
}

TEST_P(AnyWall, MirrorsExchangeXAndZ)
{
    Buildup mirror = GetParam();
    std::ranges::reverse(mirror.layers);
    const ResponseFactors one = response_factors(GetParam(), 50), other = response_factors(mirror, 50);
    for (std::size_t j = 0; j < 50; ++j) {
        EXPECT_NEAR(one.x[j], other.z[j], 1e-7);
        EXPECT_NEAR(one.y[j], other.y[j], 1e-7);
    }
}

INSTANTIATE_TEST_SUITE_P(Of, AnyWall,
                         testing::Values(cavity_wall(),
                                         Buildup{.name = "panel",
                                                 .layers = {layer(0.0007, 50, 7800, 460), layer(0.1, 0.025, 38, 1400),
                                                            layer(0.0007, 50, 7800, 460)}},
                                         Buildup{.name = "block", .layers = {layer(0.2, 0.6, 1200)}}),
                         [](const auto& one) {
                             return std::string{one.param.name.substr(0, one.param.name.find(' '))};
                         });

} // namespace
} // namespace venture::fabric
