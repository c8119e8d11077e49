#pragma once
/// Where the sun that panes take up is set free, so that what reaches the room is what the window's g-value says.

#include <optional>

namespace venture::fabric {

/// Share of heat set free on each face of a window that flows into the room; the rest flows outdoors.
struct InwardOfFaces {
    double outer = 0.0, inner = 1.0;
};
/// By the resistances on either side: R_se/R and (R_se + R_window)/R. The films are those that g-values are stated for.
/// @param between_m2K_per_W  from face to face, 0 or more
/// @throws quantity::RangeError for resistances that are none
[[nodiscard]] InwardOfFaces inward_of_faces(double between_m2K_per_W, double outside_m2K_per_W = 0.04,
                                            double inside_m2K_per_W = 0.13);

/// Heat set free on the two faces of a window, as shares of the sun on its glass.
struct FaceHeat {
    double outer = 0.0, inner = 0.0;
};
/// The two heats of which `flows_in` reaches the room, and which together are what the panes take up. Where that is not
/// known, or no two such heats are 0 or more, one face gets as much as it takes.
///     inner * inward.inner + outer * inward.outer = flows_in
/// @param flows_in  part of g beyond what passes as light, 0 or more
/// @param taken_up  by all panes together
[[nodiscard]] FaceHeat heat_on_faces(double flows_in, std::optional<double> taken_up, const InwardOfFaces& inward);

} // namespace venture::fabric
