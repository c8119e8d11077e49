#pragma once
/// The optical depths of a month, from its clearest hours. Internal to climate.

#include <optional>
#include <vector>

#include <venture/climate/weather_year.hpp>

namespace venture::climate::detail {

struct OpticalDepths {
    double beam = 0.0, diffuse = 0.0;
};

/// A clear sky of middling turbidity; our assumption.
inline constexpr OpticalDepths usual{0.38, 2.3};

/// Least squares of clear_sky() against beam and diffuse of the three clearest steps at each time of day.
/// @returns nothing if there is too little sun
[[nodiscard]] std::optional<OpticalDepths> fit_optical_depths(const WeatherYear& year, const std::vector<StepSun>& suns,
                                                              int month);

} // namespace venture::climate::detail
