/// Table "psychrometrics".

#include <venture/air/processes.hpp>
#include <venture/air/state_pair.hpp>
#include <verify/tables.hpp>

namespace venture::verify {

using namespace air; // NOLINT(google-build-using-namespace): what this file verifies
using nlohmann::json;

namespace {

Pressure pressure_of(const json& c) { return Pressure::pascal(c.at("pressure_Pa")); }
Temperature celsius(const json& t) { return Temperature::celsius(t.get<double>()); }

MoistAir state(const json& c, const char* dry_bulb, const char* humidity)
{
    return MoistAir::from_relative_humidity(celsius(c.at(dry_bulb)), c.at(humidity).get<double>() / 100.0,
                                            pressure_of(c));
}
MoistAir entering(const json& c) { return state(c, "dry_bulb_in_C", "relative_humidity_in_pct"); }

Outcome saturation(const json& table, const json& group)
{
    Comparison compare{table};
    for (const json& c : group)
        compare.value("saturation pressure", saturation_pressure(celsius(c.at("temperature_C"))).pascal(),
                      c.at("psat_Pa_iapws"), "psat_Pa");
    return compare.outcome();
}

/// From dry bulb and relative humidity, and back to both from every other pair that the case gives.
Outcome states(const json& table, const json& group)
{
    Comparison compare{table};
    for (const json& c : group) {
        const MoistAir air = state(c, "dry_bulb_C", "relative_humidity_pct");
        const auto check = [&](const char* key, double got, const char* tolerance) {
            if (c.contains(key) && c.at(key).is_number()) compare.value(key, got, c.at(key), tolerance);
        };
        check("vapour_pressure_Pa", vapour_pressure(air).pascal(), "vapour_pressure_Pa");
        check("humidity_ratio_kg_kg", air.humidity_ratio(), "humidity_ratio_kg_kg");
        check("enthalpy_kJ_kg", enthalpy_J_per_kg(air) / 1000.0, "enthalpy_kJ_kg");
        check("specific_volume_m3_kg", specific_volume_m3_per_kg(air), "specific_volume_m3_kg");
        if (c.at("relative_humidity_pct") > 0.0) check("dew_point_C", dew_point(air).celsius(), "dew_point_C");
        check("wet_bulb_C", wet_bulb(air).celsius(), "wet_bulb_C");
        check("degree_of_saturation", air.humidity_ratio() / saturation_humidity_ratio(air.dry_bulb(), air.pressure()),
              "degree_of_saturation");
        if (c.contains("density_kg_m3"))
            compare.error("density_kg_m3", std::abs(density_kg_per_m3(air) - c.at("density_kg_m3").get<double>()),
                          3e-4 * c.at("density_kg_m3").get<double>()); // as the specific volume
    }
    return compare.outcome();
}

Outcome mixing(const json& table, const json& group)
{
    Comparison compare{table};
    for (const json& c : group) {
        const MoistAir first = state(c, "dry_bulb_1_C", "relative_humidity_1_pct"),
                       second = state(c, "dry_bulb_2_C", "relative_humidity_2_pct");
        const Stream a{first, dry_air_kg_per_s(first, c.at("volume_flow_1_m3_s"))},
            b{second, dry_air_kg_per_s(second, c.at("volume_flow_2_m3_s"))};
        const MixedAir m = mixed(a, b);
        compare.error("dry-air flow 1", std::abs(a.dry_air_kg_per_s - c.at("dry_air_mass_flow_1_kg_s").get<double>()),
                      3e-4 * a.dry_air_kg_per_s);
        compare.error("dry-air flow 2", std::abs(b.dry_air_kg_per_s - c.at("dry_air_mass_flow_2_kg_s").get<double>()),
                      3e-4 * b.dry_air_kg_per_s);
        compare.value("dry bulb without fog", m.dry_bulb_without_fog_C, c.at("mixed_dry_bulb_C_no_condensation"),
                      "process_temperatures_C");
        compare.value("humidity ratio", m.air.humidity_ratio() + m.fog_kg_per_kg, c.at("mixed_humidity_ratio_kg_kg"),
                      "humidity_ratio_kg_kg");
        compare.truth("supersaturated", m.supersaturated(), c.at("supersaturated"));
        if (c.contains("mixed_relative_humidity_pct"))
            compare.value("relative humidity", 100.0 * relative_humidity(m.air), c.at("mixed_relative_humidity_pct"),
                          "relative_humidity_pct");
        if (c.contains("fog_equilibrium_temperature_C"))
            compare.value("fog temperature", m.air.dry_bulb().celsius(), c.at("fog_equilibrium_temperature_C"),
                          "fog_equilibrium_temperature_C");
    }
    return compare.outcome();
}

void heating(Comparison& compare, const json& c)
{
    const MoistAir in = entering(c);
    const double flow = dry_air_kg_per_s(in, c.at("volume_flow_in_m3_s"));
    const MoistAir out = heated(in, 1000.0 * c.at("heat_kW").get<double>() / flow);
    compare.value("heating, dry bulb", out.dry_bulb().celsius(), c.at("dry_bulb_out_C"), "process_temperatures_C");
    compare.value("heating, humidity", 100.0 * relative_humidity(out), c.at("relative_humidity_out_pct"),
                  "relative_humidity_pct");
}

void cooling(Comparison& compare, const json& c)
{
    const MoistAir in = entering(c);
    const double kW = dry_air_kg_per_s(in, c.at("volume_flow_in_m3_s")) / 1000.0;
    const CooledAir out = cooled(in, celsius(c.at("apparatus_dew_point_C")), c.at("bypass_factor"));
    compare.value("cooling, dry bulb", out.air.dry_bulb().celsius(), c.at("dry_bulb_out_C"), "bypass_dry_bulb_C");
    compare.value("cooling, humidity ratio", out.air.humidity_ratio(), c.at("humidity_ratio_out_kg_kg"),
                  "humidity_ratio_kg_kg");
    compare.value("cooling, total", kW * out.total_J_per_kg, c.at("total_heat_kW"), "bypass_heat_kW");
    compare.value("cooling, sensible", kW * out.sensible_J_per_kg, c.at("sensible_heat_kW"), "bypass_heat_kW");
    compare.value("cooling, latent", kW * out.latent_J_per_kg(), c.at("latent_heat_kW"), "bypass_heat_kW");
    if (c.contains("condensate_kg_s"))
        compare.value("cooling, condensate", 1000.0 * kW * out.condensate_kg_per_kg, c.at("condensate_kg_s"),
                      "water_kg_s");
}

void apparatus(Comparison& compare, const json& c)
{
    const MoistAir out = MoistAir::from_humidity_ratio(celsius(c.at("dry_bulb_out_C")),
                                                       c.at("humidity_ratio_out_kg_kg"), pressure_of(c));
    const Apparatus found = apparatus_between(entering(c), out);
    compare.value("apparatus dew point", found.dew_point.celsius(), c.at("apparatus_dew_point_C"),
                  "apparatus_dew_point_C");
    compare.error("bypass factor", std::abs(found.bypass_factor - c.at("bypass_factor").get<double>()), 0.01);
}

void adiabatic(Comparison& compare, const json& c)
{
    const MoistAir in = entering(c), out = humidified_adiabatically(in, c.at("saturation_effectiveness"));
    const double flow = dry_air_kg_per_s(in, c.at("volume_flow_in_m3_s"));
    compare.value("humidifying, wet bulb", wet_bulb(in).celsius(), c.at("wet_bulb_C"), "wet_bulb_C");
    compare.value("humidifying, dry bulb", out.dry_bulb().celsius(), c.at("dry_bulb_out_C"), "process_temperatures_C");
    compare.value("humidifying, water", flow * (out.humidity_ratio() - in.humidity_ratio()),
                  c.at("water_evaporated_kg_s"), "water_kg_s");
}

void steam(Comparison& compare, const json& c)
{
    const MoistAir in = entering(c);
    const double flow = dry_air_kg_per_s(in, c.at("volume_flow_in_m3_s"));
    const MoistAir out = humidified_by_steam(in, c.at("steam_g_s").get<double>() / 1000.0 / flow,
                                             1000.0 * c.at("steam_enthalpy_kJ_kg").get<double>());
    compare.value("steam, dry bulb", out.dry_bulb().celsius(), c.at("dry_bulb_out_C"), "process_temperatures_C");
    compare.value("steam, humidity ratio", out.humidity_ratio(), c.at("humidity_ratio_out_kg_kg"),
                  "humidity_ratio_kg_kg");
    compare.value("steam, enthalpy", enthalpy_J_per_kg(out) / 1000.0, c.at("enthalpy_out_kJ_kg"), "enthalpy_kJ_kg");
}

void recovery(Comparison& compare, const json& c)
{
    const Stream outdoor{state(c, "outdoor_dry_bulb_C", "outdoor_relative_humidity_pct"), c.at("supply_dry_air_kg_s")},
        exhaust{state(c, "exhaust_dry_bulb_C", "exhaust_relative_humidity_pct"), c.at("exhaust_dry_air_kg_s")};
    const Recovered r = recovered(outdoor, exhaust, c.at("sensible_effectiveness"), c.at("latent_effectiveness"));
    compare.value("recovery, supply", r.supply.dry_bulb().celsius(), c.at("supply_dry_bulb_C"),
                  "process_temperatures_C");
    compare.value("recovery, humidity ratio", r.supply.humidity_ratio(), c.at("supply_humidity_ratio_kg_kg"),
                  "humidity_ratio_kg_kg");
    compare.value("recovery, total", r.total_W / 1000.0, c.at("total_recovered_kW"), "process_heat_kW");
    compare.value("recovery, sensible", r.sensible_W / 1000.0, c.at("sensible_recovered_kW"), "process_heat_kW");
    compare.value("recovery, exhaust", r.exhaust_dry_bulb_C, c.at("exhaust_out_dry_bulb_C_no_condensation"),
                  "process_temperatures_C");
    compare.truth("recovery, exhaust condenses", r.exhaust_condenses, c.at("exhaust_out_supersaturated"));
}

void fan(Comparison& compare, const json& c)
{
    const FanHeat f = fan_heat(entering(c), c.at("volume_flow_m3_s"), c.at("total_pressure_rise_Pa"),
                               c.at("fan_efficiency"), c.at("motor_efficiency"), c.at("motor_in_air_stream"));
    compare.value("fan, shaft", f.shaft_W / 1000.0, c.at("shaft_power_kW"), "process_heat_kW");
    compare.value("fan, electrical", f.electrical_W / 1000.0, c.at("electrical_power_kW"), "process_heat_kW");
    compare.value("fan, heat to air", f.to_air_W / 1000.0, c.at("heat_to_air_kW"), "process_heat_kW");
    compare.value("fan, rise", f.rise_K, c.at("temperature_rise_K"), "process_temperatures_C");
}

Outcome processes(const json& table, const json& group)
{
    const std::map<std::string, void (*)(Comparison&, const json&)> known = {
        {"sensible_heating", heating},
        {"cooling_dehumidifying_bypass", cooling},
        {"apparatus_dew_point_from_states", apparatus},
        {"adiabatic_humidification", adiabatic},
        {"steam_humidification", steam},
        {"heat_recovery", recovery},
        {"fan_heat", fan}};
    Comparison compare{table};
    for (const auto& [name, all] : group.items()) {
        const auto found = known.find(name);
        if (found == known.end()) return {Verdict::failed, "a process that is not known: " + name};
        for (const json& c : all) found->second(compare, c);
    }
    return compare.outcome();
}

} // namespace

void add_moist_air(Answers& answers)
{
    const std::string topic = "moist air";
    answers[{topic, "saturation"}] = saturation;
    answers[{topic, "states"}] = states;
    answers[{topic, "mixing"}] = mixing;
    answers[{topic, "processes"}] = processes;
}

} // namespace venture::verify
