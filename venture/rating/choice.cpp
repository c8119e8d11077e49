#include <venture/rating/choice.hpp>

#include <algorithm>
#include <limits>

#include <fmt/format.h>

#include <venture/rating/sound.hpp>

namespace venture::rating {

namespace {

constexpr double infinite = std::numeric_limits<double>::infinity();

double ratio(double duty_W, double capacity_W)
{
    if (duty_W <= 0.0) return 0.0;
    return capacity_W > 0.0 ? duty_W / capacity_W : infinite;
}

} // namespace

Duty Duty::times(double factor) const
{
    Duty out = *this;
    out.W *= factor;
    if (out.sensible_W) *out.sensible_W *= factor;
    if (out.latent_W) *out.latent_W *= factor;
    return out;
}

bool is_enough(double fullness) { return fullness <= 1.0 + capacity_rounding; }

double fullness_of(const Duty& duty, double total_W, double sensible_W, double latent_W)
{
    return std::max({ratio(duty.W, total_W), duty.sensible_W ? ratio(*duty.sensible_W, sensible_W) : 0.0,
                     duty.latent_W ? ratio(*duty.latent_W, latent_W) : 0.0});
}

double fullness_of(const Duty& duty, const Output& one)
{
    return fullness_of(duty, one.gives_W[duty.service], one.sensible_W, one.latent_W());
}

int Rated::count() const
{
    int out = 0;
    for (const Units& some : units) out += some.count;
    return out;
}

Output Rated::all() const
{
    Output sum;
    sum.water_kg_per_s = sum.electric_W = sum.water_pressure_drop_Pa = 0.0;
    sum.dry = true;
    double heat_W = 0.0;
    std::vector<double> levels;
    for (const Units& some : units) {
        const Output& one = some.one;
        for (const Service service : all_services) sum.gives_W[service] += some.count * one.gives_W[service];
        sum.sensible_W += some.count * one.sensible_W;
        sum.fan_W += some.count * one.fan_W;
        sum.dry = sum.dry && one.dry;
        sum.water_kg_per_s += some.count * one.water_kg_per_s;
        sum.electric_W += some.count * one.electric_W;
        sum.condensate_kg_per_s += some.count * one.condensate_kg_per_s;
        if (!(one.water_pressure_drop_Pa <= sum.water_pressure_drop_Pa)) // the unknown stays
            sum.water_pressure_drop_Pa = one.water_pressure_drop_Pa;
        heat_W += some.count * one.water_return_C * one.water_kg_per_s;
        levels.push_back(level_of_several_dB(one.sound_power_dBA, some.count));
    }
    sum.water_return_C = units.size() == 1 ? units.front().one.water_return_C : heat_W / sum.water_kg_per_s;
    sum.sound_power_dBA = sum_of_levels_dB(levels);
    return sum;
}

double Rated::fullness() const { return refused ? infinite : fullness_of(duty, all()); }

bool Rated::suffices() const { return is_enough(fullness()); }

std::vector<Share> Rated::shares() const
{
    if (refused) return {};
    const Output sum = all();
    std::vector<Share> out = {
        {duty.sensible_W ? "total" : quantity::name_of(duty.service), duty.W, sum.gives_W[duty.service]}};
    if (duty.sensible_W) out.push_back({"sensible", *duty.sensible_W, sum.sensible_W});
    if (duty.latent_W) out.push_back({"latent", *duty.latent_W, sum.latent_W()});
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
        return all().dry && most.what == "latent" ? "takes no moisture: the coil stays dry"
                                                  : fmt::format("has nothing to give ({})", most.what);
    return fmt::format("{:.1f} % short{}", 100.0 * (1.0 - most.capacity_W / most.duty_W),
                       parts.size() > 1 ? fmt::format(" ({})", most.what) : std::string{});
}

std::string Rated::called() const
{
    // What they share, the maker's word before and the speed behind, is said once.
    const std::string speed = product().label().speed.empty() ? "" : " at " + product().label().speed;
    const bool at_one_speed =
        std::ranges::all_of(units, [&](const Units& some) { return some.product->name().ends_with(speed); });
    const auto name_of = [&](const Product& p) {
        return std::string_view{p.name()}.substr(0, p.name().size() - (at_one_speed ? speed.size() : 0));
    };
    const std::string_view first = name_of(product()), begins = first.substr(0, first.rfind(' ') + 1);
    std::string out;
    for (const Units& some : units) {
        if (!out.empty()) out += " + ";
        if (some.count != 1) out += fmt::format("{} x ", some.count);
        const std::string_view name = name_of(*some.product);
        const bool again = some.product != &product() && !begins.empty() && name.starts_with(begins);
        out += again ? name.substr(begins.size()) : name;
    }
    return at_one_speed ? out + speed : out;
}

std::string Choice::why_runner_up_lost() const
{
    const auto more = [&](std::string_view of) {
        return fmt::format("{:.1f} % more {}", 100.0 * (runner_up_worth / chosen_worth - 1.0), of);
    };
    switch (decided_by.value_or(Aim::fullest)) {
    case Aim::least_cost:
        return fmt::format("costs {:g}, not {:g}", runner_up_worth, chosen_worth);
    case Aim::least_water:
        return more("water");
    case Aim::least_electricity:
        return more("electricity");
    case Aim::least_depth:
        return fmt::format("{:.0f} mm deeper", 1000.0 * (runner_up_worth - chosen_worth));
    case Aim::quietest:
        return fmt::format("{:.1f} dB louder", runner_up_worth - chosen_worth);
    case Aim::fullest:
    case Aim::fewest_units:
    case Aim::fewest_types:
        break;
    }
    const double fuller = 100.0 * (chosen->fullness() - runner_up->fullness());
    if (fuller >= 0.5 && decided_by != Aim::fewest_units)
        return fmt::format("{:.0f} % full", 100.0 * runner_up->fullness());
    if (runner_up->count() > chosen->count())
        return fmt::format("{} units, not {}", runner_up->count(), chosen->count());
    return decided_by ? fmt::format("{:.0f} % full", 100.0 * runner_up->fullness()) : "as good; the name decides";
}

Rated rated_at(const Product& product, int count, const Conditions& at, const Duty& duty)
{
    Rated out{.units = {{.product = &product, .count = count}}, .duty = duty};
    const auto rating = product.rate(at);
    if (const auto* refused = std::get_if<Refusal>(&rating))
        out.refused = *refused;
    else
        out.units.front().one = std::get<Output>(rating);
    return out;
}

} // namespace venture::rating
