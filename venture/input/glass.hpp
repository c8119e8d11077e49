#pragma once
/// Windows and what shades them.

#include <venture/input/given.hpp>

namespace venture::input {

/// A pane of glass as its maker states it.
struct PaneInput {
    Given<std::string> name, source, note;
    Given<double> thickness, solar_transmittance, solar_reflectance_outside, solar_reflectance_inside;
    Given<double> light_transmittance, light_reflectance_outside, light_reflectance_inside;
    Given<double> emissivity_outside, emissivity_inside;
    [[nodiscard]] static const quantity::RecordSpec& spec();
};

/// A glazing by its values, or by its panes.
struct GlazingInput {
    Given<std::string> name, source, note;
    Given<TextList> panes; ///< outside to inside: panes by name, between them "16 mm argon"
    Given<double> u_value, g_value, direct_transmittance, light_transmittance, frame_share;
    Given<double> frame_u_value, spacer;
    [[nodiscard]] static const quantity::RecordSpec& spec();
};

/// A blind, screen or shutter, and when it is used.
struct ShadeInput {
    Given<std::string> name, place, slats, use, profile, edges, source, note;
    Given<double> transmittance, reflectance, openness, above, resistance;
    [[nodiscard]] static const quantity::RecordSpec& spec();
};

} // namespace venture::input
