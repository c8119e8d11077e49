#include <venture/draw/air_drawing.hpp>

#include <algorithm>
#include <cmath>
#include <map>

#include <fmt/format.h>

#include <venture/draw/chart.hpp>

namespace venture::draw {

using air::Point;
using quantity::Temperature;

namespace {

constexpr Colour pale{0.80, 0.80, 0.80}, water{0.00, 0.45, 0.70}, warm{0.84, 0.37, 0.00}, green{0.00, 0.50, 0.40};
constexpr double table_width = 420.0;

class Drawing {
public:
    Drawing(const AirDrawing& what, const AirDrawingOptions& o)
        : what_{what},
          o_{o},
          canvas_{o.picture, o.width, o.height}
    {
        constexpr double left = 46.0, top = 92.0, bottom = 66.0, right = 62.0;
        frame_ = {
            .left = left, .top = top, .width = o.width - left - right - table_width, .height = o.height - top - bottom};
        find_bounds();
    }

    std::string run()
    {
        canvas_.text({24.0, 34.0}, what_.title, 19.0, true, false);
        canvas_.text({24.0, 56.0}, what_.subtitle, 12.0, false, false);
        if (what_.synthetic)
            canvas_.text({24.0, 76.0}, "SYNTHETIC weather: made up, measured by nobody", 12.0, true, false);
        fill_hours(what_.outdoor_hours, water, false);
        fill_hours(what_.room_hours, warm, true);
        draw_grid();
        draw_held();
        draw_ways();
        draw_states();
        draw_table();
        return canvas_.finish();
    }

private:
    [[nodiscard]] double saturated(double t_C) const
    {
        return air::saturation_humidity_ratio(Temperature::celsius(t_C), what_.pressure);
    }
    [[nodiscard]] double ratio_at(double t_C, double phi) const
    {
        return air::MoistAir::from_relative_humidity(Temperature::celsius(t_C), phi, what_.pressure).humidity_ratio();
    }
    [[nodiscard]] Spot spot(const Point& p) const { return frame_.at(p.dry_bulb_C, p.humidity_ratio); }

    /// All states and hours, in round steps; never less than what rooms have.
    void find_bounds()
    {
        constexpr double step_C = 5.0, step_w = 0.002, usual_low_C = 10.0, usual_high_C = 30.0, usual_w = 0.012;
        frame_.x0 = usual_low_C;
        frame_.x1 = usual_high_C;
        frame_.y1 = usual_w;
        const auto hold = [&](const Point& p) {
            frame_.x0 = std::min(frame_.x0, p.dry_bulb_C);
            frame_.x1 = std::max(frame_.x1, p.dry_bulb_C);
            frame_.y1 = std::max(frame_.y1, p.humidity_ratio);
        };
        for (const AirState& s : what_.states) hold(s.at);
        for (const Point& p : what_.outdoor_hours) hold(p);
        for (const Point& p : what_.room_hours) hold(p);
        frame_.x0 = step_C * std::floor((frame_.x0 - 1.0) / step_C);
        frame_.x1 = step_C * std::ceil((frame_.x1 + 1.0) / step_C);
        frame_.y1 = step_w * std::ceil((frame_.y1 + 0.0005) / step_w);
    }

    /// A line of relative humidity as far as the frame goes. @returns where it leaves it
    Spot draw_humidity(double phi, const Pen& pen)
    {
        constexpr double fine_K = 0.25;
        Spot before = spot({frame_.x0, std::min(frame_.y1, ratio_at(frame_.x0, phi))});
        for (double t = frame_.x0 + fine_K; t <= frame_.x1 + 1e-9; t += fine_K) {
            const double w = ratio_at(t, phi);
            if (w > frame_.y1) break;
            const Spot next = spot({t, w});
            canvas_.line(before, next, pen);
            before = next;
        }
        return before;
    }

