#pragma once
/// One drawing code for SVG, PNG and PDF.

#include <memory>
#include <string>
#include <vector>

namespace venture::draw {

enum class Picture { svg, png, pdf };
[[nodiscard]] constexpr const char* extension(Picture p)
{
    return p == Picture::svg ? "svg" : p == Picture::png ? "png" : "pdf";
}

/// "18.00 m2" as it is drawn, with a raised 2; likewise m3.
[[nodiscard]] std::string with_superscript(std::string text);

struct Colour {
    double r = 0.0, g = 0.0, b = 0.0;
};
inline constexpr Colour ink{0.15, 0.15, 0.15}, dark_ink{0.1, 0.1, 0.1}; ///< of charts; of sections

/// Lines in points (1/96 inch on screen); dash lengths in the same.
struct Pen {
    Colour colour{};
    double width = 1.0;
    std::vector<double> dash{};
};

struct Spot {
    double x = 0.0, y = 0.0; ///< right and down from the upper left corner
};

/// A sheet being drawn. Its bytes carry no clock time: a PDF is dated 1 January 2000.
class Canvas {
public:
    Canvas(Picture picture, double width, double height);
    ~Canvas();
    Canvas(const Canvas&) = delete;
    Canvas& operator=(const Canvas&) = delete;

    /// @param cover  1: hides what lies under it, 0: nothing
    void fill(const std::vector<Spot>& outline, Colour colour, double cover = 1.0);
    /// A PNG laid so that two of its points, px from its upper left corner, come to two spots; paled, and seen only within
    /// a rectangle between two corners.
    /// @throws quantity::Error if it is no PNG, or the two points are one
    void underlay(const std::string& png, const Spot (&seen)[2], const Spot (&to)[2], Spot low, Spot high);
    void line(Spot from, Spot to, const Pen& pen);
    /// Bezier, 3 n + 1 points.
    void curve(const std::vector<Spot>& points, const Pen& pen);
    void outline(const std::vector<Spot>& corners, const Pen& pen);
    /// Parallel lines at 45 degrees inside an outline.
    void hatch(const std::vector<Spot>& corners, const Pen& pen, double spacing);
    /// Text with its middle (or left end) at a spot; y is the base line.
    void text(Spot at, const std::string& text, double size, bool bold = false, bool centred = true);
    [[nodiscard]] double text_width(const std::string& text, double size, bool bold = false);
    /// Ends the sheet and gives its bytes.
    [[nodiscard]] std::string finish();

private:
    struct Cairo;
    std::unique_ptr<Cairo> cairo_;
};

} // namespace venture::draw
