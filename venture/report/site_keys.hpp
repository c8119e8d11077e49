#pragma once
/// Derived design conditions as they would be typed.

#include <string>

#include <venture/climate/climate_figures.hpp>

namespace venture::report {

/// Derived conditions as keys of [site], to be pasted into a project. SI.
[[nodiscard]] std::string derived_toml(const climate::WeatherFigures& weather, const climate::Rarity& rarity);

} // namespace venture::report
