#include <venture/building/building_figures.hpp>

#include <algorithm>
#include <map>

#include <fmt/format.h>

#include <venture/building/calendars_in_use.hpp>
#include <venture/calendar/calendar.hpp>

namespace venture::building {

using figure::Cell;
using figure::cell_of;
using figure::Show;
using figure::Sum;
using figure::Told;
using figure::where;

namespace {

/// Where a surface stands, as [fabric] calls it.
std::string place_of(const Surface& s)
{
    const bool inner = s.beyond.kind == Neighbour::Kind::room || s.beyond.kind == Neighbour::Kind::nothing,
               ground = s.beyond.kind == Neighbour::Kind::ground;
    switch (s.attitude) {
    case Attitude::wall:
        return inner ? "inner wall" : ground ? "ground wall" : "outside wall";
    case Attitude::ceiling:
        return "roof";
    case Attitude::floor:
        return inner ? "inner floor" : ground ? "ground floor" : "exposed floor";
    }
    return {};
}

const figure::TableOf<SurfaceRow>& surface_columns()
{
    using S = SurfaceRow;
    static const figure::TableOf<S> all = {
        {"surface", "Surfaces",
         "A plane part of a room's boundary with one neighbour; a wall between two rooms stands once.", 2, Told::data},
        {
            {{"room", "Room", "", "room that it belongs to", 0},
             [](const S& s) -> Cell { return s.building->rooms[s.surface->room].name; }},
            {{"surface", "Surface", "", "its name in the room", 0}, [](const S& s) -> Cell { return s.surface->name; }},
            {{"beyond", "Beyond", "", "what lies behind it"},
             [](const S& s) -> Cell { return in_words(*s.building, s.surface->beyond); }},
            {{"as", "As", "", "what it is to the building"}, [](const S& s) -> Cell { return place_of(*s.surface); }},
            {{"gross", "Gross", "area", "with its openings", 1, Sum::added},
             [](const S& s) -> Cell { return s.surface->gross_m2; }},
            {{"net", "Net", "area", "without them", 1, Sum::added},
             [](const S& s) -> Cell { return s.surface->net_m2(); }},
            {{"azimuth", "Azimuth", "fine_angle", "true bearing of its outward normal"},
             [](const S& s) -> Cell { return s.surface->azimuth_deg; }},
            {{"tilt", "Tilt", "fine_angle", "0 facing up, 90 upright, 180 facing down"},
             [](const S& s) -> Cell { return s.surface->tilt_deg; }},
            {{"build_up", "Build-up", "", "its layers"},
             [](const S& s) -> Cell { return s.building->build_ups[s.surface->build_up].layers.name; }},
            {{"half_each_way", "Half each way", "", "differs from side to side, and nobody said which way it faces"},
             [](const S& s) -> Cell { return s.surface->other_half.has_value(); }},
            {{"thickness", "Thickness", "thickness",
              "of its layers; none where a U-value was typed or one is a bare resistance"},
             [](const S& s) -> Cell { return cell_of(known_thickness_m(s.building->build_ups[s.surface->build_up])); }},
            {{"u", "U", "heat_transfer", "with the films of both sides"},
             [](const S& s) -> Cell { return u_value(*s.building, *s.surface); }},
        }};
    return all;
}

const figure::TableOf<BuildupUse>& buildup_use_columns()
{
    using B = BuildupUse;
    static const figure::TableOf<B> all = {
        {"build_up", "Build-ups",
         "A build-up where it stands; films differ with the direction of heat, so that U does.", 2},
        {
            {{"build_up", "Build-up", "", "its name", 0},
             [](const B& u) -> Cell { return u.building->build_ups[u.first->build_up].layers.name; }},
            {{"as", "as", "", "where it stands", 0}, [](const B& u) -> Cell { return u.as; }},
            {{"area", "net area", "area", "of all surfaces that have it there", 2, Sum::added},
             [](const B& u) -> Cell { return u.area_m2; }},
            {{"u", "U", "heat_transfer", "with the films of both sides; of a shape's first surface"},
             [](const B& u) -> Cell { return u_value(*u.building, *u.first); }},
            {{"thickness", "thickness", "thickness",
              "of its layers; none where a U-value was typed or a layer is a bare resistance"},
             [](const B& u) -> Cell { return cell_of(known_thickness_m(u.building->build_ups[u.first->build_up])); }},
        }};
    return all;
}

const figure::TableOf<BridgeRow>& thermal_bridge_columns()
{
    using B = BridgeRow;
    static const figure::TableOf<B> all = {
        {"thermal_bridge", "Thermal bridges", "Heat that goes round a room's layers to outdoors.", 2, Told::data},
        {
            {{"name", "Thermal bridge", "", "its name", 0}, [](const B& b) -> Cell { return b.bridge->name; }},
            {{"room", "Room", "", "that it belongs to", 0},
             [](const B& b) -> Cell { return b.building->rooms[b.bridge->room].name; }},
            {{"length", "length", "length", "of a junction; none of a fixing", 1, Sum::added},
             [](const B& b) -> Cell { return where(b.bridge->length_m > 0.0, b.bridge->length_m); }},
            {{"heat_loss", "heat loss", "heat_loss", "for each degree", 1, Sum::added},
             [](const B& b) -> Cell { return b.bridge->heat_loss_W_per_K; }},
        }};
    return all;
}

const figure::TableOf<Obstruction>& obstruction_columns()
{
    using O = Obstruction;
    static const figure::TableOf<O> all = {
        {"obstruction", "Obstructions", "What stands near the building and takes sun from it."},
        {
            {{"obstruction", "Obstruction", "", "its name", 0}, [](const O& o) -> Cell { return o.name; }},
            {{"plan", "plan", "area", "that it covers"}, [](const O& o) -> Cell { return plan::area_m2(o.outline); }},
            {{"base", "base", "length", "above the project's zero"}, [](const O& o) -> Cell { return o.base_m; }},
            {{"top", "top", "length", "above the project's zero"}, [](const O& o) -> Cell { return o.top_m; }},
            {{"with_leaves", "lets through\nwith leaves", "share", "of the sun, in leaf"},
             [](const O& o) -> Cell { return o.with_leaves; }},
            {{"bare", "lets through\nbare", "share", "of the sun, without leaves"},
             [](const O& o) -> Cell { return o.bare; }},
        }};
    return all;
}

const figure::TableOf<SetbackRow>& setback_columns()
{
    using S = SetbackRow;
    static const figure::TableOf<S> all = {
        {"room_setback", "Set-backs", "What a room holds outside the hours of its set-point.", 2, Told::data},
        {
            {{"room", "Room", "", "that sets back", 0}, [](const S& s) -> Cell { return s.room; }},
            {{"of", "", "", "heating or cooling", 0}, [](const S& s) -> Cell { return std::string{s.of}; }},
            {{"setpoint", "set-point", "temperature", "held in those hours"},
             [](const S& s) -> Cell { return s.setpoint_C; }},
            {{"back_to", "back to", "temperature", "held outside them"},
             [](const S& s) -> Cell { return s.setback->temperature_C.value; }},
            {{"hours", "outside profile", "", "the hours"},
             [](const S& s) -> Cell { return s.building->calendars[s.setback->profile].name; }},
            {{"ramp", "ramp", "fine_hours", "before them, on which the room comes back"},
             [](const S& s) -> Cell { return s.setback->ramp_h; }},
        }};
    return all;
}

const figure::TableOf<OverruledRow>& overruled_columns()
{
    using O = OverruledRow;
    static const figure::TableOf<O> all = {
        {"over_type", "Values over a type's", "A value that a room has instead of that of its type.", 2, Told::data},
        {
            {{"room", "Room", "", "that says so", 0}, [](const O& o) -> Cell { return o.room->name; }},
            {{"key", "Key", "", "what is stated", 0}, [](const O& o) -> Cell { return o.value->key; }},
            {{"own", "Own", "", "the room's"}, [](const O& o) -> Cell { return o.value->own; }},
            {{"of_type", "Type's", "", "that it stands for"}, [](const O& o) -> Cell { return o.value->of_type; }},
        }};
    return all;
}

/// Full-load hours of one month; 0: of the year.
template <int month>
Cell full_load(const HoursRow& h)
{
    return calendar::full_load_hours(*h.hours, month, h.year);
}

/// Where there is too little room, one month of each quarter stays.
template <int month>
figure::ColumnOf<HoursRow> month_of_hours(const char* key, const char* heading, const char* meaning)
{
    const bool begins_quarter = month % 3 == 1;
    figure::ColumnOf<HoursRow> out{{key, heading, "hours", meaning, begins_quarter ? 2 : 3}, full_load<month>};
    out.go_together = !begins_quarter;
    return out;
}

const figure::TableOf<HoursRow>& hours_columns()
{
    using H = HoursRow;
    static const figure::TableOf<H> all = {
        {"hours", "Hours of use", "Full-load hours of a calendar or profile that something goes by, month by month."},
        {
            {{"name", "Full-load hours", "", "of the calendar or profile", 0},
             [](const H& h) -> Cell { return h.hours->name; }},
            {{"kind", "", "", "calendar, or profile of every day", 4},
             [](const H& h) -> Cell { return std::string{h.hours->is_one_profile() ? "profile" : "calendar"}; }},
            month_of_hours<1>("jan", "Jan", "in January"),
            month_of_hours<2>("feb", "Feb", "in February"),
            month_of_hours<3>("mar", "Mar", "in March"),
            month_of_hours<4>("apr", "Apr", "in April"),
            month_of_hours<5>("may", "May", "in May"),
            month_of_hours<6>("jun", "Jun", "in June"),
            month_of_hours<7>("jul", "Jul", "in July"),
            month_of_hours<8>("aug", "Aug", "in August"),
            month_of_hours<9>("sep", "Sep", "in September"),
            month_of_hours<10>("oct", "Oct", "in October"),
            month_of_hours<11>("nov", "Nov", "in November"),
            month_of_hours<12>("dec", "Dec", "in December"),
            {{"year", "year", "hours", "of the whole year"}, full_load<0>},
            {{"busiest_day", "busiest", "fine_hours", "its busiest day, of its profiles"},
             [](const H& h) -> Cell {
                 double busiest = 0.0;
                 for (const calendar::Profile& p : h.hours->profiles) busiest = std::max(busiest, p.full_load_hours());
                 return busiest;
             }},
        }};
    return all;
}

} // namespace

std::string in_words(const Building& b, const Neighbour& n)
{
    switch (n.kind) {
    case Neighbour::Kind::outdoors:
        return "outdoors";
    case Neighbour::Kind::ground:
        return "ground";
    case Neighbour::Kind::room:
        return b.rooms[n.room].name;
    case Neighbour::Kind::nothing:
        return "a like room";
    case Neighbour::Kind::temperature:
        return fmt::format("at {:g} degC", n.temperature_C);
    case Neighbour::Kind::unheated:
        return "an unheated space";
    }
    return {};
}

std::vector<SurfaceRow> surface_rows(const Building& b)
{
    std::vector<SurfaceRow> out;
    for (const Surface& s : b.surfaces) out.push_back({&b, &s});
    return out;
}

std::vector<BuildupUse> buildups_in_use(const Building& b)
{
    std::vector<BuildupUse> out;
    for (const Surface& s : b.surfaces) {
        std::string as = place_of(s);
        auto found = std::ranges::find_if(
            out, [&](const BuildupUse& u) { return u.first->build_up == s.build_up && u.as == as; });
        if (found == out.end()) found = out.insert(found, {&b, &s, std::move(as), 0.0});
        found->area_m2 += s.net_m2();
    }
    return out;
}

std::vector<BridgeRow> bridge_rows(const Building& b)
{
    std::vector<BridgeRow> out;
    for (const ThermalBridge& bridge : b.thermal_bridges) out.push_back({&b, &bridge});
    return out;
}

std::vector<SetbackRow> setback_rows(const Building& b)
{
    std::vector<SetbackRow> out;
    for (const Room& room : b.rooms) {
        const auto add = [&](std::string_view of, const auto& setpoint, const std::optional<Setback>& setback) {
            if (setpoint && setback) out.push_back({&b, room.name, of, setpoint->value, &*setback});
        };
        add("heating", room.use.heating_setpoint_C, room.use.heating_setback);
        add("cooling", room.use.cooling_setpoint_C, room.use.cooling_setback);
    }
    return out;
}

std::vector<OverruledRow> overruled_rows(const Building& b)
{
    std::vector<OverruledRow> out;
    for (const Room& room : b.rooms)
        for (const OverruledValue& v : room.overruled) out.push_back({&room, &v});
    return out;
}

std::vector<HoursRow> hours_rows(const Building& b)
{
    std::vector<HoursRow> out;
    for (const std::size_t index : calendars_in_use(b)) {
        const calendar::Calendar& c = b.calendars[index];
        if (c.name != "always" && c.name != "never") out.push_back({&c, b.project.year});
    }
    return out;
}

const figure::TablesOf<Building>& building_tables()
{
    static const figure::TablesOf<Building> all = [] {
        figure::TablesOf<Building> tables;
        tables.add(project_columns(), [](const Building& b) { return std::vector{b.project}; })
            .add(room_columns().declaration(), room_table)
            .add(air_route_declaration(), air_route_table)
            .add(surface_columns(), surface_rows)
            .add(opening_columns(), opening_rows)
            .add(buildup_use_columns(), buildups_in_use)
            .add(window_columns(), windows_in_use)
            .add(thermal_bridge_columns(), bridge_rows)
            .add(obstruction_columns(), [](const Building& b) { return b.obstructions; })
            .add(hours_columns(), hours_rows)
            .add(setback_columns(), setback_rows)
            .add(overruled_columns(), overruled_rows);
        return tables;
    }();
    return all;
}

} // namespace venture::building
