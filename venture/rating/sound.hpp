#pragma once
/// Sound of several units in one room. Decibels of one weighting only: a rating by curve given as one number cannot be
/// summed, nor mixed with dB(A).

#include <array>
#include <span>

namespace venture::rating {

/// Energetic sum of levels, dB; minus infinity of none.
[[nodiscard]] double sum_of_levels_dB(std::span<const double> levels_dB);
/// The same of equal units. @param count  1 or more
[[nodiscard]] double level_of_several_dB(double one_dB, double count);
/// Greatest number of equal units that stay within a limit; 0 if one alone is too loud.
[[nodiscard]] int most_units_within(double limit_dB, double one_dB);

/// From sound power to pressure at a place in a room: direct and reverberant field.
/// @param directivity  Q: 2 on a wall or ceiling, 4 in an edge   @param room_constant_m2  S a / (1 - a)
[[nodiscard]] double pressure_level_dB(double power_level_dB, double directivity, double distance_m,
                                       double room_constant_m2);

/// What a room takes off a power level in its reverberant field: 10 lg (A / 4), with Sabine's A = 0.161 V / T.
/// @param reverberation_s  half a second is our assumption for furnished rooms
[[nodiscard]] double room_effect_dB(double volume_m3, double reverberation_s = 0.5);

/// Octaves from 63 Hz to 8 kHz.
using Octaves = std::array<double, 8>;
/// Weighted sum over octaves.
[[nodiscard]] double weighted_level_dB(const Octaves& levels_dB, const Octaves& weights_dB);
/// A-weights of the octaves, dB. Source: IEC 61672-1
inline constexpr Octaves a_weights_dB = {-26.2, -16.1, -8.6, -3.2, 0.0, 1.2, 1.0, -1.1};

/// A rating by curves that are straight in each octave: the largest of (L - a) / b, and where it is.
struct CurveRating {
    double number = 0.0;
    std::size_t octave = 0; ///< that governs
};
[[nodiscard]] CurveRating curve_rating(const Octaves& levels_dB, const Octaves& a, const Octaves& b);

} // namespace venture::rating
