#include <venture/draw/hours_drawing.hpp>

#include <algorithm>
#include <cmath>

#include <fmt/format.h>

#include <venture/draw/curves.hpp>

namespace venture::draw {

namespace {

constexpr Colour pale{0.85, 0.85, 0.85};

class Drawing {
public:
    Drawing(const HoursDrawing& what, const HoursDrawingOptions& o)
        : what_{what},
          o_{o},
          sheet_{o.width, o.height},
          hours_{24.0 * static_cast<double>(what.days.size())}
    {
    }

    std::string run()
    {
        constexpr double left = 70.0, top = 96.0, gap = 64.0, bottom = 62.0, names = 206.0;
        head_sheet(sheet_, o_.width, what_.title, what_.subtitle, what_.synthetic);
        const bool loads = !what_.loads_W.empty();
        const double high = o_.height - top - bottom, wide = o_.width - left - names;
        const double upper = loads ? 0.58 * (high - gap) : high;
        add_plot(what_.temperatures_C, "temperature", quantity::Kind::temperature,
                 {.left = left, .top = top, .width = wide, .height = upper}, "Temperatures");
        if (loads)
            add_plot(what_.loads_W, "power", quantity::Kind::power,
                     {.left = left, .top = top + upper + gap, .width = wide, .height = high - upper - gap}, "Loads");
        return sheet_.drawn(o_.picture);
    }

private:
    void add_plot(const std::vector<HourCurve>& curves, const char* quantity, quantity::Kind kind, Frame frame,
                  const char* title)
    {
        const std::string_view symbol = o_.units.symbol(quantity);
        std::vector<std::vector<Spot>> shown;
        double lowest = 1e300, highest = -1e300;
        for (const HourCurve& curve : curves) {
            std::vector<Spot>& values = shown.emplace_back();
            for (std::size_t h = 0; h < curve.values.size(); ++h) {
                const double v = quantity::from_si(curve.values[h], symbol, kind);
                values.push_back({static_cast<double>(h) + 0.5, v});
                lowest = std::min(lowest, v);
                highest = std::max(highest, v);
            }
        }
        if (kind == quantity::Kind::power) lowest = std::min(lowest, 0.0);
        const double room = std::max(1e-6, 0.06 * (highest - lowest));
        frame.x1 = hours_;
        frame.y0 = kind == quantity::Kind::power && lowest >= 0.0 ? 0.0 : lowest - room;
        frame.y1 = highest + room;
        Plot plot{frame, fmt::format("{}, {}", title, symbol)};
        what_.days.size() == 1 ? plot.x_ticks(hours_of_a_day()) : part_days(plot);
        for (std::size_t i = 0; i < shown.size(); ++i) plot.curve(shown[i], curve_pens().at(i));
        sheet_.add(std::move(plot));
        std::vector<NamedEnd> ends;
        for (std::size_t i = 0; i < curves.size(); ++i) ends.push_back({curves[i].name, shown[i].back().y});
        name_curves(sheet_, frame, ends);
    }

    /// Days by name at their noons, as many as find room, with lines at midnight.
    void part_days(Plot& plot) const
    {
        const std::size_t apart = what_.days.size() / 14 + 1;
        std::vector<Tick> names;
        for (std::size_t d = 0; d < what_.days.size(); ++d) {
            const double midnight = 24.0 * static_cast<double>(d);
            if (d % apart == 0) names.push_back({midnight + 12.0, what_.days[d]});
            if (d > 0) plot.curve({{midnight, plot.frame().y0}, {midnight, plot.frame().y1}}, {pale, 1.0});
        }
        plot.x_ticks(names);
        plot.no_lines_up();
    }

    /// Of one day alone, whose name the title has.
    [[nodiscard]] static std::vector<Tick> hours_of_a_day()
    {
        constexpr int apart = 3, last = 24;
        std::vector<Tick> out;
        for (int h = 0; h <= last; h += apart)
            out.push_back({static_cast<double>(h), h == last ? fmt::format("{} h", h) : fmt::format("{}", h)});
        return out;
    }

    const HoursDrawing& what_;
    const HoursDrawingOptions& o_;
    PlotSheet sheet_;
    double hours_;
};

} // namespace

std::string draw_hours(const HoursDrawing& drawing, const HoursDrawingOptions& options)
{
    return Drawing{drawing, options}.run();
}

} // namespace venture::draw
