#include <venture/climate/derived_conditions.hpp>

#include <algorithm>
#include <cmath>
#include <numbers>
#include <numeric>

#include <gtest/gtest.h>

#include <venture/air/moist_air.hpp>
#include <venture/climate/climates_for_tests.hpp>
#include <venture/climate/design_day.hpp>
#include <venture/climate/year_summary.hpp>
#include <venture/quantity/error.hpp>

namespace venture::climate {
namespace {

TEST(ExceededBy, CountsAsAnyoneWould)
{
    std::vector<double> values(1000);
    std::iota(values.begin(), values.end(), 1.0); // 1..1000
    EXPECT_DOUBLE_EQ(exceeded_by(values, 0.5), 500.5);
    EXPECT_DOUBLE_EQ(exceeded_by(values, 0.004), 996.5); // 997, 998, 999 and 1000 exceed it
    EXPECT_DOUBLE_EQ(exceeded_by(values, 0.0), 1000.0);
    EXPECT_DOUBLE_EQ(exceeded_by(values, 1.0), 1.0);
    EXPECT_DOUBLE_EQ(exceeded_by({3.0}, 0.3), 3.0);
    EXPECT_THROW((void)exceeded_by({}, 0.5), quantity::RangeError);
    EXPECT_THROW((void)exceeded_by({1.0}, 1.1), quantity::RangeError);
}

/// A year whose every number is known: a yearly and a daily wave, clear all the time.
WeatherYear clockwork_year(double beam_depth = 0.38, double diffuse_depth = 2.2)
{
    WeatherYear year{.name = "clockwork", .place = {48.0, 0.0, 0.0, 0.0}};
    const auto suns = suns_of_year(year.place, false, 1);
    for (std::size_t h = 0; h < 8760; ++h) {
        const double season = 2.0 * std::numbers::pi * (static_cast<double>(h) / 8760.0);
        const double day = 2.0 * std::numbers::pi * (static_cast<double>(h % 24) - 15.0) / 24.0;
        year.dry_bulb_C.push_back(10.0 - 12.0 * std::cos(season) + 5.0 * std::cos(day));
        year.pressure_Pa.push_back(101325.0);
        year.humidity_ratio.push_back(0.5 * air::saturation_humidity_ratio(quantity::Temperature::celsius(-9.0),
                                                                           quantity::Pressure::pascal(101325.0)));
        const ClearSky sky = clear_sky(Angle::degrees(suns[h].up ? suns[h].middle.elevation_deg() : -1.0),
                                       suns[h].beyond_W_per_m2, beam_depth, diffuse_depth);
        year.beam_normal_W_per_m2.push_back(sky.beam_normal_W_per_m2);
        year.diffuse_horizontal_W_per_m2.push_back(sky.diffuse_horizontal_W_per_m2);
        year.wind_m_per_s.push_back(4.0);
    }
    return year;
}

TEST(DerivedConditions, FindWhatAClockworkYearIsMadeOf)
{
    const DerivedConditions d = derive_conditions(clockwork_year());
    EXPECT_NEAR(d.winter.dry_bulb_C, 10.0 - 12.0 - 5.0, 0.6);
    EXPECT_NEAR(d.months[6].daily_range_K, 10.0, 0.2);
    EXPECT_NEAR(d.months[6].dry_bulb_C, 26.6, 0.5);
    EXPECT_DOUBLE_EQ(*d.winter.wind_m_per_s, 4.0);
    EXPECT_DOUBLE_EQ(*d.months[6].wind_m_per_s, 4.0);
    for (std::size_t m = 0; m < 12; ++m) {
        EXPECT_TRUE(d.depths_fitted[m]);
        EXPECT_NEAR(d.months[m].beam_depth, 0.38, 0.005) << m;
        EXPECT_NEAR(d.months[m].diffuse_depth, 2.2, 0.02) << m;
    }
}

TEST(DerivedConditions, CoincidentWetBulbIsThatOfTheHumidityThatIsThere)
{
    const WeatherYear year = clockwork_year(); // one humidity ratio all year
    const DerivedConditions d = derive_conditions(year);
    const auto hot = air::MoistAir::from_humidity_ratio(quantity::Temperature::celsius(d.months[6].dry_bulb_C),
                                                        year.humidity_ratio[0], quantity::Pressure::pascal(101325.0));
    EXPECT_NEAR(d.months[6].wet_bulb_C, air::wet_bulb(hot).celsius(), 0.15);
    EXPECT_NEAR(d.months[6].peak_dew_point->peak_C, air::dew_point(hot).celsius(), 1e-6);
}

TEST(DerivedConditions, AreInOrder)
{
    for (const SyntheticRequest& climate : {temperate_climate(), southern_climate(), polar_climate()}) {
        const WeatherYear year = synthetic_year(climate);
        const DerivedConditions d = derive_conditions(year);
        const YearSummary s = summarise(year);
        EXPECT_GE(d.winter.dry_bulb_C, s.year.lowest_C);
        EXPECT_LT(d.winter.dry_bulb_C, s.year.mean_C);
        for (std::size_t i = 1; i < d.of_year.size(); ++i) {
            EXPECT_LT(d.of_year[i - 1].dry_bulb.dry_bulb_C, d.of_year[i].dry_bulb.dry_bulb_C);
            EXPECT_LT(d.of_year[i - 1].wet_bulb.peak_C, d.of_year[i].wet_bulb.peak_C);
            EXPECT_LT(d.of_year[i - 1].dew_point.peak_C, d.of_year[i].dew_point.peak_C);
        }
        for (std::size_t m = 0; m < 12; ++m) {
            const CoolingMonth& month = d.months[m];
            EXPECT_LE(month.dry_bulb_C, s.months[m].highest_C);
            EXPECT_GT(month.dry_bulb_C, s.months[m].mean_C);
            EXPECT_LE(month.wet_bulb_C, month.peak_wet_bulb->peak_C + 0.1);
            EXPECT_LE(month.peak_wet_bulb->peak_C, month.peak_wet_bulb->dry_bulb_C);
            EXPECT_LE(month.peak_dew_point->peak_C, month.peak_wet_bulb->peak_C + 0.1);
            EXPECT_GE(month.daily_range_K, *month.wet_bulb_range_K);
        }
    }
}

TEST(DerivedConditions, AreRarerWhenAskedToBe)
{
    const WeatherYear year = synthetic_year(temperate_climate());
    const DerivedConditions usual = derive_conditions(year, {0.99, 0.02}),
                            rare = derive_conditions(year, {0.996, 0.004});
    EXPECT_LT(rare.winter.dry_bulb_C, usual.winter.dry_bulb_C);
    for (std::size_t m = 0; m < 12; ++m) EXPECT_GT(rare.months[m].dry_bulb_C, usual.months[m].dry_bulb_C);
}

TEST(DerivedConditions, MakeDesignDays)
{
    const DerivedConditions d = derive_conditions(synthetic_year(temperate_climate()));
    const Site site{
        .place = temperate_climate().place, .winter = d.winter, .months = {d.months.begin(), d.months.end()}};
    for (const CoolingMonth& month : site.months)
        for (const DesignFor peak : {DesignFor::dry_bulb, DesignFor::wet_bulb, DesignFor::dew_point})
            EXPECT_NO_THROW((void)cooling_design_day(site, month, peak));
}

TEST(GroundTemperature, IsTheAirsWaveDampedAndLate)
{
    const YearlyWave wave = yearly_wave(clockwork_year());
    EXPECT_NEAR(wave.mean_C, 10.0, 1e-9);
    EXPECT_NEAR(wave.amplitude_K, 12.0, 1e-6);
    EXPECT_NEAR(std::remainder(wave.coldest_day, 365.0), 0.0, 1e-6);
    const Soil surface{.depth_m = 0.0}, deep{.depth_m = 20.0}, usual{};
    EXPECT_NEAR(ground_temperature_C(wave, surface, 0.0), -2.0, 1e-6);
    EXPECT_NEAR(ground_temperature_C(wave, deep, 0.0), 10.0, 0.05);
    const double d = 2.0 * std::sqrt(std::numbers::pi / (365.0 * 0.06)), late = d * 365.0 / (2.0 * std::numbers::pi);
    EXPECT_NEAR(ground_temperature_C(wave, usual, late), 10.0 - 12.0 * std::exp(-d), 1e-6); // its coldest day
    EXPECT_THROW((void)ground_temperature_C(wave, {.diffusivity_m2_per_day = 0.0}, 0.0), quantity::RangeError);
}

TEST(YearSummary, OfAClockworkYear)
{
    const YearSummary s = summarise(clockwork_year(), {.heating_C = 10.0, .cooling_C = 10.0});
    EXPECT_NEAR(s.year.mean_C, 10.0, 1e-9);
    EXPECT_NEAR(s.year.daily_range_K(), 10.0, 0.2);
    EXPECT_NEAR(*s.year.wind_m_per_s, 4.0, 1e-9);
    EXPECT_FALSE(s.year.cloud_cover);
    // The integral of 12 K sin over half a year: 24/pi K times 182.5 days.
    EXPECT_NEAR(s.year.heating_degree_days_K, 24.0 / std::numbers::pi * 182.5, 3.0);
    EXPECT_NEAR(s.year.cooling_degree_days_K, 24.0 / std::numbers::pi * 182.5, 3.0);
    double sum = 0.0;
    for (const PeriodSummary& month : s.months) sum += month.heating_degree_days_K;
    EXPECT_NEAR(sum, s.year.heating_degree_days_K, 1e-9);
}

} // namespace
} // namespace venture::climate
