#include <venture/climate/ground_temperature.hpp>

#include <cmath>
#include <numbers>

#include <venture/quantity/error.hpp>

namespace venture::climate {

namespace {

constexpr double days_in_year = 365.0;

} // namespace

YearlyWave yearly_wave(const WeatherYear& year)
{
    const double n = static_cast<double>(year.size());
    double mean = 0.0, cosine = 0.0, sine = 0.0;
    for (std::size_t i = 0; i < year.size(); ++i) {
        const double angle = 2.0 * std::numbers::pi * static_cast<double>(i) / n;
        mean += year.dry_bulb_C[i] / n;
        cosine += 2.0 * year.dry_bulb_C[i] * std::cos(angle) / n;
        sine += 2.0 * year.dry_bulb_C[i] * std::sin(angle) / n;
    }
    const double lowest = std::atan2(-sine, -cosine); // where cosine cos(a) + sine sin(a) is least
    const double turn = lowest < 0.0 ? lowest + 2.0 * std::numbers::pi : lowest;
    return {mean, std::hypot(cosine, sine), turn / (2.0 * std::numbers::pi) * days_in_year};
}

double ground_temperature_C(const YearlyWave& wave, const Soil& soil, double day)
{
    quantity::check_range("ground_temperature", "diffusivity", soil.diffusivity_m2_per_day, {0.01, 0.3}, "m2/day");
    quantity::check_range("ground_temperature", "depth", soil.depth_m, {0.0, 50.0}, "m");
    const double d = soil.depth_m * std::sqrt(std::numbers::pi / (days_in_year * soil.diffusivity_m2_per_day));
    return wave.mean_C - wave.amplitude_K * std::exp(-d) *
                             std::cos(2.0 * std::numbers::pi * (day - wave.coldest_day) / days_in_year - d);
}

} // namespace venture::climate
