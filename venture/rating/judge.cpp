#include <venture/rating/judge.hpp>

#include <algorithm>
#include <cmath>

#include <venture/rating/sound.hpp>

namespace venture::rating {

namespace {

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
    case Aim::fewest_types:
        return 0.0; // no room can tell by itself
    }
    return no_limit;
}

bool is_one_of(const std::string& word, const std::vector<std::string>& words)
{
    return words.empty() || std::ranges::find(words, word) != words.end();
}

} // namespace

double surface_C(const Label& label, const Conditions& at)
{
    if (!std::isnan(label.surface_C)) return label.surface_C;
    return at[At::room] + label.surface_share * (at[At::water_supply] - at[At::room]);
}

Judged Judge::by_label(const Label& label) const
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
    else if (!wish_.mounting.empty() && label.mounting != wish_.mounting)
        out.fails = Fails::mounting;
    exceeds(Fails::height, label.height_m, wish_.most_height_m);
    exceeds(Fails::length, label.length_m, wish_.most_length_m);
    exceeds(Fails::depth, label.depth_m, wish_.most_depth_m);
    const auto falls_short = [&](Fails in, double is, double must_be) {
        if (out.fails != Fails::nothing || must_be <= 0.0) return;
        if (!(is >= must_be * (1.0 - capacity_rounding))) out.fail(in, is, must_be);
    };
    falls_short(Fails::door_width, label.length_m, wish_.least_length_m);
    falls_short(Fails::door_height, label.reach_m, wish_.least_reach_m);
    falls_short(Fails::external_pressure, label.external_Pa, wish_.least_external_Pa);
    if (wish_.most_surface_C != no_limit && asked_.duty.service == Service::heating)
        exceeds(Fails::surface, surface_C(label, asked_.at), wish_.most_surface_C);
    return out;
}

Judged Judge::of(const Product& product) const
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
        check_count(product.label(), out);
    if (out.fails == Fails::nothing) take_worth(product.label(), out);
    return out;
}

double Judge::least_worth(const Label& label, const Bracket& b) const
{
    const auto [easiest, hardest] = fullness_between(b);
    const int count = count_for(easiest);
    if (!is_enough(easiest / count)) return no_limit;
    const Aim aim = wish_.aims.front();
    // What the maker says of sound and electricity does not stand in a bracket.
    if (aim == Aim::quietest || aim == Aim::least_electricity) return -no_limit;
    Output least;
    least.water_kg_per_s = b.least_water_kg_per_s;
    return worth_by(aim, label, least, count, std::min(hardest, static_cast<double>(count)));
}

std::pair<double, double> Judge::fullness_between(const Bracket& b) const
{
    const Duty& duty = asked_.duty;
    return {fullness_of(duty, b.most_W[duty.service], b.most_sensible_W, b.most_latent_W),
            also_ ? no_limit : fullness_of(duty, b.least_W[duty.service], b.least_sensible_W, b.least_latent_W)};
}

bool Judge::is_before(const Worth& a, const Product& p, const Worth& b, const Product& q) const
{
    for (const Aim aim : wish_.aims) {
        const auto i = static_cast<std::size_t>(aim);
        if (a[i] != b[i]) return a[i] < b[i];
    }
    constexpr auto full = static_cast<std::size_t>(Aim::fullest);
    return a[full] != b[full] ? a[full] < b[full] : p.name() < q.name();
}

void Judge::take_worth(const Label& label, Judged& out) const
{
    const auto take = [&](Aim aim) {
        out.worth[static_cast<std::size_t>(aim)] = worth_by(aim, label, out.one, out.count, out.fullness_of_one);
    };
    take(Aim::fullest); // which decides among equals
    for (const Aim aim : wish_.aims) take(aim);
}

bool Judge::rate(const Product& product, const Asked& asked, Output& into, Judged& out)
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

int Judge::count_for(double fullness_of_one) const
{
    const double needed = std::ceil(fullness_of_one * (1.0 - capacity_rounding));
    return needed > wish_.counts.most ? wish_.counts.most : std::max(wish_.counts.fewest, static_cast<int>(needed));
}

void Judge::tell_what_is_short(Judged& out) const
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

void Judge::check_count(const Label& label, Judged& out) const
{
    if (wish_.most_total_length_m != no_limit &&
        !(out.count * label.length_m <= wish_.most_total_length_m * (1.0 + capacity_rounding)))
        return out.fail(Fails::total_length, out.count * label.length_m, wish_.most_total_length_m);
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

} // namespace venture::rating
