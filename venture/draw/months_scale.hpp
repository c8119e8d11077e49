#pragma once
/// Internal to `draw`: a year along a chart.

#include <venture/draw/plot.hpp>

namespace venture::draw {

/// Days of a year on the scale of x: names of months at their middles, lines between them.
void part_months(Plot& plot, bool leap, const Pen& pen);

} // namespace venture::draw