    void draw_grid()
    {
        const auto temperature = o_.units.symbol("temperature"), ratio = o_.units.symbol("humidity_ratio");
        constexpr double step_C = 5.0, step_w = 0.002;
        const Pen thin{pale, 0.6};
        for (double t = frame_.x0; t <= frame_.x1 + 1e-9; t += step_C) {
            canvas_.line(frame_.at(t, 0.0), frame_.at(t, std::min(frame_.y1, saturated(t))), thin);
            canvas_.text({frame_.x(t), frame_.y(0.0) + 17.0},
                         fmt::format("{:.0f}", quantity::from_si(t, temperature, quantity::Kind::temperature)),
                         small_text);
        }
        for (double w = 0.0; w <= frame_.y1 + 1e-9; w += step_w) {
            double t = frame_.x0;
            while (t < frame_.x1 && saturated(t) < w) t += 0.1;
            canvas_.line(frame_.at(t, w), frame_.at(frame_.x1, w), thin);
            canvas_.text({frame_.left + frame_.width + 18.0, frame_.y(w) + 4.0},
                         fmt::format("{:.0f}", quantity::from_si(w, ratio, quantity::Kind::humidity_ratio)),
                         small_text);
        }
        draw_enthalpies();
        for (int percent = 10; percent < 100; percent += 10) {
            const Spot end = draw_humidity(percent / 100.0, {pale, percent % 50 == 0 ? 1.2 : 0.8, {}});
            canvas_.text({end.x - 12.0, end.y - 3.0}, fmt::format("{} %", percent), 9.5);
        }
        draw_humidity(1.0, {ink, 2.0});
        canvas_.text({frame_.left + 0.5 * frame_.width, frame_.y(0.0) + 38.0}, fmt::format("dry bulb, {}", temperature),
                     12.0);
        canvas_.text({frame_.left + frame_.width - 30.0, frame_.top - 10.0}, fmt::format("humidity ratio, {}", ratio),
                     12.0);
    }

    /// From saturation down to dry air, each 10 kJ/kg.
    void draw_enthalpies()
    {
        constexpr double each = 10e3;
        const auto unit = o_.units.symbol("enthalpy");
        for (double h = each * std::ceil(1006.0 * frame_.x0 / each); h <= 200e3; h += each) {
            const auto moisture_at = [&](double t) {
                return (h - 1006.0 * t) / (air::latent_heat_of_vaporisation_J_per_kg + 1860.0 * t);
            };
            double t = frame_.x0;
            while (t < frame_.x1 && (moisture_at(t) > saturated(t) || moisture_at(t) > frame_.y1)) t += 0.05;
            const double end = std::min(frame_.x1, h / 1006.0);
            if (t >= end) continue;
            canvas_.line(frame_.at(t, moisture_at(t)), frame_.at(end, std::max(0.0, moisture_at(end))),
                         {pale, 0.7, {4.0, 4.0}});
            if (saturated(t) <= moisture_at(t) + 1e-4)
                canvas_.text({frame_.x(t) - 12.0, frame_.y(moisture_at(t)) - 6.0},
                             fmt::format("{:.0f}", quantity::from_si(h, unit, quantity::Kind::enthalpy)), 9.5);
        }
    }

    /// Fields of half a degree and a quarter of a gram, the darker the more hours.
    void fill_hours(const std::vector<Point>& hours, Colour colour, bool hatched)
    {
        constexpr double wide_K = 0.5, high = 0.00025;
        std::map<std::pair<int, int>, int> fields;
        int most = 1;
        for (const Point& p : hours)
            most = std::max(most, ++fields[{static_cast<int>(std::floor(p.dry_bulb_C / wide_K)),
                                            static_cast<int>(std::floor(p.humidity_ratio / high))}]);
        for (const auto& [at, count] : fields) {
            const double x = at.first * wide_K, y = at.second * high;
            const auto box = frame_.box(x, x + wide_K, y, y + high);
            const double share = std::sqrt(static_cast<double>(count) / most);
            canvas_.fill(box, colour, 0.12 + 0.5 * share);
            if (hatched) canvas_.hatch(box, {colour, 0.8}, 4.0);
        }
    }

