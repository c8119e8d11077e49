#pragma once
/// Heat recovery whose exhaust air must not get so cold that it freezes: by recovering less, or with a preheater before
/// it. Sensible heat alone, nothing condenses; source: energy balance of the exchanger.

namespace venture::airside {

struct RecoveryAtFrost {
    double outdoor_C = 0.0, extract_C = 20.0;
    double outdoor_W_per_K = 0.0, extract_W_per_K = 0.0; ///< heat capacity flows, above 0
    double effectiveness = 0.7;                          ///< of the smaller of them, 0..1
    double coldest_exhaust_C = 0.0;
};
struct FrostProtected {
    double exhaust_unlimited_C = 0.0; ///< as if there was no limit
    bool limit_acts = false;
    double effectiveness = 0.0, supply_C = 0.0;                                 ///< recovering less
    double preheated_C = 0.0, preheater_W = 0.0, supply_when_preheated_C = 0.0; ///< or preheating
};
/// @throws quantity::RangeError  an effectiveness outside 0..1, flows not above 0, a limit above the extract air
[[nodiscard]] FrostProtected protected_from_frost(const RecoveryAtFrost& given);

/// Effectiveness that a limit leaves, with flows alike: what a step of a year asks.
[[nodiscard]] double effectiveness_at_frost(double effectiveness, double outdoor_C, double extract_C,
                                            double coldest_exhaust_C);

} // namespace venture::airside
