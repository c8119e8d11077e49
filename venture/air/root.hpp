#pragma once
/// Roots of monotone functions. Internal to air.

#include <cstdint>

#include <boost/math/tools/toms748_solve.hpp>

namespace venture::air {

/// Root of an increasing function within 1e-10; f(low) <= 0 <= f(high), else the end that is nearer to one.
/// Source: G. E. Alefeld, F. A. Potra, Y. Shi, Algorithm 748, ACM Transactions on Mathematical Software 21 (1995)
template <class F>
double root_of_increasing(F f, double low, double high)
{
    const double f_low = f(low), f_high = f(high);
    if (!(f_low < 0.0)) return low;
    if (!(f_high > 0.0)) return high;
    constexpr double near_enough = 1e-10;
    std::uintmax_t steps = 100;
    const auto [below, above] = boost::math::tools::toms748_solve(
        f, low, high, f_low, f_high, [](double a, double b) { return b - a <= near_enough; }, steps);
    return 0.5 * (below + above);
}

} // namespace venture::air
