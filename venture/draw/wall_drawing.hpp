#pragma once
/// A build-up drawn to scale, with the temperature through it.

#include <string>

#include <venture/draw/canvas.hpp>
#include <venture/fabric/temperature_profile.hpp>
#include <venture/quantity/preferred_units.hpp>

namespace venture::draw {

struct WallDrawingOptions {
    Picture picture = Picture::svg;
    double width = 1280.0, height = 800.0; ///< of the sheet, px
    quantity::PreferredUnits units{};
};

/// The layers to scale, outside on the left, with the temperature through them and the dew point of the room's air.
[[nodiscard]] std::string draw_wall(const fabric::Buildup& buildup, const fabric::WallConditions& conditions,
                                    const WallDrawingOptions& options = {});

} // namespace venture::draw
