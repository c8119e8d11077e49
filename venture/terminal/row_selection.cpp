#include <venture/terminal/row_selection.hpp>

#include <algorithm>
#include <cmath>
#include <map>
#include <tuple>

#include <venture/rating/sound.hpp>

namespace venture::terminal {

using rating::Units;

namespace {

/// A way to place a row that is tried: under so many windows, and along so many walls.
struct Attempt {
    std::size_t windows = 0, walls = 0;
    bool wide = false; ///< nearly as wide as the windows
    [[nodiscard]] std::size_t count() const { return windows + walls; }
};

class RowSearch {
public:
    RowSearch(const std::vector<Body>& bodies, const RoomWish& wish, const RoomPlaces& places, const rating::Duty& duty,
              rating::Along along)
        : bodies_{bodies},
          wish_{wish},
          duty_{duty}
    {
        for (const Body& body : bodies)
            for (const Piece& piece : body.pieces) {
                lowest_m_ = std::min(lowest_m_, body.height_m);
                shortest_m_ = std::min(shortest_m_, piece.length_m);
                longest_m_ = std::max(longest_m_, piece.length_m);
            }
        if (along == rating::Along::windows)
            for (const Spot& spot : places.windows)
                for (const Spot& part : parts_of(spot)) add_if_usable(part, windows_);
        for (const Spot& spot : places.walls)
            for (const Spot& part : parts_of(spot)) add_if_usable(part, walls_);
        // Where the longest has room comes first; of those that have, outside walls.
        std::ranges::stable_sort(walls_, std::ranges::greater{},
                                 [&](const Spot& spot) { return std::min(spot.width_m, each_m()); });
        const auto most = static_cast<std::size_t>(wish.wish.counts.most);
        most_ = wish.counted ? most : std::max(most, windows_.size());
    }

    PlacedChoice run()
    {
        std::optional<Found> least; // of those that suffice but are too large
        for (const Attempt& attempt : under_windows()) {
            auto found = sufficing(attempt);
            if (!found) continue;
            if (over(*found) <= usual_most_over) return told(*found);
            if (!least || over(*found) < over(*least)) least = std::move(found);
        }
        if (least) return told(*least);
        // Windows alone do not do. Walls without windows may have higher bodies: they are taken where that
        // saves three, or half of them.
        const auto with_windows = with_fewest_walls(std::min(windows_.size(), most_)),
                   walls_only = with_fewest_walls(0);
        if (!with_windows) return walls_only ? told(*walls_only) : nothing_suffices();
        const std::size_t number = with_windows->attempt.count();
        const bool is_saving =
            walls_only && (number >= walls_only->attempt.count() + 3 || number >= 2 * walls_only->attempt.count());
        return told(is_saving ? *walls_only : *with_windows);
    }

private:
    static constexpr double usual_most_over = 0.5; ///< above which fewer or shorter ones are tried; our assumption
    struct Found {
        Attempt attempt{};
        RowChoice rows{};
    };

    /// What is under no low sill and beside no door.
    [[nodiscard]] Place place_at(const Spot& spot, bool under_window, bool wide) const
    {
        const double length_m = std::min(spot.width_m - 2.0 * wish_.side_gap_m, wish_.wish.most_length_m);
        double height_m = spot.height_m - wish_.floor_gap_m - (under_window ? wish_.sill_gap_m : 0.0);
        height_m = std::min(height_m, wish_.wish.most_height_m);
        return {wide ? std::min(wish_.window_share * spot.width_m, length_m) : 0.0, length_m, height_m};
    }
    void add_if_usable(const Spot& spot, std::vector<Spot>& into)
    {
        const Place place = place_at(spot, &into == &windows_, false);
        if (place.most_length_m >= shortest_m_ && place.most_height_m >= lowest_m_) into.push_back(spot);
    }
    /// What the longest takes of a wall.
    [[nodiscard]] double each_m() const
    {
        return std::min(longest_m_, wish_.wish.most_length_m) + 2.0 * wish_.side_gap_m;
    }
    /// A long wall or window has room for several.
    [[nodiscard]] std::vector<Spot> parts_of(const Spot& whole) const
    {
        const double parts = std::max(1.0, std::floor(whole.width_m / each_m()));
        std::vector<Spot> out(static_cast<std::size_t>(parts), whole);
        for (std::size_t i = 0; i < out.size(); ++i) {
            out[i].width_m = whole.width_m / parts;
            out[i].from_m = whole.from_m + static_cast<double>(i) * out[i].width_m;
        }
        return out;
    }

