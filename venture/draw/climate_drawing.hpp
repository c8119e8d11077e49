#pragma once
/// A weather year on one sheet.

#include <optional>
#include <string>

#include <venture/climate/design_conditions.hpp>
#include <venture/climate/year_summary.hpp>
#include <venture/draw/canvas.hpp>
#include <venture/quantity/preferred_units.hpp>

namespace venture::draw {

struct ClimateDrawingOptions {
    Picture picture = Picture::svg;
    double width = 1280.0, height = 800.0; ///< of the sheet, px
    quantity::PreferredUnits units{};
};

/// Temperatures day by day with the design dry bulbs, the sun by hour and day, the wind by direction and speed, and
/// the sun by month. A synthetic year says so.
[[nodiscard]] std::string draw_climate(const climate::Site& site, const climate::WeatherYear& year,
                                       const climate::YearSummary& summary, const ClimateDrawingOptions& options = {});

} // namespace venture::draw
