#include <venture/report/library_report.hpp>

#include <fmt/format.h>
#include <nlohmann/json.hpp>

#include <venture/fabric/temperature_profile.hpp>
#include <venture/report/text.hpp>

namespace venture::report {

using building::Building;
using input::Input;
using nlohmann::json;
using quantity::PreferredUnits;

namespace {

bool wanted(const std::string& name, const std::string& word) { return name.find(word) != std::string::npos; }

/// With the standard films of its direction, towards outdoors.
double u_of(const building::NamedBuildup& b)
{
    return 1.0 / (0.04 + fabric::standard_inside_resistance(b.direction) + fabric::resistance(b.layers));
}

Text materials(const Input& library, const std::string& word, const PreferredUnits& units)
{
    TextTable table;
    table.add_column("Material", Align::left);
    add_column(table, "conductivity", "conductivity", units);
    add_column(table, "density", "density", units);
    add_column(table, "specific heat", "specific_heat", units);
    table.add_column("source", Align::left);
    bool any = false;
    for (const auto& m : library.materials) {
        if (!wanted(*m.name, word)) continue;
        any = true;
        table.add_row({*m.name, units.number(*m.conductivity, "conductivity"), units.number(*m.density, "density"),
                       units.number(*m.specific_heat, "specific_heat"), m.source ? *m.source : ""});
    }
    return any ? Text{std::move(table)} + "\n" : Text{};
}

Text build_ups(const Building& b, const std::string& word, const PreferredUnits& units)
{
    TextTable table;
    table.add_column("Build-up", Align::left);
    add_column(table, "U to outdoors", "heat_transfer", units);
    add_column(table, "thickness", "thickness", units);
    table.add_column("mass\nkg/m2");
    table.add_column("known by", Align::left);
    bool any = false;
    for (const auto& build_up : b.build_ups) {
        if (!wanted(build_up.layers.name, word)) continue;
        any = true;
        table.add_row({build_up.layers.name, units.number(u_of(build_up), "heat_transfer"),
                       build_up.typed ? "-" : units.number(thickness_m(build_up), "thickness"),
                       fmt::format("{:.0f}", mass_kg_per_m2(build_up.layers)),
                       build_up.typed                ? fmt::format("U and weight ({})", name_of(build_up.typed->weight))
                       : !build_up.described.empty() ? "words"
                                                     : "layers"});
    }
    return any ? Text{std::move(table)} + "\n" : Text{};
}

Text glazings(const Building& b, const std::string& word, const PreferredUnits& units)
{
    TextTable table;
    table.add_column("Glazing", Align::left);
    add_column(table, "window U", "heat_transfer", units);
    for (const char* heading : {"g", "through", "light", "frame\n%"}) table.add_column(heading);
    bool any = false;
    for (const auto& g : b.glazings) {
        if (!wanted(g.values.name, word)) continue;
        any = true;
        table.add_row({g.values.name, units.number(g.values.u_value_W_per_m2K, "heat_transfer"),
                       fmt::format("{:.2f}", g.values.g_value), fmt::format("{:.2f}", g.values.direct_transmittance),
                       fmt::format("{:.2f}", g.values.light_transmittance),
                       fmt::format("{:.0f}", 100.0 * g.values.frame_share)});
    }
    return any ? Text{std::move(table)} + "\n" : Text{};
}

Text panes(const Input& library, const std::string& word, const PreferredUnits& units)
{
    TextTable table;
    table.add_column("Pane", Align::left);
    add_column(table, "thickness", "thickness", units);
    for (const char* heading : {"transmits\nsun", "reflects\noutside", "reflects\ninside", "transmits\nlight",
                                "emissivity\noutside", "emissivity\ninside"})
        table.add_column(heading);
    bool any = false;
    for (const auto& p : library.panes) {
        if (!wanted(*p.name, word)) continue;
        any = true;
        const auto share = [](const auto& given) { return fmt::format("{:.2f}", given ? *given : 0.0); };
        const auto emissivity = [](const auto& given) {
            return given ? fmt::format("{:.3f}", *given) : std::string{"0.837"};
        };
        table.add_row({*p.name, units.number(*p.thickness, "thickness"), share(p.solar_transmittance),
                       share(p.solar_reflectance_outside), share(p.solar_reflectance_inside),
                       share(p.light_transmittance), emissivity(p.emissivity_outside),
                       emissivity(p.emissivity_inside)});
    }
    return any ? Text{std::move(table)} + "\n" : Text{};
}

Text shades(const Building& b, const std::string& word)
{
    TextTable table;
    table.add_column("Shade", Align::left);
    for (const char* heading : {"transmits", "reflects", "absorbs"}) table.add_column(heading);
    bool any = false;
    for (const auto& s : b.shades) {
        if (!wanted(s.layer.name, word)) continue;
        any = true;
        const fabric::ShadeLayer layer = shade_layer(s.layer);
        table.add_row({s.layer.name, fmt::format("{:.2f}", layer.transmittance),
                       fmt::format("{:.2f}", layer.reflectance), fmt::format("{:.2f}", layer.absorptance())});
    }
    return any ? Text{std::move(table)} + "\n" : Text{};
}

Text room_types(const Input& library, const std::string& word, const PreferredUnits& units)
{
    TextTable table;
    table.add_column("Room type", Align::left);
    table.add_column("region", Align::left);
    add_column(table, "heated to", "temperature", units);
    add_column(table, "floor for\na person", "area", units);
    add_column(table, "air for\na person", "air_flow", units);
    add_column(table, "air for\nfloor", "air_flow_per_area", units);
    table.add_column("air\n1/h");
    add_column(table, "light", "power_per_area", units);
    add_column(table, "equipment", "power_per_area", units);
    table.add_column("hours", Align::left);
    std::string sources;
    std::size_t count = 0;
    for (const input::RoomTypeInput& t : library.room_types) {
        if (!wanted(*t.name, word)) continue;
        const auto in = [&](const quantity::Given<double>& given, const char* quantity) {
            return given ? units.number(*given, quantity) : std::string{"-"};
        };
        const input::UseInput& use = t.use;
        table.add_row({*t.name, t.region ? *t.region : "-", in(use.heating_setpoint, "temperature"),
                       in(use.area_per_person, "area"), in(use.ventilation_per_person, "air_flow"),
                       in(use.ventilation_per_area, "air_flow_per_area"),
                       use.ventilation_rate ? fmt::format("{:g}", *use.ventilation_rate) : "-",
                       in(use.lighting, "power_per_area"), in(use.equipment, "power_per_area"),
                       use.lighting_profile ? *use.lighting_profile : "always"});
        sources += fmt::format("  {} ({}): {}\n", *t.name, t.region ? *t.region : "-", t.source ? *t.source : "-");
        ++count;
    }
    if (count == 0) return "";
    constexpr std::size_t few = 4;
    return Text{std::move(table)} + (count <= few ? "\nWhere these values come from\n" + sources + "\n" : "\n");
}

struct HoursRow {
    std::string name{}, purpose{}, when{};
};

/// Profiles by their hours, calendars by their rules.
std::vector<HoursRow> hours_of_use(const Input& library, const std::string& word)
{
    std::vector<HoursRow> rows;
    const auto add = [&](const auto& record, const quantity::TextList& texts, const char* between) {
        if (!wanted(*record.name, word)) return;
        rows.push_back({*record.name, record.purpose ? *record.purpose : "-", {}});
        for (const quantity::PlacedText& text : texts)
            rows.back().when += (rows.back().when.empty() ? "" : between) + text.text;
    };
    for (const input::ProfileInput& p : library.profiles) add(p, *p.hours, ", ");
    for (const input::CalendarInput& c : library.calendars) add(c, *c.rules, "; ");
    return rows;
}

Text hours(const Input& library, const std::string& word)
{
    const std::vector<HoursRow> rows = hours_of_use(library, word);
    TextTable table;
    table.add_column("Hours", Align::left);
    table.add_column("of", Align::left);
    table.add_column("", Align::left);
    for (const HoursRow& row : rows) table.add_row({row.name, row.purpose, row.when});
    return rows.empty() ? Text{} : Text{std::move(table)} + "\n";
}

} // namespace

Text library_text(const Input& library, const Building& b, const std::string& word, const PreferredUnits& units)
{
    const Text listed = materials(library, word, units) + build_ups(b, word, units) + glazings(b, word, units) +
                        panes(library, word, units) + shades(b, word) + room_types(library, word, units) +
                        hours(library, word);
    return listed +
           "A project uses these by name; its own of the same name stands instead. Values are stated by us: take "
           "those of the product wherever it is known.\n";
}

json library_json(const Input& library, const Building& b, const std::string& word)
{
    json out = {{"materials", json::array()}, {"build_ups", json::array()},  {"glazings", json::array()},
                {"shades", json::array()},    {"room_types", json::array()}, {"hours", json::array()}};
    for (const auto& m : library.materials)
        if (wanted(*m.name, word))
            out["materials"].push_back({{"name", *m.name},
                                        {"conductivity_W_per_mK", *m.conductivity},
                                        {"density_kg_per_m3", *m.density},
                                        {"specific_heat_J_per_kgK", *m.specific_heat}});
    for (const auto& build_up : b.build_ups)
        if (wanted(build_up.layers.name, word))
            out["build_ups"].push_back({{"name", build_up.layers.name},
                                        {"u_value_W_per_m2K", u_of(build_up)},
                                        {"mass_kg_per_m2", mass_kg_per_m2(build_up.layers)}});
    for (const auto& g : b.glazings)
        if (wanted(g.values.name, word))
            out["glazings"].push_back({{"name", g.values.name},
                                       {"u_value_W_per_m2K", g.values.u_value_W_per_m2K},
                                       {"g_value", g.values.g_value}});
    for (const auto& s : b.shades)
        if (wanted(s.layer.name, word))
            out["shades"].push_back({{"name", s.layer.name}, {"transmittance", shade_layer(s.layer).transmittance}});
    for (const auto& t : library.room_types)
        if (wanted(*t.name, word))
            out["room_types"].push_back({{"name", *t.name},
                                         {"region", t.region ? *t.region : ""},
                                         {"purpose", t.purpose ? *t.purpose : ""},
                                         {"source", t.source ? *t.source : ""}});
    for (const HoursRow& row : hours_of_use(library, word))
        out["hours"].push_back({{"name", row.name}, {"purpose", row.purpose}, {"when", row.when}});
    return out;
}

} // namespace venture::report
