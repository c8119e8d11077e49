#pragma once
/// Long wave between the faces of a room, face by face: view factors, and what grey faces exchange.

#include <array>
#include <vector>

namespace venture::fabric {

/// From one rectangle to an equal one, parallel and opposite.
/// Source    Howell, Menguc, Daun and Siegel, Thermal Radiation Heat Transfer, configuration C-11
/// @param a_m, b_m  sides   @param apart_m  distance; all above 0
/// @throws   quantity::RangeError otherwise
[[nodiscard]] double view_factor_opposite(double a_m, double b_m, double apart_m);

/// From a rectangle to another that stands on a common edge at right angles.
/// Source    the same, configuration C-14
/// @param own_m, other_m  depths away from the edge   @param edge_m  its length; all above 0
/// @throws   quantity::RangeError otherwise
[[nodiscard]] double view_factor_at_right_angles(double own_m, double other_m, double edge_m);

/// Between the faces of the inside of a box: floor, ceiling, two walls of length x (front, back), two of length y
/// (left, right). Rows sum to 1; areas times factors are symmetric.
[[nodiscard]] std::array<std::array<double, 6>, 6> box_view_factors(double x_m, double y_m, double height_m);
/// Areas of these faces, m2.
[[nodiscard]] std::array<double, 6> box_areas(double x_m, double y_m, double height_m);

/// Conductances between grey faces of an enclosure, W/K, at a mean temperature: 4 sigma T^3 times what of each face's
/// emission every other one takes up, with all reflections.
/// Source    Gebhart, International Journal of Heat and Mass Transfer 3, 1961
/// @param view        rows sum to 1, areas times factors symmetric (to 1e-6)   @param emissivity  above 0, at most 1
/// @returns  symmetric, nil on the diagonal
/// @throws   quantity::RangeError outside these ranges
[[nodiscard]] std::vector<std::vector<double>> grey_exchange_W_per_K(const std::vector<double>& area_m2,
                                                                     const std::vector<std::vector<double>>& view,
                                                                     const std::vector<double>& emissivity,
                                                                     double mean_C = 20.0);

} // namespace venture::fabric
