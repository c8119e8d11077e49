#pragma once
/// A build-up taken apart: layers, U-value in steps, how it answers a daily wave, temperatures through it.

#include <string>

#include <nlohmann/json_fwd.hpp>

#include <venture/building/building.hpp>
#include <venture/fabric/temperature_profile.hpp>
#include <venture/quantity/preferred_units.hpp>
#include <venture/report/text.hpp>

namespace venture::report {

[[nodiscard]] Text buildup_text(const fabric::Buildup& buildup, const fabric::WallConditions& conditions,
                                const quantity::PreferredUnits& units = {});
[[nodiscard]] nlohmann::json buildup_json(const fabric::Buildup& buildup, const fabric::WallConditions& conditions);

/// How the layers were found: in words, from a U-value, with bridges, gaps and corrections; where they come from. Empty
/// if they stand as they were typed and nobody says more.
[[nodiscard]] std::string how_found(const building::NamedBuildup& build_up, const quantity::PreferredUnits& units = {});

} // namespace venture::report
