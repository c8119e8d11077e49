#include <venture/airside/handled_hour.hpp>

#include <algorithm>
#include <cmath>

#include <venture/air/moist_air.hpp>
#include <venture/air/room_density.hpp>
#include <venture/airside/free_cooling.hpp>
#include <venture/airside/recovery_frost.hpp>

namespace venture::airside {

using air::heat_capacity_J_per_kgK;
using air::Point;
using quantity::Temperature;

namespace {

double full_recovery(const building::AirSupply& supply, const HourAsks& a)
{
    const double full = supply.heat_recovery * a.returned_share;
    return supply.coldest_exhaust_C
               ? effectiveness_at_frost(full, a.outdoor.dry_bulb_C, a.leaves.dry_bulb_C, *supply.coldest_exhaust_C)
               : full;
}

/// As much of it as helps.
double used_recovery(const building::AirSupply& supply, const HourAsks& a, double full)
{
    const double exchange_K = a.leaves.dry_bulb_C - a.outdoor.dry_bulb_C;
    if (!supply.bypass || a.outdoor_kg_per_s <= 0.0 || exchange_K * a.sensible_W >= 0.0) return full;
    const double per_K = a.outdoor_kg_per_s * heat_capacity_J_per_kgK(a.outdoor.humidity_ratio);
    return std::clamp((a.sensible_W / per_K - (a.outdoor.dry_bulb_C - a.zone.dry_bulb_C)) / exchange_K, 0.0, full);
}

/// Outdoor air with what cools for free.
double outdoor_flow(const building::AirSupply& supply, const HourAsks& a, double recovered)
{
    const double colder_K = a.zone.dry_bulb_C - a.outdoor.dry_bulb_C,
                 all_K = a.zone.dry_bulb_C - supply.coldest_supply_C;
    if (a.sensible_W >= 0.0 || colder_K <= 0.0 || all_K <= 0.0 || !may_cool(supply.free_cooling, a.outdoor, a.zone))
        return a.outdoor_kg_per_s;
    const double cp = heat_capacity_J_per_kgK(a.outdoor.humidity_ratio),
                 exchanged = a.outdoor_kg_per_s * recovered * (a.leaves.dry_bulb_C - a.outdoor.dry_bulb_C),
                 wanted = (-a.sensible_W / cp + exchanged) / colder_K,
                 most = supply.greatest_outdoor_share * -a.sensible_W /
                        (heat_capacity_J_per_kgK(a.zone.humidity_ratio) * all_K);
    return std::max(a.outdoor_kg_per_s, std::min(wanted, most));
}

/// Nearly saturated behind a coil of chilled water or brine that does not freeze; a room that is held drier has another
/// drier than a coil. Our assumption.
double driest_off_coil(const Point& zone, quantity::Pressure pressure)
{
    const auto coldest_off_coil = Temperature::celsius(3.0);
    return std::min(off_coil_humidity * air::saturation_humidity_ratio(coldest_off_coil, pressure),
                    0.5 * zone.humidity_ratio);
}

/// As moist as ducts bear it at the room's temperature; never drier than the room. Our assumption.
double wettest_in_ducts(const Point& zone, quantity::Pressure pressure)
{
    constexpr double most_humid = 0.9;
    return std::max(most_humid * air::saturation_humidity_ratio(Temperature::celsius(zone.dry_bulb_C), pressure),
                    1.05 * zone.humidity_ratio);
}

} // namespace

SupplyBounds bounds_of(const building::AirSupply& supply, const Point& zone, const Point& fresh,
                       quantity::Pressure pressure)
{
    SupplyBounds out{.coldest_C = supply.coldest_supply_C, .warmest_C = supply.warmest_supply_C};
    out.wettest = supply.wettest_supply ? *supply.wettest_supply : wettest_in_ducts(zone, pressure);
    out.driest = supply.driest_supply ? *supply.driest_supply : std::min(driest_off_coil(zone, pressure), out.wettest);
    out.wettest = std::max({out.wettest, out.driest, fresh.humidity_ratio});
    out.driest = std::min(out.driest, fresh.humidity_ratio);
    return out;
}

HandledHour handled_hour(const building::AirSupply& supply, const HourAsks& a)
{
    HandledHour out;
    const double full = full_recovery(supply, a);
    out.recovered_share = used_recovery(supply, a, full);
    out.outdoor_kg_per_s = outdoor_flow(supply, a, out.recovered_share);
    const double of_moisture = supply.heat_recovery > 0.0 ? supply.moisture_recovery / supply.heat_recovery : 0.0;
    const auto behind = [&](double recovered) {
        return Point{a.outdoor.dry_bulb_C + recovered * (a.leaves.dry_bulb_C - a.outdoor.dry_bulb_C),
                     a.outdoor.humidity_ratio +
                         recovered * of_moisture * (a.leaves.humidity_ratio - a.outdoor.humidity_ratio)};
    };
    const Point recovered = behind(out.recovered_share);
    out.behind_recovery = recovered;
    const double more = out.outdoor_kg_per_s - a.outdoor_kg_per_s,
                 share_of_more = out.outdoor_kg_per_s > 0.0 ? more / out.outdoor_kg_per_s : 0.0;
    out.recovered_W = a.outdoor_kg_per_s * (air::enthalpy_J_per_kg(recovered) - air::enthalpy_J_per_kg(a.outdoor));
    const double cp = heat_capacity_J_per_kgK(a.outdoor.humidity_ratio);
    out.free_cooling_W = cp * (a.outdoor_kg_per_s * std::max(0.0, behind(full).dry_bulb_C - recovered.dry_bulb_C) +
                               more * (a.zone.dry_bulb_C - a.outdoor.dry_bulb_C));
    const Point fresh = air::mixed(recovered, a.outdoor, share_of_more);
    const double brought_kg_per_s = out.outdoor_kg_per_s * (fresh.humidity_ratio - a.zone.humidity_ratio);
    out.supply = unsized_supply(
        {.zone = a.zone,
         .sensible_W = a.sensible_W,
         .moisture_kg_per_s = a.humidified ? a.moisture_kg_per_s : std::min(a.moisture_kg_per_s, brought_kg_per_s),
         .outdoor_kg_per_s = out.outdoor_kg_per_s,
         .outdoor_air = fresh,
         .bounds = bounds_of(supply, a.zone, fresh, a.pressure)});
    out.coils = coil_process(out.supply.mixed, out.supply.supply, out.supply.dry_air_kg_per_s, a.pressure);
    out.fan_W =
        supply.fan_power_W_per_m3_per_s() * out.supply.dry_air_kg_per_s / air::room_density_kg_per_m3(a.pressure);
    return out;
}

} // namespace venture::airside
