/// Table "air systems": free cooling, the unsized supply, air balances of rooms.

#include <regex>

#include <venture/airside/free_cooling.hpp>
#include <venture/airside/pressure_balance.hpp>
#include <venture/airside/unsized_supply.hpp>
#include <verify/tables.hpp>

namespace venture::verify {

using namespace airside; // NOLINT(google-build-using-namespace): what this file verifies
using nlohmann::json;

namespace {

const json& tolerances_of(const json& table) { return table.at("tolerances"); }

/// The class of a value is told by its key.
std::string class_of(const json& table, const std::string& key)
{
    for (const auto& [name, rule] : tolerances_of(table).items())
        if (rule.is_object() && rule.contains("pattern") &&
            std::regex_search(key, std::regex{rule.at("pattern").get<std::string>()}))
            return name;
    return "closed";
}

/// Everything that is expected against what came, by the same keys.
/// @param all_closed  the group's numbers are closed formulas, whatever their keys are
void compare_all(const json& table, const std::string& key, const json& expected, const json& got, bool all_closed,
                 Comparison& compare)
{
    if (expected.is_object()) {
        for (const auto& [name, value] : expected.items())
            compare_all(table, name, value, got.at(name), all_closed, compare);
    } else if (expected.is_array()) {
        compare.truth(key, expected.size() == got.size(), true);
        for (std::size_t i = 0; i < expected.size(); ++i)
            compare_all(table, key, expected[i], got.at(i), all_closed, compare);
    } else if (expected.is_number_float()) {
        compare.value(key, got.get<double>(), expected.get<double>(), all_closed ? "closed" : class_of(table, key));
    } else {
        compare.truth(key, expected == got, true);
    }
}

quantity::Pressure pressure_of(const json& given)
{
    return quantity::Pressure::pascal(given.at("pressure_Pa").get<double>());
}

air::MoistAir moist(double dry_bulb_C, double humidity_pct, quantity::Pressure pressure)
{
    return air::MoistAir::from_relative_humidity(quantity::Temperature::celsius(dry_bulb_C), humidity_pct / 100.0,
                                                 pressure);
}
air::MoistAir moist(const json& state, quantity::Pressure pressure)
{
    return moist(state.at("dry_bulb_C"), state.at("relative_humidity_pct"), pressure);
}

json written(const air::Point& p, quantity::Pressure pressure)
{
    return {{"dry_bulb_C", p.dry_bulb_C},
            {"humidity_ratio_kg_kg", p.humidity_ratio},
            {"enthalpy_kJ_kg", air::enthalpy_J_per_kg(p) / 1000.0},
            {"relative_humidity_pct",
             100.0 * air::relative_humidity(quantity::Temperature::celsius(p.dry_bulb_C), p.humidity_ratio, pressure)}};
}

// ---- free cooling

struct Sums {
    double heating = 0.0, total = 0.0, sensible = 0.0, heat = 0.0, cold = 0.0;
    std::array<int, 4> hours{};
    [[nodiscard]] json written() const
    {
        return {{"heating_kWh", heating},
                {"cooling_total_kWh", total},
                {"cooling_sensible_kWh", sensible},
                {"recovered_heat_kWh", heat},
                {"recovered_cold_kWh", cold},
                {"hours_heating", hours[0]},
                {"hours_recovery_modulated", hours[1]},
                {"hours_free_cooling", hours[2]},
                {"hours_cooling", hours[3]}};
    }
};

json written(const Handled& h, double flow_kg_per_s, double bypass_factor)
{
    const auto kW = [&](double J_per_kg) { return flow_kg_per_s * J_per_kg / 1000.0; };
    json coil = {{"active", h.coil.has_value()}, {"apparatus_dew_point_C", nullptr}, {"bypass_factor", bypass_factor}};
    coil["wet"] = h.coil && h.coil->cooled.condensate_kg_per_kg > 0.0;
    coil["total_kW"] = h.coil ? kW(h.coil->cooled.total_J_per_kg) : 0.0;
    coil["sensible_kW"] = h.coil ? kW(h.coil->cooled.sensible_J_per_kg) : 0.0;
    coil["latent_kW"] = h.coil ? kW(h.coil->cooled.latent_J_per_kg()) : 0.0;
    coil["condensate_kg_s"] = h.coil ? flow_kg_per_s * h.coil->cooled.condensate_kg_per_kg : 0.0;
    if (h.coil) coil["apparatus_dew_point_C"] = h.coil->apparatus_dew_point_C;
    return {{"mode", name_of(h.mode)},
            {"outdoor_share", h.outdoor_share},
            {"recovery_bypass_share", h.recovery_bypass_share},
            {"outdoor_air_after_recovery_C", h.outdoor_after_recovery.dry_bulb_C},
            {"recovered_kW", kW(h.recovered_J_per_kg)},
            {"heating_kW", kW(h.heating_J_per_kg)},
            {"coil", coil}};
}

FreeCooling rule_of(const std::string& word)
{
    if (word == "none") return FreeCooling::none;
    return word == "dry bulb" ? FreeCooling::dry_bulb : FreeCooling::enthalpy;
}

Outcome free_cooling(const json& table, const json& group)
{
    Comparison compare{table};
    for (const json& c : group) {
        const json& in = c.at("given");
        const quantity::Pressure pressure = pressure_of(in);
        const double flow = in.at("supply_dry_air_kg_s"), factor = in.at("coil_bypass_factor");
        Sums sums;
        json hours = json::array();
        for (const json& out : in.at("outdoor_C_and_pct")) {
            Handling g{rule_of(in.at("free_cooling")),   moist(out[0], out[1], pressure),
                       moist(in.at("return"), pressure), in.at("off_coil_C"),
                       in.at("minimum_outdoor_share"),   factor};
            if (const json& e = in.at("recovery_sensible_effectiveness"); !e.is_null())
                g.recovery_effectiveness = e.get<double>();
            const Handled h = handle(g);
            json hour = written(h, flow, factor);
            hour["outdoor_enthalpy_kJ_kg"] = air::enthalpy_J_per_kg(g.outdoor) / 1000.0;
            hour["mixed"] = written(h.mixed, pressure);
            hour["off_coil"] = written(h.off_coil, pressure);
            if (!g.recovery_effectiveness) hour["recovery_bypass_share"] = nullptr;
            sums.heating += hour["heating_kW"].get<double>();
            sums.total += hour["coil"]["total_kW"].get<double>();
            sums.sensible += hour["coil"]["sensible_kW"].get<double>();
            const double recovered = hour["recovered_kW"];
            (recovered > 0.0 ? sums.heat : sums.cold) += std::abs(recovered);
            ++sums.hours.at(static_cast<std::size_t>(h.mode));
            hours.push_back(hour);
        }
        compare_all(table, "", c.at("expected"), {{"hours", hours}, {"sums_with_one_hour_each", sums.written()}}, false,
                    compare);
    }
    return compare.outcome();
}

// ---- unsized supply

Outcome unsized(const json& table, const json& group)
{
    Comparison compare{table};
    for (const json& c : group) {
        const json& in = c.at("given");
        const quantity::Pressure pressure = pressure_of(in);
        const air::Point zone = point_of(moist(in.at("zone"), pressure)),
                         outdoor = point_of(moist(in.at("outdoor"), pressure));
        const double sensible = in.at("recovery_sensible_effectiveness"),
                     latent = in.at("recovery_latent_effectiveness"), outdoor_flow = in.at("outdoor_dry_air_kg_s");
        const air::Point after{outdoor.dry_bulb_C + sensible * (zone.dry_bulb_C - outdoor.dry_bulb_C),
                               outdoor.humidity_ratio + latent * (zone.humidity_ratio - outdoor.humidity_ratio)};
        ZoneAsks asks{zone,
                      in.at("sensible_demand_kW").get<double>() * 1000.0,
                      in.at("moisture_demand_g_s").get<double>() / 1000.0,
                      outdoor_flow,
                      after,
                      {in.at("supply_lowest_C"), in.at("supply_highest_C"), in.at("supply_lowest_humidity_ratio_kg_kg"),
                       in.at("supply_highest_humidity_ratio_kg_kg")}};
        const auto limit = [&](const char* key, double unit, std::optional<double>& to) {
            if (in.contains(key) && !in.at(key).is_null()) to = in.at(key).get<double>() * unit;
        };
        limit("maximum_dry_air_kg_s", 1.0, asks.bounds.most_dry_air_kg_per_s);
        limit("heating_capacity_kW", 1000.0, asks.bounds.most_heating_W);
        limit("cooling_capacity_kW", 1000.0, asks.bounds.most_cooling_W);
        const UnsizedSupply got = unsized_supply(asks);
        const auto kW = [](double W) { return W / 1000.0; };
        const auto latent_kW = [&](double kg_per_s) {
            return latent_of_moisture_W(kg_per_s, zone.dry_bulb_C) / 1000.0;
        };
        const json written_all = {{"zone", written(zone, pressure)},
                                  {"outdoor", written(outdoor, pressure)},
                                  {"outdoor_after_recovery", written(after, pressure)},
                                  {"recovered_total_kW", kW(outdoor_flow * (air::enthalpy_J_per_kg(after) -
                                                                            air::enthalpy_J_per_kg(outdoor)))},
                                  {"supply_dry_air_kg_s", got.dry_air_kg_per_s},
                                  {"flow_set_by", name_of(got.flow_by)},
                                  {"mixed", written(got.mixed, pressure)},
                                  {"supply_wanted", written(got.wanted, pressure)},
                                  {"supply", written(got.supply, pressure)},
                                  {"capacity_limit_reached", name_of(got.limit)},
                                  {"handler_sensible_kW", kW(got.sensible_W)},
                                  {"handler_latent_kW", kW(got.latent_W)},
                                  {"handler_total_kW", kW(got.total_W())},
                                  {"outdoor_air_load_kW", kW(got.outdoor_air_load_W)},
                                  {"delivered_sensible_kW", kW(got.given_sensible_W)},
                                  {"delivered_moisture_g_s", got.given_moisture_kg_per_s * 1000.0},
                                  {"delivered_latent_kW", latent_kW(got.given_moisture_kg_per_s)},
                                  {"unmet_sensible_kW", kW(got.unmet_sensible_W)},
                                  {"unmet_moisture_g_s", got.unmet_moisture_kg_per_s * 1000.0},
                                  {"unmet_latent_kW", latent_kW(got.unmet_moisture_kg_per_s)}};
        compare_all(table, "", c.at("expected"), written_all, false, compare);
    }
    return compare.outcome();
}

// ---- air balances

constexpr double m3_per_h = 1.0 / 3600.0;

struct Flat {
    std::vector<RoomAir> rooms{};
    std::map<std::string, std::size_t> index{};
};

Flat flat_of(const json& given)
{
    Flat out;
    for (const json& room : given.at("rooms")) {
        out.index[room.at("name")] = out.rooms.size();
        RoomAir air{room.at("supply_m3_h").get<double>() * m3_per_h, room.at("extract_m3_h").get<double>() * m3_per_h};
        if (room.contains("leakage_coefficient_m3_h_Pa_n"))
            air.leakage =
                Crack{room.at("leakage_coefficient_m3_h_Pa_n").get<double>() * m3_per_h, room.at("leakage_exponent")};
        out.rooms.push_back(air);
    }
    return out;
}

json written(const json& given, const Flat& flat, const std::vector<RoomBalance>& balances)
{
    json rooms = json::array();
    double supply = 0.0, extract = 0.0, in = 0.0, out = 0.0;
    for (std::size_t i = 0; i < balances.size(); ++i) {
        const RoomBalance& b = balances[i];
        json room = {{"transfer_in_m3_h", b.transfer_in_m3_per_s / m3_per_h},
                     {"transfer_out_m3_h", b.transfer_out_m3_per_s / m3_per_h},
                     {"surplus_m3_h", b.surplus_m3_per_s / m3_per_h},
                     {"infiltration_m3_h", b.infiltration_m3_per_s / m3_per_h},
                     {"exfiltration_m3_h", b.exfiltration_m3_per_s / m3_per_h},
                     {"pressure_sign", pressure_sign(b.surplus_m3_per_s)},
                     {"room_minus_outdoor_pressure_Pa", b.over_outdoors_Pa.value_or(0.0)}};
        if (const json& r = given.at("rooms")[i]; r.contains("volume_m3"))
            room["outdoor_air_change_1_h"] =
                (flat.rooms[i].supply_m3_per_s + b.infiltration_m3_per_s) / m3_per_h / r.at("volume_m3").get<double>();
        rooms.push_back(room);
        supply += flat.rooms[i].supply_m3_per_s;
        extract += flat.rooms[i].extract_m3_per_s;
        in += b.infiltration_m3_per_s;
        out += b.exfiltration_m3_per_s;
    }
    return {{"rooms", rooms},
            {"supply_total_m3_h", supply / m3_per_h},
            {"extract_total_m3_h", extract / m3_per_h},
            {"infiltration_total_m3_h", in / m3_per_h},
            {"exfiltration_total_m3_h", out / m3_per_h},
            {"supply_minus_extract_m3_h", (supply - extract) / m3_per_h},
            {"building_pressure_sign", pressure_sign(supply - extract)}};
}

Outcome pressure_balance(const json& table, const json& group)
{
    Comparison compare{table};
    for (const json& c : group) {
        const json& given = c.at("given");
        const Flat flat = flat_of(given);
        std::vector<TransferOfAir> transfers;
        for (const json& t : given.at("transfers"))
            transfers.push_back(
                {flat.index.at(t.at("from")), flat.index.at(t.at("to")), t.at("m3_h").get<double>() * m3_per_h});
        compare_all(table, "", c.at("expected"), written(given, flat, balance_of(flat.rooms, transfers)), true,
                    compare);
    }
    return compare.outcome();
}

Outcome pressure_balance_network(const json& table, const json& group)
{
    Comparison compare{table};
    for (const json& c : group) {
        const json& given = c.at("given");
        const Flat flat = flat_of(given);
        std::vector<TransferOpening> openings;
        for (const json& o : given.at("transfer_openings"))
            openings.push_back({flat.index.at(o.at("from")),
                                flat.index.at(o.at("to")),
                                {o.at("flow_coefficient_m3_h_Pa_n").get<double>() * m3_per_h, o.at("exponent")}});
        const NetworkBalance got = balance_of(flat.rooms, openings);
        compare.truth("settled", got.settled, true);
        json all = written(given, flat, got.rooms);
        for (std::size_t i = 0; i < openings.size(); ++i)
            all["transfers"].push_back({{"from", given.at("transfer_openings")[i].at("from")},
                                        {"to", given.at("transfer_openings")[i].at("to")},
                                        {"m3_h", got.transfer_m3_per_s[i] / m3_per_h}});
        compare_all(table, "", c.at("expected"), all, true, compare);
    }
    return compare.outcome();
}

} // namespace

void add_air_systems(Answers& answers)
{
    const std::string topic = "air systems";
    answers[{topic, "free_cooling"}] = free_cooling;
    answers[{topic, "unsized_supply"}] = unsized;
    answers[{topic, "pressure_balance"}] = pressure_balance;
    answers[{topic, "pressure_balance_network"}] = pressure_balance_network;
}

} // namespace venture::verify
