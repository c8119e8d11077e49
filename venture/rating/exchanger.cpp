#include <venture/rating/exchanger.hpp>

#include <algorithm>
#include <cmath>

#include <venture/air/root.hpp>
#include <venture/quantity/error.hpp>

namespace venture::rating {

namespace {

/// Both streams unmixed. Source: W. Nusselt, Zeitschrift des VDI 55 (1911), in the form of a double sum:
/// e = 1/(C N) sum_n [1 - e^-N sum_{m<=n} N^m/m!] [1 - e^-CN sum_{m<=n} (CN)^m/m!].
double both_unmixed(double ntu, double ratio)
{
    if (ntu == 0.0) return 0.0;
    const double x = ratio * ntu;
    double sum = 0.0, term_n = std::exp(-ntu), term_x = std::exp(-x), below_n = term_n, below_x = term_x;
    for (int n = 0; n < 2000; ++n) {
        const double added = (1.0 - below_n) * (1.0 - below_x);
        sum += added;
        if (n > ntu && added < 1e-16 * sum) break;
        term_n *= ntu / (n + 1);
        term_x *= x / (n + 1);
        below_n += term_n;
        below_x += term_x;
    }
    return sum / x;
}

} // namespace

double effectiveness(Arrangement arrangement, double ntu, double ratio)
{
    quantity::check_range("effectiveness", "transfer units", ntu, {0.0, 1e9}, "");
    quantity::check_range("effectiveness", "ratio of capacity rates", ratio, {0.0, 1.0}, "");
    constexpr double nil = 1e-9;
    if (ratio < nil) return -std::expm1(-ntu);
    switch (arrangement) {
    case Arrangement::counter: {
        if (1.0 - ratio < nil) return ntu / (1.0 + ntu);
        const double left = std::exp(-ntu * (1.0 - ratio));
        return (1.0 - left) / (1.0 - ratio * left);
    }
    case Arrangement::parallel:
        return -std::expm1(-ntu * (1.0 + ratio)) / (1.0 + ratio);
    case Arrangement::cross:
        return both_unmixed(ntu, ratio);
    case Arrangement::cross_min_mixed:
        return -std::expm1(std::expm1(-ntu * ratio) / ratio);
    case Arrangement::cross_max_mixed:
        return -std::expm1(ratio * std::expm1(-ntu)) / ratio;
    }
    VENTURE_UNREACHABLE("every arrangement has its formula");
}

double counterflow_ntu(double e, double ratio)
{
    quantity::check_range("counterflow_ntu", "effectiveness", e, {0.0, 1.0 - 1e-12}, "");
    quantity::check_range("counterflow_ntu", "ratio of capacity rates", ratio, {0.0, 1.0}, "");
    if (1.0 - ratio < 1e-9) return e / (1.0 - e);
    return std::log((1.0 - e * ratio) / (1.0 - e)) / (1.0 - ratio);
}

Exchange exchange(Arrangement arrangement, double ua_W_per_K, double hot_in_C, double hot_W_per_K, double cold_in_C,
                  double cold_W_per_K)
{
    const auto [smaller, larger] = std::minmax(hot_W_per_K, cold_W_per_K);
    quantity::check_range("exchange", "capacity rate", smaller, {1e-9, 1e9}, "W/K");
    Exchange out;
    out.effectiveness = effectiveness(arrangement, ua_W_per_K / smaller, smaller / larger);
    out.heat_W = out.effectiveness * smaller * (hot_in_C - cold_in_C);
    out.hot_out_C = hot_in_C - out.heat_W / hot_W_per_K;
    out.cold_out_C = cold_in_C + out.heat_W / cold_W_per_K;
    return out;
}

WaterNeeded water_for_heating(double ua_W_per_K, double air_W_per_K, double air_in_C, double air_out_C,
                              double water_in_C)
{
    const double asked_W = air_W_per_K * (air_out_C - air_in_C);
    const auto short_of_W = [&](double water_W_per_K) {
        return exchange(Arrangement::counter, ua_W_per_K, water_in_C, water_W_per_K, air_in_C, air_W_per_K).heat_W -
               asked_W;
    };
    if (!(water_in_C > air_in_C)) return {};
    const double most = 1e6 * air_W_per_K, least = asked_W / (water_in_C - air_in_C); // all that water has
    if (short_of_W(most) < 0.0) return {};
    // Over the logarithm of the flow, which may be anything.
    const double at = air::root_of_increasing([&](double log_flow) { return short_of_W(std::exp(log_flow)); },
                                              std::log(least), std::log(most));
    const double flow = std::exp(at);
    return {flow, water_in_C - asked_W / flow, true};
}

double logarithmic_mean_K(double a, double b)
{
    quantity::check_range("logarithmic_mean_K", "smaller difference", std::min(a, b), {1e-9, 1e6}, "K");
    if (std::abs(a - b) < 1e-9 * std::max(a, b)) return 0.5 * (a + b);
    return (a - b) / std::log(a / b);
}

} // namespace venture::rating
