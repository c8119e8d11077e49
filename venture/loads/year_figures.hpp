#pragma once
/// Columns of a building's run through its weather year.

#include <venture/figure/table.hpp>
#include <venture/loads/building_year.hpp>

namespace venture::loads {

struct RoomYearRow {
    const RoomYear* room = nullptr;
    MonthHeat sum{};
    bool leap = false;
};
struct MonthRow {
    std::string room{}; ///< empty: all rooms
    int month = 1;
    MonthHeat heat{};
    bool cools = false; ///< the room, or any
};
struct YearRow {
    const BuildingYear* year = nullptr;
    bool leap = false;
};

[[nodiscard]] const figure::TableOf<RoomYearRow>& room_year_columns();
[[nodiscard]] const figure::TableOf<MonthRow>& month_year_columns();
[[nodiscard]] const figure::TableOf<MonthRow>& room_month_columns();
[[nodiscard]] const figure::TableOf<YearRow>& building_year_columns();

[[nodiscard]] std::vector<RoomYearRow> room_year_rows(const BuildingYear& year, bool leap);
/// Twelve, of all rooms together.
[[nodiscard]] std::vector<MonthRow> month_rows(const BuildingYear& year);
/// Twelve of each room.
[[nodiscard]] std::vector<MonthRow> room_month_rows(const BuildingYear& year);
/// The series asked for: a line an hour, a column a series.
[[nodiscard]] figure::Table series_table(const BuildingYear& year, bool leap);
/// An hour of the year, from 0, in local standard time.
[[nodiscard]] figure::When hour_of_year(std::size_t hour, bool leap);

} // namespace venture::loads
