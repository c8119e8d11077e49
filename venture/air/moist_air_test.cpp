#include <venture/air/moist_air.hpp>

#include <gtest/gtest.h>

#include <reference_table.hpp>
#include <venture/quantity/error.hpp>

namespace venture::air {
namespace {

using nlohmann::json;

double rel_tol(const json& table, const char* what) { return table.at("tolerances").at(what).at("rel"); }
double abs_tol(const json& table, const char* what) { return table.at("tolerances").at(what).at("abs"); }

TEST(SaturationPressureVsIapws, IsWithinTolerance)
{
    const json table = reference::table("psychrometrics");
    ASSERT_EQ(table.at("saturation").size(), 31u);
    for (const json& c : table.at("saturation")) {
        const double expected = c.at("psat_Pa_iapws");
        EXPECT_NEAR(saturation_pressure(Temperature::celsius(c.at("temperature_C"))).pascal(), expected,
                    rel_tol(table, "psat_Pa") * expected)
            << c;
    }
}

class States : public testing::TestWithParam<json> {};

TEST_P(States, AgreeWithTheReference)
{
    const json table = reference::table("psychrometrics");
    const json& c = GetParam();
    const auto t = Temperature::celsius(c.at("dry_bulb_C"));
    const auto p = Pressure::pascal(c.at("pressure_Pa"));
    const MoistAir air = MoistAir::from_relative_humidity(t, c.at("relative_humidity_pct").get<double>() / 100.0, p);
    const auto near = [&](double got, const char* key, double tolerance) {
        EXPECT_NEAR(got, c.at(key).get<double>(), tolerance) << key;
    };
    const double w = c.at("humidity_ratio_kg_kg"), h = c.at("enthalpy_kJ_kg"), v = c.at("specific_volume_m3_kg");
    near(air.humidity_ratio(), "humidity_ratio_kg_kg",
         std::max(abs_tol(table, "humidity_ratio_kg_kg"), rel_tol(table, "humidity_ratio_kg_kg") * w));
    near(vapour_pressure(air).pascal(), "vapour_pressure_Pa",
         rel_tol(table, "vapour_pressure_Pa") * c.at("vapour_pressure_Pa").get<double>());
    near(enthalpy_J_per_kg(air) / 1000.0, "enthalpy_kJ_kg",
         std::max(abs_tol(table, "enthalpy_kJ_kg"), rel_tol(table, "enthalpy_kJ_kg") * std::abs(h)));
    near(specific_volume_m3_per_kg(air), "specific_volume_m3_kg", rel_tol(table, "specific_volume_m3_kg") * v);
    if (c.contains("dew_point_C") && c.at("dew_point_C").is_number())
        near(dew_point(air).celsius(), "dew_point_C", abs_tol(table, "dew_point_C"));
    if (c.contains("wet_bulb_C") && c.at("wet_bulb_C").is_number())
        near(wet_bulb(air).celsius(), "wet_bulb_C", abs_tol(table, "wet_bulb_C"));
}

INSTANTIATE_TEST_SUITE_P(Table, States, testing::ValuesIn([] {
                             const json all = reference::table("psychrometrics");
                             return std::vector<json>(all.at("states").begin(), all.at("states").end());
                         }()));

TEST(MoistAir, RoundTripsThroughWetBulbDewPointAndRelativeHumidity)
{
    for (const double height_m : {0.0, 1500.0})
        for (double t_C = 2.0; t_C < 50.0; t_C += 4.0)
            for (double phi = 0.15; phi < 1.0; phi += 0.2) {
                const auto p = standard_pressure(height_m);
                const auto t = Temperature::celsius(t_C);
                const auto air = MoistAir::from_relative_humidity(t, phi, p);
                EXPECT_NEAR(relative_humidity(air), phi, 1e-9);
                if (std::abs(wet_bulb(air).celsius()) > 0.5) {
                    EXPECT_NEAR(relative_humidity(MoistAir::from_wet_bulb(t, wet_bulb(air), p)), phi, 1e-6);
                }
                EXPECT_NEAR(saturation_humidity_ratio(dew_point(air), p), air.humidity_ratio(), 1e-9);
                EXPECT_LE(dew_point(air), wet_bulb(air));
                EXPECT_LE(wet_bulb(air), t);
            }
}

TEST(MoistAir, RefusesImpossibleStatesWithTheValueAndItsBounds)
{
    const auto t = Temperature::celsius(20.0);
    const auto p = Pressure::pascal(101325.0);
    EXPECT_THROW((void)MoistAir::from_relative_humidity(t, 1.2, p), quantity::RangeError);
    EXPECT_THROW((void)MoistAir::from_humidity_ratio(t, 0.02, p), quantity::RangeError); // above saturation (0.0147)
    EXPECT_THROW((void)MoistAir::from_humidity_ratio(t, -1e-6, p), quantity::RangeError);
    EXPECT_THROW((void)MoistAir::from_wet_bulb(t, Temperature::celsius(21.0), p), quantity::RangeError);
    EXPECT_THROW((void)MoistAir::from_wet_bulb(t, Temperature::celsius(0.0), p),
                 quantity::RangeError); // drier than dry
    EXPECT_THROW((void)saturation_pressure(Temperature::celsius(250.0)), quantity::RangeError);
    EXPECT_THROW((void)standard_pressure(20000.0), quantity::RangeError);
}

TEST(MoistAir, SaturatedAirHasOneTemperature)
{
    const auto air = MoistAir::from_relative_humidity(Temperature::celsius(12.0), 1.0, Pressure::pascal(101325.0));
    EXPECT_NEAR(wet_bulb(air).celsius(), 12.0, 1e-6);
    EXPECT_NEAR(dew_point(air).celsius(), 12.0, 1e-6);
}

TEST(StandardPressure, IsThatOfTheTable)
{
    EXPECT_NEAR(standard_pressure(0.0).pascal(), 101325.0, 1e-9);
    EXPECT_NEAR(standard_pressure(1500.0).pascal(), 84556.0, 1.0); // as in the reference table
}

TEST(HumidityRatioAt, IsThatOfTheStateAndHasNoEndWhereVapourLeavesNoRoomForAir)
{
    const Pressure p = standard_pressure(1500.0);
    for (const double t_C : {-20.0, 5.0, 24.0, 60.0})
        for (const double phi : {0.0, 0.45, 1.0})
            EXPECT_DOUBLE_EQ(humidity_ratio_at(phi, Temperature::celsius(t_C), p),
                             MoistAir::from_relative_humidity(Temperature::celsius(t_C), phi, p).humidity_ratio());
    EXPECT_TRUE(std::isinf(humidity_ratio_at(0.9, Temperature::celsius(110.0), p)));
    EXPECT_THROW((void)humidity_ratio_at(1.1, Temperature::celsius(20.0), p), quantity::RangeError);
}

} // namespace
} // namespace venture::air
