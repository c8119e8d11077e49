#pragma once
/// How air that comes into a room in an hour of a design day comes to its heat, and people to theirs. Internal to loads.

#include <venture/balance/periodic_day.hpp>
#include <venture/building/building.hpp>
#include <venture/climate/design_day.hpp>
#include <venture/loads/compile.hpp>
#include <venture/quantity/ledger.hpp>

namespace venture::loads::detail {

/// An hour of a day that was run.
struct HourOfRun {
    const building::Building& b;
    const climate::DesignDay& day;
    std::size_t hour = 0; ///< of local standard time
    const Compiled& compiled;
    const balance::PeriodicDay& run;
};

/// Infiltration, ventilation, air from other rooms, bridges: flows from what was typed, temperatures as the run had them, means of
/// the hour. Where flows are of outdoor air's own density they change within the hour, and the product of means is that of the
/// hour to a thousandth.
void write_air(const HourOfRun& at, std::size_t room, quantity::Ledger& ledger);
/// People whose heat follows the air of their room.
/// @param sensible_factors  of the bodies of the model, means of the hour
void write_people(const HourOfRun& at, std::size_t room, const std::vector<double>& sensible_factors,
                  quantity::Ledger& ledger);

} // namespace venture::loads::detail
