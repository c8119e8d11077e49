#include <venture/rating/choosing.hpp>

#include <algorithm>
#include <cmath>
#include <functional>

#include <venture/rating/sound.hpp>

namespace venture::rating {

namespace {

using Worth = std::array<double, number_of_aims>;

/// What an aim counts of some of one product. What is not known is worst.
double worth_by(Aim aim, const Label& label, const Output& one, int count, double fullness_of_one)
{
    constexpr double per_further_unit = 0.1;
    const auto known = [](double value) { return std::isnan(value) ? no_limit : value; };
    switch (aim) {
    case Aim::fullest:
        return (1.0 + per_further_unit * (count - 1)) * count / fullness_of_one;
    case Aim::fewest_units:
        return count;
    case Aim::least_cost:
        return known(count * label.cost);
    case Aim::least_water:
        return known(count * one.water_kg_per_s);
    case Aim::least_electricity:
        return known(count * one.electric_W);
    case Aim::least_depth:
        return known(label.depth_m);
    case Aim::quietest:
        return known(level_of_several_dB(one.sound_power_dBA, count));
    }
    return no_limit;
}

struct Judged {
    Fails fails = Fails::nothing;
    double value = 0.0, limit = 0.0;
    bool of_other = false; ///< fails in what else is asked
    std::optional<Refusal> refusal{};
    Output one{}, other{};
    int count = 1;
    double fullness_of_one = 0.0; ///< of the harder of both services
    Worth worth{};
    [[nodiscard]] bool is_short() const
    {
        return fails == Fails::total || fails == Fails::sensible || fails == Fails::latent;
    }
    void fail(Fails in, double is, double may_be)
    {
        fails = in;
        value = is;
        limit = may_be;
    }
};

bool is_one_of(const std::string& word, const std::vector<std::string>& words)
{
    return words.empty() || std::ranges::find(words, word) != words.end();
}

class Judge {
public:
    Judge(const Wish& wish, const Asked& asked, const std::optional<Asked>& also)
        : wish_{wish},
          asked_{asked},
          also_{also}
    {
    }

    /// What can be said without rating.
    [[nodiscard]] Judged by_label(const Label& label) const
    {
        Judged out;
        const auto exceeds = [&](Fails in, double is, double may_be) {
            if (out.fails != Fails::nothing || may_be == no_limit) return;
            if (!(is <= may_be * (1.0 + capacity_rounding))) out.fail(in, is, may_be);
        };
        if (!is_one_of(label.maker, wish_.makers))
            out.fails = Fails::maker;
        else if (!is_one_of(label.family, wish_.families))
            out.fails = Fails::family;
        else if (!wish_.speed.empty() && !label.speed.empty() && label.speed != wish_.speed)
            out.fails = Fails::speed;
        exceeds(Fails::height, label.height_m, wish_.most_height_m);
        exceeds(Fails::length, label.length_m, wish_.most_length_m);
        exceeds(Fails::depth, label.depth_m, wish_.most_depth_m);
        return out;
    }

    [[nodiscard]] Judged of(const Product& product) const
    {
        Judged out = by_label(product.label());
        if (out.fails != Fails::nothing) return out;
        if (!rate(product, asked_, out.one, out) || (also_ && !rate(product, *also_, out.other, out))) {
            out.count = wish_.counts.fewest;
            return out;
        }
        out.fullness_of_one = fullness_of(asked_.duty, out.one);
        const double other = also_ ? fullness_of(also_->duty, out.other) : 0.0;
        out.of_other = other > out.fullness_of_one;
        if (out.of_other) out.fullness_of_one = other;
        out.count = count_for(out.fullness_of_one);
        if (!is_enough(out.fullness_of_one / out.count))
            tell_what_is_short(out);
        else
            check_count(out);
        if (out.fails == Fails::nothing)
            for (const Aim aim : wish_.aims)
                out.worth[static_cast<std::size_t>(aim)] =
                    worth_by(aim, product.label(), out.one, out.count, out.fullness_of_one);
        return out;
    }

