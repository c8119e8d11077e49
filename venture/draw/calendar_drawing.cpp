#include <venture/draw/calendar_drawing.hpp>

#include <algorithm>
#include <cmath>
#include <map>

#include <fmt/format.h>

#include <venture/draw/months_scale.hpp>
#include <venture/quantity/shown_text.hpp>

namespace venture::draw {

namespace {

constexpr Colour faint{0.75, 0.75, 0.75}, closed{0.96, 0.96, 0.96}, full{0.03, 0.29, 0.51};
constexpr double left = 66.0, top = 92.0, beside = 380.0;
constexpr Letters small{11.5};

Colour shade_of(double fraction)
{
    if (fraction <= 0.0) return closed;
    const double share = 0.15 + 0.85 * fraction; // the least use is told from none
    return {std::lerp(closed.r, full.r, share), std::lerp(closed.g, full.g, share), std::lerp(closed.b, full.b, share)};
}

class Drawing {
public:
    Drawing(const CalendarDrawing& what, const CalendarDrawingOptions& o)
        : what_{what},
          o_{o},
          each_{std::max(220.0, (o.height - top - 24.0) / static_cast<double>(what.calendars.size()))},
          sheet_{o.width, top + 24.0 + each_ * static_cast<double>(what.calendars.size())}
    {
        for (std::size_t p = 0; p < calendar::YearDays{}.size(); ++p)
            if (const auto date = calendar::date_at(p);
                climate::is_leap_year(what.year) || date != climate::MonthDay{2, 29})
                days_.push_back(date);
    }

    std::string run()
    {
        sheet_.text({24.0, 34.0}, what_.title, {19.0, true});
        sheet_.text({24.0, 56.0}, what_.subtitle, {12.0});
        draw_legend();
        for (std::size_t i = 0; i < what_.calendars.size(); ++i)
            draw(what_.calendars[i], top + each_ * static_cast<double>(i));
        return sheet_.drawn(o_.picture);
    }

private:
    void draw_legend()
    {
        double x = o_.width - beside + 24.0;
        for (const double fraction : {0.0, 0.25, 0.5, 0.75, 1.0}) {
            sheet_.box({x, 24.0}, {x + 22.0, 40.0}, {shade_of(fraction), 0, 0.8});
            sheet_.text({x + 27.0, 36.0}, fmt::format("{:.0f} %", 100.0 * fraction), small);
            x += 27.0 + likely_width("100 %", small) + 8.0;
        }
    }

    void draw(const calendar::Calendar& c, double y)
    {
        Frame frame{.left = left, .top = y + 26.0, .width = o_.width - left - beside, .height = each_ - 74.0};
        frame.x1 = static_cast<double>(days_.size());
        frame.y1 = 24.0;
        sheet_.text({left, y + 16.0}, c.name, {14.0, true});
        Plot plot{frame, ""};
        for (const auto& [fraction, boxes] : boxes_of(c)) plot.boxes(boxes, {shade_of(fraction), 0, 0.0});
        std::vector<Tick> hours;
        for (const int h : {0, 6, 12, 18, 24}) hours.push_back({static_cast<double>(h), fmt::format("{} h", h)});
        plot.y_ticks(hours);
        part_months(plot, climate::is_leap_year(what_.year), {faint, 0.9});
        sheet_.add(std::move(plot));
        draw_words(c, o_.width - beside + 24.0, y + 16.0);
    }

    /// By how much they are used: days that are alike in an hour stand in one piece.
    [[nodiscard]] std::map<double, std::vector<Box>> boxes_of(const calendar::Calendar& c) const
    {
        std::map<double, std::vector<Box>> out;
        for (std::size_t hour = 0; hour < 24; ++hour) {
            const auto at = [&](std::size_t day) { return c.on(days_[day]).fraction[hour]; };
            const auto h = static_cast<double>(hour);
            for (std::size_t first = 0; first < days_.size();) {
                std::size_t end = first + 1;
                while (end < days_.size() && at(end) == at(first)) ++end;
                out[at(first)].push_back({static_cast<double>(first), static_cast<double>(end), h, h + 1.0});
                first = end;
            }
        }
        return out;
    }

    void draw_words(const calendar::Calendar& c, double x, double y)
    {
        const auto columns = static_cast<std::size_t>((o_.width - x - 20.0) / likely_width("n", small));
        const double bottom = y + each_ - 60.0;
        const auto line = [&](const std::string& text) {
            for (const std::string& part : quantity::wrapped(text, columns)) sheet_.text({x, y += 17.0}, part, small);
        };
        y -= 1.0;
        line(fmt::format("{:.0f} full-load hours in {}", calendar::full_load_hours(c, 0, what_.year), what_.year));
        if (c.is_one_profile()) return line("the same on every day");
        std::size_t shown = 0;
        for (const calendar::Rule& rule : c.rules) {
            if (y + 34.0 > bottom && shown + 1 < c.rules.size()) break;
            line(fmt::format("{:>3} d  {}", rule.won, rule.text));
            ++shown;
        }
        if (shown < c.rules.size()) line(fmt::format("and {} more rules", c.rules.size() - shown));
        for (const std::string& text : on_design_days(c)) line(text);
    }

    /// "'office hours' on design days: winter, Mar to Jul", a line for each profile.
    [[nodiscard]] std::vector<std::string> on_design_days(const calendar::Calendar& c) const
    {
        std::vector<std::pair<std::string, std::vector<int>>> by_profile = {{c.on_design_day(0).name, {0}}};
        for (const int month : what_.design_months) {
            const std::string& name = c.on_design_day(month).name;
            auto known = std::ranges::find(by_profile, name, [](const auto& group) { return group.first; });
            if (known == by_profile.end()) known = by_profile.insert(by_profile.end(), {name, {}});
            known->second.push_back(month);
        }
        std::vector<std::string> lines;
        for (const auto& [name, months] : by_profile)
            lines.push_back(fmt::format("'{}' on design days: {}", name, months_in_words(months)));
        return lines;
    }

    /// "winter, Mar to Jul, Sep"; months that follow each other are a range.
    [[nodiscard]] static std::string months_in_words(const std::vector<int>& months)
    {
        std::vector<std::string> parts;
        for (std::size_t i = 0; i < months.size();) {
            std::size_t last = i;
            while (months[i] != 0 && last + 1 < months.size() && months[last + 1] == months[last] + 1) ++last;
            const auto word = [](int month) { return month == 0 ? "winter" : climate::month_name(month).substr(0, 3); };
            const std::string first = word(months[i]);
            parts.push_back(last > i ? fmt::format("{} to {}", first, word(months[last])) : first);
            i = last + 1;
        }
        return fmt::format("{}", fmt::join(parts, ", "));
    }

    const CalendarDrawing& what_;
    const CalendarDrawingOptions& o_;
    double each_;
    PlotSheet sheet_;
    std::vector<climate::MonthDay> days_{};
};

} // namespace

std::string draw_calendars(const CalendarDrawing& drawing, const CalendarDrawingOptions& options)
{
    return Drawing{drawing, options}.run();
}

} // namespace venture::draw
