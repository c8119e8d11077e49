#include <venture/fabric/conduction.hpp>

#include <algorithm>
#include <cmath>
#include <complex>
#include <numbers>

#include <gtest/gtest.h>

#include <venture/quantity/error.hpp>

namespace venture::fabric {
namespace {

const Material concrete{"concrete", 1.7, 2300, 1000}, wool{"wool", 0.036, 30, 1030}, steel{"steel", 50, 7800, 450},
    board{"board", 0.25, 800, 1000};

struct NamedWall {
    const char* name;
    std::vector<Layer> layers;
};

class Walls : public testing::TestWithParam<NamedWall> {
protected:
    [[nodiscard]] Buildup wall() const { return {GetParam().name, GetParam().layers}; }
};

using Complex = std::complex<double>;

/// Exact two-port of a layer stack at one frequency: q1 = y11 T1 - y12 T2, after ISO 13786.
struct TwoPort {
    Complex y11, y12, y22;
};

TwoPort in_series(const TwoPort& a, const TwoPort& b)
{
    const Complex d = a.y22 + b.y11;
    return {a.y11 - a.y12 * a.y12 / d, a.y12 * b.y12 / d, b.y22 - b.y12 * b.y12 / d};
}

TwoPort exact(const Layer& layer, double omega)
{
    const Complex r = layer.resistance();
    if (!layer.has_capacity()) return {1.0 / r, 1.0 / r, 1.0 / r};
    const Material& m = layer.material;
    const Complex z = layer.thickness_m * std::sqrt(Complex{0.0, omega} * m.density_kg_per_m3 *
                                                    m.specific_heat_J_per_kgK / m.conductivity_W_per_mK);
    return {z / (r * std::tanh(z)), z / (r * std::sinh(z)), z / (r * std::tanh(z))};
}

TwoPort of_modes(const WallModes& w, double omega)
{
    TwoPort y{w.d11, -w.d12, w.d22};
    for (std::size_t k = 0; k < w.size(); ++k) {
        const Complex g = 1.0 / (Complex{0.0, omega} + w.rate_per_s[k]);
        y.y11 -= w.b1[k] * w.b1[k] * g;
        y.y12 += w.b1[k] * w.b2[k] * g;
        y.y22 -= w.b2[k] * w.b2[k] * g;
    }
    return y;
}

TEST_P(Walls, PassTheSteadyFlowOfTheirResistance)
{
    const WallModes w = wall_modes(wall());
    double d11 = w.d11, d12 = w.d12;
    for (std::size_t k = 0; k < w.size(); ++k) {
        d11 -= w.b1[k] * w.b1[k] / w.rate_per_s[k];
        d12 -= w.b1[k] * w.b2[k] / w.rate_per_s[k];
    }
    const double u = 1.0 / resistance(wall());
    EXPECT_NEAR(d11, u, 1e-9 * w.d11);
    EXPECT_NEAR(d12, -u, 1e-9 * w.d11);
}

TEST_P(Walls, StoreTheHeatOfAllTheirLayers)
{
    const WallModes w = wall_modes(wall());
    double at_one_kelvin = 0.0, expected = 0.0; // z = s for both faces at 1 K
    for (const double s : w.s) at_one_kelvin += s * s;
    for (const Layer& l : wall().layers)
        expected += l.thickness_m * l.material.density_kg_per_m3 * l.material.specific_heat_J_per_kgK;
    EXPECT_NEAR(at_one_kelvin, expected, 1e-8 * expected + 1e-9);
}

TEST_P(Walls, AnswerADailyWaveAsTheExactTwoPort)
{
    constexpr double day_omega = 2.0 * std::numbers::pi / 86400.0, space_error = 1e-3;
    for (const double omega : {day_omega, 4.0 * day_omega}) {
        TwoPort expected = exact(wall().layers.front(), omega);
        for (std::size_t i = 1; i < wall().layers.size(); ++i)
            expected = in_series(expected, exact(wall().layers[i], omega));
        const TwoPort got = of_modes(wall_modes(wall()), omega);
        EXPECT_LE(std::abs(got.y11 - expected.y11), space_error * std::abs(expected.y11));
        EXPECT_LE(std::abs(got.y22 - expected.y22), space_error * std::abs(expected.y22));
        EXPECT_LE(std::abs(got.y12 - expected.y12), space_error * std::abs(expected.y11));
    }
}

TEST_P(Walls, SettleAtEveryRate)
{
    for (const double rate : wall_modes(wall()).rate_per_s) EXPECT_GT(rate, 0.0);
}

INSTANTIATE_TEST_SUITE_P(
    Stacks, Walls,
    testing::Values(NamedWall{"thin board", {{board, 0.0125}}}, NamedWall{"heavy concrete", {{concrete, 0.3}}},
                    NamedWall{"metal sandwich", {{steel, 0.0006}, {wool, 0.1}, {steel, 0.0006}}},
                    NamedWall{"insulated outside", {{wool, 0.16}, {concrete, 0.2}, {board, 0.013}}},
                    NamedWall{"with a gap", {{board, 0.013}, {.resistance_m2K_per_W = 0.18}, {board, 0.013}}},
                    NamedWall{"paint on a metre", {{board, 0.001}, {concrete, 1.0}}}),
    [](const auto& tested) {
        std::string name = tested.param.name;
        std::ranges::replace(name, ' ', '_');
        return name;
    });

TEST(WallModes, OfABareResistanceAreNone)
{
    const WallModes w = wall_modes({"window", {{.resistance_m2K_per_W = 0.5}}});
    EXPECT_EQ(w.size(), 0u);
    EXPECT_DOUBLE_EQ(w.d11, 2.0);
    EXPECT_DOUBLE_EQ(w.d12, -2.0);
}

TEST(WallModes, RefuseABuildupWithoutResistance)
{
    EXPECT_THROW((void)wall_modes({"nothing", {}}), quantity::RangeError);
    EXPECT_THROW((void)wall_modes({"zero", {{.resistance_m2K_per_W = 0.0}}}), quantity::RangeError);
}

TEST(WallModes, MergedKeepWhatTheStepCanSee)
{
    const Buildup wall{"wall", {{steel, 0.001}, {wool, 0.1}, {board, 0.0125}}};
    const WallModes all = wall_modes(wall, 0.0), merged = wall_modes(wall, 60.0);
    EXPECT_LT(merged.size(), all.size());
    const double hour_omega = 2.0 * std::numbers::pi / 3600.0;
    EXPECT_LE(std::abs(of_modes(all, hour_omega).y22 - of_modes(merged, hour_omega).y22),
              0.01 * std::abs(of_modes(all, hour_omega).y22));
}

} // namespace
} // namespace venture::fabric
