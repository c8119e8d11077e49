#pragma once
/// How what comes into a room in one hour of a design day was reckoned: sun through its windows, people, lighting, equipment.

#include <venture/building/building.hpp>
#include <venture/climate/design_day.hpp>
#include <venture/quantity/ledger.hpp>

namespace venture::loads {

/// Heat that came in, before any of it is stored: of each gain, and of each window to outdoors on which the sun stands, at both
/// ends of the hour, between which it is straight. Empty in winter design.
/// @param hour  of local standard time, 0 to 23
[[nodiscard]] quantity::Ledger ledger_of_gains(const building::Building& building, std::size_t room,
                                               const climate::DesignDay& day, std::size_t hour);

} // namespace venture::loads
