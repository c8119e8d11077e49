/// Choosing by other aims than the fullest, within limits, with what is said of those that were not chosen.

#include <venture/rating/choosing.hpp>

#include <random>

#include <gtest/gtest.h>

namespace venture::rating {
namespace {

/// What it gives does not depend on conditions.
class Made : public Product {
public:
    Made(Label label, double W, double water_kg_per_s, double sound_dB)
        : Product{std::move(label)},
          W_{W},
          water_kg_per_s_{water_kg_per_s},
          sound_dB_{sound_dB}
    {
    }
    [[nodiscard]] std::variant<Output, Refusal> rate(const Conditions&) const override
    {
        Output out;
        out.gives_W[Service::heating] = W_;
        out.water_kg_per_s = water_kg_per_s_;
        out.sound_power_dBA = sound_dB_;
        return out;
    }

private:
    double W_, water_kg_per_s_, sound_dB_;
};

std::vector<std::shared_ptr<const Product>> three()
{
    return {
        std::make_shared<const Made>(Label{.name = "big",
                                           .maker = "Ash",
                                           .family = "Long",
                                           .height_m = 0.9,
                                           .length_m = 2.0,
                                           .depth_m = 0.2,
                                           .cost = 90.0},
                                     2000.0, 0.05, 50.0),
        std::make_shared<const Made>(
            Label{.name = "middle", .maker = "Birch", .family = "Wide", .height_m = 0.5, .depth_m = 0.1, .cost = 70.0},
            1200.0, 0.02, 40.0),
        std::make_shared<const Made>(Label{.name = "small",
                                           .maker = "Ash",
                                           .family = "Wide",
                                           .height_m = 0.3,
                                           .length_m = 0.6,
                                           .depth_m = 0.06,
                                           .cost = 30.0},
                                     510.0, 0.015, 38.0)};
}

const Asked thousand{{}, {.service = Service::heating, .W = 1000.0}};

std::string chosen_by(Wish wish)
{
    static const auto products = three();
    wish.counts = {1, 4};
    const Choice c = choose(products, wish, thousand);
    return c.chosen ? c.chosen->called() : "nothing";
}

TEST(Aims, DecideInTheirOrder)
{
    EXPECT_EQ(chosen_by({}), "2 x small"); // 98 % full against 83 %
    EXPECT_EQ(chosen_by({.aims = {Aim::fewest_units, Aim::least_cost}}), "middle");
    EXPECT_EQ(chosen_by({.aims = {Aim::fewest_units, Aim::least_water}}), "middle");
    EXPECT_EQ(chosen_by({.aims = {Aim::least_cost}}), "2 x small");
    EXPECT_EQ(chosen_by({.aims = {Aim::least_water}}), "middle");
    EXPECT_EQ(chosen_by({.aims = {Aim::least_depth}}), "2 x small");
    EXPECT_EQ(chosen_by({.aims = {Aim::quietest}}), "middle"); // 40 dB against 41
}

TEST(Aims, ByWeightCountEachOverTheLeast)
{
    // middle: 70/60 + 1, small: 1 + 2
    EXPECT_EQ(chosen_by({.aims = {Aim::least_cost, Aim::fewest_units}, .weights = {1.0, 1.0}}), "middle");
    EXPECT_EQ(chosen_by({.aims = {Aim::least_cost, Aim::fewest_units}, .weights = {10.0, 1.0}}), "2 x small");
}

TEST(Aims, TellWhyTheRunnerUpLost)
{
    static const auto products = three();
    const auto why = [](std::vector<Aim> aims) {
        return choose(products, {.counts = {1, 4}, .aims = std::move(aims)}, thousand).why_runner_up_lost();
    };
    EXPECT_EQ(why({Aim::least_cost}), "costs 70, not 60");
    EXPECT_EQ(why({Aim::least_water}), "50.0 % more water");
    EXPECT_EQ(why({Aim::least_depth}), "40 mm deeper");
    EXPECT_EQ(why({Aim::quietest}), "1.0 dB louder");
}

TEST(Limits, KeepOutWhatExceedsThemAndWhatDoesNotTell)
{
    EXPECT_EQ(chosen_by({.makers = {"Birch"}}), "middle");
    EXPECT_EQ(chosen_by({.families = {"Long"}}), "big");
    EXPECT_EQ(chosen_by({.aims = {Aim::fewest_units}, .most_height_m = 0.5}), "middle");
    EXPECT_EQ(chosen_by({.aims = {Aim::fewest_units}, .most_length_m = 2.0}), "big"); // middle has none
    EXPECT_EQ(chosen_by({.most_depth_m = 0.05}), "nothing");
    EXPECT_EQ(chosen_by({.most_sound_dB = 40.5}), "middle"); // two small ones: 41 dB
    EXPECT_EQ(chosen_by({.most_sound_dB = 32.5, .room_effect_dB = 8.0}), "middle");
    EXPECT_EQ(chosen_by({.aims = {Aim::fewest_units, Aim::least_cost}, .most_over = 0.1}), "2 x small");
}

TEST(Verdicts, NameTheFirstThingThatFailsAndByHowMuch)
{
    const auto products = three();
    const Wish wish{.counts = {1, 1}, .makers = {"Ash"}, .most_height_m = 0.8};
    const auto all = verdicts(products, wish, thousand);
    ASSERT_EQ(all.size(), 3u);
    EXPECT_EQ(all[0].fails, Fails::height);
    EXPECT_DOUBLE_EQ(all[0].value, 0.9);
    EXPECT_DOUBLE_EQ(all[0].limit, 0.8);
    EXPECT_EQ(all[1].fails, Fails::maker);
    EXPECT_EQ(all[2].fails, Fails::total);
    EXPECT_DOUBLE_EQ(all[2].value, 510.0);
    EXPECT_DOUBLE_EQ(all[2].limit, 1000.0);
}

TEST(Verdicts, SaySoOfSoundThatIsOnlyTogetherTooLoud)
{
    const auto all = verdicts(three(), {.counts = {1, 4}, .most_sound_dB = 40.0}, thousand);
    EXPECT_EQ(all[2].fails, Fails::sound);
    EXPECT_EQ(all[2].count, 2);
    EXPECT_NEAR(all[2].value, 38.0 + 10.0 * std::log10(2.0), 1e-12);
    EXPECT_EQ(all[1].fails, Fails::nothing);
}

TEST(Holds, TellsWhereTheChoiceWouldChange)
{
    const auto products = three();
    const Holds holds = how_long_it_holds(products, {.counts = {1, 4}}, thousand);
    EXPECT_NEAR(holds.up_to, 1.02, 1e-12); // of two small ones
    ASSERT_TRUE(holds.above);
    EXPECT_EQ(holds.above->name(), "middle");
    // One small one, whenever it suffices.
    EXPECT_NEAR(holds.down_to, 0.51, 1e-12);
    EXPECT_EQ(holds.below->name(), "small");
    EXPECT_EQ(holds.below_count, 1);
}

TEST(Holds, AgreesWithTryingEveryNeed)
{
    std::mt19937 random{7};
    std::uniform_real_distribution<> watts{100.0, 3000.0}, cost{1.0, 9.0};
    for (int run = 0; run < 40; ++run) {
        std::vector<std::shared_ptr<const Product>> products;
        for (int i = 0; i < 12; ++i)
            products.push_back(std::make_shared<const Made>(Label{.name = std::to_string(i), .cost = cost(random)},
                                                            watts(random), unknown, unknown));
        const Wish wish{.counts = {1, 3},
                        .aims = {run % 2 == 0 ? Aim::fullest : Aim::least_cost},
                        .most_over = run % 3 == 0 ? 0.3 : no_limit};
        const Choice now = choose(products, wish, thousand);
        if (!now.chosen) continue;
        const Holds holds = how_long_it_holds(products, wish, thousand);
        const auto called_at = [&](double factor) {
            const Choice then = choose(products, wish, {{}, thousand.duty.times(factor)});
            return then.chosen ? then.chosen->called() : std::string{};
        };
        for (int i = 1; i < 60; ++i) {
            const double down = std::lerp(holds.down_to, 1.0, i / 60.0);
            EXPECT_EQ(called_at(down), now.chosen->called()) << run << ' ' << down;
            if (holds.up_to < no_limit) {
                EXPECT_EQ(called_at(std::lerp(1.0, holds.up_to, i / 60.0)), now.chosen->called()) << run;
            }
        }
        if (holds.down_to > 0.0) {
            EXPECT_NE(called_at(holds.down_to * 0.99999), now.chosen->called()) << run;
        }
        EXPECT_NE(called_at(holds.up_to * 1.00001), now.chosen->called()) << run;
    }
}

TEST(Row, AddsUpWhatStandsInIt)
{
    const auto products = three();
    Rated row{.duty = thousand.duty};
    for (const std::size_t i : {1u, 2u})
        row.units.push_back({products[i].get(), 1, std::get<Output>(products[i]->rate({}))});
    EXPECT_EQ(row.called(), "middle + small");
    EXPECT_EQ(row.count(), 2);
    EXPECT_DOUBLE_EQ(row.all().gives_W[Service::heating], 1710.0);
    EXPECT_DOUBLE_EQ(row.all().water_kg_per_s, 0.035);
    EXPECT_NEAR(row.all().sound_power_dBA, 10.0 * std::log10(1e4 + std::pow(10.0, 3.8)), 1e-12);
    EXPECT_TRUE(std::isnan(row.all().electric_W)); // nobody said
    EXPECT_TRUE(row.suffices());
}

} // namespace
} // namespace venture::rating
