#pragma once
/// A state of moist air from any two facts that fix it.

#include <string_view>

#include <venture/air/moist_air.hpp>

namespace venture::air {

/// What may be known of a state.
enum class Fact {
    dry_bulb,          ///< degC
    wet_bulb,          ///< thermodynamic, degC; ice-covered below 0 degC
    dew_point,         ///< degC; frost point below 0 degC
    relative_humidity, ///< 0..1; over ice below 0 degC
    humidity_ratio,    ///< kg/kg dry air
    enthalpy,          ///< J/kg dry air, zero at 0 degC
};

[[nodiscard]] std::string_view name_of(Fact fact);

struct KnownFact {
    Fact fact = Fact::dry_bulb;
    double value = 0.0; ///< in the unit of the fact
};

/// The state at a pressure that has both facts, in any order.
/// @throws quantity::Error       the two are one kind of fact, are one fact
///                               (dew point with humidity ratio) or nearly one
///                               (wet bulb with enthalpy: a hundredth of a kelvin moves the dry bulb by many)
/// @throws quantity::RangeError  no state has both: a dew point above the dry bulb, more than saturated, ...
[[nodiscard]] MoistAir state_from(KnownFact first, KnownFact second, Pressure p);

} // namespace venture::air