    /// The least that the first aim could count of a product whose output lies in a bracket; infinite: it cannot suffice.
    [[nodiscard]] double least_worth(const Label& label, const Bracket& b) const
    {
        const auto [easiest, hardest] = fullness_between(b);
        const int count = count_for(easiest);
        if (!is_enough(easiest / count)) return no_limit;
        const Aim aim = wish_.aims.front();
        // What the maker says of sound and electricity does not stand in a bracket.
        if (aim == Aim::quietest || aim == Aim::least_electricity) return -no_limit;
        return worth_by(aim, label, worst_of(b), count, std::min(hardest, static_cast<double>(count)));
    }
    /// Duty over capacity of one unit, at least and at most. What else is asked can only make it fuller.
    [[nodiscard]] std::pair<double, double> fullness_between(const Bracket& b) const
    {
        return {fullness_of(asked_.duty, best_of(b)), also_ ? no_limit : fullness_of(asked_.duty, worst_of(b))};
    }

    [[nodiscard]] bool is_before(const Worth& a, const Product& p, const Worth& b, const Product& q) const
    {
        for (const Aim aim : wish_.aims) {
            const auto i = static_cast<std::size_t>(aim);
            if (a[i] != b[i]) return a[i] < b[i];
        }
        return p.name() < q.name();
    }
    [[nodiscard]] const Wish& wish() const { return wish_; }
    [[nodiscard]] const Asked& asked_for(const Judged& judged) const { return judged.of_other ? *also_ : asked_; }
    [[nodiscard]] const Asked& asked() const { return asked_; }

private:
    static bool rate(const Product& product, const Asked& asked, Output& into, Judged& out)
    {
        auto rating = product.rate(asked.at);
        if (auto* refused = std::get_if<Refusal>(&rating)) {
            out.fails = Fails::refuses;
            out.refusal = *refused;
            return false;
        }
        into = std::get<Output>(rating);
        return true;
    }

    /// As few as suffice, as far as they may.
    [[nodiscard]] int count_for(double fullness_of_one) const
    {
        const double needed = std::ceil(fullness_of_one * (1.0 - capacity_rounding));
        return needed > wish_.counts.most ? wish_.counts.most : std::max(wish_.counts.fewest, static_cast<int>(needed));
    }

    void tell_what_is_short(Judged& out) const
    {
        const Duty& duty = asked_for(out).duty;
        const Output& one = out.of_other ? out.other : out.one;
        const std::array parts = {
            std::tuple{Fails::total, std::optional{duty.W}, one.gives_W[duty.service]},
            std::tuple{Fails::sensible, duty.sensible_W, one.sensible_W},
            std::tuple{Fails::latent, duty.latent_W, one.latent_W()},
        };
        double hardest = 0.0;
        for (const auto& [part, need_W, gives_W] : parts) {
            if (!need_W || *need_W <= 0.0) continue;
            const double full = gives_W > 0.0 ? *need_W / gives_W : no_limit;
            if (full <= hardest) continue;
            hardest = full;
            out.fail(part, out.count * gives_W, *need_W);
        }
    }

    void check_count(Judged& out) const
    {
        if (wish_.most_sound_dB != no_limit) {
            const double level_dB = level_of_several_dB(out.one.sound_power_dBA, out.count) - wish_.room_effect_dB;
            constexpr double tolerance_dB = 1e-6;
            if (!(level_dB <= wish_.most_sound_dB + tolerance_dB))
                return out.fail(Fails::sound, level_dB, wish_.most_sound_dB);
        }
        const double over = out.count / out.fullness_of_one - 1.0;
        if (wish_.most_over != no_limit && over > wish_.most_over * (1.0 + capacity_rounding))
            out.fail(Fails::too_large, over, wish_.most_over);
    }

