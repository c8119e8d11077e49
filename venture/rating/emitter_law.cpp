#include <venture/rating/emitter_law.hpp>

#include <cmath>

#include <venture/air/root.hpp>
#include <venture/quantity/error.hpp>
#include <venture/rating/coil_conductance.hpp>
#include <venture/rating/exchanger.hpp>

namespace venture::rating {

namespace {

double excess_K(Mean mean, double supply_C, double return_C, double room_C)
{
    return mean == Mean::arithmetic ? 0.5 * (supply_C + return_C) - room_C
                                    : logarithmic_excess_K(supply_C, return_C, room_C);
}

/// Of a return above the room: what the law is looked at at all; twice what is allowed, so that no rounding comes below it.
constexpr double least_K = 1e-6, lowest_K = 2.0 * least_K;

} // namespace

double logarithmic_excess_K(double supply_C, double return_C, double room_C)
{
    const double in_K = supply_C - room_C, out_K = return_C - room_C;
    quantity::check_range("logarithmic_excess_K", "return above room", out_K, {least_K, 1e4}, "K");
    quantity::check_range("logarithmic_excess_K", "supply above return", in_K - out_K, {0.0, 1e4}, "K");
    return logarithmic_mean_K(in_K, out_K);
}

double standard_excess_K(Mean mean) { return excess_K(mean, 75.0, 65.0, 20.0); }

double emitter_output_W(double nominal_W, double exponent, double supply_C, double return_C, double room_C, Mean mean)
{
    return nominal_W * std::pow(excess_K(mean, supply_C, return_C, room_C) / standard_excess_K(mean), exponent);
}

EmitterState emitter_at_flow(double nominal_W, double exponent, double supply_C, double room_C, double water_kg_per_s,
                             Mean mean)
{
    const double water_W_per_K = water_kg_per_s * specific_heat_of_water_J_per_kgK;
    // The warmer the return, the more is given off and the less the water has lost.
    const auto more_given = [&](double return_C) {
        return emitter_output_W(nominal_W, exponent, supply_C, return_C, room_C, mean) -
               water_W_per_K * (supply_C - return_C);
    };
    const double lowest = room_C + lowest_K;
    const double return_C = more_given(lowest) >= 0.0 ? lowest : air::root_of_increasing(more_given, lowest, supply_C);
    return {water_W_per_K * (supply_C - return_C), return_C, water_kg_per_s};
}

std::optional<EmitterState> emitter_giving(double nominal_W, double exponent, double supply_C, double room_C,
                                           double required_W, Mean mean)
{
    const double needed_K = standard_excess_K(mean) * std::pow(required_W / nominal_W, 1.0 / exponent);
    if (!(needed_K < supply_C - room_C)) return std::nullopt;
    double return_C = 2.0 * (needed_K + room_C) - supply_C;
    if (mean == Mean::logarithmic)
        return_C =
            air::root_of_increasing([&](double r) { return logarithmic_excess_K(supply_C, r, room_C) - needed_K; },
                                    room_C + lowest_K, supply_C);
    if (!(return_C > room_C)) return std::nullopt;
    return EmitterState{required_W, return_C, required_W / (specific_heat_of_water_J_per_kgK * (supply_C - return_C))};
}

} // namespace venture::rating
