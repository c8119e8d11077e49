#pragma once
/// Whether a thermal model makes sense, before anything is prepared for it. Internal to loads.

#include <venture/loads/thermal_model.hpp>

namespace venture::loads::detail {

/// @throws quantity::RangeError if an area, film, capacity or share is out of range, or an index points nowhere
void check_model(const ThermalModel& model);

} // namespace venture::loads::detail
