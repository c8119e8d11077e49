#include <venture/plant/selection.hpp>

#include <algorithm>

namespace venture::plant {

using rating::At;
using rating::Service;

namespace {

/// Hardest supply temperature that any of its circuits asks for: the warmest where it heats, the coldest where it cools.
double hardest_supply_C(const services::Services& services, std::size_t plant)
{
    std::optional<double> hardest;
    for (const services::Circuit& c : services.circuits) {
        if (c.plant != plant) continue;
        const bool heats = c.supply_C > c.return_C;
        if (!hardest || (heats ? c.supply_C > *hardest : c.supply_C < *hardest)) hardest = c.supply_C;
    }
    return hardest.value_or(0.0);
}

/// Diversity of the circuits of some rooms, weighted by the rooms' own peaks.
double diversity_of_circuits(const loads::RoomLoads& loads, const services::Services& services,
                             const std::vector<std::size_t>& rooms, Service service)
{
    double all_W = 0.0, met_W = 0.0;
    for (const std::size_t r : rooms) {
        const auto& circuit = services.rooms[r][service];
        const double peak_W = service == Service::heating ? loads.rooms[r].heating_W : loads.rooms[r].cooling_W;
        all_W += peak_W;
        met_W += circuit ? peak_W * services.circuits[*circuit].diversity : peak_W;
    }
    return all_W > 0.0 ? met_W / all_W : 1.0;
}

void choose_or_keep(PlantSelection& s, const services::Plant& plant, const rating::Stocks& stocks,
                    const rating::Conditions& at)
{
    if (!s.kept) {
        s.choice = rating::choose(stocks.products(*plant.kind), {plant.units, plant.units}, at, s.duty);
        return;
    }
    if (s.kept->chosen_for_W && *s.kept->chosen_for_W > 0.0) s.duty_moved = s.duty.W / *s.kept->chosen_for_W - 1.0;
    const rating::Product* product = stocks.find(*plant.kind, s.kept->product);
    s.kept_unknown = product == nullptr;
    if (product != nullptr) s.choice.chosen = rating::rated_at(*product, s.kept->count, at, s.duty);
}

} // namespace

std::vector<PlantSelection> select_plants(const loads::RoomLoads& loads, const loads::RoomLoads& of_units,
                                          const services::Services& services, const rating::Stocks& stocks,
                                          const Outdoors& outdoors)
{
    std::vector<PlantSelection> out;
    for (std::size_t p = 0; p < services.plants.size(); ++p) {
        const services::Plant& plant = services.plants[p];
        const Service service = plant.kind->gives.front();
        PlantSelection s{.plant = p,
                         .rooms = services.rooms_of_plant(p),
                         .plant_diversity = plant.diversity,
                         .margin = plant.margin,
                         .supply_C = hardest_supply_C(services, p),
                         .outdoor_C = outdoors.hottest_C + plant.air_warmer_K};
        if (const services::Kept* kept = services.find_kept(plant.name, service)) s.kept = *kept;
        if (service == Service::heating) {
            s.rooms_W = s.units_W = loads::heating_together_W(loads, s.rooms);
        } else {
            s.rooms_W = loads::coincident_cooling(loads, s.rooms).total_W;
            s.coincident = loads::coincident_cooling(of_units, s.rooms);
            s.units_W = s.coincident.total_W;
        }
        s.circuits_diversity = diversity_of_circuits(loads, services, s.rooms, service);
        s.duty = {service, s.units_W * s.circuits_diversity * s.plant_diversity * (1.0 + plant.margin), {}};
        choose_or_keep(s, plant, stocks,
                       rating::Conditions{}
                           .set(At::water_supply, s.supply_C)
                           .set(At::outdoor_dry_bulb, s.outdoor_C)
                           .set(At::air_pressure, outdoors.pressure_Pa)
                           .set(At::height_above_sea, outdoors.height_m));
        out.push_back(std::move(s));
    }
    return out;
}

} // namespace venture::plant
