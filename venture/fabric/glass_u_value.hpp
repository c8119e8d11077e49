#pragma once
/// U-value of multiple glazing from its panes and the gas between them.

#include <vector>

namespace venture::fabric {

enum class Gas { air, argon, krypton };

/// How steep a glazing stands; heat flows upwards through roof windows.
enum class GlassTilt { vertical, slope_45, horizontal };

/// A gap between two panes.
struct GasGap {
    double width_m = 0.016;
    Gas gas = Gas::air;
    double emissivity_1 = 0.837, emissivity_2 = 0.837; ///< corrected ones of the faces; 0.837 for bare glass
};

struct GlassBuildup {
    std::vector<double> pane_thickness_m{}; ///< one more than gaps
    std::vector<GasGap> gaps{};
    double glass_conductivity_W_per_mK = 1.0;
    GlassTilt tilt = GlassTilt::vertical;
};

struct GlassUValue {
    double u_value_W_per_m2K = 0.0;
    std::vector<double> gap_W_per_m2K{}; ///< conductance of each gap, gas and radiation
};

/// Gas by Nu = max(1, A (Gr Pr)^n), radiation by the emissivities, at 283 K in the mean and 15 K over all gaps, which
/// several gaps share by their resistances.
/// Source    EN 673:2011, 5 to 7; properties of gases at 10 degC from its table 1, pure gas
/// Valid     1 to 4 panes, gaps 3 to 100 mm, emissivities 0.01..1
/// @param outside, inside  surface coefficients, W/m2K
/// @throws   quantity::RangeError outside the valid range
[[nodiscard]] GlassUValue glass_u_value(const GlassBuildup& glass, double outside_W_per_m2K = 25.0,
                                        double inside_W_per_m2K = 1.0 / 0.13);

} // namespace venture::fabric
