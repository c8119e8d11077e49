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
    for (const std::size_t c : services.circuits_of_plant(plant)) {
        const services::Circuit& circuit = services.circuits[c];
        const bool heats = circuit.carries == Service::heating;
        if (!hardest || (heats ? circuit.supply_C > *hardest : circuit.supply_C < *hardest)) hardest = circuit.supply_C;
    }
    return hardest.value_or(0.0);
}

double most_glycol(const services::Services& services, std::size_t plant)
{
    double most = 0.0;
    for (const std::size_t c : services.circuits_of_plant(plant)) most = std::max(most, services.circuits[c].glycol);
    return most;
}

void choose_or_keep(PlantSelection& s, const services::Plant& plant, const rating::Stocks& stocks,
                    const rating::Conditions& at)
{
    if (!s.kept) {
        s.choice = rating::choose(stocks.products(*plant.kind), {plant.units, plant.units}, {at, s.duty});
        return;
    }
    if (s.kept->chosen_for_W && *s.kept->chosen_for_W > 0.0) s.duty_moved = s.duty.W / *s.kept->chosen_for_W - 1.0;
    const rating::Product* product = stocks.find(*plant.kind, s.kept->product);
    s.kept_unknown = product == nullptr;
    if (product != nullptr) s.choice.chosen = rating::rated_at(*product, s.kept->count, at, s.duty);
}

} // namespace

std::vector<PlantSelection> select_plants(const services::Needs& needs, const services::Services& services,
                                          const rating::Stocks& stocks, const Outdoors& outdoors)
{
    std::vector<PlantSelection> out;
    for (std::size_t p = 0; p < services.plants.size(); ++p) {
        const services::Plant& plant = services.plants[p];
        const services::NodeId node = services.places.plants[p];
        const Service service = plant.kind->gives.front();
        const rating::Demand &asked = needs.full.asked(node, service), &taken = needs.taken.asked(node, service);
        PlantSelection s{.plant = p,
                         .service = service,
                         .rooms = services.rooms_of_plant(p),
                         .rooms_W = needs.rooms.asked(node, service).peak_W(),
                         .units_W = taken.peak_W(),
                         .circuits_W = asked.peak_W(),
                         .hour = taken.hours() > 0 ? taken.hour_of_peak() : 0,
                         .sum_of_peaks_W = taken.sum_of_peaks_W,
                         .by_hour = taken.by_hour,
                         .typed = taken.typed,
                         .duty = {.service = service, .W = needs.full.passed(node, service).peak_W()},
                         .supply_C = hardest_supply_C(services, p),
                         .glycol = most_glycol(services, p),
                         .outdoor_C = outdoors.hottest_C + plant.air_warmer_K};
        if (const services::Kept* kept = services.find_kept(plant.name, service)) s.kept = *kept;
        choose_or_keep(s, plant, stocks,
                       rating::Conditions{}
                           .set(At::water_supply, s.supply_C)
                           .set(At::glycol, s.glycol)
                           .set(At::outdoor_dry_bulb, s.outdoor_C)
                           .set(At::air_pressure, outdoors.pressure_Pa)
                           .set(At::height_above_sea, outdoors.height_m));
        out.push_back(std::move(s));
    }
    return out;
}

} // namespace venture::plant