    void draw_held()
    {
        if (!what_.held) return;
        const HeldAir& h = *what_.held;
        std::vector<Spot> corners;
        constexpr int fine = 12;
        for (int i = 0; i <= fine; ++i) {
            const double t = std::lerp(h.coldest_C, h.warmest_C, static_cast<double>(i) / fine);
            corners.push_back(spot({t, h.driest(t)}));
        }
        for (int i = fine; i >= 0; --i) {
            const double t = std::lerp(h.coldest_C, h.warmest_C, static_cast<double>(i) / fine);
            corners.push_back(spot({t, h.wettest(t)}));
        }
        canvas_.outline(corners, {green, 1.8, {7.0, 3.0}});
    }

    void draw_ways()
    {
        for (const auto& [from, to] : what_.ways) {
            const Spot a = spot(what_.states[from].at), b = spot(what_.states[to].at);
            const double length = std::hypot(b.x - a.x, b.y - a.y);
            if (length < 1.0) continue;
            canvas_.line(a, b, {ink, 1.6});
            const Spot middle{0.5 * (a.x + b.x), 0.5 * (a.y + b.y)}, along{(b.x - a.x) / length, (b.y - a.y) / length};
            const auto back = [&](double side) {
                return Spot{middle.x - 8.0 * along.x - side * 4.0 * along.y,
                            middle.y - 8.0 * along.y + side * 4.0 * along.x};
            };
            if (length > 30.0) canvas_.fill({middle, back(1.0), back(-1.0)}, ink);
        }
    }

    void disc(Spot at, double radius, Colour colour)
    {
        std::vector<Spot> round;
        constexpr int corners = 24;
        for (int i = 0; i < corners; ++i) {
            const double angle = 6.283185307179586 * i / corners;
            round.push_back({at.x + radius * std::cos(angle), at.y + radius * std::sin(angle)});
        }
        canvas_.fill(round, colour);
    }

    /// A dot at the state, its number beside it where no other number stands.
    void draw_states()
    {
        std::vector<Spot> taken;
        for (std::size_t i = 0; i < what_.states.size(); ++i) {
            const Spot at = spot(what_.states[i].at);
            disc(at, 3.5, ink);
            constexpr double away = 15.0;
            const Spot ways[] = {{away, -away}, {-away, -away},    {away, away},
                                 {-away, away}, {2.2 * away, 0.0}, {-2.2 * away, 0.0}};
            Spot best{at.x + ways[0].x, at.y + ways[0].y};
            for (const Spot& way : ways) {
                const Spot tried{at.x + way.x, at.y + way.y};
                const bool free = std::ranges::none_of(
                    taken, [&](const Spot& other) { return std::hypot(other.x - tried.x, other.y - tried.y) < 20.0; });
                if (!free) continue;
                best = tried;
                break;
            }
            taken.push_back(best);
            taken.push_back(at);
            canvas_.line(at, best, {ink, 0.6});
            disc(best, 9.0, {1.0, 1.0, 1.0});
            std::vector<Spot> ring;
            constexpr int corners = 24;
            for (int k = 0; k < corners; ++k) {
                const double angle = 6.283185307179586 * k / corners;
                ring.push_back({best.x + 9.0 * std::cos(angle), best.y + 9.0 * std::sin(angle)});
            }
            canvas_.outline(ring, {ink, 1.0});
            canvas_.text({best.x, best.y + 4.0}, fmt::format("{}", i + 1), small_text, true);
        }
    }

