#pragma once
/// Internal to `terminal`: as few families of products as will do for many rooms.

#include <cstddef>
#include <vector>

namespace venture::terminal {

/// A type for each place, so that few are used: again and again the one that suffices in most of the places that are left,
/// of equals the first. That is not always the fewest there could be, but never more than the logarithm of the number of
/// places times as many (V. Chvatal, A greedy heuristic for the set-covering problem, 1979).
/// @param suffices  by place and type
/// @returns the type of each place; as many as there are types: none suffices
[[nodiscard]] std::vector<std::size_t> fewest_types(const std::vector<std::vector<bool>>& suffices);

} // namespace venture::terminal
