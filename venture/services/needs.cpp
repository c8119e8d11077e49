#include <venture/services/needs.hpp>

#include <algorithm>
#include <cmath>

#include <venture/rating/coil_conductance.hpp>
#include <venture/rating/product.hpp>

namespace venture::services {

Needs needs_of(const Services& services, std::span<const DemandAt> leaves, const PassOn& units_take)
{
    PerService<std::size_t> hours;
    for (const DemandAt& leaf : leaves) hours[leaf.service] = leaf.demand.hours();
    const std::vector<DemandAt> typed = services.typed_demands(hours);
    const Network plain = services.network.without_allowances();
    return {demands(plain, leaves), demands(plain, leaves, typed, units_take),
            demands(services.network, leaves, typed, units_take)};
}

std::vector<std::size_t> hours_of_both(const Services& services, std::size_t circuit, std::span<const DemandAt> leaves,
                                       std::span<const DemandAt> heating_on_cooling_days)
{
    constexpr double worth_telling_W = 1.0; // less is the rounding of a thermostat
    const Circuit& c = services.circuits[circuit];
    if (!c.same_pipes) return {};
    const std::size_t heats = c.carries == Service::heating ? circuit : *c.same_pipes,
                      cools = c.carries == Service::heating ? *c.same_pipes : circuit;
    const Network plain = services.network.without_allowances();
    const Demand heating =
        demands(plain, heating_on_cooling_days).asked(services.places.circuits[heats], Service::heating);
    const Demand cooling = demands(plain, leaves).asked(services.places.circuits[cools], Service::cooling);
    std::vector<std::size_t> out;
    for (std::size_t h = 0; h < std::min(heating.hours(), cooling.hours()); ++h)
        if (heating.total_W(h) > worth_telling_W && cooling.total_W(h) > worth_telling_W) out.push_back(h);
    return out;
}

std::string fed_by(const Services& s, std::size_t circuit)
{
    const Circuit& c = s.circuits[circuit];
    if (c.from) return "mixed from " + s.circuits[*c.from].name;
    for (const Link& link : s.network.links)
        if (link.to == s.places.circuits[circuit]) return s.network.nodes[link.from].name;
    return c.medium == rating::Medium::electricity ? "electricity" : "nothing";
}

CircuitWater water_of(const Services& s, std::size_t circuit, double W)
{
    const Circuit& c = s.circuits[circuit];
    if (!c.has_water() || c.glycol > 0.0) return {rating::unknown, rating::unknown};
    const double W_per_K = rating::specific_heat_of_water_J_per_kgK;
    const double flow = W / (W_per_K * std::abs(c.supply_C - c.return_C));
    if (!c.from) return {flow, flow};
    return {flow, W / (W_per_K * std::abs(s.circuits[*c.from].supply_C - c.return_C))};
}

} // namespace venture::services
