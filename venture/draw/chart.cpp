#include <venture/draw/chart.hpp>

#include <cmath>

#include <venture/quantity/error.hpp>

namespace venture::draw {

namespace {

const Pen thin{{0.82, 0.82, 0.82}, 0.7};

} // namespace

std::vector<Spot> Frame::box(double xa, double xb, double ya, double yb) const
{
    return {at(xa, ya), at(xb, ya), at(xb, yb), at(xa, yb)};
}

std::vector<double> round_values(double lowest, double highest, int count)
{
    VENTURE_ASSERT(highest > lowest && count > 0);
    const double wanted = (highest - lowest) / count;
    double step = std::pow(10.0, std::floor(std::log10(wanted)));
    for (const double factor : {2.0, 2.5, 2.0}) // 1, 2, 5, 10
        if (step < 0.75 * wanted) step *= factor;
    std::vector<double> out;
    const double first = std::ceil(lowest / step - 1e-9);
    for (double k = first; k * step <= highest + 1e-9 * step; k += 1.0) out.push_back(k * step + 0.0);
    return out;
}

void draw_y_scale(Canvas& canvas, const Frame& frame, const std::vector<Tick>& ticks)
{
    constexpr double gap = 6.0, half_letter = 4.0;
    for (const Tick& tick : ticks) {
        const double y = frame.y(tick.value);
        canvas.line({frame.left, y}, {frame.left + frame.width, y}, thin);
        const double width = canvas.text_width(tick.text, small_text);
        canvas.text({frame.left - gap - width, y + half_letter}, tick.text, small_text, false, false);
    }
}

} // namespace venture::draw
