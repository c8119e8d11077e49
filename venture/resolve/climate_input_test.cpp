#include <venture/resolve/climate_input.hpp>

#include <algorithm>

#include <gtest/gtest.h>

#include <small_building.hpp>
#include <venture/quantity/codes.hpp>
#include <venture/resolve/vocabulary.hpp>

namespace venture::resolve {
namespace {

using testing_data::one_room;

climate::DerivedConditions some_conditions()
{
    climate::DerivedConditions d{.winter = {-7.5, 6.0, -10.0, 3.5}};
    for (std::size_t m = 0; m < 12; ++m)
        d.months[m] = {.month = static_cast<int>(m) + 1,
                       .dry_bulb_C = 20.0 + static_cast<double>(m),
                       .wet_bulb_C = 15.0,
                       .daily_range_K = 9.0,
                       .beam_depth = 0.35,
                       .diffuse_depth = 2.2,
                       .ground_C = 11.0,
                       .wet_bulb_range_K = 4.0,
                       .peak_wet_bulb = climate::PeakWithDryBulb{17.0, 19.0},
                       .peak_dew_point = climate::PeakWithDryBulb{14.0, 16.0}};
    return d;
}

TEST(FillFromWeather, LeavesWhatIsTyped)
{
    Input in = one_room();
    in.site.months[0].beam_depth = {};
    const double typed_C = *in.site.winter_dry_bulb, dry_bulb_C = *in.site.months[0].dry_bulb;
    ASSERT_TRUE(wants_conditions(in.site));
    const auto filled = fill_from_weather(in, some_conditions(), "y");
    EXPECT_EQ(*in.site.winter_dry_bulb, typed_C);
    EXPECT_EQ(*in.site.months[0].dry_bulb, dry_bulb_C);
    EXPECT_EQ(*in.site.months[0].beam_depth, 0.35);
    EXPECT_FALSE(in.site.months[0].wet_bulb_range); // it would change a day that somebody stated
    EXPECT_EQ(in.site.months.size(), 1u);
    EXPECT_NE(std::ranges::find(filled, "site/month/7/beam_depth"), filled.end());
    EXPECT_EQ(std::ranges::find(filled, "site/month/7/dry_bulb"), filled.end());
    EXPECT_EQ(in.origins.at(in.site.months[0].beam_depth.origin).kind, quantity::OriginKind::computed);
    EXPECT_FALSE(wants_conditions(in.site));
}

TEST(FillFromWeather, GivesAllMonthsWhereNoneIsTyped)
{
    Input in = one_room();
    in.site.months.clear();
    in.site.winter_dry_bulb = {};
    (void)fill_from_weather(in, some_conditions(), "y");
    ASSERT_EQ(in.site.months.size(), 12u);
    EXPECT_EQ(*in.site.winter_dry_bulb, -7.5);
    EXPECT_EQ(*in.site.months[11].wet_bulb_range, 4.0);
    EXPECT_TRUE(resolve(in).building.has_value());
}

TEST(FillFromWeather, TakesPairsWholeOrNotAtAll)
{
    Input in = one_room();
    in.site.months[0].peak_wet_bulb = 18.0; // its dry bulb is asked for, not made up
    (void)fill_from_weather(in, some_conditions(), "y");
    EXPECT_FALSE(in.site.months[0].dry_bulb_at_peak_wet_bulb);
    EXPECT_EQ(*in.site.months[0].peak_dew_point, 14.0);
}

TEST(StationOf, IsTheSiteUnlessItSaysOtherwise)
{
    Input in = one_room();
    EXPECT_EQ(station_of(in)->latitude_deg, *in.site.latitude);
    in.weather.height = 440.0;
    EXPECT_EQ(station_of(in)->height_m, 440.0);
    EXPECT_EQ(station_of(in)->latitude_deg, *in.site.latitude);
    in.weather.latitude = 95.0;
    EXPECT_FALSE(station_of(in));
    Input nowhere;
    nowhere.weather.latitude = 50.0;
    EXPECT_FALSE(station_of(nowhere));
}

TEST(SyntheticRequest, NeedsTwelveMonths)
{
    Input in = one_room();
    in.weather.form = "synthetic";
    quantity::Problems problems;
    EXPECT_FALSE(synthetic_request_of(in, problems));
    ASSERT_EQ(problems.size(), 1u);
    EXPECT_EQ(problems[0].code, quantity::codes::missing);
    for (int m = 1; m <= 12; ++m) {
        MonthlyMeanInput mean;
        mean.month = m;
        mean.dry_bulb = 10.0;
        mean.daily_range = 8.0;
        mean.relative_humidity = 0.7;
        mean.sun = 1e7;
        mean.wind = 3.0;
        in.monthly_means.push_back(mean);
    }
    problems = {};
    const auto request = synthetic_request_of(in, problems);
    ASSERT_TRUE(request && problems.empty());
    EXPECT_EQ(request->seed, 1u); // by default
    EXPECT_EQ(request->months[11].global_J_per_m2, 1e7);
    in.monthly_means[3].month = 5.0;
    EXPECT_FALSE(synthetic_request_of(in, problems));
    EXPECT_EQ(problems.size(), 2u); // May twice, April not at all
}

TEST(ResolveSite, TellsOfMeansThatNothingUses)
{
    Input in = one_room();
    in.monthly_means.emplace_back().month = 1.0;
    for (auto field : {&MonthlyMeanInput::dry_bulb, &MonthlyMeanInput::wind}) in.monthly_means[0].*field = 4.0;
    in.monthly_means[0].daily_range = 5.0;
    in.monthly_means[0].relative_humidity = 0.8;
    in.monthly_means[0].sun = 2e6;
    const ResolvedSite r = resolve_site(in);
    ASSERT_EQ(r.problems.size(), 1u);
    EXPECT_EQ(r.problems[0].code, quantity::codes::unused);
    in.weather.form = "synthetic";
    EXPECT_TRUE(resolve_site(in).problems.empty());
}

TEST(ResolveSite, AsksForNothingButTheSite)
{
    Input in = one_room();
    in.rooms.clear();
    in.materials.clear();
    const ResolvedSite r = resolve_site(in);
    ASSERT_TRUE(r.site);
    EXPECT_TRUE(r.problems.empty());
    in.site.latitude = 95.0;
    EXPECT_FALSE(resolve_site(in).site);
}

TEST(ResolveSite, MovesConditionsToTheSitesHeightAndSaysSo)
{
    Input in = one_room();
    in.site.height = 500.0;
    in.site.conditions_height = 100.0;
    const ResolvedSite r = resolve_site(in);
    ASSERT_TRUE(r.site);
    EXPECT_NEAR(r.site->winter.dry_bulb_C, *in.site.winter_dry_bulb - 2.6, 1e-9);
    ASSERT_EQ(r.problems.size(), 1u);
    EXPECT_EQ(r.problems[0].code, quantity::codes::moved_height);
}

} // namespace
} // namespace venture::resolve
