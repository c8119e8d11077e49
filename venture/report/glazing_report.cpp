#include <venture/report/glazing_report.hpp>

#include <algorithm>
#include <cmath>
#include <numbers>

#include <fmt/format.h>
#include <nlohmann/json.hpp>

#include <venture/report/text.hpp>

namespace venture::report {

using building::NamedGlazing;
using building::NamedShade;
using nlohmann::json;
using quantity::PreferredUnits;

namespace {

constexpr int shown_deg[] = {0, 10, 20, 30, 40, 50, 60, 70, 80, 85};

std::string percent(double share) { return fmt::format("{:.1f}", 100.0 * share); }

const char* name_of(fabric::Gas gas)
{
    return gas == fabric::Gas::argon ? "argon" : gas == fabric::Gas::krypton ? "krypton" : "air";
}

const char* name_of(fabric::ShadePlace place)
{
    return place == fabric::ShadePlace::outside   ? "outside"
           : place == fabric::ShadePlace::between ? "between"
                                                  : "inside";
}

Text panes_table(const fabric::GlazedUnit& unit, const fabric::GlazedUnitProperties& p, const PreferredUnits& units)
{
    TextTable table;
    table.add_column("Outside to inside", Align::left);
    add_column(table, "thickness", "thickness", units);
    for (const char* heading : {"transmits\nsun %", "reflects\noutside %", "reflects\ninside %", "transmits\nlight %",
                                "emissivity\noutside", "emissivity\ninside", "absorbs\nsun %", "of it\ninwards %"})
        table.add_column(heading);
    add_column(table, "conductance", "heat_transfer", units);
    for (std::size_t i = 0; i < unit.panes.size(); ++i) {
        const fabric::GlassPane& pane = unit.panes[i];
        table.add_row({pane.name, units.number(pane.thickness_m, "thickness"), percent(pane.solar.transmittance),
                       percent(pane.solar.reflectance_outside), percent(pane.solar.reflectance_inside),
                       percent(pane.light.transmittance), fmt::format("{:.3f}", pane.emissivity_outside),
                       fmt::format("{:.3f}", pane.emissivity_inside), percent(p.normal.solar.absorptance[i]),
                       percent(p.inward_share[i]), ""});
        if (i < unit.gaps.size())
            table.add_row({std::string{"  "} + name_of(unit.gaps[i].gas),
                           units.number(unit.gaps[i].width_m, "thickness"), "", "", "", "", "", "", "", "",
                           units.number(p.gap_W_per_m2K[i], "heat_transfer")});
    }
    return Text{std::move(table)};
}

/// "R = 1/25 + 0.004/1 + 1/1.23 + ... = 0.871 m2K/W; U of the glass 1.15 W/m2K", and the frame's part.
std::string u_in_steps(const NamedGlazing& g, const fabric::GlazedUnitProperties& p, const PreferredUnits& units)
{
    std::string sum = fmt::format("{} (outside)", units.number(0.04, "resistance"));
    double glass_m = 0.0;
    for (const fabric::GlassPane& pane : g.unit->panes) glass_m += pane.thickness_m;
    sum += fmt::format(" + {} (glass)", units.number(glass_m, "resistance")); // 1 W/mK
    for (const double gap : p.gap_W_per_m2K) sum += fmt::format(" + {} (gap)", units.number(1.0 / gap, "resistance"));
    sum += fmt::format(" + {} (inside)", units.number(0.13, "resistance"));
    return fmt::format(
        "R = {} = {}\nGlass U = 1/R = {} (EN 673); frame {:.0f} % of the window with {}, edge of the glass {}\n"
        "Window U = {} (ISO 10077-1, at 1.23 x 1.48 m)\n",
        sum, units.text(1.0 / p.u_value_W_per_m2K, "resistance"), units.text(p.u_value_W_per_m2K, "heat_transfer"),
        100.0 * g.frame->share, units.text(g.frame->u_value_W_per_m2K, "heat_transfer"),
        units.text(g.frame->spacer_psi_W_per_mK, "conductivity"),
        units.text(g.values.u_value_W_per_m2K, "heat_transfer"));
}

Text angles_table(const NamedGlazing& g)
{
    TextTable table;
    table.add_column("Incidence", Align::left);
    for (const char* heading : {"through\n%", "heat inwards\n%", "comes in\n%", "of that at 0 deg\n%"})
        table.add_column(heading);
    const fabric::GlassByAngle& a = g.values.by_angle;
    const auto add = [&](std::string angle, double direct, double heat) {
        table.add_row({std::move(angle), percent(direct), percent(heat), percent(direct + heat),
                       percent((direct + heat) / g.values.g_value)});
    };
    for (const int deg : shown_deg) {
        const auto i = static_cast<std::size_t>(deg);
        add(fmt::format("{} deg", deg), a.direct[i], a.flows_in[i]);
    }
    add("diffuse", a.diffuse_direct, a.diffuse_flows_in);
    return Text{std::move(table)};
}

/// Of the window with a shutter closed before it.
double u_value_behind(const NamedGlazing& g, const NamedShade& shade)
{
    return 1.0 / (1.0 / g.values.u_value_W_per_m2K + shade.added_resistance_m2K_per_W);
}

Text shades_table(const NamedGlazing& g, const std::vector<NamedShade>& shades, const PreferredUnits& units)
{
    if (shades.empty()) return {};
    TextTable table;
    table.add_column("With a shade down", Align::left);
    table.add_column("where", Align::left);
    for (const char* heading : {"through\n%", "comes in\n%", "of bare glass\n%"}) table.add_column(heading);
    const bool shutters =
        std::ranges::any_of(shades, [](const NamedShade& s) { return s.added_resistance_m2K_per_W > 0.0; });
    if (shutters) {
        add_column(table, "adds", "resistance", units);
        add_column(table, "window U", "heat_transfer", units);
    }
    for (const NamedShade& shade : shades) {
        const auto left = gain_with_shade(g, shade.layer);
        std::vector<std::string> row = {shade.layer.name, name_of(shade.layer.place),
                                        percent(left.direct_transmittance), percent(left.g_value),
                                        percent(left.g_value / g.values.g_value)};
        if (shade.added_resistance_m2K_per_W > 0.0) {
            row.push_back(units.number(shade.added_resistance_m2K_per_W, "resistance"));
            row.push_back(units.number(u_value_behind(g, shade), "heat_transfer"));
        }
        table.add_row(std::move(row));
    }
    return "\n" + Text{std::move(table)} + "After ISO 52022-1, for light at up to 60 degrees" +
           (shutters ? "; what closed shutters add after ISO 10077-1, annex G.\n" : ".\n");
}

} // namespace

Text glazing_text(const NamedGlazing& g, const std::vector<NamedShade>& shades, const PreferredUnits& units)
{
    const fabric::Glazing& v = g.values;
    Text out = fmt::format("Glazing '{}'{}\n", v.name, g.source.empty() ? "" : fmt::format(" ({})", g.source));
    if (g.unit) {
        const auto p = glazed_unit_properties(*g.unit);
        out += panes_table(*g.unit, p, units) + "\n" + u_in_steps(g, p, units);
        out += fmt::format(
            "Sun at right angles: {} % through, {} % inwards as heat from the panes, {} % back; light {} %\n",
            percent(v.direct_transmittance), percent(v.g_value - v.direct_transmittance),
            percent(p.normal.solar.reflectance), percent(v.light_transmittance));
    } else {
        out += fmt::format(
            "Known by its values alone: window U = {}, g = {:.2f}, of it {:.2f} through; {:.0f} % frame\n"
            "Slanting light: in the shape of two clear panes (Fresnel), our assumption\n",
            units.text(v.u_value_W_per_m2K, "heat_transfer"), v.g_value, v.direct_transmittance, 100.0 * v.frame_share);
    }
    return out + "\n" + angles_table(g) + shades_table(g, shades, units);
}

json glazing_json(const NamedGlazing& g, const std::vector<NamedShade>& shades)
{
    const fabric::Glazing& v = g.values;
    json angles = json::array(), with = json::array();
    for (std::size_t i = 0; i < fabric::GlassByAngle::angles; i += 5)
        angles.push_back(
            {{"incidence_deg", i}, {"direct", v.by_angle.direct[i]}, {"flows_in", v.by_angle.flows_in[i]}});
    for (const NamedShade& shade : shades) {
        const auto left = gain_with_shade(g, shade.layer);
        with.push_back({{"shade", shade.layer.name},
                        {"g_value", left.g_value},
                        {"direct_transmittance", left.direct_transmittance},
                        {"added_resistance_m2K_per_W", shade.added_resistance_m2K_per_W},
                        {"window_u_value_W_per_m2K", u_value_behind(g, shade)}});
    }
    json out = {{"glazing", v.name},
                {"window_u_value_W_per_m2K", v.u_value_W_per_m2K},
                {"glass_u_value_W_per_m2K", glass_u_value(g)},
                {"g_value", v.g_value},
                {"direct_transmittance", v.direct_transmittance},
                {"light_transmittance", v.light_transmittance},
                {"frame_share", v.frame_share},
                {"by_angle", angles},
                {"diffuse", {{"direct", v.by_angle.diffuse_direct}, {"flows_in", v.by_angle.diffuse_flows_in}}},
                {"with_shade", with}};
    if (!g.unit) return out;
    const auto p = glazed_unit_properties(*g.unit);
    json panes = json::array();
    for (std::size_t i = 0; i < g.unit->panes.size(); ++i)
        panes.push_back({{"pane", g.unit->panes[i].name},
                         {"absorptance", p.normal.solar.absorptance[i]},
                         {"inward_share", p.inward_share[i]}});
    out["panes_outside_to_inside"] = panes;
    out["gap_W_per_m2K"] = p.gap_W_per_m2K;
    out["reflectance"] = p.normal.solar.reflectance;
    return out;
}

} // namespace venture::report
