#include <venture/draw/series_drawing.hpp>

#include <algorithm>
#include <cmath>
#include <numeric>
#include <optional>

#include <fmt/format.h>

#include <venture/climate/date.hpp>
#include <venture/draw/curves.hpp>
#include <venture/draw/months_scale.hpp>
#include <venture/quantity/shown_text.hpp>

namespace venture::draw {

namespace {

const Pen between_months{{0.45, 0.45, 0.45}, 0.6};
// From pale to dark in even steps of lightness, so that it also reads in grey.
constexpr std::array<Colour, 8> by_value = {{{1.00, 0.97, 0.80},
                                             {1.00, 0.90, 0.60},
                                             {1.00, 0.79, 0.42},
                                             {0.98, 0.64, 0.28},
                                             {0.92, 0.47, 0.18},
                                             {0.80, 0.31, 0.13},
                                             {0.62, 0.18, 0.12},
                                             {0.38, 0.08, 0.12}}};
constexpr double seam_d = 0.2; ///< by which days overlap, so that no line shows between them

struct Bounds {
    double lowest = 0.0, highest = 0.0;
};

class Drawing {
public:
    Drawing(const SeriesDrawing& what, const SeriesDrawingOptions& o) : what_{what}, o_{o}, sheet_{o.width, o.height}
    {
        for (const DrawnSeries& s : what.series) {
            std::vector<double>& shown = values_.emplace_back();
            for (const double v : s.hours) shown.push_back(what.quantity.empty() ? v : o.units.value(v, what.quantity));
        }
    }

    std::string run()
    {
        head_sheet(sheet_, o_.width, what_.title, what_.subtitle, what_.synthetic);
        switch (what_.form) {
        case SeriesForm::carpet:
            draw_carpets();
            break;
        case SeriesForm::duration:
            draw_duration();
            break;
        case SeriesForm::outdoors:
            draw_against_outdoors();
            break;
        case SeriesForm::profile:
            draw_months();
            draw_hours_of_day();
            break;
        }
        return sheet_.drawn(o_.picture);
    }

private:
    static constexpr double left = 74.0, top = 100.0, bottom = 62.0, beside = 230.0;

    [[nodiscard]] Bounds bounds(const std::vector<std::vector<double>>& of) const
    {
        Bounds out{1e300, -1e300};
        for (const std::vector<double>& values : of)
            for (const double v : values) out = {std::min(out.lowest, v), std::max(out.highest, v)};
        if (what_.quantity != "temperature") out.lowest = std::min(out.lowest, 0.0);
        if (out.highest - out.lowest < 1e-9) out.highest = out.lowest + 1.0;
        return out;
    }
    [[nodiscard]] std::string in_unit() const { return what_.scale + (symbol().empty() ? "" : ", " + symbol()); }
    [[nodiscard]] std::string symbol() const
    {
        return what_.quantity.empty() ? what_.unit : std::string{o_.units.symbol(what_.quantity)};
    }
    [[nodiscard]] Frame sheet_frame() const
    {
        return {.left = left, .top = top, .width = o_.width - left - beside, .height = o_.height - top - bottom};
    }
    void set_y(Frame& frame, const Bounds& b) const
    {
        const double room = 0.04 * (b.highest - b.lowest);
        frame.y0 = b.lowest == 0.0 ? 0.0 : b.lowest - room;
        frame.y1 = b.highest + room;
    }

    void draw_carpets()
    {
        constexpr double gap = 46.0;
        const Bounds b = bounds(values_);
        const std::vector<double> levels = levels_between(b);
        const double each = (o_.height - top - bottom + gap) / static_cast<double>(values_.size()) - gap;
        for (std::size_t i = 0; i < values_.size(); ++i)
            draw_carpet(i, levels,
                        {.left = left,
                         .top = top + static_cast<double>(i) * (each + gap),
                         .width = o_.width - left - beside,
                         .height = each});
        draw_classes(levels);
    }

    /// Round values between colours, one less than those at most.
    static std::vector<double> levels_between(const Bounds& b)
    {
        for (int count = static_cast<int>(by_value.size()); count > 1; --count)
            if (auto out = round_values(b.lowest, b.highest, count); !out.empty() && out.size() < by_value.size())
                return out;
        return {0.5 * (b.lowest + b.highest)};
    }

    /// How many levels lie below a value: its class.
    static std::size_t class_of(double value, const std::vector<double>& levels)
    {
        return static_cast<std::size_t>(std::ranges::upper_bound(levels, value) - levels.begin());
    }

    /// Of a class; those that there are take the whole scale of colours.
    static Colour colour_of(std::size_t of_class, const std::vector<double>& levels)
    {
        return by_value.at(of_class * (by_value.size() - 1) / levels.size());
    }

