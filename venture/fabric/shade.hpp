#pragma once
/// Blinds, screens and shutters, and when they are used.

#include <string>
#include <vector>

namespace venture::fabric {

enum class ShadePlace { outside, between, inside };

/// A shade by what its material does, in simple form.
struct Shade {
    std::string name{};
    ShadePlace place = ShadePlace::inside;
    double transmittance = 0.0; ///< of the closed material, 0..1
    double reflectance = 0.5;   ///< towards the sun, 0..1; with the transmittance at most 1
    double openness = 0.0;      ///< share of its area that is holes or stays uncovered, 0..1
    bool slats_at_45 = false;   ///< slats turned by 45 degrees instead of a closed material
};

/// A shade as a layer: openness and slats worked in.
/// Source    slats at 45 degrees: ISO 52022-1:2017, 0.65 T + 0.15 R and R (0.75 + 0.70 T)
/// @throws   quantity::RangeError for a shade that sends off more than arrives
struct ShadeLayer {
    double transmittance = 0.0, reflectance = 0.0;
    [[nodiscard]] double absorptance() const { return 1.0 - transmittance - reflectance; }
};
[[nodiscard]] ShadeLayer shade_layer(const Shade& shade);

/// Glass that a shade is put to.
struct ShadedGlass {
    double u_value_W_per_m2K = 0.0; ///< of the glass
    double g_value = 0.0;
    double direct_transmittance = 0.0;
    double reflectance = 0.1; ///< of the glass, solar
};

/// What is left of the sun with the shade down.
struct ShadedGain {
    double g_value = 0.0, direct_transmittance = 0.0;
};

/// Glass and shade together.
/// Source    ISO 52022-1:2017 (before it EN 13363-1): conductances of the air round the shade 5 and 10 W/m2K outside,
///           30 inside, 3 between panes
/// Valid     U of the glass 0.3..6.5 W/m2K, g 0.05..0.95; for light that strikes at up to 60 degrees
/// @throws   quantity::RangeError outside it
[[nodiscard]] ShadedGain shaded_gain(const ShadedGlass& glass, const Shade& shade);

/// When a shade is down.
enum class ShadeUse {
    never,
    always,
    above_irradiance, ///< on that window, W/m2
    by_profile,       ///< as much as a profile says
    while_occupied,
    at_night, ///< while no sun is on any plane
};

/// Share of the shade that is down, 0..1.
/// @param irradiance_W_per_m2  on the window   @param profile  of its own rule, or of the room's people; 0..1
[[nodiscard]] double share_down(ShadeUse use, double irradiance_W_per_m2, double threshold_W_per_m2, double profile,
                                bool sun_is_up);

/// Resistance that a closed shutter adds, m2K/W, by how well its edges close.
/// Source    ISO 10077-1:2017, annex G: 0.08; 0.25 R + 0.09; 0.55 R + 0.11; 0.80 R + 0.14; 0.95 R + 0.17
enum class ShutterTightness { very_open, open, average, tight, airtight };
[[nodiscard]] double shutter_resistance(double shutter_m2K_per_W, ShutterTightness tightness);

} // namespace venture::fabric
