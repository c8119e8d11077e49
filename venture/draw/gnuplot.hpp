#pragma once
/// Internal to `draw`: the program that draws charts.

#include <string>

#include <venture/draw/canvas.hpp>

namespace venture::draw {

/// A text as gnuplot takes it without reading anything into it: in quotes, what might mean something as the number of its byte,
/// with marks for what is no letter, and a box for letters that no font here has.
[[nodiscard]] std::string quoted_for_gnuplot(const std::string& text);

/// Runs commands for a sheet, px, and gives the picture: the same bytes for the same commands, with no clock time in them. No start-up
/// file of the user's is read.
/// @throws quantity::Error  gnuplot is not installed, or did not draw
[[nodiscard]] std::string run_gnuplot(const std::string& commands, Picture picture, double width, double height);

} // namespace venture::draw
