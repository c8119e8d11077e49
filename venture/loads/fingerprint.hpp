#pragma once
/// A number that changes with anything that loads follow from. Internal to loads.

#include <cstdint>

#include <venture/loads/thermal_model.hpp>

namespace venture::loads::detail {

/// Of every field of a model, whatever fields it has.
[[nodiscard]] std::uint64_t fingerprint_of(const ThermalModel& model);

} // namespace venture::loads::detail
