#pragma once
/// Bodies given by the plane faces that enclose them: closed, turned outwards and measured.

#include <string>
#include <variant>
#include <vector>

#include <venture/plan/space.hpp>

namespace venture::plan {

struct Solid {
    std::vector<Corners> faces{};  ///< in the order given, anticlockwise as seen from outside
    std::vector<double> moved_m{}; ///< how far corners of each were off their common points or their plane
    double volume_m3 = 0.0;
};

/// What is wrong with one of the faces: goes behind "the floor of 'Attic' ".
struct FaceProblem {
    std::size_t face = 0;
    std::string message{}, hint{};
};

/// Faces that share every edge with exactly one other face, corners and edges within a tolerance of each other taken as
/// one; a corner may stand on another face's edge. @param faces  walked round either way
/// @param off_plane_m  that a corner may lie off its face's plane
[[nodiscard]] std::variant<Solid, std::vector<FaceProblem>> enclose(const std::vector<Corners>& faces,
                                                                    double tolerance_m, double off_plane_m);

/// Names of faces by where they look: "south wall", "floor", "roof", "south slope"; a second one is "south wall 2".
[[nodiscard]] std::vector<std::string> names_by_direction(const std::vector<Corners>& faces);

/// Plan of a room: what its faces cover, seen from above. @param floor_m2  under its feet
[[nodiscard]] Polygon plan_of(const std::vector<Corners>& faces, double& floor_m2);

} // namespace venture::plan
