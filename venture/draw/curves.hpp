#pragma once
/// Internal to `draw`: curves that share a frame, told apart and named at their ends.

#include <array>
#include <string>
#include <vector>

#include <venture/draw/plot.hpp>

namespace venture::draw {

/// Blue, orange, black, green: apart for colour-blind eyes too (after Okabe and Ito), and by dash.
[[nodiscard]] const std::array<Pen, 4>& curve_pens();

/// A curve's name and where it ends, on the scale of y.
struct NamedEnd {
    std::string name{};
    double y = 0.0;
};
/// To the right of a frame, with samples of their pens, moved apart where they would meet.
void name_curves(PlotSheet& sheet, const Frame& frame, const std::vector<NamedEnd>& ends);

/// Title, what stands below it, and that the weather was made up.
void head_sheet(PlotSheet& sheet, double width, const std::string& title, const std::string& subtitle, bool synthetic);

} // namespace venture::draw
