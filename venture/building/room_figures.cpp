/// Columns of rooms, and of the project that they belong to.

#include <algorithm>
#include <cmath>

#include <fmt/format.h>

#include <venture/building/building_figures.hpp>

namespace venture::building {

using figure::Cell;
using figure::ratio;
using figure::Show;
using figure::Sum;
using figure::where;

namespace {

constexpr double hour_s = 3600.0;
constexpr bool dash = true;

Cell setpoint(const std::optional<Sourced<double>>& t) { return t ? Cell{t->value} : Cell{}; }
Cell said_at(const RoomRow& r, const std::optional<Sourced<double>>& t)
{
    return t ? Cell{r.building->origins.describe(t->origin)} : Cell{};
}

} // namespace

const figure::TableOf<Project>& project_columns()
{
    using P = Project;
    static const figure::TableOf<P> all = {
        {"project", "Project", "What the whole is of.", 1, figure::Told::data},
        {
            {{"name", "Project", "", "its name", 0}, [](const P& p) -> Cell { return p.name; }},
            {{"number", "Job", "", "its number"},
             [](const P& p) -> Cell { return where(!p.number.empty(), p.number); }},
            {{"revision", "Revision", "", "as it is stated"},
             [](const P& p) -> Cell { return where(!p.revision.empty(), p.revision); }},
            {{"client", "Client", "", "for whom"},
             [](const P& p) -> Cell { return where(!p.client.empty(), p.client); }},
            {{"author", "Author", "", "who signs"},
             [](const P& p) -> Cell { return where(!p.author.empty(), p.author); }},
            {{"year", "Year", "count", "whose weekdays and dates calendars count"},
             [](const P& p) -> Cell { return figure::whole(p.year); }},
        }};
    return all;
}

const figure::TableOf<RoomRow>& room_columns()
{
    using R = RoomRow;
    static const figure::TableOf<R> all = {
        {"room", "Rooms",
         "A room as it is understood. Walls and roofs run to wall centre lines; floors over outdoor air count as "
         "walls; "
         "air and gains are at full."},
        {
            {{"room", "Room", "", "name of the room", 0}, [](const R& r) -> Cell { return r.room->name; }},
            {{"type", "Type", "", "its room type; left out: no part of the building", 4},
             [](const R& r) -> Cell {
                 return r.room->left_out ? Cell{"left out"} : where(!r.room->type.empty(), r.room->type);
             }},
            {{"storey", "Storey", "", "storey that it is on", 6, Sum::none, Show::data},
             [](const R& r) -> Cell { return r.building->storeys[r.room->storey].name; }},
            {{"area", "Area", "area", "floor area", 1, Sum::added}, [](const R& r) -> Cell { return r.sums.floor_m2; }},
            {{"volume", "Volume", "volume", "of its air", 5, Sum::added},
             [](const R& r) -> Cell { return r.sums.volume_m3; }},
            {{"wall_gross", "Walls out\ngross", "area", "outside walls with their openings", 6, Sum::added,
              Show::always, dash},
             [](const R& r) -> Cell { return r.sums.wall_gross_m2; }},
            {{"wall_net", "Walls out\nnet", "area", "without them", 3, Sum::added, Show::always, dash},
             [](const R& r) -> Cell { return r.sums.wall_net_m2; }},
            {{"glass", "Walls out\nglass", "area", "windows to outdoors, in walls and roofs", 3, Sum::added,
              Show::always, dash},
             [](const R& r) -> Cell { return r.sums.glass_m2; }},
            {{"glass_share", "Walls out\nglass", "share", "windows in outside walls as a share of these", 7, Sum::none,
              Show::always, dash},
             [](const R& r) -> Cell { return r.sums.glass_share(); }},
            {{"roof_gross", "Roof\ngross", "area", "roof with its openings", 6, Sum::added, Show::always, dash},
             [](const R& r) -> Cell { return r.sums.roof_gross_m2; }},
            {{"roof_net", "Roof\nnet", "area", "without them", 4, Sum::added, Show::always, dash},
             [](const R& r) -> Cell { return r.sums.roof_net_m2; }},
            {{"ground", "\nGround", "area", "on the ground or against it", 4, Sum::added, Show::always, dash},
             [](const R& r) -> Cell { return r.sums.ground_m2; }},
            {{"mean_u", "\nmean U", "heat_transfer", "of all that faces outdoors, with thermal bridges", 2, Sum::none,
              Show::always, dash},
             [](const R& r) -> Cell { return where(r.sums.outdoors_m2 > 0.0, r.sums.mean_u_W_per_m2K()); }},
            {{"heating_setpoint", "Set-points\nheat", "temperature", "held while heating", 2},
             [](const R& r) -> Cell { return setpoint(r.room->use.heating_setpoint_C); }},
            {{"cooling_setpoint", "Set-points\ncool", "temperature", "held while cooling", 2},
             [](const R& r) -> Cell { return setpoint(r.room->use.cooling_setpoint_C); }},
            {{"leaks", "Air\nleaks", "air_changes", "outdoor air through leaks", 3},
             [](const R& r) -> Cell { return ratio(hour_s * r.sums.leaks_m3_per_s, r.sums.volume_m3); }},
            {{"plan_changes", "Air\nby plan", "air_changes", "outdoor air by ventilation", 5, Sum::none, Show::always,
              dash},
             [](const R& r) -> Cell { return ratio(hour_s * r.sums.outdoor_air_m3_per_s, r.sums.volume_m3); }},
            {{"outdoor_air", "Air\nby plan", "air_flow", "outdoor air by ventilation", 3, Sum::added, Show::always,
              dash},
             [](const R& r) -> Cell { return r.sums.outdoor_air_m3_per_s; }},
            {{"people", "\npeople", "people", "at full", 3, Sum::added, Show::always, dash},
             [](const R& r) -> Cell { return r.sums.people; }},
            {{"gains_per_area", "\ngains", "power_per_area", "sensible gains at full, for the floor area", 3, Sum::none,
              Show::always, dash},
             [](const R& r) -> Cell { return ratio(r.sums.gains_W, r.sums.floor_m2); }},
            {{"said", "own/type/\ndefault", "", "how many values of its use the room, its type, and nobody stated", 8},
             [](const R& r) -> Cell {
                 return where(!r.room->name.empty(), fmt::format("{}/{}/{}", r.room->values_given,
                                                                 r.room->values_by_type, r.room->values_by_default));
             }},
            {{"own_values", "Own", "count", "values of its use that the room itself states", 8, Sum::none, Show::data},
             [](const R& r) -> Cell { return figure::whole(r.room->values_given); }},
            {{"type_values", "By type", "count", "that its type states", 8, Sum::none, Show::data},
             [](const R& r) -> Cell { return figure::whole(r.room->values_by_type); }},
            {{"default_values", "By default", "count", "that nobody states", 8, Sum::none, Show::data},
             [](const R& r) -> Cell { return figure::whole(r.room->values_by_default); }},
            {{"gains", "Gains", "power", "sensible gains at full", 5, Sum::added, Show::data},
             [](const R& r) -> Cell { return r.sums.gains_W; }},
            {{"holds", "Holds", "", "temperature that its set-points hold: operative, or air", 5, Sum::none,
              Show::data},
             [](const R& r) -> Cell { return std::string{r.room->use.control_operative ? "operative" : "air"}; }},
            {{"left_out", "Left out", "", "stands, but is no part of the building", 5, Sum::none, Show::data},
             [](const R& r) -> Cell { return r.room->left_out; }},
            {{"heating_set_by", "Heating set by", "", "where the heating set-point comes from", 5, Sum::none,
              Show::data},
             [](const R& r) -> Cell { return said_at(r, r.room->use.heating_setpoint_C); }},
            {{"cooling_set_by", "Cooling set by", "", "where the cooling set-point comes from", 5, Sum::none,
              Show::data},
             [](const R& r) -> Cell { return said_at(r, r.room->use.cooling_setpoint_C); }},
        }};
    return all;
}

namespace {

/// What a total does not add up: shares and means of the sums themselves.
void add_total(figure::Table& table, const Building& b, const std::string& what, const std::vector<std::size_t>& rooms,
               const RoomSums& sums)
{
    static const Room nobody;
    const RoomRow row{&b, &nobody, sums};
    figure::Total& total =
        table.add_total(fmt::format("{}: {} room{}", what, rooms.size(), rooms.size() == 1 ? "" : "s"), rooms);
    for (const char* key : {"glass_share", "mean_u", "leaks", "plan_changes", "gains_per_area"})
        total.cells[table.column(key)] = room_columns().columns[table.column(key)].value(row);
}

} // namespace

figure::Table room_table(const Building& b)
{
    std::vector<RoomRow> rows;
    const std::vector<RoomSums> sums = sums_of_rooms(b);
    RoomSums all;
    std::vector<std::size_t> counted;
    std::vector<RoomSums> of_storey(b.storeys.size());
    std::vector<std::vector<std::size_t>> on_storey(b.storeys.size());
    for (std::size_t r = 0; r < b.rooms.size(); ++r) {
        const Room& room = b.rooms[r];
        rows.push_back({&b, &room, sums[r]});
        if (room.left_out) continue;
        all += sums[r];
        counted.push_back(r);
        of_storey[room.storey] += sums[r];
        on_storey[room.storey].push_back(r);
    }
    figure::Table out = figure::table_of(room_columns(), rows);
    if (b.storeys.size() > 1)
        for (std::size_t s = 0; s < b.storeys.size(); ++s)
            if (!on_storey[s].empty()) add_total(out, b, b.storeys[s].name, on_storey[s], of_storey[s]);
    if (!counted.empty()) add_total(out, b, "building", counted, all);
    return out;
}

} // namespace venture::building
