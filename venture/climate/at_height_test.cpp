#include <venture/climate/at_height.hpp>

#include <gtest/gtest.h>

#include <venture/air/state_pair.hpp>
#include <venture/climate/climates_for_tests.hpp>
#include <venture/climate/synthetic_year.hpp>
#include <venture/quantity/error.hpp>

namespace venture::climate {
namespace {

CoolingMonth a_month()
{
    return {.month = 7,
            .dry_bulb_C = 30.0,
            .wet_bulb_C = 20.0,
            .daily_range_K = 11.0,
            .peak_wet_bulb = PeakWithDryBulb{22.0, 27.0},
            .peak_dew_point = PeakWithDryBulb{20.0, 24.0}};
}

double humidity(double dry_bulb_C, air::Fact fact, double value_C, double height_m)
{
    return air::relative_humidity(
        air::state_from({air::Fact::dry_bulb, dry_bulb_C}, {fact, value_C}, air::standard_pressure(height_m)));
}

TEST(HeightCorrection, CoolsBySixAndAHalfKelvinAKilometreAndKeepsRelativeHumidity)
{
    const CoolingMonth up = at_height(a_month(), 100.0, 600.0);
    EXPECT_NEAR(up.dry_bulb_C, 30.0 - 3.25, 1e-12);
    EXPECT_NEAR(up.peak_wet_bulb->dry_bulb_C, 27.0 - 3.25, 1e-12);
    EXPECT_NEAR(humidity(up.dry_bulb_C, air::Fact::wet_bulb, up.wet_bulb_C, 600.0),
                humidity(30.0, air::Fact::wet_bulb, 20.0, 100.0), 1e-9);
    EXPECT_NEAR(humidity(up.peak_dew_point->dry_bulb_C, air::Fact::dew_point, up.peak_dew_point->peak_C, 600.0),
                humidity(24.0, air::Fact::dew_point, 20.0, 100.0), 1e-9);
    EXPECT_EQ(up.daily_range_K, 11.0);
    const WinterDesign winter = at_height(WinterDesign{-10.0, 5.0, -14.0, 3.0}, 100.0, 600.0);
    EXPECT_NEAR(winter.dry_bulb_C, -13.25, 1e-12);
    EXPECT_LT(*winter.dew_point_C, -14.0);
    EXPECT_EQ(winter.ground_C, 5.0);
}

TEST(HeightCorrection, ThereAndBackIsTheSame)
{
    const CoolingMonth back = at_height(at_height(a_month(), 0.0, 900.0), 900.0, 0.0);
    EXPECT_NEAR(back.dry_bulb_C, 30.0, 1e-9);
    EXPECT_NEAR(back.wet_bulb_C, 20.0, 1e-6);
    EXPECT_NEAR(back.peak_wet_bulb->peak_C, 22.0, 1e-6);
    EXPECT_NEAR(back.peak_dew_point->peak_C, 20.0, 1e-6);
}

TEST(HeightCorrection, MovesAYearHourByHour)
{
    const WeatherYear year = synthetic_year(temperate_climate());
    const double up_m = 650.0, here_m = year.place.height_m + up_m;
    const WeatherYear up = at_height(year, here_m);
    EXPECT_EQ(up.place.height_m, here_m);
    EXPECT_EQ(up.beam_normal_W_per_m2, year.beam_normal_W_per_m2);
    const auto humid = [](const WeatherYear& y, std::size_t i) {
        return air::relative_humidity(
            air::MoistAir::from_humidity_ratio(quantity::Temperature::celsius(y.dry_bulb_C[i]), y.humidity_ratio[i],
                                               quantity::Pressure::pascal(y.pressure_Pa[i])));
    };
    for (std::size_t i = 0; i < year.size(); i += 7) {
        EXPECT_NEAR(year.dry_bulb_C[i] - up.dry_bulb_C[i], lapse_K_per_m * up_m, 1e-12);
        EXPECT_NEAR(humid(up, i), humid(year, i), 1e-9);
        EXPECT_NEAR(up.pressure_Pa[i] / year.pressure_Pa[i],
                    air::standard_pressure(here_m).pascal() / air::standard_pressure(year.place.height_m).pascal(),
                    1e-12);
    }
    EXPECT_NE(fingerprint_of(up), fingerprint_of(year));
    EXPECT_EQ(fingerprint_of(at_height(year, year.place.height_m)), fingerprint_of(year));
}

TEST(HeightCorrection, RefusesAnotherMountain)
{
    EXPECT_THROW((void)at_height(synthetic_year(temperate_climate()), 5000.0), quantity::RangeError);
    EXPECT_THROW((void)at_height(a_month(), 0.0, 1501.0), quantity::RangeError);
    EXPECT_THROW((void)at_height(WinterDesign{}, 1600.0, 0.0), quantity::RangeError);
}

} // namespace
} // namespace venture::climate
