#include <venture/terminal/considered.hpp>

#include <algorithm>

#include <fmt/format.h>

#include <venture/terminal/row_selection.hpp>

namespace venture::terminal {

using rating::Fails;
using rating::Verdict;

namespace {

bool stands_in_row(const RoomSelection& s, const rating::Kind& kind, const RoomPlaces* places)
{
    return kind.in_rows() && places != nullptr && places->known && !s.wish.wall_length_m;
}

std::string with_count(const Verdict& v)
{
    return v.count == 1 ? v.product->name() : fmt::format("{} x {}", v.count, v.product->name());
}

/// What no place is high or long enough for, or what its largest row is short of.
Verdict verdict_of_body(const Body& body, const RoomSelection& s, const RoomPlaces& places)
{
    Verdict out{.product = body.units.back().product, .of = s.duty.service};
    double highest_m = 0.0, longest_m = 0.0;
    for (const auto& [spots, under_window] : {std::pair{&places.windows, true}, {&places.walls, false}})
        for (const Spot& spot : *spots) {
            highest_m =
                std::max(highest_m, spot.height_m - s.wish.floor_gap_m - (under_window ? s.wish.sill_gap_m : 0.0));
            longest_m = std::max(longest_m, spot.width_m - 2.0 * s.wish.side_gap_m);
        }
    const auto fail = [&](Fails in, double is, double may_be) {
        out.fails = in;
        out.value = is;
        out.limit = may_be;
    };
    if (body.height_m > highest_m)
        fail(Fails::height, body.height_m, highest_m);
    else if (body.pieces.front().length_m > longest_m)
        fail(Fails::length, body.pieces.front().length_m, longest_m);
    return out;
}

std::vector<Considered> bodies_considered(const RoomSelection& s, rating::Products products, const RoomPlaces& places,
                                          rating::Along along)
{
    std::vector<Considered> out;
    rating::Wish alone = s.wish.wish;
    alone.counts = {1, 1};
    alone.most_over = alone.most_sound_dB = rating::no_limit;
    for (const Verdict& v : rating::verdicts(products, alone, {s.at, s.duty}))
        if (v.fails != Fails::nothing && v.fails != Fails::total) out.push_back({v.product->name(), v});
    for (const Body& body : bodies_of(products, s.wish.wish, {s.at, s.duty})) {
        const PlacedChoice placed = place_rows({body}, s.wish, places, s.duty, along);
        const auto& row = placed.choice.chosen ? placed.choice.chosen : placed.choice.next_down;
        Considered one{.called =
                           row ? row->called() : fmt::format("{} {:.0f} high", body.family, 1000.0 * body.height_m),
                       .verdict = verdict_of_body(body, s, places)};
        Verdict& v = one.verdict;
        if (row && v.fails == Fails::nothing) {
            v.count = row->count();
            v.fullness = row->fullness();
            const double gives_W = row->all().gives_W[s.duty.service];
            if (gives_W < s.duty.W) {
                v.fails = Fails::total;
                v.value = gives_W;
                v.limit = s.duty.W;
            } else if (!placed.choice.chosen) {
                v.fails = Fails::too_large;
                v.value = gives_W / s.duty.W - 1.0;
                v.limit = s.wish.wish.most_over;
            }
        }
        if (!row && v.fails == Fails::nothing) { // it has its places, and still makes no row: it is too loud
            const double one_dB = body.units.front().one.sound_power_dBA - s.wish.wish.room_effect_dB;
            v.fails = Fails::sound;
            v.value = one_dB;
            v.limit = s.wish.wish.most_sound_dB;
        }
        out.push_back(std::move(one));
    }
    return out;
}

StaysChosen row_stays(const RoomSelection& s, rating::Products products, const RoomPlaces& places, rating::Along along)
{
    const std::vector<Body> bodies = bodies_of(products, s.wish.wish, {s.at, s.duty});
    const auto chosen_at = [&](double factor) {
        const PlacedChoice placed = place_rows(bodies, s.wish, places, s.duty.times(factor), along);
        return placed.choice.chosen ? placed.choice.chosen->called() : std::string{};
    };
    const std::string now = chosen_at(1.0);
    constexpr double beyond = 1e-6, step = 0.995, least = 0.3, close = 1e-4;
    StaysChosen out{.up_to = 1.0 / s.choice.chosen->fullness()};
    out.above = chosen_at(out.up_to * (1.0 + beyond));
    for (double factor = step; factor > least; factor *= step) {
        if (chosen_at(factor) == now) continue;
        double other = factor, same = factor / step;
        while (same - other > close) {
            const double middle = 0.5 * (same + other);
            (chosen_at(middle) == now ? same : other) = middle;
        }
        out.down_to = same;
        out.below = chosen_at(other);
        break;
    }
    return out;
}

} // namespace

std::vector<Considered> considered(const RoomSelection& s, const rating::Kind& kind, const rating::Stocks& stocks,
                                   const RoomPlaces* places, const std::optional<rating::Asked>& also)
{
    const rating::Products products = stocks.products(kind);
    if (stands_in_row(s, kind, places)) return bodies_considered(s, products, *places, kind.along);
    std::vector<Considered> out;
    for (const Verdict& v : rating::verdicts(products, s.wish.wish, {s.at, s.duty}, also))
        out.push_back({with_count(v), v});
    return out;
}

StaysChosen how_long_it_stays(const RoomSelection& s, const rating::Kind& kind, const rating::Stocks& stocks,
                              const RoomPlaces* places, const std::optional<rating::Asked>& also)
{
    const rating::Products products = stocks.products(kind);
    if (stands_in_row(s, kind, places)) return row_stays(s, products, *places, kind.along);
    const rating::Holds holds = rating::how_long_it_holds(products, s.wish.wish, {s.at, s.duty}, also);
    const auto called = [](const rating::Product* product, int count) {
        if (product == nullptr) return std::string{};
        return count == 1 ? product->name() : fmt::format("{} x {}", count, product->name());
    };
    return {holds.down_to, holds.up_to, called(holds.below, holds.below_count), called(holds.above, holds.above_count)};
}

} // namespace venture::terminal
