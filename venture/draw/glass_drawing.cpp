#include <venture/draw/glass_drawing.hpp>

#include <cmath>
#include <numbers>

#include <fmt/format.h>

#include <venture/draw/plot.hpp>

namespace venture::draw {

namespace {

using building::NamedGlazing;

constexpr Colour glass{0.78, 0.88, 0.93};
const Pen of_coating{{0.72, 0.10, 0.10}, 3.5}, comes_in{{0.72, 0.10, 0.10}, 3.0},
    through{{0.00, 0.35, 0.60}, 2.2, {12.0, 4.0}}, inwards{{0.85, 0.50, 0.00}, 2.2, {3.0, 3.0}},
    back{{0.35, 0.35, 0.35}, 1.6, {8.0, 3.0, 2.0, 3.0}};

class GlassDrawing {
public:
    GlassDrawing(const NamedGlazing& g, const GlassDrawingOptions& o) : g_{g}, o_{o}, sheet_{o.width, o.height}
    {
        if (g.unit) p_ = glazed_unit_properties(*g.unit);
    }

    std::string run()
    {
        sheet_.text({40.0, 36.0},
                    fmt::format("{}: window U = {}, g = {:.2f}", g_.values.name,
                                o_.units.text(g_.values.u_value_W_per_m2K, "heat_transfer"), g_.values.g_value),
                    {19.0, true});
        sheet_.text({40.0, 58.0},
                    g_.unit ? "Panes to scale, outside on the left; shares of the sun on the glass by its angle"
                            : "Known by its values alone: slanting light in the shape of two clear panes",
                    {12.0});
        draw_angles(g_.unit ? 520.0 : 90.0);
        if (g_.unit) draw_panes();
        return sheet_.drawn(o_.picture);
    }

private:
    void draw_panes()
    {
        double width_m = 0.0;
        for (const auto& pane : g_.unit->panes) width_m += pane.thickness_m;
        for (const auto& gap : g_.unit->gaps) width_m += gap.width_m;
        const Frame f{
            .left = 60.0, .top = 100.0, .width = 380.0, .height = 300.0, .x0 = -0.15 * width_m, .x1 = 1.15 * width_m};
        Plot panes{f, ""};
        panes.bare();
        double x = 0.0, y = f.top + f.height + 60.0;
        const auto note = [&](const std::string& text, double indent = 0.0) {
            sheet_.text({60.0 + indent, y}, text, {12.0});
            y += 19.0;
        };
        for (std::size_t i = 0; i < g_.unit->panes.size(); ++i) {
            const auto& pane = g_.unit->panes[i];
            panes.boxes({{x, x + pane.thickness_m, 0.0, 1.0}}, {glass, 0, 1.2});
            constexpr double bare = 0.8; // what emits less has a coating
            if (pane.emissivity_outside < bare) panes.curve({{x, 0.0}, {x, 1.0}}, of_coating);
            if (pane.emissivity_inside < bare)
                panes.curve({{x + pane.thickness_m, 0.0}, {x + pane.thickness_m, 1.0}}, of_coating);
            sheet_.text({f.x(x + 0.5 * pane.thickness_m), f.top + f.height + 18.0}, std::to_string(i + 1),
                        {12.0, true, At::middle});
            note(fmt::format("{}  {}", i + 1, pane.name));
            note(fmt::format("keeps {:.0f} % of the sun, {:.0f} % of that flows inwards",
                             100.0 * p_.normal.solar.absorptance[i], 100.0 * p_.inward_share[i]),
                 20.0);
            x += pane.thickness_m;
            if (i >= g_.unit->gaps.size()) continue;
            const auto& gap = g_.unit->gaps[i];
            const char* gas = gap.gas == fabric::Gas::argon     ? "argon"
                              : gap.gas == fabric::Gas::krypton ? "krypton"
                                                                : "air";
            sheet_.text({f.x(x + 0.5 * gap.width_m), f.top + 0.5 * f.height}, gap.width_m > 0.1 * width_m ? gas : "",
                        {12.0, false, At::middle});
            note(fmt::format("{} {}: {}", o_.units.text(gap.width_m, "thickness"), gas,
                             o_.units.text(p_.gap_W_per_m2K[i], "heat_transfer")),
                 20.0);
            x += gap.width_m;
        }
        sheet_.text({f.x(f.x0) - 4.0, f.top - 10.0}, "outside", {12.0, true});
        sheet_.text({f.x(f.x1) + 4.0, f.top - 10.0}, "inside", {12.0, true, At::right});
        note(fmt::format("Glass alone {}, light {:.0f} %", o_.units.text(p_.u_value_W_per_m2K, "heat_transfer"),
                         100.0 * g_.values.light_transmittance));
        note(fmt::format("Frame {:.0f} %, {}; edge {}", 100.0 * g_.frame->share,
                         o_.units.text(g_.frame->u_value_W_per_m2K, "heat_transfer"),
                         o_.units.text(g_.frame->spacer_psi_W_per_mK, "conductivity")));
        note("Red line: coating that emits little");
        sheet_.add(std::move(panes));
    }

