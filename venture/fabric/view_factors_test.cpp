#include <venture/fabric/view_factors.hpp>

#include <numeric>

#include <gtest/gtest.h>

#include <venture/quantity/error.hpp>

namespace venture::fabric {
namespace {

TEST(ViewFactors, OfACubeAreThoseOfTheBooks)
{
    EXPECT_NEAR(view_factor_opposite(1.0, 1.0, 1.0), 0.19982, 1e-5);
    EXPECT_NEAR(view_factor_at_right_angles(1.0, 1.0, 1.0), 0.20004, 1e-5);
}

TEST(ViewFactors, OfABoxSumToOneAndGoBothWays)
{
    for (const auto& [x, y, h] : {std::array{5.0, 4.0, 2.5}, std::array{30.0, 2.0, 3.0}, std::array{8.0, 6.0, 2.7}}) {
        const auto f = box_view_factors(x, y, h);
        const auto area = box_areas(x, y, h);
        for (std::size_t i = 0; i < 6; ++i) {
            EXPECT_NEAR(std::accumulate(f[i].begin(), f[i].end(), 0.0), 1.0, 1e-12);
            for (std::size_t j = 0; j < 6; ++j) EXPECT_NEAR(area[i] * f[i][j], area[j] * f[j][i], 1e-12 * area[i]);
        }
    }
}

TEST(ViewFactors, OfFacesThatAllButTouchAreAllButOne)
{
    EXPECT_NEAR(view_factor_opposite(10.0, 10.0, 0.01), 1.0, 0.003);
    EXPECT_THROW((void)view_factor_opposite(1.0, 0.0, 1.0), quantity::RangeError);
    EXPECT_THROW((void)view_factor_at_right_angles(1.0, 1.0, -1.0), quantity::RangeError);
}

TEST(GreyExchange, OfTwoWidePlatesIsTheClassicSum)
{
    const double e1 = 0.9, e2 = 0.3, t = 293.15;
    const auto g = grey_exchange_W_per_K({10.0, 10.0}, {{0.0, 1.0}, {1.0, 0.0}}, {e1, e2});
    EXPECT_NEAR(g[0][1], 10.0 * 4.0 * 5.670374419e-8 * t * t * t / (1.0 / e1 + 1.0 / e2 - 1.0), 1e-9);
    EXPECT_EQ(g[0][0], 0.0);
}

TEST(GreyExchange, OfBlackFacesIsTheirViewFactors)
{
    const auto f = box_view_factors(5, 4, 2.5);
    const auto a = box_areas(5, 4, 2.5);
    std::vector<std::vector<double>> view;
    for (const auto& row : f) view.emplace_back(row.begin(), row.end());
    const auto g = grey_exchange_W_per_K({a.begin(), a.end()}, view, std::vector<double>(6, 1.0));
    EXPECT_NEAR(g[0][3], a[0] * f[0][3] * 4.0 * 5.670374419e-8 * 293.15 * 293.15 * 293.15, 1e-9);
}

TEST(GreyExchange, RefusesFactorsThatDoNotFit)
{
    EXPECT_THROW((void)grey_exchange_W_per_K({1.0, 2.0}, {{0.0, 1.0}, {1.0, 0.0}}, {0.9, 0.9}), quantity::RangeError);
    EXPECT_THROW((void)grey_exchange_W_per_K({1.0, 1.0}, {{0.0, 0.8}, {0.8, 0.0}}, {0.9, 0.9}), quantity::RangeError);
    EXPECT_THROW((void)grey_exchange_W_per_K({1.0, 1.0}, {{0.0, 1.0}, {1.0, 0.0}}, {0.9, 0.0}), quantity::RangeError);
}

} // namespace
} // namespace venture::fabric
