#include <venture/fabric/buildup.hpp>

#include <gtest/gtest.h>

#include <reference_table.hpp>
#include <venture/quantity/error.hpp>

namespace venture::fabric {
namespace {

using nlohmann::json;

HeatFlow direction_of(const std::string& word)
{
    if (word.starts_with("up")) return HeatFlow::upwards;
    return word.starts_with("down") ? HeatFlow::downwards : HeatFlow::horizontal;
}

TEST(UValue, AgreesWithTheReferenceForPlainLayers)
{
    const json table = reference::table("envelope");
    ASSERT_EQ(table.at("simple").size(), 5u);
    for (const json& c : table.at("simple")) {
        Buildup buildup{.name = c.at("name")};
        for (const json& layer : c.at("layers_inside_to_outside")) {
            if (layer.contains("resistance_m2K_W"))
                buildup.layers.push_back({.resistance_m2K_per_W = layer.at("resistance_m2K_W")});
            else
                buildup.layers.push_back(
                    {.material = {"", layer.at("sections").at(0).at("conductivity_W_mK"), 1000.0, 1000.0},
                     .thickness_m = layer.at("thickness_m")});
        }
        const double u = u_value(buildup, direction_of(c.at("heat_flow")), c.at("Rse_m2K_W"));
        const double expected = c.at("U_W_m2K");
        EXPECT_NEAR(u, expected, 1e-5 * expected) << c.at("name");
    }
}

TEST(InsideFilm, AddsUpToTheStandardResistances)
{
    for (const HeatFlow d : {HeatFlow::upwards, HeatFlow::horizontal, HeatFlow::downwards}) {
        const InsideFilm film = inside_film(d);
        // ISO 6946 rounds 0.0987, 0.131 and 0.1715 to 0.10, 0.13 and 0.17.
        EXPECT_NEAR(1.0 / (film.convective_W_per_m2K + film.radiative_W_per_m2K), standard_inside_resistance(d), 0.002);
    }
}

TEST(UValue, FallsWithEveryLayerAdded)
{
    Buildup wall{.name = "wall", .layers = {{.material = {"brick", 0.77, 1750, 1000}, .thickness_m = 0.1}}};
    double last = u_value(wall, HeatFlow::horizontal);
    for (int i = 0; i < 5; ++i) {
        wall.layers.push_back({.material = {"wool", 0.04, 30, 1000}, .thickness_m = 0.02});
        const double next = u_value(wall, HeatFlow::horizontal);
        EXPECT_LT(next, last);
        last = next;
    }
}

TEST(CheckBuildup, NamesTheLayerThatIsWrong)
{
    const Buildup wrong{.name = "wall", .layers = {{.material = {"wool", -0.04, 30, 1000}, .thickness_m = 0.1}}};
    try {
        check(wrong);
        FAIL() << "should have thrown";
    } catch (const quantity::RangeError& error) {
        EXPECT_EQ(error.where(), "build-up 'wall', layer 'wool'");
        EXPECT_EQ(error.name(), "conductivity");
    }
}

} // namespace
} // namespace venture::fabric
