#pragma once
/// Cooling over a week of the building's own calendar: what days without use leave in the walls, and what they save.

#include <functional>
#include <string>
#include <vector>

#include <venture/building/building.hpp>
#include <venture/loads/design_loads.hpp>

namespace venture::loads {

/// A room's largest hour in any of the weeks.
struct RoomWeek {
    double cooling_W = 0.0; ///< sensible and latent
    When when{};            ///< "Monday, July"
    std::string dates{};    ///< whose hours were taken: "5 to 11 July 2027"
};

struct CoolingWeeks {
    std::size_t weeks = 0;         ///< that were run
    std::vector<RoomWeek> rooms{}; ///< in the building's order; nil where not cooled
    RoomWeek together{};           ///< largest hour of their sum
    bool differs = false;          ///< hours of use differ between the days; else a week asks for what a day does
    bool converged = true;         ///< never believe figures that did not
};

/// The weather of each cooling design day, seven times in a row, with the hours of the seven days, Monday to Sunday, of its month
/// that are used most; repeated until periodic.
/// @param progress  told the share of the weeks that are done, by one thread at a time
[[nodiscard]] CoolingWeeks cooling_over_weeks(const building::Building& building, const DesignOptions& options = {},
                                              const std::function<void(double share)>& progress = {});

} // namespace venture::loads
