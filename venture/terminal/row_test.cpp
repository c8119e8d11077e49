/// Rows against trying every one of them.

#include <venture/terminal/row_choice.hpp>

#include <cmath>
#include <functional>
#include <random>

#include <gtest/gtest.h>

namespace venture::terminal {
namespace {

struct Tried {
    double within = 0.0, suffice = 0.0, least_W = 1e300, greatest_W = 0.0;
    std::vector<std::size_t> best{};
};

/// All rows, one after another, the shorter lengths first.
Tried try_all(const std::vector<Piece>& pieces, double height_m, const std::vector<Place>& places, double need_W)
{
    Tried out;
    std::vector<std::size_t> row;
    const std::function<void(double)> go = [&](double W) {
        if (row.size() == places.size()) {
            ++out.within;
            out.greatest_W = std::max(out.greatest_W, W);
            if (W < need_W * (1.0 - 1e-9)) return;
            ++out.suffice;
            if (W < out.least_W * (1.0 - 1e-9)) {
                out.least_W = W;
                out.best = row;
            }
            return;
        }
        const Place& place = places[row.size()];
        if (height_m > place.most_height_m + 1e-9) return;
        for (std::size_t i = 0; i < pieces.size(); ++i) {
            if (pieces[i].length_m < place.least_length_m - 1e-9 || pieces[i].length_m > place.most_length_m + 1e-9)
                continue;
            row.push_back(i);
            go(W + pieces[i].output_W);
            row.pop_back();
        }
    };
    go(0.0);
    return out;
}

class AnyRow : public testing::TestWithParam<unsigned> {};

TEST_P(AnyRow, IsTheBestOfAll)
{
    std::mt19937 random{GetParam()};
    const auto between = [&](double low, double high) { return std::uniform_real_distribution<>{low, high}(random); };
    for (int run = 0; run < 20; ++run) {
        std::vector<Piece> pieces;
        const bool by_length = run % 2 == 0; // equal sums in many ways
        for (double length = 0.4; length < 1.9; length += 0.2)
            pieces.push_back({length, by_length ? 700.0 * length : 700.0 * length * between(0.9, 1.1)});
        std::vector<Place> places;
        for (std::size_t i = 0; i < 1 + static_cast<std::size_t>(between(0.0, 3.99)); ++i)
            places.push_back({run % 3 == 0 ? 0.6 : 0.0, between(0.7, 2.0), between(0.55, 1.0)});
        const double need_W = between(200.0, 3000.0);
        const Tried all = try_all(pieces, 0.6, places, need_W);
        const Rows rows = rows_of(pieces, 0.6, places, need_W);
        EXPECT_EQ(rows.within, all.within);
        EXPECT_EQ(rows.suffice, all.suffice);
        ASSERT_EQ(rows.best.has_value(), all.suffice > 0.0);
        EXPECT_EQ(rows.second.has_value(), all.suffice > 1.0);
        if (rows.largest) {
            EXPECT_NEAR(rows.largest->output_W, all.greatest_W, 1e-6);
        }
        if (!rows.best) continue;
        EXPECT_NEAR(rows.best->output_W, all.least_W, 1e-6);
        EXPECT_EQ(rows.best->pieces, all.best);
        const Rows even = rows_of(pieces, 0.6, places, need_W, Among::even);
        EXPECT_NEAR(even.best->output_W, all.least_W, 1e-6);
    }
}

INSTANTIATE_TEST_SUITE_P(Seeds, AnyRow, testing::Range(1u, 9u));

TEST(Row, OfManyPlacesIsFoundAtOnce)
{
    // Twelve windows, twelve lengths whose outputs no two share: some nine million million rows.
    std::vector<Piece> pieces;
    for (int i = 0; i < 12; ++i) pieces.push_back({0.4 + 0.1 * i, 311.7 + 97.31 * i + 1.37 * i * i});
    const std::vector<Place> places(12, {0.0, 3.0, 1.0});
    const Rows rows = rows_of(pieces, 0.5, places, 9000.0);
    EXPECT_NEAR(rows.within, std::pow(12.0, 12.0), 1.0);
    ASSERT_TRUE(rows.best);
    EXPECT_GE(rows.best->output_W, 9000.0 * (1.0 - 1e-9));
    EXPECT_LT(rows.best->output_W, 9000.0 * 1.0015);
}

TEST(Row, FillsItsPlacesAlike)
{
    const std::vector<Piece> pieces = {{0.4, 400.0}, {0.8, 800.0}, {1.2, 1200.0}, {1.6, 1600.0}};
    const std::vector<Place> places = {{0.0, 1.7, 1.0}, {0.0, 0.9, 1.0}};
    const Rows rows = rows_of(pieces, 0.5, places, 2000.0, Among::even);
    EXPECT_EQ(rows.best->pieces, (std::vector<std::size_t>{2, 1})); // 1.2 of 1.7 and 0.8 of 0.9; not 1.6 and 0.4
}

TEST(RowChoice, OfNoBodyIsNone)
{
    const std::vector<Place> places(1, {0.0, 1.0, 1.0});
    const std::vector<rating::Aim> aims = {rating::Aim::fullest};
    EXPECT_FALSE(choose_row({}, places, 100.0, aims).best);
}

TEST(RowChoice, PutsTheShallowerFirstWhereThatIsTheAim)
{
    const std::vector<Body> bodies = {
        {.family = "deep", .height_m = 0.5, .depth_m = 0.16, .pieces = {{1.0, 1000.0}}},
        {.family = "shallow", .height_m = 0.5, .depth_m = 0.06, .pieces = {{1.0, 1400.0}}},
        {.family = "nobody says", .height_m = 0.5, .depth_m = rating::unknown, .pieces = {{1.0, 990.0}}}};
    const std::vector<Place> places(1, {0.0, 1.0, 0.6});
    const auto best = [&](rating::Aim aim) {
        const std::vector<rating::Aim> aims = {aim};
        return bodies[choose_row(bodies, places, 980.0, aims).best->body].family;
    };
    EXPECT_EQ(best(rating::Aim::least_depth), "shallow");
    EXPECT_EQ(best(rating::Aim::fullest), "nobody says");
}

} // namespace
} // namespace venture::terminal
