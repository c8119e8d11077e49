#include <venture/report/check_report.hpp>

#include <algorithm>
#include <map>

#include <fmt/format.h>

#include <venture/building/building_figures.hpp>
#include <venture/quantity/names.hpp>
#include <venture/quantity/units.hpp>
#include <venture/report/loads_report.hpp>

namespace venture::report {

using building::Building;
using figure::Cell;
using figure::Document;
using figure::Table;
using quantity::Kind;
using quantity::PreferredUnits;

namespace {

std::string rooms_note(const Building& b)
{
    return fmt::format("Walls and roofs run to wall centre lines{}, gross and net of openings; floors over outdoor air "
                       "count as walls; mean U of all that faces outdoors; air by plan and gains at full, sensible; "
                       "own/type/default counts who stated each value of use.\n",
                       b.dimensions == building::PlanDimensions::inside_faces
                           ? "; floor areas and volumes between inside faces, as typed"
                       : b.dimensions == building::PlanDimensions::outside_faces ? ", from outside faces as typed"
                                                                                 : "");
}

/// Values that rooms have instead of those of their type.
std::string overruled_text(const std::vector<building::OverruledRow>& rows)
{
    std::string out;
    for (const auto& [room, v] : rows)
        out += fmt::format("  {}: {} {} instead of {} of '{}'\n", room->name, v->key, v->own, v->of_type, room->type);
    return out.empty() ? out : "\nValues that rooms have over their type\n\n" + out;
}

std::string films_text(const Building& b, const PreferredUnits& units)
{
    return fmt::format("Films inside {}; outside {}. Shadows of the building itself, of what is stated round it and of "
                       "plates at windows are worked out "
                       "exactly.\n",
                       b.method.films_by_difference ? "by the difference between face and air"
                                                    : "after ISO 6946, fixed",
                       b.method.wind_and_sky ? "by wind, long wave to sky and surroundings apart"
                                             : units.text(25.0, Kind::heat_transfer) + " to the air");
}

std::string hours_note(const Building& b, const std::vector<building::HoursRow>& rows)
{
    if (std::ranges::all_of(rows, [](const auto& row) { return row.hours->is_one_profile(); })) return {};
    return fmt::format("Calendars count the weekdays of {} ({}); `venture draw year` shows them day by hour.\n",
                       b.project.year, b.origins.describe(b.project.year_origin));
}

/// Why one build-up stands in several lines; what a typed U-value means for its thickness.
std::string build_ups_note(const std::vector<building::BuildupUse>& rows)
{
    const bool twice = std::ranges::any_of(rows, [&](const auto& u) {
        return std::ranges::count(rows, u.first->build_up, [](const auto& v) { return v.first->build_up; }) > 1;
    });
    const auto any = [&](const auto& is_so) {
        return std::ranges::any_of(rows,
                                   [&](const auto& u) { return is_so(u.building->build_ups[u.first->build_up]); });
    };
    const bool typed = any([](const building::NamedBuildup& b) { return b.typed.has_value(); });
    const bool bare = any([](const building::NamedBuildup& b) { return !b.typed && !known_thickness_m(b); });
    return std::string{twice ? "A build-up has another U where films differ: heat goes up, down or level, and to "
                               "outdoors, ground or a room.\n"
                             : ""} +
           (typed ? "No thickness stands where a U-value was typed: layers that make it were found, not built.\n"
                  : "") +
           (bare ? "No thickness stands where a layer is a bare resistance.\n" : "");
}

/// Set-backs of rooms, those alike together.
struct AlikeSetbacks {
    std::vector<std::string> rooms{};
    building::SetbackRow first{};
};
Table setbacks_alike(const std::vector<building::SetbackRow>& rows)
{
    using A = AlikeSetbacks;
    static const figure::TableOf<A> declared = {
        {"setbacks_alike", "Set-backs", "Rooms that hold the same outside the hours of their set-points.", 2,
         figure::Told::people},
        {
            {{"rooms", "Rooms that set back", "", "which", 0},
             [](const A& a) -> Cell {
                 return a.rooms.size() <= 3 ? quantity::listed(a.rooms)
                                            : fmt::format("{} and {} more", a.rooms.front(), a.rooms.size() - 1);
             }},
            {{"of", "", "", "heating or cooling", 0}, [](const A& a) -> Cell { return std::string{a.first.of}; }},
            {{"setpoint", "set-point", "temperature", ""}, [](const A& a) -> Cell { return a.first.setpoint_C; }},
            {{"back_to", "back to", "temperature", ""},
             [](const A& a) -> Cell { return a.first.setback->temperature_C.value; }},
            {{"hours", "outside profile", "", ""},
             [](const A& a) -> Cell { return a.first.building->calendars[a.first.setback->profile].name; }},
            {{"ramp", "ramp", "fine_hours", ""}, [](const A& a) -> Cell { return a.first.setback->ramp_h; }},
        }};
    std::vector<A> alike;
    for (const building::SetbackRow& row : rows) {
        const auto same = std::ranges::find_if(alike, [&](const A& a) {
            return a.first.of == row.of && a.first.setpoint_C == row.setpoint_C &&
                   a.first.setback->temperature_C.value == row.setback->temperature_C.value &&
                   a.first.setback->profile == row.setback->profile && a.first.setback->ramp_h == row.setback->ramp_h;
        });
        if (same == alike.end())
            alike.push_back({{row.room}, row});
        else
            same->rooms.push_back(row.room);
    }
    return figure::table_of(declared, alike);
}

/// Thermal bridges of all rooms by name, in the order of the input.
struct BridgesOfAName {
    std::string name{};
    std::size_t rooms = 0;
    double length_m = 0.0, heat_loss_W_per_K = 0.0;
};
Table bridges_by_name(const Building& b)
{
    using N = BridgesOfAName;
    static const figure::TableOf<N> declared = {
        {"bridges_by_name", "Thermal bridges", "Of all rooms together.", 1, figure::Told::people},
        {
            {{"name", "Thermal bridges", "", "name", 0}, [](const N& n) -> Cell { return n.name; }},
            {{"rooms", "rooms", "count", "that have it"}, [](const N& n) -> Cell { return figure::whole(n.rooms); }},
            {{"length", "length", "length", "together"},
             [](const N& n) -> Cell { return figure::where(n.length_m > 0.0, n.length_m); }},
            {{"heat_loss", "heat loss", "heat_loss", "together"},
             [](const N& n) -> Cell { return n.heat_loss_W_per_K; }},
        }};
    std::vector<N> names;
    for (const building::ThermalBridge& bridge : b.thermal_bridges) {
        auto of_name = std::ranges::find(names, bridge.name, &N::name);
        if (of_name == names.end()) of_name = names.insert(of_name, {.name = bridge.name});
        ++of_name->rooms;
        of_name->length_m += bridge.length_m;
        of_name->heat_loss_W_per_K += bridge.heat_loss_W_per_K;
    }
    return figure::table_of(declared, names);
}

/// What takes sun from windows and stands at them.
std::string plates_text(const Building& b)
{
    std::size_t with_plates = 0;
    for (const auto& row : building::opening_rows(b))
        with_plates += row.opening->plates.any() ? row.opening->from_left_m.size() : 0;
    return with_plates > 0 ? fmt::format("Reveals, overhangs and fins shade {} openings.\n", with_plates) : "";
}

/// A value that nobody stated and that acts.
struct Taken {
    std::string what{};
    std::size_t rooms = 0, of = 0;
    std::string value{}, after{};
};

const figure::TableOf<Taken>& taken_columns()
{
    using T = Taken;
    static const figure::TableOf<T> all = {
        {"taken", "Taken where nobody said otherwise", "A value of use that nobody stated and that acts.", 1,
         figure::Told::data},
        {
            {{"what", "What", "", "key of a room", 0}, [](const T& t) -> Cell { return t.what; }},
            {{"rooms", "Rooms", "count", "that it was taken in"},
             [](const T& t) -> Cell { return figure::whole(t.rooms); }},
            {{"of", "Of", "count", "rooms that there are"}, [](const T& t) -> Cell { return figure::whole(t.of); }},
            {{"value", "Value", "", "with its unit"}, [](const T& t) -> Cell { return t.value; }},
            {{"after", "After", "", "who says so"}, [](const T& t) -> Cell { return t.after; }},
        }};
    return all;
}

std::vector<Taken> taken_values(const Building& b, const PreferredUnits& units)
{
    using building::Use;
    struct Value {
        const char* name;
        quantity::Sourced<double> Use::*field;
        Kind kind;
        bool per_person; ///< acts only where there are people
    };
    const Value values[] = {{"infiltration", &Use::infiltration_per_h, Kind::air_changes, false},
                            {"sensible_per_person", &Use::sensible_per_person_W, Kind::power, true},
                            {"latent_per_person", &Use::latent_per_person_W, Kind::power, true},
                            {"furniture", &Use::furniture_J_per_m2K, Kind::areal_capacity, false}};
    std::vector<Taken> out;
    for (const Value& v : values) {
        Taken taken{.what = v.name, .of = b.rooms.size()};
        for (const building::Room& room : b.rooms) {
            const auto& value = room.use.*v.field;
            const quantity::Origin origin = b.origins.at(value.origin);
            if (origin.kind != quantity::OriginKind::default_value || (v.per_person && room.use.people.value <= 0.0))
                continue;
            ++taken.rooms;
            taken.value = units.text(value.value, v.kind);
            taken.after = origin.text;
        }
        if (taken.rooms > 0) out.push_back(std::move(taken));
    }
    const auto not_limited = std::ranges::count_if(b.rooms, &building::Room::is_held_at_assumed_humidity);
    if (not_limited > 0)
        out.push_back({"humidity_limit", static_cast<std::size_t>(not_limited), b.rooms.size(),
                       fmt::format("{:.0f} % on cooling design days", 100.0 * building::assumed_design_humidity),
                       "our assumption"});
    return out;
}

std::string taken_text(const Building& b, const std::vector<Taken>& values)
{
    std::string out = "Taken where nobody said otherwise\n\n";
    for (const Taken& t : values)
        out += fmt::format("  {} of {} rooms: {} = {} ({})\n", t.rooms, t.of, t.what, t.value, t.after);
    const auto operative =
        std::ranges::count_if(b.rooms, [](const building::Room& r) { return r.use.control_operative; });
    return out + (operative == std::ssize(b.rooms)
                      ? std::string{"  every room holds the operative temperature\n"}
                      : fmt::format("  {} of {} rooms hold the operative temperature, the others that of the air\n",
                                    operative, b.rooms.size()));
}

} // namespace

figure::Declaration taken_declaration() { return taken_columns().declaration(); }

Document check_document(const Building& b, const PreferredUnits& units)
{
    const auto& tables = building::building_tables();
    Document out{job_title(b)};
    out.add(site_line(b, units));
    out.add(tables.table("room", b));
    out.add(rooms_note(b) + overruled_text(building::overruled_rows(b)));
    out.add(tables.table("air_route", b));
    Table hours = tables.table("hours", b);
    hours.columns.front().heading = fmt::format("Full-load hours in {}", b.project.year);
    out.add(std::move(hours));
    out.add(hours_note(b, building::hours_rows(b)) + films_text(b, units));
    out.add(tables.table("build_up", b));
    out.add(build_ups_note(building::buildups_in_use(b)));
    out.add(tables.table("window", b));
    out.add(plates_text(b));
    out.add(tables.table("obstruction", b));
    if (b.thermal_bridges.empty())
        out.add("\nThermal bridges: none given.\n");
    else
        out.add(bridges_by_name(b));
    out.add(setbacks_alike(building::setback_rows(b)));
    const auto taken = taken_values(b, units);
    out.add("\n" + taken_text(b, taken));
    out.add(figure::table_of(taken_columns(), taken));
    tables.add_rest(out, b);
    return out;
}

} // namespace venture::report
