/// What reaches a room through a window is what its g-value says: bare, with any shade, at any angle.

#include <algorithm>
#include <cmath>

#include <gtest/gtest.h>

#include <small_building.hpp>
#include <venture/balance/periodic_day.hpp>
#include <venture/climate/sun.hpp>
#include <venture/loads/compile.hpp>
#include <venture/loads/design_loads.hpp>

namespace venture::loads {
namespace {

using namespace testing_data;
using climate::Angle;

input::PaneInput pane(const char* name, double transmits, double reflects_outside, double reflects_inside,
                      double emissivity_inside = 0.837)
{
    input::PaneInput p;
    p.name = std::string{name};
    p.thickness = 0.004;
    p.solar_transmittance = p.light_transmittance = transmits;
    p.solar_reflectance_outside = p.light_reflectance_outside = reflects_outside;
    p.solar_reflectance_inside = p.light_reflectance_inside = reflects_inside;
    p.emissivity_inside = emissivity_inside;
    return p;
}

input::GlazingInput by_panes(const char* name, std::initializer_list<const char*> panes)
{
    input::GlazingInput g;
    g.name = std::string{name};
    quantity::TextList texts;
    for (const char* p : panes) texts.push_back({p, {}});
    g.panes = texts;
    g.frame_share = 0.0;
    return g;
}

input::GlazingInput by_values(const char* name, double u, double g_value, double direct)
{
    input::GlazingInput g;
    g.name = std::string{name};
    g.u_value = u;
    g.g_value = g_value;
    g.direct_transmittance = direct;
    g.frame_share = 0.0;
    return g;
}

input::ShadeInput shade(const char* name, const char* place, double transmits, double reflects)
{
    input::ShadeInput s;
    s.name = std::string{name};
    s.place = std::string{place};
    s.transmittance = transmits;
    s.reflectance = reflects;
    s.use = "always";
    return s;
}

constexpr double set_C = 25.0, wide_m = 2.0, high_m = 2.0;

/// A room of 5 x 4 x 3 m with a window to the south.
input::Input glazed(const char* glazing, const char* shade_name = nullptr)
{
    input::Input in = one_room();
    in.panes = {pane("clear", 0.80, 0.07, 0.07), pane("grey", 0.42, 0.05, 0.05),
                pane("coated", 0.58, 0.25, 0.20, 0.04)};
    in.glazings = {by_values("values", 2.5, 0.70, 0.60),
                   by_values("bare heat", 1.1, 0.30, 0.0),
                   by_panes("one clear", {"clear"}),
                   by_panes("two clear", {"clear", "16 mm air", "clear"}),
                   by_panes("grey outside", {"grey", "12 mm argon", "clear"}),
                   by_panes("coated", {"coated", "16 mm argon", "clear"}),
                   by_panes("three", {"clear", "12 mm argon", "clear", "12 mm argon", "grey"})};
    in.shades = {shade("white blind", "inside", 0.05, 0.70), shade("dark blind", "inside", 0.02, 0.10),
                 shade("in the gap", "between panes", 0.05, 0.50), shade("screen", "outside", 0.10, 0.40)};
    in.rooms[0].use.cooling_setpoint = set_C;
    in.rooms[0].openings = {window("south", wide_m, high_m)};
    in.rooms[0].openings[0].glazing = std::string{glazing};
    if (shade_name != nullptr) in.rooms[0].openings[0].shade = std::string{shade_name};
    return in;
}

/// The model as it stands at one hour for ever, outdoors at the set-point, with the standard's films on the window and
/// all other faces as warm as the air: what it is cooled by is what comes in through the window.
balance::ThermalModel stood_still(balance::ThermalModel m, std::size_t hour)
{
    const std::size_t step = hour * m.steps / 24;
    for (balance::Signal& s : m.signals) {
        s.start = {s.at(step, 0.0)};
        s.end.clear();
    }
    m.signals[m.outdoor_air_C.index].start = {set_C};
    for (balance::Surface& s : m.surfaces) {
        auto& inside = std::get<balance::ZoneFace>(s.inside);
        inside.radiative_W_per_m2K = 0.0;
        inside.convective_W_per_m2K = s.part == balance::Part::window ? 1.0 / 0.13 : 1e4;
        if (s.part != balance::Part::window) s.outside = balance::InsulatedFace{};
    }
    for (balance::Zone& z : m.zones) {
        z.infiltration_kg_per_s.clear();
        z.heat_below_C.reset();
        z.radiant_weight = 0.0;
    }
    return m;
}

struct Sun {
    double beam = 0.0, diffuse = 0.0, cosine = 0.0;
};

Sun sun_at(const building::Building& b, const Spell& spell, std::size_t hour)
{
    const auto tilt = Angle::degrees(90.0), azimuth = Angle::degrees(180.0);
    const climate::PlaneIrradiance on = spell.irradiance(tilt, azimuth)[hour];
    EXPECT_EQ(spell.samples_per_hour, 1U);
    EXPECT_FALSE(b.surfaces.empty());
    return {on.beam_W_per_m2, on.sky_diffuse_W_per_m2 + on.ground_reflected_W_per_m2,
            climate::cos_incidence(spell.sun[hour], tilt, azimuth)};
}

/// Share of light from all sides that leaves by the window again: the faces take up 60 %.
double leaves_again(const building::Building& b, double diffuse_direct)
{
    const double glass_m2 = wide_m * high_m, faces_m2 = 2.0 * 20.0 + 2.0 * 3.0 * 9.0 - glass_m2;
    EXPECT_NEAR(b.rooms[0].floor_area_m2, 20.0, 1e-9);
    return glass_m2 * diffuse_direct / (0.6 * faces_m2 + glass_m2 * diffuse_direct);
}

const building::NamedGlazing& called(const std::vector<building::NamedGlazing>& all, std::string_view name)
{
    return *std::ranges::find(all, name, [](const building::NamedGlazing& g) { return g.values.name; });
}

double cooling_W(const balance::ThermalModel& m)
{
    const balance::PeriodicDay day = run_periodic_day(m);
    EXPECT_TRUE(day.converged);
    return day.zones[0].cooling_W[12];
}

class Glazings : public testing::TestWithParam<const char*> {};

TEST_P(Glazings, LetInWhatTheirGValueSays)
{
    const building::Building b = built(glazed(GetParam()));
    const Spell spell = spell_of(b.site, climate::cooling_design_day(b.site, b.site.months[0]));
    const Compiled compiled = compile(b, spell);
    const fabric::GlassByAngle* by_angle = &called(b.glazings, GetParam()).values.by_angle;
    for (const std::size_t hour : {8U, 10U, 12U, 15U}) {
        const Sun sun = sun_at(b, spell, hour);
        const double glass_m2 = wide_m * high_m, beam_light = sun.beam * by_angle->direct_at(sun.cosine),
                     diffuse_light = sun.diffuse * by_angle->diffuse_direct,
                     g_times_sun = beam_light + sun.beam * by_angle->flows_in_at(sun.cosine) + diffuse_light +
                                   sun.diffuse * by_angle->diffuse_flows_in,
                     out_again = leaves_again(b, by_angle->diffuse_direct) * (0.4 * beam_light + diffuse_light);
        const double expected = glass_m2 * (g_times_sun - out_again);
        EXPECT_NEAR(cooling_W(stood_still(compiled.model, hour)), expected, 1e-4 * expected) << hour << " h";
    }
}

INSTANTIATE_TEST_SUITE_P(Bare, Glazings,
                         testing::Values("values", "bare heat", "one clear", "two clear", "grey outside", "coated",
                                         "three"));

class ShadedGlazings : public testing::TestWithParam<std::tuple<const char*, const char*>> {};

TEST_P(ShadedGlazings, LetInWhatTheTotalGValueSays)
{
    const auto& [glazing, shade_name] = GetParam();
    const building::Building b = built(glazed(glazing, shade_name));
    const Spell spell = spell_of(b.site, climate::cooling_design_day(b.site, b.site.months[0]));
    const Compiled compiled = compile(b, spell);
    const building::NamedGlazing* g = &called(b.glazings, glazing);
    const auto down = std::ranges::find(b.shades, shade_name, [](const auto& s) { return s.layer.name; });
    ASSERT_NE(down, b.shades.end());
    const fabric::ShadedGain total = building::gain_with_shade(*g, down->layer);
    const fabric::GlassByAngle& by_angle = g->values.by_angle;
    const std::size_t hour = 12;
    const Sun sun = sun_at(b, spell, hour);
    const double beam_light = sun.beam * by_angle.direct_at(sun.cosine),
                 diffuse_light = sun.diffuse * by_angle.diffuse_direct,
                 bare = beam_light + sun.beam * by_angle.flows_in_at(sun.cosine) + diffuse_light +
                        sun.diffuse * by_angle.diffuse_flows_in,
                 light_left = g->values.direct_transmittance > 0.0
                                  ? total.direct_transmittance / g->values.direct_transmittance
                                  : 0.0,
                 out_again = leaves_again(b, by_angle.diffuse_direct) * light_left * (0.4 * beam_light + diffuse_light);
    const double expected = wide_m * high_m * (bare * total.g_value / g->values.g_value - out_again);
    EXPECT_NEAR(cooling_W(stood_still(compiled.model, hour)), expected, 1e-4 * expected);
}

INSTANTIATE_TEST_SUITE_P(Any, ShadedGlazings,
                         testing::Combine(testing::Values("values", "two clear", "grey outside", "coated", "three"),
                                          testing::Values("white blind", "dark blind", "in the gap", "screen")));

TEST(Frames, LetInWhatTheyTakeUpByTheirUValue)
{
    input::Input in = glazed("values");
    const auto load = [&](double share) {
        in.glazings[0].frame_share = share;
        const building::Building b = built(in);
        return cooling_W(stood_still(compile(b, climate::cooling_design_day(b.site, b.site.months[0])).model, 12));
    };
    const building::Building b = built(in);
    const Sun sun = sun_at(b, spell_of(b.site, climate::cooling_design_day(b.site, b.site.months[0])), 12);
    in.glazings[0].direct_transmittance = 0.0; // no light that could leave again
    const double bare_W = load(0.0), framed_W = load(0.25), u = 2.5,
                 frame_W = 0.25 * wide_m * high_m * 0.6 * (sun.beam + sun.diffuse) * u * 0.04;
    EXPECT_NEAR(framed_W, 0.75 * bare_W + frame_W, 1e-4 * framed_W);
}

TEST(Blinds, OfHeatThatTheyGiveToTheAirTellTheSun)
{
    const building::Building b = built(glazed("values", "dark blind"));
    const Compiled compiled = compile(b, climate::cooling_design_day(b.site, b.site.months[0]));
    double air_W = 0.0;
    for (const balance::Drive& d : compiled.model.zones[0].convective_gain_W) {
        EXPECT_EQ(compiled.model.signals[d.signal.index].forcing, balance::Forcing::sun);
        air_W += d.factor * compiled.model.value(d.signal, 72, 0.0);
    }
    EXPECT_GT(air_W, 100.0);
}

/// Glass behind a shade sends back what its panes say.
TEST(Shades, BehindPanesGoByWhatTheseSendBack)
{
    const building::Building b = built(glazed("coated", "screen"));
    const building::NamedGlazing& coated = b.glazings[5];
    ASSERT_EQ(coated.values.name, "coated");
    EXPECT_GT(coated.values.reflectance_outside, 0.25);
    EXPECT_NE(coated.values.reflectance_outside, coated.values.reflectance_inside);
    fabric::Shade screen{.place = fabric::ShadePlace::outside, .transmittance = 0.3, .reflectance = 0.6};
    const double tau = coated.values.direct_transmittance,
                 expected = tau * 0.3 / (1.0 - 0.6 * coated.values.reflectance_outside);
    EXPECT_NEAR(building::gain_with_shade(coated, screen).direct_transmittance, expected, 1e-12);
    EXPECT_DOUBLE_EQ(b.glazings[0].values.reflectance_outside, 0.1); // nobody said
}

} // namespace
} // namespace venture::loads
