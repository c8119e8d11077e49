/// Columns of windows and doors.

#include <map>

#include <fmt/format.h>

#include <venture/building/building_figures.hpp>

namespace venture::building {

using figure::Cell;
using figure::Show;
using figure::Sum;
using figure::Told;
using figure::where;

namespace {

/// "from 200 W/m2 of sun on it", "at night".
std::string comes_down(const Building& b, const NamedShade& shade)
{
    switch (shade.use) {
    case fabric::ShadeUse::never:
        return "never";
    case fabric::ShadeUse::always:
        return "always";
    case fabric::ShadeUse::above_irradiance:
        return "in the sun";
    case fabric::ShadeUse::by_profile:
        return fmt::format("as '{}' says", b.calendars[shade.profile].name);
    case fabric::ShadeUse::while_occupied:
        return "while people are in";
    case fabric::ShadeUse::at_night:
        return "at night";
    }
    return {};
}

} // namespace

const figure::TableOf<OpeningRow>& opening_columns()
{
    using O = OpeningRow;
    static const figure::TableOf<O> all = {
        {"opening", "Openings", "A window or door, or several alike, in one surface.", 3, Told::data},
        {
            {{"room", "Room", "", "room that it belongs to", 0},
             [](const O& o) -> Cell { return o.building->rooms[o.surface->room].name; }},
            {{"surface", "Surface", "", "that it is in", 0}, [](const O& o) -> Cell { return o.surface->name; }},
            {{"opening", "Opening", "", "its name, or kind and number in the surface", 0},
             [](const O& o) -> Cell {
                 const auto number = o.opening - o.surface->openings.data() + 1;
                 return o.opening->name.empty() ? fmt::format("{} {}", name_of(o.opening->kind), number)
                                                : o.opening->name;
             }},
            {{"beyond", "Beyond", "", "outdoors, another room, or what else lies behind"},
             [](const O& o) -> Cell {
                 const Neighbour& beyond = o.surface->beyond;
                 return beyond.kind == Neighbour::Kind::room ? std::string{"another room"}
                                                             : in_words(*o.building, beyond);
             }},
            {{"kind", "Kind", "", "window, door, or open"},
             [](const O& o) -> Cell { return std::string{name_of(o.opening->kind)}; }},
            {{"area", "Area", "area", "of all alike together", 1, Sum::added},
             [](const O& o) -> Cell { return o.opening->area_m2(); }},
            {{"count", "Number", "count", "how many alike", 1, Sum::added},
             [](const O& o) -> Cell { return figure::whole(o.opening->from_left_m.size()); }},
            {{"u", "U", "heat_transfer", "with its frame"},
             [](const O& o) -> Cell {
                 return where(o.opening->kind != Opening::Kind::open, u_value(*o.building, *o.surface, *o.opening));
             }},
            {{"glazing", "Glazing", "", "of a window"},
             [](const O& o) -> Cell {
                 return where(o.opening->kind == Opening::Kind::window,
                              o.building->glazings[o.opening->glazing].values.name);
             }},
            {{"g", "g", "ratio", "share of the sun that its glass lets in, straight on"},
             [](const O& o) -> Cell {
                 return where(o.opening->kind == Opening::Kind::window,
                              o.building->glazings[o.opening->glazing].values.g_value);
             }},
            {{"shade", "Shade", "", "that can come down"},
             [](const O& o) -> Cell {
                 return o.opening->shade ? Cell{o.building->shades[*o.opening->shade].layer.name} : Cell{};
             }},
        }};
    return all;
}

const figure::TableOf<WindowUse>& window_columns()
{
    using W = WindowUse;
    static const figure::TableOf<W> all = {
        {"window", "Windows", "Windows of one glazing and shade, together.", 2},
        {
            {{"glazing", "Windows", "", "their glazing", 0}, [](const W& w) -> Cell { return w.glazing->name; }},
            {{"shade", "shade", "", "that can come down"},
             [](const W& w) -> Cell { return w.shade != nullptr ? w.shade->layer.name : std::string{"none"}; }},
            {{"area", "area", "area", "with their frames", 1, Sum::added},
             [](const W& w) -> Cell { return w.area_m2; }},
            {{"u", "window U", "heat_transfer", "with frame, upright"},
             [](const W& w) -> Cell { return w.glazing->u_value_W_per_m2K; }},
            {{"g", "g", "ratio", "share of the sun that the glass lets in, straight on"},
             [](const W& w) -> Cell { return w.glazing->g_value; }},
            {{"frame", "frame", "share", "of the area"}, [](const W& w) -> Cell { return w.glazing->frame_share; }},
            {{"down", "down", "", "when the shade comes down", 1, Sum::none, Show::if_any},
             [](const W& w) -> Cell { return w.shade != nullptr ? Cell{comes_down(*w.building, *w.shade)} : Cell{}; }},
            {{"down_from", "from", "power_per_area", "sun on the window from which it comes down", 1, Sum::none,
              Show::if_any},
             [](const W& w) -> Cell {
                 return w.shade != nullptr && w.shade->use == fabric::ShadeUse::above_irradiance
                            ? Cell{w.shade->above_W_per_m2}
                            : Cell{};
             }},
            {{"u_down", "U then", "heat_transfer", "while the shade is down, where it adds resistance", 1, Sum::none,
              Show::if_any},
             [](const W& w) -> Cell {
                 if (w.shade == nullptr || w.shade->added_resistance_m2K_per_W <= 0.0) return {};
                 return 1.0 / (1.0 / w.glazing->u_value_W_per_m2K + w.shade->added_resistance_m2K_per_W);
             }},
        }};
    return all;
}

std::vector<OpeningRow> opening_rows(const Building& b)
{
    std::vector<OpeningRow> out;
    for (const Surface& s : b.surfaces)
        for (const Opening& o : s.openings) out.push_back({&b, &s, &o});
    return out;
}

std::vector<WindowUse> windows_in_use(const Building& b)
{
    std::map<std::pair<std::size_t, std::optional<std::size_t>>, double> area_m2;
    for (const auto& [building, surface, o] : opening_rows(b))
        if (o->kind == Opening::Kind::window) area_m2[{o->glazing, o->shade}] += o->area_m2();
    std::vector<WindowUse> out;
    for (const auto& [kind, area] : area_m2)
        out.push_back({&b, &b.glazings[kind.first].values, kind.second ? &b.shades[*kind.second] : nullptr, area});
    return out;
}

} // namespace venture::building
