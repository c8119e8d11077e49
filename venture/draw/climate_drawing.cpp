#include <venture/draw/climate_drawing.hpp>

#include <algorithm>
#include <array>
#include <cmath>
#include <numbers>

#include <fmt/format.h>

#include <venture/climate/weather_year.hpp>
#include <venture/draw/months_scale.hpp>

namespace venture::draw {

namespace {

constexpr Colour band{0.72, 0.82, 0.92}, night{0.93, 0.93, 0.95};
const Pen between_months{{0.82, 0.82, 0.82}, 0.7};
// From pale to dark in even steps of lightness, so that it also reads in grey.
constexpr std::array<Colour, 6> by_strength = {{{1.00, 0.95, 0.75},
                                                {0.99, 0.85, 0.50},
                                                {0.98, 0.68, 0.28},
                                                {0.90, 0.46, 0.13},
                                                {0.68, 0.26, 0.08},
                                                {0.40, 0.12, 0.05}}};
constexpr std::array<Colour, 4> by_speed = {
    {{0.83, 0.89, 0.94}, {0.58, 0.74, 0.86}, {0.28, 0.52, 0.72}, {0.08, 0.27, 0.46}}};

/// Highest, lowest and mean dry bulb of a day.
struct Day {
    double highest_C, lowest_C, mean_C;
};

std::vector<Day> days_of(const climate::WeatherYear& year)
{
    std::vector<Day> out;
    const std::size_t per_day = year.steps_per_day();
    for (std::size_t first = 0; first < year.size(); first += per_day) {
        const auto from = year.dry_bulb_C.begin() + static_cast<std::ptrdiff_t>(first);
        const auto to = from + static_cast<std::ptrdiff_t>(per_day);
        const auto [lowest, highest] = std::minmax_element(from, to);
        double sum = 0.0;
        for (auto t = from; t != to; ++t) sum += *t;
        out.push_back({*highest, *lowest, sum / static_cast<double>(per_day)});
    }
    return out;
}

class ClimateDrawing {
public:
    ClimateDrawing(const climate::Site& site, const climate::WeatherYear& year, const climate::YearSummary& summary,
                   const ClimateDrawingOptions& o)
        : site_{site},
          year_{year},
          summary_{summary},
          o_{o},
          sheet_{o.width, o.height}
    {
    }

    std::string run()
    {
        constexpr double left = 62.0, top = 86.0, gap = 66.0, right_column = 330.0, bottom = 44.0;
        const double wide = o_.width - right_column - left - 90.0;
        const double high = 0.5 * (o_.height - top - gap - bottom);
        const double right = o_.width - right_column - 24.0;
        draw_title();
        draw_temperatures({.left = left, .top = top, .width = wide, .height = high});
        draw_sun_by_hour({.left = left, .top = top + high + gap, .width = wide, .height = high});
        draw_wind(right, top, right_column, high);
        draw_sun_by_month(
            {.left = right + 30.0, .top = top + high + gap, .width = right_column - 30.0, .height = high});
        return sheet_.drawn(o_.picture);
    }

private:
    [[nodiscard]] double temperature(double t_C) const
    {
        return quantity::from_si(t_C, o_.units.symbol("temperature"), quantity::Kind::temperature);
    }

    void draw_title()
    {
        const climate::Place& p = year_.place;
        sheet_.text({24.0, 32.0}, fmt::format("{}: a year of weather", site_.name.empty() ? year_.name : site_.name),
                    {19.0, true});
        sheet_.text({24.0, 53.0},
                    fmt::format("{}; {:.2f} deg {}, {:.2f} deg {}, {} above the sea; local standard time UTC{:+g} h",
                                year_.name, std::abs(p.latitude_deg), p.latitude_deg < 0 ? "south" : "north",
                                std::abs(p.longitude_deg), p.longitude_deg < 0 ? "west" : "east",
                                o_.units.text(p.height_m, quantity::Kind::length), p.time_zone_h + 0.0),
                    {12.0});
        if (year_.synthetic) sheet_.stamp({o_.width - 22.0, 33.0}, "SYNTHETIC: made up, measured by nobody");
    }

