#include <venture/draw/parts_drawing.hpp>

#include <algorithm>
#include <cmath>

#include <fmt/format.h>

namespace venture::draw {

namespace {

constexpr Colour shades[] = {{0.00, 0.35, 0.55}, {0.85, 0.62, 0.10}, {0.45, 0.68, 0.80},
                             {0.75, 0.42, 0.30}, {0.62, 0.62, 0.62}, {0.90, 0.85, 0.70}};
constexpr double hatches[] = {0.0, 0.0, 6.0, 4.0, 0.0, 9.0}; ///< spacing of their lines; 0: none
constexpr Colour of_bars{0.45, 0.68, 0.80}, paper{1.0, 1.0, 1.0};
constexpr double small = 12.0, usual = 13.0;

std::vector<Spot> box(double left, double top, double right, double bottom)
{
    return {{left, top}, {right, top}, {right, bottom}, {left, bottom}};
}

/// Where the sheet's parts lie.
struct Ground {
    double width, height;
    [[nodiscard]] double middle() const { return 0.56 * width; }
    static constexpr double margin = 40.0, top = 100.0;
};

class PartsSheet {
public:
    PartsSheet(const PartsDrawing& what, const PartsDrawingOptions& how)
        : d_{what},
          how_{how},
          sheet_{how.width, how.height},
          canvas_{how.picture, how.width, how.height}
    {
    }

    std::string run()
    {
        canvas_.fill(box(0.0, 0.0, sheet_.width, sheet_.height), paper);
        canvas_.text({Ground::margin, 44.0}, d_.title, 20.0, true, false);
        canvas_.text({Ground::margin, 68.0}, d_.subtitle, usual, false, false);
        draw_bars();
        draw_stacks();
        return canvas_.finish();
    }

private:
    [[nodiscard]] std::string number(double value) const { return how_.units.number(value, d_.quantity); }

    /// As many as the sheet has room for; the rest is one bar.
    [[nodiscard]] std::vector<PartBar> shown_bars() const
    {
        constexpr std::size_t most = 24;
        std::vector<PartBar> bars = d_.bars;
        if (bars.size() <= most) return bars;
        PartBar rest{.name = fmt::format("{} smaller ones", bars.size() - most + 1)};
        std::ranges::sort(bars, std::greater{}, [](const PartBar& b) { return std::abs(b.part); });
        for (std::size_t i = most - 1; i < bars.size(); ++i) rest.part += bars[i].part;
        bars.resize(most - 1);
        std::ranges::stable_sort(bars, std::greater{}, &PartBar::part);
        bars.push_back(rest);
        return bars;
    }

    /// 1, 2 or 5 of a power of ten in the units chosen, as SI: two to five marks below the largest.
    [[nodiscard]] double step_of(double most_SI) const
    {
        const double per_unit = most_SI / how_.units.value(most_SI, d_.quantity), most = most_SI / per_unit,
                     power = std::pow(10.0, std::floor(std::log10(most)));
        for (const double of : {0.2, 0.5, 1.0})
            if (most / (of * power) <= 5.0) return of * power * per_unit;
        return 2.0 * power * per_unit;
    }

    void draw_bars()
    {
        const std::vector<PartBar> bars = shown_bars();
        double least = 0.0, most = 1.0, names = 0.0;
        for (const PartBar& b : bars) {
            least = std::min({least, b.part, b.comes_in.value_or(0.0)});
            most = std::max({most, b.part, b.comes_in.value_or(0.0)});
            names = std::max(names, canvas_.text_width(b.name, usual));
        }
        constexpr double of_numbers = 60.0;
        const double left = Ground::margin + names + 12.0 + (least < 0.0 ? of_numbers : 0.0),
                     right = sheet_.middle() - of_numbers, scale = (right - left) / (most - least),
                     zero = left - least * scale;
        const double each = std::min(34.0, (sheet_.height - Ground::top - 70.0) / static_cast<double>(bars.size()));
        double y = Ground::top;
        for (const PartBar& b : bars) {
            const double from = zero + scale * std::min(0.0, b.part), to = zero + scale * std::max(0.0, b.part),
                         low = y + 0.2 * each, high = y + 0.85 * each, base = y + 0.66 * each;
            canvas_.text({Ground::margin, base}, b.name, usual, false, false);
            canvas_.fill(box(from, low, to, high), of_bars);
            if (b.part < 0.0) canvas_.hatch(box(from, low, to, high), {ink, 0.7, {}}, 4.0);
            canvas_.outline(box(from, low, to, high), {ink, 0.8, {}});
            if (b.comes_in) {
                const double at = zero + scale * *b.comes_in;
                canvas_.line({at, y + 0.1 * each}, {at, y + 0.95 * each}, {ink, 2.2, {}});
            }
            const std::string value = number(b.part);
            const double beyond = b.comes_in ? zero + scale * *b.comes_in : zero;
            if (b.part < 0.0)
                canvas_.text({from - canvas_.text_width(value, small) - 6.0, base}, value, small, false, false);
            else
                canvas_.text({std::max(to, beyond) + 6.0, base}, value, small, false, false);
            y += each;
        }
        canvas_.line({zero, Ground::top}, {zero, y}, {ink, 1.2, {}});
        canvas_.text({Ground::margin, y + 24.0},
                     fmt::format("all together {}; numbers in {}", how_.units.text(d_.whole[d_.hour], d_.quantity),
                                 how_.units.symbol(d_.quantity)),
                     usual, true, false);
        if (std::ranges::any_of(bars, [](const PartBar& b) { return b.comes_in.has_value(); }))
            canvas_.text({Ground::margin, y + 44.0}, "stroke: comes in during that hour, before any of it is stored",
                         small, false, false);
    }

