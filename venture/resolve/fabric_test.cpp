/// Build-ups, glazings, shades and the ground of a project.

#include <gmock/gmock.h>

#include <small_building.hpp>
#include <venture/quantity/codes.hpp>
#include <venture/resolve/resolve.hpp>
#include <venture/resolve/vocabulary.hpp>

namespace venture::resolve {
namespace {

using namespace testing_data;
using testing::Contains;
using testing::HasSubstr;
namespace codes = quantity::codes;

BuildupInput& wall_of(Input& in) { return in.build_ups[0]; }

const NamedBuildup& wall_of(const Building& b) { return b.build_ups[0]; }

std::vector<std::string> said(const Input& in)
{
    std::vector<std::string> out;
    for (const auto& p : resolve(in).problems) out.push_back(std::string{p.code} + " " + p.message);
    return out;
}

TEST(ResolveFabric, CompletesATypedUValueAndListsItsFilms)
{
    Input in = one_room();
    wall_of(in).layers = {};
    wall_of(in).u_value = 0.5;
    wall_of(in).weight = "heavy";
    const Resolved r = resolve(in);
    ASSERT_TRUE(r.building);
    const NamedBuildup& wall = wall_of(*r.building);
    EXPECT_NEAR(1.0 / (0.17 + fabric::resistance(wall.layers)), 0.5, 1e-12);
    EXPECT_EQ(wall.typed->weight, fabric::WeightClass::heavy);
    const BuildupInput& completed = r.effective.build_ups[0];
    EXPECT_DOUBLE_EQ(*completed.outside_film, 0.04);
    EXPECT_DOUBLE_EQ(*completed.inside_film, 0.13);
    EXPECT_THAT(r.effective.origins.describe(completed.inside_film.origin), HasSubstr("ISO 6946"));
}

TEST(ResolveFabric, KnowsAThicknessOnlyWhereEveryLayerHasOne)
{
    Input in = one_room();
    ASSERT_TRUE(known_thickness_m(wall_of(built(in))));
    EXPECT_DOUBLE_EQ(*known_thickness_m(wall_of(built(in))), thickness_m(wall_of(built(in))));
    wall_of(in).layers.value->at(0).text = "R-19 batts";
    EXPECT_FALSE(known_thickness_m(wall_of(built(in))));
    wall_of(in).layers.value->at(0).text = "50 mm air gap"; // a bare resistance that is so wide
    EXPECT_TRUE(known_thickness_m(wall_of(built(in))));
    wall_of(in).layers = {};
    wall_of(in).u_value = 0.5;
    EXPECT_FALSE(known_thickness_m(wall_of(built(in))));
}

TEST(ResolveFabric, StripsTheFilmsThatAUValueWasStatedWith)
{
    Input in = one_room();
    wall_of(in).layers = {};
    wall_of(in).u_value = 2.0;
    wall_of(in).outside_film = 0.06;
    wall_of(in).inside_film = 0.12;
    EXPECT_NEAR(fabric::resistance(wall_of(built(in)).layers), 0.5 - 0.18, 1e-12);
}

TEST(ResolveFabric, RefusesAUValueThatLeavesNoResistance)
{
    Input in = one_room();
    wall_of(in).layers = {};
    wall_of(in).u_value = 30.0;
    EXPECT_THAT(said(in), Contains(HasSubstr("V205 build-up 'wall': U-value with films of 0.04 and 0.13")));
}

TEST(ResolveFabric, RefusesABuildupInTwoWaysOrNone)
{
    Input in = one_room();
    wall_of(in).u_value = 0.5;
    EXPECT_THAT(said(in), Contains(HasSubstr("V204 build-up 'wall' is given in more than one way")));
    wall_of(in).layers = {};
    wall_of(in).u_value = {};
    EXPECT_THAT(said(in), Contains(HasSubstr("'layers', 'made_of' or 'u_value'")));
}

TEST(ResolveFabric, CompletesAWallInWords)
{
    Input in = one_room();
    wall_of(in).layers = {};
    wall_of(in).made_of = "100 mm brick, cavity 80 mm, filled with wool, 100 mm brick";
    const Resolved r = resolve(in);
    ASSERT_TRUE(r.building);
    EXPECT_EQ(wall_of(*r.building).layers.layers.size(), 3u);
    EXPECT_EQ(r.effective.build_ups[0].layers.value->at(1).text, "80 mm wool");
}

TEST(ResolveFabric, TakesBridgesAndCorrectionsIntoTheUValue)
{
    Input plain = one_room(), bridged = one_room(), corrected = one_room();
    wall_of(bridged).layers.value->at(1).text += " with 2 % brick";
    wall_of(corrected).correction = 0.05;
    const double u = wall_of(built(plain)).made.u_value_W_per_m2K;
    EXPECT_GT(wall_of(built(bridged)).made.u_value_W_per_m2K, 1.05 * u);
    EXPECT_NEAR(wall_of(built(corrected)).made.u_value_W_per_m2K, u + 0.05, 1e-12);
}

/// Gaps feel which way heat goes: a roof's is told from the place that [fabric] gives it.
TEST(ResolveFabric, FindsTheDirectionOfHeatFromWhereABuildupStands)
{
    const Building b = built(one_room());
    for (const NamedBuildup& named : b.build_ups) {
        if (named.layers.name == "roof") {
            EXPECT_EQ(named.direction, fabric::HeatFlow::upwards);
        }
        if (named.layers.name == "wall") {
            EXPECT_EQ(named.direction, fabric::HeatFlow::horizontal);
        }
    }
}

TEST(ResolveFabric, TellsAConductivityInMilliwatts)
{
    Input in = one_room();
    in.materials[1].conductivity = 36.0; // wool
    EXPECT_THAT(said(in), Contains(HasSubstr("36 W/mK cannot be of a material as light as 30 kg/m3")));
    EXPECT_EQ(resolve(in).problems.size(), 1u); // and nothing that follows from it
}

TEST(ResolveFabric, TellsLayersThatAreNone)
{
    for (const char* layer : {"0 mm brick", "12 m brick", "-0.2 m2K/W air gap", "400 mm air gap"}) {
        Input in = one_room();
        wall_of(in).layers.value->at(0).text = layer;
        EXPECT_FALSE(resolve(in).building) << layer;
    }
}

// --- glass

PaneInput clear_pane()
{
    PaneInput p;
    p.name = "clear";
    p.thickness = 0.004;
    p.solar_transmittance = 0.83;
    p.solar_reflectance_outside = p.solar_reflectance_inside = 0.075;
    p.light_transmittance = 0.9;
    p.light_reflectance_outside = p.light_reflectance_inside = 0.08;
    return p;
}

Input with_panes(std::vector<std::string> panes)
{
    Input in = one_room();
    in.panes = {clear_pane()};
    in.glazings[0] = {};
    in.glazings[0].name = "glass";
    quantity::TextList list;
    for (std::string& p : panes) list.push_back({std::move(p), {}});
    in.glazings[0].panes = list;
    return in;
}

TEST(ResolveFabric, CompletesAGlazingFromItsPanes)
{
    const Resolved r = resolve(with_panes({"clear", "16 mm argon", "clear"}));
    ASSERT_TRUE(r.building);
    const NamedGlazing& g = r.building->glazings[0];
    EXPECT_EQ(g.unit->panes.size(), 2u);
    EXPECT_GT(g.values.u_value_W_per_m2K, 2.2);
    EXPECT_LT(g.values.u_value_W_per_m2K, 2.9);
    EXPECT_GT(g.values.g_value, g.values.direct_transmittance);
    EXPECT_NEAR(g.values.light_transmittance, 0.9 * 0.9 / (1.0 - 0.08 * 0.08), 1e-3);
    EXPECT_THAT(r.effective.origins.describe(r.effective.glazings[0].u_value.origin), HasSubstr("EN 673"));
    EXPECT_THAT(r.effective.origins.describe(r.effective.glazings[0].spacer.origin), HasSubstr("our assumption"));
}

TEST(ResolveFabric, TellsPanesOutOfOrder)
{
    EXPECT_THAT(said(with_panes({"clear", "clear"})), Contains(HasSubstr("stands where a gap")));
    EXPECT_THAT(said(with_panes({"16 mm argon", "clear"})), Contains(HasSubstr("stands where a pane")));
    EXPECT_THAT(said(with_panes({"clear", "16 mm argon"})), Contains(HasSubstr("ends with a gap")));
    EXPECT_THAT(said(with_panes({"claer"})), Contains(HasSubstr("no pane is called 'claer'")));
}

TEST(ResolveFabric, TellsPanesThatSendOffMoreThanArrives)
{
    Input in = with_panes({"clear"});
    in.panes[0].solar_reflectance_inside = 0.4;
    EXPECT_THAT(said(in),
                testing::ElementsAre(HasSubstr("of sunlight from inside it transmits 0.83 and reflects 0.4")));
}

TEST(ResolveFabric, RefusesValuesBesidePanesAndGlazingsOfNeither)
{
    Input in = with_panes({"clear"});
    in.glazings[0].g_value = 0.5;
    EXPECT_THAT(said(in), Contains(HasSubstr("has panes, from which this follows")));
    in.glazings[0].panes = {};
    EXPECT_THAT(said(in), Contains(HasSubstr("'u_value', nor any 'panes'")));
}

// --- shades

ShadeInput blind()
{
    ShadeInput s;
    s.name = "blind";
    s.transmittance = 0.1;
    s.reflectance = 0.6;
    return s;
}

TEST(ResolveFabric, GivesWindowsTheShadeOfTheFabricOrTheirOwnOrNone)
{
    Input in = one_room();
    in.shades = {blind(), blind()};
    in.shades[1].name = "screen";
    in.fabric.shade = "blind";
    in.rooms[0].openings = {window("south", 1, 1), window("east", 1, 1), window("north", 1, 1)};
    in.rooms[0].openings[1].shade = "screen";
    in.rooms[0].openings[2].shade = "none";
    const Building b = built(in);
    std::vector<std::optional<std::size_t>> found;
    for (const Surface& s : b.surfaces)
        for (const Opening& o : s.openings) found.push_back(o.shade);
    EXPECT_THAT(found, testing::UnorderedElementsAre(std::optional<std::size_t>{0}, std::optional<std::size_t>{1},
                                                     std::nullopt));
    EXPECT_DOUBLE_EQ(b.shades[0].above_W_per_m2, 200.0);
}

TEST(ResolveFabric, TellsShadesWhoseUseContradictsItself)
{
    Input in = one_room();
    in.shades = {blind()};
    in.shades[0].use = "always";
    in.shades[0].above = 300.0;
    EXPECT_THAT(said(in), Contains(HasSubstr("is not used by the sun on its window")));
    in.shades[0].above = {};
    in.shades[0].use = "profile";
    EXPECT_THAT(said(in), Contains(HasSubstr("names no profile")));
    in.shades[0].use = "never";
    in.shades[0].reflectance = 0.95;
    EXPECT_THAT(said(in), Contains(HasSubstr("transmittance and reflectance together")));
    in.fabric.shade = "blnd";
    EXPECT_THAT(said(in), Contains(HasSubstr("no shade is called 'blnd'")));
}

TEST(ResolveFabric, KnowsWhatAShutterAddsToItsWindow)
{
    Input in = one_room();
    in.shades = {blind()};
    in.shades[0].place = "outside";
    in.shades[0].resistance = 0.2;
    EXPECT_NEAR(built(in).shades[0].added_resistance_m2K_per_W, 0.55 * 0.2 + 0.11, 1e-12);
    in.shades[0].edges = "tight";
    EXPECT_NEAR(built(in).shades[0].added_resistance_m2K_per_W, 0.80 * 0.2 + 0.14, 1e-12);
    in.shades[0].place = "inside";
    EXPECT_THAT(said(in), Contains(HasSubstr("only a shutter there adds resistance")));
    in.shades[0].place = "outside";
    in.shades[0].resistance = {};
    EXPECT_THAT(said(in), Contains(HasSubstr("but not its `resistance`")));
    in.shades[0].edges = {};
    EXPECT_EQ(built(in).shades[0].added_resistance_m2K_per_W, 0.0);
}

// --- ground

TEST(ResolveFabric, CountsTheGroundOnce)
{
    Input in = one_room();
    BuildupInput& slab = in.build_ups[3];
    slab.layers = {};
    slab.u_value = 0.3;
    const Building b = built(in);
    for (const Surface& s : b.surfaces)
        if (s.beyond.kind == Neighbour::Kind::ground) {
            EXPECT_NEAR(u_value(b, s), 0.3, 1e-12);
        }
    in.ground.outdoor_mean = 9.0;
    in.ground.outdoor_amplitude = 7.0;
    EXPECT_THAT(said(in), Contains(HasSubstr("[ground] would count it twice")));
}

TEST(ResolveFabric, LaysTheGroundUnderFloors)
{
    Input in = one_room();
    in.ground.outdoor_mean = 9.0;
    in.ground.outdoor_amplitude = 7.0;
    const Resolved r = resolve(in);
    ASSERT_TRUE(r.building);
    for (const Surface& s : r.building->surfaces) {
        const auto& ground = r.building->build_ups[s.build_up].ground;
        EXPECT_EQ(ground.has_value(), s.beyond.kind == Neighbour::Kind::ground);
        if (!ground) continue;
        EXPECT_LT(ground->design_ground_C, 9.0);
        EXPECT_NEAR(ground->steady_W_per_K, u_value(*r.building, s) * 20.0, 1e-9);
    }
    EXPECT_NEAR(*r.effective.ground.exposed_perimeter, 18.0, 1e-9);
    EXPECT_THAT(said([] {
                    Input without = one_room();
                    without.ground.outdoor_mean = 9.0;
                    return without;
                }()),
                Contains(HasSubstr("[ground] has no 'outdoor_amplitude'")));
}

} // namespace
} // namespace venture::resolve
