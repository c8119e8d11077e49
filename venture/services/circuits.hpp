#pragma once
/// Internal to `services`: circuits and plants as they were typed, and what feeds what.

#include <string>

#include <venture/quantity/preferred_units.hpp>
#include <venture/services/services.hpp>

namespace venture::services {

/// Fills circuits and plants; what is wrong with them goes to its problems.
void read_circuits(const input::Input& input, const Kinds& kinds, Services& services);

/// "70/55 degC": supply and return.
[[nodiscard]] std::string water_in_words(const Circuit& circuit, const quantity::PreferredUnits& units);

} // namespace venture::services