    void draw_stacks()
    {
        double least = 0.0, most = 1.0;
        for (std::size_t h = 0; h < 24; ++h) {
            double up = 0.0, down = 0.0;
            for (const PartStack& s : d_.stacks) (s.part[h] > 0.0 ? up : down) += s.part[h];
            least = std::min({least, down, d_.whole[h]});
            most = std::max({most, up, d_.whole[h]});
        }
        const double left = sheet_.middle() + 50.0, right = sheet_.width - Ground::margin,
                     top = Ground::top + 26.0 * static_cast<double>((d_.stacks.size() + 1) / 2) + 20.0,
                     bottom = sheet_.height - 70.0, each = (right - left) / 24.0,
                     scale = (bottom - top) / (most - least);
        const auto y_of = [&](double watts) { return bottom - (watts - least) * scale; };
        draw_key(left);
        for (std::size_t h = 0; h < 24; ++h) {
            const double x = left + each * static_cast<double>(h);
            double up = 0.0, down = 0.0;
            for (std::size_t i = 0; i < d_.stacks.size(); ++i) {
                const double part = d_.stacks[i].part[h];
                double& at = part > 0.0 ? up : down;
                const auto outline = box(x + 1.0, y_of(at + part), x + each - 1.0, y_of(at));
                fill(outline, i);
                at += part;
            }
            const double level = y_of(d_.whole[h]);
            canvas_.line({x, level}, {x + each, level}, {ink, h == d_.hour && !d_.steady ? 3.5 : 1.8, {}});
            if (h % 3 == 0)
                canvas_.text({x + 0.5 * each, bottom + 18.0},
                             fmt::format("{}", (h + static_cast<std::size_t>(d_.first_clock_hour)) % 24), small);
        }
        canvas_.line({left, y_of(0.0)}, {right, y_of(0.0)}, {ink, 1.2, {}});
        for (double mark = step_of(most); mark <= most; mark += step_of(most)) {
            canvas_.line({left, y_of(mark)}, {right, y_of(mark)}, {ink, 0.4, {2.0, 3.0}});
            canvas_.text({left - canvas_.text_width(number(mark), small) - 6.0, y_of(mark) + 4.0}, number(mark), small,
                         false, false);
        }
        canvas_.text({0.5 * (left + right), bottom + 40.0},
                     d_.steady ? "clock hour; strokes: all together, steady"
                               : "clock hour; strokes: all together, the thick one the peak",
                     small);
    }

    void fill(const std::vector<Spot>& outline, std::size_t i)
    {
        if (std::abs(outline[0].y - outline[2].y) < 0.3) return;
        canvas_.fill(outline, shades[i % std::size(shades)]);
        if (const double spacing = hatches[i % std::size(hatches)]; spacing > 0.0)
            canvas_.hatch(outline, {ink, 0.6, {}}, spacing);
        canvas_.outline(outline, {ink, 0.4, {}});
    }

    void draw_key(double left)
    {
        const double wide = 0.5 * (sheet_.width - Ground::margin - left);
        for (std::size_t i = 0; i < d_.stacks.size(); ++i) {
            const double x = left + wide * static_cast<double>(i % 2),
                         y = Ground::top + 26.0 * static_cast<double>(i / 2);
            fill(box(x, y, x + 22.0, y + 15.0), i);
            canvas_.text({x + 30.0, y + 12.0}, d_.stacks[i].name, usual, false, false);
        }
    }

    const PartsDrawing& d_;
    const PartsDrawingOptions& how_;
    Ground sheet_;
    Canvas canvas_;
};

} // namespace

std::string draw_parts(const PartsDrawing& drawing, const PartsDrawingOptions& options)
{
    return PartsSheet{drawing, options}.run();
}

} // namespace venture::draw
