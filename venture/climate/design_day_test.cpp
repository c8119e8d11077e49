#include <venture/climate/design_day.hpp>

#include <algorithm>

#include <gtest/gtest.h>

#include <venture/air/moist_air.hpp>
#include <venture/climate/climates_for_tests.hpp>
#include <venture/quantity/error.hpp>

namespace venture::climate {
namespace {

Site a_site() { return {.name = "Nowhere", .place = {52.0, 0.0, 0.0, 0.0}, .winter = {-5.0, 8.0}}; }

CoolingMonth july() { return {7, 28.0, 19.0, 10.0, 0.4, 2.3, 14.0}; }

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

TEST(WinterDesignDay, TakesTheDewPointThatIsGiven)
{
    Site site = a_site();
    site.winter.dew_point_C = -9.0;
    const DesignDay day = winter_design_day(site);
    EXPECT_DOUBLE_EQ(day.humidity_ratio[0],
                     air::saturation_humidity_ratio(quantity::Temperature::celsius(-9.0), day.pressure));
    EXPECT_FALSE(day.humidity_capped_at_saturation);
    site.winter.dew_point_C = -2.0; // above the dry bulb of -5 degC
    EXPECT_TRUE(winter_design_day(site).humidity_capped_at_saturation);
}

TEST(CoolingDesignDay, LowersTheWetBulbByItsRange)
{
    CoolingMonth month = july();
    month.wet_bulb_range_K = 4.0;
    const DesignDay day = cooling_design_day(a_site(), month);
    const auto wet_bulb = [&](std::size_t h) {
        return air::wet_bulb(air::MoistAir::from_humidity_ratio(quantity::Temperature::celsius(day.dry_bulb_C[h]),
                                                                day.humidity_ratio[h], day.pressure))
            .celsius();
    };
    EXPECT_NEAR(wet_bulb(14), 19.0, 1e-6);
    EXPECT_NEAR(wet_bulb(5), 15.0, 1e-6);
    EXPECT_NEAR(wet_bulb(10), 19.0 - 0.38 * 4.0, 1e-6);
}

TEST(CoolingDesignDay, CanBeMadeForTheOtherPeaks)
{
    CoolingMonth month = july();
    EXPECT_THROW((void)cooling_design_day(a_site(), month, DesignFor::wet_bulb), quantity::Error);
    month.peak_wet_bulb = PeakWithDryBulb{21.0, 26.0};
    month.peak_dew_point = PeakWithDryBulb{19.0, 23.0};
    const DesignDay damp = cooling_design_day(a_site(), month, DesignFor::wet_bulb);
    EXPECT_DOUBLE_EQ(damp.dry_bulb_C[14], 26.0);
    const DesignDay humid = cooling_design_day(a_site(), month, DesignFor::dew_point);
    EXPECT_DOUBLE_EQ(humid.dry_bulb_C[14], 23.0);
    EXPECT_DOUBLE_EQ(humid.humidity_ratio[14],
                     air::saturation_humidity_ratio(quantity::Temperature::celsius(19.0), humid.pressure));
}

TEST(CoolingDesignDays, AreOfEachPeakThatIsStatedAndMayAskForMore)
{
    Site site = a_site();
    CoolingMonth month = july();
    site.months = {month};
    EXPECT_EQ(cooling_design_days(site).size(), 1U);
    month.peak_wet_bulb = {.peak_C = 21.5, .dry_bulb_C = 26.0};
    month.peak_dew_point = {.peak_C = 19.5, .dry_bulb_C = 23.0};
    site.months = {month};
    const auto days = cooling_design_days(site);
    ASSERT_EQ(days.size(), 3U);
    EXPECT_EQ(days[0].name, "July");
    EXPECT_EQ(days[1].name, "July wet bulb");
    EXPECT_EQ(days[2].name, "July dew point");
    EXPECT_EQ(days[2].made_for, DesignFor::dew_point);
    for (const DesignDay& day : days) {
        const auto called = design_day_called(site, day.name);
        ASSERT_TRUE(called);
        EXPECT_EQ(called->humidity_ratio, day.humidity_ratio);
    }
    EXPECT_EQ(design_day_called(site, "july  ")->name, "July");
    EXPECT_EQ(design_day_called(site, "JULY dry bulb")->name, "July");
    EXPECT_EQ(design_day_called(site, "winter")->month, 0);
    EXPECT_FALSE(design_day_called(site, "July wet"));
    EXPECT_FALSE(design_day_called(site, "August"));

    // No warmer and no wetter at any hour: it cannot ask for more, and is not run.
    month.peak_wet_bulb = {.peak_C = 18.0, .dry_bulb_C = 26.5};
    month.peak_dew_point = {};
    site.months = {month};
    EXPECT_EQ(cooling_design_days(site).size(), 1U);
    EXPECT_TRUE(design_day_called(site, "July wet bulb"));
}

TEST(DesignWeek, IsSevenOfOneDay)
{
    const DesignDay day = cooling_design_day(a_site(), july());
    for (const DesignDay& of_week : design_week(day)) EXPECT_EQ(of_week.dry_bulb_C, day.dry_bulb_C);
}

TEST(ExtremeWeek, IsWarmerThanAnyOtherAndHangsTogether)
{
    const WeatherYear year = synthetic_year(temperate_climate());
    Site site{.place = year.place, .summer_time = SummerTime{{3, 29}, {10, 24}, 1.0}, .months = {july()}};
    const ExtremeWeek hot = extreme_week(year, site, Extreme::hottest),
                      cold = extreme_week(year, site, Extreme::coldest);
    EXPECT_GT(hot.mean_C, cold.mean_C + 15.0);
    for (std::size_t d = 0; d + 1 < 7; ++d) EXPECT_DOUBLE_EQ(hot.days[d].dry_bulb_C[24], hot.days[d + 1].dry_bulb_C[0]);
    EXPECT_EQ(hot.days[0].clock_ahead_h, 1.0);
    EXPECT_EQ(cold.days[0].clock_ahead_h, 0.0);
    for (int first = 1; first + 6 <= 365; ++first) {
        double mean = 0.0;
        for (std::size_t h = 0; h < 168; ++h)
            mean += year.dry_bulb_C[24 * static_cast<std::size_t>(first - 1) + h] / 168.0;
        EXPECT_LE(mean, hot.mean_C + 1e-9);
        EXPECT_GE(mean, cold.mean_C - 1e-9);
    }
}

TEST(WeatherDay, IsNeverMoreThanSaturatedAtItsOnePressure)
{
    const WeatherYear year = synthetic_year(temperate_climate()); // with fog, under changing pressures
    for (int number = 1; number <= 365; ++number) {
        const DesignDay day = weather_day(year, number, {.place = year.place});
        for (std::size_t h = 0; h < DesignDay::points; ++h)
            EXPECT_LE(day.humidity_ratio[h],
                      (1.0 + 1e-12) * air::saturation_humidity_ratio(quantity::Temperature::celsius(day.dry_bulb_C[h]),
                                                                     day.pressure))
                << day.name << " " << h;
    }
}

TEST(WeatherDay, KeepsTheSunOfItsDay)
{
    const WeatherYear year = synthetic_year(temperate_climate());
    const DesignDay day = weather_day(year, 172, {.place = year.place, .winter = {.ground_C = 9.0}});
    EXPECT_EQ(day.name, "21 June");
    EXPECT_EQ(day.ground_C, 9.0);
    double of_day = 0.0, of_year = 0.0;
    for (std::size_t h = 0; h < 24; ++h) {
        of_day += day.sky[h].diffuse_horizontal_W_per_m2;
        of_year += year.diffuse_horizontal_W_per_m2[24 * 171 + h];
    }
    EXPECT_NEAR(of_day, of_year, 1e-9 * of_year);
    EXPECT_GT(irradiance_on_plane(day, Angle::degrees(90.0), Angle::degrees(180.0))[12].total_W_per_m2(), 0.0);
    EXPECT_EQ(irradiance_on_plane(day, Angle::degrees(90.0), Angle::degrees(180.0))[0].total_W_per_m2(), 0.0);
}

} // namespace
} // namespace venture::climate
