#pragma once
/// Where units can stand in a room: plain data, so that choosing from a table needs no building.

#include <optional>
#include <string>
#include <vector>

#include <venture/quantity/origin.hpp>

namespace venture::terminal {

/// Along a wall: under one window, or a stretch without openings.
struct Spot {
    std::string called{};    ///< "window in south wall", "north wall to Corridor"
    std::size_t surface = 0; ///< of the building
    double from_m = 0.0;     ///< along that surface, where its shape counts from
    double width_m = 0.0;
    double height_m = 0.0; ///< over the floor: of the sill, or of the room
    bool outside = false;  ///< the wall stands against outdoors
};

struct RoomPlaces {
    bool known = false;                                           ///< there is a plan of the room
    std::string type{};                                           ///< of room
    std::vector<Spot> windows{};                                  ///< the widest first
    std::vector<Spot> walls{};                                    ///< outside walls first, then the longest
    std::vector<Spot> doors{};                                    ///< to outdoors; height of the opening
    std::optional<quantity::Sourced<double>> warmest_surface_C{}; ///< by its room type
};

} // namespace venture::terminal
