#include <venture/rating/sound.hpp>

#include <cmath>
#include <limits>
#include <numbers>

namespace venture::rating {

namespace {

double power_of(double level_dB) { return std::pow(10.0, 0.1 * level_dB); }

} // namespace

double sum_of_levels_dB(std::span<const double> levels_dB)
{
    double sum = 0.0;
    for (const double level : levels_dB) sum += power_of(level);
    return 10.0 * std::log10(sum);
}

double level_of_several_dB(double one_dB, double count) { return one_dB + 10.0 * std::log10(count); }

int most_units_within(double limit_dB, double one_dB)
{
    constexpr double most = 1e6, last_digits = 1e-9; // a limit belongs to what is allowed
    if (one_dB > limit_dB + last_digits) return 0;
    return static_cast<int>(std::min(most, power_of(limit_dB - one_dB) * (1.0 + last_digits)));
}

double pressure_level_dB(double power_level_dB, double directivity, double distance_m, double room_constant_m2)
{
    return power_level_dB +
           10.0 * std::log10(directivity / (4.0 * std::numbers::pi * distance_m * distance_m) + 4.0 / room_constant_m2);
}

double weighted_level_dB(const Octaves& levels_dB, const Octaves& weights_dB)
{
    Octaves weighted{};
    for (std::size_t i = 0; i < weighted.size(); ++i) weighted[i] = levels_dB[i] + weights_dB[i];
    return sum_of_levels_dB(weighted);
}

CurveRating curve_rating(const Octaves& levels_dB, const Octaves& a, const Octaves& b)
{
    CurveRating out{-std::numeric_limits<double>::infinity(), 0};
    for (std::size_t i = 0; i < levels_dB.size(); ++i)
        if (const double number = (levels_dB[i] - a[i]) / b[i]; number > out.number) out = {number, i};
    return out;
}

double room_effect_dB(double volume_m3, double reverberation_s)
{
    constexpr double sabine_s_per_m = 0.161;
    return 10.0 * std::log10(sabine_s_per_m * volume_m3 / reverberation_s / 4.0);
}

} // namespace venture::rating
