#include <venture/terminal/row.hpp>

#include <algorithm>
#include <cmath>

namespace venture::terminal {

namespace {

constexpr double equal = 1e-9;

/// What the places from one on can give together, and in how many ways.
struct Sum {
    double W = 0.0, ways = 1.0;
};
using Sums = std::vector<Sum>;

/// In order, those within a tolerance of one another joined at their mean; above a bound within a coarser one.
void join(Sums& sums, double apart_W, double bound_W, double above_bound_W)
{
    std::ranges::sort(sums, {}, &Sum::W);
    std::size_t kept = 0;
    double first_W = sums.empty() ? 0.0 : sums.front().W;
    for (std::size_t i = 1; i < sums.size(); ++i) {
        Sum& last = sums[kept];
        if (sums[i].W - first_W > (first_W > bound_W ? above_bound_W : apart_W)) {
            sums[++kept] = sums[i];
            first_W = sums[i].W;
            continue;
        }
        const double ways = last.ways + sums[i].ways;
        if (sums[i].W != last.W) last.W += (sums[i].W - last.W) * sums[i].ways / ways;
        last.ways = ways;
    }
    if (!sums.empty()) sums.resize(kept + 1);
}

class Finder {
public:
    Finder(std::span<const Piece> pieces, double height_m, std::span<const Place> places, double need_W, Among equals)
        : pieces_{pieces},
          places_{places},
          need_W_{need_W},
          apart_W_{equal * need_W},
          most_found_{equals == Among::even ? std::size_t{500} : std::size_t{2}}
    {
        for (const Place& place : places) {
            std::vector<std::size_t>& fit = fitting_.emplace_back();
            if (height_m > place.most_height_m + slack_m) continue;
            for (std::size_t i = 0; i < pieces.size(); ++i)
                if (pieces[i].length_m >= place.least_length_m - slack_m &&
                    pieces[i].length_m <= place.most_length_m + slack_m)
                    fit.push_back(i);
        }
        add_up();
    }

    Rows run()
    {
        Rows out;
        const Sums& all = from_.front();
        if (all.empty()) return out;
        for (const Sum& sum : all) {
            out.within += sum.ways;
            if (is_enough(sum.W)) out.suffice += sum.ways;
        }
        out.largest.emplace();
        for (const std::vector<std::size_t>& fit : fitting_) {
            out.largest->pieces.push_back(
                *std::ranges::max_element(fit, {}, [&](std::size_t piece) { return pieces_[piece].output_W; }));
            out.largest->output_W += pieces_[out.largest->pieces.back()].output_W;
        }
        std::vector<Row> found;
        for (auto sum = std::ranges::find_if(all, [&](const Sum& s) { return is_enough(s.W); });
             sum != all.end() && found.size() < 2; ++sum) {
            const std::size_t before = found.size();
            std::vector<std::size_t> row;
            find_rows(sum->W, 0.0, row, found);
            if (most_found_ > 2)
                std::ranges::stable_sort(found.begin() + static_cast<std::ptrdiff_t>(before), found.end(), {},
                                         [&](const Row& r) { return unevenness(r); });
        }
        if (!found.empty()) out.best = std::move(found[0]);
        if (found.size() > 1) out.second = std::move(found[1]);
        return out;
    }

private:
    static constexpr double slack_m = 1e-9; ///< lengths that are equal but for rounding fit

    [[nodiscard]] bool is_enough(double W) const { return W >= need_W_ * (1.0 - equal); }

    void add_up()
    {
        constexpr std::size_t most_sums = 4096;
        constexpr double coarsest = 1e-4, coarse_above = 1e-2;
        const double bound_W = 2.0 * need_W_; // above it only how many there are matters
        from_.assign(fitting_.size() + 1, {});
        from_.back() = {{}};
        for (std::size_t place = fitting_.size(); place-- > 0;) {
            Sums& here = from_[place];
            for (const std::size_t piece : fitting_[place])
                for (const Sum& rest : from_[place + 1]) here.push_back({pieces_[piece].output_W + rest.W, rest.ways});
            join(here, apart_W_, bound_W, apart_W_);
            while (here.size() > most_sums && apart_W_ < coarsest * need_W_) {
                apart_W_ *= 10.0;
                join(here, apart_W_, bound_W, coarse_above * need_W_);
            }
        }
    }

    /// Rows that give a sum, in the order of their lengths from the first place on, until there are two.
    void find_rows(double sum_W, double so_far_W, std::vector<std::size_t>& row, std::vector<Row>& found) const
    {
        const std::size_t place = row.size();
        // Joined sums stand for all of their neighbours: each joining may have moved them by as much.
        const double tolerance_W = apart_W_ * static_cast<double>(fitting_.size() + 1);
        if (place == fitting_.size()) {
            const bool is_it = std::abs(so_far_W - sum_W) <= tolerance_W && is_enough(so_far_W);
            const auto same = [&](const Row& other) { return other.pieces == row; };
            if (is_it && std::ranges::none_of(found, same)) found.push_back({row, so_far_W});
            return;
        }
        for (const std::size_t piece : fitting_[place]) {
            if (found.size() >= most_found_) return;
            const double with_W = so_far_W + pieces_[piece].output_W, rest_W = sum_W - with_W;
            const Sums& rests = from_[place + 1];
            const auto near = std::ranges::lower_bound(rests, rest_W - tolerance_W, {}, &Sum::W);
            if (near == rests.end() || near->W > rest_W + tolerance_W) continue;
            row.push_back(piece);
            find_rows(sum_W, with_W, row, found);
            row.pop_back();
        }
    }

    /// Nil where all places are filled alike: how far their shares lie from the mean of all.
    [[nodiscard]] double unevenness(const Row& row) const
    {
        double sum = 0.0, squares = 0.0;
        for (std::size_t i = 0; i < places_.size(); ++i) {
            const double share = pieces_[row.pieces[i]].length_m / places_[i].most_length_m;
            sum += share;
            squares += share * share;
        }
        return squares - sum * sum / static_cast<double>(places_.size());
    }

    std::span<const Piece> pieces_;
    std::span<const Place> places_;
    double need_W_, apart_W_;
    std::size_t most_found_;
    std::vector<std::vector<std::size_t>> fitting_{}; ///< pieces by place
    std::vector<Sums> from_{};                        ///< of the places from one on
};

} // namespace

Rows rows_of(std::span<const Piece> pieces, double height_m, std::span<const Place> places, double need_W, Among equals)
{
    return Finder{pieces, height_m, places, need_W, equals}.run();
}

} // namespace venture::terminal
