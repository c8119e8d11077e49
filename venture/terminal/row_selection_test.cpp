/// Radiators under windows and along walls.

#include <venture/terminal/considered.hpp>
#include <venture/terminal/row_selection.hpp>

#include <fmt/format.h>
#include <gmock/gmock.h>
#include <gtest/gtest.h>

#include <venture/rating/coil_conductance.hpp>
#include <venture/terminal/fan_radiator.hpp>
#include <venture/terminal/radiator.hpp>

namespace venture::terminal {
namespace {

using rating::At;
using rating::Service;

/// Two families, in two heights each: 1,000 and 2,000 W for each metre and metre of height at 75/65/20.
std::vector<std::shared_ptr<const rating::Product>> radiators()
{
    std::vector<std::shared_ptr<const rating::Product>> out;
    for (const auto& [family, W, depth_m] : {std::tuple{"thin", 1000.0, 0.06}, {"thick", 2000.0, 0.15}})
        for (const double height_m : {0.3, 0.6})
            for (double length_m = 0.4; length_m < 2.1; length_m += 0.2) {
                RadiatorData d;
                d.name = fmt::format("{} {:.0f}/{:.0f}", family, 1000.0 * height_m, 1000.0 * length_m);
                d.maker = std::string{"Ash"};
                d.family = std::string{family};
                d.height = height_m;
                d.length = length_m;
                d.depth = depth_m;
                d.output = W * height_m * length_m;
                d.exponent = 1.3;
                out.push_back(std::make_shared<const Radiator>(d, ""));
            }
    return out;
}

Spot window(double width_m, double sill_m) { return {.called = "window", .width_m = width_m, .height_m = sill_m}; }
Spot wall(double length_m) { return {.called = "wall", .width_m = length_m, .height_m = 2.7}; }

rating::Asked asked(double W, double supply_C = 75.0, double return_C = 65.0)
{
    return {rating::Conditions{}.set(At::water_supply, supply_C).set(At::water_return, return_C).set(At::room, 20.0),
            {.service = Service::heating, .W = W}};
}

RoomWish eight()
{
    RoomWish out;
    out.wish.counts = {1, usual_most_units};
    return out;
}

PlacedChoice choose_in(const RoomPlaces& places, double W, const RoomWish& wish = eight())
{
    static const auto products = radiators();
    return choose_row_for(products, wish, places, asked(W));
}

RoomPlaces with(std::vector<Spot> windows, std::vector<Spot> walls)
{
    return {.known = true, .windows = std::move(windows), .walls = std::move(walls)};
}

TEST(PlacedRow, StandsUnderEachWindowNearlyAsWideAsIt)
{
    const PlacedChoice c = choose_in(with({window(1.5, 0.85), window(1.5, 0.85)}, {wall(4.0)}), 1500.0);
    ASSERT_TRUE(c.choice.chosen);
    EXPECT_EQ(c.placing, Placing::under_windows);
    ASSERT_EQ(c.standing.size(), 2u);
    for (const Standing& s : c.standing) {
        EXPECT_TRUE(s.under_window);
        EXPECT_GE(s.product->label().length_m, 0.75 * 1.5 - 1e-9);
        EXPECT_LE(s.product->label().length_m, 1.4 + 1e-9);
        EXPECT_LE(s.product->label().height_m, 0.85 - 0.2 + 1e-9);
    }
    EXPECT_GE(c.choice.chosen->all().gives_W[Service::heating], 1500.0 * (1.0 - 1e-9));
}

TEST(PlacedRow, IsOfOneBody)
{
    const PlacedChoice c = choose_in(with({window(2.0, 0.85), window(1.0, 0.5)}, {}), 900.0);
    ASSERT_EQ(c.standing.size(), 2u);
    for (const Standing& s : c.standing)
        EXPECT_EQ(s.product->label().height_m, 0.3); // what the lower sill has room for
    EXPECT_EQ(c.standing[0].product->label().family, c.standing[1].product->label().family);
}

TEST(PlacedRow, GoesAlongWallsWhereThereAreNoWindows)
{
    const PlacedChoice c = choose_in(with({}, {wall(3.0), wall(1.0)}), 1500.0);
    EXPECT_EQ(c.placing, Placing::along_walls);
    EXPECT_EQ(c.standing.size(), 1u);
}

TEST(PlacedRow, TakesWallsAsWellWhereWindowsDoNotDo)
{
    const PlacedChoice c = choose_in(with({window(1.0, 0.85)}, {wall(5.0), wall(2.0)}), 3000.0);
    ASSERT_TRUE(c.choice.chosen);
    EXPECT_EQ(c.placing, Placing::windows_and_walls);
    EXPECT_TRUE(c.standing.front().under_window);
}

TEST(PlacedRow, LeavesWindowsOutWhereTheSmallestWouldBeTooMuch)
{
    const PlacedChoice c =
        choose_in(with({window(2.0, 0.85), window(2.0, 0.85), window(2.0, 0.85), window(2.0, 0.85)}, {}), 250.0);
    ASSERT_TRUE(c.choice.chosen);
    EXPECT_LT(c.standing.size(), 4u);
    EXPECT_GE(c.choice.chosen->fullness(), 0.5);
}

TEST(PlacedRow, HasSeveralUnderABandOfWindows)
{
    const PlacedChoice c = choose_in(with({window(8.0, 0.85)}, {wall(6.0)}), 4000.0);
    EXPECT_EQ(c.placing, Placing::under_windows);
    ASSERT_EQ(c.standing.size(), 3u); // the longest is 2 m
    for (std::size_t i = 1; i < 3; ++i) EXPECT_NE(c.standing[i].spot.from_m, c.standing[0].spot.from_m);
}

TEST(PlacedRow, StandsNowhereUnderGlassDownToTheFloor)
{
    const PlacedChoice c = choose_in(with({window(3.0, 0.0)}, {wall(2.5)}), 800.0);
    EXPECT_EQ(c.placing, Placing::along_walls);
}

TEST(PlacedRow, SaysWhatIsLargestWhereNothingSuffices)
{
    const PlacedChoice c = choose_in(with({window(1.0, 0.5)}, {}), 5000.0);
    EXPECT_FALSE(c.choice.chosen);
    ASSERT_TRUE(c.choice.next_down);
    EXPECT_NE(c.choice.next_down->in_words().find("% short"), std::string::npos);
}

TEST(PlacedRow, KeepsLimitsAndFactors)
{
    RoomWish wish = eight();
    wish.wish.families = {"thin"};
    wish.wish.most_length_m = 1.0;
    const RoomPlaces places = with({window(2.0, 0.85), window(2.0, 0.85)}, {wall(6.0)});
    const PlacedChoice thin = choose_in(places, 1000.0, wish);
    for (const Standing& s : thin.standing) {
        EXPECT_EQ(s.product->label().family, "thin");
        EXPECT_LE(s.product->label().length_m, 1.0 + 1e-9);
    }
    wish.counted = true;
    wish.wish.counts.most = 1;
    EXPECT_EQ(choose_in(places, 500.0, wish).standing.size(), 1u);
}

TEST(PlacedRow, MayNotBeWarmerToTouchThanIsAllowed)
{
    RoomWish wish = eight();
    wish.wish.most_surface_C = 43.0;
    static const auto products = radiators();
    const RoomPlaces places = with({window(2.0, 0.85)}, {wall(6.0)});
    EXPECT_FALSE(choose_row_for(products, wish, places, asked(300.0)).choice.chosen);
    EXPECT_TRUE(choose_row_for(products, wish, places, asked(300.0, 43.0, 36.0)).choice.chosen);
}

TEST(Radiator, GivesLessBehindACover)
{
    const auto products = radiators();
    rating::Conditions at = asked(1.0).at;
    const double bare_W = std::get<rating::Output>(products[0]->rate(at)).gives_W[Service::heating];
    at.set(At::output_factor, 0.9);
    EXPECT_NEAR(std::get<rating::Output>(products[0]->rate(at)).gives_W[Service::heating], 0.9 * bare_W, 1e-9);
}

TEST(Radiator, ThrottledGivesBackColderWater)
{
    const auto products = radiators();
    const rating::Conditions at = asked(1.0).at;
    const rating::Output full = std::get<rating::Output>(products[0]->rate(at));
    const double full_W = full.gives_W[Service::heating];
    const auto same = products[0]->giving(at, full_W), half = products[0]->giving(at, 0.5 * full_W);
    ASSERT_TRUE(same && half);
    EXPECT_NEAR(same->water_return_C, 65.0, 1e-6);
    EXPECT_NEAR(same->water_kg_per_s, full.water_kg_per_s, 1e-9);
    EXPECT_LT(half->water_return_C, 50.0);
    EXPECT_NEAR(half->water_kg_per_s * rating::specific_heat_of_water_J_per_kgK * (75.0 - half->water_return_C),
                0.5 * full_W, 1e-6);
    EXPECT_FALSE(products[0]->giving(at, 5.0 * full_W)); // at no flow
}

/// However little is asked of however large a one, its water comes back at the room's temperature at the coldest.
TEST(Radiator, ThrottledToNextToNothingGivesBackWaterAsWarmAsTheRoom)
{
    const auto products = radiators();
    for (int tenths = 0; tenths < 300; ++tenths) {
        const double room_C = 5.0 + 0.1 * tenths;
        const auto at =
            rating::Conditions{}.set(At::water_supply, 65.0).set(At::water_return, 45.0).set(At::room, room_C);
        const auto little = products.back()->giving(at, 0.001);
        ASSERT_TRUE(little) << room_C;
        EXPECT_NEAR(little->water_return_C, room_C, 1e-5);
        EXPECT_GT(little->water_return_C, room_C);
    }
}

RoomSelection selection(double W, const RoomWish& wish, const PlacedChoice& placed)
{
    return {.duty = asked(W).duty, .at = asked(W).at, .choice = placed.choice, .wish = wish};
}

TEST(Considered, NamesWhatEachBodyFailsIn)
{
    rating::Stocks stocks;
    for (const auto& product : radiators()) stocks.of(radiator).products.push_back(product);
    RoomWish wish = eight();
    wish.wish.families = {"thin"};
    const RoomPlaces low = with({window(2.0, 0.5)}, {}); // nothing higher than 300 fits, and there is no wall
    const auto all = considered(selection(900.0, wish, choose_in(low, 900.0, wish)), radiator, stocks, &low);
    std::vector<std::string> words;
    for (const Considered& c : all) words.push_back(in_words(c.verdict));
    EXPECT_THAT(words, testing::Contains("of the family thick"));
    EXPECT_THAT(words, testing::Contains("600 mm high, at most 300 mm"));
    EXPECT_THAT(words, testing::Contains(testing::HasSubstr("% short (heating)")));
}

TEST(Stays, AgreesWithChoosingAgain)
{
    rating::Stocks stocks;
    for (const auto& product : radiators()) stocks.of(radiator).products.push_back(product);
    const RoomPlaces places = with({window(1.8, 0.85), window(1.2, 0.85)}, {wall(3.0)});
    const PlacedChoice now = choose_in(places, 1300.0);
    const StaysChosen stays = how_long_it_stays(selection(1300.0, eight(), now), radiator, stocks, &places);
    const auto called = [&](double factor) { return choose_in(places, factor * 1300.0).choice.chosen->called(); };
    EXPECT_EQ(called(std::lerp(stays.down_to, 1.0, 0.05)), now.choice.chosen->called());
    EXPECT_EQ(called(stays.up_to * (1.0 - 1e-6)), now.choice.chosen->called());
    EXPECT_EQ(called(stays.up_to * (1.0 + 1e-6)), stays.above);
    EXPECT_NE(stays.above, now.choice.chosen->called());
}

/// Two speeds of one body: the fast one is too loud from two units on.
TEST(RowSelection, KeepsWithinTheSoundOfAllOfThem)
{
    std::vector<std::shared_ptr<const rating::Product>> products;
    for (const auto& [speed, W, dB] : {std::tuple{"low", 600.0, 25.0}, {"high", 1000.0, 40.0}}) {
        FanRadiatorData d;
        d.name = std::string{"Stir"};
        d.family = std::string{"Stir"};
        d.speed = std::string{speed};
        d.height = 0.5;
        d.length = 1.0;
        d.output = W;
        d.exponent = 1.05;
        d.fan_power = 5.0;
        d.sound = dB;
        products.push_back(std::make_shared<const FanRadiator>(d, ""));
    }
    const RoomPlaces places{.known = true, .walls = {wall(1.5), wall(1.5), wall(1.5), wall(1.5)}};
    RoomWish wish = eight();
    wish.wish.room_effect_dB = 8.0;
    const auto chosen = [&](double limit_dB, double W) {
        wish.wish.most_sound_dB = limit_dB;
        const PlacedChoice placed = choose_row_for(products, wish, places, asked(W));
        return placed.choice.chosen ? placed.choice.chosen->called() : std::string{};
    };
    EXPECT_EQ(chosen(rating::no_limit, 1900.0), "2 x Stir at high");
    EXPECT_EQ(chosen(33.0, 900.0), "Stir at high");
    EXPECT_EQ(chosen(33.0, 1900.0), "4 x Stir at low"); // two at high make 35 dB
    EXPECT_EQ(chosen(20.0, 1900.0), "");
    RoomPlaces one = places;
    EXPECT_TRUE(choose_in(one, 500.0, wish).choice.chosen); // of radiators nobody hears anything
}

} // namespace
} // namespace venture::terminal
