#pragma once
/// A build-up taken apart: layers, U-value in steps, how it answers a daily wave, temperatures through it.

#include <string>

#include <nlohmann/json_fwd.hpp>

#include <venture/building/building.hpp>
#include <venture/fabric/temperature_profile.hpp>
#include <venture/quantity/preferred_units.hpp>
#include <venture/report/canvas.hpp>

namespace venture::report {

/// What a build-up is looked at under.
struct WallConditions {
    quantity::Temperature outside = quantity::Temperature::celsius(-5.0); ///< winter design
    quantity::Temperature inside = quantity::Temperature::celsius(20.0);
    double inside_humidity = 0.5; ///< relative, 0..1; our assumption where nobody says
    quantity::Pressure pressure = quantity::Pressure::pascal(101325.0);
    fabric::HeatFlow direction = fabric::HeatFlow::horizontal;
    fabric::Films films{0.04, 0.13};
};

/// Standard surface resistances for a direction of heat flow, towards outdoors (ISO 6946).
[[nodiscard]] WallConditions conditions_of(fabric::HeatFlow direction);

[[nodiscard]] std::string buildup_text(const fabric::Buildup& buildup, const WallConditions& conditions,
                                       const quantity::PreferredUnits& units = {});
[[nodiscard]] nlohmann::json buildup_json(const fabric::Buildup& buildup, const WallConditions& conditions);

/// How the layers were found: in words, from a U-value, with bridges, gaps and corrections; where they come from. Empty
/// if they stand as they were typed and nobody says more.
[[nodiscard]] std::string how_found(const building::NamedBuildup& build_up, const quantity::PreferredUnits& units = {});

struct WallDrawingOptions {
    Picture picture = Picture::svg;
    double width = 1280.0, height = 800.0; ///< of the sheet, px
    quantity::PreferredUnits units{};
};

/// The layers to scale, outside on the left, with the temperature through them and the dew point of the room's air.
[[nodiscard]] std::string draw_wall(const fabric::Buildup& buildup, const WallConditions& conditions,
                                    const WallDrawingOptions& options = {});

} // namespace venture::report
