#include <venture/draw/months_scale.hpp>

#include <venture/climate/date.hpp>

namespace venture::draw {

void part_months(Plot& plot, bool leap, const Pen& pen)
{
    std::vector<Tick> names;
    double first = 0.0;
    for (int month = 1; month <= 12; ++month) {
        const double length = climate::days_in_month(month, leap);
        names.push_back({first + 0.5 * length, climate::month_name(month).substr(0, 3)});
        first += length;
        if (month < 12) plot.curve({{first, plot.frame().y0}, {first, plot.frame().y1}}, pen);
    }
    plot.x_ticks(names);
    plot.no_lines_up();
}

} // namespace venture::draw
