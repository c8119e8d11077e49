#include <venture/plant/selection.hpp>

#include <algorithm>
#include <iterator>

#include <venture/rating/choosing.hpp>

namespace venture::plant {

using rating::At;
using rating::Service;

namespace {

/// Hardest supply temperature that any of its circuits asks for: the warmest where it heats, the coldest where it cools.
double hardest_supply_C(const services::Services& services, const std::vector<std::size_t>& circuits)
{
    std::optional<double> hardest;
    for (const std::size_t c : circuits) {
        const services::Circuit& circuit = services.circuits[c];
        const bool heats = circuit.carries == Service::heating;
        if (!hardest || (heats ? circuit.supply_C > *hardest : circuit.supply_C < *hardest)) hardest = circuit.supply_C;
    }
    return hardest.value_or(0.0);
}

class Selector {
public:
    Selector(const services::Needs& needs, const services::Services& services, const rating::Stocks& stocks,
             const Outdoors& outdoors)
        : needs_{needs},
          services_{services},
          stocks_{stocks},
          outdoors_{outdoors}
    {
    }

    std::vector<PlantSelection> run()
    {
        for (std::size_t p = 0; p < services_.plants.size(); ++p) {
            std::vector<PlantSelection> of_plant;
            for (const Service service : services_.plants[p].kind->gives)
                of_plant.push_back(what_it_must_do(p, service));
            for (PlantSelection& s : of_plant) {
                const auto other = std::ranges::find_if(
                    of_plant, [&](const PlantSelection& o) { return o.service != s.service && o.duty.W > 0.0; });
                choose_or_keep(s, other == of_plant.end() ? std::nullopt : std::optional{asked(*other)});
            }
            std::ranges::move(of_plant, std::back_inserter(out_));
        }
        return std::move(out_);
    }

private:
    [[nodiscard]] PlantSelection what_it_must_do(std::size_t p, Service service) const
    {
        const services::Plant& plant = services_.plants[p];
        const services::NodeId node = services_.places.plants[p];
        const std::vector<std::size_t> circuits = services_.circuits_of_plant(p, service);
        const rating::Demand &full = needs_.full.asked(node, service), &taken = needs_.taken.asked(node, service);
        PlantSelection s{.plant = p,
                         .service = service,
                         .rooms = services_.rooms_of_plant(p, service),
                         .rooms_W = needs_.rooms.asked(node, service).peak_W(),
                         .units_W = taken.peak_W(),
                         .circuits_W = full.peak_W(),
                         .hour = taken.hours() > 0 ? taken.hour_of_peak() : 0,
                         .sum_of_peaks_W = taken.sum_of_peaks_W,
                         .by_hour = taken.by_hour,
                         .typed = taken.typed,
                         .duty = {.service = service, .W = needs_.full.passed(node, service).peak_W()},
                         .supply_C = hardest_supply_C(services_, circuits),
                         .outdoor_C = service == Service::cooling ? outdoors_.hottest_C + plant.air_warmer_K
                                                                  : outdoors_.coldest_C};
        for (const std::size_t c : circuits) s.glycol = std::max(s.glycol, services_.circuits[c].glycol);
        if (const services::Kept* kept = services_.find_kept(plant.name, service)) s.kept = *kept;
        return s;
    }

    [[nodiscard]] rating::Asked asked(const PlantSelection& s) const
    {
        return {rating::Conditions{}
                    .set(At::water_supply, s.supply_C)
                    .set(At::glycol, s.glycol)
                    .set(At::outdoor_dry_bulb, s.outdoor_C)
                    .set(At::air_pressure, outdoors_.pressure_Pa)
                    .set(At::height_above_sea, outdoors_.height_m),
                s.duty};
    }

    /// @param also  what the same plant does for another service
    void choose_or_keep(PlantSelection& s, const std::optional<rating::Asked>& also) const
    {
        const services::Plant& plant = services_.plants[s.plant];
        if (!s.kept) {
            s.choice =
                rating::choose(stocks_.products(*plant.kind), {.counts = {plant.units, plant.units}}, asked(s), also);
            return;
        }
        if (s.kept->chosen_for_W && *s.kept->chosen_for_W > 0.0) s.duty_moved = s.duty.W / *s.kept->chosen_for_W - 1.0;
        const rating::Product* product =
            s.kept->typed ? s.kept->typed.get() : stocks_.find(*plant.kind, s.kept->product);
        s.kept_unknown = product == nullptr;
        if (product != nullptr) s.choice.chosen = rating::rated_at(*product, s.kept->count, asked(s).at, s.duty);
    }

    const services::Needs& needs_;
    const services::Services& services_;
    const rating::Stocks& stocks_;
    const Outdoors& outdoors_;
    std::vector<PlantSelection> out_{};
};

} // namespace

std::vector<PlantSelection> select_plants(const services::Needs& needs, const services::Services& services,
                                          const rating::Stocks& stocks, const Outdoors& outdoors)
{
    return Selector{needs, services, stocks, outdoors}.run();
}

} // namespace venture::plant
