#include <venture/loads/room_year_figures.hpp>

#include <algorithm>
#include <cmath>
#include <optional>

#include <venture/climate/date.hpp>

namespace venture::loads::detail {

using figure::Cell;
using figure::Show;
using figure::Sum;
using figure::where;

namespace {

struct PathRow {
    const RoomYearParts* room = nullptr;
    std::string path{};
    HeatOfYear heat{};
};
struct GroupsRow {
    std::string room{};
    int month = 1;
    std::array<double, path_groups> by_group_J{};
    double heating_J = 0.0, kept_J = 0.0;
    std::optional<double> cooling_J{}; ///< nothing: never cooled
};

template <Supply supply>
Cell while_it(const PathRow& row)
{
    constexpr auto doing = static_cast<std::size_t>(supply);
    return where(row.room->hours[doing] > 0.0, row.heat.while_J[doing]);
}

const figure::TableOf<PathRow>& path_columns()
{
    using P = PathRow;
    static const figure::TableOf<P> all = {
        {"room_year_part", "Where its heat comes from and goes to",
         "A path over the edge of the room that was taken apart, its heating and its cooling; into the room is "
         "positive. Their sum is what its air and furniture keep.",
         2},
        {
            {{"room", "Room", "", "name of the room", 0, Sum::none, Show::data},
             [](const P& p) -> Cell { return p.room->room; }},
            {{"path", "Into the room", "", "surface, gain or air; heating, cooling", 0},
             [](const P& p) -> Cell { return p.path; }},
            {{"while_heated", "while\nheated", "energy", "in steps in which it is heated", 2, Sum::added, Show::if_any},
             while_it<Supply::heats>},
            {{"while_cooled", "while\ncooled", "energy", "in steps in which it is cooled", 2, Sum::added, Show::if_any},
             while_it<Supply::cools>},
            {{"otherwise", "otherwise", "energy", "in steps in which it is neither", 2, Sum::added, Show::if_any},
             while_it<Supply::rests>},
            {{"whole", "altogether", "energy", "over all days that were run", 1, Sum::added},
             [](const P& p) -> Cell { return p.heat.whole_J(); }},
        }};
    return all;
}

template <PathGroup group>
Cell of_group(const GroupsRow& row)
{
    return row.by_group_J[static_cast<std::size_t>(group)];
}

const figure::TableOf<GroupsRow>& month_columns()
{
    using G = GroupsRow;
    static const figure::TableOf<G> all = {
        {"room_year_month", "The same by month", "A month of the room that was taken apart; into the room is positive.",
         2},
        {
            {{"room", "Room", "", "name of the room", 0, Sum::none, Show::data},
             [](const G& g) -> Cell { return g.room; }},
            {{"month", "Month", "", "month", 0}, [](const G& g) -> Cell { return climate::month_name(g.month); }},
            {{"envelope", "walls,\nwindows", "energy", "walls, roofs, floors, windows, doors, bridges", 2, Sum::added},
             of_group<PathGroup::envelope>},
            {{"neighbours", "rooms\nbeside", "energy", "through partitions, floors and ceilings", 2, Sum::added},
             of_group<PathGroup::neighbours>},
            {{"air", "air", "energy", "infiltration, ventilation, air from other rooms", 2, Sum::added},
             of_group<PathGroup::air>},
            {{"sun", "sun", "energy", "that falls through glass", 2, Sum::added}, of_group<PathGroup::sun>},
            {{"gains", "gains", "energy", "people, lighting, equipment", 2, Sum::added}, of_group<PathGroup::gains>},
            {{"other", "other", "energy", "heat typed for the room itself", 4, Sum::added, Show::if_any, true},
             [](const G& g) -> Cell {
                 const Cell cell = of_group<PathGroup::control>(g);
                 return where(std::get<double>(cell) != 0.0, std::get<double>(cell));
             }},
            {{"heating", "heating", "energy", "heat put in", 1, Sum::added},
             [](const G& g) -> Cell { return g.heating_J; }},
            {{"cooling", "cooling", "energy", "sensible heat taken out: negative", 1, Sum::added, Show::if_any},
             [](const G& g) -> Cell { return figure::cell_of(g.cooling_J); }},
            {{"kept", "kept", "energy", "by its air and furniture: the sum of all the others", 3, Sum::added},
             [](const G& g) -> Cell { return g.kept_J; }},
        }};
    return all;
}

/// What comes in first, the most of it at the top; then what leaves; then heating and cooling.
std::vector<PathRow> path_rows(const YearRow& year)
{
    if (!year.year->parts) return {};
    const RoomYearParts& parts = *year.year->parts;
    std::vector<PathRow> out;
    constexpr double least_J = 1.0;
    const auto any = [](const HeatOfYear& heat) {
        return std::ranges::any_of(heat.while_J, [](double j) { return std::abs(j) > least_J; });
    };
    for (const YearPath& p : parts.paths)
        if (any(p.heat)) out.push_back({&parts, p.through.empty() ? std::string{in_words(p.kind)} : p.through, p.heat});
    std::ranges::stable_sort(out, std::greater{}, [](const PathRow& row) { return row.heat.whole_J(); });
    if (any(parts.heating)) out.push_back({&parts, "heating", parts.heating});
    if (any(parts.cooling)) out.push_back({&parts, "cooling", parts.cooling});
    return out;
}

std::vector<GroupsRow> month_rows(const YearRow& year)
{
    if (!year.year->parts) return {};
    const RoomYearParts& parts = *year.year->parts;
    std::vector<GroupsRow> out;
    for (std::size_t m = 0; m < 12; ++m) {
        GroupsRow row{.room = parts.room,
                      .month = static_cast<int>(m) + 1,
                      .heating_J = parts.heating.month_J[m],
                      .kept_J = parts.kept.month_J[m]};
        if (parts.hours[static_cast<std::size_t>(Supply::cools)] > 0.0) row.cooling_J = parts.cooling.month_J[m];
        for (const YearPath& p : parts.paths)
            row.by_group_J[static_cast<std::size_t>(group_of(p.kind))] += p.heat.month_J[m];
        const bool was_run =
            row.kept_J != 0.0 || std::ranges::any_of(row.by_group_J, [](double j) { return j != 0.0; });
        if (was_run) out.push_back(std::move(row));
    }
    return out;
}

} // namespace

void add_room_year_tables(figure::TablesOf<YearRow>& tables)
{
    tables
        .add(path_columns().declaration(),
             [](const YearRow& y) {
                 figure::Table out = figure::table_of(path_columns(), path_rows(y));
                 if (!out.rows.empty()) out.add_total("sum: kept by its air and furniture");
                 return out;
             })
        .add(month_columns().declaration(), [](const YearRow& y) {
            figure::Table out = figure::table_of(month_columns(), month_rows(y));
            if (!out.rows.empty()) out.add_total("sum");
            return out;
        });
}

} // namespace venture::loads::detail
