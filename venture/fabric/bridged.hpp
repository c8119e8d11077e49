#pragma once
/// U-values of build-ups that are not the same everywhere: bridged and tapered layers, fasteners, gaps, junctions.

#include <vector>

#include <venture/fabric/buildup.hpp>

namespace venture::fabric {

/// A part of a layer, side by side with the others.
struct Section {
    double share = 1.0;                ///< of the area, above 0; those of a layer add up to 1
    double resistance_m2K_per_W = 0.0; ///< of the layer there, above 0
};

/// A layer of one or more sections; several bridged layers cross each other at right angles.
using BridgedLayer = std::vector<Section>;

/// Bounds of a resistance, and their mean.
struct CombinedResistance {
    double upper_m2K_per_W = 0.0; ///< heat flows straight: paths in parallel
    double lower_m2K_per_W = 0.0; ///< heat spreads freely: layers in series
    [[nodiscard]] double mean_m2K_per_W() const { return 0.5 * (upper_m2K_per_W + lower_m2K_per_W); }
    /// By how much the mean may be wrong, as a share of it.
    [[nodiscard]] double uncertainty() const { return 0.5 * (upper_m2K_per_W - lower_m2K_per_W) / mean_m2K_per_W(); }
};

/// Air to air, films included.
/// Source    ISO 6946:2017, 6.7.2 (combined method)
/// Valid     upper at most 1.5 times lower; beyond it a numerical solution is needed
/// @throws   quantity::RangeError for shares that are none or do not add up to 1, resistances that are none, bounds too
///           far apart, or more than a million paths
[[nodiscard]] CombinedResistance combined_resistance(const std::vector<BridgedLayer>& layers,
                                                     double inside_film_m2K_per_W, double outside_film_m2K_per_W);

/// How an insulation falls to its lowest edge.
enum class Taper { rectangle, triangle_thickest_at_apex, triangle_thinnest_at_apex };

/// U-value of a roof whose insulation tapers to nothing.
/// @param rest_m2K_per_W     resistance of everything else, films included
/// @param highest_m2K_per_W  of the tapered layer at its thickest
/// Source    ISO 6946:2017, annex E
/// @throws   quantity::RangeError for a rest outside 0.01..100 m2K/W, or a highest outside 0.0001..100 m2K/W
[[nodiscard]] double tapered_u_value(Taper shape, double rest_m2K_per_W, double highest_m2K_per_W);

/// Fasteners that go through an insulation layer.
struct Fasteners {
    double conductivity_W_per_mK = 50.0;
    double per_m2 = 0.0;
    double section_m2 = 0.0;
    double length_in_insulation_m = 0.0; ///< at most the insulation's thickness, unless they go slanting
};

/// What they add to the U-value, W/m2K: 0.8 (length/thickness) conductivity n A/length (R_insulation/R_total)^2.
/// Source    ISO 6946:2017, annex F.3
[[nodiscard]] double fastener_correction(const Fasteners& fasteners, double insulation_thickness_m,
                                         double insulation_m2K_per_W, double total_m2K_per_W);

/// How well insulation was put in.
enum class AirGaps { none, bridging, bridging_with_circulation };

/// What gaps would add to the U-value of the insulation alone: 0, 0.01 or 0.04 W/m2K.
/// Source    ISO 6946:2017, annex F.2, table F.1
[[nodiscard]] double full_gap_correction(AirGaps gaps);

/// What gaps add to the U-value, W/m2K: the full correction times (R_insulation/R_total)^2.
/// Source    ISO 6946:2017, annex F.2
/// @throws   quantity::RangeError for a full correction outside 0..0.1 W/m2K
[[nodiscard]] double air_gap_correction(double full_W_per_m2K, double insulation_m2K_per_W, double total_m2K_per_W);

} // namespace venture::fabric
