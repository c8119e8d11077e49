#include <venture/loads/air_year_figures.hpp>

#include <algorithm>

#include <venture/climate/date.hpp>

namespace venture::loads::detail {

using figure::Cell;
using figure::Show;
using figure::Sum;
using figure::Told;
using figure::where;

namespace {

/// Of one room, or of all; of a month, or of all that was run.
struct AirRow {
    std::string room{}, supply{};
    int month = 0;
    double volume_m3 = 0.0;
    MonthAir air{};
};

double flow_m3_per_s(const AirRow& a)
{
    return a.air.hours > 0.0 ? a.air.outdoor_air_m3 / (3600.0 * a.air.hours) : 0.0;
}

Cell if_any(double value) { return where(value > 0.0, value); }

/// What air is told by, behind what it is of.
figure::TableOf<AirRow> with_air(figure::TableOf<AirRow> table)
{
    using A = AirRow;
    const std::vector<figure::ColumnOf<A>> air = {
        {{"outdoor_air", "Outdoor\nair", "air_flow", "mean flow by leaks, windows and supply, of air at 20 degC", 1,
          Sum::added},
         [](const A& a) -> Cell { return flow_m3_per_s(a); }},
        {{"changes", "changes", "air_changes", "of outdoor air, mean", 3},
         [](const A& a) -> Cell { return where(a.volume_m3 > 0.0, 3600.0 * flow_m3_per_s(a) / a.volume_m3); }},
        {{"recovered", "Heat\nrecovered", "energy", "sensible heat that recovery gave to outdoor air", 1, Sum::added,
          Show::if_any},
         [](const A& a) -> Cell { return if_any(a.air.recovered_heat_J); }},
        {{"recovered_cold", "Cold\nrecovered", "energy", "sensible heat that recovery took from outdoor air", 4,
          Sum::added, Show::if_any},
         [](const A& a) -> Cell { return if_any(a.air.recovered_cold_J); }},
        {{"free_cooling", "Free\ncooling", "energy",
          "by recovery that was passed by, and by more outdoor air than was needed", 2, Sum::added, Show::if_any},
         [](const A& a) -> Cell { return if_any(a.air.free_cooling_J); }},
        {{"heats_then_cools", "heated,\nthen cooled", "energy", "recovered into air that was then cooled", 3,
          Sum::added, Show::if_any},
         [](const A& a) -> Cell { return if_any(a.air.heats_then_cools_J); }},
        {{"heats_then_cools_hours", "", "hours", "in which that was so", 5, Sum::largest, Show::if_any},
         [](const A& a) -> Cell { return if_any(a.air.heats_then_cools_h); }},
        {{"fans", "Fans", "electricity", "electricity of supply and extract fans; it warms no air here", 2, Sum::added,
          Show::if_any},
         [](const A& a) -> Cell { return if_any(a.air.fan_J); }},
        {{"coil_heating", "Coils\nheat", "energy", "of a supply that gives everything, outdoor air and reheat with it",
          1, Sum::added, Show::if_any},
         [](const A& a) -> Cell { return if_any(a.air.heating_J); }},
        {{"reheat", "of it\nreheat", "energy", "of air that was cooled to be dried", 4, Sum::added, Show::if_any},
         [](const A& a) -> Cell { return if_any(a.air.reheat_J); }},
        {{"coil_cooling", "Coils\ncool", "energy", "alike, sensible and latent", 1, Sum::added, Show::if_any},
         [](const A& a) -> Cell { return if_any(a.air.cooling_sensible_J + a.air.cooling_latent_J); }},
        {{"coil_latent", "of it\nlatent", "energy", "water that condenses", 4, Sum::added, Show::if_any},
         [](const A& a) -> Cell { return if_any(a.air.cooling_latent_J); }},
        {{"humidifying", "humidi-\nfying", "energy", "moisture put in, as heat of vaporisation", 3, Sum::added,
          Show::if_any},
         [](const A& a) -> Cell { return if_any(a.air.humidifying_J); }},
    };
    table.columns.insert(table.columns.end(), air.begin(), air.end());
    return table;
}

std::string month_of(const AirRow& a) { return climate::month_name(a.month); }

const figure::TableOf<AirRow>& room_air_columns()
{
    static const figure::TableOf<AirRow> all = with_air(
        {{"room_air", "Air of rooms over the year", "A room's outdoor air and what is done to it.", 1, Told::everyone},
         {{{"room", "Room", "", "name of the room", 0}, [](const AirRow& a) -> Cell { return a.room; }},
          {{"supply", "Air by", "", "air supply that it comes by; none: straight into the room", 4, Sum::none,
            Show::if_any},
           [](const AirRow& a) -> Cell { return where(!a.supply.empty(), a.supply); }}}});
    return all;
}

const figure::TableOf<AirRow>& month_air_columns()
{
    static const figure::TableOf<AirRow> all =
        with_air({{"month_air", "Air by month", "All rooms together, month by month."},
                  {{{"month", "All rooms", "", "month", 0}, [](const AirRow& a) -> Cell { return month_of(a); }}}});
    return all;
}

const figure::TableOf<AirRow>& room_month_air_columns()
{
    static const figure::TableOf<AirRow> all =
        with_air({{"room_month_air", "Air of rooms by month", "A room's air in one month.", 2, Told::data},
                  {{{"room", "Room", "", "name of the room", 0}, [](const AirRow& a) -> Cell { return a.room; }},
                   {{"month", "Month", "", "month", 0}, [](const AirRow& a) -> Cell { return month_of(a); }}}});
    return all;
}

AirRow whole_year(const RoomYear& room)
{
    AirRow out{room.room, room.air.supply, 0, room.volume_m3, {}};
    for (const MonthAir& month : room.air.months) {
        out.air += month;
        out.air.hours += month.hours;
        out.air.heats_then_cools_h += month.heats_then_cools_h;
    }
    return out;
}

AirRow all_rooms(const BuildingYear& year, std::size_t month)
{
    AirRow out{.month = static_cast<int>(month) + 1};
    for (const RoomYear& room : year.rooms) {
        const MonthAir& air = room.air.months.at(month);
        out.air += air;
        out.volume_m3 += room.volume_m3;
        out.air.hours = air.hours;
        out.air.heats_then_cools_h = std::max(out.air.heats_then_cools_h, air.heats_then_cools_h);
    }
    return out;
}

bool any_supply(const BuildingYear& year)
{
    return std::ranges::any_of(year.rooms, [](const RoomYear& r) { return !r.air.supply.empty(); });
}

/// For people only where an air supply has something to tell.
figure::Table told_if_supplied(figure::Table table, const BuildingYear& year)
{
    if (!any_supply(year)) table.told = Told::data;
    return table;
}

} // namespace

void add_air_year_tables(figure::TablesOf<YearRow>& tables)
{
    tables
        .add(room_air_columns().declaration(),
             [](const YearRow& y) {
                 std::vector<AirRow> rows;
                 for (const RoomYear& room : y.year->rooms) rows.push_back(whole_year(room));
                 return told_if_supplied(figure::table_of(room_air_columns(), rows), *y.year);
             })
        .add(month_air_columns().declaration(),
             [](const YearRow& y) {
                 std::vector<AirRow> rows;
                 for (std::size_t month = 0; month < 12; ++month) rows.push_back(all_rooms(*y.year, month));
                 return told_if_supplied(figure::table_of(month_air_columns(), rows), *y.year);
             })
        .add(room_month_air_columns(), [](const YearRow& y) {
            std::vector<AirRow> rows;
            for (const RoomYear& room : y.year->rooms)
                for (std::size_t month = 0; month < 12; ++month)
                    rows.push_back({room.room, room.air.supply, static_cast<int>(month) + 1, room.volume_m3,
                                    room.air.months.at(month)});
            return rows;
        });
}

} // namespace venture::loads::detail
