#pragma once
/// The kinds of plant that make heat or cold.

#include <span>

#include <venture/rating/kind.hpp>

namespace venture::plant {

/// In the order of rating/kind_list.hpp.
[[nodiscard]] std::span<const rating::Kind* const> plant_kinds();

} // namespace venture::plant
