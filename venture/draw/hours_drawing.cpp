#include <venture/draw/hours_drawing.hpp>

#include <algorithm>
#include <array>
#include <cmath>

#include <fmt/format.h>

#include <venture/draw/plot.hpp>

namespace venture::draw {

namespace {

constexpr Colour pale{0.85, 0.85, 0.85};
// Blue, orange, black, green: apart for colour-blind eyes too (after Okabe and Ito), and by dash.
const std::array<Pen, 4> pens = {{{{0.00, 0.45, 0.70}, 2.2, {}},
                                  {{0.84, 0.37, 0.00}, 2.2, {9.0, 3.0}},
                                  {{0.15, 0.15, 0.15}, 1.3, {2.5, 2.5}},
                                  {{0.00, 0.50, 0.40}, 1.8, {12.0, 3.0, 2.0, 3.0}}}};

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
        constexpr Letters of_title{19.0, true};
        constexpr double of_stamp = 420.0;
        sheet_.text({24.0, 34.0}, fitted(what_.title, of_title, o_.width - (what_.synthetic ? of_stamp : 48.0)),
                    of_title);
        sheet_.text({24.0, 56.0}, what_.subtitle, {12.0});
        if (what_.synthetic) sheet_.stamp({o_.width - 22.0, 34.0}, "SYNTHETIC weather: made up, measured by nobody");
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
        for (std::size_t i = 0; i < shown.size(); ++i) plot.curve(shown[i], pens.at(i));
        sheet_.add(std::move(plot));
        name_curves(frame, curves, shown);
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

    /// Names to the right, at the ends of the lines, moved apart where they would meet.
    void name_curves(const Frame& frame, const std::vector<HourCurve>& curves,
                     const std::vector<std::vector<Spot>>& shown)
    {
        constexpr double apart = 19.0, sample = 26.0;
        struct Name {
            double y;
            std::size_t curve;
        };
        std::vector<Name> all;
        for (std::size_t i = 0; i < curves.size(); ++i) all.push_back({frame.y(shown[i].back().y), i});
        std::ranges::sort(all, {}, &Name::y);
        for (std::size_t i = 1; i < all.size(); ++i) all[i].y = std::max(all[i].y, all[i - 1].y + apart);
        const double too_low = all.empty() ? 0.0 : std::max(0.0, all.back().y - (frame.top + frame.height));
        const double x = frame.left + frame.width + 10.0;
        for (const Name& name : all) {
            const double y = name.y - too_low;
            sheet_.line({x, y}, {x + sample, y}, pens.at(name.curve));
            sheet_.text({x + sample + 7.0, y + 4.0}, curves[name.curve].name, {12.0});
        }
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
