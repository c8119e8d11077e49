#include <venture/fabric/periodic.hpp>

#include <cmath>
#include <numbers>

#include <venture/quantity/error.hpp>

namespace venture::fabric {

namespace {

constexpr double turn = 2.0 * std::numbers::pi;

Answer answer(std::complex<double> of, double period_h)
{
    const double lag = std::fmod(-std::arg(of) / turn * period_h + period_h, period_h);
    return {std::abs(of), lag};
}

} // namespace

PeriodicProperties periodic_properties(const Buildup& buildup, const Films& films, double period_h)
{
    quantity::check_range("periodic_properties", "period", period_h, {1e-3, 1e5}, "h");
    const double omega = turn / (3600.0 * period_h);
    const TwoPort wave = two_port(buildup, {0.0, omega}, films);
    const double u = 1.0 / (films.outside_m2K_per_W + resistance(buildup) + films.inside_m2K_per_W);
    return {.u_value_W_per_m2K = u,
            .transmittance = answer(wave.t, period_h),
            .decrement_factor = std::abs(wave.t) / u,
            .admittance_inside = answer(wave.at_end_2(), period_h),
            .admittance_outside = answer(wave.at_end_1(), period_h),
            .areal_capacity_inside_J_per_m2K = std::abs(wave.b) / omega,
            .areal_capacity_outside_J_per_m2K = std::abs(wave.a) / omega};
}

namespace {

/// @param of_hour  what a wave is as it is told: at the hour, or as its mean over the hour
template <class OfHour>
std::array<double, 24> daily_factors(const Buildup& buildup, const Films& films, const OfHour& of_hour)
{
    constexpr int hours = 24, aliases = 400; // of thin boards transmittance dies out late
    const auto transmittance = [&](int n) { return two_port(buildup, {0.0, turn * n / 86400.0}, films).t; };
    std::array<std::complex<double>, hours> by_harmonic{};
    by_harmonic[0] = two_port(buildup, 0.0, films).t;
    for (int m = 1; m < hours; ++m)
        for (int k = -aliases; k <= aliases; ++k) {
            const int n = m + hours * k;
            const double w = std::sin(std::numbers::pi * n / hours) / (std::numbers::pi * n / hours);
            const auto t = n > 0 ? transmittance(n) : std::conj(transmittance(-n));
            by_harmonic[static_cast<std::size_t>(m)] += t * w * w * of_hour(w, n);
        }
    std::array<double, hours> factors{};
    for (int j = 0; j < hours; ++j)
        for (int m = 0; m < hours; ++m)
            factors[static_cast<std::size_t>(j)] +=
                (by_harmonic[static_cast<std::size_t>(m)] * std::polar(1.0 / hours, turn * m * j / hours)).real();
    return factors;
}

} // namespace

std::array<double, 24> daily_response_factors(const Buildup& buildup, const Films& films)
{
    return daily_factors(buildup, films, [](double, int) { return std::complex<double>{1.0}; });
}

std::array<double, 24> daily_mean_factors(const Buildup& buildup, const Films& films)
{
    return daily_factors(buildup, films,
                         [](double w, int n) { return w * std::polar(1.0, std::numbers::pi * n / 24.0); });
}

} // namespace venture::fabric
