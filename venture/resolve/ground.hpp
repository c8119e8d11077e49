#pragma once
/// The ground: what lies behind floors and walls in it. Internal to resolve.

#include <venture/resolve/work.hpp>

namespace venture::resolve {

/// The height of the ground outside may stand alone; all else of [ground] asks for the year outdoors.
void check_ground_is_whole(Work& work);
/// Build-ups of floors and walls in the ground with the ground behind them, by ISO 13370.
void add_ground(Work& work);

} // namespace venture::resolve
