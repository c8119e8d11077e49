#pragma once
/// Heating after days without use: what a long weekend at the set-back asks of the morning after it.

#include <optional>
#include <vector>

#include <venture/building/building.hpp>
#include <venture/loads/design_loads.hpp>

namespace venture::loads {

struct DaysOff {
    int days = 2;                           ///< 1 to 6 of each week, at the set-back all day
    std::optional<double> come_back_in_h{}; ///< in place of each set-back's own ramp, above 0
};

struct AfterDaysOff {
    DaysOff asked{};
    std::vector<double>
        heating_W{};            ///< largest hour of the week, of each room in the building's order; 0 where not heated
    double together_W = 0.0;    ///< largest hour of their sum
    bool any_sets_back = false; ///< else days off ask for nothing more
    bool converged = false;     ///< never believe figures that did not
};

/// A week of winter design days repeated until periodic: so many at the set-back all day, and the others as usual.
/// Rooms without a set-back hold what they hold.
/// @throws quantity::RangeError for days or times outside the above
[[nodiscard]] AfterDaysOff heating_after_days_off(const building::Building& building, const DaysOff& asked,
                                                  const DesignOptions& options = {});

} // namespace venture::loads