    [[nodiscard]] std::vector<Attempt> under_windows() const
    {
        std::vector<Attempt> out;
        const std::size_t windows = std::min(windows_.size(), most_);
        for (std::size_t n = windows; n > 0; --n) {
            out.push_back({n, 0, true});
            if (n == windows) out.push_back({n, 0, false});
        }
        return out;
    }

    [[nodiscard]] std::optional<Found> sufficing(const Attempt& attempt)
    {
        Found found{attempt, try_out(attempt)};
        if (found.rows.best && over(found) <= wish_.wish.most_over) return found;
        keep_largest(found);
        return std::nullopt;
    }
    [[nodiscard]] double over(const Found& found) const { return found.rows.best->row.output_W / duty_.W - 1.0; }

    [[nodiscard]] std::optional<Found> with_fewest_walls(std::size_t windows)
    {
        const std::size_t walls = std::min(walls_.size(), most_ - windows);
        for (std::size_t n = 1; n <= walls; ++n)
            if (auto found = sufficing({windows, n, false})) return found;
        return std::nullopt;
    }

    [[nodiscard]] std::vector<Place> places_of(const Attempt& attempt) const
    {
        std::vector<Place> out;
        for (std::size_t i = 0; i < attempt.windows; ++i) out.push_back(place_at(windows_[i], true, false));
        for (std::size_t i = 0; i < attempt.walls; ++i) out.push_back(place_at(walls_[i], false, false));
        return out;
    }

    /// Nearly as wide as its window: of each body the longest that fits need not be, if none of it is.
    [[nodiscard]] RowChoice try_out(const Attempt& attempt) const
    {
        std::vector<Place> places = places_of(attempt);
        if (attempt.wide)
            for (std::size_t i = 0; i < attempt.windows; ++i) {
                const Place wide = place_at(windows_[i], true, true);
                const bool any = std::ranges::any_of(bodies_, [&](const Body& body) {
                    return body.height_m <= wide.most_height_m + 1e-9 &&
                           std::ranges::any_of(body.pieces, [&](const Piece& piece) {
                               return piece.length_m >= wide.least_length_m && piece.length_m <= wide.most_length_m;
                           });
                });
                if (any) places[i] = wide;
            }
        return choose_row(quiet_enough(attempt.count()), places, duty_.W, wish_.wish.aims, Among::even);
    }

    /// Bodies of which so many keep within the level that is asked for, whichever lengths they have; others have none.
    [[nodiscard]] std::vector<Body> quiet_enough(std::size_t count) const
    {
        std::vector<Body> out = bodies_;
        if (wish_.wish.most_sound_dB == rating::no_limit) return out;
        for (Body& body : out)
            if (!(level_dB(body, count) <= wish_.wish.most_sound_dB)) body.pieces.clear();
        return out;
    }
    [[nodiscard]] double level_dB(const Body& body, std::size_t count) const
    {
        double loudest_dB = -rating::no_limit;
        for (const Units& u : body.units) {
            const bool is_silent = u.one.fan_W == 0.0 && std::isnan(u.one.sound_power_dBA); // water alone
            if (!is_silent && !(u.one.sound_power_dBA <= loudest_dB)) loudest_dB = u.one.sound_power_dBA;
        }
        if (loudest_dB == -rating::no_limit) return loudest_dB;
        return rating::level_of_several_dB(loudest_dB, static_cast<int>(count)) - wish_.wish.room_effect_dB;
    }

    void keep_largest(const Found& found)
    {
        if (!found.rows.largest) return;
        if (!largest_ || found.rows.largest->row.output_W > largest_->rows.largest->row.output_W) largest_ = found;
    }

    [[nodiscard]] rating::Rated rated_row(const BodyRow& row) const { return rated(bodies_[row.body], row.row, duty_); }

    [[nodiscard]] std::vector<Standing> standing(const Attempt& attempt, const BodyRow& row) const
    {
        std::vector<Standing> out;
        for (std::size_t i = 0; i < row.row.pieces.size(); ++i) {
            const bool under_window = i < attempt.windows;
            const Spot& spot = under_window ? windows_[i] : walls_[i - attempt.windows];
            out.push_back({.product = bodies_[row.body].units[row.row.pieces[i]].product,
                           .spot = spot,
                           .under_window = under_window});
        }
        return out;
    }

