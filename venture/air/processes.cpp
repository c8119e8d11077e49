#include <venture/air/processes.hpp>

#include <algorithm>
#include <cmath>

#include <venture/air/point.hpp>
#include <venture/air/root.hpp>
#include <venture/quantity/error.hpp>

namespace venture::air {

using quantity::check_range;
using quantity::Error;

namespace {

constexpr double largest_flow = 1e6; ///< of what anyone blows, m3/s or kg/s

double enthalpy_at(double t_C, double w) { return enthalpy_J_per_kg(Point{t_C, w}); }

double dry_bulb_at(double h_J_per_kg, double w) { return with_enthalpy(h_J_per_kg, w).dry_bulb_C; }

/// Enthalpy of fog: liquid water from 0 degC, ice below. Source: ASHRAE Handbook - Fundamentals, psychrometrics
/// chapter.
double fog_enthalpy_J_per_kg(double t_C) { return t_C >= 0.0 ? 4186.0 * t_C : -333.4e3 + 2100.0 * t_C; }

} // namespace

double dry_air_kg_per_s(const MoistAir& air, double volume_m3_per_s)
{
    check_range("dry_air_kg_per_s", "volume flow", volume_m3_per_s, {0.0, largest_flow}, "m3/s");
    return volume_m3_per_s / specific_volume_m3_per_kg(air);
}

MixedAir mixed(const Stream& first, const Stream& second)
{
    if (first.air.pressure() != second.air.pressure()) throw Error{"mixed: the two streams have different pressures"};
    for (const Stream& s : {first, second})
        check_range("mixed", "dry-air flow", s.dry_air_kg_per_s, {0.0, largest_flow}, "kg/s");
    const double flow = first.dry_air_kg_per_s + second.dry_air_kg_per_s;
    check_range("mixed", "dry-air flow of both", flow, {1e-12, 2.0 * largest_flow}, "kg/s");
    const double share = second.dry_air_kg_per_s / flow;
    const auto between = [share](double a, double b) { return a + share * (b - a); };
    const double w = between(first.air.humidity_ratio(), second.air.humidity_ratio());
    const double h = between(enthalpy_J_per_kg(first.air), enthalpy_J_per_kg(second.air));
    const Pressure p = first.air.pressure();
    const double t_C = dry_bulb_at(h, w);
    if (w <= saturation_humidity_ratio(Temperature::celsius(t_C), p))
        return {MoistAir::from_humidity_ratio(Temperature::celsius(t_C), w, p), flow, 0.0, t_C};
    const auto excess = [&](double fog_C) { // enthalpy of saturated air with the rest as fog, less what there is
        const double w_s = saturation_humidity_ratio(Temperature::celsius(fog_C), p);
        return enthalpy_at(fog_C, w_s) + (w - w_s) * fog_enthalpy_J_per_kg(fog_C) - h;
    };
    const double hotter_C = std::max(first.air.dry_bulb().celsius(), second.air.dry_bulb().celsius());
    const double fog_C = root_of_increasing(excess, t_C, hotter_C);
    const MoistAir saturated = MoistAir::from_relative_humidity(Temperature::celsius(fog_C), 1.0, p);
    return {saturated, flow, w - saturated.humidity_ratio(), t_C};
}

MoistAir heated(const MoistAir& air, double heat_J_per_kg)
{
    const double w = air.humidity_ratio();
    const double t_C = dry_bulb_at(enthalpy_J_per_kg(air) + heat_J_per_kg, w);
    if (w > 0.0)
        check_range("heated", "leaving dry bulb, above the dew point", t_C, {dew_point(air).celsius() - 1e-9, 200.0},
                    "degC");
    return MoistAir::from_humidity_ratio(Temperature::celsius(t_C), w, air.pressure());
}

double CooledAir::sensible_heat_ratio() const
{
    return total_J_per_kg > 0.0 ? sensible_J_per_kg / total_J_per_kg : 1.0;
}

CooledAir cooled(const MoistAir& air, Temperature apparatus_dew_point, double bypass_factor)
{
    check_range("cooled", "bypass factor", bypass_factor, {0.0, 1.0}, "");
    check_range("cooled", "apparatus dew point", apparatus_dew_point.celsius(), {-100.0, air.dry_bulb().celsius()},
                "degC");
    const double w_in = air.humidity_ratio(), h_in = enthalpy_J_per_kg(air);
    const double w_surface = std::min(w_in, saturation_humidity_ratio(apparatus_dew_point, air.pressure()));
    const double h_surface = enthalpy_at(apparatus_dew_point.celsius(), w_surface);
    const double w = w_surface + bypass_factor * (w_in - w_surface), h = h_surface + bypass_factor * (h_in - h_surface);
    CooledAir out{MoistAir::from_humidity_ratio(Temperature::celsius(dry_bulb_at(h, w)), w, air.pressure())};
    out.total_J_per_kg = h_in - h;
    out.sensible_J_per_kg = enthalpy_at(air.dry_bulb().celsius(), w) - h;
    out.condensate_kg_per_kg = w_in - w;
    return out;
}

CooledTo cooled_to(const MoistAir& air, Temperature leaving, double bypass_factor)
{
    constexpr double coldest_C = -90.0;
    const double entering_C = air.dry_bulb().celsius(), t_C = leaving.celsius();
    check_range("cooled_to", "bypass factor", bypass_factor, {0.0, 0.99}, "");
    check_range("cooled_to", "leaving dry bulb", t_C, {coldest_C, entering_C}, "degC");
    const Point entering = point_of(air);
    const auto warmer = [&](double surface_C) { // on the line as if nothing condensed in the air itself
        const Point surface{surface_C,
                            std::min(entering.humidity_ratio,
                                     saturation_humidity_ratio(Temperature::celsius(surface_C), air.pressure()))};
        return mixed(surface, entering, bypass_factor).dry_bulb_C - t_C;
    };
    if (!(warmer(coldest_C) <= 0.0)) throw Error{"cooled_to: no surface above -90 degC makes the air so cold"};
    const double surface_C = root_of_increasing(warmer, coldest_C, entering_C);
    return {cooled(air, Temperature::celsius(surface_C), bypass_factor), surface_C};
}

Apparatus apparatus_between(const MoistAir& entering, const MoistAir& leaving)
{
    const double w1 = entering.humidity_ratio(), h1 = enthalpy_J_per_kg(entering);
    const double w2 = leaving.humidity_ratio(), h2 = enthalpy_J_per_kg(leaving);
    if (h2 >= h1 || w2 > w1) throw Error{"apparatus_between: the leaving air is not colder, or wetter"};
    const Pressure p = entering.pressure();
    // Along the line, by how much it is drier than saturated: nil at the apparatus dew point.
    const auto dryness = [&](double share) { // 1 at the entering state, 0 far beyond the leaving one
        const double h = h1 + (h2 - h1) / (1.0 - share), w = w1 + (w2 - w1) / (1.0 - share);
        return saturation_humidity_ratio(Temperature::celsius(dry_bulb_at(h, w)), p) - w;
    };
    // The share that bypasses lies between 0 (the leaving air is saturated) and where the line has left the physics.
    double high = 0.0, step = 0.25;
    while (step > 1e-12 && dryness(high) > 0.0) {
        const double next = high + step * (1.0 - high);
        const double w = w1 + (w2 - w1) / (1.0 - next), t_C = dry_bulb_at(h1 + (h2 - h1) / (1.0 - next), w);
        if (w < 0.0 || t_C < -90.0)
            step *= 0.5;
        else
            high = next;
    }
    if (dryness(high) > 0.0)
        throw Error{"apparatus_between: the line from entering to leaving air does not meet saturation; no surface of "
                    "one temperature makes air so dry"};
    const double bypass = root_of_increasing([&](double share) { return -dryness(share); }, 0.0, high);
    const double w = w1 + (w2 - w1) / (1.0 - bypass), h = h1 + (h2 - h1) / (1.0 - bypass);
    return {Temperature::celsius(dry_bulb_at(h, w)), bypass};
}

MoistAir humidified_adiabatically(const MoistAir& air, double effectiveness)
{
    check_range("humidified_adiabatically", "effectiveness", effectiveness, {0.0, 1.0}, "");
    const double t_C = air.dry_bulb().celsius(), wb_C = wet_bulb(air).celsius();
    return MoistAir::from_wet_bulb(Temperature::celsius(t_C - effectiveness * (t_C - wb_C)), Temperature::celsius(wb_C),
                                   air.pressure());
}

MoistAir humidified_by_steam(const MoistAir& air, double steam_kg_per_kg, double steam_enthalpy_J_per_kg)
{
    check_range("humidified_by_steam", "steam", steam_kg_per_kg, {0.0, 1.0}, "kg/kg");
    const double w = air.humidity_ratio() + steam_kg_per_kg;
    const double h = enthalpy_J_per_kg(air) + steam_kg_per_kg * steam_enthalpy_J_per_kg;
    return MoistAir::from_humidity_ratio(Temperature::celsius(dry_bulb_at(h, w)), w, air.pressure());
}

Recovered recovered(const Stream& outdoor, const Stream& exhaust, double sensible_effectiveness,
                    double latent_effectiveness)
{
    check_range("recovered", "sensible effectiveness", sensible_effectiveness, {0.0, 1.0}, "");
    check_range("recovered", "latent effectiveness", latent_effectiveness, {0.0, 1.0}, "");
    for (const Stream& s : {outdoor, exhaust})
        check_range("recovered", "dry-air flow", s.dry_air_kg_per_s, {1e-12, largest_flow}, "kg/s");
    const double smaller = std::min(outdoor.dry_air_kg_per_s, exhaust.dry_air_kg_per_s);
    const double on_supply = smaller / outdoor.dry_air_kg_per_s, on_exhaust = smaller / exhaust.dry_air_kg_per_s;
    const double t_o = outdoor.air.dry_bulb().celsius(), t_e = exhaust.air.dry_bulb().celsius();
    const double w_o = outdoor.air.humidity_ratio(), w_e = exhaust.air.humidity_ratio();
    const double t_s = t_o + on_supply * sensible_effectiveness * (t_e - t_o);
    const double w_s = w_o + on_supply * latent_effectiveness * (w_e - w_o);
    Recovered out{MoistAir::from_humidity_ratio(Temperature::celsius(t_s), w_s, outdoor.air.pressure())};
    out.total_W = outdoor.dry_air_kg_per_s * (enthalpy_J_per_kg(out.supply) - enthalpy_J_per_kg(outdoor.air));
    out.sensible_W = outdoor.dry_air_kg_per_s * (enthalpy_at(t_s, w_o) - enthalpy_J_per_kg(outdoor.air));
    out.exhaust_humidity_ratio = w_e - on_exhaust * latent_effectiveness * (w_e - w_o);
    out.exhaust_dry_bulb_C = t_e - on_exhaust * sensible_effectiveness * (t_e - t_o);
    out.exhaust_condenses =
        out.exhaust_humidity_ratio >
        saturation_humidity_ratio(Temperature::celsius(out.exhaust_dry_bulb_C), exhaust.air.pressure());
    return out;
}

FanHeat fan_heat(const MoistAir& air, double volume_m3_per_s, double pressure_rise_Pa, double fan_efficiency,
                 double motor_efficiency, bool motor_in_air_stream)
{
    check_range("fan_heat", "pressure rise", pressure_rise_Pa, {0.0, 1e5}, "Pa");
    check_range("fan_heat", "fan efficiency", fan_efficiency, {1e-3, 1.0}, "");
    check_range("fan_heat", "motor efficiency", motor_efficiency, {1e-3, 1.0}, "");
    FanHeat out;
    const double flow = dry_air_kg_per_s(air, volume_m3_per_s);
    out.shaft_W = volume_m3_per_s * pressure_rise_Pa / fan_efficiency;
    out.electrical_W = out.shaft_W / motor_efficiency;
    out.to_air_W = motor_in_air_stream ? out.electrical_W : out.shaft_W;
    out.rise_K = flow > 0.0 ? out.to_air_W / (flow * heat_capacity_J_per_kgK(air.humidity_ratio())) : 0.0;
    return out;
}

} // namespace venture::air
