#pragma once
/// Tasks that do not hang on one another, on several cores. Internal to loads.

#include <cstddef>
#include <functional>

namespace venture::loads {

/// Calls `task(i)` for each i below count, in any order. What is thrown by one of them is thrown again.
/// @param threads  0: as many as the machine has
void side_by_side(std::size_t count, const std::function<void(std::size_t)>& task, unsigned threads = 0);

} // namespace venture::loads
