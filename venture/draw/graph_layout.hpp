#pragma once
/// Internal to `draw`: boxes and the lines between them, laid out by graphviz.

#include <cstdint>
#include <utility>
#include <vector>

#include <venture/draw/canvas.hpp>

namespace venture::draw {

struct BoxSize {
    enum class Stands : std::uint8_t { anywhere, first, last }; ///< from left to right
    double width = 0.0, height = 0.0;                           ///< px
    Stands stands = Stands::anywhere;
};

/// From the upper left corner of all, px.
struct GraphLayout {
    double width = 0.0, height = 0.0;
    std::vector<Spot> middles{}; ///< of the boxes
    std::vector<std::vector<Spot>>
        curves{}; ///< of the links, in their order: Bezier, 3 n + 1 points from one box to the other
};

/// Boxes from left to right, each link from a box to one further right.
/// @throws quantity::Error  graphviz is not installed, or did not lay it out
[[nodiscard]] GraphLayout lay_out(const std::vector<BoxSize>& boxes,
                                  const std::vector<std::pair<std::size_t, std::size_t>>& links);

} // namespace venture::draw
