#pragma once
/// A glazing taken apart: panes, U-value in steps, what comes in by angle, what shades leave of it.

#include <string>
#include <vector>

#include <venture/building/building.hpp>
#include <venture/figure/document.hpp>
#include <venture/quantity/preferred_units.hpp>

namespace venture::report {

/// @param shades  that are set beside the bare glass
[[nodiscard]] figure::Document glazing_document(const building::NamedGlazing& glazing,
                                                const std::vector<building::NamedShade>& shades,
                                                const quantity::PreferredUnits& units = {});
/// Its tables, before any row.
[[nodiscard]] std::vector<figure::Declaration> glazing_declarations();

} // namespace venture::report
