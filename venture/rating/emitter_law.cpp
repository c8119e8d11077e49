#include <venture/rating/emitter_law.hpp>

#include <cmath>

#include <venture/quantity/error.hpp>

namespace venture::rating {

double logarithmic_excess_K(double supply_C, double return_C, double room_C)
{
    const double in_K = supply_C - room_C, out_K = return_C - room_C;
    quantity::check_range("logarithmic_excess_K", "return above room", out_K, {1e-6, 1e4}, "K");
    quantity::check_range("logarithmic_excess_K", "supply above return", in_K - out_K, {0.0, 1e4}, "K");
    if (in_K - out_K < 1e-9 * in_K) return in_K;
    return (in_K - out_K) / std::log(in_K / out_K);
}

double standard_excess_K() { return logarithmic_excess_K(75.0, 65.0, 20.0); }

double emitter_output_W(double nominal_W, double exponent, double supply_C, double return_C, double room_C)
{
    return nominal_W * std::pow(logarithmic_excess_K(supply_C, return_C, room_C) / standard_excess_K(), exponent);
}

} // namespace venture::rating
