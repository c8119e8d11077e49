#include <gtest/gtest.h>

#include <cmath>

#include <reference_table.hpp>
#include <venture/quantity/error.hpp>
#include <venture/rating/choosing.hpp>
#include <venture/rating/emitter_law.hpp>
#include <venture/rating/factor_table.hpp>
#include <venture/rating/grid_table.hpp>

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

/// A table over two conditions.
GridTable chiller()
{
    return {{{At::water_supply, {7.0, 9.0}}, {At::outdoor_dry_bulb, {20.0, 30.0, 35.0}}},
            {10.0, 9.0, 8.0, 11.0, 10.0, 9.5}};
}
Conditions water_and_air(double water_C, double air_C)
{
    return Conditions{}.set(At::water_supply, water_C).set(At::outdoor_dry_bulb, air_C);
}

TEST(GridTable, IsStraightBetweenItsLines)
{
    const GridTable t = chiller();
    EXPECT_DOUBLE_EQ(t.at(water_and_air(7.0, 20.0)), 10.0);
    EXPECT_DOUBLE_EQ(t.at(water_and_air(9.0, 35.0)), 9.5);
    EXPECT_NEAR(t.at(water_and_air(8.0, 25.0)), 0.25 * (10.0 + 9.0 + 11.0 + 10.0), 1e-12);
}

TEST(GridTable, RefusesToLeaveItsGridAndNamesTheInput)
{
    const GridTable t = chiller();
    EXPECT_FALSE(t.refuses(water_and_air(9.0, 35.0)));
    EXPECT_EQ(t.refuses(water_and_air(6.9, 25.0))->what, At::water_supply);
    EXPECT_EQ(t.refuses(water_and_air(8.0, 35.1))->what, At::outdoor_dry_bulb);
    EXPECT_EQ(in_words(*t.refuses(water_and_air(8.0, 35.1))),
              "outdoor dry bulb of 35.1 degC lies outside 20 to 35 degC");
    EXPECT_EQ(t.refuses(Conditions{}.set(At::water_supply, 8.0))->why, Refusal::Why::not_given);
}

TEST(GridTable, ReadsAnyNumberOfInputs)
{
    // What is linear in each input is met exactly; four inputs, unevenly spaced.
    const std::vector<Axis> axes = {{At::water_supply, {5, 6, 9}},
                                    {At::air_flow, {0.1, 0.4}},
                                    {At::entering_wet_bulb, {14, 15, 19, 22}},
                                    {At::outdoor_dry_bulb, {20, 45}}};
    const auto f = [](double a, double b, double c, double d) { return 3.0 * a - 2.0 * b * c + 0.1 * a * d + 7.0; };
    std::vector<double> values;
    for (const double a : axes[0].values)
        for (const double b : axes[1].values)
            for (const double c : axes[2].values)
                for (const double d : axes[3].values) values.push_back(f(a, b, c, d));
    const GridTable t{axes, values};
    const Conditions at = Conditions{}
                              .set(At::water_supply, 7.3)
                              .set(At::air_flow, 0.17)
                              .set(At::entering_wet_bulb, 20.1)
                              .set(At::outdoor_dry_bulb, 33.0);
    EXPECT_NEAR(t.at(at), f(7.3, 0.17, 20.1, 33.0), 1e-12);
}

TEST(GridTable, RefusesAnUnevenOrUnorderedGrid)
{
    EXPECT_THROW((GridTable{{{At::water_supply, {7.0, 9.0}}}, {1.0}}), quantity::Error);
    EXPECT_THROW((GridTable{{{At::water_supply, {9.0, 7.0}}}, {1.0, 1.0}}), quantity::Error);
    EXPECT_THROW((GridTable{{}, {}}), quantity::Error);
}

TEST(Conditions, HaveInputsWithKeysOfTheirOwn)
{
    for (const RatingInput& input : rating_inputs()) {
        ASSERT_TRUE(input_called(input.key)) << input.key;
        EXPECT_EQ(&input_of(*input_called(input.key)), &input);
    }
    EXPECT_FALSE(input_called("weather"));
    EXPECT_FALSE(Conditions{}.has(At::room));
}

/// Gives so much, whatever the conditions.
class Plain : public Product {
public:
    explicit Plain(double W) : Product{Label{.name = "p" + std::to_string(static_cast<int>(W))}}, W_{W} {}
    [[nodiscard]] std::variant<Output, Refusal> rate(const Conditions&) const override
    {
        if (W_ < 0.0) return Refusal{Refusal::Why::outside, At::water_supply, 40.0, {50.0, 80.0}};
        Output out;
        out.gives_W[Service::heating] = out.gives_W[Service::cooling] = W_;
        out.sensible_W = 0.5 * W_;
        return out;
    }

private:
    double W_;
};

std::vector<std::shared_ptr<const Product>> products_of(const std::vector<double>& capacities)
{
    std::vector<std::shared_ptr<const Product>> out;
    for (const double W : capacities) out.push_back(std::make_shared<const Plain>(W));
    return out;
}

