#pragma once
/// Columns of outdoor air, recovery, fans and coils over a year. Internal to loads.

#include <venture/figure/tables_of.hpp>
#include <venture/loads/year_figures.hpp>

namespace venture::loads::detail {

void add_air_year_tables(figure::TablesOf<YearRow>& tables);

} // namespace venture::loads::detail
