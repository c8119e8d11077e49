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
        return s.capacity_W > 0.0 ? s.duty_W / s.capacity_W : (s.duty_W > 0.0 ? std::numeric_limits<double>::infinity() : 0.0);
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
    if (loser.count > winner.count && fuller < 10.0) return fmt::format("needs {} units", loser.count);
    if (fuller >= 0.05) return fmt::format("runs {:.0f} % full instead of {:.0f} %", 100.0 * loser.fullness(), 100.0 * winner.fullness());
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
    return fmt::format("{:.1f} % short on {}", 100.0 * (1.0 - most->capacity_W / most->duty_W), most->what);
}

Choice choose(std::vector<Rated> candidates)
{
    std::ranges::sort(candidates, {}, [](const Rated& r) {
        return std::tuple{!r.suffices(), r.suffices() ? cost_of(r) : r.fullness(), r.product, r.count};
    });
    Choice choice{.all = std::move(candidates)};
    for (const Rated& r : choice.all) {
        if (!r.suffices()) {
            if (!choice.next_down && r.refused.empty()) choice.next_down = r;
        } else if (!choice.chosen) {
            choice.chosen = r;
        } else if (!choice.runner_up) {
            choice.runner_up = r;
            choice.why_runner_up_lost = why_lost(r, *choice.chosen);
        }
    }
    return choice;
}

} // namespace venture::rating
