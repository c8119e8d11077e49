#include <venture/report/library_report.hpp>

#include <fmt/format.h>

#include <venture/fabric/temperature_profile.hpp>
#include <venture/quantity/names.hpp>

namespace venture::report {

using building::Building;
using figure::Cell;
using figure::Show;
using figure::Sum;
using figure::TableOf;
using figure::where;
using input::Input;

namespace {

Cell number_of(const quantity::Given<double>& given) { return figure::cell_of(given.value); }
Cell words_of(const quantity::Given<std::string>& given) { return figure::cell_of(given.value); }

/// With the standard films of its direction, towards outdoors.
double u_of(const building::NamedBuildup& b)
{
    return 1.0 / (0.04 + fabric::standard_inside_resistance(b.direction) + fabric::resistance(b.layers));
}

std::string known_by(const building::NamedBuildup& b)
{
    if (b.typed) return fmt::format("U and weight ({})", name_of(b.typed->weight));
    return b.described.empty() ? "layers" : "words";
}

using Material = input::MaterialInput;

const TableOf<Material>& material_columns()
{
    static const TableOf<Material> all = {
        {"shipped_material", "Materials", "A material that ships."},
        {
            {{"name", "Material", "", "that layers call it by", 0},
             [](const Material& m) -> Cell { return words_of(m.name); }},
            {{"conductivity", "conductivity", "conductivity", "as it is built in"},
             [](const Material& m) -> Cell { return number_of(m.conductivity); }},
            {{"density", "density", "density", "dry"}, [](const Material& m) -> Cell { return number_of(m.density); }},
            {{"specific_heat", "specific heat", "specific_heat", "dry"},
             [](const Material& m) -> Cell { return number_of(m.specific_heat); }},
            {figure::told_below({"source", "source", "", "where the values come from", 0}),
             [](const Material& m) -> Cell { return words_of(m.source); }},
        }};
    return all;
}

using BuildUp = building::NamedBuildup;

const TableOf<BuildUp>& build_up_columns()
{
    static const TableOf<BuildUp> all = {
        {"shipped_build_up", "Build-ups", "A build-up that ships."},
        {
            {{"name", "Build-up", "", "that faces call it by", 0},
             [](const BuildUp& b) -> Cell { return b.layers.name; }},
            {{"u_value", "U to outdoors", "heat_transfer", "with the standard films of its direction"},
             [](const BuildUp& b) -> Cell { return u_of(b); }},
            {{"thickness", "thickness", "thickness", "of all layers"},
             [](const BuildUp& b) -> Cell { return figure::cell_of(known_thickness_m(b)); }},
            {{"mass", "mass", "areal_mass", "of all layers"},
             [](const BuildUp& b) -> Cell { return mass_kg_per_m2(b.layers); }},
            {{"known_by", "known by", "", "layers, words for a wall, or a U-value and a weight"},
             [](const BuildUp& b) -> Cell { return known_by(b); }},
        }};
    return all;
}

using Glazing = building::NamedGlazing;

const TableOf<Glazing>& glazing_columns()
{
    static const TableOf<Glazing> all = {{"shipped_glazing", "Glazings", "A glazing that ships."},
                                         {
                                             {{"name", "Glazing", "", "that windows call it by", 0},
                                              [](const Glazing& g) -> Cell { return g.values.name; }},
                                             {{"window_u_value", "window U", "heat_transfer", "with its frame"},
                                              [](const Glazing& g) -> Cell { return g.values.u_value_W_per_m2K; }},
                                             {{"g_value", "g", "ratio", "share of the sun that comes in, in all"},
                                              [](const Glazing& g) -> Cell { return g.values.g_value; }},
                                             {{"through", "through", "ratio", "share of the sun that passes as such"},
                                              [](const Glazing& g) -> Cell { return g.values.direct_transmittance; }},
                                             {{"light", "light", "ratio", "share of the light that passes"},
                                              [](const Glazing& g) -> Cell { return g.values.light_transmittance; }},
                                             {{"frame", "frame", "share", "of the window's area"},
                                              [](const Glazing& g) -> Cell { return g.values.frame_share; }},
                                         }};
    return all;
}

using Pane = input::PaneInput;

/// Of a pane; 0 where nothing is typed.
template <quantity::Given<double> Pane::*member>
Cell share_of(const Pane& p)
{
    return (p.*member).value.value_or(0.0);
}
template <quantity::Given<double> Pane::*member>
Cell emissivity_of(const Pane& p)
{
    constexpr double uncoated = 0.837; // EN 673:2011, clause 7
    return (p.*member).value.value_or(uncoated);
}

const TableOf<Pane>& pane_columns()
{
    static const TableOf<Pane> all = {
        {"shipped_pane", "Panes", "A pane that ships."},
        {
            {{"name", "Pane", "", "that glazings call it by", 0},
             [](const Pane& p) -> Cell { return words_of(p.name); }},
            {{"thickness", "thickness", "thickness", "of the pane"},
             [](const Pane& p) -> Cell { return number_of(p.thickness); }},
            {{"transmits_sun", "transmits\nsun", "ratio", "share of it, straight"},
             share_of<&Pane::solar_transmittance>},
            {{"reflects_outside", "reflects\noutside", "ratio", "share of the sun, there"},
             share_of<&Pane::solar_reflectance_outside>},
            {{"reflects_inside", "reflects\ninside", "ratio", "share of the sun, there"},
             share_of<&Pane::solar_reflectance_inside>},
            {{"transmits_light", "transmits\nlight", "ratio", "share of it"}, share_of<&Pane::light_transmittance>},
            {{"emissivity_outside", "emissivity\noutside", "fine_ratio", "of long wave", 2},
             emissivity_of<&Pane::emissivity_outside>},
            {{"emissivity_inside", "emissivity\ninside", "fine_ratio", "of long wave", 2},
             emissivity_of<&Pane::emissivity_inside>},
        }};
    return all;
}

using Shade = building::NamedShade;

const TableOf<Shade>& shade_columns()
{
    static const TableOf<Shade> all = {
        {"shipped_shade", "Shades", "A blind or awning that ships."},
        {
            {{"name", "Shade", "", "that windows call it by", 0}, [](const Shade& s) -> Cell { return s.layer.name; }},
            {{"transmits", "transmits", "ratio", "share of the sun"},
             [](const Shade& s) -> Cell { return shade_layer(s.layer).transmittance; }},
            {{"reflects", "reflects", "ratio", "share of the sun"},
             [](const Shade& s) -> Cell { return shade_layer(s.layer).reflectance; }},
            {{"absorbs", "absorbs", "ratio", "share of the sun"},
             [](const Shade& s) -> Cell { return shade_layer(s.layer).absorptance(); }},
        }};
    return all;
}

using Type = input::RoomTypeInput;

template <quantity::Given<double> input::UseInput::*member>
Cell use_of(const Type& t)
{
    return number_of(t.use.*member);
}

const TableOf<Type>& room_type_columns()
{
    using U = input::UseInput;
    static const TableOf<Type> all = {
        {"shipped_room_type", "Room types", "A use of a room that ships.", 2},
        {
            {{"name", "Room type", "", "that rooms call it by", 0},
             [](const Type& t) -> Cell { return words_of(t.name); }},
            {{"region", "region", "", "whose usual values it brings", 1},
             [](const Type& t) -> Cell { return words_of(t.region); }},
            {{"purpose", "purpose", "", "what it is for", 4, Sum::none, Show::data},
             [](const Type& t) -> Cell { return words_of(t.purpose); }},
            {{"heated_to", "heated to", "temperature", "operative or air, as the project says"},
             use_of<&U::heating_setpoint>},
            {{"area_per_person", "floor for\na person", "area", "usual density"}, use_of<&U::area_per_person>},
            {{"ventilation_per_person", "air for\na person", "air_flow", "outdoor air"},
             use_of<&U::ventilation_per_person>},
            {{"ventilation_per_area", "air for\nfloor", "air_flow_per_area", "outdoor air, added to that"},
             use_of<&U::ventilation_per_area>},
            {{"ventilation_rate", "air", "air_changes", "outdoor air, added to that", 2}, use_of<&U::ventilation_rate>},
            {{"lighting", "light", "power_per_area", "at full"}, use_of<&U::lighting>},
            {{"equipment", "equipment", "power_per_area", "at full"}, use_of<&U::equipment>},
            {{"hours", "hours", "", "profile or calendar of its lighting; always unless named", 3},
             [](const Type& t) -> Cell { return t.use.lighting_profile.value.value_or("always"); }},
            {{"source", "source", "", "where the values come from", 5, Sum::none, Show::data},
             [](const Type& t) -> Cell { return words_of(t.source); }},
        }};
    return all;
}

const TableOf<input::AirNeedInput>& air_need_columns()
{
    using N = input::AirNeedInput;
    static const TableOf<N> all = {
        {"shipped_air_need", "Outdoor air by use", "Outdoor air that a use of rooms needs."},
        {
            {{"name", "Air need", "", "that rooms call it by", 0}, [](const N& n) -> Cell { return words_of(n.name); }},
            {{"per_person", "for a\nperson", "air_flow", "outdoor air for each person"},
             [](const N& n) -> Cell { return number_of(n.per_person); }},
            {{"per_area", "for the\nfloor", "air_flow_per_area", "outdoor air for the floor area, added to that"},
             [](const N& n) -> Cell { return number_of(n.per_area); }},
            {{"source", "source", "", "where the values come from", 2},
             [](const N& n) -> Cell { return words_of(n.source); }},
        }};
    return all;
}

const TableOf<input::AirSupplyInput>& air_supply_columns()
{
    using S = input::AirSupplyInput;
    static const TableOf<S> all = {
        {"shipped_air_supply", "Air supplies", "An air supply of which nothing is drawn yet."},
        {
            {{"name", "Air supply", "", "that rooms call it by in outdoor_air_by", 0},
             [](const S& s) -> Cell { return words_of(s.name); }},
            {{"gives", "gives", "", "to its rooms"},
             [](const S& s) -> Cell {
                 return std::string{quantity::name_of(s.gives.which().value_or(input::SupplyGives::outdoor_air))};
             }},
            {{"heat_recovery", "recovers\nheat", "share", "of the difference to the air that leaves"},
             [](const S& s) -> Cell { return number_of(s.heat_recovery); }},
            {{"moisture_recovery", "moisture", "share", "alike"},
             [](const S& s) -> Cell { return number_of(s.moisture_recovery); }},
            {{"free_cooling", "free\ncooling", "", "by more outdoor air"},
             [](const S& s) -> Cell { return words_of(s.free_cooling); }},
            {{"source", "source", "", "where the values come from", 2},
             [](const S& s) -> Cell { return words_of(s.source); }},
        }};
    return all;
}

struct HoursRow {
    std::string name{}, purpose{}, when{};
};

const TableOf<HoursRow>& shipped_hours_columns()
{
    static const TableOf<HoursRow> all = {
        {"shipped_hours", "Hours of use", "A profile or a calendar that ships."},
        {
            {{"name", "Hours", "", "that gains call them by", 0}, [](const HoursRow& h) -> Cell { return h.name; }},
            {{"purpose", "of", "", "what such hours are of"},
             [](const HoursRow& h) -> Cell { return where(!h.purpose.empty(), h.purpose); }},
            {{"when", "when", "", "hours of a profile, rules of a calendar"},
             [](const HoursRow& h) -> Cell { return h.when; }},
        }};
    return all;
}

/// Profiles by their hours, calendars by their rules.
std::vector<HoursRow> hours_of_use(const Input& library)
{
    std::vector<HoursRow> rows;
    const auto add = [&](const auto& record, const quantity::TextList& texts, const char* between) {
        rows.push_back({*record.name, record.purpose.value.value_or(""), {}});
        for (const quantity::PlacedText& text : texts)
            rows.back().when += (rows.back().when.empty() ? "" : between) + text.text;
    };
    for (const input::ProfileInput& p : library.profiles) add(p, *p.hours, ", ");
    for (const input::CalendarInput& c : library.calendars) add(c, *c.rules, "; ");
    return rows;
}

/// Those rows whose name, in their first column, holds a word.
template <class Row>
figure::Table named(const TableOf<Row>& columns, const std::vector<Row>& rows, const std::string& word)
{
    figure::Table out = table_of(columns, rows);
    std::erase_if(out.rows, [&](const std::vector<Cell>& row) {
        const auto* name = std::get_if<std::string>(&row.front());
        return name == nullptr || quantity::lower_case(*name).find(quantity::lower_case(word)) == std::string::npos;
    });
    return out;
}

/// Of a few; of more it would be as long as the table.
std::string sources_of(const figure::Table& types)
{
    constexpr std::size_t few = 4;
    if (types.rows.empty() || types.rows.size() > few) return {};
    std::string out = "\nWhere these values come from\n";
    const auto text = [](const Cell& cell) {
        const auto* words = std::get_if<std::string>(&cell);
        return words != nullptr ? *words : "-";
    };
    for (const auto& row : types.rows)
        out += fmt::format("  {} ({}): {}\n", text(row[0]), text(row[1]), text(row[types.column("source")]));
    return out;
}

} // namespace

figure::Document library_document(const Input& library, const Building& b, const std::string& word)
{
    figure::Document out;
    out.add(named(material_columns(), library.materials, word));
    out.add(named(build_up_columns(), b.build_ups, word));
    out.add(named(glazing_columns(), b.glazings, word));
    out.add(named(pane_columns(), library.panes, word));
    out.add(named(shade_columns(), b.shades, word));
    figure::Table types = named(room_type_columns(), library.room_types, word);
    const std::string sources = sources_of(types);
    out.add(std::move(types)).add(sources);
    out.add(named(air_need_columns(), library.air_needs, word));
    out.add(named(air_supply_columns(), library.air_supplies, word));
    out.add(named(shipped_hours_columns(), hours_of_use(library), word));
    out.add(
        "\nA project uses these by name; its own of the same name stands instead. Values are stated by us: take those "
        "of the product wherever it is known.\n");
    return out;
}

std::vector<figure::Declaration> library_declarations()
{
    return {
        material_columns().declaration(), build_up_columns().declaration(),   glazing_columns().declaration(),
        pane_columns().declaration(),     shade_columns().declaration(),      room_type_columns().declaration(),
        air_need_columns().declaration(), air_supply_columns().declaration(), shipped_hours_columns().declaration()};
}

} // namespace venture::report
