#pragma once
/// Charts on a sheet: what stands where, in words of charts; gnuplot draws them.

#include <optional>
#include <string>
#include <vector>

#include <venture/draw/canvas.hpp>
#include <venture/draw/chart.hpp>

namespace venture::draw {

/// Which part of a text its place is.
enum class At : std::uint8_t { left, middle, right };

struct Letters {
    double size = 12.0; ///< px
    bool bold = false;
    At at = At::left;
};

/// How an area looks.
struct Shade {
    Colour colour{};
    int hatch = 0;        ///< one of gnuplot's patterns, drawn over the colour in ink; 0: none
    double outline = 0.4; ///< width of the line around it, px; 0: none
};

/// Between values on both scales.
struct Box {
    double x0, x1, y0, y1;
};

/// Values between scales, drawn in the order in which they are added.
class Plot {
public:
    /// @param title  above its left end; may be empty
    Plot(const Frame& frame, std::string title) : frame_{frame}, title_{std::move(title)} {}

    /// Values with a text each; else gnuplot takes round ones.
    void x_ticks(const std::vector<Tick>& ticks) { x_scale_ = ticks_of(ticks); }
    void y_ticks(const std::vector<Tick>& ticks) { y_scale_ = ticks_of(ticks); }
    /// Names in place of a scale, without ticks.
    void y_names(const std::vector<Tick>& names)
    {
        y_ticks(names);
        named_ = true;
    }
    /// No line upwards from each tick of x; none across from those of y.
    void no_lines_up() { lines_up_ = false; }
    void no_lines_across() { lines_across_ = false; }
    /// Scales without a frame around.
    void no_frame() { framed_ = false; }
    /// Neither scales nor lines nor frame: values are places on the sheet.
    void bare()
    {
        x_scale_.clear();
        y_scale_.clear();
        lines_up_ = lines_across_ = framed_ = false;
    }
    void curve(const std::vector<Spot>& values, const Pen& pen);
    /// Dots, of a width in px.
    void dots(const std::vector<Spot>& values, Colour colour, double width);
    void boxes(const std::vector<Box>& boxes, const Shade& shade);
    void area(const std::vector<Spot>& outline, const Shade& shade);
    /// A text at values, moved by px to the right and up.
    void note(Spot values, const std::string& text, const Letters& letters, Spot moved = {})
    {
        notes_.push_back({values, text, letters, moved});
    }

    [[nodiscard]] const Frame& frame() const { return frame_; }
    /// Commands that draw it on a sheet.
    /// @param name  of its data: no other plot of the sheet has it
    [[nodiscard]] std::string commands(double width, double height, const std::string& name, Picture picture) const;

private:
    /// Rows of data and a way to draw them, with a line where there is one.
    struct Layer {
        std::string rows{}, way{};
        std::optional<Pen> pen{};
    };
    struct Note {
        Spot values{};
        std::string text{};
        Letters letters{};
        Spot moved{};
    };
    [[nodiscard]] static std::string ticks_of(const std::vector<Tick>& ticks);

    Frame frame_;
    std::string title_, x_scale_{"autofreq"}, y_scale_{"autofreq"};
    bool lines_up_ = true, lines_across_ = true, framed_ = true, named_ = false;
    std::vector<Layer> layers_{};
    std::vector<Note> notes_{};
};

/// Texts, lines and boxes in px from the upper left corner, and plots.
class PlotSheet {
public:
    PlotSheet(double width, double height) : width_{width}, height_{height} {}

    /// y is its base line.
    void text(Spot at, const std::string& text, const Letters& letters);
    void line(Spot from, Spot to, const Pen& pen) { lines_.push_back({from, to, pen}); }
    void box(Spot low, Spot high, const Shade& shade);
    /// Bold in a frame, its right end at a place.
    void stamp(Spot right, const std::string& text);
    void add(Plot plot) { plots_.push_back(std::move(plot)); }

    /// @throws quantity::Error  gnuplot cannot draw it
    [[nodiscard]] std::string drawn(Picture picture) const;

private:
    struct Line {
        Spot from{}, to{};
        Pen pen{};
    };
    [[nodiscard]] std::string place(Spot at) const;

    double width_, height_;
    std::string marks_{};
    std::vector<Line> lines_{};
    std::vector<Plot> plots_{};
};

/// About how wide a text will be, px: gnuplot measures it when it draws, too late to arrange by.
[[nodiscard]] double likely_width(const std::string& text, const Letters& letters);
/// A text that ends with dots where it would likely be wider.
[[nodiscard]] std::string fitted(std::string text, const Letters& letters, double width);

} // namespace venture::draw
