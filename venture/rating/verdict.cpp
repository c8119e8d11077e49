#include <venture/rating/verdict.hpp>

#include <algorithm>
#include <cmath>

#include <fmt/format.h>

#include <venture/rating/choosing.hpp>
#include <venture/rating/judge.hpp>

namespace venture::rating {

using quantity::name_of;

std::vector<Verdict> verdicts(Products products, const Wish& wish, const Asked& asked, const std::optional<Asked>& also)
{
    const Judge judge{wish, asked, also};
    std::vector<Verdict> out;
    for (const auto& product : products) {
        const Judged j = judge.of(*product);
        out.push_back({.product = product.get(),
                       .count = j.count,
                       .fails = j.fails,
                       .value = j.value,
                       .limit = j.limit,
                       .refusal = j.refusal,
                       .of = judge.asked_for(j).duty.service,
                       .fullness = j.fullness_of_one / j.count,
                       .worth = j.worth});
    }
    return out;
}

Holds how_long_it_holds(Products products, const Wish& wish, const Asked& asked, const std::optional<Asked>& also)
{
    const auto chosen_at = [&](double factor) {
        const Asked scaled{asked.at, asked.duty.times(factor)};
        std::optional<Asked> other = also;
        if (other) other->duty = other->duty.times(factor);
        return choose(products, wish, scaled, other);
    };
    const Choice now = chosen_at(1.0);
    const auto is_same = [&](const Choice& then) {
        return then.chosen && &then.chosen->product() == &now.chosen->product() &&
               then.chosen->count() == now.chosen->count();
    };
    // Something else can only be chosen where a product begins or ceases to suffice, to be small enough, or to need one
    // unit more: at multiples of the need that its capacity tells.
    std::vector<double> turns;
    for (const Verdict& v : verdicts(products, wish, asked, also)) {
        if (v.fails != Fails::nothing && v.fails < Fails::total) continue;
        const double one = v.fullness * v.count; // duty over capacity of one
        if (!(one > 0.0) || one == no_limit) continue;
        for (int count = 1; count <= wish.counts.most; ++count) {
            turns.push_back(count / one);
            if (wish.most_over != no_limit) turns.push_back(count / one / (1.0 + wish.most_over));
        }
    }
    std::ranges::sort(turns);
    turns.erase(std::ranges::unique(turns).begin(), turns.end());
    constexpr double beyond = 1e-6;
    Holds out{.down_to = 0.0, .up_to = no_limit};
    const auto here = std::ranges::lower_bound(turns, 1.0 - capacity_rounding);
    for (auto turn = here; turn != turns.end(); ++turn) {
        const Choice then = chosen_at(*turn * (1.0 + beyond));
        if (is_same(then)) continue;
        out.up_to = *turn;
        if (then.chosen) {
            out.above = &then.chosen->product();
            out.above_count = then.chosen->count();
        }
        break;
    }
    for (auto turn = here; turn != turns.begin();) {
        --turn;
        const Choice then = chosen_at(*turn * (1.0 - beyond));
        if (is_same(then)) continue;
        out.down_to = *turn;
        if (then.chosen) {
            out.below = &then.chosen->product();
            out.below_count = then.chosen->count();
        }
        break;
    }
    return out;
}

std::string in_words(const Verdict& v)
{
    const auto told = [&](std::string_view what, double factor, std::string_view unit, int decimals = 0) {
        if (std::isnan(v.value)) return fmt::format("its maker does not say how {} it is", what);
        return fmt::format("{:.{}f} {} {}, at most {:.{}f} {}", factor * v.value, decimals, unit, what,
                           factor * v.limit, decimals, unit);
    };
    const auto falls_short = [&](std::string_view what, double factor, std::string_view unit) {
        if (std::isnan(v.value)) return fmt::format("its maker says no {}", what);
        return fmt::format("{:.0f} {} {}, at least {:.0f} {}", factor * v.value, unit, what, factor * v.limit, unit);
    };
    switch (v.fails) {
    case Fails::nothing:
        return "suffices";
    case Fails::maker:
        return fmt::format("of {}", v.product->maker().empty() ? "no known maker" : v.product->maker());
    case Fails::family:
        return v.product->label().family.empty() ? "of no known family"
                                                 : fmt::format("of the family {}", v.product->label().family);
    case Fails::speed:
        return fmt::format("rated at {}", v.product->label().speed);
    case Fails::mounting:
        return v.product->label().mounting.empty()
                   ? "its maker does not say how it is mounted"
                   : fmt::format("made for another mounting: {}", v.product->label().mounting);
    case Fails::height:
        return told("high", 1000.0, "mm");
    case Fails::length:
        return told("long", 1000.0, "mm");
    case Fails::depth:
        return told("deep", 1000.0, "mm");
    case Fails::door_width:
        return falls_short("length", 1000.0, "mm");
    case Fails::door_height:
        return falls_short("height of doors", 1000.0, "mm");
    case Fails::external_pressure:
        return falls_short("external pressure", 1.0, "Pa");
    case Fails::total_length:
        return told("long together", 1000.0, "mm");
    case Fails::surface:
        return told("warm to touch", 1.0, "degC");
    case Fails::sound:
        return told("loud in the room", 1.0, "dB(A)", 1);
    case Fails::too_large:
        return fmt::format("{:.0f} % too large, at most {:.0f} %", 100.0 * v.value, 100.0 * v.limit);
    case Fails::refuses:
        return in_words(*v.refusal);
    case Fails::total:
    case Fails::sensible:
    case Fails::latent:
        break;
    }
    const bool whole = v.fails == Fails::total;
    if (!(v.value > 0.0)) return fmt::format("has nothing to give ({})", whole ? name_of(v.of) : name_of(v.fails));
    return fmt::format("{:.1f} % short ({})", 100.0 * (1.0 - v.value / v.limit),
                       whole ? name_of(v.of) : name_of(v.fails));
}

} // namespace venture::rating
