#pragma once
/// What is done to moist air: mixed, heated, cooled, humidified, blown through a fan, brought past other air.
/// Each process is per kg of dry air; multiply by the dry-air mass flow for W and kg/s.

#include <venture/air/moist_air.hpp>

namespace venture::air {

/// A stream of moist air.
struct Stream {
    MoistAir air;
    double dry_air_kg_per_s = 0.0;
};

/// Dry air that a volume flow carries, kg/s. The volume is that of the state given.
/// @throws quantity::RangeError for a negative flow
[[nodiscard]] double dry_air_kg_per_s(const MoistAir& air, double volume_m3_per_s);

/// Air after mixing or cooling in itself; more water than it can hold stays in it as fog.
struct MixedAir {
    MoistAir air;
    double dry_air_kg_per_s = 0.0;
    double fog_kg_per_kg = 0.0;          ///< liquid (ice below 0 degC) per kg dry air; 0 for clear air
    double dry_bulb_without_fog_C = 0.0; ///< on the straight line between the two states, as if nothing condensed
    [[nodiscard]] bool supersaturated() const { return fog_kg_per_kg > 0.0; }
};

/// Adiabatic mixing: water and enthalpy are kept. What would be supersaturated becomes saturated air with fog.
/// @throws quantity::Error       the pressures differ
/// @throws quantity::RangeError  a negative flow, or no flow at all
[[nodiscard]] MixedAir mixed(const Stream& first, const Stream& second);

/// Heating, or cooling without condensing: enthalpy moves, the humidity ratio stays.
/// @param heat_J_per_kg  per kg dry air; negative cools
/// @throws quantity::RangeError  the air would be cooled below its dew point
[[nodiscard]] MoistAir heated(const MoistAir& air, double heat_J_per_kg);

/// What a cooling coil does.
struct CooledAir {
    MoistAir air;
    double total_J_per_kg = 0.0;    ///< taken from the air, per kg dry air
    double sensible_J_per_kg = 0.0; ///< at the leaving humidity ratio
    double condensate_kg_per_kg = 0.0;
    [[nodiscard]] double latent_J_per_kg() const { return total_J_per_kg - sensible_J_per_kg; }
    /// 1 for a coil that stays dry; nothing was cooled: 1 by convention.
    [[nodiscard]] double sensible_heat_ratio() const;
};

/// Cooling at a surface of one temperature: the leaving state lies on the straight line, in enthalpy and humidity
/// ratio, between the entering state and saturated air at the apparatus dew point; a warmer surface stays dry.
/// Source    apparatus dew point and bypass factor, as in ASHRAE Handbook - Fundamentals, psychrometrics chapter.
/// @param bypass_factor  share of the air that leaves as it came, 0..1
/// @throws quantity::RangeError  bypass factor outside 0..1, or a surface warmer than the air
[[nodiscard]] CooledAir cooled(const MoistAir& air, Temperature apparatus_dew_point, double bypass_factor);

/// The same until the air leaves at a dry bulb: the apparatus dew point follows.
/// @throws quantity::RangeError  bypass factor outside 0..0.99, or a leaving dry bulb above that of the air
/// @throws quantity::Error       no surface above -90 degC makes it so cold
struct CooledTo {
    CooledAir cooled;
    double apparatus_dew_point_C = 0.0; ///< of a coil that stays dry: its surface
};
[[nodiscard]] CooledTo cooled_to(const MoistAir& air, Temperature leaving, double bypass_factor);
struct Apparatus {
    Temperature dew_point;
    double bypass_factor = 0.0;
};

/// The apparatus dew point and bypass factor that lead from one state to another: the inverse of cooled().
/// @throws quantity::Error  no such line meets saturation: the leaving air is not
///                          colder, or it is drier than any surface
///                          could make it
[[nodiscard]] Apparatus apparatus_between(const MoistAir& entering, const MoistAir& leaving);

/// Humidifying by water that evaporates in the air: along the line of constant wet bulb.
/// @param effectiveness  share of the way to the wet bulb, 0..1
[[nodiscard]] MoistAir humidified_adiabatically(const MoistAir& air, double effectiveness);

/// Enthalpy of dry saturated steam at 100 degC. Source: IAPWS-IF97, zero for liquid water at the triple point.
inline constexpr double steam_enthalpy_at_100C_J_per_kg = 2675.6e3;

/// Humidifying by steam.
/// @param steam_kg_per_kg  per kg dry air
/// @throws quantity::RangeError  the air cannot hold that much
[[nodiscard]] MoistAir humidified_by_steam(const MoistAir& air, double steam_kg_per_kg,
                                           double steam_enthalpy_J_per_kg = steam_enthalpy_at_100C_J_per_kg);

/// What heat recovery does to both streams.
struct Recovered {
    MoistAir supply;         ///< behind the recovery, on its way to the rooms
    double sensible_W = 0.0; ///< given to the supply air; negative where it is cooled
    double total_W = 0.0;
    double exhaust_dry_bulb_C = 0.0; ///< leaving, as if nothing condensed in the exhaust air
    double exhaust_humidity_ratio = 0.0;
    bool exhaust_condenses = false; ///< the exhaust air would be more than saturated
};

/// Sensible and total recovery: effectivenesses refer to the smaller dry-air mass flow and act on temperature and on
/// humidity ratio.
/// @param latent_effectiveness  0 for recovery that moves no water
/// @throws quantity::RangeError  effectiveness outside 0..1, a flow that is not above 0
[[nodiscard]] Recovered recovered(const Stream& outdoor, const Stream& exhaust, double sensible_effectiveness,
                                  double latent_effectiveness);

/// What a fan takes and gives.
struct FanHeat {
    double shaft_W = 0.0, electrical_W = 0.0;
    double to_air_W = 0.0; ///< all shaft power ends as heat; the motor's loss too if it sits in the air stream
    double rise_K = 0.0;   ///< of the air's dry bulb
};

/// @param volume_m3_per_s  at the state given, which is that of the inlet
/// @throws quantity::RangeError  an efficiency outside 0..1 or nil, a negative rise or flow
[[nodiscard]] FanHeat fan_heat(const MoistAir& air, double volume_m3_per_s, double pressure_rise_Pa,
                               double fan_efficiency, double motor_efficiency, bool motor_in_air_stream);

} // namespace venture::air