    void draw_temperatures(Frame frame)
    {
        const std::vector<Day> days = days_of(year_);
        double lowest = temperature(site_.winter.dry_bulb_C), highest = lowest;
        for (const Day& d : days) {
            lowest = std::min(lowest, temperature(d.lowest_C));
            highest = std::max(highest, temperature(d.highest_C));
        }
        for (const climate::CoolingMonth& m : site_.months) highest = std::max(highest, temperature(m.dry_bulb_C));
        frame.x1 = year_.days();
        frame.y0 = std::floor(lowest / 5.0) * 5.0;
        frame.y1 = std::ceil((highest + 0.5) / 5.0) * 5.0;
        Plot plot{frame, fmt::format("Dry bulb, {}: each day's lowest to highest (band) and mean (line)",
                                     o_.units.symbol("temperature"))};
        add_band(plot, days);
        part_months(plot, year_.leap, between_months);
        std::vector<Spot> means;
        for (std::size_t d = 0; d < days.size(); ++d)
            means.push_back({static_cast<double>(d) + 0.5, temperature(days[d].mean_C)});
        plot.curve(means, {ink, 1.2});
        add_design(plot);
        sheet_.add(std::move(plot));
    }

    /// One outline, so that no seams show between the days.
    void add_band(Plot& plot, const std::vector<Day>& days) const
    {
        std::vector<Spot> outline;
        for (std::size_t d = 0; d < days.size(); ++d)
            for (const double edge : {0.0, 1.0})
                outline.push_back({static_cast<double>(d) + edge, temperature(days[d].highest_C)});
        for (std::size_t d = days.size(); d-- > 0;)
            for (const double edge : {1.0, 0.0})
                outline.push_back({static_cast<double>(d) + edge, temperature(days[d].lowest_C)});
        plot.area(outline, {band, 0, 0.0});
    }

    /// At values of a plot, as large as letters.
    static void add_diamond(Plot& plot, Spot at)
    {
        constexpr double half_px = 5.0;
        const Frame& f = plot.frame();
        const double dx = half_px * (f.x1 - f.x0) / f.width, dy = half_px * (f.y1 - f.y0) / f.height;
        plot.area({{at.x, at.y - dy}, {at.x + dx, at.y}, {at.x, at.y + dy}, {at.x - dx, at.y}, {at.x, at.y - dy}},
                  {{1.0, 1.0, 1.0}, 0, 1.5});
    }

    void add_design(Plot& plot) const
    {
        const Frame& f = plot.frame();
        const double winter = temperature(site_.winter.dry_bulb_C);
        plot.curve({{0.0, winter}, {f.x1, winter}}, {ink, 1.4, {7.0, 4.0}});
        plot.note({0.0, winter},
                  fmt::format("heating design {}", o_.units.text(site_.winter.dry_bulb_C, "temperature")), {small_text},
                  {6.0, 9.0});
        for (const climate::CoolingMonth& m : site_.months)
            add_diamond(plot, {climate::day_of_year({m.month, climate::design_day_of_month}, year_.leap) - 0.5,
                               temperature(m.dry_bulb_C)});
        if (site_.months.empty()) return;
        constexpr double right_px = 158.0, down_px = 14.0;
        const Spot key{f.x1 - right_px * f.x1 / f.width, f.y1 - down_px * (f.y1 - f.y0) / f.height};
        add_diamond(plot, key);
        plot.note(key, "cooling design dry bulb", {small_text}, {12.0, 0.0});
    }

    void draw_sun_by_hour(Frame frame)
    {
        frame.x1 = year_.days();
        frame.y1 = 24.0;
        const auto suns = climate::suns_of_year(year_.place, year_.leap, year_.steps_per_hour, year_.calendar_year);
        const auto global = climate::global_horizontal_W_per_m2(year_, suns);
        constexpr double class_W_per_m2 = 150.0;
        const auto strength = [&](std::size_t step) {
            constexpr double dark_W_per_m2 = 1.0;
            if (global[step] < dark_W_per_m2) return -1;
            return std::min(static_cast<int>(global[step] / class_W_per_m2), static_cast<int>(by_strength.size()) - 1);
        };
        std::array<std::vector<Box>, by_strength.size()> boxes;
        const std::size_t per_day = year_.steps_per_day();
        for (std::size_t first = 0; first < year_.size(); first += per_day) {
            const auto day = static_cast<double>(first / per_day);
            for (std::size_t from = 0; from < per_day;) { // hours of one strength in a row are one box
                const int s = strength(first + from);
                std::size_t to = from;
                while (to < per_day && strength(first + to) == s) ++to;
                if (s >= 0)
                    boxes[static_cast<std::size_t>(s)].push_back({day, day + 1.0,
                                                                  static_cast<double>(from) * year_.step_h(),
                                                                  static_cast<double>(to) * year_.step_h()});
                from = to;
            }
        }
        Plot plot{frame, fmt::format("Sun on the horizontal by hour (upwards, standard time) and day, {}",
                                     with_superscript(std::string{o_.units.symbol("power_per_area")}))};
        plot.boxes({{0.0, frame.x1, 0.0, 24.0}}, {night, 0, 0.0});
        for (std::size_t s = 0; s < boxes.size(); ++s) plot.boxes(boxes[s], {by_strength[s], 0, 0.0});
        plot.y_ticks({{0, "0"}, {6, "6"}, {12, "12"}, {18, "18"}, {24, "24"}});
        part_months(plot, year_.leap, between_months);
        sheet_.add(std::move(plot));
        draw_strengths(frame, class_W_per_m2);
    }

