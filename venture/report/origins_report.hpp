#pragma once
/// Where every value came from.

#include <string>
#include <vector>

#include <nlohmann/json_fwd.hpp>

#include <venture/quantity/preferred_units.hpp>
#include <venture/report/text.hpp>
#include <venture/resolve/effective.hpp>

namespace venture::report {

/// A line a value: what, how much, and from where; then how many came from where.
[[nodiscard]] Text origins_text(const std::vector<resolve::EffectiveValue>& values, const quantity::OriginPool& origins,
                                const quantity::PreferredUnits& units = {});
[[nodiscard]] nlohmann::json origins_json(const std::vector<resolve::EffectiveValue>& values,
                                          const quantity::OriginPool& origins);

} // namespace venture::report
