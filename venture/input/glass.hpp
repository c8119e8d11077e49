#pragma once
/// Windows and what shades them.

#include <array>
#include <cstdint>
#include <string_view>

#include <venture/fabric/shade.hpp>
#include <venture/input/given.hpp>

namespace venture::input {

/// How the slats of a blind stand.
enum class Slats : std::uint8_t { closed, at_45_degrees };

} // namespace venture::input

namespace venture {

template <>
struct quantity::WordsOf<fabric::ShadePlace> {
    static constexpr std::array<std::string_view, 3> words = {"outside", "between panes", "inside"};
};

template <>
struct quantity::WordsOf<fabric::ShadeUse> {
    static constexpr std::array<std::string_view, 6> words = {"never",   "always",         "above",
                                                              "profile", "while occupied", "at night"};
};

template <>
struct quantity::WordsOf<fabric::ShutterTightness> {
    static constexpr std::array<std::string_view, 5> words = {"very open", "open", "average", "tight", "airtight"};
};

template <>
struct quantity::WordsOf<input::Slats> {
    static constexpr std::array<std::string_view, 2> words = {"closed", "at 45 degrees"};
};

} // namespace venture

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
    Given<std::string> name, profile, source, note;
    Given<double> transmittance, reflectance, openness, above, resistance;
    Choice<fabric::ShadePlace> place;
    Choice<Slats> slats;
    Choice<fabric::ShadeUse> use;
    Choice<fabric::ShutterTightness> edges;
    [[nodiscard]] static const quantity::RecordSpec& spec();
};

} // namespace venture::input
