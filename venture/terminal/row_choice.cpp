#include <venture/terminal/row_choice.hpp>

#include <algorithm>
#include <cmath>

namespace venture::terminal {

using rating::Aim;

namespace {

class Comparison {
public:
    Comparison(std::span<const Body> bodies, std::span<const Aim> aims) : bodies_{bodies}, aims_{aims} {}

    [[nodiscard]] bool operator()(const BodyRow& a, const BodyRow& b) const
    {
        const Body &of_a = bodies_[a.body], &of_b = bodies_[b.body];
        for (const Aim aim : aims_)
            if (const int order = compare(worth(aim, a), worth(aim, b)); order != 0) return order < 0;
        for (const auto& [x, y] :
             {std::pair{a.row.output_W, b.row.output_W}, {of_a.depth_m, of_b.depth_m}, {of_a.height_m, of_b.height_m}})
            if (const int order = compare(x, y); order != 0) return order < 0;
        for (std::size_t i = 0; i < std::min(a.row.pieces.size(), b.row.pieces.size()); ++i) {
            const double x = of_a.pieces[a.row.pieces[i]].length_m, y = of_b.pieces[b.row.pieces[i]].length_m;
            if (x != y) return x < y;
        }
        return a.body < b.body;
    }

    void tell_what_decided(RowChoice& out) const
    {
        for (const Aim aim : aims_) {
            const double best = worth(aim, *out.best), other = worth(aim, *out.other);
            if (compare(best, other) == 0) continue;
            out.decided_by = aim;
            out.best_worth = best;
            out.other_worth = other;
            return;
        }
    }

private:
    /// Outputs that are equal but for rounding are equal; what is not known comes last.
    static int compare(double a, double b)
    {
        constexpr double rounding = 1e-9;
        if (std::isnan(a) || std::isnan(b)) return static_cast<int>(std::isnan(a)) - static_cast<int>(std::isnan(b));
        if (std::abs(a - b) <= rounding * std::max(std::abs(a), std::abs(b))) return 0;
        return a < b ? -1 : 1;
    }

    [[nodiscard]] double worth(Aim aim, const BodyRow& r) const
    {
        const Body& body = bodies_[r.body];
        if (aim == Aim::fullest) return r.row.output_W;
        if (aim == Aim::least_depth) return body.depth_m;
        if (aim == Aim::fewest_units) return static_cast<double>(r.row.pieces.size());
        if (aim == Aim::fewest_types) return 0.0; // no room can tell by itself
        if (body.units.empty()) return rating::unknown;
        const rating::Rated all = rated(body, r.row, {});
        if (aim == Aim::least_water) return all.all().water_kg_per_s;
        if (aim == Aim::least_electricity) return all.all().electric_W;
        if (aim == Aim::quietest) return all.all().sound_power_dBA;
        double cost = 0.0;
        for (const rating::Units& some : all.units) cost += some.count * some.product->label().cost;
        return cost;
    }

    std::span<const Body> bodies_;
    std::span<const Aim> aims_;
};

} // namespace

rating::Rated rated(const Body& body, const Row& row, const rating::Duty& duty)
{
    std::vector<int> counts(body.pieces.size());
    for (const std::size_t piece : row.pieces) ++counts[piece];
    rating::Rated out{.duty = duty};
    for (std::size_t i = counts.size(); i-- > 0;)
        if (counts[i] > 0) {
            rating::Units some = body.units[i];
            some.count = counts[i];
            out.units.push_back(some);
        }
    return out;
}

RowChoice choose_row(std::span<const Body> bodies, std::span<const Place> places, double need_W,
                     std::span<const Aim> aims, Among equals)
{
    RowChoice out;
    const Comparison is_before{bodies, aims};
    std::vector<BodyRow> best;
    for (std::size_t b = 0; b < bodies.size(); ++b) {
        Rows rows = rows_of(bodies[b].pieces, bodies[b].height_m, places, need_W, equals);
        out.within += rows.within;
        out.suffice += rows.suffice;
        if (rows.largest && (!out.largest || rows.largest->output_W > out.largest->row.output_W))
            out.largest = {b, std::move(*rows.largest)};
        if (rows.best) best.push_back({b, std::move(*rows.best)});
        if (!rows.second) continue;
        BodyRow second{b, std::move(*rows.second)};
        if (!out.second || is_before(second, *out.second)) out.second = std::move(second);
    }
    std::ranges::sort(best, is_before);
    if (!best.empty()) out.best = best.front();
    if (best.size() > 1) {
        out.other = best[1];
        is_before.tell_what_decided(out);
        if (!out.second || is_before(best[1], *out.second)) out.second = best[1];
    }
    return out;
}

} // namespace venture::terminal
