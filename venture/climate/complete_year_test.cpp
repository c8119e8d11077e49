#include <venture/climate/complete_year.hpp>

#include <algorithm>
#include <cmath>
#include <functional>

#include <gtest/gtest.h>

#include <venture/air/moist_air.hpp>
#include <venture/climate/climates_for_tests.hpp>

namespace venture::climate {
namespace {

using Series = std::vector<std::optional<double>>;

Series series_of(const std::vector<double>& values) { return {values.begin(), values.end()}; }

/// What a good station would have recorded of the temperate climate, stamped at the beginning of each hour.
const Readings& good_readings()
{
    static const Readings readings = [] {
        const WeatherYear year = synthetic_year(temperate_climate());
        Readings r{.name = "good", .below_freezing = BelowFreezing::ice, .place = year.place};
        r.series[Reading::dry_bulb] = series_of(year.dry_bulb_C);
        r.series[Reading::humidity_ratio] = series_of(year.humidity_ratio);
        r.series[Reading::pressure] = series_of(year.pressure_Pa);
        r.series[Reading::beam_normal] = series_of(year.beam_normal_W_per_m2);
        r.series[Reading::diffuse_horizontal] = series_of(year.diffuse_horizontal_W_per_m2);
        r.series[Reading::wind_direction] = series_of(year.wind_from_deg);
        return r;
    }();
    return readings;
}

Series global_of(const Readings& r)
{
    const auto suns = suns_of_year(r.place, r.leap, r.steps_per_hour);
    Series global;
    for (std::size_t i = 0; i < r.size(); ++i)
        global.emplace_back(*r.series.at(Reading::beam_normal)[i] * suns[i].sine() +
                            *r.series.at(Reading::diffuse_horizontal)[i]);
    return global;
}

/// The only error; an empty remark if there is none.
WeatherRemark only_error(const CompletedYear& completed)
{
    std::vector<WeatherRemark> errors;
    for (const WeatherRemark& r : completed.remarks)
        if (r.is_error) errors.push_back(r);
    EXPECT_LE(errors.size(), 1u) << (errors.size() > 1 ? errors[0].message + " | " + errors[1].message : "");
    EXPECT_EQ(completed.year.has_value(), errors.empty());
    errors.emplace_back();
    return errors.front();
}

/// The first of a kind; an empty one if there is none.
WeatherRemark remark(const CompletedYear& completed, RemarkKind kind)
{
    const auto at = std::ranges::find(completed.remarks, kind, &WeatherRemark::kind);
    return at == completed.remarks.end() ? WeatherRemark{} : *at;
}

TEST(CompleteYear, KeepsGoodReadingsAsTheyAre)
{
    const CompletedYear done = complete_year(good_readings());
    ASSERT_TRUE(done.year);
    EXPECT_TRUE(done.remarks.empty()) << done.remarks.front().message;
    EXPECT_EQ(done.year->dry_bulb_C[1234], *good_readings().series.at(Reading::dry_bulb)[1234]);
    EXPECT_EQ(done.year->humidity_ratio[1234], *good_readings().series.at(Reading::humidity_ratio)[1234]);
    EXPECT_TRUE(done.year->wind_m_per_s.empty());
}

TEST(CompleteYear, MovesStatesOfRecordsThatAreStampedAtTheirEnd)
{
    Readings r = good_readings();
    r.stamp = Stamp::end;
    const CompletedYear done = complete_year(r);
    ASSERT_TRUE(done.year);
    EXPECT_EQ(done.year->dry_bulb_C[1], *r.series[Reading::dry_bulb][0]);
    EXPECT_EQ(done.year->dry_bulb_C[0], *r.series[Reading::dry_bulb][8759]);
    EXPECT_EQ(done.year->beam_normal_W_per_m2[12], *r.series[Reading::beam_normal][12]); // means of the hour stay
}

struct Humidity {
    Reading reading;
    std::function<double(const air::MoistAir&)> of;
};
class FromAnyHumidity : public testing::TestWithParam<Humidity> {};

TEST_P(FromAnyHumidity, GivesTheSameAir)
{
    Readings r = good_readings();
    const Series w = r.series.at(Reading::humidity_ratio);
    r.series.erase(Reading::humidity_ratio);
    Series& other = r.series[GetParam().reading];
    for (std::size_t i = 0; i < r.size(); ++i)
        other.emplace_back(GetParam().of(
            air::MoistAir::from_humidity_ratio(quantity::Temperature::celsius(*r.series[Reading::dry_bulb][i]), *w[i],
                                               quantity::Pressure::pascal(*r.series[Reading::pressure][i]))));
    const CompletedYear done = complete_year(r);
    ASSERT_EQ(only_error(done).message, "");
    double worst = 0.0;
    for (std::size_t i = 0; i < r.size(); ++i) worst = std::max(worst, std::abs(done.year->humidity_ratio[i] - *w[i]));
    EXPECT_LT(worst, 2e-4); // the gap of the wet bulb at 0 degC; the others are exact
}

INSTANTIATE_TEST_SUITE_P(
    Of, FromAnyHumidity,
    testing::Values(Humidity{Reading::relative_humidity, [](const air::MoistAir& a) { return relative_humidity(a); }},
                    Humidity{Reading::dew_point, [](const air::MoistAir& a) { return dew_point(a).celsius(); }},
                    Humidity{Reading::wet_bulb, [](const air::MoistAir& a) { return wet_bulb(a).celsius(); }}),
    [](const auto& one) { return std::string{spec_of(one.param.reading).key}; });

TEST(CompleteYear, HumiditiesOfWeatherServicesReferToWaterBelowFreezing)
{
    Readings r = good_readings();
    r.series.erase(Reading::humidity_ratio);
    r.series[Reading::dry_bulb].assign(r.size(), -10.0);
    r.series[Reading::relative_humidity].assign(r.size(), 0.7);
    r.below_freezing = BelowFreezing::water;
    const auto over_water = complete_year(r);
    r.below_freezing = BelowFreezing::ice;
    const auto over_ice = complete_year(r);
    ASSERT_TRUE(over_water.year && over_ice.year);
    // At -10 degC water's saturation pressure is 1.103 times that of ice (WMO-No. 8, tables).
    EXPECT_NEAR(over_water.year->humidity_ratio[0] / over_ice.year->humidity_ratio[0], 1.103, 0.003);
}

TEST(CompleteYear, SunFromGlobalWithOneOfItsPartsIsTheSameSun)
{
    const Series global = global_of(good_readings());
    for (const Reading left_out : {Reading::beam_normal, Reading::diffuse_horizontal}) {
        Readings r = good_readings();
        r.series[Reading::global_horizontal] = global;
        r.series.erase(left_out);
        const CompletedYear done = complete_year(r);
        ASSERT_EQ(only_error(done).message, "");
        const auto suns = suns_of_year(r.place, false, 1);
        for (std::size_t i = 0; i < r.size(); ++i) {
            EXPECT_NEAR(done.year->beam_normal_W_per_m2[i] * suns[i].sine() + done.year->diffuse_horizontal_W_per_m2[i],
                        *global[i], 1e-9);
            if (suns[i].sine() < 0.06) continue;
            EXPECT_NEAR(done.year->beam_normal_W_per_m2[i], *good_readings().series.at(Reading::beam_normal)[i], 1e-6);
        }
    }
}

TEST(CompleteYear, SplitsGlobalAloneAndSaysSo)
{
    Readings r = good_readings();
    r.series[Reading::global_horizontal] = global_of(r);
    r.series.erase(Reading::beam_normal);
    r.series.erase(Reading::diffuse_horizontal);
    const CompletedYear done = complete_year(r);
    ASSERT_TRUE(done.year);
    ASSERT_FALSE(remark(done, RemarkKind::assumed).message.empty());
    EXPECT_NE(remark(done, RemarkKind::assumed).message.find("Erbs"), std::string::npos);
}

TEST(CompleteYear, FillsShortGapsWithStraightLinesAndListsThem)
{
    Readings r = good_readings();
    auto& t = r.series[Reading::dry_bulb];
    const double before = *t[99], after = *t[102];
    t[100] = t[101] = std::nullopt;
    t[8759] = std::nullopt; // across the new year
    const CompletedYear done = complete_year(r);
    ASSERT_TRUE(done.year);
    EXPECT_NEAR(done.year->dry_bulb_C[100], before + (after - before) / 3.0, 1e-12);
    EXPECT_NEAR(done.year->dry_bulb_C[8759], 0.5 * (*t[8758] + *t[0]), 1e-12);
    ASSERT_EQ(done.remarks.size(), 1u);
    EXPECT_EQ(done.remarks[0].message, "dry_bulb: 3 h in 2 gaps filled; the longest, 2 h, from 5 January, 04:00");
    EXPECT_EQ(done.remarks[0].record, 100u);
}

TEST(CompleteYear, FillsSunByWhatCameThroughBeforeAndAfter)
{
    Readings r = good_readings();
    auto& beam = r.series[Reading::beam_normal];
    auto& diffuse = r.series[Reading::diffuse_horizontal];
    const std::size_t noon = 24 * 171 + 12;
    for (std::size_t i = noon - 6; i <= noon + 6; ++i) beam[i] = diffuse[i] = 0.0;
    beam[noon - 1] = beam[noon + 1] = 600.0;
    diffuse[noon - 1] = diffuse[noon + 1] = 200.0;
    beam[noon] = diffuse[noon] = std::nullopt;
    const CompletedYear done = complete_year(r);
    ASSERT_TRUE(done.year);
    EXPECT_NEAR(done.year->beam_normal_W_per_m2[noon], 600.0, 1e-9);
    EXPECT_GT(done.year->diffuse_horizontal_W_per_m2[noon], 200.0); // the sun is higher
    EXPECT_LT(done.year->diffuse_horizontal_W_per_m2[noon], 210.0);
}

TEST(CompleteYear, GapsAtNightHaveNoSun)
{
    Readings r = good_readings();
    r.series[Reading::beam_normal][24 * 171] = std::nullopt;
    const CompletedYear done = complete_year(r);
    ASSERT_TRUE(done.year);
    EXPECT_EQ(done.year->beam_normal_W_per_m2[24 * 171], 0.0);
}

/// Damage, and what must be said of it.
struct Damage {
    const char* name;
    std::function<void(Readings&)> make;
    RemarkKind kind;
    const char* message;
};
class Damaged : public testing::TestWithParam<Damage> {};

TEST_P(Damaged, IsRefusedWithTheReason)
{
    Readings r = good_readings();
    GetParam().make(r);
    const auto error = only_error(complete_year(r));
    EXPECT_EQ(error.kind, GetParam().kind);
    EXPECT_NE(error.message.find(GetParam().message), std::string::npos) << error.message;
    EXPECT_FALSE(error.hint.empty());
}

void shift(Readings& r, int hours)
{
    for (auto& [reading, series] : r.series)
        std::ranges::rotate(series, hours > 0 ? series.end() - hours : series.begin() - hours);
}

INSTANTIATE_TEST_SUITE_P(
    By, Damaged,
    testing::Values(
        Damage{"long_gap",
               [](Readings& r) {
                   for (std::size_t i = 3000; i < 3004; ++i) r.series[Reading::dry_bulb][i] = std::nullopt;
               },
               RemarkKind::long_gap, "dry_bulb: nothing for 4 h from 6 May, 00:00; gaps up to 3 h are filled"},
        Damage{"no_dry_bulb", [](Readings& r) { r.series.erase(Reading::dry_bulb); }, RemarkKind::missing_reading,
               "no dry_bulb"},
        Damage{"no_humidity", [](Readings& r) { r.series.erase(Reading::humidity_ratio); }, RemarkKind::missing_reading,
               "no humidity"},
        Damage{"no_sun", [](Readings& r) { r.series.erase(Reading::beam_normal); }, RemarkKind::missing_reading,
               "no sun"},
        Damage{"nothing_in_a_column", [](Readings& r) { r.series[Reading::wind_speed].assign(r.size(), std::nullopt); },
               RemarkKind::missing_reading, "wind_speed: not one value"},
        Damage{"too_hot", [](Readings& r) { r.series[Reading::dry_bulb][10] = 75.0; }, RemarkKind::impossible,
               "dry_bulb: 75 degC found, -95 degC to 62 degC is possible"},
        Damage{"dew_point_above_dry_bulb",
               [](Readings& r) {
                   r.series[Reading::dew_point] = r.series[Reading::dry_bulb];
                   r.series[Reading::dew_point][42] = *r.series[Reading::dry_bulb][42] + 2.0;
               },
               RemarkKind::impossible, "is above the dry bulb"},
        Damage{"no_vapour", [](Readings& r) { r.series[Reading::humidity_ratio][77] = 0.0; }, RemarkKind::impossible,
               "humidity_ratio: no vapour is left"},
        Damage{"an_hour_late", [](Readings& r) { shift(r, 1); }, RemarkKind::sun_and_clock, "late in every month"},
        Damage{"two_hours_early", [](Readings& r) { shift(r, -2); }, RemarkKind::sun_and_clock, "early in every month"},
        Damage{"wrong_longitude", [](Readings& r) { r.place.longitude_deg *= -10.0; }, RemarkKind::sun_and_clock,
               "sun and clock disagree"},
        Damage{"half_a_day_off", [](Readings& r) { shift(r, 12); }, RemarkKind::sun_and_clock, "in every month"},
        Damage{"sun_at_midnight", [](Readings& r) { r.series[Reading::diffuse_horizontal][24 * 100] = 150.0; },
               RemarkKind::sun_and_clock, "sun at night: 150 W/m2 on 11 April, 00:00"}),
    [](const auto& one) { return std::string{one.param.name}; });

TEST(CompleteYear, SeesSummerTimeInAFile)
{
    Readings r = good_readings();
    for (auto& [reading, series] : r.series)
        std::rotate(series.begin() + 90 * 24, series.begin() + 299 * 24 - 1, series.begin() + 299 * 24);
    const auto error = only_error(complete_year(r));
    EXPECT_EQ(error.kind, RemarkKind::sun_and_clock);
    EXPECT_NE(error.message.find("July"), std::string::npos) << error.message;
    EXPECT_EQ(error.message.find("January"), std::string::npos) << error.message;
    EXPECT_NE(error.hint.find("summer time"), std::string::npos);
}

TEST(CompleteYear, RemarksOnWhatIsOdd)
{
    Readings r = good_readings();
    for (std::size_t i = 500; i < 530; ++i) r.series[Reading::dry_bulb][i] = 4.0;
    const CompletedYear stuck = complete_year(r);
    ASSERT_TRUE(stuck.year);
    ASSERT_FALSE(remark(stuck, RemarkKind::stuck).message.empty());
    EXPECT_EQ(remark(stuck, RemarkKind::stuck).record, 500u);

    r = good_readings();
    r.place.height_m = 1200.0; // the pressure is that of 120 m
    const CompletedYear high = complete_year(r);
    ASSERT_TRUE(high.year);
    EXPECT_NE(high.remarks.front().message.find("belong to a height of 1200 m"), std::string::npos);

    r = good_readings();
    r.series[Reading::global_horizontal] = global_of(r);
    for (auto& v : r.series[Reading::global_horizontal]) *v *= 1.3;
    EXPECT_FALSE(remark(complete_year(r), RemarkKind::sums_differ).message.empty());
}

TEST(CompleteYear, TakesSteepSupersaturationAsSaturatedAndCountsIt)
{
    Readings r = good_readings();
    r.series[Reading::relative_humidity].assign(r.size(), 1.03);
    const CompletedYear done = complete_year(r);
    ASSERT_TRUE(done.year);
    ASSERT_FALSE(remark(done, RemarkKind::assumed).message.empty());
    EXPECT_NE(remark(done, RemarkKind::assumed).message.find("8760 records are more than saturated"),
              std::string::npos);
}

TEST(WeatherYear, KnowsItsMonthsInLeapYearsToo)
{
    const WeatherYear common{.steps_per_hour = 2}, leap{.leap = true};
    EXPECT_EQ(common.month_of(2 * 24 * 59 - 1), 2);
    EXPECT_EQ(common.month_of(2 * 24 * 59), 3);
    EXPECT_EQ(leap.month_of(24 * 60 - 1), 2);
    EXPECT_EQ(leap.month_of(24 * 60), 3);
    EXPECT_EQ(steps_in_year(true, 6), 8784u * 6u);
}

TEST(WeatherYear, IrradianceOnTheHorizontalIsGlobal)
{
    const WeatherYear year = synthetic_year(temperate_climate());
    const auto suns = suns_of_year(year.place, false, 1);
    const auto global = global_horizontal_W_per_m2(year, suns);
    const auto flat = irradiance_of_year(year, suns, {{.tilt = Angle::degrees(0.0)}}).front();
    // Perez brightens nothing on the horizontal, but for its lower bound of 5 degrees under a low sun.
    for (std::size_t i = 0; i < year.size(); ++i)
        EXPECT_NEAR(flat[i].total_W_per_m2(), global[i], (suns[i].sine() > 0.1 ? 1e-6 : 0.1) * global[i] + 1e-9);
}

TEST(WeatherYear, StepsOfTenMinutesAddUpToTheirHours)
{
    const Place place{51.0, 8.0, 1.0, 0.0};
    const auto hourly = suns_of_year(place, false, 1), fine = suns_of_year(place, false, 6);
    for (std::size_t h = 24 * 100; h < 24 * 101; ++h) {
        double mean = 0.0;
        for (std::size_t k = 0; k < 6; ++k) mean += fine[6 * h + k].mean_sine / 6.0;
        EXPECT_NEAR(hourly[h].mean_sine, mean, 2e-4) << h;
    }
}

} // namespace
} // namespace venture::climate
