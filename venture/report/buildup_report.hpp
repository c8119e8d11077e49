#pragma once
/// A build-up taken apart: layers, U-value in steps, how it answers a daily wave, temperatures through it.

#include <string>
#include <vector>

#include <venture/building/building.hpp>
#include <venture/fabric/temperature_profile.hpp>
#include <venture/figure/document.hpp>
#include <venture/quantity/preferred_units.hpp>

namespace venture::report {

[[nodiscard]] figure::Document buildup_document(const building::NamedBuildup& build_up,
                                                const fabric::WallConditions& conditions,
                                                const quantity::PreferredUnits& units = {});
/// Its tables, before any row.
[[nodiscard]] std::vector<figure::Declaration> buildup_declarations();

} // namespace venture::report
