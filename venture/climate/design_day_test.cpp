#include <venture/climate/design_day.hpp>

#include <algorithm>

#include <gtest/gtest.h>

#include <venture/air/moist_air.hpp>
#include <venture/quantity/error.hpp>

namespace venture::climate {
namespace {

Site a_site() { return {.name = "Nowhere", .latitude_deg = 52.0, .longitude_deg = 0.0, .winter = {-5.0, 8.0}}; }

CoolingMonth july() { return {7, 28.0, 19.0, 10.0, 0.4, 2.3, 14.0, 1.0}; }

TEST(CoolingDesignDay, ReachesItsMaximumAndFallsByTheDailyRange)
{
    const DesignDay day = cooling_design_day(a_site(), july());
    EXPECT_DOUBLE_EQ(std::ranges::max(day.dry_bulb_C), 28.0);
    EXPECT_DOUBLE_EQ(std::ranges::min(day.dry_bulb_C), 18.0);
    EXPECT_DOUBLE_EQ(day.dry_bulb_C[0], day.dry_bulb_C[24]); // it repeats
}

TEST(CoolingDesignDay, KeepsTheHumidityOfTheCoincidentWetBulb)
{
    const DesignDay day = cooling_design_day(a_site(), july());
    const auto peak = air::MoistAir::from_wet_bulb(quantity::Temperature::celsius(28.0),
                                                   quantity::Temperature::celsius(19.0), day.pressure);
    EXPECT_DOUBLE_EQ(day.humidity_ratio[14], peak.humidity_ratio());
    EXPECT_FALSE(day.humidity_capped_at_saturation);
}

TEST(CoolingDesignDay, CapsAtSaturationAndSaysSo)
{
    CoolingMonth damp = july();
    damp.wet_bulb_C = 27.0;
    const DesignDay day = cooling_design_day(a_site(), damp);
    EXPECT_TRUE(day.humidity_capped_at_saturation);
    for (std::size_t h = 0; h < DesignDay::points; ++h)
        EXPECT_LE(day.humidity_ratio[h],
                  air::saturation_humidity_ratio(quantity::Temperature::celsius(day.dry_bulb_C[h]), day.pressure));
}

TEST(CoolingDesignDay, HasTheSunInTheEastInTheMorning)
{
    const DesignDay day = cooling_design_day(a_site(), july());
    const auto east = irradiance_on_plane(day, Angle::degrees(90.0), Angle::degrees(90.0));
    const auto west = irradiance_on_plane(day, Angle::degrees(90.0), Angle::degrees(270.0));
    EXPECT_GT(east[8].beam_W_per_m2, 300.0);
    EXPECT_EQ(west[8].beam_W_per_m2, 0.0);
    EXPECT_GT(west[16].beam_W_per_m2, 300.0);
    EXPECT_EQ(east[0].total_W_per_m2(), 0.0);
}

TEST(CoolingDesignDay, RefusesAWetBulbAboveTheDryBulb)
{
    CoolingMonth wrong = july();
    wrong.wet_bulb_C = 30.0;
    EXPECT_THROW((void)cooling_design_day(a_site(), wrong), quantity::RangeError);
}

TEST(WinterDesignDay, IsSteadyAndDark)
{
    const DesignDay day = winter_design_day(a_site());
    EXPECT_DOUBLE_EQ(day.dry_bulb_C[0], -5.0);
    EXPECT_DOUBLE_EQ(day.dry_bulb_C[13], -5.0);
    EXPECT_DOUBLE_EQ(day.ground_C, 8.0);
    for (const PlaneIrradiance& on : irradiance_on_plane(day, Angle::degrees(90.0), Angle::degrees(180.0)))
        EXPECT_EQ(on.total_W_per_m2(), 0.0);
}

TEST(MonthName, KnowsTwelve)
{
    EXPECT_EQ(month_name(1), "January");
    EXPECT_EQ(month_name(12), "December");
    EXPECT_THROW((void)month_name(0), quantity::RangeError);
}

} // namespace
} // namespace venture::climate