    [[nodiscard]] PlacedChoice told(const Found& found) const
    {
        PlacedChoice out;
        const RowChoice& rows = found.rows;
        out.choice.chosen = rated_row(*rows.best);
        out.choice.candidates = number_of_products();
        if (rows.other) {
            out.choice.runner_up = rated_row(*rows.other);
            out.choice.decided_by = rows.decided_by;
            out.choice.chosen_worth = rows.best_worth;
            out.choice.runner_up_worth = rows.other_worth;
        }
        out.placing = found.attempt.walls == 0     ? Placing::under_windows
                      : found.attempt.windows == 0 ? Placing::along_walls
                                                   : Placing::windows_and_walls;
        out.standing = standing(found.attempt, *rows.best);
        return out;
    }

    [[nodiscard]] PlacedChoice nothing_suffices() const
    {
        PlacedChoice out;
        out.choice.candidates = number_of_products();
        if (largest_) out.choice.next_down = rated_row(*largest_->rows.largest);
        return out;
    }

    [[nodiscard]] std::size_t number_of_products() const
    {
        std::size_t out = 0;
        for (const Body& body : bodies_) out += body.pieces.size();
        return out;
    }

    const std::vector<Body>& bodies_;
    const RoomWish& wish_;
    const rating::Duty& duty_;
    double lowest_m_ = rating::no_limit, shortest_m_ = rating::no_limit, longest_m_ = 0.0;
    std::vector<Spot> windows_{}, walls_{};
    std::size_t most_ = 0;
    std::optional<Found> largest_{};
};

} // namespace

std::vector<Body> bodies_of(rating::Products products, const rating::Wish& wish, const rating::Asked& asked)
{
    rating::Wish alone = wish; // what one product can be said of by itself
    alone.counts = {1, 1};
    alone.most_over = alone.most_sound_dB = rating::no_limit;
    std::map<std::tuple<std::string, std::string, std::string, double>, Body> bodies;
    for (const rating::Verdict& v : rating::verdicts(products, alone, asked)) {
        if (v.fails != rating::Fails::nothing && v.fails != rating::Fails::total) continue;
        const rating::Label& label = v.product->label();
        // Of no family each product stands by itself: nobody says that another one looks alike.
        const std::string& family = label.family.empty() ? label.name : label.family;
        Body& body = bodies[{label.maker, family, label.speed, label.height_m}];
        body.maker = label.maker;
        body.family = family;
        body.height_m = label.height_m;
        body.depth_m = label.depth_m;
        const rating::Rated one = rating::rated_at(*v.product, 1, asked.at, asked.duty);
        body.units.push_back(one.units.front());
    }
    std::vector<Body> out;
    for (auto& [key, body] : bodies) {
        std::ranges::sort(body.units, {}, [](const Units& u) { return u.product->label().length_m; });
        for (const Units& u : body.units)
            body.pieces.push_back({u.product->label().length_m, u.one.gives_W[asked.duty.service]});
        out.push_back(std::move(body));
    }
    return out;
}

PlacedChoice choose_row_for(rating::Products products, const RoomWish& wish, const RoomPlaces& places,
                            const rating::Asked& asked, rating::Along along)
{
    const std::vector<Body> bodies = bodies_of(products, wish.wish, asked);
    if (bodies.empty()) { // what refuses, and why, is told as of any product
        PlacedChoice out;
        out.choice = rating::choose(products, wish.wish, asked);
        return out;
    }
    return place_rows(bodies, wish, places, asked.duty, along);
}

PlacedChoice place_rows(const std::vector<Body>& bodies, const RoomWish& wish, const RoomPlaces& places,
                        const rating::Duty& duty, rating::Along along)
{
    return RowSearch{bodies, wish, places, duty, along}.run();
}

std::vector<Standing> standing_of(const rating::Product& product, int count, const RoomPlaces& places,
                                  rating::Along along)
{
    std::vector<Standing> out;
    const auto add = [&](const std::vector<Spot>& spots, bool under_window) {
        for (const Spot& spot : spots)
            if (std::ssize(out) < count)
                out.push_back({.product = &product, .spot = spot, .under_window = under_window});
    };
    if (along == rating::Along::doors) {
        add(places.doors, false);
        return out;
    }
    if (along == rating::Along::windows) add(places.windows, true);
    add(places.walls, false);
    return out;
}

} // namespace venture::terminal
