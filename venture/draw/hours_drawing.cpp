#include <venture/draw/hours_drawing.hpp>

#include <algorithm>
#include <array>
#include <cmath>

#include <fmt/format.h>

#include <venture/draw/chart.hpp>

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
          c_{o.picture, o.width, o.height},
          hours_{24.0 * static_cast<double>(what.days.size())}
    {
    }

    std::string run()
    {
        constexpr double left = 70.0, top = 96.0, gap = 64.0, bottom = 62.0, names = 206.0;
        c_.text({24.0, 34.0}, what_.title, 19.0, true, false);
        c_.text({24.0, 56.0}, what_.subtitle, 12.0, false, false);
        draw_label();
        const bool loads = !what_.loads_W.empty();
        const double high = o_.height - top - bottom, wide = o_.width - left - names;
        const double upper = loads ? 0.58 * (high - gap) : high;
        draw_part(what_.temperatures_C, "temperature", quantity::Kind::temperature,
                  {.left = left, .top = top, .width = wide, .height = upper}, "Temperatures");
        if (loads)
            draw_part(what_.loads_W, "power", quantity::Kind::power,
                      {.left = left, .top = top + upper + gap, .width = wide, .height = high - upper - gap}, "Loads");
        return c_.finish();
    }

private:
    void draw_label()
    {
        if (!what_.synthetic) return;
        const std::string label = "SYNTHETIC weather: made up, measured by nobody";
        const double width = c_.text_width(label, 12.0, true), x = o_.width - 30.0 - width;
        c_.outline({{x - 8.0, 19.0}, {x + width + 8.0, 19.0}, {x + width + 8.0, 40.0}, {x - 8.0, 40.0}}, {ink, 1.2});
        c_.text({x, 34.0}, label, 12.0, true, false);
    }

    void draw_part(const std::vector<HourCurve>& curves, const char* quantity, quantity::Kind kind, Frame frame,
                   const char* title)
    {
        const std::string_view symbol = o_.units.symbol(quantity);
        std::vector<std::vector<double>> shown;
        double lowest = 1e300, highest = -1e300;
        for (const HourCurve& curve : curves) {
            std::vector<double>& values = shown.emplace_back();
            for (const double v : curve.values) values.push_back(quantity::from_si(v, symbol, kind));
            lowest = std::min(lowest, *std::ranges::min_element(values));
            highest = std::max(highest, *std::ranges::max_element(values));
        }
        if (kind == quantity::Kind::power) lowest = std::min(lowest, 0.0);
        const double room = std::max(1e-6, 0.06 * (highest - lowest));
        frame.x1 = hours_;
        frame.y0 = kind == quantity::Kind::power && lowest >= 0.0 ? 0.0 : lowest - room;
        frame.y1 = highest + room;
        std::vector<Tick> y_ticks;
        for (const double v : round_values(frame.y0, frame.y1, 7)) y_ticks.push_back({v, fmt::format("{:g}", v)});
        draw_y_scale(c_, frame, y_ticks);
        what_.days.size() == 1 ? draw_hours_of_day(frame) : draw_days(frame);
        for (std::size_t i = 0; i < shown.size(); ++i) draw_curve(frame, shown[i], pens.at(i));
        draw_frame(c_, frame, fmt::format("{}, {}", title, symbol));
        name_curves(frame, curves, shown);
    }

    void draw_days(const Frame& frame)
    {
        std::vector<Tick> ticks;
        for (std::size_t d = 0; d < what_.days.size(); ++d) {
            const double noon = 24.0 * static_cast<double>(d) + 12.0;
            ticks.push_back({noon, what_.days[d]});
            if (d > 0) c_.line(frame.at(noon - 12.0, frame.y0), frame.at(noon - 12.0, frame.y1), {pale, 1.0});
        }
        const std::size_t fits = std::max<std::size_t>(1, ticks.size() / 14 + 1); // no label over another
        std::vector<Tick> few;
        for (std::size_t d = 0; d < ticks.size(); d += fits) few.push_back(ticks[d]);
        draw_x_scale(c_, frame, few);
    }

    /// Of one day alone, whose name the title has.
    void draw_hours_of_day(const Frame& frame)
    {
        constexpr int apart = 3, last = 24;
        std::vector<Tick> ticks;
        for (int h = 0; h <= last; h += apart) {
            ticks.push_back({static_cast<double>(h), h == last ? fmt::format("{} h", h) : fmt::format("{}", h)});
            if (h > 0 && h < last) c_.line(frame.at(h, frame.y0), frame.at(h, frame.y1), {pale, 1.0});
        }
        draw_x_scale(c_, frame, ticks);
    }

    void draw_curve(const Frame& frame, const std::vector<double>& values, const Pen& pen)
    {
        std::vector<Spot> spots;
        for (std::size_t h = 0; h < values.size(); ++h)
            spots.push_back(frame.at(static_cast<double>(h) + 0.5, values[h]));
        c_.polyline(spots, pen);
    }

    /// Names to the right, at the ends of the lines, moved apart where they would meet.
    void name_curves(const Frame& frame, const std::vector<HourCurve>& curves,
                     const std::vector<std::vector<double>>& shown)
    {
        constexpr double apart = 19.0, sample = 26.0;
        struct Name {
            double y;
            std::size_t curve;
        };
        std::vector<Name> all;
        for (std::size_t i = 0; i < curves.size(); ++i) all.push_back({frame.y(shown[i].back()), i});
        std::ranges::sort(all, {}, &Name::y);
        for (std::size_t i = 1; i < all.size(); ++i) all[i].y = std::max(all[i].y, all[i - 1].y + apart);
        const double too_low = all.empty() ? 0.0 : std::max(0.0, all.back().y - (frame.top + frame.height));
        const double x = frame.left + frame.width + 10.0;
        for (const Name& name : all) {
            const double y = name.y - too_low;
            c_.line({x, y}, {x + sample, y}, pens.at(name.curve));
            c_.text({x + sample + 7.0, y + 4.0}, curves[name.curve].name, 12.0, false, false);
        }
    }

    const HoursDrawing& what_;
    const HoursDrawingOptions& o_;
    Canvas c_;
    double hours_;
};

} // namespace

std::string draw_hours(const HoursDrawing& drawing, const HoursDrawingOptions& options)
{
    return Drawing{drawing, options}.run();
}

} // namespace venture::draw
