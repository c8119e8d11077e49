#pragma once
/// What readings cannot be, or hardly. Internal to climate.

#include <vector>

#include <venture/climate/complete_year.hpp>

namespace venture::climate::detail {

/// Readings that are given, one by one: bounds of the possible, dew point and wet bulb against dry bulb, stuck values.
void check_values(const Readings& readings, std::vector<WeatherRemark>& remarks);

/// The sun of complete readings against the sun of the place: light at night, noon off by more than 45 minutes in a
/// month, sums that do not add up.
void check_sun(const Readings& readings, const std::vector<StepSun>& suns, std::vector<WeatherRemark>& remarks);

} // namespace venture::climate::detail