    /// The legend of the sun, to the right of its title.
    void draw_strengths(const Frame& frame, double class_W_per_m2)
    {
        constexpr double width = 44.0, height = 10.0;
        double x = frame.left + frame.width - width * static_cast<double>(by_strength.size());
        for (std::size_t s = 0; s < by_strength.size(); ++s, x += width) {
            const double y = frame.top - 9.0;
            sheet_.box({x, y - height}, {x + width, y}, {by_strength[s], 0, 0.0});
            sheet_.text({x, y - height - 3.0},
                        s == 0 ? "0" : o_.units.number(class_W_per_m2 * static_cast<double>(s), "power_per_area"),
                        {10.0, false, At::middle});
        }
    }

    void draw_wind(double left, double top, double width, double height)
    {
        sheet_.text({left + 22.0, top - 8.0}, "Wind: from where, how often, how strong", {13.0, true});
        if (year_.wind_m_per_s.empty() || year_.wind_from_deg.empty()) {
            sheet_.text({left + 0.5 * width, top + 0.5 * height}, "not recorded", {12.0, false, At::middle});
            return;
        }
        constexpr std::size_t sectors = 16;
        constexpr std::array<double, 3> bounds_m_per_s = {2.0, 5.0, 8.0};
        constexpr double calm_m_per_s = 0.5;
        std::array<std::array<double, by_speed.size()>, sectors> share{};
        double calm = 0.0;
        for (std::size_t i = 0; i < year_.size(); ++i) {
            const double v = year_.wind_m_per_s[i], one = 1.0 / static_cast<double>(year_.size());
            if (v < calm_m_per_s) {
                calm += one;
                continue;
            }
            const auto sector =
                static_cast<std::size_t>(std::lround(year_.wind_from_deg[i] / 360.0 * sectors)) % sectors;
            const auto speed = std::ranges::lower_bound(bounds_m_per_s, v) - bounds_m_per_s.begin();
            share[sector][static_cast<std::size_t>(speed)] += one;
        }
        const Spot centre{left + 0.5 * width + 10.0, top + 0.46 * height};
        draw_rose(centre, 0.38 * height, share);
        sheet_.text({left + 30.0, top + height - 2.0}, fmt::format("calm {:.0f} %", 100.0 * calm), {small_text});
        draw_speeds({left + 105.0, top + height - 2.0}, bounds_m_per_s);
    }

