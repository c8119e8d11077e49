#include <venture/rating/printed_capacity.hpp>

#include <fmt/format.h>

#include <algorithm>

#include <venture/air/moist_air.hpp>

namespace venture::rating {

GrossAndNet corrected(const PrintedCapacity& printed, const Corrections& by, double entering_C)
{
    GrossAndNet out;
    out.gross.total_W = (printed.total_W + printed.fan_W) * by.total;
    const double sensible_W = (printed.sensible_W + printed.fan_W) * by.sensible +
                              dry_bulb_correction_W(by.per_flow_J_per_m3K, by.air_flow_m3_per_s, entering_C,
                                                    printed.dry_bulb_C, by.density_ratio);
    out.capped = sensible_W > out.gross.total_W;
    out.gross.sensible_W = std::clamp(sensible_W, 0.0, out.gross.total_W);
    out.gross.dry = out.capped;
    out.net = out.gross;
    out.net.total_W -= by.fan_W;
    out.net.sensible_W -= by.fan_W;
    return out;
}

double density_ratio_at(double height_m)
{
    return air::standard_pressure(height_m).pascal() / air::standard_pressure(0.0).pascal();
}

void check_coil_units(double most_W, double air_flow_m3_per_s)
{
    constexpr double least_J_per_m3 = 500.0, most_J_per_m3 = 80e3;
    const double per_air = most_W / air_flow_m3_per_s;
    if (per_air < least_J_per_m3 || per_air > most_J_per_m3)
        throw quantity::Error{
            fmt::format("{:g} W from {:g} L/s of air are {:.3g} kJ for each cubic metre, where coils take 5 "
                        "to 30: which units are its numbers in?",
                        most_W, 1000.0 * air_flow_m3_per_s, per_air / 1000.0)};
}

} // namespace venture::rating