    void draw_angles(double left)
    {
        const Frame f{
            .left = left, .top = 100.0, .width = o_.width - left - 60.0, .height = o_.height - 290.0, .x1 = 90.0};
        std::vector<Tick> shares, angles;
        for (int i = 0; i <= 10; i += 2) shares.push_back({0.1 * i, fmt::format("{} %", 10 * i)});
        for (int i = 0; i <= 90; i += 15) angles.push_back({static_cast<double>(i), fmt::format("{} deg", i)});
        Plot plot{f, "Of the sun on the glass, by its angle to the normal"};
        plot.x_ticks(angles);
        plot.y_ticks(shares);
        const auto curve = [&](const Pen& pen, auto value) {
            std::vector<Spot> spots;
            for (std::size_t i = 0; i < fabric::GlassByAngle::angles; ++i)
                spots.push_back({static_cast<double>(i), value(i)});
            plot.curve(spots, pen);
        };
        const fabric::GlassByAngle& a = g_.values.by_angle;
        curve(comes_in, [&](std::size_t i) { return a.direct[i] + a.flows_in[i]; });
        curve(through, [&](std::size_t i) { return a.direct[i]; });
        curve(inwards, [&](std::size_t i) { return a.flows_in[i]; });
        double y = f.top + f.height + 52.0;
        const auto key = [&](const Pen& pen, const std::string& text) {
            sheet_.line({f.left, y - 4.0}, {f.left + 60.0, y - 4.0}, pen);
            sheet_.text({f.left + 72.0, y}, text, {12.0});
            y += 22.0;
        };
        const auto& v = g_.values;
        key(comes_in, fmt::format("comes in: {:.0f} % at right angles, {:.0f} % of diffuse light", 100.0 * v.g_value,
                                  100.0 * (a.diffuse_direct + a.diffuse_flows_in)));
        key(through, fmt::format("through, as light: {:.0f} %, {:.0f} % of diffuse light",
                                 100.0 * v.direct_transmittance, 100.0 * a.diffuse_direct));
        key(inwards, fmt::format("as heat from the panes: {:.0f} %, {:.0f} % of diffuse light",
                                 100.0 * (v.g_value - v.direct_transmittance), 100.0 * a.diffuse_flows_in));
        std::vector<double> reflected;
        for (std::size_t i = 0; g_.unit && i < fabric::GlassByAngle::angles; ++i) {
            const double cosine = i == 90 ? 0.0 : std::cos(static_cast<double>(i) * std::numbers::pi / 180.0);
            reflected.push_back(sun_at(*g_.unit, cosine, p_.inward_share).solar.reflectance);
        }
        if (g_.unit) {
            curve(back, [&](std::size_t i) { return reflected[i]; });
            key(back, fmt::format("sent back: {:.0f} %; the rest leaves outwards as heat from the panes",
                                  100.0 * reflected[0]));
        }
        sheet_.add(std::move(plot));
    }

    const NamedGlazing& g_;
    const GlassDrawingOptions& o_;
    fabric::GlazedUnitProperties p_{};
    PlotSheet sheet_;
};

} // namespace

std::string draw_glass(const NamedGlazing& glazing, const GlassDrawingOptions& options)
{
    return GlassDrawing{glazing, options}.run();
}

} // namespace venture::draw
