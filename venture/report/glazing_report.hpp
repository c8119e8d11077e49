#pragma once
/// A glazing taken apart: panes, U-value in steps, what comes in by angle, what shades leave of it.

#include <string>
#include <vector>

#include <nlohmann/json_fwd.hpp>

#include <venture/building/building.hpp>
#include <venture/quantity/preferred_units.hpp>
#include <venture/report/canvas.hpp>

namespace venture::report {

/// @param shades  that are set beside the bare glass
[[nodiscard]] std::string glazing_text(const building::NamedGlazing& glazing,
                                       const std::vector<building::NamedShade>& shades,
                                       const quantity::PreferredUnits& units = {});
[[nodiscard]] nlohmann::json glazing_json(const building::NamedGlazing& glazing,
                                          const std::vector<building::NamedShade>& shades);

struct GlassDrawingOptions {
    Picture picture = Picture::svg;
    double width = 1280.0, height = 800.0; ///< of the sheet, px
    quantity::PreferredUnits units{};
};

/// The panes to scale, outside on the left, and what becomes of the sun at every angle.
[[nodiscard]] std::string draw_glass(const building::NamedGlazing& glazing, const GlassDrawingOptions& options = {});

} // namespace venture::report
