#pragma once
/// A building run through its weather year, or a part of it.

#include <array>
#include <functional>
#include <optional>
#include <string>
#include <vector>

#include <venture/balance/run.hpp>
#include <venture/building/building.hpp>
#include <venture/loads/room_year_parts.hpp>
#include <venture/quantity/preferred_units.hpp>
#include <venture/quantity/problem.hpp>

namespace venture::loads {

struct BuildingYearOptions {
    double step_s = 900.0; ///< 60 to 3600, a divisor of an hour
    int first_day = 1;     ///< of the year
    int days = 0;          ///< 0: to the end of the year
    double run_in_days = 30.0;
    /// Kinds of series by room, hour means; names of series_kinds(); of all rooms, or of all surfaces.
    std::vector<std::string> series{};
    std::optional<std::size_t> room{}; ///< of the building, that is taken apart
    /// Told the share of the run that is done, 0..1, once a day of it; nothing: nobody is.
    std::function<void(double)> progress{};
};

/// Heat of one month, J.
struct MonthHeat {
    double heating_J = 0.0, cooling_J = 0.0, latent_J = 0.0;
};

struct RoomYear {
    std::string room{}, storey{};
    double floor_area_m2 = 0.0;
    bool heated = false, cooled = false;
    balance::ZoneRun run{};
    std::array<MonthHeat, 12> months{};
};

struct BuildingYear {
    std::string weather{};  ///< name of the weather year
    bool synthetic = false; ///< its weather was made up
    int first_day = 1, days = 365;
    std::vector<RoomYear> rooms{};                     ///< in the building's order
    std::vector<balance::Series> series{};             ///< kind by kind, rooms or surfaces in the order of their names
    std::optional<RoomYearParts> parts{};              ///< of the room asked for
    double heating_peak_W = 0.0, cooling_peak_W = 0.0; ///< largest hours of the sums over all rooms
    std::size_t heating_peak_hour = 0, cooling_peak_hour = 0; ///< of the year, from 0
    double step_s = 0.0, run_in_days = 0.0;
    double worst_closure = 0.0;
    int unsettled_steps = 0;    ///< never believe a year that has any
    double film_residual = 0.0; ///< worst of any room, as a share of its largest hour
};

/// The run-in goes through the days before the first, round the end of the year.
/// @throws quantity::RangeError for days that the year does not have, or a step outside its range; quantity::Error for
///         a kind of series that there is not
[[nodiscard]] BuildingYear run_year(const building::Building& building, const climate::WeatherYear& year,
                                    const BuildingYearOptions& options = {});

/// Rooms that were colder or warmer than any can be: errors, and the year's numbers mean nothing.
[[nodiscard]] std::vector<quantity::Problem> year_findings(const building::Building& building, const BuildingYear& year,
                                                           const quantity::PreferredUnits& units = {});

} // namespace venture::loads
