#pragma once
/// Frames with scales, which charts and walls are drawn in.

#include <string>
#include <vector>

#include <venture/draw/canvas.hpp>

namespace venture::draw {

inline constexpr double small_text = 11.0; ///< px, of scales and notes

/// A rectangle on a sheet that shows x and y between bounds; y grows upwards.
struct Frame {
    double left = 0.0, top = 0.0, width = 100.0, height = 100.0; ///< px
    double x0 = 0.0, x1 = 1.0, y0 = 0.0, y1 = 1.0;

    [[nodiscard]] double x(double value) const { return left + (value - x0) / (x1 - x0) * width; }
    [[nodiscard]] double y(double value) const { return top + height - (value - y0) / (y1 - y0) * height; }
    [[nodiscard]] Spot at(double x_value, double y_value) const { return {x(x_value), y(y_value)}; }
    /// Corners of the part between two values on each scale.
    [[nodiscard]] std::vector<Spot> box(double xa, double xb, double ya, double yb) const;
};

/// Round values from `lowest` to `highest`, about `count` of them: steps of 1, 2 or 5 times a power of ten.
[[nodiscard]] std::vector<double> round_values(double lowest, double highest, int count);

struct Tick {
    double value = 0.0;
    std::string text{};
};

/// On a canvas: lines across at the ticks, and their texts to the left.
void draw_y_scale(Canvas& canvas, const Frame& frame, const std::vector<Tick>& ticks);

} // namespace venture::draw
