#include <venture/climate/synthetic_year.hpp>

#include <algorithm>
#include <cmath>
#include <numeric>

#include <gtest/gtest.h>

#include <venture/air/moist_air.hpp>
#include <venture/climate/climates_for_tests.hpp>
#include <venture/climate/year_summary.hpp>
#include <venture/quantity/error.hpp>

namespace venture::climate {
namespace {

std::vector<double> daily_means(const std::vector<double>& hourly)
{
    std::vector<double> out;
    for (std::size_t h = 0; h < hourly.size(); h += 24)
        out.push_back(std::accumulate(hourly.begin() + static_cast<std::ptrdiff_t>(h),
                                      hourly.begin() + static_cast<std::ptrdiff_t>(h + 24), 0.0) /
                      24.0);
    return out;
}

double correlation(const std::vector<double>& a, const std::vector<double>& b)
{
    const auto n = static_cast<double>(a.size());
    const double ma = std::accumulate(a.begin(), a.end(), 0.0) / n, mb = std::accumulate(b.begin(), b.end(), 0.0) / n;
    double ab = 0.0, aa = 0.0, bb = 0.0;
    for (std::size_t i = 0; i < a.size(); ++i) {
        ab += (a[i] - ma) * (b[i] - mb);
        aa += (a[i] - ma) * (a[i] - ma);
        bb += (b[i] - mb) * (b[i] - mb);
    }
    return ab / std::sqrt(aa * bb);
}

/// Daily means of the temperature less a running mean of a month: what is left is weather, not season.
std::vector<double> without_season(const std::vector<double>& daily)
{
    const auto n = static_cast<int>(daily.size());
    std::vector<double> out;
    for (int d = 0; d < n; ++d) {
        double sum = 0.0;
        for (int k = -15; k <= 15; ++k) sum += daily[static_cast<std::size_t>((d + k + n) % n)];
        out.push_back(daily[static_cast<std::size_t>(d)] - sum / 31.0);
    }
    return out;
}

class AnyClimate : public testing::TestWithParam<SyntheticRequest> {};

TEST_P(AnyClimate, HasTheMonthlyMeansThatWereAskedFor)
{
    const SyntheticRequest asked = GetParam();
    const YearSummary got = summarise(synthetic_year(asked));
    for (std::size_t m = 0; m < 12; ++m) {
        const MonthMeans& a = asked.months[m];
        const PeriodSummary& g = got.months[m];
        EXPECT_NEAR(g.mean_C, a.dry_bulb_C, 0.05) << m;
        EXPECT_NEAR(g.daily_range_K(), a.daily_range_K, 0.1) << m;
        EXPECT_NEAR(g.relative_humidity, a.relative_humidity, 0.005) << m;
        EXPECT_NEAR(g.global_J_per_m2, a.global_J_per_m2,
                    std::max(1e-3 * a.global_J_per_m2, a.global_J_per_m2 < 1e5 ? 1e5 : 0.0))
            << m;
        EXPECT_NEAR(*g.wind_m_per_s, a.wind_m_per_s, 1e-3 * a.wind_m_per_s) << m;
    }
}

TEST_P(AnyClimate, IsWeatherThatCanBe)
{
    const WeatherYear year = synthetic_year(GetParam());
    EXPECT_TRUE(year.synthetic);
    EXPECT_NE(year.source.find("synthetic"), std::string::npos);
    ASSERT_EQ(year.size(), 8760u);
    const auto suns = suns_of_year(year.place, false, 1);
    for (std::size_t i = 0; i < year.size(); ++i) {
        EXPECT_GT(year.humidity_ratio[i], 0.0);
        EXPECT_LE(year.humidity_ratio[i],
                  1.000001 * air::saturation_humidity_ratio(quantity::Temperature::celsius(year.dry_bulb_C[i]),
                                                            quantity::Pressure::pascal(year.pressure_Pa[i])));
        EXPECT_GE(year.wind_m_per_s[i], 0.0);
        EXPECT_TRUE(year.wind_from_deg[i] >= 0.0 && year.wind_from_deg[i] < 360.0);
        EXPECT_TRUE(year.cloud_cover[i] >= 0.0 && year.cloud_cover[i] <= 1.0);
        EXPECT_TRUE(year.beam_normal_W_per_m2[i] >= 0.0 &&
                    year.beam_normal_W_per_m2[i] < 1.0 * suns[i].beyond_W_per_m2);
        if (suns[i].up) continue;
        EXPECT_EQ(year.beam_normal_W_per_m2[i] + year.diffuse_horizontal_W_per_m2[i], 0.0);
    }
}

TEST_P(AnyClimate, ChangesFromHourToHourAsAirDoes)
{
    const WeatherYear year = synthetic_year(GetParam());
    double largest_K = 0.0;
    for (std::size_t i = 0; i < year.size(); ++i)
        largest_K = std::max(largest_K, std::abs(year.dry_bulb_C[(i + 1) % year.size()] - year.dry_bulb_C[i]));
    EXPECT_LT(largest_K, 6.0);
}

INSTANTIATE_TEST_SUITE_P(Of, AnyClimate,
                         testing::Values(temperate_climate(), temperate_climate(99), southern_climate(),
                                         tropical_climate(), polar_climate()),
                         [](const auto& one) { return one.param.name + std::to_string(one.param.seed); });

TEST(SyntheticYear, DaysRememberTheDayBefore)
{
    const auto weather = without_season(daily_means(synthetic_year(temperate_climate()).dry_bulb_C));
    std::vector<double> next = weather;
    std::ranges::rotate(next, next.begin() + 1);
    const double kept = correlation(weather, next);
    EXPECT_GT(kept, 0.5);
    EXPECT_LT(kept, 0.85);
}

TEST(SyntheticYear, ClearDaysAreWarmInSummerAndColdInWinter)
{
    SyntheticRequest asked = temperate_climate();
    double summer = 0.0, winter = 0.0, swing = 0.0;
    constexpr int years = 5;
    for (asked.seed = 1; asked.seed <= years; ++asked.seed) {
        const WeatherYear year = synthetic_year(asked);
        const auto weather = without_season(daily_means(year.dry_bulb_C));
        const auto beam = without_season(daily_means(year.beam_normal_W_per_m2));
        const auto part = [](const std::vector<double>& v, int from, int to) {
            return std::vector<double>(v.begin() + from, v.begin() + to);
        };
        summer += correlation(part(weather, 151, 243), part(beam, 151, 243)) / years;
        winter += correlation(part(weather, 0, 59), part(beam, 0, 59)) / years;
        std::vector<double> range;
        for (std::size_t h = 0; h < year.size(); h += 24) {
            const auto from = year.dry_bulb_C.begin() + static_cast<std::ptrdiff_t>(h);
            range.push_back(*std::max_element(from, from + 24) - *std::min_element(from, from + 24));
        }
        swing += correlation(without_season(range), beam) / years;
    }
    EXPECT_GT(summer, 0.15);
    EXPECT_LT(winter, -0.15);
    EXPECT_GT(swing, 0.4);
}

TEST(SyntheticYear, IsTheSameForTheSameSeedAndAnotherForAnother)
{
    const WeatherYear one = synthetic_year(temperate_climate(7)), same = synthetic_year(temperate_climate(7)),
                      other = synthetic_year(temperate_climate(8));
    EXPECT_EQ(one.dry_bulb_C, same.dry_bulb_C);
    EXPECT_EQ(one.beam_normal_W_per_m2, same.beam_normal_W_per_m2);
    EXPECT_NE(one.dry_bulb_C, other.dry_bulb_C);
}

TEST(SyntheticYear, SouthernSummersAreInJanuary)
{
    const YearSummary south = summarise(synthetic_year(southern_climate()));
    EXPECT_GT(south.months[0].highest_C, south.months[6].highest_C + 10.0);
}

TEST(SyntheticYear, RefusesMoreSunThanAClearSkyGives)
{
    SyntheticRequest asked = temperate_climate();
    asked.months[11].global_J_per_m2 = 2e7;
    try {
        (void)synthetic_year(asked);
        FAIL() << "no error";
    } catch (const quantity::RangeError& wrong) {
        EXPECT_EQ(wrong.where(), "synthetic_year, December");
        EXPECT_NE(wrong.name().find("sun"), std::string::npos);
        EXPECT_LT(wrong.allowed().highest, 10.0);
    }
    asked = temperate_climate();
    asked.months[3].relative_humidity = 1.2;
    EXPECT_THROW((void)synthetic_year(asked), quantity::RangeError);
}

} // namespace
} // namespace venture::climate
