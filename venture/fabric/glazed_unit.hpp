#pragma once
/// Multiple glazing pane by pane: U-value, sun and light by angle, where the absorbed sun goes.

#include <string>
#include <vector>

#include <venture/fabric/glass_u_value.hpp>
#include <venture/fabric/glazing.hpp>
#include <venture/fabric/panes.hpp>

namespace venture::fabric {

/// A pane as its maker states it.
struct GlassPane {
    std::string name{};
    double thickness_m = 0.004;
    BandOptics solar{}, light{};                                  ///< normal incidence
    double emissivity_outside = 0.837, emissivity_inside = 0.837; ///< corrected ones of its faces
};

/// A gap of gas between two panes.
struct GapFill {
    double width_m = 0.016;
    Gas gas = Gas::air;
};

/// Panes and what is between them, outside to inside.
struct GlazedUnit {
    std::string name{};
    std::vector<GlassPane> panes{}; ///< 1 to 4
    std::vector<GapFill> gaps{};    ///< one fewer
    GlassTilt tilt = GlassTilt::vertical;
};

/// Surface coefficients, W/m2K: between a room and outdoors, or between two rooms.
struct GlassFilms {
    double outside_W_per_m2K = 25.0, inside_W_per_m2K = 1.0 / 0.13;
    [[nodiscard]] static GlassFilms between_rooms() { return {1.0 / 0.13, 1.0 / 0.13}; }
};

/// What becomes of the sun at one angle.
struct SunShares {
    StackOptics solar{};
    double flows_in = 0.0; ///< of what the panes take up
    [[nodiscard]] double gain() const { return solar.transmittance + flows_in; }
    [[nodiscard]] double taken_up() const { return 1.0 - solar.transmittance - solar.reflectance; }
};

struct GlazedUnitProperties {
    double u_value_W_per_m2K = 0.0; ///< of the glass, away from its edge
    std::vector<double> gap_W_per_m2K{};
    std::vector<double> inward_share{}; ///< of what each pane takes up
    SunShares normal{}, diffuse{};
    StackOptics light{};             ///< normal incidence
    double reflectance_inside = 0.0; ///< solar, of light that comes from the room at normal incidence
    GlassByAngle by_angle{};
};

/// U as glass_u_value() says; sun and light by pane_optics() of both polarisations and all reflections to and fro; the
/// heat that a pane takes up flows to either side as the resistances before and behind it say.
/// Source    EN 673:2011 (U), EN 410:2011, 5.4 (secondary heat, by resistances), Fresnel (angles)
/// @throws   quantity::RangeError for a unit that is none, or a pane that sends off more than arrives
[[nodiscard]] GlazedUnitProperties glazed_unit_properties(const GlazedUnit& unit, const GlassFilms& films = {});

/// Sun at one angle alone. @param inward_share  of glazed_unit_properties()
[[nodiscard]] SunShares sun_at(const GlazedUnit& unit, double cos_incidence, const std::vector<double>& inward_share);

/// A frame round the glass.
struct Frame {
    double share = 0.2;                ///< of the window's area, 0..0.9
    double u_value_W_per_m2K = 1.8;    ///< of the frame
    double spacer_psi_W_per_mK = 0.08; ///< where glass and frame meet; 0.08 metal, 0.04 to 0.06 "warm" spacers
};

/// U-value of a window with a frame of even width all round.
///     Uw = (Ag Ug + Af Uf + psi l)/(Ag + Af)
/// Source    ISO 10077-1:2017, 6.2; the size is that of EN 14351-1, 1.23 m by 1.48 m, unless said otherwise
/// @throws   quantity::RangeError for shares, sizes or U-values that are none
[[nodiscard]] double window_u_value(double glass_W_per_m2K, const Frame& frame, double width_m = 1.23,
                                    double height_m = 1.48);

} // namespace venture::fabric
