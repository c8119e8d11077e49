#pragma once
/// Whether a thermal model makes sense, before anything is prepared for it. Internal to balance.

#include <venture/balance/thermal_model.hpp>

namespace venture::balance {

/// @throws quantity::RangeError if an area, film, capacity or share is out of range, or an index points nowhere
void check_model(const ThermalModel& model);

} // namespace venture::balance
