/// U-values of what is not plain: air layers, bridges, tapers, corrections, ground.

#include <cmath>

#include <gtest/gtest.h>

#include <reference_table.hpp>
#include <venture/fabric/air_layer.hpp>
#include <venture/fabric/bridged.hpp>
#include <venture/fabric/ground.hpp>
#include <venture/quantity/error.hpp>

namespace venture::fabric {
namespace {

using nlohmann::json;

TEST(AirLayer, FoilHelpsAndDirectionMatters)
{
    AirLayer layer{.thickness_m = 0.05};
    const double plain = air_layer_resistance(layer);
    EXPECT_NEAR(plain, 0.18, 0.005); // the table's value
    layer.emissivity_1 = 0.05;
    EXPECT_GT(air_layer_resistance(layer), 2.0 * plain);
    layer.direction = HeatFlow::downwards;
    const double down = air_layer_resistance(layer);
    layer.direction = HeatFlow::upwards;
    EXPECT_GT(down, air_layer_resistance(layer));
}

TEST(AirLayer, AgreesWithTheRoundedTableOfTheStandard)
{
    const json table = reference::table("envelope"); // outlives the loop over a part of it
    for (const json& c : table.at("recalled").at("air_layer_table")) {
        const std::string word = c.at("heat_flow");
        const AirLayer layer{.thickness_m = c.at("thickness_m"),
                             .direction = word == "upwards"     ? HeatFlow::upwards
                                          : word == "downwards" ? HeatFlow::downwards
                                                                : HeatFlow::horizontal};
        EXPECT_NEAR(air_layer_resistance(layer), c.at("table_resistance_m2K_W").get<double>(), 0.0051) << c;
    }
}

TEST(CombinedResistance, OfPlainLayersIsTheirSum)
{
    const auto r = combined_resistance({{{1.0, 0.5}}, {{1.0, 2.0}}}, 0.13, 0.04);
    EXPECT_DOUBLE_EQ(r.upper_m2K_per_W, 2.67);
    EXPECT_DOUBLE_EQ(r.lower_m2K_per_W, 2.67);
    EXPECT_DOUBLE_EQ(r.uncertainty(), 0.0);
}

TEST(CombinedResistance, UpperBoundLiesAboveTheLower)
{
    for (const double timber : {0.05, 0.1, 0.2}) {
        const auto r =
            combined_resistance({{{1.0, 0.06}}, {{1.0 - timber, 4.0}, {timber, 1.1}}, {{1.0, 0.1}}}, 0.13, 0.04);
        EXPECT_GT(r.upper_m2K_per_W, r.lower_m2K_per_W);
        EXPECT_GT(r.uncertainty(), 0.0);
    }
}

TEST(CombinedResistance, RefusesWhatIsNoLayer)
{
    EXPECT_THROW((void)combined_resistance({{{0.5, 1.0}}}, 0.13, 0.04), quantity::RangeError); // half a layer
    EXPECT_THROW((void)combined_resistance({{{1.0, 0.0}}}, 0.13, 0.04), quantity::RangeError); // nothing
    EXPECT_THROW((void)combined_resistance({{{0.9, 6.0}, {0.1, 0.001}}}, 0.13, 0.04), quantity::RangeError); // steel
}

TEST(TaperedRoof, LiesBetweenItsThickestAndItsThinnest)
{
    for (const Taper shape : {Taper::rectangle, Taper::triangle_thickest_at_apex, Taper::triangle_thinnest_at_apex}) {
        const double u = tapered_u_value(shape, 0.5, 3.0);
        EXPECT_GT(u, 1.0 / 3.5);
        EXPECT_LT(u, 1.0 / 0.5);
        EXPECT_NEAR(tapered_u_value(shape, 0.5, 0.01), 1.0 / 0.505, 0.02); // hardly any taper
    }
    EXPECT_THROW((void)tapered_u_value(Taper::rectangle, 0.0, 3.0), quantity::RangeError);
}

TEST(Corrections, VanishWhereThereIsNothingToCorrect)
{
    EXPECT_EQ(fastener_correction({.per_m2 = 0.0, .section_m2 = 1e-5, .length_in_insulation_m = 0.1}, 0.1, 3.0, 4.0),
              0.0);
    EXPECT_EQ(air_gap_correction(full_gap_correction(AirGaps::none), 3.0, 4.0), 0.0);
    EXPECT_LT(air_gap_correction(full_gap_correction(AirGaps::bridging), 3.0, 4.0),
              air_gap_correction(full_gap_correction(AirGaps::bridging_with_circulation), 3.0, 4.0));
    EXPECT_THROW((void)air_gap_correction(0.01, 5.0, 4.0), quantity::RangeError); // a part above the whole
}

GroundFloor a_floor() { return {.area_m2 = 100.0, .exposed_perimeter_m = 40.0, .floor_m2K_per_W = 0.5}; }

TEST(GroundFloor, LosesLessTheLargerAndTheBetterInsulatedItIs)
{
    GroundFloor large = a_floor(), warm = a_floor();
    large.area_m2 = 1000.0;
    warm.floor_m2K_per_W = 3.0;
    EXPECT_LT(slab_u_value(large), slab_u_value(a_floor()));
    EXPECT_LT(slab_u_value(warm), slab_u_value(a_floor()));
    EXPECT_THROW((void)slab_u_value({}), quantity::RangeError);
}

TEST(GroundFloor, AgreesWithTheRecalledFormulasForEdgesBasementsAndVoids)
{
    const json recalled = reference::table("envelope").at("recalled");
    const auto floor_of = [](const json& c) {
        return GroundFloor{.area_m2 = c.at("area_m2"),
                           .exposed_perimeter_m = c.at("exposed_perimeter_m"),
                           .wall_thickness_m = c.at("wall_thickness_m"),
                           .ground_conductivity_W_per_mK = c.at("ground_conductivity_W_mK"),
                           .floor_m2K_per_W = c.value("floor_resistance_m2K_W", 0.0)};
    };
    for (const json& c : recalled.at("edge_insulation")) {
        const GroundFloor floor = floor_of(c);
        const double psi = edge_insulation_psi(floor, {.vertical = c.at("edge_insulation") == "vertical",
                                                       .width_or_depth_m = c.at("edge_width_or_depth_m"),
                                                       .thickness_m = c.at("edge_thickness_m"),
                                                       .conductivity_W_per_mK = c.at("edge_conductivity_W_mK")});
        EXPECT_NEAR(psi, c.at("psi_edge_W_mK").get<double>(), 1e-6);
        EXPECT_NEAR(slab_u_value(floor) + 2.0 * psi / characteristic_dimension_m(floor), c.at("U_W_m2K").get<double>(),
                    1e-6);
    }
    for (const json& c : recalled.at("basement")) {
        const BasementUValues u = basement_u_values(
            {.floor = floor_of(c), .depth_m = c.at("depth_m"), .wall_m2K_per_W = c.at("wall_resistance_m2K_W")});
        EXPECT_NEAR(u.floor_W_per_m2K, c.at("U_floor_W_m2K").get<double>(), 1e-6);
        EXPECT_NEAR(u.walls_W_per_m2K, c.at("U_wall_W_m2K").get<double>(), 1e-6);
        EXPECT_NEAR(u.all_W_per_m2K, c.at("U_effective_W_m2K").get<double>(), 1e-6);
    }
    for (const json& c : recalled.at("suspended_floor"))
        EXPECT_NEAR(suspended_floor_u_value({.ground = floor_of(c),
                                             .u_value_W_per_m2K = c.at("U_of_suspended_part_W_m2K"),
                                             .height_m = c.at("height_of_floor_above_ground_m"),
                                             .void_wall_W_per_m2K = c.at("U_of_crawl_space_walls_W_m2K"),
                                             .vents_m2_per_m = c.at("vent_opening_per_perimeter_m2_m"),
                                             .wind_m_per_s = c.at("wind_speed_m_s"),
                                             .wind_shielding = c.at("wind_shielding_factor")}),
                    c.at("U_W_m2K").get<double>(), 1e-6);
}

} // namespace
} // namespace venture::fabric
