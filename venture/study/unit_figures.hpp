#pragma once
/// Columns of units in rooms. Internal to study.

#include <venture/figure/table.hpp>
#include <venture/study/sizing.hpp>

namespace venture::study {

[[nodiscard]] const figure::TableOf<UnitRow>& unit_columns();

} // namespace venture::study
