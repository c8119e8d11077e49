#pragma once
/// The input with nothing left open that a default, a room type or a storey settles: every value with its origin.

#include <venture/input/input.hpp>

namespace venture::input {

/// Fills each key that was left open: a room's from its room type, its height from its storey, then whatever has a
/// default from that. What was typed and could not be read stays open.
[[nodiscard]] Input completed(Input input);

/// With [ground], floors find their own temperatures: what the site does not state of them stands as the mean of the
/// year. Doing it twice changes nothing.
void take_ground_temperatures(Input& input);

} // namespace venture::input
