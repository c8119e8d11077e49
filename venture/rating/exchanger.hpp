#pragma once
/// Heat exchangers by effectiveness and number of transfer units.

namespace venture::rating {

/// How the two streams run past each other. Mixed: across its flow a stream has one temperature.
enum class Arrangement {
    counter,
    parallel,
    cross,           ///< both unmixed: exact, by a series
    cross_min_mixed, ///< the stream of the smaller capacity rate is mixed
    cross_max_mixed,
};

/// Heat over the most that could pass, 0..1.
/// Source    the differential equations of both streams; for cross flow with both unmixed the series of W. Nusselt 1911
/// @param ntu             UA over the smaller capacity rate, 0 or more
/// @param capacity_ratio  smaller over larger capacity rate, 0..1
/// @throws quantity::RangeError otherwise
[[nodiscard]] double effectiveness(Arrangement arrangement, double ntu, double capacity_ratio);

/// The number of transfer units that a counterflow exchanger of this effectiveness has.
/// @param effectiveness  0 or more, below 1   @throws quantity::RangeError otherwise
[[nodiscard]] double counterflow_ntu(double effectiveness, double capacity_ratio);

/// What passes between two streams.
struct Exchange {
    double heat_W = 0.0; ///< from the hot to the cold stream
    double hot_out_C = 0.0, cold_out_C = 0.0;
    double effectiveness = 0.0;
};
/// @param hot_W_per_K, cold_W_per_K  capacity rates, above 0   @param ua_W_per_K  0 or more
[[nodiscard]] Exchange exchange(Arrangement arrangement, double ua_W_per_K, double hot_in_C, double hot_W_per_K,
                                double cold_in_C, double cold_W_per_K);

/// Capacity rate of water, W/K, with which a counterflow coil heats air as asked.
/// @param air_W_per_K  of the air   @returns nothing if no flow would do: the coil is too small, or the water too cold
struct WaterNeeded {
    double capacity_rate_W_per_K = 0.0, water_out_C = 0.0;
    bool reached = false;
};
[[nodiscard]] WaterNeeded water_for_heating(double ua_W_per_K, double air_W_per_K, double air_in_C, double air_out_C,
                                            double water_in_C);

/// Logarithmic mean of two temperature differences at the ends, K.
[[nodiscard]] double logarithmic_mean_K(double one_end_K, double other_end_K);

} // namespace venture::rating