    void draw_carpet(std::size_t i, const std::vector<double>& levels, Frame frame)
    {
        frame.x1 = what_.leap ? 366.0 : 365.0;
        frame.y1 = 24.0;
        std::array<std::vector<Box>, by_value.size()> boxes;
        const std::vector<double>& values = values_[i];
        for (std::size_t first = 0; first + 24 <= values.size(); first += 24) {
            const double day = static_cast<double>(first / 24) + what_.first_day - 1;
            for (std::size_t from = 0; from < 24;) { // hours of one colour in a row are one box
                const std::size_t colour = class_of(values[first + from], levels);
                std::size_t to = from;
                while (to < 24 && class_of(values[first + to], levels) == colour) ++to;
                boxes[colour].push_back(
                    {day, std::min(day + 1.0 + seam_d, frame.x1), static_cast<double>(from), static_cast<double>(to)});
                from = to;
            }
        }
        Plot plot{frame, what_.series[i].name};
        for (std::size_t c = 0; c < boxes.size(); ++c)
            if (c <= levels.size()) plot.boxes(boxes[c], {colour_of(c, levels), 0, 0.0});
        plot.y_ticks({{0, "0"}, {6, "6"}, {12, "12"}, {18, "18"}, {24, "24 h"}});
        part_months(plot, what_.leap, between_months);
        sheet_.add(std::move(plot));
    }

    void draw_classes(const std::vector<double>& levels)
    {
        constexpr double box = 26.0, line = 30.0;
        const double x = o_.width - beside + 26.0;
        sheet_.text({x, top + 4.0}, what_.scale, {12.0, true});
        sheet_.text({x, top + 20.0}, symbol(), {12.0});
        const std::size_t count = levels.size() + 1;
        for (std::size_t c = 0; c < count; ++c) {
            const double y = top + 34.0 + line * static_cast<double>(count - 1 - c);
            sheet_.box({x, y}, {x + box, y + 22.0}, {colour_of(c, levels), 0, 0.5});
            const std::string text = c == 0           ? fmt::format("below {:g}", levels.front())
                                     : c + 1 == count ? fmt::format("{:g} and more", levels[c - 1])
                                                      : fmt::format("{:g} to {:g}", levels[c - 1], levels[c]);
            sheet_.text({x + box + 9.0, y + 15.0}, text, {12.0});
        }
    }

    void draw_duration()
    {
        Frame frame = sheet_frame();
        frame.x1 = static_cast<double>(values_.front().size());
        set_y(frame, bounds(values_));
        Plot plot{frame, fmt::format("{}: in so many hours it is as much, or more", in_unit())};
        std::vector<NamedEnd> ends;
        for (std::size_t i = 0; i < values_.size(); ++i) {
            std::vector<double> sorted = values_[i];
            std::ranges::sort(sorted, std::greater{});
            std::vector<Spot> curve;
            for (std::size_t h = 0; h < sorted.size(); ++h) curve.push_back({static_cast<double>(h) + 0.5, sorted[h]});
            plot.curve(curve, curve_pens().at(i));
            ends.push_back({what_.series[i].name, sorted.back()});
        }
        sheet_.add(std::move(plot));
        name_curves(sheet_, frame, ends);
    }

    void draw_against_outdoors()
    {
        constexpr double dot_px = 2.2;
        std::vector<double> outdoor;
        for (const double t : what_.outdoor_C) outdoor.push_back(o_.units.value(t, "temperature"));
        const auto [coldest, warmest] = std::ranges::minmax_element(outdoor);
        Frame frame = sheet_frame();
        frame.x0 = std::floor(*coldest);
        frame.x1 = std::max(std::ceil(*warmest), frame.x0 + 1.0);
        set_y(frame, bounds(values_));
        Plot plot{frame, fmt::format("{}, against outdoor air, {}: a dot an hour, a line for the mean", in_unit(),
                                     o_.units.symbol("temperature"))};
        std::vector<NamedEnd> ends;
        for (std::size_t i = 0; i < values_.size(); ++i) {
            std::vector<Spot> dots;
            for (std::size_t h = 0; h < outdoor.size(); ++h) dots.push_back({outdoor[h], values_[i][h]});
            plot.dots(dots, paler(curve_pens().at(i).colour), dot_px);
        }
        for (std::size_t i = 0; i < values_.size(); ++i) {
            const std::vector<Spot> mean = means_by_degree(outdoor, values_[i]);
            plot.curve(mean, curve_pens().at(i));
            ends.push_back({what_.series[i].name, mean.back().y});
        }
        sheet_.add(std::move(plot));
        name_curves(sheet_, frame, ends);
    }

    static Colour paler(const Colour& c)
    {
        constexpr double share = 0.55;
        return {std::lerp(c.r, 1.0, share), std::lerp(c.g, 1.0, share), std::lerp(c.b, 1.0, share)};
    }

