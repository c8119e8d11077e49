#pragma once
/// Short gaps in readings. Internal to climate.

#include <vector>

#include <venture/climate/complete_year.hpp>

namespace venture::climate::detail {

/// Fills every series as complete_year() tells; what is too long to be filled is an error among the remarks.
void fill_gaps(Readings& readings, const std::vector<StepSun>& suns, const GapRule& rule,
               std::vector<WeatherRemark>& remarks);

} // namespace venture::climate::detail
