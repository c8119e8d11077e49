#pragma once
/// A glazing taken apart: panes, U-value in steps, what comes in by angle, what shades leave of it.

#include <string>
#include <vector>

#include <nlohmann/json_fwd.hpp>

#include <venture/building/building.hpp>
#include <venture/quantity/preferred_units.hpp>
#include <venture/report/text.hpp>

namespace venture::report {

/// @param shades  that are set beside the bare glass
[[nodiscard]] Text glazing_text(const building::NamedGlazing& glazing, const std::vector<building::NamedShade>& shades,
                                const quantity::PreferredUnits& units = {});
[[nodiscard]] nlohmann::json glazing_json(const building::NamedGlazing& glazing,
                                          const std::vector<building::NamedShade>& shades);

} // namespace venture::report
