#pragma once
/// The kinds of unit that can stand in rooms, and of what stands in the pipes to them.

#include <span>

#include <venture/rating/kind.hpp>

namespace venture::terminal {

/// In the order of rating/kind_list.hpp.
[[nodiscard]] std::span<const rating::Kind* const> unit_kinds();
[[nodiscard]] std::span<const rating::Kind* const> fitting_kinds();

} // namespace venture::terminal
