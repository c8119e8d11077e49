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
            {{"cooling_when", "at", "", "that hour", 4, Sum::none, Show::if_any},
             [](const C& c) -> Cell { return c.cooling_W > 0.0 ? Cell{c.cooling_when} : Cell{}; }},
            {{"reheat", "Reheat", "power", "of air that was cooled to be dried, largest", 2, Sum::added, Show::if_any},
             [](const C& c) -> Cell { return if_any(c.reheat_W); }},
            {{"fans", "Fans", "electric_power", "electric, largest", 4, Sum::added},
             [](const C& c) -> Cell { return if_any(c.fan_W); }},
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
        return tables;
    }();
    return all;
}

} // namespace venture::airside
