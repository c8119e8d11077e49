#pragma once
/// Roots of monotone functions. Internal to air.

namespace venture::air {

/// Root of an increasing function by bisection and secant steps; f(low) <= 0 <= f(high).
template <class F>
double root_of_increasing(F f, double low, double high)
{
    double f_low = f(low), f_high = f(high);
    for (int i = 0; i < 100 && high - low > 1e-10; ++i) {
        double x = low - f_low * (high - low) / (f_high - f_low);
        if (i % 3 == 2 || !(x > low && x < high)) x = 0.5 * (low + high);
        const double fx = f(x);
        (fx <= 0.0 ? low : high) = x;
        (fx <= 0.0 ? f_low : f_high) = fx;
    }
    return 0.5 * (low + high);
}

} // namespace venture::air
