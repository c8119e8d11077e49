#pragma once
/// The building's surfaces in space as one page that a browser shows and turns, without a network.

#include <string>

#include <venture/building/building.hpp>
#include <venture/quantity/preferred_units.hpp>

namespace venture::draw {

/// Every surface by what lies beyond it, openings, obstructions; faces say what they are when pointed at. The scripts that
/// draw it stand in the page (three.js, under the MIT licence).
[[nodiscard]] std::string building_page(const building::Building& building, const quantity::PreferredUnits& units = {});

} // namespace venture::draw
