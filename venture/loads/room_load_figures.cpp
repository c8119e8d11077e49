/// Columns of the loads of rooms.

#include <venture/air/moist_air.hpp>
#include <venture/air/room_density.hpp>
#include <venture/loads/load_figures.hpp>

namespace venture::loads {

using figure::Cell;
using figure::ratio;
using figure::Show;
using figure::Sum;
using figure::where;

namespace {

/// Who says a room's loads.
std::string said_by(const RoomLoadRow& row)
{
    const RoomLoad& r = *row.load;
    if (row.left_out) return "left out";
    if (r.typed || (r.heating_overruled && r.cooling_overruled)) return "typed";
    if (r.heating_overruled) return "heating typed";
    return r.cooling_overruled ? "cooling typed" : "computed";
}

} // namespace

const figure::TableOf<RoomLoadRow>& room_load_columns()
{
    using R = RoomLoadRow;
    static const figure::TableOf<R> all = {
        {"room_load", "Loads of rooms", "A room and what it needs on its worst design days, for a convective supply."},
        {
            {{"room", "Room", "", "name of the room", 0}, [](const R& r) -> Cell { return r.load->room; }},
            {{"storey", "Storey", "", "storey that it is on", 6}, [](const R& r) -> Cell { return r.load->storey; }},
            {{"area", "Area", "area", "floor area", 4, Sum::added},
             [](const R& r) -> Cell { return where(r.load->floor_area_m2 > 0.0, r.load->floor_area_m2); }},
            {{"said_by", "Loads", "", "computed, typed, or which of them is typed; left out: no part of the building",
              2, Sum::none, Show::if_varied},
             [](const R& r) -> Cell { return said_by(r); }},
            {{"heating", "Heating", "power", "largest hour mean in winter design", 1, Sum::added},
             [](const R& r) -> Cell { return where(r.load->heated, r.load->heating_W); }},
            {{"heating_per_area", "Heating", "power_per_area", "heating for each square metre of floor", 3},
             [](const R& r) -> Cell {
                 return r.load->heated ? ratio(r.load->heating_W, r.load->floor_area_m2) : Cell{};
             }},
            {{"heating_up", "heating up", "power", "of it, what coming back from set-backs adds", 5, Sum::added,
              Show::data},
             [](const R& r) -> Cell { return where(r.load->heating_up_W > 0.0, r.load->heating_up_W); }},
            {{"after_days_off", "after\ndays off", "power", "largest hour of winter design after days at the set-back",
              1, Sum::added, Show::if_any},
             [](const R& r) -> Cell { return figure::cell_of(r.after_days_off_W); }},
            {{"by_hand", "By hand", "power", "U x A x K and air flows at steady state, for comparison", 7, Sum::added},
             [](const R& r) -> Cell { return where(r.load->heated && !r.load->paper.empty(), r.load->paper_W()); }},
            {{"cooling", "Cooling", "power",
              "sensible and latent together, largest hour mean of the cooling design days", 1, Sum::added},
             [](const R& r) -> Cell { return where(r.load->cooled, r.load->cooling_W); }},
            {{"pre_cooling", "pre-cooling", "power", "of it, what coming back from set-backs adds on that day", 5,
              Sum::added, Show::data},
             [](const R& r) -> Cell { return where(r.load->pre_cooling_W > 0.0, r.load->pre_cooling_W); }},
            {{"cooling_sensible", "sensible", "power", "sensible part in that hour", 2, Sum::added},
             [](const R& r) -> Cell { return where(r.load->cooled, r.load->cooling_sensible_W); }},
            {{"cooling_latent", "latent", "power", "latent part in that hour", 2, Sum::added},
             [](const R& r) -> Cell { return where(r.load->cooled, r.load->cooling_latent_W); }},
            {{"cooling_per_area", "Cooling", "power_per_area", "cooling for each square metre of floor", 3},
             [](const R& r) -> Cell {
                 return r.load->cooled ? ratio(r.load->cooling_W, r.load->floor_area_m2) : Cell{};
             }},
            {{"cooling_per_volume", "Cooling", "power_per_volume", "cooling for each cubic metre", 7, Sum::none,
              Show::data},
             [](const R& r) -> Cell { return r.load->cooled ? ratio(r.load->cooling_W, r.load->volume_m3) : Cell{}; }},
            {{"supply_air", "supply air", "air_flow",
              "that carries the largest sensible cooling at the difference asked for", 1, Sum::added, Show::if_any},
             [](const R& r) -> Cell { return figure::cell_of(r.supply_m3_per_s); }},
            {{"cooling_when", "at", "", "day and clock hour of the cooling", 2},
             [](const R& r) -> Cell { return where(r.load->cooled, r.load->cooling_when); }},
            {{"week", "over its\nweek", "power",
              "largest hour of cooling over a week of the building's own calendar under design days' weather", 1,
              Sum::added, Show::if_any},
             [](const R& r) -> Cell { return r.week ? Cell{r.week->cooling_W} : Cell{}; }},
            {{"week_when", "on", "", "weekday, design day and hour of that", 6, Sum::none, Show::if_any},
             [](const R& r) -> Cell { return r.week && r.week->cooling_W > 0.0 ? Cell{r.week->when} : Cell{}; }},
            {{"humidifying", "Humidifying", "power",
              "largest hour mean of what keeps the room at its least humidity in winter design, as heat of "
              "vaporisation",
              2, Sum::added, Show::if_any},
             [](const R& r) -> Cell { return where(r.load->humidifying_W > 0.0, r.load->humidifying_W); }},
            {{"humidifying_when", "Humidifying at", "", "day and clock hour of that", 5, Sum::none, Show::data},
             [](const R& r) -> Cell { return where(r.load->humidifying_W > 0.0, r.load->humidifying_when); }},
            {{"coldest", "Coldest", "temperature", "lowest hour mean of its air in winter design", 5, Sum::smallest},
             [](const R& r) -> Cell { return where(!r.load->typed, r.load->lowest_air_C); }},
            {{"warmest", "Warmest", "temperature", "highest hour mean of its air on cooling design days", 5,
              Sum::largest},
             [](const R& r) -> Cell {
                 return where(!r.load->typed && !r.load->cooling_days.empty(), r.load->highest_air_C);
             }},
            {{"heating_when", "Heating at", "", "day and clock hour of the heating", 5, Sum::none, Show::data},
             [](const R& r) -> Cell { return where(r.load->heated, r.load->heating_when); }},
            {{"heating_room", "Room in heating", "temperature", "set-point of heating", 5, Sum::none, Show::data},
             [](const R& r) -> Cell { return where(r.load->heated, r.load->heating_room_C); }},
            {{"heating_set_by", "Heating set by", "", "where the heating set-point comes from", 5, Sum::none,
              Show::data},
             [](const R& r) -> Cell {
                 return where(r.load->heated && !r.load->typed, r.origins->describe(r.load->heating_setpoint_origin));
             }},
            {{"sensible_peak", "Sensible peak", "power", "largest hour mean of the sensible cooling by itself", 5,
              Sum::added, Show::data},
             [](const R& r) -> Cell { return where(r.load->cooled, r.load->cooling_sensible_peak_W); }},
            {{"sensible_peak_when", "Sensible peak at", "", "day and clock hour of that", 5, Sum::none, Show::data},
             [](const R& r) -> Cell { return where(r.load->cooled, r.load->cooling_sensible_when); }},
            {{"cooling_air", "Air in cooling", "temperature", "room air in the hour of the cooling", 5, Sum::none,
              Show::data},
             [](const R& r) -> Cell { return where(r.load->cooled, r.load->cooling_air_C); }},
            {{"cooling_humidity", "Humidity in cooling", "humidity_ratio", "of the room air in that hour", 5, Sum::none,
              Show::data},
             [](const R& r) -> Cell { return where(r.load->cooled, r.load->cooling_humidity_ratio); }},
            {{"cooling_outdoor", "Outdoors in cooling", "temperature", "outdoor air in that hour", 5, Sum::none,
              Show::data},
             [](const R& r) -> Cell { return where(r.load->cooled, r.load->cooling_outdoor_C); }},
            {{"cooling_set_by", "Cooling set by", "", "where the cooling set-point comes from", 5, Sum::none,
              Show::data},
             [](const R& r) -> Cell {
                 return where(r.load->cooled && !r.load->typed, r.origins->describe(r.load->cooling_setpoint_origin));
             }},
            {{"typed_at", "Typed at", "", "where typed loads stand", 5, Sum::none, Show::data},
             [](const R& r) -> Cell { return where(r.load->typed, r.origins->describe(r.load->origin)); }},
        }};
    return all;
}

std::vector<RoomLoadRow> rows_of(const DesignTold& told)
{
    std::vector<RoomLoadRow> out;
    const RoomLoads& loads = told.design->loads;
    const double heat_J_per_m3K = air::room_density_kg_per_m3(quantity::Pressure::pascal(loads.pressure_Pa)) *
                                  air::specific_heat_of_dry_air_J_per_kgK;
    for (const RoomLoad& load : loads.rooms) {
        const auto index = told.building != nullptr ? told.building->find_room(load.room) : std::nullopt;
        RoomLoadRow& row =
            out.emplace_back(RoomLoadRow{&load, told.origins, index && told.building->rooms[*index].left_out});
        if (told.supply_K && load.cooled)
            row.supply_m3_per_s = load.cooling_sensible_peak_W / (heat_J_per_m3K * *told.supply_K);
        if (told.after && told.after->any_sets_back && index && load.heated)
            row.after_days_off_W = told.after->heating_W[*index];
        if (told.weeks && index && load.cooled && !load.typed) row.week = told.weeks->rooms[*index];
    }
    return out;
}

} // namespace venture::loads
