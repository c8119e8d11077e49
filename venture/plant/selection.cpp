#include <venture/plant/selection.hpp>

#include <algorithm>

#include <venture/quantity/error.hpp>

namespace venture::plant {

using rating::Rated;
using services::Duty;
using services::PlantKind;

namespace {

Rated rate(const PlantSelection& s, const Boiler& boiler, int count)
{
    try {
        quantity::check_range(boiler.name, "water supply", s.supply_C, {0.0, boiler.highest_supply_C}, "degC");
        return {boiler.name, count, {{"heating", s.duty_W, count * boiler.nominal_W}}, {}};
    } catch (const quantity::RangeError& outside) {
        return {boiler.name, count, {}, outside.what()};
    }
}

Rated rate(const PlantSelection& s, const Chiller& chiller, int count)
{
    try {
        return {
            chiller.name, count, {{"cooling", s.duty_W, count * chiller.capacity_W.at(s.supply_C, s.outdoor_C)}}, {}};
    } catch (const quantity::RangeError& outside) {
        return {chiller.name, count, {}, outside.what()};
    }
}

template <class Product>
void choose_or_keep(PlantSelection& s, const std::vector<Product>& products, int units)
{
    if (s.kept) {
        if (s.kept->chosen_for_W && *s.kept->chosen_for_W > 0.0) s.duty_moved = s.duty_W / *s.kept->chosen_for_W - 1.0;
        const auto product = std::ranges::find(products, s.kept->product, &Product::name);
        s.kept_unknown = product == products.end();
        if (!s.kept_unknown) s.choice.chosen = rate(s, *product, s.kept->count);
        return;
    }
    s.choice = rating::choose(products.size(), {units, units},
                              [&](std::size_t i, int count) { return rate(s, products[i], count); });
}

/// Hardest supply temperature that any of its circuits asks for.
double hardest_supply_C(const services::Services& services, std::size_t plant)
{
    const bool heats = services.plants[plant].kind == PlantKind::boiler;
    double hardest = heats ? 0.0 : 100.0;
    for (const services::Circuit& c : services.circuits)
        if (c.plant == plant) hardest = heats ? std::max(hardest, c.supply_C) : std::min(hardest, c.supply_C);
    return hardest;
}

/// Diversity of the circuits of some rooms, weighted by the rooms' own peaks.
double diversity_of_circuits(const loads::RoomLoads& loads, const services::Services& services,
                             const std::vector<std::size_t>& rooms, bool heats)
{
    double all_W = 0.0, met_W = 0.0;
    for (const std::size_t r : rooms) {
        const auto& circuit = heats ? services.rooms[r].heating : services.rooms[r].cooling;
        const double peak_W = heats ? loads.rooms[r].heating_W : loads.rooms[r].cooling_W;
        all_W += peak_W;
        met_W += circuit ? peak_W * services.circuits[*circuit].diversity : peak_W;
    }
    return all_W > 0.0 ? met_W / all_W : 1.0;
}

} // namespace

std::vector<PlantSelection> select_plants(const loads::RoomLoads& loads, const services::Services& services,
                                          const Products& products, double outdoor_design_C)
{
    std::vector<PlantSelection> out;
    for (std::size_t p = 0; p < services.plants.size(); ++p) {
        const services::Plant& plant = services.plants[p];
        const bool heats = plant.kind == PlantKind::boiler;
        PlantSelection s{.plant = p,
                         .rooms = services.rooms_of_plant(p),
                         .plant_diversity = plant.diversity,
                         .margin = plant.margin,
                         .supply_C = hardest_supply_C(services, p),
                         .outdoor_C = outdoor_design_C};
        if (const services::Kept* kept = services.find_kept(plant.name, heats ? Duty::heating : Duty::cooling))
            s.kept = *kept;
        if (heats) {
            s.rooms_W = loads::heating_together_W(loads, s.rooms);
        } else {
            s.coincident = loads::coincident_cooling(loads, s.rooms);
            s.rooms_W = s.coincident.total_W;
        }
        s.circuits_diversity = diversity_of_circuits(loads, services, s.rooms, heats);
        s.duty_W = s.rooms_W * s.circuits_diversity * s.plant_diversity * (1.0 + plant.margin);
        if (heats)
            choose_or_keep(s, products.boilers, plant.units);
        else
            choose_or_keep(s, products.chillers, plant.units);
        out.push_back(std::move(s));
    }
    return out;
}

} // namespace venture::plant
