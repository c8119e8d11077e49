#pragma once
/// Changes to an input for one run: "room/Boat hall/height=5 m".

#include <string>
#include <vector>

#include <venture/input/input.hpp>
#include <venture/quantity/problems.hpp>

namespace venture::study {

/// Lays changes over an input, one after the other; what cannot be done is told, and the others are.
void lay_over(input::Input& input, const std::vector<std::string>& changes, quantity::Problems& problems);

} // namespace venture::study
