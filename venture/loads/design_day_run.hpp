#pragma once
/// How a design day is run and read. Internal to loads.

#include <functional>
#include <vector>

#include <venture/balance/periodic_day.hpp>
#include <venture/building/building.hpp>
#include <venture/loads/room_loads.hpp>

namespace venture::loads::detail {

/// Worst of any zone that is heated or cooled, as a share of its peak.
[[nodiscard]] double film_residual(const balance::PeriodicDay& day);
struct DayRunOptions {
    bool tell_memory = false;
    const balance::PeriodBegin* near = nullptr; ///< both as in balance::PeriodicOptions
    std::function<balance::Watch()> watch{}; ///< makes a new one for each try; the last is of the day that is returned
};
/// Films that vary must belong to their temperatures within 1 % of any room's peak; small peaks ask for more.
[[nodiscard]] balance::PeriodicDay run_with_films(const balance::ThermalModel& model,
                                                  const DayRunOptions& options = {});
/// What flows into a room's air in one hour.
[[nodiscard]] AirBalance balance_of(const balance::ZoneStep& hour);
/// A limit that was typed holds at all times. One that is assumed asks for nothing while the room is not cooled: no coil
/// runs then.
[[nodiscard]] std::vector<double> asked_latent_W(const building::Room& room, const balance::ZoneDay& day);

} // namespace venture::loads::detail