/// Among products of given capacities, W; kept alive for who looks at what was chosen.
Choice choose_among(const std::vector<double>& capacities, double duty_W, Counts counts = {1, 4})
{
    static std::vector<std::vector<std::shared_ptr<const Product>>> all;
    all.push_back(products_of(capacities));
    return choose(all.back(), {.counts = counts}, {{}, {Service::heating, duty_W, {}}});
}

TEST(Choose, CountsSensibleByItself)
{
    const auto products = products_of({1000.0, 1500.0});
    const Choice c = choose(products, {.counts = {1, 1}}, {{}, {Service::cooling, 900.0, 700.0}});
    EXPECT_EQ(c.chosen->product().name(), "p1500"); // the smaller has but 500 W sensible
    EXPECT_EQ(c.next_down->in_words(), "28.6 % short (sensible)");
    ASSERT_EQ(c.chosen->shares().size(), 2u);
    EXPECT_EQ(c.chosen->shares()[1].what, "sensible");
}

TEST(Choose, TellsOneThatRefuses)
{
    const Choice c = choose_among({-1.0}, 100.0);
    EXPECT_FALSE(c.chosen || c.next_down);
    EXPECT_EQ(c.refused->in_words(), "water supply of 40 degC lies outside 50 to 80 degC");
}

TEST(Choose, TakesTheOneThatRunsFullest)
{
    const Choice c = choose_among({500, 1000, 1500, 800}, 790.0);
    EXPECT_EQ(c.chosen->product().name(), "p800");
    EXPECT_EQ(c.runner_up->product().name(), "p1000");
    EXPECT_EQ(c.why_runner_up_lost(), "79 % full");
    EXPECT_EQ(c.next_down->product().name(), "p500");
    EXPECT_NEAR(c.chosen->fullness(), 0.9875, 1e-12);
}

TEST(Choose, TakesTwoOnlyIfTheyRunATenthFuller)
{
    EXPECT_EQ(choose_among({400, 850}, 790.0).chosen->product().name(),
              "p850");                                              // 2 x 400 at 99 % against 93 %: not enough
    EXPECT_EQ(choose_among({400, 1000}, 790.0).chosen->count(), 2); // against 79 %: enough
}

TEST(Choose, SaysWhatFallsShortWhenNothingSuffices)
{
    const Choice c = choose_among({100, 200}, 1000.0, {1, 4});
    EXPECT_FALSE(c.chosen);
    EXPECT_EQ(c.next_down->product().name(), "p200");
    EXPECT_EQ(c.next_down->in_words(), "20.0 % short");
}

TEST(Choose, KeepsAnExactFit)
{
    EXPECT_TRUE(choose_among({1000}, 1000.0).chosen);
    EXPECT_FALSE(choose_among({1000}, 1000.1, {1, 1}).chosen);
}

TEST(Choose, FromNothingIsNothing) { EXPECT_FALSE(choose_among({}, 100.0).chosen); }

/// 1,000 W, of which 760 are sensible, at any duty; or a refusal.
Rated rated(const Duty& duty)
{
    static const Plain product{1000.0};
    Rated out = rated_at(product, 1, {}, duty);
    out.units.front().one.sensible_W = 760.0;
    return out;
}

TEST(Rated, IsAsFullAsItsHardestShare)
{
    const Rated r = rated({Service::cooling, 900.0, 800.0});
    EXPECT_FALSE(r.suffices());
    EXPECT_EQ(r.in_words(), "5.0 % short (sensible)");
    EXPECT_TRUE(rated({Service::cooling, 900.0, 700.0}).suffices());
}

TEST(FactorTable, IsOneWithoutTheInputAndRefusesWhatNobodySaid)
{
    const quantity::Given<quantity::QuantityList> none, shares{quantity::QuantityList{0.0, 0.2, 0.4}},
        factors{quantity::QuantityList{1.0, 0.96, 0.9}}, two{quantity::QuantityList{1.0, 0.9}};
    const FactorTable given{At::glycol, "glycol and glycol_factors", shares, factors},
        nothing{At::glycol, "", none, none};
    const auto at = [](double share) { return Conditions{}.set(At::glycol, share); };
    EXPECT_DOUBLE_EQ(std::get<double>(given.factor(at(0.3))), 0.93);
    EXPECT_DOUBLE_EQ(std::get<double>(given.factor({})), 1.0);
    EXPECT_DOUBLE_EQ(std::get<double>(nothing.factor(at(0.0))), 1.0);
    EXPECT_EQ(std::get<Refusal>(given.factor(at(0.5))).why, Refusal::Why::outside);
    EXPECT_EQ(in_words(std::get<Refusal>(nothing.factor(at(0.3)))),
              "its maker gives no factors for a share of glycol of 0.3");
    EXPECT_THROW((FactorTable{At::glycol, "glycol and glycol_factors", shares, none}), quantity::Error);
    EXPECT_THROW((FactorTable{At::glycol, "glycol and glycol_factors", shares, two}), quantity::Error);
}

} // namespace
} // namespace venture::rating
