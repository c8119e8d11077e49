#pragma once
/// Between volume flows, as they are typed and told, and mass flows, as the physics takes them.

#include <venture/quantity/types.hpp>

namespace venture::air {

/// Temperature that volume flows of air are of.
inline constexpr double volume_flow_C = 20.0;

/// Dry air of that temperature, kg/m3: 1.204 at sea level.
[[nodiscard]] inline double room_density_kg_per_m3(quantity::Pressure pressure)
{
    return pressure.pascal() / (287.042 * (volume_flow_C + 273.15));
}

} // namespace venture::air
