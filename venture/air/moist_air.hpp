#pragma once
/// Moist air as an ideal-gas mixture at the pressure of the place.

#include <venture/quantity/types.hpp>

namespace venture::air {

using quantity::Pressure;
using quantity::Temperature;

inline constexpr double latent_heat_of_vaporisation_J_per_kg = 2.501e6; ///< at 0 degC; the reference of enthalpies here
inline constexpr double specific_heat_of_dry_air_J_per_kgK = 1006.0;

/// Saturation vapour pressure over liquid water from 0 degC, over ice below.
/// Source    Hyland and Wexler 1983, as in ASHRAE Handbook - Fundamentals, psychrometrics chapter.
/// Valid     -100 degC <= t <= 200 degC
/// @throws   quantity::RangeError outside the valid range
[[nodiscard]] Pressure saturation_pressure(Temperature t);

/// Pressure of the standard atmosphere at a height above sea level.
/// Source    p = 101325 (1 - 2.25577e-5 z)^5.2559, ASHRAE Handbook - Fundamentals, psychrometrics chapter.
/// Valid     -5000 m <= z <= 11000 m
/// @throws   quantity::RangeError outside the valid range
[[nodiscard]] Pressure standard_pressure(double height_m);

/// State of moist air at one point. Possible from the moment it exists (0 <= w <= saturation).
class MoistAir {
public:
    /// @param phi  relative humidity 0..1; refers to ice below 0 degC
    /// @throws quantity::RangeError  phi outside 0..1, or t outside the range of saturation_pressure()
    [[nodiscard]] static MoistAir from_relative_humidity(Temperature t, double phi, Pressure p);
    /// @param w  humidity ratio, kg water per kg dry air
    /// @throws quantity::RangeError  w negative or above saturation at (t, p)
    [[nodiscard]] static MoistAir from_humidity_ratio(Temperature t, double w, Pressure p);
    /// @param wet_bulb  thermodynamic wet bulb, not above t; ice-covered below 0 degC
    /// @throws quantity::RangeError  wet bulb above dry bulb, or so low that less than no vapour would be left
    [[nodiscard]] static MoistAir from_wet_bulb(Temperature t, Temperature wet_bulb, Pressure p);

    [[nodiscard]] Temperature dry_bulb() const noexcept { return t_; }
    [[nodiscard]] double humidity_ratio() const noexcept { return w_; } ///< kg/kg dry air
    [[nodiscard]] Pressure pressure() const noexcept { return p_; }
    friend bool operator==(const MoistAir&, const MoistAir&) = default;

private:
    MoistAir(Temperature t, double w, Pressure p) noexcept : t_{t}, w_{w}, p_{p} {}
    Temperature t_;
    double w_;
    Pressure p_;
};

/// Humidity ratio of saturated air, kg/kg dry air.
[[nodiscard]] double saturation_humidity_ratio(Temperature t, Pressure p);
/// Humidity ratio of air of a relative humidity; infinite where vapour of its pressure would leave no room for air.
/// @throws quantity::RangeError  phi outside 0..1, or t outside the range of saturation_pressure()
[[nodiscard]] double humidity_ratio_at(double phi, Temperature t, Pressure p);
[[nodiscard]] Pressure vapour_pressure(const MoistAir& air);
/// Of air that may hold more than it can. @param w  humidity ratio, kg/kg, 0 or more
[[nodiscard]] Pressure vapour_pressure(double w, Pressure p);
[[nodiscard]] double relative_humidity(const MoistAir& air); ///< 0..1; over ice below 0 degC
/// Of air that may hold more than it can, as in a balance in which nothing condenses: above 1 then.
/// @param w  humidity ratio, kg/kg, 0 or more
[[nodiscard]] double relative_humidity(Temperature t, double w, Pressure p);
[[nodiscard]] double enthalpy_J_per_kg(const MoistAir& air);         ///< per kg dry air, zero at 0 degC
[[nodiscard]] double specific_volume_m3_per_kg(const MoistAir& air); ///< of moist air per kg dry air
[[nodiscard]] double density_kg_per_m3(const MoistAir& air);         ///< of the moist air
[[nodiscard]] Temperature dew_point(const MoistAir& air);            ///< frost point below 0 degC
/// At which vapour of a pressure saturates. @throws quantity::RangeError outside that of saturation_pressure()
[[nodiscard]] Temperature dew_point(Pressure vapour);
/// Thermodynamic wet bulb. Between the branches over ice and over water no wet bulb exists within about 0.3 K of
/// 0 degC; states that fall into that gap get 0 degC.
[[nodiscard]] Temperature wet_bulb(const MoistAir& air);
/// Of MoistAir::from_wet_bulb(), kg/kg; below 0 where not even dry air has so low a wet bulb.
/// Source  ASHRAE Handbook - Fundamentals, psychrometrics, humidity ratio by wet bulb
/// @throws quantity::Error  a wet bulb outside -100 degC to that of saturation curves
[[nodiscard]] double humidity_ratio_by_wet_bulb(Temperature t, Temperature wet_bulb, Pressure p);

} // namespace venture::air
