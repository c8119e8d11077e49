#pragma once
/// A window from its U-value and total solar transmittance, with an angular model.

#include <string>

namespace venture::fabric {

/// Glass and frame as bought: U of the whole window, g of the glass at normal incidence.
struct Glazing {
    std::string name{};
    double u_value_W_per_m2K = 0.0;    ///< whole window, with standard films
    double g_value = 0.0;              ///< total solar energy transmittance of the glass, normal incidence, 0..1
    double direct_transmittance = 0.0; ///< of the glass, normal incidence; at most g; the rest of g flows in as heat
    double frame_share = 0.0;          ///< share of the window's area that lets no sun through, 0..1
};

/// How much of its normal transmittance two clear panes keep at an angle: 1 at 0 degrees, 0 at 90.
/// Fresnel reflection at four faces (refractive index 1.526), absorption along the path in each pane
/// (extinction 30/m, 4 mm), net radiation between the panes. Used as the shape for every glazing.
/// Source    Duffie and Beckman, Solar Engineering of Thermal Processes, chapter 5 (Fresnel, Stokes).
/// @param cos_incidence  -1..1; 0 or less gives 0
[[nodiscard]] double angular_factor(double cos_incidence);

/// The same, averaged over a uniform half-space: what diffuse light keeps.
[[nodiscard]] double diffuse_angular_factor();

/// Resistance between the faces of the window, with the standard films (0.13 and 0.04 m2K/W) stripped.
/// @throws quantity::RangeError if the U-value leaves no resistance
[[nodiscard]] double face_to_face_resistance(const Glazing& glazing);

} // namespace venture::fabric
