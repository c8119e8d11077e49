#pragma once
/// Air supplies, and air that is taken out of rooms. Internal to resolve.

#include <venture/resolve/work.hpp>

namespace venture::resolve {

/// Before rooms, which name them.
void add_air_supplies(Work& work);
/// Index of what a room's outdoor air comes by; nothing: straight into the room.
[[nodiscard]] std::optional<std::size_t> air_supply_called(Work& work, const Given<std::string>& name);
/// After all rooms are there: what they come back through, and extracts.
void add_ways_out(Work& work);
/// Air that leaves rooms by plan must have come in; what is taken out beyond that is drawn in through leaks, and told.
void check_air_balance(Work& work);

} // namespace venture::resolve
