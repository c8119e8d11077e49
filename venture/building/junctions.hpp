#pragma once
/// Where the parts of a building's envelope meet, measured on the model: lengths for linear thermal bridges.

#include <array>

#include <venture/building/building.hpp>
#include <venture/fabric/junction.hpp>

namespace venture::building {

using fabric::Junction;
using fabric::junction_count;

/// Length of each kind of junction that a room has, m, on the lines that it was typed on.
/// Kinds     after ISO 14683:2017, annex A (where thermal bridges are to be looked for)
/// @param building  with its surfaces and openings
[[nodiscard]] std::array<double, junction_count> junction_lengths_m(const Building& building, std::size_t room);

} // namespace venture::building
