#include <venture/draw/parts_drawing.hpp>

#include <algorithm>
#include <cmath>

#include <fmt/format.h>

#include <venture/draw/plot.hpp>

namespace venture::draw {

namespace {

constexpr Shade of_stacks[] = {{{0.00, 0.35, 0.55}, 0}, {{0.85, 0.62, 0.10}, 0}, {{0.45, 0.68, 0.80}, 4},
                               {{0.75, 0.42, 0.30}, 5}, {{0.62, 0.62, 0.62}, 0}, {{0.90, 0.85, 0.70}, 2}};
constexpr Shade of_bars{{0.45, 0.68, 0.80}, 0, 0.8}, of_bars_that_lessen{{0.45, 0.68, 0.80}, 4, 0.8};
constexpr Letters small{12.0}, usual{13.0};
constexpr double edge_px = 40.0, top_px = 100.0;

class PartsSheet {
public:
    PartsSheet(const PartsDrawing& what, const PartsDrawingOptions& how)
        : d_{what},
          how_{how},
          sheet_{how.width, how.height},
          middle_{0.56 * how.width}
    {
    }

    std::string run()
    {
        constexpr Letters of_title{20.0, true};
        sheet_.text({edge_px, 44.0}, fitted(d_.title, of_title, how_.width - 2.0 * edge_px), of_title);
        sheet_.text({edge_px, 68.0}, d_.subtitle, usual);
        add_bars();
        add_stacks();
        return sheet_.drawn(how_.picture);
    }

private:
    [[nodiscard]] double value(double SI) const { return how_.units.value(SI, d_.quantity); }

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

    /// Bars have at least half of their part of the sheet.
    [[nodiscard]] std::string name_of(const PartBar& bar) const { return fitted(bar.name, small, 0.5 * middle_); }

    /// Names to the left of all bars, from the top down.
    [[nodiscard]] Frame frame_of(const std::vector<PartBar>& bars) const
    {
        double least = 0.0, most = value(1.0), names = 0.0;
        for (const PartBar& b : bars) {
            least = std::min({least, value(b.part), value(b.comes_in.value_or(0.0))});
            most = std::max({most, value(b.part), value(b.comes_in.value_or(0.0))});
            names = std::max(names, likely_width(name_of(b), small));
        }
        constexpr double of_numbers = 0.14; // room for them, as a share of the scale
        const double beyond = of_numbers * (most - least), left = edge_px + names;
        const auto count = static_cast<double>(std::max<std::size_t>(1, bars.size()));
        const double each = std::min(34.0, (how_.height - top_px - 80.0) / count);
        return {.left = left,
                .top = top_px,
                .width = middle_ - left,
                .height = each * count,
                .x0 = least < 0.0 ? least - beyond : 0.0,
                .x1 = most + beyond,
                .y0 = count,
                .y1 = 0.0};
    }

    void add_bars()
    {
        const std::vector<PartBar> bars = shown_bars();
        Plot plot{frame_of(bars), ""};
        std::vector<Tick> names;
        std::vector<Box> more, less;
        for (std::size_t i = 0; i < bars.size(); ++i) {
            const auto y = static_cast<double>(i);
            const double part = value(bars[i].part);
            names.push_back({y + 0.5, name_of(bars[i])});
            (part < 0.0 ? less : more).push_back({std::min(0.0, part), std::max(0.0, part), y + 0.2, y + 0.85});
        }
        plot.y_names(names);
        plot.no_lines_across();
        plot.no_frame();
        plot.boxes(more, of_bars);
        plot.boxes(less, of_bars_that_lessen);
        for (std::size_t i = 0; i < bars.size(); ++i) add_number(plot, bars[i], static_cast<double>(i));
        plot.curve({{0.0, plot.frame().y0}, {0.0, 0.0}}, {ink, 1.2});
        const double below = plot.frame().top + plot.frame().height;
        sheet_.add(std::move(plot));
        sheet_.text({edge_px, below + 42.0},
                    fmt::format("all together {}; numbers in {}", how_.units.text(d_.whole[d_.hour], d_.quantity),
                                how_.units.symbol(d_.quantity)),
                    {usual.size, true});
        if (std::ranges::any_of(bars, [](const PartBar& b) { return b.comes_in.has_value(); }))
            sheet_.text({edge_px, below + 60.0}, "stroke: comes in during that hour, before any of it is stored",
                        small);
    }

