#pragma once
/// The kinds of unit that can stand in rooms.

#include <span>

#include <venture/rating/kind.hpp>

namespace venture::terminal {

/// In the order of rating/kind_list.hpp.
[[nodiscard]] std::span<const rating::Kind* const> unit_kinds();

} // namespace venture::terminal
