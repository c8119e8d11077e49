#include <venture/fabric/air_layer.hpp>

#include <algorithm>
#include <cmath>

#include <venture/fabric/radiation.hpp>
#include <venture/quantity/error.hpp>

namespace venture::fabric {

namespace {

/// Convection that does not depend on how thin the layer is.
double convection_W_per_m2K(double thickness_m, HeatFlow direction)
{
    switch (direction) {
    case HeatFlow::upwards:
        return 1.95;
    case HeatFlow::horizontal:
        return 1.25;
    case HeatFlow::downwards:
        return 0.12 * std::pow(thickness_m, -0.44);
    }
    VENTURE_UNREACHABLE("a direction without convection");
}

} // namespace

double air_layer_resistance(const AirLayer& layer)
{
    quantity::check_range("air_layer_resistance", "thickness", layer.thickness_m, {1e-4, 0.3}, "m");
    quantity::check_range("air_layer_resistance", "emissivity", layer.emissivity_1, {0.01, 1.0}, "");
    quantity::check_range("air_layer_resistance", "emissivity", layer.emissivity_2, {0.01, 1.0}, "");
    quantity::check_range("air_layer_resistance", "mean temperature", layer.mean.celsius(), {-30.0, 60.0}, "degC");
    constexpr double still_air_W_per_mK = 0.025;
    const double convection =
        std::max(still_air_W_per_mK / layer.thickness_m, convection_W_per_m2K(layer.thickness_m, layer.direction));
    const double radiation = 4.0 * stefan_boltzmann_W_per_m2K4 * std::pow(layer.mean.kelvin(), 3) /
                             (1.0 / layer.emissivity_1 + 1.0 / layer.emissivity_2 - 1.0);
    return 1.0 / (convection + radiation);
}

} // namespace venture::fabric
