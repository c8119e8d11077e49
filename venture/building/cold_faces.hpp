#pragma once
/// Inside faces of rooms towards outdoors, by how cold they get: whether they get damp.

#include <optional>
#include <string>
#include <vector>

#include <venture/building/building.hpp>

namespace venture::building {

/// Resistance between room and inside face, m2K/W. Source: ISO 13788, 4.4.1: behind furniture and in corners of air that
/// hardly moves; at windows and doors.
inline constexpr double sheltered_face_m2K_per_W = 0.25, window_face_m2K_per_W = 0.13;

struct ColdFace {
    std::size_t room = 0;
    std::string face{};   ///< "north wall", "north wall, window": unique in the room
    bool opening = false; ///< window or door
    /// Source  ISO 13788, 3.1.2: (face - outdoors)/(room - outdoors), steady; 1: as warm as the room
    double temperature_factor = 1.0;
    /// Of the face, by that.
    [[nodiscard]] double temperature_C(double room_C, double outdoor_C) const
    {
        return outdoor_C + temperature_factor * (room_C - outdoor_C);
    }
};

/// All that faces outdoors or an unheated space. What lies on the ground is not among them, nor corners and thermal bridges,
/// which are colder than the middle of a face.
[[nodiscard]] std::vector<ColdFace> cold_faces(const Building& building);

/// The coldest of each room that has one: surfaces and openings apart, at most one of each.
struct ColdestFaces {
    std::optional<ColdFace> surface{}, opening{};
};
[[nodiscard]] std::vector<ColdestFaces> coldest_faces(const Building& building);

} // namespace venture::building
