#pragma once
/// Columns of coil loads.

#include <venture/airside/coil_loads.hpp>
#include <venture/figure/tables_of.hpp>

namespace venture::airside {

[[nodiscard]] const figure::TablesOf<CoilLoads>& coil_tables();

} // namespace venture::airside
