#pragma once
/// Where openings stand in their walls: at typed places, or spread over what is free, none over another. Internal to resolve.

#include <map>
#include <string>
#include <vector>

#include <venture/resolve/work.hpp>

namespace venture::resolve {

/// An opening, and what it is called where it does not fit.
struct ToPlace {
    const OpeningInput* given;
    quantity::OriginId where;
    std::string label;
    Opening opening;
    [[nodiscard]] std::size_t count() const;
    [[nodiscard]] double row_m() const; ///< all of them side by side
    [[nodiscard]] bool has_place() const { return given->from_left || given->from_right; }
};

/// By the number of the surface that they stand in.
using OpeningsBySurface = std::map<std::size_t, std::vector<ToPlace>>;

/// Puts openings into their surfaces; tells which do not fit.
void place_openings(Work& work, OpeningsBySurface& openings);

} // namespace venture::resolve