    static Output best_of(const Bracket& b)
    {
        Output out;
        out.gives_W = b.most_W;
        // A latent part is the difference of both: the total is what it is for.
        out.sensible_W = b.most_sensible_W;
        out.gives_W[Service::cooling] = std::max(b.most_W[Service::cooling], b.most_sensible_W + b.most_latent_W);
        return out;
    }
    static Output worst_of(const Bracket& b)
    {
        Output out;
        out.gives_W = b.least_W;
        out.sensible_W = std::min(b.least_sensible_W, b.least_W[Service::cooling] - b.least_latent_W);
        out.water_kg_per_s = b.least_water_kg_per_s;
        return out;
    }

    const Wish& wish_;
    const Asked& asked_;
    const std::optional<Asked>& also_;
};

/// Looks for the best, the next best, and the largest that does not suffice.
class Search {
public:
    Search(Products products, const Judge& judge) : products_{products}, judge_{judge}, judged_(products.size()) {}

    Choice run(Brackets* brackets)
    {
        const auto* bounds =
            brackets != nullptr && judge_.wish().weights.empty() ? brackets->at(judge_.asked().at) : nullptr;
        if (bounds != nullptr) look_where_it_may_be(*bounds);
        if (bounds == nullptr || !best_) {
            bounds = nullptr; // where nothing suffices, what comes nearest and what refuses is asked of all
            for (std::size_t p = 0; p < products_.size(); ++p) see(p);
        }
        if (!judge_.wish().weights.empty()) weigh();
        find_next_down(bounds);
        return told();
    }

private:
    const Judged& judge(std::size_t p)
    {
        if (!judged_[p]) judged_[p] = judge_.of(*products_[p]);
        return *judged_[p];
    }

    void see(std::size_t p)
    {
        if (judge(p).fails != Fails::nothing) return;
        if (!best_ || is_before(p, *best_)) {
            second_ = best_;
            best_ = p;
        } else if (!second_ || is_before(p, *second_)) {
            second_ = p;
        }
    }
    [[nodiscard]] bool is_before(std::size_t p, std::size_t q) const
    {
        return judge_.is_before(judged_[p]->worth, *products_[p], judged_[q]->worth, *products_[q]);
    }

    /// Those first that could be best by the first aim; the rest is left out where even at best it would come after the
    /// runner-up.
    void look_where_it_may_be(const std::vector<Bracket>& bounds)
    {
        std::vector<std::pair<double, std::size_t>> waiting;
        for (std::size_t p = 0; p < products_.size(); ++p) {
            const double at_best = bounds[p].known ? judge_.least_worth(products_[p]->label(), bounds[p]) : -no_limit;
            if (at_best < no_limit) waiting.emplace_back(at_best, p);
        }
        const auto first_aim = static_cast<std::size_t>(judge_.wish().aims.front());
        std::ranges::make_heap(waiting, std::greater{});
        while (!waiting.empty()) {
            std::ranges::pop_heap(waiting, std::greater{});
            const auto [at_best, p] = waiting.back();
            waiting.pop_back();
            if (second_ && at_best > judged_[*second_]->worth[first_aim]) break;
            see(p);
        }
    }

    /// All aims at once, each over the least of those that suffice.
    void weigh()
    {
        const Wish& wish = judge_.wish();
        Worth least;
        least.fill(no_limit);
        const auto suffices = [&](std::size_t p) { return judged_[p]->fails == Fails::nothing; };
        for (std::size_t p = 0; p < products_.size(); ++p)
            if (suffices(p))
                for (const Aim aim : wish.aims) {
                    const auto a = static_cast<std::size_t>(aim);
                    least[a] = std::min(least[a], judged_[p]->worth[a]);
                }
        const auto weight_of = [&](std::size_t p) {
            double sum = 0.0;
            for (std::size_t i = 0; i < wish.aims.size(); ++i) {
                const auto a = static_cast<std::size_t>(wish.aims[i]);
                // Levels have no natural zero: what is louder counts by its energy.
                const double over = wish.aims[i] == Aim::quietest
                                        ? std::pow(10.0, 0.1 * (judged_[p]->worth[a] - least[a]))
                                        : judged_[p]->worth[a] / least[a];
                sum += wish.weights[i] * (std::isnan(over) ? no_limit : over);
            }
            return sum;
        };
        best_ = second_ = std::nullopt;
        const auto before = [&](std::size_t p, std::size_t q) {
            const double a = weight_of(p), b = weight_of(q);
            return a != b ? a < b : products_[p]->name() < products_[q]->name();
        };
        for (std::size_t p = 0; p < products_.size(); ++p) {
            if (!suffices(p)) continue;
            if (!best_ || before(p, *best_)) {
                second_ = best_;
                best_ = p;
            } else if (!second_ || before(p, *second_)) {
                second_ = p;
            }
        }
    }

