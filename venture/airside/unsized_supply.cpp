#include <venture/airside/unsized_supply.hpp>

#include <algorithm>
#include <array>
#include <cmath>

#include <venture/quantity/error.hpp>

namespace venture::airside {

using air::enthalpy_J_per_kg;
using air::heat_capacity_J_per_kgK;
using air::Point;
using quantity::check_range;

namespace {

constexpr const char* of_supply = "unsized supply";

void check(const ZoneAsks& asked)
{
    const SupplyBounds& b = asked.bounds;
    check_range(of_supply, "outdoor air", asked.outdoor_kg_per_s, {0.0, 1e6}, "kg/s");
    check_range(of_supply, "coldest supply air", b.coldest_C, {-100.0, b.warmest_C}, "degC");
    check_range(of_supply, "driest supply air", b.driest, {0.0, b.wettest}, "kg/kg");
    for (const auto& capacity : {b.most_dry_air_kg_per_s, b.most_heating_W, b.most_cooling_W})
        check_range(of_supply, "capacity", capacity.value_or(0.0), {0.0, 1e12}, "W or kg/s");
}

struct Flow {
    double kg_per_s = 0.0;
    UnsizedSupply::FlowBy by = UnsizedSupply::FlowBy::outdoor_air;
};

/// A bound that the zone's own air breaks by itself can be kept by no flow.
double flow_within(double asked, double between)
{
    if (asked == 0.0) return 0.0;
    const double flow = asked / between;
    return flow >= 0.0 && std::isfinite(flow) ? flow : std::numeric_limits<double>::infinity();
}

Flow flow_for(const ZoneAsks& a)
{
    using By = UnsizedSupply::FlowBy;
    const SupplyBounds& b = a.bounds;
    const double q = a.sensible_W, g = a.moisture_kg_per_s;
    Flow out{a.outdoor_kg_per_s, By::outdoor_air};
    const auto at_least = [&](double flow, By by) {
        if (flow > out.kg_per_s) out = {flow, by};
    };
    const double apart_K = (q > 0.0 ? b.warmest_C : b.coldest_C) - a.zone.dry_bulb_C;
    // Of W = Wz + g/m and q = m cp(W) (t - tz), at the bound of t. Vapour that is added carries some of it; where it carries
    // all, the bound is kept by any flow.
    if (q != 0.0) {
        const double vapour_W_per_K = air::specific_heat_of_vapour_J_per_kgK * g,
                     cp = heat_capacity_J_per_kgK(a.zone.humidity_ratio), all_W_per_K = q / apart_K;
        const bool carried = all_W_per_K >= 0.0 && all_W_per_K <= vapour_W_per_K;
        if (!carried) at_least(flow_within(all_W_per_K - vapour_W_per_K, cp), By::supply_temperature);
    }
    at_least(flow_within(g, (g > 0.0 ? b.wettest : b.driest) - a.zone.humidity_ratio), By::supply_humidity);
    if (b.most_dry_air_kg_per_s && out.kg_per_s > *b.most_dry_air_kg_per_s)
        out = {std::max(*b.most_dry_air_kg_per_s, a.outdoor_kg_per_s), By::most_flow};
    return out;
}

/// What would give all that is asked with this flow, cut at the bounds.
Point wanted_with(const ZoneAsks& a, const Flow& flow)
{
    const SupplyBounds& b = a.bounds;
    Point out = a.zone;
    if (flow.kg_per_s <= 0.0) return out;
    if (flow.by == UnsizedSupply::FlowBy::supply_humidity)
        out.humidity_ratio = a.moisture_kg_per_s > 0.0 ? b.wettest : b.driest;
    else
        out.humidity_ratio += a.moisture_kg_per_s / flow.kg_per_s;
    const bool cut = flow.by == UnsizedSupply::FlowBy::most_flow;
    if (cut && a.moisture_kg_per_s > 0.0) out.humidity_ratio = std::min(out.humidity_ratio, b.wettest);
    if (cut && a.moisture_kg_per_s < 0.0) out.humidity_ratio = std::max(out.humidity_ratio, b.driest);
    out.dry_bulb_C += a.sensible_W / (flow.kg_per_s * heat_capacity_J_per_kgK(out.humidity_ratio));
    if (cut && a.sensible_W > 0.0) out.dry_bulb_C = std::min(out.dry_bulb_C, b.warmest_C);
    if (cut && a.sensible_W < 0.0) out.dry_bulb_C = std::max(out.dry_bulb_C, b.coldest_C);
    return out;
}

void limit_capacity(const SupplyBounds& b, UnsizedSupply& out)
{
    const double m = out.dry_air_kg_per_s;
    if (m <= 0.0) return;
    const double per_K = m * heat_capacity_J_per_kgK(out.wanted.humidity_ratio),
                 sensible = per_K * (out.wanted.dry_bulb_C - out.mixed.dry_bulb_C), from = enthalpy_J_per_kg(out.mixed),
                 total = m * (enthalpy_J_per_kg(out.wanted) - from);
    if (b.most_heating_W && sensible > *b.most_heating_W) {
        out.limit = UnsizedSupply::Limit::heating;
        out.supply.dry_bulb_C = out.mixed.dry_bulb_C + *b.most_heating_W / per_K;
    } else if (b.most_cooling_W && -total > *b.most_cooling_W) {
        out.limit = UnsizedSupply::Limit::cooling;
        const double share = *b.most_cooling_W / -total;
        out.supply = air::with_enthalpy(from + share * total / m,
                                        out.mixed.humidity_ratio +
                                            share * (out.wanted.humidity_ratio - out.mixed.humidity_ratio));
    }
}

} // namespace

std::string_view name_of(UnsizedSupply::FlowBy by)
{
    constexpr std::array<std::string_view, 4> names = {"outdoor air", "supply temperature", "supply humidity",
                                                       "maximum flow"};
    return names.at(static_cast<std::size_t>(by));
}

std::string_view name_of(UnsizedSupply::Limit limit)
{
    constexpr std::array<std::string_view, 3> names = {"none", "heating", "cooling"};
    return names.at(static_cast<std::size_t>(limit));
}

double latent_of_moisture_W(double moisture_kg_per_s, double zone_C)
{
    return moisture_kg_per_s *
           (air::latent_heat_of_vaporisation_J_per_kg + air::specific_heat_of_vapour_J_per_kgK * zone_C);
}

UnsizedSupply unsized_supply(const ZoneAsks& asked)
{
    check(asked);
    const Flow flow = flow_for(asked);
    if (!std::isfinite(flow.kg_per_s)) {
        const SupplyBounds& b = asked.bounds;
        if (flow.by == UnsizedSupply::FlowBy::supply_humidity)
            throw quantity::RangeError(of_supply, "humidity ratio of the zone's air", asked.zone.humidity_ratio,
                                       {b.driest, b.wettest}, "kg/kg");
        throw quantity::RangeError(of_supply, "air of the zone", asked.zone.dry_bulb_C, {b.coldest_C, b.warmest_C},
                                   "degC");
    }
    UnsizedSupply out;
    out.flow_by = flow.by;
    out.dry_air_kg_per_s = flow.kg_per_s;
    const double m = flow.kg_per_s;
    out.mixed = m > 0.0 ? air::mixed(asked.zone, asked.outdoor_air, asked.outdoor_kg_per_s / m) : asked.zone;
    out.wanted = out.supply = wanted_with(asked, flow);
    limit_capacity(asked.bounds, out);
    const double per_K = m * heat_capacity_J_per_kgK(out.supply.humidity_ratio);
    out.sensible_W = per_K * (out.supply.dry_bulb_C - out.mixed.dry_bulb_C);
    out.latent_W = m * (enthalpy_J_per_kg(out.supply) - enthalpy_J_per_kg(out.mixed)) - out.sensible_W;
    out.outdoor_air_load_W =
        asked.outdoor_kg_per_s * (enthalpy_J_per_kg(asked.zone) - enthalpy_J_per_kg(asked.outdoor_air));
    out.given_sensible_W = per_K * (out.supply.dry_bulb_C - asked.zone.dry_bulb_C);
    out.given_moisture_kg_per_s = m * (out.supply.humidity_ratio - asked.zone.humidity_ratio);
    out.unmet_sensible_W = asked.sensible_W - out.given_sensible_W;
    out.unmet_moisture_kg_per_s = asked.moisture_kg_per_s - out.given_moisture_kg_per_s;
    return out;
}

} // namespace venture::airside
