#pragma once
/// Columns of a room's year, taken apart. Internal to loads.

#include <venture/figure/tables_of.hpp>
#include <venture/loads/room_year_parts.hpp>
#include <venture/loads/year_figures.hpp>

namespace venture::loads::detail {

/// Tables of the room that a year was asked to take apart; without rows if none was.
void add_room_year_tables(figure::TablesOf<YearRow>& tables);

} // namespace venture::loads::detail
