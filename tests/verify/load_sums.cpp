/// Tables of load methods that are plain sums: steady loss of buildings, heating-up, rules, swings, peaks.

#include <functional>

#include <venture/loads/building_heat_loss.hpp>
#include <venture/loads/glass_swing.hpp>
#include <venture/loads/heating_up.hpp>
#include <venture/loads/peaks.hpp>
#include <venture/loads/rules_of_thumb.hpp>
#include <verify/tables.hpp>

namespace venture::verify {

using namespace loads; // NOLINT(google-build-using-namespace): what this file verifies
using nlohmann::json;

namespace {

// ---- steady loss

double reduction_of(const json& c, const std::string& space)
{
    const json& given = c.at("unheated_spaces").at(space);
    if (given.contains("b_u")) return given.at("b_u");
    double to_heated = given.at("other_heated_W_K");
    for (const json& room : c.at("rooms"))
        for (const json& e : room.at("elements"))
            if (e.at("to") == "unheated" && e.at("space") == space)
                to_heated += e.at("area_m2").get<double>() * e.at("U_W_m2K").get<double>();
    const double air = air_heat_Wh_per_m3K * given.value("volume_m3", 0.0) * given.value("air_changes_1_h", 0.0);
    return reduction_factor(to_heated, given.at("H_to_outdoors_W_K").get<double>() + air);
}

double inside_of(const json& c, const std::string& room)
{
    for (const json& r : c.at("rooms"))
        if (r.at("id") == room) return r.at("theta_int_C");
    throw std::runtime_error{"no room '" + room + "'"};
}

LossElement element_of(const json& c, const json& e)
{
    const std::string to = e.at("to");
    LossElement out{.name = e.at("name"), .area_m2 = e.at("area_m2")};
    out.u_W_per_m2K = to == "ground" ? e.at("U_equiv_W_m2K") : e.at("U_W_m2K");
    if (to == "outdoor")
        out.to = ToOutdoors{e.value("delta_U_tb_W_m2K", 0.0)};
    else if (to == "unheated")
        out.to = ToUnheated{reduction_of(c, e.at("space"))};
    else if (to == "ground")
        out.to = ToGround{e.at("G_w")};
    else if (to == "neighbour_unit")
        out.to = ToHeated{e.at("theta_adjacent_C")};
    else if (to == "room")
        out.to = ToHeated{e.contains("assumed_temperature_C") ? e.at("assumed_temperature_C").get<double>()
                                                              : inside_of(c, e.at("room")),
                          true};
    else
        throw std::runtime_error{"an element to " + to};
    return out;
}

RoomOnPaper room_of(const json& c, const json& r)
{
    RoomOnPaper out{.inside_C = r.at("theta_int_C"),
                    .outside_C = c.at("theta_e_C"),
                    .yearly_mean_C = c.at("theta_annual_mean_C"),
                    .floor_area_m2 = r.at("floor_area_m2"),
                    .volume_m3 = r.at("volume_m3"),
                    .heating_up_W_per_m2 = r.value("heating_up_W_m2", 0.0)};
    for (const json& e : r.at("elements")) out.elements.push_back(element_of(c, e));
    const double leaks = leakage_m3_per_h(out.volume_m3, r.at("n50_1_h"), r.at("e_shielding"), r.at("eps_height"));
    if (!c.contains("heat_recovery_efficiency")) {
        out.air = NaturalAir{r.at("n_min_1_h"), leaks};
        return out;
    }
    const json& fans = r.at("mechanical");
    BalancedAir air{.infiltration_m3_per_h = leaks,
                    .supply_m3_per_h = fans.at("supply_m3_h"),
                    .extract_m3_per_h = fans.at("extract_m3_h"),
                    .recovery_efficiency = c.at("heat_recovery_efficiency"),
                    .extract_C = c.at("theta_extract_C"),
                    .transfer_out_m3_per_h = fans.at("transfer_out_m3_h")};
    for (const json& t : fans.at("transfer_in")) air.transfer_in.push_back({t.at("flow_m3_h"), inside_of(c, t.at("from_room"))});
    out.air = std::move(air);
    return out;
}

void compare_room(Comparison& compare, const RoomOnPaper& room, const RoomHeatLoss& got, const json& e)
{
    const auto near = [&](const char* key, double value) { compare.value(key, value, e.at(key), "heat_loss"); };
    double by_kind[5] = {};
    for (std::size_t i = 0; i < got.elements.size(); ++i) {
        const json& element = e.at("elements").at(i);
        compare.value("H", got.elements[i].h_W_per_K, element.at("H_W_K"), "heat_loss");
        compare.value("loss", got.elements[i].loss_W, element.at("loss_W"), "heat_loss");
        by_kind[static_cast<std::size_t>(loss_to(room.elements[i]))] += got.elements[i].loss_W;
    }
    near("transmission_outdoor_W", by_kind[static_cast<std::size_t>(LossTo::outdoors)]);
    near("transmission_unheated_W", by_kind[static_cast<std::size_t>(LossTo::unheated)]);
    near("transmission_ground_W", by_kind[static_cast<std::size_t>(LossTo::ground)]);
    near("transmission_neighbour_unit_W", by_kind[static_cast<std::size_t>(LossTo::neighbours)]);
    near("transmission_other_rooms_W", by_kind[static_cast<std::size_t>(LossTo::rooms)]);
    near("transmission_W", got.transmission_W);
    near("ventilation_W", got.ventilation_W);
    near("heating_up_W", got.heating_up_W);
    near("design_heat_load_W", got.total_W());
    if (e.contains("V_design_m3_h")) near("V_design_m3_h", got.outdoor_air_m3_per_h);
    if (e.contains("transfer_air_W")) near("transfer_air_W", got.transfer_air_W);
    if (e.contains("air_from_outdoors_by_balance_m3_h"))
        near("air_from_outdoors_by_balance_m3_h", std::get<BalancedAir>(room.air).from_outdoors_by_balance_m3_per_h());
}

Outcome steady(const json& table, const json& group)
{
    Comparison compare{table};
    for (const json& c : group) {
        BuildingOnPaper building{.leakage_share = c.at("infiltration_share_of_building")};
        for (const json& r : c.at("rooms")) building.rooms.push_back(room_of(c, r));
        const BuildingHeatLoss got = building_heat_loss(building);
        const json &e = c.at("results"), &whole = e.at("building"), &difference = e.at("difference_W");
        for (std::size_t i = 0; i < got.rooms.size(); ++i)
            compare_room(compare, building.rooms[i], got.rooms[i], e.at("rooms").at(i));
        for (const auto& [space, expected] : e.at("unheated_spaces").items())
            compare.value("b_u", reduction_of(c, space), expected.at("b_u"), "heat_loss");
        compare.value("sum of rooms", got.sum_of_rooms_W, e.at("sum_of_rooms_W"), "heat_loss");
        for (const auto& [key, value] : {std::pair{"transmission_W", got.transmission_W},
                                         {"transmission_outdoor_W", got.to_outdoors_W},
                                         {"transmission_unheated_W", got.to_unheated_W},
                                         {"transmission_ground_W", got.to_ground_W},
                                         {"transmission_neighbour_unit_W", got.to_neighbours_W},
                                         {"sum_V_min_m3_h", got.least_air_m3_per_h},
                                         {"share_times_sum_V_inf_m3_h", got.leakage_m3_per_h},
                                         {"ventilation_W", got.ventilation_W},
                                         {"heating_up_W", got.heating_up_W},
                                         {"design_heat_load_W", got.total_W()}})
            if (whole.contains(key)) compare.value(key, value, whole.at(key), "heat_loss");
        if (whole.contains("governs"))
            compare.truth("what governs", got.leakage_governs, whole.at("governs") == "infiltration");
        compare.value("difference", got.difference_W(), difference.at("sum_of_rooms_minus_building"), "heat_loss");
        compare.value("by exchange", got.exchange_between_rooms_W, difference.at("of_which_exchange_between_rooms"),
                      "heat_loss");
        compare.value("by air", got.difference_by_air_W(), difference.at("of_which_ventilation"), "heat_loss");
    }
    return compare.outcome();
}

// ---- heating-up

Outcome preheat(const json& table, const json& group)
{
    Comparison compare{table};
    const json& tolerance = table.at("tolerances").at("preheat");
    for (const json& c : group) {
        const TwoNodeRoom room{.air_J_per_K = 1e3 * c.at("C_air_kJ_K").get<double>(),
                               .fabric_J_per_K = 1e3 * c.at("C_fabric_kJ_K").get<double>(),
                               .air_to_fabric_W_per_K = c.at("H_air_fabric_W_K"),
                               .air_to_outdoors_W_per_K = c.at("H_air_outdoor_W_K"),
                               .fabric_to_outdoors_W_per_K = c.at("H_fabric_outdoor_W_K"),
                               .outdoor_C = c.at("theta_outdoor_C"),
                               .share_to_air = c.at("share_of_power_to_air")};
        const std::string before = c.at("before");
        const HeatingUp got = heating_up(room, {.set_point_C = c.at("theta_set_C"),
                                                .set_back_C = c.at("theta_set_back_C"),
                                                .before = before == "held"  ? Before::held
                                                          : before == "off" ? Before::off
                                                                            : Before::off_then_held,
                                                .hours_before_h = c.value("hours_before_preheat_begins_h", 0.0),
                                                .within_h = c.at("preheat_h")});
        const json& e = c.at("results");
        const auto near = [&](const std::string& what, double value, const json& expected, bool absolute) {
            const double reference = expected;
            compare.error(what, std::abs(value - reference),
                          absolute ? tolerance.at("abs").get<double>()
                                   : tolerance.at("rel").get<double>() * std::abs(reference));
        };
        for (const auto& [key, steady] :
             {std::pair{"steady_at_set_point", &got.at_set_point}, {"steady_at_set_back", &got.at_set_back}}) {
            near(key, steady->fabric_C, e.at(key).at("fabric_C"), true);
            near(key, steady->power_W, e.at(key).at("power_W"), false);
        }
        near("slow", got.slow_h, e.at("time_constants_h").at(0), true);
        near("fast", got.fast_h, e.at("time_constants_h").at(1), true);
        compare.truth("limit reached", got.hours_until_set_back.has_value(), e.contains("hours_until_limit"));
        if (e.contains("hours_until_limit") && got.hours_until_set_back) {
            near("until limit", *got.hours_until_set_back, e.at("hours_until_limit"), true);
            near("fabric then", *got.fabric_at_set_back_C, e.at("fabric_when_limit_is_reached_C"), true);
        }
        near("air at start", got.air_at_start_C, e.at("air_at_start_C"), true);
        near("fabric at start", got.fabric_at_start_C, e.at("fabric_at_start_C"), true);
        near("without heating", got.air_without_heating_C, e.at("air_at_end_without_heating_C"), true);
        near("rise", got.rise_K_per_W, e.at("air_rise_per_watt_K_W"), false);
        near("power", got.power_W, e.at("preheat_power_W"), false);
        near("fabric at end", got.fabric_at_end_C, e.at("fabric_at_end_C"), true);
        near("above steady", got.above_steady_W(), e.at("above_steady_power_W"), false);
        near("for the floor", got.above_steady_W() / c.at("floor_area_m2").get<double>(),
             e.at("above_steady_power_W_m2"), false);
        near("just after", got.holding_after_W, e.at("power_just_after_reaching_set_point_W"), false);
    }
    return compare.outcome();
}

// ---- rules of thumb

constexpr double ft2_m2 = 0.3048 * 0.3048, cfm_m3_per_s = 0.3048 * 0.3048 * 0.3048 / 60.0, btu_J = 1055.05585262,
                 btu_per_h_W = btu_J / 3600.0, ton_W = 12000.0 * btu_per_h_W;

/// A number with its unit, in SI.
double si_of(const json& given)
{
    static const std::map<std::string, double> units = {{"m2", 1.0},
                                                        {"ft2", ft2_m2},
                                                        {"kW", 1e3},
                                                        {"W", 1.0},
                                                        {"ton", ton_W},
                                                        {"Btu/h", btu_per_h_W},
                                                        {"L/s", 1e-3},
                                                        {"m3/h", 1.0 / 3600.0},
                                                        {"m3/s", 1.0},
                                                        {"cfm", cfm_m3_per_s},
                                                        {"W/m2", 1.0},
                                                        {"ft2/ton", ft2_m2 / ton_W},
                                                        {"m2/kW", 1e-3},
                                                        {"Btu/(h ft2)", btu_per_h_W / ft2_m2},
                                                        {"cfm/ton", cfm_m3_per_s / ton_W},
                                                        {"L/(s kW)", 1e-6},
                                                        {"m3/(h kW)", 1.0 / 3.6e6}};
    return given.at(0).get<double>() * units.at(given.at(1));
}

Proportions proportions_of(const json& given)
{
    if (given.contains("capacity"))
        return {si_of(given.at("area")), si_of(given.at("capacity")), si_of(given.at("air"))};
    const json& rule = given.at("area_rule");
    const std::string unit = rule.at(1);
    const bool area_for_capacity = unit == "ft2/ton" || unit == "m2/kW";
    return by_rule(si_of(given.at("area")), area_for_capacity ? 1.0 / si_of(rule) : si_of(rule),
                   si_of(given.at("air_rule")));
}

Outcome rules(const json& table, const json& group)
{
    Comparison compare{table};
    for (const json& c : group) {
        const json& given = c.at("given");
        const Proportions p = proportions_of(given);
        std::map<std::string, double> got = {
            {"area_m2", p.area_m2},
            {"area_ft2", p.area_m2 / ft2_m2},
            {"capacity_kW", 1e-3 * p.capacity_W},
            {"capacity_ton", p.capacity_W / ton_W},
            {"capacity_Btu_h", p.capacity_W / btu_per_h_W},
            {"air_L_s", 1e3 * p.air_m3_per_s},
            {"air_m3_h", 3600.0 * p.air_m3_per_s},
            {"air_cfm", p.air_m3_per_s / cfm_m3_per_s},
            {"area_per_capacity_m2_kW", 1e3 * p.area_per_capacity_m2_per_W()},
            {"area_per_capacity_ft2_ton", p.area_per_capacity_m2_per_W() * ton_W / ft2_m2},
            {"capacity_per_area_W_m2", p.capacity_per_area_W_per_m2()},
            {"capacity_per_area_Btu_h_ft2", p.capacity_per_area_W_per_m2() * ft2_m2 / btu_per_h_W},
            {"air_per_capacity_L_s_kW", 1e6 * p.air_per_capacity_m3_per_s_W()},
            {"air_per_capacity_m3_h_kW", 3.6e6 * p.air_per_capacity_m3_per_s_W()},
            {"air_per_capacity_cfm_ton", p.air_per_capacity_m3_per_s_W() * ton_W / cfm_m3_per_s},
            {"air_per_area_L_s_m2", 1e3 * p.air_per_area_m3_per_s_m2()},
            {"air_per_area_m3_h_m2", 3600.0 * p.air_per_area_m3_per_s_m2()},
            {"air_per_area_cfm_ft2", p.air_per_area_m3_per_s_m2() * ft2_m2 / cfm_m3_per_s}};
        if (given.contains("sensible_share_of_capacity")) {
            const double share = given.at("sensible_share_of_capacity");
            const double difference = air_difference_K(p, share, given.at("rho_cp_J_m3K"));
            got["sensible_capacity_kW"] = 1e-3 * share * p.capacity_W;
            got["temperature_difference_of_the_air_K"] = difference;
            got["temperature_difference_of_the_air_F"] = 1.8 * difference;
        }
        for (const auto& [key, expected] : c.at("results").items())
            compare.value(key, got.at(key), expected, "rules_of_thumb");
    }
    return compare.outcome();
}

// ---- swing of the glass load

void number_or_none(Comparison& compare, const char* what, std::optional<double> got, const json& expected,
                    const std::string& tolerance)
{
    compare.truth(what, got.has_value(), !expected.is_null());
    if (got && !expected.is_null()) compare.value(what, *got, expected, tolerance);
}

void compare_swing(Comparison& compare, const GlassSwing& got, const json& e)
{
    compare.value("mean", got.mean_W, e.at("mean_of_12_hours_W"), "swing");
    compare.value("peak", got.peak_W, e.at("peak_W"), "swing");
    number_or_none(compare, "hour", got.peak_hour ? std::optional{static_cast<double>(*got.peak_hour)} : std::nullopt,
                   e.at("peak_hour"), "swing");
    number_or_none(compare, "peak over mean", got.peak_over_mean(), e.at("peak_over_mean"), "swing");
    compare.value("limit", got.limit_W, e.at("limit_W"), "swing");
    compare.value("excess", got.excess_W(), e.at("excess_W"), "swing");
    compare.truth("above", got.is_above(), e.at("above_limit"));
    compare.value("mean and excess", got.mean_W + got.excess_W(), e.at("mean_plus_excess_W"), "swing");
    compare.value("mean of day", got.mean_of_day_W, e.at("mean_of_24_hours_W"), "swing");
}

Outcome swings(const json& table, const json& group)
{
    Comparison compare{table};
    for (const json& c : group) {
        const json& e = c.at("results");
        const auto load_of = [&](const std::function<bool(const std::string&)>& wanted) {
            HourlyDay out{};
            for (const json& g : c.at("glass"))
                for (std::size_t h = 0; wanted(g.at("facing")) && h < out.size(); ++h)
                    out[h] += g.at("area_m2").get<double>() * g.at("load_per_area_W_m2").at(h).get<double>();
            return out;
        };
        const HourlyDay all = load_of([](const std::string&) { return true; });
        for (std::size_t h = 0; h < all.size(); ++h) compare.value("load", all[h], e.at("load_W").at(h), "swing");
        const GlassSwing whole = glass_swing(all);
        compare_swing(compare, whole, e.at("whole"));
        double sum_of_peaks = 0.0;
        for (const json& z : c.at("zones_proposed")) {
            const auto faces = z.at("faces").get<std::vector<std::string>>();
            const HourlyDay load =
                load_of([&](const std::string& f) { return std::ranges::find(faces, f) != faces.end(); });
            const GlassSwing got = glass_swing(load);
            const json& zone = e.at("zones").at(z.at("zone"));
            compare_swing(compare, got, zone);
            sum_of_peaks += got.peak_W;
            if (whole.peak_hour)
                compare.value("then", load[*whole.peak_hour], zone.at("load_at_peak_hour_of_whole_W"), "swing");
        }
        compare.value("sum of peaks", sum_of_peaks, e.at("sum_of_zone_peaks_W"), "swing");
        compare.value("coincident", whole.peak_W, e.at("coincident_peak_W"), "swing");
        number_or_none(compare, "coincident over sum",
                       sum_of_peaks > 0.0 ? std::optional{whole.peak_W / sum_of_peaks} : std::nullopt,
                       e.at("coincident_over_sum"), "swing");
        const std::string decision = !whole.peak_hour   ? "no glass"
                                     : whole.is_above() ? "zoning or variable capacity"
                                                        : "one zone will do";
        compare.truth("decision", decision == e.at("decision"), true);
    }
    return compare.outcome();
}

// ---- peaks

void compare_peak(Comparison& compare, const std::string& what, const Peak& got, const json& e, const char* value)
{
    compare.value(what, got.value_W, e.at(value), "sums");
    compare.truth(what + ": whether", got.when.has_value(), !e.at("month").is_null());
    if (!got.when || e.at("month").is_null()) return;
    compare.truth(what + ": month", got.when->month == e.at("month"), true);
    compare.truth(what + ": hour", got.when->hour == e.at("hour"), true);
}

Outcome peaks(const json& table, const json& group)
{
    Comparison compare{table};
    for (const json& c : group) {
        std::vector<SignedDays> rooms;
        for (const json& z : c.at("zones")) {
            SignedDays& room = rooms.emplace_back();
            room.of = z.at("zone");
            for (const int month : c.at("months").get<std::vector<int>>()) {
                SignedDay& day = room.days.emplace_back();
                day.month = month;
                const json& load = z.at("load_W_by_month").at(std::to_string(month));
                for (std::size_t h = 0; h < day.load_W.size(); ++h) day.load_W[h] = load.at(h);
            }
        }
        const json& e = c.at("results");
        for (const auto& [key, which] : {std::pair{"cooling", PeakOf::cooling}, {"heating", PeakOf::heating}}) {
            const PeaksTogether got = peaks_together(rooms, which);
            const json& expected = e.at(key);
            for (std::size_t i = 0; i < rooms.size(); ++i) {
                compare_peak(compare, key, got.own[i], expected.at("own_peaks").at(rooms[i].of), "value_W");
                compare.value("then", got.at_coincident_W[i], expected.at("zones_at_coincident_peak_W").at(rooms[i].of),
                              "sums");
            }
            compare.value("sum", got.sum_of_own_W, expected.at("sum_of_own_peaks_W"), "sums");
            compare_peak(compare, "coincident", got.coincident, expected.at("coincident_peak"), "value_W");
            number_or_none(compare, "coincident over sum", got.coincident_over_sum(),
                           expected.at("coincident_over_sum"), "sums");
            for (std::size_t d = 0; d < c.at("months").size(); ++d) {
                const HourlyDay sum = sum_of(rooms, d, which);
                const json& day = e.at("building_by_month").at(std::to_string(c.at("months").at(d).get<int>()));
                for (std::size_t h = 0; h < sum.size(); ++h)
                    compare.value("building", sum[h], day.at(std::string{key} + "_W").at(h), "sums");
            }
        }
        compare_peak(compare, "both", most_of_both(rooms), e.at("largest_heating_and_cooling_at_once"),
                     "smaller_of_both_W");
    }
    return compare.outcome();
}

} // namespace

void add_load_sums(Answers& answers, const std::string& topic)
{
    answers[{topic, "steady_heat_loss"}] = steady;
    answers[{topic, "preheat_capacity"}] = preheat;
    answers[{topic, "rules_of_thumb_arithmetic"}] = rules;
    answers[{topic, "swing_and_zoning"}] = swings;
    answers[{topic, "peak_of_sum"}] = peaks;
}

} // namespace venture::verify
