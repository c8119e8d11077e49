#pragma once
/// A number that changes with anything that loads follow from. Internal to balance.

#include <cstdint>

#include <venture/balance/thermal_model.hpp>

namespace venture::balance {

/// Of every field of a model, whatever fields it has.
[[nodiscard]] std::uint64_t fingerprint_of(const ThermalModel& model);

} // namespace venture::balance
