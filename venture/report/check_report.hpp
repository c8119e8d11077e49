#pragma once
/// The model as it is understood, before any load is believed.

#include <string>

#include <nlohmann/json_fwd.hpp>

#include <venture/building/building.hpp>
#include <venture/quantity/preferred_units.hpp>
#include <venture/report/text.hpp>

namespace venture::report {

/// A line a room: areas, volume, mean U, air, gains, and how much of its use was given, by type or by default;
/// then the build-ups with their U-values.
[[nodiscard]] Text check_text(const building::Building& building, const quantity::PreferredUnits& units = {});
[[nodiscard]] nlohmann::json check_json(const building::Building& building);

} // namespace venture::report
