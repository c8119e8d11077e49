#pragma once
/// Carbon dioxide in a room whose air is well mixed: exact answers for steady people and steady air.
/// Source: mass balance V dc/dt = G - q (c - c_outdoors); EN 16798-1, annex B, method by limit values.

namespace venture::air {

inline constexpr double carbon_dioxide_outdoors = 420e-6; ///< our assumption

/// Concentrations are shares of volume: 1000 ppm is 1e-3.
struct CarbonDioxideRoom {
    double volume_m3 = 0.0;
    double given_off_m3_per_s = 0.0; ///< by all people together
    double outdoors = carbon_dioxide_outdoors;
};

/// Outdoor air that keeps a room for good within a rise over outdoors. @throws quantity::RangeError  a rise not above 0
[[nodiscard]] double flow_for_rise_m3_per_s(double given_off_m3_per_s, double rise);
/// What it comes to. @throws quantity::RangeError  a flow not above 0
[[nodiscard]] double steady_concentration(const CarbonDioxideRoom& room, double flow_m3_per_s);
[[nodiscard]] double concentration_after(const CarbonDioxideRoom& room, double start, double flow_m3_per_s,
                                         double time_s); ///< flows of 0 as well
/// The least flow, between two bounds, that keeps the room at or below a limit at the end of some time.
/// @throws quantity::RangeError  bounds that cross or are negative, a limit not above outdoors
[[nodiscard]] double flow_to_stay_below_m3_per_s(const CarbonDioxideRoom& room, double start, double limit,
                                                 double time_s, double least_m3_per_s, double most_m3_per_s);

} // namespace venture::air
