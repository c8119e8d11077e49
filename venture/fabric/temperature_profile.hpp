#pragma once
/// Steady temperatures through a build-up.

#include <vector>

#include <venture/fabric/two_port.hpp>
#include <venture/quantity/types.hpp>

namespace venture::fabric {

/// Temperatures from the outside air to the inside air.
struct TemperatureProfile {
    double outside_air_C = 0.0, inside_air_C = 0.0;
    std::vector<double> at_faces_C{}; ///< outer face, between layers, inner face: one more than layers
    double heat_flow_W_per_m2 = 0.0;  ///< outwards
};

/// @throws quantity::RangeError for a build-up that check() refuses, or one without any resistance
[[nodiscard]] TemperatureProfile temperature_profile(const Buildup& buildup, const Films& films,
                                                     quantity::Temperature outside, quantity::Temperature inside);

/// Mass for the area, kg/m2: of the whole, or from a face to the first layer of insulation (a conductivity under 0.1
/// W/mK) behind it, which is what the room feels within hours.
[[nodiscard]] double mass_kg_per_m2(const Buildup& buildup);
[[nodiscard]] double inner_mass_kg_per_m2(const Buildup& buildup);

/// What a build-up is looked at under.
struct WallConditions {
    quantity::Temperature outside = quantity::Temperature::celsius(-5.0); ///< winter design
    quantity::Temperature inside = quantity::Temperature::celsius(20.0);
    double inside_humidity = 0.5; ///< relative, 0..1; our assumption where nobody says
    quantity::Pressure pressure = quantity::Pressure::pascal(101325.0);
    HeatFlow direction = HeatFlow::horizontal;
    Films films{0.04, 0.13};
};

/// Standard surface resistances for a direction of heat flow, towards outdoors (ISO 6946).
[[nodiscard]] WallConditions conditions_of(HeatFlow direction);

} // namespace venture::fabric