    /// Means over each whole number on the scale of x, where there are some.
    static std::vector<Spot> means_by_degree(const std::vector<double>& x, const std::vector<double>& y)
    {
        const double first = std::floor(*std::ranges::min_element(x));
        const auto count = static_cast<std::size_t>(std::floor(*std::ranges::max_element(x)) - first) + 1;
        std::vector<double> sum(count), hours(count);
        for (std::size_t i = 0; i < x.size(); ++i) {
            const auto at = static_cast<std::size_t>(std::floor(x[i]) - first);
            sum[at] += y[i];
            ++hours[at];
        }
        std::vector<Spot> out;
        for (std::size_t i = 0; i < count; ++i)
            if (hours[i] > 0.0) out.push_back({first + static_cast<double>(i) + 0.5, sum[i] / hours[i]});
        return out;
    }

    [[nodiscard]] int month_of(std::size_t hour) const
    {
        return climate::month_day(what_.first_day + static_cast<int>(hour / 24), what_.leap).month;
    }

    /// Mean over the hours that belong to a place; nothing where none does.
    template <class PlaceOf>
    static std::vector<std::optional<double>> means(const std::vector<double>& values, std::size_t places,
                                                    const PlaceOf& place_of)
    {
        std::vector<double> sum(places), hours(places);
        for (std::size_t h = 0; h < values.size(); ++h)
            if (const std::optional<std::size_t> at = place_of(h)) {
                sum[*at] += values[h];
                ++hours[*at];
            }
        std::vector<std::optional<double>> out(places);
        for (std::size_t i = 0; i < places; ++i)
            if (hours[i] > 0.0) out[i] = sum[i] / hours[i];
        return out;
    }

    struct Curve {
        std::string name{};
        std::vector<std::optional<double>> values{};
    };

    void add_curves(Frame frame, const std::string& title, const std::vector<Curve>& curves,
                    const std::vector<Tick>& ticks)
    {
        std::vector<std::vector<double>> shown;
        for (const Curve& c : curves)
            for (std::vector<double>& values = shown.emplace_back(); const std::optional<double>& v : c.values)
                if (v) values.push_back(*v);
        frame.x1 = static_cast<double>(curves.front().values.size());
        set_y(frame, bounds(shown));
        Plot plot{frame, title};
        plot.x_ticks(ticks);
        std::vector<NamedEnd> ends;
        for (std::size_t i = 0; i < curves.size(); ++i) {
            std::vector<Spot> levels;
            for (std::size_t x = 0; x < curves[i].values.size(); ++x)
                if (const auto& v = curves[i].values[x])
                    for (const double side : {0.0, 1.0}) levels.push_back({static_cast<double>(x) + side, *v});
            if (levels.empty()) continue;
            plot.curve(levels, curve_pens().at(i));
            ends.push_back({curves[i].name, levels.back().y});
        }
        sheet_.add(std::move(plot));
        name_curves(sheet_, frame, ends);
    }

    [[nodiscard]] Frame half_sheet(bool lower) const
    {
        constexpr double gap = 66.0;
        const double each = 0.5 * (o_.height - top - bottom - gap);
        return {.left = left, .top = lower ? top + each + gap : top, .width = o_.width - left - beside, .height = each};
    }

    void draw_months()
    {
        std::vector<Curve> curves;
        for (std::size_t i = 0; i < values_.size(); ++i)
            curves.push_back({what_.series[i].name, means(values_[i], 12, [&](std::size_t h) {
                                  return std::optional{static_cast<std::size_t>(month_of(h) - 1)};
                              })});
        std::vector<Tick> names;
        for (int m = 1; m <= 12; ++m) names.push_back({m - 0.5, climate::month_name(m).substr(0, 3)});
        add_curves(half_sheet(false), fmt::format("{}: mean of each month", in_unit()), curves, names);
    }

    /// Of one series the months in the middle of the seasons; of several their means over all that was run.
    void draw_hours_of_day()
    {
        std::vector<Curve> curves;
        const auto hour = [](std::size_t h) { return std::optional{h % 24}; };
        if (values_.size() > 1)
            for (std::size_t i = 0; i < values_.size(); ++i)
                curves.push_back({what_.series[i].name, means(values_[i], 24, hour)});
        else
            for (const int month : {1, 4, 7, 10})
                curves.push_back({climate::month_name(month), means(values_.front(), 24, [&](std::size_t h) {
                                      return month_of(h) == month ? hour(h) : std::nullopt;
                                  })});
        std::vector<Tick> ticks;
        for (int h = 0; h <= 24; h += 3) ticks.push_back({static_cast<double>(h), fmt::format("{}", h)});
        add_curves(half_sheet(true), fmt::format("{}: mean of each hour of the day", in_unit()), curves, ticks);
    }

    const SeriesDrawing& what_;
    const SeriesDrawingOptions& o_;
    PlotSheet sheet_;
    std::vector<std::vector<double>> values_{}; ///< in the units of the picture
};

} // namespace

std::string draw_series(const SeriesDrawing& drawing, const SeriesDrawingOptions& options)
{
    return Drawing{drawing, options}.run();
}

} // namespace venture::draw
