#pragma once
/// One input over another: a variant's values and tables over a project's.

#include <vector>

#include <venture/input/input.hpp>
#include <venture/quantity/problem.hpp>

namespace venture::input {

/// What the second says stands instead of what the first says: key by key in tables that stand once and in records that both have by
/// the same name; other records are added. A list within a record (a room's openings) that is given replaces the one that was there.
/// @param problems  of reading the second; their places are moved to the first one's origins, as those of its values are
void lay_over(Input& base, const Input& over, std::vector<quantity::Problem>& problems);

} // namespace venture::input
