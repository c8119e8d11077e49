#include <venture/air/moist_air.hpp>

#include <algorithm>
#include <cmath>
#include <limits>

#include <venture/air/point.hpp>
#include <venture/air/root.hpp>
#include <venture/quantity/error.hpp>

namespace venture::air {

using quantity::check_range;
using quantity::Range;

namespace {

constexpr double vapour_ratio = 0.621945; // molar mass of water over that of dry air
constexpr Range saturation_range_C{-100.0, 200.0};

/// Humidity ratio from dry bulb and wet bulb: the enthalpy balance of adiabatic saturation.
double ratio_from_wet_bulb(double t_C, double wb_C, double w_saturated)
{
    if (wb_C >= 0.0)
        return ((2501.0 - 2.326 * wb_C) * w_saturated - 1.006 * (t_C - wb_C)) / (2501.0 + 1.86 * t_C - 4.186 * wb_C);
    return ((2830.0 - 0.24 * wb_C) * w_saturated - 1.006 * (t_C - wb_C)) / (2830.0 + 1.86 * t_C - 2.1 * wb_C);
}

} // namespace

Pressure saturation_pressure(Temperature t)
{
    check_range("saturation_pressure", "temperature", t.celsius(), saturation_range_C, "degC");
    const double T = t.kelvin(), log_T = std::log(T);
    const double over_ice = -5.6745359e3 / T + 6.3925247 +
                            T * (-9.677843e-3 + T * (6.2215701e-7 + T * (2.0747825e-9 - T * 9.484024e-13))) +
                            4.1635019 * log_T;
    const double over_water =
        -5.8002206e3 / T + 1.3914993 + T * (-4.8640239e-2 + T * (4.1764768e-5 - T * 1.4452093e-8)) + 6.5459673 * log_T;
    return Pressure::pascal(std::exp(t.celsius() < 0.0 ? over_ice : over_water));
}

Pressure standard_pressure(double height_m)
{
    check_range("standard_pressure", "height", height_m, {-5000.0, 11000.0}, "m");
    return Pressure::pascal(101325.0 * std::pow(1.0 - 2.25577e-5 * height_m, 5.2559));
}

double saturation_humidity_ratio(Temperature t, Pressure p)
{
    const double p_ws = saturation_pressure(t).pascal();
    check_range("saturation_humidity_ratio", "saturation pressure", p_ws, {0.0, 0.99 * p.pascal()}, "Pa");
    return vapour_ratio * p_ws / (p.pascal() - p_ws);
}

MoistAir MoistAir::from_relative_humidity(Temperature t, double phi, Pressure p)
{
    check_range("MoistAir::from_relative_humidity", "relative humidity", phi, {0.0, 1.0}, "");
    const double p_w = phi * saturation_pressure(t).pascal();
    check_range("MoistAir::from_relative_humidity", "vapour pressure", p_w, {0.0, 0.99 * p.pascal()}, "Pa");
    return MoistAir{t, vapour_ratio * p_w / (p.pascal() - p_w), p};
}

MoistAir MoistAir::from_humidity_ratio(Temperature t, double w, Pressure p)
{
    constexpr double rounding = 1.0 + 1e-9; // a state just computed as saturated is saturated
    check_range("MoistAir::from_humidity_ratio", "humidity ratio", w, {0.0, rounding * saturation_humidity_ratio(t, p)},
                "kg/kg");
    return MoistAir{t, w, p};
}

double humidity_ratio_by_wet_bulb(Temperature t, Temperature wet_bulb, Pressure p)
{
    return ratio_from_wet_bulb(t.celsius(), wet_bulb.celsius(), saturation_humidity_ratio(wet_bulb, p));
}

MoistAir MoistAir::from_wet_bulb(Temperature t, Temperature wet_bulb, Pressure p)
{
    check_range("MoistAir::from_wet_bulb", "wet bulb", wet_bulb.celsius(), {-100.0, t.celsius()}, "degC");
    const double w = humidity_ratio_by_wet_bulb(t, wet_bulb, p);
    check_range("MoistAir::from_wet_bulb", "humidity ratio that follows", w, {0.0, 1.0}, "kg/kg");
    return MoistAir{t, w, p};
}

double humidity_ratio_at(double phi, Temperature t, Pressure p)
{
    check_range("humidity_ratio_at", "relative humidity", phi, {0.0, 1.0}, "1");
    const double p_w = phi * saturation_pressure(t).pascal(), p_a = p.pascal() - p_w;
    return p_a > 0.0 ? vapour_ratio * p_w / p_a : std::numeric_limits<double>::infinity();
}

Pressure vapour_pressure(double w, Pressure p) { return Pressure::pascal(p.pascal() * w / (vapour_ratio + w)); }

Pressure vapour_pressure(const MoistAir& air) { return vapour_pressure(air.humidity_ratio(), air.pressure()); }

double relative_humidity(const MoistAir& air)
{
    return vapour_pressure(air).pascal() / saturation_pressure(air.dry_bulb()).pascal();
}

double enthalpy_J_per_kg(const MoistAir& air) { return enthalpy_J_per_kg(point_of(air)); }

double relative_humidity(Temperature t, double w, Pressure p)
{
    check_range("relative_humidity", "humidity ratio", w, {0.0, 10.0}, "kg/kg");
    return w / (vapour_ratio + w) * p.pascal() / saturation_pressure(t).pascal();
}

double specific_volume_m3_per_kg(const MoistAir& air)
{
    return 287.042 * air.dry_bulb().kelvin() * (1.0 + air.humidity_ratio() / vapour_ratio) / air.pressure().pascal();
}

double density_kg_per_m3(const MoistAir& air) { return (1.0 + air.humidity_ratio()) / specific_volume_m3_per_kg(air); }

namespace {

/// @param highest  as warm as it can be, and at most a little above
Temperature dew_point(Pressure vapour, Pressure most, Temperature highest)
{
    const double p_w = vapour.pascal();
    const auto excess = [&](double t_C) {
        return std::log(saturation_pressure(Temperature::celsius(t_C)).pascal() / p_w);
    };
    constexpr double lowest_C = saturation_range_C.lowest;
    check_range("dew_point", "vapour pressure", p_w,
                {saturation_pressure(Temperature::celsius(lowest_C)).pascal(), most.pascal()}, "Pa");
    const double highest_C = std::min(highest.celsius() + 1e-6, saturation_range_C.highest);
    if (excess(highest_C) <= 0.0) return highest;
    return Temperature::celsius(root_of_increasing(excess, lowest_C, highest_C));
}

} // namespace

Temperature dew_point(const MoistAir& air) { return dew_point(vapour_pressure(air), air.pressure(), air.dry_bulb()); }

Temperature dew_point(Pressure vapour)
{
    const auto highest = Temperature::celsius(saturation_range_C.highest);
    return dew_point(vapour, saturation_pressure(highest), highest);
}

Temperature wet_bulb(const MoistAir& air)
{
    const double t_C = air.dry_bulb().celsius();
    const auto excess = [&](double wb_C) {
        const double w_saturated = saturation_humidity_ratio(Temperature::celsius(wb_C), air.pressure());
        return ratio_from_wet_bulb(t_C, wb_C, w_saturated) - air.humidity_ratio();
    };
    if (excess(t_C) <= 0.0) return air.dry_bulb();
    return Temperature::celsius(root_of_increasing(excess, -99.0, t_C));
}

} // namespace venture::air