    /// Of as many units as were chosen, the one that is least short; by the harder part, and of those that have nothing to
    /// give towards one by how much they give in all.
    void find_next_down(const std::vector<Bracket>* bounds)
    {
        const int count = best_ ? judged_[*best_]->count : judge_.wish().counts.most;
        double nearest = no_limit, gives_W = 0.0;
        for (std::size_t p = 0; p < products_.size(); ++p) {
            if (bounds != nullptr && (*bounds)[p].known && !judged_[p]) {
                const auto [easiest, hardest] = judge_.fullness_between((*bounds)[p]);
                if (is_enough(hardest / count) || easiest / count > nearest) continue;
            }
            const Judged& judged = judge(p);
            if (!(judged.fails == Fails::nothing || judged.is_short() || judged.fails == Fails::sound ||
                  judged.fails == Fails::too_large))
                continue;
            const double full = judged.fullness_of_one / count;
            const double here_W = judged.one.gives_W[judge_.asked().duty.service];
            if (is_enough(full) || full > nearest || (full == nearest && here_W <= gives_W && next_down_)) continue;
            nearest = full;
            gives_W = here_W;
            next_down_ = p;
        }
        next_down_count_ = count;
    }

    [[nodiscard]] Rated rated(std::size_t p, int count, bool of_other) const
    {
        const Judged& judged = *judged_[p];
        const bool other = of_other && judged.of_other;
        const Asked& asked = other ? judge_.asked_for(judged) : judge_.asked();
        return {.units = {{products_[p].get(), count, other ? judged.other : judged.one}},
                .duty = asked.duty,
                .refused = judged.refusal};
    }

    [[nodiscard]] Choice told() const
    {
        Choice out{.candidates = products_.size()};
        if (best_) out.chosen = rated(*best_, judged_[*best_]->count, false);
        if (second_) out.runner_up = rated(*second_, judged_[*second_]->count, false);
        if (next_down_) out.next_down = rated(*next_down_, next_down_count_, true);
        if (best_ && second_ && judge_.wish().weights.empty())
            for (const Aim aim : judge_.wish().aims) {
                const auto i = static_cast<std::size_t>(aim);
                if (judged_[*best_]->worth[i] == judged_[*second_]->worth[i]) continue;
                out.decided_by = aim;
                out.chosen_worth = judged_[*best_]->worth[i];
                out.runner_up_worth = judged_[*second_]->worth[i];
                break;
            }
        if (best_) return out;
        std::optional<std::size_t> first;
        for (std::size_t p = 0; p < products_.size(); ++p)
            if (judged_[p]->fails == Fails::refuses && (!first || products_[p]->name() < products_[*first]->name()))
                first = p;
        if (first) out.refused = rated(*first, judged_[*first]->count, false);
        return out;
    }

    Products products_;
    const Judge& judge_;
    std::vector<std::optional<Judged>> judged_;
    std::optional<std::size_t> best_{}, second_{}, next_down_{};
    int next_down_count_ = 1;
};

} // namespace

Choice choose(Products products, const Wish& wish, const Asked& asked, const std::optional<Asked>& also,
              Brackets* brackets)
{
    const Judge judge{wish, asked, also};
    return Search{products, judge}.run(brackets);
}

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

} // namespace venture::rating
