/// Table "rating": reading capacity tables, coils.

#include <venture/rating/coil_conductance.hpp>
#include <venture/rating/grid_table.hpp>
#include <venture/rating/printed_capacity.hpp>
#include <verify/tables.hpp>

namespace venture::verify {

using namespace rating; // NOLINT(google-build-using-namespace): what this file verifies
using nlohmann::json;

namespace {

constexpr double W_per_Btu_h = 0.29307107, m3_per_s_per_cfm = 0.000471947443, m_per_ft = 0.3048;
double celsius(double fahrenheit) { return (fahrenheit - 32.0) / 1.8; }

/// Keys of a case end in their unit; values go in as SI and come out as the case has them.
struct Units {
    bool inch_pound = false;
    std::string power; ///< "kW", "W", "Btu_h"
    [[nodiscard]] double W(double v) const
    {
        return v * (power == "Btu_h" ? W_per_Btu_h : power == "kW" ? 1000.0 : 1.0);
    }
    [[nodiscard]] double back(double watts) const { return watts / W(1.0); }
    [[nodiscard]] double temperature(const json& c, const std::string& name) const
    {
        return inch_pound ? celsius(c.at(name + "_F").get<double>()) : c.at(name + "_C").get<double>();
    }
    [[nodiscard]] double power_of(const json& c, const std::string& name) const
    {
        return W(c.at(name + "_" + power).get<double>());
    }
    [[nodiscard]] double air_flow(const json& c) const
    {
        return inch_pound ? c.at("air_flow_cfm").get<double>() * m3_per_s_per_cfm : c.at("air_flow_m3_s").get<double>();
    }
    /// k in W per K and m3/s.
    [[nodiscard]] double per_flow(const json& c) const
    {
        return inch_pound
                   ? c.at("k_Btu_h_per_F_per_1000_cfm").get<double>() * W_per_Btu_h * 1.8 / (1000.0 * m3_per_s_per_cfm)
                   : c.at("k_W_per_K_per_m3_s").get<double>();
    }
};

/// Compares within the unit's absolute tolerance or the relative one.
void compare_by_unit(Comparison& compare, const json& table, const std::string& tolerance, const std::string& what,
                     const std::string& unit, double got, double expected)
{
    const json& t = table.at("tolerances").at(tolerance);
    const double abs =
        t.contains("abs_by_unit") ? t.at("abs_by_unit").value(unit, t.value("abs", 0.0)) : t.value("abs", 0.0);
    compare.error(what, std::abs(got - expected), std::max(abs, t.value("rel", 0.0) * std::abs(expected)));
}

/// Axes of a table by their keys ("outdoor_dry_bulb_C"), and its grids flattened.
Axis axis_of(const std::string& key, const json& values)
{
    const bool fahrenheit = key.ends_with("_F");
    const std::string name = key.substr(0, key.find_last_of('_'));
    Axis axis{*input_called(name == "air_flow_m3" ? "air_flow" : name), {}};
    for (const json& v : values) axis.values.push_back(fahrenheit ? celsius(v.get<double>()) : v.get<double>());
    return axis;
}
void flatten(const json& grid, std::vector<double>& into)
{
    if (grid.is_number()) return into.push_back(grid.get<double>());
    for (const json& part : grid) flatten(part, into);
}

Outcome table_lookup(const json& table, const json& group)
{
    Comparison compare{table};
    for (const json& c : group.at("cases")) {
        const json& printed = group.at("tables").at(c.at("table").get<std::string>());
        // The order of the axes is that of the layout, in its words.
        const std::string layout = printed.at("layout");
        std::vector<std::pair<std::size_t, Axis>> found;
        for (const auto& [key, values] : printed.at("axes").items()) {
            const std::string word = key.find("air_flow") == 0  ? "air flow"
                                     : key.find("outdoor") == 0 ? "outdoor"
                                                                : "wet bulb";
            found.emplace_back(layout.find(word), axis_of(key, values));
        }
        std::ranges::sort(found, {}, [](const auto& a) { return a.first; });
        std::vector<Axis> axes;
        for (auto& [at, axis] : found) axes.push_back(std::move(axis));
        Conditions at;
        for (const auto& [key, value] : c.at("inputs").items()) {
            const Axis one = axis_of(key, json::array({value}));
            at.set(one.input, one.values.front());
        }
        const bool inch_pound = printed.contains("total_Btu_h");
        const std::string unit = inch_pound ? "Btu_h" : "kW";
        double ratio = 1.0;
        for (const char* which : {"sensible_", "total_"}) {
            std::vector<double> values;
            flatten(printed.at(which + unit), values);
            const GridTable grid{axes, values};
            compare.truth(c.at("id"), grid.refuses(at).has_value(), c.at("expected") == "refused");
            if (grid.refuses(at)) {
                compare.truth(
                    c.at("id").get<std::string>() + " names what is outside",
                    std::string{input_of(grid.refuses(at)->what).key}.starts_with(std::string{
                        input_of(axis_of(c.at("refused_because")[0].at("input"), json::array({0.0})).input).key}),
                    true);
                continue;
            }
            const double got = grid.at(at);
            ratio = which[0] == 's' ? got : ratio / got;
            compare_by_unit(compare, table, "closed", which, unit, got, c.at("result").at(which + unit));
        }
        if (c.contains("result")) compare.value("sensible ratio", ratio, c.at("result").at("sensible_ratio"), "closed");
    }
    return compare.outcome();
}

Outcome dry_bulb_correction(const json& table, const json& group)
{
    Comparison compare{table};
    for (const json& c : group.at("cases")) {
        const json& in = c.at("inputs");
        const bool inch_pound = c.at("units") == "inch-pound";
        const Units u{inch_pound, inch_pound ? "Btu_h" : "W"};
        const bool net = in.at("table_basis") == "net";
        const PrintedCapacity printed{u.power_of(in, "table_total"), u.power_of(in, "table_sensible"),
                                      u.temperature(in, "reference_dry_bulb"),
                                      net ? in.at("table_fan_power_W").get<double>() : 0.0};
        const double height_m =
            inch_pound ? in.at("altitude_ft").get<double>() * m_per_ft : in.at("altitude_m").get<double>();
        Corrections by{.total = in.at("indoor_unit_factor_total"),
                       .sensible = in.at("indoor_unit_factor_sensible"),
                       .per_flow_J_per_m3K = u.per_flow(in),
                       .air_flow_m3_per_s = u.air_flow(in),
                       .density_ratio = density_ratio_at(height_m),
                       .fan_W = in.at("fan_power_W")};
        bool refused = false;
        if (const json& altitude = in.at("altitude_table"); !altitude.is_null()) {
            Axis axis{At::height_above_sea, {}};
            for (const json& h : altitude.at(inch_pound ? "altitude_ft" : "altitude_m"))
                axis.values.push_back(h.get<double>() * (inch_pound ? m_per_ft : 1.0));
            const Conditions here = Conditions{}.set(At::height_above_sea, height_m);
            const GridTable total{{axis}, altitude.at("factor_total")},
                sensible{{axis}, altitude.at("factor_sensible")};
            refused = total.refuses(here).has_value();
            if (!refused) {
                by.total *= total.at(here);
                by.sensible *= sensible.at(here);
            }
        }
        compare.truth(c.at("id"), refused, c.at("expected") == "refused");
        if (refused) continue;
        const GrossAndNet got = corrected(printed, by, u.temperature(in, "entering_dry_bulb"));
        const json& r = c.at("result");
        const auto check = [&](const std::string& key, double watts) {
            compare_by_unit(compare, table, "closed", key, u.power, u.back(watts), r.at(key + "_" + u.power));
        };
        check("gross_total", got.gross.total_W);
        check("gross_sensible", got.gross.sensible_W);
        check("net_total", got.net.total_W);
        check("net_sensible", got.net.sensible_W);
        check("net_latent", got.net.latent_W());
        compare.truth("capped at total", got.capped, r.at("capped_at_total"));
    }
    return compare.outcome();
}

/// One row of a table by columns over the wet bulb, or between two rows.
struct Row {
    std::vector<double> total_W{}, sensible_W{};
    std::unique_ptr<bool[]> wet{};
};
Row row_of(const json& printed, const Units& u, const Place& place, bool on_a_row)
{
    const auto column = [&](const char* which, std::size_t row, std::size_t i) {
        return u.W(printed.at(which + u.power)[row][i].get<double>());
    };
    const std::size_t columns = printed.at("total_" + u.power)[0].size();
    Row out{.wet = std::make_unique<bool[]>(columns)};
    const std::size_t low = place.share == 1.0 ? place.cell + 1 : place.cell, high = on_a_row ? low : place.cell + 1;
    for (std::size_t i = 0; i < columns; ++i) {
        const double share = on_a_row ? 0.0 : place.share;
        out.total_W.push_back(std::lerp(column("total_", low, i), column("total_", high, i), share));
        out.sensible_W.push_back(std::lerp(column("sensible_", low, i), column("sensible_", high, i), share));
        out.wet[i] = column("sensible_", low, i) < column("total_", low, i) &&
                     column("sensible_", high, i) < column("total_", high, i);
    }
    return out;
}

Outcome dry_coil_branch(const json& table, const json& group)
{
    Comparison compare{table};
    for (const json& c : group.at("cases")) {
        const json& printed = group.at("tables").at(c.at("table").get<std::string>());
        const bool inch_pound = printed.contains("total_Btu_h");
        const Units u{inch_pound, inch_pound ? "Btu_h" : "kW"};
        const std::string degree = inch_pound ? "_F" : "_C";
        const Axis outdoor = axis_of("outdoor_dry_bulb" + degree, printed.at("outdoor_dry_bulb" + degree));
        const Axis wet_bulb = axis_of("entering_wet_bulb" + degree, printed.at("entering_wet_bulb" + degree));
        const json& in = c.at("inputs");
        const double outdoor_C = u.temperature(in, "outdoor_dry_bulb");
        const bool outside = refusal_of(outdoor, Conditions{}.set(At::outdoor_dry_bulb, outdoor_C)).has_value();
        std::variant<CoilHeat, Refusal> got = Refusal{};
        if (!outside) {
            const Place place = place_in(outdoor.values, outdoor_C);
            Row row = row_of(printed, u, place, place.share == 0.0 || place.share == 1.0);
            const double more =
                dry_bulb_correction_W(u.per_flow(printed), u.air_flow(printed), u.temperature(in, "entering_dry_bulb"),
                                      u.temperature(printed, "reference_dry_bulb"), 1.0);
            for (double& s : row.sensible_W) s += more;
            got = read_columns({wet_bulb.values, row.total_W, row.sensible_W, {row.wet.get(), row.total_W.size()}},
                               u.temperature(in, "entering_wet_bulb"));
        }
        compare.truth(c.at("id"), std::holds_alternative<Refusal>(got), c.at("expected") == "refused");
        const auto* heat = std::get_if<CoilHeat>(&got);
        if (heat == nullptr || !c.contains("result")) continue;
        const json& r = c.at("result");
        compare.truth("dry", heat->dry, r.at("coil") == "dry");
        compare_by_unit(compare, table, "closed", "total", u.power, u.back(heat->total_W), r.at("total_" + u.power));
        compare_by_unit(compare, table, "closed", "sensible", u.power, u.back(heat->sensible_W),
                        r.at("sensible_" + u.power));
        compare_by_unit(compare, table, "closed", "latent", u.power, u.back(heat->latent_W()),
                        r.at("latent_" + u.power));
    }
    return compare.outcome();
}

FlowExponents exponents_of(const json& in)
{
    return {in.at("exponent_air_ne").get<double>(), in.at("exponent_water_ni").get<double>()};
}

/// Temperature of air behind a fan in front of the coil.
double behind_fan_C(double room_C, double humidity_ratio, double fan_kW, double dry_air_kg_per_s)
{
    return room_C + fan_kW / (dry_air_kg_per_s * (1.006 + 1.86 * humidity_ratio));
}

CoilFlows flows_of(const json& in)
{
    const double w = in.at("room_humidity_ratio"), air = in.at("dry_air_kg_s"), room_C = in.at("room_C");
    const bool blows = in.at("fan_position") == "blow_through";
    return {.air_C = blows ? behind_fan_C(room_C, w, in.at("fan_power_kW"), air) : room_C,
            .humidity_ratio = w,
            .dry_air_kg_per_s = air,
            .water_in_C = in.at("water_in_C"),
            .water_kg_per_s = in.at("water_kg_s")};
}

void cooling_case(Comparison& compare, const json& table, const json& group, const json& c)
{
    const json& in = c.at("inputs");
    const json& rated = group.at("rated_units").at(in.at("rated_unit").get<std::string>()).at("rated");
    const double rated_fan = rated.at("fan_power_kW");
    const CoilConductances coil =
        CoilConductances::of({flows_of(rated), 1000.0 * (rated.at("net_total_kW").get<double>() + rated_fan),
                              1000.0 * (rated.at("net_sensible_kW").get<double>() + rated_fan)},
                             exponents_of(in));
    const CoilFlows flows = flows_of(in);
    const bool heats = in.at("mode") == "heating";
    const auto got = heats ? coil.heats(flows) : coil.cools(flows);
    const auto& out = std::get<CoilOutput>(got);
    const json& r = c.at("result");
    const double fan = in.at("fan_power_kW");
    const auto check = [&](const char* key, const char* unit, double value) {
        if (r.contains(key)) compare_by_unit(compare, table, "moist", key, unit, value, r.at(key));
    };
    if (!heats) compare.truth("dry", out.dry, r.at("coil") == "dry");
    check("gross_total_kW", "kW", out.total_W / 1000.0);
    check("gross_sensible_kW", "kW", out.sensible_W / 1000.0);
    check("net_total_kW", "kW", out.total_W / 1000.0 - fan);
    check("net_sensible_kW", "kW", out.sensible_W / 1000.0 - fan);
    check("latent_kW", "kW", out.latent_W() / 1000.0);
    check("gross_heating_kW", "kW", out.total_W / 1000.0);
    check("net_heating_kW", "kW", out.total_W / 1000.0 + fan);
    check("condensate_kg_h", "kg_h", 3600.0 * out.condensate_kg_per_s);
    check("water_out_C", "K_or_C", out.water_out_C);
    check("coil_out_C", "K_or_C", out.air_out_C);
    check("humidity_ratio_out", "", out.humidity_ratio_out);
    const bool blows = in.at("fan_position") == "blow_through";
    check("supply_C", "K_or_C",
          blows ? out.air_out_C : behind_fan_C(out.air_out_C, out.humidity_ratio_out, fan, flows.dry_air_kg_per_s));
    if (!out.dry && c.at("steps").contains("wet")) {
        compare_by_unit(compare, table, "moist", "apparatus dew point", "apparatus_dew_point_C",
                        out.apparatus_dew_point_C, c.at("steps").at("wet").at("apparatus_dew_point_C"));
        compare_by_unit(compare, table, "moist", "bypass factor", "", out.bypass_factor,
                        c.at("steps").at("wet").at("bypass_factor"));
    }
}

Outcome fan_coil(const json& table, const json& group)
{
    Comparison compare{table};
    for (const json& c : group.at("cases")) {
        const json& in = c.at("inputs");
        if (c.at("method") == "cooling_rating") {
            cooling_case(compare, table, group, c);
            continue;
        }
        const json& rated = in.at("rated");
        const CoilOutput out =
            heats_by_one_conductance({1000.0 * rated.at("heating_kW").get<double>(), rated.at("dry_air_kg_s"),
                                      rated.at("water_kg_s"), rated.at("air_in_C"), rated.at("water_in_C")},
                                     in.at("air_share_of_resistance"), exponents_of(in),
                                     {.air_C = in.at("air_in_C"),
                                      .dry_air_kg_per_s = in.at("dry_air_kg_s"),
                                      .water_in_C = in.at("water_in_C"),
                                      .water_kg_per_s = in.at("water_kg_s")});
        const json& r = c.at("result");
        compare_by_unit(compare, table, "moist", "heating", "kW", out.total_W / 1000.0, r.at("heating_kW"));
        compare_by_unit(compare, table, "moist", "air out", "K_or_C", out.air_out_C, r.at("air_out_C"));
        compare_by_unit(compare, table, "moist", "water out", "K_or_C", out.water_out_C, r.at("water_out_C"));
    }
    return compare.outcome();
}

} // namespace

void add_rating(Answers& answers)
{
    const std::string& topic = topic_of_rating;
    answers[{topic, "table_lookup"}] = table_lookup;
    answers[{topic, "dry_bulb_correction"}] = dry_bulb_correction;
    answers[{topic, "dry_coil_branch"}] = dry_coil_branch;
    answers[{topic, "fan_coil"}] = fan_coil;
}

} // namespace venture::verify
