#include <venture/fabric/panes.hpp>

#include <cmath>
#include <numeric>

#include <gtest/gtest.h>

#include <venture/fabric/glass_u_value.hpp>
#include <venture/quantity/error.hpp>

namespace venture::fabric {
namespace {

double all_of(const StackOptics& s)
{
    return std::accumulate(s.absorptance.begin(), s.absorptance.end(), s.transmittance + s.reflectance);
}

TEST(Panes, LoseNothingAtAnyAngle)
{
    const ClearPane clear{}, grey{.thickness_m = 0.006, .extinction_per_m = 130.0};
    for (const auto& panes : {std::vector{clear}, std::vector{grey, clear}, std::vector{clear, grey, clear}}) {
        for (double cosine = 0.0; cosine <= 1.0; cosine += 0.05)
            EXPECT_NEAR(all_of(stack_optics(panes, cosine)), 1.0, 1e-12) << cosine;
        EXPECT_NEAR(all_of(hemispherical_optics(panes)), 1.0, 1e-7);
    }
}

TEST(Panes, LetLessThroughTheMoreThereAreAndTheFlatterTheLight)
{
    const ClearPane clear{};
    std::vector<ClearPane> panes;
    double last = 1.0;
    for (int i = 0; i < 4; ++i) {
        panes.push_back(clear);
        const double now = stack_optics(panes, 1.0).transmittance;
        EXPECT_LT(now, last);
        EXPECT_LT(stack_optics(panes, 0.3).transmittance, now);
        last = now;
    }
    EXPECT_NEAR(stack_optics(panes, 0.0).reflectance, 1.0, 1e-9); // grazing light is all thrown back
}

TEST(Panes, TransmitTheSameFromEitherSide)
{
    const PaneOptics coated{.transmittance = 0.6, .reflectance_front = 0.3, .reflectance_back = 0.2};
    const PaneOptics turned{.transmittance = 0.6, .reflectance_front = 0.2, .reflectance_back = 0.3};
    const PaneOptics clear{.transmittance = 0.83, .reflectance_front = 0.08, .reflectance_back = 0.08};
    EXPECT_NEAR(stack_optics(std::vector{coated, clear}).transmittance,
                stack_optics(std::vector{clear, turned}).transmittance, 1e-12);
    EXPECT_NEAR(all_of(stack_optics(std::vector{coated, clear, turned})), 1.0, 1e-12);
}

/// Glass that takes nothing up: what it does not let through it throws back, at every angle.
TEST(Panes, WithoutAbsorptionLoseNothing)
{
    for (const double cosine : {1.0, 0.5, 1e-3, 1e-9, 0.0})
        for (const Polarisation polarisation : {Polarisation::across, Polarisation::along}) {
            const PaneOptics p = pane_optics({.extinction_per_m = 0.0}, cosine, polarisation);
            EXPECT_NEAR(p.transmittance + p.reflectance_front, 1.0, 1e-12) << cosine;
        }
    const StackOptics half_space = hemispherical_optics(std::vector<ClearPane>{{.extinction_per_m = 0.0}});
    EXPECT_NEAR(half_space.transmittance + half_space.reflectance, 1.0, 1e-4);
}

TEST(Panes, ThatSendOffMoreThanArrivesAreRefused)
{
    const PaneOptics too_bright{.transmittance = 0.8, .reflectance_front = 0.3, .reflectance_back = 0.1};
    EXPECT_THROW((void)stack_optics(std::vector{too_bright}), quantity::RangeError);
    EXPECT_THROW((void)stack_optics(std::vector<PaneOptics>{}), quantity::RangeError);
    EXPECT_THROW((void)pane_optics({.thickness_m = 0.0}, 1.0, Polarisation::along), quantity::RangeError);
    EXPECT_THROW((void)solar_gain_share(stack_optics({ClearPane{}}, 1.0), {0.3, 0.3}), quantity::RangeError);
}

TEST(GlassUValue, FallsWithCoatingsGasesAndPanes)
{
    const auto u = [](std::vector<GasGap> gaps, GlassTilt tilt = GlassTilt::vertical) {
        GlassBuildup glass{.gaps = std::move(gaps), .tilt = tilt};
        glass.pane_thickness_m.assign(glass.gaps.size() + 1, 0.004);
        return glass_u_value(glass).u_value_W_per_m2K;
    };
    const GasGap air{}, coated{.emissivity_1 = 0.03}, argon{.gas = Gas::argon, .emissivity_1 = 0.03},
        krypton{.width_m = 0.010, .gas = Gas::krypton, .emissivity_1 = 0.03};
    EXPECT_NEAR(u({}), 5.75, 0.1); // a single pane
    EXPECT_LT(u({air}), u({}));
    EXPECT_LT(u({coated}), u({air}));
    EXPECT_LT(u({argon}), u({coated}));
    EXPECT_LT(u({argon, argon}), u({argon}));
    EXPECT_LT(u({krypton}), u({argon}) + 0.1);
    EXPECT_GT(u({argon}, GlassTilt::horizontal), u({argon}));
    EXPECT_THROW((void)glass_u_value({.pane_thickness_m = {0.004}, .gaps = {air}}), quantity::RangeError);
}

} // namespace
} // namespace venture::fabric
