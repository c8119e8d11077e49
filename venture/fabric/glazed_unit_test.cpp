#include <venture/fabric/glazed_unit.hpp>

#include <algorithm>
#include <cmath>
#include <numeric>

#include <gtest/gtest.h>

#include <venture/fabric/shade.hpp>
#include <venture/quantity/error.hpp>

namespace venture::fabric {
namespace {

const GlassPane clear{.name = "clear", .solar = {0.83, 0.075, 0.075}, .light = {0.90, 0.08, 0.08}},
    coated{.name = "coated", .solar = {0.58, 0.24, 0.20}, .light = {0.86, 0.05, 0.06}, .emissivity_outside = 0.05},
    mirror{.name = "mirror", .thickness_m = 0.006, .solar = {0.08, 0.60, 0.45}, .light = {0.1, 0.55, 0.4}};

std::vector<GlazedUnit> units()
{
    return {{"single", {clear}, {}},
            {"double", {clear, coated}, {{0.016, Gas::argon}}},
            {"mirror", {mirror, clear}, {{0.012, Gas::air}}},
            {"triple", {mirror, clear, coated}, {{0.012, Gas::argon}, {0.012, Gas::krypton}}}};
}

class Units : public testing::TestWithParam<GlazedUnit> {};

TEST_P(Units, LoseNoLightAtAnyAngle)
{
    std::vector<BandOptics> panes;
    for (const GlassPane& p : GetParam().panes) panes.push_back(p.solar);
    for (double cosine = 0.0; cosine <= 1.0; cosine += 0.02) {
        const StackOptics s = stack_optics(panes, cosine);
        EXPECT_NEAR(std::accumulate(s.absorptance.begin(), s.absorptance.end(), s.transmittance + s.reflectance), 1.0,
                    1e-12);
        for (const double a : s.absorptance) EXPECT_GE(a, -1e-12) << cosine;
    }
}

TEST_P(Units, LetInLessAndLessTheFlatterTheLight)
{
    const GlazedUnitProperties p = glazed_unit_properties(GetParam());
    for (std::size_t i = 1; i < GlassByAngle::angles; ++i)
        EXPECT_LE(p.by_angle.direct[i], p.by_angle.direct[i - 1] + 1e-4) << i;
    EXPECT_EQ(p.by_angle.direct.back(), 0.0);
    EXPECT_LT(p.diffuse.gain(), p.normal.gain());
    EXPECT_GT(p.diffuse.gain(), 0.75 * p.normal.gain());
    EXPECT_NEAR(p.by_angle.direct_at(std::cos(0.7)) + p.by_angle.flows_in_at(std::cos(0.7)),
                sun_at(GetParam(), std::cos(0.7), p.inward_share).gain(), 1e-4);
}

TEST_P(Units, GiveMoreOfWhatAnInnerPaneTakesUp)
{
    const auto p = glazed_unit_properties(GetParam());
    for (std::size_t i = 1; i < p.inward_share.size(); ++i) EXPECT_GT(p.inward_share[i], p.inward_share[i - 1]);
    for (const double share : p.inward_share) EXPECT_TRUE(share > 0.0 && share < 1.0);
}

TEST_P(Units, PassTheSameLightFromEitherSide)
{
    GlazedUnit turned = GetParam();
    std::ranges::reverse(turned.panes);
    std::ranges::reverse(turned.gaps);
    for (GlassPane& p : turned.panes) {
        std::swap(p.solar.reflectance_outside, p.solar.reflectance_inside);
        std::swap(p.emissivity_outside, p.emissivity_inside);
    }
    const auto a = glazed_unit_properties(GetParam()), b = glazed_unit_properties(turned, {1.0 / 0.13, 25.0});
    EXPECT_NEAR(a.normal.solar.transmittance, b.normal.solar.transmittance, 1e-12);
    EXPECT_NEAR(a.diffuse.solar.transmittance, b.diffuse.solar.transmittance, 1e-9);
    EXPECT_NEAR(a.u_value_W_per_m2K, b.u_value_W_per_m2K, 1e-9);
}

INSTANTIATE_TEST_SUITE_P(Of, Units, testing::ValuesIn(units()), [](const auto& tested) { return tested.param.name; });

TEST(PaneOptics, OfAnUncoatedPaneAreThoseOfItsGlass)
{
    const ClearPane glass{.thickness_m = 0.006, .refractive_index = 1.526, .extinction_per_m = 35.0};
    const PaneOptics normal = pane_optics(glass, 1.0, Polarisation::across);
    const BandOptics stated{normal.transmittance, normal.reflectance_front, normal.reflectance_back};
    for (const double cosine : {1.0, 0.8, 0.5, 0.2, 0.05})
        for (const Polarisation p : {Polarisation::across, Polarisation::along}) {
            const PaneOptics a = pane_optics(glass, cosine, p), b = pane_optics(stated, cosine, p);
            EXPECT_NEAR(a.transmittance, b.transmittance, 1e-9);
            EXPECT_NEAR(a.reflectance_front, b.reflectance_front, 1e-9);
        }
}

TEST(PaneOptics, OfACoatingAreItsOwnAtNormalIncidence)
{
    for (const Polarisation p : {Polarisation::across, Polarisation::along}) {
        const PaneOptics o = pane_optics(mirror.solar, 1.0, p);
        EXPECT_NEAR(o.transmittance, 0.08, 1e-9);
        EXPECT_NEAR(o.reflectance_front, 0.60, 1e-9);
        EXPECT_NEAR(o.reflectance_back, 0.45, 1e-9);
    }
}

TEST(PaneOptics, RefuseMoreThanArrives)
{
    EXPECT_THROW((void)pane_optics(BandOptics{0.6, 0.5, 0.1}, 1.0, Polarisation::along), quantity::RangeError);
    EXPECT_THROW((void)pane_optics(BandOptics{0.6, 0.1, 0.5}, 1.0, Polarisation::along), quantity::RangeError);
    EXPECT_THROW((void)pane_optics(BandOptics{1.2, 0.0, 0.0}, 1.0, Polarisation::along), quantity::RangeError);
}

TEST(GlazedUnit, BetweenRoomsHasAirOfRoomsOnBothSides)
{
    const GlazedUnit unit = units()[1];
    const double outdoors = glazed_unit_properties(unit).u_value_W_per_m2K,
                 between = glazed_unit_properties(unit, GlassFilms::between_rooms()).u_value_W_per_m2K;
    EXPECT_NEAR(1.0 / between - 1.0 / outdoors, 0.13 - 0.04, 1e-9);
}

TEST(GlazedUnit, RefusesAsManyGapsAsPanes)
{
    EXPECT_THROW((void)glazed_unit_properties({"x", {clear}, {{}}}), quantity::RangeError);
    EXPECT_THROW((void)glazed_unit_properties({"x", {}, {}}), quantity::RangeError);
}

TEST(WindowUValue, IsTheStandardsSumByHand)
{
    // 1.23 m by 1.48 m with a frame of 0.1 m: glass 1.03 m by 1.28 m, 4.62 m round.
    const double share = 1.0 - 1.03 * 1.28 / (1.23 * 1.48);
    const double by_hand = (1.03 * 1.28 * 1.1 + (1.23 * 1.48 - 1.03 * 1.28) * 1.4 + 0.08 * 4.62) / (1.23 * 1.48);
    EXPECT_NEAR(window_u_value(1.1, {share, 1.4, 0.08}), by_hand, 1e-12);
    EXPECT_NEAR(window_u_value(1.1, {0.0, 1.4, 0.08}), 1.1, 1e-12);
    EXPECT_THROW((void)window_u_value(1.1, {1.2, 1.4, 0.08}), quantity::RangeError);
}

TEST(GlassByAngle, OfATypedGlazingKeepsItsNormalValues)
{
    const GlassByAngle a = glass_by_angle(0.6, 0.5);
    EXPECT_NEAR(a.direct_at(1.0), 0.5, 1e-12);
    EXPECT_NEAR(a.flows_in_at(1.0), 0.1, 1e-12);
    EXPECT_EQ(a.direct_at(-0.3), 0.0);
    EXPECT_NEAR(a.direct_at(0.5), 0.5 * angular_factor(0.5), 1e-4);
    EXPECT_THROW((void)glass_by_angle(1.2, 0.5), quantity::RangeError);
    EXPECT_THROW((void)glass_by_angle(0.5, 0.6), quantity::RangeError);
}

// --- shades

const ShadedGlass glass{1.2, 0.6, 0.52, 0.12};

TEST(Shades, OutsideKeepOutMoreThanBetweenAndInside)
{
    const auto gain = [&](ShadePlace place) {
        return shaded_gain(glass, {.place = place, .transmittance = 0.1, .reflectance = 0.5}).g_value;
    };
    EXPECT_LT(gain(ShadePlace::outside), gain(ShadePlace::between));
    EXPECT_LT(gain(ShadePlace::between), gain(ShadePlace::inside));
    EXPECT_LT(gain(ShadePlace::inside), glass.g_value);
}

TEST(Shades, ByHandOutside)
{
    const double all = 1.0 / (1.0 / 1.2 + 1.0 / 5.0 + 1.0 / 10.0);
    EXPECT_NEAR(shaded_gain(glass, {.place = ShadePlace::outside, .transmittance = 0.2, .reflectance = 0.5}).g_value,
                0.2 * 0.6 + 0.3 * all / 10.0 + 0.2 * 0.4 * all / 5.0, 1e-12);
}

TEST(Shades, LetInTheMoreTheMoreOpenTheyAre)
{
    double before = 0.0;
    for (const double openness : {0.0, 0.05, 0.2, 0.6, 1.0}) {
        const double g =
            shaded_gain(glass, {.place = ShadePlace::outside, .reflectance = 0.6, .openness = openness}).g_value;
        EXPECT_GT(g, before);
        before = g;
    }
}

TEST(Shades, OfTurnedSlatsLetLightThrough)
{
    const ShadeLayer closed = shade_layer({.reflectance = 0.7}),
                     turned = shade_layer({.reflectance = 0.7, .slats_at_45 = true});
    EXPECT_EQ(closed.transmittance, 0.0);
    EXPECT_NEAR(turned.transmittance, 0.105, 1e-12);
    EXPECT_NEAR(turned.reflectance, 0.525, 1e-12);
}

TEST(Shades, RefuseMoreThanArrives)
{
    EXPECT_THROW((void)shade_layer({.transmittance = 0.6, .reflectance = 0.6}), quantity::RangeError);
    EXPECT_THROW((void)shade_layer({.openness = 1.4}), quantity::RangeError);
    EXPECT_THROW((void)shaded_gain({1.2, 1.1, 0.5, 0.1}, {}), quantity::RangeError);
}

TEST(ShareDown, FollowsItsRule)
{
    EXPECT_EQ(share_down(ShadeUse::never, 900, 200, 1, true), 0.0);
    EXPECT_EQ(share_down(ShadeUse::always, 0, 200, 0, false), 1.0);
    EXPECT_EQ(share_down(ShadeUse::above_irradiance, 199, 200, 0, true), 0.0);
    EXPECT_EQ(share_down(ShadeUse::above_irradiance, 201, 200, 0, true), 1.0);
    EXPECT_EQ(share_down(ShadeUse::by_profile, 0, 0, 0.4, true), 0.4);
    EXPECT_EQ(share_down(ShadeUse::while_occupied, 0, 0, 0.4, true), 1.0);
    EXPECT_EQ(share_down(ShadeUse::at_night, 0, 0, 0, false), 1.0);
    EXPECT_EQ(share_down(ShadeUse::at_night, 5, 0, 0, true), 0.0);
}

TEST(Shutters, AddTheMoreTheTighterTheyClose)
{
    EXPECT_NEAR(shutter_resistance(0.1, ShutterTightness::average), 0.165, 1e-12);
    EXPECT_LT(shutter_resistance(0.2, ShutterTightness::open), shutter_resistance(0.2, ShutterTightness::airtight));
    EXPECT_THROW((void)shutter_resistance(-0.2, ShutterTightness::open), quantity::RangeError);
}

} // namespace
} // namespace venture::fabric
