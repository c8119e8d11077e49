#include <venture/fabric/conduction.hpp>

#include <algorithm>
#include <cmath>
#include <numbers>
#include <random>

#include <gtest/gtest.h>

#include <venture/fabric/walls_for_tests.hpp>
#include <venture/quantity/error.hpp>

namespace venture::fabric {
namespace {

using namespace walls_for_tests; // NOLINT(google-build-using-namespace)

class Walls : public testing::TestWithParam<Buildup> {};

constexpr double day_omega = 2.0 * std::numbers::pi / 86400.0;

TEST_P(Walls, PassTheSteadyFlowOfTheirResistance)
{
    const WallModes w = wall_modes(GetParam());
    const auto z = w.steady_states(10.0, 30.0);
    double q1 = w.d11 * 10.0 + w.d12 * 30.0, q2 = w.d12 * 10.0 + w.d22 * 30.0;
    for (std::size_t k = 0; k < w.size(); ++k) {
        q1 -= w.b1[k] * z[k];
        q2 -= w.b2[k] * z[k];
    }
    const double expected = 20.0 / resistance(GetParam());
    EXPECT_NEAR(q1, -expected, 1e-11 * 30.0 * w.d11);
    EXPECT_NEAR(q2, expected, 1e-11 * 30.0 * w.d22);
}

TEST_P(Walls, StoreTheHeatOfAllTheirLayers)
{
    const WallModes w = wall_modes(GetParam());
    double expected = 0.0;
    for (const Layer& l : GetParam().layers)
        expected += l.thickness_m * l.material.density_kg_per_m3 * l.material.specific_heat_J_per_kgK;
    EXPECT_NEAR(w.stored_heat(w.steady_states(1.0, 1.0)), expected, 1e-8 * expected);
}

TEST_P(Walls, AnswerWavesAsTheExactWallDoes)
{
    const WallModes w = wall_modes(GetParam());
    EXPECT_LE(w.largest_error, 1e-4);
    for (const double omega : {0.1 * day_omega, day_omega, 2.0 * day_omega}) {
        const auto exact = port_response(GetParam(), {}, {0.0, omega}), got = w.port_response({0.0, omega});
        for (std::size_t i = 0; i < 2; ++i) {
            EXPECT_LE(std::abs(got(i, i) - exact(i, i)), 1e-4 * std::abs(exact(i, i))) << i << " at " << omega;
            EXPECT_LE(std::abs(got(i, 1 - i) - exact(i, 1 - i)), 1e-4 / resistance(GetParam())) << omega;
        }
    }
}

TEST_P(Walls, ComeAsNearAsIsAsked)
{
    for (const double step_s : {60.0, 600.0, 3600.0}) {
        std::size_t before = 0;
        for (const double accuracy : {1e-2, 1e-3, 1e-4}) {
            const WallModes w = wall_modes(GetParam(), {.step_s = step_s, .accuracy = accuracy});
            EXPECT_LE(w.largest_error, accuracy) << step_s;
            EXPECT_GE(w.size(), before);
            before = w.size();
        }
        EXPECT_LE(before, 32u);
    }
}

TEST_P(Walls, SettleAtEveryRate)
{
    for (const double rate : wall_modes(GetParam(), {.step_s = 60.0}).rate_per_s) EXPECT_GT(rate, 0.0);
}

TEST_P(Walls, AnswerAlikeWhenALayerIsSplit)
{
    Buildup split{"split", {}};
    for (const Layer& layer : GetParam().layers)
        for (const double share : {0.25, 0.5, 0.125, 0.125}) {
            split.layers.push_back(layer);
            split.layers.back().thickness_m *= share;
            split.layers.back().resistance_m2K_per_W *= share;
        }
    const WallModes whole = wall_modes(GetParam()), parts = wall_modes(split);
    for (const double omega : {0.0, day_omega, 50.0 * day_omega}) {
        const auto a = whole.port_response({0.0, omega}), b = parts.port_response({0.0, omega});
        for (std::size_t i = 0; i < 4; ++i) EXPECT_LE(std::abs(a.f[i] - b.f[i]), 1e-9 * std::abs(a.f[0] + a.f[3]));
    }
}

TEST_P(Walls, AreTheirMirrorsFromTheOtherSide)
{
    Buildup mirror = GetParam();
    std::ranges::reverse(mirror.layers);
    const WallModes a = wall_modes(GetParam()), b = wall_modes(mirror);
    for (const double omega : {0.0, day_omega, 20.0 * day_omega}) {
        const auto x = a.port_response({0.0, omega}), y = b.port_response({0.0, omega});
        const double allowed = 2e-4 * std::max(std::abs(x(0, 0)), std::abs(x(1, 1)));
        EXPECT_LE(std::abs(x(0, 0) - y(1, 1)), allowed);
        EXPECT_LE(std::abs(x(1, 1) - y(0, 0)), allowed);
        EXPECT_LE(std::abs(x(0, 1) - y(0, 1)), allowed);
    }
}

INSTANTIATE_TEST_SUITE_P(Stacks, Walls, testing::ValuesIn(stacks()), name_of_stack);

/// Layers as nobody would stack them, with planes among them: stable whatever rounding does, and as near as told.
TEST(WallModes, OfAnyStackSettleAndAreAsNearAsTheySay)
{
    std::mt19937 random{1};
    const auto between = [&](double a, double b) { // on a logarithmic scale
        return std::exp(std::uniform_real_distribution<double>(std::log(a), std::log(b))(random));
    };
    for (int i = 0; i < 400; ++i) {
        Buildup wall{"any", {}};
        const std::size_t layers = 1 + random() % 8;
        for (std::size_t k = 0; k < layers; ++k)
            wall.layers.push_back(
                {{"any", between(0.005, 400), between(10, 9000), between(300, 4000)}, between(1e-4, 2)});
        std::vector<Plane> planes;
        if (i % 2 == 0) planes = {{random() % layers, 0.4}};
        if (i % 4 == 0) planes.push_back({planes[0].layer, 0.8});
        const double step_s = i % 3 == 0 ? 60.0 : 3600.0;
        const WallModes w = wall_modes(wall, {.step_s = step_s, .planes = planes});
        for (const double rate : w.rate_per_s) ASSERT_GT(rate, 0.0) << i;
        EXPECT_LE(w.largest_error, 0.1) << i;
        const auto exact = port_response(wall, planes, {0.0, 0.03 / step_s}),
                   got = w.port_response({0.0, 0.03 / step_s});
        for (std::size_t p = 0; p < exact.ports; ++p)
            EXPECT_LE(std::abs(got(p, p) - exact(p, p)), 2.0 * std::max(w.largest_error, 1e-6) * std::abs(exact(p, p)))
                << i;
    }
}

TEST(WallModes, OfABareResistanceAreNone)
{
    const WallModes w = wall_modes({"window", {{.resistance_m2K_per_W = 0.5}}});
    EXPECT_EQ(w.size(), 0u);
    EXPECT_DOUBLE_EQ(w.d11, 2.0);
    EXPECT_DOUBLE_EQ(w.d12, -2.0);
}

TEST(WallModes, RefuseWhatIsNoWall)
{
    EXPECT_THROW((void)wall_modes({"nothing", {}}), quantity::RangeError);
    EXPECT_THROW((void)wall_modes({"zero", {{.resistance_m2K_per_W = 0.0}}}), quantity::RangeError);
    EXPECT_THROW((void)wall_modes(heavy_floor(), {.step_s = 0.1}), quantity::RangeError);
    EXPECT_THROW((void)wall_modes(heavy_floor(), {.accuracy = 0.5}), quantity::RangeError);
}

TEST(WallModes, RefusePlanesThatAreNotInOrderBetweenTheFaces)
{
    const auto with = [](std::vector<Plane> planes) {
        return wall_modes(heavy_floor(), {.planes = std::move(planes)});
    };
    EXPECT_THROW((void)with({{9, 0.5}}), quantity::RangeError);
    EXPECT_THROW((void)with({{1, 1.5}}), quantity::RangeError);
    EXPECT_THROW((void)with({{0, 0.0}}), quantity::RangeError);           // on a face
    EXPECT_THROW((void)with({{1, 0.5}, {1, 0.5}}), quantity::RangeError); // twice the same
    EXPECT_THROW((void)with({{1, 1.0}, {2, 0.0}}), quantity::RangeError); // the same in other words
    EXPECT_THROW((void)with({{2, 0.5}, {1, 0.5}}), quantity::RangeError);
    EXPECT_NO_THROW((void)with({{1, 0.5}, {1, 0.7}, {2, 0.5}}));
}

// --- planes: sources and temperatures at depth

const std::vector<Plane> three_planes{{0, 0.4}, {1, 0.5}, {2, 0.5}};

TEST(Planes, ShareTheirHeatBetweenTheFacesAsTheResistancesSay)
{
    const Buildup floor = heavy_floor();
    const WallModes w = wall_modes(floor, {.planes = three_planes});
    const double r0 = floor.layers[0].resistance(), r1 = floor.layers[1].resistance(), whole = resistance(floor);
    const double below = r0 + 0.5 * r1; // resistance from the outer face to the second plane
    const std::vector<double> sources{0.0, 40.0, 0.0};
    const auto z = w.steady_states(0.0, 0.0, sources);
    double out = -w.planes[1].w1 * 40.0, in = -w.planes[1].w2 * 40.0;
    for (std::size_t k = 0; k < w.size(); ++k) {
        out -= w.b1[k] * z[k];
        in -= w.b2[k] * z[k];
    }
    EXPECT_NEAR(out, -40.0 * (whole - below) / whole, 1e-8); // the wall loses it there
    EXPECT_NEAR(in, -40.0 * below / whole, 1e-8);
    EXPECT_NEAR(w.plane_temperature(1, z, 0.0, 0.0, sources), 40.0 * below * (whole - below) / whole, 1e-8);
    EXPECT_NEAR(w.plane_temperature(0, z, 0.0, 0.0, sources), 40.0 * 0.4 * r0 * (whole - below) / whole, 1e-8);
}

TEST(Planes, AnswerWavesOfTheirSourcesAsTheExactWallDoes)
{
    const WallModes w = wall_modes(heavy_floor(), {.planes = three_planes});
    EXPECT_LE(w.largest_error, 1e-4);
    for (const double omega : {day_omega, 7.0 * day_omega}) {
        const auto exact = port_response(heavy_floor(), three_planes, {0.0, omega});
        const auto got = w.port_response({0.0, omega});
        const auto steady = port_response(heavy_floor(), three_planes, 0.0);
        for (std::size_t i = 0; i < exact.f.size(); ++i)
            EXPECT_LE(std::abs(got.f[i] - exact.f[i]), 1e-4 * std::max(std::abs(exact.f[i]), std::abs(steady.f[i])))
                << i << " at " << omega;
    }
}

/// A source in the middle of a slab with insulated... cooled faces, against the textbook: the two halves are fins of
/// thickness L/2, each taking half of the heat, T = Q/2 R tanh(z)/z with z = L/2 sqrt(i omega/a).
TEST(Planes, InTheMiddleOfASlabFollowTheClosedForm)
{
    const Buildup slab{"slab", {{concrete, 0.2}}};
    const double half = 0.1,
                 a = concrete.conductivity_W_per_mK / (concrete.density_kg_per_m3 * concrete.specific_heat_J_per_kgK);
    const std::complex<double> z = half * std::sqrt(std::complex<double>{0.0, day_omega} / a);
    const auto expected = 0.5 * half / concrete.conductivity_W_per_mK * std::tanh(z) / z;
    const std::complex<double> share = 0.5 / std::cosh(z);
    const auto exact = port_response(slab, {{0, 0.5}}, {0.0, day_omega});
    EXPECT_LE(std::abs(exact(2, 2) - expected), 1e-13);
    EXPECT_LE(std::abs(exact(0, 2) - share), 1e-13);
    EXPECT_LE(std::abs(exact(1, 2) - share), 1e-13);
    const auto modes = wall_modes(slab, {.accuracy = 1e-6, .planes = {{0, 0.5}}}).port_response({0.0, day_omega});
    EXPECT_LE(std::abs(modes(2, 2) - expected), 1e-6 * std::abs(expected));
    EXPECT_LE(std::abs(modes(0, 2) - share), 1e-6);
}

TEST(Planes, ChangeNothingWhereNoHeatIsPutIn)
{
    const WallModes plain = wall_modes(heavy_floor()), planes = wall_modes(heavy_floor(), {.planes = three_planes});
    for (const double omega : {0.0, day_omega, 20.0 * day_omega}) {
        const auto a = plain.port_response({0.0, omega}), b = planes.port_response({0.0, omega});
        for (std::size_t i = 0; i < 2; ++i)
            for (std::size_t j = 0; j < 2; ++j) EXPECT_LE(std::abs(a(i, j) - b(i, j)), 2e-4 * std::abs(a(i, i)));
    }
}

} // namespace
} // namespace venture::fabric
