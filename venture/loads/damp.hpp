#pragma once
/// Damp at inside faces over a year: means of months for mould, hours for water on windows.

#include <string>
#include <vector>

#include <venture/building/building.hpp>
#include <venture/figure/table.hpp>

namespace venture::loads {

struct BuildingYear;

/// Means of a room's air in one month, and hours in which its coldest window or door is colder than the air's dew point.
struct MonthDamp {
    double hours = 0.0; ///< that were run
    double air_C = 0.0, vapour_Pa = 0.0, outdoor_C = 0.0;
    double wet_opening_h = 0.0;
};

/// Relative humidity at a face over a month's mean above which mould can grow. Source: ISO 13788, 5.3
inline constexpr double most_humid_face = 0.8;

/// What a room's coldest faces come to in the worst month.
struct DampRow {
    std::string room{};
    std::string surface{};                    ///< coldest of wall, roof or exposed floor; empty: it has none
    double factor = 1.0, needed_factor = 0.0; ///< temperature factors; needed so as not to pass most_humid_face
    double face_humidity = 0.0;               ///< at the surface, mean of the worst month; above 1: water stands on it
    int month = 0;                            ///< the worst
    std::string opening{};                    ///< coldest window or door; empty: it has none
    double opening_factor = 1.0, wet_opening_h = 0.0;
    [[nodiscard]] bool mould() const { return face_humidity > most_humid_face; }
};

/// Rooms that have such faces. @param year  of this building
/// Source  ISO 13788, clause 5, with the month's humidity of the run in place of a class of humidity
[[nodiscard]] std::vector<DampRow> damp_rows(const building::Building& building, const BuildingYear& year);
[[nodiscard]] const figure::TableOf<DampRow>& damp_columns();

} // namespace venture::loads