    /// A stroke at what comes in, and the number beyond the bar.
    void add_number(Plot& plot, const PartBar& bar, double y) const
    {
        const double part = value(bar.part), in = value(bar.comes_in.value_or(0.0));
        if (bar.comes_in) plot.curve({{in, y + 0.1}, {in, y + 0.95}}, {ink, 2.2});
        const bool lessens = bar.part < 0.0;
        plot.note({lessens ? part : std::max({part, in, 0.0}), y + 0.52}, how_.units.number(bar.part, d_.quantity),
                  {small.size, false, lessens ? At::right : At::left}, {lessens ? -6.0 : 6.0, 0.0});
    }

    [[nodiscard]] Frame frame_of_stacks() const
    {
        double least = 0.0, most = value(1.0);
        for (std::size_t h = 0; h < 24; ++h) {
            double up = 0.0, down = 0.0;
            for (const PartStack& s : d_.stacks) (s.part[h] > 0.0 ? up : down) += value(s.part[h]);
            least = std::min({least, down, value(d_.whole[h])});
            most = std::max({most, up, value(d_.whole[h])});
        }
        const double left = middle_ + 60.0,
                     upper = top_px + 26.0 * static_cast<double>((d_.stacks.size() + 1) / 2) + 20.0;
        return {.left = left,
                .top = upper,
                .width = how_.width - edge_px - left,
                .height = how_.height - 70.0 - upper,
                .x1 = 24.0,
                .y0 = least,
                .y1 = most};
    }

    void add_stacks()
    {
        Plot plot{frame_of_stacks(), ""};
        std::vector<std::vector<Box>> boxes(d_.stacks.size());
        for (std::size_t h = 0; h < 24; ++h) {
            double up = 0.0, down = 0.0;
            for (std::size_t i = 0; i < d_.stacks.size(); ++i) {
                const double part = value(d_.stacks[i].part[h]), x = static_cast<double>(h);
                double& at = part > 0.0 ? up : down;
                if (part != 0.0)
                    boxes[i].push_back({x + 0.08, x + 0.92, std::min(at, at + part), std::max(at, at + part)});
                at += part;
            }
        }
        for (std::size_t i = 0; i < boxes.size(); ++i) plot.boxes(boxes[i], shade(i));
        std::vector<Tick> hours;
        for (std::size_t h = 0; h < 24; ++h) {
            const double level = value(d_.whole[h]), x = static_cast<double>(h);
            plot.curve({{x, level}, {x + 1.0, level}}, {ink, h == d_.hour && !d_.steady ? 3.5 : 1.8});
            if (h % 3 == 0)
                hours.push_back({x + 0.5, std::to_string((h + static_cast<std::size_t>(d_.first_clock_hour)) % 24)});
        }
        plot.curve({{0.0, 0.0}, {24.0, 0.0}}, {ink, 1.2});
        plot.x_ticks(hours);
        plot.no_lines_up();
        plot.no_frame();
        const Frame& frame = plot.frame();
        add_key(frame.left);
        sheet_.text({frame.left + 0.5 * frame.width, frame.top + frame.height + 40.0},
                    d_.steady ? "clock hour; strokes: all together, steady"
                              : "clock hour; strokes: all together, the thick one the peak",
                    {small.size, false, At::middle});
        sheet_.add(std::move(plot));
    }

    static const Shade& shade(std::size_t i) { return of_stacks[i % std::size(of_stacks)]; }

    void add_key(double left)
    {
        const double wide = 0.5 * (how_.width - edge_px - left);
        for (std::size_t i = 0; i < d_.stacks.size(); ++i) {
            const double x = left + wide * static_cast<double>(i % 2), y = top_px + 26.0 * static_cast<double>(i / 2);
            sheet_.box({x, y}, {x + 22.0, y + 15.0}, shade(i));
            sheet_.text({x + 30.0, y + 12.0}, d_.stacks[i].name, usual);
        }
    }

    const PartsDrawing& d_;
    const PartsDrawingOptions& how_;
    PlotSheet sheet_;
    double middle_;
};

} // namespace

std::string draw_parts(const PartsDrawing& drawing, const PartsDrawingOptions& options)
{
    return PartsSheet{drawing, options}.run();
}

} // namespace venture::draw
