#pragma once
/// A window as loads see it: U-value, and what its glass lets in by the angle of the light.

#include <array>
#include <optional>
#include <string>

namespace venture::fabric {

/// Shares of the sun on the glass that come in, at every degree of incidence.
struct GlassByAngle {
    static constexpr std::size_t angles = 91;            ///< 0 to 90 degrees
    std::array<double, angles> direct{};                 ///< as light
    std::array<double, angles> flows_in{};               ///< taken up by the glass and given to the room as heat
    double diffuse_direct = 0.0, diffuse_flows_in = 0.0; ///< of light from a uniform half-space
    /// Taken up by all panes together; nothing where panes are not known.
    struct TakenUp {
        std::array<double, angles> at{};
        double diffuse = 0.0;
    };
    std::optional<TakenUp> taken_up{};
    /// @param cos_incidence  -1..1; 0 or less gives 0. Straight between degrees.
    [[nodiscard]] double direct_at(double cos_incidence) const;
    [[nodiscard]] double flows_in_at(double cos_incidence) const;
    [[nodiscard]] std::optional<double> taken_up_at(double cos_incidence) const;
};

/// Glass and frame as bought: U of the whole window, the rest of the glass alone.
struct Glazing {
    std::string name{};
    double u_value_W_per_m2K = 0.0;    ///< whole window, with standard films
    double g_value = 0.0;              ///< total solar energy transmittance of the glass, normal incidence, 0..1
    double direct_transmittance = 0.0; ///< of the glass, normal incidence; at most g; the rest of g flows in as heat
    double light_transmittance = 0.0;  ///< of the glass, normal incidence; 0 if nobody said
    double frame_share = 0.0;          ///< share of the window's area that lets no sun through, 0..1
    double reflectance_outside = 0.1, reflectance_inside = 0.1; ///< of the glass, solar, normal; 10 % unless panes tell
    GlassByAngle by_angle{};
};

/// How much of its normal transmittance two clear panes keep at an angle: 1 at 0 degrees, 0 at 90.
/// Two panes of 4 mm, refractive index 1.526, extinction 30/m, all reflections. The shape for a glazing of which only
/// U and g are known.
/// Source    Fresnel and Bouguer as in Duffie and Beckman, Solar Engineering of Thermal Processes, chapter 5
/// @param cos_incidence  -1..1; 0 or less gives 0
[[nodiscard]] double angular_factor(double cos_incidence);

/// The same, averaged over a uniform half-space: what diffuse light keeps.
[[nodiscard]] double diffuse_angular_factor();

/// Table of a glazing of which only normal values are known: both parts of g by the angular factor.
/// @throws quantity::RangeError for values outside 0..1, or a direct part above g
[[nodiscard]] GlassByAngle glass_by_angle(double g_value, double direct_transmittance);

/// Resistance between the faces of the window, with the standard films (0.13 and 0.04 m2K/W) stripped.
/// @throws quantity::RangeError if the U-value leaves no resistance
[[nodiscard]] double face_to_face_resistance(const Glazing& glazing);

} // namespace venture::fabric
