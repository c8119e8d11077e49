/// What was chosen, thing by thing.

#include <cmath>

#include <venture/rating/choosing.hpp>
#include <venture/study/schedule.hpp>

namespace venture::study {

using rating::Service;
using terminal::RoomSelection;

namespace {

/// Units of one room that hang on the same pipes, made items.
class UnitItems {
public:
    UnitItems(const Sizing& sizing, std::vector<ScheduleItem>& into) : sizing_{sizing}, into_{into} {}

    void add(const RoomSelection& s)
    {
        if (!s.choice.chosen || s.choice.chosen->refused) {
            ScheduleItem& item = begin(s);
            item.product = s.choice.chosen ? &s.choice.chosen->product() : nullptr;
            item.needs_W[s.duty.service] = s.duty.W;
            return;
        }
        const rating::Output all = s.choice.chosen->all();
        std::size_t n = 0;
        for (const rating::Units& some : s.choice.chosen->units)
            for (int i = 0; i < some.count; ++i, ++n) {
                ScheduleItem& item = begin(s);
                item.product = some.product;
                take(item, s, some, all);
            }
        place(s, n);
    }
    /// The same units for another service.
    void add_to_last(const RoomSelection& s)
    {
        const rating::Output all = s.choice.chosen->all();
        const rating::Units& some = s.choice.chosen->units.front();
        for (std::size_t i = into_.size() - static_cast<std::size_t>(some.count); i < into_.size(); ++i) {
            into_[i].circuit += ", " + circuit_of(s).name;
            into_[i].met = into_[i].met && s.met();
            take(into_[i], s, some, all);
        }
    }

private:
    [[nodiscard]] const services::Circuit& circuit_of(const RoomSelection& s) const
    {
        return sizing_.services.circuits[s.circuit];
    }

    ScheduleItem& begin(const RoomSelection& s)
    {
        const loads::RoomLoad& load = sizing_.loads.rooms[s.room];
        return into_.emplace_back(ScheduleItem{.kind = circuit_of(s).unit,
                                               .place = load.room,
                                               .storey = load.storey,
                                               .kept = s.kept.has_value(),
                                               .met = s.met(),
                                               .circuit = circuit_of(s).name,
                                               .supply_C = s.at[rating::At::water_supply]});
    }

    /// Its share of what all of them need, and what its water does then.
    void take(ScheduleItem& item, const RoomSelection& s, const rating::Units& some, const rating::Output& all) const
    {
        const Service service = s.duty.service;
        item.gives_W[service] = some.one.gives_W[service];
        item.needs_W[service] = s.duty.W * some.one.gives_W[service] / all.gives_W[service];
        const auto throttled = some.product->giving(s.at, item.needs_W[service]);
        const rating::Output& water = throttled ? *throttled : some.one;
        add_valve(item, circuit_of(s), water.water_kg_per_s, some.one.water_pressure_drop_Pa);
        // Of two services the larger flow is what its pipes are for.
        if (!(water.water_kg_per_s <= item.water_kg_per_s)) {
            item.water_kg_per_s = water.water_kg_per_s;
            item.return_C = water.water_return_C;
            item.supply_C = s.at[rating::At::water_supply];
            item.pressure_drop_Pa = some.one.water_pressure_drop_Pa;
        }
        if (!std::isnan(some.one.electric_W)) // of two services the larger
            item.electric_W = std::fmax(item.electric_W, some.one.electric_W);
        item.sound_power_dB = some.one.sound_power_dBA;
        item.room_sound_dB = all.sound_power_dBA - s.wish.wish.room_effect_dB;
        if (service == Service::heating) item.surface_C = rating::surface_C(some.product->label(), s.at);
    }

    /// A unit of which nobody says what it takes of the pressure takes none.
    void add_valve(ScheduleItem& item, const services::Circuit& circuit, double water_kg_per_s, double unit_Pa) const
    {
        const terminal::Valve* valve = circuit.valve.empty() || sizing_.stocks == nullptr
                                           ? nullptr
                                           : terminal::find_valve(*sizing_.stocks, circuit.valve);
        if (valve == nullptr || !(water_kg_per_s > 0.0) || !(circuit.pressure_difference_Pa > 0.0)) return;
        item.valves.push_back(
            {valve, circuit.name, circuit.pressure_difference_Pa,
             valve->set_for(water_kg_per_s, circuit.pressure_difference_Pa, std::isnan(unit_Pa) ? 0.0 : unit_Pa)});
    }

    /// The last n items get the places of a selection, product by product.
    void place(const RoomSelection& s, std::size_t n)
    {
        std::vector<bool> used(s.standing.size());
        for (std::size_t i = into_.size() - n; i < into_.size(); ++i)
            for (std::size_t k = 0; k < used.size(); ++k)
                if (!used[k] && s.standing[k].product == into_[i].product) {
                    used[k] = true;
                    into_[i].standing = &s.standing[k];
                    into_[i].where = s.standing[k].spot.called;
                    break;
                }
    }

    const Sizing& sizing_;
    std::vector<ScheduleItem>& into_;
};

/// One product in the same number for both services of a node.
bool are_the_same_units(const RoomSelection& a, const RoomSelection& b)
{
    return a.node == b.node && a.choice.chosen && b.choice.chosen && !a.choice.chosen->refused &&
           !b.choice.chosen->refused && a.choice.chosen->called() == b.choice.chosen->called();
}

void add_plants(const Sizing& s, std::vector<ScheduleItem>& out)
{
    std::size_t last_plant = s.services.plants.size();
    for (const plant::PlantSelection& p : s.plants) {
        if (p.duty.W <= 0.0) continue;
        const services::Plant& plant = s.services.plants[p.plant];
        const bool again = p.plant == last_plant; // its other service
        last_plant = p.plant;
        const int count = p.choice.chosen ? p.choice.chosen->count() : plant.units;
        for (int i = 0; i < count; ++i) {
            if (!again)
                out.push_back({.kind = plant.kind, .place = plant.name, .kept = p.kept.has_value(), .met = p.met()});
            ScheduleItem& item = out[out.size() - static_cast<std::size_t>(again ? count - i : 1)];
            item.met = item.met && p.met();
            item.needs_W[p.service] = p.duty.W / count;
            item.supply_C = p.supply_C;
            if (!p.choice.chosen || p.choice.chosen->refused) continue;
            const rating::Units& some = p.choice.chosen->units.front();
            item.product = some.product;
            item.gives_W[p.service] = some.one.gives_W[p.service];
            item.electric_W = some.one.electric_W;
            item.sound_power_dB = some.one.sound_power_dBA;
        }
    }
}

} // namespace

std::vector<ScheduleItem> schedule_items(const Sizing& sizing, const building::Building* building)
{
    std::vector<ScheduleItem> out;
    UnitItems units{sizing, out};
    for (std::size_t i = 0; i < sizing.units.size(); ++i) {
        if (i > 0 && are_the_same_units(sizing.units[i - 1], sizing.units[i]))
            units.add_to_last(sizing.units[i]);
        else
            units.add(sizing.units[i]);
    }
    add_plants(sizing, out);
    if (building != nullptr)
        for (ScheduleItem& item : out)
            if (const auto room = building->find_room(item.place); room && item.storey.empty())
                item.storey = building->storeys[building->rooms[*room].storey].name;
    return out;
}

} // namespace venture::study
