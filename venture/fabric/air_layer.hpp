#pragma once
/// Resistance of air layers in walls and roofs.

#include <venture/fabric/buildup.hpp>
#include <venture/quantity/types.hpp>

namespace venture::fabric {

/// An unventilated air layer between two parallel faces.
struct AirLayer {
    double thickness_m = 0.0; ///< across the heat flow, above 0 and at most 0.3
    HeatFlow direction = HeatFlow::horizontal;
    double emissivity_1 = 0.9, emissivity_2 = 0.9; ///< 0.9 for usual materials, about 0.05 for bright foil
    quantity::Temperature mean = quantity::Temperature::celsius(10.0);
};

/// 1/(ha + hr), m2K/W: ha the larger of 0.025/d and 1.25, 1.95 or 0.12 d^-0.44 W/m2K for heat that flows horizontally,
/// upwards or downwards; hr = 4 sigma Tm^3/(1/e1 + 1/e2 - 1).
/// Source    ISO 6946:2017, annex D
/// Valid     differences over the layer up to 5 K, thicknesses up to 0.3 m, emissivities 0.01..1, -30..60 degC
/// @throws   quantity::RangeError outside the valid range
[[nodiscard]] double air_layer_resistance(const AirLayer& layer);

} // namespace venture::fabric
