#pragma once
/// A glazing drawn to scale, with what becomes of the sun.

#include <string>

#include <venture/building/building.hpp>
#include <venture/draw/canvas.hpp>
#include <venture/quantity/preferred_units.hpp>

namespace venture::draw {

struct GlassDrawingOptions {
    Picture picture = Picture::svg;
    double width = 1280.0, height = 800.0; ///< of the sheet, px
    quantity::PreferredUnits units{};
};

/// The panes to scale, outside on the left, and what becomes of the sun at every angle.
[[nodiscard]] std::string draw_glass(const building::NamedGlazing& glazing, const GlassDrawingOptions& options = {});

} // namespace venture::draw
