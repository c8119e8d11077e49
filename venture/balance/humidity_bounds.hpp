#pragma once
/// Humidity ratios between which a zone is held.

#include <algorithm>
#include <limits>

#include <venture/air/moist_air.hpp>
#include <venture/balance/thermal_model.hpp>

namespace venture::balance {

struct HumidityBounds {
    double lower = -std::numeric_limits<double>::infinity(), upper = std::numeric_limits<double>::infinity();
};

/// The stricter of a ratio and of what its own air holds at a relative humidity; the lower never above the upper.
/// @param value  of a signal, at the moment that is asked for
template <class Value>
[[nodiscard]] HumidityBounds humidity_bounds(const Zone& zone, double air_C, double pressure_Pa, const Value& value)
{
    constexpr double coldest_C = -100.0, warmest_C = 200.0; // a zone beyond is told afterwards
    const auto air = quantity::Temperature::celsius(std::clamp(air_C, coldest_C, warmest_C));
    const auto ratio_at = [&](SignalId relative) {
        return air::humidity_ratio_at(value(relative), air, quantity::Pressure::pascal(pressure_Pa));
    };
    HumidityBounds out;
    if (zone.dry_above_kg_per_kg) out.upper = value(*zone.dry_above_kg_per_kg);
    if (zone.dry_above_relative) out.upper = std::min(out.upper, ratio_at(*zone.dry_above_relative));
    if (zone.wet_below_kg_per_kg) out.lower = value(*zone.wet_below_kg_per_kg);
    if (zone.wet_below_relative) out.lower = std::max(out.lower, ratio_at(*zone.wet_below_relative));
    out.lower = std::min(out.lower, out.upper);
    return out;
}

} // namespace venture::balance
