#pragma once
/// How a room's steady loss was reckoned, down to what was typed.

#include <venture/building/building.hpp>
#include <venture/loads/room_loads.hpp>
#include <venture/quantity/ledger.hpp>

namespace venture::loads {

/// Each line of the sum by hand with what it is reckoned from, in their order. Empty for a room that is not heated.
/// @param loads  of the whole building, as design_loads() gave them: rooms that float are as warm as there
[[nodiscard]] quantity::Ledger ledger_of_heating(const building::Building& building, std::size_t room,
                                                 const RoomLoads& loads);

} // namespace venture::loads
