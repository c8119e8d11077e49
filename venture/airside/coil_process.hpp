#pragma once
/// What coils and humidifier of an air handler must do to bring air from one state to another.

#include <venture/air/point.hpp>

namespace venture::airside {

/// Relative humidity of air behind a coil that dries it; our assumption.
inline constexpr double off_coil_humidity = 0.95;

/// W and kg/s, none negative.
struct CoilProcess {
    double heating_W = 0.0; ///< sensible, by which the air leaves warmer than it came
    double cooling_sensible_W = 0.0, cooling_latent_W = 0.0;
    double reheat_W = 0.0;                                  ///< of air that was cooled to be dried
    double humidifying_kg_per_s = 0.0, humidifying_W = 0.0; ///< vapour, and the heat that it brings
    double condensate_kg_per_s = 0.0;
    air::Point off_coil{}; ///< behind the cooling coil; as it came where that does nothing
    [[nodiscard]] double cooling_W() const { return cooling_sensible_W + cooling_latent_W; }
    /// Of the heating coil.
    [[nodiscard]] double all_heating_W() const { return heating_W + reheat_W; }
};

/// Air that must get drier is cooled until it leaves the coil nearly saturated at its new moisture, and heated again if that
/// is colder than wanted. Sensible heat counts at the leaving moisture. Heat and water close.
/// @param dry_air_kg_per_s  0 or more
/// @throws quantity::RangeError  states at which no air can be
[[nodiscard]] CoilProcess coil_process(const air::Point& mixed, const air::Point& supply, double dry_air_kg_per_s,
                                       quantity::Pressure pressure);

} // namespace venture::airside