    template <class Shares>
    void draw_rose(Spot centre, double radius, const Shares& share)
    {
        double most = 0.0;
        for (const auto& sector : share) {
            double sum = 0.0;
            for (const double s : sector) sum += s;
            most = std::max(most, sum);
        }
        const std::vector<double> rings = round_values(0.0, std::max(most, 0.01), 3);
        const double outer = std::max(most, rings.back());
        constexpr double margin = 1.3; // for names around it
        const double half = margin * radius, most_shown = margin * outer;
        Plot rose{{.left = centre.x - half,
                   .top = centre.y - half,
                   .width = 2.0 * half,
                   .height = 2.0 * half,
                   .x0 = -most_shown,
                   .x1 = most_shown,
                   .y0 = -most_shown,
                   .y1 = most_shown},
                  ""};
        rose.bare();
        const auto spot = [](double bearing_deg, double s) {
            const double a = bearing_deg * std::numbers::pi / 180.0;
            return Spot{s * std::sin(a), s * std::cos(a)};
        };
        const auto slice = 360.0 / static_cast<double>(share.size());
        for (std::size_t k = 0; k < share.size(); ++k) {
            const double a = (static_cast<double>(k) - 0.4) * slice, b = (static_cast<double>(k) + 0.4) * slice;
            double inner = 0.0;
            for (std::size_t v = 0; v < by_speed.size(); ++v) {
                const double reach = inner + share[k][v];
                rose.area({spot(a, inner), spot(a, reach), spot(b, reach), spot(b, inner), spot(a, inner)},
                          {by_speed[v], 0, 0.0});
                inner = reach;
            }
            rose.curve({{0.0, 0.0}, spot(a, inner), spot(b, inner), {0.0, 0.0}}, {{0.45, 0.45, 0.45}, 0.6});
        }
        for (const double ring : rings) {
            if (ring <= 0.0) continue;
            std::vector<Spot> circle;
            for (int k = 0; k <= 72; ++k) circle.push_back(spot(5.0 * k, ring));
            rose.curve(circle, {{0.6, 0.6, 0.6}, 0.7, {3.0, 3.0}});
            rose.note(spot(22.5 * 1.5, ring), fmt::format("{:g} %", 100.0 * ring), {10.0}, {4.0, 4.0});
        }
        const std::array<const char*, 4> names = {"N", "E", "S", "W"};
        for (std::size_t k = 0; k < 4; ++k)
            rose.note(spot(90.0 * static_cast<double>(k), outer * 1.12), names[k], {12.0, true, At::middle});
        sheet_.add(std::move(rose));
    }

    void draw_speeds(Spot at, const std::array<double, 3>& bounds_m_per_s)
    {
        constexpr double box = 11.0;
        for (std::size_t v = 0; v < by_speed.size(); ++v) {
            sheet_.box({at.x, at.y - box}, {at.x + box, at.y}, {by_speed[v], 0, 0.0});
            const std::string text =
                v < bounds_m_per_s.size()
                    ? fmt::format("to {:.0f}", quantity::from_si(bounds_m_per_s[v], o_.units.symbol("wind"),
                                                                 quantity::Kind::velocity))
                    : fmt::format("more {}", o_.units.symbol("wind"));
            sheet_.text({at.x + box + 4.0, at.y - 1.0}, text, {small_text});
            at.x += box + 14.0 + likely_width(text, {small_text});
        }
    }

    void draw_sun_by_month(Frame frame)
    {
        const auto value = [&](double J_per_m2) {
            return quantity::from_si(J_per_m2, o_.units.symbol("irradiation"), quantity::Kind::irradiation);
        };
        double most = 0.0;
        for (const climate::PeriodSummary& m : summary_.months) most = std::max(most, value(m.global_J_per_m2));
        frame.x1 = 12.0;
        frame.y1 = std::max(1.15 * most, value(3.6e5));
        std::vector<Box> diffuse, direct;
        std::vector<Tick> months;
        for (std::size_t m = 0; m < 12; ++m) {
            const double x = static_cast<double>(m), lower = value(summary_.months[m].diffuse_J_per_m2);
            diffuse.push_back({x + 0.15, x + 0.85, 0.0, lower});
            direct.push_back({x + 0.15, x + 0.85, lower, value(summary_.months[m].global_J_per_m2)});
            months.push_back({x + 0.5, climate::month_name(static_cast<int>(m) + 1).substr(0, 1)});
        }
        Plot plot{frame,
                  fmt::format("Sun on a mean day, {}", with_superscript(std::string{o_.units.symbol("irradiation")}))};
        plot.boxes(diffuse, {by_strength[0], 4, 0.9});
        plot.boxes(direct, {by_strength[2], 0, 0.9});
        plot.x_ticks(months);
        plot.no_lines_up();
        plot.note({0.0, frame.y1}, "plain: direct; hatched: diffuse", {small_text}, {8.0, -11.0});
        sheet_.add(std::move(plot));
    }

    const climate::Site& site_;
    const climate::WeatherYear& year_;
    const climate::YearSummary& summary_;
    const ClimateDrawingOptions& o_;
    PlotSheet sheet_;
};

} // namespace

std::string draw_climate(const climate::Site& site, const climate::WeatherYear& year,
                         const climate::YearSummary& summary, const ClimateDrawingOptions& options)
{
    return ClimateDrawing{site, year, summary, options}.run();
}

} // namespace venture::draw
