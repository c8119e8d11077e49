#pragma once
/// Things that lead to one another in a ring: a room like a room that is like the first.

#include <optional>
#include <vector>

namespace venture::input {

/// @param next  where each leads to, if anywhere
/// @return every ring once, from its first element on, in the order of their first elements
[[nodiscard]] std::vector<std::vector<std::size_t>> rings_of(const std::vector<std::optional<std::size_t>>& next);

} // namespace venture::input
