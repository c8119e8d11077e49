#include <venture/rating/heating_coil.hpp>

#include <fmt/format.h>

#include <venture/air/root.hpp>
#include <venture/quantity/error.hpp>

namespace venture::rating {

HeatingCoil::HeatingCoil(double heating_W, double dry_air_kg_per_s, double air_in_C, double supply_C, double return_C)
    : rated_{.heating_W = heating_W,
             .dry_air_kg_per_s = dry_air_kg_per_s,
             .water_kg_per_s = heating_W / (specific_heat_of_water_J_per_kgK * (supply_C - return_C)),
             .air_in_C = air_in_C,
             .water_in_C = supply_C}
{
    if (!(return_C < supply_C) || !(air_in_C < return_C))
        throw quantity::Error{fmt::format("heating: water comes at {:g} degC and goes at {:g} degC, air comes at {:g} "
                                          "degC: each must be colder than the one before",
                                          supply_C, return_C, air_in_C)};
    if (!(heating_W > 0.0)) throw quantity::Error{"heating must be above 0 W"};
    (void)heats({.air_C = air_in_C, .dry_air_kg_per_s = dry_air_kg_per_s, .water_in_C = supply_C},
                rated_.water_kg_per_s); // throws what no coil could do
}

CoilOutput HeatingCoil::heats(CoilFlows flows, double water_kg_per_s) const
{
    flows.water_kg_per_s = water_kg_per_s;
    return heats_by_one_conductance(rated_, air_share, {}, flows);
}

std::variant<CoilOutput, Refusal> HeatingCoil::heats_to(double air_C, double dry_air_kg_per_s, double supply_C,
                                                        double return_C) const
{
    constexpr double widest = 50.0;
    const CoilFlows flows{.air_C = air_C, .dry_air_kg_per_s = dry_air_kg_per_s, .water_in_C = supply_C};
    if (!(supply_C > air_C)) return Refusal{Refusal::Why::no_difference, At::water_supply, supply_C, {air_C, air_C}};
    const double least = rated_.water_kg_per_s / widest, most = rated_.water_kg_per_s * widest;
    const double coldest_C = heats(flows, least).water_out_C, warmest_C = heats(flows, most).water_out_C;
    if (return_C < coldest_C || return_C > warmest_C)
        return Refusal{Refusal::Why::outside, At::water_return, return_C, {coldest_C, warmest_C}};
    const double flow =
        air::root_of_increasing([&](double water) { return heats(flows, water).water_out_C - return_C; }, least, most);
    CoilOutput out = heats(flows, flow);
    out.water_kg_per_s = flow;
    return out;
}

Output with_fan(const CoilOutput& coil, double coil_W, double fan_W, double sound_dBA, const Conditions& at)
{
    Output out;
    out.fan_W = fan_W;
    out.gives_W[Service::heating] = coil_W + fan_W;
    out.dry = true;
    if (at.value_or(At::glycol, 0.0) == 0.0) out.water_kg_per_s = coil.water_kg_per_s;
    out.water_return_C = at[At::water_return];
    if (fan_W > 0.0) out.electric_W = fan_W;
    out.sound_power_dBA = sound_dBA;
    return out;
}

} // namespace venture::rating
