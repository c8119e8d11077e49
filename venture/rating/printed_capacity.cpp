#include <venture/rating/printed_capacity.hpp>

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

} // namespace venture::rating
