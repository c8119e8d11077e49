#include <venture/rating/choice.hpp>

#include <algorithm>
#include <limits>
#include <tuple>

#include <fmt/format.h>

namespace venture::rating {

namespace {

constexpr double rounding = 1e-9;

const Share* hardest(const Rated& rated)
{
    const auto ratio = [](const Share& s) {
        return s.capacity_W > 0.0 ? s.duty_W / s.capacity_W
                                  : (s.duty_W > 0.0 ? std::numeric_limits<double>::infinity() : 0.0);
    };
    const auto most = std::ranges::max_element(rated.shares, {}, ratio);
    return most == rated.shares.end() ? nullptr : &*most;
}

/// Capacity offered per duty, with a tenth added for each further unit: less is better, as long as it suffices.
double cost_of(const Rated& rated)
{
    constexpr double per_further_unit = 0.1;
    return (1.0 + per_further_unit * (rated.count - 1)) / rated.fullness();
}

std::string why_lost(const Rated& loser, const Rated& winner)
{
    const double fuller = 100.0 * (winner.fullness() - loser.fullness());
    if (fuller >= 0.5) return fmt::format("{:.0f} % full", 100.0 * loser.fullness());
    if (loser.count > winner.count) return fmt::format("{} units, not {}", loser.count, winner.count);
    return "as good; the name decides";
}

} // namespace

double Rated::fullness() const
{
    if (!refused.empty()) return std::numeric_limits<double>::infinity();
    const Share* most = hardest(*this);
    if (most == nullptr || most->duty_W <= 0.0) return 0.0;
    return most->capacity_W > 0.0 ? most->duty_W / most->capacity_W : std::numeric_limits<double>::infinity();
}

bool Rated::suffices() const { return fullness() <= 1.0 + rounding; }

std::string Rated::in_words() const
{
    if (!refused.empty()) return refused;
    const Share* most = hardest(*this);
    if (most == nullptr) return "no duty";
    if (suffices()) return fmt::format("runs {:.0f} % full", 100.0 * fullness());
    const std::string on = shares.size() > 1 ? " (" + most->what + ")" : std::string{};
    return fmt::format("{:.1f} % short{}", 100.0 * (1.0 - most->capacity_W / most->duty_W), on);
}

namespace {

/// The largest that falls short with `count` units.
std::optional<Rated> largest_short(std::size_t products, int count, const std::function<Rated(std::size_t, int)>& rate)
{
    std::optional<Rated> best;
    for (std::size_t i = 0; i < products; ++i) {
        Rated rated = rate(i, count);
        if (rated.suffices() || !rated.refused.empty()) continue;
        if (!best || rated.fullness() < best->fullness()) best = std::move(rated);
    }
    return best;
}

} // namespace

Choice choose(std::size_t products, Counts counts, const std::function<Rated(std::size_t, int)>& rate)
{
    Choice choice;
    for (std::size_t i = 0; i < products; ++i) {
        int count = counts.fewest;
        Rated rated = rate(i, count);
        while (count < counts.most && !rated.suffices() && rated.refused.empty()) rated = rate(i, ++count);
        choice.all.push_back(std::move(rated));
    }
    std::ranges::sort(choice.all, {}, [](const Rated& r) {
        return std::tuple{!r.suffices(), r.suffices() ? cost_of(r) : r.fullness(), r.product};
    });
    for (const Rated& r : choice.all) {
        if (!r.suffices()) break;
        if (!choice.chosen) {
            choice.chosen = r;
        } else if (!choice.runner_up) {
            choice.runner_up = r;
            choice.why_runner_up_lost = why_lost(r, *choice.chosen);
        }
    }
    choice.next_down = largest_short(products, choice.chosen ? choice.chosen->count : counts.most, rate);
    return choice;
}

} // namespace venture::rating
