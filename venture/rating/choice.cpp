#include <venture/rating/choice.hpp>

#include <algorithm>
#include <limits>

#include <fmt/format.h>

namespace venture::rating {

namespace {

constexpr double rounding = 1e-9;
constexpr double infinite = std::numeric_limits<double>::infinity();

double ratio(double duty_W, double capacity_W)
{
    if (duty_W <= 0.0) return 0.0;
    return capacity_W > 0.0 ? duty_W / capacity_W : infinite;
}

/// Of one unit: the harder of its parts.
double fullness_of_one(const Rated& r)
{
    if (r.refused) return infinite;
    return std::max({ratio(r.duty.W, r.one.gives_W[r.duty.service]),
                     r.duty.sensible_W ? ratio(*r.duty.sensible_W, r.one.sensible_W) : 0.0,
                     r.duty.latent_W ? ratio(*r.duty.latent_W, r.one.latent_W()) : 0.0});
}

bool is_enough(double fullness) { return fullness <= 1.0 + rounding; }

/// Capacity offered per duty, with a tenth added for each further unit: less is better, as long as it suffices.
double cost_of(int count, double fullness)
{
    constexpr double per_further_unit = 0.1;
    return (1.0 + per_further_unit * (count - 1)) / fullness;
}

/// As few as suffice, as far as they may.
int count_for(const Rated& one, Counts counts)
{
    if (one.refused) return counts.fewest;
    const double needed = std::ceil(fullness_of_one(one) * (1.0 - rounding));
    return needed > counts.most ? counts.most : std::max(counts.fewest, static_cast<int>(needed));
}

bool is_before(double cost, const Rated& rated, double other_cost, const std::optional<Rated>& other)
{
    if (!other || cost != other_cost) return !other || cost < other_cost;
    return rated.product->name() < other->product->name();
}

/// By the harder part; of products that have nothing to give towards one, by how much they give in all.
bool is_nearer(const Rated& rated, const Rated& other)
{
    const double full = rated.fullness(), of_other = other.fullness();
    if (full != of_other) return full < of_other;
    return rated.one.gives_W[rated.duty.service] > other.one.gives_W[rated.duty.service];
}

} // namespace

double Rated::fullness() const { return fullness_of_one(*this) / count; }

bool Rated::suffices() const { return is_enough(fullness()); }

std::vector<Share> Rated::shares() const
{
    if (refused) return {};
    std::vector<Share> out = {
        {duty.sensible_W ? "total" : quantity::name_of(duty.service), duty.W, count * one.gives_W[duty.service]}};
    if (duty.sensible_W) out.push_back({"sensible", *duty.sensible_W, count * one.sensible_W});
    if (duty.latent_W) out.push_back({"latent", *duty.latent_W, count * one.latent_W()});
    return out;
}

std::string Rated::in_words() const
{
    if (refused) return rating::in_words(*refused);
    if (suffices()) return fmt::format("runs {:.0f} % full", 100.0 * fullness());
    const std::vector<Share> parts = shares();
    const Share& most =
        *std::ranges::max_element(parts, {}, [](const Share& s) { return ratio(s.duty_W, s.capacity_W); });
    if (most.capacity_W <= 0.0)
        return one.dry && most.what == "latent" ? "takes no moisture: the coil stays dry"
                                                : fmt::format("has nothing to give ({})", most.what);
    return fmt::format("{:.1f} % short{}", 100.0 * (1.0 - most.capacity_W / most.duty_W),
                       parts.size() > 1 ? fmt::format(" ({})", most.what) : std::string{});
}

std::string Rated::called() const
{
    return count == 1 ? product->name() : fmt::format("{} x {}", count, product->name());
}

std::string Choice::why_runner_up_lost() const
{
    const double fuller = 100.0 * (chosen->fullness() - runner_up->fullness());
    if (fuller >= 0.5) return fmt::format("{:.0f} % full", 100.0 * runner_up->fullness());
    if (runner_up->count > chosen->count) return fmt::format("{} units, not {}", runner_up->count, chosen->count);
    return "as good; the name decides";
}

Rated rated_at(const Product& product, int count, const Conditions& at, const Duty& duty)
{
    Rated out{.product = &product, .count = count, .duty = duty};
    const auto rating = product.rate(at);
    if (const auto* refused = std::get_if<Refusal>(&rating))
        out.refused = *refused;
    else
        out.one = std::get<Output>(rating);
    return out;
}

Choice choose(std::span<const std::shared_ptr<const Product>> products, Counts counts, const Asked& asked,
              const std::optional<Asked>& also)
{
    Choice choice{.candidates = products.size()};
    double best = infinite, second = infinite;
    std::vector<Rated> short_alone; // the next down is looked for when the number of units is known
    for (const auto& product : products) {
        Rated rated = rated_at(*product, counts.fewest, asked.at, asked.duty);
        std::optional<Rated> other;
        if (also) other = rated_at(*product, counts.fewest, also->at, also->duty);
        if (rated.refused || (other && other->refused)) {
            if (!choice.refused || product->name() < choice.refused->product->name())
                choice.refused = rated.refused ? rated : *other;
            continue;
        }
        short_alone.push_back(rated);
        rated.count = count_for(rated, counts);
        double fullness = rated.fullness();
        if (other) {
            rated.count = other->count = std::max(rated.count, count_for(*other, counts));
            fullness = std::max(rated.fullness(), other->fullness());
            if (!other->suffices()) short_alone.back() = *other;
        }
        if (!is_enough(fullness)) continue;
        const double cost = cost_of(rated.count, fullness);
        if (is_before(cost, rated, best, choice.chosen)) {
            second = best;
            choice.runner_up = std::move(choice.chosen);
            best = cost;
            choice.chosen = std::move(rated);
        } else if (is_before(cost, rated, second, choice.runner_up)) {
            second = cost;
            choice.runner_up = std::move(rated);
        }
    }
    const int count = choice.chosen ? choice.chosen->count : counts.most;
    for (Rated& rated : short_alone) {
        rated.count = count;
        if (!rated.suffices() && (!choice.next_down || is_nearer(rated, *choice.next_down))) choice.next_down = rated;
    }
    return choice;
}

} // namespace venture::rating
