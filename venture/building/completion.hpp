#pragma once
/// The input with nothing left open that a default, a room type or a storey settles: every value with its origin.

#include <venture/building/input.hpp>

namespace venture::building {

/// Fills each key that was left open: a room's from its room type, its height from its storey, then whatever has a
/// default from that. What was typed and could not be read stays open.
[[nodiscard]] Input completed(Input input);

} // namespace venture::building
