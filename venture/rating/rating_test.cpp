#include <gtest/gtest.h>

#include <cmath>

#include <reference_table.hpp>
#include <venture/quantity/error.hpp>
#include <venture/rating/capacity_table.hpp>
#include <venture/rating/choice.hpp>
#include <venture/rating/emitter_law.hpp>

namespace venture::rating {
namespace {

using nlohmann::json;

TEST(EmitterOutput, AgreesWithTheReference)
{
    const json table = reference::table("emitters_coils");
    const json& cases = table.at("radiators").at("output");
    ASSERT_GE(cases.size(), 5u);
    for (const json& c : cases) {
        const double expected = c.at("output_logarithmic_W");
        EXPECT_NEAR(emitter_output_W(c.at("nominal_W_at_75_65_20"), c.at("exponent"), c.at("supply_C"),
                                     c.at("return_C"), c.at("room_C")),
                    expected, 1e-5 * expected);
        EXPECT_NEAR(logarithmic_excess_K(c.at("supply_C"), c.at("return_C"), c.at("room_C")),
                    c.at("excess_logarithmic_K").get<double>(), 1e-5);
    }
}

TEST(EmitterOutput, IsNominalAtTheStandardTemperatures)
{
    EXPECT_NEAR(emitter_output_W(1000.0, 1.33, 75.0, 65.0, 20.0), 1000.0, 1e-9);
}

TEST(EmitterOutput, IsContinuousWhereSupplyMeetsReturn)
{
    EXPECT_NEAR(logarithmic_excess_K(60.0, 60.0, 20.0), 40.0, 1e-9);
    EXPECT_NEAR(logarithmic_excess_K(60.0, 60.0 - 1e-6, 20.0), 40.0, 1e-5);
}

TEST(EmitterOutput, RefusesWaterColderThanTheRoom)
{
    EXPECT_THROW((void)logarithmic_excess_K(40.0, 19.0, 20.0), quantity::RangeError);
    EXPECT_THROW((void)logarithmic_excess_K(40.0, 45.0, 20.0), quantity::RangeError);
}

TEST(CapacityTable, AgreesWithTheReferenceForBilinearInterpolation)
{
    const json all = reference::table("emitters_coils");
    const json& t = all.at("cooling_capacity_table");
    const json& d = t.at("invented_data");
    const CapacityTable total{"total", d.at("outdoor_C"), d.at("entering_wet_bulb_C"),
                              d.at("total_kW_rows_outdoor_columns_wet_bulb")};
    // A point by hand: half way between 30 and 35 degC and between 17 and 19 degC.
    EXPECT_NEAR(total.at(32.5, 18.0), 0.25 * (9.97 + 10.5 + 9.48 + 10.0), 1e-12);
    EXPECT_DOUBLE_EQ(total.at(45.0, 23.0), 9.97);
    EXPECT_DOUBLE_EQ(total.at(25.0, 15.0), 9.91);
}

TEST(CapacityTable, RefusesToLeaveItsGrid)
{
    const CapacityTable t{"chiller", {7.0, 9.0}, {20.0, 30.0}, {{10.0, 9.0}, {11.0, 10.0}}};
    EXPECT_THROW((void)t.at(6.9, 25.0), quantity::RangeError);
    EXPECT_THROW((void)t.at(8.0, 30.1), quantity::RangeError);
    EXPECT_THROW((void)t.at(std::nan(""), 25.0), quantity::RangeError);
}

TEST(CapacityTable, RefusesAnUnevenOrUnorderedGrid)
{
    EXPECT_THROW((CapacityTable{"t", {7.0, 9.0}, {20.0}, {{1.0}}}), quantity::Error);
    EXPECT_THROW((CapacityTable{"t", {9.0, 7.0}, {20.0}, {{1.0}, {1.0}}}), quantity::Error);
    EXPECT_THROW((CapacityTable{"t", {}, {}, {}}), quantity::Error);
}

/// Products of given capacities, W.
Choice choose_among(const std::vector<double>& capacities, double duty_W, Counts counts = {1, 4})
{
    return choose(capacities.size(), counts, [&](std::size_t i, int count) {
        return Rated{std::string{"p"} + std::to_string(static_cast<int>(capacities[i])),
                     count,
                     {{"heating", duty_W, count * capacities[i]}},
                     {}};
    });
}

TEST(Choose, TakesTheOneThatRunsFullest)
{
    const Choice c = choose_among({500, 1000, 1500, 800}, 790.0);
    EXPECT_EQ(c.chosen->product, "p800");
    EXPECT_EQ(c.runner_up->product, "p1000");
    EXPECT_EQ(c.why_runner_up_lost, "79 % full");
    EXPECT_EQ(c.next_down->product, "p500");
    EXPECT_NEAR(c.chosen->fullness(), 0.9875, 1e-12);
}

TEST(Choose, TakesTwoOnlyIfTheyRunATenthFuller)
{
    EXPECT_EQ(choose_among({400, 850}, 790.0).chosen->product, "p850"); // 2 x 400 at 99 % against 93 %: not enough
    EXPECT_EQ(choose_among({400, 1000}, 790.0).chosen->count, 2);       // against 79 %: enough
}

TEST(Choose, SaysWhatFallsShortWhenNothingSuffices)
{
    const Choice c = choose_among({100, 200}, 1000.0, {1, 4});
    EXPECT_FALSE(c.chosen);
    EXPECT_EQ(c.next_down->product, "p200");
    EXPECT_EQ(c.next_down->in_words(), "20.0 % short");
}

TEST(Choose, KeepsAnExactFit)
{
    EXPECT_TRUE(choose_among({1000}, 1000.0).chosen);
    EXPECT_FALSE(choose_among({1000}, 1000.1, {1, 1}).chosen);
}

TEST(Choose, FromNothingIsNothing) { EXPECT_FALSE(choose_among({}, 100.0).chosen); }

TEST(Rated, IsAsFullAsItsHardestShare)
{
    const Rated r{"coil", 1, {{"total", 900, 1000}, {"sensible", 800, 760}}, {}};
    EXPECT_FALSE(r.suffices());
    EXPECT_EQ(r.in_words(), "5.0 % short (sensible)");
    const Rated refused{"coil", 1, {}, "outside its table"};
    EXPECT_FALSE(refused.suffices());
    EXPECT_EQ(refused.in_words(), "outside its table");
}

} // namespace
} // namespace venture::rating
