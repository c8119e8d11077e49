#pragma once
/// A build-up as an engineer states it - with studs, air gaps and corrections - and the plain layers that stand for it.

#include <optional>
#include <string>
#include <vector>

#include <venture/fabric/air_layer.hpp>
#include <venture/fabric/bridged.hpp>
#include <venture/fabric/two_port.hpp>

namespace venture::fabric {

/// How the air of a gap moves.
enum class Ventilation { none, slight, well };

/// A gap whose resistance follows from its thickness and faces.
struct StatedGap {
    double thickness_m = 0.0;
    double emissivity_1 = 0.9, emissivity_2 = 0.9;
    Ventilation ventilation = Ventilation::none;
};

/// One layer: a slab, a resistance or a gap, all over or beside a bridging material.
struct StatedLayer {
    Layer main{}; ///< of a gap only its name is read
    std::optional<StatedGap> gap{};
    std::optional<Material> bridge{}; ///< as thick as the layer
    double bridge_share = 0.0;        ///< of the area: 0.12 for studs of 45 mm every 375 mm
    /// Where it falls: its least thickness, 0 or more, `main.thickness_m` being the greatest.
    std::optional<double> tapers_to_m{};
};

/// Fasteners all the way through the layer of most resistance.
struct ThroughFasteners {
    double per_m2 = 0.0; ///< none: 0
    double diameter_m = 0.005;
    double conductivity_W_per_mK = 50.0; ///< carbon steel 50, stainless 17
};

/// Outside to inside.
struct StatedBuildup {
    std::string name{};
    std::vector<StatedLayer> layers{};
    HeatFlow direction = HeatFlow::horizontal; ///< as gaps and films feel it
    AirGaps air_gaps = AirGaps::none;          ///< within the insulation
    ThroughFasteners fasteners{};
    Taper falls = Taper::rectangle;    ///< of the layer that tapers, if one does
    double correction_W_per_m2K = 0.0; ///< added to U for what no layer shows
};

/// The same wall as plain layers, and how they were found.
struct PlainBuildup {
    Buildup layers{};                            ///< for steady and transient heat flow
    std::optional<CombinedResistance> bounds{};  ///< with films; of a wall with bridged layers
    double u_before_corrections_W_per_m2K = 0.0; ///< with films
    double air_gap_W_per_m2K = 0.0, fasteners_W_per_m2K = 0.0, correction_W_per_m2K = 0.0; ///< added to it
    double u_value_W_per_m2K = 0.0;                                                        ///< with films
    std::vector<std::string> remarks{};                                                    ///< what was done, in words
    [[nodiscard]] double corrections_W_per_m2K() const
    {
        return air_gap_W_per_m2K + fasteners_W_per_m2K + correction_W_per_m2K;
    }
};

/// Gaps become resistances; a gap open to the outside and all beyond it drop out of a well ventilated wall, whose
/// outside film becomes that of still air; bridged layers become even ones with the mean density and capacity of their
/// sections and resistances that make the whole what the combined method says; a layer that tapers becomes an even one
/// of its mean thickness with the resistance that makes the whole what the standard says; corrections are taken off the
/// layer of most resistance.
/// Source    ISO 6946:2017, 6.7.2 (bridged), 6.9.3 and 6.9.4 (ventilated), annex D (gaps), annex E (tapered), annex F
///           (corrections)
/// @param films  those of the standard for its direction of heat flow
/// @throws   quantity::RangeError for a layer that is none, two that taper, one that tapers and is bridged, fasteners
///           where the most resistance has no thickness, or corrections that leave no resistance
[[nodiscard]] PlainBuildup plain_buildup(const StatedBuildup& stated, const Films& films);

} // namespace venture::fabric
