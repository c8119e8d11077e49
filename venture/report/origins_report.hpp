#pragma once
/// Where every value came from.

#include <vector>

#include <venture/figure/document.hpp>
#include <venture/quantity/preferred_units.hpp>
#include <venture/resolve/effective.hpp>

namespace venture::report {

/// A line a value: what, how much, and from where; then how many came from where.
[[nodiscard]] figure::Document origins_document(const std::vector<resolve::EffectiveValue>& values,
                                                const quantity::OriginPool& origins,
                                                const quantity::PreferredUnits& units = {});

/// Its table, before any row.
[[nodiscard]] figure::Declaration value_declaration();

} // namespace venture::report
