#include <venture/report/glazing_report.hpp>

#include <algorithm>
#include <cmath>
#include <numbers>

#include <fmt/format.h>

namespace venture::report {

using building::NamedGlazing;
using building::NamedShade;
using figure::Cell;
using quantity::PreferredUnits;

namespace {

constexpr int shown_deg[] = {0, 10, 20, 30, 40, 50, 60, 70, 80, 85};

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

struct PaneRow {
    std::string name{};
    double thickness_m = 0.0;
    const fabric::GlassPane* pane = nullptr; ///< nothing: a gap
    std::optional<double> absorbs{}, inwards{}, conductance_W_per_m2K{};
};

template <class Get>
Cell of_pane(const PaneRow& r, Get get)
{
    return r.pane != nullptr ? Cell{get(*r.pane)} : Cell{};
}

const figure::TableOf<PaneRow>& pane_columns()
{
    using R = PaneRow;
    using P = fabric::GlassPane;
    static const figure::TableOf<R> all = {
        {"pane", "Panes", "A pane or a gap of a glazing, from outside to inside."},
        {
            {{"pane", "Outside to inside", "", "pane, or gas of the gap", 0},
             [](const R& r) -> Cell { return r.name; }},
            {{"thickness", "thickness", "thickness", "of the pane, or width of the gap"},
             [](const R& r) -> Cell { return r.thickness_m; }},
            {{"transmits_sun", "transmits\nsun", "fine_share", "at right angles"},
             [](const R& r) -> Cell { return of_pane(r, [](const P& p) { return p.solar.transmittance; }); }},
            {{"reflects_outside", "reflects\noutside", "fine_share", "of the sun", 2},
             [](const R& r) -> Cell { return of_pane(r, [](const P& p) { return p.solar.reflectance_outside; }); }},
            {{"reflects_inside", "reflects\ninside", "fine_share", "of the sun", 3},
             [](const R& r) -> Cell { return of_pane(r, [](const P& p) { return p.solar.reflectance_inside; }); }},
            {{"transmits_light", "transmits\nlight", "fine_share", "at right angles", 2},
             [](const R& r) -> Cell { return of_pane(r, [](const P& p) { return p.light.transmittance; }); }},
            {{"emissivity_outside", "emissivity\noutside", "fine_ratio", "of long wave", 2},
             [](const R& r) -> Cell { return of_pane(r, [](const P& p) { return p.emissivity_outside; }); }},
            {{"emissivity_inside", "emissivity\ninside", "fine_ratio", "of long wave", 2},
             [](const R& r) -> Cell { return of_pane(r, [](const P& p) { return p.emissivity_inside; }); }},
            {{"absorbs_sun", "absorbs\nsun", "fine_share", "in the glazing, at right angles"},
             [](const R& r) -> Cell { return figure::cell_of(r.absorbs); }},
            {{"inwards", "of it\ninwards", "fine_share", "of what the pane absorbs"},
             [](const R& r) -> Cell { return figure::cell_of(r.inwards); }},
            {{"conductance", "conductance", "heat_transfer", "of the gap"},
             [](const R& r) -> Cell { return figure::cell_of(r.conductance_W_per_m2K); }},
        }};
    return all;
}

std::vector<PaneRow> pane_rows(const fabric::GlazedUnit& unit, const fabric::GlazedUnitProperties& p)
{
    std::vector<PaneRow> rows;
    for (std::size_t i = 0; i < unit.panes.size(); ++i) {
        const fabric::GlassPane& pane = unit.panes[i];
        rows.push_back({pane.name, pane.thickness_m, &pane, p.normal.solar.absorptance[i], p.inward_share[i], {}});
        if (i < unit.gaps.size())
            rows.push_back({name_of(unit.gaps[i].gas), unit.gaps[i].width_m, nullptr, {}, {}, p.gap_W_per_m2K[i]});
    }
    return rows;
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

struct AngleRow {
    std::string angle{};
    double direct = 0.0, flows_in = 0.0, of_bare = 0.0;
};

const figure::TableOf<AngleRow>& angle_columns()
{
    using R = AngleRow;
    static const figure::TableOf<R> all = {
        {"glass_angle", "Sun by its angle",
         "What of the sun comes through a glazing by the angle at which it falls on it."},
        {
            {{"incidence", "Incidence", "", "from the normal; diffuse from everywhere", 0},
             [](const R& r) -> Cell { return r.angle; }},
            {{"through", "through", "fine_share", "as light"}, [](const R& r) -> Cell { return r.direct; }},
            {{"heat_inwards", "heat inwards", "fine_share", "from panes that take it up"},
             [](const R& r) -> Cell { return r.flows_in; }},
            {{"comes_in", "comes in", "fine_share", "both"}, [](const R& r) -> Cell { return r.direct + r.flows_in; }},
            {{"of_normal", "of that at 0 deg", "fine_share", "both"}, [](const R& r) -> Cell { return r.of_bare; }},
        }};
    return all;
}

std::vector<AngleRow> angle_rows(const NamedGlazing& g)
{
    const fabric::GlassByAngle& a = g.values.by_angle;
    std::vector<AngleRow> rows;
    const auto add = [&](std::string angle, double direct, double heat) {
        rows.push_back({std::move(angle), direct, heat, (direct + heat) / g.values.g_value});
    };
    for (const int deg : shown_deg) {
        const auto i = static_cast<std::size_t>(deg);
        add(fmt::format("{} deg", deg), a.direct[i], a.flows_in[i]);
    }
    add("diffuse", a.diffuse_direct, a.diffuse_flows_in);
    return rows;
}

/// Of the window with a shutter closed before it.
double u_value_behind(const NamedGlazing& g, const NamedShade& shade)
{
    return 1.0 / (1.0 / g.values.u_value_W_per_m2K + shade.added_resistance_m2K_per_W);
}

struct ShadeRow {
    const NamedGlazing* glazing;
    const NamedShade* shade;
    fabric::ShadedGain left;
};

const figure::TableOf<ShadeRow>& glass_shade_columns()
{
    using R = ShadeRow;
    static const figure::TableOf<R> all = {
        {"glass_shade", "With a shade down", "What a shade leaves of a glazing."},
        {
            {{"shade", "With a shade down", "", "its name", 0}, [](const R& r) -> Cell { return r.shade->layer.name; }},
            {{"place", "where", "", "outside, between or inside"},
             [](const R& r) -> Cell { return std::string{name_of(r.shade->layer.place)}; }},
            {{"through", "through", "fine_share", "as light"},
             [](const R& r) -> Cell { return r.left.direct_transmittance; }},
            {{"comes_in", "comes in", "fine_share", "in all"}, [](const R& r) -> Cell { return r.left.g_value; }},
            {{"of_bare", "of bare glass", "fine_share", "in all"},
             [](const R& r) -> Cell { return r.left.g_value / r.glazing->values.g_value; }},
            {{"adds", "adds", "resistance", "where it shuts tight", 2, figure::Sum::none, figure::Show::if_any},
             [](const R& r) -> Cell {
                 return figure::where(r.shade->added_resistance_m2K_per_W > 0.0, r.shade->added_resistance_m2K_per_W);
             }},
            {{"window_u_value", "window U", "heat_transfer", "behind it", 2, figure::Sum::none, figure::Show::if_any},
             [](const R& r) -> Cell {
                 return figure::where(r.shade->added_resistance_m2K_per_W > 0.0, u_value_behind(*r.glazing, *r.shade));
             }},
        }};
    return all;
}

const figure::TableOf<NamedGlazing>& glazing_columns()
{
    using G = NamedGlazing;
    static const figure::TableOf<G> all = {
        {"glazing_whole", "Glazing as a whole", "What a glazing does.", 1, figure::Told::data},
        {
            {{"glazing", "Glazing", "", "its name", 0}, [](const G& g) -> Cell { return g.values.name; }},
            {{"window_u_value", "window U", "heat_transfer", "with its frame"},
             [](const G& g) -> Cell { return g.values.u_value_W_per_m2K; }},
            {{"glass_u_value", "glass U", "heat_transfer", "without"},
             [](const G& g) -> Cell { return glass_u_value(g); }},
            {{"g_value", "g", "ratio", "share of the sun that comes in"},
             [](const G& g) -> Cell { return g.values.g_value; }},
            {{"direct_transmittance", "through", "ratio", "of it, as light"},
             [](const G& g) -> Cell { return g.values.direct_transmittance; }},
            {{"light_transmittance", "light", "ratio", "share that comes through"},
             [](const G& g) -> Cell { return g.values.light_transmittance; }},
            {{"frame", "frame", "share", "of the window"}, [](const G& g) -> Cell { return g.values.frame_share; }},
        }};
    return all;
}

} // namespace

figure::Document glazing_document(const NamedGlazing& g, const std::vector<NamedShade>& shades,
                                  const PreferredUnits& units)
{
    const fabric::Glazing& v = g.values;
    const auto percent = [](double share) { return fmt::format("{:.1f}", 100.0 * share); };
    figure::Document out{fmt::format("Glazing '{}'{}", v.name, g.source.empty() ? "" : fmt::format(" ({})", g.source))};
    out.add(figure::table_of(glazing_columns(), std::vector<NamedGlazing>{g}));
    if (g.unit) {
        const auto p = glazed_unit_properties(*g.unit);
        out.add(figure::table_of(pane_columns(), pane_rows(*g.unit, p)));
        out.add("\n" + u_in_steps(g, p, units) +
                fmt::format(
                    "Sun at right angles: {} % through, {} % inwards as heat from the panes, {} % back; light {} %\n",
                    percent(v.direct_transmittance), percent(v.g_value - v.direct_transmittance),
                    percent(p.normal.solar.reflectance), percent(v.light_transmittance)));
    } else {
        out.add(
            fmt::format("Known by its values alone: window U = {}, g = {:.2f}, of it {:.2f} through; {:.0f} % frame\n"
                        "Slanting light: in the shape of two clear panes (Fresnel), our assumption\n",
                        units.text(v.u_value_W_per_m2K, "heat_transfer"), v.g_value, v.direct_transmittance,
                        100.0 * v.frame_share));
    }
    out.add(figure::table_of(angle_columns(), angle_rows(g)));
    std::vector<ShadeRow> rows;
    for (const NamedShade& shade : shades) rows.push_back({&g, &shade, gain_with_shade(g, shade.layer)});
    if (rows.empty()) return out;
    out.add(figure::table_of(glass_shade_columns(), rows));
    const bool shutters =
        std::ranges::any_of(shades, [](const NamedShade& s) { return s.added_resistance_m2K_per_W > 0.0; });
    return out.add(std::string{"After ISO 52022-1, for light at up to 60 degrees"} +
                   (shutters ? "; what closed shutters add after ISO 10077-1, annex G.\n" : ".\n"));
}

std::vector<figure::Declaration> glazing_declarations()
{
    return {glazing_columns().declaration(), pane_columns().declaration(), angle_columns().declaration(),
            glass_shade_columns().declaration()};
}

} // namespace venture::report
