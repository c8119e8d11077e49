#include <venture/fabric/stated_buildup.hpp>

#include <cmath>

#include <gtest/gtest.h>

#include <venture/fabric/typed_u_value.hpp>
#include <venture/fabric/walls_for_tests.hpp>
#include <venture/quantity/error.hpp>

namespace venture::fabric {
namespace {

using namespace walls_for_tests; // NOLINT(google-build-using-namespace)

const Films films{0.04, 0.13};
const Material timber{"timber", 0.13, 500, 1600}, brick{"brick", 0.77, 1750, 1000};

/// Air gap, sheathing, studs of 15 % with wool between, board.
StatedBuildup stud_wall()
{
    return {.name = "studs",
            .layers = {{.main = {brick, 0.1}},
                       {.main = {{"air gap"}}, .gap = StatedGap{0.05}},
                       {.main = {timber, 0.012}},
                       {.main = {wool, 0.14}, .bridge = timber, .bridge_share = 0.15},
                       {.main = {board, 0.0125}}}};
}

double u_of(const PlainBuildup& b) { return 1.0 / (0.17 + resistance(b.layers)); }

TEST(StatedBuildup, KeepsTheCombinedUValueInItsPlainLayers)
{
    const PlainBuildup plain = plain_buildup(stud_wall(), films);
    const double gap = plain.layers.layers[1].resistance();
    EXPECT_NEAR(gap, 1.0 / (1.25 + 0.9 / 1.1 * 4.0 * 5.670374e-8 * std::pow(283.15, 3)), 1e-6);
    const double rest = 0.17 + 0.1 / 0.77 + gap + 0.012 / 0.13 + 0.0125 / 0.25, wool_r = 0.14 / 0.036,
                 stud = 0.14 / 0.13;
    const double upper = 1.0 / (0.85 / (rest + wool_r) + 0.15 / (rest + stud)),
                 lower = rest + 1.0 / (0.85 / wool_r + 0.15 / stud);
    EXPECT_NEAR(plain.bounds->upper_m2K_per_W, upper, 1e-12);
    EXPECT_NEAR(plain.bounds->lower_m2K_per_W, lower, 1e-12);
    EXPECT_NEAR(u_of(plain), 2.0 / (upper + lower), 1e-12);
    EXPECT_NEAR(plain.u_value_W_per_m2K, u_of(plain), 1e-12);
}

TEST(StatedBuildup, KeepsTheMeanHeatCapacityOfItsSections)
{
    const PlainBuildup plain = plain_buildup(stud_wall(), films);
    const Layer& even = plain.layers.layers[3];
    EXPECT_NEAR(even.thickness_m * even.material.density_kg_per_m3 * even.material.specific_heat_J_per_kgK,
                0.14 * (0.85 * 30 * 1030 + 0.15 * 500 * 1600), 1e-6);
    EXPECT_NEAR(even.material.density_kg_per_m3, 0.85 * 30 + 0.15 * 500, 1e-9);
}

TEST(StatedBuildup, AddsCorrectionsToItsUValue)
{
    StatedBuildup stated = stud_wall();
    const double before = plain_buildup(stated, films).u_value_W_per_m2K;
    stated.correction_W_per_m2K = 0.03;
    stated.air_gaps = AirGaps::bridging;
    const PlainBuildup plain = plain_buildup(stated, films);
    EXPECT_NEAR(plain.u_before_corrections_W_per_m2K, before, 1e-12);
    EXPECT_GT(plain.air_gap_W_per_m2K, 0.0);
    EXPECT_LT(plain.air_gap_W_per_m2K, 0.01);
    EXPECT_NEAR(u_of(plain), before + 0.03 + plain.air_gap_W_per_m2K, 1e-12);
}

TEST(StatedBuildup, LeavesOutWhatStandsBeforeAWellVentilatedGap)
{
    StatedBuildup stated = stud_wall();
    stated.layers[1].gap->ventilation = Ventilation::well;
    const PlainBuildup plain = plain_buildup(stated, films);
    StatedBuildup rest{.name = "rest", .layers = {stated.layers.begin() + 2, stated.layers.end()}};
    EXPECT_NEAR(plain.u_value_W_per_m2K, plain_buildup(rest, {0.13, 0.13}).u_value_W_per_m2K, 1e-12);
    EXPECT_NEAR(u_of(plain), plain.u_value_W_per_m2K, 1e-12);
    EXPECT_EQ(plain.remarks.size(), 1u);
}

// --- tapered layers and fasteners

StatedBuildup flat_roof(double from_m, double to_m)
{
    return {.name = "falls", .layers = {{.main = {wool, to_m}, .tapers_to_m = from_m}, {.main = {concrete, 0.2}}}};
}

TEST(StatedBuildup, TapersAsTheStandardSays)
{
    const double rest = 0.17 + 0.02 / wool.conductivity_W_per_mK + 0.2 / concrete.conductivity_W_per_mK,
                 falls_by = 0.1 / wool.conductivity_W_per_mK;
    const std::pair<Taper, double> shapes[] = {{Taper::rectangle, 0.07},
                                               {Taper::triangle_thickest_at_apex, 0.02 + 0.1 / 3.0},
                                               {Taper::triangle_thinnest_at_apex, 0.02 + 0.2 / 3.0}};
    for (const auto& [shape, mean_m] : shapes) {
        StatedBuildup roof = flat_roof(0.02, 0.12);
        roof.falls = shape;
        const PlainBuildup plain = plain_buildup(roof, films);
        EXPECT_NEAR(u_of(plain), tapered_u_value(shape, rest, falls_by), 1e-12);
        EXPECT_NEAR(plain.layers.layers[0].thickness_m, mean_m, 1e-12);
        EXPECT_NEAR(plain.layers.layers[0].material.density_kg_per_m3, wool.density_kg_per_m3, 1e-12);
    }
}

TEST(StatedBuildup, TapersToNothingOrAlmostNotAtAll)
{
    const PlainBuildup to_nothing = plain_buildup(flat_roof(0.0, 0.12), films);
    EXPECT_NEAR(u_of(to_nothing),
                tapered_u_value(Taper::rectangle, 0.17 + 0.2 / concrete.conductivity_W_per_mK,
                                0.12 / wool.conductivity_W_per_mK),
                1e-12);
    const double even = 1.0 / (0.17 + 0.12 / wool.conductivity_W_per_mK + 0.2 / concrete.conductivity_W_per_mK);
    EXPECT_NEAR(u_of(plain_buildup(flat_roof(0.1198, 0.12), films)), even, 1e-3 * even);
}

TEST(StatedBuildup, HasFastenersThroughItsInsulation)
{
    StatedBuildup roof{.name = "roof",
                       .layers = {{.main = {wool, 0.16}}, {.main = {concrete, 0.2}}},
                       .fasteners = {.per_m2 = 4.0, .diameter_m = 0.006, .conductivity_W_per_mK = 50.0}};
    const double r = 0.16 / wool.conductivity_W_per_mK, total = 0.17 + r + 0.2 / concrete.conductivity_W_per_mK;
    const double area = 0.25 * 3.14159265358979 * 0.006 * 0.006;
    const double more = 0.8 * 50.0 * 4.0 * area / 0.16 * (r / total) * (r / total);
    const PlainBuildup plain = plain_buildup(roof, films);
    EXPECT_NEAR(plain.fasteners_W_per_m2K, more, 1e-9);
    EXPECT_NEAR(u_of(plain), 1.0 / total + more, 1e-9);
    roof.layers[0] = {.main = {{"a resistance"}, 0.0, 4.0}};
    EXPECT_THROW((void)plain_buildup(roof, films), quantity::RangeError);
}

TEST(StatedBuildup, RefusesTapersThatAreNone)
{
    StatedBuildup twice = flat_roof(0.0, 0.1);
    twice.layers.push_back(twice.layers[0]);
    EXPECT_THROW((void)plain_buildup(twice, films), quantity::RangeError);
    EXPECT_THROW((void)plain_buildup(flat_roof(0.2, 0.1), films), quantity::RangeError);
    EXPECT_THROW((void)plain_buildup(flat_roof(-0.1, 0.1), films), quantity::RangeError);
}

TEST(StatedBuildup, RefusesWhatIsNoLayer)
{
    const auto refuses = [](const StatedLayer& layer) {
        EXPECT_THROW((void)plain_buildup({.name = "x", .layers = {layer}}, films), quantity::RangeError);
    };
    refuses({.main = {wool, 0.1}, .bridge = timber, .bridge_share = 0.0});
    refuses({.main = {wool, 0.1}, .bridge = timber, .bridge_share = 1.5});
    refuses({.main = {wool, 12.0}});
    refuses({.main = {{"wool in mW", 36000.0, 30, 1030}, 0.1}});
    refuses({.main = {{"negative", -0.04, 30, 1030}, 0.1}});
    refuses({.main = {{"air gap"}}, .gap = StatedGap{2.0}});
    EXPECT_THROW(
        (void)plain_buildup({.name = "x", .layers = {{.main = {wool, 0.1}}}, .correction_W_per_m2K = 1000.0}, films),
        quantity::RangeError);
}

class TypedUValues : public testing::TestWithParam<std::tuple<double, WeightClass, MassPlace>> {};

TEST_P(TypedUValues, AreKeptWithTheHeatCapacity)
{
    const auto [u, weight, place] = GetParam();
    const Buildup b = buildup_of_u_value({.name = "x", .u_value_W_per_m2K = u, .weight = weight, .mass = place});
    EXPECT_NEAR(1.0 / (0.17 + resistance(b)), u, 1e-12);
    double capacity = 0.0;
    for (const Layer& l : b.layers)
        capacity += l.thickness_m * l.material.density_kg_per_m3 * l.material.specific_heat_J_per_kgK;
    EXPECT_NEAR(capacity, areal_capacity_J_per_m2K(weight), 1e-6);
    EXPECT_NO_THROW(check(b));
}

INSTANTIATE_TEST_SUITE_P(Of, TypedUValues,
                         testing::Combine(testing::Values(0.1, 0.3, 1.0, 2.0, 3.0),
                                          testing::Values(WeightClass::very_light, WeightClass::medium,
                                                          WeightClass::very_heavy),
                                          testing::Values(MassPlace::inside, MassPlace::outside, MassPlace::both,
                                                          MassPlace::middle, MassPlace::even)));

TEST(TypedUValue, HasItsFilmsStrippedOnce)
{
    EXPECT_NEAR(stripped_resistance({.name = "x", .u_value_W_per_m2K = 2.0, .films = {0.04, 0.10}}), 0.36, 1e-12);
}

TEST(TypedUValue, ThatLeavesNoResistanceIsRefused)
{
    for (const double u : {5.9, 30.0, 0.0, -1.0})
        EXPECT_THROW((void)stripped_resistance({.name = "x", .u_value_W_per_m2K = u}), quantity::RangeError) << u;
    EXPECT_THROW((void)buildup_of_u_value({.name = "x", .u_value_W_per_m2K = 5.5, .weight = WeightClass::very_heavy}),
                 quantity::RangeError);
}

} // namespace
} // namespace venture::fabric
