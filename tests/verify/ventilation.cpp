/// Table "ventilation": outdoor air of rooms and systems, carbon dioxide, free cooling, demand control, frost.

#include <venture/air/carbon_dioxide.hpp>
#include <venture/air/demand_control.hpp>
#include <venture/airside/free_cooling.hpp>
#include <venture/airside/recovery_frost.hpp>
#include <venture/airside/system_need.hpp>
#include <verify/tables.hpp>

namespace venture::verify {

using namespace air;     // NOLINT(google-build-using-namespace): what this file verifies
using namespace airside; // NOLINT(google-build-using-namespace): the same
using nlohmann::json;

namespace {

constexpr double L_per_s = 1e-3;
constexpr const char* closed = "closed_formulas";

double number(const json& from, const char* key) { return from.at(key).get<double>(); }

RoomNeed need_of(const json& zone)
{
    return {number(zone, zone.contains("people") ? "people" : "design_people"), number(zone, "Rp_l_s_person") * L_per_s,
            number(zone, "area_m2"), number(zone, "Ra_l_s_m2") * L_per_s, number(zone, "Ez")};
}

void zone_need(const json& zone, Comparison& compare)
{
    const RoomNeed need = need_of(zone);
    compare.value("breathing zone", need.breathing_zone_m3_per_s() / L_per_s, number(zone, "Vbz_l_s"), closed);
    compare.value("zone", need.supply_m3_per_s() / L_per_s, number(zone, "Voz_l_s"), closed);
}

Outcome zones(const json& table, const json& cases)
{
    Comparison compare{table};
    for (const json& zone : cases) zone_need(zone, compare);
    return compare.outcome();
}

Outcome systems(const json& table, const json& group)
{
    Comparison compare{table};
    for (const json& c : group) {
        std::vector<SystemRoom> rooms;
        for (const json& zone : c.at("zones")) {
            zone_need(zone, compare);
            rooms.push_back({need_of(zone), number(zone, "primary_min_l_s") * L_per_s,
                             zone.value("discharge_l_s", 0.0) * L_per_s, zone.value("Er", 0.0)});
        }
        const SystemNeed got = system_need(rooms, number(c, "system_population"), number(c, "Vps_l_s") * L_per_s);
        for (std::size_t i = 0; i < rooms.size(); ++i)
            compare.value("room's efficiency", got.efficiency_of_room[i], number(c.at("zones")[i], "Evz"), closed);
        compare.value("diversity", got.occupant_diversity, number(c, "occupant_diversity_D"), closed);
        compare.value("uncorrected", got.uncorrected_m3_per_s / L_per_s, number(c, "Vou_l_s"), closed);
        compare.value("average share", got.average_outdoor_share, number(c, "Xs"), closed);
        compare.value("efficiency", got.efficiency, number(c, "Ev"), closed);
        compare.value("intake", got.outdoor_intake_m3_per_s / L_per_s, number(c, "Vot_l_s"), closed);
        compare.truth("ruling room", got.ruling_room == c.at("critical_zone_index_from_0").get<std::size_t>(), true);
    }
    return compare.outcome();
}

Outcome perceived_quality(const json& table, const json& group)
{
    Comparison compare{table};
    for (const json& c : group) {
        const RoomNeed need{number(c, "people"), number(c, "per_person_l_s") * L_per_s, number(c, "area_m2"),
                            number(c, "per_area_l_s_m2") * L_per_s, number(c, "ventilation_effectiveness")};
        compare.value("total", need.breathing_zone_m3_per_s() / L_per_s, number(c, "total_l_s"), closed);
        compare.value("supply", need.supply_m3_per_s() / L_per_s, number(c, "supply_l_s"), closed);
        compare.value("air change", need.supply_m3_per_s() * 3600.0 / (2.8 * need.area_m2),
                      number(c, "air_change_1_h_at_2p8_m"), closed);
    }
    return compare.outcome();
}

Outcome carbon_dioxide(const json& table, const json& group)
{
    Comparison compare{table};
    constexpr double ppm = 1e-6;
    for (const json& c : group) {
        const CarbonDioxideRoom room{number(c, "room_volume_m3"),
                                     number(c, "people") * number(c, "co2_l_h_person") * L_per_s / 3600.0,
                                     number(c, "outdoor_ppm") * ppm};
        const double flow = number(c, "actual_flow_l_s") * L_per_s;
        compare.value("flow for a limit",
                      flow_for_rise_m3_per_s(room.given_off_m3_per_s, number(c, "limit_rise_ppm") * ppm) / L_per_s,
                      number(c, "flow_for_limit_l_s"), closed);
        compare.value("steady", steady_concentration(room, flow) / ppm, number(c, "steady_ppm"), closed);
        compare.value("time constant", room.volume_m3 / flow / 3600.0, number(c, "time_constant_h"), closed);
        for (const json& after : c.at("after"))
            compare.value(
                "after some time",
                concentration_after(room, number(c, "start_ppm") * ppm, flow, number(after, "time_h") * 3600.0) / ppm,
                number(after, "ppm"), closed);
    }
    return compare.outcome();
}

// ---- free cooling, by the share that is straight in temperature

struct Economiser {
    air::Point back{};
    double supply_C, least_share, flow_kg_per_s;
};

/// @returns sensible cooling of the coil, kW
double economiser_hour(const Economiser& e, const json& hour, const air::Point& outdoor, FreeCooling rule,
                       const std::string& name, Comparison& compare)
{
    const bool may = may_cool(rule, outdoor, e.back);
    const double share =
        may ? outdoor_share_by_temperature(outdoor.dry_bulb_C, e.back.dry_bulb_C, e.supply_C, e.least_share)
            : e.least_share;
    const air::Point mixed = air::mixed(e.back, outdoor, share);
    const double cooling_kW = std::max(0.0, e.flow_kg_per_s * air::heat_capacity_J_per_kgK(mixed.humidity_ratio) *
                                                (mixed.dry_bulb_C - e.supply_C) / 1000.0);
    compare.truth("may cool", may, hour.at("free_cooling_" + name));
    compare.value("share", share, hour.at("outdoor_share_" + name), "economiser_shares");
    compare.value("mixed", mixed.dry_bulb_C, hour.at("mixed_dry_bulb_C_" + name), "economiser_temperatures_C");
    compare.value("mixed enthalpy", air::enthalpy_J_per_kg(mixed) / 1000.0, hour.at("mixed_enthalpy_kJ_kg_" + name),
                  "economiser_enthalpy_kJ_kg");
    compare.value("coil", cooling_kW, hour.at("sensible_coil_cooling_kW_" + name), "economiser_cooling_kW");
    return cooling_kW;
}

air::Point point(const json& of, const char* dry_bulb, const char* humidity, quantity::Pressure pressure)
{
    return point_of(air::MoistAir::from_relative_humidity(quantity::Temperature::celsius(number(of, dry_bulb)),
                                                          number(of, humidity) / 100.0, pressure));
}

Outcome economiser(const json& table, const json& group)
{
    Comparison compare{table};
    for (const json& c : group) {
        const auto pressure = quantity::Pressure::pascal(number(c, "pressure_Pa"));
        const Economiser e{point(c, "return_dry_bulb_C", "return_relative_humidity_pct", pressure),
                           number(c, "supply_dry_bulb_C"), number(c, "minimum_outdoor_share"),
                           number(c, "supply_dry_air_kg_s")};
        compare.value("return", air::enthalpy_J_per_kg(e.back) / 1000.0, number(c, "return_enthalpy_kJ_kg"),
                      "economiser_enthalpy_kJ_kg");
        for (const auto& [rule, name] : {std::pair{FreeCooling::dry_bulb, std::string{"dry_bulb"}},
                                         std::pair{FreeCooling::enthalpy, std::string{"enthalpy"}}}) {
            double sum_kWh = 0.0;
            int hours = 0;
            for (const json& hour : c.at("hours")) {
                const air::Point outdoor = point(hour, "outdoor_dry_bulb_C", "outdoor_relative_humidity_pct", pressure);
                compare.value("outdoors", air::enthalpy_J_per_kg(outdoor) / 1000.0,
                              number(hour, "outdoor_enthalpy_kJ_kg"), "economiser_enthalpy_kJ_kg");
                sum_kWh += economiser_hour(e, hour, outdoor, rule, name, compare);
                hours += may_cool(rule, outdoor, e.back) ? 1 : 0;
            }
            compare.value("day", sum_kWh, c.at("daily_sensible_coil_cooling_kWh_" + name), "economiser_cooling_kW");
            compare.truth("hours", hours == c.at("free_hours_" + name).get<int>(), true);
        }
    }
    return compare.outcome();
}

Outcome demand_controlled(const json& table, const json& group)
{
    Comparison compare{table};
    for (const json& c : group) {
        const RoomNeed need = need_of(c);
        std::vector<double> present;
        std::vector<bool> running;
        for (const json& hour : c.at("hours")) {
            present.push_back(number(hour, "occupancy_share"));
            running.push_back(hour.at("system_on"));
        }
        const auto flows = flow_by_head_count(need, present, running, 0.0, 3600.0, 0.0);
        double sum = 0.0, on = 0.0;
        for (std::size_t i = 0; i < flows.size(); ++i) {
            compare.value("flow", flows[i] / L_per_s, number(c.at("hours")[i], "flow_l_s"), closed);
            sum += flows[i];
            on += running[i] ? 1.0 : 0.0;
        }
        const double design = need.supply_m3_per_s();
        compare.value("design", design / L_per_s, number(c, "design_flow_l_s"), closed);
        compare.value("mean share", sum / (on * design), number(c, "daily_mean_share_of_design_while_on"), closed);
    }
    return compare.outcome();
}

Outcome frost(const json& table, const json& group)
{
    Comparison compare{table};
    for (const json& c : group) {
        const double per_m3 = number(c, "rho_cp_kJ_m3K") * 1000.0, set_point_C = number(c, "supply_set_point_C"),
                     outdoor_W_per_K = number(c, "supply_flow_m3_s") * per_m3;
        const FrostProtected got = protected_from_frost(
            {number(c, "outdoor_C"), number(c, "extract_C"), outdoor_W_per_K, number(c, "extract_flow_m3_s") * per_m3,
             number(c, "effectiveness_of_smaller_flow"), number(c, "exhaust_limit_C")});
        const auto afterheater_kW = [&](double supply_C) {
            return outdoor_W_per_K * std::max(0.0, set_point_C - supply_C) / 1000.0;
        };
        const auto value = [&](const char* key, double x) { compare.value(key, x, number(c, key), closed); };
        value("exhaust_out_unlimited_C", got.exhaust_unlimited_C);
        compare.truth("limit acts", got.limit_acts, c.at("limit_active"));
        value("reduced_effectiveness", got.effectiveness);
        value("supply_after_reduced_recovery_C", got.supply_C);
        value("afterheater_with_reduced_recovery_kW", afterheater_kW(got.supply_C));
        value("preheat_to_C", got.preheated_C);
        value("preheater_kW", got.preheater_W / 1000.0);
        value("supply_after_preheat_and_recovery_C", got.supply_when_preheated_C);
        value("afterheater_with_preheat_kW", afterheater_kW(got.supply_when_preheated_C));
    }
    return compare.outcome();
}

} // namespace

void add_ventilation(Answers& answers)
{
    const std::string topic = "ventilation";
    answers[{topic, "zones"}] = zones;
    answers[{topic, "multiple_zone_single_path"}] = systems;
    answers[{topic, "multiple_zone_dual_path"}] = systems;
    answers[{topic, "perceived_quality"}] = perceived_quality;
    answers[{topic, "co2"}] = carbon_dioxide;
    answers[{topic, "economiser"}] = economiser;
    answers[{topic, "demand_controlled"}] = demand_controlled;
    answers[{topic, "heat_recovery_frost"}] = frost;
}

} // namespace venture::verify
