#include <venture/airside/coil_figures.hpp>

namespace venture::airside {

using figure::Cell;
using figure::Show;
using figure::Sum;
using figure::where;

namespace {

Cell if_any(double value) { return where(value > 0.0, value); }

const figure::TableOf<CoilLoad>& coil_load_columns()
{
    using C = CoilLoad;
    static const figure::TableOf<C> all = {
        {"coil_load", "Loads of coils",
         "What the coils of an air supply do for a room that it gives everything: the room's load and outdoor air "
         "together."},
        {
            {{"room", "Coils for", "", "name of the room", 0}, [](const C& c) -> Cell { return c.room; }},
            {{"supply", "Air by", "", "air supply", 5, Sum::none, Show::if_varied},
             [](const C& c) -> Cell { return c.supply; }},
            {{"outdoor_air", "Outdoor\nair", "air_flow", "by plan, largest, of air at 20 degC", 2, Sum::added},
             [](const C& c) -> Cell { return c.outdoor_m3_per_s; }},
            {{"supply_air", "Supply\nair", "air_flow", "outdoor air and air of the room, largest, alike", 2,
              Sum::added},
             [](const C& c) -> Cell { return c.supply_m3_per_s; }},
            {{"heating", "Heating", "power", "sensible, in winter design, largest hour mean", 1, Sum::added},
             [](const C& c) -> Cell { return if_any(c.heating_W); }},
            {{"short_heating", "short by", "power", "asked for beside it, and not given, in that hour", 2, Sum::added,
              Show::if_any},
             [](const C& c) -> Cell { return if_any(c.heating_short_W); }},
            {{"room_heating", "of room", "power", "the room's own load in that hour", 3, Sum::added},
             [](const C& c) -> Cell { return if_any(c.room_heating_W); }},
            {{"recovered", "recovered", "power", "by heat recovery, beside it", 3, Sum::added, Show::if_any},
             [](const C& c) -> Cell { return if_any(c.recovered_W); }},
            {{"humidifying", "Humidi-\nfying", "moisture_flow", "vapour put in, largest", 2, Sum::added, Show::if_any},
             [](const C& c) -> Cell { return if_any(c.humidifying_kg_per_s); }},
            {{"humidifying_heat", "", "power", "heat of that vapour", 5, Sum::added, Show::if_any},
             [](const C& c) -> Cell { return if_any(c.humidifying_W); }},
            {{"cooling", "Cooling", "power", "sensible and latent, largest hour mean", 1, Sum::added, Show::if_any},
             [](const C& c) -> Cell { return if_any(c.cooling_W); }},
            {{"sensible", "sensible", "power", "of it", 2, Sum::added, Show::if_any},
             [](const C& c) -> Cell { return if_any(c.cooling_sensible_W); }},
            {{"room_cooling", "of room", "power", "the room's own load in that hour", 3, Sum::added, Show::if_any},
             [](const C& c) -> Cell { return if_any(c.room_cooling_W); }},
            {{"short_cooling", "short by", "power", "asked for beside it, and not given, in that hour", 2, Sum::added,
              Show::if_any},
             [](const C& c) -> Cell { return if_any(c.cooling_short_W); }},
            {{"cooling_when", "at", "", "that hour", 4, Sum::none, Show::if_any},
             [](const C& c) -> Cell { return c.cooling_W > 0.0 ? Cell{c.cooling_when} : Cell{}; }},
            {{"reheat", "Reheat", "power", "of air that was cooled to be dried, largest", 2, Sum::added, Show::if_any},
             [](const C& c) -> Cell { return if_any(c.reheat_W); }},
            {{"fans", "Fans", "electric_power", "electric, largest", 4, Sum::added},
             [](const C& c) -> Cell { return if_any(c.fan_W); }},
        }};
    return all;
}

const figure::TableOf<SupplyLoad>& supply_load_columns()
{
    using S = SupplyLoad;
    static const figure::TableOf<S> all = {
        {"supply_load", "Air supplies",
         "Rooms that one air supply gives everything, together: the largest hours of their sums."},
        {
            {{"supply", "Rooms together of", "", "air supply", 0}, [](const S& s) -> Cell { return s.supply; }},
            {{"rooms", "rooms", "", "that it serves", 1}, [](const S& s) -> Cell { return figure::whole(s.rooms); }},
            {{"outdoor_air", "Outdoor\nair", "air_flow", "by plan, at once, of air at 20 degC", 1, Sum::added},
             [](const S& s) -> Cell { return s.outdoor_m3_per_s; }},
            {{"supply_air", "Supply\nair", "air_flow", "at once, alike", 1, Sum::added},
             [](const S& s) -> Cell { return s.supply_m3_per_s; }},
            {{"heating", "Heating", "total_power", "sensible, in winter design", 1},
             [](const S& s) -> Cell { return s.heating_W; }},
            {{"cooling", "Cooling", "total_power", "sensible and latent", 1, Sum::none, Show::if_any},
             [](const S& s) -> Cell { return where(s.cools, s.cooling.total_W); }},
            {{"sensible", "sensible", "total_power", "of it", 2, Sum::none, Show::if_any},
             [](const S& s) -> Cell { return where(s.cools, s.cooling.sensible_W); }},
            {{"cooling_when", "at", "", "that hour", 2, Sum::none, Show::if_any},
             [](const S& s) -> Cell { return where(s.cools, s.cooling.when); }},
            {{"single_peaks", "single\npeaks", "total_power", "sum of the rooms' coolings, each at its own hour", 3,
              Sum::none, Show::if_any},
             [](const S& s) -> Cell { return where(s.cools, s.cooling.sum_of_peaks_W); }},
            {{"fans", "Fans", "electric_power", "electric, at once", 3}, [](const S& s) -> Cell { return s.fan_W; }},
        }};
    return all;
}

const figure::TableOf<SystemAir>& system_air_columns()
{
    using S = SystemAir;
    static const figure::TableOf<S> all = {
        {"system_air", "Outdoor air of air handlers",
         "What one air handler would take in for all the rooms that a supply gives everything: it mixes outdoor air "
         "evenly, and the room that needs most of it rules (ASHRAE 62.1, multiple-zone systems)."},
        {
            {{"supply", "One air handler for", "", "air supply", 0}, [](const S& s) -> Cell { return s.supply; }},
            {{"rooms", "rooms", "", "that it serves", 4}, [](const S& s) -> Cell { return figure::whole(s.rooms); }},
            {{"asked", "Outdoor air\nrooms ask", "air_flow", "of all rooms, each at its largest", 1},
             [](const S& s) -> Cell { return s.asked_m3_per_s; }},
            {{"people_at_once", "people\nat once", "share", "on design days, of the sum of each room's most", 3},
             [](const S& s) -> Cell { return s.need.occupant_diversity; }},
            {{"uncorrected", "at once", "air_flow", "what breathing zones need: by so many people, and for the floors",
              2},
             [](const S& s) -> Cell { return s.need.uncorrected_m3_per_s; }},
            {{"supply_air", "Supply\nair", "air_flow", "of all rooms, each at its largest", 1},
             [](const S& s) -> Cell { return s.supply_m3_per_s; }},
            {{"ruling_room", "ruled by", "", "room that needs the largest share of outdoor air in its supply", 1},
             [](const S& s) -> Cell { return s.ruling_room; }},
            {{"ruling_share", "its share", "share", "of outdoor air in what that room is supplied with", 2},
             [](const S& s) -> Cell { return s.ruling_share; }},
            {{"efficiency", "Effi-\nciency", "share", "of the intake, what serves the room that rules", 1},
             [](const S& s) -> Cell { return s.need.efficiency; }},
            {{"intake", "Outdoor air\ntaken in", "air_flow", "what is needed at once over the efficiency", 1},
             [](const S& s) -> Cell { return s.need.outdoor_intake_m3_per_s; }},
        }};
    return all;
}

} // namespace

const figure::TablesOf<CoilLoads>& coil_tables()
{
    static const figure::TablesOf<CoilLoads> all = [] {
        figure::TablesOf<CoilLoads> tables;
        tables.add(coil_load_columns().declaration(), [](const CoilLoads& loads) {
            figure::Table table = figure::table_of(coil_load_columns(), loads.rooms);
            if (loads.rooms.size() > 1) table.add_total("sum");
            if (loads.rooms.empty()) table.told = figure::Told::data;
            return table;
        });
        tables.add(supply_load_columns().declaration(), [](const CoilLoads& loads) {
            figure::Table table = figure::table_of(supply_load_columns(), loads.supplies);
            if (loads.supplies.size() == loads.rooms.size()) table.told = figure::Told::data; // a room each
            return table;
        });
        tables.add(system_air_columns().declaration(), [](const CoilLoads& loads) {
            figure::Table table = figure::table_of(system_air_columns(), loads.systems);
            if (loads.systems.empty()) table.told = figure::Told::data;
            return table;
        });
        return tables;
    }();
    return all;
}

} // namespace venture::airside
