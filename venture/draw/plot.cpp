#include <venture/draw/plot.hpp>

#include <algorithm>
#include <cmath>

#include <fmt/format.h>
#include <fmt/ranges.h>

#include <venture/draw/gnuplot.hpp>
#include <venture/quantity/names.hpp>

namespace venture::draw {

namespace {

const Pen of_frame{{0.4, 0.4, 0.4}, 1.0, {}}, of_grid{{0.82, 0.82, 0.82}, 0.7, {}};
constexpr Letters of_title{13.0, true}, of_scale{small_text, false}, of_names{12.0, false};

std::string colour(Colour c)
{
    const auto byte = [](double share) { return static_cast<int>(std::lround(255.0 * share)); };
    return fmt::format("'#{:02x}{:02x}{:02x}'", byte(c.r), byte(c.g), byte(c.b));
}

std::string font(const Letters& letters)
{
    return fmt::format("font 'DejaVu Sans{},{}'", letters.bold ? ":Bold" : "", letters.size);
}

const char* side(At at) { return at == At::left ? "left" : at == At::middle ? "center" : "right"; }

/// Lengths of dashes count in widths of their line, and each terminal counts otherwise.
std::string line(const Pen& pen, Picture picture)
{
    const double per_px = (picture == Picture::png ? 4.0 : 2.0) / pen.width;
    std::vector<std::string> dashes;
    for (const double px : pen.dash) dashes.push_back(fmt::format("{:.3g}", px * per_px));
    return fmt::format("lw {} lc rgb {} dt {}", pen.width, colour(pen.colour),
                       dashes.empty() ? "solid" : fmt::format("({})", fmt::join(dashes, ",")));
}

std::string outline(const Shade& shade)
{
    return shade.outline > 0.0 ? fmt::format("border lc rgb {} lw {}", colour(ink), shade.outline) : "noborder";
}

/// Data are lines of numbers.
std::string row(std::initializer_list<double> values) { return fmt::format("{:.8g}\n", fmt::join(values, " ")); }

/// A text at a place "screen 0.1, screen 0.9", or of a plot "1, 2".
std::string label(const std::string& text, const std::string& at, const Letters& letters, const std::string& more = {})
{
    return fmt::format("set label {} at {} {} {} noenhanced front{}\n", quoted_for_gnuplot(text), at, side(letters.at),
                       font(letters), more);
}

/// @param ticks  none: no scale at all
std::string scale(const char* of, const std::string& ticks, const Letters& letters, double length)
{
    return ticks.empty() ? fmt::format("unset {}tics\n", of)
                         : fmt::format("set {}tics scale {} {} {}\n", of, length, ticks, font(letters));
}

} // namespace

double likely_width(const std::string& text, const Letters& letters)
{
    const double em = letters.bold ? 0.62 : 0.54; // of DejaVu Sans, in words with few capitals
    return em * letters.size * static_cast<double>(quantity::display_width(text));
}

std::string fitted(std::string text, const Letters& letters, double width)
{
    if (likely_width(text, letters) <= width) return text;
    const auto within_letter = [](char c) { return (static_cast<unsigned char>(c) & 0xc0U) == 0x80U; };
    while (!text.empty() && likely_width(text + "...", letters) > width) {
        while (text.size() > 1 && within_letter(text.back())) text.pop_back();
        text.pop_back();
    }
    return text + "...";
}

std::string Plot::ticks_of(const std::vector<Tick>& ticks)
{
    std::string out;
    for (const Tick& tick : ticks) {
        std::string text; // is read as a format
        for (const char c : tick.text) text += c == '%' ? "%%" : std::string(1, c);
        out += fmt::format("{}{} {:.8g}", out.empty() ? "" : ",", quoted_for_gnuplot(text), tick.value);
    }
    return "(" + out + ")";
}

void Plot::curve(const std::vector<Spot>& values, const Pen& pen)
{
    std::string rows;
    for (const Spot& v : values) rows += row({v.x, v.y});
    layers_.push_back({rows, "using 1:2 with lines", pen});
}

void Plot::dots(const std::vector<Spot>& values, Colour of, double width)
{
    std::string rows;
    for (const Spot& v : values) rows += row({v.x, v.y});
    constexpr double usual_px = 6.0; // of gnuplot's filled circle
    layers_.push_back({rows, fmt::format("using 1:2 with points pt 7 ps {} lc rgb {}", width / usual_px, colour(of))});
}

void Plot::boxes(const std::vector<Box>& boxes, const Shade& shade)
{
    std::string rows;
    for (const Box& b : boxes) rows += row({b.x0, b.x1, b.y0, b.y1});
    if (boxes.empty()) return;
    const std::string way = "using 1:3:1:2:3:4 with boxxyerror";
    layers_.push_back({rows, fmt::format("{} fillcolor rgb {} fs solid {}", way, colour(shade.colour),
                                         shade.hatch > 0 ? "noborder" : outline(shade))});
    if (shade.hatch > 0)
        layers_.push_back({rows, fmt::format("{} fillcolor rgb {} fs transparent pattern {} {}", way, colour(ink),
                                             shade.hatch, outline(shade))});
}

void Plot::area(const std::vector<Spot>& outline_of, const Shade& shade)
{
    std::string rows;
    for (const Spot& v : outline_of) rows += row({v.x, v.y});
    layers_.push_back({rows, fmt::format("using 1:2 with filledcurves closed fillcolor rgb {} fs solid {}",
                                         colour(shade.colour), outline(shade))});
}

std::string Plot::commands(double width, double height, const std::string& name, Picture picture) const
{
    std::string out, layers = "NaN notitle";
    for (std::size_t i = 0; i < layers_.size(); ++i) {
        const Layer& layer = layers_[i];
        if (layer.rows.empty()) continue;
        out += fmt::format("${}_{} << END_OF_ROWS\n{}END_OF_ROWS\n", name, i, layer.rows);
        layers += fmt::format(", ${}_{} {} {} notitle", name, i, layer.way,
                              layer.pen ? line(*layer.pen, picture) : std::string{});
    }
    const Frame& f = frame_;
    out += fmt::format("set lmargin at screen {}\nset rmargin at screen {}\nset tmargin at screen {}\nset bmargin at "
                       "screen {}\n",
                       f.left / width, (f.left + f.width) / width, 1.0 - f.top / height,
                       1.0 - (f.top + f.height) / height);
    out += fmt::format("set xrange [{:.8g}:{:.8g}]\nset yrange [{:.8g}:{:.8g}]\n", f.x0, f.x1, f.y0, f.y1);
    out += scale("x", x_scale_, of_scale, 0.5);
    out += named_ ? scale("y", y_scale_, of_names, 0.0) : scale("y", y_scale_, of_scale, 0.5);
    out += "unset grid\n";
    if (lines_up_ || lines_across_)
        out += fmt::format("set grid {} {} lt 1 {}\n", lines_up_ ? "x" : "nox", lines_across_ ? "y" : "noy",
                           line(of_grid, picture));
    out += framed_ ? fmt::format("set border 15 {}\n", line(of_frame, picture)) : "unset border\n";
    constexpr double above = 12.0; // the middle of its letters
    if (!title_.empty())
        out += label(title_, fmt::format("screen {}, screen {}", f.left / width, 1.0 - (f.top - above) / height),
                     of_title);
    for (const Note& n : notes_)
        out += label(n.text, fmt::format("{:.8g}, {:.8g}", n.values.x, n.values.y), n.letters,
                     fmt::format(" offset screen {}, screen {}", n.moved.x / width, n.moved.y / height));
    return out + "plot " + layers + "\nunset label\nunset arrow\nunset object\n";
}

/// From px down to shares of the sheet up.
std::string PlotSheet::place(Spot at) const
{
    return fmt::format("screen {:.6g}, screen {:.6g}", at.x / width_, 1.0 - at.y / height_);
}

void PlotSheet::text(Spot at, const std::string& text, const Letters& letters)
{
    constexpr double half_letter = 0.36; // of the size: gnuplot goes by the middle
    marks_ += label(text, place({at.x, at.y - half_letter * letters.size}), letters);
}

void PlotSheet::box(Spot low, Spot high, const Shade& shade)
{
    const std::string where = fmt::format("set object rectangle from {} to {} front", place(low), place(high));
    marks_ += fmt::format("{} fillcolor rgb {} fs solid {}\n", where, colour(shade.colour), outline(shade));
    if (shade.hatch > 0)
        marks_ += fmt::format("{} fillcolor rgb {} fs transparent pattern {} {}\n", where, colour(ink), shade.hatch,
                              outline(shade));
}

void PlotSheet::stamp(Spot right, const std::string& text)
{
    const Letters letters{12.0, true, At::middle};
    constexpr double of_capitals = 1.1;
    const double wide = of_capitals * likely_width(text, letters) + 16.0;
    box({right.x - wide, right.y - 15.0}, {right.x, right.y + 6.0}, {{1.0, 1.0, 1.0}, 0, 1.2});
    this->text({right.x - 0.5 * wide, right.y}, text, letters);
}

std::string PlotSheet::drawn(Picture picture) const
{
    std::string out = "unset key\nset tics nomirror scale 0.5\nset multiplot\n" + marks_;
    for (const auto& [from, to, pen] : lines_)
        out +=
            fmt::format("set arrow from {} to {} nohead front {}\n", place(from), place(to), draw::line(pen, picture));
    for (std::size_t i = 0; i < plots_.size(); ++i)
        out += plots_[i].commands(width_, height_, fmt::format("plot{}", i), picture);
    return run_gnuplot(out + "unset multiplot\n", picture, width_, height_);
}

} // namespace venture::draw
