#include <venture/loads/year_figures.hpp>

#include <algorithm>

#include <venture/climate/date.hpp>
#include <venture/loads/air_year_figures.hpp>
#include <venture/loads/room_year_figures.hpp>

namespace venture::loads {

using figure::Cell;
using figure::Show;
using figure::Sum;
using figure::Told;
using figure::where;

namespace {

struct RoomYearRow {
    const RoomYear* room = nullptr;
    MonthHeat sum{};
    bool leap = false;
};
struct MonthRow {
    std::string room{}; ///< empty: all rooms
    int month = 1;
    MonthHeat heat{};
    bool cools = false; ///< the room, or any
};

MonthHeat& operator+=(MonthHeat& sum, const MonthHeat& m)
{
    sum.heating_J += m.heating_J;
    sum.cooling_J += m.cooling_J;
    sum.latent_J += m.latent_J;
    sum.humidifying_J += m.humidifying_J;
    return sum;
}

bool has_heated(const RoomYearRow& r) { return r.room->heated && r.room->run.heating_peak_W > 0.0; }
bool has_cooled(const RoomYearRow& r) { return r.room->cooled && r.room->run.cooling_peak_W > 0.0; }

bool any_cools(const BuildingYear& y) { return std::ranges::any_of(y.rooms, &RoomYear::cooled); }

std::string month_of(const MonthRow& m) { return climate::month_name(m.month); }

const figure::TableOf<RoomYearRow>& room_year_columns()
{
    using R = RoomYearRow;
    static const figure::TableOf<R> all = {
        {"room_year", "Rooms over the year", "A room over the days that were run; times are local standard time."},
        {
            {{"room", "Room", "", "name of the room", 0}, [](const R& r) -> Cell { return r.room->room; }},
            {{"storey", "Storey", "", "storey that it is on", 6, Sum::none, Show::data},
             [](const R& r) -> Cell { return r.room->storey; }},
            {{"area", "Area", "area", "floor area", 6, Sum::added, Show::data},
             [](const R& r) -> Cell { return r.room->floor_area_m2; }},
            {{"heating", "Heating", "energy", "heat put in", 1, Sum::added},
             [](const R& r) -> Cell { return where(r.room->heated, r.sum.heating_J); }},
            {{"heating_peak", "largest", "power", "largest hour mean of heating", 2, Sum::largest},
             [](const R& r) -> Cell { return where(has_heated(r), r.room->run.heating_peak_W); }},
            {{"heating_peak_when", "on", "", "its hour", 5},
             [](const R& r) -> Cell {
                 return has_heated(r) ? Cell{hour_of_year(r.room->run.heating_peak_hour, r.leap)} : Cell{};
             }},
            {{"cooling", "Cooling", "energy", "sensible heat taken out", 1, Sum::added, Show::if_any},
             [](const R& r) -> Cell { return where(r.room->cooled, r.sum.cooling_J); }},
            {{"latent", "latent", "energy", "latent heat taken out beside it", 4, Sum::added, Show::if_any},
             [](const R& r) -> Cell { return where(r.room->cooled, r.sum.latent_J); }},
            {{"humidifying", "humidi-\nfying", "energy", "moisture put in, as heat of vaporisation", 4, Sum::added,
              Show::if_any},
             [](const R& r) -> Cell { return where(r.sum.humidifying_J > 0.0, r.sum.humidifying_J); }},
            {{"cooling_peak", "largest", "power", "largest hour mean of cooling", 2, Sum::largest, Show::if_any},
             [](const R& r) -> Cell { return where(has_cooled(r), r.room->run.cooling_peak_W); }},
            {{"cooling_peak_when", "on", "", "its hour", 5, Sum::none, Show::if_any},
             [](const R& r) -> Cell {
                 return has_cooled(r) ? Cell{hour_of_year(r.room->run.cooling_peak_hour, r.leap)} : Cell{};
             }},
            {{"too_cold", "too cold", "hours", "at whose end the heating set-point is missed by more than 0.1 K", 2,
              Sum::largest},
             [](const R& r) -> Cell { return where(r.room->heated, r.room->run.too_cold_h); }},
            {{"too_warm", "too warm", "hours", "at whose end the cooling set-point is missed by more than 0.1 K", 2,
              Sum::largest},
             [](const R& r) -> Cell { return where(r.room->cooled, r.room->run.too_warm_h); }},
            {{"too_dry", "too dry", "hours", "at whose end its humidity ratio is more than 1 % below the least one", 3,
              Sum::largest, Show::if_any},
             [](const R& r) -> Cell { return where(r.room->limited_moisture, r.room->run.too_dry_h); }},
            {{"too_humid", "too humid", "hours", "at whose end its humidity ratio is more than 1 % above the limit", 3,
              Sum::largest, Show::if_any},
             [](const R& r) -> Cell { return where(r.room->limited_moisture, r.room->run.too_humid_h); }},
            {{"coldest", "Coldest", "temperature", "lowest hour mean of what its set-points refer to", 3,
              Sum::smallest},
             [](const R& r) -> Cell { return r.room->run.coldest_C; }},
            {{"warmest", "Warmest", "temperature", "highest hour mean of what its set-points refer to", 3,
              Sum::largest},
             [](const R& r) -> Cell { return r.room->run.warmest_C; }},
            {{"heated_hours", "heated", "hours", "with any heating", 5, Sum::largest, Show::data},
             [](const R& r) -> Cell { return r.room->run.heated_h; }},
            {{"cooled_hours", "cooled", "hours", "with any cooling", 5, Sum::largest, Show::data},
             [](const R& r) -> Cell { return r.room->run.cooled_h; }},
        }};
    return all;
}

/// What a month's heat is told by, behind what it is of.
figure::TableOf<MonthRow> with_heat(figure::TableOf<MonthRow> table)
{
    using M = MonthRow;
    const std::vector<figure::ColumnOf<M>> heat = {
        {{"heating", "Heating", "energy", "heat put in", 1, Sum::added},
         [](const M& m) -> Cell { return m.heat.heating_J; }},
        {{"cooling", "Cooling", "energy", "sensible heat taken out", 1, Sum::added, Show::if_any},
         [](const M& m) -> Cell { return where(m.cools, m.heat.cooling_J); }},
        {{"latent", "latent", "energy", "latent heat taken out beside it", 1, Sum::added, Show::if_any},
         [](const M& m) -> Cell { return where(m.cools, m.heat.latent_J); }},
        {{"humidifying", "humidi-\nfying", "energy", "moisture put in, as heat of vaporisation", 2, Sum::added,
          Show::if_any},
         [](const M& m) -> Cell { return where(m.heat.humidifying_J > 0.0, m.heat.humidifying_J); }},
    };
    table.columns.insert(table.columns.end(), heat.begin(), heat.end());
    return table;
}

const figure::TableOf<MonthRow>& month_year_columns()
{
    static const figure::TableOf<MonthRow> all =
        with_heat({{"month_year", "Months", "All rooms together, month by month."},
                   {{{"month", "All rooms", "", "month", 0}, [](const MonthRow& m) -> Cell { return month_of(m); }}}});
    return all;
}

const figure::TableOf<MonthRow>& room_month_columns()
{
    static const figure::TableOf<MonthRow> all =
        with_heat({{"room_month", "Rooms by month", "A room in one month.", 2, Told::data},
                   {{{"room", "Room", "", "name of the room", 0}, [](const MonthRow& m) -> Cell { return m.room; }},
                    {{"month", "Month", "", "month", 0}, [](const MonthRow& m) -> Cell { return month_of(m); }}}});
    return all;
}

const figure::TableOf<YearRow>& building_year_columns()
{
    using Y = YearRow;
    static const figure::TableOf<Y> all = {
        {"building_year", "The run", "The building over the days that were run, and how they were run.", 1, Told::data},
        {
            {{"weather", "Weather", "", "name of the weather year", 0},
             [](const Y& y) -> Cell { return y.year->weather; }},
            {{"synthetic", "Synthetic", "", "its weather was made up"},
             [](const Y& y) -> Cell { return y.year->synthetic; }},
            {{"first_day", "First day", "count", "of the year, from 1"},
             [](const Y& y) -> Cell { return figure::whole(y.year->first_day); }},
            {{"days", "Days", "count", "that were run"},
             [](const Y& y) -> Cell { return figure::whole(y.year->days); }},
            {{"step", "Step", "fine_hours", "of time"}, [](const Y& y) -> Cell { return y.year->step_s / 3600.0; }},
            {{"run_in", "Run-in", "count", "days before the first that were gone through before"},
             [](const Y& y) -> Cell { return y.year->run_in_days; }},
            {{"heating_peak", "Heating", "total_power", "largest hour of all rooms' sum"},
             [](const Y& y) -> Cell { return where(y.year->heating_peak_W > 0.0, y.year->heating_peak_W); }},
            {{"heating_peak_when", "on", "", "its hour"},
             [](const Y& y) -> Cell {
                 return where(y.year->heating_peak_W > 0.0, hour_of_year(y.year->heating_peak_hour, y.leap));
             }},
            {{"cooling_peak", "Cooling", "total_power", "largest hour of all rooms' sum"},
             [](const Y& y) -> Cell { return where(y.year->cooling_peak_W > 0.0, y.year->cooling_peak_W); }},
            {{"cooling_peak_when", "on", "", "its hour"},
             [](const Y& y) -> Cell {
                 return where(y.year->cooling_peak_W > 0.0, hour_of_year(y.year->cooling_peak_hour, y.leap));
             }},
            {{"closure", "Closure", "residual", "what is missing in the heat balance, as a share of throughput"},
             [](const Y& y) -> Cell { return y.year->worst_closure; }},
            {{"unsettled_steps", "Unsettled", "count", "steps in which zones did not come to rest; never believe any"},
             [](const Y& y) -> Cell { return figure::whole(y.year->unsettled_steps); }},
            {{"film_residual", "Films", "residual",
              "what is left between films and temperatures, as a share of a room's largest hour"},
             [](const Y& y) -> Cell { return y.year->film_residual; }},
        }};
    return all;
}

const figure::TableOf<DurationPoint>& duration_columns()
{
    using D = DurationPoint;
    static const figure::TableOf<D> all = {
        {"duration", "Load and duration", "What the sum over all rooms is, or more, in so many hours of the run.", 1},
        {
            {{"hours", "In so many\nhours", "hours", "in which it is as much, or more", 0},
             [](const D& d) -> Cell { return d.hours; }},
            {{"heating", "heating of all\nrooms is at least", "total_power", "hour mean"},
             [](const D& d) -> Cell { return d.heating_W; }},
            {{"cooling", "cooling is\nat least", "total_power", "hour mean, sensible and latent", 1, Sum::none,
              Show::if_any},
             [](const D& d) -> Cell { return where(d.cooling_W > 0.0, d.cooling_W); }},
        }};
    return all;
}

std::vector<RoomYearRow> room_year_rows(const YearRow& year)
{
    std::vector<RoomYearRow> out;
    for (const RoomYear& room : year.year->rooms) {
        RoomYearRow row{&room, {}, year.leap};
        for (const MonthHeat& month : room.months) row.sum += month;
        out.push_back(row);
    }
    return out;
}

/// Twelve, of all rooms together.
std::vector<MonthRow> month_rows(const BuildingYear& year)
{
    std::vector<MonthRow> out;
    for (std::size_t month = 0; month < 12; ++month) {
        MonthRow row{.month = static_cast<int>(month) + 1, .cools = any_cools(year)};
        for (const RoomYear& room : year.rooms) row.heat += room.months.at(month);
        out.push_back(std::move(row));
    }
    return out;
}

/// Twelve of each room.
std::vector<MonthRow> room_month_rows(const BuildingYear& year)
{
    std::vector<MonthRow> out;
    for (const RoomYear& room : year.rooms)
        for (std::size_t month = 0; month < 12; ++month)
            out.push_back({room.room, static_cast<int>(month) + 1, room.months.at(month), room.cooled});
    return out;
}

} // namespace

const figure::TablesOf<YearRow>& year_tables()
{
    static const figure::TablesOf<YearRow> all = [] {
        figure::TablesOf<YearRow> tables;
        tables.add(room_year_columns(), room_year_rows)
            .add(month_year_columns().declaration(),
                 [](const YearRow& y) {
                     figure::Table months = figure::table_of(month_year_columns(), month_rows(*y.year));
                     months.add_total("sum");
                     constexpr int a_month = 31;
                     if (y.year->days <= a_month) months.told = Told::data;
                     return months;
                 })
            .add(room_month_columns(), [](const YearRow& y) { return room_month_rows(*y.year); })
            .add(duration_columns(), [](const YearRow& y) { return y.year->duration; })
            .add(damp_columns(),
                 [](const YearRow& y) {
                     return y.building != nullptr ? damp_rows(*y.building, *y.year) : std::vector<DampRow>{};
                 })
            .add(building_year_columns(), [](const YearRow& y) { return std::vector{y}; });
        detail::add_air_year_tables(tables);
        detail::add_room_year_tables(tables);
        return tables;
    }();
    return all;
}

figure::When hour_of_year(std::size_t hour, bool leap)
{
    const climate::MonthDay date = climate::month_day(static_cast<int>(hour / 24) + 1, leap);
    return {climate::in_words(date), date.month, static_cast<int>(hour % 24)};
}

figure::Table series_table(const BuildingYear& year, bool leap)
{
    figure::Table out;
    out.name = "series";
    out.title = "Hour by hour";
    out.meaning = "Means over hours of local standard time.";
    out.subjects = 2;
    out.told = Told::data;
    out.columns.push_back({"day", "Day", "", "date", 0});
    out.columns.push_back({"hour", "Hour", "count", "14: from 14 to 15 h", 0});
    for (const balance::Series& s : year.series) {
        const std::string name = s.id.empty() ? s.kind : s.id + ": " + s.kind;
        out.columns.push_back({name, name, std::string{quantity::printed_in(s.unit)}, s.kind});
    }
    const std::size_t hours = 24 * static_cast<std::size_t>(year.days);
    for (std::size_t h = 0; h < hours; ++h) {
        const int day = year.first_day + static_cast<int>(h / 24);
        auto& row = out.rows.emplace_back();
        row.emplace_back(climate::in_words(climate::month_day(day, leap)));
        row.push_back(figure::whole(h % 24));
        for (const balance::Series& s : year.series) row.emplace_back(s.values[h]);
    }
    return out;
}

} // namespace venture::loads
