#pragma once
/// Random numbers that are the same with every standard library, and series of them with a memory. Internal to climate.

#include <cmath>
#include <cstdint>
#include <numbers>
#include <random>
#include <vector>

namespace venture::climate::detail {

/// Normally distributed numbers of mean 0 and deviation 1 (Box and Muller 1958).
class Normal {
public:
    explicit Normal(std::uint64_t seed) : bits_{seed} {}

    double operator()()
    {
        const double radius = std::sqrt(-2.0 * std::log(uniform()));
        return radius * std::cos(2.0 * std::numbers::pi * uniform());
    }

private:
    /// Above 0, at most 1.
    double uniform()
    {
        constexpr double step = 1.0 / 9007199254740992.0; // 2^-53
        return (static_cast<double>(bits_() >> 11U) + 1.0) * step;
    }

    std::mt19937_64 bits_; // fully specified by the standard, unlike its distributions
};

/// A series in which each number keeps a share of the one before; mean 0 and deviation 1. It runs in before it begins.
inline std::vector<double> persistent(Normal& normal, std::size_t size, double kept)
{
    constexpr int run_in = 100;
    const double fresh = std::sqrt(1.0 - kept * kept);
    double value = normal();
    for (int i = 0; i < run_in; ++i) value = kept * value + fresh * normal();
    std::vector<double> out(size);
    for (double& x : out) x = value = kept * value + fresh * normal();
    return out;
}

/// Share of normally distributed numbers below x.
inline double normal_share(double x) { return 0.5 * std::erfc(-x / std::numbers::sqrt2); }

} // namespace venture::climate::detail