    /// The states in figures, numbered alike; what lines and fields mean below.
    void draw_table()
    {
        const double left = frame_.left + frame_.width + 58.0;
        double y = frame_.top + 10.0;
        constexpr double line = 19.0;
        const double at[] = {left, left + 20.0, left + 190.0, left + 245.0, left + 300.0, left + 355.0};
        const auto right = [&](double x, const std::string& text, bool bold = false) {
            canvas_.text({x - canvas_.text_width(text, small_text, bold), y}, text, small_text, bold, false);
        };
        if (!what_.states.empty()) {
            canvas_.text({left, y}, "State", small_text, true, false);
            right(at[3], std::string{o_.units.symbol("temperature")}, true);
            right(at[4], "%", true);
            right(at[5], std::string{o_.units.symbol("humidity_ratio")}, true);
            right(at[5] + 52.0, std::string{o_.units.symbol("air_flow")}, true);
            y += 6.0;
            canvas_.line({left, y}, {at[5] + 52.0, y}, {ink, 0.8});
            y += line - 4.0;
        }
        for (std::size_t i = 0; i < what_.states.size(); ++i) {
            const AirState& s = what_.states[i];
            canvas_.text({at[0], y}, fmt::format("{}", i + 1), small_text, true, false);
            canvas_.text({at[1], y}, s.name, small_text, false, false);
            right(at[3], fmt::format("{:.1f}", quantity::from_si(s.at.dry_bulb_C, o_.units.symbol("temperature"),
                                                                 quantity::Kind::temperature)));
            right(at[4], fmt::format("{:.0f}", 100.0 * air::relative_humidity(Temperature::celsius(s.at.dry_bulb_C),
                                                                              s.at.humidity_ratio, what_.pressure)));
            right(at[5], fmt::format("{:.2f}", quantity::from_si(s.at.humidity_ratio, o_.units.symbol("humidity_ratio"),
                                                                 quantity::Kind::humidity_ratio)));
            right(at[5] + 52.0, s.m3_per_s
                                    ? fmt::format("{:.1f}", quantity::from_si(*s.m3_per_s, o_.units.symbol("air_flow"),
                                                                              quantity::Kind::air_flow))
                                    : "-");
            y += line;
        }
        y += line;
        const auto key = [&](const auto& sample, const std::string& text) {
            sample();
            canvas_.text({left + 44.0, y}, text, small_text, false, false);
            y += line;
        };
        key([&] { canvas_.line({left, y - 4.0}, {left + 34.0, y - 4.0}, {ink, 2.0}); }, "saturated air");
        key([&] { canvas_.line({left, y - 4.0}, {left + 34.0, y - 4.0}, {pale, 1.2}); }, "relative humidity");
        key(
            [&] {
                canvas_.line({left, y - 4.0}, {left + 34.0, y - 4.0}, {pale, 0.9, {4.0, 4.0}});
            },
            fmt::format("enthalpy, {}", o_.units.symbol("enthalpy")));
        if (what_.held)
            key(
                [&] {
                    canvas_.line({left, y - 4.0}, {left + 34.0, y - 4.0}, {green, 1.8, {7.0, 3.0}});
                },
                what_.held->operative ? "what the room is held to (operative)" : "what the room is held to");
        const auto field = [&](Colour colour, bool hatched) {
            const std::vector<Spot> box{
                {left, y - 11.0}, {left + 34.0, y - 11.0}, {left + 34.0, y + 1.0}, {left, y + 1.0}};
            canvas_.fill(box, colour, 0.45);
            if (hatched) canvas_.hatch(box, {colour, 0.8}, 4.0);
        };
        if (!what_.outdoor_hours.empty()) key([&] { field(water, false); }, "hours of the year outdoors");
        if (!what_.room_hours.empty()) key([&] { field(warm, true); }, "hours of the year in the room");
    }

    const AirDrawing& what_;
    const AirDrawingOptions& o_;
    Canvas canvas_;
    Frame frame_{};
};

} // namespace

std::string draw_air(const AirDrawing& drawing, const AirDrawingOptions& options)
{
    return Drawing{drawing, options}.run();
}

} // namespace venture::draw
