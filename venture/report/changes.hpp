#pragma once
/// What moved between two runs.

#include <vector>

#include <venture/figure/path.hpp>
#include <venture/quantity/preferred_units.hpp>

namespace venture::report {

/// A row for each figure that shows otherwise than before, is new or is gone.
[[nodiscard]] figure::Table moved_table(const std::vector<figure::Figure>& before,
                                        const std::vector<figure::Figure>& after,
                                        const quantity::PreferredUnits& units);

} // namespace venture::report
