#pragma once
/// Columns of a building's run through its weather year.

#include <venture/figure/tables_of.hpp>
#include <venture/loads/building_year.hpp>

namespace venture::loads {

struct YearRow {
    const BuildingYear* year = nullptr;
    bool leap = false;
    const building::Building* building = nullptr; ///< that was run; nothing: no tables of its faces
};

/// All tables of a year but its series.
[[nodiscard]] const figure::TablesOf<YearRow>& year_tables();
/// The series asked for: a line an hour, a column a series.
[[nodiscard]] figure::Table series_table(const BuildingYear& year, bool leap);
/// An hour of the year, from 0, in local standard time.
[[nodiscard]] figure::When hour_of_year(std::size_t hour, bool leap);

} // namespace venture::loads
