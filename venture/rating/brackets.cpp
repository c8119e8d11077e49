#include <venture/rating/brackets.hpp>

#include <algorithm>
#include <cmath>

namespace venture::rating {

namespace {

constexpr double grid_K = 0.5;
/// Lines through printed tables may bend back by a little.
constexpr double widening = 0.005;

void widen(double& least, double& most)
{
    const double by = widening * std::max(std::abs(least), std::abs(most));
    least -= by;
    most += by;
}

std::vector<double> key_of(const Conditions& at)
{
    constexpr double none = -1e300; // what is not a number has no place in an order
    std::vector<double> out;
    for (std::size_t i = 0; i < number_of_inputs; ++i) out.push_back(at.value_or(static_cast<At>(i), none));
    return out;
}

} // namespace

const std::vector<Brackets::Corner>& Brackets::corner(const Conditions& at)
{
    const auto [place, is_new] = corners_.try_emplace(key_of(at));
    std::vector<Corner>& out = place->second;
    if (!is_new) return out;
    out.resize(products_.size());
    for (std::size_t p = 0; p < products_.size(); ++p) {
        const auto rating = products_[p]->rate(at);
        const auto* output = std::get_if<Output>(&rating);
        if (output != nullptr) out[p] = {true, output->gives_W, output->sensible_W, output->water_kg_per_s};
    }
    return out;
}

const std::vector<Bracket>* Brackets::at(const Conditions& asked)
{
    if (!asked.has(At::entering_dry_bulb) || !asked.has(At::entering_wet_bulb)) return nullptr;
    const double dry_C = std::floor(asked[At::entering_dry_bulb] / grid_K) * grid_K,
                 wet_C = std::floor(asked[At::entering_wet_bulb] / grid_K) * grid_K;
    Conditions low = asked;
    low.set(At::entering_dry_bulb, dry_C).set(At::entering_wet_bulb, wet_C);
    if (asked.has(At::room)) low.set(At::room, dry_C);
    const auto [place, is_new] = boxes_.try_emplace(key_of(low));
    std::vector<Bracket>& out = place->second;
    if (!is_new) return &out;
    out.resize(products_.size());
    bool first = true;
    for (const double dry : {dry_C, dry_C + grid_K})
        for (const double wet : {wet_C, wet_C + grid_K}) {
            Conditions at = low;
            at.set(At::entering_dry_bulb, dry).set(At::entering_wet_bulb, wet);
            if (asked.has(At::room)) at.set(At::room, dry);
            const std::vector<Corner>& corners = corner(at);
            for (std::size_t p = 0; p < out.size(); ++p) {
                const Corner& c = corners[p];
                Bracket& b = out[p];
                b.known = c.rated && (first || b.known);
                const auto take = [first](double value, double& least, double& most) {
                    least = first ? value : std::min(least, value);
                    most = first ? value : std::max(most, value);
                };
                for (const Service s : all_services)
                    take(c.gives_W[s], b.least_W[s], b.most_W[s]);
                take(c.sensible_W, b.least_sensible_W, b.most_sensible_W);
                take(c.gives_W[Service::cooling] - c.sensible_W, b.least_latent_W, b.most_latent_W);
                b.least_water_kg_per_s =
                    first || !(b.least_water_kg_per_s <= c.water_kg_per_s) ? c.water_kg_per_s : b.least_water_kg_per_s;
            }
            first = false;
        }
    for (Bracket& b : out) {
        for (const Service s : all_services) widen(b.least_W[s], b.most_W[s]);
        widen(b.least_sensible_W, b.most_sensible_W);
        widen(b.least_latent_W, b.most_latent_W);
        b.least_water_kg_per_s *= 1.0 - widening;
    }
    return &out;
}

} // namespace venture::rating
