#include <venture/rating/choosing.hpp>

#include <algorithm>
#include <cmath>
#include <functional>

#include <venture/rating/judge.hpp>

namespace venture::rating {

namespace {

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
        next_down_count_ = best_ ? judged_[*best_]->count : judge_.wish().counts.most;
        if (bounds == nullptr) {
            for (std::size_t p = 0; p < products_.size(); ++p) consider_next_down(p);
            return;
        }
        // Those that were rated first: what at best is shorter than the least short of them need not be.
        std::vector<std::pair<double, std::size_t>> rest;
        for (std::size_t p = 0; p < products_.size(); ++p) {
            if (judged_[p] || !(*bounds)[p].known) {
                consider_next_down(p);
                continue;
            }
            const auto [easiest, hardest] = judge_.fullness_between((*bounds)[p]);
            if (!is_enough(hardest / next_down_count_)) rest.emplace_back(easiest / next_down_count_, p);
        }
        std::ranges::sort(rest);
        for (const auto& [easiest, p] : rest) {
            if (easiest > nearest_) break;
            consider_next_down(p);
        }
    }
    void consider_next_down(std::size_t p)
    {
        const Judged& judged = judge(p);
        if (judged.fails != Fails::nothing && !judged.is_short() && judged.fails < Fails::total_length) return;
        const double full = judged.fullness_of_one / next_down_count_;
        const double here_W = judged.one.gives_W[judge_.asked().duty.service];
        if (is_enough(full) || full > nearest_ || (full == nearest_ && next_down_ && !is_nearer(p, here_W))) return;
        nearest_ = full;
        next_down_W_ = here_W;
        next_down_ = p;
    }
    /// Of equally short ones: the one that gives more in all, of equals the first.
    [[nodiscard]] bool is_nearer(std::size_t p, double gives_W) const
    {
        return gives_W != next_down_W_ ? gives_W > next_down_W_ : p < *next_down_;
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
    double nearest_ = no_limit, next_down_W_ = 0.0; ///< of what is the next down so far
};

} // namespace

Choice choose(Products products, const Wish& wish, const Asked& asked, const std::optional<Asked>& also,
              Brackets* brackets)
{
    const Judge judge{wish, asked, also};
    return Search{products, judge}.run(brackets);
}

} // namespace venture::rating
