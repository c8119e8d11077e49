/// Table "emitters": radiators, exchangers, a capacity table; and the sound of units in a room.

#include <venture/rating/emitter_law.hpp>
#include <venture/rating/exchanger.hpp>
#include <venture/rating/grid_table.hpp>
#include <venture/rating/printed_capacity.hpp>
#include <venture/rating/sound.hpp>
#include <verify/tables.hpp>

namespace venture::verify {

using namespace rating; // NOLINT(google-build-using-namespace): what this file verifies
using nlohmann::json;

namespace {

// ---- sound

Octaves octaves_of(const json& values)
{
    Octaves out{};
    std::ranges::copy(values.get<std::vector<double>>(), out.begin());
    return out;
}

/// One weighting, levels of power less the room's correction.
double room_level(const json& in, const json& r, Comparison& compare)
{
    std::vector<double> each;
    for (const json& unit : in.at("units")) {
        const bool pressure = unit.contains("is_pressure") && unit.at("is_pressure") == true;
        const double one =
            unit.at("level_dBA").get<double>() - (pressure ? 0.0 : in.at("room_correction_dB").get<double>());
        each.push_back(level_of_several_dB(one, unit.at("count")));
        compare.value("each kind", each.back(), r.at("each_kind_dBA")[each.size() - 1], "noise");
        if (r.contains("greatest_count"))
            compare.truth("greatest count",
                          most_units_within(in.at("limit_dBA"), one) == r.at("greatest_count").get<int>(), true);
    }
    return sum_of_levels_dB(each);
}

double level_at_distances(const json& in, const json& r, Comparison& compare)
{
    std::vector<double> each;
    for (const json& unit : in.at("units")) {
        each.push_back(pressure_level_dB(unit.at("Lw_dBA"), unit.at("Q"), unit.at("r_m"), in.at("room_constant_m2")));
        compare.value("each", each.back(), r.at("each_dBA")[each.size() - 1], "noise");
    }
    return sum_of_levels_dB(each);
}

void bands(const json& in, const json& r, Comparison& compare)
{
    const Octaves corrections = octaves_of(in.at("room_correction_dB"));
    Octaves level{};
    for (std::size_t i = 0; i < level.size(); ++i) {
        std::vector<double> each;
        for (const json& unit : in.at("units"))
            each.push_back(level_of_several_dB(unit.at("Lw_dB")[i].get<double>() - corrections[i], unit.at("count")));
        level[i] = sum_of_levels_dB(each);
        compare.value("octave", level[i], r.at("octave_Lp_dB")[i], "noise");
    }
    compare.value("room", weighted_level_dB(level, octaves_of(in.at("A_weights_dB"))), r.at("room_dBA"), "noise");
    const CurveRating rating = curve_rating(level, octaves_of(in.at("rating_a")), octaves_of(in.at("rating_b")));
    compare.value("rating", rating.number, r.at("rating"), "noise");
    compare.truth("governing octave", in.at("octaves_Hz")[rating.octave] == r.at("governing_octave_Hz"), true);
    const double margin = in.at("limit_rating").get<double>() - rating.number;
    compare.value("margin", margin, r.at("margin_dB"), "noise");
    compare.truth("verdict", margin >= 0.0, r.at("verdict") == "passes");
}

Outcome noise_sum(const json& table, const json& group)
{
    Comparison compare{table};
    for (const json& c : group.at("cases")) {
        const json& in = c.at("inputs");
        std::vector<std::string> scales;
        for (const json& unit : in.at("units"))
            if (unit.contains("scale")) scales.push_back(unit.at("scale"));
        const bool mixed = std::ranges::any_of(scales, [](const std::string& s) { return s != "dB(A)"; });
        compare.truth(c.at("id"), mixed, c.at("expected") == "refused");
        if (mixed) continue;
        const json& r = c.at("result");
        if (c.at("kind") == "bands") {
            bands(in, r, compare);
            continue;
        }
        const double level =
            c.at("kind") == "distance" ? level_at_distances(in, r, compare) : room_level(in, r, compare);
        const double margin = in.at("limit_dBA").get<double>() - level;
        compare.value("room", level, r.at("room_dBA"), "noise");
        compare.value("margin", margin, r.at("margin_dB"), "noise");
        compare.truth("verdict", margin >= 0.0, r.at("verdict") == "passes");
    }
    return compare.outcome();
}

// ---- emitters and coils

constexpr std::pair<Mean, const char*> means[] = {{Mean::logarithmic, "logarithmic"}, {Mean::arithmetic, "arithmetic"}};

Outcome radiators(const json& table, const json& group)
{
    Comparison compare{table};
    for (const json& c : group.at("output")) {
        const double nominal = c.at("nominal_W_at_75_65_20"), n = c.at("exponent"), supply = c.at("supply_C"),
                     back = c.at("return_C"), room = c.at("room_C");
        compare.value("excess", logarithmic_excess_K(supply, back, room), c.at("excess_logarithmic_K"),
                      "closed_formulas");
        compare.value("nominal excess", standard_excess_K(), c.at("nominal_excess_logarithmic_K"), "closed_formulas");
        for (const auto& [mean, word] : means) {
            const double output = emitter_output_W(nominal, n, supply, back, room, mean);
            compare.value("output", output, c.at(fmt::format("output_{}_W", word)), "closed_formulas");
            compare.value("factor", output / nominal, c.at(fmt::format("factor_{}", word)), "closed_formulas");
            compare.value("flow", output / (4186.0 * (supply - back)),
                          c.at(fmt::format("mass_flow_kg_s_at_cp_4186_{}", word)), "closed_formulas");
        }
    }
    for (const json& c : group.at("required_flow"))
        for (const auto& [mean, word] : means) {
            const json& wanted = c.at(fmt::format("return_{}_C", word));
            const auto got = emitter_giving(c.at("nominal_W_at_75_65_20"), c.at("exponent"), c.at("supply_C"),
                                            c.at("room_C"), c.at("required_W"), mean);
            compare.truth("reached", got.has_value(), !wanted.is_null());
            if (!got) continue;
            compare.value("return", got->return_C, wanted, "root_finding");
            compare.value("flow", got->water_kg_per_s, c.at(fmt::format("mass_flow_{}_kg_s_at_cp_4186", word)),
                          "root_finding");
        }
    for (const json& c : group.at("given_flow")) {
        const EmitterState got = emitter_at_flow(c.at("nominal_W_at_75_65_20"), c.at("exponent"), c.at("supply_C"),
                                                 c.at("room_C"), c.at("mass_flow_kg_s"));
        compare.value("return", got.return_C, c.at("return_logarithmic_C"), "root_finding");
        compare.value("output", got.output_W, c.at("output_logarithmic_W"), "root_finding");
    }
    return compare.outcome();
}

Outcome exchangers(const json& table, const json& group)
{
    Comparison compare{table};
    constexpr std::tuple<Arrangement, const char*, const char*> all[] = {
        {Arrangement::counter, "counter", "closed_formulas"},
        {Arrangement::parallel, "parallel", "closed_formulas"},
        {Arrangement::cross, "cross_both_unmixed_exact", "cross_both_unmixed"},
        {Arrangement::cross_min_mixed, "cross_min_mixed", "closed_formulas"},
        {Arrangement::cross_max_mixed, "cross_max_mixed", "closed_formulas"}};
    for (const json& c : group.at("effectiveness"))
        for (const auto& [arrangement, key, tolerance] : all)
            compare.value(key, effectiveness(arrangement, c.at("ntu"), c.at("capacity_ratio")), c.at(key), tolerance);
    for (const json& c : group.at("counterflow")) {
        const auto W = [&](const char* key) { return 1000.0 * c.at(key).get<double>(); };
        const Exchange got = exchange(Arrangement::counter, W("UA_kW_K"), c.at("hot_in_C"), W("hot_capacity_rate_kW_K"),
                                      c.at("cold_in_C"), W("cold_capacity_rate_kW_K"));
        compare.value("effectiveness", got.effectiveness, c.at("effectiveness"), "closed_formulas");
        compare.value("heat", got.heat_W / 1000.0, c.at("heat_kW"), "closed_formulas");
        compare.value("hot out", got.hot_out_C, c.at("hot_out_C"), "closed_formulas");
        compare.value("cold out", got.cold_out_C, c.at("cold_out_C"), "closed_formulas");
        compare.value("mean difference",
                      logarithmic_mean_K(c.at("hot_in_C").get<double>() - got.cold_out_C,
                                         got.hot_out_C - c.at("cold_in_C").get<double>()),
                      c.at("lmtd_K"), "closed_formulas");
    }
    for (const json& c : group.at("heating_coil_water_flow")) {
        const double air_W_per_K = 1000.0 * c.at("dry_air_kg_s").get<double>() * c.at("air_cp_kJ_kgK").get<double>();
        const WaterNeeded got = water_for_heating(1000.0 * c.at("UA_kW_K").get<double>(), air_W_per_K, c.at("air_in_C"),
                                                  c.at("air_out_required_C"), c.at("water_in_C"));
        compare.truth("reached", got.reached, !c.at("water_out_C").is_null());
        compare.value("capacity rate", got.capacity_rate_W_per_K / 1000.0, c.at("water_capacity_rate_kW_K"),
                      "root_finding");
        compare.value("water out", got.water_out_C, c.at("water_out_C"), "root_finding");
    }
    return compare.outcome();
}

Outcome cooling_capacity_table(const json& table, const json& group)
{
    Comparison compare{table};
    const json& data = group.at("invented_data");
    const std::vector<Axis> axes = {{At::outdoor_dry_bulb, data.at("outdoor_C")},
                                    {At::entering_wet_bulb, data.at("entering_wet_bulb_C")}};
    const auto grid = [&](const char* key) {
        std::vector<double> values;
        for (const json& row : data.at(key))
            for (const json& v : row) values.push_back(1000.0 * v.get<double>());
        return GridTable{axes, values};
    };
    const GridTable total = grid("total_kW_rows_outdoor_columns_wet_bulb"),
                    sensible = grid("sensible_kW_rows_outdoor_columns_wet_bulb");
    const double rated_flow = data.at("rated_air_flow_m3_s");
    const auto factor = [&](const char* key) {
        return GridTable{{{At::air_flow, data.at("flow_ratio")}}, data.at(key)};
    };
    const GridTable of_total = factor("flow_factor_total"), of_sensible = factor("flow_factor_sensible");
    for (const json& c : group.at("cases")) {
        const double ratio = c.at("air_flow_ratio");
        const Conditions at = Conditions{}
                                  .set(At::outdoor_dry_bulb, c.at("outdoor_C"))
                                  .set(At::entering_wet_bulb, c.at("entering_wet_bulb_C"))
                                  .set(At::air_flow, ratio);
        const auto check = [&](const char* key, double value) {
            compare.value(key, value, c.at(key), "capacity_table");
        };
        check("table_total_kW", total.at(at) / 1000.0);
        check("table_sensible_kW", sensible.at(at) / 1000.0);
        check("flow_factor_total", of_total.at(at));
        check("flow_factor_sensible", of_sensible.at(at));
        const Corrections by{.total = of_total.at(at),
                             .sensible = of_sensible.at(at),
                             .per_flow_J_per_m3K = 1.2 * 1005.0 * (1.0 - data.at("bypass_factor").get<double>()),
                             .air_flow_m3_per_s = rated_flow * ratio};
        const GrossAndNet got =
            corrected({total.at(at), sensible.at(at), data.at("table_dry_bulb_C")}, by, c.at("entering_dry_bulb_C"));
        check("total_kW", got.gross.total_W / 1000.0);
        check("sensible_kW", got.gross.sensible_W / 1000.0);
        compare.truth("capped", got.capped, c.at("capped_at_total"));
    }
    return compare.outcome();
}

} // namespace

void add_emitters(Answers& answers)
{
    const std::string topic = "emitters, heat exchangers, heat pumps, capacity tables";
    answers[{topic, "radiators"}] = radiators;
    answers[{topic, "exchangers"}] = exchangers;
    answers[{topic, "cooling_capacity_table"}] = cooling_capacity_table;
    answers[{topic_of_rating, "noise_sum"}] = noise_sum;
}

} // namespace venture::verify
